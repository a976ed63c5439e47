package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
)

// strides are the steps from a cell to the ones around it, those to the corners last.
var strides = [8][2]int{{0, -1}, {1, 0}, {0, 1}, {-1, 0}, {1, -1}, {1, 1}, {-1, 1}, {-1, -1}}

// Ways are the cells that a hero can walk to: of each how far it is, and from which side one comes. They are rows of a box.
type Ways struct {
	box grid.Rect
	// far is one more than how many steps a cell is away, 0 where it is not come to; by is the stride that leads into it.
	far []int32
	by  []uint8
	// Looked is how many cells were looked at for it.
	Looked int
}

func (w *Ways) at(p grid.Point) int { return (p.Y-w.box.Y)*w.box.W + p.X - w.box.X }

// Far is how many steps a cell is away; false where one does not come to it.
func (w *Ways) Far(p grid.Point) (int, bool) {
	if !w.box.Contains(p) || w.far[w.at(p)] == 0 {
		return 0, false
	}
	return int(w.far[w.at(p)]) - 1, true
}

// To is the way to a cell, as Route gives it.
func (w *Ways) To(to grid.Point) []grid.Point {
	far, ok := w.Far(to)
	if !ok || far == 0 {
		return nil
	}
	out := make([]grid.Point, far+1)
	for p := to; far >= 0; far-- {
		out[far] = p
		way := strides[w.by[w.at(p)]]
		p = grid.Point{X: p.X - way[0], Y: p.Y - way[1]}
	}
	return out
}

// What is known of a cell that is looked at.
const (
	freeCell uint8 = iota + 1
	shutCell
)

// spread goes over the cells that the hero can walk to, the nearest first, until found says so of one, nil being never. Seen from the
// side there are none. (Breadth first: every step costs the same; corners are not cut.)
func (g *Game) spread(found func(p grid.Point) bool) *Ways {
	m, from := g.Ground(), g.HeroCell()
	out := &Ways{}
	if m == nil || m.Side {
		return out
	}
	if b := m.Bounds; !(grid.Rect{X: b.X - 1, Y: b.Y - 1, W: b.W + 2, H: b.H + 2}).Contains(from) {
		return out // it is far beyond an edge, where nothing is
	}
	w := g.gait()
	cw, ch := m.Cell()
	out.box = m.Bounds.Union(grid.Rect{X: from.X, Y: from.Y, W: 1, H: 1})
	out.far, out.by = make([]int32, out.box.W*out.box.H), make([]uint8, out.box.W*out.box.H)
	known := make([]uint8, len(out.far))
	free := func(p grid.Point) bool {
		if !m.Bounds.Contains(p) {
			return false
		}
		i := out.at(p)
		if known[i] == 0 {
			out.Looked++
			x, y := int64(p.X)*cw+(cw-w.W)/2, int64(p.Y)*ch+(ch-w.H)/2
			known[i] = shutCell
			if g.Roam || m.At(p)&world.Whole == 0 && !g.blocked(m, g.Hero(), boxAt(w, 0, x, y), boxAt(w, 0, x, y)) {
				known[i] = freeCell
			}
		}
		return known[i] == freeCell
	}
	out.far[out.at(from)] = 1
	level, next := []grid.Point{from}, []grid.Point(nil)
	for far := int32(2); len(level) > 0; far++ {
		for _, p := range level {
			if found != nil && found(p) {
				return out
			}
			for n, way := range strides {
				slant := way[0] != 0 && way[1] != 0
				q := grid.Point{X: p.X + way[0], Y: p.Y + way[1]}
				if slant && !w.Eight || !m.Bounds.Contains(q) || out.far[out.at(q)] != 0 || !free(q) {
					continue
				}
				if slant && !(free(grid.Point{X: q.X, Y: p.Y}) && free(grid.Point{X: p.X, Y: q.Y})) {
					continue
				}
				out.far[out.at(q)], out.by[out.at(q)] = far, uint8(n)
				next = append(next, q)
			}
		}
		level, next = next, level[:0]
	}
	return out
}

// Route is the shortest way of the hero over cells to one of them, the first of them its own;
// nil where there is none.
func (g *Game) Route(to grid.Point) []grid.Point {
	return g.spread(func(p grid.Point) bool { return p == to }).To(to)
}

// Ways finds all cells that the hero can walk to.
func (g *Game) Ways() *Ways { return g.spread(nil) }

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
