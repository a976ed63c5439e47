package demo

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
	"fmt"
	"testing"
)

// tries are what a hero could do next, seen from the side: an input, and for how many ticks
// it jumps with it.
var tries = []struct {
	in         play.Input
	jump, hold int
}{
	{play.InputLeft, 0, 6}, {play.InputRight, 0, 6}, {play.InputUp, 0, 8}, {play.InputDown, 0, 8},
	{play.InputRight, 30, 60}, {play.InputLeft, 30, 60}, {play.InputRight, 5, 60}, {play.InputLeft, 5, 60},
	{0, 30, 60}, {play.InputDown, 2, 40}, {play.InputUp, 30, 60},
}

// The Pump Shaft is walked, climbed and jumped through by the engine that plays: from the house to
// the lamp, and to everything that does not wait for the lift.
func TestTheShaftCanBeWalked(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	st := world.New(d, chart.New(d, nil), nil)
	var shaft *document.Map
	for _, m := range d.Maps.All() {
		if m.Name == "Pump Shaft" {
			shaft = m
		}
	}
	g, err := play.StartAt(st, shaft.ID, grid.Point{X: 4, Y: 5}, play.Given{}, 1)
	if err != nil {
		t.Fatal(err)
	}
	for len(g.Lines) > 0 {
		g.Step(play.InputUse)
		g.Step(0)
	}
	reached := map[grid.Point]bool{}
	type place struct {
		x, y int64
		mode play.Mode
	}
	seen := map[place]bool{}
	for todo := []*play.Game{g}; len(todo) > 0; todo = todo[1:] {
		for _, try := range tries {
			n := todo[0].Clone()
			for tick := range try.hold {
				in := try.in
				if tick < try.jump {
					in |= play.InputJump
				}
				n.Step(in)
				reached[n.HeroCell()] = true
				if n.Ground() == nil || n.Ground().ID != shaft.ID || n.Leaving >= 0 || n.Lost != play.NotLost {
					break
				}
				if mode := n.Hero().Mode; tick > 4 && try.jump > 0 && mode != play.Airborne {
					break
				}
			}
			h := n.Hero()
			at := place{h.X >> 11, h.Y >> 11, h.Mode}
			if n.Ground().ID == shaft.ID && n.Leaving < 0 && n.Lost == play.NotLost && !seen[at] && n.Count(play.Hearts) == 3 {
				seen[at] = true
				todo = append(todo, n)
			}
		}
	}
	for _, e := range shaft.Entities.All() {
		switch e.Name {
		case "Up to the lamp", "Out by the hatch", "Salt crystal", "Landing":
			if !reached[grid.Point{X: e.X / side, Y: e.Y / side}] {
				t.Errorf("%s cannot be reached", e.Name)
			}
		}
	}
	if t.Failed() {
		for y := range shaft.Bounds.H {
			line := ""
			for x := range shaft.Bounds.W {
				switch p := (grid.Point{X: x, Y: y}); {
				case reached[p]:
					line += "o"
				case st.Grounds[st.MapOf(shaft.ID)].At(p)&world.Whole != 0:
					line += "#"
				default:
					line += "."
				}
			}
			t.Log(line)
		}
	}
}
