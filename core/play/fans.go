package play

import "azzel/core/world"

// stream is where a fan blows, and how far in a tick.
type stream struct {
	box  world.Box
	x, y int64
}

// blown is how far the fans of a map blow what lies in a box, in a tick. Where they blow is found once a tick.
func (g *Game) blown(m *world.Ground, box world.Box) (flowX, flowY int64) {
	if g.streamsAt != g.Tick || g.streamsOf != m.Ref {
		g.streams, g.streamsAt, g.streamsOf = g.streams[:0], g.Tick, m.Ref
		for _, r := range m.Fans() {
			if !g.runs(r) {
				continue
			}
			t, at := g.Stage.Thing(r), g.Where(r)
			dx, dy := t.Facing.Step()
			x, y := (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
			g.streams = append(g.streams, stream{g.stream(m, at, x, y, int64(dx), int64(dy), &t.Doing), int64(dx) * t.Doing.ForceX, int64(dy) * t.Doing.ForceY})
		}
	}
	for _, s := range g.streams {
		if meets(s.box, box) {
			flowX, flowY = flowX+s.x, flowY+s.y
		}
	}
	return flowX, flowY
}

// stream is the box through which a fan blows, its own with it: as broad as that, up to what is solid.
func (g *Game) stream(m *world.Ground, at world.Box, x, y, dx, dy int64, d *world.Doing) world.Box {
	// from its front on: it stands in its own way
	fx, fy := x+dx*(at.Right-at.Left)/2, y+dy*(at.Bottom-at.Top)/2
	toX, toY := g.beam(m, fx, fy, dx, dy, d.RangeX, d.RangeY)
	switch {
	case dy < 0:
		return world.Box{Left: at.Left, Right: at.Right, Top: toY, Bottom: at.Bottom}
	case dy > 0:
		return world.Box{Left: at.Left, Right: at.Right, Top: at.Top, Bottom: toY}
	case dx < 0:
		return world.Box{Left: toX, Right: at.Right, Top: at.Top, Bottom: at.Bottom}
	}
	return world.Box{Left: at.Left, Right: toX, Top: at.Top, Bottom: at.Bottom}
}
