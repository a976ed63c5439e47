package play

import (
	"azzel/core/kind"
	"azzel/core/world"
	"slices"
)

// carriers move, and take along what stands on them and what travels with them: first those
// that carry, then what is fixed to them, in the order of their numbers.
func (g *Game) carriers(m *world.Ground) {
	g.findLively(m)
	for _, i := range g.lively {
		b := &g.Bodies[i]
		t := g.Stage.Thing(b.Of)
		if t.Acts != kind.Platform || t.Doing.Carrier >= 0 {
			continue
		}
		x, y := b.X, b.Y
		if g.runs(b.Of) {
			g.plies(b, t)
		}
		if dx, dy := b.X-x, b.Y-y; dx != 0 || dy != 0 {
			b.X, b.Y = x, y
			g.carry(m, b, dx, dy)
		}
	}
}

// plies moves a platform ahead as far as it goes and back, or along its path.
func (g *Game) plies(b *Body, t *world.Thing) {
	d := &t.Doing
	if d.Way != nil {
		g.goesAlong(b, d.Way, false)
		return
	}
	if b.Timer > 0 {
		b.Timer--
		return
	}
	fx, fy := t.Facing.Step()
	goalX, goalY := t.Body.Left, t.Body.Top
	if b.Way > 0 {
		goalX, goalY = goalX+int64(fx)*d.RangeX, goalY+int64(fy)*d.RangeY
	}
	b.X, b.Y = toward(b.X, goalX, d.SpeedX), toward(b.Y, goalY, d.SpeedY)
	if b.X == goalX && b.Y == goalY {
		b.Way, b.Timer = -b.Way, d.Pause
	}
}

// carry moves a body and all that it carries: who is carried up goes before it, who is carried
// down after it, so that neither is in the other's way.
func (g *Game) carry(m *world.Ground, b *Body, dx, dy int64) {
	at := g.extent(b)
	riders := g.riders(m, b, at)
	was := g.passes
	g.passes = b.Of
	if dy >= 0 {
		b.X, b.Y = b.X+dx, b.Y+dy
	}
	for _, i := range riders {
		r := &g.Bodies[i]
		if i > 0 && g.Stage.Thing(r.Of).Doing.Carrier == b.Of {
			g.carry(m, r, dx, dy)
			continue
		}
		g.step(r, dx, 0)
		g.step(r, 0, dy)
		r.GoalX, r.GoalY = r.GoalX+dx, r.GoalY+dy
	}
	if dy < 0 {
		b.X, b.Y = b.X+dx, b.Y+dy
	}
	g.passes = was
}

// riders are the bodies that go along with another one: what is fixed to it, and what stands on
// it, by their places among the bodies.
func (g *Game) riders(m *world.Ground, b *Body, at world.Box) (out []int) {
	carries := g.Stage.Thing(b.Of).Acts == kind.Platform
	if carries && g.rides(m, g.Hero(), b, at) {
		out = append(out, 0)
	}
	for _, r := range g.Stage.Thing(b.Of).Doing.Carries {
		if i := g.placeOf(r); i < len(g.Bodies) && g.Bodies[i].Of == r && g.There(r) {
			out = append(out, i)
		}
	}
	if !carries {
		return out
	}
	g.around.near(m, at, func(i int32) bool {
		r := &g.Bodies[i]
		t := g.Stage.Thing(r.Of)
		if r != b && t.Doing.Carrier < 0 && t.Acts != kind.Platform && t.Acts != kind.Flyer && g.rides(m, r, b, at) && !slices.Contains(out, int(i)) {
			out = append(out, int(i))
		}
		return true
	})
	slices.Sort(out)
	return out
}

// rides reports whether a body stands on what lies there.
func (g *Game) rides(m *world.Ground, r, b *Body, at world.Box) bool {
	box := g.extent(r)
	if r.Map != b.Map || g.Roam && r == g.Hero() {
		return false
	}
	if m.Side {
		return r.VY >= 0 && box.Bottom <= at.Top && box.Bottom > at.Top-Sub && box.Left < at.Right && box.Right > at.Left
	}
	x, y := (box.Left+box.Right)/2, (box.Top+box.Bottom)/2
	return x >= at.Left && x < at.Right && y >= at.Top && y < at.Bottom
}

// carried reports whether the hero stands on something that carries, so that the ground below
// is nothing to it.
func (g *Game) carried(m *world.Ground) bool {
	if m.Side {
		return false
	}
	g.findLively(m)
	on := false
	g.around.near(m, g.extent(g.Hero()), func(i int32) bool {
		b := &g.Bodies[i]
		on = on || (g.Stage.Thing(b.Of).Acts == kind.Platform || b.Flags&Sunk != 0) && g.rides(m, g.Hero(), b, g.extent(b))
		return !on
	})
	return on
}

// bridged reports whether something that carries lies over all that a box has in common with a part of the ground, seen from above: whoever steps
// onto it, or off it, is not in what is below.
func (g *Game) bridged(m *world.Ground, box, ground world.Box) (is bool) {
	if m.Side {
		return false
	}
	part := world.Box{Left: max(box.Left, ground.Left), Top: max(box.Top, ground.Top), Right: min(box.Right, ground.Right), Bottom: min(box.Bottom, ground.Bottom)}
	g.findLively(m)
	g.around.near(m, part, func(i int32) bool {
		b := &g.Bodies[i]
		if g.Stage.Thing(b.Of).Acts == kind.Platform || b.Flags&Sunk != 0 {
			at := g.extent(b)
			is = at.Left <= part.Left && at.Top <= part.Top && at.Right >= part.Right && at.Bottom >= part.Bottom
		}
		return !is
	})
	return is
}
