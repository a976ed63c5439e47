package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/sample"
	"strings"
	"testing"
)

// What is cut off is told before, and is there again when the map grows.
func TestResizeLosesNothing(t *testing.T) {
	start := sample.World()
	small := grid.Rect{X: 2, Y: 1, W: 8, H: 6}
	loss := author.LossOf(quay(start), small)
	// 240 cells of ground less 48, 60 of wall; door and exit
	if loss.Cells != 192+60 || loss.Entities != 2 {
		t.Errorf("the loss is %d cells and %d entities", loss.Cells, loss.Entities)
	}
	c, err := author.Resize(quay(start), small)
	d := done(t, start, c, err)
	if again := author.LossOf(quay(d), grid.Rect{W: 20, H: 12}); again.Cells+again.Entities != 0 {
		t.Errorf("growing loses %+v", again)
	}
	c, err = author.Resize(quay(d), grid.Rect{W: 20, H: 12})
	if d = done(t, d, c, err); d.Hash() != start.Hash() {
		t.Error("something did not come back")
	}
	for _, b := range []grid.Rect{{W: 0, H: 5}, {W: 5000, H: 5}, {W: 20, H: 12}} {
		if _, err := author.Resize(quay(start), b); err == nil {
			t.Errorf("%v was taken", b)
		}
	}
}

func TestShiftWithAndWithoutWrap(t *testing.T) {
	start := sample.World()
	c, err := author.Shift(start, quay(start), 3, -2, true)
	d := done(t, start, c, err)
	things := quay(d).Layers.Get(sample.Things).Cells
	if things.At(3, 4) != sample.Wall || things.At(2, 4) != sample.Wall || things.At(0, 0) != 0 {
		t.Error("the walls are not where they were shifted to")
	}
	if e := d.Entity(sample.Quay, sample.Spawn); e.X != 5*16 || e.Y != 0 {
		t.Errorf("the spawn stands at %d,%d", e.X, e.Y)
	}
	c, err = author.Shift(d, quay(d), -3, 2, true)
	if d = done(t, d, c, err); d.Hash() != start.Hash() {
		t.Error("shifting back with wrap is not the same")
	}
	c, err = author.Shift(start, quay(start), 3, 0, false)
	d = done(t, start, c, err)
	if got := quay(d).Layers.Get(sample.Ground).Cells; got.At(0, 5) != 0 || got.At(3, 5) != sample.Floor {
		t.Error("without wrap something came in")
	}
	for _, by := range [][2]int{{0, 0}, {20, 0}, {0, -12}} {
		if _, err := author.Shift(start, quay(start), by[0], by[1], true); err == nil {
			t.Errorf("shifted by %v", by)
		}
	}
}

func TestClear(t *testing.T) {
	d := sample.World()
	c, err := author.Clear(d, quay(d), sample.Things)
	one := done(t, d, c, err)
	if !quay(one).Layers.Get(sample.Things).Cells.Empty() || quay(one).Layers.Get(sample.Ground).Cells.Empty() || quay(one).Entities.Len() != 5 {
		t.Error("clearing a layer cleared something else")
	}
	c, err = author.Clear(d, quay(d), "")
	all := done(t, d, c, err)
	if quay(all).Entities.Len() != 0 || !quay(all).Layers.Get(sample.Ground).Cells.Empty() {
		t.Error("something is left on the map")
	}
	if _, err := author.Clear(all, quay(all), ""); err == nil || !strings.Contains(err.Error(), "empty already") {
		t.Errorf("cleared twice: %v", err)
	}
}

func TestExchange(t *testing.T) {
	d := sample.World()
	turned := sample.Wall | cells.MirrorX
	other := cells.TileCell(1, 9)
	swap := []author.Swap{{From: turned, To: other | cells.MirrorY}}
	c, err := author.Exchange(d, quay(d), box(0, 0, 5, 1), swap)
	one := done(t, d, c, err)
	things := quay(one).Layers.Get(sample.Things).Cells
	if things.At(4, 0) != other|cells.MirrorY || things.At(5, 0) != sample.Wall || c.Label.Text != "Exchanged 5 cells" {
		t.Errorf("%s: %x", c.Label.Text, things.At(4, 0))
	}
	c, err = author.Exchange(d, nil, nil, []author.Swap{{From: sample.Floor}})
	all := done(t, d, c, err)
	if !all.Maps.Get(sample.Pans).Layers.Get(sample.Ground).Cells.Empty() {
		t.Error("the other map keeps its tiles")
	}
	if _, err := author.Exchange(d, quay(d), nil, []author.Swap{{From: other, To: sample.Wall}}); err == nil {
		t.Error("tiles that lie nowhere were exchanged")
	}
	if _, err := author.Exchange(d, quay(d), nil, []author.Swap{{To: sample.Wall}}); err == nil {
		t.Error("nothing was exchanged")
	}
	// on a layer of its own, for rules, right above the uppermost that has it
	c, err = author.LayExchanged(quay(d), box(0, 0, 5, 1), swap[0])
	laid := quay(done(t, d, c, err))
	l, below := laid.Layers.Get(c.Made), laid.Layers.Get(sample.Things)
	if l == nil || !l.Absent || !l.Covers || l.Front != below.Front || l.Order <= below.Order || l.Cells.At(4, 0) != other|cells.MirrorY || l.Cells.At(6, 0) != 0 || below.Cells.At(4, 0) != quay(d).Layers.Get(sample.Things).Cells.At(4, 0) {
		t.Errorf("the layer is %+v", l)
	}
	for _, wrong := range []author.Swap{{From: sample.Wall}, {To: sample.Wall}, {From: other, To: sample.Wall}} {
		if _, err := author.LayExchanged(quay(d), nil, wrong); err == nil {
			t.Errorf("%+v makes a layer", wrong)
		}
	}
	a := &document.Tileset{Number: 1, Width: 64, Height: 32, Cut: document.Cut{CellWidth: 16, CellHeight: 16}}
	b := &document.Tileset{Number: 2, Width: 48, Height: 64, Cut: document.Cut{CellWidth: 16, CellHeight: 16}}
	swaps, missing := author.Swaps(a, b)
	if missing != 2 || len(swaps) != 6 || swaps[3].From != cells.TileCell(1, 4) || swaps[3].To != cells.TileCell(2, 3) {
		t.Errorf("%d missing, %x", missing, swaps)
	}
}
