package cells

import (
	"azzel/core/grid"
	"math/bits"
)

// ChunkPatch says what some cells of one chunk become. Mask nil means all
// 1,024. Cells holds one value a marked cell, row by row; nil means that all
// become Value.
type ChunkPatch struct {
	CX, CY int
	Mask   *grid.Mask
	Value  Cell
	Cells  []Cell
}

// Patch says what some cells of a plane become: chunks sorted by row, then column.
type Patch []ChunkPatch

// Paint is the patch that gives every cell of a region the value of a block
// repeated over the plane: block is w wide, row by row, and its first cell lies
// on origin. Cells outside bounds are left out. It stands by itself as Fill does.
//
//go:noinline
func Paint(region *grid.Region, bounds grid.Rect, block []Cell, w int, origin grid.Point) Patch {
	h, chunks := len(block)/w, region.InOrder()
	out := make(Patch, len(chunks))
	some := 0
	var parts masks
	for i := range chunks {
		c, cp := &chunks[i], &out[some]
		n := chunkArea
		if !c.Rows.Full() || !isInside(c.CX, c.CY, bounds) {
			part := parts.next()
			*part = c.Rows
			part.Clip(c.CX, c.CY, bounds)
			if n = part.Count(); n == 0 {
				continue
			}
			if n < chunkArea {
				cp.Mask = part
			}
		}
		cp.CX, cp.CY = c.CX, c.CY
		some++
		if len(block) == 1 {
			cp.Value = block[0]
			continue
		}
		cp.Cells = make([]Cell, 0, n)
		cp.each(func(i int, _ Cell) {
			x := grid.Mod(c.CX*side+i%side-origin.X, w)
			y := grid.Mod(c.CY*side+i/side-origin.Y, h)
			cp.Cells = append(cp.Cells, block[y*w+x])
		})
		*cp = cp.packed()
	}
	return out[:some]
}

// PaintEach is the patch that gives every cell of a region what f says; where f
// says no the cell is left as it is. Cells outside bounds are left out.
func PaintEach(region *grid.Region, bounds grid.Rect, f func(x, y int) (Cell, bool)) Patch {
	var out Patch
	for _, c := range region.Chunks() {
		c.Rows.Clip(c.CX, c.CY, bounds)
		rows := c.Rows
		cp := ChunkPatch{CX: c.CX, CY: c.CY}
		values := make([]Cell, 0, chunkArea)
		for y := range rows {
			for left := rows[y]; left != 0; left &= left - 1 {
				x := bits.TrailingZeros32(left)
				v, ok := f(c.CX*side+x, c.CY*side+y)
				if !ok {
					rows[y] &^= 1 << uint(x)
					continue
				}
				values = append(values, v)
			}
		}
		if len(values) == 0 {
			continue
		}
		if len(values) < chunkArea {
			cp.Mask = &rows
		}
		cp.Cells = values
		out = append(out, cp.packed())
	}
	return out
}

// Over is the patch in which the cells of q come after those of p: where both
// write a cell, q's value stays.
func (p Patch) Over(q Patch) Patch {
	region := p.Region()
	region.Union(q.Region())
	plane, _ := p.Apply(Plane{})
	plane, _ = q.Apply(plane)
	return PaintEach(region, region.Bounds(), func(x, y int) (Cell, bool) { return plane.At(x, y), true })
}

// Region is the cells that the patch writes.
func (p Patch) Region() *grid.Region {
	out := &grid.Region{}
	for i := range p {
		rows := out.At(p[i].CX, p[i].CY)
		*rows = grid.FullMask
		if p[i].Mask != nil {
			*rows = *p[i].Mask
		}
	}
	return out
}

// WholePatch is the patch that writes all of a plane over an empty one.
func WholePatch(p Plane) Patch {
	var out Patch
	for _, c := range p.Chunks() {
		cp := ChunkPatch{CX: c.CX, CY: c.CY, Value: c.Chunk.uniform}
		if c.Chunk.cells != nil {
			cp.Cells = c.Chunk.cells[:]
		}
		out = append(out, cp)
	}
	return out
}

func (c *ChunkPatch) count() int {
	if c.Mask == nil {
		return chunkArea
	}
	return c.Mask.Count()
}

// each calls f with the index (0 to 1,023) and the value of each marked cell.
func (c *ChunkPatch) each(f func(i int, v Cell)) {
	n := 0
	for y := range side {
		row := ^uint32(0)
		if c.Mask != nil {
			row = c.Mask[y]
		}
		for row != 0 {
			x := bits.TrailingZeros32(row)
			row &= row - 1
			v := c.Value
			if n < len(c.Cells) {
				v = c.Cells[n]
				n++
			}
			f(y*side+x, v)
		}
	}
}

// packed keeps only the value where all cells have the same.
func (c ChunkPatch) packed() ChunkPatch {
	if len(c.Cells) == 0 {
		return c
	}
	for _, v := range c.Cells {
		if v != c.Cells[0] {
			return c
		}
	}
	c.Value, c.Cells = c.Cells[0], nil
	return c
}

func (c ChunkPatch) clipped(bounds grid.Rect) (ChunkPatch, bool) {
	m := grid.FullMask
	if c.Mask != nil {
		m = *c.Mask
	}
	was := m
	m.Clip(c.CX, c.CY, bounds)
	if m == was {
		return c, true
	}
	out := ChunkPatch{CX: c.CX, CY: c.CY, Mask: &m, Value: c.Value}
	if c.Cells != nil {
		c.each(func(i int, v Cell) {
			if m[i/side]&(1<<uint(i%side)) != 0 {
				out.Cells = append(out.Cells, v)
			}
		})
	}
	return out, m != (grid.Mask{})
}

// Count is the number of cells that the patch writes.
func (p Patch) Count() int {
	n := 0
	for i := range p {
		n += p[i].count()
	}
	return n
}

// Each calls f with the position and the value of every cell that the patch
// writes, by chunk, row and column.
func (p Patch) Each(f func(at grid.Point, v Cell)) {
	for k := range p {
		c := &p[k]
		c.each(func(i int, v Cell) { f(grid.Point{X: c.CX*side + i%side, Y: c.CY*side + i/side}, v) })
	}
}

// Clip leaves out the cells outside bounds.
func (p Patch) Clip(bounds grid.Rect) Patch {
	out := make(Patch, 0, len(p))
	for _, c := range p {
		if k, ok := c.clipped(bounds); ok {
			out = append(out, k)
		}
	}
	return out
}

// Apply writes the patch and gives the new plane and the patch that undoes it. It stands by itself as Fill does.
//
//go:noinline
func (p Patch) Apply(to Plane) (Plane, Patch) {
	changes, inverse := make([]Placed, len(p)), make(Patch, len(p))
	var plain *Chunk // the last chunk of one value that was put down: it can lie in many places, since it never changes
	to = to.read()
	for i := range p {
		c, was := &p[i], &inverse[i]
		old, next := to.chunk(c.CX, c.CY), plain
		if v, uniform := old.Uniform(); uniform && c.Mask == nil && c.Cells == nil {
			if is, _ := plain.Uniform(); is != c.Value {
				plain = uniformChunk(c.Value)
				next = plain
			}
			was.CX, was.CY, was.Value = c.CX, c.CY, v
		} else {
			next, *was = written(old, c)
		}
		change := &changes[i]
		change.CX, change.CY, change.Chunk = c.CX, c.CY, next
	}
	return to.with(changes), inverse
}

// alone is what the patch writes over an empty plane. Cells of whole chunks are taken over, and have to stay as they are.
func (p Patch) alone() Plane {
	chunks := make([]Placed, 0, len(p))
	for i := range p {
		c := &p[i]
		chunk := (*Chunk)(nil)
		if c.Mask == nil && len(c.Cells) == chunkArea {
			chunk = normal((*[chunkArea]Cell)(c.Cells))
		} else {
			chunk, _ = written(nil, c)
		}
		chunks = append(chunks, Placed{c.CX, c.CY, chunk})
	}
	return Plane{}.with(chunks)
}

// written is a chunk with the patch in it, and what the patch's cells held before.
func written(old *Chunk, c *ChunkPatch) (*Chunk, ChunkPatch) {
	was := ChunkPatch{CX: c.CX, CY: c.CY, Mask: c.Mask}
	v, uniform := old.Uniform()
	if uniform {
		was.Value = v
	} else if c.Mask == nil {
		was.Cells = old.cells[:] // chunks never change, so the array can be shared
	}
	switch {
	case c.Mask == nil && c.Cells == nil:
		return uniformChunk(c.Value), was
	case uniform && c.Cells == nil && v == c.Value:
		return old, was
	case c.Mask == nil:
		next := new([chunkArea]Cell)
		copy(next[:], c.Cells)
		return normal(next), was
	}
	next := old.copied()
	alike := true
	if c.Cells != nil {
		if !uniform {
			was.Value, alike = value(old.cells, c.Mask)
		}
		c.each(func(i int, v Cell) { next[i] = v })
	} else {
		first, same := put(next, c.Mask, c.Value)
		if !uniform {
			was.Value, alike = first, same
		}
	}
	if !alike {
		was.Value, was.Cells = 0, marked(old.cells, c.Mask, c.count())
	}
	return normal(next), was
}

// Revert writes "to" into those cells that still hold "was"; the two patches
// mark the same cells. It gives the new plane, the pair that turns this back
// again, and how many cells were written and how many were left as they are.
func Revert(plane Plane, was, to Patch) (out Plane, wrote, old Patch, done, kept int) {
	var changes []Placed
	for k := range was {
		a, b := &was[k], &to[k]
		chunk := plane.Chunk(a.CX, a.CY)
		if v, ok := chunk.Uniform(); ok && a.Mask == nil && a.Cells == nil && b.Cells == nil && v == a.Value {
			changes = append(changes, Placed{a.CX, a.CY, uniformChunk(b.Value)})
			wrote, old = append(wrote, *b), append(old, *a)
			done += chunkArea
			continue
		}
		var now, target [chunkArea]Cell
		chunk.Copy(&now)
		b.each(func(i int, v Cell) { target[i] = v })
		next := new([chunkArea]Cell)
		*next = now
		var m grid.Mask
		var wroteCells, oldCells []Cell
		a.each(func(i int, v Cell) {
			if now[i] != v {
				kept++
				return
			}
			next[i] = target[i]
			m[i/side] |= 1 << uint(i%side)
			wroteCells, oldCells = append(wroteCells, target[i]), append(oldCells, v)
		})
		if len(oldCells) == 0 {
			continue
		}
		done += len(oldCells)
		changes = append(changes, Placed{a.CX, a.CY, normal(next)})
		wrote = append(wrote, ChunkPatch{CX: a.CX, CY: a.CY, Mask: &m, Cells: wroteCells}.packed())
		old = append(old, ChunkPatch{CX: a.CX, CY: a.CY, Mask: &m, Cells: oldCells}.packed())
	}
	return plane.with(changes), wrote, old, done, kept
}

// SameCells reports whether two patches mark the same cells.
func SameCells(a, b Patch) bool {
	if len(a) != len(b) {
		return false
	}
	for i := range a {
		ma, mb := &grid.FullMask, &grid.FullMask
		if a[i].Mask != nil {
			ma = a[i].Mask
		}
		if b[i].Mask != nil {
			mb = b[i].Mask
		}
		if a[i].CX != b[i].CX || a[i].CY != b[i].CY || *ma != *mb {
			return false
		}
	}
	return true
}
