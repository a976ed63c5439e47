package edit

import (
	"azzel/core/document"
	"unicode/utf8"
)

// Inserts are the primitives that put entities on a map, as Insert makes them: many at once take a third of the time.
func Inserts(m document.ID, all []*document.Entity) []Primitive {
	out := make([]Primitive, len(all))
	made := make([]document.Entity, len(all)) // what is put down may still be shown, and named anew
	text := make([]byte, 0, len(all)*document.EntityRoom)
	for i, e := range all {
		ref := Ref{Type: TypeEntity, Map: m, ID: e.ID}
		from, ok := len(text), false
		if text, ok = e.AppendJSON(text); !ok {
			out[i] = insertEntity(ref, *e)
			continue
		}
		made[i] = *e
		out[i] = Primitive{Op: OpInsert, Ref: ref, Value: text[from:len(text):len(text)], plain: true, made: &made[i]}
	}
	return out
}

func insertEntity(ref Ref, e document.Entity) Primitive {
	return Primitive{Op: OpInsert, Ref: ref, Value: JSON(&e), plain: true, made: bare(e)}
}

// bare is an entity that is nothing but words and numbers, and so is read as it was written; nil for another.
func bare(e document.Entity) *document.Entity {
	for _, text := range []string{e.Name, e.Group, e.Tint, e.Memory, e.Kind, string(e.ID), string(e.Layer), string(e.Carrier), string(e.Facing)} {
		if !utf8.ValidString(text) {
			return nil
		}
	}
	if len(e.Values)+len(e.Points)+len(e.Variants)+len(e.Guises) > 0 {
		return nil
	}
	return &e
}
