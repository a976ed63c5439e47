package material

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"math/rand/v2"
	"testing"
)

// A chunk shows what each of its cells shows by itself: of many materials, some with numbers that end alike, with edges to others, with odds,
// put together of quarters, or not there at all; beside tiles, some of them fixed by hand; and wherever the map ends.
func TestChunksShowWhatTheirCellsShow(t *testing.T) {
	draw := rand.New(rand.NewPCG(8, 5))
	for range 60 {
		var sets []Set
		var held []cells.Cell
		for _, number := range []int{1, 2, 17, 33, 34, 4095}[:1+draw.IntN(6)] {
			s := complete(number, []string{BySides, ByCorners, ByBoth}[draw.IntN(3)])
			s.Beyond, s.Composes = draw.IntN(2) == 0, draw.IntN(2) == 0
			for range draw.IntN(4) {
				i := draw.IntN(len(s.Tiles))
				s.Tiles = append(s.Tiles, Tile{Cell: cells.TileCell(number, 500+i), Form: s.Tiles[i].Form, Odds: draw.IntN(3), Beside: []int{0, 2, 33}[draw.IntN(3)]})
			}
			if draw.IntN(3) == 0 {
				s.Tiles = s.Tiles[len(s.Tiles)/2:]
			}
			sets = append(sets, s)
			held = append(held, cells.MaterialCell(number, draw.IntN(256)), s.Tiles[0].Cell)
		}
		held = append(held, 0, cells.TileCell(9, 1), cells.MaterialCell(7, 0))
		bounds := grid.Rect{X: draw.IntN(40) - 40, Y: draw.IntN(40) - 40, W: 1 + draw.IntN(90), H: 1 + draw.IntN(90)}
		all := grid.Rect{X: -64, Y: -64, W: 160, H: 160}
		region := &grid.Region{}
		region.AddRect(all)
		few := held[:1+draw.IntN(len(held))]
		p, _ := cells.PaintEach(region, all, func(x, y int) (cells.Cell, bool) { return few[draw.IntN(len(few))], draw.IntN(9) > 0 }).Apply(cells.Plane{})
		f, each := NewFitter(sets), NewFitter(sets)
		for cy := -2; cy < 3; cy++ {
			for cx := -2; cx < 3; cx++ {
				var out [side * side]Shown
				for i := range out { // what was there before is of no account
					out[i] = Shown{Cell: 77, Quarters: &[4]cells.Cell{}}
				}
				if !f.Chunk(p, bounds, cx, cy, &out) {
					continue
				}
				for i, got := range out {
					x, y := cx*side+i%side, cy*side+i/side
					want := each.At(p, bounds, x, y)
					if same := got.Quarters == nil && want.Quarters == nil || got.Quarters != nil && want.Quarters != nil && *got.Quarters == *want.Quarters; got.Cell != want.Cell || !same {
						t.Fatalf("%d,%d of %v shows %v in its chunk and %v alone", x, y, bounds, got, want)
					}
				}
			}
		}
	}
}
