package e2e

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/material"
	"azzel/core/sample"
	"azzel/web"
	"fmt"
	"os"
	"testing"
	"time"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// meter measures the work of events and of drawing frames, without the wait
// between them, and how long frames are apart.
const meter = `
globalThis.work = { events: [], frames: [], apart: [] }
const plain = requestAnimationFrame.bind(window)
let pending = 0 // what events took since the last frame
work.rest = () => (pending = 0)
window.requestAnimationFrame = (f) => plain((t) => { const from = performance.now(); f(t); work.frames.push(performance.now() - from + pending); pending = 0 })
for (const kind of ['pointerdown', 'pointermove', 'pointerup', 'wheel']) {
	let from = 0
	addEventListener(kind, () => (from = performance.now()), { capture: true, passive: true })
	addEventListener(kind, () => { const spent = performance.now() - from; work.events.push(spent); pending += spent }, { passive: true })
}
let last = 0
const beat = (t) => { if (last) work.apart.push(t - last); last = t; plain(beat) }
plain(beat)`

// plainly draws 24 bitmaps again and again: what a frame costs at the least.
const plainly = `() => new Promise((done) => {
	const c = document.createElement('canvas'), x = c.getContext('2d'), bitmap = new OffscreenCanvas(512, 512), all = []
	c.width = 776; c.height = 660; bitmap.getContext('2d').fillRect(0, 0, 400, 400)
	const next = () => { const from = performance.now(); for (let i = 0; i < 24; i++) x.drawImage(bitmap, i * 20, i * 10); all.push(performance.now() - from); all.length < 60 ? requestAnimationFrame(next) : done((globalThis.plainFrame = Math.max(0.05, all.sort((a, b) => a - b)[57])).toFixed(2)) }
	next()
})`

// meters gives places on a canvas of the page, and prints what was measured since the last time.
func (k *tab) meters(canvas string) (at func(x, y float64) proto.Point, report func(what string)) {
	box := k.box(canvas)
	at = func(x, y float64) proto.Point { return proto.NewPoint(box.X+x, box.Y+y) }
	return at, func(what string) {
		fmt.Printf("  %-22s %s\n", what, k.eval(`() => {
			const q = (v, p) => [...v].sort((a, b) => a - b)[Math.floor(v.length * p)]?.toFixed(2) ?? '-'
			const text = work.events.length + ' events, p95 ' + q(work.events, 0.95) + ' ms; with their frame p95 ' + q(work.frames, 0.95) + ' ms (×' + (q(work.frames, 0.95) / plainFrame).toFixed(1) + ' plain); frames apart p50 ' + q(work.apart, 0.5) + ', p95 ' + q(work.apart, 0.95) + ' ms'
			for (const k of ['events', 'frames', 'apart']) work[k].length = 0
			work.rest() // events without a frame are none of the next one's
			return text
		}`))
	}
}

// metered opens a project with the meter in its page.
func metered(t *testing.T, doc *document.Document) *tab {
	t.Helper()
	k := startWith(t, doc).open()
	_, err := k.page.EvalOnNewDocument(meter)
	must(t, err)
	k.reload()
	fmt.Printf("(plain p95 %s ms)\n", k.eval(plainly))
	return k
}

// TestBrowserBenchEntities prints what 10,000 entities on one map take.
func TestBrowserBenchEntities(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	d := sample.Crowded(big(), sample.Quay)
	k := metered(t, d)
	at, report := k.meters("[data-testid=map]")
	fmt.Println("browser, 10,000 entities on a map")
	k.move(at(300, 300))
	report("idle")
	for i := range 100 {
		must(t, k.page.Mouse.Scroll(float64(i%5*40-80), 60-float64(i%7*20), 1))
	}
	report("pan")
	for range 10 {
		k.drag(left, at(110, 110), at(300, 300), at(500, 500))
	}
	report("select some by a box")
	k.focusMap()
	k.keys(input.Escape)
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	for range 8 {
		must(t, k.page.Mouse.Scroll(0, 100, 1))
	}
	report("zoom, to the whole map")
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	for i := range 100 {
		must(t, k.page.Mouse.Scroll(float64(i%5*40-80), 60-float64(i%7*20), 1))
	}
	report("pan of the whole map")
	for i := range 100 {
		k.move(at(60+float64(i*5), 60+float64(i%50*8)))
	}
	report("hover")
	for range 10 {
		k.drag(left, at(100, 100), at(300, 300), at(500, 500))
	}
	report("select all by a box")
	k.hold(left, at(300, 300), at(302, 302))
	report("take hold of what is selected")
	for i := range 50 {
		k.move(at(304+float64(i%25*6), 304+float64(i/5*5)))
	}
	report("drag what is selected")
	must(t, k.page.Mouse.Up(left, 1))
	report("let go of it")
}

// TestBrowserBenchOpen prints how long a project of 1,000 maps of 64×64 cells takes to
// be opened, and what it holds in the page, beside one of a single map.
func TestBrowserBenchOpen(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	small, err := web.Dist.ReadFile("dist/azzel.wasm.br")
	must(t, err)
	fmt.Printf("browser, the module\n  %-22s as it is sent %.2f MB\n", "compressed", float64(len(small))/(1<<20))
	for _, n := range []int{1, 1000} {
		t.Run(fmt.Sprint(n), func(t *testing.T) {
			k := startWith(t, sample.Rooms(n)).open()
			k.reload() // the server has it in its memory now
			k.reload()
			within(t, 60*soon, func() error { // until everything was read
				if left := k.eval(`() => azzel.left()`); left != "0" {
					return fmt.Errorf("%s layers are left", left)
				}
				return nil
			})
			fmt.Printf("browser, a project of %d maps of 64×64: opened in %s ms; read wholly the core holds %s MB, scripts %s MB\n", n,
				k.eval(`() => azzel.opened.toFixed(0)`), k.eval(`() => (azzel.held() / 1048576).toFixed(0)`), k.eval(`() => (performance.memory.usedJSHeapSize / 1048576).toFixed(0)`))
		})
	}
}

// TestBrowserBenchChart prints what 1,000 maps with 3,000 passages take on the chart.
func TestBrowserBenchChart(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	k := metered(t, sample.Maps(1000, 3000))
	k.openChart()
	at, report := k.meters("[data-testid=chart]")
	fmt.Println("browser, 1,000 maps with 3,000 passages on the chart")
	within(t, 60*soon, func() error { // until all pictures of maps are drawn
		if k.eval(`() => new Promise((done) => { const from = work.frames.length; setTimeout(() => done(work.frames.length - from), 300) })`) != "0" {
			return fmt.Errorf("maps are still being drawn")
		}
		return nil
	})
	report("first drawing")
	must(t, k.page.Mouse.MoveTo(at(400, 300)))
	for i := range 100 {
		must(t, k.page.Mouse.Scroll(float64(i%5*40-80), 60-float64(i%7*20), 1))
	}
	report("pan")
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	for i := range 40 {
		must(t, k.page.Mouse.Scroll(0, float64(i/4%2*200-100), 1))
	}
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	report("zoom")
	for i := range 100 {
		k.move(at(60+float64(i*5), 60+float64(i%50*8)))
	}
	report("hover")
	k.warmed()
	k.eval(plainly) // until the browser has compiled what was made ready
	report("at rest")
	k.drag(left, at(200, 200), at(210, 210), at(260, 260), at(300, 240))
	report("drag a map")
	for i := range 8 {
		x := float64(240 + i*40)
		k.drag(left, at(x, 260), at(x+10, 270), at(x+60, 320), at(x+90, 300))
	}
	report("drag others")
	k.stored(func(d *document.Document) error { // it was one, and no line above it
		for i, m := range d.MapsInOrder() {
			if m.Chart != nil && *m.Chart != (grid.Point{X: i % 32 * 320, Y: i / 32 * 192}) {
				return nil
			}
		}
		return fmt.Errorf("no map was moved")
	})
}

// TestBrowserBench prints what strokes, ghosts, panning and zooming take on a
// 512×512 map of six layers, beside a plain drawing of as many bitmaps. It
// asserts nothing about time and runs in ./azzel bench only.
func TestBrowserBench(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	r := startWith(t, big()).pictured()
	all := &grid.Region{}
	all.AddRect(grid.Rect{W: 512, H: 512})
	r.append(sample.Paint(sample.Quay, sample.Ground, all, sample.Floor))
	for i := range 3 {
		id := sample.Ground[:11] + document.ID("bcd"[i:i+1])
		r.append(edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: id}, map[string]any{
			"id": id, "name": fmt.Sprint("Layer ", i), "order": 10 + i, "kind": "tiles", "hidden": false, "locked": false, "opacity": 100, "front": false}))
		r.append(sample.Paint(sample.Quay, id, all, sample.Wall))
	}
	// a material of all forms of edges and corners
	var tiles []material.Tile
	for _, f := range material.Keys(material.ByBoth) {
		tiles = append(tiles, material.Tile{Cell: cells.TileCell(1, len(tiles)), Form: f, Odds: 1})
	}
	r.author(author.AddMaterial(r.doc(), document.Material{Name: "Sea", Number: 40, Is: "water", By: material.ByBoth, Tiles: tiles}))
	k := r.open()
	_, err := k.page.EvalOnNewDocument(meter)
	must(t, err)
	start := time.Now()
	k.reload()
	fmt.Printf("opened, from the reload to connected: %d ms\n", time.Since(start).Milliseconds())
	k.holdTile(5)
	k.focusMap()
	at, report := k.meters("[data-testid=map]")
	fmt.Printf("browser, 512×512 map of six layers (plain: 24 bitmaps of 512 pixels drawn, p95 %s ms)\n", k.eval(plainly))
	report("idle")
	for i := range 40 {
		points := []proto.Point{at(60, 60+float64(i*10))}
		for j := range 12 {
			points = append(points, at(60+float64(j*40), 60+float64(i*10+j%3*16)))
		}
		k.drag(left, points...)
	}
	report("strokes")
	var long []proto.Point
	for i := range 15 {
		for j := range 40 {
			long = append(long, at(60+float64(j)*16, 60+float64(i*32)), at(60+float64(j)*16, 76+float64(i*32)))
		}
	}
	k.drag(left, long[:600]...)
	report("one long stroke")
	k.press("Materials")
	k.pressIn("aside li button", "Sea")
	k.focusMap()
	for i := range 40 {
		points := []proto.Point{at(60, 60+float64(i*10))}
		for j := range 12 {
			points = append(points, at(60+float64(j*40), 60+float64(i*10+j%3*16)))
		}
		k.drag(left, points...)
	}
	report("strokes of a material")
	k.press("Tiles")
	k.holdTile(5)
	k.focusMap()
	for i := range 200 {
		k.move(at(60+float64(i*3), 60+float64(i%50*8)))
	}
	report("ghost")
	k.keys(input.KeyF)
	for i := range 100 {
		k.move(at(60+float64(i*3), 60+float64(i%50*8)))
	}
	report("ghost of a fill")
	for i := range 100 {
		must(t, k.page.Mouse.Scroll(float64(i%5*40-80), 60-float64(i%7*20), 1))
	}
	report("pan")
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	for i := range 40 {
		must(t, k.page.Mouse.Scroll(0, float64(i/10%2*200-100), 1))
	}
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	report("zoom")
	k.saved()
	k.same()
}
