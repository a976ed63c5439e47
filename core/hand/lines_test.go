package hand_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/sample"
	"testing"
)

// groundLine presses with a ground line in the hand and gives what it puts down.
func groundLine(t *testing.T, d *document.Document, shape string, even bool, trace ...grid.Point) *document.Entity {
	t.Helper()
	m := d.Maps.Get(sample.Quay)
	g := hand.Grip{What: hand.Entity, Kind: kind.GroundLine, Shape: shape}
	way := []grid.Point{}
	for _, p := range trace {
		if c := (grid.Point{X: p.X / 16, Y: p.Y / 16}); len(way) == 0 || way[len(way)-1] != c {
			way = append(way, c)
		}
	}
	w := hand.Work{Doc: d, Map: m, Active: sample.Entities}
	p, err := hand.Resolve(w, g, hand.Gesture{Way: way, Even: even, Trace: trace})
	if err != nil {
		t.Fatal(err)
	}
	if len(p.Place) != 1 {
		t.Fatalf("%d are put down", len(p.Place))
	}
	return p.Place[0]
}

// A stroke becomes few points where the pointer was, a line goes straight, and with the key held along the grid.
func TestGroundLinesAreDrawnFreely(t *testing.T) {
	d := sample.World()
	var stroke []grid.Point
	for x := 40; x <= 100; x++ {
		stroke = append(stroke, grid.Point{X: x, Y: 60 + x%2})
	}
	for y := 60; y <= 120; y++ {
		stroke = append(stroke, grid.Point{X: 100 + y%2, Y: y})
	}
	e := groundLine(t, d, hand.Freehand, false, stroke...)
	at := grid.Point{X: e.X + e.W/2, Y: e.Y + e.H/2}
	if at != (grid.Point{X: 40, Y: 60}) || len(e.Points) < 2 || len(e.Points) > 4 {
		t.Fatalf("a corner is %v from %v", e.Points, at)
	}
	if p := e.Points[len(e.Points)-1]; p != (grid.Point{X: 60, Y: 60}) {
		t.Errorf("it ends at %v", p)
	}
	for _, p := range stroke {
		// no point of the stroke lies far from the line
		near := false
		last := grid.Point{}
		for _, q := range e.Points {
			for n := range 61 {
				x, y := at.X+last.X+(q.X-last.X)*n/60, at.Y+last.Y+(q.Y-last.Y)*n/60
				near = near || (x-p.X)*(x-p.X)+(y-p.Y)*(y-p.Y) <= 9
			}
			last = q
		}
		if !near {
			t.Fatalf("%v of the stroke is far from the line", p)
		}
	}
	if e := groundLine(t, d, hand.Line, false, grid.Point{X: 40, Y: 60}, grid.Point{X: 50, Y: 99}, grid.Point{X: 130, Y: 75}); len(e.Points) != 1 || e.Points[0] != (grid.Point{X: 90, Y: 15}) {
		t.Errorf("a line is %v", e.Points)
	}
	if e := groundLine(t, d, hand.Line, true, grid.Point{X: 40, Y: 60}, grid.Point{X: 130, Y: 75}); len(e.Points) != 1 || e.Points[0] != (grid.Point{X: 90}) {
		t.Errorf("a straight line is %v", e.Points)
	}
	round := groundLine(t, d, hand.Freehand, false, grid.Point{X: 60, Y: 60}, grid.Point{X: 120, Y: 60}, grid.Point{X: 120, Y: 110}, grid.Point{X: 60, Y: 110}, grid.Point{X: 62, Y: 63})
	if len(round.Points) != 3 || len(round.Values) != 1 || round.Values[0].Key != "closed" {
		t.Errorf("what ends where it began is %v, %v", round.Points, round.Values)
	}
}

// The ends of a line snap to the ends of another one.
func TestGroundLinesMeet(t *testing.T) {
	e := document.Entity{ID: "lineslinesli", Layer: sample.Entities, Kind: kind.GroundLine, Name: "Ground", Facing: document.Down, X: 32, Y: 52, W: 16, H: 16, Points: []grid.Point{{X: 60, Y: 10}}}
	d := sample.With(sample.World(), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	made := groundLine(t, d, hand.Line, false, grid.Point{X: 103, Y: 74}, grid.Point{X: 43, Y: 57})
	at := grid.Point{X: made.X + made.W/2, Y: made.Y + made.H/2}
	if at != (grid.Point{X: 100, Y: 70}) || made.Points[0] != (grid.Point{X: -60, Y: -10}) {
		t.Errorf("it goes from %v by %v", at, made.Points)
	}
	// it may begin just where another one does
	if same := groundLine(t, d, hand.Line, false, grid.Point{X: 41, Y: 61}, grid.Point{X: 41, Y: 120}); same.X != e.X || same.Y != e.Y {
		t.Errorf("one from the same place begins at %d,%d", same.X, same.Y)
	}
	far := groundLine(t, d, hand.Line, false, grid.Point{X: 120, Y: 74}, grid.Point{X: 160, Y: 90})
	if at := (grid.Point{X: far.X + far.W/2, Y: far.Y + far.H/2}); at != (grid.Point{X: 120, Y: 74}) {
		t.Errorf("one farther off begins at %v", at)
	}
}
