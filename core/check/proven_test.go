package check_test

import (
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	drawing "azzel/core/sample/drawn"
	"azzel/core/world"
	"testing"
)

// Ground that nobody comes to is found where the player sees it, and not beyond.
func TestGroundInView(t *testing.T) {
	const rows = "##################\n#@G.D........D...#\n##################"
	across := func(n string) []kind.Value {
		return []kind.Value{{Key: "screenWidth", Value: kind.Datum(n)}, {Key: "screenHeight", Value: "3"}}
	}
	for _, c := range []struct {
		name   string
		values []kind.Value
		want   string
	}{
		{"all of the map at once", nil, "Nobody ever comes to a piece of free ground on Map (11 cells)."},
		{"some of it", across("8"), "Nobody ever comes to a piece of free ground on Map (5 cells)."},
		{"less of it", across("3"), "Nobody ever comes to a piece of free ground on Map (3 cells)."},
	} {
		d, m := drawing.Map(rows, c.values...)
		d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m}, "name", "Map"), edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}), edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}))
		s := proof.NewStudy(world.New(d, chart.New(d, nil), nil), nil)
		for !s.Step(5000) {
		}
		got := ""
		for _, f := range check.Proven(s) {
			if f.What == check.NeverGround {
				got += f.Text
				if f.At == nil || f.At.X != 5 || f.At.Y != 1 || f.Map != m {
					t.Errorf("%s: it is at %v", c.name, f.At)
				}
			}
		}
		if got != c.want {
			t.Errorf("%s: %q, wanted %q", c.name, got, c.want)
		}
	}
}
