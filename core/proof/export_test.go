package proof

import (
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
	"time"
)

// GoOn adds what follows, for so many cells.
func (f *May) GoOn(cells int) bool { return f.goOn(cells) }

// Made is how many situations were come to.
func (s *Search) Made() int { return s.made }

// Played begins anew with all ways being played, over plain ground too.
func (s *Steps) Played() *Steps {
	s.even = false
	s.begin()
	return s
}

// Even reports whether ways over plain ground are not played.
func (s *Steps) Even() bool { return s.even }

// LookUp looks the situation of a game up so many times, in cell after cell, among a million that are known: how many of them were, and how
// long it took.
func (s *Steps) LookUp(g *play.Game, times int) (found int, took time.Duration) {
	for i := range 1 << 20 {
		s.seen[s.key(int32(i>>14), grid.Point{X: i & 127, Y: i >> 7 & 127}, 1)] = int32(i)
	}
	from := time.Now()
	for i := range times {
		k := s.key(s.class(g), grid.Point{X: i & 127, Y: i >> 7 & 127}, uint8(i>>14&3))
		if _, is := s.seen[k]; is {
			found++
		}
	}
	return found, time.Since(from)
}

// RunOut tells whether the keys of a game run out, by all ways in which they could be spent; asked that there is something to ask.
func RunOut(st *world.Stage) (asked, dry bool) {
	s := New(st)
	for s.may != nil && !s.may.goOn(1<<20) {
	}
	if s.may == nil || !s.reaches(s.may) {
		return false, false
	}
	k := newKeyring(s.may, s.begin, s.reaches)
	if k == nil {
		return false, false
	}
	for done := false; !done; {
		done, dry = k.step(1 << 20)
	}
	return true, dry
}

// Wins reports whether the game could be won, by a goal or a rule.
func (f *May) Wins() bool { return (&Search{st: f.st, goals: Goals(f.st)}).reaches(f) }

// Rests are the games to which a search comes that looks for nothing, for so many ticks, waiting as well.
func Rests(st *world.Stage, ticks int) (out []*play.Game) {
	s := New(st)
	s.bounded, s.patient, s.wanted = true, true, func(*play.Game) bool { return false }
	for s.Step(1000) == nil && s.played() < ticks {
	}
	for _, n := range s.kept {
		out = append(out, n.game)
	}
	return out
}
