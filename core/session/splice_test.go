package session

import (
	"math/rand/v2"
	"slices"
	"testing"
)

// What was told of a list makes of the one before the one that is there now, and is no longer than what lies between the first
// and the last that differ.
func TestSpliced(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 1))
	list := func() []int {
		out := make([]int, r.IntN(7))
		for i := range out {
			out[i] = r.IntN(3)
		}
		return out
	}
	for range 4000 {
		was, now := list(), list()
		s := spliced(was, now, func(a, b int) bool { return a == b })
		if s == nil {
			if !slices.Equal(was, now) {
				t.Fatalf("%v → %v: nothing was told", was, now)
			}
			continue
		}
		if got := slices.Replace(slices.Clone(was), s.From, s.From+s.Cut, s.Put...); !slices.Equal(got, now) {
			t.Fatalf("%v → %v: %+v makes %v", was, now, s, got)
		}
		if s.Cut > 0 && len(s.Put) > 0 && (was[s.From] == s.Put[0] || was[s.From+s.Cut-1] == s.Put[len(s.Put)-1]) {
			t.Fatalf("%v → %v: %+v tells what did not change", was, now, s)
		}
	}
}
