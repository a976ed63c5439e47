package chart

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
	"maps"
	"slices"
)

// Chart answers for one document; make one for each.
type Chart struct {
	doc    *document.Document
	solids *document.Solids
	places map[document.ID]grid.Rect
	// order is the maps in their order.
	order []*document.Map
	facts map[document.ID]*facts
	// before is the chart that this one goes on from, when of the maps only what
	// lies on those in changed differs; it is let go of when both were used.
	before  *Chart
	changed map[document.ID]bool
	// still is what holds as long as maps only move; it is let go of as before is.
	still *settled

	seams   []Seam
	seamsOf map[document.ID][]*Seam
	ways    *ways
}

// New makes the chart of a document. From the chart of the document before it,
// which may be nil, it takes what it knows of maps that did not change.
func New(d *document.Document, before *Chart) *Chart {
	c := &Chart{doc: d, solids: d.Solids(), facts: map[document.ID]*facts{}}
	if before != nil && before.before != nil {
		before = before.before // nobody asked that one for its ways
	}
	if before != nil && d.Tilesets.Same(before.doc.Tilesets) && d.Zones.Same(before.doc.Zones) && d.Materials.Same(before.doc.Materials) && d.Kinds.Same(before.doc.Kinds) {
		c.facts = before.facts
		if d.Project == before.doc.Project && d.Maps.Len() == len(before.order) && c.goesOn(before) {
			return c
		}
		if d.Project == before.doc.Project && d.Maps.Len() == len(before.order) {
			c.settle(before)
		}
	}
	c.places, c.order = Places(d), d.MapsInOrder()
	return c
}

// goesOn takes over from a chart when the maps are the same but for what lies on some.
func (c *Chart) goesOn(before *Chart) bool {
	c.changed = map[document.ID]bool{}
	order := make([]*document.Map, len(before.order))
	for i, old := range before.order {
		m := c.doc.Maps.Get(old.ID)
		if m == nil || m != old && !document.SameFields(old, m) {
			return false
		}
		if order[i] = m; m != old {
			c.changed[m.ID] = true
		}
	}
	c.places, c.order, c.before = before.places, order, before
	return true
}

// Solids is what stands in the way in the document.
func (c *Chart) Solids() *document.Solids { return c.solids }

// facts are what is known of one map alone.
type facts struct {
	of             *document.Map
	starts, goal   bool
	exits, arrives []*document.Entity
	// ends says of entities at which passages end what is wrong with their place.
	ends map[document.ID]string
	// acting is what is wrong with what acts; words are what can be had, needs what is asked for.
	acting []Finding
	words  []string
	needs  []asked
}

func (c *Chart) factsOf(m *document.Map) *facts {
	if f := c.facts[m.ID]; f != nil && f.of == m {
		return f
	}
	f := &facts{of: m, ends: map[document.ID]string{}}
	c.facts[m.ID] = f
	for _, e := range m.Entities.All() {
		switch c.doc.Acts(e) {
		case kind.Spawn, kind.Hero:
			f.starts = true
		case kind.Goal:
			f.goal = true
		case kind.Exit:
			f.exits = append(f.exits, e)
		case kind.Arrival:
			f.arrives = append(f.arrives, e)
		}
	}
	c.acting(m, f)
	return f
}

// wrong says what is wrong with the place of an end of a passage; empty is nothing.
func (c *Chart) wrong(m *document.Map, e *document.Entity, begins bool) string {
	f := c.factsOf(m)
	why, ok := f.ends[e.ID]
	if ok {
		return why
	}
	if begins && !Standable(c.solids, m, e.Box(m)) {
		why = "cannot be reached: all of it lies in solid tiles or outside"
	} else if !begins {
		why = c.Blocked(m, e.Box(m))
	}
	f.ends[e.ID] = why
	return why
}

// Doc is the document that the chart answers for.
func (c *Chart) Doc() *document.Document { return c.doc }

// Place is where a map lies, in pixels of the chart.
func (c *Chart) Place(id document.ID) grid.Rect { return c.places[id] }

// Maps are the maps in their order.
func (c *Chart) Maps() []*document.Map { return c.order }

// What a finding is about.
const (
	NoWayIn    = "no way in"
	NoWayOut   = "no way out"
	NoStart    = "no start"
	Unused     = "unused"
	LeadsNot   = "leads nowhere"
	BrokenFrom = "exit blocked"
	BrokenTo   = "arrival blocked"
	Lost       = "end is gone"
)

// Finding is something about the ways between maps that a designer should know.
type Finding struct {
	What    string      `json:"what"`
	Map     document.ID `json:"map"`
	Entity  document.ID `json:"entity,omitempty"`
	Passage document.ID `json:"passage,omitempty"`
	Text    string      `json:"text"`
	// Serious findings stop a player; the others are left to the designer.
	Serious bool `json:"serious"`
	// Idle tells that an entity cannot do where it stands what is set of it.
	Idle bool `json:"idle"`
}

// Returning lists the passages that have a way back.
func (c *Chart) Returning() []document.ID {
	w := c.checked()
	out := []document.ID{}
	for _, p := range w.passages {
		if w.both[p.ID] {
			out = append(out, p.ID)
		}
	}
	return out
}

func (c *Chart) checked() *ways {
	if c.ways == nil {
		if c.ways = c.waysMoved(); c.ways == nil {
			c.ways = c.waysFrom(c.before)
		}
		c.Seams()
		c.before, c.still = nil, nil
	}
	return c.ways
}

// Findings checks every way between the maps, by the order of the maps.
func (c *Chart) Findings() []Finding {
	w := c.checked()
	out := []Finding{}
	for _, m := range c.order {
		out = append(out, w.ofMap[m.ID]...)
	}
	for _, p := range w.passages {
		out = append(out, w.ofPassage[p.ID]...)
	}
	return append(append(out, c.keyless()...), c.overlaps()...)
}

// waysFrom checks the maps that changed since another chart and the passages at
// them, or all where that chart cannot be gone on from.
func (c *Chart) waysFrom(before *Chart) *ways {
	if before == nil || before.ways == nil || !c.doc.Passages.Same(before.doc.Passages) || !c.sameSeams(before) {
		return c.allWays()
	}
	w := *before.ways
	w.c = c
	w.ofMap, w.ofPassage, w.both = maps.Clone(w.ofMap), maps.Clone(w.ofPassage), maps.Clone(w.both)
	for _, m := range c.order {
		if !c.changed[m.ID] || m.Template {
			continue
		}
		delete(w.ofMap, m.ID)
		w.check(m)
		for _, p := range w.at[m.ID] {
			delete(w.ofPassage, p.ID)
			w.passage(p)
		}
	}
	return &w
}

// sameSeams reports whether the same maps are open to each other as in another chart.
func (c *Chart) sameSeams(before *Chart) bool {
	a, b := before.Seams(), c.Seams()
	return slices.EqualFunc(a, b, func(x, y Seam) bool {
		return x.A == y.A && x.B == y.B && x.Closed == y.Closed && x.Why == y.Why && (len(x.Open) > 0) == (len(y.Open) > 0)
	})
}

func (c *Chart) allWays() *ways {
	w := &ways{c: c, from: map[document.End]bool{}, to: map[document.End]bool{}, in: map[document.ID]bool{}, out: map[document.ID]bool{},
		after: map[document.ID]bool{}, at: map[document.ID][]*document.Passage{}, passages: c.doc.Passages.All(),
		ofMap: map[document.ID][]Finding{}, ofPassage: map[document.ID][]Finding{}, both: map[document.ID]bool{}}
	for _, p := range w.passages {
		w.from[p.From], w.to[p.To] = true, true
		w.at[p.From.Map] = append(w.at[p.From.Map], p)
		if p.From.Map != p.To.Map {
			w.out[p.From.Map], w.in[p.To.Map] = true, true
			w.at[p.To.Map] = append(w.at[p.To.Map], p)
		}
	}
	w.joined = c.joined()
	var before *document.Map
	for _, m := range c.order {
		if m.Template {
			continue
		}
		w.after[m.ID] = before != nil && before.Next
		before = m
		w.check(m)
	}
	for _, p := range w.passages {
		w.passage(p)
	}
	return w
}

// ways is how the maps of a chart hang together.
type ways struct {
	c *Chart
	// from and to are the ends at which passages begin and end.
	from, to map[document.End]bool
	// in and out are the maps that passages lead into, and out of; joined those that open seams do.
	in, out, joined map[document.ID]bool
	// after are the maps that finishing the one before starts.
	after    map[document.ID]bool
	passages []*document.Passage
	// at are the passages that begin or end on a map.
	at        map[document.ID][]*document.Passage
	ofMap     map[document.ID][]Finding
	ofPassage map[document.ID][]Finding
	// both are the passages that have a way back.
	both map[document.ID]bool
}

func (w *ways) say(f Finding) {
	if f.Passage != "" {
		w.ofPassage[f.Passage] = append(w.ofPassage[f.Passage], f)
	} else {
		w.ofMap[f.Map] = append(w.ofMap[f.Map], f)
	}
}

func (w *ways) check(m *document.Map) {
	d, f := w.c.doc, w.c.factsOf(m)
	for _, e := range f.exits {
		if !w.from[document.End{Map: m.ID, Entity: e.ID}] {
			w.say(Finding{What: LeadsNot, Map: m.ID, Entity: e.ID, Serious: true, Text: fmt.Sprintf("%s on %s leads nowhere yet.", e.Name, m.Name)})
		}
	}
	for _, e := range f.arrives {
		if !w.to[document.End{Map: m.ID, Entity: e.ID}] {
			w.say(Finding{What: Unused, Map: m.ID, Entity: e.ID, Text: fmt.Sprintf("No passage leads to %s on %s.", e.Name, m.Name)})
		}
	}
	for _, side := range document.Facings {
		if m.Side(side) == document.SideExit && !w.from[document.End{Map: m.ID, Side: side}] {
			w.say(Finding{What: LeadsNot, Map: m.ID, Serious: true, Text: fmt.Sprintf("The %s of %s is an exit and leads nowhere yet.", side.Edge(), m.Name)})
		}
	}
	started, in := f.starts || w.after[m.ID], w.in[m.ID] || w.joined[m.ID]
	switch {
	case !started && !in && d.Maps.Len() > 1:
		w.say(Finding{What: NoWayIn, Map: m.ID, Serious: true, Text: fmt.Sprintf("No way leads into %s.", m.Name)})
	case !started && !in:
		w.say(Finding{What: NoStart, Map: m.ID, Serious: true, Text: fmt.Sprintf("%s has no spawn: the hero has nowhere to begin.", m.Name)})
	}
	for _, acting := range f.acting {
		w.say(acting)
	}
	if !w.out[m.ID] && !w.joined[m.ID] && d.Maps.Len() > 1 && !f.goal && !m.Next {
		w.say(Finding{What: NoWayOut, Map: m.ID, Text: fmt.Sprintf("No way leads out of %s.", m.Name)})
	}
}

func (w *ways) passage(p *document.Passage) {
	d := w.c.doc
	w.both[p.ID] = backAmong(d, p, w.at[p.To.Map]) != nil
	from, to := d.Maps.Get(p.From.Map), d.Maps.Get(p.To.Map)
	exit, arrival := d.Entity(p.From.Map, p.From.Entity), d.Entity(p.To.Map, p.To.Entity)
	switch {
	case from == nil || exit == nil && p.From.Side == "":
		w.say(Finding{What: Lost, Map: p.To.Map, Entity: p.To.Entity, Passage: p.ID, Serious: true, Text: "A passage begins at an exit that was removed."})
	case to == nil || arrival == nil:
		w.say(Finding{What: Lost, Map: from.ID, Entity: p.From.Entity, Passage: p.ID, Serious: true, Text: fmt.Sprintf("%s leads to a place that was removed.", w.name(from, exit, p.From))})
	default:
		if exit != nil {
			if why := w.c.wrong(from, exit, true); why != "" {
				w.say(Finding{What: BrokenFrom, Map: from.ID, Entity: exit.ID, Passage: p.ID, Serious: true, Text: fmt.Sprintf("%s on %s %s.", exit.Name, from.Name, why)})
			}
		}
		if why := w.c.wrong(to, arrival, false); why != "" {
			w.say(Finding{What: BrokenTo, Map: to.ID, Entity: arrival.ID, Passage: p.ID, Serious: true, Text: fmt.Sprintf("%s on %s %s.", arrival.Name, to.Name, why)})
		}
	}
}

func (w *ways) name(m *document.Map, e *document.Entity, end document.End) string {
	if e != nil {
		return fmt.Sprintf("%s on %s", e.Name, m.Name)
	}
	return fmt.Sprintf("The %s of %s", end.Side.Edge(), m.Name)
}

// Blocked says what is wrong with a place where the hero is set down; empty is nothing.
func (c *Chart) Blocked(m *document.Map, box grid.Rect) string {
	p := grid.Point{X: box.X + (box.W-1)/2, Y: box.Y + (box.H-1)/2}
	switch {
	case !m.Bounds.Contains(p):
		return "lies outside the map"
	case c.solids.At(m, p):
		return "lies in something solid"
	case c.solids.Water(m, p):
		return "lies in water"
	}
	return ""
}

// Standable reports whether some cell of a box is inside the map and free.
func Standable(s *document.Solids, m *document.Map, box grid.Rect) bool {
	box = box.Intersect(m.Bounds)
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if !s.At(m, grid.Point{X: x, Y: y}) {
				return true
			}
		}
	}
	return false
}
