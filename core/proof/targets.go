package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
)

// spots are the cells that the hero can walk to, each with how far it is.
type spots struct{ *play.Ways }

// touching adds the nearest cell in which the hero touches a thing, or in which its middle
// lies in it: that is how things lead on.
func (s spots) touching(out []target, m *world.Ground, t *world.Thing, grows bool) []target {
	from, to := m.CellAt(t.Body.Left, t.Body.Top), m.CellAt(t.Body.Right-1, t.Body.Bottom-1)
	return s.nearest(out, from, to, target{grows: grows})
}

// beside adds the nearest cell from which a switch is used: on it, or looking at it.
func (s spots) beside(out []target, m *world.Ground, t *world.Thing) []target {
	from, to := m.CellAt(t.Body.Left, t.Body.Top), m.CellAt(t.Body.Right-1, t.Body.Bottom-1)
	n := len(out)
	out = s.nearest(out, from, to, target{use: true})
	for _, f := range document.Facings {
		dx, dy := f.Step()
		a := grid.Point{X: from.X - dx, Y: from.Y - dy}
		b := grid.Point{X: to.X - dx, Y: to.Y - dy}
		out = s.nearest(out, a, b, target{use: true, turn: f})
	}
	// one of them is enough: they all do the same
	best := n
	for i := n; i < len(out); i++ {
		if out[i].far < out[best].far {
			best = i
		}
	}
	if best < len(out) {
		out[n] = out[best]
		out = out[:n+1]
	}
	return out
}

// nearest adds the nearest cell between two corners.
func (s spots) nearest(out []target, from, to grid.Point, like target) []target {
	best := -1
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			p := grid.Point{X: x, Y: y}
			if far, ok := s.Far(p); ok && (best < 0 || far < best) {
				best = far
				like.at, like.far = p, far
			}
		}
	}
	if best < 0 {
		return out
	}
	return append(out, like)
}

// point is a cell.
type point = grid.Point

// edges are the cells at the edges of the map from which something may lead on: of every run
// of them the nearest.
func (s spots) edges(m *world.Ground) []target {
	var out []target
	b := m.Bounds
	run := func(f document.Facing, n int, at func(i int) point) {
		best := target{far: -1, over: f}
		flush := func() {
			if best.far >= 0 {
				out = append(out, best)
			}
			best.far = -1
		}
		for i := range n {
			far, ok := s.Far(at(i))
			if !ok {
				flush()
				continue
			}
			if best.far < 0 || far < best.far {
				best.at, best.far = at(i), far
			}
		}
		flush()
	}
	run(document.Up, b.W, func(i int) point { return grid.Point{X: b.X + i, Y: b.Y} })
	run(document.Right, b.H, func(i int) point { return grid.Point{X: b.X + b.W - 1, Y: b.Y + i} })
	run(document.Down, b.W, func(i int) point { return grid.Point{X: b.X + i, Y: b.Y + b.H - 1} })
	run(document.Left, b.H, func(i int) point { return grid.Point{X: b.X, Y: b.Y + i} })
	return out
}
