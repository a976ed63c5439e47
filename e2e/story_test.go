package e2e

import (
	"azzel/core/document"
	"azzel/e2e/database"
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// TestFromNothingToPlayed is a first hour: an empty project, the starter set,
// two maps, a passage, a switch and a door, played, closed, and there again.
func TestFromNothingToPlayed(t *testing.T) {
	t.Parallel()
	slots <- struct{}{}
	t.Cleanup(func() { <-slots })
	r := &rig{t: t, dsn: database.Fresh(t)}
	r.store = database.Open(t, r.dsn)
	r.serve("127.0.0.1:0")
	t.Cleanup(func() { _ = r.server.Close() })

	ctx, err := browser.Incognito()
	must(t, err)
	t.Cleanup(func() { _ = ctx.Close() })
	k := &tab{T: t, rig: r, ctx: ctx}
	t.Cleanup(k.checkQuiet)
	k.page = k.newPage()
	k.visit("/")
	k.see("main", "None yet")
	k.write("input", "Lantern Cove")
	k.keys(input.Enter)
	k.ready()
	r.project = strings.TrimPrefix(k.eval(`() => location.pathname`), "/p/")
	k.see("header", "Lantern Cove")

	k.press("Make the first map")
	k.see("header", "Map 1")
	k.press("Use the starter set")
	k.notice("The starter set is in the cabinet")
	// the ground is filled, a wall drawn; the sheet's tiles are found by their names in the stored kit
	sheet := func(tile int) {
		k.Helper()
		box := k.box("[data-testid=sheet]")
		size := box.Width / 16
		x, y := box.X+(float64(tile%16)+0.5)*size, box.Y+(float64(tile/16)+0.5)*size
		p := k.at(0, 0)
		p.X, p.Y = x, y
		k.click(p)
		k.see("[data-testid=hand]", fmt.Sprintf("tile %d of Starter set", tile))
	}
	var set *document.Tileset
	k.stored(func(d *document.Document) error {
		if all := d.TilesetsInOrder(); len(all) == 1 {
			set = all[0]
			return nil
		}
		return fmt.Errorf("no tileset yet")
	})
	solid := map[int]bool{}
	for _, s := range set.Solid {
		solid[s] = true
	}
	floor, wall := 32, 0 // grass in the third row, and the first solid tile behind it
	for wall = floor; !solid[wall]; wall++ {
	}
	paintGround := func() {
		k.Helper()
		sheet(floor)
		k.keys(input.KeyF)
		k.click(k.at(20, 14))
		k.saved()
		sheet(wall)
		k.keys(input.KeyL)
		k.drag(left, k.at(12, 4), k.at(12, 20))
		k.saved()
	}
	paintGround()
	k.press("New map")
	k.write("form [aria-label='Name of the new map']", "Cave")
	k.write("form [aria-label='Width in cells']", "40")
	k.write("form [aria-label='Height in cells']", "28")
	k.press("Make the map")
	k.see("header", "Cave")
	paintGround()
	k.pressIn("aside ul button", "Map 1")
	k.see("header", "Map 1")

	place := func(kind string, x, y int) {
		k.Helper()
		k.holdKind(kind)
		k.keys(input.KeyH)
		k.click(k.at(x, y))
		k.saved()
	}
	place("Spawn", 6, 10)
	place("Collectible", 8, 10)
	place("Switch", 9, 13)
	// the door takes the place of one cell of the wall
	k.keys(input.KeyX, input.KeyH)
	k.clickWith(k.at(12, 10), left)
	k.press("Tiles")
	sheet(floor)
	k.keys(input.KeyH)
	k.click(k.at(12, 10))
	place("Door", 12, 10)
	k.holdKind("Exit")
	k.drag(left, k.at(16, 9), k.at(16, 11))
	k.saved()
	k.keys(input.Escape)

	k.click(k.at(16, 10))
	k.press("Choose where…")
	k.pressIn("[role=dialog] button", "Cave")
	k.see("[role=dialog]", "No place yet")
	k.click(k.inPicture(4, 6, 40, 28))
	k.pressIn("[role=dialog] [role=radio]", "right")
	k.press("Join")
	k.notice("leads to Cave, and back")
	k.keys(input.Escape)
	k.click(k.at(9, 13))
	k.see("[data-testid=details]", "Wire it…")
	nub := k.at(9, 13)
	nub.X += 8 + 12
	k.drag(left, nub, k.at(12, 10))
	k.pressIn("[role=menuitem]", "opens")
	k.notice("opens")
	k.keys(input.Escape)

	play := func() {
		k.Helper()
		k.focusMap()
		k.keys(input.KeyP)
		k.see("[data-testid=playing]", "Playing Map 1")
		k.walk(input.ArrowRight, k.shows("[data-testid=count]", "1 of 1 collected"))
		// to the switch and use it, then through the door
		k.toRow(12)
		k.toColumn(9)
		k.walk(input.ArrowDown, func() error { return contains(k.eval(`() => azzel.hero()`), "down") })
		k.keys(input.KeyE)
		k.toRow(10)
		k.walk(input.ArrowRight, k.shows("[data-testid=playing]", "Playing Cave"))
		k.keys(input.KeyP)
		k.gone("[data-testid=playing]")
	}
	play()
	k.saved()
	k.same()
	hash := r.doc().Hash()

	// the browser is closed, the server stopped; later both are started again
	must(t, k.page.Close())
	r.away()
	must(t, r.store.Close())
	r.store = database.Open(t, r.dsn)
	r.back()
	k.another()
	if again := k.eval(`() => azzel.hash()`); again != hash {
		t.Errorf("the project was %.8s and came back as %.8s", hash, again)
	}
	play()
}
