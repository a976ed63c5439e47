package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
	"math/bits"
)

// leaps is what could be on a map that is seen from the side, where nothing moves the hero but its own legs and gravity: from wherever it
// could rest it comes to all cells that hang together below the highest and widest jump.
type leaps struct {
	*world.Footing
	// rested are the parts of cells in which it could rest somehow, as bits, run the level ground on which it could.
	rested []uint64
	run    []bool
	// seen tells which cells were come to in the jump of that number, parts which parts of them.
	seen  []int32
	parts []uint64
	jump  int32
	todo  []spot
}

// onFloor is the part of a spot that stands for the floor of its cell.
const onFloor = 255

// maxLeaps is how many cells of a map are looked at in jumps, at the most; maxLeapt about how many in one from a single cell.
const (
	maxLeaps = 24 << 20
	maxLeapt = 4096
)

// leapsOf is what is kept of jumps on a map; nil where the hero could be moved otherwise.
func leapsOf(g *world.Ground, f *world.Footing) *leaps {
	if f == nil {
		return nil
	}
	begins := len(f.Runs)
	for _, is := range f.Of {
		if is == world.Odd {
			begins++
		}
	}
	if len(f.Runs)*len(f.Of) > maxLeaps || begins*min(len(f.Of), maxLeapt) > maxLeaps {
		return nil
	}
	return &leaps{Footing: f, rested: make([]uint64, len(f.Of)), run: make([]bool, len(f.Runs)), seen: make([]int32, len(f.Of)), parts: make([]uint64, len(f.Of))}
}

// heroSpot is where the hero of a game is; on the floor of its cell, if it stands there, seen from the side.
func heroSpot(g *play.Game) spot {
	b, at := g.Hero(), spot{m: g.Hero().Map, p: g.HeroCell()}
	if m := g.Ground(); m != nil && m.Side {
		if _, h := m.Cell(); b.VX == 0 && b.VY == 0 && b.Y+g.Stage.Gait(m, b.Of).H == int64(at.p.Y+1)*h {
			at.part = onFloor
		}
	}
	return at
}

// stands is the part of a spot into which somebody is set down on a map.
func (f *May) stands(m world.Ref) uint8 {
	if f.leaps[m] != nil {
		return onFloor
	}
	return 0
}

// rests reports whether a part of a cell, or level ground, is one more that could be rested in.
func (l *leaps) rests(g *world.Ground, s spot) bool {
	if !g.Bounds.Contains(s.p) {
		return false
	}
	i := (s.p.Y-g.Bounds.Y)*g.Bounds.W + s.p.X - g.Bounds.X
	if s.part == onFloor {
		n := l.onRun(g, s.p)
		is := l.run[n]
		l.run[n] = true
		return !is
	}
	is := l.rested[i]
	l.rested[i] |= 1 << s.part
	return l.rested[i] != is
}

// onRun is the number of the level ground in a cell; −1 where there is none.
func (l *leaps) onRun(g *world.Ground, p grid.Point) int {
	if !g.Bounds.Contains(p) || g.At(grid.Point{X: p.X, Y: p.Y + 1})&world.Whole == 0 {
		return -1
	}
	return int(max(0, l.Of[(p.Y-g.Bounds.Y)*g.Bounds.W+p.X-g.Bounds.X])) - 1
}

// comes reports whether a part of a cell is come to for the first time in a jump.
func (l *leaps) comes(i int, part uint8) bool {
	if l.seen[i] != l.jump {
		l.seen[i], l.parts[i] = l.jump, 0
	}
	is := l.parts[i]
	l.parts[i] |= 1 << part
	return l.parts[i] != is
}

// beside are the parts of the cell beside one that are come to from a part of it.
func (f *May) beside(s spot, p grid.Point, way document.Facing) uint64 {
	if f.lined[s.m] == nil {
		return 1
	}
	return f.across(s, p, way)
}

// jumpsTo notes that the hero could be in a part of a cell.
func (f *May) jumpsTo(s spot) {
	f.reached[s.m].add(s.p)
	if l := f.lined[s.m]; l != nil {
		l.at(s.p).reached |= 1 << s.part
	}
	l := f.leaps[s.m]
	l.todo = append(l.todo, s)
}

// rest has the hero rest in a cell: in all parts of it, or on the level ground there.
func (f *May) rest(s spot) {
	l, g, parts := f.leaps[s.m], f.st.Grounds[s.m], uint64(1)
	if f.lined[s.m] != nil {
		parts = f.lined[s.m].at(s.p).all()
	}
	floor := s.part == onFloor && l.onRun(g, s.p) >= 0
	for ; parts != 0; parts &= parts - 1 {
		at := s
		if !floor {
			at.part = uint8(bits.TrailingZeros64(parts))
		}
		if l.rests(g, at) {
			f.reached[s.m].add(s.p)
			f.queue, f.arrived[s.m] = append(f.queue, at), true
		}
	}
}

// anyhow goes on from wherever the hero could rest on a map on which layers could lie otherwise; false where jumps say nothing there.
func (f *May) anyhow(m world.Ref) bool {
	g, was := f.st.Grounds[m], f.leaps[m]
	if was == nil {
		return false
	}
	f.leaps[m] = leapsOf(g, g.AnyFooting())
	if f.leaps[m] == nil {
		return false
	}
	b := g.Bounds
	for i, parts := range was.rested {
		if parts != 0 {
			f.rest(spot{m: m, p: grid.Point{X: b.X + i%b.W, Y: b.Y + i/b.W}})
		}
	}
	for n, is := range was.run {
		for x := was.Runs[n].From; is && x <= was.Runs[n].To; x++ {
			f.rest(spot{m: m, p: grid.Point{X: b.X + x, Y: b.Y + was.Runs[n].Row}, part: onFloor})
		}
	}
	return true
}

// leap comes from a cell, or from the level ground in it, to all that a jump could come to. It gives how many cells were looked at.
func (f *May) leap(g *world.Ground, s spot) (looked int) {
	l := f.leaps[s.m]
	w, h := g.Cell()
	b := g.Bounds
	at := func(p grid.Point) int { return (p.Y-b.Y)*b.W + p.X - b.X }
	left, right, feet := int64(s.p.X)*w, int64(s.p.X+1)*w, int64(s.p.Y)*h+l.Low/2
	l.jump++
	l.todo = l.todo[:0]
	if s.part == onFloor {
		r := l.Runs[l.Of[at(s.p)]-1]
		left, right, feet = r.Left, r.Right, r.Feet
		for x := r.From; x <= r.To; x++ {
			if p := (grid.Point{X: b.X + x, Y: s.p.Y}); f.goesTo(g, s.m, p) && l.comes(at(p), 0) {
				f.jumpsTo(spot{m: s.m, p: p})
			}
		}
	} else if l.comes(at(s.p), s.part) {
		f.jumpsTo(s)
	}
	apart := func(from, to int64) int64 { return max(0, from-right, left-to) }
	// how far one comes until the feet are as high as they must be for the middle to be in a row
	far, known := make([]int64, 2*(b.H+2)), make([]bool, 2*(b.H+2))
	within := func(p grid.Point) bool {
		row, low := 2*(p.Y-b.Y+1), l.H/2
		if g.At(grid.Point{X: p.X, Y: p.Y + 1})&world.Whole != 0 {
			row, low = row+1, 0 // they do not reach below its floor
		}
		if !known[row] {
			known[row], far[row] = true, l.Far(feet-int64(p.Y+1)*h-low)
		}
		return far[row] >= 0 && apart(int64(p.X)*w, int64(p.X+1)*w) <= far[row]
	}
	for ; len(l.todo) > 0; looked++ {
		s := l.todo[len(l.todo)-1]
		l.todo = l.todo[:len(l.todo)-1]
		f.lands(g, s, feet, apart)
		for _, way := range document.Facings {
			dx, dy := way.Step()
			q := grid.Point{X: s.p.X + dx, Y: s.p.Y + dy}
			switch {
			case !within(q):
			case !b.Contains(q):
				f.over(g, s.m, q, way)
			case f.goesTo(g, s.m, q):
				for to := f.beside(s, q, way); to != 0; to &= to - 1 {
					if part := uint8(bits.TrailingZeros64(to)); l.comes(at(q), part) {
						f.jumpsTo(spot{m: s.m, p: q, part: part})
					}
				}
			}
		}
	}
	return looked
}

// comesBack has the hero come back to where it touched a checkpoint: standing still, be it in the air.
func (f *May) comesBack(t *world.Thing) {
	if f.leaps[t.Map] == nil {
		return
	}
	g := f.st.Grounds[t.Map]
	from, to := g.CellAt(t.Body.Left, t.Body.Top), g.CellAt(t.Body.Right-1, t.Body.Bottom-1)
	for y := from.Y - 1; y <= to.Y+1; y++ {
		for x := from.X - 1; x <= to.X+1; x++ {
			if p := (grid.Point{X: x, Y: y}); f.reached[t.Map].has(p) {
				f.enter(spot{m: t.Map, p: p}) // in whatever part of it
			}
		}
	}
}

// goesTo reports whether nothing fills a cell; what does may be out of the way later.
func (f *May) goesTo(g *world.Ground, m world.Ref, p grid.Point) bool {
	if f.walled(g, p) || f.bars(m, p) {
		return false
	}
	if by := f.fills(g, p); by != world.None {
		f.shut[by] = append(f.shut[by], spot{m: m, p: p})
		return false
	}
	return true
}

// lands rests where one came to in a jump from ground at a height, where that can be.
func (f *May) lands(g *world.Ground, s spot, feet int64, apart func(from, to int64) int64) {
	l := f.leaps[s.m]
	switch n := l.Of[(s.p.Y-g.Bounds.Y)*g.Bounds.W+s.p.X-g.Bounds.X]; {
	case n == world.Odd:
		if l.rests(g, s) {
			f.queue = append(f.queue, s)
		}
	case n > 0 && !l.run[n-1]:
		r := l.Runs[n-1]
		if far := l.Far(feet - r.Feet); far >= 0 && apart(r.Left, r.Right) <= far {
			l.run[n-1] = true
			f.queue = append(f.queue, spot{m: s.m, p: s.p, part: onFloor})
		}
	}
}
