package play

import (
	"azzel/core/chart"
	"azzel/core/sample"
	"azzel/core/world"
	"math/rand/v2"
	"slices"
	"testing"
)

// Bodies that are looked through, while they are few, are those that are looked up in squares, but for what lies a cell farther.
func TestFewBodiesAreFoundAsMany(t *testing.T) {
	doc := sample.World()
	ground := world.New(doc, chart.New(doc, nil), nil).Grounds[0]
	wide, high := int64(ground.Bounds.W*ground.CellWidth), int64(ground.Bounds.H*ground.CellHeight)
	draw := rand.New(rand.NewPCG(7, 1))
	place := func() world.Box {
		x, y := draw.Int64N(wide)*Sub, draw.Int64N(high)*Sub
		return world.Box{Left: x, Top: y, Right: x + (1+draw.Int64N(40))*Sub, Bottom: y + (1+draw.Int64N(40))*Sub}
	}
	for range 200 {
		var few, many buckets
		few.empty(ground.SquareCount())
		many.empty(ground.SquareCount())
		var at []world.Box
		for i := range 1 + draw.IntN(fewBodies) {
			at = append(at, place())
			few.add(ground, at[i], int32(i))
			many.add(ground, at[i], int32(i))
		}
		for i := range fewBodies { // so many more that they are looked up
			many.add(ground, world.Box{Left: 0, Top: 0, Right: 1, Bottom: 1}, int32(100+i))
		}
		for range 20 {
			box := place()
			found := func(k *buckets) (out []int32) {
				k.near(ground, box, func(body int32) bool {
					if body < 100 && meets(at[body], box) {
						out = append(out, body)
					}
					return true
				})
				slices.Sort(out)
				return slices.Compact(out)
			}
			if a, b := found(&few), found(&many); !slices.Equal(a, b) {
				t.Fatalf("at %v: %v of few, %v of many", box, a, b)
			}
			if met := slices.ContainsFunc(at, func(b world.Box) bool { return meets(b, box) }); met && !few.any(ground, box) {
				t.Fatalf("at %v: nobody", box)
			}
		}
	}
}
