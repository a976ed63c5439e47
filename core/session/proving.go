package session

import (
	"azzel/core/author"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"errors"
	"slices"
)

// proving is the question whether the project can be finished from one beginning, as far as it has come.
type proving struct {
	stage *world.Stage
	// from is the map or the pin from which games begin, empty as a player's do; begins begins one.
	from   document.ID
	begins func() (*play.Game, error)
	study  *proof.Study
	// course is what happens on the walk that was found.
	walk   []play.Input
	course []document.CourseMark
}

// Proof is what is known of finishing the game.
type Proof struct {
	// Is is empty while it is looked for.
	Is    string `json:"is"`
	Steps int    `json:"steps"`
	// Moves is what the project counts of them; Fewest tells that there is no walk of fewer steps.
	Moves  int  `json:"moves"`
	Fewest bool `json:"fewest"`
	// Lucky tells that chance helped on the way.
	Lucky bool   `json:"lucky"`
	Why   string `json:"why"`
	// More tells that what stands in the way is being looked for still.
	More bool `json:"more"`
	// Wants is the kind of which one is to be put down first where there is nothing to look for, or “game” for what is set of that.
	Wants string `json:"wants"`
	// Map and Entity are what stands in the way, if anything does.
	Map    document.ID `json:"map"`
	Entity document.ID `json:"entity"`
}

// beginning begins games on a map, at a pin, or as a player's begin.
func beginning(st *world.Stage, from document.ID) func() (*play.Game, error) {
	if p := st.Doc.Pins.Get(from); p != nil {
		return func() (*play.Game, error) {
			g, err := play.Resume(st, p.Moment)
			if err == nil {
				g.Seed = proof.Seed
			}
			return g, err
		}
	}
	return func() (*play.Game, error) { return play.Start(st, from, proof.Seed) }
}

// at is the question from a beginning, on the project as it is now. When that has changed the walk that was found is played on it
// first: while it wins, the answer stands.
func (s *Session) provingFrom(from document.ID) *proving {
	p := &s.proving
	if from != "" {
		p = &s.otherwise
	}
	if st := s.stage(); p.study == nil || p.stage != st || p.from != from {
		was := p.study
		same := p.from == from
		*p = proving{stage: st, from: from, begins: beginning(st, from)}
		p.study = proof.NewStudy(st, p.begins)
		if was != nil && same && was.Answer != nil && was.Answer.Is == proof.Can {
			if again, ok := proof.ReplayFrom(st, p.begins, was.Answer.Walk); ok {
				p.study.Stands(again)
			}
		}
	}
	return p
}

func (p *proving) said() Proof {
	a := p.study.Answer
	if a == nil {
		return Proof{}
	}
	out := Proof{Is: string(a.Is), Steps: a.Steps, Moves: a.Moves, Fewest: a.Fewest, Lucky: a.Lucky, Why: a.Why, More: p.study.Lacking()}
	if a.Is == proof.Nothing {
		out.Wants = proof.Wants(p.stage, p.begins)
	}
	if a.By >= 0 {
		end := p.stage.End(a.By)
		out.Map, out.Entity = end.Map, end.Entity
	}
	return out
}

// prove goes on looking for so many ticks of play, until there is an answer; where it cannot be finished, until it is known what stands in the
// way as well.
func (s *Session) prove(a struct {
	Ticks int `json:"ticks"`
}) (Proof, error) {
	p := s.provingFrom("")
	if p.study.Answer == nil || p.study.Lacking() {
		p.study.Step(max(1, min(a.Ticks, 100_000)))
	}
	return p.said(), nil
}

// StudyInfo is all that has been found out of finishing a game from one beginning.
type StudyInfo struct {
	Proof
	From document.ID `json:"from"`
	// Done tells that nothing more is looked for, All that every situation was gone through; Tried is how many were come to.
	Done    bool          `json:"done"`
	All     bool          `json:"all"`
	Tried   int           `json:"tried"`
	Missing []MissingInfo `json:"missing"`
	// Together tells that all of that would have to be otherwise.
	Together bool       `json:"together,omitempty"`
	Traps    []TrapInfo `json:"traps"`
	// Jumps are those of the walk, seen from the side, the tightest first.
	Jumps []JumpInfo `json:"jumps"`
	// Walk is the course of the walk that was found: where the hero comes to, and what happens.
	Walk []document.CourseMark `json:"walk"`
	// Seconds is how long it takes to play it.
	Seconds int `json:"seconds"`
}

// MissingInfo is something without which the game cannot be finished.
type MissingInfo struct {
	Map    document.ID `json:"map"`
	Entity document.ID `json:"entity"`
	Text   string      `json:"text"`
	// At is the cell of the map that it is about, where that is no thing.
	At *grid.Point `json:"at"`
	// Rule is the rule that asks for it, empty for none.
	Rule document.ID `json:"rule"`
}

// TrapInfo is a cell of a map from which on a player is stuck for good.
type TrapInfo struct {
	Map   document.ID `json:"map"`
	X     int         `json:"x"`
	Y     int         `json:"y"`
	Steps int         `json:"steps"`
	Sure  bool        `json:"sure"`
	Text  string      `json:"text"`
}

// JumpInfo is a jump of the walk: from a cell of a map, and how many ticks there are in which it can be begun.
type JumpInfo struct {
	Map   document.ID `json:"map"`
	X     int         `json:"x"`
	Y     int         `json:"y"`
	Ticks int         `json:"ticks"`
	Tight bool        `json:"tight"`
	Text  string      `json:"text"`
}

// study goes on finding out for so many ticks of play.
func (s *Session) study(a struct {
	From  document.ID `json:"from"`
	Ticks int         `json:"ticks"`
}) (StudyInfo, error) {
	p := s.provingFrom(a.From)
	if a.Ticks > 0 {
		p.study.Step(min(a.Ticks, 100_000))
	}
	return p.info(), nil
}

func (p *proving) info() StudyInfo {
	st := p.study
	out := StudyInfo{Proof: p.said(), From: p.from, Done: st.Done, All: st.All, Tried: st.Tried, Missing: []MissingInfo{}, Together: st.Together, Traps: []TrapInfo{}, Jumps: []JumpInfo{}, Walk: []document.CourseMark{}}
	for _, m := range st.Lacks() {
		one := MissingInfo{Text: m.Text}
		if m.Rule != nil {
			one.Rule = m.Rule.ID
		}
		if m.Thing >= 0 {
			end := p.stage.End(m.Thing)
			one.Map, one.Entity = end.Map, end.Entity
		} else if m.Map >= 0 {
			g := p.stage.Grounds[m.Map]
			one.Map, one.At = g.ID, &grid.Point{X: m.At.X - g.Bounds.X, Y: m.At.Y - g.Bounds.Y}
		}
		out.Missing = append(out.Missing, one)
	}
	for i := range st.Traps {
		out.Traps = append(out.Traps, p.trap(&st.Traps[i]))
	}
	for i := range st.Jumps {
		j := &st.Jumps[i]
		m := p.stage.Grounds[j.Map]
		out.Jumps = append(out.Jumps, JumpInfo{Map: m.ID, X: j.At.X - m.Bounds.X, Y: j.At.Y - m.Bounds.Y, Ticks: j.Slack(), Tight: j.Slack() <= check.TightTicks, Text: check.Jumped(p.stage, j)})
	}
	slices.SortStableFunc(out.Jumps, func(a, b JumpInfo) int { return a.Ticks - b.Ticks })
	if st.Answer != nil && len(st.Answer.Walk) > 0 {
		out.Walk, out.Seconds = p.courseOf(st.Answer.Walk), len(st.Answer.Walk)/play.TicksPerSecond
	}
	return out
}

func (p *proving) trap(t *proof.Trap) TrapInfo {
	m := p.stage.Grounds[t.Map]
	return TrapInfo{Map: m.ID, X: t.At.X - m.Bounds.X, Y: t.At.Y - m.Bounds.Y, Steps: t.Steps, Sure: t.Sure, Text: check.Stuck(p.stage, t)}
}

// courseOf is what happens on a walk; it is worked out once for a walk.
func (p *proving) courseOf(walk []play.Input) []document.CourseMark {
	if len(p.walk) != len(walk) || len(walk) > 0 && &p.walk[0] != &walk[0] {
		p.walk, p.course = walk, []document.CourseMark{}
		if g, err := p.begins(); err == nil {
			p.course = recorded(g, walk).Course
		}
	}
	return p.course
}

// recorded plays a walk as a recording of it.
func recorded(g *play.Game, walk []play.Input) document.Recording {
	r := play.NewRecord(g)
	for _, in := range walk {
		r.Step(g, in)
	}
	return r.Whole()
}

// walkArgs name a walk: of the proof from a beginning, into a trap, or of an expectation.
type walkArgs struct {
	From document.ID `json:"from"`
	// Trap is one more than the number of a trap; Expectation names one.
	Trap        int         `json:"trap"`
	Expectation document.ID `json:"expectation"`
}

// walkOf is what is held on a walk, and how its game begins.
func (s *Session) walkOf(a walkArgs) ([]play.Input, *proving, error) {
	p := s.provingFrom(a.From)
	switch st := p.study; {
	case a.Expectation != "":
		if e := s.expecting[a.Expectation]; e != nil && e.verdict != nil && len(e.verdict.Walk) > 0 && e.stage == p.stage {
			return e.verdict.Walk, p, nil
		}
		return nil, nil, errors.New("there is no walk that shows it")
	case a.Trap > 0 && a.Trap <= len(st.Traps):
		return st.Traps[a.Trap-1].Walk, p, nil
	case a.Trap == 0 && st.Answer != nil && st.Answer.Is == proof.Can:
		return st.Answer.Walk, p, nil
	}
	return nil, nil, errNoWalk
}

// WalkKeys is what is held on a walk: by turns an input and for how many ticks.
type WalkKeys struct {
	From document.ID `json:"from"`
	Keys []int       `json:"keys"`
}

// walk gives what is held on a walk that was found, for a session that has not looked for it.
func (s *Session) walk(a walkArgs) (out WalkKeys, err error) {
	walk, _, err := s.walkOf(a)
	if err != nil {
		return out, err
	}
	out = WalkKeys{From: a.From, Keys: []int{}}
	for i := 0; i < len(walk); {
		k := i
		for k < len(walk) && walk[k] == walk[i] {
			k++
		}
		out.Keys = append(out.Keys, int(walk[i]), k-i)
		i = k
	}
	return out, nil
}

// inputs are what is held tick by tick.
func (k *WalkKeys) inputs() ([]play.Input, error) {
	var out []play.Input
	for i := 0; i+1 < len(k.Keys); i += 2 {
		in, n := k.Keys[i], k.Keys[i+1]
		if in < 0 || in > 1<<16-1 || n < 1 || len(out)+n > proof.MaxTicks {
			return nil, errNoWalk
		}
		for range n {
			out = append(out, play.Input(in))
		}
	}
	if len(out) == 0 {
		return nil, errNoWalk
	}
	return out, nil
}

var errNoWalk = errors.New("there is no walk to show yet")

// walked is a walk with the game that begins it.
func (s *Session) walked(k WalkKeys) ([]play.Input, *play.Game, error) {
	walk, err := k.inputs()
	if err != nil {
		return nil, nil, err
	}
	g, err := beginning(s.stage(), k.From)()
	return walk, g, err
}

// showWalk plays a walk from the beginning.
func (s *Session) showWalk(k WalkKeys) (zero View, err error) {
	walk, g, err := s.walked(k)
	if err != nil {
		return zero, err
	}
	s.play = &playing{game: g, record: play.NewRecord(g), script: walk, leads: leadsWalk, framed: &framed{}}
	return s.play.view(g, g.Told), nil
}

// keepWalk keeps a walk as a recording, which is played through again after every change.
func (s *Session) keepWalk(k WalkKeys) (zero Outcome, err error) {
	walk, g, err := s.walked(k)
	if err != nil {
		return zero, err
	}
	r := recorded(g, walk)
	r.Name = "The walk that was found"
	return s.authored(author.AddRecording(s.doc(), r))
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"prove":    with((*Session).prove),
		"study":    with((*Session).study),
		"walk":     with((*Session).walk),
		"showWalk": with((*Session).showWalk),
		"keepWalk": with((*Session).keepWalk),
	})
}
