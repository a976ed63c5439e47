package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/material"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

func coast(d *document.Document) *document.Tileset { return d.Tilesets.Get(sample.Coast) }

func p[T any](v T) *T { return &v }

func TestMarkTiles(t *testing.T) {
	d := sample.World()
	mark := func(m author.TileMark, tiles ...int) {
		t.Helper()
		c, err := author.MarkTiles(coast(d), tiles, m)
		d = done(t, d, c, err)
	}
	mark(author.TileMark{Part: p("upper half")}, 1, 5)
	if coast(d).IsSolid(1) || len(coast(d).Infos) != 2 || coast(d).Infos[1].Part != "upper half" {
		t.Errorf("parts: %v %+v", coast(d).Solid, coast(d).Infos)
	}
	mark(author.TileMark{Solid: p(true)}, 5)
	if !coast(d).IsSolid(5) || len(coast(d).Infos) != 1 {
		t.Error("a tile is solid all over and in part")
	}
	mark(author.TileMark{Odds: p(7), Is: p("water"), OneWay: p(document.Up), Tags: p([]string{"wet"}), Frames: p([]document.Frame{{Tile: 2, Ms: 200}, {Tile: 3, Ms: 300}})}, 2)
	if i := coast(d).Infos[1]; i.Tile != 2 || i.Length() != 500 || i.Odds != 7 || i.Is != "water" {
		t.Errorf("%+v", i)
	}
	mark(author.TileMark{Odds: p(1), Is: p(""), OneWay: p(document.Facing("")), Tags: p([]string{}), Frames: p([]document.Frame{})}, 2)
	if len(coast(d).Infos) != 1 {
		t.Error("what is set up for nothing is kept")
	}
	for name, m := range map[string]author.TileMark{
		"0 ms":          {Frames: p([]document.Frame{{Tile: 2, Ms: 0}, {Tile: 3, Ms: 10}})},
		"one frame":     {Frames: p([]document.Frame{{Tile: 2, Ms: 100}})},
		"far frame":     {Frames: p([]document.Frame{{Tile: 2, Ms: 100}, {Tile: 3000, Ms: 100}})},
		"negative odds": {Odds: p(-1)},
		"part":          {Part: p("round")},
		"facing":        {OneWay: p(document.Facing("north"))},
		"ground":        {Is: p("lava")},
		"tag":           {Tags: p([]string{" "})},
		"long tag":      {Tags: p([]string{strings.Repeat("x", 41)})},
		"partner":       {Partner: p(4000)},
	} {
		if _, err := author.MarkTiles(coast(d), []int{3}, m); err == nil {
			t.Errorf("%s was taken", name)
		}
	}
	for _, tiles := range [][]int{{}, {-1}, {64}} {
		if _, err := author.MarkTiles(coast(d), tiles, author.TileMark{Odds: p(3)}); err == nil {
			t.Errorf("tiles %v were taken", tiles)
		}
	}
}

func TestTilePropertiesAndOwnParts(t *testing.T) {
	d := sample.World()
	c, err := author.SetProperties(coast(d), []document.Property{{Name: "Slip", Type: "number", Default: "0"}, {Name: "Sound", Type: "file"}})
	d = done(t, d, c, err)
	for _, m := range []author.TileMark{
		{Value: &document.Value{Name: "Slip", Value: "3"}}, {Value: &document.Value{Name: "Sound", Value: "splash"}},
		{Tag: p("wet")}, {Tag: p("deep")}, {Untag: p("wet")},
	} {
		c, err = author.MarkTiles(coast(d), []int{4, 5}, m)
		d = done(t, d, c, err)
	}
	if i := coast(d).Infos; len(i) != 2 || len(i[0].Values) != 2 || len(i[1].Values) != 2 || !slices.Equal(i[1].Tags, []string{"deep"}) {
		t.Errorf("%+v", i)
	}
	// the default and putting back are the same
	for _, m := range []author.TileMark{{Value: &document.Value{Name: "Slip", Value: "0"}}, {Untag: p("deep")}, {Reset: p("Sound")}} {
		c, err = author.MarkTiles(coast(d), []int{5}, m)
		d = done(t, d, c, err)
	}
	c, err = author.MarkTiles(coast(d), []int{4}, author.TileMark{Untag: p("deep")})
	d = done(t, d, c, err)
	if i := coast(d).Infos; len(i) != 1 || i[0].Tile != 4 {
		t.Errorf("what is set up for nothing is kept: %+v", i)
	}
	for name, v := range map[string]document.Value{"type": {Name: "Slip", Value: "wet"}, "name": {Name: "Depth", Value: "3"}} {
		if _, err := author.MarkTiles(coast(d), []int{4}, author.TileMark{Value: &v}); err == nil {
			t.Errorf("a value of the wrong %s was taken", name)
		}
	}
	// a property that goes, or changes its type, takes its values along
	c, err = author.SetProperties(coast(d), []document.Property{{Name: "Slip", Type: "yes/no", Default: "no"}})
	d = done(t, d, c, err)
	if len(coast(d).Infos) != 0 {
		t.Errorf("values are left: %+v", coast(d).Infos)
	}
	own := document.Outlines{{{X: 2, Y: 4}, {X: 14, Y: 4}, {X: 14, Y: 16}, {X: 2, Y: 16}}}
	c, err = author.MarkTiles(coast(d), []int{1}, author.TileMark{Own: &own})
	d = done(t, d, c, err)
	if i := coast(d).Infos; coast(d).IsSolid(1) || len(i) != 1 || i[0].Part != document.PartOwn || len(i[0].Own[0]) != 4 {
		t.Errorf("%+v", i)
	}
}

func TestSetPartnersInOneEdit(t *testing.T) {
	d := sample.World()
	c, err := author.SetPartners(coast(d), [][2]int{{5, 6}, {6, 5}, {2, 9}})
	d = done(t, d, c, err)
	if i := coast(d).Infos; len(c.Do) != 1 || len(i) != 3 || i[1].Tile != 5 || i[1].Partner != 6 {
		t.Errorf("%d steps, %+v", len(c.Do), i)
	}
	if _, err := author.SetPartners(coast(d), [][2]int{{5, 6}}); err == nil {
		t.Error("nothing new was taken")
	}
}

func TestMatchByPlace(t *testing.T) {
	// gutters that were not entered at first: each tile is found again
	old := document.Cut{CellWidth: 16, CellHeight: 16}
	next := document.Cut{CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 1}
	match := author.MatchByPlace(old, 70, 36, next, 70, 36)
	if want := []int{0, 1, 2, 3, 4, 5, 6, 7}; !slices.Equal(match, want) {
		t.Errorf("with gutters: %v", match)
	}
	// halved cells: the first of the four that a tile covers
	match = author.MatchByPlace(old, 64, 32, document.Cut{CellWidth: 8, CellHeight: 8}, 64, 32)
	if match[0] != 0 || match[1] != 2 || match[4] != 16 {
		t.Errorf("halved: %v", match)
	}
	// where the first column is left out each tile is the one beside it
	match = author.MatchByPlace(old, 64, 32, document.Cut{CellWidth: 16, CellHeight: 16, Left: 16}, 64, 32)
	if want := []int{-1, 0, 1, 2, -1, 3, 4, 5}; !slices.Equal(match, want) {
		t.Errorf("begun aside: %v", match)
	}
	// a crop loses what lies outside
	match = author.MatchByPlace(old, 64, 32, old, 32, 16)
	if want := []int{0, 1, -1, -1, -1, -1, -1, -1}; !slices.Equal(match, want) {
		t.Errorf("cropped: %v", match)
	}
}

// A recut brings along everything that shows the tiles, and tells before what
// it would lose.
func TestRecutBringsEverythingAlong(t *testing.T) {
	d := sample.World()
	two := cells.TileCell(1, 2)
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		sample.Paint(sample.Pans, sample.Things, box(2, 2, 3, 1), two|cells.MirrorX),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}, "look", two),
		edit.Set(edit.Ref{Type: edit.TypeProject}, "looks", []document.KindLook{{Kind: kind.Door, Look: two, LookOn: sample.Wall}}),
	}}).Doc
	c, err := author.AddMaterial(d, document.Material{Name: "Path", Number: 9, Is: "path", Tiles: []material.Tile{{Cell: two, Form: 5, Odds: 1}, {Cell: cells.TileCell(1, 63), Form: 1, Odds: 1}}})
	d = done(t, d, c, err)
	c, err = author.MarkTiles(coast(d), []int{2}, author.TileMark{Odds: p(4), Partner: p(63)})
	d = done(t, d, c, err)
	piece, err := author.Lift(author.Area{Map: d.Maps.Get(sample.Pans), Region: box(2, 2, 3, 1), Layer: sample.Things})
	if err != nil {
		t.Fatal(err)
	}
	c, err = author.AddMotif(d, "Row", piece)
	d = done(t, d, c, err)
	motif := c.Made

	c, err = author.AddKind(d, kind.Hero, "Diver")
	d = done(t, d, c, err)
	diver := edit.Ref{Type: edit.TypeKind, ID: c.Made}
	gone := cells.TileCell(1, 60)
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(diver, "look", two), edit.Set(diver, "lookOn", gone), edit.Set(diver, "frames", [4][]cells.Cell{2: {two, gone}}),
		edit.Set(diver, "poses", []kind.Pose{{Does: kind.Swims, Frames: [4][]cells.Cell{1: {gone, two}}, Ms: 90}})}}).Doc

	match := make([]int, 64)
	for i := range match {
		match[i] = i + 10
		if i >= 50 {
			match[i] = -1
		}
	}
	match[0] = -1 // the floor
	lost := author.ChangesBy(d, coast(d), match)
	if len(lost.Tiles) != 15 || !slices.Equal(lost.Used, []int{0}) || lost.Emptied != 480 {
		t.Errorf("the loss is %d tiles, %v used in %d cells", len(lost.Tiles), lost.Used, lost.Emptied)
	}
	set := coast(d)
	c, err = author.RecutTileset(d, set, author.Recut{Picture: set.Picture, Width: 128, Height: 128, Cut: set.Cut, Match: match})
	d = done(t, d, c, err)
	moved := cells.TileCell(1, 12)
	things := d.Maps.Get(sample.Pans).Layers.Get(sample.Things).Cells
	if things.At(3, 2) != moved|cells.MirrorX || !d.Maps.Get(sample.Pans).Layers.Get(sample.Ground).Cells.Empty() {
		t.Errorf("the maps show %x", things.At(3, 2))
	}
	m := d.MaterialByNumber(9)
	if !coast(d).IsSolid(11) || len(coast(d).Infos) != 1 || coast(d).Infos[0].Tile != 12 || coast(d).Infos[0].Partner != -1 ||
		len(m.Tiles) != 1 || m.Tiles[0].Cell != moved || d.Entity(sample.Quay, sample.Pearl).Look != moved ||
		d.Project.Looks[0].Look != moved || d.Project.Looks[0].LookOn != cells.TileCell(1, 11) {
		t.Errorf("something did not come along: %v %+v %+v", coast(d).Solid, coast(d).Infos, m.Tiles)
	}
	got := 0
	d.Motifs.Get(motif).Parts[0].Cells.Each(func(_ grid.Point, c cells.Cell) {
		if c == moved|cells.MirrorX {
			got++
		}
	})
	if got != 3 {
		t.Errorf("%d cells of the motif came along", got)
	}
	if k := d.Kinds.Get(diver.ID); k.Look != moved || k.LookOn != 0 || !slices.Equal(k.Frames[2], []cells.Cell{moved}) || !slices.Equal(k.Poses[0].Frames[1], []cells.Cell{moved}) || k.Poses[0].Ms != 90 {
		t.Errorf("the kind looks like %+v", k)
	}
	if _, err := author.RecutTileset(d, coast(d), author.Recut{Picture: set.Picture, Width: 128, Height: 128, Cut: document.Cut{CellWidth: 300, CellHeight: 16}}); err == nil {
		t.Error("a cut that fits nothing was taken")
	}
}

// A map that was made smaller keeps what lies outside it; a recut, a merge and an
// exchange reach that too, and undo puts it back.
func TestOutsideAShrunkMapComesAlong(t *testing.T) {
	d := sample.World()
	one, two := cells.TileCell(1, 1), cells.TileCell(1, 2)
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		sample.Paint(sample.Pans, sample.Things, box(2, 2, 15, 1), two|cells.MirrorX),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "bounds", grid.Rect{W: 8, H: 8}),
	}}).Doc
	pans := func(d *document.Document, layer document.ID) cells.Plane {
		return d.Maps.Get(sample.Pans).Layers.Get(layer).Cells
	}
	match := make([]int, 64)
	for i := range match {
		match[i] = i + 4*(i/2)
	}
	match[1], match[3] = 0, 2 // two at a time become one
	changes := author.ChangesBy(d, coast(d), match)
	if changes.Beyond == 0 || changes.MovedCells < 15 || !slices.Contains(changes.Moved, 2) || changes.Emptied != 0 {
		t.Errorf("the recut would change %+v", changes)
	}
	for i := range match {
		match[i] = i/2*2 + 10
	}
	if changes = author.ChangesBy(d, coast(d), match); !slices.EqualFunc(changes.Joined, [][]int{{0, 1}}, slices.Equal) || changes.JoinedCells != changes.Cells-15 {
		t.Errorf("where all become one of two, the recut would change %+v", changes)
	}
	for i := range match {
		match[i] = min(i+10, 63)
	}
	set := coast(d)
	c, err := author.RecutTileset(d, set, author.Recut{Picture: set.Picture, Width: 128, Height: 128, Cut: set.Cut, Match: match})
	cut := done(t, d, c, err)
	if got := pans(cut, sample.Things).At(16, 2); got != cells.TileCell(1, 12)|cells.MirrorX {
		t.Errorf("outside the map the recut left %x", got)
	}
	c, err = author.Exchange(d, nil, nil, []author.Swap{{From: two, To: one}})
	if got := pans(done(t, d, c, err), sample.Things).At(16, 2); got != one|cells.MirrorX {
		t.Errorf("outside the map the exchange left %x", got)
	}
	c, err = author.DuplicateLayer(d.Maps.Get(sample.Pans), sample.Things)
	double := done(t, d, c, err)
	if got := pans(double, c.Made).At(16, 2); got != two|cells.MirrorX {
		t.Errorf("outside the map the copy of a layer has %x", got)
	}
	c, err = author.MergeDown(d.Maps.Get(sample.Pans), sample.Things)
	merged := done(t, d, c, err)
	if got := pans(merged, sample.Ground).At(16, 2); got != two|cells.MirrorX {
		t.Errorf("outside the map the merged layer has %x", got)
	}
}

func TestMarkMaterial(t *testing.T) {
	d := sample.World()
	c, err := author.AddMaterial(d, document.Material{Name: "Wall", Number: 9, Is: "wall"})
	d = done(t, d, c, err)
	m := d.Materials.Get(c.Made)
	if m.By != material.ByBoth {
		t.Errorf("walls follow %s", m.By)
	}
	c, err = author.MarkMaterial(m, []material.Tile{{Cell: cells.TileCell(1, 7), Form: 3, Odds: 1}, {Cell: cells.TileCell(1, 4), Form: 9, Odds: 0}, {Cell: cells.TileCell(1, 5), Odds: -1}}, "")
	d = done(t, d, c, err)
	c, err = author.MarkMaterial(d.Materials.Get(m.ID), []material.Tile{{Cell: cells.TileCell(1, 4), Odds: -1}, {Cell: cells.TileCell(1, 7), Form: 8, Odds: 2}}, material.ByCorners)
	d = done(t, d, c, err)
	if got := d.Materials.Get(m.ID).Tiles; len(got) != 1 || got[0].Form != 8 || got[0].Odds != 2 {
		t.Errorf("the tiles are %+v", got)
	}
	if got := d.Materials.Get(m.ID); got.By != material.ByCorners {
		t.Errorf("its edges follow %s", got.By)
	}
	if _, err := author.MarkMaterial(m, nil, "looks"); err == nil {
		t.Error("edges that follow looks were taken")
	}
	// what the edges are to is set for all of its tiles at once
	c, err = author.AddMaterial(d, document.Material{Name: "Floor", Number: 8, Is: "ground"})
	d = done(t, d, c, err)
	c, err = author.MarkMaterial(d.Materials.Get(m.ID), []material.Tile{{Cell: cells.TileCell(1, 9), Form: 3, Odds: 5}}, "")
	d = done(t, d, c, err)
	c, err = author.SetBeside(d, m.ID, 8)
	d = done(t, d, c, err)
	if got := d.Materials.Get(m.ID).Tiles; len(got) != 2 || got[0].Beside != 8 || got[1].Beside != 8 || got[1].Odds != 5 {
		t.Errorf("the tiles are %+v", got)
	}
	for _, beside := range []int{9, 77, -1} {
		if _, err := author.SetBeside(d, m.ID, beside); err == nil {
			t.Errorf("edges to %d were taken", beside)
		}
	}
	if _, err := author.SetBeside(d, "nothingofit0", 8); err == nil {
		t.Error("edges of no material were set")
	}
	for name, bad := range map[string]document.Material{
		"number": {Name: "X", Number: 9, Is: "wall"}, "is": {Name: "X", Number: 10, Is: "fog"}, "name": {Number: 10, Is: "wall"},
		"by":         {Name: "X", Number: 10, Is: "wall", By: "looks"},
		"all odds 0": {Name: "X", Number: 10, Is: "wall", Tiles: []material.Tile{{Cell: 1 << 16, Odds: 0}}},
		"no tile":    {Name: "X", Number: 10, Is: "wall", Tiles: []material.Tile{{Cell: cells.MaterialCell(3, 1), Odds: 1}}},
	} {
		if _, err := author.AddMaterial(d, bad); err == nil {
			t.Errorf("%s was taken", name)
		}
	}
}

// A tile may be of several forms, as one that is all over and one that lies alone: each keeps
// its own when something is set for all of them, or for one.
func TestATileOfSeveralForms(t *testing.T) {
	d := sample.World()
	c, err := author.AddMaterial(d, document.Material{Name: "Wall", Number: 9, Is: "wall"})
	d = done(t, d, c, err)
	id, cell := c.Made, cells.TileCell(1, 7)
	d = done(t, d, author.Change{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMaterial, ID: id}, "tiles", []material.Tile{{Cell: cell, Form: 0xff, Odds: 1}, {Cell: cell, Form: 0, Odds: 2}})}}, nil)
	c, err = author.AddMaterial(d, document.Material{Name: "Floor", Number: 8, Is: "ground"})
	d = done(t, d, c, err)
	c, err = author.SetBeside(d, id, 8)
	d = done(t, d, c, err)
	want := []material.Tile{{Cell: cell, Form: 0, Odds: 2, Beside: 8}, {Cell: cell, Form: 0xff, Odds: 1, Beside: 8}}
	if got := d.Materials.Get(id).Tiles; !slices.Equal(got, want) {
		t.Fatalf("the tiles are %+v", got)
	}
	want[1].Odds = 7
	c, err = author.MarkMaterial(d.Materials.Get(id), want[1:], "")
	d = done(t, d, c, err)
	if got := d.Materials.Get(id).Tiles; !slices.Equal(got, want) {
		t.Errorf("after one was set the tiles are %+v", got)
	}
	c, err = author.MarkMaterial(d.Materials.Get(id), []material.Tile{{Cell: cell, Odds: -1}}, "")
	d = done(t, d, c, err)
	if got := d.Materials.Get(id).Tiles; len(got) != 0 {
		t.Errorf("taken out, there are %+v", got)
	}
}
