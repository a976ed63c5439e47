package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"testing"
)

// after is the run so many ticks later.
func (r *run) after(ticks int) *run {
	r.t.Helper()
	r.hold(0, ticks)
	return r
}

// What breaks something is named: by what breaks it it is broken, and by nothing else.
func TestWhatBreaks(t *testing.T) {
	ways := []struct {
		name string
		lets func(values ...kind.Value) *run
	}{
		{"blow", func(values ...kind.Value) *run {
			r := drawn(t, "\n........\n@.......\n........").with(kind.Breakable, 1, 1, 1, 1, false, document.Down, values...)
			r.hold(play.InputRight, 4)
			r.press(play.InputUse)
			r.hold(0, 30)
			return r
		}},
		{"blast", func(values ...kind.Value) *run {
			return drawn(t, "\n........\n@.......\n........").with(kind.Breakable, 5, 1, 1, 1, false, document.Down, values...).
				with(kind.Charge, 6, 1, 1, 1, true, document.Down, value("after", "100"), value("reach", "2"), value("harm", "0")).after(40)
		}},
		{"shot", func(values ...kind.Value) *run {
			return drawn(t, "\n........\n........\n@.......").with(kind.Breakable, 4, 0, 1, 1, false, document.Down, values...).
				with(kind.Shooter, 7, 0, 1, 1, true, document.Left, value("every", "300"), value("reach", "6")).after(120)
		}},
		{"fall", func(values ...kind.Value) *run {
			return drawn(t, "\n........\n........\n........\n........\n@.......\n########", fromSide).with(kind.Breakable, 4, 4, 1, 1, false, document.Down, values...).
				with(kind.Block, 4, 0, 1, 1, false, document.Down, value("weight", "2")).after(120)
		}},
	}
	for _, by := range ways {
		for _, way := range ways {
			r := way.lets(value("brokenBy", `["`+by.name+`"]`))
			if broken := !r.g.There(r.thing(kind.Breakable)); broken != (by.name == way.name) {
				t.Errorf("broken by a %s: a %s breaks it: %t", by.name, way.name, broken)
			}
		}
	}
	fall := ways[3].lets
	for _, c := range []struct {
		heavy string
		want  bool
	}{{"1", true}, {"2", true}, {"3", false}} {
		r := fall(value("brokenBy", `["fall"]`), value("heavy", c.heavy))
		if broken := !r.g.There(r.thing(kind.Breakable)); broken != c.want {
			t.Errorf("a block of 2 breaks what bears less than %s: %t", c.heavy, broken)
		}
	}
	if r := ways[0].lets(value("by", `"pick"`)); !r.g.There(r.thing(kind.Breakable)) {
		t.Error("a blow without the pick breaks what needs it")
	}
}

// A character wanders as far at once, and rests as long, as is set; one that flees keeps away from the hero.
func TestHowCharactersWander(t *testing.T) {
	for _, c := range []struct {
		rests, strolls string
		least, most    int   // ticks of going in a minute
		far            int64 // pixels between two rests, at the most
	}{
		{"0", "1", 2800, 3600, 9999},
		{"1000", "1", 300, 1500, 16},
		{"5000", "4", 60, 1500, 64},
		{"60000", "1", 0, 60, 16},
	} {
		r := drawn(t, "\n...............\n...............\n...............\n...............\n@..............\n...............\n...............\n...............").
			with(kind.Character, 8, 4, 1, 1, false, document.Down, value("does", `"wanders"`), value("roams", "4"), value("rests", c.rests), value("strolls", c.strolls), value("speed", "3"))
		x, y := r.where(kind.Character)
		went, at, longest, still := 0, int64(0), int64(0), 0
		for range 3600 {
			r.hold(0, 1)
			nx, ny := r.where(kind.Character)
			if moved := max(nx-x, x-nx, ny-y, y-ny); moved > 0 {
				went, at, still = went+1+still, at+moved, 0
				longest = max(longest, at)
			} else if still++; still > 2 { // it goes less than a pixel in a tick
				at, still = 0, 0
			}
			x, y = nx, ny
		}
		if went < c.least || went > c.most || longest > c.far {
			t.Errorf("resting %s ms it goes for %d ticks of 3600, %d pixels at once", c.rests, went, longest)
		}
	}
	for _, side := range []string{`view="above"`, fromSide} {
		r := drawn(t, "\n....................\n....................\n@...................\n####################", side).
			with(kind.Character, 4, 2, 1, 1, false, document.Left, value("does", `"flees"`), value("roams", "3"), value("speed", "4"))
		r.hold(0, 30)
		first, _ := r.where(kind.Character)
		r.hold(play.InputRight, 40)
		x, _ := r.where(kind.Character)
		r.hold(0, 60)
		later, _ := r.where(kind.Character)
		if first != 4*16 || x <= first+16 || later-int64(r.cell().X)*16 < 2*16 {
			t.Errorf("%s: it stood at %d, fled to %d, and stands at %d with the hero at %v", side, first, x, later, r.cell())
		}
	}
}
