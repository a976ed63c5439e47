package replica_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/replica"
	"azzel/core/sample"
	"encoding/json"
	"errors"
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"
)

// server is the plainest one: it puts edits in the order in which they come.
type server struct {
	doc  *document.Document
	rows []replica.Row
	// reverts are the ways back, as stored with the rows.
	reverts [][]edit.Primitive
	seen    map[edit.Mark]bool
}

func (s *server) take(person document.ID, e *edit.Edit) {
	if s.seen[e.Mark] {
		return
	}
	s.seen[e.Mark] = true
	data, _ := json.Marshal(e)
	e, err := edit.Decode(data)
	if err != nil {
		panic(err)
	}
	res := edit.Apply(s.doc, e)
	s.doc = res.Doc
	s.rows = append(s.rows, replica.Row{Seq: int64(len(s.rows) + 1), Person: person, Mark: e.Mark, Edit: e})
	s.reverts = append(s.reverts, res.Revert)
}

type designer struct{ *replica.Replica }

// Three designers paint, place, rename, remove, undo and redo; what they send
// and receive is delayed at random. In the end all have the server's document.
func TestConvergence(t *testing.T) {
	for seed := range uint64(30) {
		r := rand.New(rand.NewPCG(seed, 1))
		s := &server{doc: sample.World(), seen: map[edit.Mark]bool{}}
		var all []*designer
		for _, name := range []document.ID{"designeraaaa", "designerbbbb", "designercccc"} {
			all = append(all, &designer{Replica: replica.New(name, name, s.doc, 0)})
		}
		send := func(d *designer) {
			for _, e := range d.Pending() {
				s.take(d.Person, e)
				if r.IntN(3) == 0 {
					return
				}
			}
		}
		receive := func(d *designer, most int) {
			rows := s.rows[d.Seq:]
			rows = rows[:min(len(rows), most)]
			if _, err := d.Receive(rows); err != nil {
				t.Fatal(err)
			}
		}
		for range 120 {
			d := all[r.IntN(3)]
			switch n := r.IntN(10); {
			case n < 4:
				_, _, _ = d.Make(sample.Primitives(r, d.Current), edit.Label{Text: "x"})
			case n < 5:
				_, _, _ = d.Undo() // what it would undo may be gone
			case n < 6:
				_, _, _ = d.Redo()
			case n < 8:
				send(d)
			default:
				receive(d, 1+r.IntN(5))
			}
		}
		for len(all[0].Pending())+len(all[1].Pending())+len(all[2].Pending()) > 0 {
			for _, d := range all {
				send(d)
				receive(d, 1000)
			}
		}
		want := s.doc.Hash()
		for _, d := range all {
			receive(d, 1000)
			if d.Confirmed.Hash() != want || d.Current.Hash() != want {
				t.Fatalf("seed %d: %s differs from the server", seed, d.Person)
			}
		}
	}
}

func rect(x, y, w, h int) (r *grid.Region) {
	r = &grid.Region{}
	r.AddRect(grid.Rect{X: x, Y: y, W: w, H: h})
	return r
}

// Undo has no end and survives a reload: another copy, with the history from
// the log, takes back everything that this person did and nothing else.
func TestUndoAfterReload(t *testing.T) {
	s := &server{doc: sample.World(), seen: map[edit.Mark]bool{}}
	a := replica.New("persona22222", "clienta22222", s.doc, 0)
	b := replica.New("personb22222", "clientb22222", s.doc, 0)
	for i := range 40 {
		_, _, err := a.Make([]edit.Primitive{sample.Paint(sample.Pans, sample.Ground, rect(i%20, 3, 1, 4), sample.Wall)}, edit.Label{Text: "wall"})
		if err != nil {
			t.Fatal(err)
		}
	}
	for _, e := range a.Pending() {
		s.take(a.Person, e)
	}
	if _, err := b.Receive(s.rows); err != nil {
		t.Fatal(err)
	}
	other := cells.TileCell(1, 3)
	e, _, _ := b.Make([]edit.Primitive{sample.Paint(sample.Pans, sample.Ground, rect(0, 4, 12, 1), other)}, edit.Label{Text: "b"})
	s.take(b.Person, e)

	again := replica.New("persona22222", "clientanew22", s.doc, int64(len(s.rows)))
	var undo []replica.Step
	for _, row := range s.rows {
		if row.Person == again.Person {
			undo = append(undo, replica.Step{Mark: row.Mark, Seq: row.Seq, Text: "wall"})
		}
	}
	again.SetHistory(undo, nil)
	kept, undone := 0, 0
	for {
		_, res, err := again.Undo()
		var fetch replica.Fetch
		if errors.As(err, &fetch) {
			again.Supply(fetch.Seq, s.reverts[fetch.Seq-1])
			continue
		}
		if errors.Is(err, replica.ErrNothing) {
			break
		}
		if err != nil {
			t.Fatal(err)
		}
		kept += res.Kept
		undone++
	}
	if undone != 40 {
		t.Fatalf("undid %d of 40", undone)
	}
	ground := again.Current.Maps.Get(sample.Pans).Layers.Get(sample.Ground).Cells
	for y := range 12 {
		for x := range 20 {
			want := sample.Floor
			if y == 4 && x < 12 {
				want = other
			}
			if got := ground.At(x, y); got != want {
				t.Fatalf("cell %d,%d is %x after undoing all", x, y, got)
			}
		}
	}
	if kept != 24 { // 12 cells, each written twice
		t.Errorf("kept %d cells of the other designer's, wanted 24", kept)
	}
}

// Only the region is turned back, step by step; later work beside it stays, and
// the turning back can itself be undone.
func TestTurnBackHere(t *testing.T) {
	a := replica.New("persona22222", "clienta22222", sample.World(), 0)
	paint := func(x, w, tile int) {
		t.Helper()
		if _, _, err := a.Make([]edit.Primitive{sample.Paint(sample.Pans, sample.Ground, rect(x, 3, w, 1), cells.TileCell(1, tile))}, edit.Label{Text: "row"}); err != nil {
			t.Fatal(err)
		}
	}
	row := func() (out [6]int) {
		for x := range out {
			out[x] = a.Current.Maps.Get(sample.Pans).Layers.Get(sample.Ground).Cells.At(x, 3).Tile()
		}
		return out
	}
	paint(0, 6, 5)
	paint(1, 3, 6)
	paint(5, 1, 7)
	here := rect(2, 0, 2, 9)
	for _, want := range [][6]int{{5, 6, 5, 5, 5, 7}, {5, 6, 0, 0, 5, 7}} {
		if _, _, err := a.TurnBackHere(sample.Pans, here); err != nil || row() != want {
			t.Fatalf("the row is %v, wanted %v; %v", row(), want, err)
		}
	}
	if _, _, err := a.TurnBackHere(sample.Pans, here); !errors.Is(err, replica.ErrNothing) {
		t.Errorf("turned back more than there was: %v", err)
	}
	if _, _, err := a.TurnBackHere(sample.Quay, here); !errors.Is(err, replica.ErrNothing) {
		t.Errorf("turned back on another map: %v", err)
	}
	if _, _, err := a.Undo(); err != nil || row() != [6]int{5, 6, 5, 5, 5, 7} {
		t.Errorf("undone it is %v %v", row(), err)
	}
}

// Entities are turned back with the cells: those that lie in the region, or lay there.
func TestTurnBackEntitiesHere(t *testing.T) {
	a := replica.New("persona22222", "clienta22222", sample.World(), 0)
	at := func(id document.ID) edit.Ref { return edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id} }
	x := func(id document.ID) int { return a.Current.Entity(sample.Quay, id).X }
	door, key := x(sample.Door), x(sample.Switch)
	do := []edit.Primitive{edit.Set(at(sample.Door), "x", door+32), edit.Set(at(sample.Switch), "x", key+160),
		sample.Paint(sample.Quay, sample.Ground, rect(0, 0, 20, 1), cells.TileCell(1, 9))}
	if _, _, err := a.Make(do, edit.Label{Text: "Moved and painted"}); err != nil {
		t.Fatal(err)
	}
	box := a.Current.Entity(sample.Quay, sample.Door).Box(a.Current.Maps.Get(sample.Quay))
	here := rect(box.X, 0, 1, box.Y+1) // where the door is now
	e, _, err := a.TurnBackHere(sample.Quay, here)
	if err != nil || x(sample.Door) != door || x(sample.Switch) != key+160 {
		t.Fatalf("the door is at %d, the switch at %d, %v", x(sample.Door), x(sample.Switch), err)
	}
	if want := "Turned back 1 cell and 1 entity here: Moved and painted"; e.Label.Text != want {
		t.Errorf("it says %q, wanted %q", e.Label.Text, want)
	}
	if got := a.Current.Maps.Get(sample.Quay).Layers.Get(sample.Ground).Cells; got.At(box.X, 0) == cells.TileCell(1, 9) || got.At(box.X+1, 0) != cells.TileCell(1, 9) {
		t.Error("other cells were turned back")
	}
	// where the switch was, it comes back to
	m := a.Current.Maps.Get(sample.Quay)
	if _, _, err := a.TurnBackHere(sample.Quay, rect(key/m.CellWidth, 1, 1, 20)); err != nil || x(sample.Switch) != key {
		t.Errorf("the switch is at %d, %v", x(sample.Switch), err)
	}
	if _, _, err := a.Undo(); err != nil || x(sample.Switch) != key+160 || x(sample.Door) != door {
		t.Errorf("undone they are at %d and %d", x(sample.Switch), x(sample.Door))
	}
}

func TestRefuseAndGap(t *testing.T) {
	d := sample.World()
	a := replica.New("persona22222", "clienta22222", d, 0)
	e, _, err := a.Make([]edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "Mine")}, edit.Label{Text: "name"})
	if err != nil {
		t.Fatal(err)
	}
	a.Refuse(e.Mark)
	if a.Current.Project.Name != "Sample" || a.CanUndo() != "" || len(a.Pending()) != 0 {
		t.Error("a refused edit left something behind")
	}
	if _, err := a.Receive([]replica.Row{{Seq: 2}}); !errors.Is(err, replica.ErrGap) {
		t.Errorf("a missing row gave %v", err)
	}
	if _, _, err := a.Make([]edit.Primitive{edit.Remove(edit.Ref{Type: edit.TypeMap, ID: "gonegonegone"})}, edit.Label{}); err == nil {
		t.Error("an edit that does nothing was made")
	}
}

// One edit is turned back, whatever came since, and what came since stays.
func TestUndoOfOne(t *testing.T) {
	r := replica.New("personperson", "clientclient", sample.World(), 0)
	paint := func(x int, c cells.Cell) edit.Mark {
		t.Helper()
		e, _, err := r.Make([]edit.Primitive{sample.Paint(sample.Quay, sample.Things, rect(x, 5, 2, 1), c)}, edit.Label{Text: fmt.Sprint("Painted at ", x)})
		if err != nil {
			t.Fatal(err)
		}
		return e.Mark
	}
	at := func(x int) cells.Cell {
		return r.Current.Maps.Get(sample.Quay).Layers.Get(sample.Things).Cells.At(x, 5)
	}
	a := paint(3, sample.Wall)
	b := paint(8, sample.Wall)
	paint(4, sample.Floor) // over a part of the first
	e, res, err := r.UndoOf(a)
	if err != nil || e.Label.Kind != edit.Undo || *e.Label.Of != a || res.Restored != 1 || res.Kept != 1 {
		t.Fatalf("turned back %+v, %v", res, err)
	}
	if at(3) != 0 || at(4) != sample.Floor || at(8) != sample.Wall {
		t.Errorf("then there are %d, %d and %d", at(3), at(4), at(8))
	}
	if _, _, err := r.UndoOf(a); !errors.Is(err, replica.ErrNothing) {
		t.Errorf("a second time: %v", err)
	}
	// undo goes on with the others, and redo brings the one back
	if _, _, err := r.Redo(); err != nil || at(3) != sample.Wall {
		t.Errorf("done again: %v", err)
	}
	if _, _, err := r.UndoOf(b); err != nil || at(8) != 0 {
		t.Errorf("the other one: %v", err)
	}
	if _, _, err := r.UndoOf(edit.Mark{Client: "clientother2", Number: 1}); !errors.Is(err, replica.ErrNothing) {
		t.Errorf("another's: %v", err)
	}
	// after a reload the way back has to be fetched first
	fresh := replica.New("personperson", "clientother2", r.Current, 5)
	fresh.SetHistory([]replica.Step{{Mark: b, Seq: 2, Text: "Painted"}, {Mark: a, Seq: 5, Text: "Painted"}}, nil)
	var fetch replica.Fetch
	if _, _, err := fresh.UndoOf(b); !errors.As(err, &fetch) || fetch.Seq != 2 {
		t.Errorf("unfetched: %v", err)
	}
	fresh.Supply(2, []edit.Primitive{})
	if _, _, err := fresh.UndoOf(b); !errors.Is(err, replica.ErrNothing) || fresh.CanUndo() != "Painted" {
		t.Errorf("what did nothing: %v", err)
	}
}

// However long what is turned back was called, what turns it back can be called so too.
func TestTurnBackOfALongName(t *testing.T) {
	a := replica.New("persona22222", "clienta22222", sample.World(), 0)
	if _, _, err := a.Make([]edit.Primitive{sample.Paint(sample.Pans, sample.Ground, rect(0, 3, 6, 1), cells.TileCell(1, 5))}, edit.Label{Text: strings.Repeat("ü", 200)}); err != nil {
		t.Fatal(err)
	}
	e, _, err := a.TurnBackHere(sample.Pans, rect(0, 0, 9, 9))
	if err != nil || !strings.HasPrefix(e.Label.Text, "Turned back 6 cells here: ü") {
		t.Errorf("it is not turned back: %v", err)
	}
}
