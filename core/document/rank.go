package document

import (
	"cmp"
	"slices"
	"strings"
)

// ByRank orders entities as they act: by rank, and those of equal rank by id.
func ByRank(a, b *Entity) int {
	return cmp.Or(cmp.Compare(a.Rank, b.Rank), strings.Compare(string(a.ID), string(b.ID)))
}

// InRank lists entities in the order in which they act, in a slice of the caller's own.
func InRank(all []*Entity) []*Entity {
	out := slices.Clone(all)
	slices.SortFunc(out, ByRank)
	return out
}

// NextRank is the rank of an entity that comes to the map now: it acts last.
func (m *Map) NextRank() int {
	next := 1
	m.Entities.Each(func(e *Entity) { next = max(next, e.Rank+1) })
	return next
}
