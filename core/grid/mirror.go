package grid

// Turn is one of the eight ways to lay something on the grid: quarter turns
// clockwise (0 to 3), plus 4 where it is flipped left–right first.
type Turn int

// The turns that have names.
const (
	Same      Turn = 0
	Quarter   Turn = 1
	Half      Turn = 2
	Back      Turn = 3 // a quarter anticlockwise
	LeftRight Turn = 4
	UpDown    Turn = 6 // flipped left–right, then half a turn
)

// Valid reports whether t is one of the eight.
func (t Turn) Valid() bool { return t >= 0 && t < 8 }

// Inverse is the turn that undoes t.
func (t Turn) Inverse() Turn {
	if t&4 != 0 {
		return t
	}
	return (4 - t) & 3
}

// Then is the turn that does t and after it u.
func (t Turn) Then(u Turn) Turn {
	if u&4 != 0 { // a flip turns round the quarters before it
		return (u+4-t&3)&3 | (t^4)&4
	}
	return (t+u)&3 | t&4
}

// Around is where a point comes to when it is turned about (0, 0).
func (t Turn) Around(p Point) Point {
	if t&4 != 0 {
		p.X = -p.X
	}
	for range t & 3 {
		p = Point{-p.Y, p.X}
	}
	return p
}

// Size is the size of a block of w × h when it is turned.
func (t Turn) Size(w, h int) (int, int) {
	if t&1 != 0 {
		return h, w
	}
	return w, h
}

// Rect is where the part r of a block of w × h comes to when it is turned.
func (t Turn) Rect(r Rect, w, h int) Rect {
	if t&4 != 0 {
		r.X = w - r.X - r.W
	}
	for range t & 3 {
		r = Rect{h - r.Y - r.H, r.X, r.H, r.W}
		w, h = h, w
	}
	return r
}

// Mirror repeats what is put down about a line or a point. X and Y are the line
// or point in half cells: 2n lies before cell n, 2n+1 in its middle.
type Mirror struct {
	Mode string `json:"mode"`
	X    int    `json:"x"`
	Y    int    `json:"y"`
}

// The modes of a mirror; none is off.
const (
	MirrorLeftRight = "left–right"
	MirrorUpDown    = "up–down"
	MirrorBoth      = "both"
	MirrorQuarters  = "quarters"
)

// Images lists the turns in which a mirror repeats what is put down.
func (m Mirror) Images() []Turn {
	switch m.Mode {
	case MirrorLeftRight:
		return []Turn{LeftRight}
	case MirrorUpDown:
		return []Turn{UpDown}
	case MirrorBoth:
		return []Turn{LeftRight, UpDown, Half}
	case MirrorQuarters:
		return []Turn{Quarter, Half, Back}
	}
	return nil
}

// Rect is the image of a rectangle. Quarter turns need a point that is an edge
// both ways or a middle both ways; else it is taken half a cell higher.
func (m Mirror) Rect(r Rect, t Turn) Rect {
	x, y := m.X, m.Y
	if m.Mode == MirrorQuarters && (x+y)&1 != 0 {
		y--
	}
	if t&4 != 0 {
		r.X = x - r.X - r.W
	}
	if t&2 != 0 {
		r.X, r.Y = x-r.X-r.W, y-r.Y-r.H
	}
	if t&1 != 0 {
		r = Rect{(x+y)/2 - r.Y - r.H, r.X + (y-x)/2, r.H, r.W}
	}
	return r
}

// Point is the image of a cell.
func (m Mirror) Point(p Point, t Turn) Point {
	r := m.Rect(Rect{p.X, p.Y, 1, 1}, t)
	return Point{r.X, r.Y}
}

// Region is the image of a set of cells.
func (m Mirror) Region(r *Region, t Turn) *Region {
	out := &Region{}
	for _, s := range r.Spans() {
		out.AddRect(m.Rect(Rect{s.X0, s.Y, s.X1 - s.X0, 1}, t))
	}
	return out
}
