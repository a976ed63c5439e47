package play

import (
	"azzel/core/chance"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/world"
)

// beings move by themselves on the map of the hero.
func (g *Game) beings(m *world.Ground) {
	g.findLively(m)
	for _, i := range g.lively {
		b := &g.Bodies[i]
		t := g.Stage.Thing(b.Of)
		switch {
		case t.Doing.Carrier >= 0:
		case t.Acts != kind.Block && g.thrown(m, b):
		case g.cast(b.Of) && m.Side && t.Acts != kind.Flyer:
			g.drops(m, b)
		case g.cast(b.Of):
			b.Steps = 0
		case g.Disabled(b.Of) && m.Side && t.Acts != kind.Flyer:
			g.drops(m, b)
		case g.Disabled(b.Of):
			b.Steps = 0
		case t.Acts != kind.Walker && t.Acts != kind.Flyer && t.Acts != kind.Character:
		case t.Acts == kind.Flyer:
			g.flies(m, b, t)
		case m.Side:
			g.walksSide(m, b, t)
		default:
			g.walksAbove(m, b, t)
		}
		if t.Acts == kind.Walker || t.Acts == kind.Character {
			g.drifts(m, b)
		}
		if t.Doing.Lane {
			g.arrives(m, b, t)
		}
		if t.Doing.Beaten&world.ByAHazard != 0 {
			g.perishes(m, b, t)
		}
	}
}

// hazardTicks lie between two hits by what hurts.
const hazardTicks = 60

// perishes hits somebody who stands in what hurts, and is defeated by that.
func (g *Game) perishes(m *world.Ground, b *Body, t *world.Thing) {
	if b.Blink > 0 {
		b.Blink--
		return
	}
	at := g.extent(b)
	if b.Flags&Thrown != 0 && !m.Side {
		return
	}
	if is, _, _ := g.here(m, (at.Left+at.Right)/2, at.Bottom-1); is&world.Hazard != 0 && g.There(b.Of) {
		b.Blink = hazardTicks
		g.hits(b.Of, t)
	}
}

// goes has a body go so far, up to what is in its way, and counts its steps; false where it
// could not move at all.
func (g *Game) goes(b *Body, dx, dy int64) bool {
	x, y := b.X, b.Y
	switch {
	case dx == 0 && dy == 0:
		b.Steps = 0
		return true
	case abs(dx) >= abs(dy):
		b.turn(facingOf(dx, 0))
	default:
		b.turn(facingOf(0, dy))
	}
	b.Steps++
	dx, dy = g.slowed(g.ground(b.Map), b, dx, dy)
	g.step(b, dx, 0)
	g.step(b, 0, dy)
	return b.X != x || b.Y != y
}

func facingOf(dx, dy int64) document.Facing {
	switch {
	case dx > 0:
		return document.Right
	case dx < 0:
		return document.Left
	case dy < 0:
		return document.Up
	}
	return document.Down
}

// step goes as far as is free along one axis, whole pixels at the last.
func (g *Game) step(b *Body, dx, dy int64) {
	if dx == 0 && dy == 0 || !g.blockedAt(b, b.X+dx, b.Y+dy) {
		b.X, b.Y = b.X+dx, b.Y+dy
		return
	}
	for left := max(abs(dx), abs(dy)); left > 0; {
		x, y := nextPixel(b.X, sign(dx), left), nextPixel(b.Y, sign(dy), left)
		if g.blockedAt(b, x, y) {
			return
		}
		left -= max(abs(x-b.X), abs(y-b.Y))
		b.X, b.Y = x, y
	}
}

// walksAbove is what somebody on foot does, seen from above.
func (g *Game) walksAbove(m *world.Ground, b *Body, t *world.Thing) {
	d := &t.Doing
	switch dx, dy := g.toHero(b); {
	case d.Way != nil:
		g.goesAlong(b, d.Way, true)
	case g.sees(m, b, d) && d.Seeing == world.Follows:
		g.goes(b, toward(0, dx, d.SpeedX), toward(0, dy, d.SpeedY))
	case g.sees(m, b, d) && d.Seeing == world.Flees:
		g.goes(b, -sign(dx)*d.SpeedX, -sign(dy)*d.SpeedY)
	case g.sees(m, b, d) && d.Seeing == world.Halts:
		b.Steps = 0
	case t.Acts == kind.Character:
		g.lives(m, b, t)
	default:
		g.paces(b, t)
	}
}

// paces goes to and fro along the way that somebody looks at first; from a side of that way it
// comes back to it.
func (g *Game) paces(b *Body, t *world.Thing) {
	d := &t.Doing
	dx, dy := t.Facing.Step()
	along, home := b.X-t.Body.Left, t.Body.Top-b.Y
	far, speed := d.RangeX, d.SpeedX
	if dy != 0 {
		along, home = b.Y-t.Body.Top, t.Body.Left-b.X
		far, speed = d.RangeY, d.SpeedY
	}
	if far == 0 || speed == 0 {
		b.Steps = 0
		return
	}
	way := int64(b.Way) * int64(dx+dy)
	if along*way >= far {
		b.Way, way = -b.Way, -way
	}
	back := toward(0, home, speed)
	goal := min(speed, far-along*way)
	if dy != 0 {
		if !g.goes(b, back, way*goal) {
			b.Way = -b.Way
		}
	} else if !g.goes(b, way*goal, back) {
		b.Way = -b.Way
	}
}

// toHero is from the middle of a body to that of the hero.
func (g *Game) toHero(b *Body) (dx, dy int64) {
	at, hero := g.extent(b), g.extent(g.Hero())
	return (hero.Left + hero.Right - at.Left - at.Right) / 2, (hero.Top + hero.Bottom - at.Top - at.Bottom) / 2
}

// sees reports whether somebody sees the hero: near enough, and no wall between.
func (g *Game) sees(m *world.Ground, b *Body, d *world.Doing) bool {
	if d.Sight == 0 || d.Seeing == world.GoesOn || g.Roam {
		return false
	}
	dx, dy := g.toHero(b)
	cw, ch := m.Cell()
	x, y := dx*1000/cw, dy*1000/ch
	if x*x+y*y > d.Sight*d.Sight {
		return false
	}
	at := g.extent(b)
	return m.Clear((at.Left+at.Right)/2, (at.Top+at.Bottom)/2, dx, dy)
}

// flies is what somebody in the air does: nothing but the map's edges is in its way.
func (g *Game) flies(m *world.Ground, b *Body, t *world.Thing) {
	d := &t.Doing
	dx, dy := g.toHero(b)
	switch sees := g.sees(m, b, d); {
	case d.Way != nil:
		g.goesAlong(b, d.Way, false)
		return
	case sees && d.Seeing == world.Follows:
		dx, dy = toward(0, dx, d.SpeedX), toward(0, dy, d.SpeedY)
	case sees && d.Seeing == world.Flees:
		dx, dy = -sign(dx)*d.SpeedX, -sign(dy)*d.SpeedY
	case sees && d.Seeing == world.Halts:
		b.Steps = 0
		return
	default:
		g.soars(m, b, t)
		return
	}
	g.glides(m, b, dx, dy)
}

// soars flies to and fro around its place.
func (g *Game) soars(m *world.Ground, b *Body, t *world.Thing) {
	d := &t.Doing
	fx, fy := t.Facing.Step()
	goalX, goalY := t.Body.Left+int64(fx)*int64(b.Way)*d.RangeX, t.Body.Top+int64(fy)*int64(b.Way)*d.RangeY
	x, y := b.X, b.Y
	g.glides(m, b, toward(0, goalX-b.X, d.SpeedX), toward(0, goalY-b.Y, d.SpeedY))
	if b.X == goalX && b.Y == goalY || b.X == x && b.Y == y {
		b.Way = -b.Way
	}
}

// glides moves through everything, as far as the map goes.
func (g *Game) glides(m *world.Ground, b *Body, dx, dy int64) {
	all, at := m.Area(), g.extent(b)
	b.X = max(all.Left, min(b.X+dx, all.Right-(at.Right-at.Left)))
	b.Y = max(all.Top, min(b.Y+dy, all.Bottom-(at.Bottom-at.Top)))
	if dx != 0 {
		b.turn(facingOf(dx, 0))
	} else if dy != 0 {
		b.turn(facingOf(0, dy))
	}
	b.Steps++
}

// walksSide is what somebody on foot does, seen from the side: it falls, and turns at edges and walls.
func (g *Game) walksSide(m *world.Ground, b *Body, t *world.Thing) {
	d, w := &t.Doing, g.Stage.Gait(m, b.Of)
	if d.Way != nil {
		g.goesAlong(b, d.Way, false)
		return
	}
	stands := g.stands(m, b, w)
	if stands {
		g.setOn(m, b, w)
	}
	way, sees := int64(b.Way), g.sees(m, b, d)
	toHero, _ := g.toHero(b)
	moves, paces := d.SpeedX > 0, false
	switch {
	case sees && d.Seeing == world.Follows || t.Acts == kind.Character && g.habit(b, t) == world.GoesAlong:
		way = sign(toHero)
		moves = moves && abs(toHero) > (w.W+g.gait().W)/2
	case sees && d.Seeing == world.Flees:
		way = -sign(toHero)
	case sees && d.Seeing == world.Halts:
		moves = false
	case t.Acts == kind.Character && g.habit(b, t) == world.RunsAway:
		way, moves = -sign(toHero), moves && abs(toHero) < d.RangeX
	case t.Acts == kind.Character && g.habit(b, t) != world.Wanders:
		moves = false
		if g.habit(b, t) == world.LooksAround {
			g.looksAround(b, t)
		}
	case d.RangeX == 0:
		moves = false
	default:
		paces = true
		if fx, _ := t.Facing.Step(); fx < 0 && t.Acts != kind.Character {
			way = -way
		}
		if (b.X-t.Body.Left)*way >= d.RangeX {
			b.Way, way = -b.Way, -way
		}
		moves = moves && !g.pauses(m, b, t)
	}
	b.VX = 0
	if moves && stands && way != 0 {
		b.turn(facingOf(way, 0))
		b.Steps++
		was := b.X
		far, _ := g.slowed(m, b, d.SpeedX, 0)
		if paces {
			far = min(far, d.RangeX-(b.X-t.Body.Left)*way)
		}
		for x := b.X; far > 0 && !g.edge(m, b, w, way); x = b.X {
			// pixel by pixel, so that it stands at the edge itself
			on := nextPixel(b.X, way, far) - b.X
			if g.across(m, b, w, on, stands); b.X == x {
				break
			}
			far -= abs(on)
		}
		if b.X == was {
			b.Way, b.Steps = -b.Way, 0
		}
	} else {
		b.Steps = 0
	}
	g.fall(b, w, 0, stands, false)
	g.upDown(m, b, w, b.VY, false)
}

// pauses has a character that wanders rest each time that it has gone so far; true while it does.
func (g *Game) pauses(m *world.Ground, b *Body, t *world.Thing) bool {
	if t.Acts != kind.Character {
		return false
	}
	w, _ := m.Cell()
	switch {
	case b.Timer > 0:
		b.Timer--
		return true
	case abs(b.X-b.GoalX) >= t.Doing.Stroll*w:
		b.GoalX = b.X
		b.Timer = t.Doing.Rest
	}
	return b.Timer > 0
}

// edge reports whether the ground ends ahead, deeper than half a cell.
func (g *Game) edge(m *world.Ground, b *Body, w *world.Gait, way int64) bool {
	box := boxAt(w, b.Flags, b.X, b.Y)
	_, ch := m.Cell()
	ahead := world.Box{Left: box.Right, Right: box.Right + Sub, Top: box.Bottom - Sub, Bottom: box.Bottom + ch/2 + Sub}
	if way < 0 {
		ahead.Left, ahead.Right = box.Left-Sub, box.Left
	}
	above := ahead
	above.Bottom = box.Bottom
	return !g.blocked(m, b, above, ahead)
}

// lives is what a character does by itself, seen from above.
func (g *Game) lives(m *world.Ground, b *Body, t *world.Thing) {
	d := &t.Doing
	switch g.habit(b, t) {
	case world.LooksAround:
		b.Steps = 0
		g.looksAround(b, t)
	case world.GoesAlong:
		dx, dy := g.toHero(b)
		cw, ch := m.Cell()
		if abs(dx) < cw*5/4 && abs(dy) < ch*5/4 {
			b.Steps = 0
			return
		}
		g.goes(b, toward(0, dx, d.SpeedX), toward(0, dy, d.SpeedY))
	case world.Wanders:
		g.wanders(b, t)
	case world.RunsAway:
		if dx, dy := g.toHero(b); within(dx, dy, d.RangeX, d.RangeY) {
			g.goes(b, -sign(dx)*d.SpeedX, -sign(dy)*d.SpeedY)
			return
		}
		b.Steps = 0
	default:
		b.Steps = 0
	}
}

// lookTicks is how long somebody looks one way.
const lookTicks = 90

func (g *Game) looksAround(b *Body, t *world.Thing) {
	if b.Timer--; b.Timer > 0 {
		return
	}
	b.Timer = lookTicks
	b.Facing = uint8(g.draw(b, t) >> 62)
}

// draw is the next number that chance gives a body: it follows from the seed, its rank and its
// map, and from how often it was asked.
func (g *Game) draw(b *Body, t *world.Thing) uint64 {
	b.Drawn++
	return chance.At(g.Seed, t.Rank, g.Stage.Grounds[t.Map].Order, int(b.Drawn))
}

// wanders goes a cell or two somewhere, and rests, never farther from its place than it roams.
func (g *Game) wanders(b *Body, t *world.Thing) {
	d := &t.Doing
	if b.Timer--; b.Timer > 0 {
		b.Steps = 0
		return
	}
	if b.GoalX == b.X && b.GoalY == b.Y || b.Drawn == 0 {
		n := g.draw(b, t)
		dx, dy := document.Facings[n>>62].Step()
		far := 1 + int64(n>>40&0xffff)%d.Stroll
		w, h := g.ground(b.Map).Cell()
		b.GoalX = max(t.Body.Left-d.RangeX, min(b.X+int64(dx)*far*w, t.Body.Left+d.RangeX))
		b.GoalY = max(t.Body.Top-d.RangeY, min(b.Y+int64(dy)*far*h, t.Body.Top+d.RangeY))
		b.Timer = d.Rest/2 + int32(n>>20&0xfffff)%(d.Rest+1)
		return
	}
	x, y := b.X, b.Y
	if !g.goes(b, toward(0, b.GoalX-b.X, d.SpeedX), toward(0, b.GoalY-b.Y, d.SpeedY)) || b.X == x && b.Y == y {
		b.GoalX, b.GoalY = b.X, b.Y
	}
}
