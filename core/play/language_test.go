package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/play"
	"slices"
	"testing"
)

// Texts are read in the language that is chosen, folded into the box in that; a pin keeps which, and the next one comes by a key.
func TestLanguages(t *testing.T) {
	r := stepping(t).reads(uses + "then\n\tsay \"Mind the tide.\"\n\task \"Shall it?\"\n\t\tanswer \"Yes\"\n\t\t\twin the game \"Done.\"\n\t\tanswer \"No\"")
	words := []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "languages", []string{"de", "fr"})}
	for id, w := range map[document.ID][2]string{"worda4worda4": {"Mind the tide.", "Gib acht auf die Flut.\n\nSie kommt."}, "wordb4wordb4": {"Yes", "Ja"}, "wordc4wordc4": {"Done.", "Geschafft."}, "wordd4wordd4": {"Shall it?", ""}} {
		words = append(words, edit.Insert(edit.Ref{Type: edit.TypeWording, ID: id}, document.Wording{ID: id, Language: "de", Of: w[0], Says: w[1]}))
	}
	r.d = apply(t, r.d, words...)
	r.g.Enter(stage(r.d))
	own := clone(r)
	own.press(play.InputUse)
	if len(own.g.Lines) != 1 || own.g.Lines[0].Text != "Mind the tide." {
		t.Fatalf("it reads %+v", own.g.Lines)
	}
	r.press(play.InputLanguage)
	if r = r.again(); r.g.Language != "de" {
		t.Fatalf("it is read in %q", r.g.Language)
	}
	r.press(play.InputUse)
	if len(r.g.Lines) != 2 || r.g.Lines[0].Text != "Gib acht auf die Flut." {
		t.Fatalf("it reads %+v", r.g.Lines)
	}
	r.press(play.InputUse)
	r.press(play.InputUse)
	if l := r.g.Lines[0]; l.Text != "Shall it?" || !slices.Equal(l.Answers, []string{"Ja", "No"}) {
		t.Fatalf("it asks %+v", l)
	}
	if r.press(play.InputUse); r.g.Ending != "Geschafft." {
		t.Errorf("it ends with %q", r.g.Ending)
	}
	for _, want := range []string{"de", "fr", ""} {
		if own.press(play.InputLanguage); own.g.Language != want {
			t.Errorf("the next language is %q and not %q", own.g.Language, want)
		}
	}
	if g, err := play.StartWith(r.g.Stage, r.mapID(), play.Given{Language: "fr"}, 1); err == nil && g.Language != "fr" {
		t.Errorf("a game begins in %q", g.Language)
	}
}
