package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
	"strconv"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// Where waves come along a lane the player sees which one it is, and above the core how much it takes still; the game can leave both out.
func TestWavesAndWhatIsLeftAreSeen(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Lane, Name: "Way", X: 160, Y: 96, Facing: document.Right, Points: []grid.Point{{X: 208, Y: 96}}})
	r.place(document.Entity{Kind: kind.LaneEntry, Name: "Gap", X: 160, Y: 96, Facing: document.Right, On: true, Values: []kind.Value{set("makes", `[{"of":"walker","odds":1}]`), set("waves", "[1,9]"), set("every", "500")}})
	r.place(document.Entity{Kind: kind.Core, Name: "Granary", X: 208, Y: 96, W: 16, H: 16, Values: []kind.Value{set("health", "4")}})
	k := r.open()
	bar := func() error { // what is left of the core, in the colour of its bar
		n, _ := strconv.Atoi(k.eval(`() => {
			const c = document.querySelector('main canvas'), all = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
			let n = 0
			for (let i = 0; i < all.length; i += 4) if (all[i] === 111 && all[i + 1] === 174 && all[i + 2] === 124) n++
			return n
		}`))
		if n < 20 {
			return fmt.Errorf("of a bar %d pixels are seen", n)
		}
		return nil
	}
	if bar() == nil {
		t.Error("a bar is seen before anything is played")
	}
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=wave]", "Wave 1 of 2")
	k.see("[data-testid=tolls]", "Granary: 4 of 4 left")
	within(t, soon, bar)
	k.see("[data-testid=wave]", "Wave 2 of 2")
	k.see("[data-testid=tolls]", "Granary: 3 of 4 left")
	k.accessible("waves")
	r.append(edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{{Key: kind.GameShowLeft, Value: kind.Of(kind.LeftOff)}, {Key: "showWaves", Value: `"off"`}}))
	k.gone("[data-testid=wave]")
	k.gone("[data-testid=tolls]")
	within(t, soon, func() error {
		if bar() == nil {
			return fmt.Errorf("the bar is still seen")
		}
		return nil
	})
	k.see("[data-testid=playing]", "Playing")
}
