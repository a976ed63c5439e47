package grid_test

import (
	"azzel/core/grid"
	"math/rand/v2"
	"testing"
)

// Rectangles cover just the set, each cell once, and one rectangle is one.
func TestRectsCoverARegion(t *testing.T) {
	one := &grid.Region{}
	one.AddRect(grid.Rect{X: -40, Y: -7, W: 200, H: 90})
	if got := one.Rects(); len(got) != 1 || got[0] != (grid.Rect{X: -40, Y: -7, W: 200, H: 90}) {
		t.Errorf("one rectangle is %v", got)
	}
	r := rand.New(rand.NewPCG(4, 2))
	for range 200 {
		region := &grid.Region{}
		for range 1 + r.IntN(6) {
			box := grid.Rect{X: r.IntN(120) - 60, Y: r.IntN(120) - 60, W: 1 + r.IntN(70), H: 1 + r.IntN(70)}
			if other := (&grid.Region{}); r.IntN(3) == 0 {
				other.AddRect(box)
				region.Subtract(other)
			} else {
				region.AddRect(box)
			}
			region.Add(grid.Point{X: r.IntN(120) - 60, Y: r.IntN(120) - 60})
		}
		seen, n := map[grid.Point]bool{}, 0
		for _, b := range region.Rects() {
			for y := b.Y; y < b.Y+b.H; y++ {
				for x := b.X; x < b.X+b.W; x++ {
					p := grid.Point{X: x, Y: y}
					if seen[p] || !region.Has(p) {
						t.Fatalf("%v is covered twice, or not in the set", p)
					}
					seen[p] = true
					n++
				}
			}
		}
		if n != region.Count() {
			t.Fatalf("%d of %d cells are covered", n, region.Count())
		}
	}
}
