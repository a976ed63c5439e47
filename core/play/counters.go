package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
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
