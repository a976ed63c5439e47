package ask_test

import (
	"azzel/core/ask"
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"strings"
	"testing"
)

func done(t *testing.T, d *document.Document, do ...edit.Primitive) *document.Document {
	t.Helper()
	r := edit.Apply(d, &edit.Edit{Do: do})
	if len(r.Dropped) > 0 {
		t.Fatal(r.Dropped)
	}
	return r.Doc
}

// asked is the sample with a door that three rules concern, one of a kind, one asks for a counter, and that needs a key.
func asked(t *testing.T) *document.Document {
	t.Helper()
	d := done(t, sample.World(), sample.Drawn()...)
	key := document.Entity{ID: "brasskeybras", Layer: sample.Entities, Kind: kind.Key, Name: "Brass key", Facing: document.Down, X: 32, Y: 64, W: 16, H: 16, Values: []kind.Value{{Key: "opens", Value: `"brass"`}}}
	d = done(t, d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: key.ID}, key),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "values", []kind.Value{{Key: "needs", Value: `"brass"`}}))
	for _, text := range []string{
		"when\n\tthe hero uses Switch\nif\n\tSalt is at least 3\n\tLit is not set\nthen\n\topen Door\n\tset Lit",
		"rule off\nwhen\n\ta new game begins\nthen\n\tshut every Door",
		"when\n\tany Door is opened\nthen\n\thide it\n\tadd 1 to Salt",
	} {
		c, err := author.TextRule(d, text)
		if err != nil {
			t.Fatal(err)
		}
		d = done(t, d, c.Do...)
	}
	return d
}

func said(a ask.Answer) string {
	out := a.Of + "|" + a.Now
	for _, g := range a.Groups {
		out += "\n" + g.Title
		if len(g.Lines) == 0 {
			out += ": " + g.Nothing
		}
		for _, l := range g.Lines {
			out += "\n- " + l.Text
			for _, c := range l.Asks {
				out += fmt.Sprintf(" [%s %s]", c.Text, c.Is)
			}
			if (l.Rule == "") != (l.Map != "") {
				out += " LEADS NOWHERE"
			}
		}
	}
	return out
}

// A thing, a flag and a counter are asked what changes them and who needs them, in a game also how they are.
func TestAbout(t *testing.T) {
	d := asked(t)
	g, err := play.Start(world.New(d, chart.New(d, nil), nil), sample.Quay, 1)
	if err != nil {
		t.Fatal(err)
	}
	door := document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: sample.Door}
	for _, c := range []struct {
		name string
		of   document.Object
		game *play.Game
		want string
	}{
		{"a door", door, nil, `Door|
What opens or shuts it
- Brass key opens it, which lies on Quay
- open Door, when the hero uses Switch [Salt is at least 3 ] [Lit is not set ]
- shut every Door, when a new game begins (the rule is switched off)
- hide it, when any Door is opened
Who needs it
- a rule waits until any Door is opened`},
		{"a door in a game", door, g, `Door|door, shut until the hero uses Switch
What opens or shuts it
- Brass key opens it, which lies on Quay [the hero has brass no]
- open Door, when the hero uses Switch [Salt is at least 3 (it is 2) no] [Lit is not set yes]
- shut every Door, when a new game begins (the rule is switched off)
- hide it, when any Door is opened
Who needs it
- a rule waits until any Door is opened`},
		{"a flag", document.Object{Type: document.TypeFlag, ID: sample.Lit}, g, `Lit|is not set
What sets or clears it
- set Lit, when the hero uses Switch [Salt is at least 3 (it is 2) no] [Lit is not set yes]
Who needs it
- a rule asks: Lit is not set`},
		{"a counter", document.Object{Type: document.TypeCounter, ID: sample.DrawnCounter}, g, `Salt|is 2
What changes it
- add 1 to Salt, when any Door is opened
Who needs it
- a rule asks: Salt is at least 3`},
		{"a flag that nothing sets", document.Object{Type: document.TypeFlag, ID: sample.DrawnFlag}, nil, `Flag|
What sets or clears it: No rule sets it: it is never set.
Who needs it: Nothing waits for it or asks about it.`},
		{"what is gone", document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: "gonegonegone"}, g, `something that was removed|`},
		{"a map", document.Object{Type: document.TypeMap, ID: sample.Quay}, nil, `something that was removed|`},
	} {
		if got := said(ask.About(d, c.of, c.game)); got != c.want {
			t.Errorf("%s:\n%s\nwanted\n%s", c.name, got, c.want)
		}
	}
	// a game of an earlier version, where it was not there yet
	other := *d.Entity(sample.Quay, sample.Door)
	other.ID, other.Name = "otherdooroth", "Later door"
	later := done(t, d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: other.ID}, other))
	if a := ask.About(later, document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: other.ID}, g); a.Now != "" || !strings.Contains(said(a), "hide it") {
		t.Errorf("what came later is %s", said(a))
	}
}

// A layer is asked what lays it, and somebody what changes the guise in which he is.
func TestLayersAndGuisesAreAsked(t *testing.T) {
	d := done(t, sample.World(), edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Things}, "absent", true),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "guises", []document.Guise{{Number: 1, Name: "Rusty"}}))
	layer := document.Object{Type: document.TypeLayer, Map: sample.Quay, ID: sample.Things}
	if got := said(ask.About(d, layer, nil)); !strings.Contains(got, "No rule lays it, so it is never there") {
		t.Errorf("it is said %s", got)
	}
	for _, text := range []string{"when\n\tthe hero uses Switch\nif\n\tlayer Things on Quay does not lie there\nthen\n\tlay layer Things on Quay", "when\n\tDoor turns from \"as it is now\" to Rusty\nif\n\tLit is set"} {
		c, err := author.TextRule(d, text)
		if err != nil {
			t.Fatal(err)
		}
		d = done(t, d, c.Do...)
	}
	st := world.New(d, chart.New(d, nil), nil)
	g, err := play.Start(st, sample.Quay, 1)
	if err != nil {
		t.Fatal(err)
	}
	for of, want := range map[document.Object]string{
		layer: "Things|does not lie there\nWhat lays and lifts it\n- lay layer Things, when the hero uses Switch [layer Things does not lie there yes]\nWho needs it\n- a rule asks: layer Things does not lie there",
		{Type: document.TypeEntity, Map: sample.Quay, ID: sample.Door}: "- Door turns from as it is now to Rusty [Lit is set no]",
	} {
		if got := said(ask.About(d, of, g)); !strings.Contains(got, want) {
			t.Errorf("it is said\n%s\nwanted\n%s", got, want)
		}
	}
}
