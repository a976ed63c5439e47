package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Loss says why the hero comes back somewhere once it is dark.
type Loss uint8

// The losses.
const (
	NotLost   Loss = iota
	Fallen         // over an edge that is a fall: it comes back where it came onto the map
	StruckOut      // without hearts: it comes back at the checkpoint, or where the game began
	Overrun        // a core has fallen: the game begins anew
)

// pushTicks is how long who was struck is thrown back.
const pushTicks = 8

// struck takes a heart, and throws back from the middle of what did it.
func (g *Game) struck(by world.Box, what string, harm int32) {
	b := g.Hero()
	if b.Blink > 0 || g.Roam || g.Held() || g.Lost != NotLost || g.Leaving >= 0 || g.Sent >= 0 {
		return
	}
	g.tell("struck", what)
	if !g.loseHearts(harm) {
		return
	}
	m, w := g.Ground(), g.gait()
	box := g.extent(b)
	dx, dy := away(box, by)
	if dx == 0 && dy == 0 {
		x, y := b.Look().Step()
		dx, dy = int64(-x), int64(-y)
	}
	b.Push, b.VX, b.VY = pushTicks, dx*w.RunX, dy*w.RunY
	if m.Side {
		b.VY = -w.Jump / 2
	}
	b.Flags &^= Stepping | Rising
}

// away is the direction from one box to another along the axis on which they lie farther
// apart; 0, 0 where one is nearly in the middle of the other.
func away(box, from world.Box) (dx, dy int64) {
	x, y := (box.Left+box.Right)-(from.Left+from.Right), (box.Top+box.Bottom)-(from.Top+from.Bottom)
	switch size := (from.Right - from.Left + from.Bottom - from.Top) / 4; {
	case max(abs(x), abs(y)) < size/2:
		return 0, 0
	case abs(x) >= abs(y):
		return sign(x), 0
	}
	return 0, sign(y)
}

// loseHearts takes hearts; false when it was the last, and the hero comes back elsewhere.
func (g *Game) loseHearts(n int32) bool {
	b := g.Hero()
	b.Blink = g.gait().Blink
	g.happen(happening{on: rules.WordHurt, m: b.Map, thing: world.None})
	g.setCount(Hearts, max(0, g.Count(Hearts)-n))
	if g.Count(Hearts) > 0 {
		return true
	}
	g.Lost, g.Fade = StruckOut, FadeTicks
	g.happen(happening{on: rules.WordLosesLife, m: b.Map, thing: world.None})
	return false
}

// comeBack sets the hero down where it comes back to after a loss. Only its place, its speed
// and its hearts are turned back: what has happened stays so. With the last life all begins anew.
func (g *Game) comeBack() {
	b, to := g.Hero(), g.Back
	if g.Lost == Overrun {
		g.anew()
		g.Notice = "What was to be kept has fallen: the game began anew."
		return
	}
	if g.Lost == Fallen {
		to = g.Entry
	} else {
		w := g.gait()
		if w.Lives > 0 {
			g.setCount(Lives, g.Count(Lives)-1)
			if g.Count(Lives) <= 0 {
				g.anew()
				g.Notice = "That was the last life: the game began anew."
				return
			}
		}
		g.setCount(Hearts, w.Hearts)
		g.Back = g.turn(to)
		to = g.Back
		g.tell("back", "")
	}
	g.Lost = NotLost
	if g.ground(to.Map) == nil {
		to = g.Entry
	}
	changes := b.Map != to.Map
	b.Map, b.X, b.Y, b.VX, b.VY, b.Push, b.Mode = to.Map, to.X, to.Y, 0, 0, 0, Walking
	b.Flags = 0
	b.Blink = g.gait().Blink
	g.Inside, g.Fade = world.None, FadeTicks
	if changes {
		g.enterMap()
	}
	g.forgetsAll(world.None, document.UntilLost)
	g.free()
	g.happen(happening{on: rules.WordComesBack, m: b.Map, thing: world.None})
}

// stomps hits those on whose heads the hero comes down, seen from the side, and throws it up again.
func (g *Game) stomps(m *world.Ground) {
	b, w := g.Hero(), g.gait()
	if !m.Side || b.VY <= 0 || g.Roam {
		return
	}
	box := g.extent(b)
	g.findLively(m)
	for _, i := range g.lively {
		o := &g.Bodies[i]
		t, at := g.Stage.Thing(o.Of), g.extent(o)
		if t.Acts != kind.Walker && t.Acts != kind.Flyer || t.Doing.Beaten&world.ByAJump == 0 || !meets(at, box) || box.Bottom > (at.Top+at.Bottom)/2 {
			continue
		}
		b.VY = -w.Jump * 2 / 3
		b.Flags &^= Rising | Doubled
		b.Blink = max(b.Blink, 6)
		g.hits(o.Of, t)
		return
	}
}

// hits takes a hit from a thing, which is gone with the last.
func (g *Game) hits(r world.Ref, t *world.Thing) {
	if g.wears(r, t) > 0 {
		g.tellOf("hit", t)
		return
	}
	g.falls(r, t)
}

// falls has somebody be defeated, something be broken.
func (g *Game) falls(r world.Ref, t *world.Thing) {
	g.setThing(r, Gone, true)
	g.tellOf("defeat", t)
	g.happen(happening{on: rules.WordFalls, m: t.Map, thing: r})
	switch t.Acts {
	case kind.Breakable:
		g.gains(t.Doing.Word)
	case kind.Walker, kind.Flyer, kind.Shooter:
		g.gains(t.Doing.Holds...)
	}
	g.gone(r)
	g.livelyOf = world.None
}

// wears takes a hit from a thing and gives how many it takes still.
func (g *Game) wears(r world.Ref, t *world.Thing) int32 {
	if b := g.bodyOf(r); b != nil && g.being(r) {
		b.Hearts--
		return b.Hearts
	}
	worn, left := slices.Clone(g.Worn), t.Doing.Health
	i := slices.IndexFunc(worn, func(o Timer) bool { return o.Of == r })
	if i < 0 {
		i = len(worn)
		worn = append(worn, Timer{r, left})
	}
	worn[i].Left--
	g.Worn = worn
	return worn[i].Left
}

// hurts lets the ground and what lies about strike the hero.
func (g *Game) hurts(m *world.Ground, box world.Box, quiet bool) {
	b := g.Hero()
	if !quiet {
		g.stomps(m)
	}
	if b.Blink > 0 {
		b.Blink--
		return
	}
	// what only just touches a side of it does not hurt
	in := world.Box{Left: box.Left + (box.Right-box.Left)/4, Right: box.Right - (box.Right-box.Left)/4, Top: box.Top + (box.Bottom-box.Top)/4, Bottom: box.Bottom}
	if !quiet && g.strikes(m, in) || b.Flags&Thrown != 0 || !quiet && g.carried(m) {
		return
	}
	if len(m.Areas()) > 0 {
		for _, r := range g.touched(m, in) {
			if t := g.Stage.Thing(r); t.Area != nil && t.Area.Is&world.Hazard != 0 && g.works(r, t) && !g.bridged(m, in, g.Where(r)) {
				g.struck(g.Where(r), t.Name, t.Area.Harm)
				return
			}
		}
	}
	if !m.Any(in, world.Hazard) {
		return
	}
	from, to := m.CellAt(in.Left, in.Top), m.CellAt(in.Right-1, in.Bottom-1)
	w, h := m.Cell()
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			cell := world.Box{Left: int64(x) * w, Top: int64(y) * h, Right: int64(x+1) * w, Bottom: int64(y+1) * h}
			if m.At(grid.Point{X: x, Y: y})&world.Hazard != 0 && !g.filled(m, cell) && !g.bridged(m, in, cell) {
				g.struck(cell, "", 1)
				return
			}
		}
	}
}

// mends gives back to a thing what hits have taken from it; what is gone stays so.
func (g *Game) mends(r world.Ref) {
	if b := g.bodyOf(r); b != nil && g.being(r) {
		b.Hearts = g.Stage.Thing(r).Doing.Health
		return
	}
	g.Worn = slices.DeleteFunc(slices.Clone(g.Worn), func(o Timer) bool { return o.Of == r })
}
