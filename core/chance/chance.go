// Package chance draws numbers that are the same everywhere for the same seed:
// what a place in the grid gets depends on the seed and the place alone, so that
// a ghost does not flicker while its shape grows.
package chance

import "math/bits"

// mix is the finaliser of SplitMix64 (Steele, Lea, Flood, OOPSLA 2014).
func mix(z uint64) uint64 {
	z = (z ^ z>>30) * 0xbf58476d1ce4e5b9
	z = (z ^ z>>27) * 0x94d049bb133111eb
	return z ^ z>>31
}

const golden = 0x9e3779b97f4a7c15

// At draws 64 bits for a place; try tells repeated draws for one place apart.
func At(seed int64, x, y, try int) uint64 {
	h := mix(uint64(seed) + golden)
	h = mix(h ^ uint64(int64(x))*golden)
	h = mix(h ^ uint64(int64(y))*0xd6e8feb86659fd93)
	return mix(h + uint64(try)*golden)
}

// Below brings a draw into 0 … n−1 by multiplication (Lemire, ACM TOMACS 29(1),
// 2019, without the rejection, whose bias is below n/2⁶⁴); n must be positive.
func Below(draw uint64, n int) int {
	high, _ := bits.Mul64(draw, uint64(n))
	return int(high)
}

// Pick gives the place of the weight that a draw falls on, −1 where all are 0.
// Weights must not be negative.
func Pick(draw uint64, weights []int) int {
	sum := 0
	for _, w := range weights {
		sum += w
	}
	if sum == 0 {
		return -1
	}
	n := Below(draw, sum)
	for i, w := range weights {
		if n < w {
			return i
		}
		n -= w
	}
	return -1
}
