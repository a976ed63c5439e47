package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"testing"

	"github.com/go-rod/rod/lib/proto"
)

// TestBrowserBench prints what strokes, ghosts, panning and zooming take on a
// 512×512 map, beside a plain clearing of the same canvas. It asserts nothing
// about time and runs in ./azzel bench only.
func TestBrowserBench(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	k := startWith(t, big()).open()
	k.holdTile(5)
	k.focusMap()
	k.eval(`() => {
		globalThis.times = { down: [], move: [], up: [], wheel: [] }
		const take = (kind) => (e) => {
			const from = performance.now()
			requestAnimationFrame(() => { const c = new MessageChannel(); c.port1.onmessage = () => times[kind].push([performance.now() - from, performance.now() - e.timeStamp]); c.port2.postMessage(0) })
		}
		for (const [name, kind] of [['pointerdown', 'down'], ['pointermove', 'move'], ['pointerup', 'up'], ['wheel', 'wheel']]) addEventListener(name, take(kind), { capture: true, passive: true })
	}`)
	box := k.box("[data-testid=map]")
	at := func(x, y float64) proto.Point { return proto.NewPoint(box.X+x, box.Y+y) }
	for i := range 40 {
		points := []proto.Point{at(60, 60+float64(i*10))}
		for j := range 12 {
			points = append(points, at(60+float64(j*40), 60+float64(i*10+j%3*16)))
		}
		k.drag(left, points...)
	}
	for i := range 60 {
		must(t, k.page.Mouse.Scroll(float64(i%5*20-40), 60-float64(i%7*20), 1))
	}
	baseline := k.eval(`() => new Promise((done) => {
		const c = document.querySelector('main canvas'), x = c.getContext('2d'), all = []
		const next = () => { const from = performance.now(); x.clearRect(0, 0, c.width, c.height); x.fillRect(0, 0, 50, 50); const m = new MessageChannel(); m.port1.onmessage = () => { all.push(performance.now() - from); all.length < 50 ? requestAnimationFrame(next) : done(all.sort((a, b) => a - b)[47].toFixed(2)) }; m.port2.postMessage(0) }
		next()
	})`)
	var p95 map[string]string
	must(t, json.Unmarshal([]byte(k.eval(`() => JSON.stringify(Object.fromEntries(Object.entries(times).map(([k, v]) => {
		const q = (i) => v.map((t) => t[i]).sort((a, b) => a - b)[Math.floor(v.length * 0.95)]?.toFixed(2)
		return [k, v.length + ' events, p95 handled to drawn ' + q(0) + ' ms']
	})))`)), &p95))
	fmt.Printf("browser, 512×512 map (plain clear of the canvas p95 %s ms):\n", baseline)
	for _, kind := range []string{"down", "move", "up", "wheel"} {
		fmt.Printf("  pointer %-6s %s\n", kind, p95[kind])
	}
	k.saved()
	k.same()
}
