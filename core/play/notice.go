package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// notice tells rules of who has come into a sensor that watches; it is told again once all have left.
func (g *Game) notice(m *world.Ground) {
	g.watches(m)
	for _, r := range m.Sensors() {
		if !g.acts(r) {
			continue
		}
		at, sort := g.Where(r), g.Stage.Thing(r).Doing.Notices
		in, by := false, world.Ref(0)
		if sort == world.NoticesHero || sort == world.NoticesAnything {
			g.eachHero(m, func(box world.Box) { in = in || meets(box, at) })
		}
		g.near(m, at, func(o world.Ref, t *world.Thing, _ world.Box) {
			if o == r || !t.Doing.Goes {
				return
			}
			being := t.Acts == kind.Walker || t.Acts == kind.Flyer || t.Acts == kind.Character
			block := t.Acts == kind.Block || t.Acts == kind.Faller
			if !in && (sort == world.NoticesAnything || sort == world.NoticesBeings && being || sort == world.NoticesBlocks && block) {
				in, by = true, o+1
			}
		})
		if in = in && g.On(r); in == g.Is(r, Reached) {
			continue
		}
		if g.setThing(r, Reached, in); in {
			g.tellOf(rules.WordEnter, g.Stage.Thing(r))
			g.happen(happening{on: rules.WordEnter, m: m.Ref, thing: r, by: by})
		} else {
			g.happen(happening{on: rules.WordLeave, m: m.Ref, thing: r})
		}
	}
}

// weigh holds down the switches on which the hero, a block or somebody stands.
func (g *Game) weigh(m *world.Ground) {
	for _, r := range m.Scales() {
		t := g.Stage.Thing(r)
		if !g.acts(r) {
			continue
		}
		at := g.Where(r)
		if m.Side {
			at.Top -= Sub
		}
		var weight int32
		var by world.Ref
		hero := false
		g.eachHero(m, func(box world.Box) {
			if meets(box, at) {
				hero = true
				weight++
			}
		})
		g.findLively(m)
		for _, i := range g.lively {
			b := &g.Bodies[i]
			acts := g.Stage.Thing(b.Of).Acts
			if b.Of != r && acts != kind.Flyer && acts != kind.Platform && meets(g.extent(b), at) {
				weight += g.Stage.Thing(b.Of).Doing.Weight
				if !hero {
					by = b.Of + 1
				}
			}
		}
		down := weight >= t.Doing.Weighs
		switch is := g.Is(r, Switched); {
		case down && !is:
			g.doer = by
			g.work(m, r)
			g.doer = 0
		case !down && is && t.Doing.Returns != world.Never:
			g.switchTo(r, t.Entity.On)
		}
	}
}
