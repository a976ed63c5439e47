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

// standsSo reports whether those whom a part names look a way, are near something, or have it in sight: all of them.
func (g *Game) standsSo(n *rules.Node, it world.Ref) bool {
	so := func(r, m world.Ref, at world.Box, looks document.Facing) bool {
		if n.Word == rules.WordLooks {
			return looks == wayOf(n)
		}
		to, ok := g.placeOfNamed(n.To, it, m)
		if !ok {
			return false
		}
		on := g.ground(m)
		w, h := on.Cell()
		x, y := (to.Left+to.Right-at.Left-at.Right)*500/w, (to.Top+to.Bottom-at.Top-at.Bottom)*500/h
		far := g.number(n) * 1000
		if n.Word == rules.WordSpies {
			if on := g.target(&rules.Node{At: n.To}, it); on >= 0 && !g.There(on) {
				return false
			}
			// as far as it sees, or as far as one can
			far = 0
			if r >= 0 {
				far = g.Stage.Thing(r).Doing.Sight
			}
			atX, atY := (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
			return (far == 0 || x*x+y*y <= far*far) && on.Clear(atX, atY, (to.Left+to.Right)/2-atX, (to.Top+to.Bottom)/2-atY)
		}
		return far >= 0 && x*x+y*y <= far*far
	}
	if n.At.Type == document.TypeHero {
		return so(world.None, g.Hero().Map, g.extent(g.Hero()), g.Hero().Look())
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
		all = all && so(r, t.Map, g.Where(r), looks)
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
