package world_test

import (
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/material"
	"azzel/core/sample"
	"azzel/core/world"
	"math/bits"
	"math/rand/v2"
	"testing"
)

// After each of many edits the ground that was taken over is what one is that is looked at anew: painted, with materials that fit
// themselves, with layers that come and go.
func TestGroundAfterEdits(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	// a material that is solid where an even number of sides are its own
	var tiles []material.Tile
	for n := range 16 {
		form := material.Form(n&1 | n&2<<1 | n&4<<2 | n&8<<3)
		tiles = append(tiles, material.Tile{Cell: []cells.Cell{sample.Wall, sample.Floor}[bits.OnesCount(uint(n))%2], Form: form, Odds: 1})
	}
	d := sample.With(sample.World(),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{X: -7, Y: -3, W: 90, H: 70}),
		edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: "limelimelime"}, document.Material{ID: "limelimelime", Name: "Lime", Number: 7, By: material.BySides, Tiles: tiles}))
	st := world.New(d, chart.New(d, nil), nil)
	look := func(st *world.Stage) {
		g := st.Grounds[st.MapOf(sample.Quay)]
		for y := range g.Bounds.H {
			for x := range g.Bounds.W {
				g.At(grid.Point{X: g.Bounds.X + x, Y: g.Bounds.Y + y})
			}
		}
		g.Open()
	}
	look(st)
	for n := range 500 {
		box := &grid.Region{}
		// mostly where four blocks meet, which is 32 cells from the corner
		at := grid.Rect{X: 20 + r.IntN(8), Y: 24 + r.IntN(8), W: 1 + r.IntN(3), H: 1 + r.IntN(3)}
		if n%4 == 0 {
			at.X, at.Y = r.IntN(88)-7, r.IntN(68)-3
		}
		box.AddRect(at)
		p := sample.Paint(sample.Quay, sample.Things, box, []cells.Cell{0, sample.Wall, cells.MaterialCell(7, n%5)}[r.IntN(3)])
		switch n % 20 {
		case 7:
			p = edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Things}, "front", n%40 < 20)
		case 13:
			p = edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "x", 16*r.IntN(20))
		case 19:
			p = edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{X: -7, Y: -3, W: 90 - n%3, H: 70})
		}
		d = sample.With(d, p)
		ch := chart.New(d, nil)
		st = world.New(d, ch, st)
		anew := world.New(d, ch, nil)
		a, b := st.Grounds[st.MapOf(sample.Quay)], anew.Grounds[anew.MapOf(sample.Quay)]
		for y := range a.Bounds.H {
			for x := range a.Bounds.W {
				at := grid.Point{X: a.Bounds.X + x, Y: a.Bounds.Y + y}
				if a.At(at) != b.At(at) {
					t.Fatalf("after %d edits %v is %b, and looked at anew %b", n+1, at, a.At(at), b.At(at))
				}
			}
		}
		x, y := a.Open(), b.Open()
		for i := range y.Free {
			if x.Free[i] != y.Free[i] || x.Odd[i] != y.Odd[i] {
				t.Fatalf("after %d edits other cells are free in word %d", n+1, i)
			}
		}
	}
}
