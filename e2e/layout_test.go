package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"errors"
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// wide is how wide a panel is.
func (k *tab) wide(panel string) float64 {
	k.Helper()
	return k.box("aside[aria-label=" + panel + "]").Width
}

// The edges of panels are dragged, and what was dragged, opened and zoomed is found again.
func TestPanelsAreDraggedAndKept(t *testing.T) {
	k := world(t).open()
	canvas := k.box("main").Width
	if canvas < 0.6*1280 {
		t.Errorf("the canvas has %v of 1280", canvas)
	}
	stack, cabinet := k.wide("Stack"), k.wide("Cabinet")
	edge := k.box("[aria-label='Width of the cabinet']")
	at := proto.Point{X: edge.X + edge.Width/2, Y: edge.Y + 300}
	k.drag(left, at, offset(at, -40, 0), offset(at, -90, 0))
	must(t, want("the cabinet", fmt.Sprint(k.wide("Cabinet")), fmt.Sprint(cabinet+90)))
	k.pressIn("[role=tab]", "History")
	k.see("[data-testid=history]", "")
	k.pressIn("[role=tab]", "Tiles")
	k.see("[data-testid=sheet-scale]", "2×")
	k.press("Show the sheet larger")
	k.see("[data-testid=sheet-scale]", "3×")
	// by keys, and with what the window leaves
	must(t, k.page.MustElement("[aria-label='Width of the stack']").Focus())
	k.keys(input.ArrowRight, input.ArrowRight)
	must(t, want("the stack", fmt.Sprint(k.wide("Stack")), fmt.Sprint(stack+16)))
	k.keys(input.End)
	if k.box("main").Width < 320 {
		t.Errorf("the canvas has only %v", k.box("main").Width)
	}
	k.keys(input.Home)
	k.reload()
	must(t, want("the cabinet after a reload", fmt.Sprint(k.wide("Cabinet")), fmt.Sprint(cabinet+90)))
	must(t, want("the stack after a reload", fmt.Sprint(k.wide("Stack")), "150"))
	k.see("[data-testid=sheet-scale]", "3×")

	// dragged to nothing it is folded, and comes back as it was
	edge = k.box("[aria-label='Width of the cabinet']")
	at = proto.Point{X: edge.X + edge.Width/2, Y: edge.Y + 300}
	k.drag(left, at, offset(at, 200, 0), offset(at, 340, 0))
	within(t, soon, func() error { return want("the folded cabinet", fmt.Sprint(k.wide("Cabinet") < 60), "true") })
	k.reload()
	must(t, want("the folded cabinet after a reload", fmt.Sprint(k.wide("Cabinet") < 60), "true"))
	k.pressIn("[role=tab]", "Zones")
	within(t, soon, func() error {
		return want("the cabinet opened again", fmt.Sprint(k.wide("Cabinet") >= 220), "true")
	})
}

// A map opens with all of it in view, and stays so when the window changes, until it is moved.
func TestMapsOpenWhole(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "bounds", grid.Rect{X: -20, Y: -10, W: 200, H: 120}))
	k := r.open()
	k.pressIn("aside ul button", "Pans")
	k.see("header", "Pans")
	inView := func() error {
		return want("what is seen of the map", k.eval(`() => {
			const v = azzel.view(), c = document.querySelector('main canvas')
			const at = (x, y) => [(x - v.x) * v.scale, (y - v.y) * v.scale]
			const [a, b] = [at(-20 * 16, -10 * 16), at(180 * 16, 110 * 16)]
			return a[0] >= 0 && a[1] >= 0 && b[0] <= c.width && b[1] <= c.height ? 'all' : JSON.stringify([a, b, c.width, c.height])
		}`), "all")
	}
	within(t, soon, inView)
	for _, width := range []int{900, 1600} {
		must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: width, Height: 700, DeviceScaleFactor: 1}))
		within(t, soon, inView)
	}
	k.focusMap()
	for range 20 {
		k.keys(input.Equal)
	}
	k.see("[data-testid=zoom]", "3200 %")
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 1280, Height: 800, DeviceScaleFactor: 1}))
	within(t, soon, func() error {
		if k.text("[data-testid=zoom]") != "3200 %" {
			return errors.New("the view that was chosen is lost")
		}
		return nil
	})
}

// Who comes back to a map finds it as it lay: from another station, and from another map.
func TestMapsLieAsTheyWereLeft(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	k.keys(input.Equal, input.Equal)
	k.drag(middle, k.at(10, 6), offset(k.at(10, 6), -70, 45))
	view := func() string { return k.eval(`() => JSON.stringify(azzel.view())`) }
	left := view()
	for _, station := range []string{"Kinds", "Chart", "Tilesets"} {
		k.pressIn("nav button", station)
		k.see("nav [aria-current=page]", station)
		k.pressIn("nav button", "Map")
		k.see("h1", "Quay")
		k.see("[data-testid=map]", "")
		within(t, soon, func() error { return want("the view after "+station, view(), left) })
	}
	k.pressIn("aside ul button", "Pans")
	k.see("h1", "Pans")
	k.keys(input.Minus)
	pans := view()
	k.pressIn("aside ul button", "Quay")
	within(t, soon, func() error { return want("the view of the Quay", view(), left) })
	k.pressIn("aside ul button", "Pans")
	within(t, soon, func() error { return want("the view of the Pans", view(), pans) })
}

// The status line stays one line, all of it in the window, however much there is to say.
func TestTheStatusLineIsOneLine(t *testing.T) {
	k := world(t).open()
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 820, Height: 700, DeviceScaleFactor: 1}))
	k.holdTile(5)
	k.focusMap()
	k.keys(input.KeyB)
	k.move(k.at(3, 3))
	must(t, k.page.Mouse.Down(left, 1))
	k.move(k.at(9, 7))
	k.see("[data-testid=ghost]", "puts down 7 × 5")
	if got := k.eval(`() => {
		const line = document.querySelector('[data-testid=status]').getBoundingClientRect()
		const zoom = document.querySelector('[aria-label="Zoom in"]').getBoundingClientRect()
		const high = [...document.querySelectorAll('[data-testid=status] > *')].filter((e) => e.getBoundingClientRect().height > line.height)
		return [...high.map((e) => e.innerText), zoom.right <= innerWidth ? 'in the window' : 'out of it'].join('; ')
	}`); got != "in the window" {
		t.Errorf("higher than the line, and how far it goes: %s", got)
	}
	must(t, k.page.Mouse.Up(left, 1))
}

// On a tablet that is held upright nothing is squeezed so far that it cannot be read or pressed: the strip says where one is and whether the game can be
// finished, in each station what is named and set has room, and nothing lies outside of the window.
func TestOnATabletHeldUpright(t *testing.T) {
	k := startWith(t, nil).open()
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 820, Height: 1100, DeviceScaleFactor: 1}))
	within(t, 3*soon, k.shows("[data-testid=proof]", "finish"))
	within(t, soon, func() error { // name, place and answer are there to their last words
		return want("what is cut off in the strip", k.eval(`() => [...document.querySelectorAll('header button, header h1, [data-testid=proof] span')]
			.filter((e) => e.scrollWidth > e.clientWidth + 1 || e.scrollHeight > e.clientHeight + 2).map((e) => e.innerText).join('; ')`), "")
	})
	for _, station := range []string{"Chart", "Map", "Tilesets", "Kinds", "Rules", "Game", "Check", "Share"} {
		k.pressIn("nav button", station)
		k.see("nav [aria-current=page]", station)
		within(t, soon, func() error {
			return want("what is too narrow or outside in "+station, k.eval(`() => [...document.querySelectorAll('main, aside, header, section')].flatMap((part) => [...part.querySelectorAll('button, input, select, h2, [data-testid=proof]')]).filter((e) => {
				const r = e.getBoundingClientRect()
				if (!r.width || e.type === 'file' || e.closest('[data-testid=map], .sr-only') || getComputedStyle(e).position === 'absolute') return false
				const least = e.matches('input:not([type=checkbox], [type=radio], [type=range], [type=color], .w-16), select, [data-testid=proof]') ? 40 : 12
				return r.width < least || r.right > innerWidth + 1 && !e.closest('.overflow-x-auto, .overflow-auto')
			}).map((e) => (e.getAttribute('aria-label') || e.innerText || e.placeholder || e.tagName).slice(0, 30) + ' ' + Math.round(e.getBoundingClientRect().width)).join('; ')`), "")
		})
	}
}

// On a tablet that is held upright the map has half of the window, one panel beside it takes the place of the other, also for who has
// taken something into the hand, and what an empty project offers lies within the map, as on a phone.
func TestAnEmptyProjectInANarrowWindow(t *testing.T) {
	k := startWith(t, document.New("Empty")).open()
	wide := func(width, least int) {
		t.Helper()
		must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: width, Height: 1000, DeviceScaleFactor: 1}))
		within(t, soon, func() error {
			return want(fmt.Sprint("the map has its room at ", width), k.eval(`(n) => document.querySelector('main[aria-label=Map]').clientWidth >= n`, least), "true")
		})
		within(t, soon, func() error {
			return want(fmt.Sprint("what lies outside of the map at ", width), k.eval(`() => {
				const m = document.querySelector('main[aria-label=Map]').getBoundingClientRect()
				return [...document.querySelectorAll('main[aria-label=Map] .cut, main[aria-label=Map] .cut *')].filter((e) => e.getBoundingClientRect().right > m.right || e.getBoundingClientRect().left < m.left).map((e) => e.innerText).join('; ')
			}`), "")
		})
	}
	wide(820, 400)
	wide(390, 240)
	k.press("Make the first map")
	k.see("main", "is empty, and there are no tiles")
	wide(390, 240)
	wide(820, 400)
	k.see("[aria-label=Cabinet]", "There are no tiles yet")
	k.press("Open the stack")
	k.see("[aria-label=Maps]", "Map 1")
	k.gone("[aria-label=Cabinet] h2, [aria-label=Cabinet] [aria-label='Search the cabinet']")
	k.pressIn("[aria-label=Cabinet] button", "Kinds")
	k.gone("[aria-label=Maps]")
	k.pressIn("[aria-label=Cabinet] button", "Spawn")
	k.see("[data-testid=hand]", "spawn")
	k.see("[aria-label=Cabinet]", "Spawn")
	wide(820, 400)
	// in a wide window both are there, as they were
	wide(1280, 640)
	k.see("[aria-label=Maps]", "Map 1")
	k.see("[aria-label=Cabinet]", "Spawn")
}

// What the hand would do on a map is not told any more once that map is gone.
func TestAGhostGoesWithItsMap(t *testing.T) {
	k := startWith(t, document.New("Empty")).open()
	k.press("Make the first map")
	k.see("header", "Map 1")
	k.holdKind("Spawn")
	k.focusMap()
	k.move(k.at(3, 3))
	k.see("[data-testid=ghost]", "puts down 1 × 1")
	k.with(input.ControlLeft, input.KeyZ)
	k.see("main", "A game begins with a map")
	k.gone("[data-testid=ghost]")
}

// Of a name that is too long for its place the beginning is seen.
func TestLongNamesBeginWhereTheyAreSeen(t *testing.T) {
	long := "Rocks of the northern shore, as they are by night"
	r := world(t)
	k := r.open()
	k.holdTile(5)
	r.append(edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "name", long))
	k.see("[data-testid=hand]", long)
	for _, at := range []string{"[aria-label='Tileset: " + long + "']", "[data-testid=hand] [aria-haspopup=menu]"} {
		k.see(at, "")
		if is := k.eval(`(at) => {
			const word = document.querySelector(at), first = document.createRange()
			const text = document.createTreeWalker(word, 4 /* texts */, (n) => (n.data.trim() ? NodeFilter.FILTER_ACCEPT : NodeFilter.FILTER_SKIP)).nextNode()
			const from = text.data.search(/\S/)
			first.setStart(text, from), first.setEnd(text, from + 1)
			return text.data.trim() + ': ' + (first.getBoundingClientRect().left >= word.getBoundingClientRect().left)
		}`, at); !strings.HasSuffix(is, ": true") || !strings.Contains(is, long) {
			t.Errorf("%s begins beyond the edge: %s", at, is)
		}
	}
}

// What lies under a notice can be scrolled out from under it, also at the end of a page.
func TestANoticeCoversNothingForGood(t *testing.T) {
	k := startWith(t, nil).open()
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 1100, Height: 560, DeviceScaleFactor: 1}))
	k.pressIn("nav button", "Check")
	k.see("main", "Nothing is painted on the layer")
	within(t, 3*soon, k.shows("[data-testid=answer]", "Yes"))
	k.press("Keep as a recording")
	k.see("[data-testid=notice]", "kept as a recording")
	within(t, soon, func() error {
		return want("the lowest button above the notice", k.eval(`() => {
			const main = document.querySelector('main')
			main.scrollTop = main.scrollHeight
			const last = Math.max(...[...main.querySelectorAll('button, select')].map((e) => e.getBoundingClientRect().bottom))
			const notice = document.querySelector('[data-testid=notice]').getBoundingClientRect()
			return String(main.scrollTop > 0 && last <= notice.top)
		}`), "true")
	})
}

// A notice lies above all that can be pressed below the map: the bar of a game, in one row or two, the hand, and the small map.
func TestANoticeLeavesWhatLiesBelowTheMap(t *testing.T) {
	k := world(t).open()
	above := func(what, selector string) {
		t.Helper()
		within(t, soon, func() error {
			return want("the notice above "+what, k.eval(`(selector) => {
				const below = document.querySelector(selector)?.getBoundingClientRect()
				return String(below && document.querySelector('[data-testid=notice]')?.getBoundingClientRect().bottom <= below.top)
			}`, selector), "true")
		})
	}
	k.focusMap()
	for range 4 {
		k.keys(input.Equal)
	}
	k.see("[data-testid=minimap]", "")
	k.with(input.ControlLeft, input.KeyS)
	k.see("[data-testid=notice]", "Saved")
	above("the small map", "[data-testid=minimap]")
	k.keys(input.KeyP)
	k.see("[aria-label=Time]", "Freeze")
	k.pressIn("[aria-label='Keep the game as a recording']", "")
	k.see("[data-testid=notice]", "kept as a recording")
	above("the bar", "[aria-label=Time]")
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 820, Height: 1180, DeviceScaleFactor: 1}))
	k.pressIn("[aria-label=Time] button", "Edit")
	k.see("[data-testid=hand]", "Holding")
	k.pressIn("[aria-label='Keep the game as a recording']", "")
	k.see("[data-testid=notice]", "kept as a recording")
	above("the bar, over the hand", "[aria-label=Time]")
}

// In a game nothing that is told above the map lies over something else that is, and its bar has room, from a narrow tablet to a wide screen.
func TestWhatAGameTellsHasRoom(t *testing.T) {
	k := startWith(t, nil).open()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	for _, width := range []int{820, 1024, 1280, 1600} {
		must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: width, Height: 900, DeviceScaleFactor: 1}))
		k.see("[data-testid=playing]", "back to the map")
		within(t, soon, func() error {
			return want(fmt.Sprint("what lies over one another, or too low, at ", width), k.eval(`() => {
				const boxes = [...document.querySelectorAll('[data-testid=playing] .bg-ink')].filter((e) => e.checkVisibility()).map((e) => ({ e, r: e.getBoundingClientRect() }))
				const out = []
				for (const a of boxes) for (const b of boxes)
					if (a !== b && !a.e.contains(b.e) && !b.e.contains(a.e) && a.r.left < b.r.right && b.r.left < a.r.right && a.r.top < b.r.bottom && b.r.top < a.r.bottom) out.push(a.e.innerText)
				const bar = document.querySelector('[aria-label=Time]')
				for (const e of bar.querySelectorAll('button')) if (e.getBoundingClientRect().bottom > bar.getBoundingClientRect().bottom - 4) out.push(e.innerText)
				return (boxes.length > 1 ? '' : 'nothing is told ') + out.join('; ')
			}`), "")
		})
	}
}

// The strip has room for the name of the project beside what it says of it.
func TestTheStripNamesTheProject(t *testing.T) {
	k := startWith(t, nil).open()
	must(t, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 1024, Height: 800, DeviceScaleFactor: 1}))
	within(t, 3*soon, k.shows("[data-testid=proof]", "can be finished"))
	within(t, soon, func() error {
		return want("how much of the name is cut off", k.eval(`() => { const e = document.querySelector('[title="Rename the project"]'); return String(e.scrollWidth - e.clientWidth) }`), "0")
	})
}
