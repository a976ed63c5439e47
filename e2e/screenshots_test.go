package e2e

import (
	"os"
	"path/filepath"
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
	k := startWith(t, nil).open()
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
	shot("scatter")
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
	shot("selection")
	k.keys(input.KeyY, input.KeyY, input.KeyY, input.KeyY)
	k.press("drop the selection")
	k.word("Selects", "entities")
	k.press("Size, shift, exchange or clear Quay")
	k.write("[aria-label='Cells more at the right']", "-6")
	shot("map-sheet")
	k.press("Close")
	k.press("Turn the stack sideways")
	shot("depth")
	k.press("Turn the stack back")
	k.press("Tiles")
	k.focusMap()
	k.keys(input.Escape)
	k.click(k.at(9, 13))
	k.see("[data-testid=details] input", "Sluice wheel")
	shot("map-wire")
	k.click(k.at(43, 14))
	k.press("Change…")
	k.pressIn("[role=dialog] button", "Pans")
	k.see("[role=dialog]", "No place yet")
	k.click(k.inPicture(14, 14, 44, 28))
	k.pressIn("[role=dialog] [role=radio]", "right")
	shot("passage")
	k.keys(input.Escape)
	k.gone("[role=dialog]")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=line]", "Low tide")
	shot("play")
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.with(input.ControlLeft, input.KeyK)
	must(t, k.page.InsertText("gate"))
	shot("finder")
	k.keys(input.Escape)
	k.gone("[role=dialog]")
	k.pressIn("nav button", "Tilesets")
	shot("tilesets")
	k.pressIn("aside button", "Sea")
	shot("material")
	k.pressIn("aside button", "Coast")
	k.pressIn("nav button", "Rules")
	shot("rules")
	k.press("Dark theme, Kiln")
	k.pressIn("nav button", "Map")
	k.pressIn("aside ul button", "Pans")
	k.see("header", "Pans")
	k.pressIn("aside [role=tab]", "Rules")
	shot("map-kiln")
}
