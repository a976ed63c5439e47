package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"slices"
)

// Merged is what is solid on a map as few large pieces: rectangles of whole
// cells, in cells, and the slanting sides of parts joined to segments, in half
// pixels of the map.
type Merged struct {
	Rects    []grid.Rect `json:"rects"`
	Segments []Segment   `json:"segments"`
}

// Segment is a line from A to B.
type Segment struct {
	A grid.Point `json:"a"`
	B grid.Point `json:"b"`
}

// Merged merges what is solid on a map.
func (s *Solids) Merged(m *Map) Merged {
	return Merged{Rects: Rectangles(s.Region(m)), Segments: s.segments(m)}
}

// Region is the cells of a map that are solid all over.
func (s *Solids) Region(m *Map) *grid.Region {
	s.look(m)
	out := &grid.Region{}
	for _, l := range s.layers[m.ID] {
		materials := false
		out.Union(l.Cells.Region(m.Bounds, func(c cells.Cell) bool {
			materials = materials || c.IsMaterial()
			return s.Cell(c)
		}))
		if !materials {
			continue
		}
		for _, p := range l.Cells.Region(m.Bounds, cells.Cell.IsMaterial).Points() {
			if s.Shown(m, l, p) {
				out.Add(p)
			}
		}
	}
	for i := len(s.zoned[m.ID]) - 1; i >= 0; i-- {
		plane := s.zoned[m.ID][i].Cells
		out.Union(plane.Region(m.Bounds, func(c cells.Cell) bool { return s.zones[c.Tileset()] == ZoneBlocked }))
		out.Subtract(plane.Region(m.Bounds, func(c cells.Cell) bool { return s.zones[c.Tileset()] == ZoneWalkable }))
	}
	return out
}

// Rectangles covers a set of cells exactly with rectangles that do not overlap:
// from the top, each run of a row is taken as far down as the same run goes on.
func Rectangles(r *grid.Region) []grid.Rect {
	type run struct{ x0, x1 int }
	rows := map[int][]run{}
	var order []int
	for _, s := range r.Spans() {
		if rows[s.Y] == nil {
			order = append(order, s.Y)
		}
		rows[s.Y] = append(rows[s.Y], run{s.X0, s.X1})
	}
	slices.Sort(order)
	for _, y := range order {
		row := rows[y]
		slices.SortFunc(row, func(a, b run) int { return a.x0 - b.x0 })
		joined := row[:1]
		for _, next := range row[1:] {
			if last := &joined[len(joined)-1]; next.x0 == last.x1 {
				last.x1 = next.x1 // runs end at chunks; they go on here
			} else {
				joined = append(joined, next)
			}
		}
		rows[y] = joined
	}
	out, open := []grid.Rect{}, []grid.Rect(nil)
	for i, y := range order {
		if i > 0 && order[i-1] != y-1 {
			out, open = append(out, open...), nil
		}
		var next []grid.Rect
		k := 0
		for _, r := range rows[y] {
			for k < len(open) && open[k].X < r.x0 {
				out = append(out, open[k])
				k++
			}
			if k < len(open) && open[k].X == r.x0 && open[k].W == r.x1-r.x0 {
				grown := open[k]
				grown.H++
				next = append(next, grown)
				k++
				continue
			}
			next = append(next, grid.Rect{X: r.x0, Y: y, W: r.x1 - r.x0, H: 1})
		}
		out = append(out, open[k:]...)
		open = next
	}
	out = append(out, open...)
	slices.SortFunc(out, func(a, b grid.Rect) int {
		if a.Y != b.Y {
			return a.Y - b.Y
		}
		return a.X - b.X
	})
	return out
}

// segments joins the slanting sides of the parts on a map where one goes on
// straight in the next.
func (s *Solids) segments(m *Map) []Segment {
	out := []Segment{}
	starts := map[grid.Point][]int{} // by where a segment can go on
	if !s.sheets.anyPart() {
		return out
	}
	for _, l := range s.layers[m.ID] {
		hit := l.Cells.Region(m.Bounds, func(c cells.Cell) bool { i := s.sheets.Info(c); return i != nil && i.Part != "" })
		for _, p := range hit.Points() {
			c := l.Cells.At(p.X, p.Y)
			shape := s.shape(c, s.sheets.Info(c), m.CellWidth, m.CellHeight)
			for i, a := range shape {
				b := shape[(i+1)%len(shape)]
				if a.X == b.X || a.Y == b.Y {
					continue
				}
				if a.X > b.X {
					a, b = b, a
				}
				at := grid.Point{X: 2 * p.X * m.CellWidth, Y: 2 * p.Y * m.CellHeight}
				seg := Segment{grid.Point{X: a.X + at.X, Y: a.Y + at.Y}, grid.Point{X: b.X + at.X, Y: b.Y + at.Y}}
				joined := false
				for _, k := range starts[seg.A] {
					if o := out[k]; o.B == seg.A && (o.B.X-o.A.X)*(seg.B.Y-seg.A.Y) == (o.B.Y-o.A.Y)*(seg.B.X-seg.A.X) {
						out[k].B = seg.B
						starts[seg.B] = append(starts[seg.B], k)
						joined = true
						break
					}
				}
				if !joined {
					starts[seg.B] = append(starts[seg.B], len(out))
					out = append(out, seg)
				}
			}
		}
	}
	// rows come from the top, so a line that rises to the right was met from its
	// right end: those that touch are joined once more
	return joinedUp(out)
}

func joinedUp(all []Segment) []Segment {
	slices.SortFunc(all, func(a, b Segment) int {
		if a.A.X != b.A.X {
			return a.A.X - b.A.X
		}
		return a.A.Y - b.A.Y
	})
	ends := map[grid.Point]int{}
	out := []Segment{}
	for _, s := range all {
		if k, ok := ends[s.A]; ok {
			o := out[k]
			if (o.B.X-o.A.X)*(s.B.Y-s.A.Y) == (o.B.Y-o.A.Y)*(s.B.X-s.A.X) {
				delete(ends, s.A)
				out[k].B = s.B
				ends[s.B] = k
				continue
			}
		}
		ends[s.B] = len(out)
		out = append(out, s)
	}
	return out
}
