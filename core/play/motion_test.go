package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"testing"
)

// What is shown of a motion is what happens in the game, as long as the hero is far.
func TestMotionIsWhatIsPlayed(t *testing.T) {
	for _, c := range []struct {
		kind   string
		values []kind.Value
		moves  bool
	}{
		{kind.Walker, []kind.Value{value("range", "2"), value("speed", "4")}, true}, {kind.Flyer, []kind.Value{value("range", "3")}, true},
		{kind.Platform, []kind.Value{value("range", "2")}, true}, {kind.Character, nil, false}, {kind.Block, nil, false},
	} {
		for _, view := range []string{`view="above"`, fromSide} {
			rows := "\n@..............\n#..............\n...............\n...............\n...............\n###############"
			r := drawn(t, rows, view).with(c.kind, 8, 3, 1, 1, true, document.Right, c.values...)
			ref := r.thing(c.kind)
			poses := play.Motion(r.g.Stage, ref, 240)
			if len(poses) != 60 {
				t.Fatalf("%d poses", len(poses))
			}
			moved := false
			for i, p := range poses {
				moved = moved || p.X != poses[0].X || c.kind != kind.Block && c.kind != kind.Character && p.Y != poses[0].Y
				if i > 0 { // the game has played a tick already
					r.hold(0, play.PoseTicks)
				}
				x, y := r.where(c.kind)
				if d := abs(int64(p.X)-x) + abs(int64(p.Y)-y); d > 4 {
					t.Errorf("%s, %s: pose %d is at %d, %d, and the game has it at %d, %d", c.kind, view, i, p.X, p.Y, x, y)
					break
				}
			}
			if moved != c.moves {
				t.Errorf("%s, %s: it moves: %v", c.kind, view, moved)
			}
		}
	}
	r := drawn(t, hall)
	if play.Motion(r.g.Stage, r.thing(kind.Spawn), 60) != nil {
		t.Error("a spawn moves")
	}
}
