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

// jar is a kind whose entities count and remember, made from another.
func jar(of document.ID) document.Kind {
	return document.Kind{ID: "jarjarjarjar", Name: "Jar", Of: of, Tags: []string{"salty"}, Layers: []string{}, Settings: []kind.Setting{
		{Key: "full", Name: "fullness", Type: kind.Number, Default: "1", Least: 0, Most: 5, Varies: true},
		{Key: "lid", Name: "lid", Type: kind.YesNo, Default: "false", Varies: true},
		{Key: "weight", Name: "weight", Type: kind.Number, Default: "7"}}}
}

// withJar is a drawn map with a switch under the hero and a jar beside it.
func withJar(t *testing.T) *run {
	t.Helper()
	r := drawn(t, "\n@......\n.......\n.......").with(kind.Switch, 0, 0, 1, 1, false, document.Down).with(kind.Sign, 5, 1, 1, 1, false, document.Down).with(kind.Door, 3, 2, 1, 1, false, document.Down)
	r.d = apply(t, r.d, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: "jarjarjarjar"}, jar(kind.Sign)),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Sign).Entity}, "kind", "jarjarjarjar"))
	r.g.Enter(stage(r.d))
	return r
}

// about is a part of a rule about what a thing has of its own.
func about(word string, at document.End, key string, number int) document.RulePart {
	p := rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}))
	p.Blanks = append(p.Blanks, kind.Value{Key: "own", Value: kind.Of(key)})
	if rules.Find(word).Blank("number") != nil {
		p.Blanks = append(p.Blanks, kind.Value{Key: "number", Value: kind.Of(number)})
	}
	return p
}

// Rules ask and change what things have of their own, within its bounds.
func TestThingsHaveFlagsAndCountersOfTheirOwn(t *testing.T) {
	for _, c := range []struct {
		word, key string
		number    int
		is        []int32 // after each press of the switch
	}{
		{rules.WordOwnAdd, "full", 1, []int32{2, 3, 4, 5, 5}},
		{rules.WordOwnAdd, "full", -1, []int32{0, 0}},
		{rules.WordOwnPut, "full", 4, []int32{4, 4}},
		{rules.WordOwnPut, "full", 99, []int32{5}},
		{rules.WordOwnSet, "lid", 0, []int32{1, 1}},
		{rules.WordOwnClear, "lid", 0, []int32{0}},
		{rules.WordOwnAdd, "weight", 1, []int32{0}}, // which does not change in play
	} {
		r := withJar(t)
		jar := r.end(kind.Sign)
		r.d = withRule(t, r.d, rules.Of(rules.Use(r.mapID(), r.end(kind.Switch).Entity), about(c.word, jar, c.key, c.number)))
		r.g.Enter(stage(r.d))
		for n, want := range c.is {
			r.press(play.InputUse)
			if is, _ := r.g.Own(r.thing(kind.Sign), c.key); is != want {
				t.Errorf("%s %s %d: after press %d it is %d, want %d", c.word, c.key, c.number, n+1, is, want)
			}
		}
	}
}

// Conditions tell what things have of their own, and one can wait for a counter to reach a number: it does so once, on its way up.
func TestRulesWaitForCountersOfThingsOwn(t *testing.T) {
	for _, c := range []struct {
		part  func(at document.End) document.RulePart
		opens int // at which press the door opens; 0 never
	}{
		{func(at document.End) document.RulePart { return about(rules.WordReaches, at, "full", 3) }, 2},
		{func(at document.End) document.RulePart { return about(rules.WordReaches, at, "full", 1) }, 0},
		{func(at document.End) document.RulePart { return about(rules.WordReaches, at, "full", 9) }, 0},
		{func(at document.End) document.RulePart { return about(rules.WordOwnAtLeast, at, "full", 4) }, 4},
		{func(at document.End) document.RulePart { return about(rules.WordOwnBelow, at, "full", 3) }, 1},
		{func(at document.End) document.RulePart { return about(rules.WordOwnIsSet, at, "lid", 0) }, 0},
		{func(at document.End) document.RulePart { return about(rules.WordOwnIsNotSet, at, "lid", 0) }, 1},
		{func(at document.End) document.RulePart { return about(rules.WordOwnIsSet, at, "gone", 0) }, 0},
	} {
		r := withJar(t)
		at, use := r.end(kind.Sign), rules.Use(r.mapID(), r.end(kind.Switch).Entity)
		opens := rules.Of(c.part(at), rules.Open(r.mapID(), r.end(kind.Door).Entity))
		if p := c.part(at); p.Slot == document.SlotIf {
			opens = rules.Of(use, p, rules.Open(r.mapID(), r.end(kind.Door).Entity))
		}
		r.d = withRule(t, withRule(t, r.d, opens), rules.Of(use, about(rules.WordOwnAdd, at, "full", 1)))
		r.g.Enter(stage(r.d))
		opened := 0
		for n := 1; n <= 6; n++ {
			if r.press(play.InputUse); opened == 0 && r.g.On(r.thing(kind.Door)) {
				opened = n
			}
		}
		if opened != c.opens {
			t.Errorf("%+v opens at press %d, want %d", c.part(at), opened, c.opens)
		}
	}
}

// What a thing has of its own is said when it is pointed at, kept in moments and over edits, and comes back with the thing.
func TestOwnIsKept(t *testing.T) {
	r := withJar(t)
	at := r.end(kind.Sign)
	r.d = withRule(t, r.d, rules.Of(rules.Use(r.mapID(), r.end(kind.Switch).Entity), about(rules.WordOwnAdd, at, "full", 2), about(rules.WordOwnSet, at, "lid", 0)))
	r.g.Enter(stage(r.d))
	r.press(play.InputUse)
	said := r.g.AboutThing(r.thing(kind.Sign))
	if !strings.Contains(said, "fullness: 3, lid: yes") {
		t.Errorf("it says %q", said)
	}
	is := func(g *play.Game) string {
		full, _ := g.Own(g.Stage.ThingOf(at.Map, at.Entity), "full")
		lid, _ := g.Own(g.Stage.ThingOf(at.Map, at.Entity), "lid")
		return strings.Repeat("x", int(full)) + strings.Repeat("l", int(lid))
	}
	moment := r.g.Moment()
	again, err := play.Resume(stage(r.d), moment)
	if err != nil || is(again) != "xxxl" || again.Hash != r.g.Hash {
		t.Errorf("resumed it is %s: %v", is(again), err)
	}
	with := r.d
	without := apply(t, r.d, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: at.Map, ID: at.Entity}))
	r.g.Enter(stage(without))
	if r.g.Moment().Things == nil {
		t.Error("a moment forgets what is away")
	}
	r.g.Enter(stage(with))
	if is(r.g) != "xxxl" {
		t.Errorf("after it came back it is %s", is(r.g))
	}
	// another default is what others begin with, and what was changed stays
	r.g.Enter(stage(apply(t, with, edit.Set(edit.Ref{Type: edit.TypeKind, ID: "jarjarjarjar"}, "name", "Pot"))))
	if is(r.g) != "xxxl" {
		t.Errorf("after an edit of its kind it is %s", is(r.g))
	}
}
