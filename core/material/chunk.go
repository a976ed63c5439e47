package material

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"math/bits"
)

const side = grid.ChunkSize

// Chunk fits the 1,024 cells of a chunk, row by row; false when none of them
// holds a material, so that they show as they are.
func (f *Fitter) Chunk(p cells.Plane, bounds grid.Rect, cx, cy int, out *[side * side]Shown) bool {
	chunk := p.Chunk(cx, cy)
	if v, ok := chunk.Uniform(); ok && !v.IsMaterial() {
		return false
	}
	var n nearby
	chunk.Copy(&n.own)
	if !f.read(&n) {
		return false
	}
	if f.only == nil {
		f.only = new(only)
	}
	clear(out[:])
	f.lookAround(&n, p, cx, cy)
	n.end(bounds, cx, cy)
	for y := range n.held {
		for rest := ^n.held[y]; rest != 0; rest &= rest - 1 {
			x := bits.TrailingZeros32(rest) & (side - 1)
			if out[y*side+x].Cell = n.own[y*side+x]; n.own[y*side+x].IsMaterial() { // outside the map
				out[y*side+x] = f.At(p, bounds, cx*side+x, cy*side+y)
			}
		}
		f.fitRow(&n, y, out)
	}
	return true
}

// nearby is a chunk with one cell more on every side.
type nearby struct {
	own  [side * side]cells.Cell
	rows [side + 2]fours
	// held are the cells of the chunk that hold a material and lie on the map.
	held grid.Mask
	// ends says that some of all cells lie outside the map.
	ends bool
}

// fours is which material each cell of a row counts as, 0 for none: four to a number, the first in its last 16 bits. The chunk's own 32 stand
// between the one on their left, at the end of the first number, and the one on their right.
type fours [side/4 + 2]uint64

// ones is a 1 for each of four numbers.
const ones = 1<<48 | 1<<32 | 1<<16 | 1

// read notes the materials of the chunk itself; false when no cell holds one.
func (f *Fitter) read(n *nearby) (some bool) {
	for y := range n.held {
		row, held := &n.rows[y+1], uint32(0)
		for i := 0; i < side/4; i++ {
			of := (*[4]cells.Cell)(n.own[y*side+4*i:])
			if of[0]&of[1]&of[2]&of[3]&cells.Material != 0 {
				row[i+1] = together(of) // mostly, and a call would cost the module as much
			} else {
				row[i+1] = f.four(of)
			}
			held = held>>4 | uint32(of[0]&cells.Material|of[1]&cells.Material<<1|of[2]&cells.Material<<2|of[3]&cells.Material<<3)
		}
		n.held[y] = held
		some = some || held != 0
	}
	return some
}

// four are the numbers of the materials that four cells count as.
func (f *Fitter) four(of *[4]cells.Cell) (out uint64) {
	if of[0]&of[1]&of[2]&of[3]&cells.Material != 0 {
		return together(of)
	}
	for i, c := range of {
		out |= uint64(f.number(c)) << (16 * i)
	}
	return out
}

// together are the numbers of four cells that all hold a material.
func together(of *[4]cells.Cell) uint64 {
	const mask = cells.MaxTileset
	return uint64(of[0]>>16&mask) | uint64(of[1]>>16&mask)<<16 | uint64(of[2]>>16&mask)<<32 | uint64(of[3]>>16&mask)<<48
}

// lookAround notes the materials of the cells around a chunk.
func (f *Fitter) lookAround(n *nearby, p cells.Plane, cx, cy int) {
	var edge [side]cells.Cell
	for _, over := range []struct{ dy, from, to int }{{-1, side - 1, 0}, {1, 0, side + 1}} {
		row := &n.rows[over.to]
		p.Chunk(cx, cy+over.dy).Row(over.from, &edge)
		for i := 0; i < side/4; i++ {
			row[i+1] = f.four((*[4]cells.Cell)(edge[4*i:]))
		}
		row[0] = uint64(f.number(p.Chunk(cx-1, cy+over.dy).At(side-1, over.from))) << 48
		row[len(row)-1] = uint64(f.number(p.Chunk(cx+1, cy+over.dy).At(0, over.from)))
	}
	for _, beside := range []struct{ dx, from, to, shift int }{{-1, side - 1, 0, 48}, {1, 0, len(fours{}) - 1, 0}} {
		p.Chunk(cx+beside.dx, cy).Column(beside.from, &edge)
		for i := 0; i < side/4; i++ {
			rows, of := (*[4]fours)(n.rows[4*i+1:]), f.four((*[4]cells.Cell)(edge[4*i:]))
			const one = 1<<16 - 1
			rows[0][beside.to], rows[1][beside.to] = of&one<<beside.shift, of>>16&one<<beside.shift
			rows[2][beside.to], rows[3][beside.to] = of>>32&one<<beside.shift, of>>48<<beside.shift
		}
	}
}

// end marks what lies outside the map.
func (n *nearby) end(bounds grid.Rect, cx, cy int) {
	box := grid.Rect{X: cx*side - 1, Y: cy*side - 1, W: side + 2, H: side + 2}
	in := box.Intersect(bounds)
	n.ends = in != box
	if !n.ends {
		return
	}
	n.held.Clip(cx, cy, bounds)
	for y := range n.rows {
		left, right := in.X-box.X, in.X+in.W-box.X
		if y < in.Y-box.Y || y >= in.Y+in.H-box.Y {
			left, right = box.W, box.W
		}
		n.rows[y].end(0, left)
		n.rows[y].end(right, box.W)
	}
}

// end marks the cells from one up to another, whatever else they are.
func (r *fours) end(from, to int) {
	for x := from; x < to; x++ {
		r[(x+3)/4] |= outside << ((x + 3) % 4 * 16)
	}
}

// only are the tiles that alone fit a form, of materials without borders: by the last bits of a material's number and by which of its eight
// neighbours are of others; in bits 32 and up stands that number.
type only [32 << 8]uint64

// fitRow fits those cells of a row that hold a material, four at a time and with nothing to choose between them, since going round and jumping
// cost the module as much as a cell.
func (f *Fitter) fitRow(n *nearby, y int, out *[side * side]Shown) {
	above, row, below, known := &n.rows[y], &n.rows[y+1], &n.rows[y+2], f.only
	held := n.held[y]
	for i := 1; i <= side/4; i, held = i+1, held>>4 {
		if held&15 == 0 {
			continue
		}
		own, at := row[i], y*side+4*(i-1)
		others := other(own, above[i])>>15 | other(own, above[i]>>16|above[i+1]<<48)>>14 | other(own, own>>16|row[i+1]<<48)>>13 |
			other(own, below[i]>>16|below[i+1]<<48)>>12 | other(own, below[i])>>11 | other(own, below[i]<<16|below[i-1]>>48)>>10 |
			other(own, own<<16|row[i-1]>>48)>>9 | other(own, above[i]<<16|above[i-1]>>48)>>8
		a, b := known[(own<<8&0x1f00|others&255)%uint64(len(known))], known[(own>>8&0x1f00|others>>16&255)%uint64(len(known))]
		c, d := known[(own>>24&0x1f00|others>>32&255)%uint64(len(known))], known[(own>>40&0x1f00|others>>48)%uint64(len(known))]
		if held&15 == 15 && own == a>>32|b>>32<<16|c>>32<<32|d>>32<<48 && (!n.ends || n.ending(y, i) == 0) {
			to := (*[4]Shown)(out[at:])
			to[0].Cell, to[1].Cell, to[2].Cell, to[3].Cell = cells.Cell(a), cells.Cell(b), cells.Cell(c), cells.Cell(d)
			continue
		}
		for four := held & 15; four != 0; four &= four - 1 {
			k := bits.TrailingZeros32(four)
			out[at+k] = f.fitNear(n, at+k, uint8(others>>(16*k)), n.ends && n.ending(y, i)>>(16*k+14)&1 != 0)
		}
	}
}

// other has, for each of four numbers of 15 bits, the next bit set where they are not the same.
func other(a, b uint64) uint64 { return ((a ^ b) + ones*(1<<15-1)) & (ones << 15) }

// ending has, for each of four cells, bit 14 set where the map ends beside it.
func (n *nearby) ending(y, i int) (out uint64) {
	for _, row := range n.rows[y : y+3] {
		out |= row[i]<<16 | row[i-1]>>48 | row[i] | row[i]>>16 | row[i+1]<<48
	}
	return out & (ones << 14)
}

// fitNear fits one cell of a chunk, of whose neighbours these are of others, unless the map ends there.
func (f *Fitter) fitNear(n *nearby, at int, others uint8, ends bool) Shown {
	c := n.own[at]
	m := f.set(c.Tileset())
	if !ends && !m.borders {
		o := m.offer(m.keys[^Form(others)], 0)
		if len(o.shown) == 1 && o.shown[0].Quarters == nil {
			f.only[c.Tileset()%32<<8|int(others)] = uint64(c.Tileset())<<32 | uint64(o.shown[0].Cell)
		}
		return o.pick(c.Tile())
	}
	var beside [8]uint16
	for i, d := range around {
		x := at%side + d.X + 4
		beside[i] = uint16(n.rows[at/side+1+d.Y][x/4] >> (x % 4 * 16))
	}
	return m.fit(c, &beside)
}
