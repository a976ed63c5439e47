package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"azzel/server"
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// walled puts a goal down, with a wall on whose only gap everything depends.
func walled(r *rig) {
	r.place(document.Entity{Kind: kind.Goal, Name: "Goal", X: 256, Y: 96})
	wall := &grid.Region{}
	wall.AddRect(grid.Rect{X: 12, Y: 1, W: 1, H: 5})
	wall.AddRect(grid.Rect{X: 12, Y: 7, W: 1, H: 4})
	r.append(sample.Paint(sample.Quay, sample.Things, wall, sample.Wall))
}

// answers holds that it is found out, changed and found out anew, whoever does it: the walk is watched, a wall warned of and set.
func answers(t *testing.T, k *tab) {
	t.Helper()
	k.see("[data-testid=proof]", "can be finished")
	k.holdTile(1)
	k.pressIn("aside[aria-label=Stack] ul button", "Things")
	k.move(k.at(12, 6))
	k.see("[data-testid=ghost]", "Then it cannot be finished")
	k.click(k.at(12, 6))
	k.see("[data-testid=proof]", "cannot")
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "No, it cannot be finished")
	k.see("[data-testid=finding]", "It cannot be finished")
	k.press("Undo")
	k.see("[data-testid=answer]", "Yes: in")
	k.press("Watch the walk")
	k.see("[data-testid=playing]", "The walk that was found")
}

// Large projects are looked at by the server: the same is said, and no worker begins.
func TestCheckOnTheServer(t *testing.T) {
	r := world(t)
	walled(r)
	r.away()
	r.options = []server.Option{server.ThinkFrom(-1)}
	r.back()
	k := r.open()
	answers(t, k)
	if n := k.eval(`() => String(performance.getEntriesByType('resource').filter((e) => e.name.includes('/worker-')).length)`); n != "0" {
		t.Errorf("%s workers have begun", n)
	}
}

// Where there can be no worker the page finds it out by itself.
func TestCheckWithoutAWorker(t *testing.T) {
	r := world(t)
	walled(r)
	k := r.open()
	must(t, proto.NetworkEnable{}.Call(k.page))
	must(t, proto.NetworkSetBlockedURLs{Urls: []string{"*/worker-*"}}.Call(k.page))
	k.reload()
	answers(t, k)
}

// The module finds out to the byte what the core does natively: the answer, its walk, what is wrong.
func TestTheModuleProvesAlike(t *testing.T) {
	r := world(t)
	walled(r)
	r.place(document.Entity{Kind: kind.Block, Name: "Crate", X: 128, Y: 96})
	k := r.open()
	asked := []string{`study {"from":"","ticks":5000}`, `walk {"from":"","trap":0,"expectation":""}`, `checks {}`, `reach {"map":"` + string(sample.Quay) + `"}`, `par {"map":"` + string(sample.Quay) + `","ticks":5000}`}
	var s session.Session
	doc, seq := r.state()
	must(t, s.Open(doc.Encode(), seq, "personperson", "clientclient"))
	for _, a := range asked {
		method, args, _ := strings.Cut(a, " ")
		native := ""
		for range 200 {
			raw, err := s.Call(method, json.RawMessage(args))
			must(t, err)
			if native = string(raw); !strings.Contains(native, `"done":false`) {
				break
			}
		}
		module := k.eval(`(method, args) => {
			let said = ''
			for (let n = 0; n < 200; n++) {
				said = azzelCore.call(method, args).ok
				if (!said.includes('"done":false')) break
			}
			return said
		}`, method, args)
		if module != native {
			t.Errorf("%s: the module says %.300s, and natively it is %.300s", a, module, native)
		}
	}
}

// What the game is won by is chosen under Game, and Check asks for that; a check of the designer's own is made where findings are weighed.
func TestWhatWinsAndWhatIsChecked(t *testing.T) {
	r := world(t)
	walled(r)
	k := r.open()
	k.see("[data-testid=proof]", "can be finished")
	k.pressIn("nav button", "Game")
	k.option("[aria-label='is won by']", "a flag that is set")
	k.option("[aria-label=which]", "Lit")
	within(t, soon, func() error {
		d := r.doc()
		return want("what wins", d.GameValue(kind.GameGoal).Word()+" "+d.GameValue(kind.GameWonWith).Word(), "flag "+string(sample.Lit))
	})
	k.accessible("the game, won by a flag")
	k.pressIn("nav button", "Check")
	k.see("[data-testid=answer]", "No, it cannot be finished")
	k.see("[data-testid=finding]", "Lit can never be set")
	k.press("What is looked for")
	k.pressIn("[data-testid=own-checks] button", "New check")
	k.see("[data-testid=found]", "at least 1 Checkpoint is wanted")
	k.option("[aria-label='At least or at the most']", "at the most")
	within(t, soon, func() error {
		if all := r.doc().Project.OwnChecks; len(all) != 1 || !all[0].Most {
			return fmt.Errorf("the checks are %+v", all)
		}
		return nil
	})
	k.accessible("checks of one's own")
	k.press("Remove check 1")
	within(t, soon, func() error { return want("checks", fmt.Sprint(len(r.doc().Project.OwnChecks)), "0") })
	k.press("Undo")
	within(t, soon, func() error { return want("checks", fmt.Sprint(len(r.doc().Project.OwnChecks)), "1") })
}

// Nothing is said to be right before it was looked at.
func TestNothingIsRightBeforeItWasLookedAt(t *testing.T) {
	k := startWith(t, nil).blank()
	_, err := k.page.EvalOnNewDocument(`
const post = Worker.prototype.postMessage
globalThis.held = []
Worker.prototype.postMessage = function (m, ...rest) {
	if (m.method === 'checks' && held) held.push(() => post.call(this, m, ...rest))
	else post.call(this, m, ...rest)
}`)
	must(t, err)
	k.visit("/p/" + k.rig.project)
	k.ready()
	k.press("Check")
	within(t, soon, func() error {
		if k.eval(`() => held.length`) == "0" {
			return fmt.Errorf("findings are not asked for")
		}
		return nil
	})
	k.see("main", "Looking for what is wrong")
	if text := k.text("main"); strings.Contains(text, "Nothing is wrong") || strings.Contains(text, "Findings (0)") {
		t.Error("it says that nothing is wrong before it looked")
	}
	k.eval(`() => { const all = held; held = null; all.forEach((f) => f()) }`)
	k.see("[data-testid=finding]", "")
	if text := k.text("main"); strings.Contains(text, "Looking for what is wrong") {
		t.Error("it goes on saying that it looks")
	}
}

// The worker is told of a large edit a little later than it is made, and of all that comes after that in its order: what it says is of the same project.
func TestALargeEditIsPassedOnInItsOrder(t *testing.T) {
	d := sample.With(sample.World(), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{W: 50, H: 40}))
	r := startWith(t, d)
	walled(r)
	k := r.blank()
	_, err := k.page.EvalOnNewDocument(`
const post = Worker.prototype.postMessage
globalThis.posted = []
Worker.prototype.postMessage = function (m, ...rest) {
	if (m.method !== 'warm') posted.push(m.adopt ? (m.adopt[0].length > 65536 ? 'large' : 'small') : m.method)
	post.call(this, m, ...rest)
}`)
	must(t, err)
	k.visit("/p/" + r.project)
	k.ready()
	k.see("[data-testid=proof]", "can be finished")
	k.holdKind("Sign")
	k.focusMap()
	k.keys(input.KeyF)
	k.eval(`() => { posted.length = 0 }`)
	k.click(k.at(40, 30))
	k.holdTile(1)
	k.pressIn("aside[aria-label=Stack] ul button", "Things")
	k.click(k.at(12, 6)) // a small one, which goes at once
	k.saved()
	within(t, soon, func() error {
		return contains(k.eval(`() => posted.filter((m) => m === 'large' || m === 'small' || m === 'receive').join()`), "large,")
	})
	if first := k.eval(`() => posted.filter((m) => m !== 'seen' && m !== 'unseen')[0]`); first != "large" {
		t.Errorf("the worker is first told %s: %s", first, k.eval(`() => posted.join()`))
	}
	k.see("[data-testid=proof]", "cannot")
	k.same()
}

// warmed waits until the worker did once what presses ask for first.
func (k *tab) warmed() {
	k.Helper()
	within(k.T, 3*soon, func() error {
		return want("what presses ask for first is done", k.eval(`() => azzel.warmed()`), "true")
	})
}

// While nothing is done the worker does what presses ask for first; nothing of that is seen in the project, or stored.
func TestWhatIsAskedForFirstIsMadeReady(t *testing.T) {
	r := world(t)
	_, before := r.state()
	k := r.open()
	hash := k.eval(`() => azzel.hash()`)
	k.warmed()
	if after := k.eval(`() => azzel.hash()`); after != hash {
		t.Errorf("the project is %s, and was %s", after, hash)
	}
	if d, seq := r.state(); seq != before || d.Maps.Len() != 2 {
		t.Errorf("%d edits are stored, and were %d", seq, before)
	}
	// and the worker goes on answering
	k.holdTile(5)
	k.click(k.at(4, 4))
	k.saved()
	k.same()
}

// Memory that is not used any more is looked for once nothing is done for a while, so that it need not be in the middle of a press; the project is as before.
func TestWhatIsNotUsedAnyMoreIsLookedForAtRest(t *testing.T) {
	k := world(t).open()
	hash := k.eval(`() => azzel.hash()`)
	before := k.eval(`() => azzel.tidied()`)
	k.eval(`() => { for (let i = 0; i < 2000; i++) azzelCore.call('head', '') }`)
	if now := k.eval(`() => azzel.tidied()`); now != before {
		t.Fatal("it is looked for in the middle of what is asked")
	}
	k.move(k.at(4, 4)) // what the page itself asks is followed by a rest
	within(t, soon, func() error {
		if k.eval(`() => azzel.tidied()`) == before {
			return fmt.Errorf("what is not used any more is not looked for")
		}
		return nil
	})
	if after := k.eval(`() => azzel.hash()`); after != hash {
		t.Errorf("the project is %s, and was %s", after, hash)
	}
	k.holdTile(5)
	k.click(k.at(4, 4))
	k.saved()
	k.same()
}
