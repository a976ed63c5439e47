// Package grid is the geometry of cells: points, rectangles, sets of cells and
// the shapes that a designer puts things down with. Cell (0,0) is the top-left
// cell of a map's frame; x grows to the right, y grows down; coordinates are
// signed and count cells.
package grid

// Point is one cell.
type Point struct {
	X int `json:"x"`
	Y int `json:"y"`
}

// Rect is a rectangle of cells: X, Y its top-left cell, W and H its size in cells.
type Rect struct {
	X int `json:"x"`
	Y int `json:"y"`
	W int `json:"w"`
	H int `json:"h"`
}

// RectOf is the smallest rectangle that holds both cells.
func RectOf(a, b Point) Rect {
	x, y := min(a.X, b.X), min(a.Y, b.Y)
	return Rect{x, y, max(a.X, b.X) - x + 1, max(a.Y, b.Y) - y + 1}
}

// Empty reports whether r holds no cell.
func (r Rect) Empty() bool { return r.W <= 0 || r.H <= 0 }

// Contains reports whether the cell p lies in r.
func (r Rect) Contains(p Point) bool {
	return p.X >= r.X && p.X < r.X+r.W && p.Y >= r.Y && p.Y < r.Y+r.H
}

// Intersect is the part that r and s share; its W or H is 0 where they share none.
func (r Rect) Intersect(s Rect) Rect {
	x, y := max(r.X, s.X), max(r.Y, s.Y)
	w, h := min(r.X+r.W, s.X+s.W)-x, min(r.Y+r.H, s.Y+s.H)-y
	if w <= 0 || h <= 0 {
		return Rect{X: x, Y: y}
	}
	return Rect{x, y, w, h}
}

// Union is the smallest rectangle that holds r and s; an empty one adds nothing.
func (r Rect) Union(s Rect) Rect {
	if r.Empty() {
		return s
	}
	if s.Empty() {
		return r
	}
	x, y := min(r.X, s.X), min(r.Y, s.Y)
	return Rect{x, y, max(r.X+r.W, s.X+s.W) - x, max(r.Y+r.H, s.Y+s.H) - y}
}

// FloorDiv divides rounding towards negative infinity; n must be positive.
func FloorDiv(a, n int) int {
	q := a / n
	if a%n < 0 {
		q--
	}
	return q
}

// Mod is the remainder that goes with FloorDiv: 0 ≤ Mod < n.
func Mod(a, n int) int {
	m := a % n
	if m < 0 {
		m += n
	}
	return m
}
