package proof

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// happens lets come about what could at a thing: being taken, used, come to, and what that wakes.
func (f *May) happens(ref world.Ref, t *world.Thing, set func(*bool)) {
	r := int(ref)
	if f.able(ref) {
		f.acts(ref, t, set)
	}
	if len(t.Own) > 0 { // which any rule may change
		f.wake(rules.WordReaches, ref, set)
	}
	if f.near(t, 1) {
		f.wake(rules.WordUseOn, ref, set)
		f.wake(rules.WordSpeak, ref, set)
		f.wake(rules.WordTouch, ref, set)
		f.wake(rules.WordStrike, ref, set)
		f.wake(rules.WordLooksAt, ref, set)
	}
	if f.arrived[t.Map] { // what moves of itself, or is pushed, may be anywhere
		for _, word := range []string{rules.WordPush, rules.WordRests, rules.WordDrops, rules.WordPoint, rules.WordSpots, rules.WordLosesSight, rules.WordGlimpses, rules.WordMisses} {
			f.wake(word, ref, set)
		}
	}
	if len(t.Guises) > 0 {
		f.wake(rules.WordTurnsInto, ref, set)
	}
	switch t.Acts {
	case kind.Timer, kind.Source, kind.LaneEntry, kind.Charge:
		// time may pass wherever one has been
		if f.arrived[t.Map] {
			f.wake(rules.WordRings, ref, set)
			f.wake(rules.WordEnds, ref, set)
			f.wake(rules.WordFalls, ref, set)
			f.opens(ref, set)
			set(&f.shuts[r])
		}
	case kind.Walker, kind.Flyer, kind.Shooter, kind.Breakable, kind.Core:
		if f.arrived[t.Map] {
			f.wake(rules.WordFalls, ref, set)
		}
	}
	if f.beaten[r] {
		f.wake(rules.WordFalls, ref, set)
	}
	// whatever turns something, it wakes the same
	if f.opened[r] {
		f.wake(rules.WordTurnsOn, ref, set)
		f.wake(rules.WordOpens, ref, set)
	}
	if f.shuts[r] {
		f.wake(rules.WordTurnsOff, ref, set)
		f.wake(rules.WordShuts, ref, set)
	}
}

// acts lets come about what a thing does that is there and not disabled.
func (f *May) acts(ref world.Ref, t *world.Thing, set func(*bool)) {
	r := int(ref)
	switch t.Acts {
	case kind.Collectible, kind.Key, kind.Item:
		if !f.taken[r] && f.near(t, 0) && !f.usedUp(ref) {
			set(&f.taken[r])
			f.wake(rules.WordTake, ref, set)
		}
	case kind.Container:
		if !f.opened[r] && (t.Doing.Needs == "" || f.unlocks(ref, t)) && f.near(t, 1) {
			f.opens(ref, set)
		}
	case kind.Sensor:
		if t.Doing.Notices != world.NoticesHero && f.arrived[t.Map] || f.near(t, 0) {
			f.wake(rules.WordEnter, ref, set)
			f.wake(rules.WordLeave, ref, set)
		}
	case kind.Checkpoint, kind.Goal:
		if f.near(t, 0) {
			f.wake(rules.WordEnter, ref, set)
			if t.Acts == kind.Checkpoint {
				f.comesBack(t)
			}
			if t.Acts == kind.Goal && f.st.Grounds[t.Map].Next {
				set(&f.done[t.Map])
			}
		}
	case kind.Switch:
		// what stands on one, and what strikes it, may be anywhere
		works := t.Doing.Worked != world.ByUse && f.arrived[t.Map] || f.near(t, 1)
		if f.settled[t.Map] && (t.Doing.Worked == world.ByWeight || t.Doing.Worked == world.ByStep) {
			works = f.weighs(t)
		}
		if works {
			f.wake(rules.WordUse, ref, set)
			f.opens(ref, set)
			set(&f.shuts[r])
		}
	case kind.Exit:
		if f.stepsInto(t) {
			f.through(f.st.WayFrom(f.st.End(ref)))
		}
	case kind.Door:
		if !f.opened[r] && t.Doing.Needs != "" && f.near(t, 1) && f.unlocks(ref, t) {
			f.opens(ref, set)
		}
		if t.Doing.Returns == world.WhenLeft && f.opened[r] {
			set(&f.shuts[r])
		}
		if (f.on(ref) || f.opened[r]) && f.stepsInto(t) {
			f.through(f.st.WayFrom(f.st.End(ref)))
		}
	}
}
