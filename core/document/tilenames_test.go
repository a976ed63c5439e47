package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// Tiles are called by their number, their tags and their materials, and found by any of it.
func TestTileNames(t *testing.T) {
	d := sample.World()
	info := document.NewTileInfo(5)
	info.Tags = []string{"Crate", "wooden"}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", []document.TileInfo{info}),
		edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: "sandsandsand"}, document.Material{ID: "sandsandsand", Name: "Sand", Number: 7, Tiles: []material.Tile{
			{Cell: cells.TileCell(1, 5), Odds: 1}, {Cell: cells.TileCell(1, 5) | cells.MirrorX, Odds: 1}, {Cell: cells.TileCell(2, 6), Odds: 1}}}),
	}}).Doc
	for c, want := range map[cells.Cell]string{
		cells.TileCell(1, 5):                 "tile 5 of Coast, Crate, wooden, Sand",
		cells.TileCell(1, 5) | cells.MirrorX: "tile 5 of Coast, Crate, wooden, Sand",
		cells.TileCell(1, 6):                 "tile 6 of Coast",
		cells.TileCell(9, 0):                 "a removed tile",
	} {
		if got := d.TileName(c); got != want {
			t.Errorf("%#x is called %q, wanted %q", c, got, want)
		}
	}
	for _, c := range []struct {
		words []string
		most  int
		want  string
	}{
		{[]string{"crate"}, 9, "[5]"},
		{[]string{"sand", "coast"}, 9, "[5]"},
		{[]string{"tile", "1"}, 3, "[1 10 11]"},
		{[]string{"crate", "stone"}, 9, "[]"},
		{nil, 2, "[0 1]"},
	} {
		found := []int{}
		for _, n := range d.FindTiles(c.words, c.most) {
			found = append(found, n.Cell.Tile())
		}
		if fmt.Sprint(found) != c.want {
			t.Errorf("%v found %v, wanted %s", c.words, found, c.want)
		}
	}
}
