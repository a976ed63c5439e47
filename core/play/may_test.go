package play_test

import (
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"math/rand/v2"
	"testing"
)

// What the proof says could be holds all that happens: wherever a hero comes in games on maps
// that are drawn by chance, with all that acts on them, it is said that it could.
func TestWhatHappensCouldBe(t *testing.T) {
	for seed := range uint64(60) {
		r, w, h := rand.New(rand.NewPCG(seed, 21)), 14, 10
		run := drawnRun(t, r, w, h)
		g := run.g
		could := proof.Could(g.Stage, g.Hero().Map, g.HeroCell())
		for range 60 {
			in := play.Input(r.IntN(64))
			for range 3 + r.IntN(40) {
				if g.Over != play.NotOver {
					break // another one begins somewhere else
				}
				g.Step(in)
				if yes, _ := could.Flag(sample.DrawnFlag); g.Flag(sample.DrawnFlag) && !yes {
					t.Fatalf("seed %d: at tick %d a flag is set, and it is said that it could not be", seed, g.Tick)
				}
				for _, id := range []document.ID{sample.DrawnCounter, sample.DrawnOther} {
					if least, most := could.Counter(id); g.Counter(id) < least || g.Counter(id) > most {
						t.Fatalf("seed %d: at tick %d a counter is %d, and it is said that it could be %d to %d", seed, g.Tick, g.Counter(id), least, most)
					}
				}
				if m := g.Ground(); m != nil && m.Bounds.Contains(g.HeroCell()) && !could.Reached(m.Ref, g.HeroCell()) {
					t.Fatalf("seed %d: at tick %d the hero is at %v of %s, and it is said that it could not be", seed, g.Tick, g.HeroCell(), m.Name)
				}
			}
			for n := 0; len(g.Lines) > 0 && n < 100 && g.Over == play.NotOver; n++ {
				g.Step([]play.Input{play.InputUse, play.InputDown}[r.IntN(2)])
				g.Step(0)
			}
		}
	}
}
