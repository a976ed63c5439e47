package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A sound place is heard on its kind's stage, the louder the nearer, and in a game, which says what is heard; whether one
// hears it stays as it was left.
func TestSoundPlaces(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Sound, Name: "Cave", X: 48, Y: 32, On: true, Values: []kind.Value{{Key: "plays", Value: `"drips"`}, {Key: "radius", Value: "3"}}})
	k := r.open()
	k.pressIn("nav button", "Kinds")
	k.pressIn("[aria-label=Things] button", "Sound place")
	k.gone("[data-testid=heard]")
	k.find("[data-testid=stage]", "").MustFocus()
	k.walk(input.ArrowRight, k.shows("[data-testid=heard]", "surf"))
	k.pressIn("nav button", "Map")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.find("[aria-label='Sound on. Heard here: drips, Cave']", "").MustClick()
	k.find("[aria-label='Sound off. Heard here: drips, Cave']", "")
	k.toColumn(8)
	k.find("[aria-label='Sound off. Heard here: nothing']", "")
	k.reload()
	k.focusMap()
	k.keys(input.KeyP)
	k.find("[aria-label='Sound off. Heard here: drips, Cave']", "")
	k.keys(input.KeyP)
}
