package world

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"slices"
)

// takeBlocks takes over what the cells of a map were, where its layers have only been painted on since: all blocks but those that a
// changed cell, or one beside it, lies in, since materials fit themselves to their neighbours.
func (g *Ground) takeBlocks(before *Ground) {
	if before.Map == g.Map {
		g.blocks = before.blocks
		return
	}
	was, is := before.LayersInOrder(), g.LayersInOrder()
	if before.blocks == nil || before.ID != g.ID || before.Bounds != g.Bounds || len(was) != len(is) {
		return
	}
	blocks := slices.Clone(before.blocks)
	for i, l := range is {
		o := was[i]
		if o.ID != l.ID || o.Kind != l.Kind || o.Absent != l.Absent || o.Front != l.Front || o.Covers != l.Covers {
			return
		}
		for _, at := range l.Cells.Changed(o.Cells) {
			g.forget(blocks, differ(at[0], at[1], o.Cells, l.Cells))
		}
	}
	g.blocks = blocks
}

// differ is the smallest box around the cells of a chunk that are not the same on two planes.
func differ(cx, cy int, p, q cells.Plane) (out grid.Rect) {
	a, b := p.Chunk(cx, cy), q.Chunk(cx, cy)
	for y := range grid.ChunkSize {
		for x := range grid.ChunkSize {
			if a.At(x, y) == b.At(x, y) {
				continue
			}
			one := grid.Rect{X: cx*grid.ChunkSize + x, Y: cy*grid.ChunkSize + y, W: 1, H: 1}
			if out.Empty() {
				out = one
			}
			out = out.Union(one)
		}
	}
	return out
}

// forget has blocks be looked at anew in which cells of a box lie, or beside which.
func (g *Ground) forget(blocks []*block, box grid.Rect) {
	box = (grid.Rect{X: box.X - 1, Y: box.Y - 1, W: box.W + 2, H: box.H + 2}).Intersect(g.Bounds)
	if box.Empty() {
		return
	}
	for y := (box.Y - g.Bounds.Y) / blockSide; y <= (box.Y+box.H-1-g.Bounds.Y)/blockSide; y++ {
		for x := (box.X - g.Bounds.X) / blockSide; x <= (box.X+box.W-1-g.Bounds.X)/blockSide; x++ {
			blocks[y*g.across+x] = nil
		}
	}
}

// Open is where the hero can go without anything being in its way or to be asked: a bit a cell, each row in whole words.
type Open struct {
	// Words is how many words a row has.
	Words int
	// Free are cells that are not solid and that no thing touches; Odd those that are not solid and that one does.
	Free, Odd []uint64
	// Beside are cells beside which is an odd one.
	Beside []uint64
}

// Open is which cells of a map are free, and which are not solid but have something on them; it is worked out once for a version of a
// map and its things.
func (g *Ground) Open() *Open {
	if g.open != nil {
		return g.open
	}
	words := (g.Bounds.W + 63) / 64
	o := &Open{Words: words, Free: make([]uint64, words*g.Bounds.H), Odd: make([]uint64, words*g.Bounds.H)}
	for y := 0; y < g.Bounds.H; y += blockSide {
		for x := 0; x < g.Bounds.W; x += blockSide {
			b := g.blockAt(x, y)
			for row := range min(blockSide, g.Bounds.H-y) {
				var bits uint64
				for i, t := range b.cells[row*blockSide : (row+1)*blockSide] {
					bits |= uint64(^t&Whole) << i
				}
				if left := g.Bounds.W - x; left < blockSide {
					bits &= 1<<left - 1
				}
				o.Free[(y+row)*words+x/64] |= bits << (x % 64)
			}
		}
	}
	for r := g.First; r < g.After; r++ {
		t := &g.stage.Things[r]
		if t.Doing.Goes {
			continue
		}
		cells := g.CellsOf(r)
		for y := cells.Y - g.Bounds.Y; y < cells.Y-g.Bounds.Y+cells.H; y++ {
			for x := cells.X - g.Bounds.X; x < cells.X-g.Bounds.X+cells.W; x++ {
				i, bit := y*words+x/64, uint64(1)<<(x%64)
				o.Odd[i] |= o.Free[i] & bit
				o.Free[i] &^= bit
			}
		}
	}
	o.Beside = o.beside()
	g.open = o
	return o
}

// beside are the cells that lie beside odd ones.
func (o *Open) beside() []uint64 {
	words := o.Words
	out := make([]uint64, len(o.Odd))
	for i, odd := range o.Odd {
		if odd == 0 {
			continue
		}
		out[i] |= odd<<1 | odd>>1
		if i%words > 0 {
			out[i-1] |= odd << 63
		}
		if i%words < words-1 {
			out[i+1] |= odd >> 63
		}
		if i >= words {
			out[i-words] |= odd
		}
		if i < len(out)-words {
			out[i+words] |= odd
		}
	}
	return out
}

// CellsOf are the cells of the map that a thing lies over, with all of it, where it stands at first.
func (g *Ground) CellsOf(r Ref) grid.Rect {
	box := reach(&g.stage.Things[r])
	from, to := g.CellAt(box.Left, box.Top), g.CellAt(box.Right-1, box.Bottom-1)
	return grid.Rect{X: from.X, Y: from.Y, W: to.X - from.X + 1, H: to.Y - from.Y + 1}.Intersect(g.Bounds)
}

// IsOdd reports whether nothing but things makes a cell not free.
func (o *Open) IsOdd(x, y int) bool { return o.Odd[y*o.Words+x/64]>>(x%64)&1 != 0 }

// IsFree reports whether a cell is, counted from the corner of the map.
func (o *Open) IsFree(x, y int) bool { return o.Free[y*o.Words+x/64]>>(x%64)&1 != 0 }
