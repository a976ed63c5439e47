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
	"azzel/core/world"
	"encoding/json"
	"errors"
	"reflect"
	"slices"
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

func withRule(t *testing.T, d *document.Document, r document.Rule) *document.Document {
	t.Helper()
	c, err := author.AddRule(d, r)
	if err != nil {
		t.Fatal(err)
	}
	return apply(t, d, c.Do...)
}

// run is a game that is played, and the document that may change meanwhile.
type run struct {
	t *testing.T
	d *document.Document
	g *play.Game
	// told is what was told since it began.
	told []play.Event
}

func stage(d *document.Document) *world.Stage { return world.New(d, chart.New(d, nil), nil) }

func begin(t *testing.T, d *document.Document) *run {
	t.Helper()
	g, err := play.Start(stage(d), sample.Quay, 1)
	if err != nil {
		t.Fatal(err)
	}
	return &run{t: t, d: d, g: g}
}

// hold plays ticks with an input, on the document as it is now.
func (r *run) hold(in play.Input, ticks int) {
	if r.g.Stage.Doc != r.d {
		r.g.Enter(world.New(r.d, chart.New(r.d, r.g.Stage.Chart), r.g.Stage))
	}
	for range ticks {
		r.g.Step(in)
		r.told = append(r.told, r.g.Told...)
	}
}

// toldOf reports whether something was told.
func (r *run) toldOf(is string) bool {
	return slices.ContainsFunc(r.told, func(e play.Event) bool { return e.Is == is })
}

func (r *run) hero() *play.Body { return r.g.Hero() }

func (r *run) mapID() document.ID { return r.g.Ground().ID }

func (r *run) is(e document.ID, b play.Bit) bool {
	return r.g.Is(r.g.Stage.ThingOf(sample.Quay, e), b)
}

func (r *run) there(e document.ID) bool { return r.g.There(r.g.Stage.ThingOf(sample.Quay, e)) }

func (r *run) press(in play.Input) { r.hold(in, 1); r.hold(0, 1) }

func (r *run) cell() grid.Point { return r.g.HeroCell() }

func TestWallsAndDoorsStop(t *testing.T) {
	r := begin(t, sample.World())
	if r.cell() != (grid.Point{X: 2, Y: 2}) || r.hero().Look() != document.Down {
		t.Fatalf("begins at %v facing %s", r.cell(), r.hero().Look())
	}
	r.hold(play.InputUp|play.InputLeft, 120)
	if r.cell() != (grid.Point{X: 1, Y: 1}) || r.hero().X != 16*play.Sub || r.hero().Y != 16*play.Sub {
		t.Errorf("stopped at %v (%d, %d), not in the corner", r.cell(), r.hero().X, r.hero().Y)
	}
	r = begin(t, sample.World())
	r.hold(play.InputRight, 300)
	if r.cell().X != 9 || r.hero().Look() != document.Right {
		t.Errorf("the shut door stopped the hero at %v", r.cell())
	}
	if !r.is(sample.Pearl, play.Taken) {
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
	x := r.hero().X
	r.hold(play.InputRight, 60)
	if got := r.hero().X - x; got != 5*16*play.Sub/60*60 {
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
	if r.mapID() != sample.Pans || r.hero().Look() != document.Right {
		t.Fatalf("is on %s at %v", r.mapID(), r.cell())
	}
	r.hold(0, 30)
	before := r.cell()
	r.hold(play.InputLeft, 60)
	if r.mapID() != sample.Quay || r.hero().Look() != document.Left {
		t.Fatalf("did not come back from %v: on %s at %v, %q", before, r.mapID(), r.cell(), r.g.Notice)
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
	for range 300 {
		r.hold(play.InputRight, 1)
		said = said || strings.Contains(r.g.Notice, "leads nowhere yet")
	}
	if !said {
		t.Error("nothing was said about the exit")
	}
}

func TestRules(t *testing.T) {
	use, open := rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door)
	atSwitch := func(d *document.Document) *run {
		r := begin(t, d)
		r.hero().X, r.hero().Y = 96*play.Sub, 33*play.Sub
		r.hold(play.InputUp, 1)
		return r
	}
	once := rules.Of(use, open, rules.Say("It moves."), rules.Set(sample.Lit))
	once.Once = true
	d := withRule(t, sample.World(), once)
	r := atSwitch(d)
	r.press(play.InputUse)
	if !r.is(sample.Door, play.Opened) || !reflect.DeepEqual(r.g.Lines, []play.Line{{Text: "It moves.", Resumes: true}}) || r.g.Flag(sample.Lit) {
		t.Fatalf("after use: %+v", r.g)
	}
	x := r.hero().X
	r.hold(play.InputRight, 20)
	if r.hero().X != x {
		t.Error("walked while a line is shown")
	}
	r.press(play.InputUse)
	if len(r.g.Lines) != 0 || !r.g.Flag(sample.Lit) || len(r.g.Threads) != 0 {
		t.Fatalf("after reading: %+v", r.g)
	}
	r.press(play.InputUse)
	if len(r.g.Lines) != 0 || r.is(sample.Switch, play.Switched) {
		t.Error("a rule with once ran twice, or the switch did not turn back")
	}

	d = withRule(t, sample.World(), rules.Of(use, rules.IsSet(sample.Lit), open))
	r = atSwitch(d)
	r.press(play.InputUse)
	if r.is(sample.Door, play.Opened) {
		t.Error("ran though its flag is not set")
	}
	d = withRule(t, d, rules.Of(rules.Take(sample.Quay, sample.Pearl), rules.Set(sample.Lit)))
	r = begin(t, d)
	r.hold(play.InputRight, 40)
	r.hero().X, r.hero().Y = 96*play.Sub, 33*play.Sub
	r.hold(play.InputUp, 1)
	r.press(play.InputUse)
	if !r.is(sample.Door, play.Opened) {
		t.Error("did not run though its flag is set")
	}
	d = withRule(t, sample.World(), rules.Of(rules.Arrive(sample.Quay), rules.Say("Low tide.")))
	if r = begin(t, d); !reflect.DeepEqual(r.g.Lines, []play.Line{{Text: "Low tide.", Resumes: true}}) {
		t.Errorf("on arrival: %v", r.g.Lines)
	}
}

func TestStartAndWarning(t *testing.T) {
	d := sample.World()
	bare := apply(t, d, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Spawn}))
	if _, err := play.Start(stage(bare), sample.Quay, 1); !errors.Is(err, play.ErrNoSpawn) {
		t.Errorf("without a spawn: %v", err)
	}
	if s, err := play.Start(stage(d), sample.Pans, 1); err != nil || s.Ground().ID != sample.Quay {
		t.Errorf("the only spawn is on the quay: %v", err)
	}
	if _, err := play.StartAt(stage(d), sample.Quay, grid.Point{}, play.Given{}, 1); err == nil {
		t.Error("began inside a wall")
	}
	if _, err := play.StartAt(stage(d), sample.Quay, grid.Point{X: 99}, play.Given{}, 1); err == nil {
		t.Error("began outside the map")
	}
	if play.Warning(d, sample.Quay) != "" || !strings.Contains(play.Warning(d, sample.Pans), "Nothing on Pans is solid") {
		t.Error("the warning about solid tiles is wrong")
	}
}

// Who plays while working on a map plays that map, also one without a spawn, if a passage leads onto it.
func TestAGameBeginsOnTheMapThatIsWorkedOn(t *testing.T) {
	joined := join(t, sample.World(), true)
	way := joined.Passages.All()[0]
	for _, p := range joined.Passages.All() {
		if p.To.Map == sample.Pans {
			way = p
		}
	}
	arrival := joined.Entity(way.To.Map, way.To.Entity)
	for name, c := range map[string]struct {
		d    *document.Document
		from document.ID
		on   document.ID
		at   grid.Point
	}{
		"with a spawn":        {joined, sample.Quay, sample.Quay, grid.Point{X: 2, Y: 2}},
		"with a way onto it":  {joined, sample.Pans, sample.Pans, grid.Point{X: arrival.X / 16, Y: arrival.Y / 16}},
		"without a way":       {sample.World(), sample.Pans, sample.Quay, grid.Point{X: 2, Y: 2}},
		"the way was removed": {apply(t, joined, edit.Remove(edit.Ref{Type: edit.TypePassage, ID: way.ID})), sample.Pans, sample.Quay, grid.Point{X: 2, Y: 2}},
		"no map":              {joined, "", sample.Quay, grid.Point{X: 2, Y: 2}},
	} {
		g, err := play.StartOn(stage(c.d), c.from, play.Given{}, 1)
		if err != nil || g.Ground().ID != c.on {
			t.Errorf("%s: it began on %v, %v", name, g, err)
			continue
		}
		if at := (grid.Point{X: int(g.Hero().X >> 12), Y: int(g.Hero().Y >> 12)}); at != c.at {
			t.Errorf("%s: the hero stands on cell %v, wanted %v", name, at, c.at)
		}
	}
}

// A state that went through JSON goes on in the same way.
func TestStateIsPlainData(t *testing.T) {
	d := join(t, sample.World(), true)
	a := begin(t, d)
	a.hold(play.InputRight|play.InputDown, 30)
	data, err := json.Marshal(a.g.State)
	if err != nil {
		t.Fatal(err)
	}
	b := &run{t: t, d: d, g: &play.Game{Stage: a.g.Stage, State: &play.State{}}}
	if err := json.Unmarshal(data, b.g.State); err != nil {
		t.Fatal(err)
	}
	for i := range 400 {
		in := play.Input(i * 7 % 64)
		a.hold(in, 1)
		b.hold(in, 1)
	}
	if !reflect.DeepEqual(a.g.State, b.g.State) {
		t.Errorf("the states differ:\n%+v\n%+v", a.g.State, b.g.State)
	}
}
