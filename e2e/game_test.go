package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/kind"
	"errors"
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// steps has the hero go a way cell by cell: a key for each, pressed again until it has gone on.
func (k *tab) steps(way string) {
	k.Helper()
	for n, step := range way {
		key := map[rune]input.Key{'u': input.ArrowUp, 'r': input.ArrowRight, 'd': input.ArrowDown, 'l': input.ArrowLeft}[step]
		x, y := k.hero()
		within(k.T, soon, func() error {
			k.keys(key)
			// a step takes some time; the last one ends the map
			if nx, ny := k.hero(); nx == x && ny == y && k.eval(`() => String(!document.querySelector('[data-testid=over]'))`) == "true" {
				return fmt.Errorf("step %d of %s: the hero stays at %d, %d", n, way, x, y)
			}
			return nil
		})
		within(k.T, soon, func() error {
			nx, ny := k.hero()
			if moved := max(nx-x, x-nx, ny-y, y-ny); moved%16 != 0 && k.eval(`() => String(!document.querySelector('[data-testid=over]'))`) == "true" {
				return fmt.Errorf("the hero is on its way, at %d, %d", nx, ny)
			}
			return nil
		})
	}
}

// tried opens the page that plays as it is tried.
func (k *tab) tried() {
	k.Helper()
	k.pressIn("nav button", "Share")
	k.visit(k.attribute("main[aria-label=Share] a[target=_blank]", "href"))
	k.see("[data-testid=game] h1", "The Saltworks")
}

// begun opens the page that plays once more, as on another day.
func (k *tab) begun() {
	k.Helper()
	must(k.T, k.page.Reload())
	must(k.T, k.page.WaitLoad())
	k.see("[data-testid=game] h1", "")
}

// Maps that follow each other are chosen on the title, won for stars, opened one by one; what was reached stays.
func TestMapsThatFollowEachOther(t *testing.T) {
	k := startWith(t, nil).open()
	k.tried()
	k.press("Choose a map")
	k.see("main h1", "Choose a map")
	k.accessible("the choice of a map")
	if k.attribute("main ol li:nth-child(2) button", "disabled") == "" && !strings.Contains(k.text("main ol li:nth-child(2)"), "not opened yet") {
		t.Error("the second map can be chosen at once")
	}
	k.pressIn("main ol button", "One Crate")
	k.see("[data-testid=place]", "One Crate")
	k.steps("rrddrrrrrrr")
	k.see("main h1", "One Crate is finished")
	k.see("[data-testid=over]", "10 moves")
	k.find("[data-testid=over] [aria-label='3 of 3 stars']", "")
	k.accessible("a finished map")
	k.press("On to Two Crates")
	k.see("[data-testid=place]", "Two Crates")
	k.gone("main h1")
	k.keys(input.Escape)
	k.see("main h1", "Paused")
	k.press("To the title")
	k.begun()
	k.press("Choose a map")
	k.find("main ol li:nth-child(1) [aria-label='3 of 3 stars']", "")
	k.pressIn("main ol li:nth-child(2) button", "Two Crates")
	k.see("[data-testid=place]", "Two Crates")
}

// A game is kept, found again after the page was closed, and gone on with where it was; one that cannot be read says so.
func TestGamesAreKept(t *testing.T) {
	k := startWith(t, nil).open()
	k.tried()
	k.press("New game")
	k.see("[data-testid=line]", "Low tide")
	k.keys(input.KeyE)
	k.gone("[data-testid=line]")
	begin, _ := k.hero()
	k.walksAlone(input.ArrowRight, float64(begin+8))
	k.keys(input.Escape)
	x, y := k.hero()
	k.press("Save")
	k.see("main h1", "Save")
	k.accessible("the places to save")
	k.pressIn("main li button", "Place 1")
	k.see("[data-testid=note]", "Saved.")
	k.press("To the title")
	k.begun()
	k.press("Continue")
	k.see("[data-testid=playing]", "hearts")
	within(t, soon, func() error {
		if nx, ny := k.hero(); nx != x || ny != y {
			return fmt.Errorf("it goes on at %d, %d, not at %d, %d", nx, ny, x, y)
		}
		return nil
	})
	k.keys(input.Escape)
	k.press("To the title")
	k.eval(`() => {
		const key = Object.keys(localStorage).find((k) => k.startsWith('azzel.game.'))
		const kept = JSON.parse(localStorage[key])
		kept.saves[1].data = kept.saves[1].data.slice(0, 80)
		localStorage[key] = JSON.stringify(kept)
		return ''
	}`)
	k.begun()
	k.press("Saved games")
	k.pressIn("main li button", "Place 1")
	k.see("[data-testid=note]", "cannot be gone on with: it is cut off")
	k.see("main h1", "Saved games")
}

// What a player wants is kept as well: language, letters, keys; credits are read.
func TestWhatThePlayerWants(t *testing.T) {
	k := startWith(t, nil).open()
	k.tried()
	k.press("Credits")
	k.see("[data-testid=credits]", "in one palette")
	k.press("Back")
	k.press("Settings")
	k.accessible("the player's settings")
	k.option("main select", "de")
	k.see("main h1", "Einstellungen")
	k.press("Zurück")
	k.see("main h1", "Die Saline bei Niedrigwasser")
	k.begun()
	k.press("Neues Spiel")
	k.see("[data-testid=place]", "Kai")
	k.see("[data-testid=line]", "Niedrigwasser")
}

// What happens is heard, by itself: what was asked to sound is told to tests, which hear nothing.
func TestWhatHappensIsHeard(t *testing.T) {
	k := startWith(t, nil).open()
	k.tried()
	sounds := func(want string) {
		t.Helper()
		within(t, soon, func() error {
			if all := k.eval(`() => azzelSounds.join()`); !strings.Contains(","+all+",", ","+want+",") {
				return fmt.Errorf("%s was not heard, but %s", want, all)
			}
			return nil
		})
	}
	k.press("Choose a map")
	k.pressIn("main ol button", "One Crate")
	k.see("[data-testid=place]", "One Crate")
	k.steps("rr")
	sounds("step plain")
	k.steps("d")
	sounds("push")
	k.steps("d")
	sounds("switch")
	sounds("open")
	k.steps("rrrrrrr")
	sounds("win")
	k.press("Again")
	k.gone("main h1")
	// turned off, nothing is
	k.press("Sounds")
	k.eval(`() => { azzelSounds.length = 0; return '' }`)
	k.steps("rr")
	if all := k.eval(`() => azzelSounds.join()`); all != "" {
		t.Errorf("turned off, %s was heard", all)
	}
}

// Game sets what is around the maps, stored and undone as all else, and seen beside it at once; the game there is played and
// lost.
func TestGameIsSetUp(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Game")
	k.accessible("Game")
	k.fill("main textarea", "The Long Ebb")
	k.see("[data-testid=game] h1", "The Long Ebb")
	k.stored(func(d *document.Document) error {
		if d.GameTitle() != "The Long Ebb" {
			return errors.New(d.GameTitle())
		}
		return nil
	})
	// Escape leads back from the player's settings, wherever the focus is there
	k.pressIn("[data-testid=game] button", "Settings")
	k.see("[data-testid=game] h1", "Settings")
	k.keys(input.Escape)
	k.see("[data-testid=game] h1", "The Long Ebb")
	// a day is given a length, and its curve of light is moved by arrows
	k.fill("[aria-label='a day lasts']", "240")
	k.find("[aria-label='At 12 o’clock']", "")
	k.eval(`() => document.querySelector('[aria-label="At 12 o’clock"]').focus() ?? ''`)
	k.keys(input.PageDown)
	k.stored(func(d *document.Document) error {
		if dark := d.GameValue(kind.GameDark).Counts(); len(dark) != 8 || dark[4] != 20 {
			return fmt.Errorf("it is dark as %v", dark)
		}
		return nil
	})
	k.pressIn("summary", "What the game itself says")
	k.see("main", "In other languages it is said")
	k.fill("[aria-label='The game says: New game']", "Set out")
	k.find("[data-testid=game] button", "Set out")
	k.stored(func(d *document.Document) error {
		if d.GameSays("", "newGame") != "Set out" {
			return errors.New(d.GameSays("", "newGame"))
		}
		return nil
	})
	k.eval(`() => document.activeElement.blur() ?? ''`)
	k.with(input.ControlLeft, input.KeyZ)
	k.find("[data-testid=game] button", "New game")
	limit := "1"
	k.rig.author(author.SetMapSetting(k.rig.doc(), k.rig.doc().MapsInOrder()[0], kind.MapTimeLimit, &limit))
	k.pressIn("[data-testid=game] button", "New game")
	k.see("[data-testid=game] h1", "The game is lost")
	k.see("[data-testid=over]", "The time is over.")
	k.pressIn("[data-testid=game] button", "Again")
	k.see("[data-testid=playing]", "hearts")
	// whoever goes elsewhere ends it, and comes to where he wanted
	k.pressIn("nav button", "Map")
	k.see("[data-testid=hand]", "")
	k.gone("[data-testid=playing]")
	// a game of the map stands still meanwhile
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.pressIn("nav button", "Game")
	k.see("[data-testid=game] h1", "The Long Ebb")
	k.gone("[data-testid=playing]")
	k.pressIn("nav button", "Map")
	k.see("[data-testid=playing]", "Quay")
}

// An empty project has a title as well; that there is nothing to play is said.
func TestGameOfNothing(t *testing.T) {
	k := startWith(t, document.New("Empty")).open()
	k.pressIn("nav button", "Game")
	k.see("[data-testid=game] h1", "Empty")
	k.pressIn("[data-testid=game] button", "New game")
	k.see("[data-testid=note]", "There is no map yet")
	k.accessible("Game without a map")
}

// Who asks the device for less motion sees the title stand still, which drifts otherwise, and the switch in the settings does the
// same for everybody.
func TestReducedMotionIsHonoured(t *testing.T) {
	k := startWith(t, nil).open()
	k.tried()
	// whether the map behind the title is otherwise after some frames
	moves := func() string {
		return k.eval(`async () => {
			const c = document.querySelector('[data-testid=behind]')
			const frames = async (n) => { while (n-- > 0) await new Promise(requestAnimationFrame) }
			await frames(20)
			const before = c.toDataURL()
			await frames(90)
			return String(before !== c.toDataURL())
		}`)
	}
	within(t, soon, func() error { return want("the title moves", moves(), "true") })
	must(t, proto.EmulationSetEmulatedMedia{Features: []*proto.EmulationMediaFeature{{Name: "prefers-reduced-motion", Value: "reduce"}}}.Call(k.page))
	k.begun()
	within(t, soon, func() error { return want("the title moves", moves(), "false") })
	must(t, proto.EmulationSetEmulatedMedia{}.Call(k.page))
	k.begun()
	within(t, soon, func() error { return want("the title moves", moves(), "true") })
	k.press("Settings")
	k.pressIn("[data-testid=game] label", "Less motion")
	within(t, soon, func() error { return want("the title moves", moves(), "false") })
}
