package picture_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"image"
	"image/color"
	"testing"
)

// A project is known by where its game begins, with the hero there; where nothing is painted there, or no game begins, by what is
// painted; and by nothing where nothing is.
func TestCover(t *testing.T) {
	of := func(tile int) color.NRGBA { return color.NRGBA{uint8(tile % 8 * 9), uint8(tile / 8 * 9), 90, 255} }
	quay := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}
	spawn := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Spawn}
	hero := edit.Set(edit.Ref{Type: edit.TypeProject}, "hero", document.Hero{Speed: 5, Frames: [4][]cells.Cell{2: {cells.TileCell(1, 19)}}})
	all := &grid.Region{}
	all.AddRect(grid.Rect{W: 20, H: 12})
	full := image.Pt(240, 150)
	for name, c := range map[string]struct {
		do   []edit.Primitive
		size image.Point
		at   image.Point
		tile int
	}{
		"at the spawn, the map's edge":  {[]edit.Primitive{hero}, full, image.Pt(40, 35), 19},
		"without a picture of the hero": {nil, full, image.Pt(40, 35), 0},
		"in the middle of a large map":  {[]edit.Primitive{hero, edit.Set(quay, "bounds", grid.Rect{X: -100, Y: -100, W: 300, H: 300})}, full, image.Pt(7*16+8, 83), 19},
		"a map that is smaller":         {[]edit.Primitive{hero, edit.Set(quay, "bounds", grid.Rect{W: 5, H: 3})}, image.Pt(76, 48), image.Pt(38, 40), 19},
		"no spawn":                      {[]edit.Primitive{hero, edit.Remove(spawn)}, full, image.Pt(120, 75), 0},
		"a spawn that is not there":     {[]edit.Primitive{hero, edit.Set(spawn, "absent", true)}, full, image.Pt(40, 35), 0},
		"a spawn on a bare map": {[]edit.Primitive{edit.Remove(quay), edit.Insert(quay, document.Map{ID: sample.Quay, Name: "Quay", Bounds: grid.Rect{W: 20, H: 12}, CellWidth: 16, CellHeight: 16}),
			sample.Paint(sample.Pans, sample.Ground, all, cells.TileCell(1, 10))}, full, image.Pt(120, 75), 10},
		"diamonds":       {[]edit.Primitive{edit.Set(quay, "grid", document.GridDiamond)}, full, image.Pt(120, 75), 0},
		"large cells":    {[]edit.Primitive{hero, edit.Set(quay, "cellWidth", 80), edit.Set(quay, "cellHeight", 80)}, full, image.Pt(120, 75), -1},
		"cells of a dot": {[]edit.Primitive{hero, edit.Set(quay, "cellWidth", 1), edit.Set(quay, "cellHeight", 1)}, image.Pt(19, 12), image.Pt(3, 3), -1},
	} {
		img := source(t, false, c.do...).Cover(full.X, full.Y)
		if img == nil || img.Rect.Size() != c.size {
			t.Errorf("%s: it is %v", name, img)
			continue
		}
		if got := img.NRGBAAt(c.at.X, c.at.Y); c.tile >= 0 && got != of(c.tile) {
			t.Errorf("%s: at %v it is %v, wanted %v", name, c.at, got, of(c.tile))
		}
	}
	bare := source(t, false)
	bare.Doc = document.New("Bare")
	if img := bare.Cover(240, 150); img != nil {
		t.Errorf("of nothing it shows %v", img.Rect)
	}
}
