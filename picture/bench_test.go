package picture_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/sample"
	"azzel/picture"
	"hash/crc32"
	"io"
	"runtime"
	"testing"
)

// A map of 1024×1024 cells of 16 pixels, three layers, drawn as a PNG, beside the sum over as many bytes as it has pixels; what
// is in memory for it is told.
func BenchmarkPNG(b *testing.B) {
	s := source(&testing.T{}, false)
	m := *s.Doc.Maps.Get(sample.Quay)
	m.Bounds = grid.Rect{W: 1024, H: 1024}
	all := &grid.Region{}
	all.AddRect(m.Bounds)
	for _, id := range []document.ID{sample.Ground, sample.Things} {
		l := *m.Layers.Get(id)
		l.Cells, _ = cells.PaintEach(all, m.Bounds, func(x, y int) (cells.Cell, bool) {
			n := uint32(x*7919^y*104729) >> 3
			if id == sample.Things && n%3 > 0 {
				return 0, true
			}
			return cells.TileCell(1, int(n%64)), true
		}).Apply(cells.Plane{})
		m.Layers = m.Layers.With(id, &l)
	}
	d := *s.Doc
	d.Maps = d.Maps.With(m.ID, &m)
	s.Doc = &d
	b.Run("sum", func(b *testing.B) {
		row := make([]byte, 16*1024)
		for b.Loop() {
			for range 16 * 1024 {
				_ = crc32.ChecksumIEEE(row)
			}
		}
	})
	b.Run("drawn", func(b *testing.B) {
		var before, after runtime.MemStats
		runtime.GC()
		runtime.ReadMemStats(&before)
		for b.Loop() {
			if err := s.PNG(io.Discard, &m, picture.Look{Scale: 1, Things: true}); err != nil {
				b.Fatal(err)
			}
		}
		runtime.ReadMemStats(&after)
		b.ReportMetric(float64(after.Sys-before.Sys)/(1<<20), "MB-more")
	})
}
