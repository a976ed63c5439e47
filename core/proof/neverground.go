package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
	"slices"
)

// maxNeverGround is of how many cells a map is at the most on which it is looked for ground that nobody comes to.
const maxNeverGround = 1 << 18

// neverGround are the pieces of free ground of a map that nobody comes to from any of several beginnings, though nothing but a thing, a gap or a
// height lies between them and where one comes. What walls close in is none: that is scenery. Seen from the side ground is what one could stand on.
// It gives the cells as well that one comes to, where there is such ground.
func neverGround(g *world.Ground, from []*May) (out []*grid.Region, come *grid.Region) {
	b := g.Bounds
	if b.W*b.H > maxNeverGround {
		return nil, nil
	}
	came := newCells(b)
	for _, f := range from {
		for i, some := range f.reached[g.Ref].bits {
			came.bits[i] |= some
		}
	}
	free := func(p grid.Point) bool {
		return b.Contains(p) && slices.ContainsFunc(from, func(f *May) bool { return !f.walled(g, p) })
	}
	if g.Side && slices.ContainsFunc(from, func(f *May) bool { return f.leaps[g.Ref] == nil }) {
		return nil, nil // one could be anywhere in the air
	}
	firm := func(p grid.Point) bool {
		if g.Side {
			return slices.ContainsFunc(from, func(f *May) bool { n := f.leaps[g.Ref].onRun(g, p); return n >= 0 && !f.leaps[g.Ref].run[n] })
		}
		return !slices.ContainsFunc(from, func(f *May) bool { return f.fills(g, p) != world.None || f.bars(g.Ref, p) })
	}
	seen := newCells(b)
	for y := b.Y; y < b.Y+b.H; y++ {
		for x := b.X; x < b.X+b.W; x++ {
			first := grid.Point{X: x, Y: y}
			if seen.has(first) || came.has(first) || !free(first) {
				continue
			}
			seen.add(first)
			piece, todo, beside := &grid.Region{}, []grid.Point{first}, false
			for len(todo) > 0 {
				p := todo[len(todo)-1]
				todo = todo[:len(todo)-1]
				if firm(p) {
					piece.Add(p)
				}
				for _, way := range document.Facings {
					dx, dy := way.Step()
					q := grid.Point{X: p.X + dx, Y: p.Y + dy}
					switch {
					case came.has(q):
						beside = true
					case !seen.has(q) && free(q):
						seen.add(q)
						todo = append(todo, q)
					}
				}
			}
			if beside && !piece.Empty() {
				out = append(out, piece)
			}
		}
	}
	come = &grid.Region{}
	for y := b.Y; y < b.Y+b.H && len(out) > 0; y++ {
		for x := b.X; x < b.X+b.W; x++ {
			if p := (grid.Point{X: x, Y: y}); came.has(p) {
				come.Add(p)
			}
		}
	}
	return out, come
}
