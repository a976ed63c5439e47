package e2e

import (
	"azzel/core/document"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"strings"
	"sync"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/cdp"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// tab is a page as a designer has it open.
type tab struct {
	*testing.T
	rig  *rig
	page *rod.Page
	ctx  *rod.Browser

	mu    sync.Mutex
	wrong []string
}

// watch notes every violation of the content policy in the page.
const watch = `addEventListener('securitypolicyviolation', (e) => console.error('policy: ' + e.violatedDirective + ' ' + e.blockedURI + ' ' + e.sample))`

// open opens the project in a browser context of its own, as another computer would.
func (r *rig) open() *tab {
	r.t.Helper()
	k := r.blank()
	k.visit("/p/" + r.project)
	k.ready()
	return k
}

// blank is a page in a context of its own, in which nothing is open yet.
func (r *rig) blank() *tab {
	r.t.Helper()
	ctx, err := browser.Incognito()
	must(r.t, err)
	r.t.Cleanup(func() { _ = ctx.Close() })
	k := &tab{T: r.t, rig: r, ctx: ctx}
	k.page = k.newPage()
	r.t.Cleanup(k.checkQuiet)
	return k
}

// another opens a new page in the same context, as the same person.
func (k *tab) another() {
	k.Helper()
	k.page = k.newPage()
	k.visit("/p/" + k.rig.project)
	k.ready()
}

func (k *tab) newPage() *rod.Page {
	k.Helper()
	page, err := k.ctx.Page(proto.TargetCreateTarget{})
	must(k.T, err)
	must(k.T, page.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: 1280, Height: 800, DeviceScaleFactor: 1}))
	_, err = page.EvalOnNewDocument(watch)
	must(k.T, err)
	// no theme is the system's in a test
	_, err = page.EvalOnNewDocument(`localStorage.getItem('azzel.theme') ?? localStorage.setItem('azzel.theme', 'plaster')`)
	must(k.T, err)
	go page.EachEvent(func(e *proto.RuntimeExceptionThrown) {
		text := e.ExceptionDetails.Text
		if thrown := e.ExceptionDetails.Exception; thrown != nil {
			text += " " + thrown.Description
		}
		k.note("exception: " + text)
	}, func(e *proto.RuntimeConsoleAPICalled) {
		if e.Type == proto.RuntimeConsoleAPICalledTypeError {
			for _, a := range e.Args {
				k.note("console: " + a.Value.String() + a.Description)
			}
		}
	})()
	return page
}

func (k *tab) note(text string) {
	k.mu.Lock()
	defer k.mu.Unlock()
	k.wrong = append(k.wrong, text)
}

// checkQuiet ends a test: the page said nothing that it should not, and a test
// that failed leaves a picture of its page in .azzel/failed.
func (k *tab) checkQuiet() {
	if k.Failed() {
		if data, err := k.page.Timeout(soon).Screenshot(false, nil); err == nil {
			_ = os.MkdirAll("../.azzel/failed", 0o755)
			_ = os.WriteFile("../.azzel/failed/"+k.Name()+".png", data, 0o644)
		}
	}
	k.mu.Lock()
	defer k.mu.Unlock()
	for _, w := range k.wrong {
		k.Error("the page said: " + w)
	}
}

func (k *tab) visit(path string) {
	k.Helper()
	must(k.T, k.page.Navigate("http://"+k.rig.address+path))
	must(k.T, k.page.WaitLoad())
}

// ready waits for the project to be open and connected.
func (k *tab) ready() {
	k.Helper()
	k.see("header", "")
	k.saved()
}

// saved waits until the strip says that everything is stored.
func (k *tab) saved() {
	k.Helper()
	within(k.T, soon, func() error {
		if state := k.attribute("[data-testid=saved]", "data-state"); state != "saved" {
			return fmt.Errorf("the strip says %q", state)
		}
		return nil
	})
}

func (k *tab) reload() {
	k.Helper()
	must(k.T, k.page.Reload())
	must(k.T, k.page.WaitLoad())
	k.ready()
}

// looking

func (k *tab) eval(js string, args ...any) string {
	k.Helper()
	out, err := k.page.Eval(js, args...)
	if e, is := errors.AsType[*cdp.Error](err); is && strings.Contains(e.Message, "navigated or closed") {
		// it went to another page while it was asked, which is asked now
		must(k.T, k.page.WaitLoad())
		out, err = k.page.Eval(js, args...)
	}
	must(k.T, err)
	return out.Value.String()
}

func (k *tab) attribute(selector, name string) string {
	k.Helper()
	return k.eval(`(s, n) => document.querySelector(s)?.getAttribute(n) ?? ''`, selector, name)
}

// text is what a person reads in the first element of a selector; "" when there is none.
func (k *tab) text(selector string) string {
	k.Helper()
	return k.eval(`(s) => document.querySelector(s)?.innerText ?? ''`, selector)
}

// see waits until an element that can be seen holds a text.
func (k *tab) see(selector, text string) {
	k.Helper()
	within(k.T, soon, func() error {
		found := k.eval(`(s, t) => {
			const all = [...document.querySelectorAll(s)].filter((e) => e.getClientRects().length)
			return all.some((e) => (e.innerText || e.value || '').includes(t)) ? 'yes' : all.map((e) => e.innerText || e.value).join(' | ')
		}`, selector, text)
		if found != "yes" {
			return fmt.Errorf("%s does not show %q but %q", selector, text, found)
		}
		return nil
	})
}

// gone waits until nothing that can be seen matches a selector.
func (k *tab) gone(selector string) {
	k.Helper()
	within(k.T, soon, func() error {
		if k.eval(`(s) => [...document.querySelectorAll(s)].some((e) => e.getClientRects().length)`, selector) != "false" {
			return fmt.Errorf("%s is still there", selector)
		}
		return nil
	})
}

// pixel is the colour of the map's picture at a place of the page, as r,g,b.
func (k *tab) pixel(p proto.Point) string {
	k.Helper()
	return k.eval(`(x, y) => {
		const c = document.querySelector('main canvas'), r = c.getBoundingClientRect()
		return [...c.getContext('2d').getImageData(x - r.left, y - r.top, 1, 1).data.slice(0, 3)].join()
	}`, p.X, p.Y)
}

// showsTile waits until a cell of the map is drawn as a tile of the world's sheet.
func (k *tab) showsTile(x, y, tile int) {
	k.Helper()
	c := paint(tile)
	within(k.T, soon, func() error {
		if got, want := k.pixel(k.at(x, y)), fmt.Sprintf("%d,%d,%d", c.R, c.G, c.B); got != want {
			return fmt.Errorf("cell %d,%d is drawn in %s, wanted tile %d in %s", x, y, got, tile, want)
		}
		return nil
	})
}

// pointing

// at is the middle of a cell of a map with cells of 16 pixels, on the page.
func (k *tab) at(x, y int) proto.Point {
	k.Helper()
	var v struct{ Scale, X, Y, Left, Top float64 }
	raw := k.eval(`async () => {
		const look = () => {
			const r = document.querySelector('[data-testid=map]').getBoundingClientRect()
			return JSON.stringify({ ...azzel.view(), left: r.left, top: r.top })
		}
		// a game that begins brings the hero into view with its first frames
		const frame = () => new Promise(requestAnimationFrame)
		let seen = look()
		for (let n = 0, same = 0; n < 20 && same < 2 && azzel.hero()[0] !== 'u'; n++) {
			await frame()
			const now = look()
			same = now === seen ? same + 1 : 0
			seen = now
		}
		return seen
	}`)
	must(k.T, json.Unmarshal([]byte(raw), &v))
	return proto.NewPoint(v.Left+(float64(x*16+8)-v.X)*v.Scale, v.Top+(float64(y*16+8)-v.Y)*v.Scale)
}

// find gives the element that can be seen and holds or is named by a text.
func (k *tab) find(selector, text string) *rod.Element {
	k.Helper()
	var out *rod.Element
	within(k.T, soon, func() error {
		e, err := k.page.Sleeper(rod.NotFoundSleeper).ElementByJS(rod.Eval(`(s, t) => {
			const seen = [...document.querySelectorAll(s)].filter((e) => e.getClientRects().length && !e.disabled)
			const text = (e) => (e.innerText || '').trim()
			return seen.find((e) => text(e) === t || e.ariaLabel === t) ?? seen.find((e) => text(e).includes(t) || e.ariaLabel?.includes(t)) ?? null
		}`, selector, text))
		if err != nil {
			return fmt.Errorf("there is no %s with %q to press: %w", selector, text, err)
		}
		out = e
		return nil
	})
	return out
}

// press presses a button, link, menu item or option by what it says.
func (k *tab) press(text string) {
	k.Helper()
	k.pressIn("button, a, [role=menuitem], [role=option], [role=tab], [role=radio]", text)
}

// pressIn presses the middle of what is found, once it lies still and nothing covers it; one call into the page tells all of that, since
// a test's time goes into such calls.
func (k *tab) pressIn(selector, text string) {
	k.Helper()
	within(k.T, soon, func() error {
		at := k.eval(`async (s, t) => {
			const seen = [...document.querySelectorAll(s)].filter((e) => e.getClientRects().length && !e.disabled)
			const text = (e) => (e.innerText || '').trim()
			const e = seen.find((e) => text(e) === t || e.ariaLabel === t) ?? seen.find((e) => text(e).includes(t) || e.ariaLabel?.includes(t))
			if (!e) return 'it is not there'
			e.scrollIntoViewIfNeeded()
			const middle = () => { const r = e.getClientRects()[0]; return r ? [r.left + r.width / 2, r.top + r.height / 2] : [] }
			const was = middle()
			await new Promise(requestAnimationFrame)
			const is = middle()
			if (is.join() !== was.join()) return 'it moves'
			const hit = document.elementFromPoint(...is)
			if (e.contains(hit)) return is.join()
			e.scrollIntoView({ block: 'center' }) // as a person does who sees it under a notice
			return 'it is covered by ' + hit?.outerHTML.slice(0, 200)
		}`, selector, text)
		var p proto.Point
		if _, err := fmt.Sscanf(at, "%g,%g", &p.X, &p.Y); err != nil {
			return fmt.Errorf("%s with %q cannot be pressed: %s", selector, text, at)
		}
		k.click(p)
		return nil
	})
}

func (k *tab) move(p proto.Point) {
	k.Helper()
	must(k.T, k.page.Mouse.MoveTo(p))
}

func (k *tab) click(p proto.Point) { k.clickWith(p, proto.InputMouseButtonLeft) }

func (k *tab) clickWith(p proto.Point, button proto.InputMouseButton) {
	k.Helper()
	k.move(p)
	must(k.T, k.page.Mouse.Click(button, 1))
}

// drag presses at the first point, goes along the others and lets go.
func (k *tab) drag(button proto.InputMouseButton, points ...proto.Point) {
	k.Helper()
	k.hold(button, points...)
	must(k.T, k.page.Mouse.Up(button, 1))
}

// hold is drag without letting go.
func (k *tab) hold(button proto.InputMouseButton, points ...proto.Point) {
	k.Helper()
	k.move(points[0])
	must(k.T, k.page.Mouse.Down(button, 1))
	for _, p := range points[1:] {
		k.move(p)
	}
}

// typing

func (k *tab) focusMap() {
	k.Helper()
	k.eval(`() => document.querySelector('[data-testid=map]').focus()`)
}

func (k *tab) keys(keys ...input.Key) {
	k.Helper()
	for _, key := range keys {
		must(k.T, k.page.Keyboard.Type(key))
	}
}

// with types keys while a modifier is down.
func (k *tab) with(modifier input.Key, keys ...input.Key) {
	k.Helper()
	must(k.T, k.page.Keyboard.Press(modifier))
	k.keys(keys...)
	must(k.T, k.page.Keyboard.Release(modifier))
}

// write replaces what is in a field.
func (k *tab) write(selector, text string) {
	k.Helper()
	e := k.find(selector, "")
	must(k.T, e.SelectAllText())
	if text == "" {
		k.keys(input.Backspace)
		return
	}
	must(k.T, e.Input(text))
}

// stored waits until the stored project is as a test wants it.
func (k *tab) stored(condition func(d *document.Document) error) {
	k.Helper()
	within(k.T, soon, func() error { return condition(k.rig.doc()) })
}

// entities lists the names of the stored entities of a kind, by id order.
func entities(d *document.Document, m document.ID, kind string) []*document.Entity {
	var out []*document.Entity
	for _, e := range d.Maps.Get(m).Entities.All() {
		if e.Kind == kind {
			out = append(out, e)
		}
	}
	return out
}

// same compares the page's state hash with the stored one.
func (k *tab) same() {
	k.Helper()
	within(k.T, soon, func() error {
		if page, stored := k.eval(`() => azzel.hash()`), k.rig.doc().Hash(); page != stored {
			return fmt.Errorf("the page's state is %.8s, the stored one %.8s", page, stored)
		}
		return nil
	})
}

func (k *tab) notice(text string) {
	k.Helper()
	k.see("[data-testid=notice], [data-testid=refused]", text)
}

func contains(text string, parts ...string) error {
	for _, p := range parts {
		if !strings.Contains(text, p) {
			return fmt.Errorf("%q lacks %q", text, p)
		}
	}
	return nil
}
