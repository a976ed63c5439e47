package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"strings"
	"testing"
)

// fence is the sample world with a motif of two tiles in a row and a sign on the first.
func fence(t *testing.T) (*document.Document, *document.Motif) {
	t.Helper()
	d := sample.World()
	piece := &document.Motif{W: 2, H: 1, CellWidth: 16, CellHeight: 16,
		Parts: []document.MotifPart{{Layer: "Things", Kind: document.LayerTiles, Cells: cells.Paint(box(0, 0, 2, 1), grid.Rect{W: 2, H: 1},
			[]cells.Cell{cells.TileCell(1, 20), cells.TileCell(1, 21)}, 2, grid.Point{})}},
		Entities: []*document.Entity{{Kind: kind.Sign, Name: "Board", X: 0, Y: 0, W: 16, H: 16, Facing: document.Down}}}
	c, err := author.AddMotif(d, "Fence", piece)
	d = done(t, d, c, err)
	return d, d.Motifs.Get(c.Made)
}

// stamped puts a motif down.
func stamped(t *testing.T, d *document.Document, m document.ID, motif *document.Motif, at grid.Point, turn grid.Turn, mirror grid.Mirror) *document.Document {
	t.Helper()
	g := hand.Grip{What: hand.Motif, Motif: motif.ID, Shape: hand.Freehand, Turn: turn}
	where := d.Maps.Get(m)
	p, err := hand.Resolve(hand.Work{Doc: d, Map: where, Active: sample.Things, Mirror: mirror}, g, hand.Gesture{Way: []grid.Point{at}})
	if err != nil {
		t.Fatal(err)
	}
	do, label := p.Edit(d, where, g)
	return done(t, d, author.Change{Do: do, Label: label}, nil)
}

// Placings are remembered: a motif that is changed comes where it was put down and
// stands as it is, turned and mirrored as it was, with its entities, and nowhere else.
func TestReplaceMotifUpdatesItsPlacings(t *testing.T) {
	d, motif := fence(t)
	d = stamped(t, d, sample.Quay, motif, grid.Point{X: 3, Y: 5}, 0, grid.Mirror{})
	d = stamped(t, d, sample.Quay, motif, grid.Point{X: 3, Y: 8}, grid.Quarter, grid.Mirror{})
	d = stamped(t, d, sample.Quay, motif, grid.Point{X: 7, Y: 8}, 0, grid.Mirror{Mode: grid.MirrorLeftRight, X: 20})
	d = stamped(t, d, sample.Pans, motif, grid.Point{X: 2, Y: 2}, 0, grid.Mirror{})
	d = stamped(t, d, sample.Quay, motif, grid.Point{X: 14, Y: 3}, 0, grid.Mirror{}) // changed by hand below
	paint := func(m, l document.ID, x, y, tile int) edit.Primitive {
		return sample.Paint(m, l, box(x, y, 1, 1), cells.TileCell(1, tile))
	}
	signs := func(d *document.Document, m document.ID) string {
		out := ""
		for _, e := range document.InRank(d.Maps.Get(m).Entities.All()) {
			if e.Kind == kind.Sign {
				out += fmt.Sprintf("%s %d,%d %s; ", e.Name, e.X/16, e.Y/16, e.Facing)
			}
		}
		return out
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		paint(sample.Quay, sample.Things, 15, 3, 5),
		paint(sample.Pans, sample.Things, 8, 8, 20), paint(sample.Pans, sample.Things, 9, 8, 21), // only painted alike
	}}).Doc
	if got, want := signs(d, sample.Quay), "Board 3,5 down; Board 2 3,8 left; Board 3 7,8 down; Board 4 12,8 down; Board 5 14,3 down; "; got != want {
		t.Errorf("put down are %s", got)
	}
	if got := d.Standing(motif); len(got) != 5 || d.Placings.Len() != 6 {
		t.Fatalf("of %d placings %d stand", d.Placings.Len(), len(got))
	}
	// the first one's sign is moved by hand, the mirrored one's is taken away
	for _, e := range d.Maps.Get(sample.Quay).Entities.All() {
		switch e.Name {
		case "Board":
			c, err := author.MoveEntities(d.Maps.Get(sample.Quay), []document.ID{e.ID}, 5, 0)
			d = done(t, d, c, err)
		case "Board 4":
			c, err := author.RemoveEntities(d, d.Maps.Get(sample.Quay), []document.ID{e.ID})
			d = done(t, d, c, err)
		}
	}
	next := &document.Motif{W: 2, H: 2, CellWidth: 16, CellHeight: 16,
		Parts: []document.MotifPart{{Layer: "Things", Kind: document.LayerTiles, Cells: cells.Paint(box(0, 0, 1, 2), grid.Rect{W: 2, H: 2}, []cells.Cell{cells.TileCell(1, 22)}, 1, grid.Point{})}},
		Entities: []*document.Entity{{Kind: kind.Sign, Name: "Board", X: 0, Y: 16, W: 16, H: 16, Facing: document.Down, Tint: "#ff0000"},
			{Kind: kind.Collectible, Name: "Berry", X: 16, Y: 0, W: 16, H: 16, Facing: document.Down}}}
	c, err := author.ReplaceMotif(d, motif.ID, next, true)
	before := d
	d = done(t, d, c, err)
	if !strings.Contains(c.Label.Text, "in 5 places") {
		t.Errorf("it says %q", c.Label.Text)
	}
	quay, pans := d.Maps.Get(sample.Quay).Layers.Get(sample.Things).Cells, d.Maps.Get(sample.Pans).Layers.Get(sample.Things).Cells
	wide := cells.TileCell(1, 22)
	turned := before.Sheets().Turned(wide, grid.Quarter)
	flipped := before.Sheets().Turned(wide, grid.LeftRight)
	for _, w := range []struct {
		plane cells.Plane
		x, y  int
		want  cells.Cell
	}{
		{quay, 3, 5, wide}, {quay, 3, 6, wide}, {quay, 4, 5, 0}, // as it is
		{quay, 4, 8, turned}, {quay, 3, 8, turned}, {quay, 3, 9, 0}, // turned
		{quay, 7, 9, wide}, {quay, 12, 8, flipped}, {quay, 12, 9, flipped}, {quay, 11, 8, 0}, // in the mirror
		{quay, 14, 3, cells.TileCell(1, 20)}, {quay, 15, 3, cells.TileCell(1, 5)}, // changed by hand
		{pans, 2, 3, wide}, {pans, 8, 8, cells.TileCell(1, 20)}, {pans, 8, 9, 0}, // painted alike
	} {
		if got := w.plane.At(w.x, w.y); got != w.want {
			t.Errorf("cell %d,%d is %x, wanted %x", w.x, w.y, got, w.want)
		}
	}
	berries := 0
	for _, e := range d.Maps.Get(sample.Quay).Entities.All() {
		if e.Kind == kind.Collectible && e.ID != sample.Pearl {
			berries++
		}
		if e.Name == "Board" && (e.X != 3*16+5 || e.Y != 6*16 || e.Tint != "#ff0000") {
			t.Errorf("the first sign is %+v", e)
		}
	}
	if berries != 4 {
		t.Errorf("%d berries came to the Quay", berries)
	}
	if got := signs(d, sample.Quay); strings.Count(got, "Board") != 4 {
		t.Errorf("signs are %s", got)
	}
	// it is remembered as it is now: once more brings it again
	if got := d.Standing(d.Motifs.Get(motif.ID)); len(got) != 5 {
		t.Errorf("%d stand after the change", len(got))
	}
}

// What is remembered goes with what is moved and copied, and is let go of with its map;
// what is put over it takes its place.
func TestPlacingsGoAlong(t *testing.T) {
	d, motif := fence(t)
	d = stamped(t, d, sample.Quay, motif, grid.Point{X: 3, Y: 5}, 0, grid.Mirror{})
	d = stamped(t, d, sample.Quay, motif, grid.Point{X: 3, Y: 5}, 0, grid.Mirror{})
	if d.Placings.Len() != 1 || len(d.Standing(motif)) != 1 {
		t.Errorf("put down twice it is remembered %d times", d.Placings.Len())
	}
	c, _, err := author.MoveArea(d, author.Area{Map: d.Maps.Get(sample.Quay), Region: box(2, 4, 4, 3)}, 5, 1)
	d = done(t, d, c, err)
	if got := d.Standing(motif); len(got) != 1 || got[0].X != 8 || got[0].Y != 6 {
		t.Errorf("moved it stands at %+v", got)
	}
	c, err = author.Shift(d, d.Maps.Get(sample.Quay), 1, 0, false)
	d = done(t, d, c, err)
	if got := d.Standing(motif); len(got) != 1 || got[0].X != 9 {
		t.Errorf("shifted it stands at %+v", got)
	}
	c, err = author.CopyMap(d, d.Maps.Get(sample.Quay), "Copy", grid.Point{}, false)
	d = done(t, d, c, err)
	made := c.Made
	if got := d.Standing(motif); len(got) != 2 {
		t.Fatalf("copied it stands %d times", len(got))
	}
	for _, p := range d.Standing(motif) {
		if p.Map == made && d.Entity(made, p.Entities[0]) == nil {
			t.Error("the copy's sign is another's")
		}
	}
	d = done(t, d, author.RemoveMap(d, d.Maps.Get(made)), nil)
	if d.Placings.Len() != 1 {
		t.Errorf("%d are remembered of a map that is gone", d.Placings.Len())
	}
	if _, err := author.AddMotif(d, "", motif); err == nil {
		t.Error("a motif without a name was made")
	}
	if _, err := author.Lift(author.Area{Map: d.Maps.Get(sample.Pans), Region: box(2, 2, 3, 3), Layer: sample.Things}); err == nil {
		t.Error("nothing was lifted")
	}
}

// Where a motif was taken from it stands too, and again where it is made anew.
func TestKeptMotifStandsWhereItWasTaken(t *testing.T) {
	d := sample.World()
	area := func() author.Area { return author.Area{Map: d.Maps.Get(sample.Quay), Region: box(9, 1, 3, 3)} }
	c, err := author.KeepMotif(d, "Gate", area())
	d = done(t, d, c, err)
	motif := d.Motifs.Get(c.Made)
	all := d.Standing(motif)
	if len(all) != 1 || all[0].X != 9 || len(all[0].Entities) != 1 || all[0].Entities[0] != sample.Door {
		t.Fatalf("it stands at %+v", all)
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{sample.Paint(sample.Quay, sample.Ground, box(9, 1, 1, 1), cells.TileCell(1, 5))}}).Doc
	if len(d.Standing(motif)) != 0 {
		t.Error("painted over by hand it stands still")
	}
	c, err = author.RemakeMotif(d, motif.ID, area(), true)
	d = done(t, d, c, err)
	if got := d.Standing(d.Motifs.Get(motif.ID)); len(got) != 1 || d.Placings.Len() != 1 {
		t.Errorf("made anew it stands at %+v", got)
	}
}
