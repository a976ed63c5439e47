package demo

import (
	"azzel/core/chart"
	"azzel/core/edit"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
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
		if s.Answer.Is != c.is || !strings.Contains(why, c.why) {
			t.Errorf("%s: %s, %s; wanted %s, %s", c.takes, s.Answer.Is, why, c.is, c.why)
		}
	}
}
