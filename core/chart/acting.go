package chart

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
	"slices"
	"strings"
)

// What a finding about something that acts is about.
const (
	CannotMove = "cannot move"
	NoPath     = "no path"
	NoLength   = "no length"
	InCircle   = "in a circle"
	NoKey      = "no key"
	NoMakes    = "makes nothing"
	NoLane     = "no lane"
	NoTime     = "no time"
)

// asked is a word that an entity asks for.
type asked struct {
	e    *document.Entity
	word string
}

// acting finds what cannot do where it stands what is set of it, and the words of keys: those
// that can be had on the map, and those that are asked for.
func (c *Chart) acting(m *document.Map, f *facts) {
	say := func(what string, e *document.Entity, text string) {
		f.acting = append(f.acting, Finding{What: what, Map: m.ID, Entity: e.ID, Idle: true, Text: fmt.Sprintf("%s on %s %s.", e.Name, m.Name, text)})
	}
	for _, e := range m.Entities.All() {
		word := func(key string) string { return c.doc.Value(e, key).Word() }
		acts := c.doc.Acts(e)
		switch acts {
		case kind.Walker, kind.Character, kind.Block:
			if c.solid(m, e) {
				say(CannotMove, e, "stands in something solid and cannot move")
			}
		case kind.Beam:
			if c.doc.Value(e, "length").Thousandths() <= 0 {
				say(NoLength, e, "has no length")
			}
		case kind.GroundLine:
			if len(e.Points) == 0 {
				say(NoPath, e, "has no second point, so that there is no ground")
			}
		case kind.Fan, kind.Charge:
			if c.doc.Value(e, "reach").Thousandths() <= 0 {
				say(NoLength, e, "reaches nothing")
			}
		case kind.Timer:
			if c.doc.Value(e, "every").Thousandths() <= 0 {
				say(NoTime, e, "rings sixty times a second: its time is 0")
			}
		case kind.Source, kind.LaneEntry:
			if text := c.makes(e, "makes"); text != "" {
				say(NoMakes, e, text)
			}
			if acts == kind.LaneEntry {
				c.lane(m, e, say)
			}
		case kind.Plot:
			if text := c.makes(e, "takes"); text != "" {
				say(NoMakes, e, text)
			}
		case kind.Door:
			if w := word("needs"); w != "" {
				f.needs = append(f.needs, asked{e, w})
			}
		case kind.Key, kind.Item:
			f.words = append(f.words, c.doc.Word(e))
		case kind.Container:
			f.words = append(f.words, c.doc.Value(e, "holds").List()...)
			if w := word("needs"); w != "" {
				f.needs = append(f.needs, asked{e, w})
			}
		case kind.Breakable:
			f.words = append(f.words, word("leaves"))
			if w := word("by"); w != "" && slices.Contains(c.doc.Value(e, "brokenBy").List(), "blow") {
				f.needs = append(f.needs, asked{e, w})
			}
		case kind.Hero:
			f.words = append(f.words, c.doc.Value(e, "carries").List()...)
		}
		if p := m.Entities.Get(document.ID(word("path"))); p != nil && len(p.Points) == 0 {
			say(NoPath, e, fmt.Sprintf("goes along %s, which has no second point", p.Name))
		}
		if c.carriedRound(m, e) {
			say(InCircle, e, "travels along with something that travels along with it: nobody moves")
		}
	}
}

// makes says what is wrong with a list of kinds of which something is made; empty for nothing.
func (c *Chart) makes(e *document.Entity, key string) string {
	all := c.doc.Value(e, key).Shares()
	switch {
	case len(all) == 0 && c.doc.Acts(e) == kind.Plot:
		return "takes nothing that can be put up: say of which kinds in Details"
	case len(all) == 0:
		return "has nothing to make: say of which kinds in Details"
	}
	for _, share := range all {
		switch k := c.doc.Kind(document.ID(share.Of)); {
		case k == nil:
			return "makes something of a kind that was removed"
		case !kind.Makeable(k):
			return fmt.Sprintf("cannot make a %s", strings.ToLower(k.Name))
		}
	}
	return ""
}

// lane finds what is wrong with the lane that waves go along.
func (c *Chart) lane(m *document.Map, e *document.Entity, say func(what string, e *document.Entity, text string)) {
	name := c.doc.Value(e, "lane").Word()
	for _, o := range m.Entities.All() {
		if c.doc.Acts(o) == kind.Lane && c.doc.Value(o, "lane").Word() == name {
			if len(o.Points) == 0 {
				say(NoPath, e, fmt.Sprintf("sends waves along %s, which has no second point", o.Name))
			}
			return
		}
	}
	if name == "" {
		say(NoLane, e, "has no lane without a name: put one down, or give both the same name")
		return
	}
	say(NoLane, e, fmt.Sprintf("sends waves along a lane called “%s”, and there is none", name))
}

// solid reports whether the middle of an entity, and all around it, lies in whole solid cells.
func (c *Chart) solid(m *document.Map, e *document.Entity) bool {
	box := e.Box(m)
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if !c.solids.At(m, grid.Point{X: x, Y: y}) {
				return false
			}
		}
	}
	return true
}

// carriedRound reports whether following what carries an entity leads back to it.
func (c *Chart) carriedRound(m *document.Map, e *document.Entity) bool {
	at := m.Entities.Get(e.Carrier)
	for n := 0; at != nil && n < m.Entities.Len(); n++ {
		if at == e {
			return true
		}
		at = m.Entities.Get(at.Carrier)
	}
	return false
}

// keyless finds the doors and containers that ask for a word that nothing has.
func (c *Chart) keyless() (out []Finding) {
	var words []string
	had := false
	for _, m := range c.order {
		f := c.factsOf(m)
		words = append(words, f.words...)
		had = had || len(f.needs) > 0
	}
	if !had {
		return nil
	}
	words = append(words, c.doc.HeroValue(nil, nil, c.doc.HeroKind(), "carries").List()...)
	slices.Sort(words)
	for _, m := range c.order {
		for _, a := range c.factsOf(m).needs {
			if _, ok := slices.BinarySearch(words, a.word); !ok {
				out = append(out, Finding{What: NoKey, Map: m.ID, Entity: a.e.ID, Idle: true, Text: fmt.Sprintf("%s on %s asks for “%s”, which nothing has.", a.e.Name, m.Name, a.word)})
			}
		}
	}
	return out
}
