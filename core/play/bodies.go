package play

import (
	"azzel/core/kind"
	"azzel/core/world"
	"slices"
)

// embody makes the bodies of what can leave its place on a map that the hero has come to for the
// first time; one that starts afresh gets new ones.
func (g *Game) embody(m *world.Ground) {
	at, was := slices.BinarySearch(g.Entered, m.Ref)
	switch {
	case !was:
		g.Entered = slices.Insert(slices.Clone(g.Entered), at, m.Ref)
	case !m.Remembers():
		g.Bodies = slices.DeleteFunc(g.Bodies, func(b Body) bool { return b.Map == m.Ref && g.being(b.Of) && !g.remembered(b.Of) })
	}
	g.makeBodies(m)
}

// being reports whether a thing has a body of its own. The hero's is of a hero, or of nothing.
func (g *Game) being(r world.Ref) bool { return r >= 0 && g.Stage.Things[r].Doing.Goes }

// makeBodies gives what can leave its place and has no body one, where it stands at first.
func (g *Game) makeBodies(m *world.Ground) {
	var made []world.Ref
	for r := m.First; r < m.After; r++ {
		if g.being(r) && g.bodyOf(r) == nil && (g.Stage.Things[r].Doing.By < 0 || g.There(r)) {
			g.Bodies = slices.Insert(g.Bodies, g.placeOf(r), g.newBody(m, r))
			made = append(made, r)
		}
	}
	// what is fixed to something stands where that has gone meanwhile
	for _, r := range made {
		c := r
		for g.Stage.Things[c].Doing.Carrier >= 0 {
			c = g.Stage.Things[c].Doing.Carrier
		}
		if by := g.bodyOf(c); c != r && by != nil {
			b, home := g.bodyOf(r), g.Stage.Things[c].Body
			b.X, b.Y = b.X+by.X-home.Left, b.Y+by.Y-home.Top
		}
	}
	g.lively = g.lively[:0]
	g.livelyOf = world.None
}

func (g *Game) newBody(m *world.Ground, r world.Ref) Body {
	t := g.Stage.Thing(r)
	b := Body{Of: r, Map: m.Ref, X: t.Body.Left, Y: t.Body.Top, Hearts: t.Doing.Health, Way: 1}
	b.turn(t.Facing)
	return b
}

// placeOf is where the body of a thing is among the others, or would be: behind the hero's
// they stand by their numbers.
func (g *Game) placeOf(r world.Ref) int {
	i, _ := slices.BinarySearchFunc(g.Bodies[1:], r, func(b Body, r world.Ref) int { return int(b.Of - r) })
	return i + 1
}

// bodyOf is the body of a thing; nil where it has none.
func (g *Game) bodyOf(r world.Ref) *Body {
	if i := g.placeOf(r); i < len(g.Bodies) && g.Bodies[i].Of == r {
		return &g.Bodies[i]
	}
	return nil
}

// Where is the box of a thing now.
func (g *Game) Where(r world.Ref) world.Box {
	if b := g.bodyOf(r); b != nil && g.being(r) {
		return g.extent(b)
	}
	return g.Stage.Thing(r).Body
}

// findLively lists the bodies of a map, and where they are.
func (g *Game) findLively(m *world.Ground) {
	if g.livelyOf != m.Ref || g.livelyAt != g.Tick {
		g.listLively(m)
	}
}

// Lively is how many bodies there are on the map of the hero besides its own.
func (g *Game) Lively() int { return len(g.lively) }

func (g *Game) listLively(m *world.Ground) {
	g.livelyOf, g.livelyAt = m.Ref, g.Tick
	g.lively = g.lively[:0]
	g.around.empty(m.SquareCount())
	for i := 1; i < len(g.Bodies); i++ {
		b := &g.Bodies[i]
		if b.Map != m.Ref || !g.There(b.Of) {
			continue
		}
		g.lively = append(g.lively, i)
		g.around.add(m, g.extent(b), int32(i))
	}
}

// alone reports whether no thing of a map could touch a box; false may be said where it is so.
func (g *Game) alone(m *world.Ground, box world.Box) bool {
	return m.Bare(box) && (g.lonely(m) || !g.around.any(m, box))
}

// lonely reports whether nothing on a map can leave its place but the hero who is led.
func (g *Game) lonely(m *world.Ground) bool {
	if len(g.Bodies) == 1 {
		return true
	}
	g.findLively(m)
	return len(g.lively) == 0
}

// near calls f with the things of a map that could touch a box, and where they are.
func (g *Game) near(m *world.Ground, box world.Box, f func(r world.Ref, t *world.Thing, at world.Box)) {
	m.Near(box, func(r world.Ref, t *world.Thing) { f(r, t, t.Body) })
	g.findLively(m)
	g.around.near(m, box, func(i int32) bool {
		b := &g.Bodies[i]
		if at := g.extent(b); meets(at, box) {
			f(b.Of, g.Stage.Thing(b.Of), at)
		}
		return true
	})
}

// firmIn reports whether a body that is in the way of others touches a box, but for one that is
// not counted. What carries, seen from the side, is in the way of what comes from above only.
func (g *Game) firmIn(m *world.Ground, self *Body, was, box world.Box) (in bool) {
	g.findLively(m)
	g.around.near(m, box, func(i int32) bool {
		b := &g.Bodies[i]
		t := g.Stage.Thing(b.Of)
		if b == self || b.Of == g.passes || b.Flags&Sunk != 0 || !m.Solid(t) && !(t.Acts == kind.Platform && m.Side) {
			return true
		}
		at := g.extent(b)
		if !meets(at, box) {
			return true
		}
		switch {
		case t.Acts == kind.Platform && (was.Bottom > at.Top || meets(was, at)), t.Acts == kind.Door && g.On(b.Of):
			return true
		}
		in = true
		return false
	})
	return in
}
