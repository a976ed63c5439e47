package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"errors"
	"fmt"
	"image"
	"image/png"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// bring chooses sheets of the corpus as pictures for tilesets.
func (k *tab) bring(names ...string) {
	k.Helper()
	k.pressIn("nav button", "Tilesets")
	for i, n := range names {
		path, err := filepath.Abs("../core/cut/testdata/" + n + ".png")
		must(k.T, err)
		names[i] = path
	}
	field, err := k.page.Element("[aria-label='Picture for a tileset']")
	must(k.T, err)
	must(k.T, field.SetFiles(names))
	k.see("[data-testid=cut-told]", "tiles")
}

// cutIs checks the numbers of the cut that would be used.
func (k *tab) cutIs(w, h, margin, spacing int) {
	k.Helper()
	within(k.T, soon, func() error {
		return want("the cut", k.eval(`() => [...document.querySelectorAll('aside[aria-label=Cut] form input[type=number]')].slice(0, 4).map((e) => e.value).join(' ')`), fmt.Sprint(w, h, margin, spacing))
	})
}

// Guesses are shown as pictures of their cuts, and say what they leave over; a tile dragged
// out on the picture sets all numbers, and a number is replaced by what is typed.
func TestATileDraggedOutIsTheCut(t *testing.T) {
	k := world(t).open()
	k.bring("gutters-4")
	k.cutIs(32, 32, 4, 4)
	k.see("[aria-label='Guessed cuts'] button[aria-pressed=true]", "nothing else comes near")
	within(t, soon, func() error {
		return want("a guess that is shown as a picture", k.eval(`() => [...document.querySelectorAll('[aria-label="Guessed cuts"] canvas')].filter((c) => new Set(c.getContext('2d').getImageData(0, 0, c.width, c.height).data).size > 8).length > 0`), "true")
	})
	box := k.box("[data-testid=cut]")
	scale := box.Width / (8 + 6*36 - 4)
	p := func(x, y float64) proto.Point { return proto.NewPoint(box.X+x*scale, box.Y+y*scale) }
	// a tile of 14 × 14 in the corner, then the second one of the second row
	k.drag(left, p(0, 0), p(7, 9), p(14, 14))
	k.cutIs(14, 14, 0, 0)
	k.drag(left, p(4+36, 4+36), p(50, 60), p(4+36+32, 4+36+32))
	k.cutIs(32, 32, 4, 4)
	// Escape takes it back, what ends outside is cut off
	k.hold(left, p(4, 4), p(30, 30))
	k.keys(input.Escape)
	must(t, k.page.Mouse.Up(left, 1))
	k.cutIs(32, 32, 4, 4)
	k.drag(left, p(16, 16), p(-9, -30))
	k.cutIs(16, 16, 0, 0)

	must(t, k.page.MustElement("aside[aria-label=Cut] form input[type=number]").Click(proto.InputMouseButtonLeft, 1))
	within(t, soon, func() error { return want("what is selected", k.eval(`() => getSelection().toString()`), "16") })
	must(t, k.page.InsertText("20"))
	k.cutIs(20, 16, 0, 0)
}

// A tileset that is cut anew gets guesses, and can be cropped and scaled; pictures that are
// gathered get a name of their own.
func TestRecutAndGatherOfferEverything(t *testing.T) {
	k := world(t).open()
	k.bring("figures-16x24", "figures-24x32")
	k.write("[aria-label='Name of what is gathered']", "Walkers")
	k.pressIn("[aria-label=Gather] button", "Gather")
	k.see("[aria-label='Guessed cuts']", "a cell for each picture")
	k.pressIn("aside[aria-label=Cut] button", "Use this cut")
	k.stored(func(d *document.Document) error {
		for _, s := range d.Tilesets.All() {
			if s.Name == "Walkers" {
				return nil
			}
		}
		return errors.New("nothing is called Walkers")
	})
	k.pressIn("[aria-label='All tilesets'] button", "Coast")
	k.pressIn("aside[aria-label=Cut] button", "Recut")
	k.see("[aria-label='Guessed cuts']", "16 × 16")
	k.pressIn("aside[aria-label=Cut] summary", "Crop or scale the picture")
	k.pressIn("aside[aria-label=Cut] button", "× 2")
	k.see("aside[aria-label=Cut] summary", "256 ×")
	k.cutIs(16, 16, 0, 0)
	k.pressIn("[aria-label='Guessed cuts'] button", "32 × 32")
	k.pressIn("aside[aria-label=Cut] button", "Show what changes")
	k.see("[data-testid=recut]", "Before")
	k.see("[data-testid=recut]", "32 × 32")
	k.pressIn("aside[aria-label=Cut] button", "Cut it anew")
	k.stored(func(d *document.Document) error {
		return want("the cell", fmt.Sprint(d.Tilesets.Get(sample.Coast).Cut.CellWidth), "32")
	})
	k.same()
}

// Recognising finds out by itself what edges follow, and what the edges are to is set for
// all tiles at once.
func TestMaterialsAtOnce(t *testing.T) {
	r := startWith(t, nil)
	k := r.open()
	sea := ""
	for _, m := range r.doc().Materials.All() {
		if m.Name == "Sea" {
			sea = string(m.ID)
		}
	}
	k.pressIn("nav button", "Tilesets")
	k.pressIn("aside button", "Sea")
	k.see("[aria-label=Material]", "Edges of all its tiles are to")
	to := k.eval(`() => [...document.querySelectorAll('[aria-label=Material] label')].find((l) => l.textContent.includes('Edges of all')).querySelector('option:nth-of-type(2)').textContent.trim()`)
	field := k.find("[aria-label=Material] label", "Edges of all").MustElement("select")
	must(t, field.Select([]string{to}, true, "text"))
	k.stored(func(d *document.Document) error {
		m := d.Materials.Get(document.ID(sea))
		for _, o := range m.Tiles {
			if n := d.MaterialByNumber(o.Beside); n == nil || n.Name != to {
				return fmt.Errorf("tile %#x is to %d", o.Cell, o.Beside)
			}
		}
		return nil
	})
	by := r.doc().Materials.Get(document.ID(sea)).By
	full := -1
	for _, o := range r.doc().Materials.Get(document.ID(sea)).Tiles {
		if o.Form.Key(by) == 0xff || strings.Contains(by, "corners") && o.Form&0xaa == 0xaa {
			full = o.Cell.Tile()
		}
	}
	set := r.doc().TilesetsInOrder()[0]
	columns, _ := set.Cut.Tiles(set.Width, set.Height)
	other := map[bool]string{true: "its four corners", false: "its four sides"}[by != "corners"]
	must(t, k.find("[aria-label=Material] label", "Edges follow").MustElement("select").Select([]string{other}, true, "text"))
	k.pressIn("[aria-label=Material] button", "Recognise the tiles")
	box := k.box("[data-testid=cut]")
	size := box.Width / float64(columns)
	k.click(proto.NewPoint(box.X+(float64(full%columns)+0.5)*size, box.Y+(float64(full/columns)+0.5)*size))
	k.notice("recognised, by")
	k.stored(func(d *document.Document) error {
		return want("what edges follow", d.Materials.Get(document.ID(sea)).By, by)
	})
}

// Whoever is asked on an empty map to bring in a picture chooses one at once, and sees its cut.
func TestAPictureIsChosenFromTheMap(t *testing.T) {
	k := startWith(t, document.New("Empty")).open()
	k.press("Make the first map")
	for _, from := range []string{"main[aria-label=Map] button", "aside[aria-label=Cabinet] button"} {
		k.pressIn("nav button", "Map")
		set, err := k.page.HandleFileDialog()
		must(t, err)
		k.pressIn(from, "Bring in a picture")
		path, err := filepath.Abs("../core/cut/testdata/gutters-4.png")
		must(t, err)
		must(t, set([]string{path}))
		k.see("[data-testid=cut-told]", "tiles")
		k.press("Leave it")
	}
}

// A sheet that begins farther from its left than from its top, with nothing at its other sides, is cut as it is; its numbers can be typed, and its
// tiles are drawn from where they lie.
func TestASheetThatBeginsAside(t *testing.T) {
	k := world(t).open()
	k.bring("aside-16")
	k.see("[aria-label='Guessed cuts'] button[aria-pressed=true]", "16 × 16, spacing 1, from 5, 4")
	field := func(label string) string {
		return fmt.Sprintf(`() => [...document.querySelectorAll('aside[aria-label=Cut] form label')].find((l) => l.innerText.trim() === '%s').querySelector('input').value`, label)
	}
	beside := func(left, top string) {
		t.Helper()
		within(t, soon, func() error {
			return want("what is left out at the left and at the top", k.eval(field("More at the left"))+" "+k.eval(field("More at the top")), left+" "+top)
		})
	}
	beside("5", "4")
	k.write("aside[aria-label=Cut] form label:nth-of-type(6) input", "9")
	beside("5", "9")
	// whole tiles that are left out are veiled
	first := func() string {
		return k.eval(`() => {
			const c = document.querySelector('[data-testid=cut]'), s = c.width / 140
			return [...c.getContext('2d').getImageData(13 * s, 30 * s, 1, 1).data].join()
		}`)
	}
	bare := first()
	k.write("aside[aria-label=Cut] form label:nth-of-type(5) input", "40")
	within(t, soon, func() error {
		if first() == bare {
			return fmt.Errorf("the first tile of the second row, which is left out, is shown as before: %s", bare)
		}
		return nil
	})
	// a tile that is dragged out on the picture sets it again
	box := k.box("[data-testid=cut]")
	scale := box.Width / (5 + 8*17 - 1)
	p := func(x, y float64) proto.Point { return proto.NewPoint(box.X+x*scale, box.Y+y*scale) }
	k.drag(left, p(5+17, 4+17), p(30, 30), p(5+17+16, 4+17+16))
	k.cutIs(16, 16, 0, 1)
	beside("5", "4")
	k.see("[data-testid=cut-told]", "8 × 5 = 40 tiles")
	k.press("Use this cut")
	k.stored(tilesetIs("aside-16", func(s *document.Tileset) error {
		if s.Cut != (document.Cut{CellWidth: 16, CellHeight: 16, Spacing: 1, Left: 5, Top: 4}) {
			return fmt.Errorf("it is cut %+v", s.Cut)
		}
		return nil
	}))
	// the second tile of the second row is put down: what is seen on the map is what the picture shows there
	k.pressIn("nav button", "Map")
	k.see("[aria-label^='Sheet of aside-16']", "")
	box = k.box("[data-testid=sheet]")
	k.click(proto.NewPoint(box.X+1.5*box.Width/8, box.Y+1.5*box.Height/5))
	k.see("[data-testid=hand]", "tile 9 of aside-16")
	k.click(k.at(6, 5))
	k.keys(input.Escape)
	f, err := os.Open("../core/cut/testdata/aside-16.png")
	must(t, err)
	defer f.Close()
	img, err := png.Decode(f)
	must(t, err)
	at := k.at(6, 5)
	k.move(k.at(12, 9))
	within(t, soon, func() error {
		for _, d := range []image.Point{{-5, -5}, {3, 0}, {5, 5}, {-2, 6}} {
			r, g, b, _ := img.At(5+17+8+d.X, 4+17+8+d.Y).RGBA()
			shown := k.pixel(at.Add(proto.NewPoint(float64(2*d.X)+1, float64(2*d.Y)+1)))
			if err := want(fmt.Sprintf("the pixel %v from the middle", d), shown, fmt.Sprintf("%d,%d,%d", r>>8, g>>8, b>>8)); err != nil {
				return err
			}
		}
		return nil
	})
}
