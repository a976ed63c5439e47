package cells

import "azzel/core/grid"

// Fill is the set of cells connected to start through their sides that hold
// the same value as start, inside bounds. Each chunk is flooded as 32 words of
// bits, a uniform chunk at once.
func Fill(p Plane, bounds grid.Rect, start grid.Point) *grid.Region {
	region := &grid.Region{}
	if !bounds.Contains(start) {
		return region
	}
	f := filler{plane: p, bounds: bounds, value: p.At(start.X, start.Y), region: region, open: map[place]*grid.Mask{}}
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
		spread(&got, open)
	}
	filled := f.region.At(c.CX, c.CY)
	var top, bottom, left, right grid.Mask
	for y := range got {
		got[y] &^= filled[y]
		filled[y] |= got[y]
		left[y] = got[y] & 1 << 31
		right[y] = got[y] >> 31
	}
	bottom[0], top[side-1] = got[side-1], got[0]
	if top[side-1] != 0 {
		f.push(c.CX, c.CY-1, top)
	}
	if bottom[0] != 0 {
		f.push(c.CX, c.CY+1, bottom)
	}
	if left != (grid.Mask{}) {
		f.push(c.CX-1, c.CY, left)
	}
	if right != (grid.Mask{}) {
		f.push(c.CX+1, c.CY, right)
	}
}

// spread grows got inside open until nothing is added: down and up by turns,
// each row first along itself.
func spread(got, open *grid.Mask) {
	for {
		before := *got
		for y := range got {
			if y > 0 {
				got[y] |= got[y-1] & open[y]
			}
			got[y] = alongRow(got[y], open[y])
		}
		for y := side - 2; y >= 0; y-- {
			got[y] = alongRow(got[y]|got[y+1]&open[y], open[y])
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
