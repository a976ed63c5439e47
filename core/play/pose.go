package play

import (
	"azzel/core/kind"
	"azzel/core/world"
	"slices"
)

// hurtTicks is how long somebody who was struck looks so.
const hurtTicks = 20

// Pose is what a body looks like doing, of what its kind has pictures for, and for how many ticks; empty is standing and
// walking.
func (g *Game) Pose(b *Body) (does string, ticks int64) {
	k := g.kindOf(b)
	if k == nil || len(k.Poses) == 0 {
		return "", 0
	}
	m := g.ground(b.Map)
	if m == nil {
		return "", 0
	}
	all := g.doing(m, b)
	if a := g.acting(b); a != nil {
		all = append([]string{a.Does}, all...)
	}
	for _, does := range all {
		if slices.ContainsFunc(k.Poses, func(p kind.Pose) bool { return p.Does == does }) {
			switch does {
			case kind.Climbs:
				return does, int64(b.Steps) // one that hangs there moves nothing
			case kind.Strikes:
				return does, int64(BlowTicks - g.Striking())
			}
			return does, g.Tick
		}
	}
	return "", 0
}

// kindOf is the kind as which a body is drawn, nil for a hero that was placed nowhere where the project has no kind of it.
func (g *Game) kindOf(b *Body) *kind.Kind {
	if t := g.Stage.Thing(b.Of); t != nil {
		return g.Stage.KindOf(b.Of)
	}
	return g.Stage.Doc.Kind(g.Stage.Doc.HeroKind())
}

// doing lists what a body does, what shows most first.
func (g *Game) doing(m *world.Ground, b *Body) (out []string) {
	add := func(is bool, does ...string) {
		if is {
			out = append(out, does...)
		}
	}
	if b == g.Hero() {
		add(b.Push > 0 && b.Flags&Thrown == 0 || b.Blink > 0 && b.Blink > g.gait().Blink-hurtTicks, kind.Hurt)
		add(g.Striking() > 0, kind.Strikes)
		add(b.Mode == Climbing, kind.Climbs)
		add(b.Mode == Swimming, kind.Swims)
		add(b.Mode == Airborne && b.VY > 0, kind.Falls)
		add(b.Mode == Airborne || b.Flags&Thrown != 0, kind.Jumps)
		add(b.Flags&Ducked != 0, kind.Ducks)
		return out
	}
	t := g.Stage.Thing(b.Of)
	add(m.Side && b.VY > 0 && !g.stands(m, b, g.Stage.Gait(m, b.Of)), kind.Falls)
	add(b.VY < 0 || b.Flags&Thrown != 0, kind.Jumps)
	add(g.sees(m, b, &t.Doing), kind.Sees)
	k := g.kindOf(b)
	add(k.State != "" && g.On(b.Of), kind.IsOn)
	return out
}
