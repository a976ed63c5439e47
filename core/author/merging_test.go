package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"strings"
	"testing"
)

// Layers are merged only where nothing looks otherwise afterwards, and what is in the
// way is said as it is.
func TestMergeSaysWhatIsInTheWay(t *testing.T) {
	group := document.Layer{ID: "groupgroupgr", Name: "Roofs", Kind: document.LayerGroup, Opacity: 100, Order: 30}
	sky := document.Layer{ID: "skyskyskysky", Name: "Sky", Kind: document.LayerPicture, Opacity: 100, Order: 40, Image: &document.LayerImage{From: "#102030", To: "#405060", Scale: 100}}
	at := func(id document.ID) edit.Ref { return edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: id} }
	set := func(id document.ID, field string, v any) edit.Primitive { return edit.Set(at(id), field, v) }
	for _, c := range []struct {
		id  document.ID
		do  []edit.Primitive
		why string
	}{
		{sample.Things, nil, ""},
		{sample.Things, []edit.Primitive{set(sample.Things, "opacity", 80)}, "Things is drawn at 80 % and Ground is drawn at 100 %"},
		{sample.Things, []edit.Primitive{set(sample.Things, "opacity", 80), set(sample.Ground, "opacity", 80)}, ""},
		{sample.Things, []edit.Primitive{set(sample.Ground, "tint", "#ff0000")}, "Things is drawn without a tint and Ground is drawn tinted #ff0000"},
		{sample.Things, []edit.Primitive{set(sample.Things, "offsetX", 4)}, "off by 4, 0 pixels"},
		{sample.Things, []edit.Primitive{set(sample.Ground, "lagY", 30)}, "going 0, 30 % with the view"},
		{sample.Things, []edit.Primitive{set(sample.Things, "front", true)}, "before the hero"},
		{sample.Things, []edit.Primitive{set(sample.Things, "foot", true)}, "sorted by foot: true"},
		{sample.Things, []edit.Primitive{set(sample.Ground, "hidden", true)}, "Ground is hidden: show it first"},
		{sample.Things, []edit.Primitive{set(sample.Things, "locked", true)}, "Things is locked: unlock it first"},
		{sample.Things, []edit.Primitive{edit.Insert(at(group.ID), group), set(sample.Things, "group", group.ID), set(group.ID, "hidden", true)}, "Things is hidden"},
		{sample.Ground, nil, "below Ground there is no other layer of tiles"},
		{sample.Entities, nil, "below Entities there is no other layer of entities"},
		{group.ID, []edit.Primitive{edit.Insert(at(group.ID), group)}, "Roofs is a group"},
		{sky.ID, []edit.Primitive{edit.Insert(at(sky.ID), sky)}, "Sky shows a picture"},
	} {
		res := edit.Apply(sample.World(), &edit.Edit{Do: c.do})
		if len(res.Dropped) > 0 {
			t.Fatal(res.Dropped)
		}
		_, err := author.MergeDown(res.Doc.Maps.Get(sample.Quay), c.id)
		if c.why == "" && err != nil || c.why != "" && (err == nil || !strings.Contains(err.Error(), c.why)) {
			t.Errorf("merging %s after %v: %v, wanted %q", c.id, c.do, err, c.why)
		}
	}
}

// An exchange tells what it could not do.
func TestExchangeTellsWhatStays(t *testing.T) {
	town := *coast(sample.World())
	town.ID, town.Name, town.Number, town.Width, town.Height, town.Solid = "townstownsto", "Town", 31, 32, 16, nil
	far := cells.TileCell(1, 9)
	d := edit.Apply(sample.World(), &edit.Edit{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeTileset, ID: town.ID}, town),
		sample.Paint(sample.Pans, sample.Things, box(2, 2, 3, 1), far)}}).Doc
	from, to := coast(d), d.Tilesets.Get(town.ID)
	c, err := author.ExchangeSets(d, nil, nil, from, to)
	if want := "Exchanged 540 cells; 3 cells kept theirs, since Town lacks 62 of the tiles"; err != nil || c.Label.Text != want {
		t.Errorf("it says %q, %v", c.Label.Text, err)
	}
	d = done(t, d, c, err)
	if got := d.Maps.Get(sample.Pans).Layers.Get(sample.Things).Cells.At(2, 2); got != far {
		t.Errorf("the tile that Town lacks became %x", got)
	}
	if _, err := author.ExchangeSets(d, d.Maps.Get(sample.Pans), nil, from, to); err == nil || !strings.Contains(err.Error(), "Town has no tile at the place") {
		t.Errorf("where nothing has a counterpart it says %v", err)
	}
	locked := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Pans, ID: sample.Things}, "locked", true)}}).Doc
	if _, err := author.Exchange(locked, nil, nil, []author.Swap{{From: far}}); err == nil || !strings.Contains(err.Error(), "locked layers only") {
		t.Errorf("on a locked layer it says %v", err)
	}
	both := edit.Apply(locked, &edit.Edit{Do: []edit.Primitive{sample.Paint(sample.Quay, sample.Things, box(5, 5, 2, 1), far)}}).Doc
	if c, err = author.Exchange(both, nil, nil, []author.Swap{{From: far}}); err != nil || c.Label.Text != "Exchanged 2 cells; 3 cells on locked layers stayed" {
		t.Errorf("it says %q, %v", c.Label.Text, err)
	}
}

// A map that is made from a template has the size that was asked for.
func TestCopyHasItsOwnSize(t *testing.T) {
	d := sample.World()
	for size, want := range map[grid.Point]grid.Rect{{}: {W: 20, H: 12}, {X: 30, Y: 9}: {W: 30, H: 9}, {X: 5}: {W: 5, H: 12}} {
		c, err := author.CopyMap(d, d.Maps.Get(sample.Quay), "Other", size, false)
		if got := done(t, d, c, err).Maps.Get(c.Made).Bounds; got != want {
			t.Errorf("asked for %v it is %v", size, got)
		}
	}
	if _, err := author.CopyMap(d, d.Maps.Get(sample.Quay), "Other", grid.Point{X: 9999}, false); err == nil {
		t.Error("a map of 9999 cells was made")
	}
}
