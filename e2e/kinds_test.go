package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/png"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// option sets a select to the option with a value.
func (k *tab) option(selector, value string) {
	k.Helper()
	k.find(selector, "")
	k.eval(`(s, v) => {
		const e = [...document.querySelectorAll(s)].find((e) => e.getClientRects().length)
		e.value = ([...e.options ?? []].find((o) => o.text === v) ?? { value: v }).value
		e.dispatchEvent(new Event('change', { bubbles: true }))
	}`, selector, value)
}

// label replaces what is in the field that a label stands at, and leaves it.
func (k *tab) label(begins, text string) {
	k.Helper()
	e, err := k.page.ElementByJS(rod.Eval(`(l) => [...document.querySelectorAll('label')].find((e) => e.innerText.trim().startsWith(l))?.querySelector('input')`, begins))
	must(k.T, err)
	must(k.T, e.SelectAllText())
	must(k.T, e.Input(text))
	k.keys(input.Tab)
}

// fill replaces what is in a field and leaves it.
func (k *tab) fill(selector, text string) {
	k.Helper()
	k.write(selector, text)
	k.keys(input.Tab)
}

func TestOwnKindFromABuiltInOne(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Kinds")
	k.see("[aria-label=Ways]", "Spawn")
	k.write("[aria-label='Search kinds']", "walking")
	k.gone("[aria-label=Ways]")
	k.pressIn("[aria-label=Beings] button", "Walking enemy")
	k.see("main", "How far it goes to either side")
	k.press("Make one of your own from it")
	k.see("[aria-label='Your own']", "Walking enemy 2")
	k.fill("[aria-label='Name of the kind']", "Shore crab")
	k.stored(func(d *document.Document) error {
		all := d.Kinds.All()
		if len(all) != 1 || all[0].Name != "Shore crab" || all[0].Of != "walker" {
			return fmt.Errorf("the kinds are %+v", all)
		}
		return nil
	})
	// a default of its own, out of range and in it
	k.fill("[aria-label='Default of speed']", "999")
	k.notice("Speed is 0 to 50")
	k.fill("[aria-label='Default of speed']", "1.5")
	k.press("Add a setting")
	k.fill("[aria-label='Name of setting 10']", "pinches")
	k.option("[aria-label='Type of pinches']", "yes/no")
	k.fill("[aria-label='Name of the kind']", "")
	k.notice("cannot be empty")
	k.stored(func(d *document.Document) error {
		one := d.Kind(d.Kinds.All()[0].ID)
		if s := kind.Keyed(one.Settings, "Setting 10"); s == nil || s.Name != "pinches" || s.Type != kind.YesNo || one.Setting("speed").Default != "1.5" || one.Name != "Shore crab" {
			return fmt.Errorf("the kind is %+v", one)
		}
		return nil
	})
	// offered first it is so everywhere, and held it goes down on the map
	k.pressIn("button", "Offer Shore crab first")
	k.see("[aria-label=First]", "Shore crab")
	k.press("Hold it on the map")
	k.see("[data-testid=hand]", "shore crab")
	k.click(k.at(5, 6))
	k.click(k.at(8, 6))
	k.keys(input.Escape)
	k.pressIn("aside [role=tab]", "Kinds")
	k.see("[aria-label='Kinds: First']", "Shore crab")
	k.click(k.at(5, 6))
	k.see("[data-testid=details]", "Shore crab")
	k.see("[data-testid=details]", "pinches")
	k.saved()
	crab := string(k.rig.doc().Kinds.All()[0].ID)
	k.stored(boxIs(crab, 5, 6, 1, 1))
	// where it is used is told, and deleting it loses nothing
	k.pressIn("nav button", "Kinds")
	k.pressIn("[aria-label=First] button", "Shore crab")
	k.see("[aria-label='Where it is used']", "Quay\n2")
	k.press("Delete")
	k.notice("became Walking enemy")
	k.stored(func(d *document.Document) error {
		if n := len(entities(d, sample.Quay, "walker")); n != 2 || d.Kinds.Len() != 0 {
			return fmt.Errorf("%d walkers, %d kinds", n, d.Kinds.Len())
		}
		return nil
	})
	k.pressIn("[data-testid=notice] button", "Undo")
	k.stored(boxIs(crab, 8, 6, 1, 1))
	k.same()
}

func TestAKindIsLimitedAndLarger(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Kinds")
	k.press("A kind from nothing")
	k.fill("[aria-label='Name of the kind']", "Crane")
	k.label("width", "32")
	k.label("height", "48")
	k.label("at most on a map", "2")
	k.stored(func(d *document.Document) error {
		if o := d.Kind(d.Kinds.All()[0].ID); o.W != 32 || o.H != 48 || o.MapMost != 2 {
			return fmt.Errorf("the crane is %+v", o)
		}
		return nil
	})
	k.press("Hold it on the map")
	k.click(k.at(5, 6))
	k.click(k.at(9, 6))
	k.stored(func(d *document.Document) error {
		for _, e := range entities(d, sample.Quay, string(d.Kinds.All()[0].ID)) {
			// its lower middle stands on the lower middle of the cell
			if e.X == 72 && e.Y == 64 && e.W == 32 && e.H == 48 {
				return nil
			}
		}
		return fmt.Errorf("no crane stands over cell 5, 6")
	})
	k.click(k.at(13, 6))
	k.see("[data-testid=ghost]", "at most 2 of Crane")
	k.saved()
	if n := len(entities(k.rig.doc(), sample.Quay, string(k.rig.doc().Kinds.All()[0].ID))); n != 2 {
		t.Errorf("%d cranes stand", n)
	}
}

// A kind is set up beside the map, and what stands there changes with it.
func TestKindBesideTheMap(t *testing.T) {
	r := world(t)
	k := r.open()
	k.pressIn("aside [role=tab]", "Kinds")
	k.press("Set up kind Light")
	k.see("[data-testid=kind-beside]", "Built in")
	k.press("Make one of your own from it")
	k.fill("[data-testid=kind-beside] [aria-label='Name of the kind']", "Lantern")
	k.see("aside[aria-label=Cabinet]", "Lantern")
	k.fill("[data-testid=kind-beside] [aria-label='Default of radius']", "2")
	k.stored(func(d *document.Document) error {
		if all := d.Kinds.All(); len(all) != 1 || all[0].Name != "Lantern" || d.Kind(all[0].ID).Setting("radius").Default != "2" {
			return fmt.Errorf("the kinds are %+v", all)
		}
		return nil
	})
	// Escape closes it, and the map was never left
	k.focusMap()
	k.keys(input.Escape)
	k.gone("[data-testid=kind-beside]")
	k.holdKind("Lantern")
	k.click(k.at(6, 6))
	k.keys(input.Escape)
	k.click(k.at(6, 6))
	k.see("[data-testid=details] [aria-label=radius]", "2")
	k.same()
}

// A kind looks like a sheet of figures that is dragged out, like tiles that were held
// together, or like a picture of its own, each with its own proportions.
func TestKindsPictures(t *testing.T) {
	r := world(t)
	k := r.open()
	k.pressIn("nav button", "Kinds")
	k.pressIn("[aria-label=Beings] button", "Character")
	k.press("Make one of your own from it")
	k.see("main", "A sheet of figures")
	own := func(f func(o *document.Kind) error) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			if d.Kinds.Len() != 1 {
				return fmt.Errorf("%d kinds", d.Kinds.Len())
			}
			return f(d.Kinds.All()[0])
		})
	}
	k.pressIn("summary", "A sheet of figures")
	// dragged past the picture's side it ends there
	box := k.box("[data-testid=figures]")
	tile := box.Width / 8
	at := func(x, y float64) proto.Point { return proto.NewPoint(box.X+(x+0.5)*tile, box.Y+(y+0.5)*tile) }
	k.drag(left, at(5, 1), at(6, 2), offset(at(7, 2), 3*tile, 0))
	k.press("Cut it")
	k.notice("3 frames each way")
	own(func(o *document.Kind) error {
		if f := o.Frames[2]; len(f) != 3 || f[0].Tile() != 13 || f[2].Tile() != 15 || len(o.Frames[3]) != 3 || len(o.Frames[0]) != 0 {
			return fmt.Errorf("its frames are %v", o.Frames)
		}
		return nil
	})
	// a row that shows something else goes beside it, with a pace of its own
	k.find("[data-testid=figures]", "").MustScrollIntoView()
	box = k.box("[data-testid=figures]")
	k.drag(left, at(0, 6), at(1, 6)) // below what is said of the first
	k.option("[aria-label='Row 1 looks']", "down")
	k.option("[aria-label='Row 1 shows']", "swims")
	k.press("Cut it")
	k.option("[aria-label='What the pictures show']", "swims")
	k.label("each frame", "240")
	own(func(o *document.Kind) error {
		if len(o.Poses) != 1 || o.Poses[0].Does != kind.Swims || len(o.Poses[0].Frames[2]) != 2 || o.Poses[0].Ms != 240 || len(o.Frames[2]) != 3 {
			return fmt.Errorf("its poses are %+v", o.Poses)
		}
		return nil
	})
	// in numbers it can be asked for too much, and is refused
	k.write("[aria-label='Tiles that a frame is across']", "5")
	k.press("Cut it")
	k.notice("past the right side of Coast")

	// a picture of its own keeps its proportions: 16 × 48 stands on the lower edge of its cell
	img := image.NewNRGBA(image.Rect(0, 0, 16, 48))
	for i := range img.Pix {
		img.Pix[i] = []byte{200, 40, 90, 255}[i%4]
	}
	var out bytes.Buffer
	must(t, png.Encode(&out, img))
	e, err := k.page.Element("input[aria-label='A picture for the kind']")
	must(t, err)
	must(t, e.SetFiles([]string{file(t, "tall.png", out.Bytes())}))
	own(func(o *document.Kind) error {
		if o.Look == 0 || o.Look.Tileset() == 1 || len(o.Frames[2])+len(o.Poses) != 0 {
			return fmt.Errorf("it looks like %x, %v", o.Look, o.Frames)
		}
		return nil
	})
	k.pressIn("nav button", "Map")
	k.pressIn("aside [role=tab]", "Kinds")
	k.pressIn("aside ul button", "Character 2")
	k.focusMap()
	k.click(k.at(8, 6))
	k.keys(input.Escape)
	for _, y := range []int{4, 5, 6} {
		within(t, soon, func() error { return want("the figure", k.pixel(k.at(8, y)), "200,40,90") })
	}
	if got := k.pixel(k.at(8, 7)); got == "200,40,90" {
		t.Error("it reaches below its cell")
	}
	// tiles that were held together
	k.press("Tiles")
	sheet := k.box("[data-testid=sheet]")
	size := sheet.Width / 8
	k.drag(left, proto.NewPoint(sheet.X+3.5*size, sheet.Y+0.5*size), proto.NewPoint(sheet.X+4.5*size, sheet.Y+1.5*size))
	k.pressIn("nav button", "Kinds")
	k.press("The 2 × 2 tiles held last")
	own(func(o *document.Kind) error {
		if o.Look.Tile() != 3 || o.Across != 2 || o.Down != 2 {
			return fmt.Errorf("it looks like %d, %d × %d tiles", o.Look.Tile(), o.Across, o.Down)
		}
		return nil
	})
	k.pressIn("nav button", "Map")
	c := paint(12)
	within(t, soon, func() error {
		// the lower right tile of the four, drawn into the right half of the cell
		return want("the tiles", k.pixel(offset(k.at(8, 6), 8, 8)), fmt.Sprintf("%d,%d,%d", c.R, c.G, c.B))
	})
	k.same()
}

// A figure is made of parts and colours, becomes a kind with a tileset of its own, and is put down.
func TestAFigureIsMade(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Kinds")
	k.press("A figure…")
	k.see("[role=dialog]", "Another one")
	k.accessibleIn("[role=dialog]", "the figure maker")
	k.pressIn("[role=dialog] button", "long hair")
	k.pressIn("[role=dialog] button", "robe")
	k.press("coat #2f7d8b")
	k.option("[role=dialog] label:nth-of-type(2) select", "character")
	k.fill("[role=dialog] input[placeholder=Warden]", "Rake hand")
	k.press("Make it")
	k.notice("Rake hand is a kind now")
	k.see("main[aria-label='Kind Rake hand']", "")
	k.stored(func(d *document.Document) error {
		for _, o := range d.Kinds.All() {
			set := d.TilesetByNumber(o.Look.Tileset())
			if o.Name == "Rake hand" && o.Of == kind.Character && len(o.Frames[3]) == 3 && set != nil && set.Name == "Rake hand" && set.Width == 48 {
				return nil
			}
		}
		return errors.New("the figure is not stored")
	})
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(func(d *document.Document) error {
		if d.Tilesets.Len() != 1 {
			return fmt.Errorf("%d tilesets are left", d.Tilesets.Len())
		}
		return nil
	})
}
