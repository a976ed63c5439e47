package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"os"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// TestBrowserBenchPlay prints what a game among 500 movers takes in the page, and what it takes to show the
// motion of those who are pointed at.
func TestBrowserBenchPlay(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	d := big()
	m := *d.Maps.Get(sample.Quay)
	kinds := []string{kind.Walker, kind.Flyer, kind.Character, kind.Platform, kind.Block, kind.Shooter, kind.Turner, kind.Light}
	for i := range 500 {
		e := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: kinds[i%len(kinds)], Name: fmt.Sprint("Mover ", i), Facing: document.Facings[i%4], On: true, Rank: 10 + i, X: 48 + i%25*32, Y: 48 + i/25*32, W: 16, H: 16}
		m.Entities = m.Entities.With(e.ID, &e)
	}
	m.Values = []kind.Value{{Key: kind.MapDarkness, Value: "40"}}
	d.Maps = d.Maps.With(m.ID, &m)
	k := metered(t, d)
	at, report := k.meters("[data-testid=map]")
	fmt.Println("browser, 500 movers on a map")
	k.move(at(200, 200))
	report("idle")
	for i := range 200 {
		k.move(at(60+float64(i%40*12), 60+float64(i/40*60)))
	}
	report("hover, motion shown")
	k.warmed()
	k.eval(plainly) // until the browser has compiled what was made ready
	report("at rest")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	report("begin")
	k.eval(`() => new Promise((done) => { let n = 300; const next = () => (--n ? requestAnimationFrame(next) : done('')); next() })`)
	report("play, 300 frames")
	k.keys(input.KeyT)
	report("freeze")
	for i := range 100 {
		k.move(at(300+float64(i*4), 690))
	}
	report("beside the time bar")
	k.keys(input.KeyP)
}
