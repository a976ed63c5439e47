package play_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"testing"
)

// The player is pointed to the goals of the map, and on other maps to what leads there, until they are reached.
func TestGoalsArePointedTo(t *testing.T) {
	d := sample.Full()
	goal := document.Entity{ID: "goalgoalgoal", Layer: sample.Entities, Kind: kind.Goal, Name: "Lamp", X: 160, Y: 96, W: 16, H: 16, Rank: 9000}
	where := func(d *document.Document) string {
		g, err := play.Start(world.New(d, chart.New(d, nil), nil), sample.Quay, 1)
		if err != nil {
			t.Fatal(err)
		}
		return fmt.Sprint(g.Goals())
	}
	var others []edit.Primitive
	for _, m := range d.Maps.All() {
		for _, e := range m.Entities.All() {
			if k := d.Kind(document.ID(e.Kind)); k != nil && e.Kind == kind.Goal {
				others = append(others, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
			}
		}
	}
	if len(others) > 0 {
		d = sample.With(d, others...)
	}
	if got := where(d); got != "[]" {
		t.Errorf("without a goal it points to %s", got)
	}
	here := sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: goal.ID}, goal))
	if got := where(here); got != "[{168 104}]" {
		t.Errorf("on the map it points to %s", got)
	}
	goal.Disabled = true
	if got := where(sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: goal.ID}, goal))); got != "[]" {
		t.Errorf("disabled it points to %s", got)
	}
	goal.Disabled = false
	way := document.Passage{ID: "waywaywayway", From: document.End{Map: sample.Quay, Entity: sample.Pearl}, To: document.End{Map: sample.Pans, Side: document.Left}}
	d = sample.With(d, edit.Insert(edit.Ref{Type: edit.TypePassage, ID: way.ID}, way))
	over := d.Maps.Get(way.To.Map)
	for _, l := range over.Layers.All() {
		if l.Kind == document.LayerEntities {
			goal.Layer = l.ID
		}
	}
	beyond := sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: over.ID, ID: goal.ID}, goal))
	e := d.Entity(sample.Quay, way.From.Entity)
	if got, want := where(beyond), fmt.Sprintf("[{%d %d}]", e.X+e.W/2, e.Y+e.H/2); got != want {
		t.Errorf("on the other map it points to %s, want %s", got, want)
	}
}
