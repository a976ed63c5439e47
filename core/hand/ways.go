package hand

import (
	"azzel/core/document"
	"azzel/core/grid"
)

// wayOf is the points of a path that a press draws, in map pixels from the middle of
// the cell where it began: along a line to its end, around a box, else along the
// pointer's own way. A press that goes nowhere makes one of three cells.
func wayOf(m *document.Map, g *Grip, ges *Gesture) []grid.Point {
	from, to := ges.Way[0], ges.Way[len(ges.Way)-1]
	var corners []grid.Point
	switch {
	case g.Shape == Freehand:
		corners = turns(ges.Way)
	case g.Shape == Line:
		if ges.Even {
			to = grid.EvenLine(from, to)
		}
		corners = []grid.Point{to}
	case g.Shape == Box || g.Shape == Rim || g.Shape == Oval:
		corners = []grid.Point{{X: to.X, Y: from.Y}, to, {X: from.X, Y: to.Y}, from}
	}
	out := []grid.Point{}
	last := from
	for _, c := range corners {
		if c != last && len(out) < document.MaxPoints {
			out = append(out, grid.Point{X: (c.X - from.X) * m.CellWidth, Y: (c.Y - from.Y) * m.CellHeight})
			last = c
		}
	}
	if len(out) == 0 {
		out = append(out, grid.Point{X: 3 * m.CellWidth})
	}
	return out
}

// turns are the points of a way at which it turns, and its end.
func turns(way []grid.Point) (out []grid.Point) {
	step := func(a, b grid.Point) grid.Point {
		sign := func(n int) int { return max(-1, min(n, 1)) }
		return grid.Point{X: sign(b.X - a.X), Y: sign(b.Y - a.Y)}
	}
	for i := 1; i < len(way); i++ {
		if i == len(way)-1 || step(way[i-1], way[i]) != step(way[i], way[i+1]) {
			out = append(out, way[i])
		}
	}
	return out
}
