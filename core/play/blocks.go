package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// blocks move what is pushed and what falls.
func (g *Game) blocks(m *world.Ground) {
	g.findLively(m)
	for _, i := range g.lively {
		b := &g.Bodies[i]
		switch t := g.Stage.Thing(b.Of); {
		case t.Doing.Carrier >= 0:
		case b.Flags&Sunk != 0 && !m.Side:
		case t.Acts == kind.Block && m.Side && g.thrown(m, b):
		case t.Acts == kind.Block && m.Side:
			g.drops(m, b)
			g.floats(m, b, t)
			g.drifts(m, b)
		case t.Acts == kind.Block:
			g.slides(m, b)
			g.drifts(m, b)
		case t.Acts == kind.Faller:
			g.gives(m, b, t)
		}
	}
	g.throwsAll(m)
}

// drops lets a body fall to the ground below it.
func (g *Game) drops(m *world.Ground, b *Body) {
	w := g.Stage.Gait(m, b.Of)
	stands := g.stands(m, b, w)
	if stands {
		g.setOn(m, b, w)
	}
	was := b.VY
	g.fall(b, w, 0, stands, false)
	if !stands && was <= 0 && b.VY > 0 {
		g.happen(happening{on: rules.WordDrops, m: m.Ref, thing: b.Of})
	}
	falls, fell := b.VY > 0 && !stands, b.VY
	g.upDown(m, b, w, b.VY, false)
	if falls {
		g.fallsOn(m, b)
	}
	if fell > 0 && stands && g.Stage.Thing(b.Of).Acts == kind.Block {
		g.rests(m, b)
	}
}

// rests tells that a block lies still that moved.
func (g *Game) rests(m *world.Ground, b *Body) {
	g.happen(happening{on: rules.WordRests, m: m.Ref, thing: b.Of})
}

// fallsOn hits the beings on whose heads something comes down, and what it is heavy enough to break.
func (g *Game) fallsOn(m *world.Ground, b *Body) {
	g.doer = b.Of + 1
	defer func() { g.doer = 0 }()
	at := g.extent(b)
	at.Bottom += Sub
	g.around.near(m, at, func(i int32) bool {
		o := &g.Bodies[i]
		if t := g.Stage.Thing(o.Of); o != b && t.Doing.Beaten&world.ByAFall != 0 && meets(g.extent(o), at) && g.extent(o).Top >= at.Top && g.There(o.Of) {
			g.hits(o.Of, t)
		}
		return true
	})
	by := g.Stage.Thing(b.Of)
	for _, r := range g.touched(m, at) {
		if t := g.Stage.Thing(r); t.Acts == kind.Breakable && t.Doing.Beaten&world.ByAFall != 0 && by.Doing.Weight >= t.Doing.Weighs && (by.Acts == kind.Block || by.Acts == kind.Faller) && !g.Disabled(r) {
			g.hits(r, t)
		}
	}
}

// floats lifts a block that floats to the top of the water that it is in, seen from the side.
func (g *Game) floats(m *world.Ground, b *Body, t *world.Thing) {
	if t.Doing.InWater != world.Floats {
		return
	}
	at := g.extent(b)
	if is, _, _ := g.here(m, (at.Left+at.Right)/2, (at.Top+at.Bottom)/2); is&world.Water != 0 {
		b.VY = 0
		g.step(b, 0, -Sub)
		g.step(b, 0, -Sub/2)
	}
}

// settles lets a block that was pushed to its end fall into what is there, seen from above: then it fills it,
// and is walked over.
func (g *Game) settles(m *world.Ground, b *Body) {
	t, at := g.Stage.Thing(b.Of), g.extent(b)
	is, _, _ := g.here(m, (at.Left+at.Right)/2, (at.Top+at.Bottom)/2)
	if is&world.Water != 0 && t.Doing.InWater == world.Sinks || is&world.Water == 0 && is&world.Hazard != 0 && t.Doing.Fills {
		b.Flags |= Sunk
		g.tellOf("sinks", t)
	}
}

// filled reports whether a block has sunk into a cell.
func (g *Game) filled(m *world.Ground, cell world.Box) (is bool) {
	x, y := (cell.Left+cell.Right)/2, (cell.Top+cell.Bottom)/2
	g.findLively(m)
	g.around.near(m, cell, func(i int32) bool {
		b := &g.Bodies[i]
		at := g.extent(b)
		is = is || b.Flags&Sunk != 0 && x >= at.Left && x < at.Right && y >= at.Top && y < at.Bottom
		return !is
	})
	return is
}

// pushSpeed is how many ticks a push over a cell takes.
const pushSpeed = 16

// slides goes on with a push, seen from above: by a whole cell.
func (g *Game) slides(m *world.Ground, b *Body) {
	if b.Flags&Stepping == 0 {
		return
	}
	w, h := m.Cell()
	b.X, b.Y = toward(b.X, b.GoalX, (w+pushSpeed-1)/pushSpeed), toward(b.Y, b.GoalY, (h+pushSpeed-1)/pushSpeed)
	if b.X == b.GoalX && b.Y == b.GoalY {
		b.Flags &^= Stepping
		g.settles(m, b)
		g.rests(m, b)
	}
}

// push pushes the block that the hero walks against: from above by a cell, if the next one is free;
// from the side as far as the hero goes, half as fast as it runs. What lies offX and offY farther is reached.
func (g *Game) push(m *world.Ground, dx, dy, offX, offY int64) {
	hero := g.Hero()
	box := g.extent(hero)
	w, h := m.Cell()
	ahead := world.Box{Left: box.Left + dx*(Sub+offX), Top: box.Top + dy*(Sub+offY), Right: box.Right + dx*(Sub+offX), Bottom: box.Bottom + dy*(Sub+offY)}
	g.findLively(m)
	var b *Body
	g.around.near(m, ahead, func(i int32) bool {
		o := &g.Bodies[i]
		if t := g.Stage.Thing(o.Of); t.Acts == kind.Block && t.Doing.Carrier < 0 && o.Flags&Sunk == 0 && meets(g.extent(o), ahead) && (b == nil || o.Of < b.Of) {
			b = o
		}
		return true
	})
	switch {
	case b == nil:
	case m.Side:
		if stands := g.stands(m, hero, g.gait()); stands && !meets(lower(box, Sub), g.extent(b)) {
			x := b.X
			g.step(b, dx*g.gait().RunX/2, 0)
			hero.VX = b.X - x
			g.step(hero, hero.VX, 0)
			if b.X != x {
				if b.Drawn != int32(g.Tick)-1 {
					g.happen(happening{on: rules.WordPush, m: m.Ref, thing: b.Of})
					g.pushed(m)
				}
				b.Drawn = int32(g.Tick) // the tick in which it was pushed last
			}
		}
	default:
		at := g.extent(b)
		x, y := (box.Left+box.Right)/2, (box.Top+box.Bottom)/2
		if b.Flags&Stepping != 0 || dx != 0 && (y < at.Top || y >= at.Bottom) || dy != 0 && (x < at.Left || x >= at.Right) {
			return
		}
		gx, gy := b.X+dx*w, b.Y+dy*h
		if goal := (world.Box{Left: gx, Top: gy, Right: gx + at.Right - at.Left, Bottom: gy + at.Bottom - at.Top}); !g.blocked(m, b, at, goal) {
			b.GoalX, b.GoalY = gx, gy
			b.Flags |= Stepping
			g.tellOf("push", g.Stage.Thing(b.Of))
			g.happen(happening{on: rules.WordPush, m: m.Ref, thing: b.Of})
			g.pushed(m)
		}
	}
}

// gives lets a block fall some time after somebody stood on it, and brings it back.
func (g *Game) gives(m *world.Ground, b *Body, t *world.Thing) {
	w := g.Stage.Gait(m, b.Of)
	switch {
	case b.Flags&Rising != 0: // it has given way
		b.VY = min(b.VY+w.Gravity, w.Fall)
		g.upDown(m, b, w, b.VY, false)
		g.fallsOn(m, b)
		if b.Timer--; b.Timer == 0 && t.Doing.Back > 0 {
			b.X, b.Y, b.VY, b.Flags = t.Body.Left, t.Body.Top, 0, 0
		}
	case b.Timer > 0:
		if b.Timer--; b.Timer == 0 {
			b.Flags |= Rising
			b.Timer = t.Doing.Back
			g.tellOf("gives", t)
			g.happen(happening{on: rules.WordDrops, m: m.Ref, thing: b.Of})
		}
	case m.Side && g.rides(m, g.Hero(), b, g.extent(b)):
		b.Timer = max(1, t.Doing.After)
	}
}
