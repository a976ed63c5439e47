package e2e

import (
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// While a stroke is led on all of it is shown, over the sides of chunks too, and nothing else; what is put down is that.
func TestAStrokeIsShownWhileItIsLedOn(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{W: 44, H: 12}))
	k := r.open()
	k.holdTile(5)
	k.focusMap()
	k.move(k.at(28, 3))
	must(t, k.page.Mouse.Down(left, 1))
	for x := 29; x <= 36; x++ {
		k.move(k.at(x, 3))
	}
	for y := 4; y <= 8; y++ {
		k.move(k.at(36, y))
	}
	k.see("[data-testid=ghost]", "puts down 9 × 6")
	within(t, soon, func() error {
		// the tile and its tint, alike from the first cell to the last, and nothing beside them
		like := k.overlay(k.at(28, 3))
		for _, c := range []grid.Point{{X: 31, Y: 3}, {X: 32, Y: 3}, {X: 36, Y: 3}, {X: 36, Y: 6}} {
			if is := k.overlay(k.at(c.X, c.Y)); is != like || is == "0,0,0,0" {
				return fmt.Errorf("cell %d,%d is shown in %s, and the first in %s", c.X, c.Y, is, like)
			}
		}
		for _, c := range []grid.Point{{X: 30, Y: 5}, {X: 34, Y: 7}, {X: 38, Y: 4}} {
			if is := k.overlay(k.at(c.X, c.Y)); is != "0,0,0,0" {
				return fmt.Errorf("cell %d,%d is shown in %s", c.X, c.Y, is)
			}
		}
		return nil
	})
	must(t, k.page.Mouse.Up(left, 1))
	k.stored(count(sample.Ground, 5, 14))
}
