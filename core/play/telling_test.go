package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/rules"
	"testing"
)

// lever is a map with a switch under the hero that opens a door where something is so.
func lever(t *testing.T, asks func(r *run) document.RulePart) *run {
	t.Helper()
	r := drawn(t, "\n@......\n.......\n.......").with(kind.Switch, 0, 0, 1, 1, false, document.Down).with(kind.Door, 3, 2, 1, 1, false, document.Down).
		with(kind.Sign, 5, 1, 1, 1, false, document.Down).with(kind.Key, 1, 0, 1, 1, false, document.Down, value("opens", `"brass"`))
	r.d = withRule(t, r.d, rules.Of(rules.Use(r.mapID(), r.end(kind.Switch).Entity), asks(r), rules.Open(r.mapID(), r.end(kind.Door).Entity)))
	r.g.Enter(stage(r.d))
	return r
}

// Conditions ask what the hero has, where it has been, and what is there and shown.
func TestConditionsOfTheHeroAndOfThings(t *testing.T) {
	sign := func(word string) func(r *run) document.RulePart {
		return func(r *run) document.RulePart {
			return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: r.mapID(), ID: r.end(kind.Sign).Entity}))
		}
	}
	on := func(word string, here bool) func(r *run) document.RulePart {
		return func(r *run) document.RulePart {
			id := r.mapID()
			for _, m := range r.d.MapsInOrder() {
				if !here && m.ID != r.mapID() {
					id = m.ID
				}
			}
			return rules.Part(word, document.Naming(document.Object{Type: document.TypeMap, ID: id}))
		}
	}
	set := func(field string) func(r *run) {
		return func(r *run) {
			r.d = apply(r.t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Sign).Entity}, field, true))
			r.g.Enter(stage(r.d))
		}
	}
	take := func(r *run) {
		r.hold(play.InputRight, 12)
		r.hold(play.InputLeft, 16)
	}
	none := func(*run) {}
	for _, c := range []struct {
		name string
		asks func(r *run) document.RulePart
		does func(r *run)
		want bool
	}{
		{"has the key", func(*run) document.RulePart { return rules.Part(rules.WordHas, `"brass"`) }, take, true},
		{"has it not", func(*run) document.RulePart { return rules.Part(rules.WordHas, `"brass"`) }, none, false},
		{"lacks it", func(*run) document.RulePart { return rules.Part(rules.WordLacks, `"brass"`) }, none, true},
		{"lacks it no more", func(*run) document.RulePart { return rules.Part(rules.WordLacks, `"brass"`) }, take, false},
		{"has been here", on(rules.WordVisited, true), none, true},
		{"has been there", on(rules.WordVisited, false), none, false},
		{"has not been there", on(rules.WordUnvisited, false), none, true},
		{"is there", sign(rules.WordIsThere), none, true},
		{"is there, absent", sign(rules.WordIsThere), set("absent"), false},
		{"is not there, absent", sign(rules.WordIsAway), set("absent"), true},
		{"is shown", sign(rules.WordIsShown), none, true},
		{"is shown, unseen", sign(rules.WordIsShown), set("unseen"), false},
		{"is hidden, unseen", sign(rules.WordIsHidden), set("unseen"), true},
	} {
		r := lever(t, c.asks)
		c.does(r)
		r.press(play.InputUse)
		if got := r.g.On(r.thing(kind.Door)); got != c.want {
			t.Errorf("%s: the rule runs: %t", c.name, got)
		}
	}
}

// A rule waits as long as it says, while the game goes on, over moments and edits; woken meanwhile it does not begin again.
func TestRulesWait(t *testing.T) {
	r := drawn(t, "\n@......\n.......\n.......").with(kind.Switch, 0, 0, 1, 1, false, document.Down).with(kind.Door, 3, 2, 1, 1, false, document.Down)
	r.d = withRule(t, r.d, rules.Of(rules.Use(r.mapID(), r.end(kind.Switch).Entity), rules.Part(rules.WordWait, "2"), rules.Part(rules.WordFlip, document.Naming(document.Object{Type: document.TypeEntity, Map: r.mapID(), ID: r.end(kind.Door).Entity}))))
	r.g.Enter(stage(r.d))
	open := func(g *play.Game) bool { return g.On(g.Stage.ThingOf(r.mapID(), r.end(kind.Door).Entity)) }
	r.press(play.InputUse)
	r.hold(0, 60)
	r.press(play.InputUse)
	if open(r.g) || len(r.g.Threads) != 1 {
		t.Fatalf("after a second the door is open: %t, and %d rules wait", open(r.g), len(r.g.Threads))
	}
	again, err := play.Resume(r.g.Stage, r.g.Moment())
	if err != nil {
		t.Fatal(err)
	}
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Door).Entity}, "name", "Gate"))
	r.g.Enter(stage(r.d))
	at := [2]int{}
	for n := 1; n < 120; n++ {
		for i, g := range []*play.Game{r.g, again} {
			if g.Step(0); open(g) && at[i] == 0 {
				at[i] = n
			}
		}
	}
	if at[0] != at[1] || at[0] < 50 || at[0] > 62 || !open(r.g) {
		t.Errorf("it opens %v ticks after the first second", at)
	}
	// what is said and waits besides one another go on each by its own
	r.d = withRule(t, r.d, rules.Of(rules.Use(r.mapID(), r.end(kind.Switch).Entity), rules.Say("Wait for it.")))
	r.g.Enter(stage(r.d))
	r.press(play.InputUse)
	for len(r.g.Lines) > 0 {
		r.press(play.InputUse)
	}
	was := open(r.g)
	if r.hold(0, 125); open(r.g) == was || len(r.g.Threads) != 0 {
		t.Errorf("beside a line the wait has not ended: %+v", r.g.Threads)
	}
}

// A rule sends the hero elsewhere, on this map or another, and the proof knows.
func TestRulesSendTheHero(t *testing.T) {
	for _, far := range []bool{false, true} {
		r := drawn(t, "\n@...#..\n....#..\n....#..").with(kind.Switch, 0, 0, 1, 1, false, document.Down).with(kind.Arrival, 6, 1, 1, 1, false, document.Left)
		to := r.end(kind.Arrival)
		if far {
			for _, m := range r.d.MapsInOrder() {
				for _, e := range m.Entities.All() {
					if m.ID != r.mapID() && e.Kind == kind.Spawn {
						to = document.End{Map: m.ID, Entity: e.ID}
					}
				}
			}
		}
		could := func() bool {
			st := stage(r.d)
			return proof.Could(st, r.g.Hero().Map, grid.Point{}).Reaches(st.ThingOf(to.Map, to.Entity))
		}
		before := could()
		r.d = withRule(t, r.d, rules.Of(rules.Use(r.mapID(), r.end(kind.Switch).Entity), rules.Part(rules.WordSend, document.Naming(document.Object{Type: document.TypeEntity, Map: to.Map, ID: to.Entity}))))
		r.g.Enter(stage(r.d))
		if before || !could() {
			t.Errorf("far %t: that it could come there is said before: %t, and with the rule: %t", far, before, could())
		}
		r.press(play.InputUse)
		if r.hold(0, 4); r.g.Sent < 0 {
			t.Fatalf("far %t: it is not sent", far)
		}
		again, err := play.Resume(r.g.Stage, r.g.Moment())
		if err != nil {
			t.Fatal(err)
		}
		for _, g := range []*play.Game{r.g, again} {
			for range 2*play.FadeTicks + 4 {
				g.Step(0)
			}
			want := g.Stage.Thing(g.Stage.ThingOf(to.Map, to.Entity)).Box(g.Stage.Doc.Maps.Get(to.Map))
			if g.Ground().ID != to.Map || g.HeroCell() != (grid.Point{X: want.X, Y: want.Y}) || g.Sent >= 0 || g.Fade > 0 {
				t.Errorf("far %t: it comes to %v of %s", far, g.HeroCell(), g.Ground().Name)
			}
		}
	}
}
