package session

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"testing"
)

// What presses ask for first is all done: every edit is made and stored, and the project is as they leave it.
func TestAllThatIsWarmedIsDone(t *testing.T) {
	w := newWarming()
	for left := len(toWarm); left > 0; {
		less, err := w.goOn(warmAtOnce)
		if err != nil || less >= left {
			t.Fatalf("%d are left of %d: %v", less, left, err)
		}
		left = less
	}
	s := w.s
	if b := w.beside; b.Hash() != s.Hash() || len(b.replica.Pending()) != 0 {
		t.Errorf("what was fed the same edits has %d that wait, and another project: %v", len(b.replica.Pending()), b.Hash() != s.Hash())
	}
	edits, steps := 0, 0
	for _, c := range toWarm {
		switch c[0] {
		case "newMap", "addTileset", "press", "undo", "placeMaps":
			edits++
		case "step":
			steps++
		}
	}
	if steps == 0 || s.play != nil {
		t.Errorf("after %d steps a game goes on: %v", steps, s.play != nil)
	}
	if n, seq := len(s.replica.Pending()), s.replica.Seq; n != 0 || seq != int64(edits) {
		t.Errorf("%d edits wait, and %d of %d are stored", n, seq, edits)
	}
	m := s.doc().MapsInOrder()[0]
	if n := m.Entities.Len(); n != len(warmKinds) {
		t.Errorf("%d entities are there, not %d: others were taken back", n, len(warmKinds))
	}
	p := m.LayersInOrder()[0].Cells
	if p.At(4, 4) != 0 || p.At(40, 30) != cells.TileCell(1, 1) {
		t.Errorf("the fill and the eraser left %v and %v", p.At(4, 4), p.At(40, 30))
	}
	if m.Chart == nil || *m.Chart != (grid.Point{X: 2000 + 40*(warmMoves-1)}) {
		t.Errorf("the map lies at %v", m.Chart)
	}
}
