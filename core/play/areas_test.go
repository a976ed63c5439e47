package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"testing"
)

// with puts an area onto a drawn map, in cells.
func (r *run) with(k string, x, y, w, h int, on bool, facing document.Facing, values ...kind.Value) *run {
	r.t.Helper()
	m := r.g.Ground().Map
	layer := document.ID("")
	for _, l := range m.LayersInOrder() {
		if l.Kind == document.LayerEntities {
			layer = l.ID
		}
	}
	e := document.Entity{ID: document.NewID(), Layer: layer, Kind: k, Name: k, Facing: facing, On: on, X: x * 16, Y: y * 16, W: w * 16, H: h * 16, Values: values, Rank: 100 + m.Entities.Len()}
	r.d = apply(r.t, r.d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e))
	r.hold(0, 1)
	return r
}

// Areas do what tiles and zones do: hurt while they are on, are climbed, swum in, carry along.
func TestAreasAct(t *testing.T) {
	row := "\n........\n.@......\n########"
	hurt := func(on bool, harm string) int32 {
		r := drawn(t, row).with(kind.Hazard, 4, 0, 2, 2, on, document.Down, kind.Value{Key: "harm", Value: kind.Datum(harm)})
		r.hold(play.InputRight, 45)
		return r.g.Count(play.Hearts)
	}
	if a, b, c := hurt(true, "1"), hurt(false, "1"), hurt(true, "2"); a != 2 || b != 3 || c != 1 {
		t.Errorf("hearts: %d after one that is on, %d after one that is off, %d after one that takes two", a, b, c)
	}
	// a ladder of an area is climbed, and its end carries
	r := drawn(t, "\n.......\n.......\n##.####\n.......\n.......\n..@....\n#######", fromSide).with(kind.Ladder, 2, 2, 1, 4, false, document.Down)
	r.hold(play.InputUp, 150)
	r.hold(0, 20)
	if r.feet() != 2*16*play.Sub || r.hero().Mode != play.Walking {
		t.Errorf("at the top its feet are at %d, it %v", r.feet(), r.hero().Mode)
	}
	// water carries, and drowns
	for flows, want := range map[string][2]int64{"right": {1, 0}, "left": {-1, 0}, "down": {0, 1}, "nowhere": {0, 0}} {
		r := drawn(t, "\n........\n........\n...@....\n........\n........").with(kind.Water, 0, 0, 8, 5, false, document.Down, kind.Value{Key: "flows", Value: kind.Of(flows)})
		x, y := r.hero().X, r.hero().Y
		r.hold(0, 30)
		if got := [2]int64{sign(r.hero().X - x), sign(r.hero().Y - y)}; got != want {
			t.Errorf("water that flows %s carries to %v", flows, got)
		}
	}
	r = drawn(t, row).with(kind.Water, 4, 0, 3, 2, false, document.Down, kind.Value{Key: "does", Value: kind.Of("drowns")})
	r.until(play.InputRight, func() bool { return r.g.Lost == play.StruckOut })
	if r.g.Lost != play.StruckOut || r.cell().X > 4 {
		t.Errorf("where one drowns it goes on to %v", r.cell())
	}
	for on, want := range map[bool]int64{true: 1, false: 0} {
		r := drawn(t, hall, fromSide).with(kind.Wind, 0, 0, 20, 7, on, document.Right)
		x := r.hero().X
		r.hold(0, 30)
		if got := sign(r.hero().X - x); got != want {
			t.Errorf("wind that is on: %v blows to %d", on, got)
		}
	}
}

// What lights, hurts or watches works as soon as it is put down.
func TestWhatStartsOn(t *testing.T) {
	for k, want := range map[string]bool{kind.Light: true, kind.Hazard: true, kind.Wind: true, kind.Door: false, kind.Switch: false, kind.Collectible: false} {
		if got := kind.Find(document.ID(k)).StartsOn(); got != want {
			t.Errorf("%s starts on: %v", k, got)
		}
	}
}

func sign(v int64) int64 {
	switch {
	case v > 0:
		return 1
	case v < 0:
		return -1
	}
	return 0
}
