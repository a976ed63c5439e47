package e2e

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/format"
	"azzel/core/proof"
	stage "azzel/core/world"
	"encoding/json"
	"errors"
	"fmt"
	"mime"
	"net/http"
	"net/http/httptest"
	"path"
	"strings"
	"testing"
	"time"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// alone saves the page that plays, and opens the file where nothing else can be reached.
func (k *tab) alone(width, height int) {
	k.Helper()
	k.pressIn("nav button", "Share")
	data, name := k.keeps(func() { k.press("Save the page") })
	if !strings.HasSuffix(name, ".html") {
		k.Errorf("it is called %s", name)
	}
	path := file(k.T, "game.html", data)
	k.page = k.newPage()
	must(k.T, k.page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: width, Height: height, DeviceScaleFactor: 1}))
	must(k.T, proto.NetworkEnable{}.Call(k.page))
	must(k.T, proto.NetworkEmulateNetworkConditions{Offline: true, DownloadThroughput: -1, UploadThroughput: -1}.Call(k.page))
	must(k.T, k.page.Navigate("file://"+path))
	must(k.T, k.page.WaitLoad())
	k.see("main h1", "The Saltworks")
}

// walksAlone has the hero of a page that plays walk a way.
func (k *tab) walksAlone(key input.Key, begin float64) {
	k.Helper()
	k.walk(key, func() error {
		x, _ := k.hero()
		if float64(x) <= begin+8 {
			return fmt.Errorf("the hero is at %d", x)
		}
		return nil
	})
}

// The page that plays is one file: at a double click, without a network, it is played by keys, paused, read in another language
// and begun anew.
func TestThePageThatPlays(t *testing.T) {
	k := startWith(t, nil).open()
	k.alone(1280, 800)
	k.axe()
	k.accessible("the title of the page that plays")
	k.keys(input.Enter) // New game has the focus
	k.see("[data-testid=place]", "Quay")
	k.see("[data-testid=line]", "Low tide")
	k.keys(input.KeyL)
	k.see("[data-testid=language]", "de")
	k.accessible("the page that plays")
	k.keys(input.KeyE)
	k.gone("[data-testid=line]")
	x, _ := k.hero()
	k.walksAlone(input.ArrowRight, float64(x))
	// what leads back to a map is not there
	if text := k.text("[data-testid=playing]"); strings.Contains(text, "back to the map") || strings.Contains(text, "Playing") {
		t.Errorf("it says %s", text)
	}
	k.keys(input.Escape)
	k.see("main h1", "Pause")
	k.accessible("a pause of the page that plays")
	at, _ := k.hero()
	k.press("Weiter")
	k.gone("main h1")
	k.walksAlone(input.ArrowRight, float64(at))
	k.keys(input.Escape)
	k.press("Noch einmal")
	k.gone("main h1")
	within(t, soon, func() error {
		if now, _ := k.hero(); now != x {
			return fmt.Errorf("begun anew the hero is at %d, not %d", now, x)
		}
		return nil
	})
	// the keys of the editor do nothing
	before := k.eval(`() => document.body.innerText.length > 0 && azzel.hero()`)
	k.keys(input.KeyB, input.KeyF, input.KeyP)
	if k.eval(`() => azzel.hero()`) != before {
		t.Error("keys of the editor move the hero")
	}
	k.see("[data-testid=playing]", "gesammelt") // begun anew it is read in as before
	k.gone("[data-testid=notice]")
	if n := k.eval(`() => String(performance.getEntriesByType('resource').filter((e) => !/^(data|blob):/.test(e.name)).length)`); n != "0" {
		t.Errorf("it asked for %s things from elsewhere", n)
	}
}

// With fingers the page is played on a phone: press the ground, or the pad.
func TestThePageIsPlayedWithFingers(t *testing.T) {
	k := startWith(t, nil).open()
	k.alone(390, 844)
	k.fingers()
	k.tap("main button", "New game")
	k.see("[data-testid=place]", "Quay")
	k.see("[data-testid=line]", "Low tide")
	within(t, soon, func() error {
		if k.eval(`() => String(document.documentElement.scrollWidth <= 390 && document.documentElement.scrollHeight <= 844)`) != "true" {
			return errors.New("the page is larger than the phone")
		}
		return nil
	})
	k.tap("[data-testid=use]", "")
	k.gone("[data-testid=line]")
}

// A gamepad alone begins the game, plays it, pauses it and goes on.
func TestThePageIsPlayedWithAGamepad(t *testing.T) {
	k := startWith(t, nil).open()
	k.alone(1280, 800)
	k.eval(`() => {
		window.pad = { index: 0, connected: true, axes: [0, 0], buttons: Array.from({ length: 17 }, () => ({ pressed: false })) }
		navigator.getGamepads = () => [window.pad]
	}`)
	// press holds a button down for two frames, and the game is asked what came of it
	press := func(button int) {
		k.eval(`async (i) => {
			const frames = async () => { for (let n = 0; n < 3; n++) await new Promise(requestAnimationFrame) }
			window.pad.buttons[i].pressed = true; await frames()
			window.pad.buttons[i].pressed = false; await frames()
		}`, button)
	}
	const confirm, back, menu, up, down, left, right = 0, 1, 9, 12, 13, 14, 15
	held := func() string { return k.eval(`() => document.activeElement.textContent.trim()`) }
	first := held()
	press(down)
	if now := held(); now == first {
		t.Errorf("down leads from %s nowhere", first)
	}
	press(up)
	press(confirm) // New game
	k.see("[data-testid=place]", "Quay")
	k.see("[data-testid=line]", "Low tide") // the same press does not read it away
	press(back)
	k.gone("[data-testid=line]")
	x, _ := k.hero()
	k.eval(`() => { window.pad.axes[0] = 1 }`)
	within(t, soon, func() error {
		now, _ := k.hero()
		return want("led right", fmt.Sprint(now > x+16), "true")
	})
	k.eval(`() => { window.pad.axes[0] = 0 }`)
	press(menu)
	k.see("main h1", "Pause")
	press(down)
	press(down)
	press(down)
	press(confirm)
	k.see("main h1", "Settings")
	within(t, soon, func() error { // the first volume is less loud
		for range 6 {
			if k.eval(`() => document.activeElement.type`) == "range" {
				break
			}
			press(down)
		}
		was := k.eval(`() => document.activeElement.value`)
		press(left)
		return want("a volume is changed", fmt.Sprint(was != k.eval(`() => document.activeElement.value`)), "true")
	})
	press(back)
	k.see("main h1", "Pause")
	press(menu)
	k.gone("main h1")
	at, _ := k.hero()
	k.eval(`(i) => { window.pad.buttons[i].pressed = true }`, right)
	within(t, soon, func() error {
		now, _ := k.hero()
		return want("led on", fmt.Sprint(now > at), "true")
	})
}

// The page can be tried at once, as the server makes it.
func TestThePageIsTriedInATab(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Share")
	href := k.attribute("main[aria-label=Share] a[target=_blank]", "href")
	k.visit(href)
	k.see("main h1", "The Saltworks")
	k.press("New game")
	k.see("[data-testid=place]", "Quay")
}

// Put on a web server, the page can be installed, is shown within another page, and plays on when the server is gone.
func TestThePageOnAWebServer(t *testing.T) {
	k := startWith(t, nil).open()
	k.pressIn("nav button", "Share")
	data, _ := k.keeps(func() { k.press("For a web server") })
	files, err := format.Unpack(data)
	must(t, err)
	folder := http.NewServeMux()
	folder.HandleFunc("/frame", func(w http.ResponseWriter, _ *http.Request) {
		_, _ = w.Write([]byte(`<!doctype html><title>A frame</title><iframe src="game/" width="800" height="600"></iframe>`))
	})
	folder.HandleFunc("/game/", func(w http.ResponseWriter, r *http.Request) {
		name := strings.TrimPrefix(r.URL.Path, "/game/")
		if name == "" {
			name = "index.html"
		}
		for _, f := range files {
			if f.Path == name {
				w.Header().Set("Content-Type", mime.TypeByExtension(path.Ext(name)))
				_, _ = w.Write(f.Data)
				return
			}
		}
		http.NotFound(w, r)
	})
	served := httptest.NewServer(folder)
	defer served.Close()
	k.page = k.newPage()
	must(t, k.page.Navigate(served.URL+"/game/"))
	k.see("main h1", "The Saltworks")
	within(t, soon, func() error {
		return want("what is kept on the device", k.eval(`() => (navigator.serviceWorker.controller ? 'kept' : '')`), "kept")
	})
	must(t, k.page.Navigate(served.URL+"/frame"))
	frame, err := k.page.Timeout(soon).Element("iframe")
	must(t, err)
	inside, err := frame.Frame()
	must(t, err)
	if _, err := inside.Timeout(soon).ElementR("h1", "The Saltworks"); err != nil {
		t.Errorf("within another page: %v", err)
	}
	served.Close()
	must(t, k.page.Navigate(served.URL+"/game/"))
	k.see("main h1", "The Saltworks")
	k.keys(input.Enter)
	k.see("[data-testid=place]", "Quay")
}

// fed has the page that plays play the walk that the proof finds through the demo.
func (k *tab) fed(d *document.Document) {
	k.Helper()
	search := proof.New(stage.New(d, chart.New(d, nil), nil))
	answer := search.Step(10_000)
	for ; answer == nil; answer = search.Step(10_000) {
	}
	if answer.Is != proof.Can {
		k.Fatalf("the demo: %s, %s", answer.Is, answer.Why)
	}
	inputs, err := json.Marshal(answer.Walk)
	must(k.T, err)
	k.eval(`(inputs) => { azzel.feed(JSON.parse(inputs)); return '' }`, string(inputs))
}

// ends waits for the end of the game, and for what is said there.
func (k *tab) ends(says string) {
	k.Helper()
	within(k.T, 20*time.Second, func() error {
		return contains(k.eval(`() => document.querySelector('[data-testid=over]')?.textContent ?? ''`), says)
	})
}

// The whole demo, from the title to the credits, is played on the page by the walk that the proof found, without a network: the same
// engine comes to the same end, and what was reached is told.
func TestTheDemoIsPlayedToItsEnd(t *testing.T) {
	k := startWith(t, nil).open()
	d := k.rig.doc()
	k.alone(1280, 800)
	k.fed(d)
	k.keys(input.Enter)                                                      // New game has the focus
	within(t, 6*soon, k.shows("[data-testid=game]", "You are late, warden")) // the lamp is reached, and a scene begins
	k.keys(input.Backspace)
	k.ends("The ships saw it")
	k.see("[data-testid=over]", " of 13 collected")
	k.press("The end")
	k.see("main h1", "Credits")
	k.see("[data-testid=credits]", "Drawn by code")
}

// So it is with fingers on a phone, read in the other language.
func TestTheDemoIsPlayedToItsEndOnAPhone(t *testing.T) {
	k := startWith(t, nil).open()
	d := k.rig.doc()
	k.alone(390, 844)
	k.fingers()
	k.tap("main button", "Settings")
	k.see("main h1", "Settings")
	k.option("main select", "de")
	within(t, soon, func() error {
		return want("the way back", k.eval(`() => { const b = [...document.querySelectorAll('main button')].find((b) => b.textContent.trim() === 'Zurück'); b?.scrollIntoView(); return String(!!b) }`), "true")
	})
	k.tap("main button", "Zurück")
	k.see("main h1", "Die Saline bei Niedrigwasser")
	k.fed(d)
	k.tap("main button", "Neues Spiel")
	within(t, 6*soon, k.shows("[data-testid=game]", "überspringen")) // the lamp is reached, and a scene begins
	k.tap("button", "überspringen")
	k.ends("Die Schiffe sahen es")
	if k.eval(`() => String(document.documentElement.scrollWidth <= 390)`) != "true" {
		t.Error("the end is broader than the phone")
	}
	k.tap("main button", "Ende")
	k.see("main h1", "Mitwirkende")
}
