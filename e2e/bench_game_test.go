package e2e

import (
	"azzel/core/edit"
	"azzel/core/kind"
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// TestBrowserBenchGame prints how long it takes from the title of the demo until the hero stands there, from a key until something
// is asked to sound, and what the parts of the player's screen cost in a frame.
func TestBrowserBenchGame(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	r := startWith(t, nil)
	k := r.open()
	_, err := k.page.EvalOnNewDocument(meter)
	must(t, err)
	k.tried()
	fmt.Println("browser, the demo as a game")
	fmt.Printf("  %-22s %s ms\n", "title to walking", k.eval(`() => new Promise((done) => {
		const from = performance.now()
		;[...document.querySelectorAll('[data-testid=game] button')].find((b) => b.textContent.includes('New game')).click()
		const look = () => (document.querySelector('[data-testid=place]') ? done((performance.now() - from).toFixed(0)) : requestAnimationFrame(look))
		look()
	})`))
	k.keys(input.Escape)
	k.see("main h1", "Paused")
	k.press("To the title")
	k.press("Choose a map")
	k.pressIn("main ol button", "One Crate")
	k.see("[data-testid=place]", "One Crate")
	k.eval(`() => { globalThis.pressed = 0; globalThis.heard = []; addEventListener('keydown', () => (pressed = performance.now()), true)
		const all = azzelSounds, push = all.push.bind(all); all.push = (w) => (heard.push(performance.now() - pressed), push(w)); return '' }`)
	k.steps("rrllrrllrrll")
	fmt.Printf("  %-22s %s\n", "a step to its sound", k.eval(`() => { heard.sort((a, b) => a - b); return heard.length + ' sounds; p50 ' + heard[Math.floor(heard.length / 2)].toFixed(0) + ', p95 ' + heard[Math.floor(heard.length * 0.95)].toFixed(0) + ' ms after the key (a step sounds when a foot comes down)' }`))
	for _, shown := range []string{"off", "topLeft"} {
		t.Run(shown, func(t *testing.T) { partsOfTheScreen(t, shown) })
	}
}

// partsOfTheScreen prints what a frame takes while the hero walks, with all parts of the screen at one place, or off.
func partsOfTheScreen(t *testing.T, shown string) {
	var values []kind.Value
	for _, s := range kind.OfGame {
		if strings.HasPrefix(s.Key, "show") && len(s.Choices) > 0 {
			values = append(values, kind.Value{Key: s.Key, Value: kind.Of(shown)})
		}
	}
	r := startWith(t, nil)
	r.append(edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", values))
	k := r.open()
	_, err := k.page.EvalOnNewDocument(meter)
	must(t, err)
	k.reload()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing")
	k.eval(plainly)
	k.eval(`() => { for (const x in work) work[x].length = 0; return '' }`)
	must(t, k.page.Keyboard.Press(input.ArrowRight))
	k.eval(`() => new Promise((done) => { let n = 300; const next = () => (--n ? requestAnimationFrame(next) : done('')); next() })`)
	must(t, k.page.Keyboard.Release(input.ArrowRight))
	fmt.Printf("  %-22s %s\n", "all parts "+map[bool]string{true: "off", false: "on"}[shown == "off"], k.eval(`() => { const v = work.frames.sort((a, b) => a - b), q = (p) => v[Math.floor(v.length * p)].toFixed(2); return 'frame p50 ' + q(0.5) + ', p95 ' + q(0.95) + ' ms (plain ' + plainFrame.toFixed(2) + ')' }`))
}

// TestBrowserBenchPixels prints how long it takes from the press until a pixel of a tile is seen and until
// that is an edit.
func TestBrowserBenchPixels(t *testing.T) {
	if os.Getenv("AZZEL_BENCH") == "" {
		t.Skip("only in ./azzel bench")
	}
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Tilesets")
	k.click(k.onSheet(128, 3, 8, middleOf))
	k.pressIn("section[aria-label=Tile] button", "Pixels…")
	k.see("[role=dialog]", "Pixels of tile")
	b := k.box("[data-testid=pixels]")
	k.eval(`() => {
		globalThis.times = []
		const c = document.querySelector('[data-testid=pixels]')
		c.addEventListener('pointerdown', () => {
			const from = performance.now(), was = c.toDataURL()
			const look = () => (c.toDataURL() !== was ? times.push(performance.now() - from) : performance.now() - from < 2000 && requestAnimationFrame(look))
			requestAnimationFrame(look)
		}, true)
		return ''
	}`)
	for i := range 8 {
		k.click(proto.NewPoint(b.X+float64(i)*24+12, b.Y+12))
	}
	fmt.Printf("browser, a pixel of a tile: seen in %s\n", k.eval(`() => times.map((t) => t.toFixed(0)).join(', ') + ' ms'`))
	took := k.eval(`() => new Promise((done) => {
		const from = performance.now(), n = azzel.hash()
		;[...document.querySelectorAll('[role=dialog] button')].find((b) => b.textContent.includes('Keep it')).click()
		const look = () => (azzel.hash() !== n ? done((performance.now() - from).toFixed(0)) : setTimeout(look))
		look()
	})`)
	fmt.Printf("  kept as an edit after %s ms\n", took)
}
