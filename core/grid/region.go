package grid

import (
	"cmp"
	"math/bits"
	"slices"
)

// ChunkSize is the side of a chunk in cells; cells are stored, copied and drawn by chunk.
const ChunkSize = 32

// Mask marks cells of one chunk: bit x of row y.
type Mask [ChunkSize]uint32

// FullMask marks every cell of a chunk.
var FullMask = func() (m Mask) {
	for i := range m {
		m[i] = ^uint32(0)
	}
	return
}()

// Count is the number of marked cells.
func (m *Mask) Count() int {
	n := 0
	for _, row := range m {
		n += bits.OnesCount32(row)
	}
	return n
}

// Full reports whether all cells are marked.
func (m *Mask) Full() bool {
	all := ^uint32(0)
	for y := 0; y < ChunkSize; y += 8 {
		eight := (*[8]uint32)(m[y:])
		all &= eight[0] & eight[1] & eight[2] & eight[3] & eight[4] & eight[5] & eight[6] & eight[7]
	}
	return all == ^uint32(0)
}

// Add marks the cells of another mask.
func (m *Mask) Add(other *Mask) {
	for y := 0; y < ChunkSize; y += 4 {
		to, of := (*[4]uint32)(m[y:]), (*[4]uint32)(other[y:])
		to[0] |= of[0]
		to[1] |= of[1]
		to[2] |= of[2]
		to[3] |= of[3]
	}
}

// Clip removes what lies outside bounds, for the chunk at (cx, cy).
func (m *Mask) Clip(cx, cy int, bounds Rect) {
	box := Rect{cx * ChunkSize, cy * ChunkSize, ChunkSize, ChunkSize}
	in := box.Intersect(bounds)
	if in == box {
		return
	}
	if in.Empty() {
		*m = Mask{}
		return
	}
	row := rowBits(in.X-box.X, in.W)
	for y := range m {
		if y+box.Y < in.Y || y+box.Y >= in.Y+in.H {
			m[y] = 0
		} else {
			m[y] &= row
		}
	}
}

func rowBits(x, w int) uint32 {
	if w >= 32 {
		return ^uint32(0)
	}
	return (1<<uint(w) - 1) << uint(x)
}

// ChunkMask is a chunk's position, in chunks, with the cells marked in it.
type ChunkMask struct {
	CX, CY int
	Rows   Mask
}

// compare is negative where c comes before the chunk at (cx, cy), by row, then column, and 0 where it is that one.
func (c *ChunkMask) compare(cx, cy int) int {
	if c.CY != cy {
		return c.CY - cy
	}
	return c.CX - cx
}

// Region is a set of cells. The zero value is an empty set, ready to use.
type Region struct {
	chunks []ChunkMask
	// mixed says that they are not one behind the other by row, then column; index is where they are then, once there
	// are more than few.
	mixed bool
	index map[[2]int]int
}

// few is how many chunks are looked through one by one: most regions are what a brush comes to.
const few = 8

// find is where a chunk is.
func (r *Region) find(cx, cy int) (i int, ok bool) {
	n := len(r.chunks)
	if n == 0 {
		return 0, false
	}
	switch order := r.chunks[n-1].compare(cx, cy); {
	case order == 0:
		return n - 1, true
	case r.index != nil:
		i, ok = r.index[[2]int{cx, cy}]
		return i, ok
	case r.mixed:
		for i := range r.chunks {
			if r.chunks[i].compare(cx, cy) == 0 {
				return i, true
			}
		}
		return 0, false
	case order < 0:
		return 0, false
	}
	low, high := 0, n
	for low < high {
		if mid := int(uint(low+high) / 2); r.chunks[mid].compare(cx, cy) < 0 {
			low = mid + 1
		} else {
			high = mid
		}
	}
	return low, r.chunks[low].compare(cx, cy) == 0
}

// At gives the mask of a chunk for reading and marking, made when missing.
// The pointer is good until the next call.
func (r *Region) At(cx, cy int) *Mask {
	i, ok := r.find(cx, cy)
	if ok {
		return &r.chunks[i].Rows
	}
	n := len(r.chunks)
	r.mixed = r.mixed || n > 0 && r.chunks[n-1].compare(cx, cy) > 0
	r.chunks = append(r.chunks, ChunkMask{CX: cx, CY: cy})
	switch {
	case r.index != nil:
		r.index[[2]int{cx, cy}] = n
	case r.mixed && n >= few:
		r.index = make(map[[2]int]int, 2*n)
		for i := range r.chunks {
			r.index[[2]int{r.chunks[i].CX, r.chunks[i].CY}] = i
		}
	}
	return &r.chunks[n].Rows
}

// Room makes room for so many more chunks, so that they are not moved while they are marked.
func (r *Region) Room(chunks int) { r.chunks = slices.Grow(r.chunks, chunks) }

// Add marks one cell.
func (r *Region) Add(p Point) {
	cx, cy := FloorDiv(p.X, ChunkSize), FloorDiv(p.Y, ChunkSize)
	r.At(cx, cy)[p.Y-cy*ChunkSize] |= 1 << uint(p.X-cx*ChunkSize)
}

// AddRect marks every cell of a rectangle.
func (r *Region) AddRect(b Rect) {
	if b.Empty() {
		return
	}
	for cy := FloorDiv(b.Y, ChunkSize); cy <= FloorDiv(b.Y+b.H-1, ChunkSize); cy++ {
		for cx := FloorDiv(b.X, ChunkSize); cx <= FloorDiv(b.X+b.W-1, ChunkSize); cx++ {
			m := FullMask
			m.Clip(cx, cy, b)
			r.At(cx, cy).Add(&m)
		}
	}
}

// Has reports whether a cell is marked.
func (r *Region) Has(p Point) bool {
	cx, cy := FloorDiv(p.X, ChunkSize), FloorDiv(p.Y, ChunkSize)
	i, ok := r.find(cx, cy)
	return ok && r.chunks[i].Rows[p.Y-cy*ChunkSize]&(1<<uint(p.X-cx*ChunkSize)) != 0
}

// Covers says whether every cell of a rectangle is in the set.
func (r *Region) Covers(box Rect) bool {
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if !r.Has(Point{X: x, Y: y}) {
				return false
			}
		}
	}
	return true
}

// Clip removes the cells outside bounds.
func (r *Region) Clip(bounds Rect) {
	for i := range r.chunks {
		c := &r.chunks[i]
		c.Rows.Clip(c.CX, c.CY, bounds)
	}
}

// mask is the mask of a chunk for reading; all zeros where there is none.
func (r *Region) mask(cx, cy int) Mask {
	if i, ok := r.find(cx, cy); ok {
		return r.chunks[i].Rows
	}
	return Mask{}
}

// MaskAt is a copy of a chunk's mask.
func (r *Region) MaskAt(cx, cy int) Mask { return r.mask(cx, cy) }

// Clone is a set of the same cells.
func (r *Region) Clone() *Region {
	out := &Region{}
	out.Union(r)
	return out
}

// Union adds the cells of s.
func (r *Region) Union(s *Region) {
	for i := range s.chunks {
		c := &s.chunks[i]
		r.At(c.CX, c.CY).Add(&c.Rows)
	}
}

// Subtract removes the cells of s.
func (r *Region) Subtract(s *Region) {
	for i := range r.chunks {
		c := &r.chunks[i]
		other := s.mask(c.CX, c.CY)
		for y := range c.Rows {
			c.Rows[y] &^= other[y]
		}
	}
}

// Intersect removes the cells that are not in s.
func (r *Region) Intersect(s *Region) {
	for i := range r.chunks {
		c := &r.chunks[i]
		other := s.mask(c.CX, c.CY)
		for y := range c.Rows {
			c.Rows[y] &= other[y]
		}
	}
}

// Empty reports whether the set holds no cell.
func (r *Region) Empty() bool {
	for i := range r.chunks {
		if r.chunks[i].Rows != (Mask{}) {
			return false
		}
	}
	return true
}

// Inner is the cells whose four neighbours are in the set as well.
func (r *Region) Inner() *Region {
	out := &Region{}
	for _, c := range r.Chunks() {
		up, down := r.mask(c.CX, c.CY-1), r.mask(c.CX, c.CY+1)
		left, right := r.mask(c.CX-1, c.CY), r.mask(c.CX+1, c.CY)
		rows := out.At(c.CX, c.CY)
		for y := range c.Rows {
			above, below := up[ChunkSize-1], down[0]
			if y > 0 {
				above = c.Rows[y-1]
			}
			if y < ChunkSize-1 {
				below = c.Rows[y+1]
			}
			rows[y] = c.Rows[y] & above & below & (c.Rows[y]<<1 | left[y]>>31) & (c.Rows[y]>>1 | right[y]<<31)
		}
	}
	return out
}

// Count is the number of cells in the set.
func (r *Region) Count() int {
	n := 0
	for i := range r.chunks {
		n += r.chunks[i].Rows.Count()
	}
	return n
}

// InOrder lists the chunks by row of chunks, then column, empty ones as well: for reading, until the set is changed.
func (r *Region) InOrder() []ChunkMask {
	if r.mixed {
		return r.Chunks()
	}
	return r.chunks
}

// Chunks is a list of its own of the non-empty chunks, sorted by row of chunks, then column.
func (r *Region) Chunks() []ChunkMask {
	out := make([]ChunkMask, 0, len(r.chunks))
	for i := range r.chunks {
		if r.chunks[i].Rows != (Mask{}) {
			out = append(out, r.chunks[i])
		}
	}
	if r.mixed {
		slices.SortFunc(out, func(a, b ChunkMask) int { return a.compare(b.CX, b.CY) })
	}
	return out
}

// Bounds is the smallest rectangle that holds the set.
func (r *Region) Bounds() Rect {
	var out Rect
	for i := range r.chunks {
		c := &r.chunks[i]
		var all uint32
		top, bottom := -1, -1
		for y, row := range c.Rows {
			if row != 0 {
				if top < 0 {
					top = y
				}
				bottom = y
				all |= row
			}
		}
		if top < 0 {
			continue
		}
		left := bits.TrailingZeros32(all)
		right := 31 - bits.LeadingZeros32(all)
		out = out.Union(Rect{c.CX*ChunkSize + left, c.CY*ChunkSize + top, right - left + 1, bottom - top + 1})
	}
	return out
}

// Span is a run of cells in one row: X0 up to but not including X1.
type Span struct {
	Y  int `json:"y"`
	X0 int `json:"x0"`
	X1 int `json:"x1"`
}

// Spans lists the set as runs inside chunks, sorted by chunk, row and column.
func (r *Region) Spans() []Span {
	var out []Span
	for _, c := range r.Chunks() {
		for y, row := range c.Rows {
			for row != 0 {
				from := bits.TrailingZeros32(row)
				length := bits.TrailingZeros32(^(row >> uint(from)))
				out = append(out, Span{c.CY*ChunkSize + y, c.CX*ChunkSize + from, c.CX*ChunkSize + from + length})
				row &^= rowBits(from, length)
			}
		}
	}
	return out
}

// Points lists the cells of the set by row, then column.
func (r *Region) Points() []Point {
	spans := r.Spans()
	slices.SortFunc(spans, func(a, b Span) int { return cmp.Or(a.Y-b.Y, a.X0-b.X0) })
	out := make([]Point, 0, r.Count())
	for _, s := range spans {
		for x := s.X0; x < s.X1; x++ {
			out = append(out, Point{x, s.Y})
		}
	}
	return out
}
