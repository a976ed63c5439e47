package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"os"
	"path/filepath"
	"slices"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// TestScreenshots takes the pictures of docs/screenshots from the demo; it runs
// in ./azzel screenshots only.
func TestScreenshots(t *testing.T) {
	folder := os.Getenv("AZZEL_SCREENSHOTS")
	if folder == "" {
		t.Skip("only in ./azzel screenshots")
	}
	must(t, os.MkdirAll(folder, 0o755))
	r := startWith(t, nil)
	k := r.open()
	shot := func(name string) {
		t.Helper()
		// what is drawn a little later, as the stack's pictures, has come after some frames
		k.eval(`() => new Promise((done) => { let n = 0; const next = () => (++n > 25 ? done() : requestAnimationFrame(next)); next() })`)
		data, err := k.page.Screenshot(false, &proto.PageCaptureScreenshot{Format: proto.PageCaptureScreenshotFormatPng})
		must(t, err)
		must(t, os.WriteFile(filepath.Join(folder, name+".png"), data, 0o644))
	}
	k.see("aside", "Coast")
	box := k.box("[data-testid=sheet]")
	size := box.Width / 16
	tile := func(x, y float64) proto.Point { return proto.NewPoint(box.X+(x+0.5)*size, box.Y+(y+0.5)*size) }
	// a block of planks in hand, as a rim with cobbles inside
	k.click(tile(3, 4))
	k.click(tile(0, 6))
	k.click(tile(0, 4))
	k.keys(input.KeyW)
	k.word("Inside", "tile 67 of Coast")
	k.focusMap()
	k.see("[data-testid=proof]", "can be finished")
	k.hold(left, k.at(20, 17), k.at(25, 21))
	shot("map-painting")
	must(t, k.page.Keyboard.Type(input.Escape))
	must(t, k.page.Mouse.Up(left, 1))
	// tufts and rocks scattered over the grass
	k.pressIn("aside ul button", "Things")
	k.drag(left, tile(4, 6), tile(6, 6))
	k.keys(input.KeyS, input.KeyO)
	k.pressIn("[data-testid=hand] button", "Scatter")
	k.write("[aria-label='Odds of tile 100']", "0")
	k.write("[aria-label='Odds of nothing']", "6")
	k.hold(left, k.at(19, 1), k.at(38, 5))
	k.keys(input.Escape)
	must(t, k.page.Mouse.Up(left, 1))
	k.keys(input.Escape, input.Escape)
	k.focusMap()
	k.keys(input.Escape)
	k.pressIn("aside ul button", "Ground")
	k.word("Selects", "cells of all layers")
	k.press("Motifs")
	k.focusMap()
	k.drag(left, k.at(18, 5), k.at(26, 10))
	k.keys(input.KeyY)
	k.keys(input.KeyY, input.KeyY, input.KeyY, input.KeyY)
	k.press("drop the selection")
	k.word("Selects", "entities")
	k.press("Turn the stack sideways")
	shot("depth")
	k.press("Turn the stack back")
	k.press("Tiles")
	k.focusMap()
	k.keys(input.Escape)
	k.click(k.at(43, 14))
	k.press("Change…")
	k.press("Another map")
	k.pressIn("[role=dialog] button", "Pans")
	k.see("[role=dialog]", "No place yet")
	k.click(k.inPicture(14, 14, 44, 28))
	k.pressIn("[role=dialog] [role=radio]", "right")
	shot("passage")
	k.keys(input.Escape)
	k.gone("[role=dialog]")
	k.focusMap()
	// a game that begins at night
	night := append(slices.DeleteFunc(slices.Clone(r.doc().Project.GameValues), func(v kind.Value) bool { return v.Key == kind.GameBegins }), kind.Value{Key: kind.GameBegins, Value: "22"})
	r.append(edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", night))
	k.see("[data-testid=proof]", "can be finished")
	k.keys(input.KeyP)
	k.see("[data-testid=line]", "Low tide")
	shot("play")
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.pressIn("aside ul button", "Lamp Room")
	k.pressIn("aside[aria-label=Stack] button", "Entities")
	k.pressIn("[data-testid=entity-list] button", "Lamp keeper")
	k.pressIn("aside [role=tab]", "Rules")
	k.press("Ask what changes it and who needs it")
	k.see("[data-testid=ask]", "Lamp keeper")
	k.pressIn("[data-testid=details] summary", "Guises")
	k.see("[aria-label='Ways between the guises']", "Hopeful")
	k.eval(`() => { const at = document.querySelector("[data-testid=guises]"); at.closest(".overflow-y-auto").scrollTop = at.offsetTop - 60 }`)
	shot("guises")
	k.pressIn("aside[aria-label=Stack] button", "Stack")
	k.focusMap()
	k.keys(input.Escape, input.Escape)
	k.pressIn("aside ul button", "Quay")
	k.pressIn("nav button", "Tilesets")
	shot("tilesets")
	k.pressIn("aside button", "Sea")
	shot("material")
	k.pressIn("aside button", "Coast")
	k.pressIn("nav button", "Rules")
	within(t, soon, func() error { // cards are there as one nears them
		return want("the card", k.eval(`() => {
			const is = !!document.querySelector("[aria-label='Rule The lamp keeper']")
			if (!is) document.querySelector('main[aria-label=Rules]').scrollBy(0, 600)
			return String(is)
		}`), "true")
	})
	k.eval(`() => {
		const card = document.querySelector("[aria-label='Rule The lamp keeper']")
		for (const b of card.querySelectorAll("button")) if (/more lines|Write it as text/.test(b.textContent + b.ariaLabel)) b.click()
		card.scrollIntoView()
	}`)
	k.see("[data-testid=rule-text]", "")
	k.move(proto.NewPoint(1200, 700))
	shot("rules")
	k.pressIn("main [role=tab]", "Texts and languages")
	k.see("[data-testid=texts] thead", "German")
	shot("texts")
	k.pressIn("main [role=tab]", "Rules")
	k.pressIn("nav button", "Kinds")
	k.pressIn("[aria-label='Your own'] button", "Shore crab")
	shot("kinds")
	k.openChart()
	k.pressIn("aside button", "Pump Shaft")
	shot("chart")
	k.pressIn("nav button", "Map")
	k.press("Dark theme, Kiln")
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "Yes: in")
	k.see("[data-testid=finding]", "")
	shot("check")
	k.press("Light theme, Plaster")
	k.press("Show it on the map")
	k.see("[data-testid=proof-shown]", "The walk to the goal")
	k.pressIn("aside ul button", "Quay")
	shot("walk")
	k.press("Put away what is drawn of the proof")
	k.pressIn("nav button", "Kinds")
	k.press("A figure…")
	k.see("[role=dialog]", "")
	shot("figure")
	k.keys(input.Escape)
	k.gone("[role=dialog]")
	k.pressIn("nav button", "Share")
	k.see("main[aria-label=Share] canvas", "")
	shot("share")
	k.pressIn("nav button", "Versions")
	k.see("[data-testid=no-versions]", "")
	for _, name := range []string{"First walk", "Before the flood"} {
		k.write("#version-name", name)
		k.keys(input.Enter)
		k.see("main ol li:first-child", name)
		r.append(flooded(r.doc())...)
		k.see("main ol li:first-child", "ago")
	}
	k.see("[data-testid=comparison] figcaption", "Quay")
	shot("versions")
	k.pressIn("nav button", "Game")
	k.see("[data-testid=game] h1", "The Saltworks")
	shot("game")
	k.alone(390, 844)
	k.see("[data-testid=game] h1", "The Saltworks")
	shot("page")
	// a yard that was finished in few moves has its stars, as long as this browser keeps them
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 1280, Height: 800, DeviceScaleFactor: 1}))
	k.press("Choose a map")
	k.pressIn("main ol button", "One Crate")
	k.see("[data-testid=place]", "One Crate")
	k.steps("rrddrrrrrrr")
	k.see("[data-testid=over]", "moves")
	k.press("To the title")
	k.press("Choose a map")
	k.see("main ol", "One Crate")
	shot("stars")
}

// flooded is the quay under more water than before.
func flooded(d *document.Document) []edit.Primitive {
	for _, m := range d.MapsInOrder() {
		if m.Name != "Quay" {
			continue
		}
		ground := m.LayersInOrder()[0]
		sea, all := ground.Cells.At(0, m.Bounds.H-1), &grid.Region{}
		for y := m.Bounds.H / 2; y < m.Bounds.H; y++ {
			from := 6
			if ground.Cells.At(8, y) == sea {
				from = 22
			}
			all.AddRect(grid.Rect{X: from, Y: y, W: 8 + y%3, H: 1})
		}
		return []edit.Primitive{sample.Paint(m.ID, ground.ID, all, sea)}
	}
	return nil
}
