package proof

import (
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

// found plays the walk once more, and sees whether what was wanted is so at its end.
func (s *Search) found(w *walk) {
	keys := s.keysTo(w)
	g, err := s.start()
	if err != nil {
		return
	}
	for _, in := range keys {
		g.Step(in)
	}
	if g.Ground() != nil && s.wanted(g) {
		s.out = &Answer{Is: Can, Walk: keys, By: world.None, Lucky: g.Lucky()}
	}
}

// keysTo is what is held from the beginning to the end of a walk.
func (s *Search) keysTo(w *walk) []play.Input {
	parts := [][]play.Input{w.keys}
	for n := w.before; n != nil; n = n.before {
		parts = append(parts, n.keys)
	}
	slices.Reverse(parts)
	return slices.Concat(parts...)
}

// finish plays the walk once more from the beginning before it is believed.
func (s *Search) finish(w *walk) {
	a, ok := ReplayFrom(s.st, s.start, s.keysTo(w))
	if !ok {
		return
	}
	s.out = a
}

// Replay plays a walk from the beginning; ok tells that it finishes the game.
func Replay(st *world.Stage, keys []play.Input) (a *Answer, ok bool) {
	return ReplayFrom(st, atFirst(st), keys)
}

// ReplayFrom is Replay from where a function begins games.
func ReplayFrom(st *world.Stage, start func() (*play.Game, error), keys []play.Input) (a *Answer, ok bool) {
	goals := Goals(st)
	return replayed(start, keys, func(g *play.Game) bool { return finished(g, goals) })
}

// replayed plays a walk until something is so.
func replayed(start func() (*play.Game, error), keys []play.Input, done func(*play.Game) bool) (a *Answer, ok bool) {
	g, err := start()
	if err != nil {
		return nil, false
	}
	steps, m, at := 0, g.Hero().Map, g.HeroCell()
	for n, in := range keys {
		g.Step(in)
		if g.Ground() == nil {
			return nil, false
		}
		if p := g.HeroCell(); g.Hero().Map != m {
			m, at = g.Hero().Map, p
		} else if p != at {
			at = p
			steps++
		}
		if done(g) {
			return &Answer{Is: Can, Steps: steps, Moves: int(g.Round.Moves), Walk: keys[:n+1], By: world.None, Lucky: g.Lucky()}, true
		}
	}
	return nil, false
}
