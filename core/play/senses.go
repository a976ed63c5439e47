package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
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

// standsSo reports whether those whom a part names look a way, or are near something: all of them.
func (g *Game) standsSo(n *rules.Node, it world.Ref) bool {
	so := func(m world.Ref, at world.Box, looks document.Facing) bool {
		if n.Word == rules.WordLooks {
			return looks == wayOf(n)
		}
		to, ok := g.placeOfNamed(n.To, it, m)
		if !ok {
			return false
		}
		w, h := g.ground(m).Cell()
		x, y := (to.Left+to.Right-at.Left-at.Right)*500/w, (to.Top+to.Bottom-at.Top-at.Bottom)*500/h
		far := g.number(n) * 1000
		return far >= 0 && x*x+y*y <= far*far
	}
	if n.At.Type == document.TypeHero {
		return so(g.Hero().Map, g.extent(g.Hero()), g.Hero().Look())
	}
	all := true
	g.eachOf(n, it, func(r world.Ref) {
		if r < 0 || !g.There(r) {
			all = all && n.At.Several()
			return
		}
		t, looks := g.Stage.Thing(r), g.Stage.Thing(r).Facing
		if b := g.bodyOf(r); b != nil {
			looks = b.Look()
		}
		all = all && so(t.Map, g.Where(r), looks)
	})
	return all
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
	k := document.ID(g.Stage.Thing(r).Kind)
	h := happening{on: rules.WordNoneLeft, thing: world.None, of: document.Object{Type: document.TypeKind, ID: k}}
	if len(g.waiting(h)) > 0 && g.remaining(k) == 0 {
		g.happen(h)
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
