package edit_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"testing"
)

func TestSketch(t *testing.T) {
	box := func(r grid.Rect) *grid.Region {
		out := &grid.Region{}
		out.AddRect(r)
		return out
	}
	small := sample.Paint(sample.Quay, sample.Ground, box(grid.Rect{X: -3, Y: 40, W: 4, H: 2}), sample.Wall)
	corner := sample.Paint(sample.Quay, sample.Things, box(grid.Rect{X: 3, Y: 44, W: 1, H: 1}), sample.Floor)
	elsewhere := sample.Paint(sample.Pans, sample.Ground, box(grid.Rect{W: 90, H: 90}), sample.Floor)
	large := sample.Paint(sample.Quay, sample.Ground, box(grid.Rect{W: 640, H: 64}), sample.Wall)
	emptied := edit.Primitive{Op: edit.OpCellsBack, Ref: small.Ref, Was: small.Cells, Cells: sample.Paint(sample.Quay, sample.Ground, small.Cells.Region(), 0).Cells}
	pearl := edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "pearlpearlpa"}, document.Entity{Kind: kind.Collectible})
	for _, c := range []struct {
		name              string
		do                []edit.Primitive
		about, kind       string
		w, h, step, wrote int
		at                grid.Point
		is                cells.Cell
	}{
		{"cells on two layers", []edit.Primitive{small, corner, elsewhere}, edit.TypeLayer, "", 7, 5, 1, 9, grid.Point{X: 6, Y: 4}, sample.Floor},
		{"many cells", []edit.Primitive{large}, edit.TypeLayer, "", 32, 4, 20, 128, grid.Point{X: 31, Y: 3}, sample.Wall},
		{"cells turned back", []edit.Primitive{emptied}, edit.TypeLayer, "", 4, 2, 1, 8, grid.Point{}, 0},
		{"an entity", []edit.Primitive{pearl}, edit.TypeEntity, kind.Collectible, 0, 0, 0, 0, grid.Point{}, 0},
		{"an entity of a motif", []edit.Primitive{pearl, small}, edit.TypeLayer, kind.Collectible, 4, 2, 1, 8, grid.Point{}, sample.Wall},
		{"a name", []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "Ebb")}, edit.TypeProject, "", 0, 0, 0, 0, grid.Point{}, 0},
	} {
		e := edit.Edit{Do: c.do}
		got := e.Sketch()
		wrote, is := 0, cells.Cell(0)
		for _, p := range got.Parts {
			wrote += p.Cells.Count()
			p.Cells.Each(func(at grid.Point, v cells.Cell) {
				if at == c.at {
					is = v
				}
			})
		}
		if got.About != c.about || got.Kind != c.kind || got.W != c.w || got.H != c.h || got.Step != c.step || wrote != c.wrote || is != c.is {
			t.Errorf("%s: %+v, %d cells, %v at %v", c.name, got, wrote, is, c.at)
		}
	}
}
