package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A lake freezes: ice is painted on a layer of its own, which is there in play once a rule lays it, and counts in place of the
// lake. What is stored says so, the hero walks over it, and it is drawn then, and not before.
func TestALakeIsFrozen(t *testing.T) {
	r := world(t)
	lake := &grid.Region{}
	lake.AddRect(grid.Rect{X: 6, Y: 1, W: 2, H: 10})
	r.append(sample.Paint(sample.Quay, sample.Things, lake, sample.Wall), edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Switch}, "x", 48),
		edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}))
	k := r.open()
	k.pressIn("aside ul button", "Things")
	k.press("Add a layer")
	k.pressIn("[role=menuitem]", "painted cells")
	k.pressNth("[aria-label^='Settings of layer']", 0)
	k.write("[aria-label='Name of the layer']", "Ice")
	k.keys(input.Enter)
	k.pressIn("[role=dialog] label", "in play only once a rule lays it")
	k.pressIn("[role=dialog] label", "its tiles count in place of what is below")
	k.keys(input.Escape)
	k.gone("[role=dialog]")
	k.holdTile(5)
	k.keys(input.KeyB)
	k.drag(left, k.at(6, 1), k.at(7, 4))
	k.focusMap()
	k.keys(input.Escape)
	k.stored(func(d *document.Document) error {
		for _, l := range d.Maps.Get(sample.Quay).LayersInOrder() {
			if l.Name == "Ice" && l.Absent && l.Covers && l.Cells.At(7, 4) != 0 {
				return nil
			}
		}
		return fmt.Errorf("there is no such ice")
	})
	k.see("aside[aria-label=Stack]", "laid by rules, covers")

	// the rule by its card
	k.pressIn("aside [role=tab]", "Rules")
	k.pressIn("aside button", "New rule on Quay")
	k.ruleWord("arrives on", "uses a switch")
	k.ruleWord("do nothing yet", "lay a layer over the map")
	k.see("[data-testid=rule]", "Ice")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\tlay layer Ice\n")

	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.showsTile(6, 2, 1)
	k.walk(input.KeyD, func() error { return at(k, func(x, y int) bool { return x >= 4*16 }) })
	k.toColumn(3)
	k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
	k.keys(input.KeyE)
	k.showsTile(6, 2, 5)
	k.walk(input.KeyD, func() error { return at(k, func(x, y int) bool { return x >= 8*16 }) })
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.same()
}
