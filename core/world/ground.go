package world

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"math/bits"
)

// Ground is a map as play sees it.
type Ground struct {
	*document.Map
	Ref Ref
	// First and After bound the numbers of its things.
	First, After Ref
	// Side tells that it is seen from the side: there is a down.
	Side bool

	stage *Stage
	// byX and byY divide by the size of a cell.
	byX, byY divisor
	area     Box
	blocks   []*block
	across   int
	last     int
	lastOf   *block
	near     [][]resting
	// open is which cells are free, nil while nobody has asked.
	open *Open
	// footing is where one can stand, once footed.
	footing [2]*Footing
	footed  [2]bool
	// swept is where something may act on a hero, once that is known, and whether it can be told.
	swept                 []Box
	sweptKnown, sweptTold bool
	// bare is where no thing stands that never leaves its place: what was found last.
	bare Box
	// taken is all of a thing that never leaves its place: the one that was met last.
	taken Box
	set   *settings
	// firstSheet is the number of the first of its sheets; variants are the map with some of them otherwise, and own what
	// stands in the way on such a one.
	firstSheet, sheets int
	variants           map[uint32]*Ground
	own                *document.Solids
}

// Terrain is what a cell is to whoever moves, as bits.
type Terrain uint8

// What a cell can be, or an area on it. Broken cells are solid in part or from one side: what of them stops
// is asked of their outlines.
const (
	Whole Terrain = 1 << iota
	Broken
	Ladder
	Water
	Hazard
	Slow
)

const blockSide = 32

// block is what some cells are, and all that any of them is.
type block struct {
	cells [blockSide * blockSide]Terrain
	all   Terrain
}

func newGround(s *Stage, m *document.Map, ref Ref) *Ground {
	g := &Ground{Map: m, Ref: ref, stage: s, Side: s.Doc.FromSide(m)}
	g.byX, g.byY = divisorOf(int64(m.CellWidth)*Unit), divisorOf(int64(m.CellHeight)*Unit)
	g.taken = nowhere
	g.across = (m.Bounds.W + blockSide - 1) / blockSide
	w, h := g.Cell()
	b := g.Bounds
	g.area = Box{Left: int64(b.X) * w, Top: int64(b.Y) * h, Right: int64(b.X+b.W) * w, Bottom: int64(b.Y+b.H) * h}
	return g
}

// Cell is the size of its cells, in 1/256 pixels.
func (g *Ground) Cell() (w, h int64) { return int64(g.CellWidth) * Unit, int64(g.CellHeight) * Unit }

// CellAt is the cell that a place in 1/256 pixels lies in.
func (g *Ground) CellAt(x, y int64) grid.Point {
	return grid.Point{X: int(g.byX.floor(x)), Y: int(g.byY.floor(y))}
}

// Area is all of the map, in 1/256 pixels.
func (g *Ground) Area() Box { return g.area }

// At is what a cell is; beyond the map it is nothing. Blocks of cells are looked at when
// somebody first comes near them.
func (g *Ground) At(p grid.Point) Terrain {
	x, y := p.X-g.Bounds.X, p.Y-g.Bounds.Y
	if x < 0 || y < 0 || x >= g.Bounds.W || y >= g.Bounds.H {
		return 0
	}
	return g.blockAt(x, y).cells[uint(y)%blockSide*blockSide+uint(x)%blockSide]
}

// Perilous reports whether some cell of the map hurts.
func (g *Ground) Perilous() bool {
	for y := 0; y < g.Bounds.H; y += blockSide {
		for x := 0; x < g.Bounds.W; x += blockSide {
			if g.blockAt(x, y).all&Hazard != 0 {
				return true
			}
		}
	}
	return false
}

// blockAt is the block of a cell, counted from the corner of the map.
func (g *Ground) blockAt(x, y int) *block {
	if i := int(uint(y)/blockSide)*g.across + int(uint(x)/blockSide); g.lastOf == nil || g.last != i {
		g.last, g.lastOf = i, g.block(i)
	}
	return g.lastOf
}

func (g *Ground) block(i int) *block {
	if g.blocks == nil {
		g.blocks = make([]*block, g.across*((g.Bounds.H+blockSide-1)/blockSide))
	}
	if b := g.blocks[i]; b != nil {
		return b
	}
	b := &block{}
	g.blocks[i] = b
	solids := g.solids()
	for k := range b.cells {
		x, y := i%g.across*blockSide+k%blockSide, i/g.across*blockSide+k/blockSide
		if x >= g.Bounds.W || y >= g.Bounds.H {
			continue
		}
		p := grid.Point{X: g.Bounds.X + x, Y: g.Bounds.Y + y}
		if solids.At(g.Map, p) {
			b.cells[k] |= Whole
		} else if solids.Broken(g.Map, p) {
			b.cells[k] |= Broken
		}
		if solids.Water(g.Map, p) {
			b.cells[k] |= Water
		}
		ladder, hazard := solids.Here(g.Map, p)
		if ladder {
			b.cells[k] |= Ladder
		}
		if hazard {
			b.cells[k] |= Hazard
		}
		b.all |= b.cells[k]
	}
	return b
}

// Any reports whether any of the cells that a box touches is one of these.
func (g *Ground) Any(b Box, of Terrain) bool {
	left, top := int(g.byX.floor(b.Left))-g.Bounds.X, int(g.byY.floor(b.Top))-g.Bounds.Y
	right, bottom := int(g.byX.floor(b.Right-1))-g.Bounds.X, int(g.byY.floor(b.Bottom-1))-g.Bounds.Y
	if left >= 0 && top >= 0 && right < g.Bounds.W && bottom < g.Bounds.H && inOneBlock(left, top, right, bottom) && g.blockAt(left, top).all&of == 0 {
		return false
	}
	return g.Over(b)&of != 0
}

// inOneBlock reports whether cells from one to another, none of them before the corner of the map, lie in one block.
func inOneBlock(left, top, right, bottom int) bool {
	return uint((left^right)|(top^bottom)) < blockSide
}

// Over is all that the cells are which a box touches.
func (g *Ground) Over(b Box) (t Terrain) {
	left, top := int(g.byX.floor(b.Left))-g.Bounds.X, int(g.byY.floor(b.Top))-g.Bounds.Y
	right, bottom := int(g.byX.floor(b.Right-1))-g.Bounds.X, int(g.byY.floor(b.Bottom-1))-g.Bounds.Y
	left, top, right, bottom = max(0, left), max(0, top), min(right, g.Bounds.W-1), min(bottom, g.Bounds.H-1)
	if left > right || top > bottom {
		return 0
	}
	if inOneBlock(left, top, right, bottom) { // nearly always
		in := &g.blockAt(left, top).cells
		if right-left <= 1 && bottom-top <= 1 {
			one, across, down := uint(top)%blockSide*blockSide+uint(left)%blockSide, uint(right-left), uint(bottom-top)*blockSide
			const last = blockSide*blockSide - 1
			return in[one&last] | in[(one+across)&last] | in[(one+down)&last] | in[(one+across+down)&last]
		}
		for y := top % blockSide; y <= bottom%blockSide; y++ {
			for x := left % blockSide; x <= right%blockSide; x++ {
				t |= in[y*blockSide+x]
			}
		}
		return t
	}
	for y := top; y <= bottom; y++ {
		for x := left; x <= right; x++ {
			t |= g.At(grid.Point{X: x + g.Bounds.X, Y: y + g.Bounds.Y})
		}
	}
	return t
}

// Firm reports whether all cells that a box touches are solid as a whole.
func (g *Ground) Firm(b Box) bool {
	from, to := g.CellAt(b.Left, b.Top), g.CellAt(b.Right-1, b.Bottom-1)
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			if g.At(grid.Point{X: x, Y: y})&Whole == 0 {
				return false
			}
		}
	}
	return true
}

// Stops reports whether the ground stops a box that comes from where was lies.
func (g *Ground) Stops(was, box Box) bool {
	switch t := g.Over(box); {
	case t&Whole != 0:
		return true
	case t&Broken != 0 || g.Over(was)&Broken != 0:
		return g.solids().Stops(g.Map, was, box)
	}
	return false
}

// nearSide is how many cells a square has by which things are looked up.
const nearSide = 8

// resting is a thing that never leaves its place, and its reach.
type resting struct {
	thing Ref
	at    Box
}

// takeThings takes over where things lie from the same map of an earlier stage.
func (g *Ground) takeThings(o *Ground) {
	g.First, g.After = o.First, o.After
	if g.Bounds == o.Bounds && g.CellWidth == o.CellWidth && g.CellHeight == o.CellHeight {
		g.near = o.near
	}
}

// Near calls f with the things that never leave their place and stand near a box, some of them
// more than once.
func (g *Ground) Near(b Box, f func(Ref, *Thing)) {
	if g.Bare(b) {
		return
	}
	from, to := g.square(b.Left, b.Top), g.square(b.Right-1, b.Bottom-1)
	across := (g.Bounds.W + nearSide - 1) / nearSide
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			for _, o := range g.near[y*across+x] {
				f(o.thing, &g.stage.Things[o.thing])
			}
		}
	}
}

func (g *Ground) lookUp() {
	across, down := (g.Bounds.W+nearSide-1)/nearSide, (g.Bounds.H+nearSide-1)/nearSide
	g.near = make([][]resting, across*down)
	for r := g.First; r < g.After; r++ {
		if g.stage.Things[r].Doing.Goes {
			continue // it is where its body is
		}
		b := reach(&g.stage.Things[r])
		from, to := g.square(b.Left, b.Top), g.square(b.Right-1, b.Bottom-1)
		for y := from.Y; y <= to.Y; y++ {
			for x := from.X; x <= to.X; x++ {
				g.near[y*across+x] = append(g.near[y*across+x], resting{r, b})
			}
		}
	}
}

// square is the square of a place; what lies outside belongs to the nearest.
func (g *Ground) square(x, y int64) grid.Point {
	p := g.CellAt(x, y)
	within := func(v, from, size int) int { return max(0, min(v-from, size-1)) / nearSide }
	return grid.Point{X: within(p.X, g.Bounds.X, g.Bounds.W), Y: within(p.Y, g.Bounds.Y, g.Bounds.H)}
}

// Squares calls f with the numbers of the squares, of 8×8 cells, that a box touches; there are
// SquareCount of them.
func (g *Ground) Squares(b Box, f func(int)) {
	from, to, across := g.SquaresOf(b)
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			f(y*across + x)
		}
	}
}

// SquaresOf are the first and the last square that a box touches, and how many stand in a row.
func (g *Ground) SquaresOf(b Box) (from, to grid.Point, across int) {
	return g.square(b.Left, b.Top), g.square(b.Right-1, b.Bottom-1), (g.Bounds.W + nearSide - 1) / nearSide
}

// SquareCount is how many squares a map has.
func (g *Ground) SquareCount() int {
	return (g.Bounds.W + nearSide - 1) / nearSide * ((g.Bounds.H + nearSide - 1) / nearSide)
}

// Solid reports whether a thing is in the way on the map. Seen from the side one goes past those
// whom one speaks to, reads and opens.
func (g *Ground) Solid(t *Thing) bool {
	return t.Solid && !(g.Side && (t.Acts == kind.Sign || t.Acts == kind.Character || t.Acts == kind.Container))
}

// divisor divides and rounds down; by a power of two it shifts, which is many times faster.
type divisor struct {
	by    int64
	shift uint8 // 0 where it is no power of two; nothing is divided by 1
}

func divisorOf(by int64) divisor {
	d := divisor{by: by}
	if by&(by-1) == 0 {
		d.shift = uint8(bits.TrailingZeros64(uint64(by)))
	}
	return d
}

func (d divisor) floor(a int64) int64 {
	if d.shift != 0 {
		return a >> (d.shift & 63)
	}
	return d.divide(a)
}

func (d divisor) divide(a int64) int64 {
	q := a / d.by
	if a%d.by < 0 {
		q--
	}
	return q
}
