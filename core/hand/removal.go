package hand

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"slices"
)

// Removal removes entities together with the passages that begin or end at
// them; what refers to them otherwise on their map lets go of them.
func Removal(d *document.Document, m *document.Map, all []*document.Entity) []edit.Primitive {
	gone := map[document.Object]bool{}
	for _, e := range all {
		gone[document.Object{Type: document.TypeEntity, Map: m.ID, ID: e.ID}] = true
	}
	var do []edit.Primitive
	done := map[edit.Ref]bool{}
	d.References(func(r document.Reference) {
		ref := edit.Ref{Type: r.By.Type, Map: r.By.Map, ID: r.By.ID}
		if !gone[r.To] || gone[r.By] {
			return
		}
		switch r.As {
		case document.AsFrom, document.AsTo:
			if !done[ref] {
				do = append(do, edit.Remove(ref))
			}
		case document.AsCarrier:
			do = append(do, edit.Set(ref, "carrier", ""))
			return
		case document.AsSetting:
			if !done[ref] {
				do = append(do, edit.Set(ref, "values", left(d, m.ID, d.Entity(ref.Map, ref.ID), gone)))
			}
		default:
			return // it says that something is missing
		}
		done[ref] = true
	})
	for _, e := range all {
		do = append(do, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
	}
	return do
}

// left are the values of an entity without those that name what goes.
func left(d *document.Document, m document.ID, e *document.Entity, gone map[document.Object]bool) []kind.Value {
	return slices.DeleteFunc(slices.Clone(e.Values), func(v kind.Value) bool {
		s := d.Setting(e, v.Key)
		return s != nil && s.Type == kind.Entity && gone[document.Object{Type: document.TypeEntity, Map: m, ID: document.ID(v.Value.Word())}]
	})
}
