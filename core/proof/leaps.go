package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
)

// leaps is what could be on a map that is seen from the side, where nothing moves the hero but its own legs and gravity: from wherever it
// could rest it comes to all cells that hang together below the highest and widest jump.
type leaps struct {
	*world.Footing
	// rested are cells in which it could rest somehow, run the level ground on which it could.
	rested, run []bool
	// seen tells which cells were come to in the jump of that number.
	seen []int32
	jump int32
	todo []grid.Point
}

// onFloor is the part of a spot that stands for the floor of its cell.
const onFloor = 255

// maxLeaps is how many cells of a map are looked at in jumps, at the most; maxLeapt about how many in one from a single cell.
const (
	maxLeaps = 24 << 20
	maxLeapt = 4096
)

// leapsOf is what is kept of jumps on a map; nil where the hero could be moved otherwise.
func leapsOf(g *world.Ground) *leaps {
	f := g.Footing()
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
	return &leaps{Footing: f, rested: make([]bool, len(f.Of)), run: make([]bool, len(f.Runs)), seen: make([]int32, len(f.Of))}
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

// rests reports whether a cell is one more that could be rested in: on level ground, where one is set onto the floor above it, or somehow.
func (l *leaps) rests(g *world.Ground, s *spot) bool {
	if !g.Bounds.Contains(s.p) {
		return false
	}
	i := (s.p.Y-g.Bounds.Y)*g.Bounds.W + s.p.X - g.Bounds.X
	if n := l.Of[i]; s.part == onFloor && n > 0 && g.At(grid.Point{X: s.p.X, Y: s.p.Y + 1})&world.Whole != 0 {
		is := l.run[n-1]
		l.run[n-1] = true
		return !is
	}
	s.part = 0
	is := l.rested[i]
	l.rested[i] = true
	return !is
}

// leap comes from a cell, or from the level ground in it, to all that a jump could come to. It gives how many cells were looked at.
func (f *May) leap(g *world.Ground, s spot) (looked int) {
	l := f.leaps[s.m]
	w, h := g.Cell()
	b := g.Bounds
	at := func(p grid.Point) int { return (p.Y-b.Y)*b.W + p.X - b.X }
	left, right, feet := int64(s.p.X)*w, int64(s.p.X+1)*w, int64(s.p.Y)*h+l.Low/2
	l.jump++
	l.todo = append(l.todo[:0], s.p)
	if s.part == onFloor {
		r := l.Runs[l.Of[at(s.p)]-1]
		left, right, feet = r.Left, r.Right, r.Feet
		l.todo = l.todo[:0]
		for x := r.From; x <= r.To; x++ {
			if p := (grid.Point{X: b.X + x, Y: s.p.Y}); f.goesTo(g, s.m, p) {
				l.todo = append(l.todo, p)
			}
		}
	}
	for _, p := range l.todo {
		l.seen[at(p)] = l.jump
		f.reached[s.m].add(p)
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
		p := l.todo[len(l.todo)-1]
		l.todo = l.todo[:len(l.todo)-1]
		f.lands(g, s.m, p, feet, apart)
		for _, way := range document.Facings {
			dx, dy := way.Step()
			q := grid.Point{X: p.X + dx, Y: p.Y + dy}
			switch {
			case !within(q):
			case !b.Contains(q):
				f.over(g, s.m, q, way)
			case l.seen[at(q)] == l.jump:
			case f.goesTo(g, s.m, q):
				l.seen[at(q)] = l.jump
				f.reached[s.m].add(q)
				l.todo = append(l.todo, q)
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
				f.enter(spot{m: t.Map, p: p})
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

// lands rests in a cell that was come to in a jump from ground at a height, where that can be.
func (f *May) lands(g *world.Ground, m world.Ref, p grid.Point, feet int64, apart func(from, to int64) int64) {
	l := f.leaps[m]
	switch n := l.Of[(p.Y-g.Bounds.Y)*g.Bounds.W+p.X-g.Bounds.X]; {
	case n == world.Odd:
		if s := (spot{m: m, p: p}); l.rests(g, &s) {
			f.queue = append(f.queue, s)
		}
	case n > 0 && !l.run[n-1]:
		r := l.Runs[n-1]
		if far := l.Far(feet - r.Feet); far >= 0 && apart(r.Left, r.Right) <= far {
			l.run[n-1] = true
			f.queue = append(f.queue, spot{m: m, p: p, part: onFloor})
		}
	}
}
