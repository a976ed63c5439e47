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
// chunk at once. It, Paint and Apply are not put into what calls them: in the
// module three quarters of the time are left when each stands by itself.
//
//go:noinline
func Fill(p Plane, bounds grid.Rect, start grid.Point, reach Reach) *grid.Region {
	region := &grid.Region{}
	if !bounds.Contains(start) || reach.Within != nil && !reach.Within.Has(start) {
		return region
	}
	f := filler{plane: p.read(), bounds: bounds, reach: reach, value: p.At(start.X, start.Y)}
	f.left, f.top = grid.FloorDiv(bounds.X, side), grid.FloorDiv(bounds.Y, side)
	f.w = grid.FloorDiv(bounds.X+bounds.W-1, side) - f.left + 1
	f.h = grid.FloorDiv(bounds.Y+bounds.H-1, side) - f.top + 1
	f.spots = make([]spot, f.w*f.h)
	cx, cy := grid.FloorDiv(start.X, side), grid.FloorDiv(start.Y, side)
	f.pushRow(cx, cy, start.Y-cy*side, 1<<uint(start.X-cx*side))
	for len(f.queue) > 0 {
		next := f.queue[0]
		f.queue = f.queue[1:]
		f.flood(f.left+next.x, f.top+next.y, &f.spots[next.y*f.w+next.x])
	}
	region.Room(f.touched)
	for y := range f.h {
		row := f.spots[y*f.w:][:f.w]
		for x := range row {
			if filled := row[x].filled; filled != nil {
				*region.At(f.left+x, f.top+y) = *filled
			}
		}
	}
	return region
}

// spot is a chunk: which of its cells are of the value, and which are filled; nil where that is not known yet, and where none is.
type spot struct {
	open, filled *grid.Mask
	// waits is whether it is in the queue, and from the cells from which to go on there; nil before any were, and of one that is filled as a
	// whole. What comes to a chunk from several sides goes on at once.
	waits bool
	from  *grid.Mask
}

// waiting is where a chunk in the queue is, from the first one of bounds on.
type waiting struct{ x, y int }

// whole is a chunk all of whose cells are of the value, or filled; it is shared and never written.
var whole = grid.FullMask

// none is a chunk of which nothing is filled; it is never written.
var none grid.Mask

// leftmost and rightmost are the cells along a side of a chunk; they are never written.
var leftmost, rightmost = everyRow(1), everyRow(1 << (side - 1))

func everyRow(row uint32) (m grid.Mask) {
	for y := range m {
		m[y] = row
	}
	return m
}

// isInside says whether all of a chunk lies in bounds.
func isInside(cx, cy int, b grid.Rect) bool {
	return cx*side >= b.X && cy*side >= b.Y && (cx+1)*side <= b.X+b.W && (cy+1)*side <= b.Y+b.H
}

// masks has room for masks: one by one they take longer to come by than to work out.
type masks []grid.Mask

// masksAtOnce is so few that a small fill makes none in vain that would take long.
const masksAtOnce = 16

// next is an empty mask.
func (m *masks) next() *grid.Mask {
	if len(*m) == 0 {
		*m = make(masks, masksAtOnce)
	}
	next := &(*m)[0]
	*m = (*m)[1:]
	return next
}

type filler struct {
	plane     Plane
	bounds    grid.Rect
	reach     Reach
	value     Cell
	left, top int // the first chunk of bounds
	w, h      int // in chunks
	spots     []spot
	queue     []waiting
	touched   int // how many chunks are filled, or waited to be
	masks     masks
}

// spot is what is known of a chunk; nil outside bounds.
func (f *filler) spot(cx, cy int) *spot {
	x, y := cx-f.left, cy-f.top
	if x < 0 || y < 0 || x >= f.w || y >= f.h {
		return nil
	}
	s := &f.spots[y*f.w+x]
	if s.open == nil {
		s.open = f.matching(cx, cy)
	}
	return s
}

func (f *filler) matching(cx, cy int) (m *grid.Mask) {
	chunk := f.plane.chunk(cx, cy)
	v, uniform := chunk.Uniform()
	if uniform && v == f.value && f.reach.Within == nil && isInside(cx, cy, f.bounds) {
		return &whole
	}
	m = f.masks.next()
	if uniform {
		if v == f.value {
			*m = grid.FullMask
		}
	} else {
		for y := range side {
			m[y] = equal((*[side]Cell)(chunk.cells[y*side:]), f.value)
		}
	}
	m.Clip(cx, cy, f.bounds)
	if f.reach.Within != nil {
		within := f.reach.Within.MaskAt(cx, cy)
		for y := range m {
			m[y] &= within[y]
		}
	}
	return m
}

// equal is which cells of a row hold v, eight at a time: a shift by as many as change costs three times one by as many as do not.
func equal(cells *[side]Cell, v Cell) (row uint32) {
	is := func(c Cell) (is uint32) {
		if c == v {
			is = 1
		}
		return is
	}
	for x := 0; x < side; x += 8 {
		eight := (*[8]Cell)(cells[x:])
		row = row>>8 | is(eight[0])<<24 | is(eight[1])<<25 | is(eight[2])<<26 | is(eight[3])<<27 |
			is(eight[4])<<28 | is(eight[5])<<29 | is(eight[6])<<30 | is(eight[7])<<31
	}
	return row
}

// push queues cells that are open and not filled yet; a chunk that is open all over is filled at once.
func (f *filler) push(cx, cy int, rows *grid.Mask) {
	s := f.spot(cx, cy)
	if s == nil || s.filled == &whole {
		return
	}
	if s.open == &whole {
		f.enqueue(cx, cy, s)
		return
	}
	filled := s.filled
	if filled == nil {
		filled = &none
	}
	from, any := f.goesOnFrom(s), uint32(0)
	for y, row := range rows {
		row &= s.open[y] &^ filled[y]
		from[y] |= row
		any |= row
	}
	if any != 0 {
		f.enqueue(cx, cy, s)
	}
}

// pushRow is push for one row.
func (f *filler) pushRow(cx, cy, y int, row uint32) {
	s := f.spot(cx, cy)
	if s == nil || s.filled == &whole {
		return
	}
	row &= s.open[y]
	if s.filled != nil {
		row &^= s.filled[y]
	}
	if row != 0 {
		if s.open != &whole {
			f.goesOnFrom(s)[y] |= row
		}
		f.enqueue(cx, cy, s)
	}
}

// goesOnFrom is room for the cells from which to go on in a chunk.
func (f *filler) goesOnFrom(s *spot) *grid.Mask {
	if s.from == nil {
		s.from = f.masks.next()
	}
	return s.from
}

func (f *filler) enqueue(cx, cy int, s *spot) {
	if s.waits {
		return
	}
	if s.filled == nil {
		f.touched++
	}
	if s.open == &whole {
		s.filled = &whole
	}
	s.waits = true
	f.queue = append(f.queue, waiting{cx - f.left, cy - f.top})
}

func (f *filler) flood(cx, cy int, s *spot) {
	s.waits = false
	if s.open == &whole {
		f.goesOnAll(cx, cy)
		return
	}
	var got grid.Mask
	got, *s.from = *s.from, none
	spread(&got, s.open, f.reach.Corners)
	if s.filled == nil {
		s.filled = f.masks.next()
	}
	for y := range got {
		got[y] &^= s.filled[y]
		s.filled[y] |= got[y]
	}
	var left, right grid.Mask
	sides := [2]uint32{}
	for y := range got {
		left[y] = got[y] & 1 << 31
		right[y] = got[y] >> 31
		sides[0] |= left[y]
		sides[1] |= right[y]
	}
	if f.reach.Corners {
		f.pushCorners(cx, cy, &got, &left, &right)
	}
	if row := got[0]; row != 0 {
		f.pushRow(cx, cy-1, side-1, f.widened(row))
	}
	if row := got[side-1]; row != 0 {
		f.pushRow(cx, cy+1, 0, f.widened(row))
	}
	if sides[0] != 0 {
		f.push(cx-1, cy, &left)
	}
	if sides[1] != 0 {
		f.push(cx+1, cy, &right)
	}
}

// goesOnAll goes on to all sides of a chunk that is filled as a whole; most of them are filled already, which is seen without a call.
func (f *filler) goesOnAll(cx, cy int) {
	const all = ^uint32(0)
	x, y := cx-f.left, cy-f.top
	i := y*f.w + x
	if y > 0 && f.spots[i-f.w].filled != &whole {
		f.pushRow(cx, cy-1, side-1, all)
	}
	if y < f.h-1 && f.spots[i+f.w].filled != &whole {
		f.pushRow(cx, cy+1, 0, all)
	}
	if x > 0 && f.spots[i-1].filled != &whole {
		f.push(cx-1, cy, &rightmost)
	}
	if x < f.w-1 && f.spots[i+1].filled != &whole {
		f.push(cx+1, cy, &leftmost)
	}
	if f.reach.Corners {
		for _, at := range [4][2]int{{-1, -1}, {-1, 1}, {1, -1}, {1, 1}} {
			x, y := (1-at[0])/2*(side-1), (1-at[1])/2*(side-1)
			f.pushRow(cx+at[0], cy+at[1], y, 1<<x)
		}
	}
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
	aslant := uint32(0)
	if corners {
		aslant = ^aslant
	}
	near := func(row uint32) uint32 { return row | (row<<1|row>>1)&aslant }
	for y := range got {
		if got[y] != 0 {
			got[y] = alongRow(got[y], open[y])
		}
	}
	// down and up by turns until one of them, behind the other, adds nothing; a row that nothing came to is closed along itself already
	for turn := 0; ; turn++ {
		grown := false
		if turn%2 == 0 {
			for y := 1; y < side; y++ {
				if more := near(got[y-1]) & open[y] &^ got[y]; more != 0 {
					got[y], grown = alongRow(got[y]|more, open[y]), true
				}
			}
		} else {
			for y := side - 2; y >= 0; y-- {
				if more := near(got[y+1]) & open[y] &^ got[y]; more != 0 {
					got[y], grown = alongRow(got[y]|more, open[y]), true
				}
			}
		}
		if !grown && turn > 0 {
			return
		}
	}
}

// alongRow extends bits over the runs of open bits that they lie in: upward by the carry of a sum, which goes through a run of ones, downward
// by parallel prefix (Kogge and Stone, IEEE Trans. Computers C-22(8), 1973).
func alongRow(got, open uint32) uint32 {
	up := open &^ (open + got)
	down, right := got, open
	down |= right & (down >> 1)
	right &= right >> 1
	down |= right & (down >> 2)
	right &= right >> 2
	down |= right & (down >> 4)
	right &= right >> 4
	down |= right & (down >> 8)
	right &= right >> 8
	down |= right & (down >> 16)
	return up | down
}
