package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"errors"
	"slices"
)

// Foreign is what an arrangement from another project is made of.
type Foreign struct {
	Tilesets  []document.Tileset  `json:"tilesets"`
	Materials []document.Material `json:"materials"`
	Zones     []document.Zone     `json:"zones"`
}

// UsedBy lists the tilesets, materials and zones of an arrangement.
func UsedBy(d *document.Document, piece *document.Motif) Foreign {
	out := Foreign{Tilesets: []document.Tileset{}, Materials: []document.Material{}, Zones: []document.Zone{}}
	sets, paints, zones := map[int]bool{}, map[int]bool{}, map[int]bool{}
	see := func(kind string, c cells.Cell) {
		switch {
		case c == 0:
		case kind == document.LayerZones:
			zones[c.Tileset()] = true
		case c.IsMaterial():
			paints[c.Tileset()] = true
		default:
			sets[c.Tileset()] = true
		}
	}
	for _, p := range piece.Parts {
		for _, c := range Palette(p.Cells) {
			see(p.Kind, c)
		}
	}
	for _, e := range piece.Entities {
		see(document.LayerTiles, e.Look)
		see(document.LayerTiles, e.LookOn)
		for _, g := range e.Guises {
			see(document.LayerTiles, g.Look)
		}
	}
	for _, m := range d.MaterialsInOrder() {
		if !paints[m.Number] {
			continue
		}
		out.Materials = append(out.Materials, *m)
		for _, t := range m.Tiles {
			sets[t.Cell.Tileset()] = true
		}
	}
	for _, t := range d.TilesetsInOrder() {
		if sets[t.Number] {
			out.Tilesets = append(out.Tilesets, *t)
			for _, i := range t.Infos {
				if z := d.Zones.Get(i.Zone); z != nil {
					zones[z.Number] = true
				}
			}
		}
	}
	for _, z := range d.ZonesInOrder() {
		if zones[z.Number] {
			out.Zones = append(out.Zones, *z)
		}
	}
	return out
}

// Palette lists the different cells of a patch.
func Palette(p cells.Patch) []cells.Cell {
	seen := map[cells.Cell]bool{}
	var out []cells.Cell
	plane, _ := p.Apply(cells.Plane{})
	region := p.Region()
	plane.Region(region.Bounds(), func(c cells.Cell) bool {
		if !seen[c] {
			seen[c] = true
			out = append(out, c)
		}
		return false
	})
	return out
}

// Adoption brings an arrangement from another project over: what it is made of
// is found again in this one by its picture and name, or made under the numbers
// that are given.
type Adoption struct {
	// Needs is how many numbers are wanted and not given yet.
	Needs int
	Change
	Piece *document.Motif
}

// Adopt plans an adoption.
func Adopt(d *document.Document, piece *document.Motif, from Foreign, numbers []int) (Adoption, error) {
	a := Adoption{Change: changed("Brought in what a copy is made of")}
	left := numbers
	take := func() int {
		if len(left) == 0 {
			a.Needs++
			return 1 // only counted with
		}
		n := left[0]
		left = left[1:]
		return n
	}
	sets, paints, zones := map[int]int{}, map[int]int{}, map[int]int{}
	ids := map[document.ID]document.ID{}
	for _, z := range from.Zones {
		if own := sameZone(d, &z); own != nil {
			zones[z.Number], ids[z.ID] = own.Number, own.ID
			continue
		}
		next := z
		next.Number = take()
		zones[z.Number] = next.Number
		if a.Needs == 0 {
			c, err := AddZone(d, next)
			if err != nil {
				return a, err
			}
			ids[z.ID] = c.Made
			a.Do = append(a.Do, c.Do...)
		}
	}
	for _, t := range from.Tilesets {
		if own := sameTileset(d, &t); own != nil {
			sets[t.Number] = own.Number
			continue
		}
		next := t
		next.Infos = rezoned(t.Infos, ids)
		next.Number = take()
		sets[t.Number] = next.Number
		if a.Needs == 0 {
			c, err := AddTileset(d, next)
			if err != nil {
				return a, err
			}
			a.Do = append(a.Do, c.Do...)
		}
	}
	for _, m := range from.Materials {
		next := m
		next.Tiles = []material.Tile{}
		for _, t := range m.Tiles {
			t.Cell, t.Beside = renumbered(t.Cell, sets, paints), 0
			next.Tiles = append(next.Tiles, t)
		}
		if own := sameMaterial(d, &next); own != nil {
			paints[m.Number] = own.Number
			continue
		}
		next.Number = take()
		paints[m.Number] = next.Number
		if a.Needs == 0 {
			c, err := AddMaterial(d, next)
			if err != nil {
				return a, err
			}
			a.Do = append(a.Do, c.Do...)
		}
	}
	if a.Needs > 0 {
		return a, nil
	}
	next := *piece
	next.Rules = nil // they name what is in the other project
	next.Parts = make([]document.MotifPart, len(piece.Parts))
	for i, p := range piece.Parts {
		plane, _ := p.Cells.Apply(cells.Plane{})
		region := p.Cells.Region()
		p.Cells = cells.PaintEach(region, region.Bounds(), func(x, y int) (cells.Cell, bool) {
			c := plane.At(x, y)
			if p.Kind == document.LayerZones {
				return cells.TileCell(zones[c.Tileset()], 0), zones[c.Tileset()] > 0
			}
			c = renumbered(c, sets, paints)
			return c, c != 0
		})
		next.Parts[i] = p
	}
	next.Entities = make([]*document.Entity, len(piece.Entities))
	for i, e := range piece.Entities {
		copied := *e
		copied.Look, copied.LookOn = renumbered(e.Look, sets, paints), renumbered(e.LookOn, sets, paints)
		copied.Guises = slices.Clone(e.Guises)
		for i := range copied.Guises {
			copied.Guises[i].Look = renumbered(copied.Guises[i].Look, sets, paints)
		}
		next.Entities[i] = &copied
	}
	a.Piece = &next
	return a, next.CheckPiece()
}

// renumbered is a cell under the numbers of this project; 0 where it is of nothing known.
func renumbered(c cells.Cell, sets, paints map[int]int) cells.Cell {
	switch {
	case c == 0:
		return 0
	case c.IsMaterial():
		if n := paints[c.Tileset()]; n > 0 {
			return cells.MaterialCell(n, c.Tile())
		}
	case sets[c.Tileset()] > 0:
		return c&cells.TurnBits | cells.TileCell(sets[c.Tileset()], c.Tile())
	}
	return 0
}

func sameTileset(d *document.Document, t *document.Tileset) *document.Tileset {
	for _, o := range d.TilesetsInOrder() {
		if o.Picture == t.Picture && o.Cut == t.Cut {
			return o
		}
	}
	return nil
}

func sameMaterial(d *document.Document, m *document.Material) *document.Material {
	for _, o := range d.MaterialsInOrder() {
		if o.Name == m.Name && o.By == m.By && string(edit.JSON(plainTiles(o.Tiles))) == string(edit.JSON(m.Tiles)) {
			return o
		}
	}
	return nil
}

func plainTiles(all []material.Tile) []material.Tile {
	out := make([]material.Tile, len(all))
	for i, t := range all {
		t.Beside = 0
		out[i] = t
	}
	return out
}

func sameZone(d *document.Document, z *document.Zone) *document.Zone {
	for _, o := range d.ZonesInOrder() {
		if o.Name == z.Name && o.Is == z.Is {
			return o
		}
	}
	return nil
}

// rezoned are tiles' infos with zones of another project put for this one's.
func rezoned(infos []document.TileInfo, ids map[document.ID]document.ID) []document.TileInfo {
	out := slices.Clone(infos)
	for i := range out {
		out[i].Zone = ids[out[i].Zone]
	}
	return out
}

// PlanOf is the layer plan that a map's own layers make.
func PlanOf(m *document.Map) (Change, error) {
	plan := []document.PlanLayer{}
	for _, l := range m.LayersInOrder() {
		if l.Kind == document.LayerTiles || l.Kind == document.LayerEntities || l.Kind == document.LayerZones {
			plan = append(plan, l.Planned())
		}
	}
	if len(plan) == 0 {
		return Change{}, errors.New("this map has no layers that a new map could start with")
	}
	return changed("Layer plan of "+m.Name, edit.Set(edit.Ref{Type: edit.TypeProject}, "plan", plan)), nil
}
