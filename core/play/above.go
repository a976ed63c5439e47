package play

import (
	"azzel/core/world"
)

// inWater is how much slower one goes in water, seen from above, in 1/256.
const inWater = 160

// above moves the hero on a map that is seen from above.
func (g *Game) above(m *world.Ground, in Input, quiet bool) {
	b, w := g.Hero(), g.gait()
	dx, dy := in.ways()
	ax, ay := w.RunX, w.RunY
	here, flowX, flowY := g.middle(m, b)
	if !quiet && g.carried(m) {
		here, flowX, flowY = 0, 0, 0
	}
	b.Mode = Walking
	switch {
	case g.Roam:
	case here&world.Water != 0:
		ax, ay, b.Mode = ax*inWater/256, ay*inWater/256, Swimming
	case here&world.Slow != 0:
		ax, ay = ax/2, ay/2
	}
	if b.Push > 0 {
		if b.Push--; b.Push == 0 {
			b.Flags &^= Thrown
		}
		g.move(b, b.VX, 0)
		g.move(b, 0, b.VY)
		return
	}
	b.VX, b.VY = 0, 0
	if flowX, flowY = flowX+w.WindX, flowY+w.WindY; !g.Roam && (flowX != 0 || flowY != 0) {
		g.move(b, flowX, 0)
		g.move(b, 0, flowY)
	}
	if w.Cells && !g.Roam {
		g.stepwise(m, b, w, dx, dy, ax, ay)
		return
	}
	b.Flags &^= Stepping
	if dx == 0 && dy == 0 {
		b.Steps = 0
		return
	}
	if !w.Eight && dx != 0 && dy != 0 {
		// of two keys the one that was held before goes on
		if b.Facing&1 == 0 {
			dx = 0
		} else {
			dy = 0
		}
	}
	b.Steps++
	b.look(dx, dy)
	if dx != 0 && dy != 0 {
		ax, ay = ax*181/256, ay*181/256 // 1/√2
	}
	if max(ax, ay) <= Sub*4 && !g.Roam && g.clear(m, swept(boxAt(w, b.Flags, b.X, b.Y), dx*ax, dy*ay)) {
		b.X, b.Y = b.X+dx*ax, b.Y+dy*ay
		return
	}
	movedX := g.move(b, dx*ax, 0)
	movedY := g.move(b, 0, dy*ay)
	if !movedX && dx != 0 {
		g.push(m, dx, 0, 0, 0)
	}
	if !movedY && dy != 0 {
		g.push(m, 0, dy, 0, 0)
	}
	if !movedX && dx != 0 && dy == 0 {
		g.slide(b, w, dx, 0, ay)
	}
	if !movedY && dy != 0 && dx == 0 {
		g.slide(b, w, 0, dy, ax)
	}
}

// slide goes round a corner when the way is free up to half the hero's box aside.
func (g *Game) slide(b *Body, w *world.Gait, dx, dy, speed int64) {
	if g.ground(b.Map).Firm(before(boxAt(w, b.Flags, b.X, b.Y), dx, dy, max(w.W, w.H)/2)) {
		return // a wall that goes on
	}
	for off := int64(1); off <= max(w.W, w.H)/Sub/2; off++ {
		for _, aside := range []int64{-off, off} {
			sx, sy := aside*Sub*abs(dy), aside*Sub*abs(dx)
			if g.blockedAt(b, b.X+sx+dx*Sub, b.Y+sy+dy*Sub) {
				continue
			}
			pull := min(speed, off*Sub) * sign(aside)
			g.move(b, pull*abs(dy), pull*abs(dx))
			return
		}
	}
}

// before is the pixel before a side of a box, and so much farther to both sides of it.
func before(box world.Box, dx, dy, room int64) world.Box {
	out := world.Box{Left: box.Left - room, Top: box.Top - room, Right: box.Right + room, Bottom: box.Bottom + room}
	switch {
	case dx > 0:
		out.Left, out.Right = box.Right, box.Right+Sub
	case dx < 0:
		out.Left, out.Right = box.Left-Sub, box.Left
	case dy > 0:
		out.Top, out.Bottom = box.Bottom, box.Bottom+Sub
	default:
		out.Top, out.Bottom = box.Top-Sub, box.Top
	}
	return out
}

// TurnTicks is how long a turn takes, where the world moves when the hero does.
const TurnTicks = 12

// stepwise walks from the middle of a cell to that of the next.
func (g *Game) stepwise(m *world.Ground, b *Body, w *world.Gait, dx, dy, ax, ay int64) {
	cw, ch := m.Cell()
	if w.Turns {
		ax, ay = (cw+TurnTicks-1)/TurnTicks, (ch+TurnTicks-1)/TurnTicks
	}
	if b.Flags&Stepping == 0 {
		if dx == 0 && dy == 0 {
			b.Steps = 0
			return
		}
		if dx != 0 && dy != 0 && (!w.Eight || g.blockedStep(m, b, dx, 0) || g.blockedStep(m, b, 0, dy)) {
			// not round a corner: along the one side that is free
			if b.Facing&1 == 0 && !g.blockedStep(m, b, 0, dy) || g.blockedStep(m, b, dx, 0) {
				dx = 0
			} else {
				dy = 0
			}
		}
		b.look(dx, dy)
		if g.blockedStep(m, b, dx, dy) {
			b.Steps = 0
			if dx == 0 || dy == 0 {
				g.bump, g.bumpAt = Place{m.Ref, b.X + dx*cw, b.Y + dy*ch}, g.Tick
				// its box stands off the sides of its cell
				g.push(m, dx, dy, max(0, (cw-w.W)/2), max(0, (ch-w.H)/2))
			}
			return
		}
		b.GoalX, b.GoalY = g.cellPlace(m, b, dx, dy)
		b.Flags |= Stepping
	}
	b.Steps++
	wasX, wasY := b.X, b.Y
	g.move(b, toward(b.X, b.GoalX, ax)-b.X, 0)
	g.move(b, 0, toward(b.Y, b.GoalY, ay)-b.Y)
	if b.X == b.GoalX && b.Y == b.GoalY || b.X == wasX && b.Y == wasY {
		b.Flags &^= Stepping
	}
}

// cellPlace is where the box stands in the middle of the cell that lies so many beside the one it is in.
func (g *Game) cellPlace(m *world.Ground, b *Body, dx, dy int64) (x, y int64) {
	box, w := g.extent(b), g.gait()
	p := m.CellAt((box.Left+box.Right)/2, (box.Top+box.Bottom)/2)
	cw, ch := m.Cell()
	return (int64(p.X)+dx)*cw + (cw-w.W)/2, (int64(p.Y)+dy)*ch + (ch-w.H)/2
}

func (g *Game) blockedStep(m *world.Ground, b *Body, dx, dy int64) bool {
	x, y := g.cellPlace(m, b, dx, dy)
	return g.blockedAt(b, x, y)
}
