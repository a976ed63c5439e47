package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// The timers of a state are in the order of their things. Games share them: one that changes them in a tick
// has a list of its own from then on.

func timerAt(all []Timer, of world.Ref) (int, bool) {
	return slices.BinarySearchFunc(all, of, func(t Timer, of world.Ref) int { return int(t.Of - of) })
}

// ownTimers makes the list this game's own for the tick.
func (g *Game) ownTimers() {
	if g.timersAt != g.Tick {
		g.Timers, g.timersAt = slices.Clone(g.Timers), g.Tick
	}
}

// setTimer lets something come to a thing after so many ticks; 0 is not any more.
func (g *Game) setTimer(r world.Ref, left int32) {
	i, had := timerAt(g.Timers, r)
	if left <= 0 && !had {
		return
	}
	g.ownTimers()
	switch {
	case left <= 0:
		g.Timers = slices.Delete(g.Timers, i, i+1)
	case had:
		g.Timers[i].Left = left
	default:
		g.Timers = slices.Insert(g.Timers, i, Timer{r, left})
	}
}

// ticks lets time pass for what comes after a while: switches that go back, timers, sources, charges.
// But for switches that is only so on the hero's map: others stand.
func (g *Game) ticks(m *world.Ground) {
	var begun []Timer
	for _, r := range m.Timed() {
		_, has := timerAt(g.Timers, r)
		switch runs := g.There(r) && g.On(r); {
		case runs && !has:
			begun = append(begun, Timer{r, g.firstAfter(r)})
		case !runs && has:
			g.setTimer(r, 0)
		}
	}
	if len(begun) > 0 {
		g.ownTimers()
		g.Timers = append(g.Timers, begun...)
		slices.SortFunc(g.Timers, func(a, b Timer) int { return int(a.Of - b.Of) })
	}
	var due []world.Ref
	if len(g.Timers) == 0 {
		return
	}
	g.ownTimers()
	timers := g.Timers
	for i := range timers {
		t := g.Stage.Thing(timers[i].Of)
		if t.Doing.Timed && (t.Map != m.Ref || g.Disabled(timers[i].Of)) {
			continue
		}
		if timers[i].Left--; timers[i].Left <= 0 {
			due = append(due, timers[i].Of)
		}
	}
	g.Timers = slices.DeleteFunc(timers, func(t Timer) bool { return t.Left <= 0 })
	for _, r := range due {
		g.comes(m, r)
	}
}

// firstAfter is after how many ticks something comes to a thing that has begun to run.
func (g *Game) firstAfter(r world.Ref) int32 {
	switch t := g.Stage.Thing(r); t.Acts {
	case kind.Source, kind.LaneEntry:
		return 1
	default:
		return max(1, t.Doing.Every)
	}
}

// comes is what happens to a thing whose time has come.
func (g *Game) comes(m *world.Ground, r world.Ref) {
	switch t := g.Stage.Thing(r); t.Acts {
	case kind.Switch:
		g.switchTo(r, t.Entity.On)
	case kind.Timer:
		g.tellOf(rules.WordRings, t)
		g.happen(happening{on: rules.WordRings, m: t.Map, thing: r})
		if !t.Doing.Again {
			g.switchTo(r, false)
		}
	case kind.Source, kind.LaneEntry:
		g.makes(r, t)
	case kind.Charge:
		g.blast(m, r, t)
	}
}
