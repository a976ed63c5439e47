package store_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/replica"
	"azzel/core/sample"
	"azzel/store"
	"errors"
	"fmt"
	"math/rand/v2"
	"testing"
)

// A map too large for one message is removed, and comes back by an undo that names
// the removal: the log has what it held. The page ends with what is stored.
func TestLargeMapComesBack(t *testing.T) {
	s, owner := opened(t)
	l := store.NewLog(s)
	defer l.Close()
	person := document.ID(owner.ID)
	r := rand.New(rand.NewPCG(4, 4))
	d, _ := stateOf(t, s)
	page := replica.New(person, "clientlarge2", d, 0)
	send := func(e *edit.Edit) {
		t.Helper()
		in, err := edit.Decode(e.Sent())
		if err != nil {
			t.Fatal(err)
		}
		seq := appended(t, l, owner.ID, in)
		rows, err := s.Rows(ctx, project, seq-1, 1)
		if err != nil {
			t.Fatal(err)
		}
		row := replica.Row{Seq: seq, Person: person, Mark: e.Mark}
		if len(in.Do) == 0 {
			if row.Edit, err = edit.Read(rows[0].Edit); err != nil {
				t.Fatal(err)
			}
		}
		if _, err := page.Receive([]replica.Row{row}); err != nil {
			t.Fatal(err)
		}
	}
	make := func(do ...edit.Primitive) *edit.Edit {
		t.Helper()
		e, res, err := page.Make(do, edit.Label{Text: "x"})
		if err != nil || len(res.Dropped) > 0 {
			t.Fatal(err, res.Dropped)
		}
		send(e)
		return e
	}
	make(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{W: 1024, H: 1024}))
	noisy := &grid.Region{}
	noisy.AddRect(grid.Rect{W: 1024, H: 1024})
	for i := range 2 {
		id := document.ID(fmt.Sprintf("layer%caaaaaa", 'a'+i))
		make(edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: id}, document.Layer{ID: id, Name: "More", Kind: document.LayerTiles, Opacity: 100}))
		make(edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: id},
			Cells: cells.PaintEach(noisy, grid.Rect{W: 1024, H: 1024}, func(x, y int) (cells.Cell, bool) { return cells.TileCell(1, r.IntN(60_000)), true })})
	}
	before := page.Current.Hash()
	removal := make(edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}))
	undo, _, err := page.Undo()
	if err != nil {
		t.Fatal(err)
	}
	if n := len(undo.Text()); n <= edit.MaxBytes {
		t.Fatalf("the undo has %d bytes only", n)
	}
	send(undo)
	doc, _ := stateOf(t, s)
	if doc.Hash() != before || page.Current.Hash() != before || page.Confirmed.Hash() != before {
		t.Error("the map did not come back as it was")
	}
	if undo.Label.Of == nil || *undo.Label.Of != removal.Mark {
		t.Errorf("the undo names %v", undo.Label.Of)
	}
	// what names nothing of one's own is refused
	for _, of := range []edit.Mark{{Client: "clientlarge2", Number: 900}, {Client: "clientnobody", Number: 1}} {
		e := someEdit("clientlarge2", 901)
		e.Label = edit.Label{Kind: edit.Undo, Of: &of}
		var refusal store.Refusal
		if a := <-l.Append(project, owner.ID, e); !errors.As(a.Err, &refusal) {
			t.Errorf("an undo of %v gave %v", of, a.Err)
		}
	}
}
