package e2e

import (
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"os"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// tasks measures how long scripts and drawing hold the page up at once, when drawing came to rest, and when the last of some places all over
// the map was drawn otherwise: from then on one sees it as it stays.
const tasks = `() => {
	const map = document.querySelector('main canvas'), pixels = map.getContext('2d'), places = []
	for (let y = 0.5; y < 6; y++) for (let x = 0.5; x < 8; x++) places.push([(x * map.width) / 8, (y * map.height) / 6])
	const look = () => places.map(([x, y]) => pixels.getImageData(x, y, 1, 1).data.join()).join(' ')
	globalThis.tasks = { long: [], last: 0, seen: 0, was: look(), begin() { this.long.length = 0; this.last = this.seen = 0; this.was = look(); this.begun = performance.now() } }
	new PerformanceObserver((l) => { for (const e of l.getEntries()) tasks.long.push(e.duration) }).observe({ type: 'longtask' })
	const raf = window.requestAnimationFrame.bind(window)
	window.requestAnimationFrame = (f) => raf((t) => {
		f(t)
		tasks.last = performance.now()
		const now = look()
		if (now !== tasks.was) [tasks.was, tasks.seen] = [now, tasks.last]
	})
	return ''
}`

// TestBrowserBenchFill prints what a fill of 1024×1024 cells takes: until it is seen, until nothing is drawn any more, the longest that it
// holds the page up, and the same of its undo; beside that, its ghost; on several new pages. It asserts nothing about time and runs in ./azzel bench only.
func TestBrowserBenchFill(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	for n := range 3 {
		t.Run(fmt.Sprint("page ", n+1), filled)
	}
}

func filled(t *testing.T) {
	d := edit.Apply(sample.World(), &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{W: 1024, H: 1024})}}).Doc
	k := metered(t, d)
	k.holdTile(5)
	k.focusMap()
	at, report := k.meters("[data-testid=map]")
	fmt.Println("browser, a fill of 1024×1024 cells")
	k.keys(input.KeyF)
	report("idle")
	for i := range 60 {
		k.move(at(60+float64(i*3), 200+float64(i%20*8)))
	}
	report("its ghost")
	k.warmed()
	k.eval(plainly) // until the browser has compiled what was made ready
	k.eval(tasks)
	measured := func(what string, does func()) {
		k.eval(`() => { tasks.begin(); return '' }`)
		does()
		k.saved()
		within(t, 6*soon, func() error { // until nothing is drawn any more
			if k.eval(`() => new Promise((done) => setTimeout(() => done(performance.now() - tasks.last > 400), 500))`) != "true" {
				return fmt.Errorf("it is still drawn")
			}
			return nil
		})
		fmt.Printf("  %-22s %s\n", what, k.eval(`() => 'done in view after ' + (tasks.seen - tasks.begun).toFixed(0) + ' ms; all drawn after ' + (tasks.last - tasks.begun).toFixed(0) + ' ms; longest task ' + Math.max(0, ...tasks.long).toFixed(0) + ' ms, ' + tasks.long.length + ' above 50 ms'`))
	}
	measured("filled", func() { k.drag(left, at(200, 200)) })
	measured("undone", func() { k.with(input.ControlLeft, input.KeyZ) })
	measured("filled again", func() { k.drag(left, at(200, 200)) })
	k.same()
}
