package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// spots reports whether somebody sees the hero, whatever he does then: on the same map, near enough, no wall between.
func (g *Game) spots(r world.Ref) bool {
	b, t := g.bodyOf(r), g.Stage.Thing(r)
	if b == nil || b.Map != g.Hero().Map || t.Doing.Sight == 0 || g.Roam || g.Disabled(r) {
		return false
	}
	d := t.Doing
	d.Seeing = world.Halts
	return g.sees(g.ground(b.Map), b, &d)
}

// watches tells rules of who has come to see the hero, or does not any more.
func (g *Game) watches(m *world.Ground) {
	if !g.Stage.Sights {
		return
	}
	g.findLively(m)
	for _, i := range g.lively {
		r := g.Bodies[i].Of
		if t := g.Stage.Thing(r); t.Doing.Sight > 0 {
			if sees := g.spots(r); sees != g.Is(r, Reached) {
				g.setThing(r, Reached, sees)
				g.happen(happening{on: map[bool]string{true: rules.WordSpots, false: rules.WordLosesSight}[sees], m: t.Map, thing: r})
			}
		}
	}
}

// looks tells rules of what the hero has come to look at within its reach.
func (g *Game) looks(m *world.Ground) {
	if !g.Stage.Looks {
		return
	}
	before := g.Facing
	now := append([]world.Ref{}, g.touched(m, g.ahead(m))...)
	g.Facing = now
	for _, r := range now {
		if _, had := slices.BinarySearch(before, r); !had && before != nil {
			g.happen(happening{on: rules.WordLooksAt, m: m.Ref, thing: r})
		}
	}
}

// rounds tells rules that so many seconds have passed again.
func (g *Game) rounds() {
	for _, s := range g.Stage.Rounds {
		if g.Tick%(s*TicksPerSecond) == 0 {
			g.happen(happening{on: rules.WordEvery, thing: world.None, exact: true, is: int32(s)})
		}
	}
}

// gone tells rules that the last of a kind is gone, where a thing has just gone.
func (g *Game) gone(r world.Ref) {
	k := g.Stage.Doc.Kind(document.ID(g.Stage.Thing(r).Kind))
	if k == nil {
		return
	}
	sorts := []document.Object{{Type: document.TypeKind, ID: k.ID}}
	for _, tag := range k.Tags {
		sorts = append(sorts, document.Object{Type: document.TypeTag, ID: document.ID(tag)})
	}
	for _, o := range sorts {
		h := happening{on: rules.WordNoneLeft, thing: world.None, of: o}
		if len(g.waiting(h)) > 0 && g.remaining(o) == 0 {
			g.happen(h)
		}
	}
}

// gains tells rules that the hero has come to have something.
func (g *Game) gains(words ...string) {
	for _, word := range words {
		if word != "" {
			g.happen(happening{on: rules.WordGain, thing: world.None, word: word})
		}
	}
}
