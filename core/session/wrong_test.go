package session_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"fmt"
	"strings"
	"testing"
)

// Wrong calls get a sentence and change nothing.
func TestWrongCalls(t *testing.T) {
	s := open(t)
	before := s.Hash()
	const gone = "nothinghere2"
	for _, c := range []struct {
		method   string
		args     any
		sentence string
	}{
		{"dance", args{}, "no method"},
		{"entityChange", args{"map": gone}, "no longer there"},
		{"entityChange", args{"map": sample.Quay, "colour": 1}, "cannot be read"},
		{"preview", args{"map": gone}, "no longer there"},
		{"press", args{"map": sample.Quay, "active": "", "grip": tile("box"), "gesture": args{"way": way(50, 50)}}, "outside the map"},
		{"press", args{"map": sample.Quay, "active": "", "grip": args{"what": "tiles", "cells": []int{1, 2, 3}, "width": 2, "shape": "box"}, "gesture": args{"way": way(1, 1)}}, "put down"},
		{"pickUp", args{"map": sample.Pans, "active": "", "at": args{"x": 90, "y": 90}}, "nothing to pick up"},
		{"newMap", args{"name": "Large", "w": 5000, "h": 10}, "width"},
		{"newMap", args{"name": "None", "w": 0, "h": 10}, "width"},
		{"newMap", args{"name": "Under", "w": 10, "h": 10, "seen": "below"}, "below"},
		{"newMap", args{"name": strings.Repeat("n", 81), "w": 10, "h": 10}, "80"},
		{"removeMap", args{"map": gone}, "no longer there"},
		{"addLayer", args{"map": sample.Quay, "kind": "smoke", "above": ""}, ""},
		{"markSolid", args{"id": gone, "tiles": []int{1}, "solid": true}, "no longer there"},
		{"markSolid", args{"id": sample.Coast, "tiles": []int{9999}, "solid": true}, ""},
		{"cut", args{"cut": args{"cellWidth": 0, "cellHeight": 16}, "width": 64, "height": 64}, "cell width"},
		{"cut", args{"cut": args{"cellWidth": 65, "cellHeight": 16}, "width": 64, "height": 64}, "larger than the picture"},
		{"addTileset", args{"name": "Bad", "number": 2, "picture": "x", "width": 64, "height": 64, "cut": args{"cellWidth": 16, "cellHeight": 16}}, ""},
		{"join", author.Way{From: document.End{Map: sample.Quay, Entity: sample.Pearl}, To: sample.Pans, Facing: document.Up}, "none of them"},
		{"join", author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Quay, Facing: document.Up}, "solid"},
		{"wire", args{"from": document.End{Map: sample.Quay, Entity: sample.Door}, "to": document.End{Map: sample.Quay, Entity: sample.Switch}}, "no wire begins at Door"},
		{"changeRule", rules.Wish{Rule: gone}, "no longer there"},
		{"addFlag", args{"name": ""}, "name"},
		{"copyEntities", args{"map": sample.Quay, "entities": []any{nil}, "dx": 0, "dy": 0}, "not an entity"},
		{"set", args{"ref": edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "field": "bounds", "value": args{"x": 0, "y": 0, "w": 0, "h": 0}, "text": ""}, ""},
		{"set", args{"ref": edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "field": "weather", "value": 1, "text": ""}, ""},
		{"playAt", args{"map": gone, "active": "", "at": args{"x": 0, "y": 0}}, "no longer there"},
		{"playAt", args{"map": sample.Quay, "active": "", "at": args{"x": -4, "y": 0}}, "outside"},
		{"undo", args{}, ""},
		{"adopt", args{"edits": []any{args{"v": 99}}}, "another version"},
	} {
		out, err := s.Call(c.method, mustJSON(t, c.args))
		var ghost session.Ghost
		if c.method == "preview" && err == nil && json.Unmarshal(out, &ghost) == nil && ghost.Refusal != "" {
			err = fmt.Errorf("%s", ghost.Refusal)
		}
		if err == nil || !strings.Contains(err.Error(), c.sentence) {
			t.Errorf("%s %v gave %s, %v; wanted an error with %q", c.method, c.args, out, err, c.sentence)
		}
	}
	if s.Hash() != before {
		t.Error("a wrong call changed the document")
	}
	var closed session.Session
	if _, err := closed.Call("head", nil); err == nil {
		t.Error("a session without a project answered")
	}
	if closed.Open([]byte("garbage"), 0, "p", "c") == nil {
		t.Error("garbage was opened as a project")
	}
}

// Before a project is open nothing can be jumped to.
func TestJumpingNowhere(t *testing.T) {
	var s session.Session
	if _, err := s.Jump(sample.World().Encode(), "back"); err == nil {
		t.Error("without a project it is another one")
	}
}
