package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"fmt"
	"testing"
)

// Where the hero goes by points, the world stands while it has any: each step and use takes one; then the world moves for a turn, and
// it has all of them again. The player can end a turn before.
func TestATurnByPoints(t *testing.T) {
	yard := "\n@......\n.......\n......."
	start := func(settings ...string) *run {
		r := drawn(t, yard, append([]string{`walking="turns"`, "hero.points=3"}, settings...)...)
		return r.with(kind.Walker, 0, 2, 1, 1, true, document.Right, value("range", "6"), value("speed", "5"))
	}
	r := start()
	walker := r.thing(kind.Walker)
	is := func(what, want string) {
		t.Helper()
		got := fmt.Sprintf("%d points, hero %v, walker moved %v", r.g.Count(play.Points), r.g.HeroCell(), r.g.Where(walker).Left != 0)
		if got != want {
			t.Errorf("%s: %s, want %s", what, got, want)
		}
	}
	is("at first", "3 points, hero {0 0}, walker moved false")
	r.hold(0, 30)
	is("waiting", "3 points, hero {0 0}, walker moved false")
	step := func() { r.hold(play.InputRight, 1); r.hold(0, play.TurnTicks-1) }
	step()
	is("a step", "2 points, hero {1 0}, walker moved false")
	r.hold(play.InputUse, 1)
	r.hold(0, 2)
	is("a use", "1 points, hero {1 0}, walker moved false")
	step()
	r.hold(0, play.TurnTicks+2)
	is("the last step, and the world's turn", "3 points, hero {2 0}, walker moved true")
	at := r.g.Where(walker)
	r.hold(play.InputSkip, 1)
	r.hold(0, play.TurnTicks+2)
	if r.g.Where(walker) == at || r.g.Count(play.Points) != 3 {
		t.Errorf("ended by the player, the walker is at %v and there are %d points", r.g.Where(walker), r.g.Count(play.Points))
	}
	// what is held down goes on by itself from turn to turn
	r.hold(play.InputRight, 10*play.TurnTicks)
	if x := r.g.HeroCell().X; x != 6 {
		t.Errorf("held down, the hero comes to %d", x)
	}
	// ended in the middle of a step, it is over after that
	r = start()
	walker = r.thing(kind.Walker)
	r.hold(play.InputRight, 2)
	r.hold(play.InputSkip, 1)
	r.hold(0, 2*play.TurnTicks+2)
	is("ended in the middle of a step", "3 points, hero {1 0}, walker moved true")
	// a pin has them
	again, err := play.Resume(r.g.Stage, r.g.Moment())
	if err != nil || again.Count(play.Points) != r.g.Count(play.Points) {
		t.Errorf("resumed it has %d points, %v", again.Count(play.Points), err)
	}
	// what is taken gives some
	r = start().with(kind.Collectible, 1, 0, 1, 1, false, document.Down, value("points", "4"))
	step()
	if n := r.g.Count(play.Points); n != 6 {
		t.Errorf("with what was taken there are %d points", n)
	}
	// without points each step is a turn, freely there are none
	for _, settings := range [][]string{{"hero.points=0"}, {`walking="free"`}} {
		if len(settings) == 1 && settings[0] == "hero.points=0" {
			settings = append(settings, `walking="turns"`)
		} else {
			settings = append(settings, "hero.points=3")
		}
		if r = drawn(t, yard, settings...); r.g.ByPoints() != 0 {
			t.Errorf("%v: it goes by %d points", settings, r.g.ByPoints())
		}
	}
}
