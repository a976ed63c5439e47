package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A dark map is dark while it is played, but around the hero and its lights, also after the view was moved; nothing of it stays.
func TestADarkMapIsLitAroundItsLights(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Light, Name: "Lamp", X: 240, Y: 128, W: 16, H: 16, On: true})
	r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapDarkness, Value: "80"}}))
	k := r.open()
	k.focusMap()
	// how dark it is, of 255, at the middle of a cell
	dark := func(x, y int) int {
		var n int
		at := k.at(x, y)
		_, err := fmt.Sscan(k.eval(`(x, y) => {
			const c = document.querySelector('[data-testid=dark]'), r = c.getBoundingClientRect()
			return c.hidden ? '-1' : c.getContext('2d').getImageData((x - r.left) / r.width * c.width, (y - r.top) / r.height * c.height, 1, 1).data[3]
		}`, at.X, at.Y), &n)
		must(t, err)
		return n
	}
	if n := dark(2, 2); n != -1 {
		t.Fatalf("it is dark (%d) before anything is played", n)
	}
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	k.keys(input.KeyT)
	var x, y float64
	var facing string
	_, err := fmt.Sscan(k.eval(`() => azzel.hero()`), &x, &y, &facing)
	must(t, err)
	for _, zoomed := range []bool{false, true} {
		if zoomed {
			k.with(input.ControlLeft, input.Equal)
		}
		within(t, soon, func() error {
			at, lit, far := dark(int(x+8)/16, int(y+8)/16), dark(15, 8), dark(9, 10)
			if at > 60 || lit > 60 || lit < 0 || far < 190 {
				return fmt.Errorf("zoomed %v: it is dark by %d at the hero, by %d at the light, by %d away from both", zoomed, at, lit, far)
			}
			return nil
		})
	}
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	within(t, soon, func() error {
		if n := dark(2, 2); n != -1 {
			return fmt.Errorf("it is still dark (%d)", n)
		}
		return nil
	})
}
