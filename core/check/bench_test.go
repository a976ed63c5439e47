package check_test

import (
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/shade"
	"azzel/core/world"
	"math/rand/v2"
	"testing"
	"time"
)

// BenchmarkFindings prints how long it takes to find what is wrong after an edit of one cell on 512×512 cells with walls at random, and on
// 1,000 maps with 3,000 passages from nothing, what could be of them with it.
func BenchmarkFindings(b *testing.B) {
	const n = 512
	r := rand.New(rand.NewPCG(1, 2))
	walls := &grid.Region{}
	for y := range n {
		for x := range n {
			if r.IntN(4) == 0 {
				walls.Add(grid.Point{X: x, Y: y})
			}
		}
	}
	all := grid.Rect{W: n, H: n}
	d := sample.With(sample.World(), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", all),
		sample.Paint(sample.Quay, sample.Ground, region(all), sample.Floor), sample.Paint(sample.Quay, sample.Things, walls, sample.Wall))
	// it is known how tiles look, and the hero is one
	d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeProject}, "hero", document.Hero{Frames: [4][]cells.Cell{{}, {}, {cells.TileCell(1, 15)}, {}}, Speed: 5}))
	shades := make([]shade.Shade, 64)
	for i := range shades {
		shades[i] = evenly(i * 4)
	}
	c := check.Checker{Shades: func(*document.Tileset) []shade.Shade { return shades }}
	ch := chart.New(d, nil)
	c.Find(ch)
	var took time.Duration
	for i := range b.N {
		one := &grid.Region{}
		one.Add(grid.Point{X: i * 37 % n, Y: i * 91 % n})
		d = sample.With(d, sample.Paint(sample.Quay, sample.Things, one, []cells.Cell{0, sample.Wall}[i%2]))
		from := time.Now()
		ch = chart.New(d, ch)
		c.Find(ch)
		took += time.Since(from)
	}
	b.ReportMetric(float64(took.Microseconds())/float64(b.N)/1000, "ms/cell")
	many := sample.Maps(1000, 3000)
	from := time.Now()
	var whole check.Checker
	ch = chart.New(many, nil)
	whole.Find(ch)
	b.ReportMetric(time.Since(from).Seconds(), "s/1000maps")
	from = time.Now()
	s := proof.NewStudy(world.New(many, ch, nil), nil)
	for s.Answer == nil && !s.Step(20_000) {
	}
	b.ReportMetric(time.Since(from).Seconds(), "s/answer")
}
