package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"strings"
	"testing"
)

// end names a thing of the drawn map.
func (r *run) end(k string) document.End { return r.g.Stage.End(r.thing(k)) }

// does adds a rule of a happening and an action at things, and brings the game to it.
func (r *run) does(when string, at document.End, then string, to document.End) *run {
	r.t.Helper()
	part := func(word string, e document.End) document.RulePart {
		return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: e.Map, ID: e.Entity}))
	}
	r.d = withRule(r.t, r.d, rules.Of(part(when, at), part(then, to)))
	r.g.Enter(stage(r.d))
	return r
}

// Every word that changes something changes that alone.
func TestRulesChangeThings(t *testing.T) {
	for _, c := range []struct {
		word, of                         string
		on, absent, unseen, disabled     bool // at first
		isOn, isThere, isShown, isIdling bool // afterwards
	}{
		{rules.WordOpen, kind.Door, false, false, false, false, true, true, true, false},
		{rules.WordShut, kind.Door, true, false, false, false, false, true, true, false},
		{rules.WordFlip, kind.Door, true, false, false, false, false, true, true, false},
		{rules.WordOpen, kind.Container, false, false, false, false, true, true, true, false},
		{rules.WordTurnOn, kind.Beam, false, false, false, false, true, true, true, false},
		{rules.WordTurnOff, kind.Beam, true, false, false, false, false, true, true, false},
		{rules.WordFlip, kind.Beam, false, false, false, false, true, true, true, false},
		{rules.WordShow, kind.Sign, false, false, true, false, false, true, true, false},
		{rules.WordHide, kind.Sign, false, false, false, false, false, true, false, false},
		{rules.WordShow, kind.Sign, false, false, false, false, false, true, true, false},
		{rules.WordEnable, kind.Sign, false, false, false, true, false, true, true, false},
		{rules.WordDisable, kind.Sign, false, false, false, false, false, true, true, true},
		{rules.WordBring, kind.Walker, false, true, false, false, false, true, true, false},
		{rules.WordRemove, kind.Walker, false, false, false, false, false, false, true, false},
	} {
		r := drawn(t, "\n@......\n.......\n.......\n.......").with(c.of, 5, 3, 1, 1, c.on, document.Down).with(kind.Switch, 0, 0, 1, 1, false, document.Down)
		ref := edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(c.of).Entity}
		r.d = apply(t, r.d, edit.Set(ref, "absent", c.absent), edit.Set(ref, "unseen", c.unseen), edit.Set(ref, "disabled", c.disabled))
		r.does(rules.WordUse, r.end(kind.Switch), c.word, r.end(c.of))
		r.press(play.InputUse)
		of := r.thing(c.of)
		if got := [4]bool{r.g.On(of), r.g.There(of), r.g.Shown(of), r.g.Disabled(of)}; got != [4]bool{c.isOn, c.isThere, c.isShown, c.isIdling} {
			t.Errorf("%s a %s: on, there, shown, disabled are %v", c.word, c.of, got)
		}
	}
}

// What is disabled stands there and does nothing.
func TestDisabledThingsDoNothing(t *testing.T) {
	build := func(k string, x, y int, on bool, values ...kind.Value) *run {
		r := drawn(t, "\n..........\n@.........\n..........").with(k, x, y, 1, 1, on, document.Left, values...)
		r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(k).Entity}, "disabled", true))
		r.g.Enter(stage(r.d))
		return r
	}
	r := build(kind.Collectible, 1, 1, false)
	r.hold(play.InputRight, 20)
	if r.g.Is(r.thing(kind.Collectible), play.Taken) {
		t.Error("a disabled collectible was taken")
	}
	r = build(kind.Walker, 4, 0, false, value("range", "3"))
	if left, right, _, _ := r.swing(kind.Walker, 60); left != right {
		t.Error("a disabled walker goes")
	}
	r = build(kind.Beam, 6, 1, true)
	hearts := r.g.Count(play.Hearts)
	r.hero().Blink = 0
	if r.hold(0, 30); r.g.Count(play.Hearts) != hearts {
		t.Error("a disabled beam strikes")
	}
	r = build(kind.Door, 1, 1, false, value("needs", `""`))
	r.hold(play.InputRight, 60)
	if r.cell().X != 0 || !strings.Contains(r.g.About(24, 24), "disabled") {
		t.Errorf("a disabled door lets through to %v: %s", r.cell(), r.g.About(24, 24))
	}
	r = build(kind.Platform, 4, 1, true, value("range", "3"))
	if left, right, _, _ := r.swing(kind.Platform, 60); left != right {
		t.Error("a disabled platform goes")
	}
	r = build(kind.Switch, 0, 1, false)
	if r.press(play.InputUse); r.g.Is(r.thing(kind.Switch), play.Switched) {
		t.Error("a disabled switch was used")
	}
}

// A rule does what stands behind otherwise where not all is so that it asks for; both edges of
// something held wake it.
func TestOtherwise(t *testing.T) {
	r := drawn(t, "\n..........\n@.........\n..........").with(kind.Switch, 3, 1, 1, 1, false, document.Down, value("workedBy", `"step"`), value("goesBack", `"whenLeft"`)).
		with(kind.Door, 9, 0, 1, 1, false, document.Down).with(kind.Sensor, 6, 1, 1, 1, true, document.Down).with(kind.Beam, 9, 2, 1, 1, false, document.Down)
	part := func(word, k string) document.RulePart {
		at := r.end(k)
		return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}))
	}
	otherwise := func(p document.RulePart) document.RulePart {
		p.Slot = document.SlotOtherwise
		return p
	}
	r.d = withRule(t, r.d, rules.Of(part(rules.WordTurnsOn, kind.Switch), part(rules.WordTurnsOff, kind.Switch), part(rules.WordIsOn, kind.Switch), part(rules.WordOpen, kind.Door), otherwise(part(rules.WordShut, kind.Door))))
	r.d = withRule(t, r.d, rules.Of(part(rules.WordEnter, kind.Sensor), part(rules.WordLeave, kind.Sensor), part(rules.WordIsMet, kind.Sensor), part(rules.WordTurnOn, kind.Beam), otherwise(part(rules.WordTurnOff, kind.Beam))))
	r.g.Enter(stage(r.d))
	var open, lit []int
	for range 130 {
		r.hold(play.InputRight, 1)
		if r.g.On(r.thing(kind.Door)) {
			open = append(open, r.cell().X)
		}
		if r.g.On(r.thing(kind.Beam)) {
			lit = append(lit, r.cell().X)
		}
	}
	for what, cells := range map[string][]int{"the door is open": open, "the beam is on": lit} {
		want := map[string]int{"the door is open": 3, "the beam is on": 6}[what]
		if len(cells) == 0 || cells[0] < want-1 || cells[len(cells)-1] > want+1 {
			t.Errorf("%s while the hero is at %v", what, cells)
		}
	}
	if r.g.On(r.thing(kind.Door)) || r.g.On(r.thing(kind.Beam)) {
		t.Error("they stay so")
	}
}
