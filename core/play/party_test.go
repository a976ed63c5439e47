package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"testing"
)

// pair is a map with a hero that is led first and another one, both placed.
func pair(t *testing.T, rows string, x, y int, meanwhile string, settings ...string) *run {
	t.Helper()
	return drawn(t, rows, settings...).with(kind.Hero, x, y, 1, 1, false, document.Left, value("meanwhile", meanwhile), value("carries", `["crank"]`))
}

// Another hero is led where it waits; the one before waits where it was, weighs, and is led again.
func TestHeroesAreLedInTurn(t *testing.T) {
	r := pair(t, "\n##########\n@....#....\n##########", 8, 1, `"waits"`).
		with(kind.Switch, 3, 1, 1, 1, false, document.Down, value("workedBy", `"weight"`), value("goesBack", `"whenLeft"`))
	if len(r.g.Party) != 1 || !r.g.Has("crank") {
		t.Fatalf("the others are %+v", r.g.Party)
	}
	r.until(play.InputRight, func() bool { return r.cell().X == 3 })
	r.press(play.InputSwap)
	r.at("led", 8, 1)
	if r.hero().Look() != document.Left || !r.g.On(r.thing(kind.Switch)) {
		t.Errorf("it looks %s; held down by who waits: %v", r.hero().Look(), r.g.On(r.thing(kind.Switch)))
	}
	r.until(play.InputLeft, func() bool { return r.cell().X == 6 })
	r.press(play.InputSwap)
	r.at("back", 3, 1)
	r.until(play.InputRight, func() bool { return r.cell().X == 4 })
	r.hold(play.InputRight, 4)
	if r.hold(0, 2); r.g.On(r.thing(kind.Switch)) {
		t.Error("the switch is held down by nobody")
	}
	r.press(play.InputSwap)
	r.at("once more", 6, 1)
	// in a pin it is the same, and on another version; removed it waits nowhere
	g, err := play.Resume(r.g.Stage, r.g.Moment())
	if err != nil || len(g.Party) != 1 || g.Party[0] != r.g.Party[0] || g.HeroCell() != r.cell() {
		t.Fatalf("resumed: %+v, %v", g.Party, err)
	}
	r.press(play.InputSwap)
	r.d = apply(t, r.d, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Hero).Entity}))
	r.g.Enter(stage(r.d))
	if r.press(play.InputSwap); len(r.g.Party) != 0 || r.cell().X != 4 {
		t.Errorf("after the other was removed: %+v at %v", r.g.Party, r.cell())
	}
}

// A hero that a rule brings can be led from then on, and one that is taken away cannot.
func TestHeroesAreBrought(t *testing.T) {
	r := drawn(t, "\n@.......\n........").with(kind.Hero, 5, 1, 1, 1, false, document.Left).with(kind.Switch, 0, 0, 1, 1, false, document.Down)
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.mapID(), ID: r.end(kind.Hero).Entity}, "absent", true))
	g, err := play.StartAt(stage(r.d), r.mapID(), grid.Point{}, play.Given{}, 1)
	if err != nil || len(g.Party) != 0 {
		t.Fatalf("at first %+v wait: %v", g.Party, err)
	}
	r.g = g
	r.does(rules.WordUse, r.end(kind.Switch), rules.WordBring, r.end(kind.Hero))
	if r.press(play.InputUse); len(r.g.Party) != 1 {
		t.Fatalf("brought, %+v wait", r.g.Party)
	}
	r.press(play.InputSwap)
	r.at("led", 5, 1)
	r.press(play.InputSwap)
	r.does(rules.WordUse, r.end(kind.Switch), rules.WordRemove, r.end(kind.Hero))
	if r.press(play.InputUse); len(r.g.Party) != 0 {
		t.Errorf("taken away, %+v wait", r.g.Party)
	}
}

// Who follows goes the same way, about a cell behind, stands when the hero does, and is led in its place.
func TestFollowers(t *testing.T) {
	r := pair(t, "\n..........\n@.........\n..........", 8, 2, `"follows"`)
	r.until(play.InputRight, func() bool { return r.cell().X == 5 })
	r.until(play.InputDown, func() bool { return r.cell().Y == 2 })
	all := r.g.Companions()
	if len(all) != 1 {
		t.Fatalf("the companions are %+v", all)
	}
	if d := abs(all[0].X-r.hero().X) + abs(all[0].Y-r.hero().Y); d < cell/2 || d > cell*2 {
		t.Errorf("it goes %d sixteenths behind", d*16/cell)
	}
	r.hold(0, 60)
	if again := r.g.Companions(); again[0].Place != all[0].Place {
		t.Error("it goes on while the hero stands")
	}
	x, y := r.hero().X, r.hero().Y
	r.press(play.InputSwap)
	if r.hero().X != x || r.hero().Y != y || r.hero().Of != r.thing(kind.Hero) {
		t.Errorf("led it is at %v", r.cell())
	}
}

// Followers cross maps with the hero.
func TestFollowersCrossMaps(t *testing.T) {
	other := document.Entity{ID: "otherotherot", Layer: sample.Entities, Kind: kind.Hero, Name: "Keeper", Facing: document.Down, X: 32, Y: 32, W: 16, H: 16, Rank: 90, Values: []kind.Value{value("meanwhile", `"follows"`)}}
	r := begin(t, join(t, apply(t, sample.World(), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: other.ID}, other)), true))
	from := r.mapID()
	for _, p := range r.d.Passages.All() {
		if p.From.Map == from {
			if err := r.g.GoThrough(p.ID); err != nil {
				t.Fatal(err)
			}
		}
	}
	r.hold(0, 60)
	if r.mapID() == from {
		t.Fatal("it did not go through")
	}
	r.hold(play.InputLeft, 40)
	r.hold(play.InputDown, 40)
	if all := r.g.Companions(); len(all) != 1 || all[0].Map != r.hero().Map {
		t.Errorf("the companions are %+v", all)
	}
}
