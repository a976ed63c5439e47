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
			if t.Form.Key(m.By) == material.Form(255).Key(m.By) && !t.Cell.IsMaterial() {
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

// groundLook is how a cell of a layer looks under the hero.
type groundLook struct {
	of cells.Cell
	// unknown is one of which it is not known, thin one that what lies below shows through, hides one from which the hero hardly stands out.
	unknown, thin, hides bool
}

// thinCovers is how many hundredths of a tile are to be covered for it to be what is seen there.
const thinCovers = 60

// standsOut finds where the hero is hardly seen: on cells that it can stand in whose ground looks as it does. solid is which cells it cannot
// stand in, row by row.
func (c *Checker) standsOut(d *document.Document, solid []bool, m *document.Map, hero *shade.Shade) []Finding {
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
	known := map[cells.Cell]groundLook{}
	look := func(v cells.Cell) groundLook {
		g, seen := known[v]
		if !seen {
			s := c.shadeOf(d, v)
			g = groundLook{of: v, unknown: s == nil, thin: s != nil && s.Covers < thinCovers, hides: s != nil && hero.Hides(s)}
			known[v] = g
		}
		return g
	}
	b := m.Bounds
	free, hides, first := 0, 0, grid.Point{}
	last := make([]groundLook, len(layers)) // what was seen last of each, which is often what comes next
	var chunks []*cells.Chunk
	const size = grid.ChunkSize
	for cy := grid.FloorDiv(b.Y, size); cy*size < b.Y+b.H; cy++ {
		for cx := grid.FloorDiv(b.X, size); cx*size < b.X+b.W; cx++ {
			chunks = chunks[:0]
			for _, plane := range layers {
				chunks = append(chunks, plane.Chunk(cx, cy))
			}
			part := grid.Rect{X: cx * size, Y: cy * size, W: size, H: size}.Intersect(b)
			for y := part.Y; y < part.Y+part.H; y++ {
				for x := part.X; x < part.X+part.W; x++ {
					if solid[(y-b.Y)*b.W+x-b.X] {
						continue
					}
					free++
					for i, chunk := range chunks {
						v := chunk.At(x-cx*size, y-cy*size)
						if v == 0 {
							continue
						}
						if last[i].of != v {
							last[i] = look(v)
						}
						if last[i].thin {
							continue // what lies below is seen more
						}
						if last[i].hides && !last[i].unknown {
							if hides++; hides == 1 || y < first.Y || y == first.Y && x < first.X {
								first = grid.Point{X: x, Y: y}
							}
						}
						break
					}
				}
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
