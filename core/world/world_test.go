package world_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/world"
	"testing"
)

// Everything has a number and is found again by it, things in the order in which they act.
func TestNumbersNameEverything(t *testing.T) {
	d := sample.Full()
	st := world.New(d, chart.New(d, nil), nil)
	n := 0
	for i, m := range d.MapsInOrder() {
		g := st.Ground(world.Ref(i))
		if g.ID != m.ID || st.MapOf(m.ID) != g.Ref {
			t.Fatalf("map %d is %s, wanted %s", i, g.ID, m.ID)
		}
		all := document.InRank(m.Entities.All())
		if int(g.After-g.First) != len(all) {
			t.Errorf("%s has %d things, wanted %d", m.Name, g.After-g.First, len(all))
		}
		for k, e := range all {
			r := st.ThingOf(m.ID, e.ID)
			if r != g.First+world.Ref(k) || st.Thing(r).ID != e.ID || st.End(r) != (document.End{Map: m.ID, Entity: e.ID}) {
				t.Errorf("%s is number %d, wanted %d", e.Name, r, int(g.First)+k)
			}
			n++
		}
	}
	if len(st.Things) != n {
		t.Errorf("%d things, wanted %d", len(st.Things), n)
	}
	for _, r := range d.RulesInOrder() {
		if st.Rules[st.RuleOf(r.ID)] != r {
			t.Errorf("rule %s is another", r.ID)
		}
	}
	for _, f := range d.Flags.All() {
		if st.Flags[st.FlagOf(f.ID)] != f.ID {
			t.Errorf("flag %s is another", f.ID)
		}
	}
	for _, p := range d.Passages.All() {
		if st.Ways[st.WayOf(p.ID)] != p || st.WayFrom(p.From) < 0 {
			t.Errorf("passage %s is another", p.ID)
		}
	}
	if st.MapOf("nothing") != world.None || st.Thing(world.None) != nil || st.Ground(99) != nil || st.Ground(world.None) != nil {
		t.Error("what is not there has a number")
	}
}

// The stage of the next version takes over what no edit has touched, and nothing else.
func TestTheNextStageTakesOver(t *testing.T) {
	d := sample.Full()
	c := chart.New(d, nil)
	st := world.New(d, c, nil)
	wall := &grid.Region{}
	wall.Add(grid.Point{X: 5, Y: 5})
	floor := st.Ground(st.MapOf(sample.Quay)).At(grid.Point{X: 5, Y: 5})
	painted := sample.With(d, sample.Paint(sample.Quay, sample.Things, wall, sample.Wall))
	next := world.New(painted, chart.New(painted, c), st)
	if &next.Things[0] != &st.Things[0] || &next.Rules[0] != &st.Rules[0] {
		t.Error("a stroke numbers things or rules anew")
	}
	if got := next.Ground(next.MapOf(sample.Quay)).At(grid.Point{X: 5, Y: 5}); got&world.Whole == 0 || floor&world.Whole != 0 {
		t.Errorf("the new wall is %b, before it was %b", got, floor)
	}
	moved := sample.With(painted, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}, "x", 48))
	after := world.New(moved, chart.New(moved, c), next)
	if &after.Things[0] == &next.Things[0] {
		t.Error("a moved thing is not seen")
	}
	if b := after.Thing(after.ThingOf(sample.Quay, sample.Pearl)).Body; b.Left != 48*world.Unit {
		t.Errorf("it lies at %d", b.Left)
	}
}

// A box that touches a thing is told of it, wherever it lies.
func TestNearFindsAllThatTouch(t *testing.T) {
	d := sample.Full()
	st := world.New(d, chart.New(d, nil), nil)
	for _, g := range st.Grounds {
		for x := -40; x < 400; x += 23 {
			for y := -40; y < 300; y += 17 {
				box := world.Box{Left: int64(x) * world.Unit, Top: int64(y) * world.Unit, Right: int64(x+19) * world.Unit, Bottom: int64(y+11) * world.Unit}
				near := map[world.Ref]bool{}
				g.Near(box, func(r world.Ref, _ *world.Thing) { near[r] = true })
				for r := g.First; r < g.After; r++ {
					b := st.Things[r].Body
					touches := b.Left < box.Right && b.Right > box.Left && b.Top < box.Bottom && b.Bottom > box.Top
					if touches && !near[r] && !st.Things[r].Doing.Goes {
						t.Fatalf("%s is not near %d,%d", st.Things[r].Name, x, y)
					}
				}
			}
		}
	}
}

// A jump begins as fast as it has to, and no faster.
func TestJumpSpeedIsTheLeast(t *testing.T) {
	for _, gravity := range []int64{1, 7, 34, 200, 5000} {
		for height := int64(1); height < 100_000; height = height*3 + 7 {
			v := world.JumpSpeed(height, gravity)
			if world.Rise(v, gravity) < height || world.Rise(v-1, gravity) >= height {
				t.Errorf("%d high at %d: %d comes to %d, one less to %d", height, gravity, v, world.Rise(v, gravity), world.Rise(v-1, gravity))
			}
			// the sum of what it goes in each tick
			sum, speed := int64(0), v
			for speed -= gravity; speed > 0; speed -= gravity {
				sum += speed
			}
			if sum != world.Rise(v, gravity) {
				t.Errorf("it rises %d by ticks, %d by the formula", sum, world.Rise(v, gravity))
			}
		}
	}
	if world.JumpSpeed(0, 5) != 0 || world.JumpSpeed(5, 0) != 0 || world.Rise(9, 0) != 0 {
		t.Error("without height or gravity there is no jump")
	}
	for ms, want := range map[int64]int64{0: 0, 1: 1, 16: 1, 17: 2, 100: 6, 1000: 60} {
		if got := world.Ticks(ms); got != want {
			t.Errorf("%d ms are %d ticks, wanted %d", ms, got, want)
		}
	}
}

func TestGaitsFollowTheMap(t *testing.T) {
	d := sample.With(sample.World(), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{
		{Key: kind.MapWalking, Value: kind.Of(kind.WalksTurns)}, {Key: kind.MapWays, Value: kind.Of("four")},
		{Key: kind.MapWind, Value: kind.Of("up")}, {Key: kind.MapWindForce, Value: "3"}, {Key: kind.MapAir, Value: kind.Of(kind.AirWater)}}))
	st := world.New(d, chart.New(d, nil), nil)
	quay := st.Gait(st.Ground(st.MapOf(sample.Quay)), world.None)
	if !quay.Cells || !quay.Turns || quay.Eight || quay.WindY != -3*16*world.Unit/60 || quay.WindX != 0 || !quay.Wet || quay.Slow {
		t.Errorf("on the Quay: %+v", quay)
	}
	pans := st.Gait(st.Ground(st.MapOf(sample.Pans)), world.None)
	if pans.Cells || pans.Turns || !pans.Eight || pans.WindY != 0 || pans.Wet || pans.Hearts != 3 || pans.Lives != 0 {
		t.Errorf("on the Pans: %+v", pans)
	}
	if again := st.Gait(st.Ground(st.MapOf(sample.Quay)), world.None); again != quay {
		t.Error("it is worked out twice")
	}
}
