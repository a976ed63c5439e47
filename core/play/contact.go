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
	g.near(m, box, func(r world.Ref, t *world.Thing, at world.Box) {
		if meets(at, box) && g.There(r) {
			out = append(out, r)
		}
	})
	slices.Sort(out)
	return slices.Compact(out)
}

// touch takes what can be taken, notes checkpoints and enters exits.
func (g *Game) touch(m *world.Ground) {
	for _, r := range g.touched(m, g.extent(g.Hero())) {
		if g.Disabled(r) {
			continue
		}
		switch t := g.Stage.Thing(r); t.Acts {
		case kind.Collectible, kind.Key, kind.Item:
			g.setThing(r, Taken, true)
			g.tellOf(rules.WordTake, t)
			g.happen(happening{on: rules.WordTake, m: m.Ref, thing: r})
			if t.Acts != kind.Collectible {
				g.gains(t.Doing.Word)
			} else {
				g.givenPoints(t)
			}
			g.gone(r)
		case kind.Goal:
			if !g.Is(r, Reached) {
				g.setThing(r, Reached, true)
				g.tellOf("goal", t)
				g.reachesGoal(m, r)
			}
		case kind.Checkpoint:
			if b := g.Hero(); !g.Is(r, Reached) {
				g.setThing(r, Reached, true)
				g.Back = Place{b.Map, b.X, b.Y}
				g.tellOf("checkpoint", t)
				g.happen(happening{on: rules.WordEnter, m: m.Ref, thing: r})
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

// exitUnder is the exit, or the open door that leads somewhere, that holds the
// middle of the hero's box.
func (g *Game) exitUnder(m *world.Ground) world.Ref {
	box := g.extent(g.Hero())
	x, y := (box.Left+box.Right)/2, (box.Top+box.Bottom)/2
	out := world.None
	g.near(m, world.Box{Left: x, Top: y, Right: x + 1, Bottom: y + 1}, func(r world.Ref, t *world.Thing, at world.Box) {
		// exits hold with all of their box, whatever of it can be touched
		in := x >= int64(t.X)*Sub && x < int64(t.X+t.W)*Sub && y >= int64(t.Y)*Sub && y < int64(t.Y+t.H)*Sub
		if t.Doing.Goes {
			in = x >= at.Left && x < at.Right && y >= at.Top && y < at.Bottom
		}
		leads := t.Acts == kind.Exit || t.Acts == kind.Door && g.On(r) && g.Stage.WayFrom(g.Stage.End(r)) >= 0
		if in && leads && g.acts(r) && (out == world.None || g.before(r, out)) {
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
	Tick int64  `json:"tick"`
	Is   string `json:"is"`
	Name string `json:"name"`
	// Kind is that of the thing that it happened to, empty where it happened to none.
	Kind document.ID `json:"kind,omitempty"`
	Map  document.ID `json:"map"`
	// X and Y are the middle of the hero's box, in map pixels.
	X int `json:"x"`
	Y int `json:"y"`
	// Rule is the rule that ran, or that was asked and did not; Part then is the first of its conditions that was not so, and
	// Counted what the counter was that it asks about.
	Rule    document.ID `json:"rule,omitempty"`
	Part    document.ID `json:"part,omitempty"`
	Counted int64       `json:"counted,omitempty"`
	// Why says that condition, where the event is told to people.
	Why string `json:"why,omitempty"`
}

// tell notes what happened.
func (g *Game) tell(is, name string) {
	m := g.Ground()
	if m == nil {
		return
	}
	box := g.extent(g.Hero())
	g.Told = append(g.Told, Event{Tick: g.Tick, Is: is, Name: name, Map: m.ID, X: int((box.Left + box.Right) / 2 / Sub), Y: int((box.Top + box.Bottom) / 2 / Sub)})
}

// tellOf notes what happened to a thing.
func (g *Game) tellOf(is string, t *world.Thing) {
	n := len(g.Told)
	if g.tell(is, t.Name); len(g.Told) > n {
		g.Told[n].Kind = document.ID(t.Kind)
	}
}

// tellRule notes that a rule ran, or why it did not.
func (g *Game) tellRule(r world.Ref, unmet *rules.Node) {
	rule := g.Stage.Rules[r]
	n := len(g.Told)
	g.tell(map[bool]string{true: "rule", false: "asked"}[unmet == nil], rule.Name)
	if len(g.Told) == n {
		return
	}
	e := &g.Told[n]
	if e.Rule = rule.ID; unmet != nil {
		e.Part = unmet.ID
		if unmet.At.Type == document.TypeCounter {
			e.Counted = g.Counter(unmet.At.ID)
		}
	}
}
