package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/material"
	"azzel/core/sample"
	"reflect"
	"slices"
	"testing"
)

// What is copied to another project finds its tilesets, materials and zones
// there again, or brings them along.
func TestAdoptBringsWhatIsMissing(t *testing.T) {
	d := sample.World()
	c, err := author.AddMaterial(d, document.Material{Name: "Sea", Number: 4, Is: "water", Tiles: []material.Tile{{Cell: cells.TileCell(1, 3), Form: 255, Odds: 1}}})
	d = done(t, d, c, err)
	c, err = author.AddZone(d, document.Zone{Name: "Bog", Number: 6, Is: "water"})
	d = done(t, d, c, err)
	zones := document.Layer{ID: "zoneszonesen", Name: "Zones", Kind: document.LayerZones, Opacity: 100, Order: 9}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: zones.ID}, zones),
		sample.Paint(sample.Quay, zones.ID, box(2, 2, 1, 1), cells.TileCell(6, 0)),
		sample.Paint(sample.Quay, sample.Things, box(2, 2, 2, 1), cells.MaterialCell(4, 9)),
	}}).Doc
	piece, err := author.Lift(author.Area{Map: quay(d), Region: box(1, 1, 4, 3)})
	if err != nil {
		t.Fatal(err)
	}
	from := author.UsedBy(d, piece)
	if len(from.Tilesets) != 1 || len(from.Materials) != 1 || len(from.Zones) != 1 {
		t.Fatalf("it is made of %+v", from)
	}
	other := document.New("Other")
	a, err := author.Adopt(other, piece, from, nil)
	if err != nil || a.Needs != 3 {
		t.Fatalf("it needs %d numbers; %v", a.Needs, err)
	}
	a, err = author.Adopt(other, piece, from, []int{7, 8, 9})
	other = done(t, other, a.Change, err)
	if other.TilesetByNumber(8) == nil || other.MaterialByNumber(9).Tiles[0].Cell != cells.TileCell(8, 3) || other.ZoneByNumber(7) == nil {
		t.Error("something did not come along")
	}
	got := map[cells.Cell]bool{}
	for _, p := range a.Piece.Parts {
		p.Cells.Each(func(_ grid.Point, c cells.Cell) { got[c] = true })
	}
	for _, want := range []cells.Cell{cells.TileCell(8, 0), cells.MaterialCell(9, 9), cells.TileCell(7, 0)} {
		if !got[want] {
			t.Errorf("%x is missing in %v", want, got)
		}
	}
	// a second time all is found
	a, err = author.Adopt(other, piece, from, nil)
	if err != nil || a.Needs != 0 || len(a.Do) != 0 {
		t.Errorf("again it needs %d and does %d steps; %v", a.Needs, len(a.Do), err)
	}
}

func TestPlanOfAMap(t *testing.T) {
	d := sample.World()
	c, err := author.PlanOf(quay(d))
	d = done(t, d, c, err)
	c, err = author.NewMap(d, "Shaft", 9, 9)
	d = done(t, d, c, err)
	if got := d.Maps.Get(c.Made).LayersInOrder(); len(got) != 3 || got[1].Name != "Things" {
		t.Errorf("the new map has %d layers", len(got))
	}
	// with all that is set of its layers
	ref := edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Things}
	do := []edit.Primitive{}
	for field, value := range map[string]any{"opacity": 40, "foot": true, "tint": "#aabbcc", "offsetX": -3, "offsetY": 5, "lagX": 50, "lagY": -20, "hidden": true, "locked": true} {
		do = append(do, edit.Set(ref, field, value))
	}
	d = edit.Apply(d, &edit.Edit{Do: do}).Doc
	c, err = author.PlanOf(quay(d))
	d = done(t, d, c, err)
	c, err = author.NewMap(d, "Cellar", 9, 9)
	d = done(t, d, c, err)
	was, got := *d.Maps.Get(sample.Quay).Layers.Get(sample.Things), *d.Maps.Get(c.Made).LayersInOrder()[1]
	was.ID, was.Order, was.Cells, got.ID, got.Order, got.Cells = "", 0, cells.Plane{}, "", 0, cells.Plane{}
	if !reflect.DeepEqual(was, got) {
		t.Errorf("the plan gives %+v, the layer is %+v", got, was)
	}
	if plain := d.Maps.Get(c.Made).LayersInOrder()[0]; plain.Opacity != 100 {
		t.Errorf("a plain layer begins with %d %%", plain.Opacity)
	}
}

// A picture that is put nowhere lies under all that is painted, again and again.
func TestPictureLayersLieBelow(t *testing.T) {
	d := sample.World()
	sky := document.LayerImage{From: "#102030", To: "#405060", Scale: 100}
	for i := range 16 {
		c, err := author.AddPictureLayer(quay(d), "Sky", sky, "")
		d = done(t, d, c, err)
		if got := quay(d).LayersInOrder(); got[0].ID != c.Made || len(got) != 4+i {
			t.Fatalf("of %d layers it lies over %v", len(got), got[0].Name)
		}
	}
	c, err := author.AddPictureLayer(quay(d), "Fog", sky, sample.Things)
	d = done(t, d, c, err)
	all := quay(d).LayersInOrder()
	for i, l := range all {
		if l.ID == sample.Things && all[i+1].ID != c.Made {
			t.Error("the fog does not lie over the things")
		}
	}
}

// The zone of a tile is brought along with its tileset, and found again by name
// where the other project has it.
func TestZonesOfTilesAreBroughtAlong(t *testing.T) {
	d := sample.World()
	zone := document.Zone{ID: "zonezonezone", Name: "Quicksand", Number: 7, Is: document.ZoneBlocked, Hatch: "dots", Colour: "#102030"}
	c, err := author.AddZone(d, zone)
	d = done(t, d, c, err)
	zone.ID = c.Made
	c, err = author.MarkTiles(d.Tilesets.Get(sample.Coast), []int{3}, author.TileMark{Zone: &zone.ID})
	d = done(t, d, c, err)
	piece := &document.Motif{W: 1, H: 1, CellWidth: 16, CellHeight: 16, Parts: []document.MotifPart{{Layer: "Ground", Kind: document.LayerTiles,
		Cells: cells.Paint(box(0, 0, 1, 1), grid.Rect{W: 1, H: 1}, []cells.Cell{cells.TileCell(1, 3)}, 1, grid.Point{})}}}
	from := author.UsedBy(d, piece)
	if len(from.Zones) != 1 {
		t.Fatalf("the copy brings %d zones", len(from.Zones))
	}
	for _, has := range []bool{false, true} {
		other := document.New("Other")
		if has {
			own := zone
			own.Number = 3
			c, err := author.AddZone(other, own)
			other = done(t, other, c, err)
			for i, unlike := range []document.Zone{{Name: "Quicksand 2", Is: zone.Is}, {Name: "Mud", Is: document.ZoneWater}} {
				unlike.ID, unlike.Number, unlike.Hatch, unlike.Colour = document.NewID(), 4+i, zone.Hatch, zone.Colour
				c, err = author.AddZone(other, unlike)
				other = done(t, other, c, err)
			}
		}
		a, err := author.Adopt(other, piece, from, []int{20, 21})
		other = done(t, other, a.Change, err)
		sets, zones := other.TilesetsInOrder(), other.ZonesInOrder()
		same := slices.IndexFunc(zones, func(z *document.Zone) bool { return z.Name == zone.Name })
		if len(sets) != 1 || has != (len(zones) > 1) || len(sets[0].Infos) != 1 || same < 0 || sets[0].Infos[0].Zone != zones[same].ID {
			t.Errorf("with the zone there already, %v: the tile lost its zone", has)
		}
	}
}
