package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
)

// pushTicks is how much farther from a goal a situation seems for every cell that a block lies away from a plate that nothing weighs on.
const pushTicks = 150

// farPush is how many cells a plate is thought to be away that no block can be pushed to.
const farPush = 60

// plate is a switch that weight works, and over how many cells blocks would have to be pushed onto it from each cell; −1 is never.
type plate struct {
	ref  world.Ref
	m    world.Ref
	cell grid.Point
	far  []int16
}

// platesOf are the plates of the maps that are seen from above.
func platesOf(st *world.Stage) (out []plate) {
	blocks := false
	for i := range st.Things {
		blocks = blocks || st.Things[i].Acts == kind.Block
	}
	for i := range st.Things {
		t := &st.Things[i]
		if g := st.Grounds[t.Map]; blocks && t.Acts == kind.Switch && t.Doing.Worked == world.ByWeight && !g.Side && !g.Template && g.Bounds.W*g.Bounds.H <= MaxCells/8 {
			cell := g.CellAt((t.Body.Left+t.Body.Right)/2, (t.Body.Top+t.Body.Bottom)/2)
			out = append(out, plate{world.Ref(i), t.Map, cell, pulled(g, cell)})
		}
	}
	return out
}

// pulled is over how many cells a block would be pulled from a cell to each other one: into the cell where whoever pulls it stands, who
// needs another free one behind. Nothing but walls is in the way.
func pulled(g *world.Ground, from grid.Point) []int16 {
	b := g.Bounds
	out := make([]int16, b.W*b.H)
	for i := range out {
		out[i] = -1
	}
	free := func(p grid.Point) bool { return b.Contains(p) && g.At(p)&world.Whole == 0 }
	at := func(p grid.Point) int { return (p.Y-b.Y)*b.W + p.X - b.X }
	if !b.Contains(from) {
		return out
	}
	out[at(from)] = 0
	for todo := []grid.Point{from}; len(todo) > 0; todo = todo[1:] {
		p := todo[0]
		for _, way := range document.Facings {
			dx, dy := way.Step()
			q, behind := grid.Point{X: p.X + dx, Y: p.Y + dy}, grid.Point{X: p.X + 2*dx, Y: p.Y + 2*dy}
			if free(q) && free(behind) && out[at(q)] < 0 {
				out[at(q)] = out[at(p)] + 1
				todo = append(todo, q)
			}
		}
	}
	return out
}

// unweighed is over how many cells blocks would have to be pushed at the least to lie on all plates of the maps that were entered, each on one.
func (s *Search) unweighed(g *play.Game) (cells int) {
	if len(s.plates) == 0 {
		return 0
	}
	taken := make([]bool, len(g.Bodies))
	for i := range s.plates {
		p := &s.plates[i]
		best, by := farPush, -1
		some := false
		for k := range g.Bodies {
			b := &g.Bodies[k]
			if b.Of < 0 || b.Map != p.m || taken[k] || s.st.Thing(b.Of).Acts != kind.Block || b.Flags&play.Sunk != 0 || !g.There(b.Of) {
				continue
			}
			some = true
			m := s.st.Grounds[p.m]
			at := m.CellAt(b.X, b.Y)
			if !m.Bounds.Contains(at) {
				continue
			}
			if far := int(p.far[(at.Y-m.Bounds.Y)*m.Bounds.W+at.X-m.Bounds.X]); far >= 0 && far < best {
				best, by = far, k
			}
		}
		if some && !g.On(p.ref) {
			cells += best
		}
		if by >= 0 {
			taken[by] = true
		}
	}
	return cells
}

// pushes adds the blocks that can be pushed: from beside them, each way in which the next cell is not solid.
func (s *Search) pushes(out []target, near spots, g *play.Game, m *world.Ground) []target {
	for k := range g.Bodies {
		b := &g.Bodies[k]
		if b.Of < 0 || b.Map != m.Ref || s.st.Thing(b.Of).Acts != kind.Block || b.Flags&play.Sunk != 0 || !g.There(b.Of) || g.Disabled(b.Of) {
			continue
		}
		box := g.Where(b.Of)
		from, to := m.CellAt(box.Left, box.Top), m.CellAt(box.Right-1, box.Bottom-1)
		for _, way := range document.Facings {
			dx, dy := way.Step()
			next := grid.Point{X: (from.X + to.X) / 2, Y: (from.Y + to.Y) / 2}
			stand := next
			switch {
			case dx > 0:
				next.X, stand.X = to.X+1, from.X-1
			case dx < 0:
				next.X, stand.X = from.X-1, to.X+1
			case dy > 0:
				next.Y, stand.Y = to.Y+1, from.Y-1
			default:
				next.Y, stand.Y = from.Y-1, to.Y+1
			}
			if far, ok := near.Far(stand); ok && m.Bounds.Contains(next) && m.At(next)&world.Whole == 0 {
				out = append(out, target{at: stand, far: far, push: way})
			}
		}
	}
	return out
}

// push pushes what lies before the hero by a cell; false where nothing moves.
func (w *walk) push(way document.Facing) bool {
	in := [4]play.Input{play.InputUp, play.InputRight, play.InputDown, play.InputLeft}[way.Index()]
	began := false
	for range 40 {
		w.hold(in)
		if began = slides(w.game); began || w.game.Ground() == nil || w.game.Lost != play.NotLost || w.game.Leaving >= 0 {
			break
		}
	}
	if !began {
		return false
	}
	for range 60 {
		if w.hold(0); !slides(w.game) {
			break
		}
	}
	return w.rest()
}

// slides reports whether a block is on its way.
func slides(g *play.Game) bool {
	for i := range g.Bodies {
		if b := &g.Bodies[i]; b.Of >= 0 && b.Flags&play.Stepping != 0 && g.Stage.Thing(b.Of).Acts == kind.Block {
			return true
		}
	}
	return false
}

// lying tells apart where blocks lie, to a quarter of a cell, and in which cells other heroes wait.
func lying(st *world.Stage, g *play.Game) (sum uint64) {
	for i := range g.Bodies {
		b := &g.Bodies[i]
		if b.Of < 0 || st.Thing(b.Of).Acts != kind.Block {
			continue
		}
		w, h := st.Grounds[b.Map].Cell()
		sum = (sum ^ uint64(b.Of)<<40 ^ uint64(b.Map)<<32 ^ uint64(b.X*4/w)<<16 ^ uint64(b.Y*4/h)) * 0x9e3779b97f4a7c15
		sum ^= sum >> 29
	}
	for i, p := range g.Party {
		if p.Of >= 0 && st.Thing(p.Of).Doing.Along || p.Map < 0 {
			continue
		}
		w, h := st.Grounds[p.Map].Cell()
		sum = (sum ^ uint64(p.Of)<<40 ^ uint64(i)<<56 ^ uint64(p.Map)<<32 ^ uint64(p.X/w)<<16 ^ uint64(p.Y/h)) * 0x9e3779b97f4a7c15
		sum ^= sum >> 29
	}
	return sum
}
