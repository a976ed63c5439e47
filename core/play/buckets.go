package play

import "azzel/core/world"

// buckets find bodies by where they were when a tick began: in lists by the squares of a map. A
// body goes less than a cell in a tick, so that they are asked with a cell around.
type buckets struct {
	first []int32 // of each square, one more than the place in nodes; 0 is none
	nodes []bucketed
	used  []int
	// few are all bodies with where they were, while there are not more than fewBodies: these are sooner looked through.
	few []placed
}

// placed is a body and where it was.
type placed struct {
	body int32
	at   world.Box
}

const fewBodies = 8

// bucketed is a body in a square, and what comes after it.
type bucketed struct{ body, next int32 }

// empty forgets all, for a map of so many squares.
func (k *buckets) empty(squares int) {
	if len(k.first) < squares {
		k.first = make([]int32, squares)
	} else {
		for _, s := range k.used {
			k.first[s] = 0
		}
	}
	k.nodes, k.used, k.few = k.nodes[:0], k.used[:0], k.few[:0]
}

func (k *buckets) add(m *world.Ground, at world.Box, body int32) {
	if len(k.few) <= fewBodies {
		k.few = append(k.few, placed{body, at})
	}
	m.Squares(at, func(s int) {
		if k.first[s] == 0 {
			k.used = append(k.used, s)
		}
		k.nodes = append(k.nodes, bucketed{body, k.first[s]})
		k.first[s] = int32(len(k.nodes))
	})
}

// near calls f with the bodies that could be near a box, some of them more than once, until it
// has enough.
func (k *buckets) near(m *world.Ground, box world.Box, f func(body int32) (more bool)) {
	if len(k.nodes) == 0 {
		return
	}
	w, h := m.Cell()
	all := world.Box{Left: box.Left - w, Top: box.Top - h, Right: box.Right + w, Bottom: box.Bottom + h}
	if len(k.few) <= fewBodies {
		for i := range k.few {
			if meets(k.few[i].at, all) && !f(k.few[i].body) {
				return
			}
		}
		return
	}
	from, to, across := m.SquaresOf(all)
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			for n := k.first[y*across+x]; n != 0; n = k.nodes[n-1].next {
				if !f(k.nodes[n-1].body) {
					return
				}
			}
		}
	}
}

// any tells whether a body could be near a box.
func (k *buckets) any(m *world.Ground, box world.Box) (is bool) {
	k.near(m, box, func(int32) bool { is = true; return false })
	return is
}
