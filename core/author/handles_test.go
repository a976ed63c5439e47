package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"slices"
	"testing"
)

func TestPulling(t *testing.T) {
	d := sample.World()
	for _, e := range []document.Entity{
		{ID: "crabcrabcrab", Kind: "walker", Facing: document.Right, X: 64, Y: 64},
		{ID: "lamplamplamp", Kind: "light", Facing: document.Down, X: 64, Y: 64},
		{ID: "beambeambeam", Kind: "beam", Facing: document.Up, X: 64, Y: 64},
		{ID: "waywaywayway", Kind: kind.Path, Facing: document.Down, X: 64, Y: 64, Points: []grid.Point{{X: 32}, {X: 32, Y: 32}}},
	} {
		e.Layer, e.Name, e.W, e.H = sample.Entities, string(e.ID), 16, 16
		d = apply(t, d, author.Change{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)}}, nil)
	}
	pull := func(e document.ID, is string, change func(*author.Pull)) author.Pulled {
		t.Helper()
		w := author.Pull{Map: sample.Quay, Entity: e, Is: is, Snap: 1}
		change(&w)
		got, err := author.Pulling(d, w)
		if err != nil {
			t.Fatalf("%s of %s: %v", is, e, err)
		}
		return got
	}
	// a door is 16 × 16 at 160, 32
	door := d.Entity(sample.Quay, sample.Door)
	for _, c := range []struct {
		dx, dy, snap int
		to           grid.Point
		want         grid.Rect
	}{
		{1, 1, 1, grid.Point{X: door.X + 41, Y: door.Y + 23}, grid.Rect{X: door.X, Y: door.Y, W: 48, H: 16}},
		{1, 0, 2, grid.Point{X: door.X + 21, Y: 0}, grid.Rect{X: door.X, Y: door.Y, W: 24, H: 16}},
		{1, 0, 0, grid.Point{X: door.X + 21, Y: 0}, grid.Rect{X: door.X, Y: door.Y, W: 21, H: 16}},
		{-1, -1, 1, grid.Point{X: door.X - 30, Y: door.Y - 9}, grid.Rect{X: door.X - 32, Y: door.Y - 16, W: 48, H: 32}},
		{-1, 0, 0, grid.Point{X: door.X + 99, Y: 0}, grid.Rect{X: door.X + 15, Y: door.Y, W: 1, H: 16}},
		{0, 1, 1, grid.Point{X: 0, Y: door.Y - 99}, grid.Rect{X: door.X, Y: door.Y, W: 16, H: 16}},
		{-1, 0, 2, grid.Point{X: door.X + 99, Y: 0}, grid.Rect{X: door.X + 8, Y: door.Y, W: 8, H: 16}},
		{0, 0, 1, grid.Point{}, grid.Rect{X: door.X, Y: door.Y, W: 16, H: 16}},
	} {
		e := pull(sample.Door, author.PullSize, func(w *author.Pull) { w.DX, w.DY, w.To, w.Snap = c.dx, c.dy, c.to, c.snap }).Entity
		if got := (grid.Rect{X: e.X, Y: e.Y, W: e.W, H: e.H}); got != c.want {
			t.Errorf("by %d,%d to %v in parts of 1/%d it is %v, wanted %v", c.dx, c.dy, c.to, c.snap, got, c.want)
		}
	}
	// an exit is of whole cells, however finely is snapped; cells of 18 pixels have no quarters
	e := pull(sample.Exit, author.PullSize, func(w *author.Pull) { w.DX, w.DY, w.To, w.Snap = 1, 1, grid.Point{X: 288 + 29, Y: 82}, 4 }).Entity
	if e.W != 32 || e.H != 16 {
		t.Errorf("the exit becomes %d × %d", e.W, e.H)
	}
	odd := *d.Maps.Get(sample.Quay)
	odd.CellWidth, odd.CellHeight = 18, 18
	for _, c := range []struct{ parts, x, y int }{{1, 18, 0}, {2, 9, 9}, {4, 12, 6}, {0, 10, 7}} {
		if got := author.SnapMove(&odd, c.parts, grid.Point{X: 10, Y: 7}); got.X != c.x || got.Y != c.y {
			t.Errorf("in parts of 1/%d of 18 pixels it moves by %v, wanted %d, %d", c.parts, got, c.x, c.y)
		}
	}
	if d.Entity(sample.Quay, sample.Door) != door || door.W != 16 {
		t.Error("the entity itself was changed")
	}
	for _, c := range []struct {
		to   grid.Point
		want document.Facing
	}{{grid.Point{X: 99, Y: 73}, document.Right}, {grid.Point{X: 9, Y: 73}, document.Left}, {grid.Point{X: 73, Y: 9}, document.Up}, {grid.Point{X: 73, Y: 99}, document.Down}, {grid.Point{X: 72, Y: 72}, document.Down}} {
		if e := pull("crabcrabcrab", author.PullFacing, func(w *author.Pull) { w.To = c.to }).Entity; e.Facing != c.want {
			t.Errorf("towards %v it looks %s", c.to, e.Facing)
		}
	}
	for _, c := range []struct {
		e        document.ID
		key      string
		from, to grid.Point
		snap     int
		text     string
		trace    play.Trace
	}{
		{"crabcrabcrab", "range", grid.Point{}, grid.Point{X: 72 + 40, Y: 200}, 1, "2.5", play.Trace{Is: play.TraceWay, Points: []grid.Point{{X: 32, Y: 72}, {X: 112, Y: 72}}}},
		{"crabcrabcrab", "range", grid.Point{}, grid.Point{X: 72 - 40, Y: 0}, 0, "2.5", play.Trace{Is: play.TraceWay, Points: []grid.Point{{X: 32, Y: 72}, {X: 112, Y: 72}}}},
		{"crabcrabcrab", "range", grid.Point{}, grid.Point{X: 72 + 37, Y: 72}, 0, "2.3", play.Trace{Is: play.TraceWay, Points: []grid.Point{{X: 36, Y: 72}, {X: 108, Y: 72}}}},
		{"crabcrabcrab", "sight", grid.Point{}, grid.Point{X: 72 + 48, Y: 72 + 64}, 1, "5", play.Trace{Is: play.TraceRing, Points: []grid.Point{{X: 72, Y: 72}}, Radius: 80}},
		{"lamplamplamp", "radius", grid.Point{}, grid.Point{X: 72, Y: 72}, 1, "0", play.Trace{Is: play.TraceRing, Points: []grid.Point{{X: 72, Y: 72}}}},
		{"lamplamplamp", "radius", grid.Point{}, grid.Point{X: 16000, Y: 72}, 1, "200", play.Trace{Is: play.TraceRing, Points: []grid.Point{{X: 72, Y: 72}}, Radius: 3200}},
		{"beambeambeam", "length", grid.Point{}, grid.Point{X: 500, Y: 72 - 32}, 1, "2", play.Trace{Is: play.TraceWay, Points: []grid.Point{{X: 72, Y: 72}, {X: 72, Y: 40}}}},
	} {
		got := pull(c.e, author.PullSetting, func(w *author.Pull) { w.Setting, w.From, w.To, w.Snap = c.key, c.from, c.to, c.snap })
		if got.Text != c.text || len(got.Traces) != 1 || got.Traces[0].Is != c.trace.Is || got.Traces[0].Radius != c.trace.Radius || !slices.Equal(got.Traces[0].Points, c.trace.Points) {
			t.Errorf("%s of %s at %v is %s, %+v; wanted %s, %+v", c.key, c.e, c.to, got.Text, got.Traces, c.text, c.trace)
		}
	}
	for _, c := range []struct {
		up   int
		want string
	}{{0, "1"}, {3, "1"}, {4, "2"}, {17, "3"}, {-40, "1"}, {160_000, "9999"}} {
		got := pull(sample.Pearl, author.PullSetting, func(w *author.Pull) {
			w.Setting, w.From, w.To = "amount", grid.Point{Y: 50}, grid.Point{Y: 50 - c.up}
		})
		if got.Text != c.want || got.Name != "amount" {
			t.Errorf("%d pixels up it is %s", c.up, got.Text)
		}
	}
	for _, c := range []struct {
		is    string
		index int
		to    grid.Point
		snap  int
		want  []grid.Point
	}{
		{author.PullPoint, 0, grid.Point{X: 130, Y: 75}, 1, []grid.Point{{X: 64}, {X: 32, Y: 32}}},
		{author.PullPoint, 1, grid.Point{X: 130, Y: 75}, 0, []grid.Point{{X: 32}, {X: 58, Y: 3}}},
		{author.PullBetween, 0, grid.Point{X: 72, Y: 40}, 1, []grid.Point{{Y: -32}, {X: 32}, {X: 32, Y: 32}}},
		{author.PullBetween, 2, grid.Point{X: 72, Y: 40}, 1, []grid.Point{{X: 32}, {X: 32, Y: 32}, {Y: -32}}},
		{author.PullBetween, 99, grid.Point{X: 72, Y: 40}, 1, []grid.Point{{X: 32}, {X: 32, Y: 32}, {Y: -32}}},
	} {
		got := pull("waywaywayway", c.is, func(w *author.Pull) { w.Index, w.To, w.Snap = c.index, c.to, c.snap })
		if !slices.Equal(got.Entity.Points, c.want) || len(got.Traces) != 1 || len(got.Traces[0].Points) != len(c.want)+1 {
			t.Errorf("%s %d at %v gives %v, wanted %v", c.is, c.index, c.to, got.Entity.Points, c.want)
		}
	}
	for name, bad := range map[string]author.Pull{
		"no entity":   {Map: sample.Quay, Entity: "gonegonegone", Is: author.PullSize},
		"no handle":   {Map: sample.Quay, Entity: sample.Door, Is: "knob"},
		"no setting":  {Map: sample.Quay, Entity: sample.Door, Is: author.PullSetting, Setting: "range"},
		"not dragged": {Map: sample.Quay, Entity: "crabcrabcrab", Is: author.PullSetting, Setting: "speed"},
	} {
		if _, err := author.Pulling(d, bad); err == nil {
			t.Errorf("%s: was pulled", name)
		}
	}
	m := d.Maps.Get(sample.Quay)
	for _, c := range []struct {
		by    grid.Point
		parts int
		want  grid.Point
	}{{grid.Point{X: 7, Y: 9}, 1, grid.Point{Y: 16}}, {grid.Point{X: -9, Y: -7}, 1, grid.Point{X: -16}}, {grid.Point{X: 5, Y: 3}, 2, grid.Point{X: 8}}, {grid.Point{X: 5, Y: -3}, 0, grid.Point{X: 5, Y: -3}}, {grid.Point{X: 5, Y: 6}, 4, grid.Point{X: 4, Y: 8}}} {
		if got := author.SnapMove(m, c.parts, c.by); got != c.want {
			t.Errorf("by %v in parts of 1/%d is %v, wanted %v", c.by, c.parts, got, c.want)
		}
	}
}
