package chart_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"math/rand/v2"
	"reflect"
	"slices"
	"strings"
	"testing"
)

func apply(t *testing.T, d *document.Document, do ...edit.Primitive) *document.Document {
	t.Helper()
	res := edit.Apply(d, &edit.Edit{Do: do})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	return res.Doc
}

func at(t *testing.T, d *document.Document, m document.ID, x, y int) *document.Document {
	t.Helper()
	return apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m}, "chart", grid.Point{X: x, Y: y}))
}

// beside is the sample with the Pans right of the Quay, whose right wall has a gap of rows 4 and 5.
func beside(t *testing.T) *document.Document {
	t.Helper()
	gap := &grid.Region{}
	gap.AddRect(grid.Rect{X: 19, Y: 4, W: 1, H: 2})
	d := apply(t, sample.World(), sample.Paint(sample.Quay, sample.Things, gap, 0))
	return at(t, at(t, d, sample.Quay, 0, 0), sample.Pans, 320, 0)
}

func TestPlacesKeepApart(t *testing.T) {
	d := at(t, sample.World(), sample.Quay, -100, 50)
	places := chart.Places(d)
	if places[sample.Quay] != (grid.Rect{X: -100, Y: 50, W: 320, H: 192}) {
		t.Errorf("the Quay lies at %v", places[sample.Quay])
	}
	if p := places[sample.Pans]; p.Y < 242 || p.W != 320 {
		t.Errorf("a map that nobody placed lies at %v", p)
	}
	// many maps that nobody placed never lie over each other
	for i := range 60 {
		m := *d.Maps.Get(sample.Pans)
		m.ID, m.Bounds.W = document.ID(fmt.Sprintf("mapmapmapm%c%c", 'a'+i/26, 'a'+i%26)), 5+i
		d.Maps = d.Maps.With(m.ID, &m)
	}
	var all []grid.Rect
	for _, r := range chart.Places(d) {
		for _, o := range all {
			if !r.Intersect(o).Empty() {
				t.Fatalf("%v lies over %v", r, o)
			}
		}
		all = append(all, r)
	}
}

// Maps that only lie in one line, or meet at a corner, do not touch.
func TestApartThereIsNoSeam(t *testing.T) {
	base := beside(t)
	for name, p := range map[string]grid.Point{"farther right": {X: 336}, "right and below": {X: 320, Y: 192}, "farther below": {Y: 208}, "above, to the left": {X: -320, Y: -192},
		"right of it, far below": {X: 320, Y: 500}, "below it, far right": {X: 700, Y: 192}, "left of it, far above": {X: -320, Y: -500}, "above it, far left": {X: -700, Y: -192}} {
		if got := chart.New(at(t, base, sample.Pans, p.X, p.Y), nil).Seams(); len(got) != 0 {
			t.Errorf("%s: %+v", name, got)
		}
	}
}

func TestSeams(t *testing.T) {
	set := func(d *document.Document, m document.ID, field string, value any) *document.Document {
		return apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m}, field, value))
	}
	base := beside(t)
	for _, c := range []struct {
		name string
		d    *document.Document
		side document.Facing
		open []chart.Stretch
		why  string
	}{
		{"a gap in the wall", base, document.Right, []chart.Stretch{{From: 4, To: 6}}, ""},
		{"a row lower", at(t, base, sample.Pans, 320, 16), document.Right, []chart.Stretch{{From: 4, To: 6}}, ""},
		{"only a corner's width in common", at(t, base, sample.Pans, 320, 80), document.Right, []chart.Stretch{{From: 5, To: 6}}, ""},
		{"below", at(t, base, sample.Pans, 0, 192), document.Down, []chart.Stretch{}, ""},
		{"out of step", at(t, base, sample.Pans, 320, 7), document.Right, []chart.Stretch{}, "out of step"},
		{"cells of another size", set(at(t, base, sample.Pans, 320, 0), sample.Pans, "cellWidth", 8), document.Right, []chart.Stretch{}, "cells differ"},
		{"another grid", set(base, sample.Pans, "grid", document.GridDiamond), document.Right, []chart.Stretch{}, "diamonds"},
		{"seen from the side", set(base, sample.Pans, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}}), document.Right, []chart.Stretch{}, "from the side"},
		{"a template", set(base, sample.Pans, "template", true), document.Right, []chart.Stretch{}, "template"},
	} {
		got := chart.New(c.d, nil).Seams()
		if len(got) != 1 {
			t.Errorf("%s: %d seams", c.name, len(got))
			continue
		}
		if s := got[0]; s.A != sample.Quay || s.B != sample.Pans || s.Side != c.side || !reflect.DeepEqual(s.Open, c.open) || !strings.Contains(s.Why, c.why) || (c.why == "") != (s.Why == "") {
			t.Errorf("%s: %+v", c.name, s)
		}
	}
	for _, d := range []*document.Document{at(t, base, sample.Pans, 321, 0), at(t, base, sample.Pans, 320, 192), at(t, base, sample.Pans, 300, 0), sample.World()} {
		if got := chart.New(d, nil).Seams(); len(got) != 0 {
			t.Errorf("maps that do not touch have %+v", got)
		}
	}
}

// Beyond an open seam lies the cell that lies beside on the chart, and back again.
func TestBeyond(t *testing.T) {
	d := at(t, beside(t), sample.Pans, 320, 32)
	c := chart.New(d, nil)
	quay, pans := d.Maps.Get(sample.Quay), d.Maps.Get(sample.Pans)
	m, p, s := c.Beyond(quay, grid.Point{X: 20, Y: 4})
	if m != pans || p != (grid.Point{X: 0, Y: 2}) || s == nil {
		t.Fatalf("beyond lies %v of %v", p, m)
	}
	if m, p, _ := c.Beyond(pans, grid.Point{X: -1, Y: 2}); m != quay || p != (grid.Point{X: 19, Y: 4}) {
		t.Errorf("and back lies %v", p)
	}
	for _, q := range []grid.Point{{X: 5, Y: 5}, {X: 5}, {Y: 4}, {X: 19, Y: 4}, {X: 20, Y: 1}, {X: 5, Y: -1}} {
		if m, _, _ := c.Beyond(quay, q); m != nil {
			t.Errorf("%v leads to %s", q, m.Name)
		}
	}
	change, err := author.SetSeam(d, sample.Pans, sample.Quay, true, nil)
	if err != nil {
		t.Fatal(err)
	}
	d = apply(t, d, change.Do...)
	if m, _, _ := chart.New(d, nil).Beyond(d.Maps.Get(sample.Quay), grid.Point{X: 20, Y: 4}); m != nil {
		t.Error("a closed seam leads on")
	}
}

func TestSnapped(t *testing.T) {
	d := at(t, at(t, sample.World(), sample.Quay, 0, 0), sample.Pans, 900, 900)
	for _, c := range []struct{ at, want grid.Point }{
		{grid.Point{X: 330, Y: 5}, grid.Point{X: 320, Y: 0}},
		{grid.Point{X: 311, Y: 25}, grid.Point{X: 320, Y: 32}},
		{grid.Point{X: -330, Y: -3}, grid.Point{X: -320, Y: 0}},
		{grid.Point{X: 3, Y: 200}, grid.Point{X: 0, Y: 192}},
		{grid.Point{X: 20, Y: -188}, grid.Point{X: 16, Y: -192}},
		{grid.Point{X: 400, Y: 400}, grid.Point{X: 400, Y: 400}},
		{grid.Point{X: 330, Y: 250}, grid.Point{X: 330, Y: 250}},
	} {
		if got := chart.New(d, nil).Snapped(sample.Pans, c.at, 12); got != c.want {
			t.Errorf("dragged to %v it lies at %v, wanted %v", c.at, got, c.want)
		}
	}
}

func texts(all []chart.Finding) (out []string) {
	for _, f := range all {
		out = append(out, f.What+" "+string(f.Map)[:4])
	}
	slices.Sort(out)
	return
}

func TestFindings(t *testing.T) {
	d := sample.World()
	check := func(name string, d *document.Document, want ...string) {
		t.Helper()
		slices.Sort(want)
		if got := texts(chart.New(d, nil).Findings()); !slices.Equal(got, want) {
			t.Errorf("%s: %q, wanted %q", name, got, want)
		}
	}
	check("alone", d, "leads nowhere quay", "no way in pans", "no way out pans", "no way out quay")
	c, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: grid.Point{X: 4, Y: 4}, Facing: document.Right, Back: true})
	if err != nil {
		t.Fatal(err)
	}
	joined := apply(t, d, c.Do...)
	check("joined there and back", joined)
	// later painting breaks an end, and that is told at once
	var arrival *document.Entity
	for _, e := range joined.Maps.Get(sample.Pans).Entities.All() {
		if e.Kind == kind.Arrival {
			arrival = e
		}
	}
	wall := &grid.Region{}
	wall.AddRect(grid.Rect{X: 4, Y: 4, W: 1, H: 1})
	before := chart.New(joined, nil)
	before.Findings()
	walled := apply(t, joined, sample.Paint(sample.Pans, sample.Things, wall, sample.Wall))
	check("walled in", walled, "arrival blocked pans")
	if got := chart.New(walled, before).Findings(); len(got) != 1 || got[0].Entity != arrival.ID || !got[0].Serious {
		t.Errorf("from the chart before it: %+v", got)
	}
	exits := &grid.Region{}
	exits.AddRect(grid.Rect{X: 18, Y: 5, W: 1, H: 2})
	check("the exit walled in", apply(t, joined, sample.Paint(sample.Quay, sample.Things, exits, sample.Wall)), "exit blocked quay")
	ref := edit.Ref{Type: edit.TypeEntity, Map: sample.Pans, ID: arrival.ID}
	check("the arrival taken away", apply(t, joined, edit.Remove(ref)), "end is gone quay")
	check("a seam is a way", beside(t), "leads nowhere quay")
	side := apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "sides", [4]string{"", "exit", "", ""}))
	check("an edge that is an exit", side, "leads nowhere pans", "leads nowhere quay", "no way in pans", "no way out pans", "no way out quay")
	next := apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "next", true))
	check("one starts the next", next, "leads nowhere quay", "no way out pans")
	check("a template is no place", apply(t, d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "template", true)), "leads nowhere quay", "no way out quay")
}

// From the chart before it or from nothing: after any edits the findings are the same.
func TestFindingsKeepUp(t *testing.T) {
	r := rand.New(rand.NewPCG(8, 1))
	for range 20 {
		d := sample.World()
		c := chart.New(d, nil)
		for range 25 {
			d = edit.Apply(d, &edit.Edit{Do: sample.Primitives(r, d)}).Doc
			if m := d.MapsInOrder(); len(m) > 0 && r.IntN(3) == 0 { // one that only moves, until it touches another one or does not any more
				d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: m[r.IntN(len(m))].ID}, "chart", grid.Point{X: r.IntN(3) * 320, Y: r.IntN(2) * 192})}}).Doc
			}
			c = chart.New(d, c)
			if got, want := c.Seams(), chart.New(d, nil).Seams(); !reflect.DeepEqual(got, want) {
				t.Fatalf("seams kept: %v\nanew: %v", got, want)
			}
			if got, want := c.Findings(), chart.New(d, nil).Findings(); !reflect.DeepEqual(got, want) {
				t.Fatalf("kept: %v\nanew: %v", got, want)
			}
		}
	}
}

func BenchmarkFindings(b *testing.B) {
	d := sample.Maps(1000, 3000)
	b.Run("baseline-walk-passages", func(b *testing.B) {
		for b.Loop() {
			n := 0
			for _, p := range d.Passages.All() {
				if d.Entity(p.To.Map, p.To.Entity) != nil {
					n++
				}
			}
		}
	})
	b.Run("from-scratch", func(b *testing.B) {
		for b.Loop() {
			chart.New(d, nil).Findings()
		}
	})
	before := chart.New(d, nil)
	before.Findings()
	m := *d.Maps.All()[5]
	l := *m.Layers.Get(sample.Things)
	spot := &grid.Region{}
	spot.Add(grid.Point{X: 3, Y: 3})
	l.Cells, _ = cells.Paint(spot, m.Bounds, []cells.Cell{sample.Wall}, 1, grid.Point{}).Apply(l.Cells)
	m.Layers = m.Layers.With(l.ID, &l)
	after := *d
	after.Maps = after.Maps.With(m.ID, &m)
	b.Run("after-an-edit", func(b *testing.B) {
		for b.Loop() {
			chart.New(&after, before).Findings()
		}
	})
}

// The seams of a map are those of all that have it at one of their sides, however many there are.
func TestSeamsOfAMap(t *testing.T) {
	c := chart.New(sample.Maps(120, 60), nil)
	some := 0
	for _, m := range c.Doc().MapsInOrder() {
		var want []chart.Seam
		for _, s := range c.Seams() {
			if s.A == m.ID || s.B == m.ID {
				want = append(want, s)
			}
		}
		got := c.SeamsOf(m.ID)
		some += len(got)
		if len(got) != len(want) {
			t.Fatalf("%s has %d seams, wanted %d", m.Name, len(got), len(want))
		}
		for i, s := range got {
			if s.A != want[i].A || s.B != want[i].B {
				t.Errorf("seam %d of %s is of %s and %s", i, m.Name, s.A, s.B)
			}
		}
	}
	if some == 0 {
		t.Error("no map has a seam")
	}
}
