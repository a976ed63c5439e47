package cells

import (
	"azzel/core/grid"
	"slices"
)

const (
	side      = grid.ChunkSize
	chunkArea = side * side
)

// Chunk is 32×32 cells, row by row. It is never changed once it is in a plane.
// A chunk of one value keeps only that value.
type Chunk struct {
	uniform Cell
	cells   *[chunkArea]Cell
}

// At is the cell at (x, y) inside the chunk.
func (c *Chunk) At(x, y int) Cell {
	if c == nil {
		return 0
	}
	if c.cells == nil {
		return c.uniform
	}
	return c.cells[y*side+x]
}

// Uniform gives the one value of all cells, if they have one.
func (c *Chunk) Uniform() (Cell, bool) {
	if c == nil {
		return 0, true
	}
	return c.uniform, c.cells == nil
}

// Copy writes the chunk's 1,024 cells to out.
func (c *Chunk) Copy(out *[chunkArea]Cell) {
	if v, ok := c.Uniform(); ok {
		repeat(out[:], v)
		return
	}
	*out = *c.cells
}

// Row writes the cells of a row of the chunk to out.
func (c *Chunk) Row(y int, out *[side]Cell) {
	if v, ok := c.Uniform(); ok {
		repeat(out[:], v)
		return
	}
	*out = [side]Cell(c.cells[y*side:])
}

// Column writes the cells of a column of the chunk to out.
func (c *Chunk) Column(x int, out *[side]Cell) {
	if v, ok := c.Uniform(); ok {
		repeat(out[:], v)
		return
	}
	for y := 0; y < side; y += 4 {
		from, to := (*[3*side + 1]Cell)(c.cells[y*side+x:]), (*[4]Cell)(out[y:])
		to[0], to[1], to[2], to[3] = from[0], from[side], from[2*side], from[3*side]
	}
}

func repeat(out []Cell, v Cell) {
	for i := range out {
		out[i] = v
	}
}

// copied is a copy of its cells.
func (c *Chunk) copied() *[chunkArea]Cell {
	if c == nil || c.cells == nil {
		next := new([chunkArea]Cell)
		c.Copy(next)
		return next
	}
	// unlike that of new, the room of a clone is not emptied before it is written
	return (*[chunkArea]Cell)(slices.Clone(c.cells[:]))
}

// normal makes the one form that a chunk of these cells has: nil when empty,
// one value when uniform. It keeps the array.
func normal(cells *[chunkArea]Cell) *Chunk {
	first := cells[0]
	for _, c := range cells {
		if c != first {
			return &Chunk{cells: cells}
		}
	}
	return uniformChunk(first)
}

func uniformChunk(c Cell) *Chunk {
	if c == 0 {
		return nil
	}
	return &Chunk{uniform: c}
}

// Plane is the cells of one layer, without bounds. It is a value: changing it
// gives another plane, which shares the chunks that did not change.
type Plane struct {
	rows   []planeRow
	chunks int
	mixed  int
	// later has the cells of a plane that was not read when it was stored here; it has
	// no rows of its own then.
	later *later
}

type planeRow struct {
	cy     int
	chunks []placed
	mixed  int // chunks of more than one value
}

type placed struct {
	cx    int
	chunk *Chunk
}

func (p *Plane) row(cy int) (int, bool) {
	if len(p.rows) > 0 { // mostly there is none left out
		if i := cy - p.rows[0].cy; i >= 0 && i < len(p.rows) && p.rows[i].cy == cy {
			return i, true
		}
	}
	return slices.BinarySearchFunc(p.rows, cy, func(r planeRow, cy int) int { return r.cy - cy })
}

// Chunk is the chunk at (cx, cy), in chunks; nil where all is empty.
func (p Plane) Chunk(cx, cy int) *Chunk {
	if p.later != nil {
		p = p.read()
	}
	return p.chunk(cx, cy)
}

// chunk is Chunk of a plane that is read; it copies nothing, which takes the module longer than looking it up.
func (p *Plane) chunk(cx, cy int) *Chunk {
	i, ok := p.row(cy)
	if !ok {
		return nil
	}
	chunks := p.rows[i].chunks
	if i := cx - chunks[0].cx; i >= 0 && i < len(chunks) && chunks[i].cx == cx {
		return chunks[i].chunk
	}
	j, ok := slices.BinarySearchFunc(chunks, cx, func(c placed, cx int) int { return c.cx - cx })
	if !ok {
		return nil
	}
	return chunks[j].chunk
}

// At is the cell at (x, y).
func (p Plane) At(x, y int) Cell {
	cx, cy := grid.FloorDiv(x, side), grid.FloorDiv(y, side)
	return p.Chunk(cx, cy).At(x-cx*side, y-cy*side)
}

// Placed is a chunk with its position in chunks.
type Placed struct {
	CX, CY int
	Chunk  *Chunk
}

// Chunks lists the chunks that are not empty, by row, then column.
func (p Plane) Chunks() []Placed {
	var out []Placed
	for _, r := range p.read().rows {
		for _, c := range r.chunks {
			out = append(out, Placed{c.cx, r.cy, c.chunk})
		}
	}
	return out
}

// Size is how many chunks the plane holds, and how many of them are of more
// than one value: those keep 4 KB each, the others one cell.
func (p Plane) Size() (chunks, mixed int) {
	p = p.read()
	return p.chunks, p.mixed
}

// Empty reports whether the plane holds no cell.
func (p Plane) Empty() bool { return len(p.read().rows) == 0 }

// with exchanges chunks; changes are sorted by row, then column, nil empties.
func (p Plane) with(changes []Placed) Plane {
	p = p.read()
	rows := make([]planeRow, 0, len(p.rows)+1)
	out := Plane{chunks: p.chunks, mixed: p.mixed}
	i := 0
	for len(changes) > 0 {
		cy := changes[0].CY
		n := 1
		for n < len(changes) && changes[n].CY == cy {
			n++
		}
		for i < len(p.rows) && p.rows[i].cy < cy {
			rows = append(rows, p.rows[i])
			i++
		}
		var old []placed
		if i < len(p.rows) && p.rows[i].cy == cy {
			old = p.rows[i].chunks
			out.chunks -= len(old)
			out.mixed -= p.rows[i].mixed
			i++
		}
		if merged := mergeRow(old, changes[:n]); len(merged) > 0 {
			row := planeRow{cy, merged, mixedIn(merged)}
			out.chunks += len(merged)
			out.mixed += row.mixed
			rows = append(rows, row)
		}
		changes = changes[n:]
	}
	out.rows = append(rows, p.rows[i:]...)
	return out
}

func mixedIn(chunks []placed) (n int) {
	for _, c := range chunks {
		if c.chunk.cells != nil {
			n++
		}
	}
	return n
}

// Extent is the bounds of all chunks that hold something, outside a map's bounds too.
func (p Plane) Extent() (out grid.Rect) {
	for _, c := range p.Chunks() {
		out = out.Union(grid.Rect{X: c.CX * side, Y: c.CY * side, W: side, H: side})
	}
	return out
}

// Outside lists, by row and column, the first n chunks that lie wholly outside
// bounds, as the patch that empties them.
func (p Plane) Outside(bounds grid.Rect, n int) Patch {
	var out Patch
	for _, c := range p.Chunks() {
		if len(out) == n {
			break
		}
		if (grid.Rect{X: c.CX * side, Y: c.CY * side, W: side, H: side}).Intersect(bounds).Empty() {
			out = append(out, ChunkPatch{CX: c.CX, CY: c.CY})
		}
	}
	return out
}

func mergeRow(old []placed, changes []Placed) []placed {
	out := make([]placed, 0, len(old)+len(changes))
	for i := range changes {
		c := &changes[i]
		for len(old) > 0 && old[0].cx < c.CX {
			out = append(out, old[0])
			old = old[1:]
		}
		if len(old) > 0 && old[0].cx == c.CX {
			old = old[1:]
		}
		if c.Chunk != nil {
			out = append(out, placed{c.CX, c.Chunk})
		}
	}
	return append(out, old...)
}

// Changed lists the chunks, as positions, that are not the same in p and q.
// It compares pointers, so planes made from each other are compared quickly.
func (p Plane) Changed(q Plane) [][2]int {
	if p.later == q.later && p.later != nil {
		return nil
	}
	var out [][2]int
	a, b := p.read().rows, q.read().rows
	for len(a) > 0 || len(b) > 0 {
		switch {
		case len(b) == 0 || len(a) > 0 && a[0].cy < b[0].cy:
			out = changedInRow(out, a[0].cy, a[0].chunks, nil)
			a = a[1:]
		case len(a) == 0 || b[0].cy < a[0].cy:
			out = changedInRow(out, b[0].cy, nil, b[0].chunks)
			b = b[1:]
		default:
			if &a[0].chunks[0] != &b[0].chunks[0] {
				out = changedInRow(out, a[0].cy, a[0].chunks, b[0].chunks)
			}
			a, b = a[1:], b[1:]
		}
	}
	return out
}

func changedInRow(out [][2]int, cy int, a, b []placed) [][2]int {
	for len(a) > 0 || len(b) > 0 {
		switch {
		case len(b) == 0 || len(a) > 0 && a[0].cx < b[0].cx:
			out = append(out, [2]int{a[0].cx, cy})
			a = a[1:]
		case len(a) == 0 || b[0].cx < a[0].cx:
			out = append(out, [2]int{b[0].cx, cy})
			b = b[1:]
		default:
			if a[0].chunk != b[0].chunk {
				out = append(out, [2]int{a[0].cx, cy})
			}
			a, b = a[1:], b[1:]
		}
	}
	return out
}

// Flattened is what shows of several planes, the top one first: in each cell
// the first that is not empty.
func Flattened(planes []Plane) Plane {
	var out Plane
	for i := len(planes) - 1; i >= 0; i-- {
		var changes []Placed
		for _, c := range planes[i].Chunks() {
			under := out.Chunk(c.CX, c.CY)
			if v, ok := c.Chunk.Uniform(); ok && v != 0 || under == nil {
				changes = append(changes, c)
				continue
			}
			next := new([chunkArea]Cell)
			under.Copy(next)
			for k, v := range c.Chunk.cells {
				if v != 0 {
					next[k] = v
				}
			}
			changes = append(changes, Placed{c.CX, c.CY, normal(next)})
		}
		out = out.with(changes)
	}
	return out
}
