package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"azzel/core/sample"
	"math/rand/v2"
	"testing"
)

// After any edits, the difference brings back exactly the document before them,
// and undoing it those after.
func TestDifferenceBringsBackAnyState(t *testing.T) {
	for seed := range uint64(40) {
		r := rand.New(rand.NewPCG(seed, 5))
		start := sample.World()
		d := start
		for range 1 + r.IntN(12) {
			d = edit.Apply(d, &edit.Edit{Do: sample.Primitives(r, d)}).Doc
		}
		if seed%3 == 0 && d.Maps.Get(sample.Pans) != nil {
			c, err := author.AddMaterial(d, document.Material{Name: "Sea", Number: 5, Is: "water", Tiles: []material.Tile{}})
			if err != nil {
				t.Fatal(err)
			}
			d = edit.Apply(d, &edit.Edit{Do: c.Do}).Doc
		}
		for _, way := range [][2]*document.Document{{d, start}, {start, d}} {
			do, err := author.Difference(way[0], way[1])
			if way[0].Hash() == way[1].Hash() {
				if err == nil {
					t.Errorf("seed %d: there is a difference of nothing", seed)
				}
				continue
			}
			if err != nil {
				t.Fatal(err)
			}
			res := edit.Apply(way[0], &edit.Edit{Do: do})
			if len(res.Dropped) > 0 || res.Doc.Hash() != way[1].Hash() {
				t.Fatalf("seed %d: the states differ; %v", seed, res.Dropped)
			}
			if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}).Doc; back.Hash() != way[0].Hash() {
				t.Fatalf("seed %d: the jump cannot be undone", seed)
			}
		}
	}
}

// Names that are exchanged, or freed only later, are as they were after a jump.
func TestJumpsBringBackNames(t *testing.T) {
	start := sample.World()
	quay := func(id document.ID) edit.Ref {
		return edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}
	}
	ground := edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: "groundagain2"}
	d := edit.Apply(start, &edit.Edit{Do: []edit.Primitive{
		edit.Set(quay(sample.Door), "name", "x"), edit.Set(quay(sample.Switch), "name", "Door"), edit.Set(quay(sample.Door), "name", "Switch"),
		edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}),
		edit.Insert(ground, document.Layer{ID: ground.ID, Name: "Ground", Kind: document.LayerTiles, Opacity: 100})}}).Doc
	for _, way := range [][2]*document.Document{{d, start}, {start, d}} {
		do, err := author.Difference(way[0], way[1])
		if err != nil {
			t.Fatal(err)
		}
		got := edit.Apply(way[0], &edit.Edit{Do: do}).Doc.Maps.Get(sample.Quay)
		want := way[1].Maps.Get(sample.Quay)
		for _, l := range want.Layers.All() {
			if got.Layers.Get(l.ID).Name != l.Name {
				t.Errorf("a layer is called %s, wanted %s", got.Layers.Get(l.ID).Name, l.Name)
			}
		}
		for _, e := range want.Entities.All() {
			if got.Entities.Get(e.ID).Name != e.Name {
				t.Errorf("an entity is called %s, wanted %s", got.Entities.Get(e.ID).Name, e.Name)
			}
		}
	}
}
