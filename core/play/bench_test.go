package play_test

import (
	"azzel/core/play"
	"testing"
)

// BenchmarkWalkers lets a hero walk and jump alone: what a walker that looks for a way costs.
func BenchmarkWalkers(b *testing.B) {
	for name, settings := range map[string][]string{"above": nil, "side": {fromSide}} {
		b.Run(name, func(b *testing.B) {
			r := drawn(&testing.T{}, hall, settings...)
			b.ResetTimer()
			for n := range b.N {
				r.g.Step(play.Input(n>>6) & 47)
			}
		})
	}
}
