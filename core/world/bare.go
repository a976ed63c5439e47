package world

import "azzel/core/grid"

// Bare reports whether no thing that never leaves its place stands near a box; that it is so is kept for what lies around, and else what was met.
func (g *Ground) Bare(b Box) bool {
	return b.Left >= g.bare.Left && b.Top >= g.bare.Top && b.Right <= g.bare.Right && b.Bottom <= g.bare.Bottom || apart(g.taken, b) && g.bares(b)
}

// bares looks whether nothing stands in a box, and keeps for the next time how far around it that is so: in the squares of the box, and
// in those around them where nothing stands in those. A crowd, which asks for another place each time, need not look that far.
func (g *Ground) bares(b Box) bool {
	if g.near == nil {
		g.lookUp()
	}
	from, to, across := g.SquaresOf(b)
	empty := true
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			all := g.near[y*across+x]
			for i := range all {
				if !apart(all[i].at, b) {
					g.taken = all[i].at
					return false
				}
			}
			empty = empty && len(all) == 0
		}
	}
	if empty {
		from = grid.Point{X: max(0, from.X-1), Y: max(0, from.Y-1)}
		to = grid.Point{X: min(across-1, to.X+1), Y: min((g.Bounds.H+nearSide-1)/nearSide-1, to.Y+1)}
	}
	g.bare = g.bareAround(b, from, to, across)
	return true
}

// bareAround is as much of some squares, around a box in which nothing stands, in which nothing does either.
func (g *Ground) bareAround(b Box, from, to grid.Point, across int) Box {
	w, h := g.Cell()
	out := Box{Left: int64(from.X*nearSide+g.Bounds.X) * w, Top: int64(from.Y*nearSide+g.Bounds.Y) * h,
		Right: int64((to.X+1)*nearSide+g.Bounds.X) * w, Bottom: int64((to.Y+1)*nearSide+g.Bounds.Y) * h}
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			for _, o := range g.near[y*across+x] {
				if !apart(o.at, out) {
					out = without(out, o.at, b)
				}
			}
		}
	}
	return out
}

// reach is all of a thing: what is touched of it, and all that it covers.
func reach(t *Thing) Box {
	return Box{Left: min(t.Body.Left, int64(t.X)*Unit), Top: min(t.Body.Top, int64(t.Y)*Unit),
		Right: max(t.Body.Right, int64(t.X+t.W)*Unit), Bottom: max(t.Body.Bottom, int64(t.Y+t.H)*Unit)}
}

// nowhere is a box that touches none.
var nowhere = Box{Left: 1 << 62, Top: 1 << 62, Right: 1 << 62, Bottom: 1 << 62}

func apart(a, b Box) bool {
	return a.Left >= b.Right || a.Right <= b.Left || a.Top >= b.Bottom || a.Bottom <= b.Top
}

// without is what is left of a box, on that side of something of which most is left, around another one that does not touch that.
func without(all, at, around Box) Box {
	var out Box
	size := func(b Box) int64 { return (b.Right - b.Left) / Unit * ((b.Bottom - b.Top) / Unit) }
	try := func(fits bool, b Box) {
		if fits && (out == Box{} || size(b) > size(out)) {
			out = b
		}
	}
	left, top, right, bottom := all, all, all, all
	left.Right, top.Bottom, right.Left, bottom.Top = at.Left, at.Top, at.Right, at.Bottom
	try(around.Right <= at.Left, left)
	try(around.Bottom <= at.Top, top)
	try(around.Left >= at.Right, right)
	try(around.Top >= at.Bottom, bottom)
	return out
}
