package e2e

import (
	"azzel/core/document"
	"fmt"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A sound of one's own is brought in, seen as a wave, trimmed, and heard in the place of what is said, in the game and on the page that plays.
func TestOwnSoundsAreHeard(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Game")
	k.brings("A sound: WAV, OGG, MP3 or FLAC", file(t, "notes.ogg", []byte("salt")))
	k.notice("That is no sound that can be read")
	for _, form := range document.SoundForms {
		data, err := os.ReadFile("../server/testdata/bell." + form)
		must(t, err)
		k.brings("A sound: WAV, OGG, MP3 or FLAC", file(t, "Bell "+form+"."+form, data))
		k.stored(func(d *document.Document) error {
			if !slices.ContainsFunc(d.Sounds.All(), func(s *document.Sound) bool { return s.Name == "Bell "+form && s.Form == form }) {
				return fmt.Errorf("no %s is stored", form)
			}
			return nil
		})
	}
	const card = "article[aria-label='Bell wav']"
	k.see(card, "It is heard nowhere yet")
	within(t, soon, func() error {
		return want("the wave is drawn", k.eval(`(s) => { const c = document.querySelector(s + ' canvas'); return String(c.width > 50 && c.getContext('2d').getImageData(0, 0, c.width, c.height).data.some((v) => v > 0)) }`, card), "true")
	})
	bell := func(d *document.Document) *document.Sound {
		for _, s := range d.Sounds.All() {
			if s.Name == "Bell wav" {
				return s
			}
		}
		return &document.Sound{}
	}
	focus := func(s string) { k.eval(`(s) => { document.querySelector(s).focus(); return '' }`, s) }
	focus(card + " [aria-label='Begins at']")
	k.keys(input.ArrowRight, input.ArrowRight)
	focus(card + " [aria-label='Ends at']")
	k.keys(input.ArrowLeft)
	k.stored(func(d *document.Document) error {
		return want("the part", fmt.Sprint(bell(d).From, bell(d).To), "20 190")
	})
	k.option(card+" select[aria-label='Heard when']", "on plain ground")
	k.pressIn(card+" button", "Hear it then")
	k.see(card+" ul[aria-label='Heard when']", "on plain ground")
	k.option(card+" select[aria-label='Heard when']", "the music")
	k.pressIn(card+" button", "Hear it then")
	k.stored(func(d *document.Document) error {
		return want("what it is heard as", fmt.Sprint(bell(d).As), "[{step plain  } {music  }]")
	})
	k.accessible("Game with sounds")
	heard := func() {
		t.Helper()
		within(t, soon, func() error {
			if all := k.eval(`() => azzelSounds.join()`); !strings.Contains(all, "step plain: Bell wav") {
				return fmt.Errorf("it was not heard, but %s", all)
			}
			return nil
		})
	}
	k.tried()
	walked := func() {
		k.press("Choose a map")
		k.pressIn("main ol button", "One Crate")
		k.see("[data-testid=place]", "One Crate")
		k.steps("rr")
		heard()
	}
	walked()
	k.visit("/p/" + k.rig.project)
	k.ready()
	k.alone(1280, 800)
	walked()
}
