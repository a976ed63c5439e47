package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What is wrong on a map is listed beside it, with its place, and mended there; what is wrong elsewhere is counted. The chart lists it as well.
func TestFindingsBesideTheMap(t *testing.T) {
	r := world(t)
	stuck := r.place(document.Entity{Kind: kind.Item, Name: "Lantern", X: 0, Y: 0})
	k := r.open()
	k.pressIn("[role=tab]", "Findings")
	k.see("[data-testid=findings-here]", "Lantern on Quay lies in something solid")
	k.see("[data-testid=findings-here]", "elsewhere")
	k.accessible("Findings beside the map")
	// a press goes there
	k.pressIn("[data-testid=findings-here] button", "Lantern on Quay")
	k.see("[data-testid=details]", "used up")
	k.pressIn("nav button", "Chart")
	k.see("[data-testid=findings]", "On the maps")
	k.see("[data-testid=findings]", "Lantern on Quay lies in something solid")
	k.pressIn("nav button", "Map")
	k.pressIn("[data-testid=findings-here] button", "Move it to the nearest free place")
	k.stored(func(d *document.Document) error {
		e := d.Entity(sample.Quay, stuck)
		return want("the lantern", fmt.Sprint(e.X, e.Y), "16 16")
	})
	within(t, 2*soon, func() error {
		return want("the finding", k.eval(`() => String(document.querySelector('[data-testid=findings-here]').innerText.includes('lies in something solid'))`), "false")
	})
	k.with(input.ControlLeft, input.KeyZ)
	k.see("[data-testid=findings-here]", "Lantern on Quay lies in something solid")
}
