package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

// What holds of a game is set as people write it; what does not fit is refused in a sentence, and what is as by itself is not
// stored.
func TestSetGame(t *testing.T) {
	text := func(s string) *string { return &s }
	d := sample.World()
	for _, c := range []struct {
		key   string
		value *string
		want  string // what holds then, or what the refusal speaks of
		fails bool
	}{
		{kind.GameTitle, text("Low Tide"), `"Low Tide"`, false},
		{kind.GameTitle, text("Low Tide"), "like that already", true},
		{kind.GameDay, text("90"), "90000", false},
		{kind.GameDark, text("1, 2, 3, 4, 5, 6, 7, 8"), "[1,2,3,4,5,6,7,8]", false},
		{kind.GameDark, text("1, 2"), "8 numbers", true},
		{kind.GameDark, text("1, 2, 3, 4, 5, 6, 7, 800"), "0 to 100", true},
		{kind.GameBehind, text(string(sample.Pans)), `"` + string(sample.Pans) + `"`, false},
		{kind.GameBehind, text("gonegonegone"), "no longer there", true},
		{kind.GameGoal, text("sideways"), "is won by", true},
		{kind.GameWonWith, text("gonegonegone"), "no longer there", true},
		{kind.GameWonWith, text(string(sample.Lit)), `"` + string(sample.Lit) + `"`, false},
		{kind.GameDay, nil, "0", false},
		{"nothing", text("1"), "no setting", true},
	} {
		change, err := author.SetGame(d, c.key, c.value)
		if c.fails {
			if err == nil || !strings.Contains(err.Error(), c.want) {
				t.Errorf("%s: %v, wanted something about %q", c.key, err, c.want)
			}
			continue
		}
		if d = apply(t, d, change, err); string(d.GameValue(c.key)) != c.want {
			t.Errorf("%s is %s, wanted %s", c.key, d.GameValue(c.key), c.want)
		}
	}
	if slices.ContainsFunc(d.Project.GameValues, func(v kind.Value) bool { return v.Key == kind.GameDay }) {
		t.Error("what is as by itself is stored")
	}
}

// The game says what the designer wants: with what is put in, and as by itself again.
func TestSetGameWord(t *testing.T) {
	d := sample.World()
	c, err := author.SetGameWord(d, "moves", " {n} strokes ")
	if d = apply(t, d, c, err); d.GameSays("", "moves") != "{n} strokes" {
		t.Errorf("it says %q", d.GameSays("", "moves"))
	}
	for key, says := range map[string]string{"moves": "strokes", "none": "x", "newGame": "New game", "back": strings.Repeat("x", document.MaxName+1)} {
		if _, err := author.SetGameWord(d, key, says); err == nil {
			t.Errorf("%s is said as %.20q", key, says)
		}
	}
	c, err = author.SetGameWord(d, "moves", "")
	if d = apply(t, d, c, err); len(d.Project.Words) != 0 || d.GameSays("", "moves") != "{n} moves" {
		t.Errorf("it says %q still", d.GameSays("", "moves"))
	}
}

func TestShowCounter(t *testing.T) {
	d := edit.Apply(sample.World(), &edit.Edit{Do: sample.Drawn()}).Doc
	c, err := author.ShowCounter(d, sample.DrawnCounter, "top")
	if d = apply(t, d, c, err); d.Counters.Get(sample.DrawnCounter).Shown != "top" {
		t.Error("it is not shown")
	}
	for where, id := range map[string]document.ID{"top": sample.DrawnCounter, "middle": sample.DrawnCounter, "": "gonegonegone"} {
		if _, err := author.ShowCounter(d, id, where); err == nil {
			t.Errorf("%s is shown at %q", id, where)
		}
	}
}

// Maps that follow each other are one course; what is a template for others is none of it.
func TestCourses(t *testing.T) {
	d := edit.Apply(sample.World(), &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "next", true)}}).Doc
	all := d.Courses()
	if len(all) != 1 || len(all[0]) != 2 || d.Follows(all[0][0]) != all[0][1] || d.Follows(all[0][1]) != nil {
		t.Fatalf("the courses are %v", all)
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "template", true)}}).Doc
	if len(d.Courses()) != 0 || d.Follows(d.Maps.Get(sample.Quay)) != nil {
		t.Errorf("a template follows: %v", d.Courses())
	}
}
