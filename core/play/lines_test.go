package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"testing"
)

// line puts ground down that is drawn freely, from a map pixel on.
func (r *run) line(x, y int, points []grid.Point, values ...kind.Value) *run {
	r.t.Helper()
	r.with(kind.GroundLine, 0, 0, 1, 1, false, document.Down, values...)
	ref := edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.GroundLine).Entity}
	r.d = apply(r.t, r.d, edit.Set(ref, "x", x-8), edit.Set(ref, "y", y-8), edit.Set(ref, "points", points))
	r.g.Enter(stage(r.d))
	return r
}

// Ground lines are walked on as slopes are, up and down, without leaving them; what is too steep stops.
func TestGroundLinesAreWalkedOn(t *testing.T) {
	rows := "\n....................\n....................\n....................\n@...................\n####................\n####................"
	for _, c := range []struct {
		name   string
		points []grid.Point
		x, y   int // the cell that the hero comes to in two seconds and a half
	}{
		{"level", []grid.Point{{X: 240}}, 11, 3},
		{"rising", []grid.Point{{X: 64}, {X: 160, Y: -48}, {X: 240, Y: -48}}, 11, 0},
		{"falling", []grid.Point{{X: 80}, {X: 160, Y: 30}, {X: 240, Y: 30}}, 11, 4},
		{"a wall", []grid.Point{{X: 64}, {X: 64, Y: -64}}, 7, 3},
	} {
		r := drawn(t, rows, fromSide).line(60, 64, c.points)
		r.hold(0, 5)
		left := 0
		for range 150 {
			r.hold(play.InputRight, 1)
			if r.hero().Mode == play.Airborne {
				left++
			}
		}
		if r.cell() != (grid.Point{X: c.x, Y: c.y}) && r.cell() != (grid.Point{X: c.x + 1, Y: c.y}) {
			t.Errorf("%s: the hero is at %v", c.name, r.cell())
		}
		if left > 0 {
			t.Errorf("%s: it left the ground for %d ticks", c.name, left)
		}
	}
}

// A line stops what falls on it exactly where it lies, a shape has no way in, and one that stops only from
// above lets through from below, and down when asked to.
func TestGroundLinesStop(t *testing.T) {
	rows := "\n..........\n...@......\n..........\n..........\n..........\n##########"
	r := drawn(t, rows, fromSide).line(16, 50, []grid.Point{{X: 120}})
	r.hold(0, 60)
	if foot := px(r.feet()); foot != 50 {
		t.Errorf("it stands at %d, the line lies at 50", foot)
	}
	above := drawn(t, rows, fromSide).line(16, 60, []grid.Point{{X: 120}}, value("stops", `"above"`))
	above.hold(0, 60)
	if foot := px(above.feet()); foot != 60 {
		t.Errorf("on one from above it stands at %d", foot)
	}
	above.hold(play.InputDown, 2)
	above.hold(play.InputDown|play.InputJump, 1)
	above.hold(0, 60)
	if foot := px(above.feet()); foot != 80 {
		t.Errorf("asked to drop it stands at %d", foot)
	}
	above.hold(play.InputJump, 60)
	above.hold(0, 60)
	if foot := px(above.feet()); foot != 60 {
		t.Errorf("after a jump from below it stands at %d", foot)
	}
	solid := drawn(t, "\n..........\n..........\n..........\n..........\n...@......\n##########", fromSide).line(16, 50, []grid.Point{{X: 120}})
	if high := solid.highest(func(int) play.Input { return play.InputJump }); px(high) > 20 {
		t.Errorf("it jumps %d pixels through a line", px(high))
	}
	room := drawn(t, "\n..........\n...@......\n..........\n..........").line(32, 10, []grid.Point{{X: 40}, {X: 40, Y: 40}, {Y: 40}}, value("closed", "true"))
	for _, in := range []play.Input{play.InputLeft, play.InputUp, play.InputRight, play.InputDown} {
		room.hold(in, 60)
		if c := room.cell(); c.X < 2 || c.X > 4 || c.Y > 3 {
			t.Fatalf("it went out of a closed shape to %v", c)
		}
	}
}

// Shots end at a line, and a line that a rule takes away stops nobody.
func TestGroundLinesAreThings(t *testing.T) {
	r := drawn(t, "\n..........\n@.........\n..........").line(80, 0, []grid.Point{{Y: 47}}).with(kind.Shooter, 9, 1, 1, 1, true, document.Left, value("every", "500")).
		with(kind.Switch, 0, 1, 1, 1, false, document.Down)
	r.hold(0, 200)
	if r.g.Count(play.Hearts) != 3 {
		t.Error("a shot went through a line")
	}
	r.does(rules.WordUse, r.end(kind.Switch), rules.WordRemove, r.end(kind.GroundLine))
	r.hold(play.InputRight, 90)
	r.at("stopped by it", 4, 1)
	r.until(play.InputLeft, func() bool { return r.cell().X == 0 })
	r.press(play.InputUse)
	r.hold(play.InputRight, 80)
	if r.cell().X < 5 {
		t.Errorf("a line that is gone stops at %v", r.cell())
	}
}

// carried has a thing travel along with an entity, and absent lets it wait until a rule brings it.
func (r *run) carried(k string, by document.ID) { r.change(k, "carrier", by) }
func (r *run) absent(k string)                  { r.change(k, "absent", true) }

func (r *run) change(k, field string, to any) {
	r.t.Helper()
	r.d = apply(r.t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(k).Entity}, field, to))
	r.g.Enter(stage(r.d))
}
