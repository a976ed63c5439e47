package hand_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/material"
	"azzel/core/sample"
	"testing"
)

// The secondary button removes what is of the held sort and nothing else; the eraser all.
func TestSecondaryRemovesTheHeldSort(t *testing.T) {
	at1 := func(x int) (r *grid.Region) {
		r = &grid.Region{}
		r.Add(grid.Point{X: x, Y: 5})
		return r
	}
	zones := document.Layer{ID: "zoneslayerzo", Name: "Zones", Kind: document.LayerZones, Order: 40, Opacity: 100}
	do := []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: zones.ID}, zones)}
	for i, n := range []int{7, 8} {
		z := document.Zone{ID: []document.ID{"zoneazoneazo", "zonebzonebzo"}[i], Name: []string{"Marsh", "Reeds"}[i], Number: n, Is: document.ZoneWater, Hatch: "waves", Colour: "#2f6f8f"}
		m := document.Material{ID: []document.ID{"seaaseaaseaa", "seabseabseab"}[i], Name: []string{"Sea", "Sand"}[i], Number: 10 + n, Is: "water",
			Tiles: []material.Tile{{Cell: cells.TileCell(1, 20), Odds: 1}}}
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeZone, ID: z.ID}, z), edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: m.ID}, m),
			sample.Paint(sample.Quay, zones.ID, at1(3+i), cells.TileCell(n, 0)), sample.Paint(sample.Quay, sample.Things, at1(3+i), cells.MaterialCell(10+n, 1)))
	}
	do = append(do, sample.Paint(sample.Quay, sample.Things, at1(5), cells.TileCell(1, 9)))
	res := edit.Apply(sample.World(), &edit.Edit{Do: do})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	m := res.Doc.Maps.Get(sample.Quay)
	for _, c := range []struct {
		name  string
		grip  hand.Grip
		layer document.ID
		stays [3]bool // of the cells 3, 4 and 5
	}{
		{"a zone", hand.Grip{What: hand.Zone, Number: 7}, zones.ID, [3]bool{false, true, false}},
		{"a material", hand.Grip{What: hand.Material, Number: 17}, sample.Things, [3]bool{false, true, true}},
		{"a tile", hand.Grip{What: hand.Tiles, Cells: []cells.Cell{cells.TileCell(1, 3)}, Width: 1}, sample.Things, [3]bool{true, true, false}},
		{"the eraser", hand.Grip{What: hand.Eraser}, sample.Things, [3]bool{}},
	} {
		c.grip.Shape = hand.Box
		w := at(res.Doc, m)
		w.Active = c.layer
		p, err := hand.Resolve(w, c.grip, hand.Gesture{Way: way(3, 5, 5, 5), Remove: true})
		if err != nil {
			t.Errorf("%s: %v", c.name, err)
			continue
		}
		prims, _ := p.Edit(res.Doc, m, c.grip)
		after := edit.Apply(res.Doc, &edit.Edit{Do: prims}).Doc.Maps.Get(sample.Quay).Layers.Get(c.layer).Cells
		for i, stays := range c.stays {
			if got := after.At(3+i, 5) != 0; got != stays {
				t.Errorf("with %s held, cell %d stays: %v", c.name, 3+i, got)
			}
		}
	}
}
