package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"math/rand/v2"
	"slices"
	"testing"
)

func TestSlopesAreJoined(t *testing.T) {
	d := sample.World()
	set := *d.Tilesets.Get(sample.Coast)
	one := func(tile int, part string) document.TileInfo {
		i := document.NewTileInfo(tile)
		i.Part = part
		return i
	}
	set.Infos = []document.TileInfo{one(10, "ground rising right"), one(11, "gentle left, upper"), one(12, "gentle left, lower")}
	d.Tilesets = d.Tilesets.With(set.ID, &set)
	at := func(x, y int) (r *grid.Region) {
		r = &grid.Region{}
		r.Add(grid.Point{X: x, Y: y})
		return r
	}
	put := func(x, y, tile int) edit.Primitive {
		return sample.Paint(sample.Pans, sample.Things, at(x, y), cells.TileCell(1, tile))
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		put(3, 6, 10), put(4, 5, 10), put(5, 4, 10), // one rising line of three cells
		put(8, 5, 11), put(9, 5, 12), // one falling line over two
		put(12, 5, 10), put(12, 6, 10), // two that do not meet
	}}).Doc
	got := d.Solids().Merged(d.Maps.Get(sample.Pans)).Segments
	want := []document.Segment{
		{A: grid.Point{X: 96, Y: 224}, B: grid.Point{X: 192, Y: 128}},
		{A: grid.Point{X: 256, Y: 160}, B: grid.Point{X: 320, Y: 192}},
	}
	if len(got) != 4 || got[0] != want[0] || got[1] != want[1] {
		t.Errorf("the segments are %v", got)
	}
	// parts that are rectangles are joined beside and below each other
	set.Infos = []document.TileInfo{one(10, "upper half"), one(11, "left half"), one(12, "lower left quarter")}
	d.Tilesets = d.Tilesets.With(set.ID, &set)
	merged := d.Solids().Merged(d.Maps.Get(sample.Pans))
	parts := []grid.Rect{{X: 96, Y: 192, W: 32, H: 16}, {X: 128, Y: 160, W: 32, H: 16}, {X: 160, Y: 128, W: 32, H: 16},
		{X: 256, Y: 160, W: 16, H: 32}, {X: 288, Y: 176, W: 16, H: 16}, {X: 384, Y: 160, W: 32, H: 16}, {X: 384, Y: 192, W: 32, H: 16}}
	if len(merged.Segments) != 0 || !slices.Equal(merged.Parts, parts) {
		t.Errorf("the parts are %v", merged.Parts)
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{put(13, 5, 10), put(14, 5, 10), put(8, 6, 11), put(8, 7, 11)}}).Doc
	merged = d.Solids().Merged(d.Maps.Get(sample.Pans))
	if len(merged.Parts) != 7 || !slices.Contains(merged.Parts, grid.Rect{X: 256, Y: 160, W: 16, H: 96}) || !slices.Contains(merged.Parts, grid.Rect{X: 384, Y: 160, W: 96, H: 16}) {
		t.Errorf("joined they are %v", merged.Parts)
	}
	quay := d.Solids().Merged(d.Maps.Get(sample.Quay))
	if len(quay.Rects) != 4 || len(quay.Segments) != 0 {
		t.Errorf("the walls round the Quay are %v", quay.Rects)
	}
}

func BenchmarkMergeSolids(b *testing.B) {
	d := sample.World()
	m := *d.Maps.Get(sample.Pans)
	m.Bounds = grid.Rect{W: 1024, H: 1024}
	r := rand.New(rand.NewPCG(1, 1))
	all := &grid.Region{}
	all.AddRect(m.Bounds)
	for i, id := range []document.ID{sample.Ground, sample.Things, "layerthreela", "layerfourlay"} {
		l := document.Layer{ID: id, Name: string(id), Kind: document.LayerTiles, Order: i, Opacity: 100}
		l.Cells, _ = cells.PaintEach(all, m.Bounds, func(x, y int) (cells.Cell, bool) {
			return cells.TileCell(1, min(1, r.IntN(30))*2+1), true
		}).Apply(cells.Plane{})
		m.Layers = m.Layers.With(id, &l)
	}
	d.Maps = d.Maps.With(m.ID, &m)
	flat := make([]cells.Cell, 1<<20)
	b.Run("baseline-write", func(b *testing.B) {
		for b.Loop() {
			for i := range flat {
				flat[i] = 7
			}
		}
	})
	b.Run("merge-1024x1024x4", func(b *testing.B) {
		for b.Loop() {
			d.Solids().Merged(&m)
		}
	})
}
