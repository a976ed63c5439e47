package proof

import (
	"azzel/core/play"
	"azzel/core/world"
)

// onward has the hero be where the map begins that follows one that was finished.
func (f *May) onward(m world.Ref, set func(*bool)) {
	next := f.st.Follows(m)
	if next < 0 {
		set(&f.won)
		return
	}
	g, err := play.Start(f.st, f.st.Grounds[next].ID, Seed)
	if err != nil {
		return
	}
	for _, r := range play.Starts(f.st, g.Ground()) {
		f.setAt(f.st.Thing(r))
	}
}

// next goes on from a map that is finished to the one that follows.
func (s *Search) next(w *walk) {
	v := &walk{s: s, before: w.before, game: w.game.Clone(), keys: append([]play.Input{}, w.keys...)}
	v.hold(0)
	v.hold(play.InputUse)
	v.hold(0)
	if v.rest() {
		s.add(v)
	}
}
