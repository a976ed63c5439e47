package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"strings"
	"testing"
)

func box(x, y, w, h int) (r *grid.Region) {
	r = &grid.Region{}
	r.AddRect(grid.Rect{X: x, Y: y, W: w, H: h})
	return r
}

// done applies a change; nothing of it may be dropped.
func done(t *testing.T, d *document.Document, c author.Change, err error) *document.Document {
	t.Helper()
	if err != nil {
		t.Fatal(err)
	}
	res := edit.Apply(d, &edit.Edit{Do: c.Do})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	// everything can be turned back
	if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}).Doc; back.Hash() != d.Hash() {
		t.Fatal("the change cannot be turned back")
	}
	return res.Doc
}

func quay(d *document.Document) *document.Map { return d.Maps.Get(sample.Quay) }

func TestMoveAreaTakesAllLayersAndEntities(t *testing.T) {
	d := sample.World()
	// the door at 10,2 and the wall above it
	c, r, err := author.MoveArea(d, author.Area{Map: quay(d), Region: box(9, 0, 3, 4)}, 2, 3)
	d = done(t, d, c, err)
	if r.Bounds() != (grid.Rect{X: 11, Y: 3, W: 3, H: 4}) {
		t.Errorf("the selection lies at %v", r.Bounds())
	}
	things, ground := quay(d).Layers.Get(sample.Things).Cells, quay(d).Layers.Get(sample.Ground).Cells
	if things.At(9, 0) != 0 || things.At(11, 3) != sample.Wall || ground.At(9, 0) != 0 || ground.At(11, 3) != sample.Floor {
		t.Error("the cells are not where they were moved to")
	}
	if e := d.Entity(sample.Quay, sample.Door); e.X != 12*16 || e.Y != 5*16 {
		t.Errorf("the door stands at %d,%d", e.X, e.Y)
	}
	// on one layer, entities stay
	c, _, err = author.MoveArea(d, author.Area{Map: quay(d), Region: box(11, 3, 3, 4), Layer: sample.Things}, -1, 0)
	d = done(t, d, c, err)
	if e := d.Entity(sample.Quay, sample.Door); e.X != 12*16 || quay(d).Layers.Get(sample.Ground).Cells.At(13, 3) != sample.Floor {
		t.Error("more than one layer was moved")
	}
	// the edge of the map holds it
	c, r, err = author.MoveArea(d, author.Area{Map: quay(d), Region: box(1, 1, 2, 2)}, -9, 0)
	_ = done(t, d, c, err)
	if r.Bounds().X != 0 {
		t.Errorf("moved to %v", r.Bounds())
	}
	if _, _, err = author.MoveArea(d, author.Area{Map: quay(d), Region: box(0, 0, 2, 2)}, -1, 0); err == nil {
		t.Error("moved over the edge")
	}
	if _, _, err = author.MoveArea(d, author.Area{Map: quay(d), Region: box(0, 0, 2, 2), Layer: sample.Entities}, 1, 0); err == nil || !strings.Contains(err.Error(), "no cells") {
		t.Errorf("cells of entities: %v", err)
	}
}

func TestTurnAreaFourTimesIsNothing(t *testing.T) {
	start := sample.World()
	d := start
	r := box(8, 0, 5, 4)
	for range 4 {
		c, next, err := author.TurnArea(d, author.Area{Map: quay(d), Region: r}, grid.Quarter)
		d = done(t, d, c, err)
		r = next
	}
	// about the middle of 5 × 4 cells it comes back where it was, but for what lay beside it
	if e := d.Entity(sample.Quay, sample.Door); e.Facing != document.Down || e.W != 16 {
		t.Errorf("the door is %+v", e)
	}
	if got := quay(d).Layers.Get(sample.Things).Cells.At(r.Bounds().X, r.Bounds().Y); got != sample.Wall {
		t.Errorf("the corner is %x", got)
	}
	c, _, err := author.TurnArea(start, author.Area{Map: quay(start), Region: box(2, 1, 9, 2)}, grid.LeftRight)
	d = done(t, start, c, err)
	if e := d.Entity(sample.Quay, sample.Pearl); e.X != 8*16 {
		t.Errorf("the pearl stands at %d", e.X)
	}
	if _, _, err := author.TurnArea(start, author.Area{Map: quay(start), Region: box(0, 0, 20, 2)}, grid.Quarter); err == nil || !strings.Contains(err.Error(), "larger than the map") {
		t.Errorf("too large when turned: %v", err)
	}
}

func TestEmptyArea(t *testing.T) {
	d := sample.World()
	c, err := author.EmptyArea(d, author.Area{Map: quay(d), Region: box(9, 0, 3, 4)})
	d = done(t, d, c, err)
	if d.Entity(sample.Quay, sample.Door) != nil || quay(d).Layers.Get(sample.Things).Cells.At(9, 0) != 0 {
		t.Error("something is left")
	}
	if _, err = author.EmptyArea(d, author.Area{Map: quay(d), Region: box(9, 0, 3, 4)}); err == nil {
		t.Error("emptied twice")
	}
}
