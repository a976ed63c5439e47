package cut

import (
	"azzel/core/document"
	"azzel/core/grid"
	"testing"
)

// One tile dragged out gives all numbers of the cut.
func TestDraggedTiles(t *testing.T) {
	for _, c := range []document.Cut{
		{CellWidth: 16, CellHeight: 16}, {CellWidth: 22, CellHeight: 30}, {CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 1},
		{CellWidth: 32, CellHeight: 32, Margin: 4, Spacing: 2}, {CellWidth: 24, CellHeight: 24, Spacing: 3}, {CellWidth: 16, CellHeight: 24, Margin: 12},
		{CellWidth: 16, CellHeight: 16, Left: 5, Top: 4}, {CellWidth: 16, CellHeight: 24, Left: 7, Top: 1, Spacing: 2},
	} {
		const columns, rows = 7, 5
		w, h := 2*c.Margin+c.Left+columns*(c.CellWidth+c.Spacing)-c.Spacing, 2*c.Margin+c.Top+rows*(c.CellHeight+c.Spacing)-c.Spacing
		for _, at := range []grid.Point{{X: 3, Y: 2}, {X: 6, Y: 4}, {X: 1, Y: 1}} {
			tile := c.Tile(at.Y*columns+at.X, columns)
			got, err := Dragged(tile, w, h)
			if err != nil || got != c {
				t.Errorf("tile %v of %+v gives %+v, %v", at, c, got, err)
			}
		}
	}
	// what reaches out is cut off, what lies outside is refused, and what is on no grid is kept
	if got, err := Dragged(grid.Rect{X: -5, Y: -5, W: 21, H: 21}, 64, 64); err != nil || got != (document.Cut{CellWidth: 16, CellHeight: 16}) {
		t.Errorf("over the corner: %+v, %v", got, err)
	}
	if _, err := Dragged(grid.Rect{X: 70, Y: 5, W: 21, H: 21}, 64, 64); err == nil {
		t.Error("a tile outside the picture was taken")
	}
	// whatever is dragged out within a picture gives its size, wherever it lies
	for x := range 100 {
		for _, tile := range []grid.Rect{{X: x, Y: 40, W: 37, H: 20}, {X: 3, Y: x / 2, W: 9, H: 11}, {X: x, Y: 0, W: 103, H: 61}} {
			in := tile.Intersect(grid.Rect{W: 103, H: 61})
			if got, err := Dragged(tile, 103, 61); err != nil || got.CellWidth != in.W || got.CellHeight != in.H {
				t.Fatalf("%v gives %+v, %v", tile, got, err)
			}
		}
	}
	if got, err := Dragged(grid.Rect{X: 41, Y: 3, W: 20, H: 13}, 64, 64); err != nil || got.CellWidth != 20 || got.CellHeight != 13 {
		t.Errorf("off any grid: %+v, %v", got, err)
	}
}
