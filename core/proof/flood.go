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
	last := uint64(1) << ((g.Bounds.W - 1) & 63)
	for len(f.rows) > 0 {
		y := f.rows[len(f.rows)-1]
		f.rows = f.rows[:len(f.rows)-1]
		again := 0 // what was come to first is gone on from though it is known; all else is new
		if y == from.p.Y-g.Bounds.Y {
			again = from.p.X - g.Bounds.X + 1
		}
		some, odd := f.widens(from.m, open, set, y, again, fresh)
		if !some {
			continue
		}
		looked += words
		if odd || y == 0 || y == rows-1 || fresh[0]&1 != 0 || fresh[words-1]&last != 0 {
			f.goesFrom(g, from.m, y, fresh)
		}
	}
	return looked / 4
}

// widens fills up the runs of free cells of a row in which cells wait: to the right by the carry of a sum, which goes through a run of ones to
// its end; to the left by parallel prefix over words (Kogge and Stone 1973). What of them is new it marks and puts into fresh, and with it the cell
// again (its column, counted from 1; 0 for none), though that is known; free cells above and below then wait. It says whether any cell waited, and
// whether something may be beside the new ones that is not free. All is done going twice along the row, since going round costs the module as much
// as a word.
func (f *May) widens(m world.Ref, open *world.Open, set *cellSet, y, again int, fresh []uint64) (some, odd bool) {
	words, rows := len(fresh), len(open.Free)/len(fresh)
	row, up, down := y*words, max(0, y-1)*words, min(rows-1, y+1)*words
	free, waits := f.freeRow(m, open, row, words)[:words], f.pending[row:][:words]
	any, carry := uint64(0), uint64(0)
	for i, s := range waits {
		any |= s
		waits[i] = 0
		o := free[i]
		s = (s | carry) & o
		s = (s | ((o + s) ^ o)) & o
		fresh[i] = s
		carry = s >> 63
	}
	if any == 0 {
		return false, false
	}
	reached, oddly := set.bits[row:][:words], open.Odd[row:][:words]
	over, under := f.freeRow(m, open, up, words)[:words], f.freeRow(m, open, down, words)[:words]
	knownOver, knownUnder := set.bits[up:][:words], set.bits[down:][:words]
	oddOver, oddUnder := open.Odd[up:][:words], open.Odd[down:][:words]
	toOver, toUnder := f.pending[up:][:words], f.pending[down:][:words]
	var moreOver, moreUnder, near, oddRight uint64
	carry = 0
	for k := words - 1; k >= 0; k-- {
		r := (fresh[k] | carry) & free[k]
		if r == 0 {
			fresh[k], carry = 0, 0
			oddRight = oddly[k]
			continue
		}
		p := free[k]
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
		carry = r << 63
		bits := r &^ reached[k]
		if again > 0 && (again-1)>>6 == k {
			bits |= r & (1 << ((again - 1) & 63))
		}
		fresh[k] = bits
		reached[k] |= bits
		beside := oddly[k]
		near |= bits & (beside<<1 | beside>>1 | oddRight<<63 | oddOver[k] | oddUnder[k])
		if k > 0 {
			near |= bits & (oddly[k-1] >> 63)
		}
		oddRight = beside
		if y > 0 {
			more := bits & over[k] &^ knownOver[k]
			toOver[k] |= more
			moreOver |= more
		}
		if y < rows-1 {
			more := bits & under[k] &^ knownUnder[k]
			toUnder[k] |= more
			moreUnder |= more
		}
	}
	if moreOver != 0 {
		f.rows = append(f.rows, y-1)
	}
	if moreUnder != 0 {
		f.rows = append(f.rows, y+1)
	}
	return true, near != 0
}

// goesFrom goes from what is new of a row to whatever is beside it that is not free, or beyond the map.
func (f *May) goesFrom(g *world.Ground, m world.Ref, y int, fresh []uint64) {
	open, words, rows := g.Open(), len(fresh), g.Bounds.H
	for _, way := range [...]document.Facing{document.Up, document.Down} {
		_, dy := way.Step()
		if y+dy < 0 || y+dy >= rows {
			f.eachOf(fresh, func(x int) { f.goes(g, spotAt(m, g, x, y), way) })
			continue
		}
		for k, oddly := range open.Odd[(y+dy)*words:][:words] {
			if near := fresh[k] & oddly; near != 0 {
				f.odd(near, k, func(x int) { f.goes(g, spotAt(m, g, x, y), way) })
			}
		}
	}
	oddly := open.Odd[y*words:][:words]
	for k, bits := range fresh {
		if bits == 0 {
			continue
		}
		left, right := oddly[k]<<1, oddly[k]>>1
		if k > 0 {
			left |= oddly[k-1] >> 63
		} else {
			left |= 1 // beyond the edge
		}
		if k < words-1 {
			right |= oddly[k+1] << 63
		} else {
			right |= 1 << ((g.Bounds.W - 1) & 63)
		}
		if left &= bits; left != 0 {
			f.odd(left, k, func(x int) { f.goes(g, spotAt(m, g, x, y), document.Left) })
		}
		if right &= bits; right != 0 {
			f.odd(right, k, func(x int) { f.goes(g, spotAt(m, g, x, y), document.Right) })
		}
	}
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
