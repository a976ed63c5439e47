package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
	"strings"
	"testing"
)

// made counts what something made that is there, and gives it.
func (r *run) made(by string) (out []world.Ref) {
	maker := r.thing(by)
	for k := range r.g.Stage.Things {
		if ref := world.Ref(k); r.g.Stage.Things[k].Doing.By == maker && r.g.There(ref) {
			out = append(out, ref)
		}
	}
	return out
}

// A timer rings each time its time is over, again or once; off and disabled it does not.
func TestTimers(t *testing.T) {
	for _, c := range []struct {
		on, disabled bool
		again        string
		want         int
	}{{true, false, "true", 5}, {true, false, "false", 1}, {false, false, "true", 0}, {true, true, "true", 0}} {
		r := drawn(t, "\n@...\n....\n....").with(kind.Timer, 2, 2, 1, 1, c.on, document.Down, value("every", "1000"), value("again", c.again))
		r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Timer).Entity}, "disabled", c.disabled))
		r.g.Enter(stage(r.d))
		rings := 0
		for range 310 {
			r.hold(0, 1)
			for _, e := range r.g.Told {
				if e.Is == rules.WordRings {
					rings++
				}
			}
		}
		if rings != c.want || c.again == "false" && r.g.On(r.thing(kind.Timer)) {
			t.Errorf("%+v: it rang %d times", c, rings)
		}
	}
}

const walkers = `[{"of":"walker","odds":1}]`

// A source makes one every so often, at most so many at a time, so many in all; then it has nothing left.
func TestSources(t *testing.T) {
	build := func(values ...kind.Value) *run {
		return drawn(t, "\n.........\n@........\n.........").with(kind.Source, 8, 0, 1, 1, true, document.Left, append(values, value("makes", walkers), value("every", "500"))...)
	}
	r := build(value("atOnce", "3"))
	for _, c := range []struct{ ticks, want int }{{2, 1}, {26, 1}, {4, 2}, {60, 3}, {300, 3}} {
		if r.hold(0, c.ticks); len(r.made(kind.Source)) != c.want {
			t.Fatalf("at tick %d there are %d, wanted %d", r.g.Tick, len(r.made(kind.Source)), c.want)
		}
	}
	r.g.Mark(r.made(kind.Source)[1], play.Gone)
	if r.hold(0, 40); len(r.made(kind.Source)) != 3 {
		t.Errorf("after one was defeated there are %d", len(r.made(kind.Source)))
	}
	r = build(value("atOnce", "2"), value("inAll", "3"))
	ended := 0
	for range 200 {
		r.hold(0, 1)
		for _, e := range r.g.Told {
			if e.Is == rules.WordEnds {
				ended++
			}
		}
		if r.g.Tick%50 == 0 {
			for _, of := range r.made(kind.Source) {
				r.g.Mark(of, play.Gone)
			}
		}
	}
	if ended != 1 || r.g.On(r.thing(kind.Source)) || len(r.made(kind.Source)) != 0 {
		t.Errorf("it ended %d times, and %d are there", ended, len(r.made(kind.Source)))
	}
	nothing := drawn(t, "\n@...\n....").with(kind.Source, 2, 1, 1, 1, true, document.Left, value("makes", `[{"of":"source","odds":1},{"of":"hero","odds":1}]`))
	if nothing.hold(0, 200); len(nothing.made(kind.Source)) != 0 || !strings.Contains(nothing.g.About(2*16+8, 16+8), "nothing to make") {
		t.Errorf("a source of sources: %s", nothing.g.About(2*16+8, 16+8))
	}
}

// Waves come one after the other, each when nothing is left of the one before.
func TestWaves(t *testing.T) {
	r := drawn(t, "\n.........\n@........\n.........").with(kind.Source, 8, 0, 1, 1, true, document.Left, value("makes", walkers), value("every", "500"), value("waves", "[2,3]"))
	if r.hold(0, 300); len(r.made(kind.Source)) != 2 || !strings.Contains(r.g.About(8*16+8, 8), "wave 1 of 2") {
		t.Fatalf("of the first wave there are %d: %s", len(r.made(kind.Source)), r.g.About(8*16+8, 8))
	}
	for _, of := range r.made(kind.Source) {
		r.g.Mark(of, play.Gone)
	}
	if r.hold(0, 300); len(r.made(kind.Source)) != 3 {
		t.Fatalf("of the second wave there are %d", len(r.made(kind.Source)))
	}
	for _, of := range r.made(kind.Source) {
		r.g.Mark(of, play.Gone)
	}
	if r.hold(0, 60); r.g.On(r.thing(kind.Source)) || len(r.g.Tallies) != 0 {
		t.Error("it goes on after the last wave")
	}
	// a source that is turned on once more begins anew
	r.with(kind.Switch, 0, 1, 1, 1, false, document.Down).does(rules.WordUse, r.end(kind.Switch), rules.WordTurnOn, r.end(kind.Source))
	r.press(play.InputUse)
	if r.hold(0, 100); len(r.made(kind.Source)) != 2 {
		t.Errorf("turned on once more it made %d", len(r.made(kind.Source)))
	}
}

// Items are given out one at a time by a rule, and stay had.
func TestItemsAreGivenOut(t *testing.T) {
	r := drawn(t, "\n....\n.@..\n....").with(kind.Source, 1, 1, 1, 1, false, document.Down, value("makes", `[{"of":"collectible","odds":1}]`), value("inAll", "3")).
		with(kind.Switch, 1, 1, 1, 1, false, document.Down)
	r.does(rules.WordUse, r.end(kind.Switch), rules.WordMake, r.end(kind.Source))
	for n := range 5 {
		r.press(play.InputUse)
		r.hold(0, 3)
		if want := min(n+1, 3); r.g.Purse() != want {
			t.Errorf("after %d presses the hero has %d", n+1, r.g.Purse())
		}
	}
}

// What comes along a lane takes from the core, and with the last the game begins anew.
func TestLanes(t *testing.T) {
	r := drawn(t, "\n..........\n..........\n@.........").with(kind.Lane, 0, 0, 1, 1, false, document.Down, value("lane", `"shore"`)).
		with(kind.LaneEntry, 0, 0, 1, 1, true, document.Right, value("lane", `"shore"`), value("makes", walkers), value("waves", "[2,9]"), value("every", "500")).
		with(kind.Core, 9, 0, 1, 1, false, document.Down, value("health", "3"))
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Lane).Entity}, "points", []grid.Point{{X: 9 * 16, Y: 0}}))
	g, err := play.Start(stage(r.d), r.mapID(), 1)
	if err != nil {
		t.Fatal(err)
	}
	r.g = g
	var through, anew int
	core, waves := r.thing(kind.Core), []int{}
	for range 1200 {
		r.hold(0, 1)
		if at, of := r.g.Wave(r.g.Ground()); of == 2 && !slices.Contains(waves, at) {
			waves = append(waves, at)
		}
		for _, e := range r.g.Told {
			if e.Is == "through" {
				through++
			}
		}
		if tolls := r.g.Tolls(r.g.Ground(), false); through < 3 && !slices.Equal(tolls, []play.Toll{{Of: core, Left: int32(3 - through), All: 3}}) {
			t.Fatalf("after %d came through it is told %v", through, tolls)
		}
		if strings.Contains(r.g.Notice, "began anew") {
			anew = through
			break
		}
	}
	if through != 3 || anew != 3 || !slices.Equal(waves, []int{1, 2}) {
		t.Errorf("%d came through, the game began anew after %d, and the waves were %v", through, anew, waves)
	}
}

// On a buildable place comes up what it takes, one after the other, for its price.
func TestBuilding(t *testing.T) {
	r := drawn(t, "\n....\n.@..\n....").with(kind.Plot, 1, 1, 1, 1, false, document.Down, value("takes", `[{"of":"light","odds":1},{"of":"fan","odds":3}]`))
	for range 2 { // there is one already
		r.with(kind.Collectible, 3, 1, 1, 1, false, document.Down)
	}
	if r.press(play.InputUse); len(r.g.Lines) != 1 || !strings.Contains(r.g.Lines[0].Text, "costs 1, and you have 0") || len(r.made(kind.Plot)) != 0 {
		t.Fatalf("without money: %+v", r.g.Lines)
	}
	r.press(play.InputUse)
	for k := range r.g.Stage.Things {
		if r.g.Stage.Things[k].Acts == kind.Collectible {
			r.g.Mark(world.Ref(k), play.Taken)
		}
	}
	if r.press(play.InputUse); len(r.made(kind.Plot)) != 1 || r.g.Stage.Thing(r.made(kind.Plot)[0]).Acts != kind.Light || r.g.Purse() != 2 {
		t.Fatalf("it put up %v, and %d are left", r.made(kind.Plot), r.g.Purse())
	}
	if r.press(play.InputUse); len(r.g.Lines) == 0 || r.g.Purse() != 2 {
		t.Errorf("the second was put up for nothing: %d left", r.g.Purse())
	}
}

// What is made goes on in a pin, on another version, and after its source was removed and came back.
func TestMadeThingsAreKept(t *testing.T) {
	r := drawn(t, "\n.........\n@........\n.........").with(kind.Source, 8, 0, 1, 1, true, document.Left, value("makes", walkers), value("every", "500"), value("atOnce", "3"), value("inAll", "7"))
	r.hold(0, 70)
	moment := r.g.Moment()
	if pin := (document.Pin{ID: "pinpinpinpin", Name: "Made", At: document.PinPlace{Map: r.mapID()}, Moment: moment}); pin.Check() != nil {
		t.Fatal(pin.Check())
	}
	g, err := play.Resume(r.g.Stage, moment)
	if err != nil {
		t.Fatal(err)
	}
	r.hold(0, 100)
	for range 100 {
		g.Step(0)
	}
	if g.Hash != r.g.Hash || len(g.Bodies) != len(r.g.Bodies) || len(g.Tallies) != 1 || g.Tallies[0] != r.g.Tallies[0] {
		t.Errorf("what goes on from the moment is otherwise: %v, %v", g.Tallies, r.g.Tallies)
	}
	r.with(kind.Sign, 4, 2, 1, 1, false, document.Down)
	if len(r.made(kind.Source)) != 3 {
		t.Errorf("on the next version there are %d", len(r.made(kind.Source)))
	}
}
