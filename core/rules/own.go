package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// hasOwn tells of a kind that its entities have something of a type that changes in play.
func hasOwn(typ string) func(*kind.Kind) bool {
	return func(k *kind.Kind) bool { return len(ownOf(k, typ)) > 0 }
}

// owning is the blank for an entity that has something of a type of its own, and others behind it.
func owning(what, typ string, more ...Blank) []Blank {
	e := entity("thing with a "+what+" of its own", hasOwn(typ))
	e[0].Lack = "under Kinds, add a " + typ + " setting that changes in play to a kind of your own, and place one of it"
	return append(e, more...)
}

func ownOf(k *kind.Kind, typ string) (out []kind.Setting) {
	for _, s := range k.Settings {
		if s.Varies && s.Type == typ {
			out = append(out, s)
		}
	}
	return out
}

// ownType is the type of settings that a blank names; empty for other blanks.
func ownType(b *Blank) string {
	return map[string]string{BlankOwnFlag: kind.YesNo, BlankOwnCounter: kind.Number}[b.Type]
}

// OwnChoices are the settings that a blank for something's own can name, given what is named by “what”; none for
// other blanks, or where that is gone.
func (b *Blank) OwnChoices(d *document.Document, what kind.Datum) []kind.Setting {
	o, ok := document.Named(what)
	if b.Type == BlankGuise && ok {
		return guisesOf(d, o)
	}
	typ := ownType(b)
	if typ == "" || !ok {
		return nil
	}
	of := o.ID
	switch o.Type {
	case document.TypeIt, document.TypeTag, document.TypeWithin: // it may be any
		var all []kind.Setting
		for _, k := range d.KindsInOrder() {
			for _, s := range ownOf(k, typ) {
				if !slices.ContainsFunc(all, func(o kind.Setting) bool { return o.Key == s.Key }) {
					all = append(all, s)
				}
			}
		}
		return all
	case document.TypeEntity:
		e := d.Entity(o.Map, o.ID)
		if e == nil {
			return nil
		}
		of = document.ID(e.Kind)
	}
	if k := d.Kind(of); k != nil {
		return ownOf(k, typ)
	}
	return nil
}

// guisesOf are the guises of an entity, of all of a kind, or of anything that could have woken a rule, as settings with
// their names.
func guisesOf(d *document.Document, o document.Object) []kind.Setting {
	out := []kind.Setting{{Key: "0", Name: document.FirstGuise}}
	add := func(all []document.Guise) {
		for _, g := range all {
			if !slices.ContainsFunc(out, func(s kind.Setting) bool { return s.Key == g.Key() }) {
				out = append(out, kind.Setting{Key: g.Key(), Name: g.Name})
			}
		}
	}
	if e := d.Entity(o.Map, o.ID); o.Type == document.TypeEntity && e != nil {
		add(d.GuisesOf(e))
	} else if o.Several() || o.Type == document.TypeIt {
		any := o.Type == document.TypeIt || o.Type == document.TypeWithin
		for _, k := range d.Kinds.All() {
			if any || d.Covers(o, k.ID) {
				add(k.Guises)
			}
		}
		for _, m := range d.MapsInOrder() {
			for _, e := range document.InRank(m.Entities.All()) {
				if any || d.Covers(o, document.ID(e.Kind)) {
					add(e.Guises)
				}
			}
		}
	}
	return out
}

// Signals are the signals that rules send out or wait for, ascending.
func Signals(d *document.Document) (out []string) {
	d.Rules.Each(func(r *document.Rule) {
		r.Parts.Each(func(p *document.RulePart) {
			out = withWord(out, p.Blank("signal").Word())
		})
	})
	return out
}

// withWord are words ascending with another one, where it is one.
func withWord(all []string, word string) []string {
	if i, has := slices.BinarySearch(all, word); !has && word != "" {
		return slices.Insert(all, i, word)
	}
	return all
}

// Items are the words by which items of a project are called, ascending: those that lie on maps, are in something, or
// are had from the beginning, or are given by rules; those of keys too where that is asked.
func Items(d *document.Document, keys bool) (out []string) {
	add := func(words ...string) {
		for _, word := range words {
			out = withWord(out, word)
		}
	}
	d.Maps.Each(func(m *document.Map) {
		m.Entities.Each(func(e *document.Entity) {
			switch d.Acts(e) {
			case kind.Item:
				add(d.Word(e))
			case kind.Key:
				if keys {
					add(d.Word(e))
				}
			case kind.Container:
				add(d.Value(e, "holds").List()...)
			case kind.Breakable:
				add(d.Value(e, "leaves").Word())
			case kind.Walker, kind.Flyer, kind.Shooter:
				add(d.Value(e, "leaves").List()...)
			case kind.Hero:
				add(d.Value(e, "carries").List()...)
			}
		})
	})
	add(d.HeroValue(nil, nil, d.HeroKind(), "carries").List()...)
	d.Rules.Each(func(r *document.Rule) {
		r.Parts.Each(func(p *document.RulePart) {
			if p.Word == WordGive {
				add(p.Blank("item").Word())
			}
		})
	})
	return out
}
