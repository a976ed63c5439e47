package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// What is refused does not stay in its field as if it were taken: what holds comes back,
// and the sentence stands at the field.
func TestRefusedValuesGoBack(t *testing.T) {
	r := world(t)
	crab := r.place(document.Entity{Kind: "walker", Name: "Crab", X: 64, Y: 96})
	r.append(edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", []document.TileInfo{{Tile: 0, Odds: 2, Partner: -1, Frames: []document.Frame{{Tile: 0, Ms: 200}, {Tile: 2, Ms: 100}}}}))
	k := r.open()
	refused := func(selector, text, why, was string) {
		t.Helper()
		before, seq := k.rig.state()
		k.fill(selector, text)
		if why == "" {
			k.gone("[data-testid=refused]")
		} else {
			k.see("[data-testid=refused]", why)
			field, said := k.box(selector), k.box("[data-testid=refused]")
			if said.Y < field.Y+field.Height || said.Y > field.Y+field.Height+20 {
				t.Errorf("%s: the sentence stands at %v, the field at %v", selector, said, field)
			}
		}
		if got := k.eval(`(s) => document.querySelector(s).value`, selector); got != was {
			t.Errorf("%s shows %q after %q, wanted %q", selector, got, text, was)
		}
		k.saved()
		if k.rig.doc().Hash() != before.Hash() {
			rows, err := r.store.Rows(t.Context(), r.project, seq, 9)
			must(t, err)
			for _, row := range rows {
				t.Errorf("%s: something was stored: %s", selector, row.Edit)
			}
		}
	}
	k.click(k.at(4, 6))
	k.see("[data-testid=details] input", "Crab")
	refused("[data-testid=details] [aria-label=speed]", "quick", "Speed is a number", "3")
	refused("[data-testid=details] [aria-label=range]", "-4", "0 to 500", "4")
	k.fill("[data-testid=details] [aria-label=range]", "6") // and then what is taken is what comes back
	k.stored(func(d *document.Document) error {
		if v := value(d, crab, "range"); v != "6" {
			return fmt.Errorf("the range is %s", v)
		}
		return nil
	})
	k.gone("[data-testid=refused]")
	refused("[data-testid=details] [aria-label=range]", "x", "a number", "6")

	k.press("Set up Quay")
	refused("[aria-label='Width of the screen in cells']", "99999", "screen", "20")
	refused("[aria-label='Width of the screen in cells']", "", "", "20")
	k.press("Close")
	k.pressIn("nav button", "Tilesets")
	k.click(k.onSheet(128, 0, 8, [2]float64{0.5, 0.5}))
	k.see("[aria-label=Tile]", "Tile 0")
	k.saved()
	refused("[aria-label='Odds of the tile']", "99999", "odds", "2")
	refused("[aria-label='Odds of the tile']", "", "", "2")
	k.same()
}
