package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/base64"
	"encoding/json"
	"math/rand/v2"
	"strings"
	"testing"
)

// twins opens a project natively and in a second module of the page, which is called other there.
func (k *tab) twins(d *document.Document) *session.Session {
	k.Helper()
	k.eval(`async () => {
		const go = new Go()
		const app = globalThis.azzelCore
		const { instance } = await WebAssembly.instantiateStreaming(fetch('/azzel.wasm'), go.importObject)
		void go.run(instance)
		globalThis.other = globalThis.azzelCore
		globalThis.azzelCore = app
	}`)
	var native session.Session
	must(k.T, native.Open(d.Encode(), 0, "personperson", "clientclient"))
	if e := k.eval(`(state) => other.open(Uint8Array.from(atob(state), (c) => c.charCodeAt(0)), 0, 'personperson', 'clientclient').error ?? ''`, base64.StdEncoding.EncodeToString(d.Encode())); e != "" {
		k.Fatal(e)
	}
	return &native
}

// TestModuleIsTheNativeCore runs the same calls natively and in the browser's
// module, and wants the same answers and the same state hashes.
func TestModuleIsTheNativeCore(t *testing.T) {
	r := world(t)
	k := r.open()
	d := sample.World()
	native := k.twins(d)
	call := func(method string, args any) {
		t.Helper()
		raw, err := json.Marshal(args)
		must(t, err)
		var want string
		if out, err := native.Call(method, raw); err != nil {
			want = "error " + err.Error()
		} else {
			want = "ok " + string(out)
		}
		got := k.eval(`(m, a) => { const r = other.call(m, a); return r.error === undefined ? 'ok ' + r.ok : 'error ' + r.error }`, method, string(raw))
		if got != want && method != "press" && method != "addRule" { // what is made has random ids
			t.Errorf("%s %s:\nnative  %.300s\nbrowser %.300s", method, raw, want, got)
		}
	}
	rng := rand.New(rand.NewPCG(7, 7))
	doc := d
	for i := range 60 {
		do := sample.Primitives(rng, doc)
		e := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: "strangerrrrr", Number: int64(i + 1)}, Label: edit.Label{Kind: edit.Do}, Do: do}
		if e.Check() != nil {
			continue
		}
		doc = edit.Apply(doc, e).Doc
		call("adopt", map[string]any{"edits": []any{json.RawMessage(edit.JSON(e))}})
		if i%10 == 9 {
			if got := k.eval(`() => other.hash()`); got != native.Hash() || got != doc.Hash() {
				t.Fatalf("after %d edits the module's state is %.8s, natively %.8s, applied %.8s", i+1, got, native.Hash(), doc.Hash())
			}
		}
	}
	call("undo", map[string]any{})
	call("head", map[string]any{})
	// fills, lines and a game, step by step
	for _, shape := range []string{"freehand", "line", "box", "fill"} {
		call("preview", map[string]any{"map": sample.Quay, "active": sample.Ground, "grip": map[string]any{"what": "tiles", "cells": []int{65537}, "width": 1, "shape": shape, "turn": 0},
			"gesture": map[string]any{"way": []map[string]int{{"x": 2, "y": 2}, {"x": 9, "y": 7}}, "remove": false}})
	}
	call("play", map[string]any{"map": sample.Quay})
	for i := range 120 {
		call("step", map[string]any{"input": []int{2, 4, 2 | 16, 8, 1, 0}[i%6], "ticks": 1 + i%9})
	}
	// seen from the side, pulled back, and again; and whether it can be finished
	side := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: "strangerrrrr", Number: 99}, Label: edit.Label{Kind: edit.Do}, Do: []edit.Primitive{
		edit.Set(edit.Ref{Type: edit.TypeProject}, "mapValues", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}})}}
	call("adopt", map[string]any{"edits": []any{json.RawMessage(edit.JSON(side))}})
	for i := range 120 {
		call("step", map[string]any{"input": []int{2, 34, 32, 8, 1, 4}[i%6], "ticks": 1 + i%11})
	}
	for _, tick := range []int{300, 7, 500} {
		call("back", map[string]any{"tick": tick})
	}
	call("again", map[string]any{"tick": 200})
	for range 20 {
		call("step", map[string]any{"input": 0, "ticks": 15})
	}
	for range 4 {
		call("prove", map[string]any{"ticks": 3000})
	}
	call("checkPlace", map[string]any{"map": sample.Quay, "active": "", "at": map[string]int{"x": 0, "y": 0}})
	call("nonsense", map[string]any{})
	call("step", map[string]any{"input": "left"})
	if native.Hash() != k.eval(`() => other.hash()`) {
		t.Error("the states differ at the end")
	}
}

// All places of the demo are played alike natively and in the module, those of the yard for 20,000 ticks.
func TestTheDemoIsPlayedAlike(t *testing.T) {
	k := startWith(t, nil).open()
	d := k.rig.doc()
	native := k.twins(d)
	rng := rand.New(rand.NewPCG(11, 3))
	for _, m := range d.MapsInOrder() {
		var at grid.Point
		for _, e := range m.Entities.All() {
			if e.Kind == kind.Arrival || e.Kind == kind.Spawn {
				at = grid.Point{X: e.X / m.CellWidth, Y: e.Y / m.CellHeight}
			}
		}
		begin, err := json.Marshal(map[string]any{"map": m.ID, "at": at, "seed": 5})
		must(t, err)
		keys := make([]int, 100)
		if strings.Contains(m.Name, "Yard") {
			keys = make([]int, 700)
		}
		for i := range keys {
			keys[i] = []int{2, 8, 1, 4, 2 | 32, 8 | 32, 16, 0, 2 | 1, 8 | 4, 128, 256}[rng.IntN(12)]
		}
		if _, err := native.Call("playAt", begin); err != nil {
			t.Fatalf("%s: %v", m.Name, err)
		}
		var want json.RawMessage
		for _, in := range keys {
			want, err = native.Call("step", edit.JSON(map[string]int{"input": in, "ticks": 15}))
			must(t, err)
		}
		got := k.eval(`(begin, keys) => {
			other.call('playAt', begin)
			let last
			for (const input of JSON.parse(keys)) last = other.call('step', JSON.stringify({ input, ticks: 15 }))
			return last.ok
		}`, string(begin), string(edit.JSON(keys)))
		if got != string(want) {
			t.Errorf("%s after %d ticks:\nnative  %.400s\nbrowser %.400s", m.Name, 15*len(keys), want, got)
		}
	}
}
