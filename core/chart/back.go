package chart

import (
	"azzel/core/document"
	"azzel/core/grid"
)

// backWithin is how far, in cells, one may have to go from where a way ends to where
// the way back begins.
const backWithin = 2

// Back is the way back of a passage: one that begins beside the place where it ends
// and ends beside the place where it begins; nil where there is none.
func Back(d *document.Document, p *document.Passage) *document.Passage {
	return backAmong(d, p, d.Passages.All())
}

func backAmong(d *document.Document, p *document.Passage, all []*document.Passage) (out *document.Passage) {
	best := 0
	for _, q := range all {
		if q.ID == p.ID || q.From.Map != p.To.Map || q.To.Map != p.From.Map {
			continue
		}
		there, near := between(d, q.From, p.To)
		here, nearToo := between(d, p.From, q.To)
		if near && nearToo && (out == nil || there+here < best) {
			out, best = q, there+here
		}
	}
	return out
}

// between is how many cells lie between two ends on one map, and whether that is near.
func between(d *document.Document, a, b document.End) (cells int, near bool) {
	m := d.Maps.Get(a.Map)
	if m == nil {
		return 0, false
	}
	r, ok := EndBox(d, m, a)
	s, there := EndBox(d, m, b)
	if !ok || !there {
		return 0, false
	}
	cells = apart(r, s)
	return cells, Beside(r, s)
}

// apart is how many cells lie between two boxes.
func apart(r, s grid.Rect) int {
	return max(r.X-s.X-s.W, s.X-r.X-r.W, r.Y-s.Y-s.H, s.Y-r.Y-r.H, 0)
}

// Beside reports whether two boxes of cells lie so near that a way which ends at one
// leads back from the other.
func Beside(r, s grid.Rect) bool { return apart(r, s) <= backWithin }

// EndBox is the cells of an end of a passage: those of an entity, or along a side of
// the map; not ok where the entity is gone.
func EndBox(d *document.Document, m *document.Map, end document.End) (box grid.Rect, ok bool) {
	b := m.Bounds
	switch end.Side {
	case document.Up:
		return grid.Rect{X: b.X, Y: b.Y, W: b.W, H: 1}, true
	case document.Down:
		return grid.Rect{X: b.X, Y: b.Y + b.H - 1, W: b.W, H: 1}, true
	case document.Left:
		return grid.Rect{X: b.X, Y: b.Y, W: 1, H: b.H}, true
	case document.Right:
		return grid.Rect{X: b.X + b.W - 1, Y: b.Y, W: 1, H: b.H}, true
	}
	e := m.Entities.Get(end.Entity)
	if e == nil {
		return grid.Rect{}, false
	}
	return e.Box(m), true
}
