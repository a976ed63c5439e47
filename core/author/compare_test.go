package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"strings"
	"testing"
)

// What differs is told by thing, as many cells and things of each map as are otherwise.
func TestCompare(t *testing.T) {
	d := sample.Full()
	region := &grid.Region{}
	region.AddRect(grid.Rect{X: 1, Y: 1, W: 3, H: 2})
	quay := d.Maps.Get(sample.Quay)
	var ground *document.Layer
	for _, l := range quay.LayersInOrder() {
		if l.Kind == document.LayerTiles && ground == nil {
			ground = l
		}
	}
	at := func(kind string, id document.ID) edit.Ref { return edit.Ref{Type: kind, ID: id} }
	pearl := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}
	for _, c := range []struct {
		name string
		do   []edit.Primitive
		want string
	}{
		{"nothing", nil, ""},
		{"cells", []edit.Primitive{sample.Paint(quay.ID, ground.ID, region, cells.TileCell(1, 77))}, "map Quay: 6 cells"},
		{"an entity moved", []edit.Primitive{edit.Set(pearl, "x", 16), edit.Set(pearl, "y", 16)}, "map Quay: 1 thing"},
		{"a map renamed", []edit.Primitive{edit.Set(at(edit.TypeMap, quay.ID), "name", "Old quay")}, "map Old quay"},
		{"a map gone", []edit.Primitive{edit.Remove(at(edit.TypeMap, sample.Pans))}, "map Pans: gone"},
		{"a flag and a counter", []edit.Primitive{edit.Insert(at(edit.TypeFlag, "newflagnewfl"), document.Flag{ID: "newflagnewfl", Name: "Tide"}), edit.Set(at(edit.TypeCounter, "saltsaltsalt"), "start", 9)}, "flag Tide: new|counter Salt"},
		{"a motif", []edit.Primitive{edit.Set(at(edit.TypeMotif, "motifmotifmo"), "name", "Hut")}, "motif Hut"},
		{"a language", []edit.Primitive{edit.Remove(at(edit.TypeWording, "wordingwordi"))}, "wording The gate is open. (de): gone"},
		{"the project", []edit.Primitive{edit.Set(at(edit.TypeProject, ""), "name", "Salt")}, "project Settings of the project"},
	} {
		t.Run(c.name, func(t *testing.T) {
			got, err := author.Compare(d, sample.With(d, c.do...))
			if err != nil {
				t.Fatal(err)
			}
			var said []string
			for _, g := range got {
				said = append(said, g.What+" "+g.Said())
			}
			if text := strings.Join(said, "|"); text != c.want {
				t.Errorf("got %s, want %s", text, c.want)
			}
		})
	}
}
