package play_test

import (
	"azzel/core/play"
	"testing"
)

func TestWaterAndAir(t *testing.T) {
	well := `
..@....
.......
~~~~~~~
~~~~~~~
~~~~~~~
~~~~~~~
#######`
	fall := func(settings ...string) (ticks int) {
		r := drawn(t, well, append(settings, fromSide)...)
		for ; ticks < 1000 && r.feet() < 6*16*play.Sub; ticks++ {
			r.hold(0, 1)
		}
		return ticks
	}
	r := drawn(t, well, fromSide)
	r.hold(0, 60)
	if r.hero().Mode != play.Swimming {
		t.Fatalf("in water it does not swim: %+v", r.hero())
	}
	y := r.hero().Y
	for range 6 {
		r.hold(play.InputJump, 6)
		r.hold(0, 4)
	}
	if r.hero().Y >= y {
		t.Error("strokes do not bring it up")
	}
	plain, slow := fall(), fall(`air="slowFall"`)
	if slow <= plain {
		t.Errorf("slow fall takes %d ticks, plain %d", slow, plain)
	}
	r = drawn(t, hall, fromSide, `air="water"`)
	r.hold(0, 2)
	if r.hero().Mode != play.Swimming {
		t.Error("where the air is water it does not swim")
	}
	r = drawn(t, hall, fromSide, `wind="right"`, "windForce=3")
	x := r.hero().X
	r.hold(0, 60)
	if got := r.hero().X - x; got != 3*16*play.Sub/60*60 {
		t.Errorf("the wind blows it %d units in a second", got)
	}
	r = drawn(t, hall, `wind="down"`, "windForce=2")
	r.hold(0, 60)
	if r.feet() != 7*16*play.Sub {
		t.Errorf("wind from above blows its feet to %d, the wall begins at %d", r.feet(), 7*16*play.Sub)
	}
}

func TestDucking(t *testing.T) {
	r := drawn(t, `
.......
.@.....
#######`, fromSide)
	r.hold(play.InputDown, 2)
	if r.hero().Flags&play.Ducked == 0 {
		t.Fatal("it does not duck")
	}
	r.hold(0, 2)
	if r.hero().Flags&play.Ducked != 0 {
		t.Error("it does not stand up")
	}
	// under what hangs half a cell low it fits ducked only, and stays so until there is room
	low := `
.......
.@.""..
#######`
	r = drawn(t, low, fromSide)
	r.hold(play.InputRight, 60)
	r.at("upright", 2, 1)
	r.hold(play.InputRight|play.InputDown, 60)
	r.hold(play.InputRight, 1)
	if r.hero().Flags&play.Ducked == 0 || r.cell().X < 3 {
		t.Errorf("under it: at %v, %+v", r.cell(), r.hero())
	}
	r.hold(play.InputRight|play.InputDown, 60)
	r.hold(0, 2)
	if r.hero().Flags&play.Ducked != 0 || r.cell().X < 5 {
		t.Errorf("behind it: at %v, %+v", r.cell(), r.hero())
	}
}
