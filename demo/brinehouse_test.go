package demo

import (
	"azzel/core/grid"
	"azzel/core/play"
	"testing"
)

// The plates of the brine house want their order: stepped on otherwise they begin again.
func TestThePlatesOfTheBrineHouse(t *testing.T) {
	g := yard(t, "Brine House", grid.Point{X: 9, Y: 9})
	steps := func(names ...string) {
		for _, name := range names {
			at := g.Stage.Thing(named(t, g, name)).Body
			g.Hero().X, g.Hero().Y = at.Left, at.Top
			hold(g, 0, 3)
			g.Hero().X, g.Hero().Y = 9*side*play.Sub, 9*side*play.Sub
			hold(g, 0, 3)
			if len(g.Lines) > 0 {
				hold(g, play.InputUse, 1)
			}
		}
	}
	for _, wrong := range [][]string{{"Salt plate"}, {"Brine plate", "Salt plate"}, {"Fire plate", "Brine plate", "Salt plate"}, {"Brine plate", "Fire plate", "Fire plate", "Salt plate"}} {
		if steps(wrong...); g.Amount("oil") != 0 {
			t.Fatalf("stepped on as %v they give oil", wrong)
		}
	}
	if steps("Brine plate", "Fire plate", "Salt plate"); g.Amount("oil") != 1 {
		t.Errorf("in their order they give %d oil", g.Amount("oil"))
	}
	if steps("Brine plate", "Fire plate", "Salt plate"); g.Amount("oil") != 1 {
		t.Error("a second time there is oil again")
	}
}
