package rules_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"strings"
	"testing"
)

func said(d *document.Document, r *document.Rule) (text string, missing int) {
	var words []string
	for _, w := range rules.Sentence(d, r) {
		words = append(words, w.Text)
		if w.Missing {
			missing++
		}
	}
	return strings.Join(words, " "), missing
}

func TestSentences(t *testing.T) {
	d := sample.World()
	const gone = document.ID("gonegonegone")
	use := rules.Use(sample.Quay, sample.Switch)
	once := rules.Of(rules.Take(sample.Quay, sample.Pearl), rules.IsNotSet(sample.Lit), rules.IsSet(sample.Lit), rules.Set(sample.Lit), rules.Clear(sample.Lit), rules.Say("Low tide."))
	once.Once = true
	for _, c := range []struct {
		rule    document.Rule
		want    string
		missing int
	}{
		{rules.Of(use, rules.Open(sample.Quay, sample.Door)), "When the hero uses Switch on Quay , then open Door , each time", 0},
		{once, "When the hero takes Pearl on Quay , if Lit is not set and Lit is set , then set Lit , and clear Lit , and say “Low tide.” , once", 0},
		{rules.Of(rules.Arrive(sample.Pans), rules.Open(sample.Quay, sample.Door)), "When the hero arrives on Pans , then open Door on Quay , each time", 0},
		{rules.Of(rules.Arrive(gone), rules.IsNotSet(gone), rules.Open(sample.Quay, gone), rules.Open(gone, gone), rules.Clear(gone), rules.Say("")),
			"When the hero arrives on a map that was removed , if a flag that was removed is not set , then open something that was removed , and open something on a map that was removed , and clear a flag that was removed , and say “” , each time", 6},
		{rules.Of(use), "When the hero uses Switch on Quay , then do nothing yet , each time", 1},
		{rules.Of(use, rules.Arrive(sample.Pans), rules.Say("A")), "When the hero uses Switch on Quay or when the hero arrives on Pans , then say “A” , each time", 0},
		{document.Rule{}, "When something happens , then do nothing yet , each time", 2},
		{document.Rule{}.With(document.RulePart{ID: "dance", Slot: document.SlotThen, Word: "dance"}), "When something happens , then something that this version does not know , each time", 2},
	} {
		if text, missing := said(d, &c.rule); text != c.want || missing != c.missing {
			t.Errorf("it says\n%s (%d missing), wanted\n%s (%d)", text, missing, c.want, c.missing)
		}
	}
}

func TestWaiting(t *testing.T) {
	d := sample.World()
	for i, r := range []document.Rule{rules.Of(rules.Use(sample.Quay, sample.Switch)), rules.Of(rules.Arrive(sample.Quay)),
		rules.Of(rules.Take(sample.Quay, sample.Pearl), rules.Arrive(sample.Pans), rules.Use(sample.Quay, sample.Switch))} {
		r.ID, r.Order = document.ID(rune('a'+i)), -i
		d.Rules = d.Rules.With(r.ID, &r)
	}
	for _, c := range []struct {
		word string
		m, e document.ID
		want string
	}{
		{rules.WordUse, sample.Quay, sample.Switch, "ca"},
		{rules.WordUse, sample.Quay, sample.Door, ""},
		{rules.WordUse, sample.Pans, sample.Switch, ""},
		{rules.WordTake, sample.Quay, sample.Switch, ""},
		{rules.WordTake, sample.Quay, sample.Pearl, "c"},
		{rules.WordArrive, sample.Quay, "", "b"},
		{rules.WordArrive, sample.Pans, "", "c"},
		{rules.WordUse, sample.Quay, "", ""},
	} {
		got := ""
		for _, r := range rules.Waiting(d, happens(c.word, c.m, c.e)) {
			got += string(r.ID)
		}
		if got != c.want {
			t.Errorf("%s at %s of %s wakes %q, wanted %q", c.word, c.e, c.m, got, c.want)
		}
	}
}

func happens(word string, m, e document.ID) rules.Happening {
	if e == "" {
		return rules.Happening{Word: word, At: document.Object{Type: document.TypeMap, ID: m}}
	}
	return rules.Happening{Word: word, At: document.Object{Type: document.TypeEntity, Map: m, ID: e}, Kind: kind.Switch}
}

// What is checked of a part: its word, where it stands, and what its blanks name.
func TestPartsAreChecked(t *testing.T) {
	for _, p := range []document.RulePart{rules.Use(sample.Quay, sample.Switch), rules.Arrive(sample.Quay), rules.IsSet(sample.Lit), rules.Open(sample.Quay, sample.Door), rules.Say("")} {
		if err := rules.Check(&p); err != nil {
			t.Errorf("%s: %v", p.Word, err)
		}
	}
	for name, change := range map[string]func(*document.RulePart){
		"word":    func(p *document.RulePart) { p.Word = "dance" },
		"place":   func(p *document.RulePart) { p.Slot = document.SlotIf },
		"empty":   func(p *document.RulePart) { p.Blanks = nil },
		"another": func(p *document.RulePart) { p.Blanks = append(p.Blanks, kind.Value{Key: "who", Value: "1"}) },
		"type":    func(p *document.RulePart) { p.Blanks[0].Value = `{"flag":"` + kind.Datum(sample.Lit) + `"}` },
		"number":  func(p *document.RulePart) { p.Blanks[0].Value = "7" },
		"id": func(p *document.RulePart) {
			p.Blanks[0].Value = `{"entity":"door","map":"` + kind.Datum(sample.Quay) + `"}`
		},
		"without map": func(p *document.RulePart) { p.Blanks[0].Value = `{"entity":"` + kind.Datum(sample.Door) + `"}` },
		"more than it": func(p *document.RulePart) {
			p.Blanks[0].Value = p.Blanks[0].Value[:len(p.Blanks[0].Value)-1] + `,"x":1}`
		},
	} {
		p := rules.Open(sample.Quay, sample.Door)
		change(&p)
		if rules.Check(&p) == nil {
			t.Errorf("%s: passes", name)
		}
	}
	if p := rules.Say(strings.Repeat("x", 501)); rules.Check(&p) == nil {
		t.Error("a line of 501 characters passes")
	}
}

// Every word can be offered, said and checked, and is one of its slot.
func TestVocabularyIsWhole(t *testing.T) {
	seen := map[string]bool{}
	for _, e := range rules.Vocabulary {
		if seen[e.Word] || rules.Find(e.Word).Label != e.Label || e.Label == "" || !strings.Contains(e.Pattern, "[") {
			t.Errorf("%s is not declared as it should be", e.Word)
		}
		seen[e.Word] = true
		for _, b := range e.Blanks {
			if !strings.Contains(e.Pattern, "{"+b.Key+"}") {
				t.Errorf("the sentence of %s leaves out %s", e.Word, b.Key)
			}
		}
	}
}
