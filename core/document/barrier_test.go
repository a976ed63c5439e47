package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"math/rand/v2"
	"testing"
)

// barred is the Pans in other bounds, with nothing in the way but what disorder
// puts on its cells: walls, parts of tiles, one-way sides and zones.
func barred(t *testing.T, r *rand.Rand, bounds grid.Rect) (empty *document.Document, on map[grid.Point][]edit.Primitive) {
	t.Helper()
	d := sample.World()
	set := *d.Tilesets.Get(sample.Coast)
	own := document.NewTileInfo(13)
	own.Part, own.Own = document.PartOwn, document.Outlines{{{X: 2, Y: 2}, {X: 14, Y: 5}, {X: 6, Y: 7}, {X: 3, Y: 15}}, {{X: 10, Y: 10}, {X: 14, Y: 10}, {X: 14, Y: 14}, {X: 10, Y: 14}}}
	set.Infos = nil
	for i, part := range []string{"upper half", "ground rising right", "gentle left, upper"} {
		o := document.NewTileInfo(10 + i)
		o.Part = part
		set.Infos = append(set.Infos, o)
	}
	set.Infos = append(set.Infos, own)
	for i, side := range []document.Facing{document.Up, document.Right} {
		o := document.NewTileInfo(14 + i)
		o.OneWay = side
		set.Infos = append(set.Infos, o)
	}
	zones := document.ID("zoneszoneszo")
	e := &edit.Edit{Do: []edit.Primitive{
		edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", set.Infos),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "bounds", bounds),
		edit.Insert(edit.Ref{Type: edit.TypeZone, ID: "walkwalkwalk"}, document.Zone{ID: "walkwalkwalk", Number: 40, Name: "Ford", Is: document.ZoneWalkable, Hatch: document.Hatches[0], Colour: "#33509e"}),
		edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Pans, ID: zones}, map[string]any{
			"id": zones, "name": "Zones", "order": 9, "kind": "zones", "hidden": false, "locked": false, "opacity": 100, "front": false}),
	}}
	res := edit.Apply(d, e)
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	on = map[grid.Point][]edit.Primitive{}
	for range bounds.W * bounds.H / 2 {
		p := grid.Point{X: bounds.X + r.IntN(bounds.W), Y: bounds.Y + r.IntN(bounds.H)}
		layer, c := sample.Things, cells.TileCell(1, 10+r.IntN(6)).Turned(grid.Turn(r.IntN(8)))
		switch r.IntN(7) {
		case 0:
			layer, c = zones, cells.TileCell(40, 0)
		case 1, 2:
			layer, c = sample.Ground, sample.Wall
		}
		at := &grid.Region{}
		at.Add(p)
		on[p] = append(on[p], sample.Paint(sample.Pans, layer, at, c))
	}
	return res.Doc, on
}

// What is merged stops a box where the cells stop it, each laid alone.
func TestMergedStopsAsItsCellsDo(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	bounds := grid.Rect{X: -9, Y: -5, W: 70, H: 40}
	empty, on := barred(t, r, bounds)
	var all []edit.Primitive
	for y := range bounds.H {
		for x := range bounds.W {
			all = append(all, on[grid.Point{X: bounds.X + x, Y: bounds.Y + y}]...)
		}
	}
	stop := func(do []edit.Primitive) func(was, box document.Extent) bool {
		d := edit.Apply(empty, &edit.Edit{Do: do}).Doc
		solids := d.Solids()
		return func(was, box document.Extent) bool { return solids.Stops(d.Maps.Get(sample.Pans), was, box) }
	}
	merged, alone := stop(all), map[grid.Point]func(was, box document.Extent) bool{}
	const cell = 16 * document.Unit
	stops := 0
	for range 6000 {
		x, y := r.Int64N(68*cell)-9*cell, r.Int64N(38*cell)-5*cell
		size := int64(4+r.IntN(16)) * document.Unit
		was := document.Extent{Left: x, Top: y, Right: x + size, Bottom: y + size}
		dx, dy := r.Int64N(9*document.Unit)-4*document.Unit, r.Int64N(9*document.Unit)-4*document.Unit
		box := document.Extent{Left: x + dx, Top: y + dy, Right: x + dx + size, Bottom: y + dy + size}
		want := false
		for cy := y/cell - 3; cy < y/cell+4; cy++ {
			for cx := x/cell - 3; cx < x/cell+4; cx++ {
				p := grid.Point{X: int(cx), Y: int(cy)}
				if on[p] == nil {
					continue
				}
				if alone[p] == nil {
					alone[p] = stop(on[p])
				}
				want = want || alone[p](was, box)
			}
		}
		if got := merged(was, box); got != want {
			t.Fatalf("from %v to %v: merged %v, cell by cell %v", was, box, got, want)
		}
		if want {
			stops++
		}
	}
	if stops < 1000 || stops > 5000 {
		t.Errorf("%d of 6000 boxes are stopped: this shows little", stops)
	}
}
