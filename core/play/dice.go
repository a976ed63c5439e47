package play

import (
	"azzel/core/chance"
	"azzel/core/document"
	"azzel/core/world"
)

// dieAt is where it is counted how often a part of a rule asked chance.
func dieAt(st *world.Stage, d world.Ref) int {
	return countsOfAll + st.Owned + len(st.Counters) + len(st.Given) + int(d)
}

// roll draws a number from 0 to below sides for a part of a rule: it follows from the seed, where the part stands, and how
// often it has asked.
func (g *Game) roll(part document.ID, sides int64) int64 {
	d := g.Stage.DieOf(part)
	if d < 0 || sides <= 1 {
		return 0
	}
	at := dieAt(g.Stage, d)
	n := g.Count(at)
	g.setCount(at, n+1)
	die := g.Stage.Dice[d]
	return int64(chance.At(g.Seed, die.Rule, -1-die.Order, int(n))>>1) % sides
}

// Lucky reports whether chance decided anything in a game that rules asked it.
func (g *Game) Lucky() bool {
	for d := range g.Stage.Dice {
		if g.Count(dieAt(g.Stage, world.Ref(d))) > 0 {
			return true
		}
	}
	return false
}

// drew sets how often a part of a rule has asked chance, or keeps that aside where it is not there.
func (s *State) drew(st *world.Stage, part document.ID, n int32) {
	d := st.DieOf(part)
	switch {
	case n <= 0:
	case d < 0:
		s.Away = append(s.Away, Away{Of: document.Object{Type: document.TypePart, ID: part}, Count: int(n)})
	default:
		s.setCount(dieAt(st, d), n)
	}
}
