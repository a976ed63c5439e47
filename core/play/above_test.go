package play_test

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"testing"
)

var yard = `
##########
#........#
#.@..#...#
#....#...#
#........#
##########`

// From cell to cell the hero always ends in the middle of one, goes where it is free, and to
// the corners only past no wall.
func TestCellByCell(t *testing.T) {
	middle := func(r *run) bool {
		h := r.hero()
		return (h.X-2*play.Sub)%(16*play.Sub) == 0 && (h.Y-2*play.Sub)%(16*play.Sub) == 0
	}
	for _, c := range []struct {
		name     string
		settings []string
		in       play.Input
		ticks    int
		at       grid.Point
	}{
		{"a tap is a step", nil, play.InputRight, 1, grid.Point{X: 3, Y: 2}},
		{"held it goes on to the wall", nil, play.InputRight, 200, grid.Point{X: 4, Y: 2}},
		{"a wall above", nil, play.InputUp, 200, grid.Point{X: 2, Y: 1}},
		{"to the corner", nil, play.InputRight | play.InputDown, 1, grid.Point{X: 3, Y: 3}},
		{"not to the corner with four directions", []string{`ways="four"`}, play.InputRight | play.InputDown, 1, grid.Point{X: 2, Y: 3}},
		{"along the wall", nil, play.InputLeft | play.InputDown, 200, grid.Point{X: 1, Y: 4}},
		{"turn by turn", []string{`walking="turns"`}, play.InputRight, 1, grid.Point{X: 3, Y: 2}},
	} {
		settings := append([]string{`walking="cells"`}, c.settings...)
		if len(c.settings) > 0 && c.settings[0] == `walking="turns"` {
			settings = c.settings
		}
		r := drawn(t, yard, settings...)
		r.hold(c.in, c.ticks)
		r.hold(0, 60)
		if r.cell() != c.at || !middle(r) {
			t.Errorf("%s: it is at %v (%d, %d), wanted %v", c.name, r.cell(), r.hero().X, r.hero().Y, c.at)
		}
	}
	// past a corner it goes round, not through
	r := drawn(t, yard, `walking="cells"`)
	r.hold(play.InputRight, 60)
	r.hold(play.InputRight|play.InputDown, 200)
	r.hold(0, 60)
	if r.cell() != (grid.Point{X: 8, Y: 4}) {
		t.Errorf("round the corner it came to %v", r.cell())
	}
	// a turn takes as long as it says, whatever the speed
	r = drawn(t, yard, `walking="turns"`, "run=50")
	r.hold(play.InputRight, 1)
	r.hold(0, play.TurnTicks-2)
	if r.hero().Flags&play.Stepping == 0 {
		t.Error("a turn ends too early")
	}
	r.hold(0, 1)
	if r.hero().Flags&play.Stepping != 0 {
		t.Error("a turn does not end")
	}
}

func TestFourDirections(t *testing.T) {
	r := drawn(t, yard, `ways="four"`)
	r.hold(play.InputRight, 4)
	x, y := r.hero().X, r.hero().Y
	r.hold(play.InputRight|play.InputDown, 4)
	if r.hero().X == x || r.hero().Y != y || r.hero().Look() != document.Right {
		t.Errorf("two keys move it by %d, %d", r.hero().X-x, r.hero().Y-y)
	}
}

func TestWaterSlowsFromAbove(t *testing.T) {
	far := func(rows string) int64 {
		r := drawn(t, rows)
		x := r.hero().X
		r.hold(play.InputRight, 30)
		return r.hero().X - x
	}
	if dry, wet := far("......\n.@....\n......"), far("~~~~~~\n~@~~~~\n~~~~~~"); wet >= dry*3/4 || wet == 0 {
		t.Errorf("it goes %d in water, %d on land", wet, dry)
	}
}

// The way that is found leads there, and the keys that are held for it do.
func TestRoutes(t *testing.T) {
	for _, settings := range [][]string{nil, {`ways="four"`}, {`walking="cells"`}, {`walking="turns"`, `ways="four"`}, {"run=20"}} {
		r := drawn(t, yard, settings...)
		goal := grid.Point{X: 8, Y: 2}
		way := r.g.Route(goal)
		if len(way) == 0 || way[0] != r.cell() || way[len(way)-1] != goal {
			t.Fatalf("%v: the way is %v", settings, way)
		}
		if want := map[bool]int{true: 7, false: 9}[len(settings) == 0 || settings[0] != `ways="four"` && len(settings) == 1]; len(way) != want {
			t.Errorf("%v: the way has %d cells, wanted %d: %v", settings, len(way), want, way)
		}
		for n := 0; n < 600 && len(way) > 0; n++ {
			in, there := r.g.Toward(way[0])
			if there {
				way = way[1:]
				continue
			}
			r.hold(in, 1)
		}
		if r.cell() != goal {
			t.Errorf("%v: it came to %v", settings, r.cell())
		}
	}
	r := drawn(t, yard)
	for _, p := range []grid.Point{{X: 5, Y: 2}, {X: 99, Y: 2}, r.cell()} {
		if way := r.g.Route(p); way != nil {
			t.Errorf("there is a way to %v: %v", p, way)
		}
	}
	if way := drawn(t, hall, fromSide).g.Route(grid.Point{X: 4, Y: 6}); way != nil {
		t.Error("seen from the side there is a way")
	}
}
