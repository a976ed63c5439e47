package world

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"slices"
)

// strays are those that go wherever the ground lets them on a map that is seen from the side: what the hero pushes, and who walks.
type strays struct{ blocks, walkers []*Thing }

// astray are the boxes within which strays may come, where other things act within some boxes; ok is false where that cannot be told.
func (g *Ground) astray(s strays, acts []Box) (out []Box, ok bool) {
	if len(s.blocks)+len(s.walkers) == 0 {
		return nil, true
	}
	loose := slices.ContainsFunc(g.Springs(), func(r Ref) bool {
		dx, _ := g.stage.Thing(r).Facing.Step()
		return dx != 0 // who is thrown aside comes to a side without ground
	})
	standing := slices.ContainsFunc(s.walkers, func(t *Thing) bool { return t.Solid }) // a block may lie on their heads
	w, h := g.Cell()
	firm := g.firm(acts)
	if len(s.blocks) > 0 {
		// the hero that stands at an edge reaches as far beyond it as it is wide
		beyond := 1 + int((g.stage.Gait(g, None).W+w-1)/w)
		out = (&spread{g: g, acts: acts, up: g.wets(s.blocks), firm: firm, beyond: beyond, loose: loose || standing, piles: len(s.blocks) - 1}).from(s.blocks)
	}
	blocks, laid := out, g.marks().sheets()
	var free []*Thing // whom something moves or who follows the hero
	for _, t := range s.walkers {
		box, level := g.walkedBy(t, laid)
		near := grown(box, w, h)
		if level && !t.chases() && !meetsAny(acts, near) && !meetsAny(blocks, near) {
			out = append(out, box)
		} else {
			free = append(free, t)
		}
	}
	switch {
	case len(free) == 0:
		return out, true
	case standing && len(s.walkers) > 1:
		return nil, false // they climb over each other
	}
	for _, b := range blocks {
		firm.add(b)
	}
	return append(out, (&spread{g: g, acts: acts, up: g.climbs(firm), firm: firm, loose: loose}).from(free)...), true
}

func meetsAny(all []Box, b Box) bool {
	for _, o := range all {
		if !apart(o, b) {
			return true
		}
	}
	return false
}

// marks are cells of a map, by rows.
type marks struct {
	g  *Ground
	in []bool
}

func (g *Ground) marks() marks { return marks{g, make([]bool, g.Bounds.W*g.Bounds.H)} }

// cells are the columns and rows of a box in the bounds of a map, the last ones included.
func (g *Ground) cells(b Box) (x0, y0, x1, y1 int) {
	from, to := g.CellAt(b.Left, b.Top), g.CellAt(b.Right-1, b.Bottom-1)
	at := g.Bounds
	return max(0, from.X-at.X), max(0, from.Y-at.Y), min(to.X-at.X, at.W-1), min(to.Y-at.Y, at.H-1)
}

func (m marks) add(b Box) {
	x0, y0, x1, y1 := m.g.cells(b)
	for y := y0; y <= y1; y++ {
		for x := x0; x <= x1; x++ {
			m.in[y*m.g.Bounds.W+x] = true
		}
	}
}

// has reports whether one of some cells is marked.
func (m marks) has(x0, y0, x1, y1 int) bool {
	for y := max(0, y0); y <= min(y1, m.g.Bounds.H-1); y++ {
		for x := max(0, x0); x <= min(x1, m.g.Bounds.W-1); x++ {
			if m.in[y*m.g.Bounds.W+x] {
				return true
			}
		}
	}
	return false
}

// ground marks the cells of which something is so.
func (m marks) ground(is Terrain) marks {
	b := m.g.Bounds
	for i := range m.in {
		m.in[i] = m.in[i] || m.g.At(grid.Point{X: b.X + i%b.W, Y: b.Y + i/b.W})&is != 0
	}
	return m
}

// sheets marks the cells of layers that rules lay and lift.
func (m marks) sheets() marks {
	b := m.g.Bounds
	for i := range m.g.sheets {
		l := m.g.Map.Layers.Get(m.g.stage.Sheets[m.g.firstSheet+i].Layer)
		for _, s := range l.Cells.Region(b, func(c cells.Cell) bool { return c != 0 }).Spans() {
			for x := s.X0; x < s.X1; x++ {
				m.in[(s.Y-b.Y)*b.W+x-b.X] = true
			}
		}
	}
	return m
}

// lines marks the cells that ground which is drawn freely comes near.
func (m marks) lines() marks {
	w, h := m.g.Cell()
	for _, s := range m.g.settings().segments {
		x0, y0, x1, y1 := m.g.cells(grown(s.Box(), w, h))
		for y := y0; y <= y1; y++ {
			for x := x0; x <= x1; x++ {
				at := Box{Left: int64(m.g.Bounds.X+x) * w, Top: int64(m.g.Bounds.Y+y) * h, Right: int64(m.g.Bounds.X+x+1) * w, Bottom: int64(m.g.Bounds.Y+y+1) * h}
				if Crosses(s.A, s.B, grown(at, w, h)) {
					m.in[y*m.g.Bounds.W+x] = true
				}
			}
		}
	}
	return m
}

// wets marks where a block may be lifted by water: nowhere, where none floats.
func (g *Ground) wets(blocks []*Thing) marks {
	out := g.marks()
	for _, t := range blocks {
		if t.Doing.InWater == Floats {
			out.ground(Water)
			for r := g.First; r < g.After; r++ {
				if o := g.stage.Thing(r); o.Area != nil && o.Area.Is&Water != 0 {
					out.add(g.alongWith(o, reach(o)))
				}
			}
			break
		}
	}
	return out
}

// climbs marks what somebody may go up on: ground of less than a cell, and what is firm.
func (g *Ground) climbs(firm marks) marks {
	out := g.marks().ground(Broken)
	for i := range out.in {
		out.in[i] = out.in[i] || firm.in[i]
	}
	return out
}

// firm marks what somebody may stand on besides whole cells: part of a cell, things that are in the way, and some boxes.
func (g *Ground) firm(also []Box) marks {
	out := g.marks().ground(Broken | Ladder).lines().sheets()
	for r := g.First; r < g.After; r++ {
		if t := g.stage.Thing(r); t.Solid {
			out.add(reach(t))
		}
	}
	for _, b := range also {
		out.add(b)
	}
	return out
}

// spread is how far things may come that go to either side while they stand on something, and fall; up where something is beside them that
// is marked, and wherever something acts on them.
type spread struct {
	g        *Ground
	acts     []Box
	up, firm marks
	// beyond is how many cells they come over an edge besides their own width, 0 for who turns there; loose tells that they come to a side in the air as well.
	beyond int
	loose  bool
	// piles is how many of them may lie on each other below another one.
	piles int

	feet marks
	laid marks
	deep []int32
	todo []grid.Point
	high int
}

// from are the boxes within which some things may come, row by row.
func (s *spread) from(all []*Thing) (out []Box) {
	if len(all) == 0 {
		return nil
	}
	s.feet, s.laid, s.high = s.g.marks(), s.g.marks().sheets(), 1
	s.deep = s.depths()
	wide := 1
	for _, t := range all {
		x0, y0, x1, y1 := s.g.cells(reach(t))
		s.high, wide = max(s.high, y1-y0+1), max(wide, x1-x0+1)
		for x := x0; x <= x1; x++ {
			s.enter(x, y1)
		}
		out = append(out, reach(t))
	}
	if s.beyond > 0 {
		s.beyond += wide
	}
	taken := make([]bool, len(s.acts))
	for more := true; more; {
		s.flow()
		more = false
		for i, box := range s.acts {
			if x0, y0, x1, y1 := s.g.cells(box); !taken[i] && s.feet.has(x0-1, y0-1, x1+1, y1+s.high) {
				taken[i], more = true, true
				for y := y0 - 1; y <= y1+1; y++ {
					for x := x0 - 1; x <= x1+1; x++ {
						s.enter(x, y)
					}
				}
			}
		}
	}
	b := s.g.Bounds
	w, h := s.g.Cell()
	for y := range b.H {
		for x := 0; x < b.W; x++ {
			from := x
			for x < b.W && s.feet.in[y*b.W+x] {
				x++
			}
			if x > from {
				out = append(out, Box{Left: int64(b.X+from) * w, Right: int64(b.X+x) * w, Top: int64(b.Y+y-s.high+1) * h, Bottom: int64(b.Y+y+1) * h})
			}
		}
	}
	return out
}

// free reports whether no whole cell is at a column and row.
func (s *spread) free(x, y int) bool {
	b := s.g.Bounds
	return x >= 0 && y >= 0 && x < b.W && y < b.H && (s.laid.in[y*b.W+x] || s.g.At(grid.Point{X: b.X + x, Y: b.Y + y})&Whole == 0)
}

func (s *spread) enter(x, y int) {
	if s.free(x, y) && !s.feet.in[y*s.g.Bounds.W+x] {
		s.feet.in[y*s.g.Bounds.W+x] = true
		s.todo = append(s.todo, grid.Point{X: x, Y: y})
	}
}

// flow goes on from all that was come to.
func (s *spread) flow() {
	for len(s.todo) > 0 {
		p := s.todo[len(s.todo)-1]
		s.todo = s.todo[:len(s.todo)-1]
		for _, x := range []int{p.X - 1, p.X + 1} {
			if s.loose || s.carried(x, p.Y) {
				s.enter(x, p.Y)
			}
		}
		s.enter(p.X, p.Y+1)
		if s.up.has(p.X-1, p.Y-s.high+1, p.X+1, p.Y) {
			s.enter(p.X, p.Y-1)
		}
	}
}

// carried reports whether something that lies with its lower edge in a cell may lie on something.
func (s *spread) carried(x, y int) bool {
	for u := max(0, x-s.beyond); u <= min(x+s.beyond, s.g.Bounds.W-1); u++ {
		if y >= 0 && y < s.g.Bounds.H && int(s.deep[y*s.g.Bounds.W+u]) <= s.piles*s.high {
			return true
		}
	}
	return s.up.has(x-s.beyond, y-s.high+1, x+s.beyond, y+1)
}

// depths are over how many free cells it is from each down to something that may be stood on, which its own cell may be as well.
func (s *spread) depths() []int32 {
	b := s.g.Bounds
	out := make([]int32, b.W*b.H)
	for y := b.H - 1; y >= 0; y-- {
		for x := range b.W {
			switch i := y*b.W + x; {
			case s.firm.in[i], !s.free(x, y+1), s.firm.in[i+b.W]:
			default:
				out[i] = out[i+b.W] + 1
			}
		}
	}
	return out
}
