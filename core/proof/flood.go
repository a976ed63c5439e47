package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
	"math/bits"
)

// flood goes from cell to cell as far as could be; false when that were too many at once.
func (f *May) flood(cells *int) bool {
	for len(f.queue) > 0 {
		if *cells--; *cells < 0 {
			return false
		}
		s := f.queue[len(f.queue)-1]
		f.queue = f.queue[:len(f.queue)-1]
		g := f.st.Grounds[s.m]
		if f.leaps[s.m] != nil {
			*cells -= f.leap(g, s)
			continue
		}
		if first, after := g.Sheets(); f.lined[s.m] == nil && first == after && g.Open().IsFree(s.p.X-g.Bounds.X, s.p.Y-g.Bounds.Y) {
			*cells -= f.spread(g, s)
			continue
		}
		for _, way := range document.Facings {
			f.goes(g, s, way)
		}
	}
	return true
}

// goes goes from a cell to the next one, whatever is there.
func (f *May) goes(g *world.Ground, s spot, way document.Facing) {
	dx, dy := way.Step()
	p := grid.Point{X: s.p.X + dx, Y: s.p.Y + dy}
	if !g.Bounds.Contains(p) {
		f.over(g, s.m, p, way)
		return
	}
	parts := f.across(s, p, way)
	if parts == 0 && f.reached[s.m].has(p) || f.walled(g, p) || f.bars(s.m, p) {
		return
	}
	if by := f.fills(g, p); by != world.None {
		f.shut[by] = append(f.shut[by], spot{m: s.m, p: p})
		return
	}
	if f.lined[s.m] != nil {
		f.enterParts(spot{m: s.m, p: p}, parts)
	} else {
		f.enter(spot{m: s.m, p: p})
	}
}

// spread comes from a free cell to all free cells that hang together with it, a row of words at a time (scan-line filling on bit rows), and
// goes on from them to whatever is beside that is not free. It gives how many words were looked at.
func (f *May) spread(g *world.Ground, from spot) (looked int) {
	set, open := &f.reached[from.m], g.Open()
	words, rows := set.words, g.Bounds.H
	if len(f.pending) < words*rows {
		f.pending = make([]uint64, words*rows)
	}
	at, _ := set.at(from.p)
	f.pending[at>>6] = 1 << (at & 63)
	f.rows = append(f.rows[:0], from.p.Y-g.Bounds.Y)
	fresh := make([]uint64, words)
	for len(f.rows) > 0 {
		y := f.rows[len(f.rows)-1]
		f.rows = f.rows[:len(f.rows)-1]
		row := y * words
		some := false
		for i := range words {
			fresh[i] = f.pending[row+i]
			some = some || fresh[i] != 0
			f.pending[row+i] = 0
		}
		if !some {
			continue
		}
		looked += words
		free, reached := f.freeRow(from.m, open, row, words), set.bits[row:row+words]
		// what was come to first is gone on from though it is known; all else is new
		if y == from.p.Y-g.Bounds.Y {
			i := (from.p.X - g.Bounds.X) >> 6
			runs(fresh, free)
			first := fresh[i] & (1 << ((from.p.X - g.Bounds.X) & 63))
			for k := range fresh {
				fresh[k] &^= reached[k]
			}
			fresh[i] |= first
		} else {
			runs(fresh, free)
			for k := range fresh {
				fresh[k] &^= reached[k]
			}
		}
		for k := range fresh {
			reached[k] |= fresh[k]
		}
		for _, way := range [...]document.Facing{document.Up, document.Down} {
			_, dy := way.Step()
			if y+dy < 0 || y+dy >= rows {
				f.eachOf(fresh, func(x int) { f.goes(g, spotAt(from.m, g, x, y), way) })
				continue
			}
			next, adds := row+dy*words, false
			beyond := f.freeRow(from.m, open, next, words)
			known, oddly := set.bits[next:next+words], open.Odd[next:next+words]
			for k, bits := range fresh {
				if bits == 0 {
					continue
				}
				if more := bits & beyond[k] &^ known[k]; more != 0 {
					f.pending[next+k] |= more
					adds = true
				}
				if near := bits & oddly[k]; near != 0 {
					f.odd(near, k, func(x int) { f.goes(g, spotAt(from.m, g, x, y), way) })
				}
			}
			if adds {
				f.rows = append(f.rows, y+dy)
			}
		}
		oddly := open.Odd[row : row+words]
		for k, bits := range fresh {
			if bits == 0 {
				continue
			}
			left, right := oddly[k]<<1, oddly[k]>>1
			if k > 0 {
				left |= oddly[k-1] >> 63
			}
			if k < words-1 {
				right |= oddly[k+1] << 63
			}
			if k == 0 {
				left |= 1 // beyond the edge
			}
			if last := (g.Bounds.W - 1) & 63; k == words-1 {
				right |= 1 << last
			}
			if left &= bits; left != 0 {
				f.odd(left, k, func(x int) { f.goes(g, spotAt(from.m, g, x, y), document.Left) })
			}
			if right &= bits; right != 0 {
				f.odd(right, k, func(x int) { f.goes(g, spotAt(from.m, g, x, y), document.Right) })
			}
		}
	}
	return looked / 4
}

// freeRow are the free cells of a row: without those in which a block lies that no push moves.
func (f *May) freeRow(m world.Ref, open *world.Open, row, words int) []uint64 {
	barred := f.barred[m]
	if barred == nil {
		return open.Free[row : row+words]
	}
	out := make([]uint64, words)
	for k := range out {
		out[k] = open.Free[row+k] &^ barred.bits[row+k]
	}
	return out
}

func spotAt(m world.Ref, g *world.Ground, x, y int) spot {
	return spot{m: m, p: grid.Point{X: g.Bounds.X + x, Y: g.Bounds.Y + y}}
}

// runs fills up the runs of free cells of a row in which some cells lie: to the right by the carry of a sum, which goes through a run
// of ones to its end; to the left by parallel prefix over words (Kogge and Stone 1973).
func runs(some, free []uint64) {
	free = free[:len(some)]
	carry := uint64(0)
	for i, s := range some {
		if s |= carry; s != 0 {
			o := free[i]
			s &= o
			s |= (o + s) ^ o
			s &= o
			some[i] = s
		}
		carry = s >> 63
	}
	carry = 0
	for i := len(some) - 1; i >= 0; i-- {
		r := some[i] | carry
		if r == 0 {
			carry = 0
			continue
		}
		p := free[i]
		r &= p
		r |= p & (r >> 1)
		p &= p >> 1
		r |= p & (r >> 2)
		p &= p >> 2
		r |= p & (r >> 4)
		p &= p >> 4
		r |= p & (r >> 8)
		p &= p >> 8
		r |= p & (r >> 16)
		p &= p >> 16
		r |= p & (r >> 32)
		some[i], carry = r, r<<63
	}
}

// odd calls a function with the columns of bits of the k-th word of a row.
func (f *May) odd(some uint64, k int, do func(x int)) {
	for ; some != 0; some &= some - 1 {
		do(k*64 + bits.TrailingZeros64(some))
	}
}

func (f *May) eachOf(row []uint64, do func(x int)) {
	for k, some := range row {
		f.odd(some, k, do)
	}
}
