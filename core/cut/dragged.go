package cut

import (
	"azzel/core/document"
	"azzel/core/grid"
	"errors"
)

// Dragged is the cut of which one tile was dragged out on a picture of some size: the same
// tiles go on to all sides, with the smallest margin and spacing with which it is one of
// them, or with which the picture is used up; of one that is on no such grid what lies before it
// is left out.
func Dragged(tile grid.Rect, width, height int) (document.Cut, error) {
	all := grid.Rect{W: width, H: height}
	if tile = tile.Intersect(all); tile.Empty() {
		return document.Cut{}, errors.New("drag a tile out within the picture")
	}
	best, least := document.Cut{CellWidth: tile.W, CellHeight: tile.H}, -1
	for margin := 0; margin <= min(tile.X, tile.Y); margin++ {
		for spacing := 0; spacing <= maxGutter; spacing++ {
			if (tile.X-margin)%(tile.W+spacing) != 0 || (tile.Y-margin)%(tile.H+spacing) != 0 {
				continue
			}
			c := document.Cut{CellWidth: tile.W, CellHeight: tile.H, Margin: margin, Spacing: spacing}
			if c.Check(width, height) != nil {
				continue
			}
			columns, rows := c.Tiles(width, height)
			if column, row := (tile.X-margin)/(tile.W+spacing), (tile.Y-margin)/(tile.H+spacing); column >= columns || row >= rows {
				continue
			}
			right, bottom := c.Unused(width, height)
			cost := margin*3 + spacing*2
			if right+bottom > 0 {
				cost += 4 * maxGutter // an exact fit is worth a gutter
			}
			if least < 0 || cost < least {
				best, least = c, cost
			}
		}
	}
	for spacing := 0; spacing <= maxGutter; spacing++ {
		c := document.Cut{CellWidth: tile.W, CellHeight: tile.H, Spacing: spacing, Left: tile.X % (tile.W + spacing), Top: tile.Y % (tile.H + spacing)}
		right, bottom := c.Unused(width, height)
		if cost := (c.Left+c.Top+spacing)*2 + maxGutter; c.Check(width, height) == nil && right+bottom == 0 && (least < 0 || cost < least) {
			best, least = c, cost
		}
	}
	if least < 0 {
		if best.Left, best.Top = tile.X%tile.W, tile.Y%tile.H; best.Check(width, height) != nil {
			best.Left, best.Top = 0, 0
		}
	}
	return best, best.Check(width, height)
}
