package session_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"slices"
	"strings"
	"testing"
)

// The view tells of all that is on, whatever it is, so that it is drawn so; of what moves, shines
// and smokes, where it is.
func TestTheViewTellsHowThingsAre(t *testing.T) {
	put := func(id, k string, x, y int, on bool, values ...kind.Value) edit.Primitive {
		e := document.Entity{ID: document.ID(id), Layer: sample.Entities, Kind: k, Name: k, Facing: document.Right, On: on, X: x * 16, Y: y * 16, W: 16, H: 16, Values: values, Rank: 40}
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)
	}
	d := sample.With(sample.World(), put("chestchestch", kind.Container, 3, 2, false), put("raftraftraft", kind.Platform, 6, 6, true, kind.Value{Key: "speed", Value: "6"}),
		put("lamplamplamp", kind.Light, 6, 6, true), put("keykeykeykey", kind.Key, 12, 9, false), put("smokesmokesm", kind.Emitter, 8, 8, true), put("ashesashesas", kind.Emitter, 9, 8, false),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "lamplamplamp"}, "carrier", "raftraftraft"),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapDarkness, Value: "40"}}))
	var s session.Session
	if err := s.Open(d.Encode(), 0, "personperson", me); err != nil {
		t.Fatal(err)
	}
	shown := &shownGame{t: t, s: &s}
	call := func(method string, a any) session.View { return shown.call(method, a).View }
	if raw, err := s.Call("beginnings", nil); err != nil || !strings.Contains(string(raw), "keykeykeykey") || !strings.Contains(string(raw), string(sample.Pearl)) {
		t.Errorf("what can be given is %s, %v", raw, err)
	}
	if raw, err := s.Call("beginnings", json.RawMessage(`{"map":"`+string(sample.Pans)+`"}`)); err != nil || !strings.Contains(string(raw), `"here":"At the spawn of Quay"`) {
		t.Errorf("of a map without a spawn it is said that one begins %s, %v", raw, err)
	}
	first := call("play", args{"map": sample.Quay, "seed": 1})
	if slices.Contains(first.On, "chestchestch") || !slices.Contains(first.On, "lamplamplamp") || len(first.Emitters) != 1 || first.Emitters[0].X != 128 {
		t.Errorf("at first on are %v, and %+v smoke", first.On, first.Emitters)
	}
	call("step", args{"input": 0, "ticks": 0})
	for name, told := range shown.told {
		if told {
			t.Errorf("nothing has changed, and %s are told again", name)
		}
	}
	for _, in := range []int{2, 2, 0, 16, 0} {
		call("step", args{"input": in, "ticks": 3})
	}
	v := call("step", args{"input": 0, "ticks": 15})
	if !slices.Contains(v.On, "chestchestch") {
		t.Errorf("an open chest is not told of: %v", v.On)
	}
	if !shown.told["lights"] || shown.told["emitters"] {
		t.Errorf("what moves shines elsewhere, and nothing smokes elsewhere; told is %v", shown.told)
	}
	moved := shown.moved
	if raft, lamp := moved["raftraftraft"], moved["lamplamplamp"]; raft.X <= 96 || raft.X != lamp.X || len(v.Lights) != 1 || v.Lights[0].X != lamp.X+8 {
		t.Errorf("the raft is at %d, its lamp at %d, and lights are %+v", raft.X, lamp.X, v.Lights)
	}
	// what was looks as it was, whatever was told between; a game that begins is told of whole
	if was := call("back", args{"tick": 0}); slices.Contains(was.On, "chestchestch") || was.Lights[0] != first.Lights[0] {
		t.Errorf("before the chest was opened on were %v", was.On)
	}
	if now := call("look", nil); !slices.Equal(now.On, v.On) || now.Lights[0] != v.Lights[0] {
		t.Errorf("back from looking on are %v", now.On)
	}
	call("play", args{"map": sample.Quay, "seed": 1})
	for name, told := range shown.told {
		if !told {
			t.Errorf("a game that begins does not tell of %s", name)
		}
	}
}
