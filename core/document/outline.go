package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"encoding/json"
	"fmt"
	"slices"
)

// Outline is the corners of a polygon in their order; the last joins the first.
type Outline []grid.Point

// Outlines are several polygons. In JSON a single one may stand without the list
// around it, as was stored before there could be several.
type Outlines []Outline

// Limits of the outlines of a tile's own solid part.
const (
	MaxOutlines = 8
	MaxCorners  = 16
)

// UnmarshalJSON reads a list of outlines, or one outline.
func (o *Outlines) UnmarshalJSON(b []byte) error {
	var one Outline
	if err := json.Unmarshal(b, &one); err == nil {
		*o = nil
		if len(one) > 0 {
			*o = Outlines{one}
		}
		return nil
	}
	return json.Unmarshal(b, (*[]Outline)(o))
}

func (o Outlines) clone() Outlines {
	out := make(Outlines, len(o))
	for i := range o {
		out[i] = slices.Clone(o[i])
	}
	return out
}

// check finds an outline that encloses nothing or whose sides meet other than
// in its corners.
func (o Outline) check() error {
	if len(o) < 3 || len(o) > MaxCorners {
		return fmt.Errorf("an own solid part has 3 to %d corners", MaxCorners)
	}
	if o.area() == 0 {
		return fmt.Errorf("an own solid part encloses nothing: set its corners further apart")
	}
	n := len(o)
	for i := range o {
		a, b, c := o[i], o[(i+1)%n], o[(i+2)%n]
		back := (b.X-a.X)*(c.X-b.X)+(b.Y-a.Y)*(c.Y-b.Y) < 0
		if a == b || cross(a, b, c) == 0 && back {
			return fmt.Errorf("two corners of an own solid part lie on each other, or a side runs back on itself")
		}
		for j := i + 2; j < n; j++ {
			if (j+1)%n != i && meet(a, b, o[j], o[(j+1)%n]) {
				return fmt.Errorf("the sides of an own solid part cross: set its corners in their order round it")
			}
		}
	}
	return nil
}

// area is twice the area, negative when the corners run the other way round.
func (o Outline) area() (out int) {
	for i, a := range o {
		b := o[(i+1)%len(o)]
		out += a.X*b.Y - b.X*a.Y
	}
	return out
}

// box is the rectangle that an outline is, if it is one.
func (o Outline) box() (grid.Rect, bool) {
	if len(o) != 4 {
		return grid.Rect{}, false
	}
	r := grid.Rect{X: min(o[0].X, o[2].X), Y: min(o[0].Y, o[2].Y)}
	r.W, r.H = max(o[0].X, o[2].X)-r.X, max(o[0].Y, o[2].Y)-r.Y
	level := o[0].Y == o[1].Y && o[1].X == o[2].X && o[2].Y == o[3].Y && o[3].X == o[0].X
	upright := o[0].X == o[1].X && o[1].Y == o[2].Y && o[2].X == o[3].X && o[3].Y == o[0].Y
	return r, level || upright
}

// moved is the outline with its corners elsewhere.
func (o Outline) moved(dx, dy int) Outline {
	out := make(Outline, len(o))
	for i, p := range o {
		out[i] = grid.Point{X: p.X + dx, Y: p.Y + dy}
	}
	return out
}

// turned lays an outline in a box of w × h the way a cell is turned.
func (o Outline) turned(w, h int, c cells.Cell) Outline {
	out := make(Outline, len(o))
	for i, p := range o {
		if c&cells.Exchange != 0 {
			p.X, p.Y = p.Y*w/h, p.X*h/w
		}
		if c&cells.MirrorX != 0 {
			p.X = w - p.X
		}
		if c&cells.MirrorY != 0 {
			p.Y = h - p.Y
		}
		out[i] = p
	}
	return out
}

// pieces cuts a simple polygon into convex ones: itself, or triangles by cutting
// off ears (G. H. Meisters, Polygons have ears, American Mathematical Monthly 82, 1975).
func (o Outline) pieces() []Shape {
	left := slices.Clone(o)
	if left.area() < 0 {
		slices.Reverse(left)
	}
	if !slices.ContainsFunc(left.turns(), func(turn int) bool { return turn < 0 }) {
		return []Shape{Shape(left)}
	}
	var out []Shape
	for len(left) > 3 {
		i := slices.IndexFunc(left.ears(), func(ear bool) bool { return ear })
		if i < 0 {
			return out // not a simple polygon: what encloses nothing stops nobody
		}
		a, b, c := left.around(i)
		if cross(a, b, c) != 0 {
			out = append(out, Shape{a, b, c})
		}
		left = slices.Delete(left, i, i+1)
	}
	if left.area() != 0 {
		out = append(out, Shape(left))
	}
	return out
}

func (o Outline) around(i int) (before, at, after grid.Point) {
	return o[(i+len(o)-1)%len(o)], o[i], o[(i+1)%len(o)]
}

// turns says of each corner which way the outline turns there: > 0 outward.
func (o Outline) turns() []int {
	out := make([]int, len(o))
	for i := range o {
		out[i] = cross(o.around(i))
	}
	return out
}

// ears says which corners can be cut off: no other corner lies in their triangle.
func (o Outline) ears() []bool {
	out := make([]bool, len(o))
	for i, turn := range o.turns() {
		a, b, c := o.around(i)
		out[i] = turn == 0 || turn > 0 && !slices.ContainsFunc(o, func(p grid.Point) bool {
			return p != a && p != b && p != c && cross(a, b, p) >= 0 && cross(b, c, p) >= 0 && cross(c, a, p) >= 0
		})
	}
	return out
}

// cross is twice the area of a triangle, positive when it runs clockwise on screen.
func cross(a, b, c grid.Point) int { return (b.X-a.X)*(c.Y-a.Y) - (b.Y-a.Y)*(c.X-a.X) }

// meet reports whether two segments have a point in common.
func meet(a, b, c, d grid.Point) bool {
	sign := func(v int) int { return max(-1, min(1, v)) }
	on := func(a, b, p grid.Point) bool {
		return cross(a, b, p) == 0 && min(a.X, b.X) <= p.X && p.X <= max(a.X, b.X) && min(a.Y, b.Y) <= p.Y && p.Y <= max(a.Y, b.Y)
	}
	if sign(cross(a, b, c))*sign(cross(a, b, d)) < 0 && sign(cross(c, d, a))*sign(cross(c, d, b)) < 0 {
		return true
	}
	return on(a, b, c) || on(a, b, d) || on(c, d, a) || on(c, d, b)
}
