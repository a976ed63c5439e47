package proof

import (
	"azzel/core/play"
	"slices"
)

// maxAsked is how many questions in a row are answered.
const maxAsked = 12

// answers gives every answer to what is asked, and keeps what comes of each.
func (s *Search) answers(w *walk) {
	if w.asked >= maxAsked {
		return
	}
	for n := range w.game.Lines[0].Answers {
		v := &walk{s: s, before: w.before, game: w.game.Clone(), keys: slices.Clone(w.keys), asked: w.asked + 1}
		for range n {
			v.hold(play.InputDown)
			v.hold(0)
		}
		v.hold(play.InputUse)
		v.hold(0)
		if v.rest() {
			s.add(v)
		}
	}
}
