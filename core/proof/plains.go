package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
)

// plains are the cells of a map, with its layers and blocks as they lie, over which a hero goes from cell to cell without anything happening:
// free ones that nothing stands in or beside of what could be pushed. Ways over them are known without being played.
type plains struct {
	m    *world.Ground
	free []bool
	// border are the ways from a free cell to one that is not free and no wall either, as bits; only there something can be done.
	border []uint8
	// beside are the cells in which, or beside which, something lies that could move.
	beside []bool
	// over are the things that lie over cells on which nothing else is that could matter: with all of them gone it is plain ground.
	over map[int32][]world.Ref
	from map[int32]*spreading
}

// spreading is what can be come to from a cell over plain ground.
type spreading struct {
	ends []plainEnd
	// size is how many cells hang together, first the lowest of their numbers.
	size  int
	first int32
}

// anyway is how the hero looks where that does not matter, arrives where it comes from a cell out of which things are gone.
const (
	anyway  = 4
	arrives = 5
)

// plainEnd is a cell at the border of plain ground: how far it is, and how the hero looks that comes to it so, from 0 on, anyway where
// that does not matter.
type plainEnd struct {
	cell  int32
	looks uint8
	far   int32
}

type plainsKey struct {
	m    *world.Ground
	lies uint64
}

// even reports whether what happens in a game follows from where the hero comes to alone, and not from how it stands otherwise, from time,
// or from what is farther away.
func even(st *world.Stage) bool {
	if st.Looks || st.Sights || len(st.Glimpses)+len(st.Guised)+len(st.Rounds) > 0 || st.Book.Day > 0 {
		return false
	}
	for _, r := range st.Rules {
		for _, n := range rules.TreeOf(r).When {
			if n.Word == rules.WordWields {
				return false
			}
		}
	}
	return true
}

// plainOn reports whether there is plain ground on a map: one that is walked from cell to cell, in four ways, where nothing acts from afar.
func plainOn(st *world.Stage, m *world.Ground) bool {
	w := st.Gait(m, world.None)
	if m.Side || m.HasLines() || !w.Cells || w.Eight || w.Points > 0 || w.WindX != 0 || w.WindY != 0 || m.MoveLimit() > 0 || m.TimeLimit() > 0 || len(m.Dangers())+len(m.Timed())+len(m.Fans())+len(m.Cores()) > 0 {
		return false
	}
	for _, r := range st.Heroes {
		if g := st.Gait(m, r); *g != *w {
			return false
		}
	}
	return true
}

// newPlains finds the plain ground of the map that a game is on.
func newPlains(g *play.Game) *plains {
	m := g.Ground()
	b, open := m.Bounds, m.Open()
	p := &plains{m: m, free: make([]bool, b.W*b.H), border: make([]uint8, b.W*b.H), beside: make([]bool, b.W*b.H), over: map[int32][]world.Ref{}, from: map[int32]*spreading{}}
	for y := range b.H {
		for x := range b.W {
			p.free[y*b.W+x] = open.IsFree(x, y) && m.At(grid.Point{X: b.X + x, Y: b.Y + y}) == 0
		}
	}
	for i := range g.Bodies {
		body := &g.Bodies[i]
		if body.Of < 0 || body.Map != m.Ref {
			continue
		}
		box := g.Where(body.Of)
		from, to := m.CellAt(box.Left, box.Top), m.CellAt(box.Right-1, box.Bottom-1)
		for y := max(0, from.Y-b.Y-1); y <= min(b.H-1, to.Y-b.Y+1); y++ {
			for x := max(0, from.X-b.X-1); x <= min(b.W-1, to.X-b.X+1); x++ {
				p.free[y*b.W+x], p.beside[y*b.W+x] = false, true
			}
		}
	}
	p.cover(g)
	chart := g.Stage.Chart
	for i, free := range p.free {
		if !free {
			continue
		}
		at := grid.Point{X: b.X + i%b.W, Y: b.Y + i/b.W}
		for n, way := range document.Facings {
			dx, dy := way.Step()
			to := grid.Point{X: at.X + dx, Y: at.Y + dy}
			is := false
			if b.Contains(to) {
				k := i + dx + dy*b.W
				is = !p.free[k] && !p.walled(int32(k))
			} else {
				o, _, _ := chart.Beyond(m.Map, to)
				is = o != nil || m.Map.Side(way) != document.SideWall
			}
			if is {
				p.border[i] |= 1 << n
			}
		}
	}
	return p
}

// touched reports whether something stands in a cell that never leaves its place.
func touched(m *world.Ground, p grid.Point) (is bool) {
	w, h := m.Cell()
	m.Near(world.Box{Left: int64(p.X) * w, Top: int64(p.Y) * h, Right: int64(p.X+1) * w, Bottom: int64(p.Y+1) * h}, func(_ world.Ref, t *world.Thing) {
		is = is || t.Acts != kind.Path
	})
	return is
}

// at is the number of a cell, −1 outside.
func (p *plains) at(c grid.Point) int32 {
	if b := p.m.Bounds; b.Contains(c) {
		return int32((c.Y-b.Y)*b.W + c.X - b.X)
	}
	return -1
}

func (p *plains) cell(i int32) grid.Point {
	b := p.m.Bounds
	return grid.Point{X: b.X + int(i)%b.W, Y: b.Y + int(i)/b.W}
}

// far is how many steps each cell is away from one over plain ground, −1 for never (breadth-first).
func (p *plains) far(from int32) ([]int32, []int32) {
	out := make([]int32, len(p.free))
	for i := range out {
		out[i] = -1
	}
	out[from] = 0
	todo := make([]int32, 1, len(p.free))
	todo[0] = from
	w, h := int32(p.m.Bounds.W), int32(p.m.Bounds.H)
	for k := 0; k < len(todo); k++ {
		i := todo[k]
		x, y, next := i%w, i/w, out[i]+1
		if y > 0 && p.free[i-w] && out[i-w] < 0 {
			out[i-w], todo = next, append(todo, i-w)
		}
		if x < w-1 && p.free[i+1] && out[i+1] < 0 {
			out[i+1], todo = next, append(todo, i+1)
		}
		if y < h-1 && p.free[i+w] && out[i+w] < 0 {
			out[i+w], todo = next, append(todo, i+w)
		}
		if x > 0 && p.free[i-1] && out[i-1] < 0 {
			out[i-1], todo = next, append(todo, i-1)
		}
	}
	return out, todo
}

// spread finds what can be come to from a free cell; it is kept.
func (p *plains) spread(from int32) *spreading {
	if out := p.from[from]; out != nil {
		return out
	}
	far, all := p.far(from)
	out := &spreading{size: len(all), first: from}
	for _, i := range all {
		out.first = min(out.first, i)
		if p.border[i] == 0 {
			continue
		}
		out.ends = append(out.ends, plainEnd{i, anyway, far[i]})
		for way := range document.Facings {
			if p.border[i]>>way&1 == 0 {
				continue
			}
			// who comes from behind looks that way
			if behind := p.behind(i, way); behind >= 0 && far[behind] >= 0 {
				out.ends = append(out.ends, plainEnd{i, uint8(way), far[behind] + 1})
			}
		}
	}
	p.from[from] = out
	return out
}

// behind is the free cell from which one comes into another one, going a way; −1 for none.
func (p *plains) behind(i int32, way int) int32 {
	dx, dy := document.Facings[way].Step()
	c := p.cell(i)
	if b := p.at(grid.Point{X: c.X - dx, Y: c.Y - dy}); b >= 0 && p.free[b] {
		return b
	}
	return -1
}

// way are the cells from one to another over plain ground, the last of them gone into looking so.
func (p *plains) way(from, to int32, looks uint8) (out []grid.Point) {
	if looks < anyway {
		if p.beyond(from, document.Facings[looks]) == to {
			return []grid.Point{p.cell(to)}
		}
	}
	far, _ := p.far(from)
	if looks < anyway {
		out, to = []grid.Point{p.cell(to)}, p.behind(to, int(looks))
	}
	for to != from {
		out = append(out, p.cell(to))
		c := p.cell(to)
		for _, way := range document.Facings {
			dx, dy := way.Step()
			if b := p.at(grid.Point{X: c.X - dx, Y: c.Y - dy}); b >= 0 && far[b] >= 0 && far[b] == far[to]-1 {
				to = b
				break
			}
		}
	}
	for i, k := 0, len(out)-1; i < k; i, k = i+1, k-1 {
		out[i], out[k] = out[k], out[i]
	}
	return out
}
