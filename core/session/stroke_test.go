package session_test

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/sample"
	"azzel/core/session"
	"math/rand/v2"
	"slices"
	"testing"
)

// told is what a ghost shows by cell, and the cells that its rectangles cover.
type told struct {
	cells map[grid.Point]int64
	area  grid.Region
}

func (t *told) add(g *session.Ghost) {
	if t.cells == nil {
		t.cells = map[grid.Point]int64{}
	}
	for i := 0; i+2 < len(g.Cells); i += 3 {
		t.cells[grid.Point{X: int(g.Cells[i]), Y: int(g.Cells[i+1])}] = g.Cells[i+2]
	}
	if g.Covered {
		t.cells = map[grid.Point]int64{}
	}
	for _, r := range g.Rects { // what is known of their chunks is otherwise now
		gone := &grid.Region{}
		gone.AddRect(grid.Rect{X: grid.FloorDiv(r.X, grid.ChunkSize) * grid.ChunkSize, Y: grid.FloorDiv(r.Y, grid.ChunkSize) * grid.ChunkSize, W: grid.ChunkSize, H: grid.ChunkSize})
		if !gone.Covers(r) {
			panic("a rectangle of a stroke goes over the side of a chunk")
		}
		t.area.Subtract(gone)
	}
	for _, r := range g.Rects {
		t.area.AddRect(r)
	}
}

// A stroke that is led on point by point comes to the same ghost as one that is told whole, whatever is held, wherever it goes.
func TestAStrokeThatIsLedOn(t *testing.T) {
	block := hand.Grip{What: hand.Tiles, Shape: hand.Freehand, Width: 2, Cells: []cells.Cell{cells.TileCell(1, 1), cells.TileCell(1, 2), cells.TileCell(1, 3), 0}}
	one := hand.Grip{What: hand.Tiles, Shape: hand.Freehand, Width: 1, Cells: []cells.Cell{sample.Wall}}
	aligned, scattered, broad, round := block, block, one, one
	aligned.Aligned = true
	scattered.Scatter = &hand.Scatter{Nothing: 2}
	broad.Size = 3
	round.Size, round.Round = 4, true
	for name, c := range map[string]struct {
		grip   hand.Grip
		remove bool
	}{
		"a tile": {one, false}, "broad": {broad, false}, "round": {round, false}, "a block": {block, false}, "an aligned block": {aligned, false}, "scattered": {scattered, false},
		"a material": {hand.Grip{What: hand.Material, Shape: hand.Freehand, Number: 9}, false}, "a zone": {hand.Grip{What: hand.Zone, Shape: hand.Freehand, Number: 7}, false},
		"the eraser": {hand.Grip{What: hand.Eraser, Shape: hand.Freehand, Size: 2}, false}, "removing": {broad, true},
	} {
		r := rand.New(rand.NewPCG(28, 11))
		for range 8 {
			s, whole := opened(t, sample.Full()), opened(t, sample.Full())
			at := grid.Point{X: r.IntN(18), Y: r.IntN(12)}
			way := []grid.Point{at}
			ask := func(s *session.Session, way []grid.Point, of, after int) session.Ghost {
				return call[session.Ghost](t, s, "preview", args{"map": sample.Quay, "active": sample.Ground, "grip": c.grip, "mirror": args{}, "of": of, "after": after,
					"gesture": args{"way": way, "remove": c.remove, "seed": 5}})
			}
			ghost := ask(s, way, 0, 0)
			if ghost.Refusal != "" {
				t.Fatalf("%s: %s", name, ghost.Refusal)
			}
			var so told
			so.add(&ghost)
			for range 12 {
				var on []grid.Point
				for range 1 + r.IntN(3) { // over the edge and back as well
					at = grid.Point{X: at.X + r.IntN(9) - 4, Y: at.Y + r.IntN(7) - 3}
					on = append(on, at)
				}
				next := ask(s, on, ghost.Number, len(way))
				if c.grip.Scatter != nil && ghost.Cells == nil && next.Lost { // nothing was drawn yet
					next = ask(s, append(slices.Clone(way), on...), 0, 0)
					so, next.More = told{}, true
				}
				if !next.More || next.Lost {
					t.Fatalf("%s: led on it is %+v", name, next)
				}
				way = append(way, on...)
				so.add(&next)
				var want told
				all := ask(whole, way, 0, 0)
				want.add(&all)
				if next.Count != all.Count || next.Bounds != all.Bounds || !slices.Equal(next.Drawn, all.Drawn) {
					t.Fatalf("%s: it is %d cells in %v, %v; told whole %d in %v, %v", name, next.Count, next.Bounds, next.Drawn, all.Count, all.Bounds, all.Drawn)
				}
				for p, v := range want.cells {
					if so.cells[p] != v {
						t.Fatalf("%s: %v is %d, told whole %d", name, p, so.cells[p], v)
					}
				}
				if len(so.cells) != len(want.cells) || !slices.Equal(so.area.Points(), want.area.Points()) {
					t.Fatalf("%s: there are %d cells and %d covered, told whole %d and %d", name, len(so.cells), so.area.Count(), len(want.cells), want.area.Count())
				}
				ghost.Number, ghost.Cells = next.Number, append(ghost.Cells, next.Cells...)
			}
			if lost := ask(s, way[:1], ghost.Number-1, len(way)); !lost.Lost {
				t.Errorf("%s: of another ghost it is led on: %+v", name, lost)
			}
		}
	}
}

// A stroke that has become too long to be drawn cell by cell is what it covers from then on.
func TestAStrokeBecomesLong(t *testing.T) {
	d := sample.Square(128, 2, 1)
	layer := d.Maps.Get(sample.Large).LayersInOrder()[0].ID
	s := opened(t, d)
	grip := hand.Grip{What: hand.Tiles, Shape: hand.Freehand, Width: 2, Cells: []cells.Cell{sample.Wall, sample.Floor}, Size: 40, Scatter: &hand.Scatter{}}
	ask := func(way []args, of, after int) session.Ghost {
		return call[session.Ghost](t, s, "preview", args{"map": sample.Large, "active": layer, "grip": grip, "mirror": args{}, "of": of, "after": after, "gesture": args{"way": way}})
	}
	g := ask(way(20, 20), 0, 0)
	if len(g.Cells) != 3*1600 {
		t.Fatalf("there are %d numbers of cells", len(g.Cells))
	}
	for i, c := range []struct {
		x, count int
		covered  bool
	}{{40, 2400, false}, {80, 4000, true}, {90, 4400, true}} {
		if g = ask(way(c.x, 20), g.Number, i+1); !g.More || g.Count != c.count || g.Covered != c.covered || (len(g.Cells) > 0) == c.covered || len(g.Rects) == 0 {
			t.Errorf("to %d it is %d cells in %v, covered: %t, cells of %d", c.x, g.Count, g.Rects, g.Covered, len(g.Cells))
		}
		if whole := ask(way(20, 20, c.x, 20), 0, 0); !slices.Equal(g.Drawn, whole.Drawn) {
			t.Errorf("to %d %v are drawn, told whole %v", c.x, g.Drawn, whole.Drawn)
		}
		var on []args // the stroke anew, since it was told whole
		for x := range i + 1 {
			on = append(on, way([]int{40, 80, 90}[x], 20)...)
		}
		g = ask(way(20, 20), 0, 0)
		g = ask(on, g.Number, 1)
	}
}

// A stroke is not led on once something else is held, or the map was changed.
func TestAStrokeIsLost(t *testing.T) {
	s := open(t)
	ask := func(grip any, of, after int) session.Ghost {
		return call[session.Ghost](t, s, "preview", args{"map": sample.Quay, "active": sample.Ground, "grip": grip, "mirror": args{}, "of": of, "after": after, "gesture": args{"way": way(2+after, 2)}})
	}
	first := ask(tile(hand.Freehand), 0, 0)
	if other := ask(hand.Grip{What: hand.Eraser, Shape: hand.Freehand}, first.Number, 1); !other.Lost || other.More {
		t.Errorf("with another hand it is %+v", other)
	}
	first = ask(tile(hand.Freehand), 0, 0)
	call[any](t, s, "press", args{"map": sample.Quay, "active": sample.Ground, "mirror": args{}, "grip": hand.Grip{What: hand.Eraser, Shape: hand.Freehand}, "gesture": args{"way": way(9, 9)}})
	if after := ask(tile(hand.Freehand), first.Number, 1); !after.Lost {
		t.Errorf("after a change it is %+v", after)
	}
	if boxed := ask(tile(hand.Box), 0, 0); !ask(tile(hand.Box), boxed.Number, 1).Lost {
		t.Error("a box is led on")
	}
}
