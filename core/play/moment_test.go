package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/sample"
	"encoding/json"
	"errors"
	"math/rand/v2"
	"reflect"
	"strings"
	"testing"
)

// kept is a moment as a project keeps it: written, read, and found to be in order.
func kept(t *testing.T, m document.Moment) document.Moment {
	t.Helper()
	data, err := json.Marshal(m)
	if err != nil {
		t.Fatal(err)
	}
	var out document.Moment
	if err := document.Strict(data, &out); err != nil {
		t.Fatal(err)
	}
	pin := document.Pin{ID: document.NewID(), Name: "Here", At: document.PinPlace{Map: m.Hero.Map}, Moment: out}
	if err := pin.Check(); err != nil {
		t.Fatal(err)
	}
	return out
}

// A game that is gone on with from what a pin keeps goes on as it would have, at any tick
// and on any map.
func TestResumingIsGoingOn(t *testing.T) {
	for seed := range uint64(6) {
		r := begin(t, join(t, sample.World(), true))
		switch seed % 3 {
		case 1:
			r = drawn(t, hall, fromSide)
		case 2:
			r = drawn(t, hall, "walking=\"cells\"", "sight=4", "sightRemembers=true")
		}
		if seed > 2 {
			r = crowded(r, rand.New(rand.NewPCG(seed, 4)), 18, 7)
		}
		pressed := keys(seed+40, 500)
		for tick, in := range pressed {
			if tick%37 == 0 {
				at := kept(t, r.g.Moment())
				again, err := play.Resume(r.g.Stage, at)
				if err != nil {
					t.Fatal(err)
				}
				if again.Hash != r.g.Hash {
					t.Fatalf("seed %d: at tick %d the situation is another one", seed, tick)
				}
				on := r.g.Clone()
				for _, in := range pressed[tick:min(tick+200, len(pressed))] {
					on.Step(in)
					again.Step(in)
				}
				if !reflect.DeepEqual(again.Moment(), on.Moment()) {
					t.Fatalf("seed %d: gone on with from tick %d it ends\n%+v\nand not\n%+v", seed, tick, again.Moment(), on.Moment())
				}
			}
			r.g.Step(in)
		}
	}
}

// What a moment names that is not there any more is kept aside, and comes back with it.
func TestMomentOfWhatIsGone(t *testing.T) {
	if len(document.Sos) != play.BitsOfThing || document.Sos[play.Taken] != "taken" || document.Sos[play.Spent] != "spent" {
		t.Errorf("what can be so is called %v", document.Sos)
	}
	d := sample.World()
	g, err := play.StartWith(stage(d), sample.Quay, play.Given{Flags: []document.ID{sample.Lit}, Taken: []document.End{{Map: sample.Quay, Entity: sample.Pearl}}}, 1)
	if err != nil {
		t.Fatal(err)
	}
	at := g.Moment()
	if !reflect.DeepEqual(at.Flags, []document.ID{sample.Lit}) || len(at.Things) != 1 || at.Things[0].Is[0] != "taken" {
		t.Fatalf("given was kept as %+v and %+v", at.Flags, at.Things)
	}
	without := sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}), edit.Remove(edit.Ref{Type: edit.TypeFlag, ID: sample.Lit}))
	back, err := play.Resume(stage(without), at)
	if err != nil || len(back.Away) != 2 {
		t.Fatalf("aside are %+v: %v", back.Away, err)
	}
	if again := back.Moment(); !reflect.DeepEqual(again.Flags, at.Flags) || !reflect.DeepEqual(again.Things, at.Things) {
		t.Errorf("pinned again it keeps %+v and %+v", again.Flags, again.Things)
	}
	back.Enter(stage(d))
	if !back.Is(back.Stage.ThingOf(sample.Quay, sample.Pearl), play.Taken) || !back.Flag(sample.Lit) {
		t.Error("what came back by an undo is not as it was")
	}
	gone := sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}))
	if _, err := play.Resume(stage(gone), at); !errors.Is(err, play.ErrPlaceGone) {
		t.Errorf("on a map that is gone: %v", err)
	}
}

// A recording that is followed goes as it did; on a changed project it is told when and
// where it first goes otherwise.
func TestFollowingARecording(t *testing.T) {
	d := join(t, sample.World(), true)
	r := begin(t, d)
	rec := play.NewRecord(r.g)
	for _, in := range keys(9, 900) {
		rec.Step(r.g, in)
	}
	whole := rec.Whole()
	if whole.Ticks() != 900 || len(whole.Course) < 5 {
		t.Fatalf("%d ticks with %d marks", whole.Ticks(), len(whole.Course))
	}
	follow := func(d *document.Document, rec document.Recording) *play.Parting {
		f, err := play.Follow(stage(d), &rec)
		if err != nil {
			t.Fatal(err)
		}
		for n := 0; ; n++ {
			if done, p := f.Step(7); done {
				return p
			} else if n > 200 {
				t.Fatal("it has no end")
			}
		}
	}
	if p := follow(d, whole); p != nil {
		t.Errorf("on the same project it parts: %+v", p)
	}
	longer := whole
	longer.Course = append(append([]document.CourseMark{}, whole.Course...), document.CourseMark{Tick: 900, Map: sample.Quay, Is: "goal"})
	if p := follow(d, longer); p == nil || p.Tick != 900 || p.Was == nil || p.Was.Is != "goal" || p.Is != nil {
		t.Errorf("what is not reached any more: %+v", p)
	}
	shorter := whole
	shorter.Course = whole.Course[:3]
	if p := follow(d, shorter); p == nil || p.Tick != whole.Course[3].Tick || p.Was != nil || p.Is == nil {
		t.Errorf("what happens now and did not: %+v", p)
	}
	third := whole.Course[3]
	at := &grid.Region{}
	at.Add(grid.Point{X: third.X, Y: third.Y})
	wall := sample.Paint(sample.Quay, sample.Ground, at, sample.Wall)
	p := follow(sample.With(d, wall), whole)
	if third.Map != sample.Quay || p == nil || p.Tick > third.Tick || p.Was == nil {
		t.Errorf("with a wall at %+v it parts at %+v", third, p)
	}
	cut := play.NewRecord(r.g)
	for _, in := range keys(4, 300) {
		cut.Step(r.g, in)
	}
	g := cut.At(cut.From() + 100)
	cut.Cut(g)
	if w := cut.Whole(); w.Ticks() != 100 || follow(d, w) != nil {
		t.Errorf("turned back it keeps %d ticks: %+v", w.Ticks(), follow(d, w))
	}
}

// A moment that somebody made up is refused, or gone on with without a panic.
func FuzzMoment(f *testing.F) {
	d := sample.World()
	g, err := play.Start(stage(d), sample.Quay, 1)
	if err != nil {
		f.Fatal(err)
	}
	seed, err := json.Marshal(g.Moment())
	if err != nil {
		f.Fatal(err)
	}
	for _, change := range [][2]string{{"", ""}, {`"hearts":3`, `"hearts":0`}, {`"facing":"down"`, `"facing":"up","mode":"swims","push":9,"vx":-99999`},
		{`"seed":1`, `"seed":1,"fade":3,"lost":"struckOut"`}, {`"seed":1`, `"seed":1,"lines":[{"text":"a"}],"roam":true,"held":127`}} {
		f.Add([]byte(strings.Replace(string(seed), change[0], change[1], 1)))
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		var m document.Moment
		if document.Strict(data, &m) != nil {
			return
		}
		if (&document.Pin{ID: sample.Pearl, Name: "P", At: document.PinPlace{Map: sample.Quay}, Moment: m}).Check() != nil {
			return
		}
		g, err := play.Resume(stage(d), m)
		if err != nil {
			return
		}
		for _, in := range keys(1, 60) {
			g.Step(in)
		}
	})
}
