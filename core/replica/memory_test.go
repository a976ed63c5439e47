package replica_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/replica"
	"azzel/core/sample"
	"math/rand/v2"
	"runtime"
	"testing"
)

// BenchmarkMemoryOfEdits tells how much a thousand edits (900 strokes of up to
// 64 cells, 90 boxes, 10 fills of the whole map) keep in memory beside a map of
// 1024×1024 cells and four layers, as a multiple of that map.
func BenchmarkMemoryOfEdits(b *testing.B) {
	used := func() uint64 {
		runtime.GC()
		runtime.GC()
		var m runtime.MemStats
		runtime.ReadMemStats(&m)
		return m.HeapAlloc
	}
	for range b.N {
		before := used()
		r := rand.New(rand.NewPCG(1, 1))
		d := sample.World()
		m := *d.Maps.Get(sample.Pans)
		m.Bounds = grid.Rect{W: 1024, H: 1024}
		all := rect(0, 0, 1024, 1024)
		layers := []document.ID{sample.Ground, sample.Things, "layerthreela", "layerfourlay"}
		for i, id := range layers {
			l := document.Layer{ID: id, Name: string(id), Kind: document.LayerTiles, Order: i, Opacity: 100}
			l.Cells, _ = cells.PaintEach(all, m.Bounds, func(x, y int) (cells.Cell, bool) { return cells.TileCell(1, r.IntN(40)), true }).Apply(cells.Plane{})
			m.Layers = m.Layers.With(id, &l)
		}
		d.Maps = d.Maps.With(m.ID, &m)
		mapSize := used() - before
		a := replica.New("persona22222", "clienta22222", d, 0)
		seq := int64(0)
		for n := range 1000 {
			region := rect(r.IntN(1000), r.IntN(1000), 1+r.IntN(8), 1+r.IntN(8))
			switch {
			case n%100 == 99:
				region = all
			case n%11 == 0:
				region = rect(r.IntN(900), r.IntN(900), 20+r.IntN(80), 20+r.IntN(80))
			}
			e, _, err := a.Make([]edit.Primitive{sample.Paint(sample.Pans, layers[r.IntN(4)], region, cells.TileCell(1, r.IntN(40)))}, edit.Label{Text: "x"})
			if err != nil {
				b.Fatal(err)
			}
			seq++
			if _, err := a.Receive([]replica.Row{{Seq: seq, Person: a.Person, Mark: e.Mark}}); err != nil {
				b.Fatal(err)
			}
		}
		after := used()
		b.ReportMetric(float64(after-before-mapSize)/float64(mapSize), "×map")
		runtime.KeepAlive(d)
		runtime.KeepAlive(a)
	}
}
