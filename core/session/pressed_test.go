package session_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"fmt"
	"reflect"
	"slices"
	"strings"
	"testing"
)

// What is pressed was worked out when it was pointed at: it is the same as without that, whatever came between, and is never put down twice with the same ids.
func TestWhatIsPressedIsAsItWasPointedAt(t *testing.T) {
	signs := args{"what": hand.Entity, "shape": hand.Box, "kind": "sign"}
	pressed := func(grip any, points ...int) args {
		return args{"map": sample.Quay, "active": sample.Ground, "grip": grip, "gesture": args{"way": way(points...), "seed": 7}, "mirror": args{}}
	}
	known := map[*session.Session]map[document.ID]*document.Entity{}
	stands := func(s *session.Session) (out []string) {
		if known[s] == nil {
			known[s] = map[document.ID]*document.Entity{}
		}
		c := call[session.EntityChange](t, s, "entityChange", args{"map": sample.Quay})
		for _, e := range c.Set {
			known[s][e.ID] = e
		}
		for _, id := range c.Gone {
			delete(known[s], id)
		}
		for _, e := range known[s] {
			if e.Kind == "sign" {
				out = append(out, fmt.Sprintf("%03d %s %d,%d|%s", e.Rank, e.Name, e.X, e.Y, e.ID))
			}
		}
		slices.Sort(out)
		return out
	}
	withoutIDs := func(all []string) (out []string) {
		for _, one := range all {
			rest, _, _ := strings.Cut(one, "|")
			out = append(out, rest)
		}
		return out
	}
	press := pressed(signs, 2, 2, 6, 5)
	for _, c := range []struct {
		name   string
		before func(s *session.Session)
	}{
		{"pointed at", func(s *session.Session) { call[session.Ghost](t, s, "preview", press) }},
		{"pointed at, and somebody put another there meanwhile", func(s *session.Session) {
			call[session.Ghost](t, s, "preview", press)
			e := document.Entity{ID: "anothersignx", Layer: sample.Entities, Kind: "sign", Name: "Other", Facing: document.Down, X: 3 * 16, Y: 3 * 16, W: 16, H: 16}
			other := edit.Edit{Mark: edit.Mark{Client: "someoneelses", Number: 1}, V: edit.Version, Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)}, Label: edit.Label{Kind: edit.Do}}
			call[session.Outcome](t, s, "receive", args{"rows": []args{{"seq": 1, "person": "another", "mark": other.Mark, "edit": json.RawMessage(other.Text())}}})
		}},
		{"pointed at elsewhere since", func(s *session.Session) {
			call[session.Ghost](t, s, "preview", press)
			call[session.Ghost](t, s, "preview", pressed(signs, 2, 2, 7, 5))
		}},
		{"pointed at and looked at what it would bring about", func(s *session.Session) {
			call[session.Ghost](t, s, "preview", press)
			call[session.Pressed](t, s, "pressed", press)
		}},
	} {
		t.Run(c.name, func(t *testing.T) {
			plain, s := open(t), open(t)
			c.before(s)
			if strings.Contains(c.name, "somebody") {
				c.before(plain)
				call[session.Ghost](t, plain, "preview", pressed(signs, 9, 2, 9, 3))
			}
			call[session.Outcome](t, plain, "press", press)
			call[session.Outcome](t, s, "press", press)
			first, want := stands(s), withoutIDs(stands(plain))
			if got := withoutIDs(first); fmt.Sprint(got) != fmt.Sprint(want) || len(got) < 19 {
				t.Fatalf("there are %v, wanted %v", got, want)
			}
			call[session.Outcome](t, s, "undo", args{})
			call[session.Ghost](t, s, "preview", press)
			call[session.Outcome](t, s, "press", press)
			again := stands(s)
			for i, one := range again {
				if len(again) != len(first) || one == first[i] && !strings.HasSuffix(one, "anothersignx") {
					t.Fatalf("put down again there are %v, at first %v", again, first)
				}
			}
		})
	}
}

// Ghosts and what differs among entities are told as JSON would tell them, also of those that are more than plain words.
func TestEntitiesAreToldAsJSON(t *testing.T) {
	says := document.Entity{ID: "saysmorethan", Layer: sample.Entities, Kind: "sign", Name: "“Quay” & more", Facing: document.Down, W: 16, H: 16,
		Values: []kind.Value{{Key: "says", Value: `"<Mind the tide>"`}}}
	d := sample.With(sample.World(), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: says.ID}, says))
	s := opened(t, d)
	grip := args{"what": hand.Entity, "shape": hand.Box, "kind": "sign"}
	raw, err := json.Marshal(args{"map": sample.Quay, "active": sample.Ground, "grip": grip, "gesture": args{"way": way(2, 2, 6, 5)}, "mirror": args{}})
	if err == nil {
		raw, err = s.Call("preview", raw)
	}
	if err != nil {
		t.Fatal(err)
	}
	var g session.Ghost
	if err := document.Strict(raw, &g); err != nil {
		t.Fatal(err)
	}
	if len(g.Entities) != 20 || g.Count != 20 || g.Layer != sample.Entities || g.Entities[19].X != 6*16 || g.Entities[19].Y != 5*16 {
		t.Errorf("the ghost of 5×4 signs is told as %s", raw)
	}
	raw, err = s.Call("entityChange", []byte(`{"map":"`+string(sample.Quay)+`"}`))
	if err != nil {
		t.Fatal(err)
	}
	var c session.EntityChange
	if err := document.Strict(raw, &c); err != nil {
		t.Fatal(err)
	}
	more := 0
	for _, e := range c.Set {
		if want := d.Maps.Get(sample.Quay).Entities.Get(e.ID); !reflect.DeepEqual(e, want) {
			t.Errorf("told is %+v, there is %+v", e, want)
		}
		more += len(e.Values) + len(e.Points)
	}
	if n := d.Maps.Get(sample.Quay).Entities.Len(); len(c.Set) != n || more == 0 {
		t.Errorf("%d of %d entities are told, %d of them with more than plain words", len(c.Set), n, more)
	}
}
