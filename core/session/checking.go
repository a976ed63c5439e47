package session

import (
	"azzel/core/author"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"errors"
	"fmt"
)

// CheckInfo is all that is wrong or suspicious, and what could be.
type CheckInfo struct {
	Findings []check.Finding `json:"findings"`
	Sorts    []SortInfo      `json:"sorts"`
	// Pars are the maps that can be finished by themselves, so that fewest moves can be looked for.
	Pars []document.ID `json:"pars"`
}

// SortInfo is a sort of findings, and how much it matters in this project.
type SortInfo struct {
	check.Sort
	As string `json:"as"`
}

// checked finds what is wrong, what the proof has found from the beginning among it.
func (s *Session) checked(none) (CheckInfo, error) {
	s.checker.Shades = s.shadesOf
	out := CheckInfo{Findings: s.checker.Find(s.plane(), s.provenFindings()...)}
	for _, one := range check.Sorts {
		out.Sorts = append(out.Sorts, SortInfo{one, check.Matters(s.doc().Project, one.What)})
	}
	out.Pars = s.pars()
	return out, nil
}

// tableArgs are findings that somebody wants to keep.
type tableArgs struct {
	Findings []check.Finding `json:"findings"`
}

// findingsTable is what was found as a table, whoever found it: the page, its worker, or the server.
func (s *Session) findingsTable(a tableArgs) (string, error) {
	return string(format.Findings(s.doc(), a.Findings)), nil
}

// pars are the maps on which a game can begin and be finished: at a goal of theirs, or, where something else wins, wherever one begins.
func (s *Session) pars() []document.ID {
	out := []document.ID{}
	st := s.stage()
	for _, g := range st.Grounds {
		if g.Template || len(play.Starts(st, g)) == 0 {
			continue
		}
		for r := g.First; r < g.After; r++ {
			if t := st.Thing(r); !st.Book.GoalWins || t.Acts == kind.Goal {
				out = append(out, g.ID)
				break
			}
		}
	}
	return out
}

// provenFindings are what the proof has found out so far of the project as it is.
func (s *Session) provenFindings() (out []check.Finding) {
	p := &s.proving
	if p.study != nil && p.stage == s.stage() {
		out = check.Proven(p.study)
	}
	for _, r := range s.doc().RecordingsInOrder() {
		f := s.following[r.ID]
		switch {
		case f == nil || f.stage != s.stage() || !f.known.Done:
		case f.known.Why != "":
			out = append(out, check.Finding{What: check.Parted, Of: document.TypeRecording, ID: r.ID, Text: fmt.Sprintf("The recording %s cannot be played any more: %s.", r.Name, f.known.Why)})
		case f.known.Parts != nil:
			at := f.known.Parts.Tick * 10 / play.TicksPerSecond
			out = append(out, check.Finding{What: check.Parted, Of: document.TypeRecording, ID: r.ID, Text: fmt.Sprintf("The recording %s goes otherwise now, after %d.%d s.", r.Name, at/10, at%10)})
		}
	}
	for _, pin := range s.doc().Pins.All() {
		if s.doc().Maps.Get(pin.Moment.Hero.Map) == nil {
			out = append(out, check.Finding{What: check.PinGone, Of: document.TypePin, ID: pin.ID, Text: fmt.Sprintf("Nobody can go on from the pin %s: its map is gone.", pin.Name)})
		}
	}
	for _, e := range s.doc().Project.Expectations {
		if x := s.expecting[e.ID]; x != nil && x.stage == s.stage() && x.says == e && x.verdict != nil && x.verdict.Is == proof.Refuted {
			out = append(out, check.Finding{What: check.Refuted, Of: document.TypeProject, ID: e.ID, Text: "What is expected does not hold: " + spoken(e) + "."})
		}
	}
	return out
}

// findingArgs name a finding.
type findingArgs struct {
	What string      `json:"what"`
	Map  document.ID `json:"map"`
	ID   document.ID `json:"id"`
	Why  string      `json:"why"`
	On   bool        `json:"on"`
}

// Beginning is from where games can begin.
type Beginning struct {
	ID   document.ID `json:"id"`
	Name string      `json:"name"`
	Pin  bool        `json:"pin"`
}

func (s *Session) studiedFrom(none) ([]Beginning, error) {
	out := []Beginning{{Name: "As a player begins"}}
	st := s.stage()
	first := true
	for _, g := range st.Grounds {
		if len(play.Starts(st, g)) == 0 || g.Template {
			continue
		}
		if !first { // as a player begins
			out = append(out, Beginning{g.ID, "On " + g.Name, false})
		}
		first = false
	}
	for _, p := range s.doc().Pins.All() {
		out = append(out, Beginning{p.ID, "At the pin " + p.Name, true})
	}
	return out, nil
}

// ReachInfo is in how few steps cells of a map could be come to, row by row: steps and for how many cells on that holds; −1 is never.
type ReachInfo struct {
	Box  grid.Rect `json:"box"`
	Runs []int32   `json:"runs"`
	Most int32     `json:"most"`
}

// reachArgs is a map, and what the game begins from: empty is as a player's begins.
type reachArgs struct {
	Map  document.ID `json:"map"`
	From document.ID `json:"from"`
}

func (s *Session) reach(a reachArgs) (zero ReachInfo, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	p := s.provingFrom(a.From)
	g, err := p.begins()
	if may := p.study.May(); err == nil && may != nil && p.study.Bounded {
		r := may.Reach(g.Hero().Map, g.HeroCell())[p.stage.MapOf(m.ID)]
		out := ReachInfo{Box: r.Box, Runs: []int32{}}
		for i := 0; i < len(r.Steps); {
			k := i
			for k < len(r.Steps) && r.Steps[k] == r.Steps[i] {
				k++
			}
			out.Runs = append(out.Runs, r.Steps[i], int32(k-i))
			out.Most = max(out.Most, r.Steps[i])
			i = k
		}
		return out, nil
	}
	return zero, errors.New("it is not known yet where one can come to")
}

// par is the search for the fewest steps on a map.
type par struct {
	stage *world.Stage
	of    document.ID
	steps *proof.Steps
	done  bool
}

// ParInfo is in how few moves a map is finished.
type ParInfo struct {
	Done bool `json:"done"`
	// Moves are those of the best walk that was found, 0 for none; Fewest tells that there is none of fewer steps.
	Moves  int    `json:"moves"`
	Fewest bool   `json:"fewest"`
	Why    string `json:"why"`
	// Three and Two are for how many moves it would give three and two stars.
	Three int `json:"three"`
	Two   int `json:"two"`
}

// parOf goes on looking for the fewest moves in which a map is finished.
func (s *Session) parOf(a struct {
	Map   document.ID `json:"map"`
	Ticks int         `json:"ticks"`
}) (zero ParInfo, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	if st := s.stage(); s.par.stage != st || s.par.of != m.ID {
		s.par = par{stage: st, of: m.ID, steps: proof.NewPar(st, m.ID)}
	}
	p := &s.par
	p.done = p.done || p.steps.Step(max(1, min(a.Ticks, 100_000))) || p.steps.Found != nil && p.steps.Found.Fewest
	out := ParInfo{Done: p.done}
	if f := p.steps.Found; f != nil {
		out.Moves, out.Fewest = max(f.Moves, 1), f.Fewest
		out.Three, out.Two = out.Moves, out.Moves*3/2
	} else if p.done {
		out.Why = "no walk over the map was found: something moves by itself, it is seen from the side, or it is too large"
	}
	return out, nil
}

// maxPar is how many moves stars can be for.
const maxPar = 60_000

// takePar has a map give stars for few moves: three for as few as were found, two for half as many more.
func (s *Session) takePar(a struct {
	Map   document.ID `json:"map"`
	Moves int         `json:"moves"`
}) (zero Outcome, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	if a.Moves < 1 || a.Moves > maxPar {
		return zero, errors.New("it is not known yet in how few moves it is finished")
	}
	moves := a.Moves
	d, all := s.doc(), author.Change{Label: edit.Label{Text: fmt.Sprintf("Stars of %s for %d moves", m.Name, moves)}}
	for _, set := range []struct{ key, value string }{{kind.MapStars, kind.StarsMoves}, {kind.MapThreeStars, fmt.Sprint(moves)}, {kind.MapTwoStars, fmt.Sprint(moves * 3 / 2)}} {
		value := set.value
		c, err := author.SetMapSetting(d, d.Maps.Get(m.ID), set.key, &value)
		if err != nil {
			continue // it is so already
		}
		d = edit.Apply(d, &edit.Edit{Do: c.Do}).Doc
		all.Do = append(all.Do, c.Do...)
	}
	if len(all.Do) == 0 {
		return zero, errors.New("its stars are so already")
	}
	return s.authored(all, nil)
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"checks":        with((*Session).checked),
		"studiedFrom":   with((*Session).studiedFrom),
		"reach":         with((*Session).reach),
		"findingsTable": with((*Session).findingsTable),
		"par":           with((*Session).parOf),
		"takePar":       with((*Session).takePar),
		"mend": authored(func(d *document.Document, a findingArgs) (author.Change, error) {
			return check.Mend(d, check.Finding{What: a.What, Map: a.Map, ID: a.ID})
		}),
		"ownCheck": authored(check.Own),
		"silence": authored(func(d *document.Document, a findingArgs) (author.Change, error) {
			return check.Silence(d, document.Silence{What: a.What, Map: a.Map, ID: a.ID, Why: a.Why}, a.On)
		}),
		"matters": authored(func(d *document.Document, a struct {
			What string `json:"what"`
			As   string `json:"as"`
		}) (author.Change, error) {
			return check.Choose(d, a.What, a.As)
		}),
	})
}
