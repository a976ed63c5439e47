package session_test

import (
	"azzel/core/author"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"strings"
	"testing"
)

// A kind is tried with its numbers as they are, as they would be while one is dragged, and as they are
// after an edit, without beginning anew; nothing of it is kept.
func TestAKindIsTried(t *testing.T) {
	d := sample.World()
	c, err := author.AddKind(d, kind.Walker, "Crab")
	if err != nil {
		t.Fatal(err)
	}
	d = sample.With(d, c.Do...)
	var s session.Session
	ask := func(method string, a any, into any) error {
		t.Helper()
		raw, err := s.Call(method, mustJSON(t, a))
		if err == nil && into != nil {
			err = json.Unmarshal(raw, into)
		}
		return err
	}
	if err := s.Open(d.Encode(), 0, "personperson", me); err != nil {
		t.Fatal(err)
	}
	hash := d.Hash()
	var trial session.Trial
	try := func(more args) {
		t.Helper()
		a := args{"kind": c.Made, "seen": "", "again": false, "key": "", "text": ""}
		for k, v := range more {
			a[k] = v
		}
		if err := ask("tryKind", a, &trial); err != nil {
			t.Fatal(err)
		}
	}
	far := func() int {
		t.Helper()
		var v session.View
		from, most := 0, 0
		for n := range 40 {
			if err := ask("tryStep", args{"input": 0, "ticks": 15}, &v); err != nil {
				t.Fatal(err)
			}
			if n == 0 {
				from = v.Moved[0].X
			}
			most = max(most, v.Moved[0].X-from, from-v.Moved[0].X)
		}
		return most
	}
	try(nil)
	if trial.Side || len(trial.Entities) == 0 || len(trial.Rows) == 0 || trial.View.Map == "" || !strings.Contains(trial.Says, "Crab") {
		t.Fatalf("the trial is %+v", trial)
	}
	plain := far()
	try(args{"key": "range", "text": "1"})
	if short := far(); short >= plain || trial.View.Tick == 0 {
		t.Errorf("with a range of 1 it goes %d, and %d before", short, plain)
	}
	if err := ask("tryKind", args{"kind": c.Made, "seen": "", "again": false, "key": "range", "text": "far"}, nil); err == nil {
		t.Error("a range that is a word is tried")
	}
	try(args{"seen": "side"})
	if !trial.Side || trial.View.Tick != 0 {
		t.Errorf("from the side: %v, at tick %d", trial.Side, trial.View.Tick)
	}
	if err := ask("stopTrying", nil, nil); err != nil {
		t.Fatal(err)
	}
	if err := ask("tryStep", args{"input": 0, "ticks": 1}, nil); err == nil {
		t.Error("a trial that was stopped goes on")
	}
	if err := ask("tryKind", args{"kind": "gonegonegone", "seen": "", "again": false, "key": "", "text": ""}, nil); err == nil {
		t.Error("a kind that is gone is tried")
	}
	if s.Hash() != hash {
		t.Error("trying changed the project")
	}
}
