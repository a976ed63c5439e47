package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"slices"
	"testing"
)

// Zones decide before tiles: what is blocked stops the hero, what is walkable does not.
func TestZonesDecideWhatIsSolid(t *testing.T) {
	d := sample.World()
	layer := document.Layer{ID: "zoneszonesen", Name: "Zones", Kind: document.LayerZones, Opacity: 100, Order: 9}
	zone := func(id document.ID, number int, is string) edit.Primitive {
		return edit.Insert(edit.Ref{Type: edit.TypeZone, ID: id}, document.Zone{ID: id, Name: is, Number: number, Is: is, Hatch: "dots", Colour: "#102030"})
	}
	one := func(x, y int) (r *grid.Region) {
		r = &grid.Region{}
		r.Add(grid.Point{X: x, Y: y})
		return r
	}
	res := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: layer.ID}, layer),
		zone("blockedblock", 7, document.ZoneBlocked), zone("walkablewalk", 8, document.ZoneWalkable), zone("waterwaterwa", 9, document.ZoneWater),
		sample.Paint(sample.Quay, layer.ID, one(5, 5), cells.TileCell(7, 0)),
		sample.Paint(sample.Quay, layer.ID, one(0, 0), cells.TileCell(8, 0)),
		sample.Paint(sample.Quay, layer.ID, one(1, 0), cells.TileCell(9, 0)),
	}})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	s, m := res.Doc.Solids(), res.Doc.Maps.Get(sample.Quay)
	for _, c := range []struct {
		x, y        int
		solid, zone bool
	}{{5, 5, true, true}, {0, 0, false, false}, {1, 0, true, false}, {6, 5, false, false}} {
		p := grid.Point{X: c.x, Y: c.y}
		if s.At(m, p) != c.solid || s.Zoned(m, p) != c.zone {
			t.Errorf("cell %v: solid %v, by a zone %v", p, s.At(m, p), s.Zoned(m, p))
		}
	}
	if again, err := document.Decode(res.Doc.Encode()); err != nil || again.Hash() != res.Doc.Hash() {
		t.Errorf("zones are lost when stored: %v", err)
	}
	for _, bad := range []document.Zone{{Is: "lava"}, {Is: "own", Hatch: "plaid"}, {Is: "own", Hatch: "dots", Colour: "red"}} {
		bad.ID, bad.Name, bad.Number = "zonezonezone", "Z", 3
		if bad.Check() == nil {
			t.Errorf("%+v was taken", bad)
		}
	}
}

// A tile that counts as a blocked zone stops the hero, a solid one that counts
// as walkable does not; a zone that was removed says nothing.
func TestTilesCountAsZones(t *testing.T) {
	for _, c := range []struct {
		is           string
		gone         bool
		plain, solid bool
	}{
		{document.ZoneBlocked, false, true, true},
		{document.ZoneWalkable, false, false, false},
		{document.ZoneWater, false, false, true},
		{document.ZoneBlocked, true, false, true},
	} {
		d := sample.World()
		set := *d.Tilesets.Get(sample.Coast)
		for _, tile := range []int{0, set.Solid[0]} {
			info := document.NewTileInfo(tile)
			info.Zone = "zonezonezone"
			set.Infos = append(set.Infos, info)
		}
		do := []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeTileset, ID: set.ID}, "infos", set.Infos)}
		if !c.gone {
			z := document.Zone{ID: "zonezonezone", Name: "Z", Number: 7, Is: c.is, Hatch: "dots", Colour: "#102030"}
			do = append(do, edit.Insert(edit.Ref{Type: edit.TypeZone, ID: z.ID}, z))
		}
		res := edit.Apply(d, &edit.Edit{Do: do})
		if len(res.Dropped) > 0 {
			t.Fatal(res.Dropped)
		}
		s := res.Doc.Solids()
		if got := s.Cell(cells.TileCell(set.Number, 0)); got != c.plain {
			t.Errorf("%s, removed %v: an open tile stops: %v", c.is, c.gone, got)
		}
		if got := s.Cell(cells.TileCell(set.Number, set.Solid[0])); got != c.solid {
			t.Errorf("%s, removed %v: a solid tile stops: %v", c.is, c.gone, got)
		}
	}
}

// Standing finds what a box in cells finds, and no more.
func TestStanding(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	for y := -2; y < 14; y++ {
		for x := -2; x < 22; x++ {
			p := grid.Point{X: x, Y: y}
			var want []*document.Entity
			for _, e := range m.Entities.All() {
				if e.Box(m).Contains(p) {
					want = append(want, e)
				}
			}
			if got := m.Standing(p); !slices.Equal(got, want) {
				t.Errorf("on %v stand %d, wanted %d", p, len(got), len(want))
			}
		}
	}
}
