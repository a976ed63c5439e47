package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
	"fmt"
)

// Standing is what can be said of the hero on a cell before it is put there.
type Standing struct {
	Free bool   `json:"free"`
	Why  string `json:"why"`
	// Reach is the cells that the hero comes through with one jump, seen from the side.
	Reach []grid.Span `json:"reach"`
}

// Stand says whether the hero could stand on a cell, what stops it, and how far
// it could jump from there on a map that is seen from the side, as a kind of hero.
func Stand(st *world.Stage, m *world.Ground, hero document.ID, p grid.Point) Standing {
	out := Standing{Free: true, Reach: []grid.Span{}}
	if why := st.Chart.Blocked(m.Map, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1}); why != "" {
		out.Free, out.Why = false, "It "+why
		return out
	}
	if !m.Side {
		return out
	}
	g := probe(st.As(hero), m, p)
	if b := g.Hero(); !g.stands(m, b, g.gait()) && m.Bounds.Contains(grid.Point{X: p.X, Y: p.Y + 1}) {
		out.Why = fmt.Sprintf("It falls from here: cell %d, %d below is free", p.X-m.Bounds.X, p.Y+1-m.Bounds.Y)
	}
	out.Reach = Jump(st, m, hero, p).Spans()
	return out
}

// probe is a game of nothing but a hero on a cell.
func probe(st *world.Stage, m *world.Ground, p grid.Point) *Game {
	g := &Game{Stage: st, State: &State{Leaving: world.None, Sent: world.None, Inside: world.None, Bodies: []Body{{Of: world.None, Map: m.Ref}}}}
	g.room(st)
	g.setDown(m, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1}, document.Right)
	return g
}

// How a jump is tried: at so many speeds to either side, the key held for so many ticks,
// for so long.
const (
	jumpSpeeds = 4
	jumpTicks  = 60 * 4
)

var jumpHolds = [...]int{1, 4, 8, 14, jumpTicks}

// Jump is the cells that a kind of hero comes through from a cell by one jump at any
// run speed, falling included: it is played, by the code that plays.
func Jump(st *world.Stage, m *world.Ground, hero document.ID, p grid.Point) *grid.Region {
	out := &grid.Region{}
	out.Add(p)
	st = st.As(hero)
	for k := int64(-jumpSpeeds); k <= jumpSpeeds; k++ {
		for _, hold := range jumpHolds {
			jumpOnce(probe(st, m, p), m, out, k, hold)
		}
	}
	return out
}

// jumpOnce runs at k of jumpSpeeds parts of the full speed and jumps, until it stands.
func jumpOnce(g *Game, m *world.Ground, out *grid.Region, k int64, hold int) {
	b := g.Hero()
	b.VX = g.gait().RunX * k / jumpSpeeds
	in, was := Input(0), Input(0)
	switch {
	case k == jumpSpeeds:
		in = InputRight
	case k == -jumpSpeeds:
		in = InputLeft
	}
	again := g.gait().Double
	for n := range jumpTicks {
		now := in
		if n < hold || again && b.VY > 0 && n > hold {
			now |= InputJump
		}
		if k != jumpSpeeds && k != -jumpSpeeds {
			b.VX = g.gait().RunX * k / jumpSpeeds // it keeps the speed that it has
		}
		g.side(m, now, now&^was)
		was = now
		at := g.HeroCell()
		if !m.Bounds.Contains(at) {
			return
		}
		out.Add(at)
		if n > 0 && b.Mode != Airborne {
			return
		}
	}
}
