package trial_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/trial"
	"azzel/core/world"
	"slices"
	"strings"
	"testing"
)

// game begins to try a kind.
func game(t *testing.T, k *kind.Kind, side bool) *play.Game {
	t.Helper()
	d := trial.Document(sample.World(), k, side)
	if raw := d.Encode(); len(raw) == 0 {
		t.Fatal("it cannot be stored")
	}
	st := world.New(d, chart.New(d, nil), nil)
	g, err := play.Start(st, trial.Map, 1)
	if err != nil {
		t.Fatalf("%s, from the side %v: %v", k.Name, side, err)
	}
	return g
}

// Every kind can be tried, from above and from the side: it stands there, the hero is free, nothing is
// the matter with the map, and all its ids are ids.
func TestEveryKindCanBeTried(t *testing.T) {
	for i := range kind.All {
		k := &kind.All[i]
		for _, side := range []bool{false, true} {
			g := game(t, k, side)
			d := g.Stage.Doc
			for range 120 {
				g.Step(0)
			}
			if g.Ground() == nil || g.Notice != "" && k.ID != kind.Exit {
				t.Errorf("%s, from the side %v: %q", k.Name, side, g.Notice)
			}
			m := d.Maps.Get(trial.Map)
			if e := m.Entities.Get(trial.Subject); (e == nil) != (k.Heroic || k.ID == kind.Arrival) || e != nil && d.Acts(e) != string(k.ID) {
				t.Errorf("%s, from the side %v: what stands there is %+v", k.Name, side, e)
			}
			for _, e := range m.Entities.All() {
				if !e.ID.Valid() || e.X < 0 || e.Y < 0 || e.X+e.W > m.Bounds.W*m.CellWidth || e.Y+e.H > m.Bounds.H*m.CellHeight {
					t.Errorf("%s, from the side %v: %s lies outside: %+v", k.Name, side, e.Name, e)
				}
			}
			if rows := trial.Rows(k, side); slices.ContainsFunc(rows, func(r string) bool { return len(r) != len(rows[0]) }) || !strings.Contains(strings.Join(rows, ""), "@") {
				t.Errorf("%s, from the side %v: the ground is %q", k.Name, side, rows)
			}
			for _, r := range d.Rules.All() {
				if err := r.Check(); err != nil || !r.ID.Valid() {
					t.Errorf("%s: %v", k.Name, err)
				}
				for _, p := range r.Parts.All() {
					if err := p.Check(); err != nil {
						t.Errorf("%s: %v", k.Name, err)
					}
				}
			}
		}
	}
}

// What is tried acts: what moves moves, what is wired works.
func TestWhatIsTriedActs(t *testing.T) {
	for _, c := range []struct {
		of   string
		side bool
	}{{kind.Walker, false}, {kind.Walker, true}, {kind.Flyer, false}, {kind.Platform, false}, {kind.Platform, true}, {kind.Path, false}, {kind.LaneEntry, false}, {kind.LaneEntry, true}} {
		g := game(t, kind.Find(document.ID(c.of)), c.side)
		place := func() (out []int64) {
			for _, b := range g.Bodies[1:] {
				out = append(out, b.X, b.Y)
			}
			return out
		}
		before := place()
		for range 90 {
			g.Step(0)
		}
		if slices.Equal(before, place()) {
			t.Errorf("a %s, from the side %v, stands still", c.of, c.side)
		}
	}
	g := game(t, kind.Find(kind.Beam), false)
	beam := g.Stage.ThingOf(trial.Map, trial.Subject)
	for n := 0; n < 200 && g.On(beam); n++ {
		in := play.InputRight
		if n%2 == 1 {
			in |= play.InputUse
		}
		g.Step(in)
	}
	if g.On(beam) {
		t.Error("the lever does not turn off the beam")
	}
}

// Where it is tried from where nobody says otherwise, in a project whose maps are seen so.
func TestFromSide(t *testing.T) {
	side := edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}})
	both := edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}})
	for word, want := range map[string][4]bool{ // without maps, from above, from both, from the side
		kind.Spring: {true, true, true, true}, kind.Ladder: {true, true, true, true}, kind.Hero: {true, false, true, true},
		kind.Walker: {false, false, false, true}, kind.Door: {false, false, false, true}, kind.Core: {false, false, false, true},
	} {
		for i, d := range []*document.Document{document.New("Empty"), sample.World(), sample.With(sample.World(), side), sample.With(sample.World(), side, both)} {
			if got := trial.FromSide(d, kind.Find(document.ID(word))); got != want[i] {
				t.Errorf("a %s is tried from the side: %v, in project %d", word, got, i)
			}
		}
	}
}
