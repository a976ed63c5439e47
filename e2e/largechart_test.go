package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"slices"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// A chart of many maps is drawn from what is kept: maps and the ways between them are there, nearer and farther, where all of it and where
// only a part of it is kept.
func TestAChartOfManyMapsIsDrawn(t *testing.T) {
	k := startWith(t, sample.Maps(120, 500)).open()
	k.openChart()
	drawn := func(what string) {
		t.Helper()
		within(t, 3*soon, func() error {
			// the pictures of the sample's tiles are missing, which is drawn in a red of its own
			red := k.eval(`() => {
				const c = document.querySelector('[data-testid=chart]'), d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
				let n = 0
				for (let i = 0; i < d.length; i += 4) n += d[i] > 180 && d[i] - d[i + 2] > 60 && d[i] - d[i + 1] > 40
				return String(n > 100)
			}`)
			return want(what, fmt.Sprint(k.drawn("chart", "51,80,158") > 100, " ", red), "true true")
		})
	}
	drawn("at first")
	k.eval(`() => document.querySelector('[data-testid=chart]').focus()`)
	for range 4 {
		k.keys(input.NumpadAdd)
	}
	drawn("nearer")
	for range 3 {
		k.keys(input.NumpadSubtract)
	}
	drawn("farther")
	k.keys(input.Home)
	drawn("all of it")
}

// Between many lines maps are dragged all the same: a press on a line chooses that, and a drag that begins there moves the map below it, with
// all that were chosen with it.
func TestADragOnALineMovesWhatLiesBelow(t *testing.T) {
	r := startWith(t, sample.Maps(3, 4))
	k := r.open()
	k.openChart()
	d := r.doc()
	maps := d.MapsInOrder()
	way := d.Passages.All()[0]
	m := d.Maps.Get(way.From.Map)
	end := m.Entities.Get(way.From.Entity)
	onLine := func() proto.Point { return k.onChart(m.Chart.X+end.X+end.W/2, m.Chart.Y+end.Y+end.H/2) }
	k.click(onLine())
	k.see("[data-testid=chosen]", "Passage")
	// how far maps lie from where they were
	moved := func(wanted string) {
		t.Helper()
		k.stored(func(now *document.Document) error {
			is := ""
			for _, o := range maps {
				if a, b := o.Chart, now.Maps.Get(o.ID).Chart; a != nil {
					is += fmt.Sprintf("%s %d,%d ", o.Name, b.X-a.X, b.Y-a.Y)
				}
			}
			return want("maps", is, wanted)
		})
	}
	drag := func() {
		at := onLine()
		k.drag(left, at, offset(at, 4, 4), offset(at, 30, 60))
	}
	drag()
	k.see("[data-testid=chosen]", "20 × 12 cells")
	moved("Map 0 64,128 Map 1 0,0 Map 2 0,0 ")
	k.with(input.ControlLeft, input.KeyZ)
	moved("Map 0 0,0 Map 1 0,0 Map 2 0,0 ")
	within(t, soon, func() error { // and seen there
		return want("lies over", k.eval(`() => String(document.querySelector('[data-testid=findings]').innerText.includes('Map 0 and Map 1 lie over'))`), "false")
	})
	// those that were chosen go together
	k.click(k.onChart(160, 180))
	must(t, k.page.Keyboard.Press(input.ShiftLeft))
	k.click(k.onChart(320+160, 180))
	must(t, k.page.Keyboard.Release(input.ShiftLeft))
	drag()
	moved("Map 0 60,120 Map 1 60,120 Map 2 0,0 ")
	k.same()
}

// The list beside a chart of many maps has the first of them, and those to which one scrolls; one that is searched for is there at once.
func TestAListOfManyMaps(t *testing.T) {
	r := startWith(t, sample.Maps(300, 4))
	k := r.open()
	k.openChart()
	const row = "aside[aria-label=Maps] ol li"
	there := func() string { return k.eval(`() => document.querySelectorAll('` + row + `').length`) }
	many := fmt.Sprint(r.doc().Maps.Len())
	if there() == many {
		t.Error("all rows are made at once")
	}
	within(t, 3*soon, func() error {
		k.eval(`() => document.querySelector('aside[aria-label=Maps] ol').parentElement.scrollTo(0, 1e9)`)
		return want("rows at the end", there(), many)
	})
	k.reload()
	k.openChart()
	k.write("aside[aria-label=Maps] input", "Map 277")
	k.pressIn(row+" button", "Map 277")
	k.see("[data-testid=chosen]", "20 × 12 cells")
	// a map that goes by the keys is elsewhere on the chart, and what is told of it follows
	maps := r.doc().MapsInOrder()
	moved := maps[slices.IndexFunc(maps, func(m *document.Map) bool { return m.Name == "Map 277" })]
	k.eval(`() => document.querySelector('[data-testid=chart]').focus()`)
	k.keys(input.ArrowLeft)
	k.see("[data-testid=chosen]", "Map 276 and Map 277 lie over each other")
	k.stored(func(now *document.Document) error {
		return want("the map's place", fmt.Sprint(now.Maps.Get(moved.ID).Chart.X-moved.Chart.X), "-16")
	})
	k.keys(input.ArrowRight)
	within(t, soon, func() error {
		return want("lies over", k.eval(`() => String(document.querySelector('[data-testid=chosen]').innerText.includes('lie over'))`), "false")
	})
}
