// Package sample makes small documents and random edits for tests and benchmarks.
package sample

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
	"math/rand/v2"
)

// Ids of what World holds.
const (
	Quay     = document.ID("quayquayquay")
	Pans     = document.ID("panspanspans")
	Coast    = document.ID("coastcoastco")
	Ground   = document.ID("groundground")
	Things   = document.ID("thingsthings")
	Entities = document.ID("entitiesenti")
	Spawn    = document.ID("spawnspawnsp")
	Exit     = document.ID("exitexitexit")
	Switch   = document.ID("switchswitch")
	Door     = document.ID("doordoordoor")
	Pearl    = document.ID("pearlpearlpe")
	Lit      = document.ID("litlitlitlit")
)

// Wall and Floor are a solid and a free tile of World's tileset.
var (
	Floor = cells.TileCell(1, 0)
	Wall  = cells.TileCell(1, 1)
)

// World is two maps of 20×12 cells of 16 pixels with the same layers, walls
// round the Quay, and on the Quay a spawn, an exit, a switch, a door and a collectible.
func World() *document.Document {
	d := document.New("Sample")
	d.Tilesets = d.Tilesets.With(Coast, &document.Tileset{ID: Coast, Name: "Coast", Number: 1, Picture: fmt.Sprintf("%064d", 1),
		Width: 128, Height: 128, Cut: document.Cut{CellWidth: 16, CellHeight: 16}, Solid: []int{1}})
	for i, id := range []document.ID{Quay, Pans} {
		m := &document.Map{ID: id, Name: []string{"Quay", "Pans"}[i], Order: i, Bounds: grid.Rect{W: 20, H: 12}, CellWidth: 16, CellHeight: 16}
		for k, l := range []document.Layer{
			{ID: Ground, Name: "Ground", Kind: document.LayerTiles},
			{ID: Things, Name: "Things", Kind: document.LayerTiles},
			{ID: Entities, Name: "Entities", Kind: document.LayerEntities},
		} {
			l.Order, l.Opacity = k, 100
			m.Layers = m.Layers.With(l.ID, &l)
		}
		d.Maps = d.Maps.With(id, m)
	}
	all := &grid.Region{}
	all.AddRect(grid.Rect{W: 20, H: 12})
	rim := &grid.Region{}
	for _, r := range []grid.Rect{{W: 20, H: 1}, {Y: 11, W: 20, H: 1}, {W: 1, H: 12}, {X: 19, W: 1, H: 12}} {
		rim.AddRect(r)
	}
	do := []edit.Primitive{
		Paint(Quay, Ground, all, Floor), Paint(Quay, Things, rim, Wall), Paint(Pans, Ground, all, Floor),
	}
	for _, e := range []document.Entity{
		{ID: Spawn, Kind: kind.Spawn, Name: "Spawn", X: 32, Y: 32},
		{ID: Exit, Kind: kind.Exit, Name: "Exit", X: 288, Y: 80, H: 32},
		{ID: Switch, Kind: kind.Switch, Name: "Switch", X: 96, Y: 16},
		{ID: Door, Kind: kind.Door, Name: "Door", X: 160, Y: 32},
		{ID: Pearl, Kind: kind.Collectible, Name: "Pearl", X: 64, Y: 32},
	} {
		e.Layer, e.Facing, e.W, e.H = Entities, document.Down, 16, max(16, e.H)
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: Quay, ID: e.ID}, e))
	}
	do = append(do, edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: Lit}, document.Flag{ID: Lit, Name: "Lit"}))
	res := edit.Apply(d, &edit.Edit{Do: do})
	if len(res.Dropped) > 0 {
		panic(res.Dropped[0])
	}
	return res.Doc
}

// Paint is the primitive that paints one tile over a region.
func Paint(m, layer document.ID, r *grid.Region, c cells.Cell) edit.Primitive {
	return edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: m, ID: layer},
		Cells: cells.Paint(r, grid.Rect{X: -64, Y: -64, W: 4096, H: 4096}, []cells.Cell{c}, 1, grid.Point{})}
}

// ID draws an id from a random source.
func ID(r *rand.Rand) document.ID {
	const letters = "abcdefghijklmnopqrstuvwxyz234567"
	b := make([]byte, 12)
	for i := range b {
		b[i] = letters[r.IntN(32)]
	}
	return document.ID(b)
}

func pick[T any](r *rand.Rand, all []T) (out T, ok bool) {
	if len(all) == 0 {
		return out, false
	}
	return all[r.IntN(len(all))], true
}

// Primitives draws one to three random steps that make sense for a document.
func Primitives(r *rand.Rand, d *document.Document) []edit.Primitive {
	var out []edit.Primitive
	for range 1 + r.IntN(3) {
		out = append(out, primitive(r, d))
	}
	return out
}

func primitive(r *rand.Rand, d *document.Document) edit.Primitive {
	m, ok := pick(r, d.Maps.All())
	if !ok {
		return edit.Set(edit.Ref{Type: edit.TypeProject}, "name", fmt.Sprintf("P%d", r.IntN(9)))
	}
	l, hasLayer := pick(r, m.Layers.All())
	e, hasEntity := pick(r, m.Entities.All())
	if r.IntN(40) == 0 {
		return gameStep(r)
	}
	switch n := r.IntN(24); {
	case n >= 20:
		return logic(r, d)
	case n < 8 && hasLayer:
		reg := &grid.Region{}
		reg.AddRect(grid.Rect{X: r.IntN(40) - 10, Y: r.IntN(40) - 10, W: 1 + r.IntN(12), H: 1 + r.IntN(12)})
		return Paint(m.ID, l.ID, reg, cells.TileCell(1, r.IntN(4)))
	case n < 11 && hasEntity:
		return edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "x", r.IntN(300))
	case n < 12 && hasEntity:
		return edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "name", fmt.Sprintf("Lamp %d", r.IntN(4)))
	case n < 14:
		id := ID(r)
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: id}, document.Entity{ID: id, Layer: Entities,
			Kind: kind.Collectible, Name: "Pearl", Facing: document.Down, X: r.IntN(300), Y: r.IntN(180), W: 16, H: 16})
	case n < 15 && hasEntity:
		return edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID})
	case n < 16 && hasLayer:
		return edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID})
	case n < 17:
		id := ID(r)
		return edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: id},
			document.Layer{ID: id, Name: "Ground", Kind: document.LayerTiles, Opacity: 100, Order: r.IntN(9)})
	case n < 18:
		id := ID(r)
		return edit.Insert(edit.Ref{Type: edit.TypeMap, ID: id}, document.Map{ID: id, Name: "Quay", Bounds: grid.Rect{W: 9, H: 9}, CellWidth: 16, CellHeight: 16})
	case n < 19:
		return edit.Remove(edit.Ref{Type: edit.TypeMap, ID: m.ID})
	}
	return edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "bounds", grid.Rect{X: r.IntN(4) - 2, W: 10 + r.IntN(20), H: 12})
}

// Rooms is a project of n maps of 64×64 cells, each with ground all over of tiles that
// differ from cell to cell, and things on every fifth cell.
func Rooms(n int) *document.Document {
	d := Maps(n, 3*n)
	r := rand.New(rand.NewPCG(7, 7))
	bounds := grid.Rect{W: 64, H: 64}
	all := &grid.Region{}
	all.AddRect(bounds)
	for _, m := range d.Maps.All() {
		next := *m
		next.Bounds = bounds
		if next.Chart != nil {
			next.Chart = &grid.Point{X: next.Order % 32 * 1024, Y: next.Order / 32 * 1024}
		}
		for _, l := range m.LayersInOrder() {
			if l.Kind != document.LayerTiles {
				continue
			}
			filled := *l
			filled.Cells, _ = cells.PaintEach(all, bounds, func(x, y int) (cells.Cell, bool) {
				if l.ID != Ground && r.IntN(5) > 0 {
					return 0, true
				}
				return cells.TileCell(1, 8+r.IntN(8)), true
			}).Apply(cells.Plane{})
			next.Layers = next.Layers.With(l.ID, &filled)
		}
		d.Maps = d.Maps.With(m.ID, &next)
	}
	return d
}

// id is the i-th id of a sort.
func id(what byte, i int) document.ID {
	return document.ID(fmt.Sprintf("%c%c%c%c%caaaaaaa", what, 'a'+i/17576%26, 'a'+i/676%26, 'a'+i/26%26, 'a'+i%26))
}

// Maps is a project of n maps of 20×12 cells that lie edge to edge on the chart,
// with passages between them.
func Maps(n, passages int) *document.Document {
	d := World()
	one := d.Maps.Get(Pans)
	for i := range n {
		m := *one
		m.ID, m.Name, m.Order = id('m', i), fmt.Sprint("Map ", i), i
		m.Chart = &grid.Point{X: i % 32 * 320, Y: i / 32 * 192}
		for k := range max(1, passages/n) {
			for _, kind := range []string{kind.Exit, kind.Arrival} {
				e := document.Entity{ID: id(kind[0], i*8+k), Layer: Entities, Kind: kind, Name: fmt.Sprint(kind, k), Facing: document.Down, X: 32 + k*48, Y: 48, W: 16, H: 16}
				m.Entities = m.Entities.With(e.ID, &e)
			}
		}
		d.Maps = d.Maps.With(m.ID, &m)
	}
	for i := range passages {
		m, to := i%n, (i*7+1)%n
		p := document.Passage{ID: id('p', i), From: document.End{Map: id('m', m), Entity: id('e', m*8+i/n)}, To: document.End{Map: id('m', to), Entity: id('a', to*8+i/n)}}
		d.Passages = d.Passages.With(p.ID, &p)
	}
	return d
}

// With is a document after some primitives, none of which may be dropped.
func With(d *document.Document, do ...edit.Primitive) *document.Document {
	res := edit.Apply(d, &edit.Edit{Do: do})
	if len(res.Dropped) > 0 {
		panic(fmt.Sprint(res.Dropped))
	}
	return res.Doc
}
