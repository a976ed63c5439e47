package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// The timers of a state are in the order of their things, and are never changed, but replaced.

func timerAt(all []Timer, of world.Ref) (int, bool) {
	return slices.BinarySearchFunc(all, of, func(t Timer, of world.Ref) int { return int(t.Of - of) })
}

// setTimer lets something come to a thing after so many ticks; 0 is not any more.
func (g *Game) setTimer(r world.Ref, left int32) {
	i, had := timerAt(g.Timers, r)
	if left <= 0 && !had {
		return
	}
	all := slices.Clone(g.Timers)
	switch {
	case left <= 0:
		all = slices.Delete(all, i, i+1)
	case had:
		all[i].Left = left
	default:
		all = slices.Insert(all, i, Timer{r, left})
	}
	g.Timers = all
}

// ticks lets time pass for what comes after a while: switches that go back, timers, sources, charges.
// But for switches that is only so on the hero's map: others stand.
func (g *Game) ticks(m *world.Ground) {
	for _, r := range m.Timed() {
		_, has := timerAt(g.Timers, r)
		switch runs := g.There(r) && g.On(r); {
		case runs && !has:
			g.setTimer(r, g.firstAfter(r))
		case !runs && has:
			g.setTimer(r, 0)
		}
	}
	var due []world.Ref
	if len(g.Timers) == 0 {
		return
	}
	timers := slices.Clone(g.Timers)
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
		g.tell(rules.WordRings, t.Name)
		g.happen(happening{rules.WordRings, t.Map, r})
		if !t.Doing.Again {
			g.switchTo(r, false)
		}
	case kind.Source, kind.LaneEntry:
		g.makes(r, t)
	case kind.Charge:
		g.blast(m, r, t)
	}
}
