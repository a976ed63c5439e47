package hand

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
)

type point = grid.Point

// line is a ground line as a press draws it: where it begins, in map pixels, and its points from there.
type line struct {
	from   grid.Point
	points []grid.Point
	closed bool
}

// closedLine is what a line has that ends where it began.
var closedLine = []kind.Value{{Key: "closed", Value: "true"}}

// maxTrace is how many points of the pointer's way count.
const maxTrace = 4_000

// drawnLine is the line of the pointer's own way: along that with few points, or straight to its end. Ends
// near the ends of other lines, or of itself, lie on them. False where nothing is drawn freely.
func (w *Work) drawnLine(of *kind.Kind, g *Grip, ges *Gesture) (out line, ok bool) {
	trace := ges.Trace
	if of.Acts() != kind.GroundLine || len(trace) < 2 || len(trace) > maxTrace || g.Shape != Freehand && g.Shape != Line {
		return out, false
	}
	m := w.Map
	near := max(4, min(m.CellWidth, m.CellHeight)/2)
	ends := w.lineEnds(of)
	out.from = snapped(trace[0], ends, near)
	to := trace[len(trace)-1]
	all := []grid.Point{out.from, to}
	if g.Shape == Freehand && !ges.Even {
		all = simplified(append([]grid.Point{out.from}, trace[1:]...), max(1, near/4))
	} else if ges.Even {
		all[1] = grid.EvenLine(out.from, to)
	}
	last := len(all) - 1
	if all[last] = snapped(all[last], ends, near); len(all) > 3 && within(all[last], out.from, near) {
		out.closed = true
		all = all[:last]
	}
	for _, p := range all[1:] {
		if len(out.points) < document.MaxPoints && p != out.from {
			out.points = append(out.points, grid.Point{X: p.X - out.from.X, Y: p.Y - out.from.Y})
		}
	}
	return out, len(out.points) > 0
}

// lineEnds are the ends of the ground lines of the map that are not closed, in map pixels.
func (w *Work) lineEnds(of *kind.Kind) (out []grid.Point) {
	for _, e := range w.Map.Entities.All() {
		if len(e.Points) > 0 && w.Doc.Acts(e) == kind.GroundLine && !w.Doc.Value(e, "closed").Yes() {
			x, y := e.X+e.W/2, e.Y+e.H/2
			last := e.Points[len(e.Points)-1]
			out = append(out, grid.Point{X: x, Y: y}, grid.Point{X: x + last.X, Y: y + last.Y})
		}
	}
	return out
}

func within(a, b point, far int) bool {
	dx, dy := a.X-b.X, a.Y-b.Y
	return dx*dx+dy*dy <= far*far
}

// snapped is the first of some places that a point lies near, or the point.
func snapped(p point, to []point, near int) point {
	for _, q := range to {
		if within(p, q, near) {
			return q
		}
	}
	return p
}

// simplified leaves out the points of a way that lie nearer than so many pixels to the line between those
// that stay (Douglas and Peucker, 1973, in whole numbers).
func simplified(way []point, far int) []point {
	keep := make([]bool, len(way))
	keep[0], keep[len(way)-1] = true, true
	todo := [][2]int{{0, len(way) - 1}}
	for len(todo) > 0 {
		a, b := todo[len(todo)-1][0], todo[len(todo)-1][1]
		todo = todo[:len(todo)-1]
		p, q := way[a], way[b]
		dx, dy := q.X-p.X, q.Y-p.Y
		long := dx*dx + dy*dy
		most, at := -1, 0
		for i := a + 1; i < b; i++ {
			// the squared distance, times the squared length where that is not nothing
			ex, ey := way[i].X-p.X, way[i].Y-p.Y
			off := ex*ex + ey*ey
			if long > 0 {
				cross := dx*ey - dy*ex
				off = cross * cross / long
			}
			if off > most {
				most, at = off, i
			}
		}
		if most > far*far {
			keep[at] = true
			todo = append(todo, [2]int{a, at}, [2]int{at, b})
		}
	}
	var out []grid.Point
	for i, p := range way {
		if keep[i] {
			out = append(out, p)
		}
	}
	return out
}
