package hand_test

import (
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/sample"
	"testing"
)

// A decoration that is put down freehand stands where the press is; with other shapes, on
// the way of a stroke, or as another kind it keeps to the cells.
func TestDecorationsStandFreely(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Pans)
	for _, c := range []struct {
		kind, shape string
		way         []grid.Point
		x, y        int
	}{
		{"decoration", hand.Freehand, way(4, 5), 71 - 8, 90 - 8},
		{"decoration", hand.Box, way(4, 5), 64, 80},
		{"decoration", hand.Freehand, way(4, 5, 5, 5), 64, 80},
		{"collectible", hand.Freehand, way(4, 5), 64, 80},
	} {
		w := hand.Work{Doc: d, Map: m, Active: sample.Things}
		at := grid.Point{X: 71, Y: 90}
		p, err := hand.Resolve(w, hand.Grip{What: hand.Entity, Kind: c.kind, Shape: c.shape}, hand.Gesture{Way: c.way, At: &at})
		if err != nil || len(p.Place) == 0 {
			t.Fatalf("%s: %v", c.kind, err)
		}
		if e := p.Place[0]; e.X != c.x || e.Y != c.y {
			t.Errorf("%s as %s on %d cells stands at %d,%d, wanted %d,%d", c.kind, c.shape, len(c.way), e.X, e.Y, c.x, c.y)
		}
	}
}
