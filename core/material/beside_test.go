package material

import (
	"azzel/core/cells"
	"math/rand/v2"
	"testing"
)

// What a cell shows follows from the eight around it as it is said: which are of its own material, with or without what lies outside, and the one
// other material that all the rest are of, if they are.
func TestWhatLiesAroundIsRead(t *testing.T) {
	draw := rand.New(rand.NewPCG(3, 9))
	for range 4000 {
		s := Set{Number: 1 + draw.IntN(40), By: []string{BySides, ByCorners, ByBoth}[draw.IntN(3)], Beyond: draw.IntN(2) == 0}
		for _, by := range []int{0, 7, 9}[:1+draw.IntN(3)] {
			s.Tiles = append(s.Tiles, Tile{Cell: cells.TileCell(1, by), Form: Form(draw.IntN(256)), Odds: 1, Beside: by})
		}
		f := NewFitter([]Set{s})
		one := f.sets[s.Number]
		around := [8]uint16{}
		some := []uint16{uint16(s.Number), 7, 9, 0, outside}[:2+draw.IntN(4)]
		for i := range around {
			around[i] = some[draw.IntN(len(some))]
		}
		form, others := Form(0), map[uint16]bool{}
		for i, n := range around {
			switch {
			case n == uint16(s.Number), n == outside && s.Beyond:
				form |= 1 << i
			case n != outside:
				others[n] = true
			}
		}
		other := 0
		for n := range others {
			if len(others) == 1 && one.besides[int(n)] {
				other = int(n)
			}
		}
		if is := one.other(uint16(s.Number), &around); is != other {
			t.Fatalf("around %d lies %v: beyond its edges is said to be %d, not %d", s.Number, around, is, other)
		}
		if is, wanted := one.fit(cells.MaterialCell(s.Number, 0), &around), one.offer(form.Key(s.By), other).pick(0); is != wanted {
			t.Fatalf("around %d lies %v: %v, not %v", s.Number, around, is, wanted)
		}
	}
}
