package demo

import (
	"azzel/core/chart"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"fmt"
	"testing"
)

// The demo can be finished, and the walk that is found plays.
func TestTheDemoCanBeFinished(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	st := world.New(d, chart.New(d, nil), nil)
	s := proof.New(st)
	var a *proof.Answer
	tried := 0
	for ; a == nil; tried++ {
		a = s.Step(10_000)
	}
	// it looks first where a goal is near: the yard, where much can be done, is not gone through
	if tried > 20 {
		t.Errorf("%d0,000 ticks were tried", tried)
	}
	if a.Is != proof.Can || a.Steps < 50 || a.Steps > 600 {
		t.Fatalf("the demo: %s in %d steps, %s", a.Is, a.Steps, a.Why)
	}
	if again, ok := proof.Replay(st, a.Walk); !ok || again.Steps != a.Steps {
		t.Error("its walk does not play")
	}
}

// The yards that follow each other are finished in the fewest steps of each, one after the other, on one walk that plays.
func TestTheYardsAreACourse(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	st := world.New(d, chart.New(d, nil), nil)
	for _, g := range st.Grounds {
		if g.Name != "Two Crates" {
			continue
		}
		start := func() (*play.Game, error) { return play.Start(st, g.ID, proof.Seed) }
		s := proof.NewStudy(st, start)
		for !s.Step(10_000) {
		}
		if a := s.Answer; a.Is != proof.Can || !a.Fewest || a.Steps != 25 {
			t.Fatalf("it %s in %d steps (fewest: %t), %s", a.Is, a.Steps, a.Fewest, a.Why)
		}
		if _, ok := proof.ReplayFrom(st, start, s.Answer.Walk); !ok {
			t.Error("its walk does not play")
		}
	}
}
