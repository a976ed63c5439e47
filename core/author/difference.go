package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"encoding/json"
	"errors"
	"fmt"
)

// Difference is the edit that makes a document what another one is: how one
// jumps in history without anything being taken out of the log.
func Difference(from, to *document.Document) ([]edit.Primitive, error) {
	w := differ{}
	fields(&w, edit.Ref{Type: edit.TypeProject}, from.Project, to.Project)
	tables(&w, edit.Ref{Type: edit.TypeTileset}, from.Tilesets, to.Tilesets, true)
	tables(&w, edit.Ref{Type: edit.TypeFlag}, from.Flags, to.Flags, false)
	tables(&w, edit.Ref{Type: edit.TypeCounter}, from.Counters, to.Counters, false)
	tables(&w, edit.Ref{Type: edit.TypeWording}, from.Wordings, to.Wordings, false)
	tables(&w, edit.Ref{Type: edit.TypeSound}, from.Sounds, to.Sounds, false)
	tables(&w, edit.Ref{Type: edit.TypeZone}, from.Zones, to.Zones, false)
	tables(&w, edit.Ref{Type: edit.TypeMaterial}, from.Materials, to.Materials, false)
	tables(&w, edit.Ref{Type: edit.TypeKind}, from.Kinds, to.Kinds, false)
	tables(&w, edit.Ref{Type: edit.TypeMotif}, from.Motifs, to.Motifs, true)
	if !from.Maps.Same(to.Maps) {
		w.maps(from, to)
	}
	tables(&w, edit.Ref{Type: edit.TypePassage}, from.Passages, to.Passages, false)
	tables(&w, edit.Ref{Type: edit.TypePlacing}, from.Placings, to.Placings, false)
	tables(&w, edit.Ref{Type: edit.TypePin}, from.Pins, to.Pins, false)
	tables(&w, edit.Ref{Type: edit.TypeRecording}, from.Recordings, to.Recordings, false)
	w.rules(from.Rules, to.Rules)
	w.names(from, to)
	switch {
	case w.err != nil:
		return nil, w.err
	case len(w.do) == 0:
		return nil, errors.New("everything is as it was then")
	case len(w.do) > edit.MaxPrimitives:
		return nil, errors.New("too much was changed since then for one step: jump to a later one first")
	}
	return w.do, nil
}

// names sets names again that were taken when they were set first, by what leaves or
// is renamed later.
func (w *differ) names(from, to *document.Document) {
	if w.err != nil || len(w.do) == 0 {
		return
	}
	now := edit.Apply(from, &edit.Edit{Do: w.do}).Doc
	renamed(w, edit.Ref{Type: edit.TypeTileset}, now.Tilesets, to.Tilesets, func(o *document.Tileset) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeFlag}, now.Flags, to.Flags, func(o *document.Flag) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeCounter}, now.Counters, to.Counters, func(o *document.Counter) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeSound}, now.Sounds, to.Sounds, func(o *document.Sound) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeZone}, now.Zones, to.Zones, func(o *document.Zone) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeMaterial}, now.Materials, to.Materials, func(o *document.Material) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeKind}, now.Kinds, to.Kinds, func(o *document.Kind) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeMotif}, now.Motifs, to.Motifs, func(o *document.Motif) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeMap}, now.Maps, to.Maps, func(o *document.Map) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypePin}, now.Pins, to.Pins, func(o *document.Pin) (document.ID, string) { return o.ID, o.Name })
	renamed(w, edit.Ref{Type: edit.TypeRecording}, now.Recordings, to.Recordings, func(o *document.Recording) (document.ID, string) { return o.ID, o.Name })
	for _, m := range to.Maps.All() {
		if is := now.Maps.Get(m.ID); is != nil && is != m {
			renamed(w, edit.Ref{Type: edit.TypeLayer, Map: m.ID}, is.Layers, m.Layers, func(o *document.Layer) (document.ID, string) { return o.ID, o.Name })
			renamed(w, edit.Ref{Type: edit.TypeEntity, Map: m.ID}, is.Entities, m.Entities, func(o *document.Entity) (document.ID, string) { return o.ID, o.Name })
		}
	}
}

func renamed[T any](w *differ, ref edit.Ref, now, to document.Table[T], name func(*T) (document.ID, string)) {
	if now.Same(to) {
		return
	}
	to.Each(func(o *T) {
		id, want := name(o)
		is := now.Get(id)
		if is == nil || is == o {
			return
		}
		if _, got := name(is); got != want {
			ref.ID = id
			w.do = append(w.do, edit.Set(ref, "name", want))
		}
	})
}

type differ struct {
	do  []edit.Primitive
	err error
}

// fields sets those fields of an object that differ.
func fields[T any](w *differ, ref edit.Ref, a, b *T) {
	for _, name := range document.FieldNames(a) {
		was, errA := document.Field(a, name)
		is, errB := document.Field(b, name)
		if err := errors.Join(errA, errB); err != nil {
			w.err = fmt.Errorf("compare two states: %w", err)
			return
		}
		if string(was) != string(is) {
			w.do = append(w.do, edit.Primitive{Op: edit.OpSet, Ref: ref, Field: name, Value: is})
		}
	}
}

// tables removes, inserts and changes objects; whole ones are exchanged as they
// are, where single fields only hold together.
func tables[T any](w *differ, of edit.Ref, from, to document.Table[T], whole bool) {
	if from.Same(to) {
		return
	}
	ref := func(o *T) edit.Ref {
		var head struct {
			ID document.ID `json:"id"`
		}
		if err := json.Unmarshal(edit.JSON(o), &head); err != nil {
			w.err = fmt.Errorf("compare two states: %w", err)
		}
		return edit.Ref{Type: of.Type, Map: of.Map, Rule: of.Rule, ID: head.ID}
	}
	for _, o := range from.All() {
		if r := ref(o); to.Get(r.ID) == nil {
			w.do = append(w.do, edit.Remove(r))
		}
	}
	for _, o := range to.All() {
		r := ref(o)
		old := from.Get(r.ID)
		switch {
		case old == o:
		case old == nil:
			w.do = append(w.do, edit.Insert(r, o))
		case whole && string(edit.JSON(old)) != string(edit.JSON(o)):
			w.do = append(w.do, edit.Remove(r), edit.Insert(r, o))
		default:
			fields(w, r, old, o)
		}
	}
}

func (w *differ) rules(from, to document.Table[document.Rule]) {
	if from.Same(to) {
		return
	}
	for _, r := range from.All() {
		if to.Get(r.ID) == nil {
			w.do = append(w.do, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: r.ID}))
		}
	}
	for _, r := range to.All() {
		ref := edit.Ref{Type: edit.TypeRule, ID: r.ID}
		switch old := from.Get(r.ID); {
		case old == r:
		case old == nil:
			w.do = append(w.do, edit.InsertRule(*r))
		default:
			fields(w, ref, old, r)
			tables(w, edit.Ref{Type: edit.TypePart, Rule: r.ID}, old.Parts, r.Parts, false)
		}
	}
}

func (w *differ) maps(from, to *document.Document) {
	for _, m := range from.Maps.All() {
		if to.Maps.Get(m.ID) == nil {
			w.do = append(w.do, edit.Remove(edit.Ref{Type: edit.TypeMap, ID: m.ID}))
		}
	}
	for _, m := range to.Maps.All() {
		ref := edit.Ref{Type: edit.TypeMap, ID: m.ID}
		old := from.Maps.Get(m.ID)
		if old == m {
			continue
		}
		if old == nil {
			p := edit.Insert(ref, m)
			p.Content = document.ContentOf(m)
			w.do = append(w.do, p)
			continue
		}
		w.changed(ref, old, m)
	}
}

// changed brings one map to what it is in the other document. Cells are only
// written inside a map's bounds, so these are as large as all that changes meanwhile.
func (w *differ) changed(ref edit.Ref, old, m *document.Map) {
	patches := map[document.ID]cells.Patch{}
	both := old.Bounds.Union(m.Bounds)
	for _, l := range m.Layers.All() {
		patches[l.ID] = patchTo(old.Layers.Get(l.ID), l)
		both = both.Union(patches[l.ID].Region().Bounds())
	}
	if both != old.Bounds && both.W <= document.MaxSide && both.H <= document.MaxSide {
		w.do = append(w.do, edit.Set(ref, "bounds", both))
		shell := *old
		shell.Bounds = both
		old = &shell
	}
	// entities that go leave before their layers, those that come follow theirs
	for _, e := range old.Entities.All() {
		if m.Entities.Get(e.ID) == nil {
			w.do = append(w.do, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
		}
	}
	gone := map[document.ID]bool{}
	for _, l := range old.Layers.All() {
		if m.Layers.Get(l.ID) == nil {
			gone[l.ID] = true
		}
	}
	for _, l := range m.Layers.All() {
		w.layer(m, old.Layers.Get(l.ID), l, patches[l.ID])
	}
	for _, e := range m.Entities.All() {
		r := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
		switch was := old.Entities.Get(e.ID); {
		case was == e:
		case was == nil:
			w.do = append(w.do, edit.Insert(r, e))
		default:
			fields(w, r, was, e)
		}
	}
	for _, l := range old.Layers.All() {
		if gone[l.ID] {
			w.do = append(w.do, edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}))
		}
	}
	fields(w, ref, old, m)
}

func (w *differ) layer(m *document.Map, old, l *document.Layer, patch cells.Patch) {
	if old == l {
		return
	}
	ref := edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}
	if old == nil {
		w.do = append(w.do, edit.Insert(ref, l))
	} else {
		fields(w, ref, old, l)
	}
	if len(patch) > 0 {
		w.do = append(w.do, edit.Primitive{Op: edit.OpCells, Ref: ref, Cells: patch})
	}
}

// patchTo is what cells of a layer become from one state to another.
func patchTo(old, l *document.Layer) cells.Patch {
	before := cells.Plane{}
	if old != nil {
		before = old.Cells
	}
	region := &grid.Region{}
	for _, at := range before.Changed(l.Cells) {
		*region.At(at[0], at[1]) = grid.FullMask
	}
	return cells.PaintEach(region, region.Bounds(), func(x, y int) (cells.Cell, bool) {
		c := l.Cells.At(x, y)
		return c, c != before.At(x, y)
	})
}
