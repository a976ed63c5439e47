package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"encoding/json"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// onChart is the place on the page of a pixel of the chart.
func (k *tab) onChart(x, y int) proto.Point {
	k.Helper()
	var v struct{ Scale, X, Y, Left, Top float64 }
	raw := k.eval(`() => {
		const r = document.querySelector('[data-testid=chart]').getBoundingClientRect()
		return JSON.stringify({ ...azzel.chart(), left: r.left, top: r.top })
	}`)
	must(k.T, json.Unmarshal([]byte(raw), &v))
	return proto.NewPoint(v.Left+(float64(x)-v.X)*v.Scale, v.Top+(float64(y)-v.Y)*v.Scale)
}

func (k *tab) openChart() {
	k.Helper()
	k.pressIn("nav button", "Chart")
	k.see("[data-testid=findings]", "")
}

func chartAt(id document.ID, x, y int) func(*document.Document) error {
	return func(d *document.Document) error {
		if p := d.Maps.Get(id).Chart; p == nil || p.X != x || p.Y != y {
			return fmt.Errorf("%s lies at %v, wanted %d,%d", d.Maps.Get(id).Name, p, x, y)
		}
		return nil
	}
}

func TestChartDragsMapsToASeam(t *testing.T) {
	r := world(t)
	gap := &grid.Region{}
	gap.AddRect(grid.Rect{X: 19, Y: 2, W: 1, H: 3})
	r.append(sample.Paint(sample.Quay, sample.Things, gap, 0), edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}))
	k := r.open()
	k.openChart()
	k.see("[data-testid=findings]", "Exit on Quay leads nowhere yet")
	k.see("[data-testid=findings]", "No way leads into Pans")
	// the Pans begin to the right of the Quay; dragged near, the edges snap
	grip := k.onChart(384+160, 150)
	k.drag(left, grip, offset(grip, -10, 4), k.onChart(330+160, 150+12))
	k.stored(chartAt(sample.Pans, 320, 16))
	k.stored(chartAt(sample.Quay, 0, 0))
	within(t, soon, func() error {
		if n := k.eval(`() => [...document.querySelectorAll('[data-testid=findings] li')].some((e) => e.innerText.includes('into Pans'))`); n == "true" {
			return fmt.Errorf("no way leads into the Pans still")
		}
		return nil
	})
	// the seam is there, can be closed and opened again
	k.click(k.onChart(320, 16+24))
	k.see("[data-testid=chosen]", "Seam of Quay and Pans")
	k.see("[data-testid=chosen]", "Open on both sides along 3 cells")
	k.pressIn("[data-testid=chosen] label", "closed")
	k.stored(func(d *document.Document) error {
		if s := d.Maps.Get(min(sample.Quay, sample.Pans)).Seams; len(s) != 1 || !s[0].Closed {
			return fmt.Errorf("the seams are %+v", s)
		}
		return nil
	})
	k.see("[data-testid=findings]", "No way leads into Pans")
	k.pressIn("[data-testid=chosen] label", "closed")
	// and is walked across, there and back
	k.pressIn("aside button", "Quay")
	k.press("Open")
	k.see("header", "Quay")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	must(t, k.page.Keyboard.Press(input.ArrowRight))
	k.see("[data-testid=playing]", "Playing Pans")
	must(t, k.page.Keyboard.Release(input.ArrowRight))
	must(t, k.page.Keyboard.Press(input.ArrowLeft))
	k.see("[data-testid=playing]", "Playing Quay")
	must(t, k.page.Keyboard.Release(input.ArrowLeft))
	k.focusMap()
	k.keys(input.KeyP)
	k.same()
}

func TestChartByKeyboardAndNumbers(t *testing.T) {
	k := world(t).open()
	k.openChart()
	k.pressIn("aside button", "Pans")
	k.see("[data-testid=chosen] input", "Pans")
	k.eval(`() => document.querySelector('[data-testid=chart]').focus()`)
	before := k.eval(`() => JSON.stringify(azzel.chart())`)
	k.keys(input.ArrowRight, input.ArrowRight, input.ArrowDown)
	k.stored(chartAt(sample.Pans, 384+32, 16))
	if before != k.eval(`() => JSON.stringify(azzel.chart())`) {
		t.Error("the chart moved with the map")
	}
	// what is set for all maps, and what differs
	k.option("[data-testid=chosen] [aria-label=seen]", "from the side")
	k.fill("[data-testid=chosen] [aria-label='jump height']", "2.5")
	k.stored(func(d *document.Document) error {
		m := d.Maps.Get(sample.Pans)
		if d.MapValue(m, kind.MapJump) != "2.5" || !d.FromSide(m) || d.FromSide(d.Maps.Get(sample.Quay)) {
			return fmt.Errorf("the Pans have %v", m.Values)
		}
		return nil
	})
	k.fill("[data-testid=chosen] [aria-label='jump height']", "200")
	k.notice("Jump height is 0 to 50 cells")
	k.press("Put back jump height")
	k.stored(func(d *document.Document) error {
		if n := len(d.Maps.Get(sample.Pans).Values); n != 1 {
			return fmt.Errorf("%d settings differ", n)
		}
		return nil
	})
	// names: empty, taken, with markup
	k.fill("[data-testid=chosen] [aria-label='Name of the map']", " ")
	k.notice("cannot be empty")
	k.fill("[data-testid=chosen] [aria-label='Name of the map']", "Quay")
	k.see("aside", "Quay 2")
	k.notice("There is a “Quay” already, so this is called “Quay 2”")
	k.fill("[data-testid=chosen] [aria-label='Name of the map']", "<i>Pans</i>")
	k.see("aside", "<i>Pans</i>")
	// an edge that is an exit is told to lead nowhere, and is led somewhere by typing a name
	k.option("[data-testid=chosen] details[open] select", "exit")
	k.see("[data-testid=chosen]", "top edge of <i>Pans</i> is an exit and leads nowhere yet")
	k.press("Where…")
	must(t, k.page.MustElement("[aria-label='A map’s name']").Input("qua"))
	k.keys(input.Enter)
	k.see("[role=dialog]", "No place yet")
	k.click(k.inPicture(5, 5, 20, 12))
	k.pressIn("[role=dialog] label", "and back")
	k.press("Join")
	k.gone("[role=dialog]")
	k.stored(func(d *document.Document) error {
		for _, p := range d.Passages.All() {
			if p.From.Map == sample.Pans && p.From.Side == document.Up && p.To.Map == sample.Quay {
				return nil
			}
		}
		return fmt.Errorf("no passage leads from the edge")
	})
	// a start is offered where there is none, copies are made, and deleting says what it broke
	k.press("Copy")
	k.see("[data-testid=chosen] input", "<i>Pans</i> 2")
	k.pressIn("aside button", "Quay")
	k.press("Delete map Quay")
	k.notice("referred to Quay")
	k.stored(func(d *document.Document) error {
		if d.Maps.Len() != 2 || d.Passages.Len() != 0 {
			return fmt.Errorf("%d maps and %d passages are left", d.Maps.Len(), d.Passages.Len())
		}
		return nil
	})
	k.pressIn("aside button", "<i>Pans</i> 2")
	k.press("Place a spawn on it")
	k.stored(func(d *document.Document) error {
		for _, m := range d.Maps.All() {
			for _, e := range m.Entities.All() {
				if e.Kind == kind.Spawn {
					return nil
				}
			}
		}
		return fmt.Errorf("no spawn was placed")
	})
	k.same()
}

// A world of three maps is built by pointing alone, and walked there and back.
func TestThreeMapsByPointing(t *testing.T) {
	r := world(t)
	r.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}))
	k := r.open()
	k.openChart()
	k.press("New map")
	must(t, k.page.MustElement("[aria-label='Name of the new map']").Input("Cellar"))
	k.press("One screen")
	k.press("Make the map")
	k.see("header", "Cellar")
	k.saved()
	cellar := document.ID("")
	for _, m := range k.rig.doc().Maps.All() {
		if m.Name == "Cellar" {
			cellar = m.ID
		}
	}
	// Quay to Pans by the exit that is there, and back
	k.pressIn("aside[aria-label=Stack] button", "Quay")
	k.click(k.at(18, 5))
	k.press("Choose where…")
	k.pressIn("[role=dialog] button", "Pans")
	k.click(k.inPicture(3, 5, 20, 12))
	k.pressIn("[role=dialog] [role=radio]", "right")
	k.press("Join")
	k.gone("[role=dialog]")
	// an exit is drawn on the Pans, and leads to the Cellar
	k.pressIn("aside[aria-label=Stack] button", "Pans")
	k.see("header", "Pans")
	k.holdKind("Exit")
	k.drag(left, k.at(8, 5), k.at(8, 6))
	k.keys(input.Escape)
	k.click(k.at(8, 5))
	k.see("[data-testid=details]", "leads nowhere yet")
	k.press("Choose where…")
	k.pressIn("[role=dialog] button", "Cellar")
	k.click(k.inPicture(4, 5, 20, 14))
	k.pressIn("[role=dialog] [role=radio]", "right")
	k.press("Join")
	k.gone("[role=dialog]")
	k.stored(func(d *document.Document) error {
		if d.Passages.Len() != 4 {
			return fmt.Errorf("%d passages", d.Passages.Len())
		}
		return nil
	})
	// the chart has nothing to say but that the Cellar has no other way out
	k.openChart()
	k.see("[data-testid=findings]", "Every way leads somewhere")
	// a passage is chosen on the chart, shut until a pearl is taken, and says so
	exit := k.rig.doc().Entity(sample.Quay, sample.Exit)
	from := grid.Point{X: exit.X + exit.W/2, Y: exit.Y + exit.H/2}
	k.click(k.onChart(from.X, from.Y))
	k.see("[data-testid=chosen]", "from Exit on Quay")
	k.see("[data-testid=chosen]", "Passage")
	k.press("+ so many")
	k.stored(func(d *document.Document) error {
		for _, p := range d.Passages.All() {
			if p.From.Entity == sample.Exit && len(p.If) == 1 && p.If[0].Count == 1 {
				return nil
			}
		}
		return fmt.Errorf("the passage asks for nothing")
	})
	k.pressIn("nav button", "Map")
	k.pressIn("aside[aria-label=Stack] button", "Quay")
	k.focusMap()
	k.keys(input.Escape, input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	walk := func(key input.Key, until string) {
		t.Helper()
		must(t, k.page.Keyboard.Press(key))
		k.see("[data-testid=playing]", until)
		must(t, k.page.Keyboard.Release(key))
	}
	// by the pearl in row 2, then down to the exit's row at the right wall
	walk(input.ArrowRight, "1 of 1 collected")
	must(t, k.page.Keyboard.Press(input.ArrowRight))
	within(t, soon, func() error { return heroPast(k, 16) })
	must(t, k.page.Keyboard.Release(input.ArrowRight))
	must(t, k.page.Keyboard.Press(input.ArrowRight))
	must(t, k.page.Keyboard.Press(input.ArrowDown))
	k.see("[data-testid=playing]", "Playing Pans")
	must(t, k.page.Keyboard.Release(input.ArrowDown))
	k.see("[data-testid=playing]", "Playing Cellar")
	must(t, k.page.Keyboard.Release(input.ArrowRight))
	walk(input.ArrowLeft, "Playing Pans")
	walk(input.ArrowLeft, "Playing Quay")
	k.focusMap()
	k.keys(input.KeyP)
	if k.rig.doc().Maps.Get(cellar) == nil {
		t.Error("the Cellar is gone")
	}
	k.same()
}

// heroPast wants the hero right of a column.
func heroPast(k *tab, column int) error {
	var x, y float64
	var facing string
	if _, err := fmt.Sscan(k.eval(`() => azzel.hero()`), &x, &y, &facing); err != nil || x < float64(column*16) {
		return fmt.Errorf("the hero is at %v, %v: %w", x, y, err)
	}
	return nil
}

func TestLookThroughAndBrokenEnds(t *testing.T) {
	r := world(t)
	k := r.open()
	k.click(k.at(18, 5))
	k.press("Choose where…")
	k.pressIn("[role=dialog] button", "Pans")
	k.click(k.inPicture(5, 5, 20, 12))
	k.press("Join")
	k.gone("[role=dialog]")
	k.press("Look through")
	k.see("[data-testid=look-through]", "Through to Pans")
	// a wall is painted on the far arrival through it, without leaving the Quay
	k.holdTile(1)
	box := k.box("[data-testid=look-through] canvas")
	k.click(proto.NewPoint(box.X+box.Width/2, box.Y+box.Height/2))
	k.see("header", "Quay")
	k.stored(func(d *document.Document) error {
		m := d.Maps.Get(sample.Pans)
		if !d.Solids().At(m, grid.Point{X: 5, Y: 5}) {
			return fmt.Errorf("cell 5, 5 of the Pans is free")
		}
		return nil
	})
	// the passage is marked as broken at once
	k.openChart()
	k.see("[data-testid=findings]", "lies in something solid")
	k.pressIn("[data-testid=findings] ul:first-of-type button", "solid")
	k.see("[data-testid=chosen]", "Passage")
	k.pressIn("nav button", "Map")
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.openChart()
	k.see("[data-testid=findings]", "Every way leads somewhere")
	k.same()
}

func TestMapsFromATemplateAndFolders(t *testing.T) {
	k := world(t).open()
	k.openChart()
	k.pressIn("aside button", "Quay")
	k.pressIn("[data-testid=chosen] summary", "Order and folder")
	k.pressIn("[data-testid=chosen] label", "a template for new maps")
	k.pressIn("aside button", "Pans")
	// what was opened for one map is open for the next
	k.pressIn("[data-testid=chosen] label", "finishing it starts")
	k.label("Folder", "Outside")
	k.see("aside[aria-label=Maps] h2", "Outside")
	k.press("New map")
	must(t, k.page.MustElement("[aria-label='Name of the new map']").Input("Quay by night"))
	k.option("[aria-label='Made from']", string(sample.Quay))
	if w := k.eval(`() => document.querySelector("[aria-label='Width in cells']").value`); w != "20" {
		t.Errorf("of a template of 20 cells the width is %s", w)
	}
	k.write("[aria-label='Width in cells']", "26")
	k.press("Make the map")
	k.see("header", "Quay by night")
	k.stored(func(d *document.Document) error {
		for _, m := range d.Maps.All() {
			if m.Name == "Quay by night" && m.Bounds.W == 26 && !m.Template && m.Entities.Len() == 5 && d.Maps.Get(sample.Quay).Template && d.Maps.Get(sample.Pans).Next && d.Maps.Get(sample.Pans).Folder == "Outside" {
				return nil
			}
		}
		return fmt.Errorf("no map was made from the template, or the Pans are not in their folder")
	})
	k.same()
}

func TestOwnSettingsOfMaps(t *testing.T) {
	k := world(t).open()
	k.openChart()
	k.pressIn("[data-testid=chosen] summary", "Own settings of maps")
	k.press("Add a setting")
	k.fill("[aria-label='Name of setting 1']", "tide")
	k.option("[aria-label='Type of tide']", "number")
	k.fill("[data-testid=chosen] [aria-label='Value of tide']", "3")
	k.see("[aria-label='Settings of all maps']", "tide")
	k.pressIn("aside button", "Pans")
	k.see("[data-testid=chosen] [aria-label=tide]", "3")
	k.fill("[data-testid=chosen] [aria-label=tide]", "5")
	k.stored(func(d *document.Document) error {
		key := d.Project.MapProperties[0].Key // it stays what it was first called
		if a, b := d.MapValue(d.Maps.Get(sample.Pans), key), d.MapValue(d.Maps.Get(sample.Quay), key); a != "5" || b != "3" {
			return fmt.Errorf("the tides are %s and %s", a, b)
		}
		return nil
	})
	k.same()
}

// Whenever one comes back to the chart it is drawn.
func TestChartIsDrawnAtEachReturn(t *testing.T) {
	k := world(t).open()
	for range 3 {
		k.openChart()
		within(t, soon, func() error {
			return want("drawn", k.eval(`() => {
				const c = document.querySelector('[data-testid=chart]')
				const data = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
				return String(data.some((v) => v !== 0))
			}`), "true")
		})
		k.pressIn("nav button", "Map")
		k.see("aside[aria-label=Cabinet]", "Tiles")
	}
}
