package e2e

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"azzel/server"
	"encoding/json"
	"strings"
	"testing"

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
