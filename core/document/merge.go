package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"cmp"
	"slices"
)

// Merged is what is solid on a map as few large pieces: rectangles of whole
// cells, in cells, and, in half pixels of the map, the rectangles that solid parts
// of tiles are, and the slanting sides of the others (of own parts all sides).
type Merged struct {
	Rects    []grid.Rect `json:"rects"`
	Parts    []grid.Rect `json:"parts"`
	Segments []Segment   `json:"segments"`
}

// Segment is a line from A to B.
type Segment struct {
	A grid.Point `json:"a"`
	B grid.Point `json:"b"`
}

// Merged merges what is solid on a map.
func (s *Solids) Merged(m *Map) Merged {
	out := Merged{Rects: s.Region(m).Rects()}
	out.Parts, out.Segments = s.parts(m)
	return out
}

// Region is the cells of a map that are solid all over.
func (s *Solids) Region(m *Map) *grid.Region {
	out := &grid.Region{}
	for _, l := range s.ground(m).layers {
		materials := false
		l.Cells.Mark(out, m.Bounds, func(c cells.Cell) bool {
			materials = materials || c.IsMaterial()
			return s.Cell(c)
		})
		if !materials {
			continue
		}
		for _, p := range l.Cells.Region(m.Bounds, cells.Cell.IsMaterial).Points() {
			if s.Shown(m, l, p) {
				out.Add(p)
			}
		}
	}
	for i := len(s.ground(m).zoned) - 1; i >= 0; i-- {
		plane := s.ground(m).zoned[i].Cells
		plane.Mark(out, m.Bounds, func(c cells.Cell) bool { return s.zones[c.Tileset()] == ZoneBlocked })
		out.Subtract(plane.Region(m.Bounds, func(c cells.Cell) bool { return s.zones[c.Tileset()] == ZoneWalkable }))
	}
	for _, c := range s.ground(m).covers {
		for _, p := range c.of.Cells.Region(m.Bounds, func(c cells.Cell) bool { return c != 0 }).Points() {
			at := &grid.Region{}
			if at.Add(p); s.At(m, p) {
				out.Union(at)
			} else {
				out.Subtract(at)
			}
		}
	}
	return out
}

// parts joins the pieces of cells that are solid: rectangles where one goes on
// in the next, and slanting sides to lines.
func (s *Solids) parts(m *Map) ([]grid.Rect, []Segment) {
	rects, lines := []grid.Rect{}, []Segment{}
	if !s.sheets.anyPart() {
		return rects, lines
	}
	hit := &grid.Region{}
	for _, l := range s.ground(m).layers {
		l.Cells.Mark(hit, m.Bounds, func(c cells.Cell) bool {
			i := s.sheets.Info(c)
			return c.IsMaterial() || i != nil && i.Part != ""
		})
	}
	for _, p := range hit.Points() {
		if s.At(m, p) {
			continue
		}
		s.partsAt(m, p, func(c cells.Cell, info *TileInfo) {
			for _, o := range s.outlines(c, info, m.CellWidth, m.CellHeight) {
				o = o.moved(2*p.X*m.CellWidth, 2*p.Y*m.CellHeight)
				if r, ok := o.box(); ok {
					rects = append(rects, r)
					continue
				}
				for i, a := range o {
					if _, _, end := o.around(i); info.Part == PartOwn || a.X != end.X && a.Y != end.Y {
						lines = append(lines, Segment{a, end}.rightward())
					}
				}
			}
		})
	}
	return joinedRects(rects), joinedLines(lines)
}

// joinedRects joins rectangles that go on beside and then those that go on below.
func joinedRects(all []grid.Rect) []grid.Rect { return joinedAlong(joinedAlong(all, true), false) }

// joinedAlong joins rectangles of the same rows that go on beside each other, or
// of the same columns that go on below.
func joinedAlong(all []grid.Rect, beside bool) []grid.Rect {
	slices.SortFunc(all, func(a, b grid.Rect) int {
		if beside {
			return cmp.Or(a.Y-b.Y, a.H-b.H, a.X-b.X)
		}
		return cmp.Or(a.X-b.X, a.W-b.W, a.Y-b.Y)
	})
	out := []grid.Rect{}
	for _, r := range all {
		if len(out) > 0 {
			o := &out[len(out)-1]
			if beside && o.Y == r.Y && o.H == r.H && r.X <= o.X+o.W {
				o.W = max(o.W, r.X+r.W-o.X)
				continue
			}
			if !beside && o.X == r.X && o.W == r.W && r.Y <= o.Y+o.H {
				o.H = max(o.H, r.Y+r.H-o.Y)
				continue
			}
		}
		out = append(out, r)
	}
	return out
}

// rightward is the same line with its left end first.
func (s Segment) rightward() Segment {
	if s.A.X > s.B.X {
		return Segment{s.B, s.A}
	}
	return s
}

// joinedLines joins lines where one goes on straight in the next.
func joinedLines(all []Segment) []Segment {
	slices.SortFunc(all, func(a, b Segment) int { return cmp.Or(a.A.X-b.A.X, a.A.Y-b.A.Y) })
	type end struct{ at, way grid.Point }
	open := map[end]int{} // lines by their right ends and directions
	out := []Segment{}
	for _, s := range all {
		dx, dy := s.B.X-s.A.X, s.B.Y-s.A.Y
		g := divisor(dx, dy)
		way := grid.Point{X: dx / g, Y: dy / g}
		k, ok := open[end{s.A, way}]
		if ok {
			delete(open, end{s.A, way})
			out[k].B = s.B
		} else {
			k = len(out)
			out = append(out, s)
		}
		open[end{s.B, way}] = k
	}
	return out
}

// divisor is the greatest common divisor of two numbers that are not both 0, by Euclid.
func divisor(a, b int) int {
	for b != 0 {
		a, b = b, a%b
	}
	return max(a, -a)
}
