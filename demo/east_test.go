package demo

import (
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"crypto/sha256"
	"encoding/hex"
	"fmt"
	"slices"
	"testing"
)

// Every kind that does something stands in the yard or its gallery, or somewhere else in the demo where it leads, counts or
// is begun at.
func TestTheYardShowsEveryKind(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	shown := map[string]bool{}
	for _, m := range d.Maps.All() {
		for _, e := range m.Entities.All() {
			acts := d.Acts(e)
			shown[acts] = shown[acts] || m.Name == "Tide Yard" || m.Name == "Yard Gallery" ||
				slices.Contains([]string{kind.Spawn, kind.Goal, kind.Collectible, kind.Path, kind.Ladder}, acts)
		}
	}
	for _, k := range kind.All {
		if !shown[string(k.ID)] && k.ID != kind.Decoration {
			t.Errorf("no %s stands there", k.Name)
		}
	}
}

// What stands in the far east does what its board says.
func TestTheFarEastWorks(t *testing.T) {
	read := func(g *play.Game) {
		for range 20 {
			if len(g.Lines) == 0 {
				return
			}
			hold(g, play.InputUse, 1)
			hold(g, 0, 1)
		}
	}
	press := func(g *play.Game, in play.Input) {
		hold(g, in, 1)
		hold(g, 0, 1)
		read(g)
	}
	g := yard(t, "Tide Yard", grid.Point{X: 45, Y: 9})
	hold(g, play.InputRight, 40)
	press(g, play.InputUse)
	if g.On(named(t, g, "Winch gate")) {
		t.Error("the winch turns without oil")
	}
	press(g, play.InputSlot1)
	press(g, play.InputUse)
	if !g.On(named(t, g, "Winch gate")) || g.Has("oil") {
		t.Errorf("with oil in hand the gate is open: %t, and there is oil left: %t", g.On(named(t, g, "Winch gate")), g.Has("oil"))
	}
	g = yard(t, "Tide Yard", grid.Point{X: 60, Y: 3})
	hold(g, play.InputUp, 4)
	full := ""
	for range 4 {
		hold(g, play.InputUse, 1)
		for _, l := range g.Lines {
			full += l.Text
		}
		hold(g, 0, 1)
		read(g)
	}
	if n, _ := g.Own(named(t, g, "Salt jar"), grainsKey); n != 3 || full != "The jar is full." {
		t.Errorf("after four scoops there are %d in it, and it was said: %q", n, full)
	}
	g = yard(t, "Tide Yard", grid.Point{X: 54, Y: 3})
	hold(g, play.InputUp, 4)
	press(g, play.InputUse)
	hold(g, play.InputDown, 60)
	if all := g.Companions(); len(all) != 1 || g.Stage.Thing(all[0].Of).Name != "Apprentice" || all[0].Place == (play.Place{}) {
		t.Errorf("along come %+v", g.Companions())
	}
	g = yard(t, "Tide Yard", grid.Point{X: 48, Y: 14})
	lamp := named(t, g, "Mat lamp")
	hold(g, play.InputDown, 12)
	on := g.On(lamp)
	hold(g, play.InputUp, 20)
	if !on || g.On(lamp) {
		t.Errorf("the lamp burned with somebody on the mat: %t, afterwards: %t", on, g.On(lamp))
	}
	// the lane's crabs come until somebody is done with them
	g = yard(t, "Tide Yard", grid.Point{X: 54, Y: 18})
	hold(g, play.InputUp, 4)
	press(g, play.InputUse)
	if !g.On(named(t, g, "Tide gate")) {
		t.Error("the tide gate does not go")
	}
	came := 0
	for range 60 * 30 {
		g.Step(0)
		for _, e := range g.Told {
			if e.Is == "made" {
				came++
			}
		}
	}
	if came != 5 || g.Ground().Name != "Tide Yard" {
		t.Errorf("%d crabs came, and the hero is on %s", came, g.Ground().Name)
	}
}

// The bell is rung wherever one stands, and not again before its time; the beacon's horn is the sound that is stored beside the demo.
func TestTheHandBellAndTheHorn(t *testing.T) {
	g := yard(t, "Tide Yard", grid.Point{X: 53, Y: 12})
	hold(g, play.InputRight, 40)
	hold(g, play.InputSlot1, 1)
	hold(g, 0, 1)
	for n, rings := range []int64{1, 1} {
		hold(g, play.InputUse, 1)
		hold(g, 0, 1)
		if g.Show.Sounds != rings {
			t.Errorf("pressed %d times it rang %d times, in hand %q", n+1, g.Show.Sounds, g.Hand)
		}
	}
	hold(g, 0, 180)
	if hold(g, play.InputUse, 1); g.Show.Sounds != 2 {
		t.Errorf("after three seconds it rang %d times", g.Show.Sounds)
	}
	sum := sha256.Sum256(Horn())
	for _, s := range g.Stage.Doc.Sounds.All() {
		if s.Name == hornName && s.File == hex.EncodeToString(sum[:]) {
			return
		}
	}
	t.Error("the demo has no horn")
}
