package format_test

import (
	"azzel/core/cells"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/grid"
	"azzel/core/sample"
	"encoding/json"
	"slices"
	"strings"
	"testing"
)

// Files are called after their things; what comes or goes changes no other's name.
func TestFilesKeepTheirNames(t *testing.T) {
	paths := func(files []format.File) (out []string) {
		for _, f := range files {
			out = append(out, f.Path)
		}
		return out
	}
	d := sample.Full()
	_, files, _ := written(t, d)
	before := paths(files)
	for _, want := range []string{"project.json", "maps/quay.json", "maps/quay/ground.csv", "tilesets/coast.json", "tilesets/coast.png", "texts/de.json"} {
		if !slices.Contains(before, want) {
			t.Errorf("%s is missing of %v", want, before)
		}
	}
	for _, r := range d.Rules.All() {
		next := *d
		next.Rules = d.Rules.Without(r.ID)
		_, files, _ := written(t, &next)
		after := paths(files)
		for _, p := range after {
			if !slices.Contains(before, p) {
				t.Errorf("without a rule there is a file %s", p)
			}
		}
		if len(after) != len(before)-2 {
			t.Errorf("%d files are left of %d", len(after), len(before))
		}
	}
}

// What follows from a project stands beside it: solids in cells of the map, and materials as the tiles that are drawn.
func TestWhatFollows(t *testing.T) {
	d := sample.Full()
	files := format.Derived(d)
	var solids format.Solids
	if err := json.Unmarshal(find(t, files, "derived/quay/solids.json").Data, &solids); err != nil || len(solids.Cells) == 0 {
		t.Fatalf("%+v, %v", solids, err)
	}
	m := d.Maps.Get(sample.Quay)
	solid := d.Solids()
	at := map[grid.Point]bool{}
	for _, r := range solids.Cells {
		for y := range r.H {
			for x := range r.W {
				at[grid.Point{X: r.X + x, Y: r.Y + y}] = true
			}
		}
	}
	for y := range m.Bounds.H {
		for x := range m.Bounds.W {
			p := grid.Point{X: x + m.Bounds.X, Y: y + m.Bounds.Y}
			if solid.At(m, p) != at[grid.Point{X: x, Y: y}] {
				t.Errorf("cell %d, %d is told as %t", x, y, at[grid.Point{X: x, Y: y}])
			}
		}
	}
	// a layer of materials is there as it is drawn, and nothing in it is a material
	painted := sample.With(d, edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}, Cells: sea()})
	drawn := string(find(t, format.Derived(painted), "derived/quay/ground.csv").Data)
	if strings.Contains(drawn, "~") || strings.Count(drawn, "\n") != m.Bounds.H {
		t.Errorf("drawn as\n%s", drawn)
	}
	// it is passed over when a project is read
	d, written, take := written(t, painted)
	got, err := format.Read(append(written, format.Derived(painted)...), pictures(take))
	if err != nil || got.Hash() != d.Hash() {
		t.Errorf("with what follows it is read otherwise: %v", err)
	}
}

// sea is some cells of the sample's material.
func sea() cells.Patch {
	region := &grid.Region{}
	region.AddRect(grid.Rect{X: 2, Y: 2, W: 4, H: 3})
	return cells.Paint(region, region.Bounds(), []cells.Cell{cells.MaterialCell(9, 0)}, 1, grid.Point{})
}
