package chance_test

import (
	"azzel/core/chance"
	"testing"
)

// Over many places each choice comes about as often as its weight says, and
// neighbouring places have nothing to do with each other.
func TestPickFollowsWeights(t *testing.T) {
	weights := []int{1, 0, 3, 4}
	const side = 400
	var got [4]int
	same := 0
	for y := range side {
		for x := range side {
			i := chance.Pick(chance.At(7, x-200, y-200, 0), weights)
			got[i]++
			if i == chance.Pick(chance.At(7, x-199, y-200, 0), weights) {
				same++
			}
		}
	}
	for i, w := range weights {
		want := side * side * w / 8
		if d := got[i] - want; d*d > 9*want+9 { // three standard deviations and more
			t.Errorf("choice %d came %d times, wanted about %d", i, got[i], want)
		}
	}
	// 1/64 + 9/64 + 16/64 of neighbours agree by chance
	if want := side * side * 26 / 64; (same-want)*(same-want) > 16*want {
		t.Errorf("%d neighbours are the same, wanted about %d", same, want)
	}
}

func TestDrawsAreFixed(t *testing.T) {
	// the numbers are part of what a seed means: they may never change
	for _, c := range []struct {
		seed      int64
		x, y, try int
		want      uint64
	}{{1, 0, 0, 0, 0x2aa9cfa61473238e}, {1, 1, 0, 0, 0xe138d2250316cdcf}, {-5, -3, 1000, 2, 0x4b68799d389988b}} {
		if got := chance.At(c.seed, c.x, c.y, c.try); got != c.want {
			t.Errorf("the draw %+v is %#x", c, got)
		}
	}
	if chance.Pick(chance.At(1, 1, 1, 1), []int{0, 0}) != -1 {
		t.Error("something was picked from no weight")
	}
}
