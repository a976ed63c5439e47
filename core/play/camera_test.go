package play_test

import (
	"azzel/core/play"
	"testing"
)

var long = `
....................
.@..................
....................
....................
....................
....................
....................
....................`

// The view goes with the hero up to the ends of the map, shows all of it, or goes from
// screen to screen with a slide, as the map says; sizes are cells.
func TestCamerasFollowTheMap(t *testing.T) {
	const cell = 16 * play.Sub
	r := drawn(t, long, "screenWidth=8", "screenHeight=4")
	if c := r.g.Cam; c.X != 4*cell || c.Y != 2*cell {
		t.Errorf("at the corner its middle is %d, %d cells", c.X/cell, c.Y/cell)
	}
	r.hold(play.InputRight, 120)
	if c, h := r.g.Cam, r.hero(); c.X != h.X+6*play.Sub {
		t.Errorf("in the middle it is %d beside the hero", c.X-h.X)
	}
	r = drawn(t, long, "screenWidth=8", "screenHeight=4", `cameraEnds="nowhere"`, "cameraRight=2", "cameraDown=-1")
	if c, h := r.g.Cam, r.hero(); c.X != h.X+6*play.Sub+2*cell || c.Y != h.Y+6*play.Sub-cell {
		t.Errorf("set off it is %d, %d beside the hero", c.X-h.X, c.Y-h.Y)
	}
	// in the middle the hero goes two cells freely, and comes back as many before the view does
	r = drawn(t, long, "screenWidth=8", "screenHeight=4", `cameraEnds="nowhere"`, "cameraFreeAcross=2")
	r.hold(play.InputRight, 20)
	if c, h := r.g.Cam, r.hero(); c.X != cell*3/2 || c.Y != h.Y+6*play.Sub {
		t.Errorf("within its free middle it moved to %d", c.X)
	}
	r.hold(play.InputRight, 60)
	c, h := r.g.Cam, r.hero()
	if c.X != h.X+6*play.Sub-2*cell {
		t.Errorf("beyond its free middle it is %d behind", h.X-c.X)
	}
	r.hold(play.InputLeft, 30)
	if r.g.Cam.X != c.X {
		t.Error("the view came back with the hero")
	}
	r = drawn(t, long, `camera="whole"`)
	r.hold(play.InputRight, 60)
	if c := r.g.Cam; c.X != 10*cell || c.Y != 4*cell {
		t.Errorf("of the whole its middle is %d, %d", c.X/cell, c.Y/cell)
	}
	r = drawn(t, long, "screenWidth=8", "screenHeight=4", `camera="screens"`)
	if c := r.g.Cam; c.X != 4*cell {
		t.Errorf("on the first screen its middle is %d", c.X/cell)
	}
	for r.cell().X < 8 {
		r.hold(play.InputRight, 1)
	}
	r.hold(0, 5)
	if c := r.g.Cam; c.X <= 4*cell || c.X >= 12*cell {
		t.Errorf("sliding its middle is %d", c.X/cell)
	}
	r.hold(0, 30)
	if c := r.g.Cam; c.X != 12*cell {
		t.Errorf("on the second screen its middle is %d", c.X/cell)
	}
	// what the player sees never decides what happens
	a, b := drawn(t, long), drawn(t, long, "screenWidth=4", "screenHeight=4", `camera="screens"`)
	for _, in := range keys(5, 300) {
		a.hold(in, 1)
		b.hold(in, 1)
	}
	if *a.hero() != *b.hero() {
		t.Error("with another camera the hero goes elsewhere")
	}
}
