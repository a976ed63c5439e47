package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"strings"
	"testing"

	"azzel/core/play"
)

// What is pointed at says what it is, how it is, and what would change that.
func TestAbout(t *testing.T) {
	r := begin(t, withRule(t, sample.World(), rules.Of(rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door))))
	at := func(x, y int, wants ...string) {
		t.Helper()
		got := r.g.About(x, y)
		for _, want := range wants {
			if !strings.Contains(got, want) {
				t.Errorf("at %d,%d: %q lacks %q", x, y, got, want)
			}
		}
		if len(wants) == 0 && got != "" {
			t.Errorf("at %d,%d: %q", x, y, got)
		}
	}
	door := r.g.Stage.Thing(r.g.Stage.ThingOf(sample.Quay, sample.Door))
	lever := r.g.Stage.Thing(r.g.Stage.ThingOf(sample.Quay, sample.Switch))
	at(40, 40, "The hero walks", "3 of 3 hearts")
	at(door.X+2, door.Y+2, "Door: door, shut until the hero uses "+lever.Name)
	at(lever.X+2, lever.Y+2, lever.Name+": switch, off")
	at(200, 150)
	r.g.Strike()
	at(40, 40, "2 of 3 hearts", "thrown back")
	r.hero().X, r.hero().Y = int64(lever.X)*play.Sub, int64(lever.Y+1)*play.Sub
	r.hold(0, 60)
	r.press(play.InputUse)
	at(door.X+2, door.Y+2, "open")
	bare := begin(t, sample.World())
	if got := bare.g.About(door.X+2, door.Y+2); !strings.Contains(got, "nothing opens it") {
		t.Errorf("without a rule: %q", got)
	}
	for _, c := range []struct {
		kind   string
		values []kind.Value
		wants  []string
	}{
		{kind.Walker, []kind.Value{value("range", "0")}, []string{"walking enemy", "takes one more hit", "its speed or its range is 0"}},
		{kind.Flyer, []kind.Value{value("health", "3"), value("sight", "20"), value("seeing", `"stops"`)}, []string{"takes 3 more hits", "sees the hero and stands still"}},
		{kind.Beam, nil, []string{"Beam", "on"}},
		{kind.Sign, nil, []string{"sign"}},
	} {
		r := drawn(t, "\n........\n@.......\n........").with(c.kind, 5, 0, 1, 1, true, document.Right, c.values...)
		got := r.g.About(86, 8)
		for _, want := range c.wants {
			if !strings.Contains(strings.ToLower(got), strings.ToLower(want)) {
				t.Errorf("of a %s: %q lacks %q", c.kind, got, want)
			}
		}
	}
	side := drawn(t, hall, fromSide)
	side.hold(play.InputRight|play.InputJump, 4)
	h := side.hero()
	if got := side.g.About(int(px(h.X))+3, int(px(h.Y))+3); !strings.Contains(got, "in the air") || !strings.Contains(got, "up") {
		t.Errorf("in a jump: %q", got)
	}
}
