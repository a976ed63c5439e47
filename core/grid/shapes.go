package grid

import "math/bits"

// Line lists the cells from a to b, both included, by Bresenham's algorithm
// (IBM Systems Journal 4(1), 1965), in integers.
func Line(a, b Point) []Point {
	dx, dy := abs(b.X-a.X), -abs(b.Y-a.Y)
	sx, sy := sign(b.X-a.X), sign(b.Y-a.Y)
	slip := dx + dy
	out := make([]Point, 0, max(dx, -dy)+1)
	for p := a; ; {
		out = append(out, p)
		if p == b {
			return out
		}
		twice := 2 * slip
		if twice >= dy {
			slip += dy
			p.X += sx
		}
		if twice <= dx {
			slip += dx
			p.Y += sy
		}
	}
}

// Freehand is the set of cells under a pointer's way: the lines between
// successive points, so that a quick pointer leaves no gaps.
func Freehand(way []Point) *Region {
	r := &Region{}
	for i, p := range way {
		if i == 0 {
			r.Add(p)
			continue
		}
		for _, q := range Line(way[i-1], p) {
			r.Add(q)
		}
	}
	return r
}

// Oval is the cells whose middle lies in the ellipse that fills a rectangle:
// (x/W)² + (y/H)² ≤ 1, measured from the middle, in integers.
func Oval(r Rect) *Region {
	out := &Region{}
	w, h := int64(r.W), int64(r.H)
	for j := range h {
		dy := 2*j + 1 - h
		reach := int64(Root(uint64(w * w * (h*h - dy*dy) / (h * h))))
		// cells whose doubled distance 2i+1−W is at most reach
		first := (w - 1 - reach + 1) / 2
		if n := w - 2*first; n > 0 {
			out.AddRect(Rect{r.X + int(first), r.Y + int(j), int(n), 1})
		}
	}
	return out
}

// Root is the whole part of a square root, by Newton's method.
func Root(n uint64) uint64 {
	if n < 2 {
		return n
	}
	x := uint64(1) << ((bits.Len64(n) + 1) / 2)
	for {
		y := (x + n/x) / 2
		if y >= x {
			return x
		}
		x = y
	}
}

// Rim is the outer cells of a set, so many deep.
func Rim(r *Region, deep int) *Region {
	inner := r
	for range deep {
		inner = inner.Inner()
	}
	out := r.Clone()
	out.Subtract(inner)
	return out
}

// Tip is what a stroke is drawn with: a square of Size cells a side, or a disc.
type Tip struct {
	Size  int
	Round bool
}

// Swept is the cells that a tip covers when its middle goes over a set of cells.
func Swept(way *Region, tip Tip) *Region {
	if tip.Size < 2 {
		return way
	}
	before := (tip.Size - 1) / 2
	out := &Region{}
	if !tip.Round {
		for _, p := range way.Points() {
			out.AddRect(Rect{p.X - before, p.Y - before, tip.Size, tip.Size})
		}
		return out
	}
	disc := Oval(Rect{-before, -before, tip.Size, tip.Size}).Spans()
	for _, p := range way.Points() {
		for _, s := range disc {
			out.AddRect(Rect{p.X + s.X0, p.Y + s.Y, s.X1 - s.X0, 1})
		}
	}
	return out
}

// EvenEnd moves the end of a box so that its sides are as long as the longer one.
func EvenEnd(from, to Point) Point {
	dx, dy := to.X-from.X, to.Y-from.Y
	n := max(abs(dx), abs(dy))
	return Point{from.X + n*side(dx), from.Y + n*side(dy)}
}

// EvenLine moves the end of a line onto the nearest of eight directions.
func EvenLine(from, to Point) Point {
	dx, dy := to.X-from.X, to.Y-from.Y
	switch {
	case abs(dx) > 2*abs(dy):
		return Point{to.X, from.Y}
	case abs(dy) > 2*abs(dx):
		return Point{from.X, to.Y}
	}
	return EvenEnd(from, to)
}

func side(a int) int {
	if a < 0 {
		return -1
	}
	return 1
}

func abs(a int) int {
	if a < 0 {
		return -a
	}
	return a
}

func sign(a int) int {
	switch {
	case a < 0:
		return -1
	case a > 0:
		return 1
	}
	return 0
}
