package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"fmt"
	"testing"
)

// Who walks from cell to cell comes against what is in the way as one who walks freely does: a door opens for its key, and not
// where one only passes it.
func TestDoorsOpenFromCellToCell(t *testing.T) {
	for _, walking := range []string{kind.WalksFree, kind.WalksCells, kind.WalksTurns} {
		r := drawn(t, "\n@........\n#........", fmt.Sprintf("%s=%q", kind.MapWalking, walking)).
			with(kind.Key, 1, 0, 1, 1, false, document.Down, value("opens", `"brass"`), value("usedUp", "true")).
			with(kind.Door, 4, 0, 1, 1, false, document.Down, value("needs", `"brass"`)).with(kind.Door, 2, 1, 1, 1, false, document.Down, value("needs", `"brass"`))
		open := func() (out []bool) {
			for i := range r.g.Stage.Things {
				if r.g.Stage.Things[i].Acts == kind.Door {
					out = append(out, r.g.On(world.Ref(i)))
				}
			}
			return out
		}
		r.hold(play.InputRight, 30)
		if got := fmt.Sprint(open()); walking != kind.WalksFree && got != "[false false false]" {
			t.Errorf("%s: passing by, open are %s", walking, got)
		}
		r.hold(play.InputRight, 80)
		if got := fmt.Sprint(open()); walking != kind.WalksFree && got != "[false true false]" {
			t.Errorf("%s: walking against it, open are %s", walking, got)
		}
		if x := r.cell().X; walking != kind.WalksFree && x < 5 {
			t.Errorf("%s: it comes to %d", walking, x)
		}
	}
}
