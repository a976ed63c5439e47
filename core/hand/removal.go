package hand

import (
	"azzel/core/document"
	"azzel/core/edit"
	"slices"
)

// Removal removes entities together with the passages that begin or end at
// them; what refers to them otherwise on their map lets go of them.
func Removal(d *document.Document, m *document.Map, all []*document.Entity) []edit.Primitive {
	var do []edit.Primitive
	gone := map[document.ID]bool{}
	for _, e := range all {
		gone[e.ID] = true
	}
	for _, p := range d.Passages.All() {
		if p.From.Map == m.ID && gone[p.From.Entity] || p.To.Map == m.ID && gone[p.To.Entity] {
			do = append(do, edit.Remove(edit.Ref{Type: edit.TypePassage, ID: p.ID}))
		}
	}
	for _, e := range m.Entities.All() {
		if gone[e.ID] {
			continue
		}
		ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
		if gone[e.Carrier] {
			do = append(do, edit.Set(ref, "carrier", ""))
		}
		left := slices.DeleteFunc(slices.Clone(e.Values), func(v document.Value) bool {
			return gone[document.ID(v.Value)] && d.TypeOf(e, v.Name) == document.PropertyEntity
		})
		if len(left) < len(e.Values) {
			do = append(do, edit.Set(ref, "values", left))
		}
	}
	for _, e := range all {
		do = append(do, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
	}
	return do
}
