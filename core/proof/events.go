package proof

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// happens lets come about what could at a thing: being taken, used, come to, and what that wakes.
func (f *May) happens(ref world.Ref, t *world.Thing, set func(*bool)) {
	r := int(ref)
	switch t.Acts {
	case kind.Collectible, kind.Key, kind.Item:
		if !f.taken[r] && f.near(t, 0) {
			set(&f.taken[r])
			f.wake(rules.WordTake, t.Map, t.ID, set)
		}
	case kind.Container:
		if !f.opened[r] && (t.Doing.Needs == "" || f.has(t.Doing.Needs)) && f.near(t, 1) {
			set(&f.opened[r])
		}
	case kind.Sensor:
		if t.Doing.Notices != world.NoticesHero && f.arrived[t.Map] || f.near(t, 0) {
			f.wake(rules.WordEnter, t.Map, t.ID, set)
			f.wake(rules.WordLeave, t.Map, t.ID, set)
		}
	case kind.Checkpoint, kind.Goal:
		if f.near(t, 0) {
			f.wake(rules.WordEnter, t.Map, t.ID, set)
		}
	case kind.Switch:
		// what stands on one, and what strikes it, may be anywhere
		if t.Doing.Worked != world.ByUse && f.arrived[t.Map] || f.near(t, 1) {
			f.wake(rules.WordUse, t.Map, t.ID, set)
			set(&f.opened[r])
			set(&f.shuts[r])
		}
	case kind.Timer, kind.Source, kind.LaneEntry, kind.Charge:
		// time may pass wherever one has been
		if f.arrived[t.Map] {
			f.wake(rules.WordRings, t.Map, t.ID, set)
			f.wake(rules.WordEnds, t.Map, t.ID, set)
			f.wake(rules.WordFalls, t.Map, t.ID, set)
			set(&f.opened[r])
			set(&f.shuts[r])
		}
	case kind.Walker, kind.Flyer, kind.Shooter, kind.Breakable, kind.Core:
		if f.arrived[t.Map] {
			f.wake(rules.WordFalls, t.Map, t.ID, set)
		}
	case kind.Exit:
		if f.near(t, 0) {
			f.through(f.st.WayFrom(f.st.End(ref)))
		}
	case kind.Door:
		if !f.opened[r] && t.Doing.Needs != "" && f.near(t, 1) && f.has(t.Doing.Needs) {
			set(&f.opened[r])
		}
		if t.Doing.Returns == world.WhenLeft && f.opened[r] {
			set(&f.shuts[r])
		}
		if (t.Entity.On || f.opened[r]) && f.near(t, 0) {
			f.through(f.st.WayFrom(f.st.End(ref)))
		}
	}
	if len(t.Own) > 0 { // which any rule may change
		f.wake(rules.WordReaches, t.Map, t.ID, set)
	}
	if f.near(t, 1) {
		f.wake(rules.WordUseOn, t.Map, t.ID, set)
	}
	// whatever turns something, it wakes the same
	if f.opened[r] {
		f.wake(rules.WordTurnsOn, t.Map, t.ID, set)
		f.wake(rules.WordOpens, t.Map, t.ID, set)
	}
	if f.shuts[r] {
		f.wake(rules.WordTurnsOff, t.Map, t.ID, set)
		f.wake(rules.WordShuts, t.Map, t.ID, set)
	}
}

// wake lets the rules run that wait for something: what they do where their conditions could hold, and
// what they do otherwise where these could fail.
func (f *May) wake(word string, m world.Ref, entity document.ID, set func(*bool)) {
	for _, r := range rules.Waiting(f.st.Doc, word, f.st.Grounds[m].ID, entity) {
		if word == rules.WordUseOn && !f.hasFor(r, m, entity) {
			continue
		}
		could, fails := true, false
		for _, c := range r.In(document.SlotIf) {
			is, not := f.condition(c)
			could, fails = could && is, fails || not
		}
		if could {
			set(&f.ran[f.st.RuleOf(r.ID)])
			f.does(r, document.SlotThen, set)
		}
		if fails {
			f.does(r, document.SlotOtherwise, set)
		}
	}
}

// hasFor reports whether an item could be had that a rule waits for being used on something.
func (f *May) hasFor(r *document.Rule, m world.Ref, entity document.ID) bool {
	at := document.Naming(document.Object{Type: document.TypeEntity, Map: f.st.Grounds[m].ID, ID: entity})
	return slices.ContainsFunc(r.In(document.SlotWhen), func(p *document.RulePart) bool {
		return p.Word == rules.WordUseOn && p.Blank("what") == at && f.has(p.Blank("item").Word())
	})
}

// condition tells whether what a condition asks could be so, and whether it could not.
func (f *May) condition(c *document.RulePart) (could, fails bool) {
	o, _ := document.Named(c.Blank("what"))
	if o.Type == document.TypeFlag {
		i := f.st.FlagOf(o.ID)
		if i < 0 {
			return c.Word == rules.WordIsNotSet, true // a flag that was removed is not set
		}
		if c.Word == rules.WordIsSet {
			return f.yes[i], f.no[i]
		}
		return f.no[i], f.yes[i]
	}
	switch c.Word {
	case rules.WordHas, rules.WordLacks:
		has := f.has(c.Blank("item").Word()) // what is had may be used up
		return has || c.Word == rules.WordLacks, true
	case rules.WordVisited, rules.WordUnvisited:
		m := f.st.MapOf(o.ID)
		return c.Word == rules.WordUnvisited || m >= 0 && f.arrived[m], true
	}
	r := f.st.ThingOf(o.Map, o.ID)
	if r < 0 {
		return false, true
	}
	on, off := f.st.Thing(r).Entity.On || f.opened[r], !f.st.Thing(r).Entity.On || f.shuts[r]
	switch c.Word {
	case rules.WordIsOn, rules.WordIsOpen:
		return on, off
	case rules.WordIsOff, rules.WordIsShut:
		return off, on
	}
	return true, true
}

// does takes over what the steps of a rule could bring about.
func (f *May) does(r *document.Rule, slot string, set func(*bool)) {
	for _, p := range r.In(slot) {
		o, _ := document.Named(p.Blank("what"))
		if o.Type == document.TypeFlag {
			if i := f.st.FlagOf(o.ID); i >= 0 && p.Word == rules.WordSet {
				set(&f.yes[i])
			} else if i >= 0 {
				set(&f.no[i])
			}
			continue
		}
		t := f.st.ThingOf(o.Map, o.ID)
		if t < 0 {
			continue
		}
		switch p.Word {
		case rules.WordOpen, rules.WordTurnOn:
			set(&f.opened[t])
		case rules.WordShut, rules.WordTurnOff:
			set(&f.shuts[t])
		case rules.WordFlip:
			set(&f.opened[t])
			set(&f.shuts[t])
		case rules.WordSend:
			f.setAt(f.st.Thing(t))
		case rules.WordRemove:
			set(&f.away[t])
		}
	}
}
