package e2e

import (
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What can be pressed is at least 24 pixels large everywhere, and the words of choices are
// not cut off.
func TestTargetsAndChoices(t *testing.T) {
	k := startWith(t, nil).open()
	check := func(where string) {
		t.Helper()
		small := k.eval(`() => [...document.querySelectorAll('button, select, a, [role=tab], summary, input:not([type=file])')]
			.filter((e) => e.checkVisibility() && getComputedStyle(e).visibility !== 'hidden')
			.map((e) => [(e.matches('input') && e.closest('label')) || e, e])
			.map(([e, was]) => [e.getBoundingClientRect(), was])
			.filter(([r]) => r.width && (r.width < 23.5 || r.height < 23.5))
			.map(([r, e]) => (e.ariaLabel || e.textContent.trim() || e.type) + ' ' + Math.round(r.width) + '×' + Math.round(r.height)).join('; ')`)
		if small != "" {
			t.Errorf("%s: too small: %s", where, small)
		}
		cut := k.eval(`() => [...document.querySelectorAll('select')].filter((e) => e.checkVisibility() && e.selectedOptions[0]).map((e) => {
			const pen = document.createElement('canvas').getContext('2d')
			const style = getComputedStyle(e)
			pen.font = style.font
			const room = e.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight) - 16
			const text = e.selectedOptions[0].textContent.trim()
			return pen.measureText(text).width > room + 1 ? (e.ariaLabel || e.closest('label')?.textContent.trim().slice(0, 20)) + ': ' + text : ''
		}).filter(Boolean).join('; ')`)
		if cut != "" {
			t.Errorf("%s: cut off: %s", where, cut)
		}
	}
	for _, drawer := range []string{"Materials", "Motifs", "Zones", "Kinds", "Rules", "History", "Tiles"} {
		k.pressIn("[role=tab]", drawer)
		check(drawer)
	}
	for _, at := range [][2]int{{9, 13}, {22, 10}, {30, 21}} { // a switch, an exit, a crab
		k.click(k.at(at[0], at[1]))
		k.see("[data-testid=details]", "")
		check(fmt.Sprint("details at ", at))
	}
	k.with(input.ControlLeft, input.KeyE)
	k.see("[role=dialog]", "Layer plan")
	check("the map's sheet")
	k.press("Close")
	k.pressIn("nav button", "Tilesets")
	check("tilesets")
	k.pressIn("aside button", "Sea")
	k.see("[aria-label=Material]", "Forms")
	check("a material")
	k.pressIn("nav button", "Kinds")
	check("kinds")
	k.pressIn("nav button", "Rules")
	check("rules")
	k.pressIn("nav button", "Chart")
	k.pressIn("aside button", "Pump Shaft")
	for _, part := range []string{"Order and folder", "Seen and heard", "Camera", "Over time"} {
		k.pressIn("aside summary", part)
	}
	check("chart")
}

// What fingers press is large enough, on every station.
func TestTargetsForFingers(t *testing.T) {
	k := world(t).open()
	k.fingers()
	for _, station := range []string{"Map", "Chart", "Tilesets", "Kinds", "Rules"} {
		k.pressIn("nav button", station)
		k.see("nav [aria-current=page]", station)
		small := k.eval(`() => [...document.querySelectorAll('button, select, input, a, [role=tab], summary')]
			.filter((e) => e.checkVisibility() && !e.closest('[inert]'))
			.map((e) => [e.closest('label') ?? e, e])
			.map(([e, was]) => [e.getBoundingClientRect(), was])
			.filter(([r]) => r.width && (r.width < 43.5 || r.height < 43.5))
			.map(([r, e]) => (e.ariaLabel || e.textContent.trim() || e.type) + ' ' + Math.round(r.width) + '×' + Math.round(r.height)).join('; ')`)
		if small != "" {
			t.Errorf("%s: too small for fingers: %s", station, small)
		}
		wide := k.eval(`() => [...document.querySelectorAll('body *')].filter((e) => e.getBoundingClientRect().right > innerWidth + 1 && e.checkVisibility()).map((e) => e.className).slice(0, 3).join('; ')`)
		if wide != "" {
			t.Errorf("%s: beyond the page: %s", station, wide)
		}
	}
}
