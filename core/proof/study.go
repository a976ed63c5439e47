package proof

import (
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

// Study finds out all that is told of a game, a little at a time: whether it can be finished, in how few steps, where one gets stuck,
// and what is never come to.
type Study struct {
	st     *world.Stage
	search *Search
	steps  *Steps
	whole  *Search
	traps  *trapped
	lacks  *lacking
	course *course
	slack  *slacks
	jumped bool

	// Answer is whether it can be finished, nil for not known yet.
	Answer *Answer
	// Missing is what stands in the way, where it cannot.
	Missing []Missing
	// Together tells that all of that would have to be otherwise; else any of it is enough.
	Together bool
	// Never is what nobody comes to, once Bounded.
	Never   []Never
	Bounded bool
	// Traps are where one is stuck for good; All tells that there are no others.
	Traps []Trap
	All   bool
	// Jumps are those of the walk that was found, on maps that are seen from the side.
	Jumps []Jump
	// Done tells that nothing more is looked for.
	Done bool
	// Tried is how many situations were come to.
	Tried int
}

// What is tried at the most to find where one gets stuck.
const (
	trapNodes = 1500
	trapTicks = 1_500_000
)

// NewStudy begins to study a game from where a function begins it, each time alike; nil is where a player's game begins.
func NewStudy(st *world.Stage, start func() (*play.Game, error)) *Study {
	if start == nil {
		start = atFirst(st)
	}
	return &Study{st: st, search: NewFrom(st, start)}
}

// Stands has a walk that was found before, and plays still, be the answer.
func (s *Study) Stands(a *Answer) {
	if s.search.out == nil {
		s.Answer = a
	}
}

// Lacking tells that it cannot be finished, and that it is looked for what is missing.
func (s *Study) Lacking() bool { return !s.Done && s.lacks != nil }

// Lacks is what stands in the way where it cannot be finished: what was found to be missing, else what the answer says.
func (s *Study) Lacks() []Missing {
	if a := s.Answer; len(s.Missing) == 0 && a != nil && a.Is == Cannot {
		return []Missing{{Thing: a.By, Text: a.Why, Rule: a.Rule, Map: world.None}}
	}
	return s.Missing
}

// May is what could be, nil where there is nothing to ask.
func (s *Study) May() *May { return s.search.may }

// Stage is the version of the project that is studied.
func (s *Study) Stage() *world.Stage { return s.st }

// Step goes on for about so many ticks of play; true when it is done.
func (s *Study) Step(budget int) bool {
	s.goOn(budget)
	if s.Done && !s.jumped && s.Answer != nil && s.Answer.Is == Can && slices.ContainsFunc(s.st.Grounds, func(g *world.Ground) bool { return g.Side && !g.Template }) {
		s.jumped = true
		s.slack = newSlacks(s.search.start, s.Answer.Walk)
		s.Done = s.slack == nil
	}
	return s.Done
}

// goOn goes on with what is to be found out next.
func (s *Study) goOn(budget int) {
	switch {
	case s.Done:
	case s.slack != nil:
		s.Done = s.slack.step(budget)
		s.Jumps = s.slack.out
	case s.Answer == nil:
		s.answer(budget)
	case !s.Bounded:
		if s.search.bounded = s.search.may.goOn(budget); s.search.bounded {
			s.answered(s.Answer)
		}
	case s.lacks != nil:
		s.Done = s.lacks.step()
		if s.Missing, s.Together = s.lacks.out, s.lacks.together; len(s.Missing) > 0 {
			s.Answer = &Answer{Is: Cannot, Why: s.Missing[0].Text, By: s.Missing[0].Thing, Rule: s.Missing[0].Rule}
		}
	case s.course != nil:
		if s.course.step(budget) {
			s.Tried += s.course.tried
			if a := s.course.answer(s.search.start); a != nil {
				s.Answer = a
			}
			s.course, s.Done = nil, true
		}
	case s.steps != nil:
		if s.steps.Step(budget) {
			if found := s.steps.Found; found != nil {
				s.Answer = found
			}
			if s.steps.Gone && s.steps.Exact && s.steps.Found == nil && s.Answer.Is == Open {
				s.Answer = &Answer{Is: Cannot, By: world.None, Why: "every situation was tried, and none of them leads to a goal"}
			}
			s.Traps, s.All = s.steps.Traps(MaxTraps), s.steps.Gone && s.steps.Exact
			s.Tried = max(s.Tried, len(s.steps.all))
			s.steps = nil
			if s.Done = s.All || s.Answer.Is != Can; !s.Done {
				s.beginTraps()
			}
		} else {
			s.Tried = max(s.Tried, len(s.steps.all))
			if found := s.steps.Found; found != nil && (s.Answer.Is != Can || found.Steps < s.Answer.Steps || found.Fewest) {
				s.Answer = found
			}
		}
	case s.whole != nil:
		s.whole.Step(budget)
		s.Tried = max(s.Tried, s.whole.made)
		if s.whole.out != nil || s.whole.made > trapNodes || s.whole.ticks > trapTicks {
			s.traps, s.whole = s.whole.stuck(), nil
		}
	case s.traps != nil:
		if done := s.traps.step(budget); done {
			s.Done = true
		}
		s.addTraps(s.traps.out)
	default:
		s.Done = true
	}
}

// begins is the course of maps on which the game begins, nil where none follows.
func (s *Study) begins() *course {
	g, err := s.search.start()
	if err != nil {
		return nil
	}
	return newCourse(s.st, g.Hero().Map)
}

// addTraps puts traps that were found beside those that are known.
func (s *Study) addTraps(all []Trap) {
	for _, t := range all {
		known := false
		for _, o := range s.Traps {
			known = known || o.Map == t.Map && o.At == t.At
		}
		if !known && len(s.Traps) < MaxTraps {
			s.Traps = append(s.Traps, t)
		}
	}
}

func (s *Study) answer(budget int) {
	a := s.search.Step(budget)
	s.Bounded, s.Tried = s.search.bounded, max(s.Tried, s.search.cameTo())
	if a == nil {
		return
	}
	s.Answer = a
	if s.search.may == nil {
		s.Done = true
		return
	}
	for !s.search.bounded {
		s.search.bounded = s.search.may.goOn(1 << 16)
	}
	s.answered(a)
}

// courses are what could be from where the player can begin otherwise: on the first of maps that follow each other, chosen on the title.
func (s *Study) courses() (out []*May) {
	if s.st.Doc.GameValue(kind.GameChoose).Word() == kind.ChooseNever {
		return nil
	}
	for _, c := range s.st.Doc.Courses() {
		if m := s.st.MapOf(c[0].ID); m >= 0 && !s.search.may.arrived[m] {
			if g, err := play.Start(s.st, c[0].ID, Seed); err == nil && g.Hero().Map == m {
				out = append(out, CouldFrom(g))
			}
		}
	}
	return out
}

// answered goes on from an answer: what nobody comes to, what is missing, and whatever is left to find out.
func (s *Study) answered(a *Answer) {
	s.Bounded, s.Never = true, never(s.st, append(s.courses(), s.search.may))
	switch {
	case s.search.short:
		s.Missing, s.Done = []Missing{{Thing: a.By, Text: a.Why, Map: world.None}}, true
	case a.Is == Cannot:
		s.lacks = s.search.lacking()
	case Stepwise(s.st, s.search.may.comesToMap) && s.begins() != nil:
		s.course = s.begins()
	case Stepwise(s.st, s.search.may.comesToMap):
		s.steps = NewSteps(s.st, s.search.start, s.search.may.comesToMap)
	case a.Is == Can:
		s.beginTraps()
	default:
		s.Done = true
	}
}

func (s *Study) beginTraps() {
	s.whole = NewFrom(s.st, s.search.start)
	s.whole.whole = true
}
