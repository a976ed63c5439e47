package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// A key pins the moment, with a note; after a reload it is gone on with from there, as it was.
func TestAPinIsGoneOnFrom(t *testing.T) {
	k := joined(t).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.walk(input.ArrowRight, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.keys(input.KeyN)
	k.see("[data-testid=playing]", "Frozen on Quay")
	k.see("[aria-label='Note of On Quay']", "Pinned")
	must(t, k.page.InsertText("With the pearl"))
	k.keys(input.Enter)
	k.see("[data-testid=playing]", "Playing Quay")
	k.stored(func(d *document.Document) error {
		all := d.PinsInOrder()
		if len(all) != 1 {
			return fmt.Errorf("%d pins", len(all))
		}
		return want("the pin", fmt.Sprint(all[0].Name, all[0].Note, all[0].Moment.Things[0].Is), "On QuayWith the pearl[taken]")
	})
	x, _ := k.hero()
	k.keys(input.KeyP)
	k.reload()
	k.press("Pins")
	k.see("ul[aria-label=Pins]", "Quay")
	k.fill("[aria-label='Name of On Quay']", "Before the gate")
	k.stored(func(d *document.Document) error {
		return want("its name", d.PinsInOrder()[0].Name, "Before the gate")
	})
	k.pressIn("[aria-label='Go on from Before the gate']", "")
	k.see("[data-testid=count]", "1 of 1 collected")
	if now, _ := k.hero(); now > x {
		t.Errorf("the pin was set before %d, and it goes on at %d", x, now)
	}
	k.keys(input.KeyP)
	// where the pin stands the menu goes on from it as well, and so does the chart
	pin := k.rig.doc().PinsInOrder()[0]
	on := k.at(pin.At.X/16, pin.At.Y/16)
	var scale float64
	if _, err := fmt.Sscan(k.eval(`() => String(azzel.view().scale)`), &scale); err != nil {
		t.Fatal(err)
	}
	head := offset(on, scale*float64(pin.At.X%16-8), scale*float64(pin.At.Y%16-8)-18)
	within(t, soon, func() error {
		return want("a pin stands on the map", fmt.Sprint(k.overlay(head) != "0,0,0,0"), "true")
	})
	k.clickWith(on, proto.InputMouseButtonRight)
	k.see("[role=menuitem]", "Go on from pin Before the gate")
	k.keys(input.Escape)
	k.openChart()
	k.clickWith(k.onChart(pin.At.X, pin.At.Y), proto.InputMouseButtonRight)
	k.pressIn("[role=menuitem]", "Go on from this pin")
	k.see("[data-testid=count]", "1 of 1 collected")
	k.keys(input.KeyP)
	// a pin whose map is gone says so
	k.rig.append(edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}))
	k.see("[data-testid=chart]", "")
	k.press("Map")
	k.press("Pins")
	k.see("ul[aria-label=Pins]", "a removed map")
	k.pressIn("[aria-label='Go on from Before the gate']", "")
	k.notice("no longer there")
	k.pressIn("[aria-label='Delete Before the gate']", "")
	k.stored(func(d *document.Document) error { return want("the pins", fmt.Sprint(d.Pins.Len()), "0") })
}

// A recording tells whether it goes as it did on the project as it is, and where it does not.
func TestARecordingIsFollowed(t *testing.T) {
	k := joined(t).open()
	k.focusMap()
	k.keys(input.KeyP)
	k.walk(input.ArrowRight, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.pressIn("[aria-label='Keep the game as a recording']", "")
	k.stored(func(d *document.Document) error { return want("recordings", fmt.Sprint(d.Recordings.Len()), "1") })
	k.keys(input.KeyP)
	k.press("Show it")
	k.see("[data-testid=follows]", "Goes as it did")
	wall := &grid.Region{}
	wall.Add(grid.Point{X: 3, Y: 2})
	k.rig.append(sample.Paint(sample.Quay, sample.Things, wall, sample.Wall))
	k.see("[data-testid=follows]", "Goes otherwise now")
	k.press("See it")
	k.see("[data-testid=playing]", "Frozen on Quay")
	k.see("[data-testid=count]", "0 of 1 collected")
	k.keys(input.KeyP)
	k.pressIn("[aria-label='Watch Played from Quay']", "")
	k.see("[data-testid=playing]", "A recording, on Quay")
	k.see("[data-testid=playing]", "Playing Quay")
	k.same()
}

// A game begins where and with what one likes.
func TestBeginningOtherwise(t *testing.T) {
	k := joined(t).open()
	k.focusMap()
	k.with(input.ControlLeft, input.KeyP)
	k.see("[data-testid=begin]", "Begin a game")
	k.pressIn("[data-testid=begin] label", "Quay: Exit → Pans")
	k.pressIn("[data-testid=begin] label", "Pearl")
	k.see("[data-testid=begin] button", "With nothing")
	k.pressIn("[data-testid=begin] button", "Begin")
	k.see("[data-testid=playing]", "Playing Pans")
	k.see("[data-testid=count]", "1 of 1 collected")
	if x, y := k.hero(); x/16 != 3 || (y+8)/16 != 5 {
		t.Errorf("out of the passage the hero stands at %d, %d", x, y)
	}
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.keys(input.KeyP)
	k.see("[data-testid=count]", "0 of 1 collected")
	k.see("[data-testid=playing]", "Playing Quay")
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	// whoever works on a map without a spawn plays that map as well
	k.pressIn("aside[aria-label=Stack] button", "Pans")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Pans")
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.with(input.ControlLeft, input.KeyP)
	k.see("[data-testid=begin] label", "Out of Quay: Exit, as Pans has no spawn")
}
