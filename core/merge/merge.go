// Package merge brings together what two people made of one project, by things, their fields, and cells.
package merge

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"fmt"
)

// Conflict is something that both changed, each otherwise. What was ours stays.
type Conflict struct {
	// Type, Map, Rule and ID name the thing, Field what of it; Cells is how many cells of a layer.
	Type  string      `json:"type"`
	Map   document.ID `json:"map,omitempty"`
	Rule  document.ID `json:"rule,omitempty"`
	ID    document.ID `json:"id,omitempty"`
	Field string      `json:"field,omitempty"`
	Cells int         `json:"cells,omitempty"`
	// Text says it as people do.
	Text string `json:"text"`
}

// at is a field of a thing.
type at struct {
	ref   edit.Ref
	field string
}

// made is what one of the two did to the project that both began with.
type made struct {
	do   []edit.Primitive
	sets map[at]*edit.Primitive
	// inserts and removes are whole things that came or went; touched are things that anything was done to or in.
	inserts, removes map[edit.Ref]*edit.Primitive
	touched          map[edit.Ref]bool
	cells            map[edit.Ref]cells.Patch
}

// of is what was done from one state to another.
func of(base, to *document.Document) (*made, error) {
	m := &made{sets: map[at]*edit.Primitive{}, inserts: map[edit.Ref]*edit.Primitive{}, removes: map[edit.Ref]*edit.Primitive{}, touched: map[edit.Ref]bool{}, cells: map[edit.Ref]cells.Patch{}}
	if base.Hash() == to.Hash() {
		return m, nil
	}
	var err error
	if m.do, err = author.Difference(base, to); err != nil {
		return nil, fmt.Errorf("compare with the common beginning: %w", err)
	}
	for i := range m.do {
		p := &m.do[i]
		m.touched[p.Ref] = true
		if in, is := holder(p.Ref); is {
			m.touched[in] = true
		}
		switch p.Op {
		case edit.OpSet:
			m.sets[at{p.Ref, p.Field}] = p
		case edit.OpInsert:
			m.inserts[p.Ref] = p
		case edit.OpRemove:
			m.removes[p.Ref] = p
		case edit.OpCells:
			m.cells[p.Ref] = p.Cells
		}
	}
	return m, nil
}

// holder is what a thing lies in: the map of a layer or an entity, the rule of a part.
func holder(ref edit.Ref) (edit.Ref, bool) {
	switch {
	case ref.Map != "":
		return edit.Ref{Type: edit.TypeMap, ID: ref.Map}, true
	case ref.Rule != "":
		return edit.Ref{Type: edit.TypeRule, ID: ref.Rule}, true
	}
	return edit.Ref{}, false
}

// whole reports whether somebody took a thing out and put it back otherwise, as is done with things that only hold together.
func (m *made) whole(ref edit.Ref) bool { return m.inserts[ref] != nil && m.removes[ref] != nil }

// Three brings together ours and theirs, which both began as base. What only one of them changed is as he made it; what both made
// the same is so; where they differ ours stays, and the conflict is told.
func Three(base, ours, theirs *document.Document) (*document.Document, []Conflict, error) {
	a, err := of(base, ours)
	if err != nil {
		return nil, nil, err
	}
	b, err := of(base, theirs)
	if err != nil {
		return nil, nil, err
	}
	w := &merger{ours: ours, theirs: theirs, a: a, b: b, out: []Conflict{}, told: map[at]bool{}}
	var do []edit.Primitive
	for i := range b.do {
		if p, ok := w.take(b.do[i]); ok {
			do = append(do, p)
		}
	}
	if len(do) == 0 {
		return ours, w.out, nil
	}
	res := edit.Apply(ours, &edit.Edit{Do: do})
	for _, d := range res.Dropped {
		w.out = append(w.out, Conflict{Text: "something they did cannot be done any more: " + d})
	}
	return res.Doc, w.out, nil
}

type merger struct {
	ours, theirs *document.Document
	a, b         *made
	out          []Conflict
	told         map[at]bool
}

// take is one step of theirs as it is done to ours; false where it is left out.
func (w *merger) take(p edit.Primitive) (edit.Primitive, bool) {
	if in, is := holder(p.Ref); is && w.a.removes[in] != nil && !w.a.whole(in) {
		w.conflict(in, "", 0, "we took it away, and they changed it")
		return p, false
	}
	if w.a.removes[p.Ref] != nil && !w.a.whole(p.Ref) {
		if p.Op != edit.OpRemove {
			w.conflict(p.Ref, "", 0, "we took it away, and they changed it")
		}
		return p, false
	}
	switch p.Op {
	case edit.OpSet:
		if ours := w.a.sets[at{p.Ref, p.Field}]; ours != nil {
			if string(ours.Value) != string(p.Value) {
				w.conflict(p.Ref, p.Field, 0, "we set it otherwise")
			}
			return p, false
		}
		if w.a.whole(p.Ref) {
			w.conflict(p.Ref, p.Field, 0, "we set it up anew")
			return p, false
		}
	case edit.OpRemove:
		if w.b.whole(p.Ref) {
			return p, w.anew(p.Ref)
		}
		if w.a.touched[p.Ref] {
			w.conflict(p.Ref, "", 0, "we changed it, and they took it away")
			return p, false
		}
	case edit.OpInsert:
		if w.b.whole(p.Ref) {
			return p, w.anew(p.Ref)
		}
		if ours := w.a.inserts[p.Ref]; ours != nil {
			if string(ours.Value) != string(p.Value) {
				w.conflict(p.Ref, "", 0, "both made one with the same id")
			}
			return p, false
		}
	case edit.OpCells:
		return w.paint(p)
	}
	return p, true
}

// anew reports whether a thing that they set up anew is taken as they made it: we did nothing to it.
func (w *merger) anew(ref edit.Ref) bool {
	if !w.a.touched[ref] {
		return true
	}
	if ours, theirs := w.a.inserts[ref], w.b.inserts[ref]; ours == nil || theirs == nil || string(ours.Value) != string(theirs.Value) {
		w.conflict(ref, "", 0, "both set it up anew")
	}
	return false
}

// paint takes their cells but where we painted something else.
func (w *merger) paint(p edit.Primitive) (edit.Primitive, bool) {
	mine, both := w.a.cells[p.Ref]
	if !both {
		return p, true
	}
	plane, _ := mine.Apply(cells.Plane{})
	region := mine.Region()
	theirs, _ := p.Cells.Apply(cells.Plane{})
	otherwise := 0
	rest := p.Cells.Region()
	p.Cells = cells.PaintEach(rest, rest.Bounds(), func(x, y int) (cells.Cell, bool) {
		c := theirs.At(x, y)
		if region.Has(grid.Point{X: x, Y: y}) {
			if plane.At(x, y) != c {
				otherwise++
			}
			return 0, false
		}
		return c, true
	})
	if otherwise > 0 {
		w.conflict(p.Ref, "", otherwise, "we painted something else")
	}
	return p, len(p.Cells) > 0
}

// conflict tells of something once.
func (w *merger) conflict(ref edit.Ref, field string, n int, why string) {
	key := at{ref, field}
	if w.told[key] {
		return
	}
	w.told[key] = true
	name := author.NameIn(w.theirs, w.ours, ref)
	switch {
	case n == 1:
		name += ", 1 cell"
	case n > 0:
		name += fmt.Sprintf(", %d cells", n)
	case field != "":
		name += ", " + field
	}
	w.out = append(w.out, Conflict{Type: ref.Type, Map: ref.Map, Rule: ref.Rule, ID: ref.ID, Field: field, Cells: n, Text: name + ": " + why})
}
