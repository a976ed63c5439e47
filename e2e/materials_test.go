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
