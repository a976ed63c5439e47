package author_test

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

func TestCopyMapAndCharting(t *testing.T) {
	d := sample.World()
	c, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Quay, At: grid.Point{X: 4, Y: 4}, Facing: document.Right})
	d = apply(t, d, c, err)
	c, err = author.CopyMap(d, d.Maps.Get(sample.Quay), "Quay by night", grid.Point{}, true)
	copied := apply(t, d, c, err)
	m := copied.Maps.Get(c.Made)
	if m == nil || m.Name != "Quay by night" || m.Layers.Len() != 3 || m.Entities.Len() != d.Maps.Get(sample.Quay).Entities.Len() || copied.Passages.Len() != 2 {
		t.Fatalf("the copy is %+v with %d passages", m, copied.Passages.Len())
	}
	for _, p := range copied.Passages.All() {
		if p.From.Map != p.To.Map {
			t.Error("a passage within the map leads out of its copy")
		}
	}
	for _, e := range m.Entities.All() {
		if m.Layers.Get(e.Layer) == nil || d.Entity(sample.Quay, e.ID) != nil {
			t.Error("the copy shares layers or ids")
		}
	}
	c, err = author.OfferStart(d, d.Maps.Get(sample.Pans))
	d = apply(t, d, c, err)
	if e := d.Entity(sample.Pans, c.Made); e == nil || e.Kind != kind.Spawn || e.X != 160 || e.Y != 96 {
		t.Errorf("offered %+v", e)
	}
	c, err = author.ReorderMaps(d, sample.Pans, 0)
	d = apply(t, d, c, err)
	if d.MapsInOrder()[0].ID != sample.Pans {
		t.Error("the Pans are not first")
	}
	c, err = author.PlaceMaps(chart.New(d, nil), map[document.ID]grid.Point{sample.Pans: {X: 80, Y: 4}}, 24)
	d = apply(t, d, c, err)
	if a, b := d.Maps.Get(sample.Quay).Chart, d.Maps.Get(sample.Pans).Chart; a == nil || b == nil || b.Y != a.Y || b.X-a.X != 320 && a.X-b.X != 320 {
		t.Errorf("placed at %v and %v", a, b)
	}
	for name, f := range map[string]func() error{
		"side": func() error { _, err := author.SetSide(d.Maps.Get(sample.Quay), document.Up, "door"); return err },
		"far": func() error {
			_, err := author.PlaceMaps(chart.New(d, nil), map[document.ID]grid.Point{sample.Pans: {X: 1 << 40}}, 0)
			return err
		},
		"seam": func() error { _, err := author.SetSeam(d, sample.Quay, sample.Quay, true, nil); return err },
		"gate": func() error {
			_, err := author.SetSeam(d, sample.Quay, sample.Pans, false, []document.Gate{{Asks: "moon"}})
			return err
		},
		"same": func() error {
			_, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Quay, Arrival: sample.Exit, Facing: document.Up})
			return err
		},
	} {
		if f() == nil {
			t.Errorf("%s: was done", name)
		}
	}
}

// Copies act in the order of what they were made from, whatever their ids are.
func TestCopiesKeepTheirRank(t *testing.T) {
	order := func(m *document.Map) (names []string) {
		for _, e := range document.InRank(m.Entities.All()) {
			names = append(names, strings.TrimRight(e.Name, " 0123456789"))
		}
		return names
	}
	d := sample.World()
	quay := d.Maps.Get(sample.Quay)
	want := order(quay) // none has a rank yet: it is by their ids
	for range 5 {
		c, err := author.CopyMap(d, quay, "", grid.Point{}, false)
		after := apply(t, d, c, err)
		if got := order(after.Maps.Get(c.Made)); !slices.Equal(got, want) {
			t.Fatalf("a copied map acts in the order %v, wanted %v", got, want)
		}
		copied, _, err := author.CopyEntities(d, quay, quay.Entities.All(), 0, 0)
		after = apply(t, d, copied, err)
		if got := order(after.Maps.Get(sample.Quay)); !slices.Equal(got, append(slices.Clone(want), want...)) {
			t.Fatalf("copies act in the order %v, wanted %v twice", got, want)
		}
	}
}

// The first map has the cells of the tilesets that are there, where these agree.
func TestFirstMapHasTheTilesetsCells(t *testing.T) {
	set := func(id document.ID, w, h int) document.Tileset {
		return document.Tileset{ID: id, Name: string(id), Cut: document.Cut{CellWidth: w, CellHeight: h}}
	}
	for _, c := range []struct {
		sets []document.Tileset
		w, h int
	}{
		{nil, 16, 16},
		{[]document.Tileset{set("a", 18, 22)}, 18, 22},
		{[]document.Tileset{set("a", 18, 22), set("b", 18, 22)}, 18, 22},
		{[]document.Tileset{set("a", 18, 22), set("b", 18, 24)}, 16, 16},
		{[]document.Tileset{set("a", 18, 22), set("b", 20, 22)}, 16, 16},
	} {
		d := document.New("Empty")
		for _, s := range c.sets {
			d.Tilesets = d.Tilesets.With(s.ID, &s)
		}
		change, err := author.NewMap(d, "First", 9, 9)
		d = apply(t, d, change, err)
		m := d.Maps.Get(change.Made)
		if m.CellWidth != c.w || m.CellHeight != c.h || d.Project.CellWidth != c.w || d.Project.CellHeight != c.h {
			t.Errorf("with %d tilesets it has cells of %d × %d, the project of %d × %d", len(c.sets), m.CellWidth, m.CellHeight, d.Project.CellWidth, d.Project.CellHeight)
		}
		// later ones go by the project
		other := set("z", 40, 40)
		d.Tilesets = document.Table[document.Tileset]{}.With(other.ID, &other)
		change, err = author.NewMap(d, "Second", 9, 9)
		if m := apply(t, d, change, err).Maps.Get(change.Made); m.CellWidth != c.w {
			t.Errorf("the second map has cells of %d", m.CellWidth)
		}
	}
}
