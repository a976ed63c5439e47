package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// Signals and items are listed with where they are said and what is missing, and are renamed everywhere in one edit, which
// undone leaves everything as it was.
func TestWordsOfRules(t *testing.T) {
	d := sample.World()
	for i, e := range []document.Entity{
		{Kind: kind.Item, Name: "Jug", Values: []kind.Value{{Key: "is", Value: `"oil"`}}},
		{Kind: kind.Container, Name: "Chest", Values: []kind.Value{{Key: "holds", Value: `["wax","oil"]`}, {Key: "needs", Value: `"brass"`}}},
		{Kind: kind.Sign, Name: "Board"},
	} {
		e.ID, e.Layer, e.Facing, e.W, e.H, e.Rank = document.ID(fmt.Sprintf("wordsofrule%c", 'a'+i)), sample.Entities, document.Down, 16, 16, 90+i
		d = sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	}
	for _, text := range []string{"when\n\tthe hero uses Switch\nif\n\tthe hero has oil\nthen\n\tsend out bell\n\tgive the hero 2 coin", "when\n\tsignal tide comes\nthen\n\ttake 1 oil from the hero"} {
		c, err := author.TextRule(d, text)
		d = apply(t, d, c, err)
	}
	told := func(what string) (out string) {
		for _, u := range author.UsedWords(d, what) {
			out += fmt.Sprintf("%s %d %d %s; ", u.Word, len(u.Rules), u.Things, u.Note)
		}
		return out
	}
	if got, want := told(author.WordsSignals), "bell 1 0 nobody waits for it; tide 1 0 nobody sends it out; "; got != want {
		t.Errorf("the signals are %s", got)
	}
	if got, want := told(author.WordsItems), "brass 0 1 nothing gives it; coin 1 0 nobody asks for it; oil 2 2 ; wax 0 1 nobody asks for it; "; got != want {
		t.Errorf("the items are %s", got)
	}
	before := d
	c, err := author.RenameWord(d, author.WordsItems, "oil", " lamp oil ")
	d = apply(t, d, c, err)
	if got, want := told(author.WordsItems), "brass 0 1 nothing gives it; coin 1 0 nobody asks for it; lamp oil 2 2 ; wax 0 1 nobody asks for it; "; got != want {
		t.Errorf("renamed they are %s", got)
	}
	res := edit.Apply(before, &edit.Edit{Do: c.Do})
	if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}); back.Doc.Hash() != before.Hash() {
		t.Error("undone, not all is as it was")
	}
	c, err = author.RenameWord(d, author.WordsSignals, "tide", "bell")
	d = apply(t, d, c, err)
	if got := told(author.WordsSignals); got != "bell 2 0 ; " {
		t.Errorf("two signals made one are %s", got)
	}
	for _, bad := range [][3]string{{"item", "oil", "wax"}, {"item", "wax", " "}, {"item", "wax", "wax"}, {"thing", "wax", "way"}} {
		if _, err := author.RenameWord(d, bad[0], bad[1], bad[2]); err == nil {
			t.Errorf("%v is renamed", bad)
		}
	}
}
