package play

import (
	"azzel/core/kind"
	"azzel/core/world"
	"slices"
)

// Toll is how many hits a thing takes still, of how many.
type Toll struct {
	Of        world.Ref
	Left, All int32
}

// Tolls are those of the cores that stand on a map; with hit, behind them, those of all else there that was hit and takes more.
func (g *Game) Tolls(m *world.Ground, hit bool) (out []Toll) {
	for _, r := range m.Cores() {
		if t := g.Stage.Thing(r); g.There(r) && t.Doing.Health > 0 {
			out = append(out, Toll{r, min(g.hitsLeft(r, t), t.Doing.Health), t.Doing.Health})
		}
	}
	if !hit {
		return out
	}
	cores := len(out)
	for _, o := range g.Worn {
		switch t := g.Stage.Thing(o.Of); {
		case t == nil || t.Map != m.Ref || t.Acts == kind.Core || t.Acts == kind.Key || t.Acts == kind.Item:
		case o.Left > 0 && o.Left < t.Doing.Health && g.There(o.Of):
			out = append(out, Toll{o.Of, o.Left, t.Doing.Health})
		}
	}
	for i := 1; i < len(g.Bodies); i++ {
		if b := &g.Bodies[i]; b.Map == m.Ref && b.Hearts > 0 && g.being(b.Of) && g.There(b.Of) {
			if all := g.Stage.Thing(b.Of).Doing.Health; b.Hearts < all {
				out = append(out, Toll{b.Of, b.Hearts, all})
			}
		}
	}
	slices.SortFunc(out[cores:], func(a, b Toll) int { return int(a.Of - b.Of) })
	return out
}

// Wave is the wave in which those things of a map are that make some, from 1, and of how many; 0 where none does any more. Of several it is that of whoever
// makes the most, and of those of whoever is the farthest behind.
func (g *Game) Wave(m *world.Ground) (at, of int) {
	for _, r := range m.Timed() {
		n := len(g.Stage.Thing(r).Doing.Waves)
		if n == 0 || !g.On(r) || !g.There(r) {
			continue
		}
		if is := min(int(g.tallyOf(r).Wave)+1, n); n > of || n == of && is < at {
			at, of = is, n
		}
	}
	return at, of
}
