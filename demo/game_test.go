package demo

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/texts"
	"azzel/core/world"
	"fmt"
	"slices"
	"testing"
)

// itself is how many texts the game itself says that are said in German besides.
func itself(l texts.List) (n int) {
	for _, o := range l.Texts {
		if slices.Contains(o.Where, "the game itself") && o.In[0].Says != "" {
			n++
		}
	}
	return n
}

// walks has the hero go cell by cell: u, r, d and l are steps.
func walks(g *play.Game, way string) {
	for _, step := range way {
		in := map[rune]play.Input{'u': play.InputUp, 'r': play.InputRight, 'd': play.InputDown, 'l': play.InputLeft}[step]
		from := g.HeroCell()
		for n := 0; n < 120 && g.Over == play.NotOver && g.HeroCell() == from; n++ {
			g.Step(in)
		}
		for n := 0; n < 60 && g.Over == play.NotOver && (n < 2 || g.Hero().Flags&play.Stepping != 0); n++ {
			g.Step(0)
		}
	}
}

// The trial yards can be finished for three stars, one after the other, the last of them winning the game.
func TestTrialsAreFinished(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	st := world.New(d, chart.New(d, nil), nil)
	var first document.ID
	for _, m := range d.MapsInOrder() {
		if m.Name == trialYards[0].name {
			first = m.ID
		}
	}
	g, err := play.Start(st, first, 1)
	if err != nil {
		t.Fatal(err)
	}
	for i, way := range []string{"rrddrrrrrrr", "rddurrdrrrrrrrr", "drrurddrrrrrrr"} {
		if g.Ground().Name != trialYards[i].name {
			t.Fatalf("yard %d is %s", i, g.Ground().Name)
		}
		walks(g, way)
		if r := g.Reached(1); g.Over == play.NotOver || g.Over == play.OverLost || r.Stars != 3 {
			t.Fatalf("%s after %d moves: over as %d, %d stars, the hero at %v", g.Ground().Name, r.Moves, g.Over, r.Stars, g.HeroCell())
		}
		g.Step(0)
		g.Step(play.InputUse)
	}
}
