package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/grid"
	"testing"
)

func TestSidesAndLinesArePulled(t *testing.T) {
	m := &document.Map{Bounds: grid.Rect{X: -2, Y: 1, W: 10, H: 6}, CellWidth: 16, CellHeight: 20}
	for _, c := range []struct {
		side document.Facing
		to   grid.Point
		want grid.Rect
	}{
		{document.Left, grid.Point{X: -55, Y: 999}, grid.Rect{X: -3, Y: 1, W: 11, H: 6}},
		{document.Left, grid.Point{X: 999}, grid.Rect{X: 7, Y: 1, W: 1, H: 6}},
		{document.Right, grid.Point{X: 87}, grid.Rect{X: -2, Y: 1, W: 7, H: 6}},
		{document.Right, grid.Point{X: 88}, grid.Rect{X: -2, Y: 1, W: 8, H: 6}},
		{document.Right, grid.Point{X: -999}, grid.Rect{X: -2, Y: 1, W: 1, H: 6}},
		{document.Up, grid.Point{Y: -9}, grid.Rect{X: -2, Y: 0, W: 10, H: 7}},
		{document.Up, grid.Point{Y: 999}, grid.Rect{X: -2, Y: 6, W: 10, H: 1}},
		{document.Down, grid.Point{Y: 51}, grid.Rect{X: -2, Y: 1, W: 10, H: 2}},
		{document.Down, grid.Point{Y: -51}, grid.Rect{X: -2, Y: 1, W: 10, H: 1}},
	} {
		if got := author.SidePulled(m, c.side, c.to); got != c.want {
			t.Errorf("%s to %v gives %v, wanted %v", c.side, c.to, got, c.want)
		}
	}
	for at, want := range map[int]int{0: 0, 3: 0, 4: 1, 11: 1, 12: 2, 16: 2, -3: 0, -5: -1} {
		if got := author.LinePulled(at, 16); got != want {
			t.Errorf("a line at %d lies at %d halves, wanted %d", at, got, want)
		}
	}
}
