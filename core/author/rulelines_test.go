package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/sample"
	"strings"
	"testing"
)

// Lines of one rule are put into another: behind a line, with all that stands in them, where they belong; over and over
// again they stay in their order.
func TestPasteParts(t *testing.T) {
	d := sample.World()
	read := func(text string) document.ID {
		t.Helper()
		rule, err := rules.Read(d, text)
		if err != nil {
			t.Fatal(err)
		}
		c, err := author.AddRule(d, rule)
		d = apply(t, d, c, err)
		return c.Made
	}
	from := read("when\n\ta new game begins\nif\n\tLit is set\nthen\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\t\tanswer \"No\"\n\tsay \"Two.\"")
	to := read("when\n\ta new game begins\nthen\n\tsay \"One.\"\n\tsay \"Three.\"\notherwise\n\tclear Lit")
	part := func(rule document.ID, word string, n int) *document.RulePart {
		for _, p := range d.Rules.Get(rule).InOrder() {
			if p.Word == word {
				if n--; n < 0 {
					return p
				}
			}
		}
		t.Fatalf("no %s", word)
		return nil
	}
	paste := func(behind document.ID, text string) {
		t.Helper()
		c, err := author.PasteParts(d, to, behind, text)
		d = apply(t, d, c, err)
	}
	is := func(want string) {
		t.Helper()
		if got := rules.Print(d, d.Rules.Get(to)); got != want {
			t.Fatalf("it is\n%s\nand not\n%s", got, want)
		}
	}
	text, err := author.PartText(d, from, part(from, rules.WordAsk, 0).ID)
	if err != nil || text != "then\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\t\tanswer \"No\"\n" {
		t.Fatalf("as text it is %q, %v", text, err)
	}
	paste(part(to, rules.WordSay, 0).ID, text)
	asks := "\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\t\tanswer \"No\"\n"
	is("when\n\ta new game begins\nthen\n\tsay \"One.\"\n" + asks + "\tsay \"Three.\"\notherwise\n\tclear Lit\n")
	for range 14 { // there is no room any more
		paste(part(to, rules.WordSay, 0).ID, "then\n\tset Lit\n\tclear Lit")
	}
	is("when\n\ta new game begins\nthen\n\tsay \"One.\"\n" + strings.Repeat("\tset Lit\n\tclear Lit\n", 14) + asks + "\tsay \"Three.\"\notherwise\n\tclear Lit\n")
	// what is asked goes where that is asked, what is done behind what is done otherwise, and into an answer
	paste(part(to, rules.WordClear, 14).ID, "if\n\tLit is set\nthen\n\tsay \"Four.\"")
	paste(part(to, rules.WordSet, 14).ID, "then\n\tsay \"In it.\"")
	is("when\n\ta new game begins\nif\n\tLit is set\nthen\n\tsay \"One.\"\n" + strings.Repeat("\tset Lit\n\tclear Lit\n", 14) +
		"\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\t\t\tsay \"In it.\"\n\t\tanswer \"No\"\n\tsay \"Three.\"\notherwise\n\tclear Lit\n\tsay \"Four.\"\n")
	for text, want := range map[string]string{"Lit is set": "cannot be read", "then\n\tanswer \"Yes\"": "cannot be read", "": "a rule says when"} {
		if _, err := author.PasteParts(d, to, "", text); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%q: %v", text, err)
		}
	}
	if _, err := author.PartText(d, from, part(from, rules.WordAnswer, 0).ID); err == nil {
		t.Error("an answer is copied alone")
	}
	if _, err := author.PartText(d, to, "nothingnothi"); err == nil {
		t.Error("a part that is not there has a text")
	}
	long := "then\n" + strings.Repeat("\tset Lit\n", document.MaxParts-5)
	if _, err := author.PasteParts(d, to, "", long); err == nil {
		t.Error("there is room without end")
	}
}
