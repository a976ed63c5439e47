package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"testing"
)

// Springs throw whoever walks and what is pushed, as they throw the hero.
func TestSpringsThrowBeingsAndBlocks(t *testing.T) {
	still := []kind.Value{value("range", "0"), value("sight", "0"), value("harm", "0")}
	for _, k := range []string{kind.Walker, kind.Character, kind.Block} {
		// from the side it is thrown up as high as the spring says, and comes down again
		r := drawn(t, "\n..........\n..........\n..........\n..........\n..........\n@.........\n##########", fromSide).with(kind.Spring, 5, 5, 1, 1, false, document.Up, value("height", "3"))
		if k == kind.Block {
			r.with(k, 5, 3, 1, 1, false, document.Down)
		} else {
			r.with(k, 5, 3, 1, 1, false, document.Down, still...)
		}
		_, first := r.where(k)
		top, low := first, first
		for range 200 {
			r.hold(0, 1)
			_, y := r.where(k)
			low = max(low, y)
			if low > first {
				top = min(top, y)
			}
		}
		if low < 4*16 || top > low-3*16+2 || top < low-4*16 {
			t.Errorf("a %s fell to %d and was thrown to %d", k, low, top)
		}
	}
	// from above one that walks is thrown over what hurts, a block goes by whole cells as far as is free
	r := drawn(t, "\n............\n@..........#\n............").with(kind.Spring, 4, 1, 1, 1, false, document.Right, value("height", "4")).with(kind.Walker, 3, 1, 1, 1, true, document.Right, value("range", "1"), value("speed", "4"), value("sight", "0"), value("harm", "0"))
	r.hold(0, 40)
	if x, _ := r.where(kind.Walker); x < 6*16 {
		t.Errorf("the walker was thrown to %d", x)
	}
	for _, c := range []struct{ height, want string }{{"2", "6"}, {"4", "8"}, {"9", "10"}} {
		r = drawn(t, "\n............\n@..........#\n............").with(kind.Spring, 4, 1, 1, 1, false, document.Right, value("height", c.height)).with(kind.Block, 4, 1, 1, 1, false, document.Down)
		r.hold(0, 240)
		x, y := r.where(kind.Block)
		if want := kind.Datum(c.want).Thousandths() * 16 / 1000; int64(x) != want || y != 16 {
			t.Errorf("a spring of %s cells sent the block to %d, %d, not %d", c.height, x, y, want)
		}
	}
	// one that is disabled throws nobody
	r = drawn(t, "\n............\n@...........\n............").with(kind.Spring, 4, 1, 1, 1, false, document.Right, value("height", "4"))
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Spring).Entity}, "disabled", true))
	r.with(kind.Block, 4, 1, 1, 1, false, document.Down).hold(0, 60)
	if x, _ := r.where(kind.Block); x != 4*16 {
		t.Errorf("a disabled spring sent it to %d", x)
	}
}
