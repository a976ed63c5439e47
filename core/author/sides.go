package author

import (
	"azzel/core/document"
	"azzel/core/grid"
)

// SidePulled is the bounds that a map gets when one of its sides is dragged to a place,
// in map pixels: whole cells, and at least one of them is left.
func SidePulled(m *document.Map, side document.Facing, to grid.Point) grid.Rect {
	b := m.Bounds
	x, y := nearest(to.X, m.CellWidth), nearest(to.Y, m.CellHeight)
	switch side {
	case document.Left:
		b.X, b.W = min(x, b.X+b.W-1), max(1, b.X+b.W-x)
	case document.Right:
		b.W = max(1, x-b.X)
	case document.Up:
		b.Y, b.H = min(y, b.Y+b.H-1), max(1, b.Y+b.H-y)
	case document.Down:
		b.H = max(1, y-b.Y)
	}
	return b
}

// nearest is the line between cells of a size that lies nearest to a pixel.
func nearest(at, cell int) int { return grid.FloorDiv(2*at+cell, 2*cell) }

// LinePulled is where a line of the mirror comes to lie when it is dragged to a pixel,
// in half cells: before a cell, or in its middle.
func LinePulled(at, cell int) int { return grid.FloorDiv(4*at+cell, 2*cell) }
