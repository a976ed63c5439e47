// Package chart lays the maps of a project out on one plane and finds how they
// hang together: seams between maps whose edges touch, and what is wrong with
// the ways between them.
package chart

import (
	"azzel/core/document"
	"azzel/core/grid"
)

// gap is how far apart, in pixels, maps lie that nobody has placed.
const gap = 64

// rowWidth is how long a row of maps that nobody has placed grows, in pixels.
const rowWidth = 4096

// Places says where each map lies on the chart, in pixels at true scale. Maps
// that were not placed yet lie in rows below those that were, in their order.
func Places(d *document.Document) map[document.ID]grid.Rect {
	out := map[document.ID]grid.Rect{}
	var all grid.Rect
	var loose []*document.Map
	for _, m := range d.MapsInOrder() {
		size := m.ChartSize()
		if m.Chart == nil {
			loose = append(loose, m)
			continue
		}
		r := grid.Rect{X: m.Chart.X, Y: m.Chart.Y, W: size.X, H: size.Y}
		out[m.ID] = r
		all = all.Union(r)
	}
	x, y, high := all.X, all.Y, 0
	if !all.Empty() {
		y = all.Y + all.H + gap
	}
	for _, m := range loose {
		size := m.ChartSize()
		if x > all.X && x+size.X > all.X+rowWidth {
			x, y, high = all.X, y+high+gap, 0
		}
		out[m.ID] = grid.Rect{X: x, Y: y, W: size.X, H: size.Y}
		x, high = x+size.X+gap, max(high, size.Y)
	}
	return out
}

// Snapped is where a map comes to lie when it is dragged to a place on the
// chart: beside another one where edges come nearer than within, in pixels, and
// in step with its cells.
func (c *Chart) Snapped(id document.ID, at grid.Point, within int) (to grid.Point) {
	m := c.doc.Maps.Get(id)
	if m == nil {
		return at
	}
	size := m.ChartSize()
	best, bestAway := at, 1<<30
	for _, o := range c.order {
		r, reach := c.places[o.ID], max(within, o.CellWidth, o.CellHeight)
		far := at.X > r.X+r.W+reach || at.Y > r.Y+r.H+reach || at.X+size.X < r.X-reach || at.Y+size.Y < r.Y-reach
		if o.ID == id || far {
			continue
		}
		beside := at.Y < r.Y+r.H && at.Y+size.Y > r.Y
		above := at.X < r.X+r.W && at.X+size.X > r.X
		var tries []grid.Point
		if beside {
			y := r.Y + grid.FloorDiv(at.Y-r.Y+o.CellHeight/2, o.CellHeight)*o.CellHeight
			tries = append(tries, grid.Point{X: r.X + r.W, Y: y}, grid.Point{X: r.X - size.X, Y: y})
		}
		if above {
			x := r.X + grid.FloorDiv(at.X-r.X+o.CellWidth/2, o.CellWidth)*o.CellWidth
			tries = append(tries, grid.Point{X: x, Y: r.Y + r.H}, grid.Point{X: x, Y: r.Y - size.Y})
		}
		for _, p := range tries {
			dx, dy := max(p.X-at.X, at.X-p.X), max(p.Y-at.Y, at.Y-p.Y)
			near := dx <= within && dy <= max(within, o.CellHeight) || dy <= within && dx <= max(within, o.CellWidth)
			if away := dx + dy; near && away < bestAway {
				best, bestAway = p, away
			}
		}
	}
	return best
}
