package document

import (
	"slices"
	"strings"
	"sync/atomic"
)

const shards = 64

// Table holds objects by id. It is a value: With and Without give another
// table, which shares all but one of its 64 shards. The zero value is empty.
type Table[T any] struct {
	held  *held[T]
	count int
}

type held[T any] struct {
	shards [shards][]row[T]
	order  order[T]
	// names are those in use in this table; whoever takes them owns them.
	names atomic.Pointer[Names]
	// made is what was worked out from all objects.
	made atomic.Pointer[any]
	// by made it and may go on changing it, in the shards that are its own, a bit each.
	by   *Maker
	mine uint64
}

// Maker is an edit in the making: tables that it has made it changes in place, since nobody else has seen them yet. It must not be used any
// more once somebody has.
type Maker struct{ _ bool }

type row[T any] struct {
	id  ID
	obj *T
}

func shardOf(id ID) int {
	h := uint32(2166136261) // FNV-1a
	for _, c := range []byte(id) {
		h = (h ^ uint32(c)) * 16777619
	}
	return int(h % shards)
}

func (t Table[T]) find(id ID) (shard []row[T], i int, ok bool) {
	if t.held == nil {
		return nil, 0, false
	}
	shard = t.held.shards[shardOf(id)]
	low, high := 0, len(shard)
	for low < high {
		if at := int(uint(low+high) >> 1); shard[at].id < id {
			low = at + 1
		} else {
			high = at
		}
	}
	return shard, low, low < len(shard) && shard[low].id == id
}

// Get gives an object, nil when there is none. It must not be changed.
func (t Table[T]) Get(id ID) *T {
	if id == "" {
		return nil // most refer to none
	}
	shard, i, ok := t.find(id)
	if !ok {
		return nil
	}
	return shard[i].obj
}

// Len is the number of objects.
func (t Table[T]) Len() int { return t.count }

// With gives a table in which id is obj.
func (t Table[T]) With(id ID, obj *T) Table[T] {
	shard, i, ok := t.find(id)
	next := make([]row[T], 0, len(shard)+1)
	next = append(append(next, shard[:i]...), row[T]{id, obj})
	if ok {
		return t.put(row[T]{id, obj}, append(next, shard[i+1:]...), 0)
	}
	return t.put(row[T]{id, obj}, append(next, shard[i:]...), 1)
}

// own gives what is held, with one shard that the maker may change by a row; both are copied where it has not made them.
func (t Table[T]) own(by *Maker, at int, r row[T]) *held[T] {
	h := t.held
	if h == nil || by == nil || h.by != by {
		h = &held[T]{by: by}
		if t.held != nil {
			h.shards = t.held.shards
		}
	}
	if t.held != nil {
		h.order.follow(&t.held.order, r)
	}
	if h.mine>>at&1 == 0 {
		h.shards[at], h.mine = slices.Clone(h.shards[at]), h.mine|1<<at
	}
	h.made.Store(nil)
	return h
}

// WithBy is With for a maker.
func (t Table[T]) WithBy(by *Maker, id ID, obj *T) Table[T] {
	_, i, ok := t.find(id)
	at := shardOf(id)
	h := t.own(by, at, row[T]{id, obj})
	if ok {
		h.shards[at][i].obj = obj
		return Table[T]{h, t.count}
	}
	h.shards[at] = slices.Insert(h.shards[at], i, row[T]{id, obj})
	return Table[T]{h, t.count + 1}
}

// WithoutBy is Without for a maker.
func (t Table[T]) WithoutBy(by *Maker, id ID) Table[T] {
	_, i, ok := t.find(id)
	if !ok {
		return t
	}
	at := shardOf(id)
	h := t.own(by, at, row[T]{id: id})
	h.shards[at] = slices.Delete(h.shards[at], i, i+1)
	return Table[T]{h, t.count - 1}
}

// TableOf is a table of objects; of those with the same id the last one is in it.
func TableOf[T any](all []*T, id func(*T) ID) Table[T] {
	if len(all) == 0 {
		return Table[T]{}
	}
	next := new(held[T])
	for _, o := range all {
		at := shardOf(id(o))
		next.shards[at] = append(next.shards[at], row[T]{id(o), o})
	}
	count := 0
	for i, shard := range next.shards {
		slices.SortStableFunc(shard, func(a, b row[T]) int { return strings.Compare(string(a.id), string(b.id)) })
		kept := shard[:0]
		for k, r := range shard {
			if k+1 == len(shard) || shard[k+1].id != r.id {
				kept = append(kept, r)
			}
		}
		next.shards[i], count = kept, count+len(kept)
	}
	return Table[T]{next, count}
}

// Without gives a table that lacks id.
func (t Table[T]) Without(id ID) Table[T] {
	shard, i, ok := t.find(id)
	if !ok {
		return t
	}
	return t.put(row[T]{id: id}, slices.Delete(slices.Clone(shard), i, i+1), -1)
}

// put is the table with another shard, which differs by a row; one without an object is gone.
func (t Table[T]) put(r row[T], shard []row[T], more int) Table[T] {
	next := new(held[T])
	if t.held != nil {
		next.shards = t.held.shards
		next.order.follow(&t.held.order, r)
	}
	next.shards[shardOf(r.id)] = shard
	return Table[T]{next, t.count + more}
}

// Same reports whether two tables are one and the same value, without looking
// at their objects.
func (t Table[T]) Same(u Table[T]) bool { return t.held == u.held }

// TakeNames gives the names in use in the table, counted once and then handed on:
// until KeepNames gives them to this or a later table they are the caller's own.
func (t Table[T]) TakeNames(name func(*T) string) *Names {
	if t.held == nil {
		return &Names{}
	}
	if kept := t.held.names.Swap(nil); kept != nil {
		return kept
	}
	return t.Names(name)
}

// Names counts the names in use in the table.
func (t Table[T]) Names(name func(*T) string) *Names {
	out := &Names{}
	t.Sum(func(o *T) int {
		out.Add(name(o))
		return 0
	})
	return out
}

// KeepNames keeps the names in use in the table for whoever takes them next.
func (t Table[T]) KeepNames(n *Names) {
	if t.held != nil {
		t.held.names.Store(n)
	}
}

// Differs calls changed with each object of u that is not, as it is, in t, and gone
// with each of t that u lacks. Shards that both share are not looked at.
func (t Table[T]) Differs(u Table[T], changed, gone func(*T)) {
	for i := range shards {
		var a, b []row[T]
		if t.held != nil {
			a = t.held.shards[i]
		}
		if u.held != nil {
			b = u.held.shards[i]
		}
		if len(a) == len(b) && (len(a) == 0 || &a[0] == &b[0]) {
			continue
		}
		for len(a) > 0 || len(b) > 0 {
			switch {
			case len(b) == 0 || len(a) > 0 && a[0].id < b[0].id:
				gone(a[0].obj)
				a = a[1:]
			case len(a) == 0 || b[0].id < a[0].id:
				changed(b[0].obj)
				b = b[1:]
			default:
				if a[0].obj != b[0].obj {
					changed(b[0].obj)
				}
				a, b = a[1:], b[1:]
			}
		}
	}
}

// Sum adds up f over all objects, in any order.
func (t Table[T]) Sum(f func(*T) int) (n int) {
	if t.held == nil {
		return 0
	}
	for i := range t.held.shards {
		for _, r := range t.held.shards[i] {
			n += f(r.obj)
		}
	}
	return n
}

// Derived is what f makes of the objects, made once for a table: there is one such
// thing for a type of object.
func (t Table[T]) Derived(f func() any) any {
	if t.held == nil {
		return f()
	}
	if made := t.held.made.Load(); made != nil {
		return *made
	}
	made := f()
	t.held.made.Store(&made)
	return made
}
