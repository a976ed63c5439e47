package play

import (
	"azzel/core/document"
	"azzel/core/world"
)

// side moves the hero on a map that is seen from the side.
func (g *Game) side(m *world.Ground, in, pressed Input) {
	b, w := g.Hero(), g.gait()
	dx, dy := in.ways()
	if g.Roam {
		b.VX, b.VY, b.Mode = 0, 0, Walking
		g.move(b, dx*w.RunX, 0)
		g.move(b, 0, dy*w.RunY)
		return
	}
	here, flowX, flowY := g.middle(m, b)
	wet := here&world.Water != 0 || w.Wet
	stands := g.stands(m, b, w)
	if stands {
		g.setOn(m, b, w)
		b.Grace = w.Grace
		b.Flags &^= Doubled | Rising
	}
	if pressed&InputJump != 0 {
		b.Early = w.Early + 1
	}
	g.climbs(m, b, here, in, stands)
	switch {
	case b.Push > 0:
		if b.Push--; b.Push == 0 {
			b.Flags &^= Thrown
		}
	case b.Mode == Climbing:
		b.VX, b.VY = dx*w.RunX/2, dy*w.RunY*3/4
		if dx == 0 && dy != 0 {
			// to the middle of the ladder, past the edges of what it leads through
			x, _ := g.cellPlace(m, b, 0, 0)
			b.VX = toward(b.X, x, w.RunX/2) - b.X
		}
	default:
		g.speedUp(b, w, dx, stands, wet, here&world.Slow != 0)
	}
	g.duck(m, b, w, dy > 0 && stands && b.Mode != Climbing)
	g.jump(m, b, w, in, stands, wet)
	if b.Mode != Climbing {
		g.fall(b, w, in, stands, wet)
	}
	if dx != 0 && b.Push == 0 {
		b.turn(document.Right)
		if dx < 0 {
			b.turn(document.Left)
		}
	}
	if stands {
		flowX += g.below(m, b)
	}
	x, y, ducked := b.X, b.Y, b.Flags&Ducked
	level := g.across(m, b, w, b.VX+w.WindX+flowX, stands)
	if dx != 0 && b.X == x && b.Push == 0 {
		g.push(m, dx, 0, 0, 0)
	}
	g.upDown(m, b, w, b.VY+w.WindY+flowY, dy > 0)
	b.Early, b.Grace = max(0, b.Early-1), max(0, b.Grace-1)
	b.Steps++
	if b.VX == 0 && (b.Mode != Climbing || b.VY == 0) {
		b.Steps = 0
	}
	now := stands && b.VY >= 0 && b.Y == y && (level || b.X == x) && b.Flags&Ducked == ducked && b.Mode != Climbing
	now = now || g.stands(m, b, w)
	switch {
	case b.Mode == Climbing:
	case wet:
		b.Mode = Swimming
	case now:
		b.Mode = Walking
	default:
		b.Mode = Airborne
	}
}

// speedUp brings the speed to what is asked; in the air there is less hold.
func (g *Game) speedUp(b *Body, w *world.Gait, dx int64, stands, wet, slow bool) {
	goal, by := dx*w.RunX, w.Start
	if dx == 0 || sign(b.VX) == -dx {
		by = w.Stop
	}
	switch {
	case wet:
		goal = goal * 3 / 4
	case b.Flags&Ducked != 0, slow:
		goal /= 2
	}
	if !stands && !wet {
		by = by * w.Air / 100
	}
	b.VX = toward(b.VX, goal, by)
}

// duck is half as high, until there is room above.
func (g *Game) duck(m *world.Ground, b *Body, w *world.Gait, wants bool) {
	switch {
	case wants:
		b.Flags |= Ducked
	case b.Flags&Ducked != 0:
		low := boxAt(w, b.Flags, b.X, b.Y)
		if high := boxAt(w, b.Flags&^Ducked, b.X, b.Y); !g.blocked(m, b, low, high) {
			b.Flags &^= Ducked
		}
	}
}

// jump leaves the ground, or what stands for it; a jump whose key is let go ends early.
func (g *Game) jump(m *world.Ground, b *Body, w *world.Gait, in Input, stands, wet bool) {
	if b.Flags&Rising != 0 && in&InputJump == 0 {
		b.Flags &^= Rising
		if b.VY < 0 {
			b.VY /= 2
		}
	}
	if b.Early == 0 || b.Push > 0 {
		return
	}
	_, dy := in.ways()
	away := func(up int64) {
		b.VY, b.Mode, b.Early, b.Grace = -up, Airborne, 0, 0
		b.Flags |= Rising
	}
	switch {
	case b.Mode == Climbing:
		away(w.Jump * 3 / 4)
	case wet:
		away(w.Jump / 2)
	case dy > 0 && stands && g.dropsThrough(b):
		b.Y += Sub
		b.Early, b.Grace = 0, 0
	case stands || b.Grace > 0:
		away(w.Jump)
	case w.Wall && g.blockedAt(b, b.X+Sub, b.Y):
		away(w.Jump)
		b.VX = -w.RunX
	case w.Wall && g.blockedAt(b, b.X-Sub, b.Y):
		away(w.Jump)
		b.VX = w.RunX
	case w.Double && b.Flags&Doubled == 0:
		away(w.Jump)
		b.Flags |= Doubled
	}
}

// dropsThrough reports whether what one stands on lets through from above when it is asked to.
func (g *Game) dropsThrough(b *Body) bool {
	m, w := g.ground(b.Map), g.gait()
	below := boxAt(w, b.Flags, b.X, b.Y+Sub)
	return !g.blocked(m, b, below, below)
}

// fall adds gravity; water, slow air and the limit hold it back.
func (g *Game) fall(b *Body, w *world.Gait, in Input, stands, wet bool) {
	if stands && b.VY >= 0 {
		b.VY = 0
		return
	}
	gravity, most := w.Gravity, w.Fall
	switch {
	case wet:
		gravity, most = max(1, gravity/4), w.Fall/6
		if _, dy := in.ways(); dy > 0 {
			most *= 2
		}
	case w.Slow && b.VY > 0:
		gravity, most = max(1, gravity/4), w.Fall/4
	}
	b.VY = min(b.VY+gravity, most)
	if wet {
		b.VY = max(b.VY, -w.Jump/2)
	}
}

// climbs takes hold of a ladder, and lets go of it.
func (g *Game) climbs(m *world.Ground, b *Body, here world.Terrain, in Input, stands bool) {
	_, dy := in.ways()
	if dy == 0 && b.Push == 0 && b.Mode != Climbing {
		return
	}
	box := g.extent(b)
	feet, _, _ := g.here(m, (box.Left+box.Right)/2, box.Bottom)
	switch {
	case b.Push > 0:
		b.Mode = Airborne
	case b.Mode == Climbing:
		if here&world.Ladder == 0 && feet&world.Ladder == 0 || dy > 0 && stands && feet&world.Ladder == 0 {
			b.Mode = Airborne
		}
	case dy < 0 && here&world.Ladder != 0 && b.VY >= 0, dy > 0 && stands && feet&world.Ladder != 0:
		b.Mode = Climbing
		b.VX, b.VY = 0, 0
		b.Flags &^= Doubled | Rising | Ducked
	}
}

// stands reports whether there is ground less than a pixel below.
func (g *Game) stands(m *world.Ground, b *Body, w *world.Gait) bool {
	if b.VY < 0 && b.Mode != Climbing {
		return false
	}
	box := boxAt(w, b.Flags, b.X, b.Y)
	below := lower(box, Sub)
	return g.blocked(m, b, box, below) || g.onLadderTop(m, box, below)
}

func lower(box world.Box, by int64) world.Box {
	return world.Box{Left: box.Left, Top: box.Top + by, Right: box.Right, Bottom: box.Bottom + by}
}

// setOn puts who stands onto whole pixels: less than one is no fall.
func (g *Game) setOn(m *world.Ground, b *Body, w *world.Gait) {
	y := -floorDiv(-b.Y, Sub) * Sub
	if y == b.Y || b.Mode == Climbing {
		return
	}
	box := boxAt(w, b.Flags, b.X, b.Y)
	if to := lower(box, y-b.Y); !g.blocked(m, b, box, to) && !g.onLadderTop(m, box, to) {
		b.Y = y
	}
}

// onLadderTop reports whether a box comes from above onto the end of a ladder, which carries.
func (g *Game) onLadderTop(m *world.Ground, was, box world.Box) bool {
	x := (box.Left + box.Right) / 2
	if now, _, _ := g.here(m, x, box.Bottom-1); now&world.Ladder == 0 {
		return false
	}
	before, _, _ := g.here(m, x, was.Bottom-1)
	return before&world.Ladder == 0
}

// across moves to a side, pixel by pixel where the ground is not even: up slopes and steps of
// half a cell, and down slopes again without leaving the ground. It tells whether all of the way was level ground.
func (g *Game) across(m *world.Ground, b *Body, w *world.Gait, dx int64, stands bool) (level bool) {
	if dx == 0 {
		return false
	}
	if stands && b.VY >= 0 && g.levelTo(m, b, w, dx) {
		b.X += dx
		return true
	}
	_, ch := m.Cell()
	step := ch / 2 / Sub * Sub
	for left := abs(dx); left > 0; {
		x := nextPixel(b.X, sign(dx), left)
		left -= abs(x - b.X)
		switch up := int64(0); {
		case !g.blockedAt(b, x, b.Y):
			b.X = x
		case !stands:
			b.VX = 0
			return false
		default:
			rises := true // pixel by pixel, through nothing
			for up = Sub; up <= step && rises; up += Sub {
				if rises = !g.blockedAt(b, b.X, b.Y-up); !g.blockedAt(b, x, b.Y-up) {
					break
				}
			}
			if up > step || !rises {
				b.VX = 0
				return false
			}
			b.X, b.Y = x, b.Y-up
			continue
		}
		if stands && b.VY >= 0 {
			g.settleDown(m, b, w)
		}
	}
	return false
}

// levelTo reports whether nothing is in the way to a side, and all of the ground there is whole cells: then there is nothing
// to climb, and nothing to come down to.
func (g *Game) levelTo(m *world.Ground, b *Body, w *world.Gait, dx int64) bool {
	all := swept(boxAt(w, b.Flags, b.X, b.Y), dx, 0)
	ground := world.Box{Left: all.Left, Top: all.Bottom, Right: all.Right, Bottom: all.Bottom + Sub}
	return b == &g.Bodies[0] && g.clear(m, all) && m.Firm(ground)
}

// settleDown keeps to the ground that falls away by as much as one goes.
func (g *Game) settleDown(m *world.Ground, b *Body, w *world.Gait) {
	box := boxAt(w, b.Flags, b.X, b.Y)
	if below := lower(box, Sub); g.blocked(m, b, box, below) || g.onLadderTop(m, box, below) {
		return
	}
	for by := int64(Sub); by <= 2*Sub; by += Sub {
		if g.blocked(m, b, box, lower(box, by+Sub)) && !g.blocked(m, b, box, lower(box, by)) {
			b.Y += by
			return
		}
	}
}

// airy reports whether nothing is in a part of a map that could stop the hero, nor the end of a ladder; false may be said where it is so.
func (g *Game) airy(m *world.Ground, b *Body, all world.Box) bool {
	return b == &g.Bodies[0] && onMap(m, all) && g.alone(m, all) && !m.HasLines() && m.Over(all)&(world.Whole|world.Broken|world.Ladder) == 0
}

// upDown falls or rises until something stops it.
func (g *Game) upDown(m *world.Ground, b *Body, w *world.Gait, dy int64, lets bool) {
	if g.airy(m, b, swept(boxAt(w, b.Flags, b.X, b.Y), 0, dy)) {
		b.Y += dy
		return
	}
	for left := abs(dy); left > 0; {
		y := nextPixel(b.Y, sign(dy), left)
		left -= abs(y - b.Y)
		was, box := boxAt(w, b.Flags, b.X, b.Y), boxAt(w, b.Flags, b.X, y)
		if g.blocked(m, b, was, box) || dy > 0 && !(lets && b.Mode == Climbing) && g.onLadderTop(m, was, box) {
			// as near as whole pixels come
			if dy > 0 && b.Mode != Climbing {
				b.VY = 0
			} else if dy < 0 {
				b.VY = max(0, b.VY)
			}
			return
		}
		b.Y = y
	}
}
