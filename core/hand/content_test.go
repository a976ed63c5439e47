package hand_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/sample"
	"strings"
	"testing"
)

// painted does a press on the Pans and gives its ground then.
func painted(t *testing.T, w hand.Work, g hand.Grip, ges hand.Gesture) cells.Plane {
	t.Helper()
	p, err := hand.Resolve(w, g, ges)
	if err != nil {
		t.Fatal(err)
	}
	do, _ := p.Edit(w.Doc, w.Map, g)
	res := edit.Apply(w.Doc, &edit.Edit{Do: do})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	return res.Doc.Maps.Get(w.Map.ID).Layers.Get(sample.Ground).Cells
}

func pans() hand.Work {
	d := sample.World()
	return at(d, d.Maps.Get(sample.Pans))
}

func inside(x0, y0, x1, y1 int) (r *grid.Region) {
	r = &grid.Region{}
	r.AddRect(grid.RectOf(grid.Point{X: x0, Y: y0}, grid.Point{X: x1, Y: y1}))
	return r
}

func TestRimHoldsInsideApart(t *testing.T) {
	floor := cells.TileCell(1, 7)
	g := tile(hand.Rim)
	g.Inside = &hand.Grip{What: hand.Tiles, Cells: []cells.Cell{floor}, Width: 1}
	after := painted(t, pans(), g, hand.Gesture{Way: way(2, 2, 6, 5)})
	for y := 1; y < 8; y++ {
		for x := 1; x < 8; x++ {
			want := sample.Floor
			switch {
			case x > 2 && x < 6 && y > 2 && y < 5:
				want = floor
			case x >= 2 && x <= 6 && y >= 2 && y <= 5:
				want = sample.Wall
			}
			if after.At(x, y) != want {
				t.Errorf("cell %d,%d is %x, wanted %x", x, y, after.At(x, y), want)
			}
		}
	}
	g.Inside = &hand.Grip{What: hand.Entity, Kind: kind.Door}
	if _, err := hand.Resolve(pans(), g, hand.Gesture{Way: way(2, 2, 6, 5)}); err == nil || !strings.Contains(err.Error(), "inside") {
		t.Errorf("doors for the inside: %v", err)
	}
}

func TestBlocksRepeatFromTheStartOrTheMap(t *testing.T) {
	g := hand.Grip{What: hand.Tiles, Cells: []cells.Cell{cells.TileCell(1, 10), cells.TileCell(1, 11)}, Width: 2, Shape: hand.Box}
	after := painted(t, pans(), g, hand.Gesture{Way: way(3, 1, 6, 1)})
	if after.At(3, 1).Tile() != 10 || after.At(6, 1).Tile() != 11 {
		t.Error("the block does not begin where the stroke did")
	}
	g.Aligned = true
	after = painted(t, pans(), g, hand.Gesture{Way: way(3, 1, 6, 1)})
	if after.At(3, 1).Tile() != 11 || after.At(4, 1).Tile() != 10 {
		t.Error("the block does not lie on the map's grid")
	}
	// a loose set leaves what is not of it
	g = hand.Grip{What: hand.Tiles, Cells: []cells.Cell{cells.TileCell(1, 10), 0}, Width: 2, Shape: hand.Box}
	after = painted(t, pans(), g, hand.Gesture{Way: way(0, 1, 3, 1)})
	if after.At(0, 1).Tile() != 10 || after.At(1, 1) != sample.Floor || after.At(2, 1).Tile() != 10 {
		t.Error("a hole in what is held was put down")
	}
}

func TestScatterFollowsOddsAndKeepsApart(t *testing.T) {
	tiles := []cells.Cell{cells.TileCell(1, 10), cells.TileCell(1, 11), cells.TileCell(1, 12)}
	g := hand.Grip{What: hand.Tiles, Cells: tiles, Width: 3, Shape: hand.Box, Scatter: &hand.Scatter{Odds: []int{1, 0, 2}, Nothing: 3}}
	ges := hand.Gesture{Way: way(0, 0, 19, 11), Seed: 5}
	after := painted(t, pans(), g, ges)
	got := map[cells.Cell]int{}
	for y := range 12 {
		for x := range 20 {
			got[after.At(x, y)]++
		}
	}
	// 240 cells: 40, 0, 80 and 120 are expected
	if n := got[tiles[0]]; n < 20 || n > 62 || got[tiles[1]] != 0 || got[tiles[2]] < 55 || got[sample.Floor] < 90 {
		t.Errorf("the scatter gave %v", got)
	}
	ges.Seed = 6
	if again := painted(t, pans(), g, ges); len(again.Changed(after)) == 0 {
		t.Error("another seed draws the same")
	}
	// a cell's draw does not depend on how large the shape is
	small := painted(t, pans(), g, hand.Gesture{Way: way(4, 4, 7, 7), Seed: 5})
	if small.At(5, 5) != after.At(5, 5) || small.At(7, 7) != after.At(7, 7) {
		t.Error("the draw changed with the shape")
	}
	g.Scatter = &hand.Scatter{Apart: true}
	after = painted(t, pans(), g, ges)
	for y := range 12 {
		for x := range 20 {
			if x > 0 && after.At(x, y) == after.At(x-1, y) || y > 0 && after.At(x, y) == after.At(x, y-1) {
				t.Fatalf("the same tile lies beside itself at %d,%d", x, y)
			}
		}
	}
	g.Scatter = &hand.Scatter{Odds: []int{0, 0, 0}, Nothing: 4}
	if _, err := hand.Resolve(pans(), g, ges); err == nil || !strings.Contains(err.Error(), "odds") {
		t.Errorf("odds of 0: %v", err)
	}
	g.Scatter = &hand.Scatter{Odds: []int{-1, 2, 3}}
	if _, err := hand.Resolve(pans(), g, ges); err == nil {
		t.Error("negative odds were taken")
	}
	// the odds of the tileset hold where the hand has none
	w := pans()
	set := *w.Doc.Tilesets.Get(sample.Coast)
	never := document.NewTileInfo(10)
	never.Odds = 0
	set.Infos = []document.TileInfo{never}
	w.Doc.Tilesets = w.Doc.Tilesets.With(set.ID, &set)
	g.Scatter = &hand.Scatter{}
	after = painted(t, w, g, ges)
	for y := range 12 {
		for x := range 20 {
			if after.At(x, y) == tiles[0] {
				t.Fatal("a tile whose odds are 0 was drawn")
			}
		}
	}
}

func TestMirrorTurnsAndSwapsPartners(t *testing.T) {
	w := pans()
	set := *w.Doc.Tilesets.Get(sample.Coast)
	partner := document.NewTileInfo(5)
	partner.Partner = 6
	set.Infos = []document.TileInfo{partner}
	w.Doc.Tilesets = w.Doc.Tilesets.With(set.ID, &set)
	w.Mirror = grid.Mirror{Mode: grid.MirrorLeftRight, X: 20}
	g := hand.Grip{What: hand.Tiles, Cells: []cells.Cell{cells.TileCell(1, 5), cells.TileCell(1, 8)}, Width: 2, Shape: hand.Freehand}
	after := painted(t, w, g, hand.Gesture{Way: way(2, 3)})
	for _, c := range []struct {
		x    int
		want cells.Cell
	}{{2, cells.TileCell(1, 5)}, {3, cells.TileCell(1, 8)}, {17, cells.TileCell(1, 6)}, {16, cells.TileCell(1, 8) | cells.MirrorX}, {15, sample.Floor}} {
		if got := after.At(c.x, 3); got != c.want {
			t.Errorf("cell %d is %x, wanted %x", c.x, got, c.want)
		}
	}
	// where images meet, what was drawn itself stays
	after = painted(t, w, g, hand.Gesture{Way: way(9, 3)})
	if after.At(9, 3) != cells.TileCell(1, 5) || after.At(10, 3) != cells.TileCell(1, 8) {
		t.Error("an image covers what was drawn")
	}
	w.Mirror = grid.Mirror{Mode: grid.MirrorQuarters, X: 12, Y: 12}
	after = painted(t, w, tile(hand.Freehand), hand.Gesture{Way: way(1, 2)})
	for _, p := range way(1, 2, 9, 1, 10, 9, 2, 10) {
		if after.At(p.X, p.Y)&^cells.TurnBits != sample.Wall {
			t.Errorf("%v has no image", p)
		}
	}
	door := hand.Grip{What: hand.Entity, Kind: kind.Spawn, Shape: hand.Freehand, Turn: 3}
	w.Mirror = grid.Mirror{Mode: grid.MirrorLeftRight, X: 20}
	p, err := hand.Resolve(w, door, hand.Gesture{Way: way(2, 2)})
	if err != nil || len(p.Place) != 2 || p.Place[0].Facing != document.Right || p.Place[1].Facing != document.Left || p.Place[1].X != 17*16 {
		t.Errorf("mirrored spawns: %v %+v", err, p)
	}
}

func TestWithinASelection(t *testing.T) {
	w := pans()
	w.Within = inside(4, 4, 6, 6)
	after := painted(t, w, tile(hand.Fill), hand.Gesture{Way: way(5, 5)})
	if after.At(4, 4) != sample.Wall || after.At(3, 4) != sample.Floor {
		t.Error("the fill does not keep to the selection")
	}
	if _, err := hand.Resolve(w, tile(hand.Box), hand.Gesture{Way: way(0, 0, 2, 2)}); err == nil || !strings.Contains(err.Error(), "selection") {
		t.Errorf("outside the selection: %v", err)
	}
	// empties of the selection
	w.Active = sample.Things
	p, err := hand.Resolve(w, tile(hand.Empties), hand.Gesture{Way: way(0, 0)})
	if err != nil || p.Region.Count() != 9 {
		t.Errorf("the empties are %v %v", p, err)
	}
}

// Points far outside are taken in time, whatever the shape.
func TestFarPointsAreBroughtNear(t *testing.T) {
	for _, shape := range []string{hand.Line, hand.Box, hand.Rim, hand.Oval, hand.Freehand} {
		p, err := hand.Resolve(pans(), tile(shape), hand.Gesture{Way: way(3, 3, 1<<50, -1<<50, 1<<40, 1<<50)})
		// the far oval passes the map's corner by
		if outside := shape == hand.Oval; outside != (err != nil) || !outside && p.Region.Count() == 0 {
			t.Errorf("%s: %v", shape, err)
		}
	}
	w := pans()
	if r, err := w.Pick(hand.Picking{By: hand.ByBox, Way: way(-1<<50, -1<<50, 1<<50, 1<<50)}, nil); err != nil || r.Count() != 240 {
		t.Errorf("selecting far: %v", err)
	}
}

func TestSelecting(t *testing.T) {
	d := sample.World()
	w := at(d, d.Maps.Get(sample.Quay))
	w.Active = sample.Things
	pick := func(p hand.Picking, before *grid.Region) int {
		t.Helper()
		r, err := w.Pick(p, before)
		if err != nil {
			t.Fatal(err)
		}
		return r.Count()
	}
	box := hand.Picking{By: hand.ByBox, Way: way(3, 3, 6, 5)}
	if n := pick(box, nil); n != 12 {
		t.Errorf("a box selects %d", n)
	}
	before := inside(5, 3, 8, 5)
	for mode, want := range map[string]int{hand.Add: 18, hand.Take: 6, hand.InCommonOf: 6, hand.Replace: 12} {
		box.Mode = mode
		if n := pick(box, before); n != want {
			t.Errorf("%s gives %d cells, wanted %d", mode, n, want)
		}
	}
	if n := pick(hand.Picking{By: hand.ByArea, Way: way(0, 0)}, nil); n != 60 {
		t.Errorf("the wall is %d cells", n)
	}
	if n := pick(hand.Picking{By: hand.ByArea, Way: way(5, 5), Through: true}, nil); n != 180 {
		t.Errorf("the floor that shows is %d cells", n)
	}
	if n := pick(hand.Picking{By: hand.BySame, Way: way(0, 0)}, nil); n != 60 {
		t.Errorf("the same tile lies in %d cells", n)
	}
	w.Active = sample.Entities
	if _, err := w.Pick(hand.Picking{By: hand.BySame, Way: way(0, 0)}, nil); err == nil {
		t.Error("cells were selected on a layer of entities")
	}
}

// A motif puts its parts on the layers of their names, with its entities, and
// turns as a whole.
func TestMotifIsPutDownWhole(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	piece, err := author.Lift(author.Area{Map: m, Region: inside(9, 1, 11, 3)})
	if err != nil || len(piece.Parts) != 1 || len(piece.Entities) != 1 {
		t.Fatalf("%v %+v", err, piece)
	}
	c, err := author.AddMotif(d, "Gate", piece)
	if err != nil {
		t.Fatal(err)
	}
	d = edit.Apply(d, &edit.Edit{Do: c.Do}).Doc
	w := at(d, d.Maps.Get(sample.Pans))
	g := hand.Grip{What: hand.Motif, Motif: c.Made, Shape: hand.Freehand, Turn: grid.Quarter}
	p, err := hand.Resolve(w, g, hand.Gesture{Way: way(4, 4)})
	if err != nil || len(p.Place) != 1 || p.Region.Count() != 9 {
		t.Fatalf("%v %+v", err, p)
	}
	// the door stood in the middle of the three by three cells
	if e := p.Place[0]; e.X != 5*16 || e.Y != 5*16 || e.Name != "Door" || e.Facing != document.Left {
		t.Errorf("the door is %+v", e)
	}
	g.Shape = hand.Box
	p, err = hand.Resolve(w, g, hand.Gesture{Way: way(0, 0, 8, 5)})
	if err != nil || len(p.Place) != 6 {
		t.Errorf("a box of motifs: %v, %d doors", err, len(p.Place))
	}
	// two thousand at once and no more
	wide := *w.Map
	wide.Bounds = grid.Rect{W: 3 * 100, H: 3 * 21}
	w.Map = &wide
	if p, err = hand.Resolve(w, g, hand.Gesture{Way: way(0, 0, 299, 59)}); err != nil || len(p.Place) != 2000 {
		t.Errorf("two thousand: %v, %d doors", err, len(p.Place))
	}
	if _, err = hand.Resolve(w, g, hand.Gesture{Way: way(0, 0, 299, 62)}); err == nil || !strings.Contains(err.Error(), "more than 2000") {
		t.Errorf("more than two thousand: %v", err)
	}
	w = at(d, d.Maps.Get(sample.Pans))
	g.Motif = "gonegonegone"
	if _, err := hand.Resolve(w, g, hand.Gesture{Way: way(0, 0)}); err == nil || !strings.Contains(err.Error(), "removed") {
		t.Errorf("a motif that is gone: %v", err)
	}
	large := *piece
	large.ID, large.W = "largelargela", 30
	w.Kept = func(document.ID) *document.Motif { return &large }
	g.Motif = large.ID
	if _, err := hand.Resolve(w, g, hand.Gesture{Way: way(0, 0)}); err == nil || !strings.Contains(err.Error(), "larger first") {
		t.Errorf("larger than the map: %v", err)
	}
}
