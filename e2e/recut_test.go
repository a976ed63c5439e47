package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"bytes"
	"fmt"
	"image"
	"image/png"
	"slices"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
	"gorm.io/driver/postgres"
	"gorm.io/gorm"
)

// A picture that the server has not got draws as such and is supplied again.
func TestMissingPictureIsSupplied(t *testing.T) {
	k := startWith(t, sample.World()).open()
	k.pressIn("nav button", "Tilesets")
	k.see("main", "The picture of Coast is missing")
	e, err := k.page.Element("input[aria-label='Another picture for the tileset']")
	must(t, err)
	k.press("Supply the picture…")
	must(t, e.SetFiles([]string{file(t, "coast.png", sheet(8, 8, 16))}))
	k.press("Show what changes")
	k.press("Cut it anew")
	k.stored(func(d *document.Document) error {
		if s := d.Tilesets.Get(sample.Coast); s.Picture[:4] == "0000" {
			return fmt.Errorf("the picture is %s", s.Picture)
		}
		return nil
	})
	k.pressIn("nav button", "Map")
	k.showsTile(0, 0, 1)
	// a layer's picture is lost, and the same file brought again
	e, err = k.page.Element("input[aria-label='Picture for a layer']")
	must(t, err)
	clouds := file(t, "clouds.png", sheet16())
	must(t, e.SetFiles([]string{clouds}))
	k.notice("The picture lies below what is painted")
	for range 2 { // here it is to be seen
		must(t, k.find("[aria-label='Layers, the top one first'] button", "clouds").Focus())
		k.with(input.AltLeft, input.ArrowUp)
	}
	k.press("Settings of layer clouds")
	k.pressIn("[aria-label='Layer settings'] label", "stretched")
	k.saved()
	db, err := gorm.Open(postgres.Open(k.rig.dsn))
	must(t, err)
	must(t, db.Exec("DELETE FROM pictures WHERE width = 16").Error)
	k = k.rig.open() // another computer, which has not kept the picture
	k.pressIn("aside button", "clouds")
	k.press("Settings of layer clouds")
	k.see("[aria-label='Layer settings']", "The picture is missing")
	brick := func(yes bool) func() error {
		return func() error {
			p := k.at(7, 3)
			if got := k.pixel(proto.NewPoint(p.X-5, p.Y-5)); (got == "177,68,44") != yes {
				return fmt.Errorf("the layer shows %s", got)
			}
			return nil
		}
	}
	within(t, soon, brick(true))
	e, err = k.page.Element("input[aria-label='Another picture for the layer']")
	must(t, err)
	must(t, e.SetFiles([]string{clouds}))
	k.gone("[aria-label='Layer settings'] .border-brick")
	within(t, soon, brick(false))
	k.same()
}

// A sheet is cut anew after it was painted with: every tile is found again by
// what it shows, what is lost is said before, and one undo takes all back.
func TestRecutKeepsThePainting(t *testing.T) {
	k := world(t).open()
	start := k.rig.doc().Hash()
	k.pressIn("nav button", "Tilesets")
	// the picture again, with its rows of tiles in another order and one column less
	img := image.NewNRGBA(image.Rect(0, 0, 7*16, 8*16))
	whole, err := png.Decode(bytes.NewReader(sheet(8, 8, 16)))
	must(t, err)
	for y := range 128 {
		for x := range 112 {
			img.Set(x, y, whole.At(x+16, (y+16)%128))
		}
	}
	var out bytes.Buffer
	must(t, png.Encode(&out, img))
	e, err := k.page.Element("input[aria-label='Another picture for the tileset']")
	must(t, err)
	k.eval(`() => { HTMLInputElement.prototype.click = () => {} }`) // no chooser opens in a test
	k.press("New picture…")
	must(t, e.SetFiles([]string{file(t, "again.png", out.Bytes())}))
	k.press("Show what changes")
	k.see("[data-testid=recut]", "8 tiles have no match, 1 of them painted with")
	k.see("[data-testid=recut]", "480 would be emptied")
	k.see("[aria-label='Tiles before and after']", "–")
	k.press("Cut it anew")
	k.notice("480 cells without a match were emptied")
	k.stored(func(d *document.Document) error {
		// the wall was tile 1: column 1 of row 0, now column 0 of row 7
		if c := d.Maps.Get(sample.Quay).Layers.Get(sample.Things).Cells.At(0, 0); c.Tile() != 49 {
			return fmt.Errorf("the wall is tile %d", c.Tile())
		}
		if s := d.Tilesets.Get(sample.Coast); s.Width != 112 || !slices.Equal(s.Solid, []int{49}) {
			return fmt.Errorf("the tileset is %+v", s)
		}
		return nil
	})
	k.pressIn("nav button", "Map")
	k.showsTile(0, 0, 1)
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(func(d *document.Document) error {
		if d.Hash() != start {
			return fmt.Errorf("the undo does not bring all back")
		}
		return nil
	})
	// the same picture cut otherwise
	k.pressIn("nav button", "Tilesets")
	k.press("Recut…")
	k.write("form label:nth-of-type(3) input[type=number]", "999")
	k.see("[data-testid=cut-told]", "margin")
	// larger tiles: what differs now and would look the same is said
	k.write("form label:nth-of-type(3) input[type=number]", "0")
	k.write("form label:nth-of-type(1) input[type=number]", "32")
	k.write("form label:nth-of-type(2) input[type=number]", "32")
	k.press("Show what changes")
	k.see("[data-testid=recut]", "2 tiles become 1")
	k.see("[data-testid=recut]", "stand on the lower edge")
	k.press("Leave it")
	k.same()
}
