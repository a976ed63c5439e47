package e2e

import (
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// beginOn begins a game on a map of the demo, out of a passage where there is no spawn, and
// reads what is said there.
func (k *tab) beginOn(name string) {
	k.Helper()
	k.focusMap()
	k.with(input.ControlLeft, input.KeyP)
	k.see("[data-testid=begin]", "Begin a game")
	from := "At the spawn of Quay"
	if name != "Quay" {
		from = "→ " + name
	}
	k.pressIn("[data-testid=begin] label", from)
	k.pressIn("[data-testid=begin] button", "Begin")
	k.see("[data-testid=playing]", "Playing "+name)
	within(k.T, soon, func() error {
		if k.eval(`() => document.querySelector('[data-testid=line]') ? 'said' : ''`) == "" {
			return nil
		}
		k.keys(input.KeyE)
		return fmt.Errorf("%s has not said all", name)
	})
}

// goesACell has the hero led to a side, or to the other where there is no way, until it is a cell on.
func (k *tab) goesACell(how string, lead func(right bool), stop func()) {
	k.Helper()
	from, _ := k.hero()
	far := func(most int) func() error {
		return func() error {
			x, _ := k.hero()
			if d := x - from; max(d, -d) < most {
				return fmt.Errorf("%s it went %d pixels", how, d)
			}
			return nil
		}
	}
	lead(true)
	if tried(soon/8, far(16)) != nil {
		stop()
		lead(false)
		within(k.T, soon, far(16))
	}
	stop()
}

// All five places of the demo are walked by keys, by a gamepad and by a finger on the pad.
func TestAllOfTheDemoIsWalked(t *testing.T) {
	k := startWith(t, nil).open()
	k.eval(`() => {
		window.pads = []
		navigator.getGamepads = () => window.pads
	}`)
	arrow := func(right bool) input.Key {
		if right {
			return input.ArrowRight
		}
		return input.ArrowLeft
	}
	for _, name := range []string{"Quay", "Pans", "Brine House", "Pump Shaft", "Lamp Room"} {
		k.beginOn(name)
		var held input.Key
		k.goesACell(name+" by keys", func(right bool) {
			held = arrow(right)
			must(t, k.page.Keyboard.Press(held))
		}, func() { must(t, k.page.Keyboard.Release(held)) })
		k.keys(input.KeyP)
		k.gone("[data-testid=playing]")

		k.beginOn(name)
		k.goesACell(name+" by a gamepad", func(right bool) {
			k.eval(`(x) => { window.pads = [{ index: 0, connected: true, axes: [x, 0], buttons: [] }] }`, map[bool]int{true: 1, false: -1}[right])
		}, func() { k.eval(`() => { window.pads = [] }`) })
		k.keys(input.KeyP)
		k.gone("[data-testid=playing]")
	}
	k.fingers()
	for _, name := range []string{"Quay", "Pans", "Brine House", "Pump Shaft", "Lamp Room"} {
		k.beginOn(name)
		on := k.at(0, 0)
		k.touch(start, on) // from here on the page knows of fingers
		k.touch(end)
		k.see("[data-testid=pad]", "")
		pad := k.box("[data-testid=pad]")
		k.goesACell(name+" by a finger", func(right bool) {
			x := pad.X + pad.Width*0.85
			if !right {
				x = pad.X + pad.Width*0.15
			}
			k.touch(start, proto.NewPoint(x, pad.Y+pad.Height/2))
		}, func() { k.touch(end) })
		k.tap("[data-testid=playing] button", "Back to the map")
		k.gone("[data-testid=playing]")
	}
}
