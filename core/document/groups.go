package document

import "slices"

// Grouped gives entities together with those of their groups.
func (m *Map) Grouped(ids []ID) []ID {
	out := slices.Clone(ids)
	groups := map[string]bool{}
	named := map[ID]bool{}
	for _, id := range ids {
		named[id] = true
		if e := m.Entities.Get(id); e != nil && e.Group != "" {
			groups[e.Group] = true
		}
	}
	if len(groups) == 0 {
		return out
	}
	m.Entities.Each(func(e *Entity) {
		if groups[e.Group] && !named[e.ID] {
			out = append(out, e.ID)
		}
	})
	return out
}

// By what entities are alike.
const (
	AlikeKind = "kind" // they are of the same kind
	AlikeTag  = "tag"  // their kinds have a tag in common
)

// Alike gives the entities of a map that are like some of them.
func (d *Document) Alike(m *Map, ids []ID, by string) []ID {
	kinds, tags := map[string]bool{}, map[string]bool{}
	for _, id := range ids {
		e := m.Entities.Get(id)
		if e == nil {
			continue
		}
		kinds[e.Kind] = true
		if k := d.Kind(ID(e.Kind)); k != nil {
			for _, tag := range k.Tags {
				tags[tag] = true
			}
		}
	}
	out := []ID{}
	m.Entities.Each(func(e *Entity) {
		like := kinds[e.Kind]
		if by == AlikeTag {
			k := d.Kind(ID(e.Kind))
			like = k != nil && slices.ContainsFunc(k.Tags, func(t string) bool { return tags[t] })
		}
		if like {
			out = append(out, e.ID)
		}
	})
	return out
}
