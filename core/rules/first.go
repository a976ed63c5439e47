package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// First is what fits a blank first, beginning with what stands on a map; empty when
// nothing does.
//
// What is what the blank “what” of the same part names.
func First(d *document.Document, b *Blank, what kind.Datum, here document.ID) kind.Datum {
	switch b.Type {
	case BlankNumber:
		return kind.Of(1)
	case BlankChoice:
		return kind.Of(b.Of[0])
	case BlankItem:
		for _, word := range Items(d, b.Keys) {
			return kind.Of(word)
		}
		if b.Free {
			return kind.Of(b.First)
		}
		return ""
	case BlankOwnFlag, BlankOwnCounter, BlankGuise:
		all := b.OwnChoices(d, what)
		if len(all) > 1 && b.Type == BlankGuise && b.Key != "from" {
			all = all[1:] // another one than at first
		}
		for _, s := range all {
			return kind.Of(s.Key)
		}
		return ""
	case BlankText, BlankSignal:
		return kind.Of(b.First)
	case BlankCounter:
		for _, o := range d.CountersByName() {
			return document.Naming(document.Object{Type: document.TypeCounter, ID: o.ID})
		}
		return ""
	case BlankKind:
		for _, k := range used(d, b) {
			return document.Naming(document.Object{Type: document.TypeKind, ID: k.ID})
		}
		return ""
	case BlankSound:
		for _, o := range d.SoundsByName() {
			return document.Naming(document.Object{Type: document.TypeSound, ID: o.ID})
		}
		return ""
	case BlankFlag:
		for _, f := range d.FlagsByName() {
			return document.Naming(document.Object{Type: document.TypeFlag, ID: f.ID})
		}
		return ""
	}
	if b.Hero && b.Key == "what" {
		return document.Naming(document.Object{Type: document.TypeHero})
	}
	maps := d.MapsInOrder()
	if m := d.Maps.Get(here); m != nil {
		maps = append([]*document.Map{m}, maps...)
	}
	fits := fitting(d, b)
	for _, m := range maps {
		if b.Type == BlankLayer {
			if all := laidLayers(m); len(all) > 0 { // the one that is not there at first, or lies above
				l := all[len(all)-1]
				if i := slices.IndexFunc(all, func(l *document.Layer) bool { return l.Absent }); i >= 0 {
					l = all[i]
				}
				return document.Naming(document.Object{Type: document.TypeLayer, Map: m.ID, ID: l.ID})
			}
			continue
		}
		if b.Type == BlankMap {
			return document.Naming(document.Object{Type: document.TypeMap, ID: m.ID})
		}
		for _, e := range m.Entities.All() {
			if fits[document.ID(e.Kind)] && !(b.Wears && len(d.GuisesOf(e)) == 0) {
				return document.Naming(document.Object{Type: document.TypeEntity, Map: m.ID, ID: e.ID})
			}
		}
	}
	return ""
}
