package session

import "azzel/core/document"

// doNow does what a rule does, or a part of that, in the game that is played, at once.
func (s *Session) doNow(a struct {
	Rule document.ID `json:"rule"`
	Part document.ID `json:"part"`
}) (View, error) {
	p, err := s.current()
	if err != nil {
		return View{}, err
	}
	if err := p.game.Try(a.Rule, a.Part); err != nil {
		return View{}, err
	}
	p.record.Tried(p.game)
	return p.view(p.game, p.game.Told), nil
}
