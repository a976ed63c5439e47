package e2e

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// hero is where the hero is drawn, in map pixels.
func (k *tab) hero() (x, y int) {
	k.Helper()
	if _, err := fmt.Sscan(k.eval(`() => azzel.hero()`), &x, &y); err != nil {
		k.Fatal(err)
	}
	return x, y
}

// A running game is frozen, stepped, pulled back and gone on from; what is painted meanwhile is there at once.
func TestAGameIsFrozenAndPulledBack(t *testing.T) {
	k := joined(t).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	// the panels stand aside, and come back
	k.gone("[aria-label='Search the cabinet']")
	k.walk(input.ArrowRight, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.keys(input.KeyT)
	k.see("[data-testid=playing]", "Frozen on Quay")
	x, _ := k.hero()
	must(t, k.page.Keyboard.Press(input.ArrowRight))
	k.keys(input.KeyU, input.KeyU, input.KeyU)
	must(t, k.page.Keyboard.Release(input.ArrowRight))
	if now, _ := k.hero(); now <= x || now > x+6 {
		t.Errorf("three steps brought it from %d to %d", x, now)
	}
	// what happened is on the bar, and leads back to before it
	k.find("[data-testid=time] button[title*='took']", "").MustHover()
	bar := k.find("[data-testid=time] input[type=range]", "")
	bar.MustFocus()
	k.keys(input.Home)
	k.see("[data-testid=count]", "0 of 1 collected")
	if back, _ := k.hero(); back != 32 {
		t.Errorf("pulled back to its beginning it stands at %d", back)
	}
	k.see("[data-testid=time] button", "Go on from here")
	// a wall in its way, painted while it stands still
	k.press("Edit")
	k.holdTile(1)
	k.click(k.at(4, 2))
	k.stored(func(d *document.Document) error {
		return want("the new wall", fmt.Sprint(d.Maps.Get(sample.Quay).LayersInOrder()[1].Cells.At(4, 2) != 0 || d.Maps.Get(sample.Quay).LayersInOrder()[0].Cells.At(4, 2) == sample.Wall), "true")
	})
	// the same keys again end before it, beside the walk of before
	k.press("Again from here")
	k.see("[data-testid=playing]", "Playing Quay")
	k.see("[data-testid=count]", "0 of 1 collected")
	within(t, soon, func() error {
		x, _ := k.hero()
		return want("where the same keys lead", fmt.Sprint(x), "50")
	})
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.see("[aria-label='Search the cabinet']", "")
	k.same()
}

// Seen from the side the hero falls, jumps and climbs; with Roam it goes through everything.
func TestWalkingFromTheSide(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}}))
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "jump")
	floor := func() error {
		_, y := k.hero()
		return want("the row of its feet", fmt.Sprint((y+16)/16), "11")
	}
	within(t, soon, floor)
	_, low := k.hero()
	must(t, k.page.Keyboard.Press(input.Space))
	within(t, soon, func() error {
		if _, y := k.hero(); y > low-40 {
			return fmt.Errorf("it jumped from %d to %d", low, y)
		}
		return nil
	})
	must(t, k.page.Keyboard.Release(input.Space))
	within(t, soon, floor)
	k.keys(input.KeyZ)
	k.walk(input.ArrowDown, func() error {
		_, y := k.hero()
		return want("roaming it sinks into the floor", fmt.Sprint(y > low+4), "true")
	})
	k.keys(input.KeyZ)
	within(t, soon, floor)
}

// A press on the map leads the hero there by the shortest way; a wall has none.
func TestAPressLeadsTheHero(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.click(k.at(6, 5))
	within(t, soon, func() error {
		x, y := k.hero()
		if (x+8)/16 != 6 || (y+8)/16 != 5 {
			return fmt.Errorf("the hero is at %d, %d", x, y)
		}
		return nil
	})
	k.click(k.at(0, 5))
	k.notice("no way to that cell")
}

// What hurts takes hearts, and without them the hero is back where it began.
func TestHeartsAreShown(t *testing.T) {
	r := world(t)
	zone := r.author(author.AddZone(r.doc(), document.Zone{Name: "Brambles", Is: document.ZoneHazard, Number: 9}))
	layer := r.author(author.AddLayer(r.doc().Maps.Get(sample.Quay), document.LayerZones, ""))
	if zone == "" || layer == "" {
		t.Fatal("nothing was made")
	}
	box := &grid.Region{}
	box.AddRect(grid.Rect{X: 5, Y: 1, W: 2, H: 8})
	r.append(sample.Paint(sample.Quay, layer, box, cells.TileCell(9, 0)))
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=hearts]", "3 of 3 hearts")
	k.walk(input.ArrowRight, k.shows("[data-testid=hearts]", "2 of 3 hearts"))
	within(t, soon, func() error {
		x, _ := k.hero()
		return want("thrown back", fmt.Sprint(x < 5*16), "true")
	})
}

// The strip says whether the game can be finished, shows the walk, and what stands in the way once
// it cannot.
func TestTheStripSaysWhetherItCanBeFinished(t *testing.T) {
	r := world(t)
	k := r.open()
	k.gone("[data-testid=proof]") // there is no goal yet
	goal := r.place(document.Entity{Kind: kind.Goal, Name: "Great lamp", X: 96, Y: 128})
	k.see("[data-testid=proof]", "can be finished, at most")
	k.press("can be finished")
	k.see("[data-testid=playing]", "The walk that was found")
	k.see("[data-testid=goal]", "Goal reached")
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	// behind a wall and a door that nothing opens
	wall := &grid.Region{}
	wall.AddRect(grid.Rect{X: 1, Y: 7, W: 18, H: 1})
	gap := &grid.Region{}
	gap.Add(grid.Point{X: 10, Y: 7})
	r.append(sample.Paint(sample.Quay, sample.Things, wall, sample.Wall), sample.Paint(sample.Quay, sample.Things, gap, 0),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "x", 160),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "y", 112))
	k.see("[data-testid=proof]", "cannot")
	k.see("[data-testid=proof]", "stays shut")
	k.press("stays shut")
	k.see("[data-testid=details] input", "Door")
	r.append(edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "on", true))
	k.see("[data-testid=proof]", "can be finished")
	r.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: goal}))
	k.gone("[data-testid=proof]")
}

// A gamepad leads the hero, and two of them do it together.
func TestGamepadsLeadTheHero(t *testing.T) {
	k := world(t).open()
	k.focusMap()
	k.eval(`() => {
		const pad = (index) => ({ index, connected: true, axes: [0, 0], buttons: Array.from({ length: 17 }, () => ({ pressed: false })) })
		window.pads = [pad(0), null, pad(2)]
		navigator.getGamepads = () => window.pads
	}`)
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.eval(`() => { window.pads[0].axes[0] = 1 }`)
	within(t, soon, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.eval(`() => { window.pads[0].axes[0] = 0; window.pads[2].buttons[13].pressed = true }`)
	within(t, soon, func() error {
		_, y := k.hero()
		return want("led down", fmt.Sprint(y > 9*16), "true")
	})
	k.eval(`() => { window.pads = [] }`)
	x, _ := k.hero()
	k.keys(input.KeyT, input.KeyT)
	if now, _ := k.hero(); now != x {
		t.Errorf("without pads it goes on from %d to %d", x, now)
	}
}

// Where the hero sees only so far, the rest is hidden, and comes into view as it walks.
func TestWhatIsNotSeenIsHidden(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapSight, Value: "4"}}))
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	hidden := func(x, y int) bool { return strings.HasSuffix(k.overlay(k.at(x, y)), ",255") }
	within(t, soon, func() error {
		return want("hidden", fmt.Sprint(hidden(8, 8), hidden(3, 3)), "true false")
	})
	k.walk(input.ArrowDown, func() error { return want("hidden once it is near", fmt.Sprint(hidden(5, 8)), "false") })
}

// A game shows the map without its grid, and counts nothing where there is nothing to count.
func TestAGameShowsOnlyWhatItIs(t *testing.T) {
	r := world(t)
	r.append(edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}))
	k := r.open()
	k.focusMap()
	// whether anything is drawn over the map where two cells meet
	line := func() bool {
		a, b := k.at(7, 8), k.at(8, 8)
		for dx := -1.0; dx <= 1; dx++ {
			if k.overlay(proto.NewPoint((a.X+b.X)/2+dx, a.Y)) != "0,0,0,0" {
				return true
			}
		}
		return false
	}
	within(t, soon, func() error { return want("the grid is drawn", fmt.Sprint(line()), "true") })
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.gone("[data-testid=count]")
	// as near as the room lets it that the panels left
	within(t, soon, func() error {
		return want("the scale", k.eval(`() => String(azzel.view().scale)`), k.eval(`() => String(Math.floor(document.querySelector('[data-testid=map]').width / (22 * 16)))`))
	})
	within(t, soon, func() error { return want("something is drawn over the game", fmt.Sprint(line()), "false") })
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	within(t, soon, func() error { return want("the grid is back", fmt.Sprint(line()), "true") })
}

// Going through a passage is seen as it says: an iris closes around the hero, a curtain goes on with it.
func TestPassagesAreSeenAsTheySay(t *testing.T) {
	r := joined(t)
	way := r.doc().Passages.All()[0]
	for _, p := range r.doc().Passages.All() {
		if p.From.Entity == sample.Exit {
			way = p
		}
	}
	at := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Exit}
	r.append(edit.Set(at, "x", 64), edit.Set(at, "y", 32))
	k := r.open()
	k.focusMap()
	// how dark the map is drawn over beside the hero and far on either side of it
	seen := func() string {
		return k.eval(`() => {
			const c = document.querySelector('[data-testid=map]'), x = c.getContext('2d')
			const dark = (px) => x.getImageData(px, c.height - 40, 1, 1).data[3] > 200 ? 1 : 0
			return [0.02, 0.98].map((f) => dark(Math.round(c.width * f))).join('')
		}`)
	}
	for _, c := range []struct{ transition, wants string }{{"slide", "10"}, {"iris", "11"}} {
		r.append(edit.Set(edit.Ref{Type: edit.TypePassage, ID: way.ID}, "transition", c.transition))
		k.keys(input.KeyP)
		k.see("[data-testid=playing]", "Playing Quay")
		k.keys(input.KeyT)
		must(t, k.page.Keyboard.Press(input.ArrowRight))
		within(t, soon, func() error {
			k.keys(input.KeyU)
			return want(c.transition+" is dark at the left and at the right", seen(), c.wants)
		})
		must(t, k.page.Keyboard.Release(input.ArrowRight))
		k.see("[data-testid=playing]", "Quay")
		k.keys(input.KeyP)
		k.gone("[data-testid=playing]")
	}
}

// Whoever goes to another station in the middle of a game finds it again standing still, with what
// was changed there.
func TestAGameWaitsWhileOneIsElsewhere(t *testing.T) {
	k := joined(t).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.walk(input.ArrowRight, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.pressIn("nav button", "Rules")
	k.see("main[aria-label=Rules]", "When")
	k.see("header button", "Stop")
	k.keys(input.KeyT) // nothing goes on where it is not seen
	k.pressIn("nav button", "Kinds")
	k.see("aside[aria-label=Kinds]", "Hero")
	k.rig.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "name", "Old Quay"))
	k.pressIn("nav button", "Map")
	k.see("[data-testid=playing]", "Frozen on Old Quay")
	k.see("[data-testid=count]", "1 of 1 collected")
	x, _ := k.hero()
	k.focusMap()
	k.keys(input.KeyT)
	k.see("[data-testid=playing]", "Playing Old Quay")
	k.walk(input.ArrowLeft, func() error {
		now, _ := k.hero()
		return want("it goes on", fmt.Sprint(now < x-8), "true")
	})
	// ended elsewhere it is over there, too
	k.pressIn("nav button", "Chart")
	k.press("Stop")
	k.see("[data-testid=chart]", "")
	k.pressIn("nav button", "Map")
	k.gone("[data-testid=playing]")
}
