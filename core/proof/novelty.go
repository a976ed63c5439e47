package proof

import "azzel/core/play"

// noveltyTicks is how much nearer to a goal a situation seems for everything that became so on the way to it and had not been so
// in any situation before.
const noveltyTicks = 1000

// againTicks is how much farther a situation seems for each that was come to before about the same place.
const againTicks = 100

// novelty is what has been so in any situation: bits that were set, bits that were not, and what counts have been. The search
// looks first where something new came about. (Width-based search, N. Lipovetzky and H. Geffner, 2012, of width 1, added up along
// a walk and joined with the distance to a goal.)
type novelty struct {
	set, unset []uint64
	counts     map[counted]bool
}

// counted is a count with its value.
type counted struct {
	at int
	is int32
}

// isNew reports whether something is so in a game that was not in any before, and remembers all that is.
func (n *novelty) isNew(g *play.Game) (is bool) {
	if n.counts == nil {
		n.counts = map[counted]bool{}
		n.set, n.unset = make([]uint64, len(g.Bits)), make([]uint64, len(g.Bits))
	}
	for i, bits := range g.Bits {
		is = is || bits&^n.set[i] != 0 || ^bits&^n.unset[i] != 0
		n.set[i] |= bits
		n.unset[i] |= ^bits
	}
	for i, count := range g.Counts {
		if at := (counted{i, count}); !n.counts[at] {
			n.counts[at], is = true, true
		}
	}
	return is
}
