package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// feel finds what the hero has come to and left since the tick before: what it stands on, or
// stands against.
func (g *Game) feel(m *world.Ground, own world.Box) {
	box := around(own)
	if g.bumpAt == g.Tick && g.bump.Map == m.Ref {
		// who walks from cell to cell stands off their sides: what keeps it from going on is touched all the same
		b := g.Hero()
		o := shifted(own, b.X-g.bump.X, b.Y-g.bump.Y)
		box = world.Box{Left: min(box.Left, o.Left), Top: min(box.Top, o.Top), Right: max(box.Right, o.Right), Bottom: max(box.Bottom, o.Bottom)}
	}
	// what is in the way is touched from beside
	now := slices.DeleteFunc(g.touched(m, box), func(r world.Ref) bool { return !m.Solid(&g.Stage.Things[r]) && !meets(own, g.Where(r)) })
	before := g.Touching
	g.Touching = now
	for _, r := range before {
		if _, still := slices.BinarySearch(now, r); !still {
			g.left(r)
		}
	}
	for _, r := range now {
		_, had := slices.BinarySearch(before, r)
		if !had {
			g.happen(happening{on: rules.WordTouch, m: m.Ref, thing: r})
		}
		g.meetsThing(m, r, !had)
	}
}

// around is a box and a pixel about it, which is what the hero touches.
func around(own world.Box) world.Box {
	return world.Box{Left: own.Left - Sub, Top: own.Top - Sub, Right: own.Right + Sub, Bottom: own.Bottom + Sub}
}

// meetsThing is what a thing does that the hero stands on or against; comes tells that it came to it now.
func (g *Game) meetsThing(m *world.Ground, r world.Ref, comes bool) {
	t := g.Stage.Thing(r)
	if g.Disabled(r) {
		return
	}
	switch t.Acts {
	case kind.Door:
		if !g.On(r) && g.opens(r, t) {
			g.tellOf(rules.WordOpen, t)
		}
	case kind.Switch:
		if comes && t.Doing.Worked == world.ByStep {
			g.work(m, r)
		}
	case kind.Spring:
		g.throws(m, r, t)
	case kind.Charge:
		if comes && t.Doing.Lit == world.LitByTouch {
			g.light(r, t)
		}
	}
}

// left is what a thing does that the hero has left.
func (g *Game) left(r world.Ref) {
	switch t := g.Stage.Thing(r); {
	case g.Disabled(r):
	case t.Acts == kind.Door && t.Doing.Returns == world.WhenLeft && g.On(r) && !t.Entity.On:
		g.switchTo(r, false)
		g.tellOf("shuts", t)
	case t.Acts == kind.Switch && t.Doing.Worked == world.ByStep && t.Doing.Returns == world.WhenLeft && g.Is(r, Switched):
		g.switchTo(r, t.Entity.On)
	}
}

// work turns a switch to its other state, and wakes what waits for that.
func (g *Game) work(m *world.Ground, r world.Ref) {
	t := g.Stage.Thing(r)
	g.tellOf(rules.WordUse, t)
	g.happen(happening{on: rules.WordUse, m: m.Ref, thing: r})
	g.switchTo(r, !g.On(r))
	if t.Doing.Returns == world.AfterAWhile && t.Doing.After > 0 {
		g.setTimer(r, map[bool]int32{true: t.Doing.After}[g.Is(r, Switched)])
	}
}

// opens opens a door whose key the hero has; a key that is used up is gone then.
func (g *Game) opens(r world.Ref, t *world.Thing) bool {
	word := t.Doing.Needs
	if word == "" || !g.Has(word) {
		return false
	}
	g.switchTo(r, true)
	for _, ref := range g.Stage.Holding {
		if o := &g.Stage.Things[ref]; o.Acts == kind.Key && o.Doing.Word == word && o.Doing.UsedUp && g.Is(ref, Taken) && !g.Is(ref, Spent) {
			g.setThing(ref, Spent, true)
			break
		}
	}
	return true
}
