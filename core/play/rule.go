package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
	"strings"
)

// happening is what wakes rules: a word, where, and of which thing.
type happening struct {
	on    string
	m     world.Ref
	thing world.Ref
	// word is the item that was used on it, or what of its own changed from what to what.
	word    string
	was, is int32
}

func (g *Game) happen(h happening) { g.queue = append(g.queue, h) }

// settle gives each happening to the rules that wait for it, in their order.
func (g *Game) settle() {
	for n := 0; len(g.queue) > 0; n++ {
		h := g.queue[0]
		g.queue = g.queue[1:]
		if n >= MaxHappenings {
			g.Notice = "Rules kept waking each other and were stopped."
			g.queue = nil
			return
		}
		for _, r := range g.waiting(h) {
			if h.meant(r) {
				g.begin(g.Stage.RuleOf(r.ID))
			}
		}
	}
}

// waiting are the rules that wait for the like of a happening.
func (g *Game) waiting(h happening) []*document.Rule {
	var entity document.ID
	if t := g.Stage.Thing(h.thing); t != nil {
		entity = t.ID
	}
	return rules.Waiting(g.Stage.Doc, h.on, g.Stage.Grounds[h.m].ID, entity)
}

// waitedFor reports whether a rule waits for a happening.
func (g *Game) waitedFor(h happening) bool { return slices.ContainsFunc(g.waiting(h), h.meant) }

// meant reports whether a rule that waits for the like of it waits for this.
func (h happening) meant(r *document.Rule) bool {
	if h.word == "" {
		return true
	}
	return slices.ContainsFunc(r.In(document.SlotWhen), func(p *document.RulePart) bool {
		switch {
		case p.Word != h.on:
			return false
		case h.on == rules.WordUseOn:
			return p.Blank("item").Word() == h.word
		}
		n := p.Blank("number").Thousandths() / 1000
		return p.Blank("own").Word() == h.word && int64(h.was) < n && n <= int64(h.is)
	})
}

func (g *Game) begin(ref world.Ref) {
	r, done := g.Stage.Rules[ref], ruleSlot(g.Stage, ref)
	if r.Once && g.bit(done) || slices.ContainsFunc(g.Threads, func(t Thread) bool { return t.Rule == ref && !t.reads() }) {
		return // it is over, or still at it
	}
	t := Thread{Rule: ref}
	for _, c := range r.In(document.SlotIf) {
		t.Else = t.Else || !g.holdsTrue(c)
	}
	if t.Else {
		if len(r.In(document.SlotOtherwise)) > 0 {
			g.goOn(t)
		}
		return
	}
	if r.Once {
		g.set(done, true)
	}
	g.goOn(t)
}

// goOn does what a rule does next, until it waits or has ended.
func (g *Game) goOn(t Thread) {
	if t.Next == 0 {
		g.tell("rule", "")
	}
	if g.run(&t) {
		g.Threads = append(g.Threads, t)
	}
}

// run does steps until the rule ends or says something; true when it waits.
func (g *Game) run(t *Thread) bool {
	for then := g.Stage.Rules[t.Rule].In(t.slot()); int(t.Next) < len(then); {
		p := then[t.Next]
		t.Next++
		if g.do(p) {
			return true
		}
		if p.Word == rules.WordWait {
			// a rule that waits for no time goes on in the next tick
			t.Wait = int32(max(1, min(p.Blank("number").Thousandths()/1000, longestWait)*TicksPerSecond))
			return true
		}
	}
	return false
}

// holdsTrue reports whether what a condition asks is so.
func (g *Game) holdsTrue(p *document.RulePart) bool {
	o, _ := document.Named(p.Blank("what"))
	switch p.Word {
	case rules.WordIsSet:
		return g.Flag(o.ID)
	case rules.WordIsNotSet:
		return !g.Flag(o.ID)
	case rules.WordHas, rules.WordLacks:
		return g.Has(p.Blank("item").Word()) == (p.Word == rules.WordHas)
	case rules.WordVisited, rules.WordUnvisited:
		_, been := slices.BinarySearch(g.Entered, g.Stage.MapOf(o.ID))
		return been == (p.Word == rules.WordVisited)
	}
	r := g.Stage.ThingOf(o.Map, o.ID)
	if r < 0 {
		return false
	}
	switch p.Word {
	case rules.WordIsOn, rules.WordIsOpen:
		return g.On(r)
	case rules.WordIsOff, rules.WordIsShut:
		return !g.On(r)
	case rules.WordIsThere:
		return g.There(r)
	case rules.WordIsAway:
		return !g.There(r)
	case rules.WordIsShown:
		return g.Shown(r)
	case rules.WordIsHidden:
		return !g.Shown(r)
	case rules.WordIsMet:
		return g.Is(r, Reached)
	case rules.WordIsLeft:
		return !g.Is(r, Reached)
	}
	return g.ownIs(p, r)
}

// do does one step of a rule; true when the rule waits then.
func (g *Game) do(p *document.RulePart) (waits bool) {
	o, _ := document.Named(p.Blank("what"))
	if g.change(p.Word, o) || g.changeOwn(p, g.Stage.ThingOf(o.Map, o.ID)) {
		return false
	}
	switch p.Word {
	case rules.WordSet, rules.WordClear:
		g.setFlag(o.ID, p.Word == rules.WordSet)
	case rules.WordSend:
		g.send(g.Stage.ThingOf(o.Map, o.ID))
	case rules.WordSay:
		return g.says(p.Blank("text").Word(), true)
	}
	return false
}

// says shows a text page by page; a rule goes on when the last one was read. It
// reports whether there is anything to read.
func (g *Game) says(text string, rule bool) bool {
	all := PagesOf(text).Pages
	for i, page := range all {
		g.Lines = append(g.Lines, Line{strings.Join(page, "\n"), rule && i == len(all)-1})
	}
	return len(all) > 0
}

// resume goes on with the rule whose line has been read: lines and waiting
// rules stand in the same order.
func (g *Game) resume() {
	i := slices.IndexFunc(g.Threads, Thread.reads)
	if i < 0 {
		return
	}
	t := g.Threads[i]
	g.Threads = slices.Delete(slices.Clone(g.Threads), i, i+1)
	if g.run(&t) {
		g.Threads = append(g.Threads, t)
	}
}

// longestWait is how long a rule can wait, in seconds.
const longestWait = 3600

// reads tells that a rule waits for its line to be read.
func (t Thread) reads() bool { return t.Wait == 0 }

// wait goes on with the rules whose time is over, the oldest first.
func (g *Game) wait() {
	if len(g.Threads) == 0 {
		return
	}
	waiting := g.Threads
	g.Threads = nil
	for _, t := range waiting {
		if t.Wait > 1 || t.reads() {
			t.Wait = max(0, t.Wait-1)
			g.Threads = append(g.Threads, t)
			continue
		}
		t.Wait = 0
		if g.run(&t) {
			g.Threads = append(g.Threads, t)
		}
	}
}
