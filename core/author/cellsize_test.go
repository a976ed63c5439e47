package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"testing"
)

func TestGridOfDiamonds(t *testing.T) {
	start := sample.World()
	c, err := author.SetGrid(quay(start), document.GridDiamond)
	d := done(t, start, c, err)
	if m := quay(d); m.Grid != document.GridDiamond || m.CellHeight != 8 || d.Entity(sample.Quay, sample.Door).Y != 16 {
		t.Errorf("the map is %+v", m)
	}
	c, err = author.SetGrid(quay(d), document.GridSquare)
	if d = done(t, d, c, err); d.Hash() != start.Hash() {
		t.Error("squares again are not what they were")
	}
	for _, kind := range []string{"hexagon", document.GridSquare} {
		if _, err := author.SetGrid(quay(start), kind); err == nil {
			t.Errorf("a grid of %q was taken", kind)
		}
	}
}

func TestCellSizeIsChangedAfterPainting(t *testing.T) {
	d := sample.World()
	if odd := author.OddLayers(d, quay(d)); len(odd) != 0 {
		t.Errorf("%v have another size", odd)
	}
	c, err := author.SetCellSize(quay(d), 32, 24)
	d = done(t, d, c, err)
	if e := d.Entity(sample.Quay, sample.Exit); e.X != 288*2 || e.Y != 120 || e.W != 32 || e.H != 48 {
		t.Errorf("the exit stands at %d,%d, %d × %d", e.X, e.Y, e.W, e.H)
	}
	if odd := author.OddLayers(d, quay(d)); len(odd) != 2 {
		t.Errorf("%v have another size", odd)
	}
	if quay(d).Layers.Get(sample.Things).Cells.At(0, 0) != sample.Wall {
		t.Error("the painting did not stay")
	}
	for _, size := range [][2]int{{0, 16}, {16, 5000}, {32, 24}} {
		if _, err := author.SetCellSize(quay(d), size[0], size[1]); err == nil {
			t.Errorf("%v was taken", size)
		}
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{sample.Paint(sample.Quay, sample.Things, box(0, 0, 20, 12), cells.Cell(0))}}).Doc
	if odd := author.OddLayers(d, quay(d)); len(odd) != 1 || odd[0] != document.ID(sample.Ground) {
		t.Errorf("%v have another size", odd)
	}
}
