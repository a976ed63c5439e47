package e2e

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"errors"
	"fmt"
	"slices"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

func TestPropertiesOfTilesAndZonesAndOwnParts(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Tilesets")
	k.pressIn("summary", "Own properties of tiles")
	k.press("Add a property")
	k.write("[aria-label='Name of property 1']", "Slip")
	k.keys(input.Tab)
	k.see("[aria-label='Name of property 1']", "Slip")
	must(t, k.find("[aria-label='Type of Slip']", "").Select([]string{"number"}, true, rod.SelectorTypeText))
	k.stored(func(d *document.Document) error {
		if p := d.Tilesets.Get(sample.Coast).Properties; len(p) != 1 || p[0].Name != "Slip" || p[0].Type != "number" {
			return fmt.Errorf("the properties are %+v", p)
		}
		return nil
	})
	k.click(k.onSheet(128, 12, 8, middleOf))
	k.write("[aria-label='Slip of the tile']", "much")
	k.keys(input.Tab)
	k.notice("Slip is a number")
	// painted over other tiles, and put back on one
	must(t, k.find("[aria-label='What else to paint over the sheet']", "").Select([]string{"Slip"}, true, rod.SelectorTypeText))
	k.write("[aria-label='Slip to paint']", "3")
	k.keys(input.Tab)
	k.drag(left, k.onSheet(128, 16, 8, middleOf), k.onSheet(128, 17, 8, middleOf))
	k.clickWith(k.onSheet(128, 16, 8, middleOf), right)
	k.clickWith(k.onSheet(128, 17, 8, middleOf), right)
	k.click(k.onSheet(128, 12, 8, middleOf))
	k.write("[aria-label='Slip of the tile']", "7")
	k.keys(input.Tab)
	values := func(want int) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			n := 0
			for _, i := range d.Tilesets.Get(sample.Coast).Infos {
				n += len(i.Values)
			}
			if n != want {
				return fmt.Errorf("%d values differ from their defaults, wanted %d", n, want)
			}
			return nil
		})
	}
	values(1)
	k.press("Put Slip back to its default")
	values(0)
	// a solid part by its corners
	k.pressIn("summary", "Solid in a part of its own")
	k.write("[aria-label^='Corners of the solid part']", "0,8 16,8 0,16 12,16")
	k.keys(input.Tab)
	k.notice("cross")
	k.write("[aria-label^='Corners of the solid part']", "0,8 16,8 16,16 0,16")
	k.keys(input.Tab)
	k.stored(func(d *document.Document) error {
		for _, i := range d.Tilesets.Get(sample.Coast).Infos {
			if i.Tile == 12 && i.Part == document.PartOwn && len(i.Own) == 1 && len(i.Own[0]) == 4 {
				return nil
			}
		}
		return fmt.Errorf("the tiles are set up as %+v", d.Tilesets.Get(sample.Coast).Infos)
	})
	// a rectangle is dragged and a corner drawn by its corners, beside what is there
	must(t, k.find("[data-testid=own-part]", "").ScrollIntoView())
	box := k.box("[data-testid=own-part]")
	on := func(x, y float64) proto.Point {
		return proto.NewPoint(box.X+(box.Width-0.5)*x/16, box.Y+(box.Height-0.5)*y/16)
	}
	k.drag(left, on(0, 0), on(4, 4))
	k.see("[data-testid=own-part][aria-label*='2 outlines']", "")
	for _, c := range [][2]float64{{8, 0}, {16, 0}, {16, 8}, {12, 8}, {12, 4}, {8, 4}, {8, 0}} {
		k.click(on(c[0], c[1]))
	}
	k.see("[data-testid=own-part][aria-label*='3 outlines']", "")
	k.stored(func(d *document.Document) error {
		for _, i := range d.Tilesets.Get(sample.Coast).Infos {
			if i.Tile == 12 && len(i.Own) == 3 && len(i.Own[2]) == 6 && i.Own[1][2] == (grid.Point{X: 4, Y: 4}) {
				return nil
			}
		}
		return fmt.Errorf("the tiles are set up as %+v", d.Tilesets.Get(sample.Coast).Infos)
	})
	k.press("Take back")
	k.see("[data-testid=own-part][aria-label*='2 outlines']", "")
	// a zone has its own as well
	k.pressIn("nav button", "Map")
	k.press("Zones")
	k.press("hazard")
	k.see("[data-testid=hand]", "zone Hazard")
	k.pressIn("aside button", "edit")
	k.pressIn("summary", "Own properties")
	k.press("Add a property")
	k.stored(func(d *document.Document) error {
		if z := d.ZonesInOrder(); len(z) != 1 || len(z[0].Properties) != 1 {
			return fmt.Errorf("the zones are %+v", z)
		}
		return nil
	})
	k.keys(input.Escape)
	// and can be what a tile counts as
	k.pressIn("nav button", "Tilesets")
	must(t, k.find("[aria-label='What else to paint over the sheet']", "").Select([]string{"zone"}, true, rod.SelectorTypeText))
	k.see("[aria-label='Zone to paint']", "Hazard")
	k.press("paint it")
	k.click(k.onSheet(128, 40, 8, middleOf))
	k.stored(func(d *document.Document) error {
		for _, i := range d.Tilesets.Get(sample.Coast).Infos {
			if i.Tile == 40 && i.Zone == d.ZonesInOrder()[0].ID {
				return nil
			}
		}
		return fmt.Errorf("no tile is of the zone")
	})
	k.same()
}

func TestDecorationIsATilePlacedFreely(t *testing.T) {
	k := world(t).open()
	k.holdTile(9)
	k.keys(input.KeyD)
	k.see("[data-testid=hand]", "decoration")
	k.click(k.at(5, 5))
	k.stored(func(d *document.Document) error {
		all := entities(d, sample.Quay, kind.Decoration)
		if len(all) != 1 || all[0].Look.Tile() != 9 {
			return fmt.Errorf("the decorations are %+v", all)
		}
		return nil
	})
	k.showsTile(5, 5, 9)
	k.same()
}

// A tile is drawn otherwise pixel by pixel, which is one edit of its tileset, seen at once and undone.
func TestPixelsOfATile(t *testing.T) {
	k := world(t).open()
	before := k.rig.doc().TilesetsInOrder()[0].Picture
	k.pressIn("nav button", "Tilesets")
	k.click(k.onSheet(128, 3, 8, middleOf))
	k.pressIn("section[aria-label=Tile] button", "Pixels…")
	k.see("[role=dialog]", "Pixels of tile")
	k.accessibleIn("[role=dialog]", "the pixels of a tile")
	k.find("[role=dialog] [aria-label^='Colour #']", "")
	b := k.box("[data-testid=pixels]")
	in := func(x, y float64) proto.Point { return proto.NewPoint(b.X+x*24+12, b.Y+y*24+12) }
	k.drag(proto.InputMouseButtonLeft, in(2, 2), in(9, 2))
	k.press("fill")
	k.click(in(12, 12))
	k.pressIn("[role=dialog] button", "Undo")
	k.press("Mirror")
	k.press("Keep it")
	k.notice("is drawn otherwise")
	k.stored(func(d *document.Document) error {
		if d.TilesetsInOrder()[0].Picture == before {
			return errors.New("the picture is as it was")
		}
		return nil
	})
	k.press("Undo")
	k.stored(func(d *document.Document) error {
		if d.TilesetsInOrder()[0].Picture != before {
			return errors.New("the picture is not as it was")
		}
		return nil
	})
}

// What is set of a tile fits beside the sheet: nothing has to be scrolled to the side.
func TestATilesPanelFits(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Tilesets")
	k.see("[aria-label=Tile] h2", "Tile 0")
	within(t, soon, func() error {
		return want("what is too broad", k.eval(`() => [...document.querySelectorAll('aside, section')].filter((e) => e.scrollWidth > e.clientWidth + 1 && e.offsetParent).map((e) => e.getAttribute('aria-label')).join()`), "")
	})
}

// Of the frames of an animated tile, which stand beside each other, a part is selected, moved and copied over to the next; all of
// it is one edit.
func TestPixelsOfFrames(t *testing.T) {
	r := startWith(t, nil)
	k := r.open()
	set := r.doc().TilesetsInOrder()[0]
	i := slices.IndexFunc(set.Infos, func(o document.TileInfo) bool { return len(o.Frames) > 1 })
	if i < 0 {
		t.Fatal("the demo has no animated tile")
	}
	tile := set.Infos[i].Tile
	k.pressIn("nav button", "Tilesets")
	columns, _ := set.Cut.Tiles(set.Width, set.Height)
	k.click(k.onSheet(256, tile, columns, middleOf))
	k.pressIn("section[aria-label=Tile] button", "Pixels…")
	k.find("[role=dialog] [aria-label=Frames] button", "")
	frames := k.eval(`() => document.querySelectorAll('[role=dialog] [aria-label=Frames] button').length`)
	if frames < "2" {
		t.Fatalf("%s frames stand there", frames)
	}
	b := k.box("[data-testid=pixels]")
	in := func(x, y float64) proto.Point { return proto.NewPoint(b.X+x*24+12, b.Y+y*24+12) }
	pixel := func(x, y int) string {
		return k.eval(`(x, y) => [...document.querySelector('[data-testid=pixels]').getContext('2d').getImageData(x * 24 + 8, y * 24 + 8, 1, 1).data].join()`, x, y)
	}
	// a dot of a colour that nothing else has, which is selected and moved
	k.eval(`() => { const c = document.querySelector('[role=dialog] input[type=color]'); c.value = '#fe01dc'; c.dispatchEvent(new Event('input', { bubbles: true })); return '' }`)
	k.click(in(3, 3))
	within(t, soon, func() error { return want("a dot", pixel(3, 3), "254,1,220,255") })
	k.pressIn("[role=dialog] button", "selection")
	k.drag(proto.InputMouseButtonLeft, in(2, 2), in(4, 4))
	k.drag(proto.InputMouseButtonLeft, in(3, 3), in(10, 8))
	within(t, soon, func() error {
		return want("it is moved", pixel(10, 8)+" "+fmt.Sprint(pixel(3, 3) != "254,1,220,255"), "254,1,220,255 true")
	})
	k.with(input.ControlLeft, input.KeyC)
	k.eval(`() => { [...document.querySelectorAll('[role=dialog] [aria-label=Frames] button')].find((b) => b.ariaPressed !== 'true').click(); return '' }`)
	within(t, soon, func() error {
		return want("the other frame has none", fmt.Sprint(pixel(10, 8) != "254,1,220,255"), "true")
	})
	k.with(input.ControlLeft, input.KeyV)
	within(t, soon, func() error { return want("it is copied over", pixel(10, 8), "254,1,220,255") })
	k.accessibleIn("[role=dialog]", "the pixels of frames")
	k.press("Keep it")
	k.notice("2 tiles of Coast are drawn otherwise")
	k.stored(func(d *document.Document) error {
		if d.TilesetsInOrder()[0].Picture == set.Picture {
			return errors.New("the picture is as it was")
		}
		return nil
	})
	k.press("Undo")
	k.stored(func(d *document.Document) error {
		return want("the picture", d.TilesetsInOrder()[0].Picture, set.Picture)
	})
}
