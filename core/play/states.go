package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Five things are so of a thing apart from each other: that it is on, or open; that it is there;
// that it is shown; that it is disabled, which leaves it standing there and doing nothing.

// On reports whether a switch is on, or a door open.
func (g *Game) On(r world.Ref) bool {
	t := g.Stage.Thing(r)
	return t.Entity.On != g.Is(r, Switched) || g.Is(r, Opened)
}

// switchTo turns a thing on or off, opens or shuts it, and wakes what waits for that.
func (g *Game) switchTo(r world.Ref, on bool) {
	t := g.Stage.Thing(r)
	if g.On(r) == on {
		return
	}
	bit := Switched
	if doorlike(t) && !t.Entity.On {
		bit = Opened
	}
	g.setThing(r, Opened, false)
	g.setThing(r, Switched, false)
	g.setThing(r, bit, t.Entity.On != on)
	if on && t.Acts == kind.Container {
		g.gains(t.Doing.Holds...)
	}
	g.turned(r, on)
}

// doorlike tells that a thing is open or shut, and not on or off.
func doorlike(t *world.Thing) bool { return t.Acts == kind.Door || t.Acts == kind.Container }

// turned tells what waits for it that a thing was turned on or off, opened or shut.
func (g *Game) turned(r world.Ref, on bool) {
	t := g.Stage.Thing(r)
	word := map[bool]string{true: rules.WordTurnsOn, false: rules.WordTurnsOff}[on]
	if doorlike(t) {
		word = map[bool]string{true: rules.WordOpens, false: rules.WordShuts}[on]
	}
	g.happen(happening{on: word, m: t.Map, thing: r})
}

// There reports whether a thing is on its map: neither absent, nor drawn away, nor taken.
func (g *Game) There(r world.Ref) bool {
	t := &g.Stage.Things[r]
	if t.Absent != g.Is(r, Brought) || g.Is(r, Gone) || g.Is(r, Taken) {
		return false
	}
	_, there := g.Look(r)
	return there
}

// bring puts a thing where it is at first, or takes it away.
func (g *Game) bring(r world.Ref, there bool) {
	t, was := g.Stage.Thing(r), g.There(r)
	g.setThing(r, Gone, false)
	g.setThing(r, Taken, false)
	g.setThing(r, Brought, t.Absent == there)
	if t.Acts == kind.Hero {
		g.joins(r, there)
	}
	if _, entered := slices.BinarySearch(g.Entered, t.Map); there && g.being(r) && entered {
		body := g.newBody(g.ground(t.Map), r)
		if b := g.bodyOf(r); b != nil {
			*b = body
		} else {
			g.Bodies = slices.Insert(g.Bodies, g.placeOf(r), body)
		}
	}
	g.livelyOf = world.None
	if was && !there {
		g.gone(r)
	}
}

// Shown reports whether a thing is seen by the player.
func (g *Game) Shown(r world.Ref) bool { return g.Stage.Thing(r).Unseen == g.Is(r, Veiled) }

// Disabled reports whether a thing does nothing: it stands there, is in the way, and that is all.
func (g *Game) Disabled(r world.Ref) bool {
	return g.Stage.Thing(r).Entity.Disabled != g.Is(r, Disabled)
}

// acts reports whether a thing is there and does what it does.
func (g *Game) acts(r world.Ref) bool { return g.There(r) && !g.Disabled(r) }

// runs reports whether a thing that can be on or off is there, and does what it does while it is on.
func (g *Game) runs(r world.Ref) bool { return g.acts(r) && g.On(r) }

// stops reports whether a thing is in the way.
func (g *Game) stops(r world.Ref, t *world.Thing) bool {
	return t.Solid && g.There(r) && !(t.Acts == kind.Door && g.On(r))
}

// change does to a thing what a word of rules says, and tells whether there is such a word.
func (g *Game) change(word string, r world.Ref) bool {
	does, ok := changes[word]
	if !ok {
		return false
	}
	if r < 0 {
		g.Notice = "A rule wanted to change something that was removed."
		return true
	}
	does(g, r)
	g.tellOf(word, g.Stage.Thing(r))
	return true
}

// changes are what rules do to a thing, by their words.
var changes = map[string]func(g *Game, r world.Ref){
	rules.WordOpen:    func(g *Game, r world.Ref) { g.switchTo(r, true) },
	rules.WordShut:    func(g *Game, r world.Ref) { g.switchTo(r, false) },
	rules.WordTurnOn:  func(g *Game, r world.Ref) { g.switchTo(r, true) },
	rules.WordTurnOff: func(g *Game, r world.Ref) { g.switchTo(r, false) },
	rules.WordFlip:    func(g *Game, r world.Ref) { g.switchTo(r, !g.On(r)) },
	rules.WordShow:    func(g *Game, r world.Ref) { g.setThing(r, Veiled, g.Stage.Thing(r).Unseen) },
	rules.WordHide:    func(g *Game, r world.Ref) { g.setThing(r, Veiled, !g.Stage.Thing(r).Unseen) },
	rules.WordEnable:  func(g *Game, r world.Ref) { g.setThing(r, Disabled, g.Stage.Thing(r).Entity.Disabled) },
	rules.WordDisable: func(g *Game, r world.Ref) { g.setThing(r, Disabled, !g.Stage.Thing(r).Entity.Disabled) },
	rules.WordBring:   func(g *Game, r world.Ref) { g.bring(r, true) },
	rules.WordRemove:  func(g *Game, r world.Ref) { g.bring(r, false) },
	rules.WordMake:    func(g *Game, r world.Ref) { g.makeOne(r) },
}
