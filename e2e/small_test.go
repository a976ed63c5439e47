package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/proto"
)

// In a window as small as a phone's, or on a page that is zoomed a great deal, the map has most of the room; a panel is opened when it is wanted and stands
// aside once something is taken from it; stations can be moved to and fro; nothing lies outside of the window that cannot be brought into it.
func TestInASmallWindow(t *testing.T) {
	k := world(t).open()
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 390, Height: 800, DeviceScaleFactor: 1}))
	outside := func(part, what string) {
		t.Helper()
		within(t, soon, func() error {
			return want("what lies outside of the window in "+what, k.eval(`(part) => [...document.querySelectorAll(part)].filter((e) => {
				const r = e.getBoundingClientRect()
				return r.width && !e.closest('.sr-only, [data-testid=hand-tray]') && e.type !== 'file' && (r.left < -1 || r.right > innerWidth + 1)
			}).map((e) => (e.ariaLabel || e.innerText || e.tagName).slice(0, 40)).join('; ')`, part), "")
		})
	}
	canvas := func(least int) {
		t.Helper()
		within(t, soon, func() error {
			if k.eval(`(n) => document.querySelector('main[aria-label=Map]').clientWidth >= n`, least) != "true" {
				return fmt.Errorf("the map is narrower than %d pixels", least)
			}
			return nil
		})
	}
	canvas(240)
	outside("header *, nav *, #status *", "the strip")
	within(t, soon, func() error {
		return want("the place in the strip", k.eval(`() => document.querySelector("header h1").clientWidth >= 30`), "true")
	})
	k.press("Open the stack")
	k.see("[aria-label=Maps]", "Quay")
	k.press("Set up Quay")
	k.see("[role=dialog]", "Quay")
	outside("[role=dialog] *", "the sheet")
	k.press("Close")
	// one panel takes the place of the other, and stands aside for the map once something is held
	k.press("Kinds")
	k.pressIn("nav button", "Map")
	k.pressIn("[aria-label=Cabinet] button", "Kinds")
	k.gone("[aria-label=Maps]")
	k.pressIn("[aria-label=Cabinet] button", "Spawn")
	canvas(240)
	k.drag(left, k.at(9, 6))
	k.stored(func(d *document.Document) error {
		if n := d.Maps.Get(sample.Quay).Entities.Len(); n != sample.World().Maps.Get(sample.Quay).Entities.Len()+1 {
			return fmt.Errorf("there are %d entities", n)
		}
		return nil
	})
	for _, station := range []string{"Chart", "Tilesets", "Kinds", "Rules", "Game", "Check", "Versions", "Share"} {
		k.pressIn("nav button", station)
		k.see("nav [aria-current=page]", station)
		within(t, soon, func() error {
			return want("how "+station+" can be seen", k.eval(`() => {
				const main = document.querySelector('main:not([aria-label=Map])')
				let moved = main
				while (moved && moved.scrollWidth <= moved.clientWidth + 1) moved = moved.parentElement
				return main.clientWidth < 150 ? 'too narrow: ' + main.clientWidth : !moved || getComputedStyle(moved).overflowX !== 'auto' ? 'not moved to and fro' : document.documentElement.scrollWidth > innerWidth ? 'the page is moved' : ''
			}`), "")
		})
	}
	// made larger again all is as it was
	k.pressIn("nav button", "Map")
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 1280, Height: 800, DeviceScaleFactor: 1}))
	k.see("[aria-label=Maps]", "Quay")
	k.see("[aria-label=Cabinet]", "Spawn")
}
