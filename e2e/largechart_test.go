package e2e

import (
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A chart of many maps is drawn from what is kept: maps and the ways between them are there, nearer and farther, where all of it and where
// only a part of it is kept.
func TestAChartOfManyMapsIsDrawn(t *testing.T) {
	k := startWith(t, sample.Maps(120, 500)).open()
	k.openChart()
	drawn := func(what string) {
		t.Helper()
		within(t, 3*soon, func() error {
			// the pictures of the sample's tiles are missing, which is drawn in a red of its own
			red := k.eval(`() => {
				const c = document.querySelector('[data-testid=chart]'), d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
				let n = 0
				for (let i = 0; i < d.length; i += 4) n += d[i] > 180 && d[i] - d[i + 2] > 60 && d[i] - d[i + 1] > 40
				return String(n > 100)
			}`)
			return want(what, fmt.Sprint(k.drawn("chart", "51,80,158") > 100, " ", red), "true true")
		})
	}
	drawn("at first")
	k.eval(`() => document.querySelector('[data-testid=chart]').focus()`)
	for range 4 {
		k.keys(input.NumpadAdd)
	}
	drawn("nearer")
	for range 3 {
		k.keys(input.NumpadSubtract)
	}
	drawn("farther")
	k.keys(input.Home)
	drawn("all of it")
}
