package play_test

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"strings"
	"testing"
)

var quayRef = edit.Ref{Type: edit.TypeMap, ID: sample.Quay}

// opened is the sample without its door and exit, with a gap of rows 2 and 3 in both side walls.
func opened(t *testing.T) *document.Document {
	t.Helper()
	gaps := &grid.Region{}
	gaps.AddRect(grid.Rect{X: 19, Y: 2, W: 1, H: 2})
	gaps.AddRect(grid.Rect{X: 0, Y: 2, W: 1, H: 2})
	return apply(t, sample.World(), sample.Paint(sample.Quay, sample.Things, gaps, 0),
		edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}),
		edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Exit}))
}

// until holds an input down until something is so, for five seconds at most.
func (r *run) until(in play.Input, so func() bool) {
	for n := 0; n < 300 && !so(); n++ {
		r.hold(in, 1)
	}
}

func (r *run) on(m document.ID) func() bool { return func() bool { return r.mapID() == m } }

func touching(t *testing.T, d *document.Document) *document.Document {
	t.Helper()
	return apply(t, d, edit.Set(quayRef, "chart", grid.Point{}), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "chart", grid.Point{X: 320, Y: 16}))
}

func TestWalksAcrossASeamAndBack(t *testing.T) {
	d := withRule(t, touching(t, opened(t)), rules.Of(rules.Arrive(sample.Pans), rules.Set(sample.Lit)))
	r := begin(t, d)
	y := r.hero().Y
	r.hold(play.InputRight, 260)
	if r.mapID() != sample.Pans || r.hero().Y != y-16*play.Sub || r.hero().Look() != document.Right {
		t.Fatalf("is on %s at %d, %d", r.mapID(), r.hero().X, r.hero().Y)
	}
	if !r.g.Flag(sample.Lit) {
		t.Error("rules did not hear of the arrival")
	}
	if c := r.cell(); c.X < 1 || c.Y != 1 {
		t.Errorf("came to %v", c)
	}
	r.hold(play.InputLeft, 260)
	if r.mapID() != sample.Quay || r.hero().Y != y {
		t.Errorf("back on %s at %d, %d", r.mapID(), r.hero().X, r.hero().Y)
	}
	// a wall beyond the seam stops as one on this side does
	beyond := &grid.Region{}
	beyond.AddRect(grid.Rect{X: 1, Y: 0, W: 1, H: 12})
	r = begin(t, apply(t, d, sample.Paint(sample.Pans, sample.Things, beyond, sample.Wall)))
	r.hold(play.InputRight, 300)
	if r.mapID() != sample.Pans || r.cell().X != 0 {
		t.Errorf("a wall beyond: on %s at %v", r.mapID(), r.cell())
	}
}

func TestSeamsThatDoNotLeadOn(t *testing.T) {
	d := touching(t, opened(t))
	stays := func(name string, d *document.Document) {
		t.Helper()
		r := begin(t, d)
		r.hold(play.InputRight, 300)
		if r.mapID() != sample.Quay || r.cell().X != 19 {
			t.Errorf("%s: on %s at %v", name, r.mapID(), r.cell())
		}
	}
	set := func(closed bool, gates ...document.Gate) *document.Document {
		c, err := author.SetSeam(d, sample.Quay, sample.Pans, closed, gates)
		if err != nil {
			t.Fatal(err)
		}
		return apply(t, d, c.Do...)
	}
	stays("closed", set(true))
	stays("asks for a flag", set(false, document.Gate{Asks: document.GateFlag, Flag: sample.Lit}))
	stays("asks for what is not there to be taken", set(false, document.Gate{Asks: document.GateCount, Kind: kind.Collectible, Count: 2}))
	stays("nobody beside", apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "chart", grid.Point{X: 999})))
	for name, d := range map[string]*document.Document{
		"asks for what was taken on the way": set(false, document.Gate{Asks: document.GateItem, Map: sample.Quay, Entity: sample.Pearl}),
		"asks for one of a kind":             set(false, document.Gate{Asks: document.GateCount, Kind: kind.Collectible, Count: 1}),
		"asks for a flag that is not set":    set(false, document.Gate{Asks: document.GateFlag, Flag: sample.Lit, Not: true}),
	} {
		r := begin(t, d)
		r.hold(play.InputRight, 300)
		if r.mapID() != sample.Pans {
			t.Errorf("%s: stayed at %v", name, r.cell())
		}
	}
}

func TestEdges(t *testing.T) {
	side := func(is string) *document.Document {
		d := opened(t)
		c, err := author.SetSide(d.Maps.Get(sample.Quay), document.Right, is)
		if is == document.SideWall {
			return d
		}
		if err != nil {
			t.Fatal(err)
		}
		return apply(t, d, c.Do...)
	}
	r := begin(t, side(document.SideWall))
	r.hold(play.InputRight, 300)
	if r.cell().X != 19 {
		t.Errorf("a wall: at %v", r.cell())
	}
	r = begin(t, side(document.SideWrap))
	r.hold(play.InputRight, 245)
	if r.cell().X > 5 {
		t.Errorf("a wrap: at %v", r.cell())
	}
	r = begin(t, side(document.SideFall))
	at := [2]int64{r.hero().X, r.hero().Y}
	far := int64(0)
	r.until(play.InputRight, func() bool {
		far = max(far, r.hero().X)
		return r.hero().X < far
	})
	if r.hero().X != at[0] || r.hero().Y != at[1] || far < 300*play.Sub {
		t.Errorf("a fall: from %v to %d, %d after %d", at, r.hero().X, r.hero().Y, far)
	}
	d := side(document.SideExit)
	r = begin(t, d)
	r.until(play.InputRight, func() bool { return r.g.Notice != "" })
	if r.mapID() != sample.Quay || !strings.Contains(r.g.Notice, "right edge of Quay leads nowhere yet") {
		t.Errorf("an exit without a passage: on %s, %q", r.mapID(), r.g.Notice)
	}
	j, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Side: document.Right}, To: sample.Pans, At: grid.Point{X: 3, Y: 4}, Facing: document.Up})
	if err != nil {
		t.Fatal(err)
	}
	r = begin(t, apply(t, d, j.Do...))
	r.until(play.InputRight, r.on(sample.Pans))
	if r.mapID() != sample.Pans || r.cell() != (grid.Point{X: 3, Y: 4}) || r.hero().Look() != document.Up {
		t.Errorf("an exit: on %s at %v", r.mapID(), r.cell())
	}
}

func TestPassagesAskAndDoorsLead(t *testing.T) {
	d := sample.World()
	j, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Door}, To: sample.Pans, At: grid.Point{X: 4, Y: 4}, Facing: document.Down})
	if err != nil {
		t.Fatal(err)
	}
	d = apply(t, d, j.Do...)
	r := begin(t, d)
	r.hold(play.InputRight, 300)
	if r.mapID() != sample.Quay {
		t.Fatal("a shut door led on")
	}
	d = apply(t, d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "on", true))
	next := *d.Passages.Get(j.Made)
	next.Transition, next.If, next.Shut = "none", []document.Gate{{Asks: document.GateItem, Map: sample.Quay, Entity: sample.Pearl, Not: true}}, "It is wet behind there, and you carry a pearl that must not get wet."
	ask, err := author.ChangePassage(d, next)
	if err != nil {
		t.Fatal(err)
	}
	shut := apply(t, d, ask.Do...)
	r = begin(t, shut)
	r.hold(play.InputRight, 200)
	if r.mapID() != sample.Quay || len(r.g.Lines) == 0 || !strings.Contains(r.g.Lines[0].Text, "It is wet") {
		t.Errorf("the passage that asks: on %s, %v", r.mapID(), r.g.Lines)
	}
	for range 4 {
		r.press(play.InputUse)
	}
	if len(r.g.Lines) != 0 {
		t.Errorf("after reading %v is left", r.g.Lines)
	}
	r = begin(t, d)
	r.until(play.InputRight, r.on(sample.Pans))
	if r.mapID() != sample.Pans || r.cell() != (grid.Point{X: 4, Y: 4}) {
		t.Errorf("through the open door: on %s at %v", r.mapID(), r.cell())
	}
}

// What is seen while one goes through a passage is what it says, until it is light again.
func TestPassagesAreSeenAsTheySay(t *testing.T) {
	for i, word := range document.Transitions {
		d := sample.World()
		j, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: grid.Point{X: 4, Y: 4}, Facing: document.Down})
		if err != nil {
			t.Fatal(err)
		}
		d = apply(t, apply(t, d, j.Do...), edit.Set(edit.Ref{Type: edit.TypePassage, ID: j.Made}, "transition", word),
			edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Exit}, "x", 80), edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Exit}, "y", 32))
		r := begin(t, d)
		r.until(play.InputRight, func() bool { return r.g.Leaving >= 0 })
		if int(r.g.Veil) != i {
			t.Errorf("%s is seen as %s", word, document.Transitions[r.g.Veil])
		}
		dark := r.g.Fade
		r.until(0, r.on(sample.Pans))
		if long := play.FadeTicks; (word == "none") != (dark == 1) || (word == "none") != (r.g.Fade == 0) || word != "none" && (int(dark) != long || int(r.g.Fade) != long) {
			t.Errorf("%s takes %d ticks to darken and %d to lighten", word, dark, r.g.Fade)
		}
	}
}

// sided is the Pans seen from the side: a floor in row 8, a step of two cells, a gap.
func sided(t *testing.T) *document.Document {
	t.Helper()
	floor := &grid.Region{}
	floor.AddRect(grid.Rect{X: 0, Y: 8, W: 10, H: 1})
	floor.AddRect(grid.Rect{X: 6, Y: 6, W: 4, H: 2})
	floor.AddRect(grid.Rect{X: 16, Y: 8, W: 4, H: 1})
	return apply(t, sample.World(), sample.Paint(sample.Pans, sample.Things, floor, sample.Wall),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}}))
}

// jump is where a kind of hero comes by a jump on the Pans.
func jump(d *document.Document, hero document.ID, p grid.Point) *grid.Region {
	st := stage(d)
	return play.Jump(st, st.Ground(st.MapOf(sample.Pans)), hero, p)
}

func stand(d *document.Document, m document.ID, p grid.Point) play.Standing {
	st := stage(d)
	return play.Stand(st, st.Ground(st.MapOf(m)), kind.Hero, p)
}

func TestJumpReaches(t *testing.T) {
	d := sided(t)
	reach := jump(d, kind.Hero, grid.Point{X: 3, Y: 7})
	for p, want := range map[grid.Point]bool{
		{X: 3, Y: 7}: true, {X: 3, Y: 5}: true, {X: 5, Y: 6}: true, // up, and over
		{X: 6, Y: 5}: true,                       // onto the step of two cells
		{X: 3, Y: 3}: false, {X: 3, Y: 9}: false, // higher than it jumps, below the floor
		{X: 7, Y: 7}: false, {X: 18, Y: 7}: false, // in the step, beyond the gap
	} {
		if reach.Has(p) != want {
			t.Errorf("%v is reached: %v", p, !want)
		}
	}
	// a lower jump does not reach the step
	low := apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "values", []kind.Value{{Key: kind.MapJump, Value: "1"}, {Key: kind.MapView, Value: kind.Of(kind.FromSide)}}))
	if jump(low, kind.Hero, grid.Point{X: 3, Y: 7}).Has(grid.Point{X: 6, Y: 5}) {
		t.Error("a jump of one cell reaches a step of two")
	}
	// higher jumps reach all that lower ones do
	for _, height := range []string{"2", "4", "6"} {
		more := apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "values", []kind.Value{{Key: kind.MapJump, Value: kind.Datum(height)}, {Key: kind.MapView, Value: kind.Of(kind.FromSide)}}))
		top := 99
		for _, p := range jump(more, kind.Hero, grid.Point{X: 1, Y: 7}).Points() {
			top = min(top, p.Y)
		}
		if want := 7 - int(height[0]-'0'); top < want-1 || top > want+1 {
			t.Errorf("a jump of %s cells comes up to row %d", height, top)
		}
	}
	if s := stand(d, sample.Pans, grid.Point{X: 3, Y: 8}); s.Free || s.Why == "" || len(s.Reach) > 0 {
		t.Errorf("in the floor: %+v", s)
	}
	if s := stand(d, sample.Pans, grid.Point{X: 12, Y: 5}); !s.Free || !strings.Contains(s.Why, "falls") {
		t.Errorf("in the air: %+v", s)
	}
	if s := stand(d, sample.Quay, grid.Point{X: 3, Y: 3}); !s.Free || s.Why != "" || len(s.Reach) > 0 {
		t.Errorf("from above: %+v", s)
	}
}

func TestBehaviour(t *testing.T) {
	d := sample.World()
	put := func(e document.Entity) document.ID {
		t.Helper()
		e.ID, e.Layer, e.Name = document.NewID(), sample.Entities, e.Kind
		if e.Facing == "" {
			e.Facing = document.Right
		}
		e.W, e.H = 16, 16
		d = apply(t, d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
		return e.ID
	}
	traces := func(id document.ID) []play.Trace {
		return play.Behaviour(d, chart.New(d, nil), d.Maps.Get(sample.Quay), d.Entity(sample.Quay, id))
	}
	// to both sides as far as the walls let it
	got := traces(put(document.Entity{Kind: "walker", X: 32, Y: 96, Values: []kind.Value{{Key: "range", Value: "6"}, {Key: "sight", Value: "0"}}}))
	if len(got) != 1 || got[0].Is != play.TraceWay || got[0].Points[0].X != 16 || got[0].Points[1] != (grid.Point{X: 40 + 96, Y: 104}) || got[0].Setting != "range" {
		t.Errorf("a walker: %+v", got)
	}
	got = traces(put(document.Entity{Kind: "flyer", X: 32, Y: 96, Values: []kind.Value{{Key: "range", Value: "2"}}}))
	if len(got) != 2 || got[0].Points[0].X != 40-32 || got[1].Is != play.TraceRing || got[1].Radius != 5*16 {
		t.Errorf("a flyer: %+v", got)
	}
	if got := traces(put(document.Entity{Kind: "gonegonegone", X: 32, Y: 96})); len(got) != 0 {
		t.Errorf("something of a kind that is gone: %+v", got)
	}
	got = traces(put(document.Entity{Kind: "beam", X: 160, Y: 96, Facing: document.Up}))
	if len(got) != 1 || got[0].Is != play.TraceShot || got[0].Points[1] != (grid.Point{X: 168, Y: 16}) {
		t.Errorf("a beam: %+v", got)
	}
	path := put(document.Entity{Kind: kind.Path, X: 160, Y: 96, Points: []grid.Point{{X: 32}, {X: 32, Y: 32}}, Values: []kind.Value{{Key: "goes", Value: kind.Of("round")}}})
	got = traces(path)
	if len(got) != 1 || !got[0].Closed || len(got[0].Points) != 3 || got[0].Points[2] != (grid.Point{X: 200, Y: 136}) {
		t.Errorf("a path: %+v", got)
	}
	lift := put(document.Entity{Kind: kind.Platform, X: 160, Y: 96, Values: []kind.Value{{Key: "path", Value: kind.Of(path)}}})
	if got = traces(lift); len(got) != 1 || got[0].Setting != "path" || len(got[0].Points) != 3 {
		t.Errorf("what goes along a path: %+v", got)
	}
	if got = traces(put(document.Entity{Kind: kind.Collectible, Carrier: lift})); len(got) != 1 || got[0].Is != play.TraceTied {
		t.Errorf("what travels along: %+v", got)
	}
}

// Variants are drawn anew for each game, as often as their odds say; one that is
// not there is in nobody's way and cannot be taken.
func TestVariantsAreDrawn(t *testing.T) {
	ref := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}
	d := apply(t, sample.World(), edit.Set(ref, "variants", []document.Variant{{Look: sample.Floor, Odds: 1}, {Look: 0, Odds: 3}}),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "variants", []document.Variant{{Look: 0, Odds: 1}}))
	there := 0
	for seed := range int64(400) {
		g, err := play.Start(stage(d), sample.Quay, seed)
		if err != nil {
			t.Fatal(err)
		}
		r := &run{t: t, d: d, g: g}
		if r.there(sample.Door) {
			t.Fatal("a door whose one variant is not being there is there")
		}
		look, is := g.Look(g.Stage.ThingOf(sample.Quay, sample.Pearl))
		if is != r.there(sample.Pearl) || is != (look != 0) {
			t.Fatal("it is there and it is not")
		}
		if is {
			there++
		}
	}
	if there < 70 || there > 130 {
		t.Errorf("of 400 games it is there in %d, wanted about 100", there)
	}
	r := begin(t, d)
	r.hold(play.InputRight, 300)
	if _, was := r.g.Look(r.g.Stage.ThingOf(sample.Quay, sample.Pearl)); r.cell().X != 18 || r.is(sample.Pearl, play.Taken) != was {
		t.Errorf("the hero came to %v; taken %v, there %v", r.cell(), r.is(sample.Pearl, play.Taken), was)
	}
	absent := apply(t, sample.World(), edit.Set(ref, "absent", true))
	r = begin(t, absent)
	r.hold(play.InputRight, 300)
	if r.is(sample.Pearl, play.Taken) {
		t.Error("what is not there at the start was taken")
	}
}

// What is of a solid kind stops the hero, with its body only.
func TestSolidKindsStop(t *testing.T) {
	sign := document.Entity{ID: "signsignsign", Layer: sample.Entities, Kind: kind.Sign, Name: "Sign", Facing: document.Down, X: 96, Y: 32, W: 16, H: 16}
	d := apply(t, opened(t), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sign.ID}, sign))
	r := begin(t, d)
	r.hold(play.InputRight, 200)
	if r.cell().X != 5 {
		t.Errorf("a sign stopped the hero at %v", r.cell())
	}
	c, err := author.AddKind(d, kind.Sign, "Post")
	if err != nil {
		t.Fatal(err)
	}
	d = apply(t, d, c.Do...)
	post := author.PlainKindOf(d.Kind(c.Made))
	post.Body = grid.Rect{X: 6, Y: 0, W: 4, H: 2}
	change, err := author.ChangeKind(d, post)
	if err != nil {
		t.Fatal(err)
	}
	d = apply(t, d, append(change.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sign.ID}, "kind", string(post.ID)))...)
	r = begin(t, d)
	r.hero().Y = 35 * play.Sub // below the body of two pixels
	r.hold(play.InputRight, 200)
	if r.cell().X < 10 {
		t.Errorf("beside its body it stopped the hero at %v", r.cell())
	}
	absent := apply(t, d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sign.ID}, "absent", true))
	r = begin(t, absent)
	r.hold(play.InputRight, 200)
	if r.cell().X < 10 {
		t.Errorf("what is not there stopped the hero at %v", r.cell())
	}
}
