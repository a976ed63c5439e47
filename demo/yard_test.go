package demo

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"fmt"
	"math/rand/v2"
	"reflect"
	"testing"
)

// yard is a game on one of the maps of the yard.
func yard(t *testing.T, name string, at grid.Point) *play.Game {
	t.Helper()
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	st := world.New(d, chart.New(d, nil), nil)
	for _, m := range d.Maps.All() {
		if m.Name != name {
			continue
		}
		g, err := play.StartAt(st, m.ID, at, play.Given{}, 1)
		if err != nil {
			t.Fatal(err)
		}
		return g
	}
	t.Fatalf("there is no map called %s", name)
	return nil
}

func named(t *testing.T, g *play.Game, name string) world.Ref {
	t.Helper()
	for r := range g.Stage.Things {
		if g.Stage.Things[r].Name == name {
			return world.Ref(r)
		}
	}
	t.Fatalf("there is no %s", name)
	return world.None
}

func hold(g *play.Game, in play.Input, ticks int) {
	for range ticks {
		g.Step(in)
	}
}

// What stands in the yard does what its board says.
func TestTheYardWorks(t *testing.T) {
	g := yard(t, "Tide Yard", grid.Point{X: 2, Y: 10})
	gate := named(t, g, "Weigh gate")
	for n := 0; n < 90 && !g.On(gate); n++ {
		g.Step(play.InputRight)
	}
	if !g.On(gate) {
		t.Error("the crate on the plate does not open the gate")
	}
	if hold(g, play.InputRight, 60); g.On(gate) {
		t.Error("pushed on, the crate still keeps the gate open")
	}
	g = yard(t, "Tide Yard", grid.Point{X: 11, Y: 9})
	hold(g, play.InputDown, 12)
	hold(g, play.InputRight, 60)
	if p := g.HeroCell(); p.X < 15 || g.Has("yard") || g.On(named(t, g, "Key gate")) {
		t.Errorf("with the key it came to %v; it has the key still: %v, the gate is open: %v", p, g.Has("yard"), g.On(named(t, g, "Key gate")))
	}
	g = yard(t, "Tide Yard", grid.Point{X: 17, Y: 9})
	hold(g, 0, 260)
	if p := g.HeroCell(); p.X < 26 || g.Count(play.Hearts) != 3 {
		t.Errorf("on the raft it came to %v with %d hearts", p, g.Count(play.Hearts))
	}
	g = yard(t, "Tide Yard", grid.Point{X: 29, Y: 16})
	hold(g, play.InputUp, 20)
	if p := g.HeroCell(); p.Y > 12 {
		t.Errorf("thrown it came to %v", p)
	}
	g = yard(t, "Yard Gallery", grid.Point{X: 11, Y: 10})
	hold(g, play.InputRight, 8)
	high := 99
	for range 60 {
		g.Step(0)
		high = min(high, g.HeroCell().Y)
	}
	if high > 5 {
		t.Errorf("the spring throws up to row %d", high)
	}
}

// The yard goes the same twice, and from any moment on that is kept, for 20,000 ticks.
func TestTheYardGoesTheSame(t *testing.T) {
	for _, c := range []struct {
		name string
		at   grid.Point
	}{{"Tide Yard", grid.Point{X: 15, Y: 13}}, {"Yard Gallery", grid.Point{X: 3, Y: 10}}} {
		a, b := yard(t, c.name, c.at), yard(t, c.name, c.at)
		r := rand.New(rand.NewPCG(3, 9))
		for n := range 10_000 / 20 {
			in := play.Input(r.IntN(64))
			hold(a, in, 20)
			hold(b, in, 20)
			if n%50 == 49 {
				again, err := play.Resume(b.Stage, b.Moment())
				if err != nil {
					t.Fatal(err)
				}
				b = again
			}
		}
		if am, bm := a.Moment(), b.Moment(); !reflect.DeepEqual(stable(am), stable(bm)) {
			t.Errorf("%s: one goes otherwise", c.name)
		}
	}
}

// stable leaves out ids, which are drawn anew for every project.
func stable(m document.Moment) any {
	var at [][4]int64
	for _, b := range append([]document.Figure{m.Hero}, m.Bodies...) {
		at = append(at, [4]int64{b.X, b.Y, int64(b.Facing.Index()), int64(b.Timer)})
	}
	return []any{m.Tick, m.Hearts, at, len(m.Flags), len(m.Things), len(m.Shots)}
}

// What makes, rings, blows and bursts in the east of the yard.
func TestTheEastOfTheYardWorks(t *testing.T) {
	g := yard(t, "Tide Yard", grid.Point{X: 39, Y: 10})
	bell, pot := named(t, g, "Bell gate"), named(t, g, "Crab pot")
	x := g.Hero().X
	hold(g, 0, 100)
	if g.Hero().X <= x {
		t.Error("the bellows do not blow")
	}
	flips, was := 0, g.On(bell)
	for range 600 {
		if g.Step(0); g.On(bell) != was {
			flips, was = flips+1, !was
		}
	}
	if flips != 5 {
		t.Errorf("in ten seconds the gate turned %d times", flips)
	}
	made := 0
	for r := range g.Stage.Things {
		if g.Stage.Things[r].Doing.By == pot && g.There(world.Ref(r)) {
			made++
		}
	}
	if made != 2 {
		t.Errorf("the pot let out %d crabs", made)
	}
	g = yard(t, "Tide Yard", grid.Point{X: 34, Y: 15})
	hold(g, play.InputRight, 2)
	hold(g, 0, 1)
	hold(g, play.InputUse, 1)
	hold(g, play.InputLeft, 20)
	hold(g, 0, 260)
	if g.There(named(t, g, "Brine keg")) || g.There(named(t, g, "Second keg")) {
		t.Error("the kegs are there still")
	}
	broken := 0
	for r := range g.Stage.Things {
		if at := &g.Stage.Things[r]; at.Acts == kind.Breakable && at.X/side >= 36 && !g.There(world.Ref(r)) {
			broken++
		}
	}
	if broken != 6 {
		t.Errorf("%d barrels are broken", broken)
	}
}
