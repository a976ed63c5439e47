package texts_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/texts"
	"fmt"
	"slices"
	"strings"
	"testing"
)

// did applies what an author wishes.
func did(t *testing.T, d *document.Document, c author.Change, err error) *document.Document {
	t.Helper()
	if err != nil {
		t.Fatal(err)
	}
	r := edit.Apply(d, &edit.Edit{Do: c.Do})
	if len(r.Dropped) > 0 {
		t.Fatalf("dropped %v", r.Dropped)
	}
	return r.Doc
}

// story is a project in which much is read: a rule that says and asks, a sign, somebody with a guise.
func story(t *testing.T) *document.Document {
	t.Helper()
	d := sample.World()
	add := func(k, name string, x int, values []kind.Value, guises []document.Guise) {
		e := document.Entity{ID: document.ID(strings.Repeat(name, 12)[:12]), Layer: sample.Entities, Kind: k, Name: name, Facing: document.Down, X: x, Y: 96, W: 16, H: 16, Values: values, Guises: guises}
		d = did(t, d, author.Change{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)}}, nil)
	}
	says := func(text string) []kind.Value { return []kind.Value{{Key: "says", Value: kind.Of(text)}} }
	add(kind.Sign, "board", 64, says("Mind the tide."), nil)
	add(kind.Sign, "plank", 80, says("Mind the tide."), nil)
	add(kind.Character, "keeper", 96, says("Good evening."), []document.Guise{{Number: 1, Name: "Glad", Says: "So glad!"}})
	rule, err := rules.Read(d, "when\n\tthe hero speaks to keeper\nthen\n\tsay \"Mind the tide.\"\n\task \"Shall it?\"\n\t\tanswer \"Yes\"\n\t\tanswer \"No\"\n\t# nobody reads this\n\tcaption \"Low tide\" for 2 s")
	if err != nil {
		t.Fatal(err)
	}
	c, err := author.AddRule(d, rule)
	d = did(t, d, c, err)
	for _, tag := range []string{"de", "fr"} {
		c, err := texts.AddLanguage(d, tag)
		d = did(t, d, c, err)
	}
	return d
}

func find(l texts.List, text string) *texts.Told {
	if i := slices.IndexFunc(l.Texts, func(t texts.Told) bool { return t.Text == text }); i >= 0 {
		return &l.Texts[i]
	}
	return nil
}

// itself is how many texts the game itself says.
func itself(l texts.List) (n int) {
	for _, o := range l.Texts {
		if slices.Contains(o.Where, "the game itself") {
			n++
		}
	}
	return n
}

// What the game itself says is listed where there are languages, comes in some of them, and can be said otherwise.
func TestWordsOfTheGame(t *testing.T) {
	d := story(t)
	one := find(texts.Of(d), "New game")
	if one == nil || one.In[0].Says != "Neues Spiel" || one.In[1].Says != "Nouvelle partie" {
		t.Fatalf("it says %+v", one)
	}
	c, err := texts.Rewrite(d, "New game", "Set out")
	d = did(t, d, c, err)
	if d.GameSays("", "newGame") != "Set out" || d.GameSays("de", "newGame") != "Set out" {
		t.Errorf("it says %q, in German %q", d.GameSays("", "newGame"), d.GameSays("de", "newGame"))
	}
	c, err = texts.Word(d, "de", "Set out", "Brich auf")
	d = did(t, d, c, err)
	if d.GameSays("de", "newGame") != "Brich auf" || d.GameSays("de-CH", "continue") != "Weiterspielen" || d.GameSays("nl", "continue") != "Continue" {
		t.Errorf("in German it says %q", d.GameSays("de", "newGame"))
	}
}

func TestAllThatIsReadIsListed(t *testing.T) {
	l := texts.Of(story(t))
	var all []string
	for _, o := range l.Texts {
		all = append(all, fmt.Sprintf("%s %s %d", o.Is, o.Text, len(o.Where)))
	}
	want := []string{"said Mind the tide. 3", "said Good evening. 1", "said So glad! 1", "name keeper 1", "said Shall it? 1", "seen Yes 1", "seen No 1", "seen Low tide 1"}
	for _, line := range want {
		if !slices.Contains(all, line) {
			t.Errorf("“%s” is not listed", line)
		}
	}
	if strings.Contains(strings.Join(all, "\n"), "nobody reads") || l.Language != "en" || !slices.Equal(l.Languages, []string{"de", "fr"}) {
		t.Errorf("listed are %q in %s and %v", all, l.Language, l.Languages)
	}
	if n := len(l.Texts); l.Missing[0] != n-itself(l) || l.Missing[1] != n-itself(l) || len(l.Lost) != 0 {
		t.Errorf("of %d missing are %v, lost %v", n, l.Missing, l.Lost)
	}
}

// What is asked for is found: by words of any language and of where it stands, by what a language lacks, what is unsure, what
// has no room, and only so many.
func TestFind(t *testing.T) {
	d := story(t)
	for _, w := range [][3]string{{"de", "Yes", "Ja"}, {"de", "Good evening.", strings.Repeat("Guten Abend ", 12)}, {"fr", "No", "Non"}} {
		c, err := texts.Word(d, w[0], w[1], w[2])
		d = did(t, d, c, err)
	}
	c, err := texts.Rewrite(d, "No", "Never")
	d = did(t, d, c, err)
	l := texts.Of(d)
	n := len(l.Texts)
	for _, c := range []struct {
		want  texts.Wanted
		found int
		first string
	}{
		{texts.Wanted{}, n, "Mind the tide."}, {texts.Wanted{Words: "ja"}, 1, "Yes"}, {texts.Wanted{Words: "KEEPER so"}, 1, "So glad!"}, {texts.Wanted{Words: "nothing like it"}, 0, ""},
		{texts.Wanted{Only: "de"}, n - 2 - itself(l), "Mind the tide."}, {texts.Wanted{Only: texts.OnlyUnsure}, 1, "Never"}, {texts.Wanted{Only: texts.OnlyTight}, 1, "Good evening."}, {texts.Wanted{Most: 2}, n, "Mind the tide."},
	} {
		l := texts.Find(d, c.want)
		first := ""
		if len(l.Texts) > 0 {
			first = l.Texts[0].Text
		}
		if l.Found != c.found || l.All != n || first != c.first || c.want.Most > 0 && len(l.Texts) != c.want.Most {
			t.Errorf("%+v: %d of %d, first %q, %d given", c.want, l.Found, l.All, first, len(l.Texts))
		}
	}
}

func TestWordings(t *testing.T) {
	d := story(t)
	c, err := texts.Word(d, "de", "Mind the tide.", "Achte auf die Flut.")
	d = did(t, d, c, err)
	c, err = texts.Word(d, "de", "Mind the tide.", "Gib acht auf die Flut, die hier schneller kommt, als irgendjemand denkt.\nUnd sie kommt, ganz gleich, was man dir sagt.\nGeh.")
	d = did(t, d, c, err)
	l := texts.Of(d)
	if o := find(l, "Mind the tide."); !o.In[0].Room.Over || o.In[0].Room.Pages != 2 || o.In[1].Says != "" || l.Missing[0] != len(l.Texts)-1-itself(l) {
		t.Fatalf("it is said so: %+v, missing %v", o.In, l.Missing)
	}
	// written otherwise it is so in all three places, and what it was in German is to be looked at
	c, err = texts.Rewrite(d, "Mind the tide.", "Mind the tide!")
	d = did(t, d, c, err)
	l = texts.Of(d)
	if o := find(l, "Mind the tide!"); o == nil || len(o.Where) != 3 || !o.In[0].Unsure || find(l, "Mind the tide.") != nil {
		t.Fatalf("rewritten it is %+v", o)
	}
	c, err = texts.Word(d, "de", "Mind the tide!", find(l, "Mind the tide!").In[0].Says)
	d = did(t, d, c, err)
	if o := find(texts.Of(d), "Mind the tide!"); o.In[0].Unsure {
		t.Error("said again it is still unsure")
	}
	// a text that is changed in its place leaves its wording behind, which another one takes over
	c, err = texts.Word(d, "de", "So glad!", "So froh!")
	d = did(t, d, c, err)
	d = did(t, d, author.Change{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "keeperkeeper"}, "guises", []document.Guise{{Number: 1, Name: "Glad", Says: "Very glad!"}})}}, nil)
	l = texts.Of(d)
	if len(l.Lost) != 1 || l.Lost[0].Of != "So glad!" || find(l, "Very glad!").In[0].Says != "" {
		t.Fatalf("left behind are %+v", l.Lost)
	}
	c, err = texts.Take(d, l.Lost[0].ID, "Very glad!")
	taken := did(t, d, c, err)
	if o := find(texts.Of(taken), "Very glad!"); o.In[0].Says != "So froh!" || !o.In[0].Unsure {
		t.Errorf("taken over it is %+v", o.In)
	}
	c, err = texts.Drop(d)
	if dropped := did(t, d, c, err); len(texts.Of(dropped).Lost) != 0 || dropped.Wordings.Len() != 1 {
		t.Error("what nothing needs is still there")
	}
	// without the language it is kept, and comes back with it
	c, err = texts.DropLanguage(d, "de")
	d = did(t, d, c, err)
	if l := texts.Of(d); len(l.Languages) != 1 || len(l.Lost) != 2 || d.Says("de", "Mind the tide!") == "Mind the tide!" {
		t.Errorf("without German: %+v", l.Lost)
	}
}

// The texts are written in the language that is said, however its name is written.
func TestWrittenIn(t *testing.T) {
	d := story(t)
	c, err := texts.WrittenIn(d, " IT ")
	d = did(t, d, c, err)
	c, err = texts.AddLanguage(d, "EN-GB")
	if d = did(t, d, c, err); texts.Of(d).Language != "it" || !slices.Equal(d.Project.Languages, []string{"de", "fr", "en-GB"}) {
		t.Errorf("written in %s, said in %v", texts.Of(d).Language, d.Project.Languages)
	}
	for tag, want := range map[string]string{"it": "already", "de": "remove that language first", "Italian!": "no language"} {
		if _, err := texts.WrittenIn(d, tag); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%s: %v", tag, err)
		}
	}
}

func TestWordingsRefuse(t *testing.T) {
	d := story(t)
	long := strings.Repeat("x", document.MaxText+1)
	for _, c := range []struct {
		want string
		do   func() (author.Change, error)
	}{
		{"no language", func() (author.Change, error) { return texts.Word(d, "it", "Yes", "Sì") }},
		{"not said yet", func() (author.Change, error) { return texts.Word(d, "de", "Yes", "") }},
		{"at most", func() (author.Change, error) { return texts.Word(d, "de", "Yes", long) }},
		{"nowhere", func() (author.Change, error) { return texts.Rewrite(d, "Never said", "So") }},
		{"stands so already", func() (author.Change, error) { return texts.Rewrite(d, "Yes", "Yes ") }},
		{"so that nothing is read", func() (author.Change, error) { return texts.Rewrite(d, "Yes", " \n") }},
		{"nowhere", func() (author.Change, error) { return texts.Rewrite(d, "keeper", "warden") }}, // a name
		{"no language", func() (author.Change, error) { return texts.AddLanguage(d, "Klingon") }},
		{"already", func() (author.Change, error) { return texts.AddLanguage(d, "de") }},
		{"already", func() (author.Change, error) { return texts.AddLanguage(d, "en") }},
		{"no language", func() (author.Change, error) { return texts.DropLanguage(d, "it") }},
		{"no longer there", func() (author.Change, error) { return texts.Take(d, "nothingnothi", "Yes") }},
		{"needed", func() (author.Change, error) { return texts.Drop(d) }},
	} {
		if _, err := c.do(); err == nil || !strings.Contains(err.Error(), c.want) {
			t.Errorf("instead of “…%s…” it says %v", c.want, err)
		}
	}
}
