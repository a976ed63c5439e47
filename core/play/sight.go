package play

import (
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/world"
	"slices"
)

// Known are the cells of a map that the hero has seen: bits by their place in its bounds.
type Known struct {
	Map  world.Ref
	Box  grid.Rect
	Bits []uint64
}

// point is a cell.
type point = grid.Point

// seeing is what decides what is seen.
type seeing struct {
	stage *world.Stage
	m     world.Ref
	at    grid.Point
	hash  [2]uint64
}

// Sight is what the hero sees of its map at the moment, and what it has seen; ok is false
// where everything is seen.
func (g *Game) Sight() (now, known *grid.Region, ok bool) {
	m := g.Ground()
	if m == nil || m.Sight() == 0 {
		return nil, nil, false
	}
	now, known = g.visible(m), &grid.Region{}
	if i := g.knownOf(m); i >= 0 && m.SightRemembers() {
		k := g.Known[i]
		for n := range k.Box.W * k.Box.H {
			if k.Bits[n>>6]>>(n&63)&1 != 0 {
				known.Add(grid.Point{X: k.Box.X + n%k.Box.W, Y: k.Box.Y + n/k.Box.W})
			}
		}
	}
	known.Union(now)
	return now, known, true
}

func (g *Game) knownOf(m *world.Ground) int {
	return slices.IndexFunc(g.Known, func(k Known) bool { return k.Map == m.Ref && k.Box == m.Bounds })
}

// lookAround keeps what the hero sees where it has come to.
func (g *Game) lookAround(m *world.Ground) {
	if m.Sight() == 0 || !m.SightRemembers() {
		return
	}
	at := Place{m.Ref, int64(g.HeroCell().X), int64(g.HeroCell().Y)}
	if at == g.Looked && g.LookedAs == g.Hash {
		return
	}
	g.Looked, g.LookedAs = at, g.Hash
	i := g.knownOf(m)
	g.Known = slices.Clone(g.Known) // snapshots keep theirs
	if i < 0 {
		g.Known = append(slices.DeleteFunc(g.Known, func(k Known) bool { return k.Map == m.Ref }), Known{m.Ref, m.Bounds, make([]uint64, (m.Bounds.W*m.Bounds.H+63)/64)})
		i = len(g.Known) - 1
	}
	k := &g.Known[i]
	k.Bits = slices.Clone(k.Bits)
	for _, p := range g.visible(m).Points() {
		n := (p.Y-k.Box.Y)*k.Box.W + p.X - k.Box.X
		k.Bits[n>>6] |= 1 << (n & 63)
	}
}

// visible are the cells that are seen from the hero's: within so many cells, as far as no wall
// or shut door hides them. (Symmetric shadowcasting, A. Ford, 2020, with slopes as fractions:
// whoever is seen sees back.)
func (g *Game) visible(m *world.Ground) *grid.Region {
	out := &grid.Region{}
	from, far := g.HeroCell(), m.Sight()
	if at := (seeing{g.Stage, m.Ref, from, g.Hash}); g.saw.region == nil || g.saw.seeing != at {
		g.saw.seeing, g.saw.region = at, out
	} else {
		return g.saw.region
	}
	out.Add(from)
	hides := func(p grid.Point) bool {
		if !m.Bounds.Contains(p) || m.At(p)&world.Whole != 0 {
			return true
		}
		w, h := m.Cell()
		cell := world.Box{Left: int64(p.X) * w, Top: int64(p.Y) * h, Right: int64(p.X+1) * w, Bottom: int64(p.Y+1) * h}
		hidden := false
		g.near(m, cell, func(r world.Ref, t *world.Thing, at world.Box) {
			hidden = hidden || t.Acts == kind.Door && g.stops(r, t) && at.Left <= cell.Left && at.Top <= cell.Top && at.Right >= cell.Right && at.Bottom >= cell.Bottom
		})
		return hidden
	}
	for quarter := range 4 {
		at := func(depth, across int) point {
			switch quarter {
			case 0:
				return grid.Point{X: from.X + across, Y: from.Y - depth}
			case 1:
				return grid.Point{X: from.X + depth, Y: from.Y + across}
			case 2:
				return grid.Point{X: from.X + across, Y: from.Y + depth}
			}
			return grid.Point{X: from.X - depth, Y: from.Y + across}
		}
		type row struct {
			depth      int
			start, end fraction
		}
		for rows := []row{{1, fraction{-1, 1}, fraction{1, 1}}}; len(rows) > 0; {
			r := rows[len(rows)-1]
			rows = rows[:len(rows)-1]
			if r.depth > far {
				continue
			}
			before, hid := false, false
			for across := r.start.times(r.depth).roundUp(); across <= r.end.times(r.depth).roundDown(); across++ {
				p := at(r.depth, across)
				wall := hides(p)
				inside := r.start.times(r.depth).atMost(across) && r.end.times(r.depth).atLeast(across)
				if (wall || inside) && m.Bounds.Contains(p) && r.depth*r.depth+across*across <= far*far+far {
					out.Add(p)
				}
				if before && hid && !wall {
					r.start = fraction{2*across - 1, 2 * r.depth}
				}
				if before && !hid && wall {
					rows = append(rows, row{r.depth + 1, r.start, fraction{2*across - 1, 2 * r.depth}})
				}
				before, hid = true, wall
			}
			if before && !hid {
				rows = append(rows, row{r.depth + 1, r.start, r.end})
			}
		}
	}
	return out
}

// fraction is a slope; below is positive.
type fraction struct{ above, below int }

func (f fraction) times(n int) fraction { return fraction{f.above * n, f.below} }

// roundUp rounds halves up, roundDown down.
func (f fraction) roundUp() int   { return grid.FloorDiv(2*f.above+f.below, 2*f.below) }
func (f fraction) roundDown() int { return -grid.FloorDiv(-2*f.above+f.below, 2*f.below) }

func (f fraction) atMost(n int) bool  { return f.above <= n*f.below }
func (f fraction) atLeast(n int) bool { return f.above >= n*f.below }
