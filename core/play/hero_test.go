package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"testing"
)

// How a hero moves is said in one place, its kind's, and by a map where that differs:
// for play, and for how far it is told to jump.
func TestHeroMovesAsItsKindSays(t *testing.T) {
	own := func(id document.ID, order int, speed, jump kind.Datum) edit.Primitive {
		k := *kind.Find(kind.Hero)
		k.ID, k.Of, k.Name, k.Order = id, kind.Hero, "Warden", order
		k.Settings = append([]kind.Setting{}, k.Settings...)
		for i, s := range k.Settings {
			switch s.Key {
			case document.HeroSpeed:
				k.Settings[i].Default = speed
			case document.HeroJump:
				k.Settings[i].Default = jump
			}
		}
		return edit.Insert(edit.Ref{Type: edit.TypeKind, ID: id}, document.Lean(&k))
	}
	quay, pans := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, edit.Ref{Type: edit.TypeMap, ID: sample.Pans}
	runs := func(v kind.Datum) []kind.Value { return []kind.Value{{Key: kind.MapRun, Value: v}} }
	swift := own("swiftswiftsw", 20, "10", "5")
	placed := func(kind string, values ...kind.Value) edit.Primitive {
		e := document.Entity{ID: "wardenwarden", Kind: kind, Name: "Warden", Layer: sample.Entities, Facing: document.Down, X: 32, Y: 64, W: 16, H: 16, Rank: -5, Values: values}
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)
	}
	for _, c := range []struct {
		name  string
		do    []edit.Primitive
		cells int64
	}{
		{"built in", nil, 5},
		{"an own kind of hero", []edit.Primitive{swift}, 10},
		{"the first of two", []edit.Primitive{swift, own("calmcalmcalm", 30, "2", "3")}, 10},
		{"all maps say otherwise", []edit.Primitive{swift, edit.Set(edit.Ref{Type: edit.TypeProject}, "mapValues", runs("7"))}, 7},
		{"the map says otherwise", []edit.Primitive{swift, edit.Set(edit.Ref{Type: edit.TypeProject}, "mapValues", runs("7")), edit.Set(quay, "values", runs("4"))}, 4},
		{"another map says otherwise", []edit.Primitive{swift, edit.Set(pans, "values", runs("4"))}, 10},
		{"a placed hero", []edit.Primitive{swift, placed(kind.Hero)}, 5},
		{"a placed one that differs", []edit.Primitive{swift, placed("swiftswiftsw", kind.Value{Key: document.HeroSpeed, Value: "8"})}, 8},
	} {
		r := begin(t, apply(t, sample.World(), c.do...))
		from := r.hero().X
		r.hold(play.InputRight, 30)
		if got, want := r.hero().X-from, c.cells*16*play.Sub/2; got < want-32 || got > want+32 {
			t.Errorf("%s: in half a second it goes %d/256 pixels, wanted %d", c.name, got, want)
		}
	}
	top := func(hero document.ID) int {
		d := apply(t, sided(t), swift)
		top := 99
		for _, p := range jump(d, hero, grid.Point{X: 1, Y: 7}).Points() {
			top = min(top, p.Y)
		}
		return top
	}
	if plain, high := top(kind.Hero), top("swiftswiftsw"); plain-high != 2 {
		t.Errorf("a jump of 3 cells comes up to row %d, one of 5 to row %d", plain, high)
	}
}
