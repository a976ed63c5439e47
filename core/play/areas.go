package play

import (
	"azzel/core/world"
)

// fewAreas is how many are sooner looked through than looked up.
const fewAreas = 8

// here is what the ground and the areas on it are at a point, and how far they carry in a tick.
func (g *Game) here(m *world.Ground, x, y int64) (is world.Terrain, flowX, flowY int64) {
	is = m.At(m.CellAt(x, y))
	if len(m.Areas()) == 0 { // nearly always, and by itself, since what an area adds to is kept in memory
		return is, 0, 0
	}
	return g.hereIn(m, x, y, is)
}

// hereIn is here where areas lie on the map, on ground that is known.
func (g *Game) hereIn(m *world.Ground, x, y int64, ground world.Terrain) (is world.Terrain, flowX, flowY int64) {
	is = ground
	last := world.None
	add := func(r world.Ref, t *world.Thing, at world.Box) {
		if t.Area == nil || t.Area.Below && m.Side || r == last || x < at.Left || x >= at.Right || y < at.Top || y >= at.Bottom || !g.works(r, t) {
			return
		}
		last = r
		is |= t.Area.Is
		flowX, flowY = flowX+t.Area.FlowX, flowY+t.Area.FlowY
	}
	if all := m.Areas(); len(all) <= fewAreas {
		for _, r := range all {
			if t := g.Stage.Thing(r); t.Doing.Goes {
				add(r, t, g.Where(r))
			} else {
				add(r, t, t.Body)
			}
		}
	} else {
		g.near(m, world.Box{Left: x, Top: y, Right: x + 1, Bottom: y + 1}, add)
	}
	return is, flowX, flowY
}

// slowed is how far somebody on foot comes who would go so far: half as far where it is slow, and less in water, as the hero.
func (g *Game) slowed(m *world.Ground, b *Body, dx, dy int64) (x, y int64) {
	at := g.extent(b)
	is, _, _ := g.here(m, (at.Left+at.Right)/2, (at.Top+at.Bottom)/2)
	part := int64(256)
	switch {
	case is&world.Water != 0:
		part = inWater
	case is&world.Slow != 0:
		part = 128
	default:
		return dx, dy
	}
	// never nothing of what is something, so that it comes where it goes
	less := func(v int64) int64 { return (v*part + sign(v)*255) / 256 }
	return less(dx), less(dy)
}

// below is how far what one stands on carries one along in a tick, seen from the side.
func (g *Game) below(m *world.Ground, b *Body) (flowX int64) {
	if len(m.Areas()) == 0 {
		return 0
	}
	box := g.extent(b)
	x, last := (box.Left+box.Right)/2, world.None
	under := world.Box{Left: x, Top: box.Bottom, Right: x + 1, Bottom: box.Bottom + 1}
	g.near(m, under, func(r world.Ref, t *world.Thing, at world.Box) {
		if r != last && t.Area != nil && t.Area.Below && meets(at, under) && g.works(r, t) {
			last = r
			flowX += t.Area.FlowX
		}
	})
	return flowX
}

// works reports whether an area does what it does.
func (g *Game) works(r world.Ref, t *world.Thing) bool {
	return g.acts(r) && (t.Area.Always || g.On(r))
}

// middle is what the ground is under the middle of a body.
func (g *Game) middle(m *world.Ground, b *Body) (is world.Terrain, flowX, flowY int64) {
	box := g.extent(b)
	is, flowX, flowY = g.here(m, (box.Left+box.Right)/2, (box.Top+box.Bottom)/2)
	if len(m.Fans()) > 0 {
		x, y := g.blown(m, box)
		flowX, flowY = flowX+x, flowY+y
	}
	return is, flowX, flowY
}

// drifts carries somebody who is not the hero, or a block, along with what flows or blows where it is.
func (g *Game) drifts(m *world.Ground, b *Body) {
	if len(m.Areas()) == 0 && len(m.Fans()) == 0 || b.Flags&(Stepping|Sunk) != 0 {
		return
	}
	_, x, y := g.middle(m, b)
	if m.Side {
		x, y = x+g.below(m, b), min(y, 0)
	}
	if x != 0 || y != 0 {
		g.step(b, x, 0)
		g.step(b, 0, y)
	}
}
