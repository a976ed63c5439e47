package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"fmt"
)

// Tiles is the number of whole columns and rows of tiles in a picture.
func (c Cut) Tiles(width, height int) (columns, rows int) {
	count := func(room, cell int) int {
		if cell < 1 || room < cell {
			return 0
		}
		return (room + c.Spacing) / (cell + c.Spacing)
	}
	return count(width-2*c.Margin-c.Left, c.CellWidth), count(height-2*c.Margin-c.Top, c.CellHeight)
}

// First is the pixel at the top left of the first tile.
func (c Cut) First() grid.Point { return grid.Point{X: c.Margin + c.Left, Y: c.Margin + c.Top} }

// Tile is where a tile lies in a picture that is so many of them across, in pixels.
func (c Cut) Tile(tile, columns int) (at grid.Rect) {
	first := c.First()
	return grid.Rect{X: first.X + tile%columns*(c.CellWidth+c.Spacing), Y: first.Y + tile/columns*(c.CellHeight+c.Spacing), W: c.CellWidth, H: c.CellHeight}
}

// Unused is how many pixels at the right and at the bottom the cut leaves over.
func (c Cut) Unused(width, height int) (right, bottom int) {
	columns, rows := c.Tiles(width, height)
	used := func(n, cell int) int { return 2*c.Margin + n*cell + max(0, n-1)*c.Spacing }
	return max(0, width-c.Left-used(columns, c.CellWidth)), max(0, height-c.Top-used(rows, c.CellHeight))
}

// Check finds what is wrong with a cut of a picture of this size.
func (c Cut) Check(width, height int) error {
	if err := first(checkCellSize(c.CellWidth, c.CellHeight),
		checkRange("the margin", c.Margin, 0, maxCellPixel), checkRange("the spacing", c.Spacing, 0, maxCellPixel),
		checkRange("what is left out at the left", c.Left, 0, maxCellPixel), checkRange("what is left out at the top", c.Top, 0, maxCellPixel)); err != nil {
		return err
	}
	columns, rows := c.Tiles(width, height)
	if columns < 1 || rows < 1 {
		return fmt.Errorf("a cell of %d × %d is larger than the picture (%d × %d): choose a smaller cell", c.CellWidth, c.CellHeight, width, height)
	}
	if columns*rows > cells.MaxTile+1 {
		return fmt.Errorf("that would make %d tiles, and a tileset has at most %d: choose a larger cell", columns*rows, cells.MaxTile+1)
	}
	return nil
}
