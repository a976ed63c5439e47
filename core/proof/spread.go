package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
	"math/bits"
	"sync"
)

// front is where spreading has come to. It is empty when nothing spreads, and kept then for the next that does.
type front struct {
	// waits are cells that are come to and not gone on from yet, by the words of rows; some has a bit for each word of a row in which any do (a
	// map has no more than 32 to a row), and rows are those that have some.
	waits, some []uint64
	rows        []int
	// fresh is what is new of the row that is gone along; without is room for rows of which cells are taken out.
	fresh   []uint64
	without [3][]uint64
}

var fronts = sync.Pool{New: func() any { return new(front) }}

// of makes room for a map so large.
func (f *front) of(words, rows int) *front {
	if len(f.waits) < words*rows || len(f.some) < rows || cap(f.fresh) < words {
		*f = front{waits: make([]uint64, words*rows), some: make([]uint64, rows), rows: make([]int, 0, rows), fresh: make([]uint64, words)}
	}
	f.fresh = f.fresh[:words]
	return f
}

// come has cells of words of a row wait.
func (f *front) come(y int, some uint64) {
	if some == 0 {
		return
	}
	if f.some[y] == 0 {
		f.rows = append(f.rows, y)
	}
	f.some[y] |= some
}

// spread comes from a free cell to all free cells that hang together with it, a row of words at a time (scan-line filling on bit rows), and
// goes on from them to whatever is beside that is not free. It gives how many words were looked at.
func (f *May) spread(g *world.Ground, from spot) (looked int) {
	set, open := &f.reached[from.m], g.Open()
	words, closed := set.words, f.st.Closed(g)
	at, _ := set.at(from.p)
	word, bit := at>>6, uint64(1)<<(at&63)
	known := set.bits[word] & bit
	set.bits[word] &^= bit // what was come to first is gone on from though it is known; all else is new
	w := fronts.Get().(*front).of(words, g.Bounds.H)
	w.waits[word] = bit
	w.come(from.p.Y-g.Bounds.Y, 1<<(word%words))
	for len(w.rows) > 0 {
		y := w.rows[len(w.rows)-1]
		w.rows = w.rows[:len(w.rows)-1]
		looked += words
		if near := f.widens(from.m, open, set, y, w); near != 0 {
			f.goesFrom(g, from.m, y, w.fresh, near)
		}
		if !closed {
			f.goesOver(g, from.m, y, w.fresh)
		}
	}
	fronts.Put(w)
	set.bits[word] |= known
	return looked / 4
}

// widens fills up the runs of free cells of a row in which cells wait: to the right by the carry of a sum, which goes through a run of ones to
// its end; to the left by parallel prefix over words (Kogge and Stone 1973). What of them is new it marks and leaves in fresh; free cells above
// and below then wait. It gives which words have a new one beside an odd one, a bit each. Of a row only the words are looked at in which
// something is to be done, and nothing else is asked: a turn that cannot be foreseen costs more than what it saves.
func (f *May) widens(m world.Ref, open *world.Open, set *cellSet, y int, w *front) (near uint64) {
	words, rows := len(w.fresh), len(open.Free)/len(w.fresh)
	row, up, down := y*words, max(0, y-1)*words, min(rows-1, y+1)*words
	free, waits, fresh := f.freeRow(m, open, row, w, 0)[:words], w.waits[row:][:words], w.fresh
	clear(fresh)
	var carry, all uint64
	whole := uint64(1)<<(words&63) - 1
	for left := w.some[y]; left != 0; {
		i := bits.TrailingZeros64(left)
		o := free[i]
		s := (waits[i] | carry) & o
		waits[i] = 0
		s = (s | ((o + s) ^ o)) & o
		fresh[i] = s
		carry = s >> 63
		all |= 1 << (i & 63)
		left = (left&(left-1) | carry<<1<<(i&63)) & whole
	}
	w.some[y] = 0
	reached, beside := set.bits[row:][:words], open.Beside[row:][:words]
	over, under := f.freeRow(m, open, up, w, 1)[:words], f.freeRow(m, open, down, w, 2)[:words]
	knownOver, knownUnder := set.bits[up:][:words], set.bits[down:][:words]
	toOver, toUnder := w.waits[up:][:words], w.waits[down:][:words]
	var someOver, someUnder uint64
	carry = 0
	for all != 0 {
		k := 63 - bits.LeadingZeros64(all)
		p := free[k]
		r := (fresh[k] | carry<<63) & p
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
		carry = r & 1
		all = all&^(1<<(k&63)) | carry<<(k&63)>>1
		r &^= reached[k]
		fresh[k] = r
		reached[k] |= r
		near |= anyOf(r&beside[k]) << (k & 63)
		up, down := r&over[k]&^knownOver[k], r&under[k]&^knownUnder[k]
		toOver[k] |= up
		toUnder[k] |= down
		someOver |= anyOf(up) << (k & 63)
		someUnder |= anyOf(down) << (k & 63)
	}
	// beyond the first and the last row is that row itself, of which nothing waits that is known by now
	w.come(max(0, y-1), someOver)
	w.come(min(rows-1, y+1), someUnder)
	return near
}

// anyOf is 1 where a word has a bit that is set.
func anyOf(word uint64) uint64 { return (word | -word) >> 63 }

// goesFrom goes from what is new of a row, in the words that are near, to the odd cells beside it.
func (f *May) goesFrom(g *world.Ground, m world.Ref, y int, fresh []uint64, near uint64) {
	open, b := g.Open(), g.Bounds
	beside := open.Beside[y*open.Words:][:len(fresh)]
	for _, way := range [...]document.Facing{document.Up, document.Down, document.Left, document.Right} {
		dx, dy := way.Step()
		for words := near; words != 0; words &= words - 1 {
			k := bits.TrailingZeros64(words)
			for some := fresh[k] & beside[k]; some != 0; some &= some - 1 {
				p := grid.Point{X: b.X + k*64 + bits.TrailingZeros64(some), Y: b.Y + y}
				if to := (grid.Point{X: p.X + dx, Y: p.Y + dy}); b.Contains(to) && open.IsOdd(to.X-b.X, to.Y-b.Y) {
					f.goes(g, spot{m: m, p: p}, way)
				}
			}
		}
	}
}

// goesOver goes from what is new of a row over the edges of the map.
func (f *May) goesOver(g *world.Ground, m world.Ref, y int, fresh []uint64) {
	b := g.Bounds
	from := func(k int, some uint64, way document.Facing) {
		for ; some != 0; some &= some - 1 {
			f.goes(g, spot{m: m, p: grid.Point{X: b.X + k*64 + bits.TrailingZeros64(some), Y: b.Y + y}}, way)
		}
	}
	for k, some := range fresh {
		if y == 0 {
			from(k, some, document.Up)
		}
		if y == b.H-1 {
			from(k, some, document.Down)
		}
	}
	last := len(fresh) - 1
	from(0, fresh[0]&1, document.Left)
	from(last, fresh[last]&(1<<((b.W-1)&63)), document.Right)
}

// freeRow are the free cells of a row: without those in which a block lies that no push moves.
func (f *May) freeRow(m world.Ref, open *world.Open, row int, w *front, room int) []uint64 {
	words, barred := len(w.fresh), f.barred[m]
	if barred == nil {
		return open.Free[row : row+words]
	}
	if len(w.without[room]) < words {
		w.without[room] = make([]uint64, words)
	}
	out := w.without[room][:words]
	for k := range out {
		out[k] = open.Free[row+k] &^ barred.bits[row+k]
	}
	return out
}
