package proof

import (
	"azzel/core/grid"
	"azzel/core/world"
	"slices"
)

// Traps are the situations into which one gets, and from which no goal can be reached any more, nearest first, one for a place; only
// when all was gone through. A game that is lost is no trap.
func (s *Steps) Traps(most int) (out []Trap) {
	if !s.Gone || s.Found == nil {
		return nil
	}
	into := make([][]int32, len(s.all))
	leads := make([]bool, len(s.all))
	var todo []int32
	for i := range s.all {
		for _, k := range s.all[i].next {
			into[k] = append(into[k], int32(i))
		}
		if s.all[i].won || s.all[i].lost {
			leads[i] = s.all[i].won
			todo = append(todo, int32(i))
		}
	}
	goes := slices.Clone(leads) // a game that can only be lost is lost, not stuck
	for _, n := range todo {
		goes[n] = true
	}
	for ; len(todo) > 0; todo = todo[1:] {
		for _, k := range into[todo[0]] {
			if !goes[k] {
				goes[k] = true
				todo = append(todo, k)
			}
		}
	}
	order := make([]int32, 0, len(s.all))
	for i := range s.all {
		if from := s.all[i].from; !goes[i] && from >= 0 && goes[from] {
			order = append(order, int32(i))
		}
	}
	slices.SortFunc(order, func(a, b int32) int {
		if d := s.all[a].steps - s.all[b].steps; d != 0 {
			return int(d)
		}
		return int(a - b)
	})
	type place struct {
		m world.Ref
		p grid.Point
	}
	seen := map[place]bool{}
	for _, n := range order {
		o := &s.all[n]
		if at := (place{o.m, o.at}); len(out) < most && !seen[at] {
			seen[at] = true
			out = append(out, Trap{Map: o.m, At: o.at, Steps: int(o.steps), Walk: s.walkTo(n), Sure: s.Exact, By: world.None})
		}
	}
	return out
}
