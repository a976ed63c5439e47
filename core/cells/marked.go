package cells

import (
	"azzel/core/grid"
	"math/bits"
)

// first is what the first marked cell holds; there is one.
func first(cells *[chunkArea]Cell, mask *grid.Mask) Cell {
	for y, row := range mask {
		if row != 0 {
			return cells[y*side+bits.TrailingZeros32(row)&(side-1)]
		}
	}
	return 0
}

// put writes v into marked cells, and gives what the first of them held and whether all held that. There is no branch for each cell: in
// a noisy chunk they are foretold wrong. Four are done at a time, since going round costs the module as much as a cell.
func put(cells *[chunkArea]Cell, mask *grid.Mask, v Cell) (held Cell, alike bool) {
	held = first(cells, mask)
	var other Cell
	for y, row := range mask {
		if row == 0 {
			continue
		}
		of := (*[side]Cell)(cells[y*side:])
		for x := 0; x < side; x += 4 {
			four := (*[4]Cell)(of[x:])
			a, b, c, d := -Cell(row&1), -Cell(row>>1&1), -Cell(row>>2&1), -Cell(row>>3&1)
			row >>= 4
			other |= (four[0]^held)&a | (four[1]^held)&b | (four[2]^held)&c | (four[3]^held)&d
			four[0] ^= (four[0] ^ v) & a
			four[1] ^= (four[1] ^ v) & b
			four[2] ^= (four[2] ^ v) & c
			four[3] ^= (four[3] ^ v) & d
		}
	}
	return held, other == 0
}

// value gives what all marked cells hold, if that is the same.
func value(cells *[chunkArea]Cell, mask *grid.Mask) (held Cell, alike bool) {
	held = first(cells, mask)
	for y, row := range mask {
		for ; row != 0; row &= row - 1 {
			if cells[y*side+bits.TrailingZeros32(row)&(side-1)] != held {
				return 0, false
			}
		}
	}
	return held, true
}

// marked is what n marked cells hold, row by row.
func marked(cells *[chunkArea]Cell, mask *grid.Mask, n int) []Cell {
	out := make([]Cell, 0, n)
	for y, row := range mask {
		of := cells[y*side : (y+1)*side]
		if row == ^uint32(0) {
			out = append(out, of...)
			continue
		}
		for ; row != 0; row &= row - 1 {
			out = append(out, of[bits.TrailingZeros32(row)&(side-1)])
		}
	}
	return out
}
