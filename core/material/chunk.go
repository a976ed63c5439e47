package material

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"math/bits"
)

const (
	side   = grid.ChunkSize
	window = side + 2
)

// spotForms are the forms by nine cells of which those of a material are marked: the row above, from the left, then its own, then the one below.
var spotForms = func() (out [512]Form) {
	for spot := range out {
		for i, d := range around {
			if spot>>(3*(d.Y+1)+d.X+1)&1 != 0 {
				out[spot] |= 1 << i
			}
		}
	}
	return out
}()

// Chunk fits the 1,024 cells of a chunk, row by row; false when none of them
// holds a material, so that they show as they are.
func (f *Fitter) Chunk(p cells.Plane, bounds grid.Rect, cx, cy int, out *[side * side]Shown) bool {
	chunk := p.Chunk(cx, cy)
	if v, ok := chunk.Uniform(); ok && !v.IsMaterial() {
		return false
	}
	var own [side * side]cells.Cell
	chunk.Copy(&own)
	var n nearby
	if !f.read(&n, &own) {
		return false
	}
	f.lookAround(&n, p, cx, cy)
	n.end(bounds, cx, cy)
	for y, held := range n.held {
		for tiles := ^held; tiles != 0; tiles &= tiles - 1 {
			at := y*side + bits.TrailingZeros32(tiles)&(side-1)
			out[at] = Shown{Cell: own[at]}
		}
	}
	for y := range n.held {
		for n.held[y] != 0 {
			number := own[y*side+bits.TrailingZeros32(n.held[y])&(side-1)].Tileset()
			f.fitAll(&n, y, uint16(number), &own, out)
		}
	}
	return true
}

// nearby is a chunk with one cell more on every side.
type nearby struct {
	rows [window]nearRow
	// outside are the cells that lie outside the map: bit x of row y, as they lie in the window.
	outside [window]uint64
	// held are the cells of the chunk itself that hold a material and are not fitted yet.
	held grid.Mask
}

// nearRow is which material each cell of a row counts as, 0 for none: of the chunk's own 32 four at a time, the first in the last bits, and of
// the one on either side.
type nearRow struct {
	fours       [side / 4]uint64
	left, right uint16
}

// at is the material of the cell at x of the window.
func (r *nearRow) at(x int) uint16 {
	switch x {
	case 0:
		return r.left
	case window - 1:
		return r.right
	}
	return uint16(r.fours[(x-1)/4] >> ((x - 1) % 4 * 16))
}

// alike marks the cells that count as this material: those in which nothing is left when it is taken from four numbers at once.
func (r *nearRow) alike(number uint16) uint64 {
	const ones = 1<<48 | 1<<32 | 1<<16 | 1
	const most, beside = ones * (1<<15 - 1), 1<<48 | 1<<33 | 1<<18 | 1<<3
	four := uint64(number) * ones
	out := uint64(0)
	for i := 0; i < len(r.fours); i += 4 {
		of := (*[4]uint64)(r.fours[i:])
		// the first bit of each number stays 0 where the rest was 0, which the product brings side by side
		a, b := ^(of[0]^four+most)>>15&ones, ^(of[1]^four+most)>>15&ones
		c, d := ^(of[2]^four+most)>>15&ones, ^(of[3]^four+most)>>15&ones
		out = out>>16 | (a*beside>>48&15|b*beside>>48&15<<4|c*beside>>48&15<<8|d*beside>>48&15<<12)<<17
	}
	return out | uint64(alike(r.left, number)) | uint64(alike(r.right, number))<<(window-1)
}

// read notes the materials of the chunk itself; false when no cell holds one.
func (f *Fitter) read(n *nearby, own *[side * side]cells.Cell) (some bool) {
	for y := range n.held {
		row, held := &n.rows[y+1], uint32(0)
		for i := range row.fours {
			of := (*[4]cells.Cell)(own[y*side+4*i:])
			a, b, c, d := of[0], of[1], of[2], of[3]
			held >>= 4
			if a&b&c&d&cells.Material != 0 {
				held |= 15 << 28
				const mask = cells.MaxTileset
				row.fours[i] = uint64(a>>16&mask) | uint64(b>>16&mask)<<16 | uint64(c>>16&mask)<<32 | uint64(d>>16&mask)<<48
				continue
			}
			for k, c := range of {
				row.fours[i] |= uint64(f.number(c)) << (16 * k)
				held |= uint32(c&cells.Material) / uint32(cells.Material) << (28 + k)
			}
		}
		n.held[y] = held
		some = some || held != 0
	}
	return some
}

// lookAround notes the materials of the cells around a chunk.
func (f *Fitter) lookAround(n *nearby, p cells.Plane, cx, cy int) {
	for dy := -1; dy <= 1; dy++ {
		left, right := p.Chunk(cx-1, cy+dy), p.Chunk(cx+1, cy+dy)
		switch dy {
		case 0:
			for y := range side {
				n.rows[y+1].left, n.rows[y+1].right = f.number(left.At(side-1, y)), f.number(right.At(0, y))
			}
			continue
		}
		row, y := &n.rows[0], side-1
		if dy > 0 {
			row, y = &n.rows[window-1], 0
		}
		row.left, row.right = f.number(left.At(side-1, y)), f.number(right.At(0, y))
		middle := p.Chunk(cx, cy+dy)
		for x := range side {
			row.fours[x/4] |= uint64(f.number(middle.At(x, y))) << (x % 4 * 16)
		}
	}
}

// end notes what lies outside the map.
func (n *nearby) end(bounds grid.Rect, cx, cy int) {
	box := grid.Rect{X: cx*side - 1, Y: cy*side - 1, W: window, H: window}
	in := box.Intersect(bounds)
	if in == box {
		return
	}
	all := uint64(1)<<window - 1
	inside := (uint64(1)<<in.W - 1) << (in.X - box.X)
	for y := range n.outside {
		if n.outside[y] = all; y+box.Y >= in.Y && y+box.Y < in.Y+in.H {
			n.outside[y] &^= inside
		}
	}
}

// fitAll fits what a chunk holds of one material, from the row at y on.
func (f *Fitter) fitAll(n *nearby, y int, number uint16, own *[side * side]cells.Cell, out *[side * side]Shown) {
	one := f.sets[int(number)]
	if one == nil {
		one = f.none
	}
	above, middle := n.marked(one, y, number), n.marked(one, y+1, number)
	for ; y < side; y++ {
		below := n.marked(one, y+2, number)
		row := uint32(n.rows[y+1].alike(number)>>1) & n.held[y]
		n.held[y] &^= row
		for ; row != 0; row &= row - 1 {
			x := bits.TrailingZeros32(row) & (side - 1)
			spot := above>>x&7 | middle>>x&7<<3 | below>>x&7<<6
			o := one.spots[spot]
			if o == nil {
				o = one.spot(n, x, y, spot)
			}
			if at := y*side + x; len(o.shown) == 1 {
				out[at] = o.shown[0]
			} else {
				out[at] = o.pick(own[at].Tile())
			}
		}
		above, middle = middle, below
	}
}

// marked are the cells of a row of the window that count as a material for its own cells, which what lies outside the map may do.
func (n *nearby) marked(one *fitted, y int, number uint16) uint64 {
	if one.set.Beyond {
		return n.rows[y].alike(number) | n.outside[y]
	}
	return n.rows[y].alike(number) &^ n.outside[y]
}

// spot looks up what fits a cell of a chunk by the nine that are marked, and keeps that where nothing else plays a part.
func (m *fitted) spot(n *nearby, x, y int, spot uint64) *offer {
	key := m.keys[spotForms[spot&511]]
	if !m.borders {
		m.spots[spot&511] = m.offer(key, 0)
		return m.spots[spot&511]
	}
	var beside [8]uint16
	for i, d := range around {
		if wx, wy := x+1+d.X, y+1+d.Y; n.outside[wy]>>wx&1 != 0 {
			beside[i] = outside
		} else {
			beside[i] = n.rows[wy].at(wx)
		}
	}
	return m.offer(key, m.other(uint16(m.set.Number), &beside))
}
