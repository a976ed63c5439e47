package session_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/session"
	"slices"
	"testing"
)

// How far one comes is told of the beginning that is studied: on a map to which no way leads nobody comes as a player begins, but from there.
func TestReachIsOfItsBeginning(t *testing.T) {
	d := sample.World()
	layer := slices.IndexFunc(d.Maps.Get(sample.Pans).LayersInOrder(), func(l *document.Layer) bool { return l.Kind == document.LayerEntities })
	for i, k := range []string{kind.Spawn, kind.Goal} {
		e := document.Entity{ID: document.NewID(), Layer: d.Maps.Get(sample.Pans).LayersInOrder()[layer].ID, Kind: k, Name: k, Facing: document.Down, X: 32 + 64*i, Y: 64, W: 16, H: 16}
		d = sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Pans, ID: e.ID}, e))
	}
	s := opened(t, d)
	comes := func(from document.ID) bool {
		t.Helper()
		for !call[session.StudyInfo](t, s, "study", map[string]any{"from": from, "ticks": 20000}).Done {
		}
		runs := call[session.ReachInfo](t, s, "reach", map[string]any{"map": sample.Pans, "from": from}).Runs
		for i := 0; i < len(runs); i += 2 {
			if runs[i] >= 0 {
				return true
			}
		}
		return false
	}
	if comes("") || !comes(sample.Pans) {
		t.Error("the reach is of another beginning")
	}
}
