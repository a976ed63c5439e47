package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"testing"
)

// A charge burns and goes off: it strikes, breaks and lights what lies in its reach, but nothing
// behind a wall.
func TestCharges(t *testing.T) {
	for _, c := range []struct {
		name, rows string
		values     []kind.Value
		broken     bool
		hearts     int32
	}{
		{"near", "\n.....\n@....\n.....", nil, true, 2},
		{"far", "\n.....\n@....\n.....", []kind.Value{value("reach", "0.5")}, false, 3},
		{"behind a wall", "\n.....\n@.#..\n.....", nil, false, 2},
		{"breaks nothing", "\n.....\n@....\n.....", []kind.Value{value("breaks", "false")}, false, 2},
		{"hurts nobody", "\n.....\n@....\n.....", []kind.Value{value("harm", "0")}, true, 3},
	} {
		r := drawn(t, c.rows).with(kind.Breakable, 3, 1, 1, 1, false, document.Down, value("health", "1")).with(kind.Charge, 1, 1, 1, 1, false, document.Down, append(c.values, value("after", "500"))...)
		r.press(play.InputRight)
		r.press(play.InputUse)
		if r.hold(0, 20); !r.g.There(r.thing(kind.Charge)) || !r.g.On(r.thing(kind.Charge)) {
			t.Fatalf("%s: it went off too early, or does not burn", c.name)
		}
		r.hold(0, 20)
		if broken := !r.g.There(r.thing(kind.Breakable)); r.g.There(r.thing(kind.Charge)) || broken != c.broken || r.g.Count(play.Hearts) != c.hearts {
			t.Errorf("%s: broken %v, %d hearts, there still %v", c.name, broken, r.g.Count(play.Hearts), r.g.There(r.thing(kind.Charge)))
		}
	}
}

// One charge lights the next, whatever lights that one otherwise; what was far from the first is reached by the last.
func TestChargesChain(t *testing.T) {
	r := drawn(t, "\n..........\n@.........\n..........").with(kind.Breakable, 9, 1, 1, 1, false, document.Down)
	for x := 2; x < 9; x += 2 {
		r.with(kind.Charge, x, 1, 1, 1, false, document.Down, value("goesOff", `"rule"`))
	}
	r.with(kind.Charge, 1, 1, 1, 1, false, document.Down, value("goesOff", `"touch"`), value("after", "100"))
	r.hold(play.InputRight, 3)
	r.hold(0, 40)
	if r.g.There(r.thing(kind.Breakable)) {
		t.Error("the last of the chain broke nothing")
	}
	blasts := 0
	for k := range r.g.Stage.Things {
		if r.g.Stage.Things[k].Acts == kind.Charge {
			blasts++
		}
	}
	if r.g.Fired(kind.Charge) != blasts {
		t.Errorf("%d of %d went off", r.g.Fired(kind.Charge), blasts)
	}
}

// A fan blows as far as it reaches and no farther than what is solid, a shut door as well, and only while it is on.
func TestFans(t *testing.T) {
	for _, c := range []struct {
		name, rows string
		on, door   bool
		blown      bool
	}{
		{"free", "\n.........\n...@.....\n.........", true, false, true},
		{"off", "\n.........\n...@.....\n.........", false, false, false},
		{"a wall between", "\n.........\n.#.@.....\n.........", true, false, false},
		{"a door between", "\n.........\n...@.....\n.........", true, true, false},
	} {
		r := drawn(t, c.rows).with(kind.Fan, 0, 1, 1, 1, c.on, document.Right, value("reach", "5"), value("force", "4"))
		if c.door {
			r.with(kind.Door, 1, 1, 1, 1, false, document.Down)
		}
		r.hold(0, 120)
		if x := r.cell().X; (x > 4) != c.blown || x > 7 {
			t.Errorf("%s: the hero was blown to %d", c.name, x)
		}
	}
	side := drawn(t, "\n.....\n.....\n.....\n.....\n..@..\n#####", fromSide).with(kind.Fan, 2, 4, 1, 1, true, document.Up, value("reach", "4"), value("force", "30"))
	from := side.feet()
	if side.hold(0, 40); from-side.feet() < cell {
		t.Errorf("from the side it is lifted by %d", from-side.feet())
	}
}

// Ground that slows halves the speed, from above and from the side.
func TestWhatSlows(t *testing.T) {
	for _, view := range []string{`view="above"`, fromSide} {
		far := func(slow bool) int64 {
			r := drawn(t, "\n............\n@...........\n############", view)
			if slow {
				r.with(kind.Water, 0, 1, 12, 1, false, document.Down, value("does", `"slows"`))
			}
			x := r.hero().X
			r.hold(play.InputRight, 60)
			return r.hero().X - x
		}
		if a, b := far(false), far(true); b < a*2/5 || b > a*3/5 {
			t.Errorf("%s: %d, and where it slows %d", view, a, b)
		}
	}
}

// Beings on foot are slowed by the same ground as the hero, and fly over it.
func TestWhatSlowsBeings(t *testing.T) {
	for _, c := range []struct {
		of, does string
		of256    int64
	}{{kind.Walker, `"slows"`, 128}, {kind.Walker, `"swims"`, 160}, {kind.Character, `"slows"`, 128}, {kind.Flyer, `"slows"`, 256}} {
		for _, view := range []string{`view="above"`, fromSide} {
			far := func(slow bool) int64 {
				r := drawn(t, "\n....................\n@...................\n####################", view).
					with(c.of, 3, 1, 1, 1, true, document.Right, value("range", "12"), value("speed", "4"), value("sight", "0"), value("does", `"wanders"`), value("roams", "14"), value("strolls", "14"), value("rests", "0"))
				if slow {
					r.with(kind.Water, 2, 1, 18, 1, false, document.Down, value("does", c.does))
				}
				x, _ := r.where(c.of)
				r.hold(0, 120)
				to, _ := r.where(c.of)
				return max(to-x, x-to)
			}
			if c.of == kind.Character && view != fromSide {
				continue // chance leads it there
			}
			if a, b := far(false), far(true); b < a*c.of256/256-3 || b > a*c.of256/256+3 {
				t.Errorf("%s: a %s goes %d, and where it %s %d", view, c.of, a, c.does, b)
			}
		}
	}
}

// A rule knows when a being was defeated, and something broken.
func TestDefeatWakesRules(t *testing.T) {
	r := drawn(t, "\n.....\n@....\n.....").with(kind.Breakable, 1, 1, 1, 1, false, document.Down, value("health", "1")).with(kind.Door, 4, 0, 1, 1, false, document.Down)
	r.does(rules.WordFalls, r.end(kind.Breakable), rules.WordOpen, r.end(kind.Door))
	r.press(play.InputRight)
	r.press(play.InputUse)
	if r.hold(0, 5); !r.g.On(r.thing(kind.Door)) {
		t.Error("the door is shut after what it waited for was broken")
	}
}
