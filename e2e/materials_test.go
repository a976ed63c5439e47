package e2e

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A material whose forms are put together of quarters, or lack a tile, is drawn when
// it is painted and again after a reload; nothing else on the map goes with it.
func TestMaterialOfQuarters(t *testing.T) {
	r := world(t)
	id := r.author(author.AddMaterial(r.doc(), document.Material{Name: "Sea", Number: 9, Is: "water", By: material.ByBoth, Composes: true}))
	var tiles []material.Tile
	for i, form := range []material.Form{0, material.E | material.W, material.N | material.S, material.Whole, material.N | material.E | material.S | material.W} {
		tiles = append(tiles, material.Tile{Cell: sample.Floor + 20 + cells.Cell(i), Form: form, Odds: 1})
	}
	r.append(edit.Set(edit.Ref{Type: edit.TypeMaterial, ID: id}, "tiles", tiles))
	k := r.open()
	drawn := func() {
		t.Helper()
		k.showsTile(9, 8, 0) // the ground beside it
		k.showsTile(0, 0, 1)
		for _, c := range [][2]int{{5, 5}, {6, 5}, {6, 6}} {
			within(t, soon, func() error {
				ground, got := paint(0), k.pixel(k.at(c[0], c[1]))
				if got == fmt.Sprintf("%d,%d,%d", ground.R, ground.G, ground.B) || got == "0,0,0" {
					return fmt.Errorf("cell %v shows %s", c, got)
				}
				return nil
			})
		}
	}
	k.press("Materials")
	k.pressIn("aside li button", "Sea")
	k.keys(input.KeyH)
	k.drag(left, k.at(5, 5), k.at(6, 5), k.at(6, 7))
	k.saved()
	k.move(k.at(15, 10))
	drawn()
	k.reload()
	drawn()
	k.same()
}

func TestMaterialIsShownOnTheSheetAndFits(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Tilesets")
	k.press("New material: path")
	k.see("[aria-label=Material]", "0 of 16 have a tile")
	k.see("[data-testid=covers]", "16 gaps")
	// a path of which tile 16 is alone, 17 goes right, 18 left, 19 both ways
	paint := func(tile int, parts ...[2]float64) {
		t.Helper()
		k.click(k.onSheet(128, tile, 8, middleOf))
		for _, p := range parts {
			k.click(k.onSheet(128, tile, 8, p))
		}
	}
	east, west := [2]float64{0.9, 0.5}, [2]float64{0.1, 0.5}
	paint(16)
	paint(17, east)
	paint(18, west)
	paint(19, east, west)
	k.see("[data-testid=covers]", "4 of 16 have a tile")
	k.press("Hold it")
	k.see("[data-testid=hand]", "Path")
	k.keys(input.KeyH)
	k.drag(left, k.at(4, 5), k.at(7, 5))
	k.stored(func(d *document.Document) error {
		c := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground).Cells.At(5, 5)
		if !c.IsMaterial() || d.MaterialByNumber(c.Tileset()) == nil {
			return fmt.Errorf("the cell is %#x", c)
		}
		return nil
	})
	for x, tile := range map[int]int{4: 17, 5: 19, 6: 19, 7: 18} {
		k.showsTile(x, 5, tile)
	}
	// what lies beside is fitted anew, and again when it is taken away
	k.click(k.at(8, 5))
	k.showsTile(7, 5, 19)
	k.clickWith(k.at(5, 5), right)
	k.showsTile(4, 5, 16)
	k.showsTile(6, 5, 17)
	// a tile of it that is fixed by hand counts as the material
	k.press("Tiles")
	k.holdTile(19)
	k.click(k.at(9, 5))
	k.showsTile(8, 5, 19)
	k.same()
}
