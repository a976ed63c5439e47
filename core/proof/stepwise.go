package proof

import (
	"azzel/core/kind"
	"azzel/core/world"
)

// Stepwise reports whether a game can be gone through step by step: all of it is seen from above, and nothing moves by itself. in
// tells which maps belong to it, nil being all.
func Stepwise(st *world.Stage, in func(world.Ref) bool) bool {
	cells := 0
	counts := func(m world.Ref) bool { return !st.Grounds[m].Template && (in == nil || in(m)) }
	for m, g := range st.Grounds {
		if !counts(world.Ref(m)) {
			continue
		}
		if cells += g.Bounds.W * g.Bounds.H; g.Side || cells > MaxCells/8 {
			return false
		}
	}
	for i := range st.Things {
		t := &st.Things[i]
		if counts(t.Map) && (t.Doing.Goes && t.Acts != kind.Block && t.Acts != kind.Hero || t.Doing.Timed) {
			return false
		}
	}
	heroes := 0
	for _, r := range st.Heroes {
		if counts(st.Thing(r).Map) {
			heroes++
		}
	}
	return len(st.Rounds) == 0 && heroes < 2
}
