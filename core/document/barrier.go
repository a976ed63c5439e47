package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"slices"
)

// Unit is how many parts a pixel has where boxes are tested.
const Unit = 256

// Extent is a box between two corners, in 1/256 map pixels.
type Extent struct{ Left, Top, Right, Bottom int64 }

func (e Extent) meets(o Extent) bool {
	return e.Left < o.Right && e.Right > o.Left && e.Top < o.Bottom && e.Bottom > o.Top
}

// barriers are what stops a box within a block of 32×32 cells, merged: solid
// rectangles, slanting pieces, and sides that can be crossed one way only.
type barriers struct {
	rects  []Extent
	pieces []piece
	sides  []oneWay
}

// piece is a convex shape, in 1/256 map pixels.
type piece struct {
	box   Extent
	shape Shape
}

// oneWay is a rectangle of which one side cannot be crossed from outside.
type oneWay struct {
	side Facing
	at   Extent
}

// blockSide is how many cells a block of barriers is wide and high.
const blockSide = 32

type blockKey struct {
	m      ID
	bx, by int
}

// Stops reports whether something stops a box that comes from where was lies:
// something solid that it touches, or a one-way side that it crosses. Blocks are
// merged when a box first comes near them.
func (s *Solids) Stops(m *Map, was, box Extent) bool {
	near := Extent{min(was.Left, box.Left), min(was.Top, box.Top), max(was.Right, box.Right), max(was.Bottom, box.Bottom)}
	block := func(v int64, cell int) int { return grid.FloorDiv(int(v), cell*Unit*blockSide) }
	for by := block(near.Top, m.CellHeight); by <= block(near.Bottom-1, m.CellHeight); by++ {
		for bx := block(near.Left, m.CellWidth); bx <= block(near.Right-1, m.CellWidth); bx++ {
			if s.barriers(m, bx, by).stop(was, box) {
				return true
			}
		}
	}
	return false
}

func (b *barriers) stop(was, box Extent) bool {
	return slices.ContainsFunc(b.rects, box.meets) ||
		slices.ContainsFunc(b.pieces, func(p piece) bool {
			return box.meets(p.box) && p.shape.Overlaps(box.Left, box.Top, box.Right, box.Bottom)
		}) ||
		slices.ContainsFunc(b.sides, func(o oneWay) bool { return o.crossed(was, box) })
}

// crossed reports whether a box that moves comes over the side from outside.
func (o oneWay) crossed(was, box Extent) bool {
	across := box.Left < o.at.Right && box.Right > o.at.Left
	along := box.Top < o.at.Bottom && box.Bottom > o.at.Top
	switch o.side {
	case Up:
		return across && was.Bottom <= o.at.Top && box.Bottom > o.at.Top
	case Down:
		return across && was.Top >= o.at.Bottom && box.Top < o.at.Bottom
	case Left:
		return along && was.Right <= o.at.Left && box.Right > o.at.Left
	case Right:
		return along && was.Left >= o.at.Right && box.Left < o.at.Right
	}
	return false
}

func (s *Solids) barriers(m *Map, bx, by int) *barriers {
	key := blockKey{m.ID, bx, by}
	if b := s.blocks[key]; b != nil {
		return b
	}
	b := &barriers{}
	s.blocks[key] = b
	within := grid.Rect{X: bx * blockSide, Y: by * blockSide, W: blockSide, H: blockSide}.Intersect(m.Bounds)
	whole := &grid.Region{}
	var parts []grid.Rect
	sides := map[Facing]*grid.Region{}
	for y := within.Y; y < within.Y+within.H; y++ {
		for x := within.X; x < within.X+within.W; x++ {
			p := grid.Point{X: x, Y: y}
			if s.At(m, p) {
				whole.Add(p)
				continue
			}
			s.partsAt(m, p, func(c cells.Cell, info *TileInfo) {
				for _, o := range s.outlines(c, info, m.CellWidth, m.CellHeight) {
					o = o.moved(2*x*m.CellWidth, 2*y*m.CellHeight)
					if r, ok := o.box(); ok {
						parts = append(parts, r)
						continue
					}
					for _, shape := range o.pieces() {
						b.pieces = append(b.pieces, pieceOf(shape))
					}
				}
				if info.OneWay != "" {
					side := info.OneWay.Turned(turnOf(c))
					if sides[side] == nil {
						sides[side] = &grid.Region{}
					}
					sides[side].Add(p)
				}
			})
		}
	}
	for _, r := range whole.Rects() {
		b.rects = append(b.rects, cellExtent(m, r))
	}
	for _, r := range joinedRects(parts) {
		const half = Unit / 2
		b.rects = append(b.rects, Extent{int64(r.X) * half, int64(r.Y) * half, int64(r.X+r.W) * half, int64(r.Y+r.H) * half})
	}
	for _, side := range []Facing{Up, Right, Down, Left} {
		if sides[side] == nil {
			continue
		}
		for _, r := range sideRuns(sides[side], side) {
			b.sides = append(b.sides, oneWay{side, cellExtent(m, r)})
		}
	}
	return b
}

// partsAt calls f with the tiles on a cell that are solid in part or from one
// side; a walkable zone lets pass whatever lies there.
func (s *Solids) partsAt(m *Map, p grid.Point, f func(c cells.Cell, info *TileInfo)) {
	if s.zoneAt(m, p) == ZoneWalkable {
		return
	}
	layers, _ := s.ground(m).on(p)
	for _, l := range layers {
		c := l.Cells.At(p.X, p.Y)
		if c.IsMaterial() {
			c = s.fitter.At(l.Cells, m.Bounds, p.X, p.Y).Cell
		}
		if c == 0 {
			continue
		}
		if info := s.sheets.Info(c); info != nil && (info.Part != "" || info.OneWay != "") {
			f(c, info)
		}
	}
}

// sideRuns joins the cells that lie along a side; cells behind one another keep
// a side each.
func sideRuns(r *grid.Region, side Facing) []grid.Rect {
	var all []grid.Rect
	for _, p := range r.Points() {
		all = append(all, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1})
	}
	if side == Up || side == Down {
		return joinedAlong(all, true)
	}
	return joinedAlong(all, false)
}

func pieceOf(o Shape) piece {
	const half = Unit / 2
	out := piece{shape: make(Shape, len(o))}
	for i, q := range o {
		x, y := int64(q.X)*half, int64(q.Y)*half
		out.shape[i] = grid.Point{X: int(x), Y: int(y)}
		if i == 0 {
			out.box = Extent{x, y, x, y}
		}
		out.box = Extent{min(out.box.Left, x), min(out.box.Top, y), max(out.box.Right, x), max(out.box.Bottom, y)}
	}
	return out
}

// cellExtent is the box of a rectangle of cells.
func cellExtent(m *Map, r grid.Rect) Extent {
	return Extent{int64(r.X*m.CellWidth) * Unit, int64(r.Y*m.CellHeight) * Unit, int64((r.X+r.W)*m.CellWidth) * Unit, int64((r.Y+r.H)*m.CellHeight) * Unit}
}
