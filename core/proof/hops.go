package proof

import (
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

// hopTicks is how long a map is thought to take.
const hopTicks = 1200

// hops gives for each map how many others lie between it and one with a goal, as passages lead and
// seams join; a map from which none is reached so is as far as all of them. It only decides
// where is looked first.
func hops(st *world.Stage, goals []world.Ref) []int {
	n := len(st.Grounds)
	out := make([]int, n)
	for i := range out {
		out[i] = n
	}
	into := make([][]world.Ref, n)
	lead := func(from, to world.Ref) {
		if from >= 0 && to >= 0 {
			into[to] = append(into[to], from)
		}
	}
	for _, p := range st.Ways {
		lead(st.MapOf(p.From.Map), st.MapOf(p.To.Map))
	}
	for _, s := range st.Chart.Seams() {
		if s.Why == "" && !s.Closed {
			lead(st.MapOf(s.A), st.MapOf(s.B))
			lead(st.MapOf(s.B), st.MapOf(s.A))
		}
	}
	var todo []world.Ref
	for _, r := range goals {
		if m := st.Things[r].Map; out[m] > 0 {
			out[m] = 0
			todo = append(todo, m)
		}
	}
	for ; len(todo) > 0; todo = todo[1:] {
		for _, m := range into[todo[0]] {
			if out[m] > out[todo[0]]+1 {
				out[m] = out[todo[0]] + 1
				todo = append(todo, m)
			}
		}
	}
	return out
}

// before is how many maps seem to lie before a goal; all, as long as no goal can be reached for being disabled or not there.
func (s *Search) before(g *play.Game) int {
	if len(s.goals) > 0 && !slices.ContainsFunc(s.goals, func(r world.Ref) bool { return s.may.Reaches(r) && g.There(r) && !g.Disabled(r) }) {
		return len(s.hops)
	}
	return s.hops[g.Hero().Map]
}
