package session_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/replica"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"fmt"
	"strings"
	"testing"
)

const me = document.ID("clientclient")

func open(t testing.TB) *session.Session {
	t.Helper()
	return opened(t, sample.World())
}

// opened is a session of a project.
func opened(t testing.TB, d *document.Document) *session.Session {
	t.Helper()
	var s session.Session
	if err := s.Open(d.Encode(), 0, "personperson", me); err != nil {
		t.Fatal(err)
	}
	return &s
}

// call runs a method and decodes its answer.
func call[T any](t *testing.T, s *session.Session, method string, args any) T {
	t.Helper()
	raw, err := json.Marshal(args)
	if err != nil {
		t.Fatal(err)
	}
	out, err := s.Call(method, raw)
	if err != nil {
		t.Fatalf("%s %s: %v", method, raw, err)
	}
	var v T
	if err := json.Unmarshal(out, &v); err != nil {
		t.Fatal(err)
	}
	return v
}

type args = map[string]any

// head is what tests look at of a session's head.
type head struct {
	Project struct{ Name string }
	Maps    []struct {
		ID     document.ID
		Name   string
		Layers []struct {
			ID   document.ID
			Name string
		}
	}
	Tilesets []struct {
		ID            document.ID
		Name          string
		Columns, Rows int
		Solid         []int
	}
	Rules []struct {
		document.Rule
		Sentence []struct{ Text, Slot string }
	}
	Flags    []document.Flag
	Passages []document.Passage
	Wires    []author.Drawn
	CanUndo  string
	CanRedo  string
}

func headOf(t *testing.T, s *session.Session) head {
	t.Helper()
	return call[head](t, s, "head", args{})
}

func tile(shape string) args {
	return args{"what": hand.Tiles, "cells": []cells.Cell{sample.Wall}, "width": 1, "shape": shape, "turn": 0}
}

func way(points ...int) (out []args) {
	for i := 0; i < len(points); i += 2 {
		out = append(out, args{"x": points[i], "y": points[i+1]})
	}
	return
}

func TestGhostIsWhatThePressDoes(t *testing.T) {
	for _, shape := range []string{hand.Freehand, hand.Line, hand.Box, hand.Fill} {
		s := open(t)
		press := args{"map": sample.Quay, "active": sample.Ground, "grip": tile(shape), "gesture": args{"way": way(3, 3, 6, 5), "remove": false}}
		ghost := call[session.Ghost](t, s, "preview", press)
		if ghost.Layer != sample.Ground || ghost.LayerName != "Ground" || ghost.Count == 0 || ghost.Removing || ghost.Refusal != "" {
			t.Errorf("%s: the ghost is %+v", shape, ghost)
		}
		before := s.Hash()
		o := call[session.Outcome](t, s, "press", press)
		if s.Hash() == before || o.Edit == nil || len(s.Sent()) == 0 || o.Pending != 1 || !strings.Contains(o.Text, "Painted") || len(o.Change.Chunks) == 0 {
			t.Errorf("%s: the press gave %+v", shape, o)
		}
		var chunk [4096]byte
		if !s.Chunk(sample.Quay, sample.Ground, 0, 0, &chunk) {
			t.Fatalf("%s: there is no chunk", shape)
		}
		painted := 0
		for i := range 1024 {
			c := cells.Cell(chunk[i*4]) | cells.Cell(chunk[i*4+1])<<8 | cells.Cell(chunk[i*4+2])<<16 | cells.Cell(chunk[i*4+3])<<24
			if c == sample.Wall {
				painted++
			}
		}
		if painted != ghost.Count {
			t.Errorf("%s: %d cells were painted, the ghost had %d", shape, painted, ghost.Count)
		}
		if _, err := s.Call("press", mustJSON(t, args{"map": sample.Quay, "active": sample.Ground, "grip": args{"what": "nothing", "shape": "box"}, "gesture": args{"way": way(1, 1)}})); err == nil {
			t.Errorf("%s: pressing with an empty hand did something", shape)
		}
	}
}

func mustJSON(t *testing.T, v any) json.RawMessage {
	t.Helper()
	raw, err := json.Marshal(v)
	if err != nil {
		t.Fatal(err)
	}
	return raw
}

// A fill's plan is kept while the pointer stays in the same area, and made
// anew when the document or the area is another.
func TestGhostOfAFillFollowsTheDocument(t *testing.T) {
	s := open(t)
	ask := func(x, y int) session.Ghost {
		return call[session.Ghost](t, s, "preview", args{"map": sample.Pans, "active": sample.Ground, "grip": tile(hand.Fill), "gesture": args{"way": way(x, y)}})
	}
	if a, b := ask(2, 2), ask(9, 9); a.Count != 240 || b.Count != 240 {
		t.Errorf("the areas are %d and %d cells", a.Count, b.Count)
	}
	call[session.Outcome](t, s, "press", args{"map": sample.Pans, "active": sample.Ground, "grip": tile(hand.Line), "gesture": args{"way": way(10, 0, 10, 11)}})
	if a, b := ask(2, 2), ask(15, 2); a.Count != 120 || b.Count != 108 {
		t.Errorf("behind a wall the areas are %d and %d cells", a.Count, b.Count)
	}
}

func TestUndoRedoAndTheServersAnswer(t *testing.T) {
	s := open(t)
	start := s.Hash()
	press := func(x int) session.Outcome {
		return call[session.Outcome](t, s, "press", args{"map": sample.Quay, "active": sample.Ground, "grip": tile(hand.Freehand), "gesture": args{"way": way(x, 4)}})
	}
	press(3)
	first := s.Sent()
	press(4)
	painted := s.Hash()
	if o := call[session.Outcome](t, s, "undo", args{}); o.Restored != 1 || o.CanRedo == "" {
		t.Errorf("undo gave %+v", o)
	}
	if o := call[session.Outcome](t, s, "redo", args{}); o.CanRedo != "" || s.Hash() != painted {
		t.Errorf("redo gave %+v", o)
	}
	// the server confirms the first edit
	e, err := edit.Decode(first)
	if err != nil {
		t.Fatal(err)
	}
	o := call[session.Outcome](t, s, "receive", args{"rows": []replica.Row{{Seq: 1, Person: "personperson", Mark: e.Mark}}})
	if o.Pending != 3 || s.Hash() != painted {
		t.Errorf("after the confirmation %d are pending", o.Pending)
	}
	// and refuses the second: what stood on it is turned back with it
	call[session.Outcome](t, s, "refuse", edit.Mark{Client: me, Number: 2})
	if len(call[[]any](t, s, "pending", args{})) != 2 {
		t.Error("the refused edit is still pending")
	}
	for range 3 {
		if _, err := s.Call("undo", nil); err != nil {
			break
		}
	}
	if s.Hash() != start {
		t.Error("undoing everything does not give the start")
	}
	// a gap in the rows is an error that asks for a reload
	if _, err := s.Call("receive", mustJSON(t, args{"rows": []replica.Row{{Seq: 9, Mark: edit.Mark{Client: "strangerrrrr", Number: 1}}}})); err == nil {
		t.Error("missing rows were not noticed")
	}
}

func TestUndoAfterReloadFetchesTheWayBack(t *testing.T) {
	first := open(t)
	start := first.Hash()
	call[session.Outcome](t, first, "press", args{"map": sample.Quay, "active": sample.Ground, "grip": tile(hand.Box), "gesture": args{"way": way(2, 4, 5, 6)}})
	e, err := edit.Decode(call[[]json.RawMessage](t, first, "pending", args{})[0])
	if err != nil {
		t.Fatal(err)
	}
	res := edit.Apply(sample.World(), e)

	var later session.Session
	if err := later.Open(res.Doc.Encode(), 1, "personperson", "laterclients"); err != nil {
		t.Fatal(err)
	}
	call[session.Outcome](t, &later, "history", args{"undo": []args{{"mark": e.Mark, "seq": 1, "text": "Painted"}}, "redo": []args{}})
	o := call[session.Outcome](t, &later, "undo", args{})
	if o.Fetch != 1 || o.Edit != nil {
		t.Fatalf("undo without the way back gave %+v", o)
	}
	call[struct{}](t, &later, "supply", args{"seq": 1, "revert": res.Revert})
	if o = call[session.Outcome](t, &later, "undo", args{}); o.Restored != 12 || later.Hash() != start {
		t.Errorf("undo restored %d cells", o.Restored)
	}
}

func TestLayersMapsAndTilesets(t *testing.T) {
	s := open(t)
	m := call[session.Outcome](t, s, "newMap", args{"name": "Brine House", "w": 30, "h": 20}).Made
	h := headOf(t, s)
	if len(h.Maps) != 3 || h.Maps[2].ID != m || len(h.Maps[2].Layers) != 4 || h.Maps[2].Layers[0].Name != "Ground" {
		t.Fatalf("the maps are %+v", h.Maps)
	}
	top := call[session.Outcome](t, s, "addLayer", args{"map": m, "kind": "tiles", "above": h.Maps[2].Layers[3].ID}).Made
	call[session.Outcome](t, s, "moveLayer", args{"map": m, "id": top, "to": 0})
	if got := headOf(t, s).Maps[2].Layers; len(got) != 5 || got[0].ID != top {
		t.Errorf("after the move the layers are %+v", got)
	}
	call[session.Outcome](t, s, "set", args{"ref": edit.Ref{Type: edit.TypeLayer, Map: m, ID: top}, "field": "name", "value": "Deep", "text": "Renamed"})
	call[session.Outcome](t, s, "remove", args{"ref": edit.Ref{Type: edit.TypeLayer, Map: m, ID: top}, "text": "Removed"})
	call[session.Outcome](t, s, "removeMap", args{"map": m})
	if len(headOf(t, s).Maps) != 2 {
		t.Error("the map is still there")
	}
	told := call[map[string]int](t, s, "cut", args{"cut": args{"cellWidth": 16, "cellHeight": 16, "margin": 0, "spacing": 0}, "width": 100, "height": 40})
	if fmt.Sprint(told) != "map[bottom:8 columns:6 right:4 rows:2]" {
		t.Errorf("the cut gives %v", told)
	}
	set := call[session.Outcome](t, s, "addTileset", args{"name": "Harbour", "number": 2, "picture": strings.Repeat("0", 64), "width": 96, "height": 32,
		"cut": args{"cellWidth": 16, "cellHeight": 16, "margin": 0, "spacing": 0}, "solid": []int{}}).Made
	call[session.Outcome](t, s, "markSolid", args{"id": set, "tiles": []int{3, 1, 3}, "solid": true})
	call[session.Outcome](t, s, "markSolid", args{"id": set, "tiles": []int{3}, "solid": false})
	if got := headOf(t, s).Tilesets[1]; got.Columns != 6 || got.Rows != 2 || fmt.Sprint(got.Solid) != "[1]" {
		t.Errorf("the tileset is %+v", got)
	}
}

func TestEntitiesPassagesAndRules(t *testing.T) {
	s := open(t)
	known := map[document.ID]map[document.ID]*document.Entity{}
	entity := func(m, id document.ID) *document.Entity {
		t.Helper()
		if known[m] == nil {
			known[m] = map[document.ID]*document.Entity{}
		}
		c := call[session.EntityChange](t, s, "entityChange", args{"map": m})
		for _, id := range c.Gone {
			delete(known[m], id)
		}
		for _, e := range c.Set {
			known[m][e.ID] = e
		}
		return known[m][id]
	}
	call[session.Outcome](t, s, "moveEntities", args{"map": sample.Quay, "ids": []document.ID{sample.Door}, "dx": 16, "dy": 32})
	if e := entity(sample.Quay, sample.Door); e.X != 176 || e.Y != 64 {
		t.Errorf("the door is at %d,%d", e.X, e.Y)
	}
	o := call[session.Outcome](t, s, "copyEntities", args{"map": sample.Pans, "entities": []*document.Entity{entity(sample.Quay, sample.Door)}, "dx": 0, "dy": 0})
	if len(o.Ids) != 1 || entity(sample.Pans, o.Ids[0]) == nil {
		t.Errorf("the copy is %v", o.Ids)
	}
	if got := call[session.Outcome](t, s, "wire", args{"from": document.End{Map: sample.Quay, Entity: sample.Switch}, "to": document.End{Map: sample.Quay, Entity: sample.Door}, "word": "open", "how": ""}); got.Made == "" {
		t.Errorf("the wire is %+v", got)
	}
	h := headOf(t, s)
	if len(h.Wires) != 1 || len(h.Rules) != 1 || h.Rules[0].Sentence[0].Text != "When the hero" {
		t.Fatalf("the rules are %+v", h.Rules)
	}
	flag := call[session.Outcome](t, s, "addFlag", args{"name": "Beacon lit"}).Made
	r := h.Rules[0].ID
	call[session.Outcome](t, s, "changeRule", rules.Wish{Rule: r, Word: rules.WordSet, Blank: "what", Flag: flag})
	call[session.Outcome](t, s, "changeRule", rules.Wish{Rule: r, Word: rules.WordIsNotSet, Blank: "what", Flag: flag})
	var words []string
	for _, w := range headOf(t, s).Rules[0].Sentence {
		words = append(words, w.Text)
	}
	if got := strings.Join(words, " "); got != "When the hero uses Switch on Quay , if Beacon lit is not set , then open Door , and set Beacon lit , each time" {
		t.Errorf("the sentence is %q", got)
	}
	call[session.Outcome](t, s, "startRule", document.End{Map: sample.Pans})

	if r := call[author.Return](t, s, "wayBack", args{"from": args{"map": sample.Quay, "entity": sample.Exit}, "to": sample.Pans, "at": args{"x": 3, "y": 3}, "facing": "down"}); r.Exit.Y != 2 {
		t.Errorf("the way back begins at %v", r.Exit)
	}
	if now := call[author.Joined](t, s, "joined", args{"map": sample.Quay, "entity": sample.Exit}); now.Passage != "" {
		t.Errorf("the exit leads to %v", now)
	}
	place := call[author.Place](t, s, "checkPlace", args{"map": sample.Quay, "active": "", "at": args{"x": 0, "y": 0}})
	if place.Free || place.Nearest == nil || place.Reason == "" {
		t.Errorf("a wall is %+v", place)
	}
	call[session.Outcome](t, s, "join", author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: *place.Nearest, Facing: document.Right, Back: true})
	if got := headOf(t, s).Passages; len(got) != 2 {
		t.Errorf("the passages are %+v", got)
	}
	call[session.Outcome](t, s, "removeEntities", args{"map": sample.Quay, "ids": []document.ID{sample.Pearl}})
	if entity(sample.Quay, sample.Pearl) != nil {
		t.Error("the pearl is still there")
	}
	picked := call[struct {
		Grip  hand.Grip
		Layer document.ID
	}](t, s, "pickUp", args{"map": sample.Quay, "active": "", "at": args{"x": 6, "y": 1}})
	if picked.Grip.What != hand.Entity || picked.Grip.Kind != kind.Switch || picked.Layer != sample.Entities {
		t.Errorf("picked up %+v", picked)
	}
	if got := call[document.ID](t, s, "target", args{"map": sample.Quay, "active": sample.Ground, "grip": picked.Grip}); got != sample.Entities {
		t.Errorf("a switch goes to %s", got)
	}
	if got := call[document.ID](t, s, "target", args{"map": sample.Quay, "active": sample.Ground, "grip": hand.Grip{What: hand.Nothing}}); got != "" {
		t.Errorf("an empty hand goes to %s", got)
	}
}

func TestPlayThroughASession(t *testing.T) {
	s := open(t)
	if w := call[string](t, s, "warning", args{"map": sample.Quay}); w != "" {
		t.Errorf("the Quay is warned of: %s", w)
	}
	if w := call[string](t, s, "warning", args{"map": sample.Pans}); !strings.Contains(w, "Nothing on Pans is solid") {
		t.Errorf("the Pans are warned of as %q", w)
	}
	v := call[session.View](t, s, "play", args{"map": sample.Quay})
	if v.Map != sample.Quay || v.X != 32 || v.Total != 1 || v.Taken != 0 || v.Cell.X != 2 {
		t.Fatalf("the game begins as %+v", v)
	}
	gone := 0
	for range 40 {
		v = call[session.View](t, s, "step", args{"input": 2, "ticks": 2})
		gone += len(v.Gone) // told once
	}
	if v.Taken != 1 || gone != 1 || v.Steps == 0 || v.Tick != 80 {
		t.Errorf("after walking right the game is %+v", v)
	}
	// an edit counts in the running game at once: the way is walled up
	call[session.Outcome](t, s, "press", args{"map": sample.Quay, "active": sample.Things, "grip": tile(hand.Box), "gesture": args{"way": way(v.Cell.X+1, 1, v.Cell.X+1, 10)}})
	at := v.Cell.X
	for range 40 {
		v = call[session.View](t, s, "step", args{"input": 2, "ticks": 15})
	}
	if v.Cell.X != at {
		t.Errorf("the hero walked through a new wall to %d", v.Cell.X)
	}
	if v.Tick != 80+40*15 {
		t.Errorf("the clock is at %d", v.Tick)
	}
	call[struct{}](t, s, "stop", args{})
	if _, err := s.Call("step", mustJSON(t, args{"input": 0, "ticks": 1})); err == nil {
		t.Error("a game that ended goes on")
	}
	v = call[session.View](t, s, "playAt", args{"map": sample.Pans, "active": "", "at": args{"x": 7, "y": 7}})
	if v.Map != sample.Pans || v.Cell.X != 7 {
		t.Errorf("from a cell the game begins as %+v", v)
	}
}
