package play

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// touched lists the things near the hero that are there and that its box touches, by number.
func (g *Game) touched(m *world.Ground, box world.Box) []world.Ref {
	var out []world.Ref
	m.Near(box, func(r world.Ref, t *world.Thing) {
		if meets(t.Body, box) && g.There(r) {
			out = append(out, r)
		}
	})
	slices.Sort(out)
	return slices.Compact(out)
}

// touch takes collectibles, notes checkpoints and enters exits.
func (g *Game) touch(m *world.Ground) {
	for _, r := range g.touched(m, g.extent(g.Hero())) {
		switch t := g.Stage.Thing(r); t.Acts {
		case kind.Collectible:
			g.setThing(r, Taken, true)
			g.tell(rules.WordTake, t.Name)
			g.happen(happening{rules.WordTake, m.Ref, r})
		case kind.Goal:
			if !g.Is(r, Reached) {
				g.setThing(r, Reached, true)
				g.tell("goal", t.Name)
			}
		case kind.Checkpoint:
			if b := g.Hero(); !g.Is(r, Reached) {
				g.setThing(r, Reached, true)
				g.Back = Place{b.Map, b.X, b.Y}
				g.tell("checkpoint", t.Name)
			}
		}
	}
	exit := g.exitUnder(m)
	switch {
	case exit == world.None:
		g.Inside = world.None
	case exit != g.Inside:
		g.Inside = exit
		g.leave(g.Stage.End(exit), g.Stage.Thing(exit).Name)
	}
}

// use works the switch that the hero stands on or looks at, within a cell.
func (g *Game) use(m *world.Ground) {
	dx, dy := g.Hero().Look().Step()
	box := g.extent(g.Hero())
	w, h := m.Cell()
	for _, reach := range []int64{0, 1} {
		x, y := reach*int64(dx)*w*3/4, reach*int64(dy)*h*3/4
		for _, r := range g.touched(m, world.Box{Left: box.Left + x, Top: box.Top + y, Right: box.Right + x, Bottom: box.Bottom + y}) {
			if t := g.Stage.Thing(r); t.Acts == kind.Switch {
				g.setThing(r, Switched, !g.Is(r, Switched))
				g.tell(rules.WordUse, t.Name)
				g.happen(happening{rules.WordUse, m.Ref, r})
				return
			}
		}
	}
}

// exitUnder is the exit, or the open door that leads somewhere, that holds the
// middle of the hero's box.
func (g *Game) exitUnder(m *world.Ground) world.Ref {
	box := g.extent(g.Hero())
	x, y := (box.Left+box.Right)/2, (box.Top+box.Bottom)/2
	out := world.None
	m.Near(world.Box{Left: x, Top: y, Right: x + 1, Bottom: y + 1}, func(r world.Ref, t *world.Thing) {
		// exits hold with all of their box, whatever of it can be touched
		in := x >= int64(t.X)*Sub && x < int64(t.X+t.W)*Sub && y >= int64(t.Y)*Sub && y < int64(t.Y+t.H)*Sub
		leads := t.Acts == kind.Exit || t.Acts == kind.Door && g.On(r) && g.Stage.WayFrom(g.Stage.End(r)) >= 0
		if in && leads && g.There(r) && (out == world.None || g.before(r, out)) {
			out = r
		}
	})
	return out
}

// before reports whether one of two that lead on is taken before the other: exits before doors.
func (g *Game) before(a, b world.Ref) bool {
	if x, y := g.Stage.Thing(a).Acts == kind.Exit, g.Stage.Thing(b).Acts == kind.Exit; x != y {
		return x
	}
	return a < b
}

// Event is something that happened in play, for people: what, whose, and where.
type Event struct {
	Tick int64       `json:"tick"`
	Is   string      `json:"is"`
	Name string      `json:"name"`
	Map  document.ID `json:"map"`
	// X and Y are the middle of the hero's box, in map pixels.
	X int `json:"x"`
	Y int `json:"y"`
}

// tell notes what happened.
func (g *Game) tell(is, name string) {
	m := g.Ground()
	if m == nil {
		return
	}
	box := g.extent(g.Hero())
	g.Told = append(g.Told, Event{g.Tick, is, name, m.ID, int((box.Left + box.Right) / 2 / Sub), int((box.Top + box.Bottom) / 2 / Sub)})
}
