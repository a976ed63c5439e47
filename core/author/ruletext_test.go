package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
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
		change, err := author.RewriteRule(with, nil, c.Made, text)
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
	change, err := author.RewriteRule(d, nil, c.Made, "rule \"Gate\" once\nwhen\n\tthe hero uses Switch\nthen\n\topen Door\n\tadd 1 to Salt\n\twait 5 s\n\tshut Door\n\tset Lit\n")
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
	if _, err := author.RewriteRule(d, nil, c.Made, rules.Print(d, r)); err == nil {
		t.Error("the same text changes something")
	}
	for text, want := range map[string]string{"then\n\tdance": "line 2", "": "a rule says when"} {
		if _, err := author.RewriteRule(d, nil, c.Made, text); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%q: %v", text, err)
		}
	}
	// a draft is kept until the text can be read
	change, err = author.DraftRule(d, c.Made, "then\n\tdance")
	d = done(t, d, change, err)
	if d.Rules.Get(c.Made).Draft != "then\n\tdance" {
		t.Error("the draft is lost")
	}
	change, err = author.RewriteRule(d, nil, c.Made, rules.Print(d, r))
	if d = done(t, d, change, err); d.Rules.Get(c.Made).Draft != "" {
		t.Error("the draft stays")
	}
	if _, err := author.RewriteRule(d, nil, "gonegonegone", "when"); err == nil {
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

// Copies of entities, and of maps, have rules of their own that name the copies; rules of kinds are not doubled.
func TestCopiesBringTheirRules(t *testing.T) {
	d := withDrawn(t)
	for _, text := range []string{
		"rule \"Gate\" once\nwhen\n\tthe hero uses Switch\n\tthe hero takes Pearl\nthen\n\topen Door\n\trepeat 2 times\n\t\tflip Switch\n",
		"when\n\tany Switch is turned on\nthen\n\thide it\n", "when\n\tthe hero arrives on Quay\nthen\n\tshut Door\n", "when\n\ta new game begins\nthen\n\topen Door\n"} {
		c, err := author.TextRule(d, text)
		d = done(t, d, c, err)
	}
	texts := func(d *document.Document, from int) (out []string) {
		for _, r := range d.RulesInOrder()[from:] {
			out = append(out, strings.NewReplacer("\t", ">", "\n", " / ").Replace(rules.Print(d, r)))
		}
		return out
	}
	c, ids, err := author.CopyEntities(d, quay(d), []*document.Entity{quay(d).Entities.Get(sample.Switch)}, 16, 0)
	with := done(t, d, c, err)
	if got, want := texts(with, 4), []string{`rule "Gate" once / when / >the hero uses "Switch 2" / then / >open Door / >repeat 2 times / >>flip "Switch 2" / `}; !slices.Equal(got, want) || len(ids) != 1 {
		t.Errorf("a copy of a switch brings %v", got)
	}
	c, _, err = author.CopyEntities(d, quay(d), []*document.Entity{quay(d).Entities.Get(sample.Door)}, 16, 0)
	if with = done(t, d, c, err); len(texts(with, 4)) != 0 {
		t.Errorf("a copy of a door brings %v", texts(with, 4))
	}
	c, err = author.CopyMap(d, quay(d), "Quay 2", grid.Point{}, false)
	with = done(t, d, c, err)
	want := []string{`rule "Gate" once / when / >the hero uses Switch on "Quay 2" / >the hero takes Pearl on "Quay 2" / then / >open Door on "Quay 2" / >repeat 2 times / >>flip Switch on "Quay 2" / `,
		`when / >the hero arrives on "Quay 2" / then / >shut Door on "Quay 2" / `}
	if got := texts(with, 4); !slices.Equal(got, want) {
		t.Errorf("a copy of the map brings %v", got)
	}
}

// A rule that is switched off is no wire.
func TestRulesThatAreOffAreNoWires(t *testing.T) {
	for _, off := range []bool{false, true} {
		head := map[bool]string{true: "rule off\n"}[off]
		d := withDrawn(t)
		c, err := author.TextRule(d, head+"when\n\tthe hero uses Switch\nthen\n\topen Door\n")
		d = done(t, d, c, err)
		if n := len(author.Wires(d)); n != map[bool]int{false: 1}[off] {
			t.Errorf("off %t: %d wires", off, n)
		}
	}
}

// What is ready made for a kind is a rule that can be read, names the entity, and makes what it needs.
func TestReadyMadeRules(t *testing.T) {
	d := withDrawn(t)
	made := 0
	for i, k := range kind.All {
		e := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: string(k.ID), Name: `The "old" ` + k.Name, Facing: document.Down, X: 32, Y: 32, W: 16, H: 16, Rank: 90 + i}
		with := done(t, d, author.Change{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)}}, nil)
		at := document.End{Map: sample.Quay, Entity: e.ID}
		for _, b := range author.Bundles(with, at) {
			c, err := author.MakeBundle(with, at, b.Key)
			if b.Key == "lift" && err != nil && strings.Contains(err.Error(), "place one") {
				continue
			}
			after := done(t, with, c, err)
			r := after.Rules.Get(c.Made)
			if r == nil || len(r.In(document.SlotThen)) == 0 || !strings.Contains(rules.Print(after, r), "old") {
				t.Errorf("%s for %s is %v", b.Label, k.Name, r)
			}
			made++
		}
		if _, err := author.MakeBundle(with, at, "dragon"); err == nil {
			t.Error("a dragon is made")
		}
	}
	if made < 14 {
		t.Errorf("only %d were made", made)
	}
	if _, err := author.MakeBundle(d, document.End{Map: sample.Quay, Entity: "gonegonegone"}, "shop"); err == nil {
		t.Error("something is made for what is gone")
	}
	if _, err := author.MakeBundle(document.New("Empty"), document.End{}, "shop"); err == nil {
		t.Error("something is made for nothing")
	}
}

// What others changed of a rule while its text was written stays: another part, a part that was removed, one that was put in.
func TestRewriteMergesWithOthers(t *testing.T) {
	d := withDrawn(t)
	rule, err := rules.Read(d, "when\n\ta new game begins\nthen\n\tsay \"One.\"\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\tsay \"Two.\"")
	if err != nil {
		t.Fatal(err)
	}
	c, err := author.AddRule(d, rule)
	d = apply(t, d, c, err)
	was := d.Rules.Get(c.Made)
	for _, o := range []struct{ theirs, mine, want string }{
		{"say \"One.\"|say \"Uno.\"", "say \"Two.\"|say \"Due.\"", "when\n\ta new game begins\nthen\n\tsay \"Uno.\"\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\tsay \"Due.\"\n"},
		{"\tsay \"Two.\"|\tset Lit\n\tsay \"Two.\"", "say \"One.\"|say \"Uno.\"", "when\n\ta new game begins\nthen\n\tsay \"Uno.\"\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n\tset Lit\n\tsay \"Two.\"\n"},
		{"\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n|", "\t\t\tset Lit|\t\t\tset Lit\n\t\t\tclear Lit", "when\n\ta new game begins\nthen\n\tsay \"One.\"\n\tclear Lit\n\tsay \"Two.\"\n"},
		{"\tsay \"Two.\"\n|", "\tsay \"Two.\"\n|", "when\n\ta new game begins\nthen\n\tsay \"One.\"\n\task \"Well?\"\n\t\tanswer \"Yes\"\n\t\t\tset Lit\n"},
	} {
		write := func(d *document.Document, was *document.Rule, change string) *document.Document {
			t.Helper()
			from, to, _ := strings.Cut(change, "|")
			c, err := author.RewriteRule(d, was, was.ID, strings.Replace(rules.Print(d, was), from, to, 1))
			if err != nil && strings.Contains(err.Error(), "like that") {
				return d
			}
			return apply(t, d, c, err)
		}
		after := write(write(d, was, o.theirs), was, o.mine)
		if got := rules.Print(after, after.Rules.Get(was.ID)); got != o.want {
			t.Errorf("%q and %q give\n%s", o.theirs, o.mine, got)
		}
	}
}
