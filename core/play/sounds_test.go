package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"strings"
	"testing"
)

// A sound place is heard the louder the nearer one is, from its side, while it is on; a map's is heard everywhere.
func TestWhatIsHeard(t *testing.T) {
	for _, c := range []struct {
		name       string
		x          int
		on         bool
		radius     string
		loudness   string
		loud, side int // 0 is not heard
	}{
		{"in its middle", 4, true, "4", "100", 1000, 0},
		{"less loud", 4, true, "4", "50", 500, 0},
		{"to the right", 6, true, "4", "100", 500, 500},
		{"to the left", 3, true, "4", "100", 750, -250},
		{"too far", 9, true, "4", "100", 0, 0},
		{"off", 4, false, "4", "100", 0, 0},
		{"as far as nothing", 4, true, "0", "100", 0, 0},
	} {
		r := drawn(t, "\n............\n....@.......\n............").with(kind.Sound, c.x, 1, 1, 1, c.on, document.Down, value("radius", c.radius), value("loudness", c.loudness), value("plays", `"drips"`))
		var got play.Heard
		for _, h := range r.g.Heard() {
			got = h
		}
		if got.Loud != c.loud || got.Side != c.side || c.loud > 0 && got.Plays != "drips" {
			t.Errorf("%s: %+v", c.name, got)
		}
	}
	for on, want := range map[bool]string{true: "drips is heard", false: "silent"} {
		r := drawn(t, "\n...\n.@.\n...").with(kind.Sound, 0, 0, 1, 1, on, document.Down, value("plays", `"drips"`))
		if got := r.g.AboutThing(r.thing(kind.Sound)); !strings.Contains(got, want) {
			t.Errorf("of it is said %q", got)
		}
	}
	r := drawn(t, "\n...\n.@.\n...", `sound="wind"`)
	if all := r.g.Heard(); len(all) != 1 || all[0].Plays != "wind" || all[0].Loud != 1000 {
		t.Errorf("on a windy map one hears %+v", all)
	}
}
