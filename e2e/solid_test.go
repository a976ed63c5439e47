package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A tile is made solid where it is painted, by its menu on the map, and what is held by the search; undo takes it back.
func TestATileIsMadeSolidOnTheMap(t *testing.T) {
	k := world(t).open()
	floor := sample.Floor.Tile()
	is := func(want bool) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			if got := d.Tilesets.Get(sample.Coast).IsSolid(floor); got != want {
				return fmt.Errorf("the floor is solid: %v", got)
			}
			return nil
		})
	}
	k.focusMap()
	k.clickWith(k.at(6, 3), right)
	k.pressIn("[role=menuitem]", "Make what is here solid")
	k.notice("A tile is solid, wherever it is painted.")
	is(true)
	k.clickWith(k.at(6, 3), right)
	k.pressIn("[role=menuitem]", "Let the hero through what is here")
	k.notice("A tile is no longer solid")
	is(false)
	// where nothing is painted nothing is offered, nor for what is no tile
	k.clickWith(k.at(6, 3), right)
	k.see("[role=menuitem]", "Make what is here solid")
	k.keys(input.Escape)
	k.gone("[role=menu]")
	// what is held
	k.move(k.at(6, 3))
	k.keys(input.KeyI)
	k.search("held solid")
	k.see("[role=option]", "Make what is held solid")
	k.keys(input.Enter)
	is(true)
	k.with(input.ControlLeft, input.KeyZ)
	is(false)
}
