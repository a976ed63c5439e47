package edit_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/replica"
	"azzel/core/sample"
	"bytes"
	"math/rand/v2"
	"testing"
)

// What an edit is sent as, and what its undo is, is what JSON makes of it, to the byte; and whoever reads it comes to the same project as who made it,
// though what is made here is neither written twice nor read again.
func TestEditsAreWrittenAsJSON(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 11))
	same := func(e *edit.Edit, made, before *document.Document) {
		t.Helper()
		text := e.Text()
		if want := edit.JSON(e); !bytes.Equal(text, want) {
			t.Fatalf("written\n%s\nwanted\n%s", text, want)
		}
		read, err := edit.Read(text)
		if err != nil {
			t.Fatalf("%v: %s", err, text)
		}
		if got := edit.Apply(before, read).Doc; got.Hash() != made.Hash() {
			t.Fatalf("who reads it comes to another project: %s", text)
		}
	}
	mine := replica.New("personperson", "clientclient", sample.World(), 0)
	for range 400 {
		before := mine.Current
		e, res, err := mine.Make(sample.Primitives(r, mine.Current), edit.Label{Text: "<Random> & \u2028"})
		if err == nil {
			same(e, res.Doc, before)
		}
		if r.IntN(3) == 0 {
			before = mine.Current
			if e, res, err = mine.Undo(); err == nil {
				same(e, res.Doc, before)
			}
		}
	}
	before := sample.World()
	quay := before.Maps.Get(sample.Quay)
	var layer document.ID
	for _, l := range quay.LayersInOrder() {
		if l.Kind == document.LayerEntities {
			layer = l.ID
		}
	}
	var do []edit.Primitive
	var stood []*document.Entity
	for i, e := range []document.Entity{{Name: "Bell \xff"}, {Name: "<Bell> & \u2028"}, {Name: "Bell"}, {Name: "Bell"}, {Name: "Bell", Values: []kind.Value{{Key: "says", Value: `{"b":1,  "a":"<"}`}}}} {
		e.ID, e.Layer, e.Kind, e.Facing, e.W, e.H, e.X = document.ID("entityentit"+string(rune('a'+i))), layer, kind.Sign, document.Down, 16, 16, 16*i
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
		stood = append(stood, &e)
	}
	at := edit.Inserts(sample.Quay, stood)
	for _, e := range stood {
		e.Name = "Otherwise now" // as a ghost that is still shown may be
	}
	e := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: "clientclient", Number: 1}, Label: edit.Label{Kind: edit.Do}, Do: do}
	res := edit.Apply(before, e)
	same(e, res.Doc, before)
	many := *e
	many.Do = at
	same(&many, edit.Apply(before, &many).Doc, before)
	if !bytes.Equal(many.Text(), e.Text()) {
		t.Errorf("many at once are\n%s\neach by itself\n%s", many.Text(), e.Text())
	}
	undo := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: "clientclient", Number: 2}, Label: edit.Label{Kind: edit.Do}, Do: res.Revert}
	back := edit.Apply(res.Doc, undo)
	same(undo, back.Doc, res.Doc)
	if back.Doc.Hash() != before.Hash() {
		t.Error("what was put down is not taken back")
	}
}
