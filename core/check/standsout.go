package check

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/material"
	"azzel/core/shade"
	"fmt"
)

// Shades tells how the tiles of a tileset look, in their order; nil while that is not known.
type Shades func(t *document.Tileset) []shade.Shade

// shadeOf is how a tile looks; nil where that is not known.
func (c *Checker) shadeOf(d *document.Document, v cells.Cell) *shade.Shade {
	if c.Shades == nil || v == 0 {
		return nil
	}
	if v.IsMaterial() { // as its first tile that is it all over
		m := d.MaterialByNumber(v.Tileset())
		if m == nil {
			return nil
		}
		for _, t := range m.Tiles {
			if t.Form.Key(m.By) == material.Form(255).Key(m.By) {
				return c.shadeOf(d, t.Cell)
			}
		}
		return nil
	}
	t := d.TilesetByNumber(v.Tileset())
	if t == nil {
		return nil
	}
	if all := c.Shades(t); v.Tile() < len(all) {
		return &all[v.Tile()]
	}
	return nil
}

// heroShade is how the hero looks that walks where none was placed, seen from its front; of nothing where it is no tile, or not known.
func (c *Checker) heroShade(d *document.Document) (none shade.Shade) {
	k := d.Kind(d.HeroKind())
	if k == nil {
		return none
	}
	look := k.Look
	for _, frames := range [][4][]cells.Cell{d.Project.Hero.Frames, k.Frames} {
		if all := frames[document.Down.Index()]; len(all) > 0 {
			look = all[0]
		}
	}
	t := d.TilesetByNumber(look.Tileset())
	if look == 0 || t == nil {
		return none
	}
	columns, _ := t.Cut.Tiles(t.Width, t.Height)
	var all []shade.Shade
	for y := range max(1, k.Down) {
		for x := range max(1, k.Across) {
			if s := c.shadeOf(d, cells.TileCell(look.Tileset(), look.Tile()+y*columns+x)); s != nil {
				all = append(all, *s)
			}
		}
	}
	if len(all) == 0 {
		return none
	}
	return shade.Together(all)
}

// Where the hero hardly stands out from so many hundredths of the free ground of a map, and from so many cells, it is told.
const (
	hidesOn    = 5
	hidesCells = 4
)

// standsOut finds where the hero is hardly seen: on cells that it can stand in whose ground looks as it does.
func (c *Checker) standsOut(d *document.Document, solids *document.Solids, m *document.Map, hero *shade.Shade) []Finding {
	solid := walls(solids, m)
	if m.Template || hero.Covers == 0 || solid == nil || !walksOn(d, m) {
		return nil
	}
	var layers []cells.Plane
	order := m.LayersInOrder()
	for i := len(order) - 1; i >= 0; i-- {
		if l := order[i]; l.Kind == document.LayerTiles && m.Shown(l) && !l.Front && !l.Absent && l.Opacity == 100 && l.Tint == "" {
			layers = append(layers, l.Cells)
		}
	}
	known := map[cells.Cell]*shade.Shade{}
	b := m.Bounds
	free, hides, first := 0, 0, grid.Point{}
	for y := range b.H {
		for x := range b.W {
			if solid[y*b.W+x] {
				continue
			}
			free++
			for _, plane := range layers {
				v := plane.At(b.X+x, b.Y+y)
				if v == 0 {
					continue
				}
				s, seen := known[v]
				if !seen {
					s = c.shadeOf(d, v)
					known[v] = s
				}
				if s == nil {
					break // it is not known what is there
				}
				if s.Covers < 60 {
					continue // what lies below is seen more
				}
				if hero.Hides(s) {
					if hides++; hides == 1 {
						first = grid.Point{X: b.X + x, Y: b.Y + y}
					}
				}
				break
			}
		}
	}
	if hides < hidesCells || hides*100 < free*hidesOn {
		return nil
	}
	return []Finding{{What: HardToSee, Of: document.TypeMap, Map: m.ID, ID: m.ID, At: &first,
		Text: fmt.Sprintf("The hero hardly stands out from %d cells of %s, at %d, %d first: it is about as light as the ground, and of about the same colour.", hides, m.Name, first.X-b.X, first.Y-b.Y)}}
}

// walksOn reports whether somebody could come to a map: it has a spawn, an arrival, or a neighbour.
func walksOn(d *document.Document, m *document.Map) bool {
	if m.Chart != nil {
		return true
	}
	for _, e := range m.Entities.All() {
		switch d.Acts(e) {
		case kind.Spawn, kind.Arrival, kind.Hero:
			return true
		}
	}
	return false
}
