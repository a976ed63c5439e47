package demo

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"slices"
	"strings"
	"testing"
)

// Whatever one takes out of the demo that cannot be done without is told, with what is missing then; where another way is left, that is found.
func TestTheDemoBroken(t *testing.T) {
	whole := Project(Coast(), fmt.Sprintf("%064x", 1))
	for _, c := range []struct {
		takes string // of a map, or a rule
		is    proof.Is
		why   string
	}{
		{"Quay/Sluice wheel", proof.Cannot, "Beacons comes to 1 at the most, and “Two beacons” asks for 2"},
		{"Quay/Quay beacon", proof.Cannot, "Beacons comes to 1 at the most"},
		{"Pans/Pan beacon", proof.Cannot, "Beacons comes to 1 at the most"},
		{"Pans/Yard wheel", proof.Cannot, "Beacon gate stays shut"},
		{"Quay/To the brine house", proof.Cannot, "nothing that one can come to leads to Brine House"},
		{"Brine House/Hatch", proof.Cannot, "leads to Pump Shaft"},
		{"Pump Shaft/Up to the lamp", proof.Cannot, "leads to Lamp Room"},
		{"Lamp Room/The lamp is lit", proof.Cannot, "“The end” wins the game, and waits for something that was removed"},
		{"rule/Two beacons", proof.Cannot, "The lamp is lit is disabled, and nothing enables it"},
		{"rule/A beacon is lit", proof.Cannot, "Beacons comes to 0 at the most"},
		{"rule/The tide", proof.Cannot, "Beacons comes to 1 at the most"},
		{"rule/The lamp waits", proof.Can, ""},
		{"Quay/Pan gate", proof.Can, ""},
		{"Pump Shaft/Landing", proof.Can, ""},
		// everything else has to be done before one goes in: found by looking at maps in turn
		{"Brine House/Exit", proof.Can, ""},
		{"Quay/Arrival", proof.Can, ""},
		// the lamp keeper sells another
		{"Quay/Pot of oil", proof.Can, ""},
	} {
		d := whole
		on, name, _ := strings.Cut(c.takes, "/")
		for _, m := range whole.MapsInOrder() {
			for _, e := range m.Entities.All() {
				if m.Name == on && e.Name == name {
					d = sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
				}
			}
		}
		for _, r := range whole.RulesInOrder() {
			if on == "rule" && r.Name == name {
				d = sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: r.ID}))
			}
		}
		if d == whole {
			t.Errorf("there is no %s", c.takes)
			continue
		}
		st := world.New(d, chart.New(d, nil), nil)
		s := proof.NewStudy(st, func() (*play.Game, error) { return play.Start(st, "", proof.Seed) })
		for n := 0; n < 200 && !s.Done && (s.Answer == nil || s.Answer.Is == proof.Cannot); n++ {
			s.Step(10_000)
		}
		if s.Answer == nil {
			t.Errorf("%s: not decided", c.takes)
			continue
		}
		why := s.Answer.Why
		for _, m := range s.Missing {
			why += "; " + m.Text
		}
		if asks := strings.Contains(c.why, "Two beacons"); asks && (s.Missing[0].Rule == nil || s.Missing[0].Rule.Name != "Two beacons") {
			t.Errorf("%s: the rule that asks is %+v", c.takes, s.Missing[0].Rule)
		}
		if s.Answer.Is != c.is || !strings.Contains(why, c.why) {
			t.Errorf("%s: %s, %s; wanted %s, %s", c.takes, s.Answer.Is, why, c.is, c.why)
		}
	}
}

// A wall over the walk is gone around where that can be done, or it is told that it cannot; before the brine house's door it cannot.
func TestAWallOverTheWalk(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	st := world.New(d, chart.New(d, nil), nil)
	answer := func(st *world.Stage) (a *proof.Answer) {
		s := proof.New(st)
		for n := 0; n < 100 && a == nil; n++ {
			a = s.Step(10_000)
		}
		return a
	}
	g, err := play.Start(st, "", proof.Seed)
	if err != nil {
		t.Fatal(err)
	}
	type place struct {
		m document.ID
		p grid.Point
	}
	var walk []place
	for _, in := range answer(st).Walk {
		g.Step(in)
		if m := g.Ground(); m != nil && !slices.Contains(walk, place{m.ID, g.HeroCell()}) {
			walk = append(walk, place{m.ID, g.HeroCell()})
		}
	}
	around := 0
	for i, at := range walk {
		m := d.Maps.Get(at.m)
		door := m.Name == "Quay" && at.p == grid.Point{X: 22, Y: 10}
		if i%14 != 2 && !door {
			continue
		}
		walled := walledUp(d, m, at.p)
		st := world.New(walled, chart.New(walled, nil), nil)
		a := answer(st)
		switch {
		case a == nil && m.Name == "Pump Shaft": // from the side not all is decided
		case a == nil:
			t.Errorf("a wall at %v on %s: not decided", at.p, m.Name)
		case door && (a.Is != proof.Cannot || !strings.Contains(a.Why, "leads to Brine House")):
			t.Errorf("a wall at the door: %s, %s", a.Is, a.Why)
		case a.Is == proof.Can:
			around++
			if _, ok := proof.Replay(st, a.Walk); !ok {
				t.Errorf("a wall at %v on %s: the walk around it does not play", at.p, m.Name)
			}
		}
	}
	if around < 12 {
		t.Errorf("%d walls of those over %d cells are gone around", around, len(walk))
	}
}

// walledUp paints a solid tile of a map over one of its cells.
func walledUp(d *document.Document, m *document.Map, at grid.Point) *document.Document {
	r := &grid.Region{}
	r.Add(at)
	for _, l := range m.LayersInOrder() {
		for y := m.Bounds.Y; l.Kind == document.LayerTiles && y < m.Bounds.Y+m.Bounds.H; y++ {
			for x := m.Bounds.X; x < m.Bounds.X+m.Bounds.W; x++ {
				c := l.Cells.At(x, y)
				if c == 0 || c.IsMaterial() || !d.Solids().At(m, grid.Point{X: x, Y: y}) {
					continue
				}
				if walled := sample.With(d, sample.Paint(m.ID, l.ID, r, c)); walled.Solids().At(walled.Maps.Get(m.ID), at) {
					return walled
				}
			}
		}
	}
	return d
}
