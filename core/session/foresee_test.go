package session_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"fmt"
	"strings"
	"testing"
)

// What a press would bring about is told from the edit that it would make, in another session that knows the walk: a wall in the only gap, one
// that shuts something in, and one that does neither.
func TestForesee(t *testing.T) {
	wall := &grid.Region{}
	wall.AddRect(grid.Rect{X: 12, Y: 1, W: 1, H: 5})
	wall.AddRect(grid.Rect{X: 12, Y: 7, W: 1, H: 4})
	wall.AddRect(grid.Rect{X: 1, Y: 9, W: 3, H: 1})
	thing := func(id document.ID, k, name string, x, y int) edit.Primitive {
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, document.Entity{ID: id, Layer: sample.Entities, Kind: k, Name: name, Facing: document.Down, X: x, Y: y, W: 16, H: 16})
	}
	d := sample.With(sample.World(), sample.Paint(sample.Quay, sample.Things, wall, sample.Wall),
		thing("goalgoalgoal", kind.Goal, "Goal", 256, 96), thing("crankcrankcr", kind.Key, "Crank", 16, 160))
	var page, worker session.Session
	for _, s := range []*session.Session{&page, &worker} {
		if err := s.Open(d.Encode(), 0, "personperson", me); err != nil {
			t.Fatal(err)
		}
	}
	call := func(s *session.Session, method, args string, out any) {
		t.Helper()
		raw, err := s.Call(method, json.RawMessage(args))
		if err != nil {
			t.Fatalf("%s: %v", method, err)
		}
		if err := json.Unmarshal(raw, out); err != nil {
			t.Fatal(err)
		}
	}
	var known struct{ Is string }
	for known.Is == "" {
		call(&worker, "prove", `{"ticks":100000}`, &known)
	}
	if known.Is != "can" {
		t.Fatalf("it is said %s", known.Is)
	}
	for _, c := range []struct {
		x, y int
		says string
	}{{12, 6, "Then it cannot be finished"}, {4, 10, "Cuts off Crank"}, {8, 3, ""}} {
		var pressed struct{ Would json.RawMessage }
		call(&page, "pressed", fmt.Sprintf(`{"map":"quayquayquay","active":"thingsthings","grip":{"what":"tiles","shape":"freehand","cells":[65537],"width":1},"gesture":{"way":[{"x":%d,"y":%d}],"seed":1},"mirror":{"mode":""}}`, c.x, c.y), &pressed)
		args, _ := json.Marshal(map[string]any{"would": pressed.Would})
		var foreseen struct{ Text string }
		call(&worker, "foresee", string(args), &foreseen)
		if !strings.HasPrefix(foreseen.Text, c.says) || c.says == "" && foreseen.Text != "" {
			t.Errorf("a wall at %d, %d: %q, wanted %q", c.x, c.y, foreseen.Text, c.says)
		}
	}
}
