package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"testing"
)

// The first time is the first for each thing, and as long as the rule has not come to its end; a pin keeps it.
func TestFirstTimes(t *testing.T) {
	const asks = "then\n\tif all of this is so\n\t\tthis is the first time\n\tthen\n\t\twait 1 s\n\t\tadd 10 to Salt\n\totherwise\n\t\tadd 1 to Salt\n"
	r := stepping(t).reads("when\n\tany Switch is turned on\n"+asks).with(kind.Switch, 0, 2, 1, 1, false, document.Down)
	uses := func(row int64) {
		r.hero().X, r.hero().Y = 0, row*cell
		r.hold(0, 1)
		r.press(play.InputUse)
		r.press(play.InputUse)
		r.hold(0, 70)
	}
	want := func(so int64) {
		t.Helper()
		if got := r.g.Counter(sample.DrawnCounter); got != so {
			t.Fatalf("it has come to %d and not %d", got, so)
		}
	}
	uses(0)
	want(12)
	r = r.again()
	uses(0)
	want(13)
	uses(2)
	want(23)
	uses(2)
	want(24)
}

// Where the hero came from is the map before, over pins and edits, until it goes to another one.
func TestCameFrom(t *testing.T) {
	d := touching(t, opened(t))
	r := begin(t, d)
	for _, text := range []string{"when\n\tthe hero arrives on Pans\nif\n\tthe hero came from Quay\nthen\n\tset Lit", "when\n\tthe hero arrives on Quay\nif\n\tthe hero came from Quay\nthen\n\tclear Lit"} {
		r.reads(text)
	}
	r.until(play.InputRight, func() bool { return r.mapID() == sample.Pans })
	if r.hold(0, 2); !r.g.Flag(sample.Lit) {
		t.Fatal("on the Pans it did not come from the Quay")
	}
	from := r.g.Count(play.CameFrom)
	if r = r.again(); from == 0 || r.g.Count(play.CameFrom) != from {
		t.Errorf("a pin keeps %d of %d", r.g.Count(play.CameFrom), from)
	}
	r.until(play.InputLeft, func() bool { return r.mapID() == sample.Quay })
	if r.hold(0, 2); !r.g.Flag(sample.Lit) || r.g.Count(play.CameFrom) == from {
		t.Error("back on the Quay it came from there")
	}
}

// A hero that waits comes along when a rule says so, and stays where it is then.
func TestHeroesComeAlong(t *testing.T) {
	r := pair(t, "\n##########\n@.........\n##########", 8, 1, `"waits"`).with(kind.Switch, 0, 1, 1, 1, false, document.Down).
		reads("when\n\tswitch is turned on\nthen\n\tlet \"hero\" come along", "when\n\tswitch is turned off\nthen\n\tlet \"hero\" stay here")
	where := func() int64 { return r.g.Companions()[0].X / cell }
	r.press(play.InputUse)
	r.hold(play.InputRight, 60)
	if got := where(); got >= r.hero().X/cell || got < 0 {
		t.Fatalf("it comes along at %d, the hero is at %d", got, r.hero().X/cell)
	}
	r = r.again()
	r.until(play.InputLeft, func() bool { return r.hero().X < cell/2 })
	r.press(play.InputUse)
	stays := where()
	if r.hold(play.InputRight, 90); where() != stays || stays > 3 {
		t.Errorf("told to stay at %d it is at %d", stays, where())
	}
}
