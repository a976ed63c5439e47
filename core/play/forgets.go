package play

import (
	"azzel/core/document"
	"azzel/core/world"
	"slices"
)

// forgets has a thing be as it was at first: what was so of it, what it has of its own, and where it is.
func (g *Game) forgets(r world.Ref) {
	for _, bit := range append([]Bit{Taken, Spent, Reached}, afresh...) {
		g.setThing(r, bit, false)
	}
	g.firstOwn(g.Stage, r, r+1)
	g.Timers = slices.DeleteFunc(slices.Clone(g.Timers), func(t Timer) bool { return t.Of == r })
	g.Tallies = slices.DeleteFunc(slices.Clone(g.Tallies), func(t Tally) bool { return t.Of == r })
	g.Worn = slices.DeleteFunc(slices.Clone(g.Worn), func(t Timer) bool { return t.Of == r })
	if b := g.bodyOf(r); b != nil && g.being(r) {
		*b = g.newBody(g.Stage.Ground(g.Stage.Thing(r).Map), r)
		g.livelyOf = world.None
	}
}

// forgetsAll has the things be as at first that are remembered only so long, on one map, or on all for None.
func (g *Game) forgetsAll(m world.Ref, memory string) {
	from, after := world.Ref(0), world.Ref(len(g.Stage.Things))
	if m >= 0 {
		from, after = g.Stage.Grounds[m].First, g.Stage.Grounds[m].After
	}
	for r := from; r < after; r++ {
		if t := &g.Stage.Things[r]; t.Memory == memory && (m < 0 || t.Map == m) && r != g.Hero().Of {
			g.forgets(r)
		}
	}
}

// remembered reports whether a thing stays what it became though its map starts afresh.
func (g *Game) remembered(r world.Ref) bool {
	return g.Stage.Things[r].Memory == document.Remembered
}
