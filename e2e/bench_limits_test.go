package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"os"
	"runtime"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// firstSeen notes when the project was first drawn, and when drawing came to rest.
const firstSeen = `
globalThis.seen = { first: 0, last: 0, frames: 0 }
const frames = requestAnimationFrame.bind(window)
window.requestAnimationFrame = (f) => frames((t) => { f(t); if (globalThis.azzel && document.querySelector('[data-testid=map], [data-testid=chart]')) { seen.last = performance.now(); seen.first ||= seen.last } })`

// rests waits until nothing is drawn any more.
func (k *tab) rests() {
	k.Helper()
	within(k.T, 12*soon, func() error {
		if k.eval(`() => new Promise((done) => setTimeout(() => done(seen.first > 0 && performance.now() - seen.last > 400), 500))`) != "true" {
			return fmt.Errorf("it is still drawn")
		}
		return nil
	})
}

// connects waits until a large project is open and all of it stored.
func (k *tab) connects() {
	k.Helper()
	within(k.T, 12*soon, func() error {
		return contains(k.eval(`() => document.querySelector('[data-testid=saved]')?.dataset.state`), "saved")
	})
}

// opens prints how long a project takes to be opened: to its first picture, and until all of it that is in view is drawn.
func opens(t *testing.T, what string, doc *document.Document) *tab {
	k := startWith(t, doc).blank()
	_, err := k.page.EvalOnNewDocument(meter + firstSeen) // the meter's own beat is nothing that is drawn
	must(t, err)
	for range 2 { // the server has it in its memory from the second time on, as while one works
		k.visit("/p/" + k.rig.project)
		k.connects()
		k.rests()
	}
	fmt.Printf("browser, opening %s\n  %-22s after %s ms; all in view drawn after %s ms\n", what, "first picture", k.eval(`() => seen.first.toFixed(0)`), k.eval(`() => seen.last.toFixed(0)`))
	return k
}

// TestBrowserBenchLarge prints how long large maps take to be opened.
func TestBrowserBenchLarge(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	t.Run("small", func(t *testing.T) { opens(t, "a small project", sample.World()) })
	t.Run("large", func(t *testing.T) { opens(t, "1024×1024 cells of 4 layers", sample.Square(1024, 4, 4)) })
	t.Run("largest", func(t *testing.T) { opens(t, "2048×2048 cells of 8 layers", sample.Square(2048, 8, 8)) })
}

// TestBrowserBenchLimits prints what working on a project takes that is at all of its limits: opened, painted in, filled, undone, played;
// and what page and server hold of it.
func TestBrowserBenchLimits(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	before := held()
	k := opens(t, "all limits at once", sample.Limits())
	server := held() - before
	fmt.Println("browser, all limits at once")
	at, report := k.meters("[data-testid=map]")
	k.eval(plainly)
	k.holdTile(5)
	k.focusMap()
	report("idle")
	k.drag(left, at(100, 100), at(200, 120), at(300, 180), at(400, 200))
	k.connects()
	report("strokes")
	k.drag(left, at(120, 300), at(220, 320), at(320, 280), at(420, 300))
	k.connects()
	report("strokes again")
	k.with(input.ControlLeft, input.KeyZ)
	k.connects()
	report("undo")
	for i := range 60 {
		k.move(at(60+float64(i*5), 60+float64(i%50*8)))
	}
	report("hover")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	report("begin to play")
	k.eval(`() => new Promise((done) => { let n = 120; const next = () => (--n ? requestAnimationFrame(next) : done('')); next() })`)
	report("play, 120 frames")
	k.keys(input.KeyP)
	k.openChart()
	k.rests()
	report("chart")
	fmt.Printf("  %-22s by the server %d MB; by the core %s MB; by scripts %s MB\n", "held", server, k.eval(`() => (azzel.held() / 1048576).toFixed(0)`), k.eval(`() => (performance.memory.usedJSHeapSize / 1048576).toFixed(0)`))
	k.same()
}

// TestBrowserBenchPlaced prints what putting down as many entities as one press can takes, and taking them back, on several new pages: the first time is
// once a page.
func TestBrowserBenchPlaced(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	for n := range 5 {
		t.Run(fmt.Sprint("page ", n+1), placed)
	}
}

func placed(t *testing.T) {
	d := sample.With(sample.World(), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{W: 50, H: 40}))
	k := metered(t, d)
	k.holdKind("Sign")
	k.focusMap()
	at, report := k.meters("[data-testid=map]")
	fmt.Println("browser, 2,000 entities at once")
	k.keys(input.KeyF)
	k.warmed()
	for range 4 {
		k.eval(plainly) // some seconds, until the browser has compiled what was made ready
	}
	k.move(at(300, 300))
	report("ghost")
	k.drag(left, at(300, 300))
	k.saved()
	report("put down")
	k.with(input.ControlLeft, input.KeyZ)
	k.saved()
	report("undo")
	k.drag(left, at(300, 300))
	k.saved()
	report("put down again")
	k.stored(func(d *document.Document) error {
		if n := d.Maps.Get(sample.Quay).Entities.Len(); n < 1900 {
			return fmt.Errorf("there are %d entities", n)
		}
		return nil
	})
}

// held is how many megabytes are in use by the server, which runs in the tests' own process.
func held() int {
	var m runtime.MemStats
	runtime.GC()
	runtime.ReadMemStats(&m)
	return int(m.HeapAlloc >> 20)
}
