package world

import (
	"azzel/core/document"
	"cmp"
)

// Line is ground that is drawn freely: its points one after the other, in 1/256 map pixels.
type Line struct {
	Points []Spot
	// Above tells that it stops only what comes from above.
	Above bool
}

// lineOf is the line of an entity; a closed one ends where it began. Nil where it has no second point.
func lineOf(e *document.Entity, closed, above bool) *Line {
	if len(e.Points) == 0 {
		return nil
	}
	out := &Line{Points: pointsOf(e), Above: above}
	if closed {
		out.Points = append(out.Points, out.Points[0])
	}
	return out
}

// Segment is a part of a line between two of its points, of a thing.
type Segment struct {
	Of   Ref
	A, B Spot
	// Above tells that it stops only what comes from above.
	Above bool
}

// Box is the smallest box around a segment.
func (s *Segment) Box() Box {
	return Box{Left: min(s.A.X, s.B.X), Top: min(s.A.Y, s.B.Y), Right: max(s.A.X, s.B.X) + 1, Bottom: max(s.A.Y, s.B.Y) + 1}
}

// Crosses reports whether a line from one place to another touches a box: on neither axis apart, nor on
// that across the line (the separating axes of a segment and a box).
func Crosses(from, to Spot, b Box) bool {
	if max(from.X, to.X) < b.Left || min(from.X, to.X) >= b.Right || max(from.Y, to.Y) < b.Top || min(from.Y, to.Y) >= b.Bottom {
		return false
	}
	side := func(x, y int64) int { return cmp.Compare((to.X-from.X)*(y-from.Y)-(to.Y-from.Y)*(x-from.X), 0) }
	n := side(b.Left, b.Top) + side(b.Right, b.Top) + side(b.Left, b.Bottom) + side(b.Right, b.Bottom)
	return n != 4 && n != -4
}

// Y is how deep a segment lies at a place across, which is moved to its nearer end where it lies beside it.
func (s *Segment) Y(x int64) int64 {
	a, b := s.A, s.B
	if a.X > b.X {
		a, b = b, a
	}
	if a.X == b.X {
		return min(a.Y, b.Y)
	}
	x = max(a.X, min(x, b.X))
	return a.Y + (b.Y-a.Y)*(x-a.X)/(b.X-a.X)
}

// Segments calls f with the parts of lines on a map that come near a box, some more than once, until it says no.
func (g *Ground) Segments(b Box, f func(*Segment) bool) {
	set := g.settings()
	if len(set.segments) == 0 {
		return
	}
	goes := true
	g.Squares(b, func(i int) {
		for _, n := range set.segmentsNear[i] {
			if !goes {
				return
			}
			goes = f(&set.segments[n])
		}
	})
}

// HasLines tells whether any ground of the map is drawn freely.
func (g *Ground) HasLines() bool { return len(g.settings().segments) > 0 }

// takeLines finds the segments of a map, and in which squares they lie.
func (s *settings) takeLines(g *Ground) {
	for r := g.First; r < g.After; r++ {
		line := g.stage.Things[r].Doing.Line
		if line == nil {
			continue
		}
		for i := 1; i < len(line.Points); i++ {
			s.segments = append(s.segments, Segment{r, line.Points[i-1], line.Points[i], line.Above})
		}
	}
	if len(s.segments) == 0 {
		return
	}
	s.segmentsNear = make([][]int32, g.SquareCount())
	for n := range s.segments {
		g.Squares(s.segments[n].Box(), func(i int) { s.segmentsNear[i] = append(s.segmentsNear[i], int32(n)) })
	}
}
