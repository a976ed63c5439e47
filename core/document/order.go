package document

import (
	"cmp"
	"slices"
	"strings"
	"sync/atomic"
)

// keptSince is how many changes of a table are worked into the order that was known before, in place of sorting all of it anew.
const keptSince = 16

// order is what is known of the order of a table's objects. A table never changes, so each is found out once.
type order[T any] struct {
	byID    atomic.Pointer[[]row[T]]
	byPlace atomic.Pointer[[]*T]
	// known is what an earlier table had, until it is needed.
	known atomic.Pointer[changed[T]]
}

// changed is an order by id and what came about since: rows without an object are gone. placed is the same objects by place, where
// that was known.
type changed[T any] struct {
	from   *[]row[T]
	placed *[]*T
	since  []row[T]
}

// follow takes over what is known of the order of a table that differs by a row; the table may be the same, changed in place.
func (o *order[T]) follow(before *order[T], r row[T]) {
	var next *changed[T]
	if all := before.byID.Load(); all != nil {
		next = &changed[T]{all, before.byPlace.Load(), []row[T]{r}}
	} else if k := before.known.Load(); k != nil && len(k.since) < keptSince {
		next = &changed[T]{k.from, k.placed, append(slices.Clip(k.since), r)}
	}
	o.known.Store(next)
	o.byID.Store(nil)
	o.byPlace.Store(nil)
}

// all is the order by id with what came about since.
func (c *changed[T]) all() []row[T] {
	since := slices.Clone(c.since)
	slices.SortStableFunc(since, byID)
	out := make([]row[T], 0, len(*c.from)+len(since))
	rest := *c.from
	for i, r := range since {
		if i+1 < len(since) && since[i+1].id == r.id {
			continue // the last one counts
		}
		at, is := slices.BinarySearchFunc(rest, r, byID)
		out = append(out, rest[:at]...)
		if r.obj != nil {
			out = append(out, r)
		}
		if rest = rest[at:]; is {
			rest = rest[1:]
		}
	}
	return append(out, rest...)
}

// inPlace is the order by place with what came about since; nil where that has come or gone, or has another place now.
func (c *changed[T]) inPlace(place func(*T) int) []*T {
	if c.placed == nil {
		return nil
	}
	out := slices.Clone(*c.placed)
	for i, r := range c.since {
		if slices.ContainsFunc(c.since[i+1:], func(later row[T]) bool { return later.id == r.id }) {
			continue // the last one counts
		}
		at, is := slices.BinarySearchFunc(*c.from, r, byID)
		if !is || r.obj == nil || place(r.obj) != place((*c.from)[at].obj) {
			return nil
		}
		out[slices.Index(*c.placed, (*c.from)[at].obj)] = r.obj
	}
	return out
}

func byID[T any](a, b row[T]) int { return strings.Compare(string(a.id), string(b.id)) }

// rows are all of the table by id, in a slice that must not be changed.
func (t Table[T]) rows() []row[T] {
	if t.held == nil {
		return nil
	}
	o := &t.held.order
	if all := o.byID.Load(); all != nil {
		return *all
	}
	var all []row[T]
	if known := o.known.Load(); known != nil {
		all = known.all()
	} else {
		all = make([]row[T], 0, t.count)
		for _, s := range t.held.shards {
			all = append(all, s...)
		}
		slices.SortFunc(all, byID)
	}
	o.byID.Store(&all)
	o.forget()
	return all
}

// All lists the objects sorted by id, in a slice of the caller's own.
func (t Table[T]) All() []*T {
	out := make([]*T, t.count)
	for i, r := range t.rows() {
		out[i] = r.obj
	}
	return out
}

// Each calls f with the objects sorted by id.
func (t Table[T]) Each(f func(*T)) {
	for _, r := range t.rows() {
		f(r.obj)
	}
}

// InOrder lists the objects by the place that people gave them, then by id, in a slice of the caller's own. The place of a type of
// object is always the same field.
func (t Table[T]) InOrder(place func(*T) int) []*T {
	if t.held == nil {
		return []*T{}
	}
	o := &t.held.order
	if kept := o.byPlace.Load(); kept != nil {
		return slices.Clone(*kept)
	}
	var all []*T
	if known := o.known.Load(); known != nil {
		all = known.inPlace(place)
	}
	if all == nil {
		all = t.All()
		slices.SortStableFunc(all, func(a, b *T) int { return cmp.Compare(place(a), place(b)) })
	}
	o.byPlace.Store(&all)
	o.forget()
	return slices.Clone(all)
}

// forget lets go of what an earlier table had, once nothing more can be found out by it.
func (o *order[T]) forget() {
	if k := o.known.Load(); k != nil && o.byID.Load() != nil && (k.placed == nil || o.byPlace.Load() != nil) {
		o.known.Store(nil)
	}
}
