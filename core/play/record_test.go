package play_test

import (
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"encoding/json"
	"math/rand/v2"
	"reflect"
	"strings"
	"testing"
)

// keys are random inputs, each held for a while.
func keys(seed uint64, n int) []play.Input {
	r := rand.New(rand.NewPCG(seed, 3))
	var out []play.Input
	for len(out) < n {
		in := play.Input(r.IntN(128))
		for range 1 + r.IntN(30) {
			out = append(out, in)
		}
	}
	return out[:n]
}

// Going back to any tick gives what was then, and going on from there with the same keys
// what came, on any map.
func TestGoingBackIsAFreshRun(t *testing.T) {
	for seed := range uint64(4) {
		r := begin(t, join(t, sample.World(), true))
		if seed%2 == 1 {
			r = drawn(t, hall, fromSide)
		}
		if seed > 1 {
			r = crowded(r, rand.New(rand.NewPCG(seed, 4)), 18, 7)
		}
		rec, first := play.NewRecord(r.g), r.g.Tick
		var states []*play.State
		for _, in := range keys(seed, 600) {
			states = append(states, r.g.Clone().State)
			rec.Step(r.g, in)
		}
		if rec.From() != first || rec.To() != first+600 {
			t.Fatalf("ticks %d to %d are kept", rec.From(), rec.To())
		}
		for tick, want := range states {
			if got := rec.At(first + int64(tick)); !reflect.DeepEqual(got.State, want) {
				t.Fatalf("seed %d: tick %d was\n%+v\nit is\n%+v", seed, tick, want, got.State)
			}
		}
		end := r.g.Clone()
		g := rec.At(first + 250)
		for _, in := range rec.Cut(g) {
			rec.Step(g, in)
		}
		if !reflect.DeepEqual(g.State, end.State) {
			t.Errorf("seed %d: gone on from the middle with the same keys it ends differently", seed)
		}
	}
}

// A record of a long game keeps its last two minutes.
func TestARecordForgetsItsBeginning(t *testing.T) {
	r := begin(t, sample.World())
	rec := play.NewRecord(r.g)
	for range play.Longest + 500 {
		rec.Step(r.g, play.InputRight)
	}
	if kept := rec.To() - rec.From(); kept < play.Longest || kept > play.Longest+2*play.Every || rec.At(0).Tick != rec.From() {
		t.Errorf("%d ticks are kept, from %d", kept, rec.From())
	}
}

// What is edited while it plays is there in the next tick; going back shows the map of then.
func TestEditsWhileItIsKept(t *testing.T) {
	r := begin(t, sample.World())
	rec := play.NewRecord(r.g)
	step := func(in play.Input, n int) {
		for range n {
			rec.Step(r.g, in)
		}
	}
	step(play.InputRight, 20)
	wall := &grid.Region{}
	wall.Add(grid.Point{X: 6, Y: 2})
	r.d = apply(t, r.d, sample.Paint(sample.Quay, sample.Things, wall, sample.Wall))
	r.hold(0, 0)
	step(play.InputRight, 100)
	r.at("before the new wall", 5, 2)
	before := rec.Walk(20)
	g := rec.At(10)
	if g.Stage.Doc == r.d {
		t.Error("going back before the edit shows the map of after it")
	}
	r.g = g
	after := rec.Cut(g)
	if len(after) != 110 || rec.To() != 10 {
		t.Fatalf("%d keys came after, kept up to %d", len(after), rec.To())
	}
	if last := before[len(before)-1]; last.Map != sample.Quay || last.X/16 != 5 {
		t.Errorf("the walk of before ended at %+v", last)
	}
}

// Something that is removed and put back is as it was; who stands in a new wall moves out of
// it, or waits and says so; a map that is gone ends it with a sentence.
func TestAGameEntersTheNextDocument(t *testing.T) {
	r := begin(t, withRule(t, sample.World(), rules.Of(rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door))))
	r.hold(play.InputRight, 60)
	if !r.is(sample.Pearl, play.Taken) {
		t.Fatal("the pearl was not taken")
	}
	with := r.d
	hash := r.g.Hash
	r.d = apply(t, with, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}))
	r.hold(0, 1)
	if r.g.Hash == hash {
		t.Error("what is gone is hashed")
	}
	r.d = apply(t, with, edit.Set(quayRef, "name", "Kai"))
	r.hold(0, 1)
	if !r.is(sample.Pearl, play.Taken) || r.g.Hash != hash {
		t.Error("the pearl came back as if it had not been taken")
	}
	in := &grid.Region{}
	in.Add(r.cell())
	r.d = apply(t, with, sample.Paint(sample.Quay, sample.Things, in, sample.Wall))
	r.hold(0, 1)
	if in.Has(r.cell()) || r.g.Notice != "" {
		t.Errorf("from a new wall it did not come: at %v, %q", r.cell(), r.g.Notice)
	}
	in.AddRect(grid.Rect{W: 30, H: 30})
	r.d = apply(t, with, sample.Paint(sample.Quay, sample.Things, in, sample.Wall))
	r.g.Enter(stage(r.d))
	if !strings.Contains(r.g.Notice, "waits until there is room") {
		t.Errorf("walled in it says %q", r.g.Notice)
	}
	r.d = apply(t, with, edit.Remove(quayRef))
	r.hold(play.InputRight, 5)
	if !strings.Contains(r.g.Notice, "was removed") {
		t.Errorf("without its map it says %q", r.g.Notice)
	}
	r.d = with
	r.hold(0, 1)
}

// A state that was written and read goes on in the same way.
func TestStatesAreWrittenAndRead(t *testing.T) {
	r := drawn(t, hall, fromSide)
	for _, in := range keys(9, 200) {
		r.hold(in, 1)
	}
	raw, err := json.Marshal(r.g.State)
	if err != nil {
		t.Fatal(err)
	}
	other := &play.Game{Stage: r.g.Stage, State: &play.State{}}
	if err := json.Unmarshal(raw, other.State); err != nil {
		t.Fatal(err)
	}
	for _, in := range keys(10, 200) {
		r.hold(in, 1)
		other.Step(in)
	}
	if !reflect.DeepEqual(r.g.State, other.State) {
		t.Errorf("they differ:\n%+v\n%+v", r.g.State, other.State)
	}
}
