package chart

import (
	"azzel/core/document"
	"azzel/core/grid"
	"cmp"
	"fmt"
	"slices"
)

// Seam is where two maps touch on the chart: the hero walks from one to the
// other wherever both sides are open.
type Seam struct {
	A document.ID `json:"a"`
	B document.ID `json:"b"`
	// Side is that of A at which B lies.
	Side document.Facing `json:"side"`
	// Open are the parts of the edge that are open on both sides, in cells of A along it.
	Open []Stretch `json:"open"`
	// Closed seams were closed by the designer; Why says why two maps that touch form none.
	Closed bool            `json:"closed"`
	If     []document.Gate `json:"if"`
	Why    string          `json:"why"`
}

// Same reports whether two seams are the same in all that is told of them.
func (s Seam) Same(o Seam) bool {
	return s.A == o.A && s.B == o.B && s.Side == o.Side && s.Closed == o.Closed && s.Why == o.Why && slices.Equal(s.Open, o.Open) && slices.Equal(s.If, o.If)
}

// Stretch is cells From up to but not To along an edge.
type Stretch struct {
	From int `json:"from"`
	To   int `json:"to"`
}

// Seams finds all seams, by the order of the maps and each pair once.
func (c *Chart) Seams() []Seam {
	if c.seams != nil {
		return c.seams
	}
	if c.before != nil {
		c.seams = slices.Clone(c.before.Seams())
		for i, s := range c.seams {
			if c.changed[s.A] || c.changed[s.B] {
				c.seams[i], _ = c.seam(c.doc.Maps.Get(s.A), c.doc.Maps.Get(s.B))
			}
		}
		return c.seams
	}
	if moved, ok := c.seamsMoved(); ok {
		c.seams = moved
		return c.seams
	}
	c.seams = []Seam{}
	maps := c.order
	// only maps that begin where another one ends can touch it
	starts := map[[2]int][]int{}
	for i, m := range maps {
		r := c.places[m.ID]
		starts[[2]int{0, r.X}] = append(starts[[2]int{0, r.X}], i)
		starts[[2]int{1, r.Y}] = append(starts[[2]int{1, r.Y}], i)
	}
	var pairs [][2]int
	for i, m := range maps {
		r := c.places[m.ID]
		for _, k := range append(slices.Clone(starts[[2]int{0, r.X + r.W}]), starts[[2]int{1, r.Y + r.H}]...) {
			if side, _, _ := touching(r, c.places[maps[k].ID]); side != "" && maps[k].Chart != nil && m.Chart != nil {
				pairs = append(pairs, [2]int{min(i, k), max(i, k)})
			}
		}
	}
	slices.SortFunc(pairs, func(a, b [2]int) int { return cmp.Or(a[0]-b[0], a[1]-b[1]) })
	for _, p := range slices.Compact(pairs) {
		if s, ok := c.seam(maps[p[0]], maps[p[1]]); ok {
			c.seams = append(c.seams, s)
		}
	}
	return c.seams
}

// SeamsOf are those of one map, in the order of Seams.
func (c *Chart) SeamsOf(m document.ID) []*Seam {
	all := c.Seams()
	if c.seamsOf == nil {
		c.seamsOf = map[document.ID][]*Seam{}
		for i := range all {
			s := &all[i]
			c.seamsOf[s.A], c.seamsOf[s.B] = append(c.seamsOf[s.A], s), append(c.seamsOf[s.B], s)
		}
	}
	return c.seamsOf[m]
}

// touching finds the side of a at which b lies, and the stretch of a's edge, in
// pixels of the chart, along which they touch.
func touching(a, b grid.Rect) (side document.Facing, from, to int) {
	top, bottom := max(a.Y, b.Y), min(a.Y+a.H, b.Y+b.H)
	left, right := max(a.X, b.X), min(a.X+a.W, b.X+b.W)
	switch {
	case top < bottom && a.X+a.W == b.X:
		return document.Right, top, bottom
	case top < bottom && b.X+b.W == a.X:
		return document.Left, top, bottom
	case left < right && a.Y+a.H == b.Y:
		return document.Down, left, right
	case left < right && b.Y+b.H == a.Y:
		return document.Up, left, right
	}
	return "", 0, 0
}

func (c *Chart) seam(a, b *document.Map) (Seam, bool) {
	ra, rb := c.places[a.ID], c.places[b.ID]
	if a.Chart == nil || b.Chart == nil {
		return Seam{}, false
	}
	side, from, to := touching(ra, rb)
	if side == "" {
		return Seam{}, false
	}
	s := Seam{A: a.ID, B: b.ID, Side: side, Open: []Stretch{}, If: []document.Gate{}}
	if r := RuleOf(a, b); r != nil {
		s.Closed = r.Closed
		s.If = append(s.If, r.If...)
	}
	upright := side == document.Left || side == document.Right
	step := [2]int{(rb.X - ra.X) % a.CellWidth, (rb.Y - ra.Y) % a.CellHeight}
	switch {
	case a.Template || b.Template:
		s.Why = "a template is no place of the game"
	case a.CellWidth != b.CellWidth || a.CellHeight != b.CellHeight:
		s.Why = fmt.Sprintf("their cells differ: %d × %d and %d × %d pixels", a.CellWidth, a.CellHeight, b.CellWidth, b.CellHeight)
	case a.Grid != b.Grid:
		s.Why = "one grid is of squares and the other of diamonds"
	case c.doc.FromSide(a) != c.doc.FromSide(b):
		s.Why = "one is seen from above and the other from the side"
	case upright && step[1] != 0 || !upright && step[0] != 0:
		s.Why = "their cells are out of step: drag one until they snap"
	}
	if s.Why != "" {
		return s, true
	}
	cell, origin := a.CellHeight, ra.Y
	if !upright {
		cell, origin = a.CellWidth, ra.X
	}
	for v := from; v < to; v += cell {
		p, q := edgeCells(a, b, ra, rb, side, v)
		if c.solids.At(a, p) || c.solids.At(b, q) {
			continue
		}
		k := (v - origin) / cell
		if n := len(s.Open); n > 0 && s.Open[n-1].To == k {
			s.Open[n-1].To++
		} else {
			s.Open = append(s.Open, Stretch{k, k + 1})
		}
	}
	return s, true
}

// edgeCells are the cells of a and of b that lie at both sides of an edge, at a
// place along it on the chart.
func edgeCells(a, b *document.Map, ra, rb grid.Rect, side document.Facing, v int) (p, q grid.Point) {
	switch side {
	case document.Right:
		p, q = grid.Point{X: a.Bounds.W - 1}, grid.Point{}
	case document.Left:
		p, q = grid.Point{}, grid.Point{X: b.Bounds.W - 1}
	case document.Down:
		p, q = grid.Point{Y: a.Bounds.H - 1}, grid.Point{}
	default:
		p, q = grid.Point{}, grid.Point{Y: b.Bounds.H - 1}
	}
	if side == document.Right || side == document.Left {
		p.Y, q.Y = (v-ra.Y)/a.CellHeight, (v-rb.Y)/b.CellHeight
	} else {
		p.X, q.X = (v-ra.X)/a.CellWidth, (v-rb.X)/b.CellWidth
	}
	return grid.Point{X: p.X + a.Bounds.X, Y: p.Y + a.Bounds.Y}, grid.Point{X: q.X + b.Bounds.X, Y: q.Y + b.Bounds.Y}
}

// RuleOf is what was decided about the seam between two maps, nil when nothing was.
func RuleOf(a, b *document.Map) *document.SeamRule {
	if a.ID > b.ID {
		a, b = b, a
	}
	if i := slices.IndexFunc(a.Seams, func(r document.SeamRule) bool { return r.With == b.ID }); i >= 0 {
		return &a.Seams[i]
	}
	return nil
}

// Beyond finds the map that lies beyond a cell outside of a map, where the seam
// is open there, and that cell in the other map's own frame.
func (c *Chart) Beyond(m *document.Map, p grid.Point) (*document.Map, grid.Point, *Seam) {
	side := document.Facing("")
	switch b := m.Bounds; {
	case p.X < b.X:
		side = document.Left
	case p.X >= b.X+b.W:
		side = document.Right
	case p.Y < b.Y:
		side = document.Up
	case p.Y >= b.Y+b.H:
		side = document.Down
	default:
		return nil, p, nil
	}
	for _, s := range c.SeamsOf(m.ID) {
		at, to := s.Side, s.B
		if s.B == m.ID {
			at, to = s.Side.Opposite(), s.A
		}
		if at != side || s.Closed || s.Why != "" {
			continue
		}
		o := c.doc.Maps.Get(to)
		dx, dy := c.Offset(m, o)
		q := grid.Point{X: p.X - dx, Y: p.Y - dy}
		if o.Bounds.Contains(q) {
			return o, q, s
		}
	}
	return nil, p, nil
}

// Offset is what has to be taken from a cell in the frame of m to have it in
// that of o, both lying on the chart with cells of the same size.
func (c *Chart) Offset(m, o *document.Map) (dx, dy int) {
	a, b := c.places[m.ID], c.places[o.ID]
	return grid.FloorDiv(b.X-a.X, m.CellWidth) + m.Bounds.X - o.Bounds.X, grid.FloorDiv(b.Y-a.Y, m.CellHeight) + m.Bounds.Y - o.Bounds.Y
}
