package world

import "slices"

// Beaten is what defeats a being, as bits.
type Beaten uint8

// What can defeat one.
const (
	ByAJump Beaten = 1 << iota
	ByABlow
	ByAShot
	ByAFall
	ByAHazard
	ByABlast
)

// beatenBy are the bits of words.
func beatenBy(words []string) (out Beaten) {
	for i, word := range []string{"jump", "blow", "shot", "fall", "hazard", "blast"} {
		if slices.Contains(words, word) {
			out |= 1 << i
		}
	}
	return out
}

// InWater is what becomes of a block in water.
type InWater uint8

// What can become of one.
const (
	Sinks InWater = iota
	Floats
	StaysDry
)
