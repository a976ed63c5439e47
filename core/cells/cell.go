// Package cells stores what lies in the cells of a layer: single cells, chunks
// of 32×32 that documents share until one of them writes, planes of chunks, and
// patches that change a plane and can be turned back.
package cells

// Cell is what lies in one cell of a layer, in 32 bits; 0 is empty.
//
//	bits 31–29  turn: mirrored left–right, mirrored up–down, axes exchanged
//	bit  28     material instead of tile
//	bits 27–16  tileset (or material) number, 1 to 4095
//	bits 15–0   tile id in the tileset (or variant)
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

// Valid reports whether c is empty or names a tileset; materials are not written yet.
func (c Cell) Valid() bool { return c == 0 || c.Tileset() != 0 && c&(1<<28) == 0 }
