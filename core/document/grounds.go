package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"slices"
)

// Ground is an area of a map, in cells, whose tiles do something without being solid all
// over: they let nobody back over a side, or are one of Grounds.
type Ground struct {
	grid.Rect
	OneWay Facing `json:"oneWay"`
	Is     string `json:"is"`
}

// Grounds lists them, merged as far as they are alike: sides first, then by what they are.
func (s *Solids) Grounds(m *Map) []Ground {
	out := []Ground{}
	speaks := func(c cells.Cell) *TileInfo {
		if info := s.sheets.Info(c); info != nil && (info.OneWay != "" || info.Is != "") {
			return info
		}
		return nil
	}
	if !s.anyGround() {
		return out
	}
	sides, areas := map[Facing]*grid.Region{}, map[string]*grid.Region{}
	for _, l := range s.ground(m).layers {
		candidates := l.Cells.Region(m.Bounds, func(c cells.Cell) bool { return c.IsMaterial() || speaks(c) != nil })
		for _, p := range candidates.Points() {
			if here, _ := s.ground(m).on(p); !slices.Contains(here, l) {
				continue
			}
			c := l.Cells.At(p.X, p.Y)
			if c.IsMaterial() {
				c = s.fitter.At(l.Cells, m.Bounds, p.X, p.Y).Cell
			}
			info := speaks(c)
			if info == nil {
				continue
			}
			if info.OneWay != "" {
				addTo(sides, info.OneWay.Turned(turnOf(c)), p)
			}
			if info.Is != "" && (info.Is != GroundWater || s.Water(m, p)) {
				addTo(areas, info.Is, p)
			}
		}
	}
	for _, side := range []Facing{Up, Right, Down, Left} {
		if r := sides[side]; r != nil {
			for _, run := range sideRuns(r, side) {
				out = append(out, Ground{Rect: run, OneWay: side})
			}
		}
	}
	for _, is := range Grounds {
		if r := areas[is]; r != nil {
			for _, rect := range r.Rects() {
				out = append(out, Ground{Rect: rect, Is: is})
			}
		}
	}
	return out
}

// anyGround says whether any tile does something without being solid.
func (s *Solids) anyGround() bool {
	return slices.ContainsFunc(s.doc.TilesetsInOrder(), func(t *Tileset) bool {
		return slices.ContainsFunc(t.Infos, func(i TileInfo) bool { return i.OneWay != "" || i.Is != "" })
	})
}

func addTo[K comparable](all map[K]*grid.Region, key K, p grid.Point) {
	if all[key] == nil {
		all[key] = &grid.Region{}
	}
	all[key].Add(p)
}

// Here tells whether a cell can be climbed, and whether it hurts: by a zone or by a tile of a
// layer that is not in front of the hero. A walkable zone takes the hurt away.
func (s *Solids) Here(m *Map, p grid.Point) (ladder, hazard bool) {
	walkable := false
	say := func(is string) {
		ladder, hazard = ladder || is == GroundLadder, hazard || is == GroundHazard
		walkable = walkable || is == ZoneWalkable
	}
	layers, zoned := s.ground(m).on(p)
	for _, l := range zoned {
		say(s.zones[l.Cells.At(p.X, p.Y).Tileset()])
	}
	for _, l := range layers {
		c := l.Cells.At(p.X, p.Y)
		if c.IsMaterial() {
			c = s.fitter.At(l.Cells, m.Bounds, p.X, p.Y).Cell
		}
		if c == 0 {
			continue
		}
		if info := s.sheets.Info(c); info != nil {
			say(info.Is)
			if is := s.words[info.Zone]; is != ZoneWalkable {
				say(is)
			}
		}
	}
	return ladder, hazard && !walkable
}

// Broken reports whether what lies on a cell is solid in part, or from one side.
func (s *Solids) Broken(m *Map, p grid.Point) (broken bool) {
	s.partsAt(m, p, func(cells.Cell, *TileInfo) { broken = true })
	return broken
}
