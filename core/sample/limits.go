package sample

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
)

// Square is a project with one more map of side×side cells: layers of tiles of which so many are filled with cells that differ from
// their neighbours, and above them one of entities with a spawn in the middle. Nothing of it is solid.
func Square(side, layers, filled int) *document.Document {
	d := World()
	m := square(side, layers, filled)
	d.Maps = d.Maps.With(m.ID, m)
	return d
}

// Crowded is a project with as many entities on one of its maps as one may have, of all kinds by turns, a hundred in a row.
func Crowded(d *document.Document, of document.ID) *document.Document {
	m := *d.Maps.Get(of)
	for i := range document.MaxEntities - m.Entities.Len() {
		k := kind.All[i%len(kind.All)]
		e := document.Entity{ID: document.NewID(), Layer: Entities, Kind: string(k.ID), Name: fmt.Sprint(k.Name, " ", i), Facing: document.Right, X: i % 100 * 80, Y: i / 100 * 80, W: 16, H: 16}
		m.Entities = m.Entities.With(e.ID, &e)
	}
	out := *d
	out.Maps = d.Maps.With(of, &m)
	return &out
}

// Large is the map that Square and Limits make.
const Large = document.ID("largelargela")

func square(side, layers, filled int) *document.Map {
	m := *World().Maps.Get(Quay)
	m.ID, m.Name, m.Order, m.Chart = Large, "Large", -1, nil
	m.Bounds = grid.Rect{W: side, H: side}
	m.Layers, m.Entities = document.Table[document.Layer]{}, document.Table[document.Entity]{}
	all := &grid.Region{}
	all.AddRect(m.Bounds)
	for i := range layers {
		l := document.Layer{ID: id('l', i), Name: fmt.Sprint("Layer ", i), Kind: document.LayerTiles, Opacity: 100, Order: i}
		if i < filled {
			l.Cells, _ = cells.Paint(all, m.Bounds, woven(i), 7, grid.Point{X: i}).Apply(cells.Plane{})
		}
		m.Layers = m.Layers.With(l.ID, &l)
	}
	m.Layers = m.Layers.With(Entities, &document.Layer{ID: Entities, Name: "Entities", Kind: document.LayerEntities, Opacity: 100, Order: layers})
	spawn := document.Entity{ID: id('s', 0), Layer: Entities, Kind: kind.Spawn, Name: "Start", Facing: document.Down, X: side * 8, Y: side * 8, W: 16, H: 16}
	m.Entities = m.Entities.With(spawn.ID, &spawn)
	return &m
}

// woven is 7×5 tiles none of which is like the one beside it; the first are not solid in World.
func woven(i int) []cells.Cell {
	out := make([]cells.Cell, 35)
	for k := range out {
		out[k] = cells.TileCell(1, 8+(k*3+i)%8)
	}
	return out
}

// Limits is a project at all of its limits at once: 1,000 maps, 200,000 entities of which 10,000 stand on one map, and that map of 2048×2048
// cells in 32 layers; 64 million cells that differ from their neighbours.
func Limits() *document.Document {
	d := Maps(document.MaxMaps-World().Maps.Len()-1, 0)
	m := square(document.MaxSide, document.MaxLayers-1, 15)
	d.Maps = d.Maps.With(m.ID, m)
	const others = document.MaxMaps - 1
	const each, more = (document.MaxProjectEntities - document.MaxEntities) / others, (document.MaxProjectEntities - document.MaxEntities) % others
	bounds := grid.Rect{W: 32, H: 32}
	all := &grid.Region{}
	all.AddRect(bounds)
	ground, _ := cells.Paint(all, bounds, woven(1), 7, grid.Point{}).Apply(cells.Plane{})
	for i, m := range d.MapsInOrder() {
		next := *m
		n := each
		if i <= more { // Large is the first
			n++
		}
		if m.ID == Large {
			n = document.MaxEntities
		} else {
			next.Bounds = bounds
			next.Chart = &grid.Point{X: i % 32 * 640, Y: i / 32 * 640}
			l := *m.Layers.Get(Ground)
			l.Cells = ground
			next.Layers = m.Layers.With(l.ID, &l)
		}
		for k := next.Entities.Len(); k < n; k++ {
			e := document.Entity{ID: id('k', i*300+k%300)[:9] + document.ID(fmt.Sprintf("%c%c%c", 'a'+k/676%26, 'a'+k/26%26, 'a'+k%26)), Layer: Entities, Kind: kind.Sign,
				Name: fmt.Sprint("Sign ", k), Facing: document.Down, X: k % 30 * 16, Y: k / 30 * 16, W: 16, H: 16}
			next.Entities = next.Entities.With(e.ID, &e)
		}
		d.Maps = d.Maps.With(m.ID, &next)
	}
	return d
}
