package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/hand"
	"azzel/core/material"
	"azzel/core/sample"
	"testing"
)

// What a grip puts down is made solid wherever it is painted, tiles of several sheets and all of a material at once.
func TestWhatIsHeldIsMadeSolid(t *testing.T) {
	d := sample.World()
	other := *d.Tilesets.Get(sample.Coast)
	other.Number, other.Name, other.Solid = 7, "Other", nil
	c, err := author.AddTileset(d, other)
	d = apply(t, d, c, err)
	made, err := author.AddMaterial(d, document.Material{Name: "Hedge", Number: 9, Is: "ground", By: material.BySides,
		Tiles: []material.Tile{{Cell: cells.TileCell(1, 20), Odds: 1}, {Cell: cells.TileCell(1, 21)}, {Cell: cells.TileCell(7, 2)}}})
	d = apply(t, d, made, err)
	for _, c := range []struct {
		grip  hand.Grip
		tiles int
		text  string
	}{
		{hand.Grip{What: hand.Tiles, Cells: []cells.Cell{cells.TileCell(1, 30)}}, 1, "A tile is solid"},
		{hand.Grip{What: hand.Tiles, Cells: []cells.Cell{cells.TileCell(1, 31), cells.TileCell(1, 31).Turned(1), 0, cells.TileCell(7, 3), cells.TileCell(1, 4000)}}, 2, "2 tiles are solid"},
		{hand.Grip{What: hand.Material, Number: 9}, 3, "3 tiles are solid"},
	} {
		if tiles, solid := author.Solidity(d, &c.grip); tiles != c.tiles || solid != 0 {
			t.Errorf("of %d tiles %d are solid", tiles, solid)
		}
		change, err := author.MakeSolid(d, &c.grip, true)
		next := apply(t, d, change, err)
		if tiles, solid := author.Solidity(next, &c.grip); solid != tiles || change.Label.Text != c.text {
			t.Errorf("%q: of %d tiles %d are solid", change.Label.Text, tiles, solid)
		}
		change, err = author.MakeSolid(next, &c.grip, false)
		if _, solid := author.Solidity(apply(t, next, change, err), &c.grip); solid != 0 {
			t.Errorf("%d tiles are still solid", solid)
		}
	}
	for _, g := range []hand.Grip{{What: hand.Eraser}, {What: hand.Material, Number: 99}, {What: hand.Entity, Kind: "sign"}} {
		if _, err := author.MakeSolid(d, &g, true); err == nil {
			t.Errorf("%+v was made solid", g)
		}
	}
}
