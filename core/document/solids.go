package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
)

// Solids answers what stands in the way on a document's maps; it keeps what it
// looked up, so make one for each document.
type Solids struct {
	sheets *Sheets
	layers map[ID][]*Layer
	kinds  map[mapKind][]*Entity
}

type mapKind struct {
	m    ID
	kind string
}

// Solids makes the answerer for this document.
func (d *Document) Solids() *Solids {
	return &Solids{sheets: d.Sheets(), layers: map[ID][]*Layer{}, kinds: map[mapKind][]*Entity{}}
}

// At reports whether a solid tile lies on a cell, on any layer that is not in
// front of the hero. Hidden layers count: hiding is for the designer's eyes.
func (s *Solids) At(m *Map, p grid.Point) bool {
	layers, ok := s.layers[m.ID]
	if !ok {
		for _, l := range m.LayersInOrder() {
			if l.Kind == LayerTiles && !l.Front && !l.Cells.Empty() {
				layers = append(layers, l)
			}
		}
		s.layers[m.ID] = layers
	}
	for _, l := range layers {
		if s.Cell(l.Cells.At(p.X, p.Y)) {
			return true
		}
	}
	return false
}

// Cell reports whether a cell shows a solid tile.
func (s *Solids) Cell(c cells.Cell) bool { return s.sheets.Solid(c) }

// Doors, Exits and Collectibles list the entities of a kind on a map, by id.
func (s *Solids) Doors(m *Map) []*Entity { return s.kind(m, KindDoor) }

// Exits lists a map's exits.
func (s *Solids) Exits(m *Map) []*Entity { return s.kind(m, KindExit) }

// Collectibles lists a map's collectibles.
func (s *Solids) Collectibles(m *Map) []*Entity { return s.kind(m, KindCollectible) }

// Switches lists a map's switches.
func (s *Solids) Switches(m *Map) []*Entity { return s.kind(m, KindSwitch) }

func (s *Solids) kind(m *Map, kind string) []*Entity {
	key := mapKind{m.ID, kind}
	all, ok := s.kinds[key]
	if !ok {
		for _, e := range m.Entities.All() {
			if e.Kind == kind {
				all = append(all, e)
			}
		}
		s.kinds[key] = all
	}
	return all
}

// Any reports whether anything on the map is solid.
func (s *Solids) Any(m *Map) bool {
	for _, l := range m.LayersInOrder() {
		if l.Kind != LayerTiles || l.Front {
			continue
		}
		for _, c := range l.Cells.Chunks() {
			if v, ok := c.Chunk.Uniform(); ok {
				if s.Cell(v) {
					return true
				}
				continue
			}
			for y := range grid.ChunkSize {
				for x := range grid.ChunkSize {
					if s.Cell(c.Chunk.At(x, y)) {
						return true
					}
				}
			}
		}
	}
	return false
}
