package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"azzel/core/sample"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"
)

func withDrawn(t *testing.T) *document.Document {
	t.Helper()
	return done(t, sample.World(), author.Change{Do: sample.Drawn()}, nil)
}

// A rule becomes what a text says, whatever it was before, and one undo makes it what it was.
func TestRuleBecomesWhatItsTextSays(t *testing.T) {
	d := withDrawn(t)
	for seed := range uint64(200) {
		r := rand.New(rand.NewPCG(seed, 9))
		first, second := sample.Draw{Says: true}.Rule(d, r), sample.Draw{Says: true}.Rule(d, r)
		if r.IntN(2) == 0 { // or nearly the same
			second = first.Copied()
			for _, p := range second.InOrder() {
				if r.IntN(3) == 0 {
					for _, q := range second.Whole(p) {
						second.Parts = second.Parts.Without(q.ID)
					}
				}
			}
			second.Once = !first.Once
		}
		c, err := author.AddRule(d, first)
		with := done(t, d, c, err)
		text := rules.Print(d, &second)
		change, err := author.RewriteRule(with, c.Made, text)
		if err != nil && rules.Print(d, &first) != text {
			t.Fatalf("seed %d: %v", seed, err)
		}
		applied := edit.Apply(with, &edit.Edit{Do: change.Do})
		if got := rules.Print(d, applied.Doc.Rules.Get(c.Made)); got != text {
			t.Fatalf("seed %d: it became\n%s\nand was to be\n%s", seed, got, text)
		}
		if back := edit.Apply(applied.Doc, &edit.Edit{Do: applied.Revert}).Doc; back.Hash() != with.Hash() {
			t.Fatalf("seed %d: turned back it is another", seed)
		}
	}
}

// What stays in a text keeps its id and its place, what differs in a blank keeps its id.
func TestPartsThatStayKeepTheirIDs(t *testing.T) {
	d := withDrawn(t)
	c, err := author.TextRule(d, "when\n\tthe hero uses Switch\nthen\n\topen Door\n\tset Lit\n\twait 2 s\n\tshut Door\n")
	d = done(t, d, c, err)
	r := d.Rules.Get(c.Made)
	was := r.In(document.SlotThen)
	change, err := author.RewriteRule(d, c.Made, "rule \"Gate\" once\nwhen\n\tthe hero uses Switch\nthen\n\topen Door\n\tadd 1 to Salt\n\twait 5 s\n\tshut Door\n\tset Lit\n")
	if err != nil {
		t.Fatal(err)
	}
	d = done(t, d, change, nil)
	r = d.Rules.Get(c.Made)
	is := r.In(document.SlotThen)
	if !r.Once || r.Name != "Gate" || len(is) != 5 || is[0].ID != was[0].ID || is[2].ID != was[2].ID || is[3].ID != was[3].ID || is[2].Order != was[2].Order {
		t.Errorf("it is %s, with %d primitives", rules.Print(d, r), len(change.Do))
	}
	if len(change.Do) != 6 { // once, name, a wait; one out, two in
		t.Errorf("that took %d primitives", len(change.Do))
	}
	if _, err := author.RewriteRule(d, c.Made, rules.Print(d, r)); err == nil {
		t.Error("the same text changes something")
	}
	for text, want := range map[string]string{"then\n\tdance": "line 2", "": "a rule says when"} {
		if _, err := author.RewriteRule(d, c.Made, text); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%q: %v", text, err)
		}
	}
	// a draft is kept until the text can be read
	change, err = author.DraftRule(d, c.Made, "then\n\tdance")
	d = done(t, d, change, err)
	if d.Rules.Get(c.Made).Draft != "then\n\tdance" {
		t.Error("the draft is lost")
	}
	change, err = author.RewriteRule(d, c.Made, rules.Print(d, r))
	if d = done(t, d, change, err); d.Rules.Get(c.Made).Draft != "" {
		t.Error("the draft stays")
	}
	if _, err := author.RewriteRule(d, "gonegonegone", "when"); err == nil {
		t.Error("a rule that is gone is rewritten")
	}
}

// Parts are moved, copied, switched off and put into one another.
func TestPartsOfARuleAreArranged(t *testing.T) {
	d := withDrawn(t)
	c, err := author.TextRule(d, "when\n\tthe hero uses Switch\nthen\n\topen Door\n\tset Lit\n\task \"?\"\n\t\tanswer \"a\"\n\t\t\tshut Door\n")
	d = done(t, d, c, err)
	id := c.Made
	part := func(word string) document.ID {
		all := d.Rules.Get(id).InOrder()
		if i := slices.IndexFunc(all, func(p *document.RulePart) bool { return p.Word == word }); i >= 0 {
			return all[i].ID
		}
		t.Fatalf("there is no %s", word)
		return ""
	}
	do := func(w rules.Wish) error {
		w.Rule = id
		c, err := author.ChangeRule(d, w)
		if err == nil {
			d = done(t, d, c, nil)
		}
		return err
	}
	says := func(what, want string) {
		t.Helper()
		_, got, _ := strings.Cut(rules.Print(d, d.Rules.Get(id)), "then\n")
		if got = strings.NewReplacer("\t", ">", "\n", " / ").Replace(got); got != want {
			t.Errorf("%s: %s", what, got)
		}
	}
	yes, name := true, "Harbour"
	for _, step := range []struct {
		what string
		wish rules.Wish
		want string
	}{
		{"moved up", rules.Wish{Part: part("set"), Move: true, Before: part("open")}, ">set Lit / >open Door / >ask \"?\" / >>answer \"a\" / >>>shut Door / "},
		{"moved to the end", rules.Wish{Part: part("set"), Move: true}, ">open Door / >ask \"?\" / >>answer \"a\" / >>>shut Door / >set Lit / "},
		{"moved into an answer", rules.Wish{Part: part("open"), Move: true, Parent: part("answer"), Before: part("shut")}, ">ask \"?\" / >>answer \"a\" / >>>open Door / >>>shut Door / >set Lit / "},
		{"switched off", rules.Wish{Part: part("open"), Off: &yes}, ">ask \"?\" / >>answer \"a\" / >>>off open Door / >>>shut Door / >set Lit / "},
		{"copied whole", rules.Wish{Part: part("ask"), Copy: true}, ">ask \"?\" / >>answer \"a\" / >>>off open Door / >>>shut Door / >ask \"?\" / >>answer \"a\" / >>>off open Door / >>>shut Door / >set Lit / "},
		{"removed whole", rules.Wish{Part: part("ask"), Remove: true}, ">ask \"?\" / >>answer \"a\" / >>>off open Door / >>>shut Door / >set Lit / "},
		{"a question of its own", rules.Wish{Word: rules.WordAsk}, ">ask \"?\" / >>answer \"a\" / >>>off open Door / >>>shut Door / >set Lit / >ask \"What shall it be?\" / >>answer \"Yes\" / >>answer \"No\" / "},
		{"done otherwise", rules.Wish{Part: part("set"), Move: true, Slot: document.SlotOtherwise}, ">ask \"?\" / >>answer \"a\" / >>>off open Door / >>>shut Door / >ask \"What shall it be?\" / >>answer \"Yes\" / >>answer \"No\" / otherwise / >set Lit / "},
		{"named", rules.Wish{Name: &name}, ""},
		{"off", rules.Wish{Off: &yes}, ""},
	} {
		if step.wish.Part != "" && d.Rules.Get(id).Parts.Get(step.wish.Part) == nil {
			step.wish.Part = part("ask")
		}
		if err := do(step.wish); err != nil {
			t.Fatalf("%s: %v", step.what, err)
		}
		if step.want != "" {
			says(step.what, step.want)
		}
	}
	if r := d.Rules.Get(id); r.Name != name || !r.Off {
		t.Errorf("the rule is %q, off %t", r.Name, r.Off)
	}
	for what, w := range map[string]rules.Wish{
		"into itself":           {Part: part("ask"), Move: true, Parent: part("answer")},
		"an answer by itself":   {Part: part("answer"), Move: true},
		"a step into an ask":    {Part: part("set"), Move: true, Parent: part("ask"), Slot: document.SlotThen},
		"a step to what wakes":  {Part: part("set"), Move: true, Slot: document.SlotWhen},
		"what is so already":    {Part: part("open"), Off: &yes},
		"an answer as a step":   {Word: rules.WordAnswer},
		"into what is not":      {Word: rules.WordSet, Parent: "gonegonegone"},
		"the same name":         {Name: &name},
		"what it is off, again": {Off: &yes},
	} {
		if do(w) == nil {
			t.Errorf("%s: was taken", what)
		}
	}
	// a word that holds nothing lets go of what stood in it
	if err := do(rules.Wish{Part: part("ask"), Word: rules.WordSay}); err != nil {
		t.Fatal(err)
	}
	if r := d.Rules.Get(id); slices.ContainsFunc(r.Parts.All(), func(p *document.RulePart) bool { return p.Word == rules.WordShut }) {
		t.Errorf("what stood in it stays: %s", rules.Print(d, r))
	}
	// no deeper than eight
	deep := document.ID("")
	for n := 1; ; n++ {
		c, err := author.ChangeRule(d, rules.Wish{Rule: id, Word: rules.WordRepeat, Parent: deep})
		if err != nil {
			if n != document.MaxDeep+1 || !strings.Contains(err.Error(), "8 deep") {
				t.Errorf("at %d deep: %v", n, err)
			}
			break
		}
		d, deep = done(t, d, c, nil), c.Made
	}
	// another rule like it
	c, err = author.ChangeRule(d, rules.Wish{Rule: id, Copy: true})
	d = done(t, d, c, err)
	if a, b := d.Rules.Get(id), d.Rules.Get(c.Made); rules.Print(d, a) != rules.Print(d, b) || a.Order >= b.Order {
		t.Error("the copy says something else")
	}
}
