package play

import (
	"azzel/core/document"
	"azzel/core/world"
)

// clear reports whether nothing whatever is in the way of a hero in a part of a map.
func (g *Game) clear(m *world.Ground, all world.Box) bool {
	return onMap(m, all) && g.alone(m, all) && !m.HasLines() && m.Over(all)&(world.Whole|world.Broken) == 0
}

// blockedAt reports whether a body's box at (x, y) would lie outside the map, or touch
// something solid or a shut door.
func (g *Game) blockedAt(b *Body, x, y int64) bool {
	m, w := g.ground(b.Map), g.Stage.GaitOn(b.Map, b.Of)
	return g.blocked(m, b, boxAt(w, b.Flags, b.X, b.Y), boxAt(w, b.Flags, x, y))
}

// blocked reports whether a body's box that comes from where was lies is stopped. Only heroes
// leave a map over its edges.
func (g *Game) blocked(m *world.Ground, b *Body, was, box world.Box) bool {
	if b != &g.Bodies[0] {
		if all := m.Area(); box.Left < all.Left || box.Top < all.Top || box.Right > all.Right || box.Bottom > all.Bottom {
			return true
		}
		// nobody walks into the hero who is in its way
		if hero := g.extent(g.Hero()); b.Map == g.Hero().Map && m.Solid(&g.Stage.Things[b.Of]) && meets(hero, box) && !meets(hero, was) && !g.Roam {
			return true
		}
	} else if g.outside(m, was, box) {
		return true
	}
	if g.alone(m, box) && !m.HasLines() {
		return m.Stops(was, box)
	}
	return m.Stops(was, box) || g.thingIn(m, box, world.None) || g.lineBelow(m, was, box) || g.firmIn(m, b, was, box)
}

// walled reports whether a wall, or ground that is drawn freely, is in the way from one box to another.
func (g *Game) walled(m *world.Ground, was, box world.Box) bool {
	return m.Stops(was, box) || g.lineStops(m, box)
}

// thingIn reports whether a thing that is in the way and never leaves its place touches a box,
// but for one that is not counted, or ground that is drawn freely.
func (g *Game) thingIn(m *world.Ground, box world.Box, but world.Ref) (in bool) {
	if g.lineStops(m, box) {
		return true
	}
	if m.Bare(box) {
		return false
	}
	m.Near(box, func(r world.Ref, t *world.Thing) {
		in = in || r != but && m.Solid(t) && meets(t.Body, box) && g.stops(r, t)
	})
	return in
}

// entersThing reports whether a thing that is in the way and never leaves its place touches a box, and did not touch it where it was.
func (g *Game) entersThing(m *world.Ground, was, box world.Box) (in bool) {
	m.Near(box, func(r world.Ref, t *world.Thing) {
		in = in || m.Solid(t) && meets(t.Body, box) && !meets(t.Body, was) && g.stops(r, t)
	})
	return in
}

func meets(a, b world.Box) bool {
	return a.Left < b.Right && a.Right > b.Left && a.Top < b.Bottom && a.Bottom > b.Top
}

// move goes as far as is free, whole pixels at the last; it reports whether it moved.
func (g *Game) move(b *Body, dx, dy int64) bool {
	switch {
	case dx == 0 && dy == 0:
		return false
	case g.Roam:
		b.X, b.Y = g.within(g.ground(b.Map), b, b.X+dx, b.Y+dy)
		return true
	case max(abs(dx), abs(dy)) <= Sub*4 && !g.blockedAt(b, b.X+dx, b.Y+dy):
		b.X, b.Y = b.X+dx, b.Y+dy
		return true
	case g.blockedAt(b, b.X, b.Y):
		// one that stands inside something, painted while it played, may walk out; through a wall only if it stands in one, and into nothing else
		m, here := g.ground(b.Map), g.extent(b)
		if there := shifted(here, -dx, -dy); g.walled(m, here, there) && !g.walled(m, here, here) || g.entersThing(m, here, there) {
			return false
		}
		b.X, b.Y = g.within(g.ground(b.Map), b, b.X+dx, b.Y+dy)
		return true
	}
	moved := false
	for left := max(abs(dx), abs(dy)); left > 0; left -= Sub {
		x, y := nextPixel(b.X, sign(dx), left), nextPixel(b.Y, sign(dy), left)
		if x == b.X && y == b.Y || g.blockedAt(b, x, y) {
			break
		}
		left -= max(abs(x-b.X), abs(y-b.Y)) - Sub
		b.X, b.Y, moved = x, y, true
	}
	return moved
}

// nextPixel is the next whole pixel in a direction, or what is left of the way; at 0 it stays.
func nextPixel(v, direction, left int64) int64 {
	switch {
	case direction > 0:
		return min((floorDiv(v, Sub)+1)*Sub, v+left)
	case direction < 0:
		return max(floorDiv(v-1, Sub)*Sub, v-left)
	}
	return v
}

// within keeps a body on the map.
func (g *Game) within(m *world.Ground, b *Body, x, y int64) (int64, int64) {
	w, all := g.Stage.Gait(m, b.Of), m.Area()
	return max(all.Left, min(x, all.Right-w.W)), max(all.Top, min(y, all.Bottom-w.H))
}

// ways are what is held as directions: −1, 0 or 1.
func (in Input) ways() (dx, dy int64) {
	return int64(in>>1&1) - int64(in>>3&1), int64(in>>2&1) - int64(in&1)
}

// look turns a body to where it goes; one that already looks up or down keeps doing so at a slant.
func (b *Body) look(dx, dy int64) {
	was, to := b.Look(), document.Right
	switch upright := dx == 0 || dy != 0 && (was == document.Up || was == document.Down); {
	case upright && dy < 0:
		to = document.Up
	case upright:
		to = document.Down
	case dx < 0:
		to = document.Left
	}
	b.turn(to)
}

// face turns a body to look at a place: the way in which it is farther off.
func (b *Body) face(at, to world.Box) {
	dx, dy := to.Left+to.Right-at.Left-at.Right, to.Top+to.Bottom-at.Top-at.Bottom
	switch {
	case dx == 0 && dy == 0:
	case abs(dx) >= abs(dy):
		b.turn(facingOf(dx, 0))
	default:
		b.turn(facingOf(0, dy))
	}
}

func floorDiv(a, n int64) int64 {
	q := a / n
	if a%n < 0 {
		q--
	}
	return q
}

func abs(a int64) int64 {
	if a < 0 {
		return -a
	}
	return a
}

func sign(a int64) int64 {
	switch {
	case a > 0:
		return 1
	case a < 0:
		return -1
	}
	return 0
}

// toward is a number brought nearer to another by at most so much.
func toward(v, goal, by int64) int64 {
	if v < goal {
		return min(v+by, goal)
	}
	return max(v-by, goal)
}
