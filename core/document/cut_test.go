package document_test

import (
	"azzel/core/document"
	"azzel/core/grid"
	"testing"
)

func TestCutsOfPictures(t *testing.T) {
	for _, c := range []struct {
		cut                          document.Cut
		w, h                         int
		columns, rows, right, bottom int
	}{
		{document.Cut{CellWidth: 16, CellHeight: 16}, 64, 50, 4, 3, 0, 2},
		{document.Cut{CellWidth: 16, CellHeight: 16, Margin: 2}, 68, 67, 4, 3, 0, 15},
		{document.Cut{CellWidth: 16, CellHeight: 8, Margin: 1, Spacing: 2}, 2 + 3*16 + 2*2, 2 + 8, 3, 1, 0, 0},
		{document.Cut{CellWidth: 16, CellHeight: 16, Margin: 3}, 22, 21, 1, 0, 0, 15},
		{document.Cut{CellWidth: 0, CellHeight: 16}, 64, 64, 0, 4, 64, 0},
		{document.Cut{CellWidth: 16, CellHeight: 16, Left: 5, Top: 4}, 5 + 4*16, 4 + 3*16 + 7, 4, 3, 0, 7},
		{document.Cut{CellWidth: 16, CellHeight: 16, Margin: 2, Spacing: 1, Left: 3}, 4 + 3 + 4*17 - 1, 4 + 2*17 - 1, 4, 2, 0, 0},
		{document.Cut{CellWidth: 16, CellHeight: 16, Top: 50}, 64, 64, 4, 0, 0, 14},
	} {
		columns, rows := c.cut.Tiles(c.w, c.h)
		right, bottom := c.cut.Unused(c.w, c.h)
		if columns != c.columns || rows != c.rows || right != c.right || bottom != c.bottom {
			t.Errorf("%+v of %d × %d gives %d × %d tiles, %d and %d over", c.cut, c.w, c.h, columns, rows, right, bottom)
		}
	}
}

// Tiles lie side by side from the first one on, within the picture.
func TestWhereTilesLie(t *testing.T) {
	cut := document.Cut{CellWidth: 16, CellHeight: 12, Margin: 2, Spacing: 1, Left: 3, Top: 5}
	columns, rows := cut.Tiles(80, 60)
	if at := cut.First(); at != (grid.Point{X: 5, Y: 7}) {
		t.Errorf("the first tile begins at %v", at)
	}
	for _, c := range []struct {
		tile int
		want grid.Rect
	}{
		{0, grid.Rect{X: 5, Y: 7, W: 16, H: 12}},
		{columns - 1, grid.Rect{X: 5 + (columns-1)*17, Y: 7, W: 16, H: 12}},
		{columns*rows - 1, grid.Rect{X: 5 + (columns-1)*17, Y: 7 + (rows-1)*13, W: 16, H: 12}},
	} {
		got := cut.Tile(c.tile, columns)
		if got != c.want || got.Intersect(grid.Rect{W: 78, H: 58}) != got {
			t.Errorf("tile %d lies at %v, wanted %v within the margin", c.tile, got, c.want)
		}
	}
	for _, wrong := range []document.Cut{{CellWidth: 16, CellHeight: 16, Left: -1}, {CellWidth: 16, CellHeight: 16, Top: 1 << 20}, {CellWidth: 16, CellHeight: 16, Left: 70}} {
		if wrong.Check(80, 60) == nil {
			t.Errorf("%+v is taken", wrong)
		}
	}
}
