package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"fmt"
	"strings"
	"testing"
)

// 10,000 timers, sources and emitters on a map play on, each as it says.
func TestThousandsOfTimers(t *testing.T) {
	row := strings.Repeat(".", 200)
	r := drawn(t, "\n@"+row[1:]+strings.Repeat("\n"+row, 49))
	m := r.g.Ground().Map
	kinds := []string{kind.Timer, kind.Source, kind.Emitter, kind.Fan}
	var do []edit.Primitive
	for i := range document.MaxEntities - m.Entities.Len() {
		e := document.Entity{ID: document.NewID(), Layer: m.Entities.All()[0].Layer, Kind: kinds[i%4], Name: fmt.Sprint("Thing ", i), Facing: document.Right, On: i%4 != 3, Rank: 100 + i, X: i % 200 * 16, Y: i / 200 * 16, W: 16, H: 16}
		if e.Kind == kind.Source {
			e.Values = []kind.Value{value("makes", walkers), value("inAll", "1")}
		}
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e))
	}
	r.d = apply(t, r.d, do...)
	rings := 0
	for range 125 {
		r.hold(0, 1)
		for _, e := range r.g.Told {
			if e.Is == "rings" {
				rings++
			}
		}
	}
	if want := len(do) / 4; rings < want || rings > want+1 {
		t.Errorf("%d of %d timers rang", rings, want)
	}
	made := 0
	for _, b := range r.g.Bodies[1:] {
		if r.g.There(b.Of) {
			made++
		}
	}
	if made < 1000 || made > 4000 {
		t.Errorf("%d were made", made)
	}
}
