package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"azzel/core/sample"
	"testing"
)

// A starter set's materials stand in the order in which they are given.
func TestStarterKeepsTheOrderOfItsMaterials(t *testing.T) {
	k := author.Kit{Tileset: *sample.World().Tilesets.Get(sample.Coast)}
	for i, name := range []string{"Turf", "Shore", "Brine"} {
		k.Materials = append(k.Materials, document.Material{Name: name, Is: document.MaterialWords[0].Is, By: material.BySides, Number: i + 5})
	}
	c, err := author.Starter(document.New("Empty"), k)
	d := done(t, document.New("Empty"), c, err)
	for i, m := range d.MaterialsInOrder() {
		if m.Name != k.Materials[i].Name || m.Order <= 0 || i > 0 && m.Order-d.MaterialsInOrder()[i-1].Order != d.MaterialsInOrder()[0].Order {
			t.Errorf("%s is number %d, with order %d", m.Name, i, m.Order)
		}
	}
	if d.Materials.Len() != 3 || d.Maps.Len() != 1 {
		t.Errorf("%d materials, %d maps", d.Materials.Len(), d.Maps.Len())
	}
}

// A layer of pictures comes below all, however near the bottom the lowest of them lies.
func TestPicturesLieBelowTheLowest(t *testing.T) {
	for _, order := range []int{1, 2, 3, 1 << 16} {
		d := sample.World()
		for i, l := range quay(d).LayersInOrder() {
			d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: l.ID}, "order", order+i*1000)}}).Doc
		}
		c, err := author.AddPictureLayer(quay(d), "Sky", document.LayerImage{From: "#203040", To: "#ffeedd", Scale: 100}, "")
		d = done(t, d, c, err)
		all := quay(d).LayersInOrder()
		if all[0].ID != c.Made || all[0].Order >= all[1].Order || all[0].Order < 1 || (all[1].Order == order) != (order > 1) {
			t.Errorf("above a layer of order %d: %d below %d", order, all[0].Order, all[1].Order)
		}
	}
}
