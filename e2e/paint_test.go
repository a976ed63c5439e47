package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

const (
	left   = proto.InputMouseButtonLeft
	right  = proto.InputMouseButtonRight
	middle = proto.InputMouseButtonMiddle
)

// cellsAre wants cells of the Quay's ground, given as x, y, tile (−1 for empty).
func cellsAre(layer document.ID, want ...int) func(*document.Document) error {
	return func(d *document.Document) error {
		for i := 0; i < len(want); i += 3 {
			c := cells.Cell(0)
			if want[i+2] >= 0 {
				c = cells.TileCell(1, want[i+2])
			}
			if got := d.Maps.Get(sample.Quay).Layers.Get(layer).Cells.At(want[i], want[i+1]); got != c {
				return fmt.Errorf("cell %d,%d of %s is %#x, wanted tile %d", want[i], want[i+1], layer, got, want[i+2])
			}
		}
		return nil
	}
}

// holdTile takes a tile from the sheet in the cabinet.
func (k *tab) holdTile(tile int) {
	k.Helper()
	k.press("Tiles")
	k.see("[data-testid=sheet]", "")
	// a sheet is broader than the cabinet
	k.eval(`(column) => {
		const sheet = document.querySelector('[data-testid=sheet]')
		sheet.parentElement.scrollLeft = (column * sheet.clientWidth) / 8 - 40
	}`, tile%8)
	box := k.box("[data-testid=sheet]")
	size := box.Width / 8
	k.click(proto.NewPoint(box.X+(float64(tile%8)+0.5)*size, box.Y+(float64(tile/8)+0.5)*size))
	k.see("[data-testid=hand]", fmt.Sprintf("tile %d of Coast", tile))
}

func (k *tab) box(selector string) *proto.DOMRect {
	k.Helper()
	shape, err := k.find(selector, "").Shape()
	must(k.T, err)
	return shape.Box()
}

func TestPaintEveryShapeByMouse(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)

	k.keys(input.KeyH)
	k.drag(left, k.at(2, 4), k.at(3, 4), k.at(3, 6))
	k.stored(cellsAre(sample.Ground, 2, 4, 5, 3, 4, 5, 3, 5, 5, 3, 6, 5, 2, 5, 0))
	k.showsTile(3, 5, 5)

	k.keys(input.KeyL)
	k.see("[data-testid=hand]", "line")
	k.hold(left, k.at(5, 4), k.at(9, 6))
	k.see("[data-testid=ghost]", "puts down 5 × 3 on Ground")
	must(t, k.page.Mouse.Up(left, 1))
	k.stored(cellsAre(sample.Ground, 5, 4, 5, 7, 5, 5, 9, 6, 5, 6, 6, 0))

	k.keys(input.KeyB)
	k.drag(left, k.at(14, 8), k.at(12, 6))
	k.stored(cellsAre(sample.Ground, 12, 6, 5, 14, 8, 5, 13, 7, 5, 15, 8, 0))

	k.holdTile(9)
	k.keys(input.KeyF)
	k.move(k.at(13, 7))
	k.see("[data-testid=ghost]", "3 × 3")
	k.click(k.at(13, 7))
	k.stored(cellsAre(sample.Ground, 12, 6, 9, 14, 8, 9, 9, 6, 5))
	k.showsTile(13, 7, 9)

	// the secondary button removes with the same shape, the eraser by itself
	k.keys(input.KeyB)
	k.drag(right, k.at(12, 6), k.at(12, 8))
	k.stored(cellsAre(sample.Ground, 12, 6, -1, 12, 8, -1, 13, 8, 9))
	k.keys(input.KeyX, input.KeyH)
	k.see("[data-testid=hand]", "the eraser")
	k.click(k.at(13, 8))
	k.stored(cellsAre(sample.Ground, 13, 8, -1, 14, 8, 9))
	k.saved()
	k.same()
}

func TestPickUpTurnAndTray(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	k.move(k.at(0, 0))
	k.keys(input.KeyI)
	k.see("[data-testid=hand]", "tile 1 of Coast")
	k.see("[data-testid=hand]", "Things") // the layer comes with what was picked up
	k.keys(input.KeyR)
	k.see("[data-testid=hand]", "turned right")
	k.with(input.ShiftLeft, input.Digit1)
	k.keys(input.Escape)
	k.see("[data-testid=hand]", "nothing")

	k.move(k.at(5, 5))
	must(t, k.page.Keyboard.Press(input.AltLeft))
	k.click(k.at(5, 5))
	must(t, k.page.Keyboard.Release(input.AltLeft))
	k.see("[data-testid=hand]", "tile 0 of Coast")
	k.see("[data-testid=hand]", "Ground")

	k.keys(input.Digit1)
	k.see("[data-testid=hand]", "tile 1 of Coast")
	k.see("[data-testid=hand]", "turned right")
	k.click(k.at(4, 5))
	k.stored(func(d *document.Document) error {
		c := d.Maps.Get(sample.Quay).Layers.Get(sample.Things).Cells.At(4, 5)
		if c&^cells.TurnBits != sample.Wall || c&cells.TurnBits == 0 {
			return fmt.Errorf("the cell is %#x, wanted the wall turned", c)
		}
		return nil
	})
	k.reload()
	k.focusMap()
	k.keys(input.Digit1)
	k.see("[data-testid=hand]", "turned right")
}

func TestPaintByKeyboardAlone(t *testing.T) {
	k := world(t).open()
	// from the top of the page to the sheet by Tab, without the mouse
	for range 80 {
		if k.eval(`() => document.activeElement?.dataset.testid ?? ''`) == "sheet" {
			break
		}
		k.keys(input.Tab)
	}
	k.keys(input.ArrowRight, input.ArrowRight, input.ArrowRight, input.Enter)
	k.see("[data-testid=hand]", "tile 3 of Coast")
	// the first arrow shows the cursor, the others bring it into the corner
	for range 12 {
		k.keys(input.ArrowUp, input.ArrowLeft)
	}
	for range 12 {
		k.keys(input.ArrowLeft)
	}
	k.see("[data-testid=status]", "cell 0, 0")
	k.keys(input.ArrowDown, input.ArrowRight, input.Enter)
	k.stored(cellsAre(sample.Ground, 1, 1, 3))

	// a box begins and ends with Enter
	k.keys(input.KeyB, input.ArrowRight, input.Enter, input.ArrowRight, input.ArrowDown)
	k.see("[data-testid=ghost]", "puts down 2 × 2 on Ground")
	k.keys(input.Enter)
	k.stored(cellsAre(sample.Ground, 2, 1, 3, 3, 2, 3, 4, 2, 0))

	// a press that was begun is cancelled first, then the hand is emptied
	k.keys(input.ArrowRight, input.Enter, input.ArrowRight, input.Escape)
	k.see("[data-testid=ghost]", "1 × 1")
	k.see("[data-testid=hand]", "tile 3 of Coast")
	k.keys(input.KeyH, input.ArrowLeft, input.ArrowLeft, input.Delete)
	k.stored(cellsAre(sample.Ground, 3, 2, -1, 2, 2, 3))
	k.keys(input.Escape)
	k.see("[data-testid=hand]", "nothing")
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(cellsAre(sample.Ground, 3, 2, 3))
	k.saved()
	k.same()
}

func TestUndoHasNoEndAndSurvivesReload(t *testing.T) {
	k := world(t).open()
	start := k.rig.doc().Hash()
	k.holdTile(4)
	k.keys(input.KeyH)
	for x := range 12 {
		k.click(k.at(3+x, 8))
	}
	k.stored(cellsAre(sample.Ground, 3, 8, 4, 14, 8, 4))
	k.saved()
	end := k.rig.doc().Hash()
	k.with(input.ControlLeft, input.KeyZ, input.KeyZ)
	k.stored(cellsAre(sample.Ground, 12, 8, 4, 13, 8, 0, 14, 8, 0))
	k.saved()
	k.reload()
	k.focusMap()
	for range 10 {
		k.with(input.ControlLeft, input.KeyZ)
		k.saved()
	}
	k.stored(func(d *document.Document) error {
		if d.Hash() != start {
			return fmt.Errorf("the document is not what it was at the start")
		}
		return nil
	})
	k.reload()
	k.focusMap()
	for range 12 {
		must(t, k.page.Keyboard.Press(input.ControlLeft))
		must(t, k.page.Keyboard.Press(input.ShiftLeft))
		k.keys(input.KeyZ)
		must(t, k.page.Keyboard.Release(input.ShiftLeft))
		must(t, k.page.Keyboard.Release(input.ControlLeft))
		k.saved()
	}
	k.stored(func(d *document.Document) error {
		if d.Hash() != end {
			return fmt.Errorf("redo did not bring everything back")
		}
		return nil
	})
	k.same()
}
