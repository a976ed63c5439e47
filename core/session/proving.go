package session

import (
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"errors"
)

// proving is the question whether the project can be finished, as far as it has come.
type proving struct {
	stage  *world.Stage
	search *proof.Search
	answer *proof.Answer
}

// Proof is what is known of finishing the game.
type Proof struct {
	// Is is empty while it is looked for.
	Is    string `json:"is"`
	Steps int    `json:"steps"`
	// Lucky tells that chance helped on the way.
	Lucky bool   `json:"lucky"`
	Why   string `json:"why"`
	// Map and Entity are what stands in the way, if anything does.
	Map    document.ID `json:"map"`
	Entity document.ID `json:"entity"`
}

// prove goes on looking for so many ticks of play. When the project has changed the walk that was
// found is played on it first: while it wins, the answer stands.
func (s *Session) prove(a struct {
	Ticks int `json:"ticks"`
}) (Proof, error) {
	p := &s.proving
	if st := s.stage(); p.stage != st {
		was := p.answer
		*p = proving{stage: st}
		if was != nil && was.Is == proof.Can {
			if again, ok := proof.Replay(st, was.Walk); ok {
				p.answer = again
			}
		}
	}
	if p.answer == nil {
		if p.search == nil {
			p.search = proof.New(p.stage)
		}
		p.answer = p.search.Step(max(1, min(a.Ticks, 100_000)))
	}
	out := Proof{}
	if p.answer != nil {
		p.search = nil
		out = Proof{Is: string(p.answer.Is), Steps: p.answer.Steps, Lucky: p.answer.Lucky, Why: p.answer.Why}
		if p.answer.By >= 0 {
			end := p.stage.End(p.answer.By)
			out.Map, out.Entity = end.Map, end.Entity
		}
	}
	return out, nil
}

// showWalk plays the walk that was found from the beginning.
func (s *Session) showWalk(none) (zero View, err error) {
	p := &s.proving
	if p.answer == nil || p.answer.Is != proof.Can || p.stage != s.stage() {
		return zero, errors.New("there is no walk to show yet")
	}
	g, err := play.Start(s.stage(), "", proof.Seed)
	if err != nil {
		return zero, err
	}
	s.play = &playing{game: g, record: play.NewRecord(g), script: append([]play.Input{}, p.answer.Walk...), leads: leadsWalk, framed: &framed{}}
	return s.play.view(g, g.Told), nil
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"prove":    with((*Session).prove),
		"showWalk": with((*Session).showWalk),
	})
}
