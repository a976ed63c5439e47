package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"slices"
	"testing"
)

// A game begins at the spawn whose turn comes first; every other team has a hero of its own, who waits at the first of its
// spawns and is led in turn.
func TestSpawnsOfTeams(t *testing.T) {
	at := func(r *run, x, y int, team, turn string) *run {
		return r.with(kind.Spawn, x, y, 1, 1, false, document.Left, value("team", team), value("turn", turn))
	}
	for _, c := range []struct {
		name  string
		spawn func(r *run) *run
		first grid.Point
		sides []string // of those who wait, in turn
	}{
		{"alone", func(r *run) *run { return r }, grid.Point{X: 1}, nil},
		{"of no team, all at once", func(r *run) *run { return at(r, 5, 1, `""`, "1") }, grid.Point{X: 1}, nil},
		{"later in turn", func(r *run) *run { return at(r, 5, 1, `""`, "2") }, grid.Point{X: 1}, nil},
		{"two teams", func(r *run) *run { return at(at(r, 5, 1, `"red"`, "1"), 6, 1, `"blue"`, "1") }, grid.Point{X: 1}, []string{"red", "blue"}},
		{"by turn", func(r *run) *run { return at(at(r, 5, 1, `"red"`, "3"), 6, 1, `"blue"`, "2") }, grid.Point{X: 1}, []string{"blue", "red"}},
		{"a team has one", func(r *run) *run { return at(at(r, 5, 1, `"red"`, "2"), 6, 1, `"red"`, "1") }, grid.Point{X: 1}, []string{"red"}},
	} {
		r := c.spawn(drawn(t, "\n.@......\n........"))
		g, err := play.Start(stage(r.d), r.mapID(), 1)
		if err != nil || g.HeroCell() != c.first {
			t.Errorf("%s: begins at %v: %v", c.name, g.HeroCell(), err)
			continue
		}
		var sides []string
		for _, m := range g.Party {
			sides = append(sides, m.Side)
		}
		if !slices.Equal(sides, c.sides) {
			t.Errorf("%s: %v wait", c.name, sides)
		}
		for _, side := range c.sides {
			again, err := play.Resume(g.Stage, g.Moment())
			if err != nil || again.Side != g.Side || !slices.Equal(again.Party, g.Party) {
				t.Errorf("%s: resumed %q is led, and %+v wait: %v", c.name, again.Side, again.Party, err)
			}
			if g.Step(play.InputSwap); g.Side != side || g.HeroCell().Y != 1 {
				t.Errorf("%s: %q is led at %v, not %q", c.name, g.Side, g.HeroCell(), side)
			}
			g.Step(0)
		}
		if g.Step(play.InputSwap); g.Side != "" {
			t.Errorf("%s: afterwards %q is led", c.name, g.Side)
		}
		// wherever one may be led from, the proof knows that one could be there
		may := proof.Could(g.Stage, g.Hero().Map, c.first)
		for _, s := range play.Others(g.Stage, g.Ground()) {
			if !may.Reaches(s) {
				t.Errorf("%s: it does not know of %s", c.name, g.Stage.Thing(s).Name)
			}
		}
	}
}

// Who is lost comes back at the spawn of the next turn, after the last at the first again; a checkpoint ends that.
func TestSpawnsTakeTurns(t *testing.T) {
	r := drawn(t, "\n@.^.......\n..........", "view=\"above\"")
	for i, turn := range []string{"2", "2", "4"} {
		r.with(kind.Spawn, 5+i, 1, 1, 1, false, document.Down, value("turn", turn))
	}
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: r.mapID()}, "values", []kind.Value{}))
	r.g.Enter(stage(r.d))
	r.g.Hero().Blink = 0
	for _, want := range []grid.Point{{X: 5, Y: 1}, {X: 7, Y: 1}, {X: 0, Y: 0}, {X: 5, Y: 1}} {
		for range 3 {
			r.g.Hero().Blink, r.g.Hero().Push = 0, 0
			r.g.Strike()
		}
		r.hold(0, 2*play.FadeTicks+4)
		if r.cell() != want {
			t.Errorf("it comes back at %v, not %v", r.cell(), want)
		}
	}
	r.hold(play.InputLeft, 1)
	r.with(kind.Checkpoint, 5, 1, 1, 1, false, document.Down)
	for range 2 {
		for range 3 {
			r.g.Hero().Blink, r.g.Hero().Push = 0, 0
			r.g.Strike()
		}
		r.hold(0, 2*play.FadeTicks+4)
		if r.cell() != (grid.Point{X: 5, Y: 1}) {
			t.Errorf("with a checkpoint it comes back at %v", r.cell())
		}
	}
}
