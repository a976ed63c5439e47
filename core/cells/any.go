package cells

import "azzel/core/grid"

// SameEdge reports whether two chunks hold the same cells along the side, or at the corner, that lies toward (dx, dy), each −1, 0 or 1.
func SameEdge(a, b *Chunk, dx, dy int) bool {
	if a == b {
		return true
	}
	x0, x1 := along(dx)
	y0, y1 := along(dy)
	for y := y0; y <= y1; y++ {
		for x := x0; x <= x1; x++ {
			if a.At(x, y) != b.At(x, y) {
				return false
			}
		}
	}
	return true
}

// along is the first and last of a chunk's columns, or rows, that lie toward d.
func along(d int) (from, to int) {
	switch d {
	case -1:
		return 0, 0
	case 1:
		return side - 1, side - 1
	}
	return 0, side - 1
}

// Any reports whether f is true of any cell inside bounds that is not empty, or lies in a chunk with one that is not. It is asked once for a chunk of one value, and seldom again for a value that
// it was just asked for.
func (p Plane) Any(bounds grid.Rect, f func(Cell) bool) bool {
	const kept = 256
	var asked [kept]Cell // values of which f is false
	var are [kept]bool
	is := func(c Cell) bool {
		k := (uint32(c) ^ uint32(c)>>8) % kept
		if are[k] && asked[k] == c {
			return false
		}
		if f(c) {
			return true
		}
		asked[k], are[k] = c, true
		return false
	}
	if bounds.Empty() {
		return false
	}
	found := false
	p.each(bounds, func(cx, cy int, chunk *Chunk) bool {
		if v, ok := chunk.Uniform(); ok {
			found = f(v)
			return !found
		}
		x0, x1 := max(0, bounds.X-cx*side), min(side, bounds.X+bounds.W-cx*side)
		for y := max(0, bounds.Y-cy*side); y < min(side, bounds.Y+bounds.H-cy*side); y++ {
			for _, c := range chunk.cells[y*side+x0 : y*side+x1] {
				if is(c) {
					found = true
					return false
				}
			}
		}
		return true
	})
	return found
}

// each goes over the chunks that are there and lie in bounds, as long as f says so.
func (p Plane) each(bounds grid.Rect, f func(cx, cy int, chunk *Chunk) bool) {
	for _, row := range p.read().rows {
		if (row.cy+1)*side <= bounds.Y || row.cy*side >= bounds.Y+bounds.H {
			continue
		}
		for _, c := range row.chunks {
			if (c.cx+1)*side > bounds.X && c.cx*side < bounds.X+bounds.W && !f(c.cx, row.cy, c.chunk) {
				return
			}
		}
	}
}
