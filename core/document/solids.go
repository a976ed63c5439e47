package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"azzel/core/material"
	"slices"
)

// Solids answers what stands in the way on a document's maps; it keeps what it
// looked up, so make one for each document.
type Solids struct {
	doc    *Document
	sheets *Sheets
	fitter *material.Fitter
	// zones says what each zone is, by number.
	zones map[int]string
	// words says it by the zones' ids, for tiles that count as a zone.
	words map[ID]string
	maps  map[ID]*ground
	// last is the map that was asked about last; most questions are about one map.
	last   *Map
	lastOf *ground
	// blocks are merged when they are first asked for.
	blocks map[blockKey]*barriers
}

// ground is the layers of a map that stop: of tiles from below, of zones from above.
type ground struct {
	layers, zoned []*Layer
	// covers are those in whose place nothing below counts, from above.
	covers []cover
}

// cover is a layer that covers: its place among those of tiles, and how many zones lie above it.
type cover struct {
	layer, zones int
	of           *Layer
}

// on are the layers that count on a cell.
func (g *ground) on(p grid.Point) (layers, zoned []*Layer) {
	for _, c := range g.covers {
		if c.of.Cells.At(p.X, p.Y) != 0 {
			return g.layers[c.layer:], g.zoned[:c.zones]
		}
	}
	return g.layers, g.zoned
}

// Solids makes the answerer for this document.
func (d *Document) Solids() *Solids {
	s := &Solids{doc: d, sheets: d.Sheets(), fitter: d.Fitter(), zones: map[int]string{}, words: map[ID]string{}, maps: map[ID]*ground{}, blocks: map[blockKey]*barriers{}}
	for _, z := range d.Zones.All() {
		s.zones[z.Number], s.words[z.ID] = z.Is, z.Is
	}
	return s
}

// At reports whether a cell stops the hero: a zone that is blocked or walkable
// decides, the topmost first; else a solid tile on any layer that is not in
// front of the hero. Hidden layers count: hiding is for the designer's eyes.
func (s *Solids) At(m *Map, p grid.Point) bool {
	switch s.zoneAt(m, p) {
	case ZoneBlocked:
		return true
	case ZoneWalkable:
		return false
	}
	layers, _ := s.ground(m).on(p)
	for _, l := range layers {
		if s.Shown(m, l, p) {
			return true
		}
	}
	return false
}

// Shown reports whether what a layer shows on a cell is solid; of a material
// that is the tile that fits, or any of the quarters.
func (s *Solids) Shown(m *Map, l *Layer, p grid.Point) bool {
	c := l.Cells.At(p.X, p.Y)
	if !c.IsMaterial() {
		return s.Cell(c)
	}
	shown := s.fitter.At(l.Cells, m.Bounds, p.X, p.Y)
	if shown.Quarters == nil {
		return s.Cell(shown.Cell)
	}
	for _, q := range shown.Quarters {
		if s.Cell(q) {
			return true
		}
	}
	return false
}

// outlines are those of a tile's solid part, as it lies turned, in half pixels
// of a cell of w × h.
func (s *Solids) outlines(c cells.Cell, info *TileInfo, w, h int) []Outline {
	all, wide, high := info.Own.clone(), 1, 1
	if part := PartOf(info.Part); part != nil {
		all, wide, high = Outlines{slices.Clone(part.Area)}, 2, 2
	} else if t := s.sheets.Tileset(c); t != nil {
		wide, high = t.Cut.CellWidth, t.Cut.CellHeight
	}
	for i, o := range all {
		for k := range o {
			o[k] = grid.Point{X: o[k].X * 2 * w / wide, Y: o[k].Y * 2 * h / high}
		}
		all[i] = o.turned(2*w, 2*h, c)
	}
	return all
}

// turnOf is the turn that a cell's bits stand for.
func turnOf(c cells.Cell) grid.Turn {
	for t := grid.Same; t < 8; t++ {
		if cells.TileCell(1, 0).Turned(t)&cells.TurnBits == c&cells.TurnBits {
			return t
		}
	}
	return grid.Same
}

// Zoned reports whether a blocked zone, rather than a tile, stops the hero on a cell.
func (s *Solids) Zoned(m *Map, p grid.Point) bool {
	return s.zoneAt(m, p) == ZoneBlocked
}

// Water reports whether a cell is under water: a zone of water lies on it, or
// the topmost tile that the hero would stand on is water.
func (s *Solids) Water(m *Map, p grid.Point) bool {
	layers, zoned := s.ground(m).on(p)
	for _, l := range zoned {
		if is := s.zones[l.Cells.At(p.X, p.Y).Tileset()]; is != "" {
			return is == ZoneWater
		}
	}
	for i := len(layers) - 1; i >= 0; i-- {
		c := layers[i].Cells.At(p.X, p.Y)
		if c == 0 {
			continue
		}
		if c.IsMaterial() {
			shown := s.fitter.At(layers[i].Cells, m.Bounds, p.X, p.Y)
			if shown.Quarters != nil {
				return false // partly something else
			}
			c = shown.Cell
		}
		info := s.sheets.Info(c)
		return info != nil && (info.Is == GroundWater || s.words[info.Zone] == ZoneWater)
	}
	return false
}

func (s *Solids) ground(m *Map) *ground {
	if s.last == m {
		return s.lastOf
	}
	g := s.maps[m.ID]
	if g == nil {
		g = &ground{}
		for _, l := range m.LayersInOrder() {
			switch {
			case l.Cells.Empty(), l.Absent:
			case l.Kind == LayerTiles && !l.Front:
				if l.Covers {
					g.covers = append([]cover{{layer: len(g.layers), of: l}}, g.covers...)
				}
				g.layers = append(g.layers, l)
			case l.Kind == LayerZones:
				g.zoned = append([]*Layer{l}, g.zoned...)
				for i := range g.covers {
					g.covers[i].zones++
				}
			}
		}
		s.maps[m.ID] = g
	}
	s.last, s.lastOf = m, g
	return g
}

func (s *Solids) zoneAt(m *Map, p grid.Point) string {
	_, zoned := s.ground(m).on(p)
	for _, l := range zoned {
		if is := s.zones[l.Cells.At(p.X, p.Y).Tileset()]; is == ZoneBlocked || is == ZoneWalkable {
			return is
		}
	}
	return ""
}

// Cell reports whether a cell shows a tile that stops the hero all over: one
// that counts as a blocked zone, or a solid one that does not count as walkable.
func (s *Solids) Cell(c cells.Cell) bool {
	if info := s.sheets.Info(c); info != nil {
		switch s.words[info.Zone] {
		case ZoneBlocked:
			return true
		case ZoneWalkable:
			return false
		}
	}
	return s.sheets.Solid(c)
}

// Any reports whether anything on the map is solid.
func (s *Solids) Any(m *Map) bool {
	if len(s.ground(m).covers) > 0 {
		return !s.Region(m).Empty()
	}
	blocks := func(c cells.Cell) bool { return s.zones[c.Tileset()] == ZoneBlocked }
	for _, l := range s.ground(m).zoned {
		if l.Cells.Any(m.Bounds, blocks) {
			return true
		}
	}
	for _, l := range s.ground(m).layers {
		fitted := false
		if l.Cells.Any(m.Bounds, func(c cells.Cell) bool {
			fitted = fitted || c.IsMaterial()
			return !c.IsMaterial() && s.Cell(c)
		}) {
			return true
		}
		if !fitted {
			continue
		}
		for _, at := range l.Cells.Region(m.Bounds, cells.Cell.IsMaterial).Points() {
			if s.Shown(m, l, at) {
				return true
			}
		}
	}
	return false
}
