package proof

import (
	"azzel/core/play"
	"azzel/core/world"
	"cmp"
)

// node is a game that was really played, what was held in it since the one before, and what
// is still to be tried.
type node struct {
	game   *play.Game
	before *node
	keys   []play.Input
	// long is how many ticks it took in all, news how often something came about on the way that had not been so before, far what
	// it is judged by: those, and how many maps lie before a goal; order is the number of the node.
	long, news, far, order int
	// ways and targets are found when it is first taken, seen from above; tried counts them, or
	// the tries of a map that is seen from the side.
	ways    *play.Ways
	targets []target
	tried   int
}

// key tells situations apart: what is so, and about where the hero rests.
type key struct {
	hash [2]uint64
	m    world.Ref
	x, y int64
	mode play.Mode
	// lies is where blocks lie.
	lies uint64
	// stirs is where that is which moves near it, while the search is patient.
	stirs uint64
}

// nodes are ordered by how far they seem from the beginning to a goal.
type nodes []*node

func (n nodes) Len() int           { return len(n) }
func (n nodes) Swap(i, k int)      { n[i], n[k] = n[k], n[i] }
func (n nodes) Less(i, k int) bool { return cmp.Or(n[i].far-n[k].far, n[i].order-n[k].order) < 0 }
func (n *nodes) Push(x any)        { *n = append(*n, x.(*node)) }
func (n *nodes) Pop() any {
	last := len(*n) - 1
	out := (*n)[last]
	*n = (*n)[:last]
	return out
}
