package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

// Is says how a question ended.
type Is string

// The answers.
const (
	Can     Is = "can"
	Cannot  Is = "cannot"
	Open    Is = "open"    // not decided
	Nothing Is = "nothing" // there is nothing to ask yet
)

// Answer is what is known of finishing a game.
type Answer struct {
	Is Is
	// Steps is how many cells the walk enters: it can be done in at most so many.
	Steps int
	// Moves is what the project counts of it.
	Moves int
	// Fewest tells that there is no walk of fewer steps.
	Fewest bool
	// Lucky tells that chance decided something on the way, as the dice of games that are proven fall.
	Lucky bool
	// Walk is what is held, tick by tick, from the beginning to the goal; it was played.
	Walk []play.Input
	// Why is the rest of the sentence, where it cannot or is not decided.
	Why string
	// By is the thing that stands in the way; None for nothing in particular.
	By world.Ref
	// Rule is the one that it is about, nil for none.
	Rule *document.Rule
}

// cannot says what keeps the hero from the goal: a door that nothing opens, a way that asks for
// what cannot be had, or that nothing leads there.
func (s *Search) cannot() *Answer {
	a := &Answer{Is: Cannot, By: world.None, Why: "no way leads to the goal"}
	for _, r := range s.st.Book.Collects {
		if !s.may.taken[r] {
			a.By, a.Why = r, s.st.Thing(r).Name+" cannot be collected"
			return a
		}
	}
	if f := s.st.Book.Flag; f >= 0 {
		a.Why = s.st.Doc.Flags.Get(s.st.Flags[f]).Name + " can never be set"
		return a
	}
	for r := range s.st.Things {
		t := &s.st.Things[r]
		if t.Acts == kind.Door && len(s.may.shut[world.Ref(r)]) > 0 {
			a.By, a.Why = world.Ref(r), t.Name+" stays shut"
			return a
		}
	}
	for _, g := range s.may.gates {
		if g.way >= 0 {
			from := s.st.Ways[g.way].From
			if t := s.st.Thing(s.st.ThingOf(from.Map, from.Entity)); t != nil {
				a.By, a.Why = s.st.ThingOf(from.Map, from.Entity), t.Name+" asks for what cannot be had"
				return a
			}
		}
	}
	for i := range s.may.pushed {
		b := &s.may.pushed[i]
		for _, way := range document.Facings {
			dx, dy := way.Step()
			if b.stuck && s.may.reached[b.m].has(grid.Point{X: b.first.X + dx, Y: b.first.Y + dy}) {
				a.By, a.Why = b.of, s.st.Thing(b.of).Name+" lies in the way, and no push moves it"
				return a
			}
		}
	}
	if r := winsByWhatIsGone(s.st); r != nil && !slices.ContainsFunc(s.goals, func(r world.Ref) bool { return s.may.arrived[s.st.Thing(r).Map] }) {
		a.Rule, a.Why = r, called(r)+" wins the game, and waits for something that was removed"
		return a
	}
	// of the maps on the way to a goal, the first to which nobody comes
	at := world.None
	for m, far := range s.hops {
		if far < len(s.hops) && !s.may.arrived[m] && (at < 0 || far > s.hops[at]) {
			at = world.Ref(m)
		}
	}
	if at >= 0 {
		a.Why = "nothing that one can come to leads to " + s.st.Grounds[at].Name
	}
	return a
}
