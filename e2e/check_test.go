package e2e

import (
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// The demo can be finished: Check says in how many steps, shows the walk on the map, plays it, hands it over and keeps it; the
// fewest moves of a yard become its stars, and what is expected is refuted by a walk.
func TestCheckOfTheDemo(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "Yes: in at most")
	k.see("[data-testid=course]", "Took Salt crystal")
	k.accessible("Check")
	// what is expected
	k.press("New expectation")
	must(t, k.page.InsertText("the hero is on the moon")) // what is typed goes into it at once
	k.press("Keep it")
	k.see("main[aria-label=Check] [role=alert]", "quotes")
	k.fill("main[aria-label=Check] textarea", "the hero is on \"Lamp Room\"")
	k.press("Keep it")
	k.keys(input.Enter) // the keys are where it was opened
	k.press("Cancel")
	k.gone("main[aria-label=Check] textarea")
	k.see("[data-testid=expectation]", "refuted")
	k.see("[data-testid=finding]", "What is expected does not hold")
	k.see("[data-testid=proof]", "1 expectation refuted")
	k.stored(func(d *document.Document) error {
		if all := d.Project.Expectations; len(all) != 1 || all[0].Is != document.ExpectNever {
			return fmt.Errorf("expected is %+v", all)
		}
		return nil
	})
	// par into stars
	k.option("section[aria-labelledby=par] select", "One Crate")
	within(t, 6*soon, k.shows("[data-testid=par]", "there is no way in fewer")) // all situations are gone through
	k.pressIn("[data-testid=par] button", "Take them over")
	k.stored(func(d *document.Document) error {
		for _, m := range d.Maps.All() {
			if m.Name == "One Crate" {
				return want("stars", string(d.MapValue(m, kind.MapThreeStars)+d.MapValue(m, kind.MapTwoStars)), "1015")
			}
		}
		return nil
	})
	// the walk is kept, shown on the map, and played
	k.press("Keep as a recording")
	k.stored(func(d *document.Document) error {
		if d.Recordings.Len() != 1 || d.Recordings.All()[0].Name != "The walk that was found" {
			return fmt.Errorf("there are %d recordings", d.Recordings.Len())
		}
		return nil
	})
	k.press("Show it on the map")
	k.see("[data-testid=proof-shown]", "The walk to the goal")
	within(t, soon, func() error {
		return want("the walk is drawn", fmt.Sprint(k.drawn("map", "60,122,78") > 50), "true")
	})
	k.accessible("the walk on the map")
	k.press("Put away what is drawn of the proof")
	k.gone("[data-testid=proof-shown]")
	k.pressIn("nav button", "Check")
	k.press("Watch the walk")
	k.see("[data-testid=playing]", "The walk that was found")
	x, _ := k.hero()
	within(t, soon, func() error {
		if now, _ := k.hero(); now == x {
			return fmt.Errorf("the walk stands at %d", now)
		}
		return nil
	})
	k.keys(input.KeyP)
}

// A wall round the goal is told, with what stands in the way; findings are mended, silenced with a reason, and matter as one says.
func TestCheckFindsAndMends(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Goal, Name: "Goal", X: 160, Y: 96})
	stuck := r.place(document.Entity{Kind: kind.Item, Name: "Lantern", X: 0, Y: 0})
	k := r.open()
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "Yes: in")
	within(t, 6*soon, func() error { return contains(k.text("[data-testid=traps]"), "None was found") }) // all situations are gone through
	k.see("[data-testid=finding]", "Lantern on Quay lies in something solid")
	within(t, 2*soon, func() error { // with a picture of its place
		return want("what the picture shows", k.eval(`() => {
			const c = [...document.querySelectorAll('[data-testid=finding]')].find((f) => f.innerText.includes('Lantern')).querySelector('canvas')
			const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
			let [n, x, y] = [0, 0, 0]
			for (let i = 0; i < d.length; i += 4)
				if (d[i] === 177 && d[i + 1] === 68 && d[i + 2] === 44) [n, x, y] = [n + 1, x + ((i / 4) % c.width), y + Math.floor(i / 4 / c.width)]
			return n > 20 && Math.abs(x / n - c.width / 2) < 3 && Math.abs(y / n - c.height / 2) < 3 ? 'a frame in the middle' : n + ' of its pixels'
		}`), "a frame in the middle")
	})
	k.press("Move it to the nearest free place")
	k.stored(func(d *document.Document) error {
		e := d.Entity(sample.Quay, stuck)
		return want("the lantern", fmt.Sprint(e.X, e.Y), "16 16")
	})
	within(t, soon, func() error {
		return want("the finding", k.eval(`() => String(document.body.textContent.includes("Lantern on Quay lies in something solid"))`), "false")
	})
	k.press("Undo")
	k.see("[data-testid=finding]", "Lantern on Quay lies in something solid")
	k.pressIn("button[aria-label^='Silence it: Lantern']", "")
	k.fill("[aria-label='Why it is all right']", "it is a picture")
	k.pressIn("form button", "Silence it")
	k.stored(func(d *document.Document) error {
		return want("silenced", fmt.Sprint(d.Project.Silenced), fmt.Sprintf("[{%s %s %s it is a picture}]", check.InWall, sample.Quay, stuck))
	})
	k.see("[data-testid=found]", "1 silenced")
	k.press("What is looked for")
	k.accessible("Check, what is looked for")
	k.eval(`() => { const s = [...document.querySelectorAll('[data-testid=sorts] label')].find((l) => l.textContent.includes('A layer with nothing')).querySelector('select'); s.value = 'off'; s.dispatchEvent(new Event('change', { bubbles: true })); return '' }`)
	k.stored(func(d *document.Document) error {
		return want("what matters", fmt.Sprint(d.Project.Checks), fmt.Sprintf("[{%s %s}]", check.EmptyLayer, document.Ignored))
	})
	k.press("Keep as a recording")
	k.stored(func(d *document.Document) error { return want("recordings", fmt.Sprint(d.Recordings.Len()), "1") })
	// a wall all around the goal
	rim := &grid.Region{}
	rim.AddRect(grid.Rect{X: 9, Y: 5, W: 3, H: 1})
	rim.AddRect(grid.Rect{X: 9, Y: 7, W: 3, H: 1})
	rim.AddRect(grid.Rect{X: 9, Y: 6, W: 1, H: 1})
	rim.AddRect(grid.Rect{X: 11, Y: 6, W: 1, H: 1})
	r.append(sample.Paint(sample.Quay, sample.Things, rim, sample.Wall))
	k.see("[data-testid=answer]", "No, it cannot be finished")
	k.see("[data-testid=finding]", "It cannot be finished")
	// what is kept as a table has what the proof told
	k.eval(`() => { const make = URL.createObjectURL; URL.createObjectURL = (b) => { b.text().then((t) => (globalThis.kept = t)); return make(b) }; return '' }`)
	k.press("Keep the findings as a table (CSV)")
	within(t, soon, func() error { return contains(k.eval(`() => globalThis.kept ?? ''`), "It cannot be finished") })
	within(t, soon, func() error {
		return contains(k.eval(`() => document.querySelector("[data-testid=found]").textContent`), "The recording The walk that was found goes otherwise now")
	})
	// and one side of it is a door that asks for a key behind it
	hole := &grid.Region{}
	hole.AddRect(grid.Rect{X: 9, Y: 6, W: 1, H: 1})
	door := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: kind.Door, Name: "Iron door", Facing: document.Down, X: 144, Y: 96, W: 16, H: 16, Values: []kind.Value{{Key: "needs", Value: `"brass"`}}}
	key := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: kind.Key, Name: "Brass key", Facing: document.Down, X: 160, Y: 96, W: 16, H: 16, Values: []kind.Value{{Key: "opens", Value: `"brass"`}}}
	r.append(sample.Paint(sample.Quay, sample.Things, hole, 0), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: door.ID}, door), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: key.ID}, key))
	k.see("[data-testid=missing]", "Brass key lies behind Iron door, which it opens")
	k.pressIn("[data-testid=missing] button", "Brass key")
	k.see("[data-testid=details] input", "Iron door")
}

// Before a press the ghost says what it would bring about: a wall in the only gap keeps one from the goal, one in a corner cuts off
// what lies there, and one that does neither says nothing.
func TestTheGhostWarns(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Goal, Name: "Goal", X: 256, Y: 96})
	r.place(document.Entity{Kind: kind.Key, Name: "Crank", X: 16, Y: 160})
	wall := &grid.Region{}
	wall.AddRect(grid.Rect{X: 12, Y: 1, W: 1, H: 5})
	wall.AddRect(grid.Rect{X: 12, Y: 7, W: 1, H: 4})
	wall.AddRect(grid.Rect{X: 1, Y: 9, W: 1, H: 1})
	wall.AddRect(grid.Rect{X: 3, Y: 10, W: 1, H: 1})
	wall.AddRect(grid.Rect{X: 2, Y: 9, W: 1, H: 1})
	wall.AddRect(grid.Rect{X: 3, Y: 9, W: 1, H: 1})
	r.append(sample.Paint(sample.Quay, sample.Things, wall, sample.Wall), sample.Paint(sample.Quay, sample.Things, hole(grid.Point{X: 3, Y: 10}), 0))
	k := r.open()
	k.see("[data-testid=proof]", "can be finished")
	k.holdTile(1)
	k.pressIn("aside[aria-label=Stack] ul button", "Things")
	k.move(k.at(12, 6))
	k.see("[data-testid=ghost]", "Then it cannot be finished")
	k.move(k.at(3, 10))
	k.see("[data-testid=ghost]", "Cuts off Crank")
	k.move(k.at(8, 3))
	within(t, soon, func() error {
		return want("a harmless wall", k.eval(`() => document.querySelector('[data-testid=ghost]').textContent`), "puts down 1 × 1 on Things")
	})
}

func hole(at grid.Point) *grid.Region {
	r := &grid.Region{}
	r.AddRect(grid.Rect{X: at.X, Y: at.Y, W: 1, H: 1})
	return r
}

// A limit of time that nobody can keep is told at once, with how long it takes at the least; with more time there is a walk.
func TestALimitThatIsTooShort(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Goal, Name: "Goal", X: 160, Y: 96})
	limit := func(ms string) {
		r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapTimeLimit, Value: kind.Datum(ms)}}))
	}
	limit("300")
	k := r.open()
	k.see("[data-testid=proof]", "cannot: it takes at least")
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "No, it cannot be finished")
	k.see("[data-testid=missing]", "to come to Goal, and Quay is lost after 0.3 seconds")
	limit("60000")
	k.see("[data-testid=answer]", "Yes: in")
}
