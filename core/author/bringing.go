package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"bytes"
	"slices"
)

// bringer puts a motif's new content where the old one stands.
type bringer struct {
	d     *document.Document
	do    []edit.Primitive
	names map[document.ID]*document.Names // of entities, by map
	ranks map[document.ID]int             // the next, by map
}

func (b *bringer) bring(p *document.Placing, old, next *document.Motif) {
	m := b.d.Maps.Get(p.Map)
	ref := edit.Ref{Type: edit.TypePlacing, ID: p.ID}
	b.do = append(b.do, edit.Set(ref, "layers", b.cells(m, p, old, next)), edit.Set(ref, "entities", b.entities(m, p, old, next)))
}

// cells brings what is painted, and gives the layers that the new parts lie on.
func (b *bringer) cells(m *document.Map, p *document.Placing, old, next *document.Motif) []document.ID {
	patches := map[document.ID]cells.Patch{}
	var order []*document.Layer
	add := func(l *document.Layer, part document.MotifPart, f func(c cells.Cell) cells.Cell) {
		plane, _ := part.Cells.Apply(cells.Plane{})
		patch := cells.PaintEach(moved(part.Cells.Region(), p.X, p.Y), m.Bounds, func(x, y int) (cells.Cell, bool) {
			return f(plane.At(x-p.X, y-p.Y)), true
		})
		if _, ok := patches[l.ID]; !ok {
			order = append(order, l)
		}
		patches[l.ID] = patches[l.ID].Over(patch)
	}
	for i, part := range old.Parts {
		add(m.Layers.Get(p.Layers[i]), part, func(cells.Cell) cells.Cell { return 0 })
	}
	layers := []document.ID{}
	for i, part := range next.Parts {
		l := layerNamed(m, part)
		if k := min(i, len(p.Layers)-1); k >= 0 && (l == nil || len(next.Parts) == 1 && len(p.Layers) == 1) {
			l = m.Layers.Get(p.Layers[k])
		}
		if l == nil {
			l = hand.Target(b.d, m, &hand.Grip{What: hand.Tiles}, "")
		}
		if l == nil {
			continue // the map has no layer for it
		}
		add(l, part, func(c cells.Cell) cells.Cell { return c })
		layers = append(layers, l.ID)
	}
	for _, l := range order {
		if p := patches[l.ID]; len(p) > 0 {
			b.do = append(b.do, write(m, l, p))
		}
	}
	return layers
}

// entities brings those of the motif: what became of the old ones gets what is new of
// them, and keeps what was changed by hand; others come and go. It gives the ids that
// the new ones have.
func (b *bringer) entities(m *document.Map, p *document.Placing, old, next *document.Motif) []document.ID {
	used := make([]bool, len(p.Entities))
	out := []document.ID{}
	for _, e := range next.Entities {
		at := -1
		for i, o := range old.Entities {
			if i < len(used) && !used[i] && o.Kind == e.Kind && (at < 0 || o.Name == e.Name && old.Entities[at].Name != e.Name) {
				at = i
			}
		}
		if at < 0 {
			out = append(out, b.add(m, p, e))
			continue
		}
		used[at] = true
		out = append(out, p.Entities[at])
		if now := m.Entities.Get(p.Entities[at]); now != nil {
			b.change(m, now, old.Entities[at], e)
		}
	}
	var gone []*document.Entity
	for i, id := range p.Entities {
		if e := m.Entities.Get(id); e != nil && !used[i] {
			gone = append(gone, e)
		}
	}
	if len(gone) > 0 {
		b.do = append(b.do, hand.Removal(b.d, m, gone)...)
	}
	return out
}

// brought are the fields of an entity that a motif brings.
var brought = []string{"x", "y", "w", "h", "facing", "turn", "on", "look", "lookOn", "tint", "faint", "points", "values", "variants", "locked", "hidden", "absent", "unseen", "disabled", "guises", "memory", "order"}

// change sets what differs between the old and the new entity of a motif, as far as it
// was not changed by hand meanwhile. How it was moved by hand stays.
func (b *bringer) change(m *document.Map, now, old, next *document.Entity) {
	ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: now.ID}
	for _, d := range []struct {
		field   string
		now, by int
	}{{"x", now.X, next.X - old.X}, {"y", now.Y, next.Y - old.Y}} {
		if d.by != 0 {
			b.do = append(b.do, edit.Set(ref, d.field, d.now+d.by))
		}
	}
	for _, field := range brought[2:] {
		is, wrong := document.Field(now, field)
		was, wrong2 := document.Field(old, field)
		to, wrong3 := document.Field(next, field)
		if wrong == nil && wrong2 == nil && wrong3 == nil && !bytes.Equal(was, to) && bytes.Equal(is, was) {
			b.do = append(b.do, edit.Primitive{Op: edit.OpSet, Ref: ref, Field: field, Value: to})
		}
	}
}

// add puts down an entity that the motif did not have before.
func (b *bringer) add(m *document.Map, p *document.Placing, e *document.Entity) document.ID {
	l := hand.Target(b.d, m, &hand.Grip{What: hand.Entity, Kind: e.Kind}, "")
	next := *e
	next.ID = document.NewID()
	if l == nil {
		return next.ID // there is no layer for it: as if it had been taken away
	}
	if b.names[m.ID] == nil {
		b.names[m.ID], b.ranks[m.ID] = m.Entities.Names(func(e *document.Entity) string { return e.Name }), m.NextRank()
	}
	next.Layer, next.Name, next.Rank = l.ID, b.names[m.ID].Take(e.Name), b.ranks[m.ID]
	b.ranks[m.ID]++
	next.X, next.Y = e.X+p.X*m.CellWidth, e.Y+p.Y*m.CellHeight
	b.do = append(b.do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: next.ID}, next))
	return next.ID
}

// remembered is what was taken from an area as the place where a motif stands, in place
// of what was remembered there before.
func (a Area) remembered(d *document.Document, motif document.ID) (do []edit.Primitive) {
	box := a.Region.Bounds()
	for _, p := range d.Placings.All() {
		if old := d.Motifs.Get(p.Motif); old != nil && p.Map == a.Map.ID && p.Box(old).Intersect(box) == p.Box(old) {
			do = append(do, edit.Remove(edit.Ref{Type: edit.TypePlacing, ID: p.ID}))
		}
	}
	p := document.Placing{ID: document.NewID(), Motif: motif, Map: a.Map.ID, X: box.X, Y: box.Y, Layers: []document.ID{}, Entities: []document.ID{}}
	for _, l := range a.layers() {
		if !a.painted(l).Empty() {
			p.Layers = append(p.Layers, l.ID)
		}
	}
	for _, e := range a.entities() {
		p.Entities = append(p.Entities, e.ID)
	}
	if d.Placings.Len() >= document.MaxPlacings || p.Check() != nil {
		return do
	}
	return append(do, edit.Insert(edit.Ref{Type: edit.TypePlacing, ID: p.ID}, p))
}

// copyPlacings gives a copied map what its original remembers of motifs.
func copyPlacings(d *document.Document, from, to document.ID, layers, entities map[document.ID]document.ID) (do []edit.Primitive) {
	for _, o := range d.Placings.All() {
		if o.Map != from {
			continue
		}
		p := *o
		p.ID, p.Map, p.Layers, p.Entities = document.NewID(), to, []document.ID{}, []document.ID{}
		for _, id := range o.Layers {
			p.Layers = append(p.Layers, layers[id])
		}
		for _, id := range o.Entities {
			if entities[id] == "" {
				entities[id] = document.NewID() // it is gone: so is its copy
			}
			p.Entities = append(p.Entities, entities[id])
		}
		if p.Check() == nil {
			do = append(do, edit.Insert(edit.Ref{Type: edit.TypePlacing, ID: p.ID}, p))
		}
	}
	return do
}

// movePlacings takes along what is remembered of motifs that lie wholly in cells that
// move, of one layer or, where it is empty, of all.
func movePlacings(d *document.Document, m *document.Map, moves *grid.Region, layer document.ID, dx, dy int) (do []edit.Primitive) {
	for _, p := range d.Placings.All() {
		motif := d.Motifs.Get(p.Motif)
		other := func(id document.ID) bool { return layer != "" && id != layer }
		if p.Map != m.ID || motif == nil || slices.ContainsFunc(p.Layers, other) || !moves.Covers(p.Box(motif)) {
			continue
		}
		ref := edit.Ref{Type: edit.TypePlacing, ID: p.ID}
		if dx != 0 {
			do = append(do, edit.Set(ref, "x", p.X+dx))
		}
		if dy != 0 {
			do = append(do, edit.Set(ref, "y", p.Y+dy))
		}
	}
	return do
}
