// Package cells stores what lies in the cells of a layer: single cells, chunks
// of 32×32 that documents share until one of them writes, planes of chunks, and
// patches that change a plane and can be turned back.
package cells

import "azzel/core/grid"

// Cell is what lies in one cell of a layer, in 32 bits; 0 is empty.
//
//	bits 31–29  turn: mirrored left–right, mirrored up–down, axes exchanged
//	bit  28     material instead of tile
//	bits 27–16  tileset, material or zone number, 1 to 4095
//	bits 15–0   tile id in the tileset, or variant of the material
type Cell uint32

// The turn bits. Axes are exchanged first, then mirrored.
const (
	MirrorX  Cell = 1 << 31
	MirrorY  Cell = 1 << 30
	Exchange Cell = 1 << 29
	TurnBits      = MirrorX | MirrorY | Exchange
)

// Limits of the parts of a cell.
const (
	MaxTileset = 1<<12 - 1
	MaxTile    = 1<<16 - 1
)

// TileCell is the cell that shows a tile of a tileset, not turned.
func TileCell(tileset, tile int) Cell {
	return Cell(tileset&MaxTileset)<<16 | Cell(tile&MaxTile)
}

// Tileset is the number of the cell's tileset; 0 for an empty cell.
func (c Cell) Tileset() int { return int(c>>16) & MaxTileset }

// Tile is the id of the cell's tile in its tileset.
func (c Cell) Tile() int { return int(c) & MaxTile }

// Material marks a cell that holds a material, whose tile follows from its neighbours.
const Material Cell = 1 << 28

// MaxVariant limits a material cell's variant.
const MaxVariant = 255

// MaterialCell is the cell of a material; the variant chooses among tiles that fit as well.
func MaterialCell(number, variant int) Cell {
	return Material | Cell(number&MaxTileset)<<16 | Cell(variant&MaxVariant)
}

// IsMaterial reports whether the cell holds a material; its number is Tileset, its variant Tile.
func (c Cell) IsMaterial() bool { return c&Material != 0 }

// Valid reports whether c is empty, a tile of a tileset or an unturned material.
func (c Cell) Valid() bool {
	if c.IsMaterial() {
		return c.Tileset() != 0 && c&TurnBits == 0 && c.Tile() <= MaxVariant
	}
	return c == 0 || c.Tileset() != 0
}

// Turned is the cell's tile turned once more; empty cells and materials have no turn.
func (c Cell) Turned(t grid.Turn) Cell {
	if c == 0 || c.IsMaterial() {
		return c
	}
	if t&4 != 0 {
		c ^= MirrorX
	}
	for range t & 3 {
		c = c.quarter()
	}
	return c
}

// quarter turns clockwise: (x, y) goes to (h−1−y, x), which is the exchange of
// axes followed by a left–right mirror.
func (c Cell) quarter() Cell {
	out := c &^ TurnBits
	if c&Exchange == 0 {
		out |= Exchange
	}
	if c&MirrorY == 0 {
		out |= MirrorX
	}
	if c&MirrorX != 0 {
		out |= MirrorY
	}
	return out
}
