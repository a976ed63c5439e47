package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
)

// strides are the steps from a cell to the ones around it, those to the corners last.
var strides = [8][2]int{{0, -1}, {1, 0}, {0, 1}, {-1, 0}, {1, -1}, {1, 1}, {-1, 1}, {-1, -1}}

// spread goes over the cells that the hero can walk to, the nearest first, until found says so of
// one; it gives for each the one before. Seen from the side there are none. (Breadth first:
// every step costs the same; corners are not cut.)
func (g *Game) spread(found func(p grid.Point, far int) bool) map[grid.Point]grid.Point {
	m := g.Ground()
	if m == nil || m.Side {
		return nil
	}
	w := g.gait()
	cw, ch := m.Cell()
	known := map[grid.Point]bool{}
	free := func(p grid.Point) bool {
		is, ok := known[p]
		if !ok {
			x, y := int64(p.X)*cw+(cw-w.W)/2, int64(p.Y)*ch+(ch-w.H)/2
			is = m.Bounds.Contains(p) && (g.Roam || m.At(p)&world.Whole == 0 && !g.blocked(m, g.Hero(), boxAt(w, 0, x, y), boxAt(w, 0, x, y)))
			known[p] = is
		}
		return is
	}
	from := g.HeroCell()
	came := map[grid.Point]grid.Point{from: from}
	level, next := []grid.Point{from}, []grid.Point(nil)
	for far := 0; len(level) > 0; far++ {
		for _, p := range level {
			if found(p, far) {
				return came
			}
			for _, way := range strides {
				slant := way[0] != 0 && way[1] != 0
				q := grid.Point{X: p.X + way[0], Y: p.Y + way[1]}
				if _, seen := came[q]; seen || slant && !w.Eight || !free(q) {
					continue
				}
				if slant && !(free(grid.Point{X: q.X, Y: p.Y}) && free(grid.Point{X: p.X, Y: q.Y})) {
					continue
				}
				came[q] = p
				next = append(next, q)
			}
		}
		level, next = next, level[:0]
	}
	return came
}

// Route is the shortest way of the hero over cells to one of them, the first of them its own;
// nil where there is none.
func (g *Game) Route(to grid.Point) []grid.Point {
	from := g.HeroCell()
	return (&Ways{from, g.spread(func(p grid.Point, _ int) bool { return p == to }), nil}).To(to)
}

// To is the way to a cell, as Route gives it.
func (w *Ways) To(to grid.Point) []grid.Point {
	from, came := w.from, w.came
	if _, ok := came[to]; !ok || from == to {
		return nil
	}
	out := []grid.Point{to}
	for p := to; p != from; {
		p = came[p]
		out = append(out, p)
	}
	for i, k := 0, len(out)-1; i < k; i, k = i+1, k-1 {
		out[i], out[k] = out[k], out[i]
	}
	return out
}

// Ways are all cells that the hero can walk to.
type Ways struct {
	from grid.Point
	came map[grid.Point]grid.Point
	// Far is how many steps each of them is away.
	Far map[grid.Point]int
}

// Ways finds them.
func (g *Game) Ways() *Ways {
	out := &Ways{from: g.HeroCell(), Far: map[grid.Point]int{}}
	out.came = g.spread(func(p grid.Point, far int) bool {
		out.Far[p] = far
		return false
	})
	return out
}

// StandIn has the hero rest in the middle of a cell of its map, as if it had walked there from cell to cell with nothing happening.
func (g *Game) StandIn(p grid.Point, looks document.Facing) {
	m, b, w := g.Ground(), g.Hero(), g.gait()
	cw, ch := m.Cell()
	b.X, b.Y = int64(p.X)*cw+(cw-w.W)/2, int64(p.Y)*ch+(ch-w.H)/2
	b.VX, b.VY, b.Steps = 0, 0, 0
	b.Flags &^= Stepping
	b.turn(looks)
	g.Touching, g.Inside, g.State.Held = nil, world.None, 0
}

// Stands reports whether the hero stands in the middle of its cell.
func (g *Game) Stands() bool {
	m, b, w := g.Ground(), g.Hero(), g.gait()
	cw, ch := m.Cell()
	p := g.HeroCell()
	return b.X == int64(p.X)*cw+(cw-w.W)/2 && b.Y == int64(p.Y)*ch+(ch-w.H)/2
}

// Toward is what has to be held to come to the middle of a cell; there is true where it is.
func (g *Game) Toward(p grid.Point) (in Input, there bool) {
	m, b, w := g.Ground(), g.Hero(), g.gait()
	cw, ch := m.Cell()
	x, y := int64(p.X)*cw+(cw-w.W)/2, int64(p.Y)*ch+(ch-w.H)/2
	if b.Flags&Stepping != 0 {
		x, y = b.GoalX, b.GoalY
	}
	near := func(v, goal, pace int64) int64 {
		if abs(goal-v) <= pace/2+Sub/2 {
			return 0
		}
		return sign(goal - v)
	}
	in |= [3]Input{InputLeft, 0, InputRight}[near(b.X, x, w.RunX)+1]
	in |= [3]Input{InputUp, 0, InputDown}[near(b.Y, y, w.RunY)+1]
	return in, in == 0 && b.Flags&Stepping == 0
}
