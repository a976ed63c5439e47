package check

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
)

// ofOwn finds what the designer's own checks ask for and is not so.
func ofOwn(d *document.Document, say func(Finding)) {
	for i := range d.Project.OwnChecks {
		o := &d.Project.OwnChecks[i]
		if o.As == document.Ignored {
			continue
		}
		if every, has := d.Kind(document.ID(o.Every)), d.Kind(document.ID(o.Has)); has == nil || every == nil && o.Every != document.EveryMap {
			say(Finding{What: OwnCheck, Of: document.TypeProject, ID: o.ID, As: o.As, Text: "A check of your own names a kind that was removed."})
			continue
		}
		told := 0
		tell := func(f Finding) {
			if told++; told <= maxAlike {
				f.What, f.As = OwnCheck, o.As
				say(f)
			}
		}
		for _, m := range d.MapsInOrder() {
			if !m.Template && holdsOn(d, o, m) {
				own(d, o, m, tell)
			}
		}
	}
}

// holdsOn reports whether a check is about a map.
func holdsOn(d *document.Document, o *document.OwnCheck, m *document.Map) bool {
	switch o.Where {
	case document.WhereDark:
		return d.MapValue(m, kind.MapDarkness).Thousandths() > 0
	case document.WhereSide:
		return d.FromSide(m)
	case document.WhereAbove:
		return !d.FromSide(m)
	case document.WhereBegins:
		return slices.ContainsFunc(m.Entities.All(), func(e *document.Entity) bool { a := d.Acts(e); return a == kind.Spawn || a == kind.Hero })
	}
	return true
}

// own looks whether one check holds on a map.
func own(d *document.Document, o *document.OwnCheck, m *document.Map, tell func(Finding)) {
	of := func(e *document.Entity, k string) bool {
		return d.Covers(document.Object{Type: document.TypeKind, ID: document.ID(k)}, document.ID(e.Kind))
	}
	all := document.InRank(m.Entities.All())
	// around counts what is asked for, near one or on all of the map
	around := func(e *document.Entity) (n int) {
		var near grid.Rect
		if e != nil && o.Within > 0 {
			b := e.Box(m)
			near = grid.Rect{X: b.X - o.Within, Y: b.Y - o.Within, W: b.W + 2*o.Within, H: b.H + 2*o.Within}
		}
		for _, other := range all {
			if other != e && of(other, o.Has) && (near.Empty() || !other.Box(m).Intersect(near).Empty()) {
				n++
			}
		}
		return n
	}
	fails := func(n int) bool { return o.Most && n > o.Number || !o.Most && n < o.Number }
	wanted := Wanted(d, o)
	if o.Every == document.EveryMap {
		if n := around(nil); fails(n) {
			tell(Finding{Of: document.TypeMap, Map: m.ID, ID: m.ID, Text: fmt.Sprintf("%s has %d, and %s.", m.Name, n, wanted)})
		}
		return
	}
	for _, e := range all {
		if of(e, o.Every) {
			if n := around(e); fails(n) {
				tell(Finding{Of: document.TypeEntity, Map: m.ID, ID: e.ID, Text: fmt.Sprintf("%s on %s has %d, and %s.", e.Name, m.Name, n, wanted)})
			}
		}
	}
}

// Wanted says what a check asks for.
func Wanted(d *document.Document, o *document.OwnCheck) string {
	says := "at least"
	if o.Most {
		says = "at the most"
	}
	says = fmt.Sprintf("%s %d %s", says, o.Number, d.Kind(document.ID(o.Has)).Name)
	switch {
	case o.Within == 1:
		says += " within a cell"
	case o.Within > 0:
		says += fmt.Sprintf(" within %d cells", o.Within)
	}
	verb := " is wanted"
	if o.Number != 1 {
		verb = " are wanted"
	}
	return says + verb
}

// Own makes a check of the designer's own, or changes the one that has its id; one that asks for nothing is removed.
func Own(d *document.Document, o document.OwnCheck) (author.Change, error) {
	next := slices.Clone(d.Project.OwnChecks)
	i := slices.IndexFunc(next, func(was document.OwnCheck) bool { return was.ID == o.ID })
	label := "Changed a check of one’s own"
	known := func(k string) bool { return d.Kind(document.ID(k)) != nil }
	switch {
	case o.ID != "" && i < 0:
		return author.Change{}, errors.New("that check is no longer there")
	case o.Has == "" && i >= 0:
		next, label = slices.Delete(next, i, i+1), "Removed a check of one’s own"
	case !known(o.Has) || o.Every != document.EveryMap && !known(o.Every):
		return author.Change{}, errors.New("choose what every one of which kind is to have")
	case i >= 0 && next[i] == o:
		return author.Change{}, errors.New("it is like that already")
	case i >= 0:
		next[i] = o
	case len(next) >= document.MaxOwnChecks:
		return author.Change{}, errors.New("there are as many checks as there can be")
	default:
		o.ID, label = document.NewID(), "New check of one’s own"
		next = append(next, o)
	}
	return author.Change{Made: o.ID, Label: edit.Label{Text: label}, Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "ownChecks", next)}}, nil
}
