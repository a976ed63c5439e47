package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"context"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

func TestTwoTabsConverge(t *testing.T) {
	r := world(t)
	a, b := r.open(), r.open()
	a.see("[data-testid=people]", "2 here")
	b.see("[data-testid=people]", "2 here")
	a.holdTile(3)
	b.holdTile(4)
	a.keys(input.KeyH)
	b.keys(input.KeyH)
	// both draw over each other's cells at once
	for i := range 8 {
		a.drag(left, a.at(2+i, 3), a.at(2+i, 9))
		b.drag(left, b.at(2, 3+i%6), b.at(12, 3+i%6))
		if i%3 == 2 {
			a.with(input.ControlLeft, input.KeyZ)
			b.with(input.ControlLeft, input.KeyZ)
		}
	}
	a.saved()
	b.saved()
	a.same()
	b.same()
	// a stroke of one is seen by the other, and the pointer as well
	a.holdTile(7)
	a.click(a.at(15, 9))
	b.showsTile(15, 9, 7)
	a.move(a.at(14, 4))
	within(t, soon, func() error {
		return contains(b.eval(`() => JSON.stringify(azzel.pointers())`), fmt.Sprintf(`"x":%d`, 14*16+8))
	})
	// an edit of a map that the other removes is told and nothing breaks
	a.pressIn("aside ul button", "Pans")
	a.see("header", "Pans")
	r.append(edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}))
	a.see("header", "Quay")
	a.same()
	b.same()
}

func TestServerAway(t *testing.T) {
	r := world(t)
	k := r.open()
	k.holdTile(5)
	k.keys(input.KeyH)
	k.click(k.at(3, 3))
	k.saved()
	r.away()
	k.see("[data-testid=saved]", "Server away")
	// the designer goes on
	for i := range 5 {
		k.click(k.at(4+i, 4))
	}
	k.see("[data-testid=saved]", "5 edits kept here")
	k.with(input.ControlLeft, input.KeyZ)
	k.see("[data-testid=saved]", "6 edits kept here")
	k.showsTile(7, 4, 5)
	k.stored(cellsAre(sample.Ground, 3, 3, 5, 4, 4, 0))
	r.back()
	k.saved()
	k.stored(cellsAre(sample.Ground, 4, 4, 5, 7, 4, 5, 8, 4, 0))
	k.same()
	_, seq := r.state()
	if seq != 8 { // the picture, the first press, five presses and an undo
		t.Errorf("the log has %d edits, wanted 8", seq)
	}
}

func TestTabKilledWithKeptEdits(t *testing.T) {
	r := world(t)
	k := r.open()
	k.holdTile(6)
	k.keys(input.KeyH)
	r.away()
	k.see("[data-testid=saved]", "Server away")
	k.click(k.at(5, 5))
	k.click(k.at(6, 5))
	k.see("[data-testid=saved]", "2 edits kept here")
	within(t, soon, func() error { return want("kept", k.kept(), "2") })
	// the page is killed, not closed
	must(t, proto.InspectorEnable{}.Call(k.page))
	crashed := k.page.WaitEvent(&proto.InspectorTargetCrashed{})
	go func() { _ = proto.PageCrash{}.Call(k.page.Timeout(soon)) }() // a killed page does not answer
	crashed()
	r.back()
	k.another() // a new page of the same browser takes them over and sends them
	k.saved()
	k.stored(cellsAre(sample.Ground, 5, 5, 6, 6, 5, 6))
	k.showsTile(6, 5, 6)
	within(t, soon, func() error { return want("kept", k.kept(), "0") })
	k.same()
	// they can be undone as any other
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(cellsAre(sample.Ground, 5, 5, 6, 6, 5, 0))
}

// kept counts the edits in the browser's database.
func (k *tab) kept() string {
	k.Helper()
	return k.eval(`() => new Promise((done) => {
		const r = indexedDB.open('azzel')
		r.onsuccess = () => { const q = r.result.transaction('edits').objectStore('edits').count(); q.onsuccess = () => { r.result.close(); done(String(q.result)) } }
	})`)
}

func TestKeptEditThatWasStoredIsNotStoredTwice(t *testing.T) {
	r := world(t)
	k := r.open()
	k.holdTile(6)
	k.keys(input.KeyH)
	k.click(k.at(5, 5))
	k.saved()
	// as if the page had been killed after the commit and before it heard of it
	rows, err := r.store.Rows(context.Background(), r.project, 1, 10)
	must(t, err)
	if len(rows) != 1 {
		t.Fatalf("%d rows", len(rows))
	}
	row := rows[0].Sent()
	k.eval(`(project, client, number, edit) => new Promise((done) => {
		const r = indexedDB.open('azzel')
		r.onsuccess = () => { const x = r.result.transaction('edits', 'readwrite'); x.objectStore('edits').put({ project, client, number, edit }); x.oncomplete = () => { r.result.close(); done() } }
	})`, r.project, string(row.Mark.Client), row.Mark.Number, string(row.Edit))
	must(t, k.page.Close())
	k.another()
	k.saved()
	within(t, soon, func() error { return want("kept", k.kept(), "0") })
	if _, seq := r.state(); seq != 2 {
		t.Errorf("the log has %d edits, wanted 2", seq)
	}
	k.same()
}

func TestLargeEditGoesByPost(t *testing.T) {
	r := startWith(t, big())
	k := r.open()
	k.eval(`() => localStorage.setItem('azzel.hand.projectproje', JSON.stringify({ tray: [{ grip: { what: 'tiles', cells: Array.from({ length: 4096 }, (_, i) => 65536 + (i * 7919) % 4000), width: 64, shape: 'box' }, layer: '' }, ...Array(9).fill(null)] }))`)
	k.reload()
	k.focusMap()
	k.keys(input.Digit1, input.Home)
	k.see("[data-testid=hand]", "64 × 64 tiles")
	k.drag(left, k.at(1, 1), k.at(500, 500))
	k.saved()
	k.stored(func(d *document.Document) error {
		l := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground)
		if c := l.Cells.At(65, 65); c != cells.Cell(65536) {
			return fmt.Errorf("the cell is %#x", c)
		}
		return nil
	})
	k.same()
}

// big is the world with a Quay of 512×512 cells.
func big() *document.Document {
	d := sample.World()
	res := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", map[string]int{"x": 0, "y": 0, "w": 512, "h": 512})}})
	return res.Doc
}
