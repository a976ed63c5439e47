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
