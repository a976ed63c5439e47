package hand

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"fmt"
)

// Stamp is a motif that a press puts down whole.
type Stamp struct {
	Motif document.ID
	// Box is its cells, Turn how the motif is turned to lie there.
	Box    grid.Rect
	Turn   grid.Turn
	Layers []document.ID
	// Place are its entities, by their places in the plan's.
	Place []int
}

// Ruled are rules that wait for what is put down: of an arrangement, whose entities are these of the plan's.
type Ruled struct {
	Rules []document.MotifRule
	Place []int
}

// rules are those of what is put down, as far as a project takes more.
func (p *Plan) rules(d *document.Document, m *document.Map) (do []edit.Primitive) {
	order := 0
	for _, r := range d.RulesInOrder() {
		order = r.Order
	}
	for _, s := range p.Ruled {
		ids := make([]document.ID, len(s.Place))
		for i, k := range s.Place {
			ids[i] = p.Place[k].ID
		}
		for _, k := range s.Rules {
			if d.Rules.Len()+len(do) >= document.MaxRules {
				return do
			}
			r := k.On(m.ID, ids)
			order += ruleStep
			r.Order = order
			do = append(do, edit.InsertRule(r))
		}
	}
	return do
}

// ruleStep is how far the orders of rules lie apart.
const ruleStep = 1024

// stamp puts a motif's entities down wherever its top left is repeated, and in the
// mirror, and notes where all of it is put down.
func (p *Plan) stamp(w *Work, g *Grip, b block, a area, origin grid.Point) error {
	motif := w.piece(g.Motif)
	kept := w.Doc.Motifs.Get(g.Motif) != nil
	var layers []document.ID
	for _, part := range b.parts {
		layers = append(layers, part.layer.ID)
	}
	put := func(box grid.Rect, turn grid.Turn, whole bool) error {
		s := Stamp{Motif: g.Motif, Box: box, Turn: turn, Layers: layers}
		if len(b.things) > 0 {
			if len(p.Place) > maxAtOnce {
				return fmt.Errorf("that would place more than %d entities at once: choose a smaller area", maxAtOnce)
			}
			for _, e := range motif.Turned(turn, w.sheets()).Entities {
				s.Place = append(s.Place, len(p.Place))
				p.stand(w.Map, e, b.thing, box)
			}
			if len(motif.Rules) > 0 {
				p.Ruled = append(p.Ruled, Ruled{motif.Rules, s.Place})
			}
		}
		if whole && kept {
			p.Stamps = append(p.Stamps, s)
		}
		return nil
	}
	for _, at := range a.all.Points() {
		if grid.Mod(at.X-origin.X, b.w) != 0 || grid.Mod(at.Y-origin.Y, b.h) != 0 {
			continue
		}
		box := grid.Rect{X: at.X, Y: at.Y, W: b.w, H: b.h}
		whole := a.outline.Covers(box)
		if err := put(box, g.Turn, whole); err != nil {
			return err
		}
		for _, t := range w.Mirror.Images() {
			image := w.Mirror.Rect(box, t)
			if !whole || !p.Region.Covers(image) || image == box {
				continue
			}
			if err := put(image, g.Turn.Then(t), true); err != nil {
				return err
			}
		}
	}
	p.name(w.Map)
	return p.roomFor(w.Map)
}

// stand puts an entity of a motif down, whose top left lies on a cell.
func (p *Plan) stand(m *document.Map, e *document.Entity, l *document.Layer, box grid.Rect) {
	next := *e
	next.ID, next.Layer = "", l.ID
	next.X += box.X * m.CellWidth
	next.Y += box.Y * m.CellHeight
	p.Place = append(p.Place, &next)
}

// remembered are the placings of what is put down whole, in place of those that it
// covers. Where a project remembers as many as it can, these are not.
func (p *Plan) remembered(d *document.Document, m *document.Map) (do []edit.Primitive) {
	if len(p.Stamps) == 0 || d.Placings.Len()+len(p.Stamps) > document.MaxPlacings {
		return nil
	}
	for _, old := range d.Placings.All() {
		motif := d.Motifs.Get(old.Motif)
		for _, s := range p.Stamps {
			if old.Map == m.ID && (motif == nil || old.Box(motif).Intersect(s.Box) == old.Box(motif)) {
				do = append(do, edit.Remove(edit.Ref{Type: edit.TypePlacing, ID: old.ID}))
				break
			}
		}
	}
	for _, s := range p.Stamps {
		o := document.Placing{ID: document.NewID(), Motif: s.Motif, Map: m.ID, X: s.Box.X, Y: s.Box.Y, Turn: s.Turn,
			Layers: append([]document.ID{}, s.Layers...), Entities: []document.ID{}}
		for _, i := range s.Place {
			o.Entities = append(o.Entities, p.Place[i].ID)
		}
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypePlacing, ID: o.ID}, o))
	}
	return do
}
