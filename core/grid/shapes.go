package grid

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
