package cells

import "azzel/core/grid"

// Reach says how far a fill goes.
type Reach struct {
	// Corners connects cells that touch at a corner, besides those that share a side.
	Corners bool
	// Within keeps the fill inside a set of cells; nil does not.
	Within *grid.Region
}

// Fill is the set of cells connected to start that hold the same value as
// start, inside bounds. Each chunk is flooded as 32 words of bits, a uniform
// chunk at once.
func Fill(p Plane, bounds grid.Rect, start grid.Point, reach Reach) *grid.Region {
	region := &grid.Region{}
	if !bounds.Contains(start) || reach.Within != nil && !reach.Within.Has(start) {
		return region
	}
	f := filler{plane: p, bounds: bounds, reach: reach, value: p.At(start.X, start.Y), region: region, open: map[place]*grid.Mask{}}
	cx, cy := grid.FloorDiv(start.X, side), grid.FloorDiv(start.Y, side)
	var seed grid.Mask
	seed[start.Y-cy*side] = 1 << uint(start.X-cx*side)
	f.push(cx, cy, seed)
	for len(f.queue) > 0 {
		next := f.queue[0]
		f.queue = f.queue[1:]
		f.flood(next)
	}
	return region
}

// place is a chunk's column and row.
type place struct{ cx, cy int }

type filler struct {
	plane  Plane
	bounds grid.Rect
	reach  Reach
	value  Cell
	region *grid.Region
	open   map[place]*grid.Mask // cells of the value, by chunk
	queue  []grid.ChunkMask
}

func (f *filler) matching(cx, cy int) (m *grid.Mask) {
	key := place{cx, cy}
	if m, ok := f.open[key]; ok {
		return m
	}
	m = new(grid.Mask)
	chunk := f.plane.Chunk(cx, cy)
	if v, ok := chunk.Uniform(); ok {
		if v == f.value {
			*m = grid.FullMask
		}
	} else {
		for y := range side {
			var row uint32
			for x, c := range chunk.cells[y*side : (y+1)*side] {
				if c == f.value {
					row |= 1 << uint(x)
				}
			}
			m[y] = row
		}
	}
	m.Clip(cx, cy, f.bounds)
	if f.reach.Within != nil {
		within := f.reach.Within.MaskAt(cx, cy)
		for y := range m {
			m[y] &= within[y]
		}
	}
	f.open[key] = m
	return m
}

// push queues seeds that are open and not filled yet.
func (f *filler) push(cx, cy int, seed grid.Mask) {
	open := f.matching(cx, cy)
	filled := f.region.At(cx, cy)
	fresh := false
	for y := range seed {
		seed[y] &= open[y] &^ filled[y]
		fresh = fresh || seed[y] != 0
	}
	if fresh {
		f.queue = append(f.queue, grid.ChunkMask{CX: cx, CY: cy, Rows: seed})
	}
}

func (f *filler) flood(c grid.ChunkMask) {
	open := f.matching(c.CX, c.CY)
	got := c.Rows
	if *open == grid.FullMask {
		got = grid.FullMask
	} else {
		spread(&got, open, f.reach.Corners)
	}
	filled := f.region.At(c.CX, c.CY)
	var left, right grid.Mask
	for y := range got {
		got[y] &^= filled[y]
		filled[y] |= got[y]
		left[y] = got[y] & 1 << 31
		right[y] = got[y] >> 31
	}
	if f.reach.Corners {
		f.pushCorners(c.CX, c.CY, &got, &left, &right)
	}
	if row := got[0]; row != 0 {
		f.pushRow(c.CX, c.CY-1, side-1, f.widened(row))
	}
	if row := got[side-1]; row != 0 {
		f.pushRow(c.CX, c.CY+1, 0, f.widened(row))
	}
	if left != (grid.Mask{}) {
		f.push(c.CX-1, c.CY, left)
	}
	if right != (grid.Mask{}) {
		f.push(c.CX+1, c.CY, right)
	}
}

func (f *filler) pushRow(cx, cy, y int, row uint32) {
	var m grid.Mask
	m[y] = row
	f.push(cx, cy, m)
}

func (f *filler) widened(row uint32) uint32 {
	if f.reach.Corners {
		return row | row<<1 | row>>1
	}
	return row
}

// pushCorners goes on over the chunk's four corners, and up and down along its
// left and right sides.
func (f *filler) pushCorners(cx, cy int, got, left, right *grid.Mask) {
	for i, at := range [4][2]int{{0, 0}, {0, side - 1}, {side - 1, 0}, {side - 1, side - 1}} {
		if got[at[1]]&(1<<uint(at[0])) != 0 {
			f.pushRow(cx+i/2*2-1, cy+i%2*2-1, side-1-at[1], 1<<uint(side-1-at[0]))
		}
	}
	for _, m := range []*grid.Mask{left, right} {
		before := uint32(0)
		for y := range m {
			row := m[y]
			m[y] |= before
			if y+1 < side {
				m[y] |= m[y+1]
			}
			before = row
		}
	}
}

// spread grows got inside open until nothing is added: down and up by turns,
// each row first along itself.
func spread(got, open *grid.Mask, corners bool) {
	near := func(row uint32) uint32 { return row }
	if corners {
		near = func(row uint32) uint32 { return row | row<<1 | row>>1 }
	}
	for {
		before := *got
		for y := range got {
			if y > 0 {
				got[y] |= near(got[y-1]) & open[y]
			}
			got[y] = alongRow(got[y], open[y])
		}
		for y := side - 2; y >= 0; y-- {
			got[y] = alongRow(got[y]|near(got[y+1])&open[y], open[y])
		}
		if *got == before {
			return
		}
	}
}

// alongRow extends bits over the runs of open bits that they lie in, both ways,
// by parallel prefix (Kogge and Stone, IEEE Trans. Computers C-22(8), 1973).
func alongRow(got, open uint32) uint32 {
	up, down := got, got
	left, right := open, open
	for s := uint(1); s < 32; s *= 2 {
		up |= left & (up << s)
		left &= left << s
		down |= right & (down >> s)
		right &= right >> s
	}
	return up | down
}
