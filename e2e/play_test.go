package e2e

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/rules"
	"azzel/core/sample"
	"encoding/json"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// walk holds a key until a condition holds on the page.
func (k *tab) walk(key input.Key, until func() error) {
	k.Helper()
	must(k.T, k.page.Keyboard.Press(key))
	defer func() { must(k.T, k.page.Keyboard.Release(key)) }()
	within(k.T, soon, until)
}

func (k *tab) shows(selector, text string) func() error {
	return func() error { return contains(k.text(selector), text) }
}

// joined is the world with a passage both ways, a switch that opens the door
// and says a line, and the door moved so that it closes the way to the exit.
func joined(t *testing.T) *rig {
	r := world(t)
	d := r.doc()
	r.author(author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans,
		At: grid.Point{X: 3, Y: 5}, Facing: document.Right, Back: true}))
	wall := &grid.Region{}
	wall.AddRect(grid.Rect{X: 10, Y: 1, W: 1, H: 10})
	gap := &grid.Region{}
	gap.Add(grid.Point{X: 10, Y: 5})
	r.append(sample.Paint(sample.Quay, sample.Things, wall, sample.Wall), sample.Paint(sample.Quay, sample.Things, gap, 0),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "y", 80),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Switch}, "y", 80))
	r.author(author.AddRule(r.doc(), rules.Of(
		rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door), rules.Say("The gate grinds open."))))
	return r
}

func TestWalkFromOneMapThroughTheOther(t *testing.T) {
	k := joined(t).open()
	k.focusMap()
	k.keys(input.Equal)
	before := k.eval(`() => JSON.stringify(azzel.view())`)
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.see("[data-testid=count]", "0 of 1 collected")

	// the pearl lies on the way right, the wall stops
	k.walk(input.ArrowRight, k.shows("[data-testid=count]", "1 of 1 collected"))
	// down to the switch's row, then the closed door stops the hero
	k.toColumn(5)
	k.toRow(5)
	k.walk(input.KeyD, func() error { return contains(k.eval(`() => azzel.hero()`), "right") })
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "The gate grinds open.")
	k.keys(input.Enter)
	k.gone("[data-testid=line]")
	// round the switch, through the door, out of the exit, into Pans
	k.walk(input.KeyS, func() error { return at(k, func(x, y int) bool { return y >= 7*16 }) })
	k.walk(input.KeyD, func() error { return at(k, func(x, y int) bool { return x >= 8*16 }) })
	k.toRow(5)
	k.walk(input.KeyD, k.shows("[data-testid=playing]", "Playing Pans"))
	k.see("header", "Pans")
	within(t, soon, func() error {
		return at(k, func(x, y int) bool { return x >= 3*16-4 && x < 6*16 && y > 4*16 && y < 6*16 })
	})
	// and back: the return begins behind the arrival
	k.walk(input.KeyA, k.shows("[data-testid=playing]", "Playing Quay"))

	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.see("header", "Quay")
	if after := k.eval(`() => JSON.stringify(azzel.view())`); after != before {
		t.Errorf("the view was %s and is %s", before, after)
	}
	// playing changed nothing that is stored
	k.same()
}

// stand walks until the hero's picture stands on a row (down) or column of
// cells, with single steps, however slow the machine is.
func (k *tab) stand(down bool, on int) {
	k.Helper()
	within(k.T, soon, func() error {
		var x, y int
		if _, err := fmt.Sscan(k.eval(`() => azzel.hero()`), &x, &y); err != nil {
			return err
		}
		away, less, more := on*16-x, input.ArrowLeft, input.ArrowRight
		if down {
			away, less, more = on*16-2-y, input.ArrowUp, input.ArrowDown
		}
		switch {
		case away < -2:
			k.keys(less)
		case away > 2:
			k.keys(more)
		default:
			// steps that were pressed may still be to come
			if k.eval(`async () => {
				for (let n = 0; n < 5; n++) await new Promise(requestAnimationFrame)
				return azzel.hero().split(' ', 2).join(' ')
			}`) == fmt.Sprint(x, y) {
				return nil
			}
		}
		return fmt.Errorf("the hero is at %d,%d, not on %d", x, y, on)
	})
}

func (k *tab) toRow(row int) { k.Helper(); k.stand(true, row) }

func (k *tab) toColumn(column int) { k.Helper(); k.stand(false, column) }

// at asks where the hero is drawn, in map pixels.
func at(k *tab, ok func(x, y int) bool) error {
	var x, y int
	if _, err := fmt.Sscan(k.eval(`() => azzel.hero()`), &x, &y); err != nil {
		return err
	}
	if !ok(x, y) {
		return fmt.Errorf("the hero is at %d,%d", x, y)
	}
	return nil
}

func TestPaintWhilePlaying(t *testing.T) {
	k := world(t).open()
	k.holdTile(1) // solid
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	// a wall is painted in the hero's way, and stops it at once
	k.click(k.at(5, 2))
	k.stored(cellsAre(sample.Ground, 5, 2, 1))
	k.walk(input.ArrowRight, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.walk(input.ArrowRight, func() error { return at(k, func(x, y int) bool { return x >= 4*16 }) })
	must(t, k.page.Keyboard.Press(input.ArrowRight))
	k.eval(`() => new Promise((done) => { let n = 0; const next = () => (++n > 30 ? done() : requestAnimationFrame(next)); next() })`)
	must(t, k.page.Keyboard.Release(input.ArrowRight))
	if err := at(k, func(x, y int) bool { return x < 5*16 }); err != nil {
		t.Errorf("through the new wall: %v", err)
	}
	// and removed with the other button it lets the hero pass
	k.clickWith(k.at(5, 2), right)
	k.walk(input.ArrowRight, func() error { return at(k, func(x, y int) bool { return x > 6*16 }) })
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
}

func TestPlayFromACellAndWarnings(t *testing.T) {
	r := world(t)
	k := r.open()
	k.focusMap()
	k.move(k.at(15, 9))
	k.with(input.ShiftLeft, input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	if err := at(k, func(x, y int) bool { return x == 15*16 && y > 8*16 && y <= 9*16 }); err != nil {
		t.Error(err)
	}
	k.keys(input.Escape)
	k.gone("[data-testid=playing]")
	// inside a wall it says so
	k.move(k.at(0, 0))
	k.with(input.ShiftLeft, input.KeyP)
	k.notice("cannot begin inside a solid tile")

	// no spawn: it says so and offers to place one
	r.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Spawn}))
	within(t, soon, func() error {
		return contains(k.eval(`() => azzel.hash()`), r.doc().Hash())
	})
	k.keys(input.KeyP)
	k.notice("no spawn yet")
	k.press("Place a spawn")
	k.see("[data-testid=hand]", "spawn")
	k.click(k.at(3, 3))
	k.stored(boxIs("spawn", 3, 3, 1, 1))
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.keys(input.KeyP)

	// nothing solid: it plays and says so
	all := &grid.Region{}
	all.AddRect(grid.Rect{W: 20, H: 12})
	r.append(sample.Paint(sample.Quay, sample.Things, all, cells.Cell(0)))
	r.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}))
	within(t, soon, func() error {
		return contains(k.eval(`() => azzel.hash()`), r.doc().Hash())
	})
	k.keys(input.KeyP)
	k.notice("Nothing on Quay is solid")
	k.see("[data-testid=playing]", "Playing Quay")
}

// A game that goes on asks the core for its ticks, and for nothing else that did not change.
func TestATickAsksForNothingElse(t *testing.T) {
	k := startWith(t, nil).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	asked := k.eval(`() => new Promise((done) => {
		const asked = {}, call = azzelCore.call
		azzelCore.call = (method, args) => { asked[method] = (asked[method] ?? 0) + 1; return call(method, args) }
		let frames = 60
		const next = () => (--frames ? requestAnimationFrame(next) : done(JSON.stringify(asked)))
		next()
	})`)
	var times map[string]int
	must(t, json.Unmarshal([]byte(asked), &times))
	if times["step"] < 20 {
		t.Errorf("in 60 frames there were %d steps", times["step"])
	}
	for method, n := range times {
		if method != "step" && n > 5 {
			t.Errorf("%q was asked %d times", method, n)
		}
	}
}

// A game that goes on changes nothing of the page around it but the time, and that ten times a second: with every tick the browser would lay it out
// anew.
func TestARunningGameLeavesThePageAlone(t *testing.T) {
	k := startWith(t, nil).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	within(t, soon, k.shows("[data-testid=time] [data-testid=clock]", "1."))
	changed := k.eval(`() => new Promise((done) => {
		const changed = {}
		new MutationObserver((all) => {
			for (const m of all) {
				const e = m.target.nodeType === Node.TEXT_NODE ? m.target.parentElement : m.target
				const of = e.dataset.testid ?? e.ariaLabel ?? e.tagName
				changed[of] = (changed[of] ?? 0) + 1
			}
		}).observe(document, { subtree: true, childList: true, attributes: true, characterData: true })
		let frames = 60
		const next = () => (--frames ? requestAnimationFrame(next) : done(JSON.stringify(changed)))
		next()
	})`)
	var times map[string]int
	must(t, json.Unmarshal([]byte(changed), &times))
	for of, n := range times {
		if of != "clock" && of != "Pull the game back" || n > 40 {
			t.Errorf("in 60 frames %s was changed %d times", of, n)
		}
	}
	if times["clock"] == 0 {
		t.Error("the time does not go on")
	}
}

// While a game goes on each frame shows it as it is just then: what a tick changes is drawn in the frame of that tick, not in every second one.
func TestEveryFrameOfAGameIsDrawn(t *testing.T) {
	k := startWith(t, nil).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	counted := k.eval(`() => new Promise((done) => {
		const over = document.querySelector('[data-testid=map]').getContext('2d'), clear = over.clearRect
		let drawn = 0, twice = 0, now = 0, last = -1
		over.clearRect = (...r) => {
			drawn++
			if (last === now) twice++
			last = now
			return clear.apply(over, r)
		}
		const frames = 60
		const next = () => (now++ < frames ? requestAnimationFrame(next) : done(JSON.stringify({ drawn, twice })))
		next()
	})`)
	var n struct{ Drawn, Twice int }
	must(t, json.Unmarshal([]byte(counted), &n))
	if n.Drawn < 55 || n.Twice > 2 {
		t.Errorf("in 60 frames the game was drawn %d times, %d of them more than once in a frame", n.Drawn, n.Twice)
	}
}
