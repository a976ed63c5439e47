package play_test

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/rules"
	"math/rand/v2"
	"testing"
)

// Ground that is drawn freely is in the proof's way as it is in the hero's: what it closes off cannot be reached, unless it
// can be taken away, has a gap, or lets one through from below.
func TestGroundLinesDivideWhatCouldBe(t *testing.T) {
	rows := "\n....................\n....................\n....................\n....................\n....................\n@...................\n####################"
	room := []grid.Point{{Y: 56}, {X: 64, Y: 56}, {X: 64}, {}}
	for _, c := range []struct {
		name     string
		settings string
		points   []grid.Point
		values   []kind.Value
		taken    bool // a rule takes it away
		want     bool // is the inside reached
	}{
		{"a room", fromSide, room, nil, false, false},
		{"a room that a rule takes away", fromSide, room, nil, true, true},
		{"a room with a gap", fromSide, []grid.Point{{Y: 20}, {X: 0, Y: 20}}, nil, false, true},
		{"a gap that is too narrow", fromSide, []grid.Point{{Y: 56}, {X: 64, Y: 56}, {X: 64}, {X: 6}}, nil, false, false},
		{"a room that stops from above only", fromSide, room, []kind.Value{value("stops", `"above"`)}, false, true},
		{"a shape", fromSide, []grid.Point{{Y: 56}, {X: 64, Y: 56}, {X: 64}}, []kind.Value{value("closed", "true")}, false, false},
		{"from above nothing is said", `view="above"`, room, nil, false, true},
	} {
		r := drawn(t, rows, c.settings).line(10*16, 38, c.points, c.values...)
		if c.taken {
			r.with(kind.Switch, 19, 5, 1, 1, false, document.Down)
			r.does(rules.WordUse, r.end(kind.Switch), rules.WordRemove, r.end(kind.GroundLine))
		}
		could := proof.Could(r.g.Stage, r.g.Hero().Map, r.g.HeroCell())
		if got := could.Reached(r.g.Hero().Map, grid.Point{X: 12, Y: 4}); got != c.want {
			t.Errorf("%s: it is said that the inside could be reached: %t", c.name, got)
		}
		for _, p := range []grid.Point{{X: 5, Y: 2}, {X: 18, Y: 5}, {X: 12, Y: 0}} {
			if !could.Reached(r.g.Hero().Map, p) {
				t.Errorf("%s: it is said that %v could not be reached", c.name, p)
			}
		}
	}
}

// Wherever lines are drawn by chance, no hero ever comes where it is said that it could not.
func TestWhatHappensBetweenLinesCouldBe(t *testing.T) {
	divided := 0
	for seed := range uint64(80) {
		r := rand.New(rand.NewPCG(seed, 77))
		run := drawn(t, "\n..............\n..............\n..............\n.@............\n####..........\n..............\n..............\n......####....\n..............\n##############", fromSide)
		for range 2 + r.IntN(4) {
			points := []grid.Point{}
			for range 1 + r.IntN(4) {
				points = append(points, grid.Point{X: r.IntN(160) - 80, Y: r.IntN(120) - 60})
			}
			run.line(60+r.IntN(150), 20+r.IntN(120), points, value("closed", []string{"true", "false"}[r.IntN(2)]), value("stops", []string{`"all"`, `"all"`, `"above"`}[r.IntN(3)]))
		}
		if r.IntN(2) == 0 {
			run.with(kind.Platform, 4+r.IntN(6), 2+r.IntN(6), 2, 1, true, document.Facings[r.IntN(4)], value("range", "4"), value("speed", "4"))
			run.with(kind.Spring, 1+r.IntN(12), 8, 1, 1, false, document.Up, value("height", "6"))
		}
		// every run begins anew where the hero stands: a line may have come to lie on it
		g, err := play.StartAt(run.g.Stage, run.mapID(), grid.Point{X: 1, Y: 3}, play.Given{}, int64(seed))
		if err != nil {
			t.Fatal(err)
		}
		could := proof.Could(g.Stage, g.Hero().Map, g.HeroCell())
		all := 0
		for y := range 9 {
			for x := range 14 {
				if could.Reached(g.Hero().Map, grid.Point{X: x, Y: y}) {
					all++
				}
			}
		}
		if all < 14*9-8-4 {
			divided++
		}
		for range 150 {
			in := play.Input(r.IntN(64)) &^ play.InputUse
			for range 2 + r.IntN(40) {
				g.Step(in)
				if m := g.Ground(); m.Bounds.Contains(g.HeroCell()) && !could.Reached(m.Ref, g.HeroCell()) {
					t.Fatalf("seed %d: at tick %d the hero is at %v, and it is said that it could not be", seed, g.Tick, g.HeroCell())
				}
			}
		}
	}
	if divided < 5 {
		t.Errorf("only %d of the maps are divided", divided)
	}
}
