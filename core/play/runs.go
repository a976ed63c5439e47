package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"cmp"
	"slices"
)

// RunFor is a rule of a kind that runs once and has run for a thing.
type RunFor struct{ Rule, Of world.Ref }

func byRun(a, b RunFor) int { return cmp.Or(int(a.Rule-b.Rule), int(a.Of-b.Of)) }

// key is what stands for it in the hash.
func (r RunFor) key() uint64 { return 1<<62 | uint64(r.Rule)<<32 | uint64(uint32(r.Of)) }

// hasRun reports whether a rule that runs once has run; one of a kind, for the thing that woke it.
func (g *Game) hasRun(r, it world.Ref) bool {
	if it >= 0 && rules.TreeOf(g.Stage.Rules[r]).OfKind {
		_, is := slices.BinarySearchFunc(g.RunsFor, RunFor{r, it}, byRun)
		return is
	}
	return g.bit(ruleSlot(g.Stage, r))
}

// HasRun reports whether a rule that runs once, and is of no kind, has run.
func (g *Game) HasRun(r world.Ref) bool { return r >= 0 && g.bit(ruleSlot(g.Stage, r)) }

func (g *Game) markRun(r, it world.Ref) {
	if it >= 0 && rules.TreeOf(g.Stage.Rules[r]).OfKind {
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
