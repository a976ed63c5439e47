package session

import (
	"azzel/core/ask"
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/rules"
)

// ask answers about an entity, a flag or a counter; in a game, as it is at a tick, 0 where it stands.
func (s *Session) ask(a struct {
	Type string      `json:"type"`
	Map  document.ID `json:"map"`
	ID   document.ID `json:"id"`
	Tick int64       `json:"tick"`
}) (ask.Answer, error) {
	var g *play.Game
	if p, err := s.current(); err == nil {
		if g = p.game; a.Tick > 0 && a.Tick < p.record.To() {
			g = p.record.At(a.Tick)
		}
	}
	return ask.About(s.doc(), document.Object{Type: a.Type, Map: a.Map, ID: a.ID}, g), nil
}

// toldOf are events as they are told: of a rule that was asked, what was not so.
func toldOf(d *document.Document, told []play.Event) []play.Event {
	out := append([]play.Event{}, told...)
	for i := range out {
		e := &out[i]
		r := d.Rules.Get(e.Rule)
		if r == nil || e.Part == "" {
			continue
		}
		if p := r.Parts.Get(e.Part); p != nil {
			e.Why = rules.Clause(d, p)
		}
	}
	return out
}

func init() {
	if !designs {
		return
	}
	register(map[string]method{"ask": with((*Session).ask)})
}
