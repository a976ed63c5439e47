package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// What tiles do besides stopping is told in few pieces, turned as they lie.
func TestGrounds(t *testing.T) {
	d := sample.World()
	if got := d.Solids().Grounds(d.Maps.Get(sample.Pans)); len(got) != 0 {
		t.Errorf("without any it says %v", got)
	}
	infos := []document.TileInfo{document.NewTileInfo(5), document.NewTileInfo(6), document.NewTileInfo(7)}
	infos[0].OneWay, infos[1].Is, infos[2].Is = document.Up, document.GroundWater, document.GroundLadder
	at := func(box grid.Rect) *grid.Region {
		r := &grid.Region{}
		r.AddRect(box)
		return r
	}
	paint := func(layer document.ID, r *grid.Region, c cells.Cell) edit.Primitive {
		return sample.Paint(sample.Pans, layer, r, c)
	}
	res := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", infos),
		paint(sample.Ground, at(grid.Rect{X: 2, Y: 2, W: 4, H: 1}), cells.TileCell(1, 5)),
		paint(sample.Ground, at(grid.Rect{X: 8, Y: 2, W: 1, H: 2}), cells.TileCell(1, 5).Turned(1)),
		paint(sample.Ground, at(grid.Rect{X: 0, Y: 6, W: 5, H: 3}), cells.TileCell(1, 6)),
		paint(sample.Ground, at(grid.Rect{X: 9, Y: 5, W: 1, H: 4}), cells.TileCell(1, 7)),
		paint(sample.Things, at(grid.Rect{X: 0, Y: 6, W: 1, H: 3}), cells.TileCell(1, 9)), // stones in the water
	}})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	got := fmt.Sprint(res.Doc.Solids().Grounds(res.Doc.Maps.Get(sample.Pans)))
	want := "[{{2 2 4 1} up } {{8 2 1 2} right } {{9 5 1 4}  ladder} {{1 6 4 3}  water}]"
	if got != want {
		t.Errorf("it says %s, wanted %s", got, want)
	}
}
