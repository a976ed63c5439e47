package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"testing"
)

// Who came to a place can be said in the rest of the rule, over waits, pins and edits: a being, or the hero.
func TestWhoCameThere(t *testing.T) {
	for _, c := range []struct {
		name string
		in   play.Input
		hero bool
	}{{"a being", 0, false}, {"the hero", play.InputRight, true}} {
		r := drawn(t, "\n@.........\n..........\n..........").with(kind.Sensor, 4, 0, 2, 3, true, document.Down, value("notices", `"anything"`)).
			with(kind.Walker, 8, 1, 1, 1, true, document.Left, value("range", "8"), value("speed", "3"))
		if c.hero {
			r.g.Bodies = r.g.Bodies[:1] // nobody else
		}
		r.d = apply(t, r.d, sample.Drawn()...)
		r.reads("when\n\tsomebody comes to sensor\nif\n\twho is within 3 cells of sensor\nthen\n\twait 1 s\n\twho thinks \"Oh\"\n\twho says \"It is me.\"\n\tset Flag")
		r.hold(c.in, 60)
		r = r.again()
		r.reads("when\n\ta new game begins\nthen\n\tset Lit")
		r.hold(0, 70)
		of := world.None
		if !c.hero {
			of = r.called("walker")
		}
		if thoughts := r.g.Show.Thoughts; len(thoughts) != 1 || thoughts[0].Of != of {
			t.Errorf("%s: thoughts are %+v", c.name, thoughts)
		}
		if len(r.g.Lines) != 1 || !c.hero && r.g.Lines[0].By != of+1 {
			t.Errorf("%s: lines are %+v", c.name, r.g.Lines)
		}
	}
}

// Who did something can be told apart: the hero, a certain one, one of a kind; of what was struck it is who shot, of a
// switch it is what weighs on it.
func TestWhoItIs(t *testing.T) {
	told := func(r *run) (out string) {
		for i, f := range []document.ID{sample.DrawnFlag, sample.Lit} {
			if r.g.Flag(f) {
				out += []string{"f", "l"}[i]
			}
		}
		return out
	}
	for _, c := range []struct{ asks, other, want string }{
		{"who is the hero", "who is walker", "l"}, {"who is a \"Walking enemy\"", "who is a Switch", "f"}, {"who is walker", "it is sensor", "fl"},
		{"it is a \"Sensor area\"", "sensor is the hero", "f"}, {"the hero is the hero", "the hero is walker", "f"}, {"every \"Sensor area\" is it", "walker is a \"Sensor area\"", "f"},
	} {
		r := drawn(t, "\n@.........\n..........\n..........").with(kind.Sensor, 4, 0, 2, 3, true, document.Down, value("notices", `"anything"`)).
			with(kind.Walker, 8, 1, 1, 1, true, document.Left, value("range", "8"), value("speed", "3")).with(kind.Switch, 9, 2, 1, 1, false, document.Down)
		r.d = apply(t, r.d, sample.Drawn()...)
		r.reads("when\n\tsomebody comes to sensor\nif\n\t"+c.asks+"\nthen\n\tset Flag", "when\n\tsomebody comes to sensor\nif\n\t"+c.other+"\nthen\n\tset Lit")
		if r.hold(0, 60); told(r) != c.want {
			t.Errorf("%s, %s: %s", c.asks, c.other, told(r))
		}
	}
	r := drawn(t, "\n..........\n@.........\n..........").with(kind.Shooter, 9, 0, 1, 1, true, document.Left, value("every", "500"), value("speed", "12"), value("range", "20")).
		with(kind.Walker, 4, 0, 1, 1, false, document.Down, value("range", "0"), value("defeatedBy", `["shot"]`))
	r.d = apply(t, r.d, sample.Drawn()...)
	r.reads("when\n\twalker is defeated\nif\n\twho is shooter\nthen\n\tset Flag")
	if r.hold(0, 120); told(r) != "f" {
		t.Errorf("who shot the walker is not known: %s", told(r))
	}
	r = drawn(t, "\n..........\n.@........\n..........").with(kind.Block, 2, 1, 1, 1, false, document.Down).with(kind.Switch, 4, 1, 1, 1, false, document.Down, value("workedBy", `"weight"`))
	r.d = apply(t, r.d, sample.Drawn()...)
	r.reads("when\n\tthe hero uses switch\nif\n\twho is a \"Push-block\"\nthen\n\tset Flag")
	if r.hold(play.InputRight, 90); told(r) != "f" {
		t.Errorf("what weighs on the switch is not known: %s", told(r))
	}
}

// The last of all that have a tag is gone when the last one is, of whatever kind, and is counted so.
func TestTheLastOfATag(t *testing.T) {
	r := salty(t).reads("when\n\tno thing tagged salty is left\nthen\n\tset Flag", uses2+"if\n\tat most 3 of thing tagged salty are left\nthen\n\tset Lit\notherwise\n\ttake away it")
	r.press(play.InputUse) // four are left, then three
	if r.g.Flag(sample.Lit) || r.g.Flag(sample.DrawnFlag) {
		t.Fatal("they are counted wrong at first")
	}
	r.hero().X, r.hero().Y = 0, 2*cell
	r.hold(0, 1)
	r.press(play.InputUse)
	if !r.g.Flag(sample.Lit) {
		t.Error("three are left, but the rule says no")
	}
	r.reads("when\n\tevery 1 s\nthen\n\ttake away everything tagged salty")
	if r.hold(0, 70); !r.g.Flag(sample.DrawnFlag) {
		t.Error("that the last is gone is not told")
	}
}

// Each of a kind comes to see another as nothing lies between them any more, and sees no more of him behind a wall; nothing is
// told at the beginning, nor of what was seen before an edit.
func TestOneSeesAnother(t *testing.T) {
	r := drawn(t, "\n@....#....\n.....#....\n.....#....").with(kind.Switch, 0, 0, 1, 1, false, document.Down).with(kind.Character, 2, 2, 1, 1, false, document.Down).
		with(kind.Walker, 8, 0, 1, 1, false, document.Down, value("range", "0"), value("sight", "20")).with(kind.Arrival, 8, 2, 1, 1, false, document.Down)
	r.d = apply(t, r.d, sample.Drawn()...)
	r.reads("when\n\tany \"Walking enemy\" comes to see character\nthen\n\tadd 1 to Salt", "when\n\twalker sees no more of character\nthen\n\tadd 10 to Salt",
		"when\n\tswitch is turned on\nthen\n\tmove character to arrival", "when\n\tswitch is turned off\nthen\n\tmove character to the hero")
	start := r.g.Counter(sample.DrawnCounter)
	counts := func(when string, want int64) {
		t.Helper()
		if got := r.g.Counter(sample.DrawnCounter) - start; got != want {
			t.Errorf("%s it comes to %d, wanted %d", when, got, want)
		}
	}
	r.hold(0, 5)
	counts("behind the wall", 0)
	r.press(play.InputUse)
	r.hold(0, 2)
	counts("beyond it", 1)
	r.reads("when\n\tsignal bell comes\nthen\n\tset Flag").hold(0, 5)
	counts("after an edit", 1)
	r.press(play.InputUse)
	r.hold(0, 2)
	counts("back behind the wall", 11)
}
