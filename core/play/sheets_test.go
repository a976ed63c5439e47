package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	drawing "azzel/core/sample/drawn"
	"testing"
)

// laying is a lake between the hero, who stands on a switch, and the rest of the map; layer Ice lies over it once it is laid.
func laying(t *testing.T, rules ...string) *run {
	t.Helper()
	r := drawn(t, "\n@.##...\n..##...\n..##...").with(kind.Switch, 0, 0, 1, 1, false, document.Down)
	r.d = apply(t, r.d, sample.Drawn()...)
	r.d = drawing.Sheet(r.d, r.mapID(), document.Layer{ID: "iceiceiceice", Name: "Ice", Absent: true, Covers: true}, "..pp\n..p#\n")
	r.g.Enter(stage(r.d))
	return r.reads(rules...)
}

// A lake freezes and thaws: what covers it counts in its place, and who stands on it when it goes moves out of what is there.
func TestALakeFreezes(t *testing.T) {
	r := laying(t, uses+"then\n\tlay layer Ice")
	r.hold(play.InputRight, 60)
	if r.cell().X != 1 {
		t.Fatalf("without ice the hero came to %v", r.cell())
	}
	r.walkTo(0)
	r.press(play.InputUse)
	if !r.g.Lies(document.Object{Type: document.TypeLayer, Map: r.mapID(), ID: "iceiceiceice"}) || len(r.g.Turned()) != 1 {
		t.Fatal("there is no ice")
	}
	r.hold(play.InputRight, 120)
	if r.cell().X != 6 {
		t.Errorf("over the ice the hero came to %v", r.cell())
	}
	// what is solid on it counts, and beside it what was there
	r.walkTo(2)
	if r.hold(play.InputDown, 60); r.cell().Y != 1 {
		t.Errorf("on the ice the hero came down to %v", r.cell())
	}
	r = r.again()
	if r.hold(play.InputRight, 40); r.cell().X != 2 {
		t.Errorf("from a pin the ice does not stop: %v", r.cell())
	}
	// an edit of the map keeps the ice, and one of the ice is there at once
	r.d = drawing.Sheet(r.d, r.mapID(), document.Layer{ID: "otherotherot", Name: "Other"}, "\n\n......p")
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeLayer, Map: r.mapID(), ID: "iceiceiceice"}, "name", "Sheet of ice"))
	r.g.Enter(stage(r.d))
	if r.hold(play.InputUp, 30); r.cell().Y != 0 || r.cell().X != 2 {
		t.Errorf("after an edit the hero is at %v", r.cell())
	}
	r.reads("when\n\tevery 1 s\nthen\n\tlift layer \"Sheet of ice\"")
	r.hold(0, 70)
	if r.cell().X == 2 || r.cell().X == 3 || len(r.g.Turned()) != 0 {
		t.Errorf("the ice went, and the hero stands at %v", r.cell())
	}
	// the layer is removed and comes back: so does the ice
	r.g.Enter(stage(r.d))
	before := r.d
	r.reads("when\n\tevery 2 s\nthen\n\tlay layer \"Sheet of ice\"")
	r.d = apply(t, r.d, edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: r.mapID(), ID: "iceiceiceice"}))
	r.g.Enter(stage(r.d))
	r.hold(0, 130)
	if r.g.Lies(document.Object{Type: document.TypeLayer, Map: r.mapID(), ID: "iceiceiceice"}) {
		t.Error("a layer that was removed lies there")
	}
	r.g.Enter(stage(before))
	if r.hold(0, 10); r.g.Ground() == nil {
		t.Error("the map is gone")
	}
}
