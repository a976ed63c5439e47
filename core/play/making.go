package play

import (
	"azzel/core/chance"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
	"strings"
)

// Tally is how much a source has made: in all, which wave it is in, and how many of that.
type Tally struct {
	Of               world.Ref
	Made, Wave, Part int32
}

// waveTicks lie between two of one wave.
const waveTicks = 30

func (g *Game) tallyOf(r world.Ref) Tally {
	if i, had := tallyAt(g.Tallies, r); had {
		return g.Tallies[i]
	}
	return Tally{Of: r}
}

func tallyAt(all []Tally, of world.Ref) (int, bool) {
	return slices.BinarySearchFunc(all, of, func(t Tally, of world.Ref) int { return int(t.Of - of) })
}

// setTally keeps a tally; one of nothing is not kept.
func (g *Game) setTally(t Tally) {
	i, had := tallyAt(g.Tallies, t.Of)
	nothing := t == Tally{Of: t.Of}
	if nothing && !had {
		return
	}
	if g.talliesAt != g.Tick {
		g.Tallies, g.talliesAt = slices.Clone(g.Tallies), g.Tick
	}
	switch {
	case nothing:
		g.Tallies = slices.Delete(g.Tallies, i, i+1)
	case had:
		g.Tallies[i] = t
	default:
		g.Tallies = slices.Insert(g.Tallies, i, t)
	}
}

// makes lets a source make the next one, or waits until it can; with the last of all it ends.
func (g *Game) makes(r world.Ref, t *world.Thing) {
	d, tally := &t.Doing, g.tallyOf(r)
	left, next := g.leftOf(t), max(1, d.Every)
	switch {
	case len(d.Makes) == 0:
	case len(d.Waves) > 0:
		switch size := int32(d.Waves[min(int(tally.Wave), len(d.Waves)-1)]); {
		case tally.Part < size:
			if g.make(r, t, &tally) {
				tally.Part++
			}
			next = waveTicks
		case left > 0:
			next = 1
		default:
			tally.Wave, tally.Part = tally.Wave+1, 0
			if int(tally.Wave) >= len(d.Waves) {
				g.ends(r, t)
				return
			}
			g.tellOf("wave", t)
		}
	case d.InAll > 0 && tally.Made >= d.InAll:
		if left == 0 {
			g.ends(r, t)
			return
		}
		next = 1
	case left < d.AtOnce:
		g.make(r, t, &tally)
	default:
		next = 1 // as soon as there is room
	}
	g.setTally(tally)
	g.setTimer(r, next)
}

// ends turns off a source that has made all, of which nothing is left.
func (g *Game) ends(r world.Ref, t *world.Thing) {
	g.setTally(Tally{Of: r})
	g.tellOf(rules.WordEnds, t)
	g.happen(happening{on: rules.WordEnds, m: t.Map, thing: r})
	g.switchTo(r, false)
}

// leftOf is how many of what something made are there.
func (g *Game) leftOf(t *world.Thing) (n int32) {
	for _, p := range t.Doing.Makes {
		for k := range p.Count {
			if g.There(p.First + world.Ref(k)) {
				n++
			}
		}
	}
	return n
}

// make makes one, of the kind that chance decides; false where none is ready.
func (g *Game) make(r world.Ref, t *world.Thing, tally *Tally) bool {
	odds := make([]int, len(t.Doing.Makes))
	for i, p := range t.Doing.Makes {
		odds[i] = p.Odds
	}
	k := chance.Pick(chance.At(g.Seed, t.Rank, g.Stage.Grounds[t.Map].Order, int(tally.Made)+1), odds)
	if k < 0 {
		return false
	}
	p := t.Doing.Makes[k]
	for n := range p.Count {
		of := p.First + world.Ref(n)
		// what was taken is still had
		if g.There(of) || g.Is(of, Taken) {
			continue
		}
		for b := range bitsOfThing {
			g.setThing(of, b, false)
		}
		g.Worn = slices.DeleteFunc(slices.Clone(g.Worn), func(o Timer) bool { return o.Of == of })
		g.bring(of, true)
		tally.Made++
		g.tellOf("made", g.Stage.Thing(of))
		return true
	}
	return false
}

// makeOne lets a source make one at once, whatever it waits for.
func (g *Game) makeOne(r world.Ref) {
	t, tally := g.Stage.Thing(r), g.tallyOf(r)
	if d := &t.Doing; len(d.Makes) == 0 || g.leftOf(t) >= d.AtOnce || d.InAll > 0 && tally.Made >= d.InAll {
		return
	}
	g.make(r, t, &tally)
	g.setTally(tally)
}

// arrives lets what came along a lane and reached a core take from it: with the last the game is lost.
func (g *Game) arrives(m *world.Ground, b *Body, t *world.Thing) {
	for _, r := range m.Cores() {
		core := g.Stage.Thing(r)
		if !g.There(r) || !meets(g.extent(b), g.Where(r)) {
			continue
		}
		g.setThing(b.Of, Gone, true)
		g.tellOf("through", t)
		if g.wears(r, core) > 0 {
			return
		}
		g.setThing(r, Gone, true)
		g.tell(rules.WordFalls, core.Name)
		g.happen(happening{on: rules.WordFalls, m: core.Map, thing: r})
		g.Lost, g.Fade = Overrun, FadeTicks
		return
	}
}

// builds puts up on a buildable place what comes next of what it takes, for its price in collectibles;
// false where there is nothing more to put up.
func (g *Game) builds(r world.Ref, t *world.Thing) bool {
	next := 0
	for i, p := range t.Doing.Makes {
		if g.There(p.First) {
			next = i + 1
		}
	}
	if next >= len(t.Doing.Makes) {
		return false
	}
	p := t.Doing.Makes[next]
	what := g.Stage.Thing(p.First).Name
	if have := g.Purse(); have < p.Odds {
		says := strings.NewReplacer("{what}", g.Stage.Doc.Says(g.Language, what), "{n}", fmt.Sprint(p.Odds), "{have}", fmt.Sprint(have))
		g.says(says.Replace(g.Stage.Doc.GameSays(g.Language, "costs")), false, world.None)
		return true
	}
	g.pay(p.Odds)
	for _, o := range t.Doing.Makes[:next] {
		if g.There(o.First) {
			g.bring(o.First, false)
		}
	}
	g.bring(p.First, true)
	g.tell("built", what)
	return true
}

// Purse is how many collectibles the hero has and has not paid with.
func (g *Game) Purse() (n int) {
	for _, r := range g.Stage.Collectibles {
		if g.Is(r, Taken) && !g.Is(r, Spent) {
			n++
		}
	}
	return n
}

// pay uses up so many of the collectibles that the hero has.
func (g *Game) pay(n int) {
	for _, r := range g.Stage.Collectibles {
		if n > 0 && g.Is(r, Taken) && !g.Is(r, Spent) {
			g.setThing(r, Spent, true)
			n--
		}
	}
}
