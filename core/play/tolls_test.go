package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"testing"
)

// Of what was hit it is told how much it takes still, where that is more than one hit and it is there; of a core always, which is told apart.
func TestWhatThingsTakeStill(t *testing.T) {
	walker := func(health string) []kind.Value {
		return []kind.Value{value("range", "0"), value("harm", "0"), value("sight", "0"), value("health", health)}
	}
	for _, c := range []struct {
		name, kind string
		values     []kind.Value
		blows      int
		left, all  int32
	}{
		{"a wall that was not hit", kind.Breakable, []kind.Value{value("health", "3")}, 0, 0, 0},
		{"one that was", kind.Breakable, []kind.Value{value("health", "3")}, 2, 1, 3},
		{"one that is broken", kind.Breakable, []kind.Value{value("health", "3")}, 3, 0, 0},
		{"a jar", kind.Breakable, nil, 0, 0, 0},
		{"a walker that was not hit", kind.Walker, walker("4"), 0, 0, 0},
		{"one that was", kind.Walker, walker("4"), 1, 3, 4},
		{"one that is defeated", kind.Walker, walker("2"), 2, 0, 0},
		{"keys of which there are two", kind.Key, []kind.Value{value("amount", "2")}, 0, 0, 0},
	} {
		r := drawn(t, "\n......\n@.....\n......").with(c.kind, 1, 1, 1, 1, true, document.Up, c.values...)
		r.with(kind.Core, 5, 0, 1, 1, false, document.Down, value("health", "7"))
		r.hero().Facing = 1
		for range c.blows {
			r.press(play.InputUse)
			r.hold(0, play.BlowTicks+1)
		}
		core := play.Toll{Of: r.thing(kind.Core), Left: 7, All: 7}
		m := r.g.Ground()
		if told := r.g.Tolls(m, false); len(told) != 1 || told[0] != core {
			t.Errorf("%s: of the core %v is told", c.name, told)
		}
		told := r.g.Tolls(m, true)
		switch {
		case len(told) == 0 || told[0] != core:
			t.Errorf("%s: the core does not come first: %v", c.name, told)
		case c.all == 0 && len(told) != 1, c.all > 0 && (len(told) != 2 || told[1] != play.Toll{Of: r.thing(c.kind), Left: c.left, All: c.all}):
			t.Errorf("%s: it takes %v, wanted %d of %d", c.name, told[1:], c.left, c.all)
		}
	}
}

// A core that is made weaker while one plays takes no more than it says now.
func TestACoreThatIsMadeWeaker(t *testing.T) {
	r := drawn(t, "\n......\n@.....").with(kind.Core, 5, 0, 1, 1, false, document.Down, value("health", "7"))
	core := r.thing(kind.Core)
	r.g.Worn = []play.Timer{{Of: core, Left: 6}}
	r.g.Stage.Things[core].Doing.Health = 4
	if told := r.g.Tolls(r.g.Ground(), false); len(told) != 1 || told[0] != (play.Toll{Of: core, Left: 4, All: 4}) {
		t.Errorf("%v is told", told)
	}
}
