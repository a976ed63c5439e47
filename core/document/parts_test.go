package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/sample"
	"encoding/json"
	"slices"
	"testing"
)

// stopped asks whether a box of 2×2 pixels is stopped by the tile on cell 5,5.
func stopped(t *testing.T, info document.TileInfo, c cells.Cell, x, y int64, from [2]int64) bool {
	t.Helper()
	d := sample.World()
	set := *d.Tilesets.Get(sample.Coast)
	info.Tile = 9
	set.Infos = []document.TileInfo{info}
	if err := set.Check(); err != nil {
		t.Fatal(err)
	}
	d.Tilesets = d.Tilesets.With(set.ID, &set)
	m := *d.Maps.Get(sample.Pans)
	l := *m.Layers.Get(sample.Things)
	region := &grid.Region{}
	region.Add(grid.Point{X: 5, Y: 5})
	l.Cells, _ = cells.Paint(region, m.Bounds, []cells.Cell{c}, 1, grid.Point{}).Apply(l.Cells)
	m.Layers = m.Layers.With(l.ID, &l)
	d.Maps = d.Maps.With(m.ID, &m)
	box := func(x, y int64) document.Extent {
		x, y = (x+80)*document.Unit, (y+80)*document.Unit
		return document.Extent{Left: x, Top: y, Right: x + 2*document.Unit, Bottom: y + 2*document.Unit}
	}
	return d.Solids().Stops(&m, box(from[0], from[1]), box(x, y))
}

// A part stops where a slow test, pixel by pixel, finds it under the box.
func TestPartsStopWhereTheyLie(t *testing.T) {
	for _, part := range document.Parts {
		for turn := grid.Turn(0); turn < 8; turn++ {
			info := document.NewTileInfo(9)
			info.Part = part.Name
			c := cells.TileCell(1, 9).Turned(turn)
			back := turn.Inverse()
			for y := int64(0); y < 15; y += 2 {
				for x := int64(0); x < 15; x += 2 {
					want := false
					for _, q := range [][2]int{{1, 1}, {5, 1}, {1, 5}, {5, 5}, {3, 3}, {7, 7}, {0, 7}, {7, 0}, {4, 7}, {7, 4}} {
						// eighths of pixels inside the box, turned back into the tile
						r := back.Rect(grid.Rect{X: int(x)*8 + q[0]*2, Y: int(y)*8 + q[1]*2, W: 1, H: 1}, 128, 128)
						want = want || within(part.Area, r.X*2+1, r.Y*2+1, 128)
					}
					got := stopped(t, info, c, x, y, [2]int64{x, y})
					if want && !got {
						t.Fatalf("%s, turned %d: nothing stops at %d,%d", part.Name, turn, x, y)
					}
					if got && !want && !nearEdge(part.Area, back, x, y) {
						t.Fatalf("%s, turned %d: something stops at %d,%d", part.Name, turn, x, y)
					}
				}
			}
		}
	}
}

// within tests a point in half units of n parts against an outline in halves.
func within(area []grid.Point, x, y, n int) bool {
	for i, a := range area {
		b := area[(i+1)%len(area)]
		if (b.X-a.X)*(y-a.Y*n)-(b.Y-a.Y)*(x-a.X*n) < 0 {
			return false
		}
	}
	return true
}

// nearEdge allows for boxes of which only a sliver lies in the part.
func nearEdge(area []grid.Point, back grid.Turn, x, y int64) bool {
	for dy := range 17 {
		for dx := range 17 {
			r := back.Rect(grid.Rect{X: min(127, int(x)*8+dx), Y: min(127, int(y)*8+dy), W: 1, H: 1}, 128, 128)
			if within(area, r.X*2+1, r.Y*2+1, 128) {
				return true
			}
		}
	}
	return false
}

func TestOneWayStopsFromOneSide(t *testing.T) {
	info := document.NewTileInfo(9)
	info.OneWay = document.Up
	tile := cells.TileCell(1, 9)
	for _, c := range []struct {
		name       string
		cell       cells.Cell
		from, x, y int64
		fromY      int64
		want       bool
	}{
		{"from above", tile, 4, 4, -1, -2, true},
		{"from below", tile, 4, 4, 13, 16, false},
		{"already inside", tile, 4, 4, 6, 5, false},
		{"turned upside down, from below", tile.Turned(grid.Half), 4, 4, 15, 16, true},
		{"turned right, from the right", tile.Turned(grid.Quarter), 17, 15, 4, 4, true},
	} {
		if got := stopped(t, info, c.cell, c.x, c.y, [2]int64{c.from, c.fromY}); got != c.want {
			t.Errorf("%s: stopped %v", c.name, got)
		}
	}
}

func TestOwnParts(t *testing.T) {
	own := func(p ...int) document.TileInfo {
		info := document.NewTileInfo(9)
		info.Part = document.PartOwn
		info.Own = document.Outlines{nil}
		for i := 0; i < len(p); i += 2 {
			info.Own[0] = append(info.Own[0], grid.Point{X: p[i], Y: p[i+1]})
		}
		return info
	}
	if !stopped(t, own(8, 8, 16, 8, 16, 16, 8, 16), cells.TileCell(1, 9), 9, 9, [2]int64{}) ||
		stopped(t, own(8, 8, 16, 8, 16, 16, 8, 16), cells.TileCell(1, 9), 4, 9, [2]int64{}) {
		t.Error("an own rectangle does not stop where it lies")
	}
	for _, bad := range []document.TileInfo{own(0, 0, 16, 0), own(0, 0, 40, 0, 16, 16), own(0, 0, 16, 0, 0, 16, 16, 16), own(0, 0, 8, 0, 16, 0), own(0, 0, 16, 0, 16, 8, 16, 4, 0, 4)} {
		set := document.Tileset{ID: "coastcoastco", Name: "C", Number: 1, Picture: sample.World().Tilesets.Get(sample.Coast).Picture, Width: 128, Height: 128,
			Cut: document.Cut{CellWidth: 16, CellHeight: 16}, Infos: []document.TileInfo{bad}}
		if set.Check() == nil {
			t.Errorf("%v was taken", bad.Own)
		}
	}
}

// An outline of any form, and several at once, stop exactly where a point of
// them lies under the box, by the crossings that a ray from it counts.
func TestOutlinesOfAnyForm(t *testing.T) {
	inside := func(o document.Outline, x, y float64) (in bool) {
		for i, a := range o {
			b := o[(i+1)%len(o)]
			if (float64(a.Y) > y) != (float64(b.Y) > y) && x < float64(b.X-a.X)*(y-float64(a.Y))/float64(b.Y-a.Y)+float64(a.X) {
				in = !in
			}
		}
		return in
	}
	for name, own := range map[string]document.Outlines{
		"a corner":          {{{X: 0, Y: 0}, {X: 16, Y: 0}, {X: 16, Y: 4}, {X: 4, Y: 4}, {X: 4, Y: 16}, {X: 0, Y: 16}}},
		"the other way":     {{{X: 0, Y: 16}, {X: 4, Y: 16}, {X: 4, Y: 4}, {X: 16, Y: 4}, {X: 16, Y: 0}, {X: 0, Y: 0}}},
		"a comb":            {{{X: 0, Y: 0}, {X: 16, Y: 0}, {X: 16, Y: 16}, {X: 12, Y: 16}, {X: 12, Y: 4}, {X: 8, Y: 4}, {X: 8, Y: 16}, {X: 4, Y: 16}, {X: 4, Y: 4}, {X: 0, Y: 4}}},
		"an arrow":          {{{X: 0, Y: 0}, {X: 16, Y: 8}, {X: 0, Y: 16}, {X: 8, Y: 8}}},
		"corners in a row":  {{{X: 0, Y: 0}, {X: 8, Y: 0}, {X: 16, Y: 0}, {X: 16, Y: 4}, {X: 8, Y: 4}, {X: 8, Y: 16}, {X: 0, Y: 16}, {X: 0, Y: 8}}},
		"two rectangles":    {{{X: 0, Y: 0}, {X: 4, Y: 0}, {X: 4, Y: 16}, {X: 0, Y: 16}}, {{X: 12, Y: 4}, {X: 16, Y: 4}, {X: 16, Y: 12}, {X: 12, Y: 12}}},
		"a square and more": {{{X: 2, Y: 2}, {X: 6, Y: 2}, {X: 6, Y: 6}, {X: 2, Y: 6}}, {{X: 16, Y: 8}, {X: 16, Y: 16}, {X: 8, Y: 16}}},
	} {
		info := document.NewTileInfo(9)
		info.Part, info.Own = document.PartOwn, own
		for y := int64(0); y <= 14; y++ {
			for x := int64(0); x <= 14; x++ {
				want := false
				for sy := 0.05; sy < 2; sy += 0.1 {
					for sx := 0.05; sx < 2; sx += 0.1 {
						for _, o := range own {
							want = want || inside(o, float64(x)+sx, float64(y)+sy)
						}
					}
				}
				if got := stopped(t, info, cells.TileCell(1, 9), x, y, [2]int64{x, y}); got != want {
					t.Errorf("%s at %d,%d: stopped %v", name, x, y, got)
				}
			}
		}
	}
}

// One outline that stands without a list round it is still read.
func TestOutlineStoredAlone(t *testing.T) {
	for text, want := range map[string]int{`[{"x":1,"y":2},{"x":3,"y":2},{"x":3,"y":5}]`: 3, `[[{"x":1,"y":2},{"x":3,"y":2},{"x":3,"y":5}]]`: 3, `[]`: 0, `null`: 0} {
		var got document.Outlines
		if err := json.Unmarshal([]byte(text), &got); err != nil || len(slices.Concat(got...)) != want {
			t.Errorf("%s is read as %v, %v", text, got, err)
		}
	}
	var got document.Outlines
	if json.Unmarshal([]byte(`[[1]]`), &got) == nil {
		t.Errorf("read as %v", got)
	}
}
