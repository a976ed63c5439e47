package document

import (
	"fmt"
	"slices"
)

// Use is something that refers to an entity, a map or a flag.
type Use struct {
	// What is passage, rule, gate, carrier or setting.
	What string `json:"what"`
	Map  ID     `json:"map,omitempty"`
	ID   ID     `json:"id"`
	Text string `json:"text"`
}

// Uses lists what refers to entities of a map, apart from themselves.
func (d *Document) Uses(m *Map, ids map[ID]bool) []Use {
	at := func(o Object) bool { return o.Type == TypeEntity && o.Map == m.ID && ids[o.ID] }
	return d.uses(at, at)
}

// MapUses lists what refers to a map, or to something on it, from elsewhere.
func (d *Document) MapUses(m *Map) []Use {
	on := func(o Object) bool { return o.Lies(m.ID) }
	return d.uses(on, func(by Object) bool {
		p := d.Passages.Get(by.ID)
		// what begins on the map goes with it
		return on(by) || by.Type == TypePassage && p != nil && p.From.Map == m.ID
	})
}

// FlagUses lists, for each flag and counter that is used, what asks for it or sets it.
func (d *Document) FlagUses() map[ID][]Use {
	out := map[ID][]Use{}
	d.References(func(r Reference) {
		if u, ok := d.use(r); ok && (r.To.Type == TypeFlag || r.To.Type == TypeCounter) && !slices.Contains(out[r.To.ID], u) {
			out[r.To.ID] = append(out[r.To.ID], u)
		}
	})
	return out
}

// uses lists, each once, the objects that refer to what to says and that own does not mean.
func (d *Document) uses(to, own func(Object) bool) []Use {
	out := []Use{}
	seen := map[Use]bool{}
	d.References(func(r Reference) {
		if !to(r.To) || own(r.By) {
			return
		}
		if u, ok := d.use(r); ok && !seen[u] {
			seen[u] = true
			out = append(out, u)
		}
	})
	return out
}

// name is how an object is called, "something" when it is not there.
func (d *Document) name(o Object) string {
	switch o.Type {
	case TypeEntity:
		if e := d.Entity(o.Map, o.ID); e != nil {
			return e.Name
		}
	case TypeMap:
		if m := d.Maps.Get(o.ID); m != nil {
			return m.Name
		}
	case TypeFlag:
		if f := d.Flags.Get(o.ID); f != nil {
			return f.Name
		}
	case TypeSound:
		if s := d.Sounds.Get(o.ID); s != nil {
			return s.Name
		}
	case TypeCounter:
		if c := d.Counters.Get(o.ID); c != nil {
			return c.Name
		}
	}
	return "something"
}

func (d *Document) use(r Reference) (Use, bool) {
	mapOf := func(e End) string { return d.name(Object{Type: TypeMap, ID: e.Map}) }
	u := Use{Map: r.By.Map, ID: r.By.ID}
	switch r.As {
	case AsFrom:
		u.What, u.Text = "passage", fmt.Sprintf("the passage from %s to %s", d.name(r.To), mapOf(d.Passages.Get(r.By.ID).To))
	case AsTo:
		u.What, u.Text = "passage", fmt.Sprintf("the passage from %s to %s", mapOf(d.Passages.Get(r.By.ID).From), d.name(r.To))
	case AsGate:
		u.What, u.Text = "gate", fmt.Sprintf("a passage that opens for %s", d.name(r.To))
		if r.By.Type == TypeMap {
			u.Map, u.Text = r.By.ID, fmt.Sprintf("a seam that opens for %s", d.name(r.To))
		}
	case AsWhen, AsIf, AsThen:
		u.What, u.Text = "rule", "a rule"
	case AsCarrier:
		u.What, u.Text = "carrier", fmt.Sprintf("%s, which travels along with %s", d.name(r.By), d.name(r.To))
	case AsSetting:
		u.What, u.Text = "setting", fmt.Sprintf("%s of %s", r.Setting, d.name(r.By))
	case AsWins:
		u.What, u.Text = "setting", "how the game is won"
	default:
		return u, false
	}
	return u, true
}
