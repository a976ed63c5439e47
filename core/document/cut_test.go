package document_test

import (
	"azzel/core/document"
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
	} {
		columns, rows := c.cut.Tiles(c.w, c.h)
		right, bottom := c.cut.Unused(c.w, c.h)
		if columns != c.columns || rows != c.rows || right != c.right || bottom != c.bottom {
			t.Errorf("%+v of %d × %d gives %d × %d tiles, %d and %d over", c.cut, c.w, c.h, columns, rows, right, bottom)
		}
	}
}
