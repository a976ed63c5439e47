package session_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"math/rand/v2"
	"slices"
	"testing"
)

// brought brings what differs into a list, as the interface does.
func brought(list []map[string]any, c *session.Listed[json.RawMessage]) []map[string]any {
	if c == nil {
		return list
	}
	by := map[string]map[string]any{}
	var order []string
	for _, o := range list {
		if id := o["id"].(string); !slices.Contains(c.Gone, document.ID(id)) {
			by[id] = o
			order = append(order, id)
		}
	}
	for _, raw := range c.Set {
		var o map[string]any
		_ = json.Unmarshal(raw, &o)
		by[o["id"].(string)] = o
	}
	if c.Order != nil {
		order = nil
		for _, id := range c.Order {
			order = append(order, string(id))
		}
	}
	out := []map[string]any{}
	for _, id := range order {
		out = append(out, by[id])
	}
	return out
}

// Whatever is changed, the head and the entities brought up to date by what differs
// are those that are told from nothing.
func TestDifferencesAddUp(t *testing.T) {
	lists := []string{"tilesets", "maps", "passages", "rules", "flags", "materials", "motifs", "zones", "kinds"}
	for seed := range uint64(3) {
		r := rand.New(rand.NewPCG(seed, 3))
		s := open(t)
		whole := func() map[string]any {
			fresh := &session.Session{}
			if err := fresh.Open(s.Encode(), 0, "persona22222", "clientfresh2"); err != nil {
				t.Fatal(err)
			}
			return call[map[string]any](t, fresh, "head", args{})
		}
		head := call[map[string]any](t, s, "head", args{})
		entities := map[string]json.RawMessage{}
		for step := range 60 {
			if step%7 == 6 {
				_, _ = s.Call("undo", nil)
			} else {
				d, err := document.Decode(s.Encode())
				if err != nil {
					t.Fatal(err)
				}
				for _, p := range sample.Primitives(r, d) {
					if p.Op == edit.OpSet {
						_, _ = s.Call("set", mustJSON(t, args{"ref": p.Ref, "field": p.Field, "value": p.Value, "text": "x"}))
					} else if p.Op == edit.OpRemove {
						_, _ = s.Call("remove", mustJSON(t, args{"ref": p.Ref, "text": "x"}))
					}
				}
				if step%5 == 0 {
					_, _ = s.Call("newMap", mustJSON(t, args{"name": "More", "w": 9, "h": 7}))
					_, _ = s.Call("addFlag", mustJSON(t, args{"name": "Lit"}))
				}
			}
			change := call[map[string]json.RawMessage](t, s, "headChange", args{})
			for _, name := range lists {
				var c *session.Listed[json.RawMessage]
				if raw := change[name]; raw != nil {
					c = &session.Listed[json.RawMessage]{}
					if err := json.Unmarshal(raw, c); err != nil {
						t.Fatal(err)
					}
				}
				var now []map[string]any
				for _, o := range head[name].([]any) {
					now = append(now, o.(map[string]any))
				}
				var all []any
				for _, o := range brought(now, c) {
					all = append(all, o)
				}
				if all == nil {
					all = []any{}
				}
				head[name] = all
			}
			for _, name := range []string{"project", "plan", "wires"} {
				if raw := change[name]; raw != nil {
					var v any
					_ = json.Unmarshal(raw, &v)
					head[name] = v
				}
			}
			want := whole()
			for name := range want {
				if a, b := string(mustJSON(t, head[name])), string(mustJSON(t, want[name])); a != b {
					t.Fatalf("seed %d, step %d: %s is\n%.600s, wanted\n%.600s", seed, step, name, a, b)
				}
			}
			if raw, err := s.Call("entityChange", mustJSON(t, args{"map": sample.Quay})); err == nil {
				var c struct {
					Set  []json.RawMessage
					Gone []string
				}
				_ = json.Unmarshal(raw, &c)
				for _, id := range c.Gone {
					delete(entities, id)
				}
				for _, e := range c.Set {
					var of struct{ ID string }
					_ = json.Unmarshal(e, &of)
					entities[of.ID] = e
				}
				d, _ := document.Decode(s.Encode())
				all := d.Maps.Get(sample.Quay).Entities.All()
				if len(all) != len(entities) {
					t.Fatalf("seed %d, step %d: %d entities are known, %d are there", seed, step, len(entities), len(all))
				}
				for _, e := range all {
					if string(entities[string(e.ID)]) != string(mustJSON(t, e)) {
						t.Fatalf("seed %d, step %d: %s is known as %s", seed, step, e.Name, entities[string(e.ID)])
					}
				}
			} else {
				entities = map[string]json.RawMessage{}
			}
		}
	}
}

// After a stroke nothing of the head is told again, and of ten thousand entities
// only the one that moved.
func TestOnlyWhatDiffersIsTold(t *testing.T) {
	s := open(t)
	call[session.Head](t, s, "head", args{})
	first := call[session.EntityChange](t, s, "entityChange", args{"map": sample.Quay})
	if len(first.Set) != 5 {
		t.Errorf("the first time %d entities are told", len(first.Set))
	}
	if raw, _ := s.Call("headChange", nil); string(raw) != "{}" {
		t.Errorf("with nothing changed the head tells %s", raw)
	}
	call[session.Outcome](t, s, "moveEntities", args{"map": sample.Quay, "ids": []document.ID{sample.Door}, "dx": 16, "dy": 0})
	if c := call[session.EntityChange](t, s, "entityChange", args{"map": sample.Quay}); len(c.Set) != 1 || c.Set[0].ID != sample.Door || len(c.Gone) != 0 {
		t.Errorf("one was moved, and %d are told", len(c.Set))
	}
	if raw, _ := s.Call("headChange", nil); string(raw) != "{}" {
		t.Errorf("with an entity moved the head tells %s", raw)
	}
	call[session.Outcome](t, s, "set", args{"ref": edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "field": "name", "value": "Salt Pans", "text": "x"})
	c := call[session.HeadChange](t, s, "headChange", args{})
	if c.Maps == nil || len(c.Maps.Set) != 1 || c.Maps.Set[0].Name != "Salt Pans" || c.Maps.Order != nil || c.Tilesets != nil || c.Project != nil {
		t.Errorf("with one map renamed the head tells %+v", c)
	}
}
