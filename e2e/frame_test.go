package e2e

import (
	"azzel/core/document"
	"encoding/json"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

func TestCanvasPansAndZooms(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	view := func() (v struct{ X, Y, Scale float64 }) {
		must(t, json.Unmarshal([]byte(k.eval(`() => JSON.stringify(azzel.view())`)), &v))
		return v
	}
	before := view()
	from := k.at(10, 6)
	to := from.Add(proto.NewPoint(40, 30))

	must(t, k.page.Keyboard.Press(input.Space))
	k.drag(left, from, to)
	must(t, k.page.Keyboard.Release(input.Space))
	after := view()
	if after.X != before.X-40/before.Scale || after.Y != before.Y-30/before.Scale {
		t.Errorf("dragging with space moved the view from %v to %v", before, after)
	}
	k.drag(middle, to, from)
	if v := view(); v != before {
		t.Errorf("dragging back with the middle button gave %v, wanted %v", v, before)
	}
	must(t, k.page.Mouse.Scroll(0, 48, 1))
	within(t, soon, func() error {
		if v := view(); v.Y <= before.Y {
			return fmt.Errorf("the wheel did not move the view: %v", v)
		}
		return nil
	})
	must(t, k.page.Mouse.Scroll(0, -48, 1))

	// zooming with Ctrl keeps the cell under the pointer
	p := k.at(4, 9)
	k.move(p)
	k.see("[data-testid=status]", "cell 4, 9")
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	must(t, k.page.Mouse.Scroll(0, -100, 1))
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	within(t, soon, func() error {
		if v := view(); v.Scale <= before.Scale {
			return fmt.Errorf("Ctrl and the wheel did not zoom: %v", v)
		}
		return nil
	})
	k.move(p.Add(proto.NewPoint(1, 0)))
	k.see("[data-testid=status]", "cell 4, 9")
	if v := view(); v.Scale != float64(int(v.Scale)) {
		t.Errorf("the scale %v is no whole number", v.Scale)
	}
	k.keys(input.Home)
	k.keys(input.Minus)
	k.see("[data-testid=zoom]", "100 %")

	// the grid can be turned off: its line between two cells goes
	line := func() string {
		return k.eval(`() => {
			const c = document.querySelector('[data-testid=map]'), d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
			let n = 0
			// without the rulers along the top and the left
			for (let y = 20; y < c.height; y++) for (let x = 20; x < c.width; x++) if (d[(y * c.width + x) * 4 + 3]) n++
			return n > 5000 ? 'grid' : 'none'
		}`)
	}
	within(t, soon, func() error { return want("the map", line(), "grid") })
	k.keys(input.KeyG)
	within(t, soon, func() error { return want("the map", line(), "none") })
}

func want(what, got, wanted string) error {
	if got != wanted {
		return fmt.Errorf("%s is %q, wanted %q", what, got, wanted)
	}
	return nil
}

func TestFrame(t *testing.T) {
	k := startWith(t, nil).open()
	if box := k.box("[data-testid=map]"); box.Width < 0.6*1280 {
		t.Errorf("the canvas is %v wide, less than 60 %% of the page", box.Width)
	}
	// stations that are not built are absent, and every button has a name
	if n := k.eval(`() => [...document.querySelectorAll('nav button')].map((b) => b.innerText.trim()).join()`); n != "Chart,Map,Tilesets,Kinds,Rules,Game,Check,Versions,Share" {
		t.Errorf("the rail has %s", n)
	}
	unnamed := k.eval(`() => [...document.querySelectorAll('button, input, a')].filter((e) => !(e.innerText || e.ariaLabel || e.labels?.length || e.querySelector('img'))).map((e) => e.outerHTML).join()`)
	if unnamed != "" {
		t.Errorf("controls without a name: %s", unnamed)
	}
	// one search over everything: a map, an entity and an action
	k.search("pans map")
	k.keys(input.Enter)
	k.see("header", "Pans")
	k.search("sluice wheel")
	k.keys(input.Enter)
	k.see("[data-testid=details] input", "Sluice wheel")
	k.see("header", "Quay")
	k.focusMap()
	k.search("kiln")
	k.keys(input.Enter)
	within(t, soon, func() error { return want("the theme", k.attribute("html", "data-theme"), "kiln") })
	k.reload()
	if theme := k.attribute("html", "data-theme"); theme != "kiln" {
		t.Errorf("after a reload the theme is %s", theme)
	}

	// the sheet of keys shows those that work here, and digits only in the canvas
	k.focusMap()
	k.page.Keyboard.MustType('?')
	k.see("[role=dialog]", "Shift+P")
	k.keys(input.Escape)
	k.gone("[role=dialog]")

	// layers: hide, lock, reorder by key, undo
	k.pressIn("ul button", "Things\ntiles")
	k.press("Hide this layer")
	k.stored(layerIs("Things", func(hidden, locked bool, _ int) bool { return hidden }))
	k.press("Show this layer")
	k.press("Lock this layer")
	k.stored(layerIs("Things", func(hidden, locked bool, _ int) bool { return !hidden && locked }))
	k.find("ul button", "Things\ntiles").MustFocus()
	k.with(input.AltLeft, input.ArrowUp)
	k.stored(layerIs("Things", func(_, _ bool, place int) bool { return place == 2 }))
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(layerIs("Things", func(_, _ bool, place int) bool { return place == 1 }))

	// panels fold and the canvas takes the room
	k.with(input.ControlLeft, input.BracketLeft)
	k.with(input.ControlLeft, input.BracketRight)
	within(t, soon, func() error {
		if box := k.box("[data-testid=map]"); box.Width < 1100 {
			return fmt.Errorf("the canvas is %v wide", box.Width)
		}
		return nil
	})
}

// TestAccessible runs axe-core on every main view in both themes.
func TestAccessible(t *testing.T) {
	k := startWith(t, nil).open()
	check, load := k.accessible, k.axe
	for _, theme := range []string{"plaster", "kiln"} {
		k.eval(`(t) => localStorage.setItem('azzel.theme', t)`, theme)
		k.visit("/")
		k.see("main", "The Saltworks")
		load()
		check("the list of projects")
		k.visit("/p/" + k.rig.project)
		k.ready()
		load()
		check("the map")
		k.click(k.at(9, 13)) // the switch
		k.see("[data-testid=details] input", "Sluice wheel")
		check("the map with details")
		if theme == "plaster" { // it stays open
			k.pressIn("[data-testid=details] summary", "Guises")
			k.press("Add a guise")
			k.press("Join")
		}
		k.see("[aria-label='Ways between the guises']", "Guise 1")
		check("the guises of a thing")
		k.pressIn("aside [role=tab]", "Kinds")
		check("the kinds")
		k.pressIn("aside[aria-label=Stack] button", "Entities")
		k.see("[data-testid=entity-list]", "in all")
		check("the list of entities")
		k.pressIn("aside[aria-label=Stack] button", "Stack")
		k.pressIn("aside [role=tab]", "Rules")
		check("the rules beside the map")
		k.pressIn("[data-testid=rule] button", "Write it as text")
		k.see("[data-testid=rule-text]", "")
		k.pressIn("[data-testid=rule] button", "uses")
		k.see("[role=option]", "arrives on a map")
		check("a rule as text, and what a word can be")
		k.keys(input.Escape)
		k.gone("[role=option]")
		k.keys(input.Escape)
		for _, drawer := range []string{"Materials", "Motifs", "Zones", "History", "Tiles"} {
			k.pressIn("aside [role=tab]", drawer)
			check("the drawer " + drawer)
		}
		k.press("Settings of layer Ground")
		k.see("[aria-label='Layer settings']", "")
		check("a layer's settings")
		k.keys(input.Escape)
		k.press("Turn the stack sideways")
		k.see("[data-testid=depth]", "")
		check("the depth view")
		k.press("Turn the stack back")
		k.press("Set up Quay")
		k.see("[role=dialog]", "Screen")
		check("the map's sheet")
		k.press("Close")
		k.gone("[role=dialog]")
		k.press("New map")
		check("a new map")
		k.press("New map")
		box := k.box("[data-testid=sheet]")
		k.drag(left, proto.NewPoint(box.X+70, box.Y+104), proto.NewPoint(box.X+110, box.Y+104))
		k.keys(input.KeyS, input.KeyW)
		k.pressIn("[data-testid=hand] button", "Scatter")
		check("a scatter")
		k.keys(input.Escape)
		k.focusMap()
		k.keys(input.Escape)
		k.with(input.ControlLeft, input.KeyK)
		k.see("[role=dialog]", "Undo")
		check("the finder")
		k.keys(input.Escape)
		k.gone("[role=dialog]")
		k.click(k.at(43, 14)) // the exit
		k.press("Change…")
		check("where a passage leads")
		k.press("Another map")
		k.pressIn("[role=dialog] button", "Pans")
		k.see("[role=dialog]", "No place yet")
		check("the passage")
		k.keys(input.Escape)
		k.gone("[role=dialog]")
		k.focusMap()
		k.keys(input.KeyP)
		k.see("[data-testid=line]", "Low tide")
		check("play")
		k.keys(input.KeyN)
		k.see("[aria-label='Note of On Quay']", "Pinned")
		check("a pin's note")
		k.keys(input.Escape)
		k.gone("[aria-label='Note of On Quay']")
		k.press("Keep the game as a recording")
		k.keys(input.KeyP)
		k.pressIn("aside [role=tab]", "Pins")
		k.see("[data-testid=follows]", "Goes as it did")
		check("the drawer Pins")
		k.press("Delete On Quay")
		k.press("Delete Played from Quay")
		k.press("Begin a game…")
		k.see("[data-testid=begin]", "Crystal seen")
		check("how a game begins")
		k.keys(input.Escape)
		k.gone("[role=dialog]")
		k.pressIn("nav button", "Tilesets")
		k.see("aside", "Coast")
		check("tilesets")
		k.pressIn("aside button", "Sea")
		k.see("[aria-label=Material]", "16 of 16")
		check("a material")
		k.pressIn("aside button", "Coast")
		k.pressIn("nav button", "Rules")
		k.see("main", "New rule")
		check("rules")
		k.pressIn("main [role=tab]", "Texts and languages")
		k.see("[data-testid=texts]", "German")
		check("texts")
		k.pressIn("main [role=tab]", "Rules")
		k.pressIn("nav button", "Kinds")
		k.see("main", "Settings of each")
		check("kinds")
		k.pressIn("[aria-label='Your own'] button", "Lantern")
		check("a kind of one's own")
		k.pressIn("nav button", "Share")
		k.see("main[aria-label=Share] canvas", "")
		check("what leaves and comes back")
		k.openChart()
		check("the chart")
		k.pressIn("aside button", "Pump Shaft")
		k.see("[data-testid=chosen] input", "Pump Shaft")
		check("a map on the chart")
		k.click(k.onChart(704, 64))
		k.see("[data-testid=chosen]", "Seam")
		check("a seam")
	}
}

// layerIs wants a layer of the demo's Quay to be so; place counts from the lowest.
func layerIs(name string, so func(hidden, locked bool, place int) bool) func(*document.Document) error {
	return func(d *document.Document) error {
		for _, m := range d.MapsInOrder() {
			if m.Name != "Quay" {
				continue
			}
			for i, l := range m.LayersInOrder() {
				if l.Name == name && so(l.Hidden, l.Locked, i) {
					return nil
				}
			}
		}
		return fmt.Errorf("layer %s is not as wanted", name)
	}
}

// Single keys work after pressing something elsewhere, but not where one types or
// chooses from a menu, and, for those who want it so, only on the map.
func TestSingleKeysReachTheMap(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	shape := func(want string) {
		t.Helper()
		k.see("[data-testid=hand]", want)
	}
	k.keys(input.KeyB)
	shape("box")
	k.pressIn("aside [role=tab]", "Kinds")
	k.keys(input.KeyL)
	shape("line")
	k.pressIn("aside ul button", "Things")
	k.keys(input.KeyO)
	shape("oval")
	// typed it is text
	k.write("[aria-label='Search the cabinet']", "lll")
	shape("oval")
	k.keys(input.Escape)
	// in a menu it looks for a word
	k.pressIn("[data-testid=hand] button", "oval")
	k.see("[role=menu]", "")
	k.keys(input.KeyL)
	k.keys(input.Escape)
	shape("oval")
	// nothing to undo is no mistake
	for range 3 {
		k.with(input.ControlLeft, input.KeyZ)
	}
	k.gone("[data-testid=notice]")
	k.press("Keys that work here")
	k.pressIn("[role=dialog] label", "single keys only on the map")
	k.press("Close")
	k.pressIn("aside [role=tab]", "Kinds")
	k.keys(input.KeyL)
	shape("oval")
	k.focusMap()
	k.keys(input.KeyL)
	shape("line")
}
