package e2e

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/sample"
	"encoding/json"
	"fmt"
	"math"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

func boundsAre(want grid.Rect) func(*document.Document) error {
	return func(d *document.Document) error {
		if got := d.Maps.Get(sample.Quay).Bounds; got != want {
			return fmt.Errorf("the bounds are %v, wanted %v", got, want)
		}
		return nil
	}
}

func TestMapIsResizedByNumberAndBySide(t *testing.T) {
	k := world(t).open()
	start := k.rig.doc().Hash()
	k.press("Set up Quay")
	k.write("[aria-label='Cells more at the right']", "-4")
	k.see("[data-testid=new-size]", "16 × 12")
	k.see("[aria-label=Size]", "66 painted cells and 1 entity would lie outside")
	k.write("[aria-label='Cells more at the top']", "2")
	k.press("Resize")
	k.stored(boundsAre(grid.Rect{X: 0, Y: -2, W: 16, H: 14}))
	k.write("[aria-label='Cells more at the left']", "3000")
	k.press("Resize")
	k.notice("1 to 2048")
	k.press("Close")
	k.gone("[aria-label=Size]")
	// the bar outside the right side is dragged back out
	bar, to := k.at(16, 5), k.at(20, 5)
	bar.X, bar.Y = bar.X-16+13, bar.Y-16
	to.X, to.Y = to.X-16, bar.Y
	k.drag(left, bar, to)
	k.stored(boundsAre(grid.Rect{X: 0, Y: -2, W: 20, H: 14}))
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ, input.KeyZ)
	k.stored(func(d *document.Document) error {
		if d.Hash() != start {
			return fmt.Errorf("something was lost")
		}
		return nil
	})
	k.same()
}

func TestShiftExchangeCropAndClear(t *testing.T) {
	k := world(t).open()
	k.holdTile(1)
	k.holdTile(5)
	k.keys(input.Escape)
	k.focusMap()
	k.with(input.ControlLeft, input.KeyE)
	k.write("[aria-label='Shift to the right']", "3")
	k.pressIn("[aria-label=Shift] button", "Shift")
	k.stored(cellsAre(sample.Things, 3, 5, 1, 2, 5, 1, 0, 5, -1))
	k.pressIn("[aria-label='Tile that is exchanged'] button", "tile 1 of Coast")
	k.pressIn("[aria-label='Tile that takes its place'] button", "tile 5 of Coast")
	k.pressIn("[aria-label='Exchange tiles'] label", "on a layer of its own")
	k.press("Make the layer")
	k.notice("A rule lays it")
	k.stored(count(sample.Things, 1, 60))
	k.stored(func(d *document.Document) error {
		for _, l := range d.Maps.Get(sample.Quay).LayersInOrder() {
			if l.Name == "Exchanged Things" && l.Absent && l.Covers {
				return nil
			}
		}
		return fmt.Errorf("there is no layer for rules")
	})
	k.press("Undo")
	k.pressIn("[aria-label='Exchange tiles'] label", "on a layer of its own")
	k.press("Exchange the tile")
	k.notice("Exchanged 60 cells")
	k.stored(count(sample.Things, 5, 60))
	k.press("Close")
	k.word("Selects", "cells of all layers")
	k.focusMap()
	k.drag(left, k.at(2, 2), k.at(6, 6))
	k.with(input.ControlLeft, input.KeyE)
	k.press("Crop to the selection")
	k.stored(boundsAre(grid.Rect{X: 2, Y: 2, W: 5, H: 5}))
	k.press("Clear the map")
	k.stored(func(d *document.Document) error {
		// what lies outside the bounds is kept
		if d.Entity(sample.Quay, sample.Spawn) != nil || d.Entity(sample.Quay, sample.Exit) == nil {
			return fmt.Errorf("the spawn is there, or the exit is not")
		}
		return count(sample.Things, 5, 0)(d)
	})
	k.press("Close")
	k.same()
}

// A new map's size comes from presets and screens, and its layers from the plan.
func TestNewMapFromPresetAndPlan(t *testing.T) {
	k := world(t).open()
	k.press("Set up Quay")
	k.write("[aria-label='Width of the screen in cells']", "16")
	k.keys(input.Tab)
	k.stored(func(d *document.Document) error {
		if d.Project.Screen != (document.Size{W: 16, H: 14}) {
			return fmt.Errorf("the screen is %v", d.Project.Screen)
		}
		return nil
	})
	k.press("Close")
	k.press("New map")
	k.write("form [aria-label='Width in cells']", "30")
	k.write("form [aria-label='Height in cells']", "22")
	k.press("keep this size")
	k.see("[aria-label=Sizes]", "30 × 22")
	k.press("Two by two screens")
	k.see("form", "2 × 2 screens")
	k.press("Make the map")
	k.see("header", "Map 3")
	k.stored(func(d *document.Document) error {
		for _, m := range d.MapsInOrder() {
			if m.Name == "Map 3" && m.Bounds == (grid.Rect{W: 32, H: 28}) && m.Layers.Len() == 4 {
				return nil
			}
		}
		return fmt.Errorf("the map was not made")
	})
	k.same()
}

// A map's cells get another size after it was painted: what is painted stays,
// and tiles that are smaller now stand on the lower edges, which is said.
func TestCellSizeAfterPainting(t *testing.T) {
	k := world(t).open()
	k.press("Set up Quay")
	k.write("[aria-label='Height of a cell']", "32")
	k.see("[data-testid=cell-told]", "Coast have another size")
	k.write("[aria-label='Width of a cell']", "0")
	k.press("This map")
	k.notice("cell width")
	k.write("[aria-label='Width of a cell']", "16")
	k.press("This map")
	k.stored(func(d *document.Document) error {
		m := d.Maps.Get(sample.Quay)
		if e := d.Entity(sample.Quay, sample.Door); m.CellHeight != 32 || e.Y != 64 || e.H != 32 {
			return fmt.Errorf("cells are %d high, the door stands at %d", m.CellHeight, e.Y)
		}
		return cellsAre(sample.Things, 0, 0, 1)(d)
	})
	k.press("Close")
	k.see("[data-testid=odd-size]", "stand on the lower edge")
	k.same()
}

// onDiamond is the middle of a cell on a grid of diamonds, on the page.
func (k *tab) onDiamond(x, y int) proto.Point {
	k.Helper()
	var v struct{ Scale, X, Y, Left, Top float64 }
	must(k.T, json.Unmarshal([]byte(k.eval(`() => {
		const r = document.querySelector('[data-testid=map]').getBoundingClientRect()
		return JSON.stringify({ ...azzel.view(), left: r.left, top: r.top })
	}`)), &v))
	u, w := float64(x)+0.5, float64(y)+0.5
	return proto.NewPoint(v.Left+((u-w)*8-v.X)*v.Scale, v.Top+((u+w)*4-v.Y)*v.Scale)
}

// On a grid of diamonds pointing, ghosts and painting are about the same cells.
func TestGridOfDiamonds(t *testing.T) {
	k := world(t).open()
	k.press("Set up Quay")
	must(t, k.find("[aria-label=Grid]", "").Select([]string{"diamonds"}, true, rod.SelectorTypeText))
	k.stored(func(d *document.Document) error {
		if m := d.Maps.Get(sample.Quay); m.Grid != document.GridDiamond || m.CellHeight != 8 {
			return fmt.Errorf("the map is %+v", m)
		}
		return nil
	})
	k.press("Close")
	k.gone("[aria-label='Cell size']")
	k.holdTile(5)
	k.keys(input.KeyB)
	for _, c := range [][2]int{{0, 0}, {19, 0}, {0, 11}, {7, 4}} {
		k.move(k.onDiamond(c[0], c[1]))
		k.see("[data-testid=status]", fmt.Sprintf("cell %d, %d", c[0], c[1]))
	}
	k.hold(left, k.onDiamond(3, 4), k.onDiamond(8, 6))
	k.see("[data-testid=ghost]", "puts down 6 × 3 on Ground")
	must(t, k.page.Mouse.Up(left, 1))
	k.stored(cellsAre(sample.Ground, 3, 4, 5, 8, 6, 5, 9, 6, 0))
	k.stored(count(sample.Ground, 5, 18))
	// picking entities, and moving them by cells
	k.keys(input.Escape)
	k.click(k.onDiamond(4, 2))
	k.see("[data-testid=details] input", "Pearl")
	k.drag(left, k.onDiamond(4, 2), k.onDiamond(6, 3))
	k.stored(func(d *document.Document) error {
		if e := d.Entity(sample.Quay, sample.Pearl); e.X != 96 || e.Y != 24 {
			return fmt.Errorf("the pearl stands at %d,%d", e.X, e.Y)
		}
		return nil
	})
	// the bar outside a slanting side is dragged
	k.keys(input.Escape)
	corner := func(x, y int) proto.Point {
		a, b := k.onDiamond(x-1, y-1), k.onDiamond(x, y)
		return proto.NewPoint((a.X+b.X)/2, (a.Y+b.Y)/2)
	}
	bar := corner(20, 6)
	bar.X, bar.Y = bar.X+13/math.Sqrt(5), bar.Y+13*2/math.Sqrt(5)
	k.drag(left, bar, corner(23, 6))
	k.stored(boundsAre(grid.Rect{W: 23, H: 12}))
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "")
	k.same()
}

// Whoever looks closely at a part of a map that is cut off sees what is left of the map, and not nothing.
func TestWhatIsLeftOfAMapIsSeen(t *testing.T) {
	k := world(t).open()
	box := k.box("[data-testid=map]")
	near := proto.NewPoint(box.X+box.Width/2-120, box.Y+box.Height/2)
	must(t, k.page.Mouse.MoveTo(near))
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	for range 8 {
		must(t, k.page.Mouse.Scroll(0, -100, 1))
	}
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	seen := func() bool { // whether cell columns from 18 on are in view
		return k.eval(`() => { const v = azzel.view(), c = document.querySelector('[data-testid=map]'); return v.x + c.width / v.scale > 18 * 16 + 4 }`) == "true"
	}
	if seen() {
		t.Fatal("it is not looked at closely enough")
	}
	k.press("Set up Quay")
	k.write("[aria-label='Cells more at the left']", "-18")
	k.press("Resize")
	k.stored(boundsAre(grid.Rect{X: 18, Y: 0, W: 2, H: 12}))
	within(t, soon, func() error {
		if !seen() {
			return fmt.Errorf("nothing of the map is seen: %s", k.eval(`() => JSON.stringify(azzel.view())`))
		}
		return nil
	})
}
