package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// A tree is made by its size and colours, and put down at once; it is solid where its trunk is.
func TestATreeIsMade(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Tilesets")
	k.press("House, tree, rock…")
	k.accessible("the maker of houses, trees and rocks")
	drawn := func() string {
		return k.eval(`() => document.querySelector('[role=dialog] canvas').toDataURL()`)
	}
	house := drawn()
	k.pressIn("[role=dialog] button", "a tree")
	within(t, soon, func() error { return want("another picture", fmt.Sprint(drawn() != house), "true") })
	tree := drawn()
	k.press("Another one")
	within(t, soon, func() error { return want("another tree", fmt.Sprint(drawn() != tree), "true") })
	k.fill("[role=dialog] input[maxlength='76']", "Dune pine")
	k.press("Make it")
	k.notice("Dune pine is a motif now")
	var set *document.Tileset
	k.stored(func(d *document.Document) error {
		for _, s := range d.Tilesets.All() {
			if s.Name == "Dune pine" {
				set = s
			}
		}
		if set == nil || d.Motifs.Len() == 0 {
			return fmt.Errorf("no tileset or no motif is stored")
		}
		return want("what is solid", fmt.Sprint(set.Solid), "[4 5]")
	})
	k.see("[data-testid=hand]", "Dune pine")
	k.focusMap()
	k.click(k.at(8, 5))
	k.stored(func(d *document.Document) error {
		n := 0
		m := d.Maps.Get(sample.Quay)
		for _, l := range m.Layers.All() {
			for y := range m.Bounds.H {
				for x := range m.Bounds.W {
					if c := l.Cells.At(m.Bounds.X+x, m.Bounds.Y+y); c != 0 && c.Tileset() == set.Number {
						n++
					}
				}
			}
		}
		return want("cells of it", fmt.Sprint(n), "6")
	})
	k.same()
}
