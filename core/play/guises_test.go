package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"testing"
)

// wears is the name of the guise that the character is in.
func (r *run) wears() string {
	if in := r.g.Appears(r.thing(kind.Character)); in != nil {
		return in.Name
	}
	return document.FirstGuise
}

// Somebody goes over into another guise as soon as what the way asks is so, one way in a tick, and says then what that guise
// says; it is kept by pins and over edits, and what it goes over to does what the rule says.
func TestGuises(t *testing.T) {
	r := stepping(t).reads("when\n\tcharacter turns from \"as it is now\" to Glad\nif\n\tFlag is set\nthen\n\tadd 1 to Tide",
		"when\n\tcharacter turns from Glad to Sad\nif\n\tSalt is at least 5\nthen\n\tadd 10 to Tide", "when\n\tcharacter turns from Sad to \"as it is now\"\nif\n\tFlag is not set",
		uses+"then\n\tset Flag\n\tadd 1 to Salt")
	r.hold(0, 5)
	if r.wears() != document.FirstGuise {
		t.Fatalf("at first it is %s", r.wears())
	}
	r.press(play.InputUse) // Salt is 3
	if r.wears() != "Glad" || r.g.Counter(sample.DrawnOther) != 1 {
		t.Fatalf("with the flag it is %s, and %d was counted", r.wears(), r.g.Counter(sample.DrawnOther))
	}
	r.hold(0, 30)
	if r.g.Counter(sample.DrawnOther) != 1 {
		t.Error("the way is gone again and again")
	}
	r = r.again()
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Character).Entity}, "guises", []document.Guise{{Number: 4, Name: "Sad"}, {Number: 1, Name: "Glad", Says: "Glad as can be!"}}))
	r.g.Enter(stage(r.d))
	if r.wears() != "Glad" {
		t.Errorf("after a pin and an edit it is %s", r.wears())
	}
	r.leaves(kind.Switch)
	r.hold(play.InputDown, 1)
	r.press(play.InputUse)
	if len(r.g.Lines) != 1 || r.g.Lines[0].Text != "Glad as can be!" {
		t.Errorf("it says %v", r.g.Lines)
	}
	r.press(play.InputUse)
	r.reads("when\n\tevery 1 s\nthen\n\tadd 1 to Salt")
	if r.hold(0, 200); r.wears() != "Sad" || r.g.Counter(sample.DrawnOther) != 11 {
		t.Errorf("in the end it is %s, and %d was counted", r.wears(), r.g.Counter(sample.DrawnOther))
	}
	r.reads("when\n\tevery 1 s\nthen\n\tclear Flag")
	if r.hold(0, 70); r.wears() != document.FirstGuise {
		t.Errorf("it does not come back: %s", r.wears())
	}
	// a guise that is removed is not there, and nobody goes over into it
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Character).Entity}, "guises", []document.Guise{{Number: 4, Name: "Sad"}}))
	r.g.Enter(stage(r.d))
	r.reads("when\n\tevery 1 s\nthen\n\tset Flag")
	if r.hold(0, 130); r.wears() == "Glad" {
		t.Error("it went over into a guise that was removed")
	}
}

// What a kind gives to all of it is a guise of each: said, told apart from its own, and gone over to by rules of the kind.
func TestGuisesOfAKind(t *testing.T) {
	r := stepping(t)
	k := document.Kind{ID: "keeperskeepe", Of: kind.Character, Name: "Keepers", Tags: []string{}, Layers: []string{}, Settings: []kind.Setting{}, Guises: []document.Guise{{Number: kind.KindGuises, Name: "Asleep", Says: "Zzz."}}}
	r.d = apply(t, r.d, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, k), edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Character).Entity}, "kind", string(k.ID)))
	r.g.Enter(stage(r.d))
	r.reads("when\n\tany Keepers turns from \"as it is now\" to Asleep\nif\n\tFlag is set\nthen\n\tadd 1 to Tide", uses+"then\n\tset Flag",
		"when\n\tcharacter turns from Asleep to Glad\nif\n\tSalt is at least 5\nthen\n", "when\n\tevery 2 s\nthen\n\tlet Salt be 5")
	if r.press(play.InputUse); r.wears() != "Asleep" || r.g.Counter(sample.DrawnOther) != 1 {
		t.Fatalf("with the flag it is %s, and %d was counted", r.wears(), r.g.Counter(sample.DrawnOther))
	}
	r = r.again()
	r.leaves(kind.Switch)
	r.hold(play.InputDown, 1)
	if r.press(play.InputUse); len(r.g.Lines) != 1 || r.g.Lines[0].Text != "Zzz." {
		t.Errorf("it says %v", r.g.Lines)
	}
	r.press(play.InputUse)
	if r.hold(0, 130); r.wears() != "Glad" {
		t.Errorf("its own guise is gone over to as well, but it is %s", r.wears())
	}
}
