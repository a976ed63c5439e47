package e2e

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

func groundAt(x, y, tile int) func(d *document.Document) error {
	return func(d *document.Document) error {
		if c := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground).Cells.At(x, y); c.Tile() != tile {
			return fmt.Errorf("cell %d,%d holds tile %d", x, y, c.Tile())
		}
		return nil
	}
}

// In the middle of a press undo takes the press back and never another edit; what would
// change the hand, or leave the map, waits for its end and says so.
func TestKeysDuringAPress(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyL)
	k.drag(left, k.at(3, 3), k.at(6, 3))
	k.stored(groundAt(6, 3, 5))
	k.hold(left, k.at(3, 5), k.at(6, 5))
	k.with(input.ControlLeft, input.KeyZ)
	must(t, k.page.Mouse.Up(left, 1))
	k.saved()
	for _, x := range []int{3, 6} {
		must(t, groundAt(x, 3, 5)(k.rig.doc())) // the stroke before is there
		must(t, groundAt(x, 5, 0)(k.rig.doc())) // this one is not
	}
	for _, key := range []input.Key{input.KeyP, input.KeyE, input.KeyB} {
		k.hold(left, k.at(3, 6), k.at(6, 6))
		k.keys(key)
		k.notice("Let go first, or press Escape")
		must(t, k.page.Mouse.Up(left, 1))
		k.stored(groundAt(6, 6, 5))
		k.see("[data-testid=hand]", "line")
		k.see("nav", "Chart") // no game began
		k.with(input.ControlLeft, input.KeyZ)
		k.stored(groundAt(6, 6, 0))
	}
	// the view can be moved meanwhile, and Ctrl+S says how it stands
	k.hold(left, k.at(3, 6), k.at(6, 6))
	k.keys(input.Minus)
	k.see("[data-testid=zoom]", "100 %")
	k.keys(input.Escape)
	must(t, k.page.Mouse.Up(left, 1))
	k.with(input.ControlLeft, input.KeyS)
	k.notice("Saved: everything is stored as you make it")
	k.saved()
	must(t, groundAt(6, 6, 0)(k.rig.doc()))
	k.same()
}

// Escape leaves a field as it was, and the keys are the map's again.
func TestEscapeLeavesFields(t *testing.T) {
	k := world(t).open()
	k.click(k.at(10, 2))
	k.see("[data-testid=details] input", "Door")
	before := k.rig.doc().Hash()
	onMap := func() {
		t.Helper()
		within(t, soon, func() error {
			return want("the focus", k.eval(`() => document.activeElement.dataset.testid ?? document.activeElement.tagName`), "map")
		})
	}
	k.eval(`() => document.querySelector("[data-testid=details] input[type=number]").select()`)
	k.keys(input.Digit1, input.Digit4)
	k.keys(input.Escape)
	onMap()
	if got := k.eval(`() => document.querySelector("[data-testid=details] input[type=number]").value`); got != "10" {
		t.Errorf("the field shows %s", got)
	}
	k.openChart()
	k.eval(`() => document.querySelector("main select, aside select").focus()`)
	k.keys(input.Escape)
	within(t, soon, func() error { return want("the focus", k.eval(`() => document.activeElement.tagName`), "BODY") })
	k.saved()
	if k.rig.doc().Hash() != before {
		t.Error("something was stored")
	}
}

// Where the middle button pastes, moving the view with it pastes nothing; and a press
// that takes a path's point away opens no menu.
func TestButtonsDoOneThing(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: "path", Name: "Round", X: 80, Y: 96, Points: []grid.Point{{X: 64}, {X: 64, Y: 32}}})
	k := r.open()
	k.holdTile(5)
	before := k.rig.doc().Hash()
	view := k.eval(`() => azzel.view().x`)
	k.drag(middle, k.at(5, 5), k.at(7, 5))
	k.eval(`() => {
		const data = new DataTransfer()
		data.setData('text/plain', 'what was marked last')
		document.querySelector('[data-testid=map]').dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
	}`)
	if k.eval(`() => azzel.view().x`) == view {
		t.Error("the middle button does not move the view")
	}
	k.gone("[data-testid=notice]")
	k.saved()
	if k.rig.doc().Hash() != before {
		t.Error("something was pasted or painted")
	}
	k.keys(input.Escape)
	k.click(k.at(5, 6))
	k.see("[data-testid=details] input", "Round")
	k.clickWith(k.at(9, 6), right)
	k.stored(func(d *document.Document) error {
		if e := entities(d, sample.Quay, "path")[0]; len(e.Points) != 1 || e.Points[0] != (grid.Point{X: 64, Y: 32}) {
			return fmt.Errorf("the path goes by %v", e.Points)
		}
		return nil
	})
	k.gone("[role=menu]")
	k.clickWith(k.at(12, 9), right) // the next opens it
	k.see("[role=menu]", "")
}

// The keys of the game itself can be changed, and are found so again.
func TestKeysOfTheGameAreChanged(t *testing.T) {
	k := joined(t).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "↑←↓→\nwalk")
	k.press("Keys that work here")
	k.see("[role=dialog]", "In the game")
	k.pressIn("[aria-label='Key → of Right: press to change it']", "")
	k.keys(input.KeyL)
	k.see("[aria-label='Key L of Right: press to change it']", "L")
	// a key that does something else in the game changes places with it
	k.pressIn("[aria-label='Key D of Right: press to change it']", "")
	k.keys(input.KeyE)
	k.see("[aria-label='Key E of Right: press to change it']", "E")
	k.see("[aria-label='Key D of Use, and read on: press to change it']", "D")
	k.pressIn("[aria-label='Key E of Right: press to change it']", "")
	k.keys(input.Tab, input.Escape)
	k.press("Close")
	k.gone("[role=dialog]")
	k.reload()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "↑←↓L\nwalk")
	k.see("[data-testid=playing]", "D\nuse")
	k.walk(input.KeyL, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.press("Keys that work here")
	k.press("All keys as they were at first")
	k.see("[aria-label='Key → of Right: press to change it']", "→")
}

// A button that is pointed at, or reached by Tab, says what it does and its key, each time;
// nothing of it stays when one goes elsewhere, also where the button itself goes.
func TestButtonsSayTheirKeys(t *testing.T) {
	k := world(t).open()
	k.click(k.at(10, 2))
	k.see("[data-testid=details] input", "Door")
	const tip, duplicate = "[data-tooltip-content]", "[data-testid=details] [aria-label=Duplicate]"
	k.gone(tip)
	for range 2 {
		k.move(k.middle(duplicate))
		k.see(tip, "Duplicate\nCtrl+D")
		k.move(k.at(3, 8))
		k.gone(tip)
	}
	must(t, k.find(duplicate, "").Focus())
	k.see(tip, "Duplicate\nCtrl+D")
	must(t, want("what describes the button", k.eval(`(b) => document.getElementById(document.querySelector(b).getAttribute("aria-describedby"))?.textContent`, duplicate), "Duplicate Ctrl+D"))
	k.keys(input.Tab)
	k.see(tip, "Delete\nDel")
	k.keys(input.Enter)
	k.gone(duplicate)
	k.gone(tip)
	k.same()
}
