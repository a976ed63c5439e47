package play_test

import (
	"azzel/core/chart"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"testing"
	"time"
)

const manyTicks = 50_000

// visit is the baseline: what a cell costs in a plain breadth-first search over a million.
func visit() time.Duration {
	const side = 1024
	start := time.Now()
	seen := make([]bool, side*side)
	queue := make([]int32, 0, side*side)
	queue = append(queue, 0)
	seen[0] = true
	for i := 0; i < len(queue); i++ {
		p := queue[i]
		for _, q := range [4]int32{p - side, p + 1, p + side, p - 1} {
			if q >= 0 && q < side*side && !seen[q] {
				seen[q] = true
				queue = append(queue, q)
			}
		}
	}
	return time.Since(start) / (side * side)
}

// BenchmarkWalkers lets a hero walk and jump alone: what a walker that looks for a way costs.
func BenchmarkWalkers(b *testing.B) {
	for _, c := range []struct {
		name     string
		settings []string
	}{{"above", nil}, {"side", []string{fromSide}}} {
		b.Run(c.name, func(b *testing.B) {
			r := drawn(&testing.T{}, hall, c.settings...)
			base, took := visit(), time.Duration(0)
			for range b.N {
				start := time.Now()
				for n := range manyTicks {
					r.g.Step(play.Input(n>>6) & 47)
				}
				took += time.Since(start)
			}
			tick := took / time.Duration(b.N*manyTicks)
			b.ReportMetric(float64(time.Second/max(1, tick)), "ticks/s")
			b.ReportMetric(float64(tick)/float64(max(1, base)), "×visited-cell")
		})
	}
}

// BenchmarkPullBack looks back at ticks of a whole bar.
func BenchmarkPullBack(b *testing.B) {
	r := drawn(&testing.T{}, hall, fromSide)
	rec := play.NewRecord(r.g)
	for n := range 60 * 60 {
		rec.Step(r.g, play.Input(n>>5)&47)
	}
	base, took := visit(), time.Duration(0)
	for n := range b.N {
		start := time.Now()
		rec.At(int64(n * 173 % 3600))
		took += time.Since(start)
	}
	b.ReportMetric(float64(took.Microseconds())/float64(b.N), "µs/look")
	b.ReportMetric(float64(took)/float64(b.N)/float64(max(1, base)), "×visited-cell")
}

// BenchmarkStage makes the stage anew after a stroke, and the facts of a small project.
func BenchmarkStage(b *testing.B) {
	d := sample.Full()
	c := chart.New(d, nil)
	st := world.New(d, c, nil)
	base, stage, facts := visit(), time.Duration(0), time.Duration(0)
	for n := range b.N {
		r := &grid.Region{}
		r.Add(grid.Point{X: 3 + n%8, Y: 3})
		d = apply(&testing.T{}, d, sample.Paint(sample.Quay, sample.Things, r, sample.Wall))
		c = chart.New(d, c)
		start := time.Now()
		st = world.New(d, c, st)
		stage += time.Since(start)
		start = time.Now()
		proof.Could(st, 0, grid.Point{X: 2, Y: 2})
		facts += time.Since(start)
	}
	b.ReportMetric(float64(stage.Microseconds())/float64(b.N), "µs/stage")
	b.ReportMetric(float64(facts.Microseconds())/float64(b.N), "µs/facts")
	b.ReportMetric(float64(stage)/float64(b.N)/float64(max(1, base)), "×visited-cell")
}
