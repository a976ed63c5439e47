package hand_test

import (
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"testing"
)

// A path is one, whatever the shape, and leads where the press went.
func TestPathIsDrawnByThePress(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	for _, c := range []struct {
		shape string
		way   []grid.Point
		even  bool
		want  []grid.Point
	}{
		{hand.Line, way(3, 2, 8, 5), false, []grid.Point{{X: 80, Y: 48}}},
		{hand.Line, way(3, 2, 8, 3), true, []grid.Point{{X: 80}}},
		{hand.Box, way(3, 2, 6, 4), false, []grid.Point{{X: 48}, {X: 48, Y: 32}, {Y: 32}, {}}},
		{hand.Rim, way(3, 2, 3, 4), false, []grid.Point{{Y: 32}, {}}},
		{hand.Freehand, way(3, 2, 4, 2, 5, 2, 5, 3, 5, 4, 4, 5), false, []grid.Point{{X: 32}, {X: 32, Y: 32}, {X: 16, Y: 48}}},
		{hand.Freehand, way(3, 2), false, []grid.Point{{X: 48}}},
		{hand.Fill, way(3, 2), false, []grid.Point{{X: 48}}},
	} {
		p, err := hand.Resolve(at(d, m), hand.Grip{What: hand.Entity, Kind: kind.Path, Shape: c.shape}, hand.Gesture{Way: c.way, Even: c.even})
		if err != nil || len(p.Place) != 1 || p.Place[0].X != 48 || p.Place[0].Y != 32 || !slices.Equal(p.Place[0].Points, c.want) {
			t.Errorf("%s along %v: %+v, %v", c.shape, c.way, p.Place, err)
		}
	}
}

// In place of others, what is put down takes the place of its own kind as well.
func TestInPlaceOfTheSame(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	g := hand.Grip{What: hand.Entity, Kind: kind.Collectible, Shape: hand.Freehand, Look: sample.Wall}
	if p, err := hand.Resolve(at(d, m), g, hand.Gesture{Way: way(4, 2)}); err != nil || len(p.Place)+len(p.Take) != 0 {
		t.Errorf("on top of the same: %+v %v", p, err)
	}
	g.Replace = true
	p, err := hand.Resolve(at(d, m), g, hand.Gesture{Way: way(4, 2)})
	if err != nil || len(p.Place) != 1 || len(p.Take) != 1 || p.Take[0].ID != sample.Pearl || p.Place[0].Look != sample.Wall {
		t.Errorf("in place of the same: %+v %v", p, err)
	}
	locked := *d.Entity(sample.Quay, sample.Pearl)
	locked.Locked = true
	shut := *m
	shut.Entities = m.Entities.With(sample.Pearl, &locked)
	w := at(d, &shut)
	if p, err = hand.Resolve(w, g, hand.Gesture{Way: way(4, 2)}); err != nil || len(p.Place)+len(p.Take) != 0 {
		t.Errorf("in place of a locked one: %+v %v", p, err)
	}
}
