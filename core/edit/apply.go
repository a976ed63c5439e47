package edit

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"encoding/json"
	"errors"
	"slices"
)

// Result is what applying an edit gave.
type Result struct {
	Doc *document.Document
	// Revert are the primitives that turn the edit back, where what it wrote still stands.
	Revert []Primitive
	// Dropped says, a sentence each, which parts found no target.
	Dropped []string
	// Touched are the objects that were written or came back.
	Touched []Ref
	// Renamed are names that were taken already: what was asked for, and what it is called.
	Renamed [][2]string
	// Grown tells whether there may be more cells or entities than before.
	Grown bool
	// Restored and Kept count, over the compare-and-restore primitives, the
	// cells and fields written and those left because somebody changed them since.
	Restored, Kept int
}

// Apply does an edit. Parts whose target is gone are dropped and reported; the
// rest is done. It never changes d and depends on nothing but d and e.
func Apply(d *document.Document, e *Edit) Result {
	a := applier{w: working{doc: *d, tables: map[Ref]objects{}, by: new(document.Maker)}, steps: len(e.Do)}
	for i := range e.Do {
		if err := a.do(&e.Do[i]); err != nil && !slices.Contains(a.res.Dropped, err.Error()) {
			a.res.Dropped = append(a.res.Dropped, err.Error())
		}
	}
	slices.Reverse(a.res.Revert)
	a.w.keepNames()
	a.res.Doc = &a.w.doc
	return a.res
}

type applier struct {
	w     working
	res   Result
	steps int
}

func (a *applier) touch(ref Ref) {
	if n := len(a.res.Touched); n == 0 || a.res.Touched[n-1] != ref {
		a.res.Touched = append(a.res.Touched, ref)
	}
}

func (a *applier) back(p Primitive) {
	if a.res.Revert == nil {
		a.res.Revert = make([]Primitive, 0, a.steps) // most are turned back by one
	}
	a.res.Revert = append(a.res.Revert, p)
}

func (a *applier) do(p *Primitive) error {
	switch p.Op {
	case OpCells, OpCellsBack:
		return a.cells(p)
	case OpSet, OpSetBack:
		return a.set(p)
	case OpInsert:
		return a.insert(p)
	case OpRemove, OpInsertBack:
		return a.remove(p)
	}
	return errors.New("this step is not known")
}

func (a *applier) cells(p *Primitive) error {
	m := a.w.mapOf(p.Ref.Map)
	if m == nil {
		return errors.New("the map is no longer there")
	}
	l := m.Layers.Get(p.Ref.ID)
	if l == nil {
		return errors.New("the layer is no longer there")
	}
	if !l.Painted() {
		return errors.New("only layers of tiles and zones can be painted")
	}
	next := *l
	var wrote, old cells.Patch
	if p.Op == OpCells {
		wrote = p.Cells.Clip(m.Bounds)
		if len(wrote) == 0 {
			return errors.New("these cells lie outside the map")
		}
		next.Cells, old = wrote.Apply(l.Cells)
	} else {
		if !cells.SameCells(p.Was, p.Cells) {
			return errors.New("an undo of cells names other cells than it writes")
		}
		var done, kept int
		next.Cells, wrote, old, done, kept = cells.Revert(l.Cells, p.Was, p.Cells)
		a.res.Restored += done
		a.res.Kept += kept
		if done == 0 {
			return nil
		}
	}
	if chunks, _ := next.Cells.Size(); chunks > cells.MaxChunks {
		// put down before the other inverse, so that it is done after it, when there is room again
		a.trim(p.Ref, &next, m.Bounds, chunks-cells.MaxChunks)
	}
	a.back(Primitive{Op: OpCellsBack, Ref: p.Ref, Was: wrote, Cells: old})
	a.res.Grown = true
	a.w.editMap(m.ID, func(m *document.Map) { m.Layers = m.Layers.With(l.ID, &next) })
	return nil
}

// trim lets go of chunks that lie outside the map, where former bounds left them,
// so that a layer never holds more than can be stored. The inverse has them.
func (a *applier) trim(ref Ref, l *document.Layer, bounds grid.Rect, n int) {
	gone := l.Cells.Outside(bounds, n)
	var old cells.Patch
	l.Cells, old = gone.Apply(l.Cells)
	a.back(Primitive{Op: OpCellsBack, Ref: ref, Was: gone, Cells: old})
	a.res.Dropped = append(a.res.Dropped, "cells that former sizes had left outside the map were let go of, because there were too many")
}

func (a *applier) set(p *Primitive) error {
	var may func(json.RawMessage) bool
	if p.Op == OpSetBack {
		may = func(was json.RawMessage) bool { return a.stillIs(p, was) }
	}
	c, err := a.write(p, may)
	if err != nil {
		return err
	}
	if c.kept {
		a.res.Kept++
		return nil
	}
	a.touch(p.Ref)
	if p.Op == OpSetBack {
		a.res.Restored++
	}
	a.back(Primitive{Op: OpSetBack, Ref: p.Ref, Field: p.Field, Value: c.was, WasValue: c.now})
	var asked, called string
	if p.Field == "name" && json.Unmarshal(p.Value, &asked) == nil && json.Unmarshal(c.now, &called) == nil && asked != called {
		a.res.Renamed = append(a.res.Renamed, [2]string{asked, called})
	}
	return nil
}

// stillIs reports whether a field, which is now, is what it was. An earlier version
// may have written that in another form than this one would.
func (a *applier) stillIs(p *Primitive, now json.RawMessage) bool {
	if sameJSON(now, p.WasValue) {
		return true
	}
	var was json.RawMessage
	switch t := a.w.objects(p.Ref); {
	case p.Ref.Type == TypeProject:
		was = written(a.w.doc.Project, p.Field, p.WasValue)
	case p.Ref.Type == TypeRule && slices.Contains(document.Slots, p.Field):
		var parts []*document.RulePart
		if document.Strict(p.WasValue, &parts) == nil {
			was = JSON(append([]*document.RulePart{}, parts...))
		}
	case t != nil:
		was = t.written(p.Ref.ID, p.Field, p.WasValue)
	}
	return was != nil && sameJSON(now, was)
}

// write sets the field that p sets, if may, told what it is, does not say otherwise.
func (a *applier) write(p *Primitive, may func(was json.RawMessage) bool) (change, error) {
	if p.Ref.Type == TypeProject {
		next, c, err := changed(a.w.doc.Project, p.Field, p.Value, may)
		if err != nil || c.kept {
			return c, err
		}
		a.w.doc.Project = next
		c.now, err = document.Field(next, p.Field)
		return c, err
	}
	t := a.w.objects(p.Ref)
	if t == nil {
		return change{}, holderGone(p.Ref)
	}
	if p.Ref.Type == TypeRule && slices.Contains(document.Slots, p.Field) {
		return a.writeSlot(p, may)
	}
	return t.set(p.Ref.ID, p.Field, p.Value, may)
}

// holderGone says that what an object lay in is no longer there.
func holderGone(ref Ref) error {
	if ref.Type == TypePart {
		return errors.New("the rule is no longer there")
	}
	return errors.New("the map is no longer there")
}

func (a *applier) insert(p *Primitive) error {
	t := a.w.objects(p.Ref)
	if t == nil {
		return holderGone(p.Ref)
	}
	if p.Content != nil && !p.Content.Whole() {
		return errors.New("something that the " + p.Ref.Type + " holds is missing")
	}
	renamed, err := t.insert(p)
	if err != nil {
		return err
	}
	a.touch(p.Ref)
	a.res.Grown = true
	switch {
	case p.Ref.Type == TypeMap && p.Content != nil:
		a.w.putMaps(a.w.doc.Maps.With(p.Ref.ID, p.Content.Fill(*a.w.mapOf(p.Ref.ID))))
	case p.Ref.Type == TypeLayer && p.Content != nil:
		a.w.editMap(p.Ref.Map, func(m *document.Map) { a.fillLayer(m, p) })
	case p.Ref.Type == TypeRule && p.Content != nil:
		a.w.editRule(p.Ref.ID, func(r *document.Rule) { r.Parts = partsOf(p.Content.Parts) })
		a.back(Primitive{Op: OpInsertBack, Ref: p.Ref, WasValue: t.get(p.Ref.ID), Content: a.contentOf(p.Ref)})
		return nil
	}
	if p.Content != nil {
		// taken back it goes with all that came with it
		a.back(Primitive{Op: OpRemove, Ref: p.Ref})
		return nil
	}
	was := p.Value
	if !p.plain || renamed {
		was = t.get(p.Ref.ID)
	}
	a.back(Primitive{Op: OpInsertBack, Ref: p.Ref, WasValue: was, plain: true})
	return nil
}

// fillLayer gives a returned layer its cells and the entities that stood on it.
func (a *applier) fillLayer(m *document.Map, p *Primitive) {
	for _, l := range p.Content.Layers {
		if l.Layer.ID != p.Ref.ID {
			continue
		}
		next := *m.Layers.Get(p.Ref.ID)
		next.Cells, _ = l.Cells.Apply(cells.Plane{})
		m.Layers = m.Layers.With(p.Ref.ID, &next)
	}
	for _, e := range p.Content.Entities {
		if e.Layer == p.Ref.ID && m.Entities.Get(e.ID) == nil && m.Entities.Len() < document.MaxEntities {
			m.Entities = m.Entities.With(e.ID, e)
		}
	}
	a.w.forget(Ref{Type: TypeEntity, Map: m.ID}) // its names are counted again
}

func (a *applier) remove(p *Primitive) error {
	t := a.w.objects(p.Ref)
	if t == nil {
		return holderGone(p.Ref)
	}
	now := t.get(p.Ref.ID)
	if now == nil {
		return errors.New("the " + p.Ref.Type + " is no longer there")
	}
	content := a.contentOf(p.Ref)
	if p.Op == OpInsertBack {
		if !t.is(p.Ref.ID, p.WasValue) || !sameContent(content, p.Content) {
			a.res.Kept++
			return nil
		}
		a.res.Restored++
	}
	a.back(Primitive{Op: OpInsert, Ref: p.Ref, Value: now, Content: content, plain: true})
	t.remove(p.Ref.ID)
	if p.Ref.Type == TypeLayer && content != nil {
		a.w.editMap(p.Ref.Map, func(m *document.Map) {
			for _, e := range content.Entities {
				m.Entities = m.Entities.Without(e.ID)
			}
		})
		a.w.forget(Ref{Type: TypeEntity, Map: p.Ref.Map})
	}
	if p.Ref.Type == TypeRule {
		a.w.forget(Ref{Type: TypePart, Rule: p.Ref.ID})
	}
	if p.Ref.Type == TypeMap {
		a.w.forget(Ref{Type: TypeLayer, Map: p.Ref.ID})
		a.w.forget(Ref{Type: TypeEntity, Map: p.Ref.ID})
	}
	return nil
}

// contentOf is what an object holds besides its fields; nil when nothing.
func (a *applier) contentOf(ref Ref) *document.Content {
	switch ref.Type {
	case TypeRule:
		if r := a.w.doc.Rules.Get(ref.ID); r.Parts.Len() > 0 {
			return &document.Content{Parts: r.Parts.All()}
		}
	case TypeMap:
		if c := document.ContentOf(a.w.mapOf(ref.ID)); len(c.Layers)+len(c.Entities) > 0 {
			return c
		}
	case TypeLayer:
		m := a.w.mapOf(ref.Map)
		l := m.Layers.Get(ref.ID)
		c := &document.Content{}
		for _, e := range m.Entities.All() {
			if e.Layer == ref.ID {
				c.Entities = append(c.Entities, e)
			}
		}
		if !l.Cells.Empty() || len(c.Entities) > 0 {
			c.Layers = []document.LayerContent{{Layer: l, Cells: cells.WholePatch(l.Cells)}}
			return c
		}
	}
	return nil
}
