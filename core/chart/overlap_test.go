package chart

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"testing"
)

// Maps that lie over each other are told once a pair; those that touch are not.
func TestOverlappingMaps(t *testing.T) {
	place := func(x, y int) []Finding {
		d := edit.Apply(sample.World(), &edit.Edit{Do: []edit.Primitive{
			edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "chart", grid.Point{X: 1000, Y: 500}),
			edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "chart", grid.Point{X: x, Y: y}),
		}}).Doc
		out := []Finding{}
		for _, f := range New(d, nil).Findings() {
			if f.What == Overlap {
				out = append(out, f)
			}
		}
		return out
	}
	wide := sample.World().Maps.Get(sample.Quay).Bounds.W * 16
	for _, p := range [][2]int{{1000 + wide, 500}, {1000, 500 + 12*16}, {1000 - wide, 500}, {9000, 500}, {1000, 9000}} {
		if got := place(p[0], p[1]); len(got) != 0 {
			t.Errorf("at %v: %v", p, got)
		}
	}
	for _, p := range [][2]int{{1000 + wide - 1, 500}, {1000 - 16, 490}, {1000, 500}} {
		got := place(p[0], p[1])
		if len(got) != 1 || got[0].Serious || got[0].Map != document.ID(sample.Pans) || got[0].Text != "Quay and Pans lie over each other: drag one of them aside." {
			t.Errorf("at %v: %v", p, got)
		}
	}
}
