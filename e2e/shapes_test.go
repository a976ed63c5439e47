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

// count wants so many cells of a tile on a layer of the Quay.
func count(layer document.ID, tile, want int) func(*document.Document) error {
	return func(d *document.Document) error {
		m := d.Maps.Get(sample.Quay)
		got := m.Layers.Get(layer).Cells.Region(m.Bounds, func(c cells.Cell) bool { return c&^cells.TurnBits == cells.TileCell(1, tile) }).Count()
		if got != want {
			return fmt.Errorf("tile %d lies in %d cells of %s, wanted %d", tile, got, layer, want)
		}
		return nil
	}
}

// choose opens a word of the hand sentence and takes a line of its menu.
func (k *tab) word(word, choice string) {
	k.Helper()
	k.pressIn("[data-testid=hand] button", word+":")
	k.pressIn("[role=menuitem]", choice)
}

func TestRimOvalAndEmptiesByMouse(t *testing.T) {
	k := world(t).open()
	k.holdTile(9)
	k.holdTile(5)
	k.keys(input.KeyW)
	k.see("[data-testid=hand]", "1 deep, of a box")
	k.word("Inside", "tile 9 of Coast")
	k.see("[data-testid=hand]", "tile 9 of Coast")
	k.focusMap()
	k.drag(left, k.at(3, 4), k.at(7, 8))
	k.stored(cellsAre(sample.Ground, 3, 4, 5, 7, 8, 5, 5, 4, 5, 4, 5, 9, 6, 7, 9, 8, 8, 0))
	k.keys(input.BracketRight)
	k.see("[data-testid=hand]", "2 deep")
	k.with(input.ControlLeft, input.KeyZ)

	// Shift makes an oval a circle
	k.keys(input.KeyO)
	must(t, k.page.Keyboard.Press(input.ShiftLeft))
	k.hold(left, k.at(10, 2), k.at(16, 4))
	k.see("[data-testid=ghost]", "puts down 7 × 7")
	must(t, k.page.Mouse.Up(left, 1))
	must(t, k.page.Keyboard.Release(input.ShiftLeft))
	k.stored(count(sample.Ground, 5, 37))
	k.stored(cellsAre(sample.Ground, 10, 2, 0, 13, 5, 5, 16, 8, 0))

	// what is empty, on the layer above
	k.pressIn("aside ul button", "Things")
	k.focusMap()
	k.keys(input.KeyE)
	k.move(k.at(10, 6))
	k.see("[data-testid=ghost]", "18 × 10 on Things")
	k.click(k.at(10, 6))
	k.stored(count(sample.Things, 5, 180))
	k.same()
}

func TestMirrorScatterAndFillByWhatShows(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyY)
	k.see("[data-testid=hand]", "left–right")
	k.click(k.at(2, 6))
	k.stored(cellsAre(sample.Ground, 2, 6, 5))
	k.stored(count(sample.Ground, 5, 2))
	// the line is dragged by its knob above the map
	knob := k.at(10, 0)
	knob.X -= 16
	knob.Y -= 28
	to := k.at(6, 0)
	to.Y = knob.Y
	k.drag(left, knob, to)
	k.click(k.at(4, 8))
	k.stored(func(d *document.Document) error {
		if c := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground).Cells.At(8, 8); c != cells.TileCell(1, 5)|cells.MirrorX {
			return fmt.Errorf("the image at 8,8 is %#x", c)
		}
		return nil
	})
	k.word("Mirror", "off")

	// odds are set where they are held, and the ghost counts what they would give
	box := k.box("[data-testid=sheet]")
	size := box.Width / 8
	k.drag(left, proto.NewPoint(box.X+2.5*size, box.Y+size/2), proto.NewPoint(box.X+3.5*size, box.Y+size/2))
	k.see("[data-testid=hand]", "2 × 1 tiles")
	k.keys(input.KeyS, input.KeyB)
	k.pressIn("[data-testid=hand] button", "Scatter")
	k.write("[aria-label='Odds of tile 3']", "0")
	k.see("[aria-label=Scatter]", "100 %")
	k.write("[aria-label='Odds of nothing']", "1")
	k.see("[aria-label=Scatter]", "50 %")
	k.keys(input.Escape)
	k.focusMap()
	k.drag(left, k.at(1, 1), k.at(18, 4))
	k.stored(func(d *document.Document) error {
		m := d.Maps.Get(sample.Quay)
		n := m.Layers.Get(sample.Ground).Cells.Region(m.Bounds, func(c cells.Cell) bool { return c == cells.TileCell(1, 2) }).Count()
		if n < 18 || n > 54 { // 36 of 72 are expected
			return fmt.Errorf("%d cells were drawn", n)
		}
		return count(sample.Ground, 3, 0)(d)
	})

	// a fill that goes by what all layers show stops at walls of another layer
	k.holdTile(7)
	k.keys(input.KeyF)
	k.word("Manner", "all layers show together")
	k.focusMap()
	k.click(k.at(0, 0))
	k.stored(count(sample.Ground, 7, 60))
	k.same()
}

func TestSelectMoveCopyAndTurn(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyH)
	k.drag(left, k.at(3, 6), k.at(4, 6))
	k.keys(input.Escape)
	k.word("Selects", "cells of this layer")
	k.focusMap()
	k.drag(left, k.at(3, 6), k.at(5, 7))
	k.see("[data-testid=hand]", "drop the selection")
	// dragging inside moves, on this layer only
	k.drag(left, k.at(4, 6), k.at(10, 8))
	k.stored(cellsAre(sample.Ground, 3, 6, -1, 9, 8, 5, 10, 8, 5, 11, 9, 0))
	k.keys(input.KeyR)
	k.stored(func(d *document.Document) error {
		plane := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground).Cells
		for y := 7; y < 12; y++ {
			if c := plane.At(10, y); c.Tile() == 5 && c&cells.TurnBits != 0 {
				return nil
			}
		}
		return fmt.Errorf("nothing is turned")
	})
	k.with(input.ControlLeft, input.KeyZ, input.KeyZ)
	k.stored(cellsAre(sample.Ground, 3, 6, 5, 9, 8, 0))

	// all layers with their entities: a copy in the hand, then put down
	k.keys(input.Escape)
	k.word("Selects", "cells of all layers")
	k.focusMap()
	k.drag(left, k.at(9, 0), k.at(11, 3))
	k.with(input.ControlLeft, input.KeyD)
	k.see("[data-testid=hand]", "what was copied")
	k.click(k.at(3, 7))
	k.stored(func(d *document.Document) error {
		doors := entities(d, sample.Quay, "door")
		if len(doors) != 2 {
			return fmt.Errorf("there are %d doors", len(doors))
		}
		return cellsAre(sample.Things, 3, 7, 1, 5, 7, 1, 3, 8, -1)(d)
	})
	// to the clipboard, to the other map and out of it again
	k.keys(input.Escape)
	k.drag(left, k.at(9, 0), k.at(11, 3))
	k.grantClipboard()
	k.with(input.ControlLeft, input.KeyC)
	k.notice("3 × 4 cells copied")
	k.pressIn("aside ul button", "Pans")
	k.see("header", "Pans")
	k.focusMap()
	k.move(k.at(5, 5))
	k.with(input.ControlLeft, input.KeyV)
	k.see("[data-testid=hand]", "what was copied")
	k.click(k.at(5, 5))
	k.stored(func(d *document.Document) error {
		if c := d.Maps.Get(sample.Pans).Layers.Get(sample.Things).Cells.At(5, 5); c != sample.Wall {
			return fmt.Errorf("the wall did not come over: %#x", c)
		}
		return nil
	})
	// connected areas, the same tile, and the parts of a selection
	k.pressIn("aside ul button", "Quay")
	k.keys(input.Escape)
	k.word("Selects by", "connected area")
	k.pressIn("aside ul button", "Things")
	k.focusMap()
	k.click(k.at(0, 0))
	k.see("[data-testid=hand]", "drop the selection")
	k.keys(input.Delete)
	k.stored(count(sample.Things, 1, 3)) // the copy of the wall stays
	k.same()
}

func TestMotifIsKeptHeldAndChanged(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyB)
	k.drag(left, k.at(3, 5), k.at(4, 6))
	k.keys(input.Escape)
	k.press("Motifs")
	k.press("Select cells on the map")
	k.drag(left, k.at(3, 5), k.at(4, 6))
	k.press("Keep the selection as a motif")
	k.notice("Motif 1 is in the cabinet")
	k.press("Motif 1")
	k.write("[aria-label='Name of the motif']", "Salt heap")
	k.keys(input.Enter)
	k.stored(func(d *document.Document) error {
		all := d.MotifsInOrder()
		if len(all) != 1 || all[0].Name != "Salt heap" || all[0].W != 2 || all[0].H != 2 {
			return fmt.Errorf("the motifs are %+v", all)
		}
		return nil
	})
	k.press("drop the selection")
	k.press("Hold motif Salt heap")
	k.see("[data-testid=hand]", "Salt heap")
	k.keys(input.KeyH)
	k.click(k.at(8, 4))
	k.click(k.at(12, 7))
	k.stored(count(sample.Ground, 5, 12))
	// one undo a placing
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(count(sample.Ground, 5, 8))
	k.with(input.ControlLeft, input.KeyY)
	k.stored(count(sample.Ground, 5, 12))
	// a changed motif offers to change the places where it stands
	k.keys(input.Escape)
	k.press("Tiles")
	k.holdTile(6)
	k.keys(input.KeyH)
	k.click(k.at(15, 3))
	k.keys(input.Escape)
	k.press("Motifs")
	k.drag(left, k.at(15, 3), k.at(16, 4))
	k.press("Make it of what is selected")
	k.see("[aria-label='Update places']", "3 places")
	k.press("Change those too")
	k.stored(func(d *document.Document) error {
		if err := count(sample.Ground, 5, 0)(d); err != nil {
			return err
		}
		return cellsAre(sample.Ground, 3, 5, 6, 8, 4, 6, 12, 7, 6, 4, 6, 0)(d)
	})
	k.same()
}

func TestZonesArePaintedAndStopTheHero(t *testing.T) {
	k := world(t).open()
	k.press("Zones")
	k.press("blocked")
	k.see("[data-testid=hand]", "zone Blocked")
	k.see("aside", "Zones")
	k.keys(input.KeyB)
	k.drag(left, k.at(3, 1), k.at(3, 10))
	k.stored(func(d *document.Document) error {
		m := d.Maps.Get(sample.Quay)
		for _, l := range m.LayersInOrder() {
			if l.Kind == document.LayerZones && l.Cells.At(3, 5) != 0 {
				return nil
			}
		}
		return fmt.Errorf("no zone is painted")
	})
	// the hero stands at 2,2 and cannot go right
	k.keys(input.Escape, input.KeyP)
	k.see("[data-testid=playing]", "")
	must(t, k.page.Keyboard.Press(input.ArrowRight))
	before := ""
	within(t, soon, func() error {
		now := k.eval(`() => azzel.hero()`)
		if now != before {
			before = now
			return fmt.Errorf("the hero still moves: %s", now)
		}
		return nil
	})
	must(t, k.page.Keyboard.Release(input.ArrowRight))
	k.same()
}

func TestLooseSetIsHeldAndLeavesWhatIsBetween(t *testing.T) {
	k := world(t).open()
	k.holdTile(2)
	box := k.box("[data-testid=sheet]")
	size := box.Width / 8
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	k.click(proto.NewPoint(box.X+4.5*size, box.Y+size/2))
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	k.see("[data-testid=hand]", "3 × 1 tiles")
	k.keys(input.KeyH)
	k.click(k.at(5, 5))
	k.stored(cellsAre(sample.Ground, 5, 5, 2, 6, 5, 0, 7, 5, 4))
}

// What is copied in one project is put down in another of the same server, and
// brings along what it is made of.
func TestCopyToAnotherProject(t *testing.T) {
	k := world(t).open()
	k.grantClipboard()
	k.word("Selects", "cells of this layer")
	k.pressIn("aside ul button", "Things")
	k.focusMap()
	k.drag(left, k.at(0, 0), k.at(2, 2))
	k.with(input.ControlLeft, input.KeyC)
	k.notice("3 × 3 cells copied")
	k.visit("/")
	k.press("New project")
	within(t, soon, func() error { return contains(k.eval(`() => location.pathname`), "/p/") })
	k.ready()
	k.press("Make the first map")
	k.see("header", "Map 1")
	k.focusMap()
	k.move(k.at(5, 5))
	k.with(input.ControlLeft, input.KeyV)
	k.see("[data-testid=hand]", "what was copied")
	k.click(k.at(5, 5))
	k.see("aside", "Coast")
	k.showsTile(5, 5, 1)
	k.showsTile(7, 5, 1)
}
