package play

import (
	"azzel/core/kind"
	"azzel/core/world"
)

// throws throws the hero off a spring that it touches.
func (g *Game) throws(m *world.Ground, r world.Ref, t *world.Thing) {
	b, w := g.Hero(), g.gait()
	if g.Roam || !g.springs(m, b, w, r, t, w.RunX, w.RunY) {
		return
	}
	if _, dy := t.Facing.Step(); m.Side && dy != 0 {
		b.Mode, b.Grace, b.Early = Airborne, 0, 0
	}
	g.tellOf("spring", t)
}

// throwsAll throws the beings and blocks that came onto a spring.
func (g *Game) throwsAll(m *world.Ground) {
	for _, r := range m.Springs() {
		t := g.Stage.Thing(r)
		if !g.acts(r) {
			continue
		}
		at := g.Where(r)
		at.Top -= Sub // what stands on it touches it
		g.findLively(m)
		g.around.near(m, at, func(i int32) bool {
			b := &g.Bodies[i]
			o := g.Stage.Thing(b.Of)
			switch {
			case o.Doing.Carrier >= 0 || b.Flags&Sunk != 0 || !g.There(b.Of):
			case o.Acts == kind.Block && !m.Side:
				g.launches(m, b, t, r)
			case o.Acts == kind.Walker || o.Acts == kind.Character || o.Acts == kind.Block:
				w := g.Stage.Gait(m, b.Of)
				g.springs(m, b, w, r, t, max(o.Doing.SpeedX, w.RunX/world.Quick), max(o.Doing.SpeedY, w.RunY/world.Quick))
			}
			return true
		})
	}
}

// springs throws a body off a spring, where it lies so that it is thrown: up as high as it says, or along the ground as
// far, over what hurts there. It runs as fast as is said.
func (g *Game) springs(m *world.Ground, b *Body, w *world.Gait, r world.Ref, t *world.Thing, runX, runY int64) bool {
	cw, ch := m.Cell()
	at, box := g.Where(r), g.extent(b)
	dx, dy := t.Facing.Step()
	if m.Side && dy != 0 { // there is no throwing into the ground
		if b.VY < 0 || box.Bottom > at.Bottom || !meets(lower(box, Sub), at) {
			return false
		}
		b.VY = -world.JumpSpeed(t.Doing.RangeY, w.Gravity)
		b.Flags &^= Rising | Doubled
		return true
	}
	x, y := (box.Left+box.Right)/2, (box.Top+box.Bottom)/2
	if b.Push > 0 || x < at.Left || x >= at.Right || y < at.Top || y >= at.Bottom && !m.Side {
		return false
	}
	b.VX, b.VY = int64(dx)*runX*world.Quick, int64(dy)*runY*world.Quick
	far := max(t.Doing.RangeX*abs(int64(dx))/max(1, cw/16), t.Doing.RangeY*abs(int64(dy))/max(1, ch/16)) // sixteenths of a cell
	b.Push = int16(min(1<<13, far*max(cw, ch)/16/max(1, runX*world.Quick)))
	b.Flags |= Thrown
	b.Flags &^= Stepping
	return true
}

// launches sends a block along the ground, seen from above: as many whole cells as the spring says, and as are free.
func (g *Game) launches(m *world.Ground, b *Body, t *world.Thing, r world.Ref) {
	at, box := g.Where(r), g.extent(b)
	x, y := (box.Left+box.Right)/2, (box.Top+box.Bottom)/2
	if b.Flags&Stepping != 0 || x < at.Left || x >= at.Right || y < at.Top || y >= at.Bottom {
		return
	}
	w, h := m.Cell()
	dx, dy := t.Facing.Step()
	goal := box
	for far := int64(0); far < max(t.Doing.RangeX/w, t.Doing.RangeY/h); far++ {
		next := shifted(goal, -int64(dx)*w, -int64(dy)*h)
		if g.blocked(m, b, box, next) {
			break
		}
		goal = next
	}
	if goal != box {
		b.GoalX, b.GoalY = b.X+goal.Left-box.Left, b.Y+goal.Top-box.Top
		b.Flags |= Stepping
	}
}

// thrown goes on with a body that was thrown along the ground; false for one that was not.
func (g *Game) thrown(m *world.Ground, b *Body) bool {
	if b.Push == 0 {
		return false
	}
	if b.Push--; b.Push == 0 {
		b.Flags &^= Thrown
	}
	b.Steps = 0
	g.step(b, b.VX, 0)
	if m.Side {
		g.drops(m, b)
	} else {
		g.step(b, 0, b.VY)
	}
	return true
}
