// Package author resolves what a designer asks for, other than with what is
// held, into edits: maps, tilesets, moved entities, passages, rules.
package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"errors"
	"fmt"
	"strings"
)

// Change is the primitives of an edit with its label.
type Change struct {
	Do    []edit.Primitive
	Label edit.Label
	// Made is the id of the object that was made, where one was.
	Made document.ID
}

func changed(text string, do ...edit.Primitive) Change {
	return Change{Do: do, Label: edit.Label{Text: edit.Shortened(text)}}
}

const orderStep = 1 << 10

// NewMap makes a map of w × h cells with the layer plan. The first one has the cells of
// the tilesets that are there, where these agree, and with it the project.
func NewMap(d *document.Document, name string, w, h int) (Change, error) {
	return NewMapSeen(d, name, w, h, "")
}

// NewMapSeen is NewMap for one that is seen from the side or from above (kind.FromSide, kind.FromAbove); empty is as the project's maps are.
func NewMapSeen(d *document.Document, name string, w, h int, seen string) (Change, error) {
	if seen != "" && seen != kind.FromAbove && seen != kind.FromSide {
		return Change{}, fmt.Errorf("a map is seen from “above” or from the “side”, not from “%.40s”", seen)
	}
	m := document.Map{ID: document.NewID(), Name: strings.TrimSpace(name), Order: orderStep, Bounds: grid.Rect{W: w, H: h}}
	if seen != "" && d.MapValue(&m, kind.MapView).Word() != seen {
		m.Values = []kind.Value{{Key: kind.MapView, Value: kind.Of(seen)}}
	}
	m.CellWidth, m.CellHeight = firstCells(d)
	for _, o := range d.MapsInOrder() {
		m.Order = o.Order + orderStep
	}
	if err := m.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New map " + m.Name)
	if all := (edit.Ref{Type: edit.TypeProject}); m.CellWidth != d.Project.CellWidth || m.CellHeight != d.Project.CellHeight {
		c.Do = append(c.Do, edit.Set(all, "cellWidth", m.CellWidth), edit.Set(all, "cellHeight", m.CellHeight))
	}
	c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypeMap, ID: m.ID}, m))
	for i, p := range d.Project.LayerPlan() {
		l := p.Layer()
		l.ID, l.Order = document.NewID(), (i+1)*orderStep
		c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}, l))
	}
	c.Made = m.ID
	return c, nil
}

// firstCells is the size of cells, in pixels, that a new map has.
func firstCells(d *document.Document) (w, h int) {
	w, h = d.Project.CellWidth, d.Project.CellHeight
	sets := d.TilesetsInOrder()
	if d.Maps.Len() > 0 || len(sets) == 0 {
		return w, h
	}
	cut := sets[0].Cut
	for _, t := range sets {
		if t.Cut.CellWidth != cut.CellWidth || t.Cut.CellHeight != cut.CellHeight {
			return w, h
		}
	}
	return cut.CellWidth, cut.CellHeight
}

// RemoveMap removes a map and the passages that lead from it or to it.
func RemoveMap(d *document.Document, m *document.Map) Change {
	c := changed("Removed map " + m.Name)
	removed := map[document.ID]bool{}
	d.References(func(r document.Reference) {
		if end := r.As == document.AsFrom || r.As == document.AsTo; end && r.To.Lies(m.ID) && !removed[r.By.ID] {
			removed[r.By.ID] = true
			c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypePassage, ID: r.By.ID}))
		}
		if r.As == document.AsOn && r.To.Type == document.TypeMap && r.To.ID == m.ID {
			c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypePlacing, ID: r.By.ID}))
		}
	})
	c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeMap, ID: m.ID}))
	return c
}

// AddLayer puts a new layer above another, or on top where above is not of the map.
func AddLayer(m *document.Map, kind string, above document.ID) (Change, error) {
	names := map[string]string{document.LayerTiles: "Tiles", document.LayerEntities: "Entities", document.LayerZones: "Zones"}
	l := document.Layer{ID: document.NewID(), Kind: kind, Opacity: 100, Name: names[kind]}
	var order []edit.Primitive
	l.Order, order = orderAbove(m, above)
	if err := l.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New layer", append(order, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}, l))...)
	c.Made = l.ID
	return c, nil
}

// orderAbove is the order of a new layer right above another, or on top. Where
// there is no number left between two layers all are numbered afresh.
func orderAbove(m *document.Map, below document.ID) (order int, renumbered []edit.Primitive) {
	layers := m.LayersInOrder()
	for i, l := range layers {
		if l.ID != below || i+1 == len(layers) {
			continue
		}
		if gap := layers[i+1].Order - l.Order; gap > 1 {
			return l.Order + gap/2, nil
		}
		for k, o := range layers {
			if order := (k + 1) * orderStep; order != o.Order {
				renumbered = append(renumbered, edit.Set(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: o.ID}, "order", order))
			}
		}
		return (i+1)*orderStep + orderStep/2, renumbered
	}
	if len(layers) == 0 {
		return orderStep, nil
	}
	return layers[len(layers)-1].Order + orderStep, nil
}

// orderBelow is an order below all layers, with the others numbered afresh where there
// is no room.
func orderBelow(m *document.Map) (order int, renumbered []edit.Primitive) {
	layers := m.LayersInOrder()
	if len(layers) > 0 && layers[0].Order > 1 {
		return layers[0].Order / 2, nil
	}
	for k, o := range layers {
		if order := (k + 2) * orderStep; order != o.Order {
			renumbered = append(renumbered, edit.Set(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: o.ID}, "order", order))
		}
	}
	return orderStep, renumbered
}

// MoveLayer puts a layer at another place from the bottom (0) among the map's
// layers and numbers all orders afresh where they changed.
func MoveLayer(m *document.Map, id document.ID, to int) (Change, error) {
	var moved *document.Layer
	var rest []*document.Layer
	for _, l := range m.LayersInOrder() {
		if l.ID == id {
			moved = l
		} else {
			rest = append(rest, l)
		}
	}
	if moved == nil {
		return Change{}, errors.New("the layer is no longer there")
	}
	to = max(0, min(to, len(rest)))
	all := append(append(append([]*document.Layer{}, rest[:to]...), moved), rest[to:]...)
	c := changed("Moved layer " + moved.Name)
	for i, l := range all {
		if order := (i + 1) * orderStep; order != l.Order {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}, "order", order))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the layer is there already")
	}
	return c, nil
}

// AddTileset puts a tileset behind the others; all but id and order is given.
func AddTileset(d *document.Document, t document.Tileset) (Change, error) {
	t.ID, t.Order = document.NewID(), orderStep
	for _, o := range d.TilesetsInOrder() {
		t.Order = o.Order + orderStep
		if o.Number == t.Number {
			return Change{}, fmt.Errorf("tileset number %d is taken: bring the picture in again", t.Number)
		}
	}
	if t.Solid == nil {
		t.Solid = []int{}
	}
	if t.Properties == nil {
		t.Properties = []document.Property{}
	}
	if t.Infos == nil {
		t.Infos = []document.TileInfo{}
	}
	if err := t.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New tileset "+t.Name, edit.Insert(edit.Ref{Type: edit.TypeTileset, ID: t.ID}, t))
	c.Made = t.ID
	return c, nil
}

// MarkSolid makes tiles of a tileset solid, or not.
func MarkSolid(t *document.Tileset, tiles []int, solid bool) (Change, error) {
	columns, rows := t.Cut.Tiles(t.Width, t.Height)
	is := map[int]bool{}
	for _, s := range t.Solid {
		is[s] = true
	}
	for _, s := range tiles {
		if s < 0 || s >= columns*rows {
			return Change{}, errors.New("that tile is not in the tileset")
		}
		is[s] = solid
	}
	next := []int{}
	for s := range columns * rows {
		if is[s] {
			next = append(next, s)
		}
	}
	text := fmt.Sprintf("%d solid tiles in %s", len(next), t.Name)
	return changed(text, edit.Set(edit.Ref{Type: edit.TypeTileset, ID: t.ID}, "solid", next)), nil
}
