package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/sample/drawn"
	"strings"
	"testing"
)

// A jump that is too wide is said to be, with its place and by how much; how far one comes is drawn over the map and over all maps at once;
// and once somebody has the hero run faster, a walk is found. Somebody who walks about keeps nobody from being told, and a platform in the gap is waited for.
func TestAJumpThatIsTooWideIsShown(t *testing.T) {
	air := strings.Repeat(".", 20) + "\n"
	d, m := drawn.Map(strings.Repeat(air, 4)+"@..................G\n##########......####\n##########......####", kind.Value{Key: kind.MapView, Value: kind.Of(kind.FromSide)})
	ref := edit.Ref{Type: edit.TypeMap, ID: m}
	stands := d.Maps.Get(m).Entities.All()[0].Layer
	put := func(id document.ID, kind string, x, y int, values ...kind.Value) edit.Primitive {
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m, ID: id}, document.Entity{ID: id, Layer: stands, Kind: kind, Name: string(id), On: true,
			Facing: document.Right, X: 16 * x, Y: 16 * y, W: 16, H: 16, Values: values})
	}
	d = sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}), edit.Set(ref, "sides", []string{"", "", "fall", ""}),
		put("walkerwalker", kind.Walker, 4, 4, kind.Value{Key: "range", Value: "1"}))
	r := startWith(t, d)
	k := r.open()
	k.see("[data-testid=proof]", "the jump from 10, 4 to 15, 4") // said without Check being opened
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "No, it cannot be finished")
	k.see("[data-testid=missing]", "The jump from 10, 4 to 15, 4")
	k.pressIn("[data-testid=missing] button", "The jump from")
	k.see("[data-testid=map]", "")
	k.press("Put away what is drawn of the proof")
	k.pressIn("nav button", "Check")
	far := func(canvas string) {
		t.Helper()
		within(t, 3*soon, func() error { // where nobody comes it is dark, where one does it is of a colour: over nothing on the map, over the maps on the chart
			return want("two shades", k.eval(`(on) => {
				const c = document.querySelector(on)
				const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
				let [never, comes] = [0, 0]
				for (let i = 0; i < d.length; i += 4) {
					const [r, g, b, a] = d.slice(i, i + 4)
					if (a > 90 && a < 130) {
						if (r < 40 && g < 52) never++
						else if (g > 90) comes++
					} else if (a > 250) {
						if (Math.abs(r - g) < 14 && Math.abs(g - b) < 14 && r > 90 && r < 150) never++
						else if (g > b + 10 && g > r + 3) comes++
					}
				}
				return String(never > 500 && comes > 500)
			}`, canvas), "true")
		})
	}
	// at once beside the answer, and larger at a press
	k.see("[data-testid=frontier]", "cells")
	far("[data-testid=frontier] canvas")
	k.accessible("a game that cannot be finished")
	k.pressIn("[data-testid=frontier] button", "cells")
	k.see("[data-testid=proof-shown]", "dark is never")
	far("[data-testid=map]")
	k.pressIn("nav button", "Check")
	k.press("On all maps")
	k.see("[data-testid=proof-shown]", "dark is never")
	far("[data-testid=chart]")
	k.accessible("how far one comes, on the chart")
	k.press("Put away what is drawn of the proof")
	k.gone("[data-testid=proof-shown]")
	r.append(edit.Set(ref, "values", []kind.Value{{Key: kind.MapRun, Value: kind.Of(9)}, {Key: kind.MapView, Value: kind.Of(kind.FromSide)}}))
	k.see("[data-testid=proof]", "can be finished")
	r.append(edit.Set(ref, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}}))
	k.see("[data-testid=proof]", "the jump from 10, 4 to 15, 4")
	r.append(put("platformplat", kind.Platform, 10, 5, kind.Value{Key: "range", Value: "4"}))
	within(t, 6*soon, k.shows("[data-testid=proof]", "can be finished"))
}

// What a rule asks for and never comes about leads to that rule, beside the answer and among the findings.
func TestWhatIsMissingLeadsToItsRule(t *testing.T) {
	r := startWith(t, nil)
	k := r.open()
	k.see("[data-testid=proof]", "can be finished")
	for _, m := range r.doc().Maps.All() {
		for _, e := range m.Entities.All() {
			if m.Name == "Quay" && e.Name == "Quay beacon" {
				r.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
			}
		}
	}
	k.pressIn("nav button", "Check")
	k.see("[data-testid=missing]", "Beacons comes to 1 at the most")
	k.pressIn("[data-testid=missing] button", "Beacons comes to 1")
	k.see("[data-testid=rule][aria-current]", "Two beacons")
	k.pressIn("nav button", "Check")
	k.pressIn("[data-testid=finding] button", "Beacons comes to 1")
	k.see("[data-testid=rule][aria-current]", "Two beacons")
}

// Three doors and no key: all of them are told, and that none can be left out; once one has a key each, there is a walk.
func TestAllThatIsMissingIsTold(t *testing.T) {
	d, m := drawn.Map("##########\n#@.K.K.KG#\n##########")
	d = sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}))
	r := startWith(t, d)
	k := r.open()
	k.pressIn("nav button", "Check")
	for _, door := range []string{"Door 2", "Door 3", "Door 4"} {
		k.see("[data-testid=missing]", door)
	}
	k.see("main", "none of them can be left out")
	stands := d.Maps.Get(m).Entities.All()[0].Layer
	for i, id := range []document.ID{"keyakeyakeya", "keybkeybkeyb", "keyckeyckeyc"} {
		r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m, ID: id}, document.Entity{ID: id, Layer: stands, Kind: kind.Key, Name: string(id), On: true,
			Facing: document.Down, X: 32, Y: 16, W: 16, H: 16, Rank: 20 + i, Values: []kind.Value{{Key: "opens", Value: `"brass"`}, {Key: "usedUp", Value: "true"}}}))
	}
	within(t, 2*soon, k.shows("[data-testid=answer]", "Yes"))
}
