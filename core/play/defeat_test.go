package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"strings"
	"testing"
)

// Each being is defeated by what it says, and by nothing else; what it leaves is had then.
func TestWhatDefeats(t *testing.T) {
	// what comes at a walker that stands at 4,1
	ways := map[string]func(by string) *run{
		"blow": func(by string) *run {
			r := drawn(t, "\n........\n...@....\n........").with(kind.Walker, 4, 1, 1, 1, true, document.Left, value("range", "0"), value("harm", "0"), value("sight", "0"), value("leaves", `["horn"]`), value("defeatedBy", by))
			r.hold(play.InputRight, 2)
			r.press(play.InputUse)
			return r
		},
		"shot": func(by string) *run {
			r := drawn(t, "\n@.......\n........\n........").with(kind.Walker, 4, 1, 1, 1, true, document.Left, value("range", "0"), value("sight", "0"), value("leaves", `["horn"]`), value("defeatedBy", by)).
				with(kind.Shooter, 0, 1, 1, 1, true, document.Right, value("every", "500"))
			r.hold(0, 90)
			return r
		},
		"hazard": func(by string) *run {
			r := drawn(t, "\n@.......\n....^...\n........").with(kind.Walker, 4, 1, 1, 1, true, document.Left, value("range", "0"), value("sight", "0"), value("leaves", `["horn"]`), value("defeatedBy", by))
			r.hold(0, 3)
			return r
		},
		"fall": func(by string) *run {
			r := drawn(t, "\n@.......\n#.......\n........\n########", fromSide).with(kind.Walker, 4, 2, 1, 1, true, document.Left, value("range", "0"), value("sight", "0"), value("leaves", `["horn"]`), value("defeatedBy", by)).
				with(kind.Block, 4, 0, 1, 1, false, document.Down)
			r.hold(0, 40)
			return r
		},
		"blast": func(by string) *run {
			r := drawn(t, "\n@.......\n........\n........").with(kind.Walker, 4, 1, 1, 1, true, document.Left, value("range", "0"), value("sight", "0"), value("leaves", `["horn"]`), value("defeatedBy", by)).
				with(kind.Charge, 3, 1, 1, 1, true, document.Down, value("after", "100"))
			r.hold(0, 20)
			return r
		},
	}
	for way, come := range ways {
		for _, by := range []string{"jump", "blow", "shot", "fall", "hazard", "blast", ""} {
			words := "[]"
			if by != "" {
				words = `["` + by + `"]`
			}
			r := come(words)
			gone := !r.g.There(r.thing(kind.Walker))
			if gone != (by == way) || r.g.Has("horn") != gone {
				t.Errorf("one that is defeated by %q, where a %s comes: gone %v, what it leaves is had %v", by, way, gone, r.g.Has("horn"))
			}
		}
	}
}

// A block sinks in water and is walked over, floats, or stays; it fills what hurts; from the side it floats up.
func TestBlocksInWater(t *testing.T) {
	push := func(rows, inWater, falls string) *run {
		r := drawn(t, rows).with(kind.Block, 2, 1, 1, 1, false, document.Down, value("inWater", inWater), value("falls", falls))
		r.hold(play.InputRight, 60)
		r.hold(0, 20)
		return r
	}
	for _, c := range []struct {
		rows, inWater, falls string
		over                 bool // the hero goes on over it
	}{
		{"\n########\n@..~####\n########", `"sinks"`, "true", true},
		{"\n########\n@..~####\n########", `"floats"`, "true", false},
		{"\n########\n@..~####\n########", `"stays"`, "true", false},
		{"\n########\n@..^####\n########", `"stays"`, "true", true},
		{"\n########\n@..^####\n########", `"sinks"`, "false", false},
	} {
		r := push(c.rows, c.inWater, c.falls)
		r.hold(play.InputRight, 40)
		if over := r.cell().X == 3; over != c.over || r.g.Count(play.Hearts) != 3 || c.over && r.hero().Mode != play.Walking {
			t.Errorf("%s in water, falls %s, %q: the hero is at %v with %d hearts", c.inWater, c.falls, c.rows[10:18], r.cell(), r.g.Count(play.Hearts))
		}
	}
	for inWater, floats := range map[string]bool{`"floats"`: true, `"sinks"`: false} {
		r := drawn(t, "\n@.......\n#.......\n....~...\n....~...\n....~...\n########", fromSide).with(kind.Block, 4, 4, 1, 1, false, document.Down, value("inWater", inWater))
		r.hold(0, 120)
		if _, y := r.where(kind.Block); (y < 40) != floats {
			t.Errorf("%s: the block is at %d", inWater, y)
		}
	}
}

// What is asked for holds a switch down: the weights of all that is on it together.
func TestWeights(t *testing.T) {
	r := drawn(t, "\n@....\n.....\n.....").with(kind.Switch, 3, 1, 1, 1, false, document.Down, value("workedBy", `"weight"`), value("goesBack", `"whenLeft"`), value("weighs", "4")).
		with(kind.Block, 3, 1, 1, 1, false, document.Down, value("weight", "3"))
	if r.hold(0, 3); r.g.On(r.thing(kind.Switch)) {
		t.Error("a weight of 3 holds down what asks for 4")
	}
	r.with(kind.Walker, 3, 1, 1, 1, true, document.Down, value("range", "0"), value("sight", "0"))
	if r.hold(0, 3); !r.g.On(r.thing(kind.Switch)) {
		t.Error("a weight of 4 does not")
	}
	r.g.Mark(r.thing(kind.Walker), play.Gone)
	if r.hold(0, 3); r.g.On(r.thing(kind.Switch)) {
		t.Error("it stays down after what was on it is gone")
	}
}

// Words of what defeats somebody are any of those that there are.
func TestBeatenIsRead(t *testing.T) {
	s := kind.Find(kind.Walker).Setting("defeatedBy")
	for text, want := range map[string]string{"a jump on it, blast": `["jump","blast"]`, "nothing": "[]", "": "[]", "blast, jump": `["jump","blast"]`} {
		if got, err := s.Read(text); err != nil || string(got) != want {
			t.Errorf("%q is read as %s, %v", text, got, err)
		}
	}
	if _, err := s.Read("a stare"); err == nil || !strings.Contains(err.Error(), "any of a jump on it, a blow") {
		t.Errorf("a stare is read: %v", err)
	}
	if got := s.Text(`["jump","blast"]`); got != "a jump on it, a blast" {
		t.Errorf("it is shown as %q", got)
	}
	if d, err := s.Is(`"nothing"`); err != nil || d != "[]" {
		t.Errorf("what earlier versions wrote is %s, %v", d, err)
	}
	if w := (&world.Doing{}).Beaten; w != 0 {
		t.Error("what says nothing is defeated")
	}
}

// What was shot on a map that one has left meanwhile hits nobody on the one to which one came.
func TestAShotOfAnotherMapHitsNobody(t *testing.T) {
	for _, elsewhere := range []bool{false, true} {
		r := drawn(t, "\n@.......\n........\n........").with(kind.Walker, 4, 1, 1, 1, true, document.Left, value("range", "0"), value("sight", "0"), value("defeatedBy", `["shot"]`)).
			with(kind.Shooter, 0, 1, 1, 1, false, document.Right)
		r.hold(0, 1)
		by := r.thing(kind.Shooter)
		for ref := range r.g.Stage.Things {
			if other := world.Ref(ref); elsewhere && r.g.Stage.Thing(other).Map != r.g.Ground().Ref {
				by = other
			}
		}
		r.g.Shots = []play.Shot{{Of: by, X: 4*cell + cell/2, Y: cell + cell/2, Left: 20}}
		r.hold(0, 1)
		if there := r.g.There(r.thing(kind.Walker)); there != elsewhere {
			t.Errorf("a shot of another map (%t) meets a walker, which is there afterwards: %t", elsewhere, there)
		}
	}
}
