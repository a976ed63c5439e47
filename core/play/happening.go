package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// happening is what wakes rules: a word, where, and of which thing, flag or counter.
type happening struct {
	on    string
	m     world.Ref
	thing world.Ref
	// of is the flag or counter, or anything else that is no thing.
	of document.Object
	// word is the item that was used on it, the signal, or what of its own changed from what to what; counts tells
	// that what changed from what to what is of is.
	word    string
	counts  bool
	was, is int32
	// exact tells that the number that is waited for is is.
	exact bool
	// seen tells that of is what is seen.
	seen bool
	// number is what a signal brings.
	number int64
	// by is one more than who did it; 0 is the hero.
	by world.Ref
}

func (g *Game) happen(h happening) {
	if h.by == 0 && h.thing >= 0 {
		h.by = g.doer
	}
	g.queue = append(g.queue, h)
}

// settle gives each happening to the rules that wait for it, in their order.
func (g *Game) settle() {
	if g.Over != NotOver {
		g.queue, g.Lines, g.Threads = nil, nil, nil
	}
	for n := 0; len(g.queue) > 0; n++ {
		h := g.queue[0]
		g.queue = g.queue[1:]
		if n >= MaxHappenings {
			g.Notice = "Rules kept waking each other and were stopped."
			g.queue = nil
			return
		}
		for _, r := range g.waiting(h) {
			if h.meant(r) && g.Over == NotOver {
				if h.on == rules.WordBrings {
					g.brings(h, r)
				}
				g.begin(g.Stage.RuleOf(r.ID), h.thing, h.by)
			}
		}
	}
}

// brings gives the counters that a rule names the number that came with a signal.
func (g *Game) brings(h happening, r *document.Rule) {
	for _, p := range rules.TreeOf(r).When {
		if into, ok := document.Named(p.Blank("into")); ok && p.Word == h.on && p.Blank("signal").Word() == h.word {
			g.setCounter(into.ID, h.number)
		}
	}
}

// waiting are the rules that wait for the like of a happening.
func (g *Game) waiting(h happening) []*document.Rule {
	w := rules.Happening{Word: h.on, At: h.of}
	if t := g.Stage.Thing(h.thing); t != nil {
		w.At, w.Kind = document.Object{Type: document.TypeEntity, Map: g.Stage.Grounds[h.m].ID, ID: t.ID}, document.ID(t.Kind)
	} else if h.on == rules.WordArrive || h.on == rules.WordGoes || h.on == rules.WordDone {
		w.At = document.Object{Type: document.TypeMap, ID: g.Stage.Grounds[h.m].ID}
	}
	return rules.Waiting(g.Stage.Doc, w)
}

// waitedFor reports whether a rule waits for a happening.
func (g *Game) waitedFor(h happening) bool { return slices.ContainsFunc(g.waiting(h), h.meant) }

// meant reports whether a rule that waits for the like of it waits for this.
func (h happening) meant(r *document.Rule) bool {
	if h.word == "" && !h.counts && !h.exact && !h.seen {
		return true
	}
	return slices.ContainsFunc(rules.TreeOf(r).When, func(p *rules.Node) bool {
		switch {
		case p.Word != h.on || h.counts && p.At != h.of:
			return false
		case h.seen:
			return p.To == h.of
		case h.on == rules.WordUseOn, h.on == rules.WordGain, h.on == rules.WordWields:
			return p.Blank("item").Word() == h.word
		case h.on == rules.WordEvery:
			return world.Round(p.Number) == int64(h.is)
		case h.exact:
			return p.Number == int64(h.is)
		case h.on == rules.WordHears, h.on == rules.WordBrings:
			return p.Blank("signal").Word() == h.word
		}
		return p.Blank("own").Word() == h.word && reaches(int64(h.was), int64(h.is), p.Number)
	})
}

// reaches tells that a number is come to, from below or from above.
func reaches(was, is, n int64) bool { return was < n && n <= is || was > n && n >= is }
