package world

// Clear reports whether nothing solid lies on the straight line from a place on, in 1/256
// pixels: no cell that is solid as a whole, on a walk from cell to cell (Amanatides and Woo,
// Eurographics 1987, in whole numbers).
func (g *Ground) Clear(x, y, dx, dy int64) bool {
	w, h := g.Cell()
	at, end := g.CellAt(x, y), g.CellAt(x+dx, y+dy)
	stepX, stepY := 1, 1
	nextX, nextY := (int64(at.X)+1)*w-x, (int64(at.Y)+1)*h-y
	if dx < 0 {
		stepX, nextX = -1, x-int64(at.X)*w
	}
	if dy < 0 {
		stepY, nextY = -1, y-int64(at.Y)*h
	}
	far := func(v int64) int64 { return max(v, -v) }
	ax, ay := far(dx), far(dy)
	for n := 0; at != end && n < 2*4096; n++ {
		// which side of the cell is reached first: nextX/ax against nextY/ay
		if ay == 0 || ax != 0 && nextX*ay < nextY*ax {
			at.X += stepX
			nextX += w
		} else {
			at.Y += stepY
			nextY += h
		}
		if g.At(at)&Whole != 0 {
			return false
		}
	}
	return true
}
