package proof

import (
	"azzel/core/world"
	"container/heap"
)

// frontier are the situations that are gone on from, by map. The one that seems nearest to a goal comes first; where it is fair, every other tick
// goes to the map on which the fewest were played, after a while: so one on which there is much to be tried keeps no other from its turn.
type frontier struct {
	by   []nodes
	size int
	fair bool
	// played are the ticks on each map, and those of either choice.
	played        []int
	best, inTurns int
	// was is the map that was chosen last, and turned how.
	was    world.Ref
	turned bool
}

func (f *frontier) push(n *node) {
	m := int(n.game.Hero().Map)
	for len(f.by) <= m {
		f.by, f.played = append(f.by, nil), append(f.played, 0)
	}
	heap.Push(&f.by[m], n)
	f.size++
}

// took notes how many ticks were played on from what was popped last.
func (f *frontier) took(ticks int) {
	if f.played[f.was] += ticks; f.turned {
		f.inTurns += ticks
	} else {
		f.best += ticks
	}
}

// pop takes the next one; there has to be one.
func (f *frontier) pop() *node {
	f.turned = f.fair && f.inTurns < f.best-turnsAfter
	at := -1
	for m, all := range f.by {
		switch {
		case len(all) == 0:
		case at < 0, f.turned && f.played[m] < f.played[at], !f.turned && nodes{all[0], f.by[at][0]}.Less(0, 1):
			at = m
		}
	}
	f.was = world.Ref(at)
	f.size--
	return heap.Pop(&f.by[at]).(*node)
}

const (
	// turnsAfter is after how many ticks a fair one takes maps in turn.
	turnsAfter = 100_000
	// otherAfter is after how many ticks another search begins, turnTicks how many it plays at once.
	otherAfter = 700_000
	turnTicks  = 10_000
)

// played is how many ticks were played in all.
func (s *Search) played() int {
	if s.other == nil {
		return s.ticks
	}
	return s.ticks + s.other.ticks
}

// cameTo is how many situations were come to in all.
func (s *Search) cameTo() int {
	if s.other == nil {
		return s.made
	}
	return s.made + s.other.made
}

// inTurn begins another search after a while, and tells whether it is its turn: one of them may stay for very long where the other does not.
// (A portfolio: B. Huberman, R. Lukose, T. Hogg, Science 275, 1997.)
func (s *Search) inTurn() bool {
	if s.other == nil {
		if s.ticks < otherAfter || s.open.fair || s.whole || s.wanted != nil || s.skips != nil {
			return false
		}
		o := &Search{st: s.st, start: s.start, may: s.may, bounded: true, goals: s.goals, seen: map[key]bool{}, often: map[key]int{},
			used: s.used, wielded: s.wielded, hops: s.hops, plates: s.plates}
		o.open.fair = true
		if g, err := s.start(); err == nil {
			if w := (&walk{s: o, game: g}); w.rest() {
				o.add(w)
			}
		}
		s.other = o
	}
	return s.other.out == nil && s.other.ticks < s.ticks-otherAfter
}
