package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"cmp"
	"slices"
)

// counterAt is where the count of a counter stands.
func counterAt(st *world.Stage, c world.Ref) int { return countsOfAll + st.Owned + int(c) }

// Counter is what a counter is; one that was removed is 0.
func (g *Game) Counter(id document.ID) int64 {
	if c := g.Stage.CounterOf(id); c >= 0 {
		return int64(g.Count(counterAt(g.Stage, c)))
	}
	return 0
}

// setCounter sets a counter, within what one can be, and wakes what waits for what it comes to.
func (g *Game) setCounter(id document.ID, to int64) {
	c := g.Stage.CounterOf(id)
	if c < 0 {
		return
	}
	at := counterAt(g.Stage, c)
	is, was := int32(min(max(to, -document.MaxNumber), document.MaxNumber)), g.Count(at)
	if is != was {
		g.setCount(at, is)
		g.happen(happening{on: rules.WordCounts, thing: world.None, of: document.Object{Type: document.TypeCounter, ID: id}, counts: true, was: was, is: is})
	}
}

// firstCounters sets all counters to what they start with.
func (s *Situation) firstCounters(st *world.Stage) {
	for c := range st.Counters {
		s.setCount(counterAt(st, world.Ref(c)), int32(st.Counters[c].Start))
	}
}

// RunFor is a rule of a kind that runs once and has run for a thing.
type RunFor struct{ Rule, Of world.Ref }

func byRun(a, b RunFor) int { return cmp.Or(int(a.Rule-b.Rule), int(a.Of-b.Of)) }

// key is what stands for it in the hash.
func (r RunFor) key() uint64 { return 1<<62 | uint64(r.Rule)<<32 | uint64(uint32(r.Of)) }

// hasRun reports whether a rule that runs once has run; one of a kind, for the thing that woke it.
func (g *Game) hasRun(r, it world.Ref) bool {
	if it >= 0 && rules.TreeOf(g.Stage.Rules[r]).Each {
		_, is := slices.BinarySearchFunc(g.RunsFor, RunFor{r, it}, byRun)
		return is
	}
	return g.bit(ruleSlot(g.Stage, r))
}

func (g *Game) markRun(r, it world.Ref) {
	if it >= 0 && rules.TreeOf(g.Stage.Rules[r]).Each {
		g.runFor(RunFor{r, it})
		return
	}
	g.set(ruleSlot(g.Stage, r), true)
}

func (s *State) runFor(r RunFor) {
	if i, is := slices.BinarySearchFunc(s.RunsFor, r, byRun); !is {
		s.RunsFor = slices.Insert(slices.Clone(s.RunsFor), i, r)
		s.toggle(r.key())
	}
}

// ranFor notes that a rule has run for a thing, or keeps that aside where one of them is not there.
func (s *State) ranFor(st *world.Stage, rule document.ID, of document.End) {
	r := RunFor{st.RuleOf(rule), st.ThingOf(of.Map, of.Entity)}
	if r.Rule < 0 || r.Of < 0 {
		s.Away = append(s.Away, Away{Of: document.Object{Type: document.TypeRule, ID: rule}, For: &of})
		return
	}
	s.runFor(r)
}
