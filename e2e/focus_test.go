package e2e

import (
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// focused is the landmark and the name of what has the focus.
func (k *tab) focused() string {
	k.Helper()
	return k.eval(`() => {
		const e = document.activeElement
		const part = e.closest('header, nav, aside, main, [data-region], footer')
		const named = (e) => e && (e.ariaLabel || e.textContent.trim())
		return part ? (part.ariaLabel || part.localName) + ' / ' + named(e).replace(/\s+/g, ' ') : e.localName
	}`)
}

// F6 goes round the parts of the page, remembers where one was, and lists are one stop
// of the Tab key each.
func TestPartsByOneKey(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	var round []string
	for range 7 {
		k.keys(input.F6)
		part, _, _ := strings.Cut(k.focused(), " / ")
		round = append(round, part)
	}
	must(t, want("the parts", strings.Join(round, ", "), "Cabinet, Hand, footer, header, Stations, Stack, Map"))
	k.with(input.ShiftLeft, input.F6)
	if err := contains(k.focused(), "Stack"); err != nil {
		t.Error(err)
	}
	// within a list arrows go on, and F6 comes back to the same place
	must(t, k.find("[aria-label=Maps] button", "Quay").Focus())
	k.keys(input.ArrowDown)
	must(t, contains(k.focused(), "Pans"))
	k.keys(input.F6, input.F6)
	k.with(input.ShiftLeft, input.F6)
	k.with(input.ShiftLeft, input.F6)
	must(t, contains(k.focused(), "Pans"))
	k.keys(input.Home)
	must(t, contains(k.focused(), "Quay"))
	k.keys(input.ArrowRight)
	must(t, contains(k.focused(), "Set up Quay"))
	// with many layers and maps no part is long by Tab
	k.focusMap()
	stops := 0
	for ; stops < 40; stops++ {
		k.keys(input.Tab)
		if k.eval(`() => document.activeElement === document.body || document.activeElement.ariaLabel?.startsWith('Map ')`) == "true" {
			break
		}
	}
	if stops > 34 {
		t.Errorf("the page has %d stops of Tab and more", stops)
	}
	// the tray is a row
	must(t, k.find("[data-testid=tray] button", "").Focus())
	k.keys(input.ArrowRight, input.ArrowRight)
	must(t, contains(k.focused(), "Slot 3"))
	for _, station := range []string{"Chart", "Tilesets", "Kinds", "Rules"} {
		k.pressIn("nav button", station)
		k.see("h1", station)
		for i := 0; ; i++ {
			k.keys(input.F6)
			if strings.HasPrefix(k.focused(), "header") {
				break
			}
			if i == 8 {
				t.Fatalf("F6 does not go round in %s", station)
			}
		}
	}
}

// Keys can be given to other actions, show so everywhere, and come back.
func TestKeysAreChanged(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	k.press("Keys that work here")
	k.pressIn("[role=dialog] button", "Key G of Show or hide the grid")
	k.keys(input.KeyX) // what had it takes G
	k.see("[role=dialog] button[aria-label^='Key X of Show or hide the grid']", "X")
	k.see("[role=dialog] button[aria-label^='Key G of Hold the eraser']", "G")
	k.pressIn("[role=dialog] button", "Key K of Show or hide what is solid")
	k.with(input.ControlLeft, input.KeyZ)
	k.see("[role=dialog] [role=alert]", "Ctrl+Z keeps what it does")
	k.keys(input.Escape)
	k.pressIn("[role=dialog] button", "Close")
	k.reload()
	k.focusMap()
	k.keys(input.KeyG)
	k.see("[data-testid=hand]", "the eraser")
	k.press("Held: the eraser")
	k.see("[role=menuitem]", "nothing")
	must(t, contains(k.eval(`() => [...document.querySelectorAll('[role=menuitem]')].find((e) => e.textContent.includes('the eraser')).textContent`), "G"))
	k.keys(input.Escape)
	k.press("Keys that work here")
	k.pressIn("[role=dialog] button", "All keys as they were at first")
	k.pressIn("[role=dialog] button", "Close")
	k.focusMap()
	k.keys(input.Escape, input.KeyX)
	k.see("[data-testid=hand]", "the eraser")
}

// Everything in the cabinet is held from the finder, tiles by what they are.
func TestTilesAreHeldFromTheFinder(t *testing.T) {
	r := world(t)
	k := r.open()
	k.pressIn("nav button", "Rules")
	k.see("h1", "Rules")
	k.search("tile 12 coast")
	k.see("[role=dialog] [data-selected]", "Hold: tile 12 of Coast")
	k.keys(input.Enter)
	k.see("[data-testid=hand]", "tile 12 of Coast")
	k.see("h1", "Quay")
	// from any station, with its picture; what is not a tile comes before the many tiles
	k.pressIn("nav button", "Kinds")
	k.see("h1", "Kinds")
	k.search("hold: spawn")
	k.see("[role=dialog] [data-selected]", "Hold: Spawn")
	k.see("[role=dialog] [data-selected] canvas", "")
	k.keys(input.Enter)
	k.see("[data-testid=hand]", "spawn")
	k.search("coast")
	k.see("[role=dialog] [data-selected]", "Tiles of Coast")
	within(t, soon, func() error {
		return want("tiles that come with it", k.eval(`() => [...document.querySelectorAll('[role=dialog] [data-command-item]')].filter((e) => e.textContent.includes('Hold: tile')).length`), "6")
	})
	k.keys(input.Escape)
	k.gone("[role=dialog]")
	// a game that is played goes on
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	k.search("tile 5 coast")
	k.keys(input.Enter)
	k.see("[data-testid=hand]", "tile 5 of Coast")
	k.see("[data-testid=playing]", "Playing")
}
