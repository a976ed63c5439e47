package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"strings"
	"testing"
)

func sentence(d *document.Document, id document.ID) string {
	var words []string
	for _, w := range rules.Sentence(d, d.Rules.Get(id)) {
		words = append(words, w.Text)
	}
	return strings.Join(words, " ")
}

func TestStartRule(t *testing.T) {
	d := sample.World()
	for _, c := range []struct {
		at   document.End
		want string
	}{
		{document.End{Map: sample.Quay, Entity: sample.Switch}, "When the hero uses Switch on Quay , then do nothing yet , each time"},
		{document.End{Map: sample.Quay, Entity: sample.Pearl}, "When the hero takes Pearl on Quay , then do nothing yet , each time"},
		{document.End{Map: sample.Pans}, "When the hero arrives on Pans , then do nothing yet , each time"},
	} {
		change, err := author.StartRule(d, c.at)
		after := apply(t, d, change, err)
		if got := sentence(after, change.Made); got != c.want {
			t.Errorf("at %+v: %s", c.at, got)
		}
	}
	for _, at := range []document.End{{Map: sample.Quay, Entity: sample.Door}, {Map: sample.Quay, Entity: "gonegonegone"}, {Map: sample.Quay, Entity: sample.Spawn}} {
		if _, err := author.StartRule(d, at); err == nil {
			t.Errorf("a rule was begun at %+v", at)
		}
	}
}

func TestChangeRule(t *testing.T) {
	d := sample.World()
	c, err := author.AddRule(d, rules.Of(rules.Use(sample.Quay, sample.Switch)))
	d = apply(t, d, c, err)
	id := c.Made
	wish := func(w rules.Wish) {
		t.Helper()
		w.Rule = id
		change, err := author.ChangeRule(d, w)
		d = apply(t, d, change, err)
	}
	part := func(word string) document.ID {
		t.Helper()
		for _, p := range d.Rules.Get(id).InOrder() {
			if p.Word == word {
				return p.ID
			}
		}
		t.Fatalf("no part says %s", word)
		return ""
	}
	is := func(want string) {
		t.Helper()
		if got := sentence(d, id); got != want {
			t.Fatalf("it says\n%s, wanted\n%s", got, want)
		}
	}
	// a rule comes behind those that are there, and a part behind those of its slot
	second, err := author.AddRule(d, rules.Of(rules.Arrive(sample.Pans)))
	if after := apply(t, d, second, err).RulesInOrder(); len(after) != 2 || after[1].ID != second.Made || after[1].Order <= after[0].Order {
		t.Error("a new rule is not the last one")
	}
	line := "Low tide."
	wish(rules.Wish{Word: rules.WordOpen})
	wish(rules.Wish{Word: rules.WordSay})
	is("When the hero uses Switch on Quay , then open Door , and say “Something is said.” , each time")
	wish(rules.Wish{Part: part("say"), Blank: "text", Text: &line})
	// another word keeps what still fits, and takes what comes first
	wish(rules.Wish{Part: part("open"), Word: rules.WordSet})
	is("When the hero uses Switch on Quay , then set Lit , and say “Low tide.” , each time")
	wish(rules.Wish{Part: part("set"), Word: rules.WordClear})
	wish(rules.Wish{Part: part("clear"), Blank: "what", NewFlag: true})
	is("When the hero uses Switch on Quay , then clear Flag 1 , and say “Low tide.” , each time")
	if d.Flags.Len() != 2 {
		t.Errorf("%d flags", d.Flags.Len())
	}
	// a switch cannot be taken: something that can be comes in its place
	wish(rules.Wish{Part: part("use"), Word: rules.WordTake})
	is("When the hero takes Pearl on Quay , then clear Flag 1 , and say “Low tide.” , each time")
	wish(rules.Wish{Part: part("take"), Word: rules.WordArrive})
	wish(rules.Wish{Part: part("arrive"), Blank: "what", Map: sample.Pans})
	wish(rules.Wish{Word: rules.WordIsNotSet})
	is("When the hero arrives on Pans , if Flag 1 is not set , then clear Flag 1 , and say “Low tide.” , each time")
	wish(rules.Wish{Part: part("isNotSet"), Word: rules.WordIsSet})
	wish(rules.Wish{Part: part("clear"), Remove: true})
	yes := true
	wish(rules.Wish{Once: &yes})
	is("When the hero arrives on Pans , if Flag 1 is set , then say “Low tide.” , once")
	// two designers change two parts at once
	base := d
	other := "High tide."
	a, errA := author.ChangeRule(base, rules.Wish{Rule: id, Part: part("say"), Blank: "text", Text: &other})
	b, errB := author.ChangeRule(base, rules.Wish{Rule: id, Part: part("isSet"), Word: rules.WordIsNotSet})
	d = apply(t, d, a, errA)
	d = apply(t, d, b, errB)
	is("When the hero arrives on Pans , if Flag 1 is not set , then say “High tide.” , once")
	// and what one of them did is turned back alone
	undone := edit.Apply(edit.Apply(base, &edit.Edit{Do: a.Do}).Doc, &edit.Edit{Do: b.Do})
	d = edit.Apply(undone.Doc, &edit.Edit{Do: edit.Apply(base, &edit.Edit{Do: a.Do}).Revert}).Doc
	is("When the hero arrives on Pans , if Flag 1 is not set , then say “Low tide.” , once")

	for name, bad := range map[string]rules.Wish{
		"no rule":       {Rule: "gonegonegone", Word: rules.WordSay},
		"no word":       {Word: "dance"},
		"no part":       {Part: "gonegonegone", Word: rules.WordSay},
		"not a word":    {Part: part("say"), Word: "dance"},
		"another slot":  {Part: part("say"), Word: rules.WordUse},
		"as it is":      {Part: part("say"), Word: rules.WordSay},
		"once again":    {Once: &yes},
		"no such door":  {Word: rules.WordOpen, Blank: "what", Map: "nomap", Entity: "nodoor"},
		"a long line":   {Part: part("say"), Blank: "text", Text: long(501)},
		"no collecting": {Part: part("arrive"), Word: rules.WordTake, Blank: "what"},
	} {
		if bad.Rule == "" {
			bad.Rule = id
		}
		if _, err := author.ChangeRule(d, bad); err == nil {
			t.Errorf("%s: was changed", name)
		}
	}
	empty := document.New("Empty")
	r := rules.Of()
	r.ID = "rulerulerule"
	empty.Rules = empty.Rules.With(r.ID, &r)
	if _, err := author.ChangeRule(empty, rules.Wish{Rule: r.ID, Word: rules.WordOpen}); err == nil || !strings.Contains(err.Error(), "place one on a map first") {
		t.Errorf("without a door: %v", err)
	}
	if _, err := author.ChangeRule(empty, rules.Wish{Rule: r.ID, Word: rules.WordArrive}); err == nil || !strings.Contains(err.Error(), "make one first") {
		t.Errorf("without a map: %v", err)
	}
	change, err := author.ChangeRule(empty, rules.Wish{Rule: r.ID, Word: rules.WordSet})
	if after := apply(t, empty, change, err); after.Flags.Len() != 1 || after.Rules.Get(r.ID).Parts.Len() != 1 {
		t.Error("without a flag none was made")
	}
}

func long(n int) *string {
	s := strings.Repeat("x", n)
	return &s
}

func TestWiresAreRules(t *testing.T) {
	d := sample.World()
	for _, r := range []document.Rule{rules.Of(rules.Use(sample.Quay, sample.Switch), rules.Take(sample.Quay, sample.Pearl), rules.Open(sample.Quay, sample.Door), rules.Say("A")),
		rules.Of(rules.Arrive(sample.Quay), rules.Open(sample.Quay, sample.Door)), rules.Of(rules.Use(sample.Quay, sample.Switch), rules.Set(sample.Lit))} {
		c, err := author.AddRule(d, r)
		d = apply(t, d, c, err)
	}
	wires := author.Wires(d)
	if len(wires) != 2 || wires[0].From.Entity != sample.Switch || wires[1].From.Entity != sample.Pearl || wires[0].To != (document.End{Map: sample.Quay, Entity: sample.Door}) {
		t.Errorf("the wires are %+v", wires)
	}
	// an own kind of switch is wired to an own kind of door
	for _, of := range []document.ID{kind.Switch, kind.Door} {
		c, err := author.AddKind(d, of, "Own "+string(of))
		d = apply(t, d, c, err)
		d, _ = stand(t, d, string(c.Made), "Own "+string(of), 96, 96)
	}
	find := func(name string) document.End {
		for _, e := range d.Maps.Get(sample.Quay).Entities.All() {
			if e.Name == name {
				return document.End{Map: sample.Quay, Entity: e.ID}
			}
		}
		t.Fatalf("no %s", name)
		return document.End{}
	}
	if _, err := author.Wire(d, find("Own switch"), find("Own door"), rules.WordOpen, ""); err != nil {
		t.Error(err)
	}
	if _, err := author.Wire(d, find("Own door"), find("Own switch"), rules.WordOpen, ""); err == nil {
		t.Error("a wire begins at a door")
	}
}

// A rule takes no more parts than it can have, whoever asks.
func TestRulesHaveRoomForSoManyParts(t *testing.T) {
	parts := []document.RulePart{rules.Use(sample.Quay, sample.Switch)}
	for len(parts) < document.MaxParts-1 {
		parts = append(parts, rules.Say("Again."))
	}
	c, err := author.AddRule(sample.World(), rules.Of(parts...))
	d := apply(t, sample.World(), c, err)
	if _, err := author.ChangeRule(d, rules.Wish{Rule: c.Made, Word: rules.WordAsk}); err == nil {
		t.Error("a question with its answers found room where there is none")
	}
	if _, err := author.ChangeRule(d, rules.Wish{Rule: c.Made, Word: "nothing"}); err == nil {
		t.Error("there is a word that does nothing")
	}
}
