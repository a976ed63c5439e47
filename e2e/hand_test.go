package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// slots are the names of what is in the tray, from 1 to 0.
func (k *tab) slots() string {
	k.Helper()
	return k.eval(`() => [...document.querySelectorAll('[data-testid=tray] button')].map((b) => /: (tile \d+|empty|what was)/.exec(b.ariaLabel)?.[1] ?? b.ariaLabel).map((t) => t.replace('tile ', '').replace('empty', '-').replace('what was', '-')).join(' ')`)
}

// What was held last keeps its place in the tray, and a thing is in one slot only.
func TestTrailKeepsItsOrder(t *testing.T) {
	k := world(t).open()
	for _, tile := range []int{1, 2, 3, 2, 1} {
		k.holdTile(tile)
	}
	must(t, want("the tray", k.slots(), "- - - - - 1 2 3 - -"))
	for _, tile := range []int{4, 5} {
		k.holdTile(tile)
	}
	k.holdTile(6) // the one that was used longest ago makes room
	must(t, want("the tray", k.slots(), "- - - - - 1 2 6 4 5"))
	k.focusMap()
	k.with(input.ShiftLeft, input.Digit1)
	must(t, want("the tray with 6 kept", k.slots(), "6 - - - - 1 2 - 4 5"))
	k.with(input.ShiftLeft, input.Digit2)
	must(t, want("the tray with 6 kept elsewhere", k.slots(), "- 6 - - - 1 2 - 4 5"))
	k.reload()
	k.holdTile(7)
	must(t, want("the tray after a reload", k.slots(), "- 6 - - - 1 2 7 4 5"))
}

// Each thing, and the eraser, remembers how it was put down; the breadth of a stroke
// and the depth of a rim are two things.
func TestThingsRememberTheirShape(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyB)
	k.see("[data-testid=hand]", "box")
	k.keys(input.KeyX, input.KeyH, input.BracketRight, input.BracketRight)
	k.see("[data-testid=hand]", "3 broad")
	k.keys(input.KeyW)
	k.see("[data-testid=hand]", "1 deep")
	k.keys(input.BracketRight)
	k.see("[data-testid=hand]", "2 deep")
	k.keys(input.KeyH)
	k.see("[data-testid=hand]", "3 broad")
	k.holdTile(5)
	k.see("[data-testid=hand]", "box")
	k.keys(input.KeyX)
	k.see("[data-testid=hand]", "the eraser\nas\nfreehand\n3 broad")
	k.reload()
	k.holdTile(5)
	k.see("[data-testid=hand]", "box")
	k.click(k.at(4, 4))
	k.stored(groundAt(4, 4, 5))
	k.same()
}

// The odds of a scatter stay open while it is painted, and count what the ghost would put down.
func TestOddsStayOpenWhilePainting(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyB)
	k.press("Scatter: off")
	k.pressIn("[aria-label=Scatter] label", "Draw one of what is held")
	k.write("[aria-label='Odds of nothing']", "1")
	k.see("[aria-label=Scatter]", "50 %")
	k.drag(left, k.at(2, 1), k.at(9, 3))
	k.saved()
	k.see("[aria-label=Scatter]", "50 %")
	n := 0
	k.stored(func(d *document.Document) error {
		m := d.Maps.Get(sample.Quay)
		n = m.Layers.Get(sample.Ground).Cells.Region(m.Bounds, func(c cells.Cell) bool { return c == cells.TileCell(1, 5) }).Count()
		if n == 0 || n == 24 {
			return fmt.Errorf("%d of 24 cells were drawn", n)
		}
		return nil
	})
	k.hold(left, k.at(2, 6), k.at(9, 8))
	within(t, soon, func() error {
		var tile, nothing int
		if _, err := fmt.Sscan(k.eval(`() => [...document.querySelectorAll('[aria-label=Scatter] label > span:last-child')].map((e) => e.textContent.trim()).join(' ')`), &tile, &nothing); err != nil {
			return err
		}
		return want("what the ghost counts", fmt.Sprint(tile+nothing), "24")
	})
	k.keys(input.Escape)
	k.same()
}
