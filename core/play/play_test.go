package play_test

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"encoding/json"
	"errors"
	"reflect"
	"strings"
	"testing"
)

func apply(t *testing.T, d *document.Document, do ...edit.Primitive) *document.Document {
	t.Helper()
	res := edit.Apply(d, &edit.Edit{Do: do})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	return res.Doc
}

func rule(t *testing.T, d *document.Document, r document.Rule) *document.Document {
	t.Helper()
	c, err := author.AddRule(d, r)
	if err != nil {
		t.Fatal(err)
	}
	return apply(t, d, c.Do...)
}

type run struct {
	t *testing.T
	d *document.Document
	s *play.State
}

func begin(t *testing.T, d *document.Document) *run {
	t.Helper()
	s, err := play.Start(d, sample.Quay, 1)
	if err != nil {
		t.Fatal(err)
	}
	return &run{t, d, s}
}

func (r *run) hold(in play.Input, ticks int) {
	chart := chart.New(r.d, nil)
	for range ticks {
		play.Step(r.s, r.d, chart, in)
	}
}

func (r *run) press(in play.Input) { r.hold(in, 1); r.hold(0, 1) }

func (r *run) cell() grid.Point { return r.s.HeroCell(r.d.Maps.Get(r.s.Map)) }

func TestWallsAndDoorsStop(t *testing.T) {
	r := begin(t, sample.World())
	if r.cell() != (grid.Point{X: 2, Y: 2}) || r.s.Facing != document.Down {
		t.Fatalf("begins at %v facing %s", r.cell(), r.s.Facing)
	}
	r.hold(play.InputUp|play.InputLeft, 120)
	if r.cell() != (grid.Point{X: 1, Y: 1}) || r.s.X != 16*play.Sub || r.s.Y != 16*play.Sub {
		t.Errorf("stopped at %v (%d, %d), not in the corner", r.cell(), r.s.X, r.s.Y)
	}
	r = begin(t, sample.World())
	r.hold(play.InputRight, 300)
	if r.cell().X != 9 || r.s.Facing != document.Right {
		t.Errorf("the shut door stopped the hero at %v", r.cell())
	}
	if !r.s.Taken[sample.Pearl] {
		t.Error("the pearl on the way was not taken")
	}
	open := apply(t, sample.World(), edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "on", true))
	r = begin(t, open)
	r.hold(play.InputRight, 300)
	if r.cell().X != 18 {
		t.Errorf("behind an open door the hero came to %v", r.cell())
	}
}

func TestWalkSpeed(t *testing.T) {
	r := begin(t, sample.World())
	x := r.s.X
	r.hold(play.InputRight, 60)
	if got := r.s.X - x; got != 5*16*play.Sub/60*60 {
		t.Errorf("walked %d in a second, wanted five cells", got)
	}
}

func TestPaintingWhilePlaying(t *testing.T) {
	r := begin(t, sample.World())
	wall := &grid.Region{}
	wall.Add(grid.Point{X: 6, Y: 2})
	r.d = apply(t, r.d, sample.Paint(sample.Quay, sample.Things, wall, sample.Wall))
	r.hold(play.InputRight, 200)
	if r.cell().X != 5 {
		t.Errorf("the new wall stopped the hero at %v", r.cell())
	}
	on := &grid.Region{}
	on.Add(r.cell())
	r.d = apply(t, r.d, sample.Paint(sample.Quay, sample.Things, on, sample.Wall))
	r.hold(play.InputLeft, 60)
	if r.cell().X >= 4 {
		t.Errorf("walled in, the hero did not come out: %v", r.cell())
	}
}

func join(t *testing.T, d *document.Document, back bool) *document.Document {
	t.Helper()
	c, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans,
		At: grid.Point{X: 4, Y: 5}, Facing: document.Right, Back: back})
	if err != nil {
		t.Fatal(err)
	}
	return apply(t, d, c.Do...)
}

func TestPassageThereAndBack(t *testing.T) {
	d := apply(t, sample.World(), edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}))
	d = join(t, d, true)
	r := begin(t, d)
	r.hold(play.InputDown, 40)
	r.hold(play.InputRight, 250)
	if r.s.Map != sample.Pans || r.s.Facing != document.Right {
		t.Fatalf("is on %s at %v", r.s.Map, r.cell())
	}
	r.hold(0, 30)
	before := r.cell()
	r.hold(play.InputLeft, 60)
	if r.s.Map != sample.Quay || r.s.Facing != document.Left {
		t.Fatalf("did not come back from %v: on %s at %v, %q", before, r.s.Map, r.cell(), r.s.Notice)
	}
	if r.cell() != (grid.Point{X: 17, Y: 5}) {
		t.Errorf("came back to %v", r.cell())
	}
}

func TestExitWithoutPassageSays(t *testing.T) {
	d := apply(t, sample.World(), edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}))
	r := begin(t, d)
	r.hold(play.InputDown, 40)
	said := false
	chart := chart.New(r.d, nil)
	for range 300 {
		play.Step(r.s, r.d, chart, play.InputRight)
		said = said || strings.Contains(r.s.Notice, "leads nowhere yet")
	}
	if !said {
		t.Error("nothing was said about the exit")
	}
}

func TestRules(t *testing.T) {
	use, open := rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door)
	atSwitch := func(d *document.Document) *run {
		r := begin(t, d)
		r.s.X, r.s.Y = 96*play.Sub, 33*play.Sub
		r.hold(play.InputUp, 1)
		return r
	}
	once := rules.Of(use, open, rules.Say("It moves."), rules.Set(sample.Lit))
	once.Once = true
	d := rule(t, sample.World(), once)
	r := atSwitch(d)
	r.press(play.InputUse)
	if !r.s.Opened[sample.Door] || !reflect.DeepEqual(r.s.Lines, []play.Line{{Text: "It moves.", Resumes: true}}) || r.s.Flags[sample.Lit] {
		t.Fatalf("after use: %+v", r.s)
	}
	x := r.s.X
	r.hold(play.InputRight, 20)
	if r.s.X != x {
		t.Error("walked while a line is shown")
	}
	r.press(play.InputUse)
	if len(r.s.Lines) != 0 || !r.s.Flags[sample.Lit] || len(r.s.Running) != 0 {
		t.Fatalf("after reading: %+v", r.s)
	}
	r.press(play.InputUse)
	if len(r.s.Lines) != 0 || r.s.Switched[sample.Switch] {
		t.Error("a rule with once ran twice, or the switch did not turn back")
	}

	d = rule(t, sample.World(), rules.Of(use, rules.IsSet(sample.Lit), open))
	r = atSwitch(d)
	r.press(play.InputUse)
	if r.s.Opened[sample.Door] {
		t.Error("ran though its flag is not set")
	}
	d = rule(t, d, rules.Of(rules.Take(sample.Quay, sample.Pearl), rules.Set(sample.Lit)))
	r = begin(t, d)
	r.hold(play.InputRight, 40)
	r.s.X, r.s.Y = 96*play.Sub, 33*play.Sub
	r.hold(play.InputUp, 1)
	r.press(play.InputUse)
	if !r.s.Opened[sample.Door] {
		t.Error("did not run though its flag is set")
	}
	d = rule(t, sample.World(), rules.Of(rules.Arrive(sample.Quay), rules.Say("Low tide.")))
	if r = begin(t, d); !reflect.DeepEqual(r.s.Lines, []play.Line{{Text: "Low tide.", Resumes: true}}) {
		t.Errorf("on arrival: %v", r.s.Lines)
	}
}

func TestStartAndWarning(t *testing.T) {
	d := sample.World()
	bare := apply(t, d, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Spawn}))
	if _, err := play.Start(bare, sample.Quay, 1); !errors.Is(err, play.ErrNoSpawn) {
		t.Errorf("without a spawn: %v", err)
	}
	if s, err := play.Start(d, sample.Pans, 1); err != nil || s.Map != sample.Quay {
		t.Errorf("the only spawn is on the quay: %v", err)
	}
	if _, err := play.StartAt(d, sample.Quay, grid.Point{}, 1); err == nil {
		t.Error("began inside a wall")
	}
	if _, err := play.StartAt(d, sample.Quay, grid.Point{X: 99}, 1); err == nil {
		t.Error("began outside the map")
	}
	if play.Warning(d, sample.Quay) != "" || !strings.Contains(play.Warning(d, sample.Pans), "Nothing on Pans is solid") {
		t.Error("the warning about solid tiles is wrong")
	}
}

// A state that went through JSON goes on in the same way.
func TestStateIsPlainData(t *testing.T) {
	d := join(t, sample.World(), true)
	a := begin(t, d)
	a.hold(play.InputRight|play.InputDown, 30)
	data, err := json.Marshal(a.s)
	if err != nil {
		t.Fatal(err)
	}
	b := &run{t, d, &play.State{}}
	if err := json.Unmarshal(data, b.s); err != nil {
		t.Fatal(err)
	}
	for i := range 400 {
		in := play.Input(i * 7 % 32)
		a.hold(in, 1)
		b.hold(in, 1)
	}
	if !reflect.DeepEqual(a.s, b.s) {
		t.Errorf("the states differ:\n%+v\n%+v", a.s, b.s)
	}
}
