package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// light lights a charge that is not burning yet.
func (g *Game) light(r world.Ref, t *world.Thing) {
	if !g.On(r) {
		g.tell("lit", t.Name)
		g.switchTo(r, true)
	}
}

// blast lets a charge go off: what lies within its reach, with no wall between, is struck, broken, or
// lit itself in the next tick. It is gone then.
func (g *Game) blast(m *world.Ground, r world.Ref, t *world.Thing) {
	at := g.Where(r)
	x, y := (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
	d := &t.Doing
	g.setThing(r, Gone, true)
	g.tell("blast", t.Name)
	g.happen(happening{rules.WordFalls, t.Map, r})
	g.Blasts = append(g.Blasts[:len(g.Blasts):len(g.Blasts)], Blast{Of: r, X: x, Y: y, Left: BlastTicks})
	reaches := func(box world.Box) bool {
		dx, dy := (box.Left+box.Right)/2-x, (box.Top+box.Bottom)/2-y
		return within(dx, dy, d.RangeX, d.RangeY) && m.Clear(x, y, dx, dy)
	}
	area := world.Box{Left: x - d.RangeX, Top: y - d.RangeY, Right: x + d.RangeX, Bottom: y + d.RangeY}
	for _, o := range g.touched(m, area) {
		if o == r || g.Disabled(o) || !reaches(g.Where(o)) {
			continue
		}
		switch k := g.Stage.Thing(o); k.Acts {
		case kind.Walker, kind.Flyer, kind.Shooter:
			if k.Doing.Beaten&world.ByABlast != 0 {
				g.hits(o, k)
			}
		case kind.Breakable:
			if d.Breaks {
				g.hits(o, k)
			}
		case kind.Charge:
			if !g.On(o) {
				g.switchTo(o, true)
			}
			g.setTimer(o, 2) // one after the other
		case kind.Switch:
			if k.Doing.Worked == world.ByBlow {
				g.work(m, o)
			}
		}
	}
	if d.Harm > 0 && reaches(g.extent(g.Hero())) {
		g.struck(at, t.Name, d.Harm)
	}
}

// within reports whether a place lies in an oval around another one.
func within(dx, dy, farX, farY int64) bool {
	if farX <= 0 || farY <= 0 {
		return false
	}
	a, b := dx*1024/farX, dy*1024/farY
	return a*a+b*b <= 1024*1024
}

// Blast is something that has just gone off, as it is shown.
type Blast struct {
	Of   world.Ref
	X, Y int64
	Left int16
}

// BlastTicks is how long a blast is seen.
const BlastTicks = 20

// fades lets blasts be seen a little less.
func (g *Game) fades() {
	if len(g.Blasts) == 0 {
		return
	}
	out := make([]Blast, 0, len(g.Blasts))
	for _, b := range g.Blasts {
		if b.Left--; b.Left > 0 {
			out = append(out, b)
		}
	}
	g.Blasts = out
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

// stream is where a fan blows, and how far in a tick.
type stream struct {
	box  world.Box
	x, y int64
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
