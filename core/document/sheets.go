package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
)

// Sheets answers what is set up for the tiles of a document. It keeps what it
// looked up, so make one for each document.
type Sheets struct {
	numbers []*sheet // by tileset number
}

type sheet struct {
	set   *Tileset
	solid []bool // by tile, as far as any is solid
	infos map[int]*TileInfo
}

// Sheets makes the answerer for this document.
func (d *Document) Sheets() *Sheets {
	s := &Sheets{make([]*sheet, cells.MaxTileset+1)}
	for _, t := range d.Tilesets.All() {
		if s.numbers[t.Number] != nil {
			continue // of two with one number the first id wins
		}
		one := &sheet{set: t, infos: make(map[int]*TileInfo, len(t.Infos))}
		if n := len(t.Solid); n > 0 {
			one.solid = make([]bool, t.Solid[n-1]+1)
		}
		for _, tile := range t.Solid {
			one.solid[tile] = true
		}
		for i := range t.Infos {
			one.infos[t.Infos[i].Tile] = &t.Infos[i]
		}
		s.numbers[t.Number] = one
	}
	return s
}

// Tileset is the tileset of a tile's cell, nil when it is missing.
func (s *Sheets) Tileset(c cells.Cell) *Tileset {
	if one := s.numbers[c.Tileset()]; one != nil && !c.IsMaterial() {
		return one.set
	}
	return nil
}

// anyPart reports whether any tile has a solid part.
func (s *Sheets) anyPart() bool {
	for _, one := range s.numbers {
		if one == nil {
			continue
		}
		for i := range one.set.Infos {
			if one.set.Infos[i].Part != "" {
				return true
			}
		}
	}
	return false
}

// Info is what is set up for a cell's tile, nil when nothing is.
func (s *Sheets) Info(c cells.Cell) *TileInfo {
	if one := s.numbers[c.Tileset()]; one != nil && !c.IsMaterial() {
		return one.infos[c.Tile()]
	}
	return nil
}

// Solid reports whether a cell's tile stops the hero all over.
func (s *Sheets) Solid(c cells.Cell) bool {
	if c.IsMaterial() {
		return false
	}
	one := s.numbers[c.Tileset()]
	return one != nil && c.Tile() < len(one.solid) && one.solid[c.Tile()]
}

// Odds is the weight of a cell's tile in a scatter, 1 unless it was set.
func (s *Sheets) Odds(c cells.Cell) int {
	if i := s.Info(c); i != nil {
		return i.Odds
	}
	return 1
}

// Turned is a cell turned once more. Flipped left–right, a tile that has a
// partner in its tileset, unturned, becomes the partner.
func (s *Sheets) Turned(c cells.Cell, t grid.Turn) cells.Cell {
	if t == grid.LeftRight && c&cells.TurnBits == 0 {
		if i := s.Info(c); i != nil && i.Partner >= 0 {
			return cells.TileCell(c.Tileset(), i.Partner)
		}
	}
	return c.Turned(t)
}
