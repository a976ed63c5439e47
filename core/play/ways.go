package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
)

// outside reports whether some part of a box would lie where the map ends and nothing leads on.
func (g *Game) outside(m *world.Ground, was, box world.Box) bool {
	if onMap(m, box) {
		return false
	}
	return g.leavesIt(m, was, box)
}

// onMap reports whether a box lies on a map with all of it.
func onMap(m *world.Ground, box world.Box) bool {
	all := m.Area()
	return box.Left >= all.Left && box.Top >= all.Top && box.Right <= all.Right && box.Bottom <= all.Bottom
}

// leavesIt reports whether a hero is stopped who comes over the edge of a map.
func (g *Game) leavesIt(m *world.Ground, was, box world.Box) bool {
	if g.Stage.Closed(m) {
		return true
	}
	for _, y := range []int64{box.Top, box.Bottom - 1} {
		for _, x := range []int64{box.Left, box.Right - 1} {
			if p := m.CellAt(x, y); !m.Bounds.Contains(p) && !g.leadsOn(m, p) {
				return true
			}
		}
	}
	// what stands beyond an open seam is in the way as well
	for _, s := range g.Stage.Chart.SeamsOf(m.ID) {
		if s.Closed || s.Why != "" {
			continue
		}
		o := g.ground(g.Stage.MapOf(s.A))
		if s.A == m.ID {
			o = g.ground(g.Stage.MapOf(s.B))
		}
		dx, dy := g.pixels(m.Map, o.Map)
		if to := shifted(box, dx, dy); o.Stops(shifted(was, dx, dy), to) || g.thingIn(o, to, world.None) {
			return true
		}
	}
	return false
}

// swept is all that a box comes over that moves so far.
func swept(b world.Box, dx, dy int64) world.Box {
	return world.Box{Left: b.Left + min(0, dx), Top: b.Top + min(0, dy), Right: b.Right + max(0, dx), Bottom: b.Bottom + max(0, dy)}
}

func shifted(b world.Box, dx, dy int64) world.Box {
	return world.Box{Left: b.Left - dx, Top: b.Top - dy, Right: b.Right - dx, Bottom: b.Bottom - dy}
}

// pixels is what has to be taken from a place on m to have it on o.
func (g *Game) pixels(m, o *document.Map) (dx, dy int64) {
	cx, cy := g.Stage.Chart.Offset(m, o)
	return int64(cx*m.CellWidth) * Sub, int64(cy*m.CellHeight) * Sub
}

// leadsOn reports whether one can go on over the edge of a map to a cell
// outside: through an open seam, or because that edge is no wall.
func (g *Game) leadsOn(m *world.Ground, p grid.Point) bool {
	if o, _, s := g.Stage.Chart.Beyond(m.Map, p); o != nil {
		return g.holds(s.If)
	}
	side := sideOf(m.Map, p)
	return side != "" && m.Map.Side(side) != document.SideWall
}

// sideOf is the side of a map over which a cell lies; empty where it lies over two, or over none.
func sideOf(m *document.Map, p grid.Point) document.Facing {
	b := m.Bounds
	across, along := p.X >= b.X && p.X < b.X+b.W, p.Y >= b.Y && p.Y < b.Y+b.H
	switch {
	case across && p.Y < b.Y:
		return document.Up
	case across && p.Y >= b.Y+b.H:
		return document.Down
	case along && p.X < b.X:
		return document.Left
	case along && p.X >= b.X+b.W:
		return document.Right
	}
	return ""
}

// cross has a hero who is not all on its map go over the edge, once the middle of its box has.
func (g *Game) cross(m *world.Ground) {
	b := g.Hero()
	box := g.extent(b)
	p := m.CellAt((box.Left+box.Right)/2, (box.Top+box.Bottom)/2)
	if m.Bounds.Contains(p) {
		return
	}
	if o, _, s := g.Stage.Chart.Beyond(m.Map, p); o != nil && g.holds(s.If) {
		dx, dy := g.pixels(m.Map, o)
		b.Map, b.X, b.Y = g.Stage.MapOf(o.ID), b.X-dx, b.Y-dy
		b.GoalX, b.GoalY = b.GoalX-dx, b.GoalY-dy
		g.Entry = Place{b.Map, b.X, b.Y}
		g.Inside = g.exitUnder(g.Ground())
		g.enterMap()
		return
	}
	side := sideOf(m.Map, p)
	switch {
	case side == "":
		b.X, b.Y = g.within(m, b, b.X, b.Y)
	case m.Map.Side(side) == document.SideWrap:
		g.wrap(m, side)
	case m.Map.Side(side) == document.SideFall:
		g.tell("fell", "")
		if g.loseHearts(1) {
			g.Lost, g.Fade = Fallen, FadeTicks
		}
	default:
		b.X, b.Y = g.within(m, b, b.X, b.Y)
		g.leave(document.End{Map: m.ID, Side: side}, "The "+side.Edge()+" of "+m.Name)
	}
}

// enterMap is told when the hero has come onto another map.
func (g *Game) enterMap() {
	m := g.Ground()
	if g.stood > 0 && g.stood != m.Ref+1 && g.Stage.AsksFrom {
		g.setCount(CameFrom, int32(g.stood))
	}
	if g.stood > 0 && g.stood != m.Ref+1 {
		g.happen(happening{on: rules.WordGoes, m: g.stood - 1, thing: world.None})
	}
	g.judged(m)
	if g.stood > 0 && g.stood != m.Ref+1 {
		g.setCount(Turn, 0)
		g.refill()
	}
	g.embody(m)
	if !m.Remembers() {
		here := func(r world.Ref) bool { return r >= m.First && r < m.After && !g.remembered(r) }
		for r := m.First; r < m.After; r++ {
			for _, bit := range afresh {
				if here(r) {
					g.setThing(r, bit, false)
				}
			}
			if here(r) {
				g.firstOwn(g.Stage, r, r+1)
			}
		}
		g.firstSheets(m)
		g.Timers = slices.DeleteFunc(slices.Clone(g.Timers), func(t Timer) bool { return here(t.Of) })
		g.Tallies = slices.DeleteFunc(slices.Clone(g.Tallies), func(t Tally) bool { return here(t.Of) })
	}
	g.forgetsAll(m.Ref, document.UntilLeft)
	g.tell(rules.WordArrive, m.Name)
	g.happen(happening{on: rules.WordArrive, m: m.Ref, thing: world.None})
}

// wrap comes in again on the other side, if there is room.
func (g *Game) wrap(m *world.Ground, side document.Facing) {
	b, all := g.Hero(), m.Area()
	x, y := b.X, b.Y
	switch side {
	case document.Up:
		y += all.Bottom - all.Top
	case document.Down:
		y -= all.Bottom - all.Top
	case document.Left:
		x += all.Right - all.Left
	default:
		x -= all.Right - all.Left
	}
	x, y = g.within(m, b, x, y)
	if to := boxAt(g.gait(), b.Flags, x, y); m.Stops(to, to) {
		x, y = g.within(m, b, b.X, b.Y)
	}
	b.X, b.Y = x, y
	b.Flags &^= Stepping
}

// holds reports whether all that a way asks for is so.
func (g *Game) holds(gates []document.Gate) bool {
	for _, a := range gates {
		is := false
		switch a.Asks {
		case document.GateFlag:
			is = g.Flag(a.Flag)
		case document.GateItem:
			is = g.Is(g.Stage.ThingOf(a.Map, a.Entity), Taken)
		case document.GateCount:
			is = g.taken(a.Kind) >= a.Count
		}
		if is == a.Not {
			return false
		}
	}
	return true
}

// taken counts the collectibles of a kind that the hero has.
func (g *Game) taken(k document.ID) (n int) {
	for _, r := range g.Stage.Collectibles {
		if document.ID(g.Stage.Things[r].Entity.Kind) == k && g.Is(r, Taken) {
			n++
		}
	}
	return n
}

// leave goes through the passage that begins at an end, if there is one and it is open.
func (g *Game) leave(end document.End, name string) {
	r := g.Stage.WayFrom(end)
	if r < 0 {
		g.Notice = name + " leads nowhere yet: join it to another map."
		return
	}
	switch p := g.Stage.Ways[r]; {
	case !g.holds(p.If):
		g.tell("shut", name)
		g.says(g.Stage.Doc.Says(g.Language, p.Shut), false, world.None)
	case g.Stage.ThingOf(p.To.Map, p.To.Entity) < 0:
		g.Notice = name + " leads to a place that was removed."
	default:
		g.Leaving, g.Fade = r, FadeTicks
		g.Veil = uint8(max(0, slices.Index(document.Transitions, p.Transition)))
		if g.Veil == veilNone {
			g.Fade = 1
		}
	}
}

// veilNone is the transition that is none.
var veilNone = uint8(slices.Index(document.Transitions, "none"))

// fade darkens, sets the hero down at the passage's other end or where it comes back to, and lightens.
func (g *Game) fade() {
	if g.Fade > 0 {
		g.Fade--
	}
	if g.Lost != NotLost {
		g.Veil = 0
	}
	switch {
	case g.Fade > 0:
		return
	case g.Lost != NotLost:
		g.comeBack()
		return
	case g.Sent >= 0:
		g.arriveAt(g.Stage.Thing(g.Sent))
		return
	case g.Leaving < 0:
		return
	}
	p := g.Stage.Ways[g.Leaving]
	g.Leaving = world.None
	to := g.Stage.Thing(g.Stage.ThingOf(p.To.Map, p.To.Entity))
	if to == nil {
		g.Notice = "The place that this passage led to was removed."
		return
	}
	if g.Veil != veilNone {
		g.Fade = FadeTicks
	}
	m := g.ground(to.Map)
	g.setDown(m, to.Box(m.Map), to.Facing)
	g.enterMap()
}

// send has the hero go where a thing is, once it is dark; one that is on its way already goes there.
func (g *Game) send(r world.Ref) {
	if g.Leaving < 0 && g.Lost == NotLost && g.Stage.Thing(r) != nil {
		g.Sent, g.Fade, g.Veil = r, FadeTicks, 0
	}
}

// arriveAt ends that.
func (g *Game) arriveAt(to *world.Thing) {
	g.Sent, g.Fade = world.None, FadeTicks
	m, b := g.ground(to.Map), g.Hero()
	was, entry, inside := *b, g.Entry, g.Inside
	g.setDown(m, to.Box(m.Map), to.Facing)
	if g.free(); g.blockedAt(b, b.X, b.Y) && !g.Roam {
		*b, g.Entry, g.Inside = was, entry, inside
		g.Notice = fmt.Sprintf("There is no room for the hero at %s.", to.Name)
		return
	}
	if was.Map != m.Ref {
		g.enterMap()
	}
}
