package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// use does what can be done with what the hero stands on or looks at, within a cell: the first
// thing that does anything.
func (g *Game) use(m *world.Ground) {
	for _, at := range []world.Box{g.extent(g.Hero()), g.ahead(m)} {
		for _, r := range g.touched(m, at) {
			if g.usesOn(r) || g.usesThing(m, r) {
				return
			}
		}
	}
	if !g.wields(m) {
		g.blow(m)
	}
}

// BlowTicks is how long a blow takes.
const BlowTicks = 16

// blow strikes what lies ahead, within three quarters of a cell.
func (g *Game) blow(m *world.Ground) {
	b, w := g.Hero(), g.gait()
	if !w.Blow || w.BlowWith != "" && !g.Has(w.BlowWith) || b.Timer > 0 {
		return
	}
	b.Timer = max(BlowTicks, w.BlowRests)
	for _, r := range g.touched(m, g.ahead(m)) {
		t := g.Stage.Thing(r)
		g.happen(happening{on: rules.WordStrike, m: m.Ref, thing: r})
		switch t.Acts {
		case kind.Walker, kind.Flyer, kind.Shooter:
			if t.Doing.Beaten&world.ByABlow != 0 {
				g.hits(r, t)
			}
		case kind.Breakable:
			if t.Doing.Beaten&world.ByABlow != 0 && !g.Disabled(r) && (t.Doing.Needs == "" || g.Has(t.Doing.Needs)) {
				g.hits(r, t)
			}
		case kind.Charge:
			if t.Doing.Lit == world.LitByBlow && !g.Disabled(r) {
				g.light(r, t)
			}
		case kind.Switch:
			if t.Doing.Worked == world.ByBlow && !g.Disabled(r) {
				g.work(m, r)
			}
		}
	}
}

// Striking is how many ticks of a blow are left.
func (g *Game) Striking() int32 {
	return max(0, g.Hero().Timer-max(0, g.gait().BlowRests-BlowTicks))
}

// Blow is how long the hero waits until it can strike again, in thousandths of all of that; ok tells that it can strike
// at all, and waits between two blows.
func (g *Game) Blow() (rests int, ok bool) {
	w := g.gait()
	if !w.Blow || w.BlowWith != "" && !g.Has(w.BlowWith) || w.BlowRests <= BlowTicks {
		return 0, false
	}
	return int(g.Hero().Timer) * 1000 / int(w.BlowRests), true
}

// ahead is where the hero reaches: its box three quarters of a cell farther.
func (g *Game) ahead(m *world.Ground) world.Box {
	box := g.extent(g.Hero())
	w, h := m.Cell()
	dx, dy := g.Hero().Look().Step()
	return shifted(box, -int64(dx)*w*3/4, -int64(dy)*h*3/4)
}

func (g *Game) usesThing(m *world.Ground, r world.Ref) bool {
	t := g.Stage.Thing(r)
	if g.Disabled(r) {
		return false
	}
	switch t.Acts {
	case kind.Switch:
		if t.Doing.Worked != world.ByUse {
			return false
		}
		g.work(m, r)
		return true
	case kind.Sign, kind.Character:
		spoken := happening{on: rules.WordSpeak, m: t.Map, thing: r}
		waits := g.waitedFor(spoken)
		says := g.Stage.Doc.Says(g.Language, g.saidBy(r, t))
		if says == "" && !waits {
			return false
		}
		if b := g.bodyOf(r); b != nil {
			dx, dy := g.toHero(b)
			if abs(dx) >= abs(dy) {
				b.turn(facingOf(dx, 0))
			} else {
				b.turn(facingOf(0, dy))
			}
		}
		g.tellOf("read", t)
		by := world.None
		if t.Acts == kind.Character {
			by = r
		}
		g.says(says, false, by)
		if waits {
			g.happen(spoken)
		}
		return true
	case kind.Plot:
		return g.builds(r, t)
	case kind.Charge:
		if t.Doing.Lit != world.LitByUse || g.On(r) {
			return false
		}
		g.light(r, t)
		return true
	case kind.Container:
		if g.On(r) || t.Doing.Needs != "" && !g.opens(r, t) {
			return false
		}
		g.switchTo(r, true)
		g.tellOf(rules.WordOpen, t)
		return true
	}
	return false
}
