package document

import "fmt"

// Use is something that refers to an entity or a map.
type Use struct {
	// What is passage, rule, gate, carrier or setting.
	What string `json:"what"`
	Map  ID     `json:"map,omitempty"`
	ID   ID     `json:"id"`
	Text string `json:"text"`
}

// Uses lists what refers to entities of a map, apart from themselves.
func (d *Document) Uses(m *Map, ids map[ID]bool) []Use {
	out := []Use{}
	at := func(where, id ID) bool { return where == m.ID && ids[id] }
	name := func(id ID) string {
		if e := m.Entities.Get(id); e != nil {
			return e.Name
		}
		return "something"
	}
	for _, p := range d.Passages.All() {
		from, to := at(p.From.Map, p.From.Entity), at(p.To.Map, p.To.Entity)
		switch {
		case from && d.Maps.Get(p.To.Map) != nil:
			out = append(out, Use{"passage", "", p.ID, fmt.Sprintf("the passage from %s to %s", name(p.From.Entity), d.Maps.Get(p.To.Map).Name)})
		case to && d.Maps.Get(p.From.Map) != nil:
			out = append(out, Use{"passage", "", p.ID, fmt.Sprintf("the passage from %s to %s", d.Maps.Get(p.From.Map).Name, name(p.To.Entity))})
		}
		for _, g := range p.If {
			if at(g.Map, g.Entity) {
				out = append(out, Use{"gate", "", p.ID, fmt.Sprintf("a passage that opens for %s", name(g.Entity))})
			}
		}
	}
	for _, r := range d.RulesInOrder() {
		used := at(r.When.Map, r.When.Entity)
		for _, s := range r.Then {
			used = used || at(s.Map, s.Entity)
		}
		if used {
			out = append(out, Use{"rule", "", r.ID, "a rule"})
		}
	}
	for _, e := range m.Entities.All() {
		if ids[e.ID] {
			continue
		}
		if ids[e.Carrier] {
			out = append(out, Use{"carrier", m.ID, e.ID, fmt.Sprintf("%s, which travels along with %s", e.Name, name(e.Carrier))})
		}
		for _, v := range e.Values {
			if ids[ID(v.Value)] && d.TypeOf(e, v.Name) == PropertyEntity {
				out = append(out, Use{"setting", m.ID, e.ID, fmt.Sprintf("%s of %s", v.Name, e.Name)})
			}
		}
	}
	return out
}

// MapUses lists what refers to a map or to something on it from elsewhere.
func (d *Document) MapUses(m *Map) []Use {
	out := []Use{}
	for _, p := range d.Passages.All() {
		if p.To.Map == m.ID && p.From.Map != m.ID {
			if from := d.Maps.Get(p.From.Map); from != nil {
				out = append(out, Use{"passage", "", p.ID, "a passage from " + from.Name})
			}
		}
	}
	for _, r := range d.RulesInOrder() {
		used := r.When.Map == m.ID
		for _, s := range r.Then {
			used = used || s.Map == m.ID
		}
		if used {
			out = append(out, Use{"rule", "", r.ID, "a rule"})
		}
	}
	return out
}
