package rules_test

import (
	"azzel/core/document"
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
	use := document.When{On: document.WhenUse, Map: sample.Quay, Entity: sample.Switch}
	for _, c := range []struct {
		rule    document.Rule
		want    string
		missing int
	}{
		{document.Rule{When: use, Then: []document.Step{{Do: document.DoOpen, Map: sample.Quay, Entity: sample.Door}}},
			"When the hero uses Switch on Quay , then open Door , each time", 0},
		{document.Rule{When: document.When{On: document.WhenTake, Map: sample.Quay, Entity: sample.Pearl}, Once: true,
			If:   []document.Condition{{ID: "a", Flag: sample.Lit}, {ID: "b", Flag: sample.Lit, Is: true}},
			Then: []document.Step{{Do: document.DoSet, Flag: sample.Lit, To: true}, {Do: document.DoSet, Flag: sample.Lit}, {Do: document.DoSay, Text: "Low tide."}}},
			"When the hero takes Pearl on Quay , if Lit is not set and Lit is set , then set Lit , and clear Lit , and say “Low tide.” , once", 0},
		{document.Rule{When: document.When{On: document.WhenArrive, Map: sample.Pans}, Then: []document.Step{{Do: document.DoOpen, Map: sample.Quay, Entity: sample.Door}}},
			"When the hero arrives on Pans , then open Door on Quay , each time", 0},
		{document.Rule{When: document.When{On: document.WhenArrive, Map: gone}, If: []document.Condition{{Flag: gone}}, Then: []document.Step{
			{Do: document.DoOpen, Map: sample.Quay, Entity: gone}, {Do: document.DoOpen, Map: gone, Entity: gone}, {Do: document.DoSet, Flag: gone}, {Do: document.DoSay}}},
			"When the hero arrives on a map that was removed , if a flag that was removed is not set , then open something that was removed , and open something on a map that was removed , and clear a flag that was removed , and say “” , each time", 6},
		{document.Rule{When: use}, "When the hero uses Switch on Quay , then do nothing yet , each time", 1},
	} {
		if text, missing := said(d, &c.rule); text != c.want || missing != c.missing {
			t.Errorf("it says\n%s (%d missing), wanted\n%s (%d)", text, missing, c.want, c.missing)
		}
	}
}

func TestAnswers(t *testing.T) {
	uses := &document.Rule{When: document.When{On: document.WhenUse, Map: sample.Quay, Entity: sample.Switch}}
	arrives := &document.Rule{When: document.When{On: document.WhenArrive, Map: sample.Quay}}
	for _, c := range []struct {
		rule   *document.Rule
		on     string
		m, e   document.ID
		answer bool
	}{
		{uses, document.WhenUse, sample.Quay, sample.Switch, true},
		{uses, document.WhenUse, sample.Quay, sample.Door, false},
		{uses, document.WhenUse, sample.Pans, sample.Switch, false},
		{uses, document.WhenTake, sample.Quay, sample.Switch, false},
		{arrives, document.WhenArrive, sample.Quay, "", true},
		{arrives, document.WhenArrive, sample.Quay, sample.Spawn, true},
		{arrives, document.WhenArrive, sample.Pans, "", false},
	} {
		if got := rules.Answers(c.rule, c.on, c.m, c.e); got != c.answer {
			t.Errorf("%s at %s of %s: %v", c.on, c.e, c.m, got)
		}
	}
}
