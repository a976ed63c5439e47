package play

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Carried is an item that the hero has, to be taken in hand.
type Carried struct {
	// Word is what rules call it; Of is a thing that it came from, None where it was had from the beginning
	// or came out of something.
	Word string
	Of   world.Ref
	// Amount is how many of it there are.
	Amount int
}

// had is something that the hero has: so many of what is called by a word, from a thing, or None.
type had struct {
	word   string
	of     world.Ref
	amount int
	key    bool
}

// had goes over all that the hero has, in the order of the things that it came from, and then what the heroes began with.
func (g *Game) had(yield func(had) bool) {
	for _, r := range g.Stage.Holding {
		t := &g.Stage.Things[r]
		switch t.Acts {
		case kind.Key, kind.Item:
			if g.Is(r, Taken) && !g.Is(r, Spent) && !yield(had{t.Doing.Word, r, int(g.hitsLeft(r, t)), t.Acts == kind.Key}) {
				return
			}
		case kind.Breakable:
			if g.Is(r, Gone) && !yield(had{t.Doing.Word, world.None, 1, false}) {
				return
			}
		case kind.Walker, kind.Flyer, kind.Shooter, kind.Container:
			if !g.Is(r, Gone) && (t.Acts != kind.Container || !g.On(r)) {
				continue
			}
			for _, word := range t.Doing.Holds {
				if !yield(had{word, world.None, 1, false}) {
					return
				}
			}
		}
	}
	heroes := []world.Ref{g.Hero().Of}
	for _, m := range g.Party {
		heroes = append(heroes, m.Of)
	}
	for _, r := range heroes {
		for _, word := range g.Stage.Carries(r) {
			if !yield(had{word, world.None, 1, false}) {
				return
			}
		}
	}
	for i, word := range g.Stage.Given {
		if n := g.Count(givenAt(g.Stage, i)); n != 0 && !yield(had{word, world.None, int(n), false}) {
			return
		}
	}
}

// givenAt is where it is counted how many of an item rules have given, less what they took.
func givenAt(st *world.Stage, i int) int { return countsOfAll + st.Owned + len(st.Counters) + i }

// Amount is how many of what is called by a word the hero has.
func (g *Game) Amount(word string) (n int64) {
	for h := range g.had {
		if h.word == word {
			n += int64(h.amount)
		}
	}
	return n
}

// give gives the hero so many of an item, or takes as many as it has.
func (g *Game) give(word string, n int64) {
	i, has := slices.BinarySearch(g.Stage.Given, word)
	if !has {
		return
	}
	at := givenAt(g.Stage, i)
	n = max(n, -g.Amount(word))
	g.setCount(at, int32(min(int64(g.Count(at))+n, document.MaxNumber)))
	if n > 0 {
		g.gains(word)
	}
	if g.Hand == word && !g.Has(word) {
		g.Hand = ""
	}
}

// Has reports whether the hero has what is called by a word: a key, an item, something that
// was in a container or was left of what it broke, or what it began with.
func (g *Game) Has(word string) bool {
	return g.Amount(word) > 0
}

// QuickSlots is how many of what is carried have a key of their own.
const QuickSlots = 4

// Carried lists the items that the hero has, in the order of what they came from, and what it began with.
func (g *Game) Carried() (out []Carried) {
	add := func(word string, of world.Ref, n int) {
		if word == "" {
			return
		}
		i := slices.IndexFunc(out, func(c Carried) bool { return c.Word == word })
		if i < 0 {
			out, i = append(out, Carried{Word: word, Of: world.None}), len(out)
		}
		if out[i].Of < 0 {
			out[i].Of = of
		}
		out[i].Amount += n
	}
	for h := range g.had {
		if h.key {
			continue
		}
		add(h.word, h.of, h.amount)
	}
	return slices.DeleteFunc(out, func(c Carried) bool { return c.Amount <= 0 })
}

// takeInHand takes what is in a quick slot in hand, or puts it away where it is already; next takes the one after
// what is in hand, and nothing after the last.
func (g *Game) takeInHand(pressed Input) {
	if pressed&(InputSlots|InputNext) == 0 {
		return
	}
	all := g.Carried()
	word := func(i int) string {
		if i < 0 || i >= len(all) {
			return ""
		}
		return all[i].Word
	}
	to := g.Hand
	for n := range QuickSlots {
		if pressed&(InputSlot1<<n) != 0 && word(n) != "" {
			if to = word(n); to == g.Hand {
				to = ""
			}
		}
	}
	if pressed&InputNext != 0 {
		to = word(1 + slices.IndexFunc(all, func(c Carried) bool { return c.Word == g.Hand }))
	}
	g.Hand = to
}

// usesOn uses what is in hand on a thing, where a rule waits for that; what is used up is one fewer then.
func (g *Game) usesOn(r world.Ref) bool {
	if g.Hand == "" || g.Rests(g.Hand) > 0 {
		return false
	}
	t := g.Stage.Thing(r)
	h := happening{on: rules.WordUseOn, m: t.Map, thing: r, word: g.Hand}
	if !g.waitedFor(h) {
		return false
	}
	g.tellOf("useOn", t)
	g.happen(h)
	g.used(g.Hand)
	return true
}

// wields uses what is in hand where there is nothing that it could be used on, if a rule waits for that.
func (g *Game) wields(m *world.Ground) bool {
	h := happening{on: rules.WordWields, m: m.Ref, thing: world.None, word: g.Hand}
	if g.Hand == "" || !g.waitedFor(h) {
		return false
	}
	if g.Rests(g.Hand) == 0 {
		g.happen(h)
		g.used(g.Hand)
	}
	return true
}

// used has an item rest that was used, and takes one away of what is used up.
func (g *Game) used(word string) {
	if r := g.resting(word); r >= 0 {
		g.setTimer(r, g.Stage.Thing(r).Doing.Every)
	}
	g.spend(word)
}

// resting is the thing by which it is known how long an item is not ready after it was used; None where it is at once.
func (g *Game) resting(word string) world.Ref {
	for _, r := range g.Stage.Holding {
		if t := &g.Stage.Things[r]; t.Acts == kind.Item && t.Doing.Every > 0 && t.Doing.Word == word && g.Is(r, Taken) {
			return r
		}
	}
	return world.None
}

// Rests is how long an item that was used is not ready again, in thousandths of all of that; 0 is ready.
func (g *Game) Rests(word string) int {
	r := g.resting(word)
	if r < 0 {
		return 0
	}
	i, is := timerAt(g.Timers, r)
	if !is {
		return 0
	}
	return int(g.Timers[i].Left) * 1000 / int(g.Stage.Thing(r).Doing.Every)
}

// spend takes one away of an item that is used up.
func (g *Game) spend(word string) {
	for _, r := range g.Stage.Holding {
		t := &g.Stage.Things[r]
		if t.Acts != kind.Item || t.Doing.Word != word || !t.Doing.UsedUp || !g.Is(r, Taken) || g.Is(r, Spent) {
			continue
		}
		if g.wears(r, t) <= 0 {
			g.setThing(r, Spent, true)
		}
		break
	}
	if !g.Has(word) {
		g.Hand = ""
	}
}
