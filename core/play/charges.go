package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// light lights a charge that is not burning yet.
func (g *Game) light(r world.Ref, t *world.Thing) {
	if !g.On(r) {
		g.tellOf("lit", t)
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
	g.tellOf("blast", t)
	g.happen(happening{on: rules.WordFalls, m: t.Map, thing: r})
	g.Blasts = append(g.Blasts[:len(g.Blasts):len(g.Blasts)], Blast{Of: r, X: x, Y: y, Left: BlastTicks})
	g.doer = r + 1
	defer func() { g.doer = 0 }()
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
			if d.Breaks && k.Doing.Beaten&world.ByABlast != 0 {
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
