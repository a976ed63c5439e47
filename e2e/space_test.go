package e2e

import (
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// Space takes hold of the map under the pointer, whatever was pressed before.
func TestSpaceDragsFromAnywhere(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	before := k.rig.doc().Hash()
	view := func() string { return k.eval(`() => JSON.stringify(azzel.view())`) }
	for press, text := range map[string]string{"[data-testid=sheet]": "", "aside ul button": "Quay", "[data-testid=hand] button": ""} {
		k.pressIn(press, text)
		if press == "[data-testid=hand] button" {
			k.keys(input.Escape)
			k.gone("[role=menu]")
		}
		was, from := view(), k.at(10, 6)
		k.move(from)
		must(t, k.page.Keyboard.Press(input.Space))
		k.drag(left, from, from.Add(proto.NewPoint(16, 16)))
		must(t, k.page.Keyboard.Release(input.Space))
		if view() == was {
			t.Errorf("after %s was pressed, Space and drag left the view at %s", press, was)
		}
	}
	k.saved()
	if k.rig.doc().Hash() != before {
		t.Error("something was painted")
	}
	// who goes by keys presses what has the focus
	k.focusMap()
	k.keys(input.Tab)
	k.eval(`() => document.querySelector('[data-testid=hand] button').focus()`)
	k.keys(input.Space)
	k.see("[role=menu]", "")
}
