package rules_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"math/rand/v2"
	"os"
	"reflect"
	"slices"
	"strings"
	"testing"
)

// told is a rule as one string, whatever its parts' ids and orders are.
func told(r *document.Rule) string {
	var b strings.Builder
	fmt.Fprintf(&b, "%q once %t off %t\n", r.Name, r.Once, r.Off)
	var under func(parent document.ID, deep int)
	under = func(parent document.ID, deep int) {
		for _, slot := range document.Slots {
			for _, p := range r.Under(parent, slot) {
				fmt.Fprintf(&b, "%s%s %s off %t %v\n", strings.Repeat(" ", deep), p.Slot, p.Word, p.Off, p.Blanks)
				under(p.ID, deep+1)
			}
		}
	}
	under("", 0)
	return b.String()
}

// oddly is the sample with names that could be taken for something else, and such as several things share.
func oddly() *document.Document {
	do := sample.Drawn()
	names := []string{"it", "is on", "Wheel", "Wheel", "every", "Tür 3", `say "no"`, "O’Brine", "7", "the", "on", "a\\b", "Lit"}
	d := sample.World()
	n := 0
	for _, m := range d.MapsInOrder() {
		for _, e := range m.Entities.All() {
			do = append(do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "name", names[n%len(names)]))
			n++
		}
	}
	for i, k := range []string{kind.Character, kind.Sensor, kind.Walker, kind.Timer, kind.Source, kind.Item, kind.Breakable, kind.Checkpoint, kind.Block, kind.Hero} {
		e := document.Entity{ID: document.ID(strings.Repeat(k, 12)[:12]), Layer: sample.Entities, Kind: k, Name: names[i], Facing: document.Down, W: 16, H: 16, Rank: 60 + i}
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	}
	jar := *kind.Find(kind.Switch)
	jar.ID, jar.Of, jar.Name = "jarjarjarjar", kind.Switch, "Brine jar"
	jar.Settings = append([]kind.Setting{}, jar.Settings...)
	jar.Settings = append(jar.Settings, kind.Setting{Key: "full", Name: "how full", Type: kind.Number, Default: "1", Varies: true, Least: 0, Most: 9},
		kind.Setting{Key: "lid", Name: "lid", Type: kind.YesNo, Default: "false", Varies: true})
	do = append(do, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: jar.ID}, document.Lean(&jar)),
		edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Switch}, "kind", jar.ID))
	do = append(do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Switch}, "guises", []document.Guise{{Number: 1, Name: "it is on"}, {Number: 3, Name: "so/so"}}))
	return edit.Apply(d, &edit.Edit{Do: do}).Doc
}

// What is written is read as what it was, and is written so again.
func TestTextIsReadAsItWasWritten(t *testing.T) {
	d := oddly()
	seen := map[string]bool{}
	for seed := range uint64(2000) {
		r := rand.New(rand.NewPCG(seed, 5))
		rule := sample.Draw{Says: true}.Rule(d, r)
		rule.Name = []string{"", "The tide", `A "odd" one`}[r.IntN(3)]
		rule.Off = r.IntN(4) == 0
		for _, p := range rule.Parts.All() {
			seen[p.Word] = true
			if r.IntN(8) == 0 {
				q := *p
				q.Off = true
				rule.Parts = rule.Parts.With(q.ID, &q)
			}
			if r.IntN(10) == 0 { // what it names was removed
				q := *p
				q.Blanks = append([]kind.Value{}, p.Blanks...)
				for i := range q.Blanks {
					if o, ok := document.Named(q.Blanks[i].Value); ok && o.Type != document.TypeIt {
						o.ID = "gonegonegone"
						q.Blanks[i].Value = document.Naming(o)
					}
				}
				rule.Parts = rule.Parts.With(q.ID, &q)
			}
		}
		text := rules.Print(d, &rule)
		again, faults := rules.Parse(d, text)
		if len(faults) > 0 {
			t.Fatalf("seed %d: %v\n%s", seed, faults, text)
		}
		if got, want := told(&again), told(&rule); got != want {
			t.Fatalf("seed %d:\n%s\nwas read as\n%s\nand was\n%s", seed, text, got, want)
		}
		if rewritten := rules.Print(d, &again); rewritten != text {
			t.Fatalf("seed %d:\n%s\nwas written again as\n%s", seed, text, rewritten)
		}
	}
	for _, e := range rules.Vocabulary {
		if !seen[e.Word] {
			t.Errorf("“%s” was never drawn", e.Word)
		}
	}
}

// How a whole rule reads, with all that a text can have.
func TestTextOfARule(t *testing.T) {
	d := edit.Apply(sample.World(), &edit.Edit{Do: sample.Drawn()}).Doc
	const text = `rule "The switch" once
when
	the hero uses Switch
	a new game begins
if
	any of these
		Lit is set
		none of these
			Salt is at least Tide
	off Door is open
then
	# Why this is so.
	ask "Shall it\nopen?"
		answer "Yes"
			open Door
			repeat 3 times
				add 1 to Salt
				wait 2 s
		answer "No"
	if all of this is so
		it is on
	then
		turn off every Switch
	otherwise
		send out tide
otherwise
	say "“No”, it \"says\"."
`
	r, faults := rules.Parse(d, text)
	if len(faults) > 0 {
		t.Fatal(faults)
	}
	if got := rules.Print(d, &r); got != text {
		t.Errorf("it is written\n%s", got)
	}
	// however it is laid out
	loose := strings.NewReplacer("\t", "  ", "the hero", "The  Hero", "when\n", "\n\nWHEN\n\n", "\n", "\r\n").Replace(text)
	if again, faults := rules.Parse(d, loose); len(faults) > 0 || told(&again) != told(&r) {
		t.Errorf("laid out otherwise it is %v\n%s", faults, told(&again))
	}
}

// What cannot be read is told where it stands, with what was meant.
func TestFaultsOfText(t *testing.T) {
	d := edit.Apply(sample.World(), &edit.Edit{Do: sample.Drawn()}).Doc
	for _, c := range []struct{ text, want string }{
		{"", "line 1, character 1: a rule says when"},
		{"whn\n\tthe hero uses Switch", "line 1, character 1: here stands “when”, “if”, “then” or “otherwise” on a line by itself; did you mean “when”?"},
		{"when\n\tthe hero uses Swich", "line 2, character 16: there is nothing called “Swich”; did you mean “Switch”?"},
		{"when\n\tthe hero usse Switch", "line 2, character 11: here stands “uses”, “wields”, “takes”, “speaks”, “loses”, “comes”, “touches”, “pushes”, …; did you mean “uses”?"},
		{"when\n\tthe hero uses", "line 2, character 15: here stands a switch"},
		{"when\n\tthe hero uses Switch now", "line 2, character 23: here stands the end of the line"},
		{"then\n\tsay \"Never closed", "line 2, character 6: here stands a line in quotes"},
		{"when\n\tthe hero pushes \"Walking enemy\"", "line 2, character 18: nothing that fits here is called “Walking enemy”"},
		{"then\n\tadd many to Salt", "line 2, character 6: there is nothing called “many”"},
		{"then\n\tadd 99999999 to Salt", "line 2, character 6: there is nothing called “99999999”"},
		{"then\n\topen Door\n\t\tshut Door", "line 3, character 3: nothing can stand in the line above"},
		{"then\n\t\topen Door\n\tshut Door", "line 3, character 2: this line stands neither"},
		{"then\n\tanswer \"Yes\"", "line 2, character 2: here stands"},
		{"then\n\task \"?\"\n\t\topen Door", "line 3, character 3: here stands “answer”"},
		{"then\n\tif all of this is so\n\t\tLit is set\n\topen Door", "line 2, character 22: below what is asked stands “then”"},
		{"if\n\t# a note", "line 2, character 2: a note stands among what is done"},
		{"then\n\topen Door on Quayy", "line 2, character 15: there is nothing called “Quayy”; did you mean “Quay”?"},
		{"rule twice\nwhen", "line 1, character 6: behind “rule” stand"},
		{"then\n\twait -1 s", ""},
		{"then" + deepest(9), "at most 8 deep"},
		{"then" + deepest(8), ""},
		{"then" + strings.Repeat("\n\topen Door", 401), "at most 400 parts"},
		{strings.Repeat("x", 100_001), "at most 100000 characters"},
	} {
		_, faults := rules.Parse(d, c.text)
		got := ""
		if len(faults) > 0 {
			got = faults[0].Error()
		}
		if c.want == "" && got != "" || !strings.Contains(got, c.want) {
			t.Errorf("%.60q: %s, wanted %s", c.text, got, c.want)
		}
	}
	if _, faults := rules.Parse(d, "when\n\tthe hero dances\nthen\n\topen Dor\n\tshut Door"); len(faults) != 2 || faults[1].Line != 4 {
		t.Errorf("both faults are told, each where it stands: %v", faults)
	}
	if _, err := rules.Read(d, "when\n\tthe hero dances"); err == nil {
		t.Error("a text that cannot be read is taken")
	}
}

func deepest(n int) string {
	var b strings.Builder
	for i := range n {
		b.WriteString("\n" + strings.Repeat("\t", i+1) + "repeat 2 times")
	}
	return b.String()
}

func FuzzParse(f *testing.F) {
	d := oddly()
	f.Add("when\n\tthe hero uses Wheel on Quay\nif\n\tany of these\n\t\tLit is set\nthen\n\tsay \"Hi\\n\"\n")
	f.Add("rule \"x\" once off\nthen\n\task \"?\"\n\t\tanswer \"a\"\n\t\t\t# note\n")
	f.Add("\t\"\\\n@.\n#\n\r“”")
	f.Fuzz(func(t *testing.T, text string) {
		r, faults := rules.Parse(d, text)
		for _, fault := range faults {
			if fault.Line < 1 || fault.From < 1 || fault.To < fault.From {
				t.Fatalf("a fault stands nowhere: %+v", fault)
			}
		}
		once := rules.Print(d, &r)
		again, faults := rules.Parse(d, once)
		if len(faults) > 0 || rules.Print(d, &again) != once {
			t.Fatalf("%q is written as\n%s\nand that is read as\n%s with %v", text, once, rules.Print(d, &again), faults)
		}
	})
}

// What could come next is offered: headings, words up to the next blank, and what fits it.
func TestCompletions(t *testing.T) {
	d := edit.Apply(sample.World(), &edit.Edit{Do: sample.Drawn()}).Doc
	for _, c := range []struct{ text, has, hasNot string }{
		{"", "when", "open "},
		{"wh", "when", "then"},
		{"when\n\t", "the hero uses ", "open "},
		{"when\n\tthe hero ", "uses ", "the hero uses "},
		{"when\n\tthe hero us", "uses ", "takes "},
		{"when\n\tthe hero uses ", "Switch", "Door"},
		{"when\n\tthe hero uses Sw", "any Switch", "it"},
		{"when\n\t", "a new game begins", ""},
		{"then\n\topen ", "Door", "Switch"},
		{"then\n\tshow ", "it", "answer "},
		{"then\n\tas long ", "as all of this is so", "as long as all of this is so"},
		{"then\n\tadd ", "Salt", "Flag"},
		{"then\n\tadd 2 to ", "Tide", "Lit"},
		{"then\n\tset ", "Lit", "Salt"},
		{"then\n\toff op", "open ", "shut "},
		{"then\n\task \"?\"\n\t\t", "answer ", "open "},
		{"then\n\task \"?\"\n\t\tanswer \"a\"\n\t\t\t", "open ", "answer "},
		{"then\n\tif all of this is so\n\t\t", "any of these", "open "},
		{"then\n\tif all of this is so\n\t\tLit is set\n\tthen\n\t\t", "open ", "any of these"},
		{"then\n\tsend the hero to ", "Spawn", "Door"},
		{"then\n\t# not", "", "note "},
		{"when\n\tthe hero arrives on ", "Pans", "Door"},
	} {
		lines := strings.Split(c.text, "\n")
		all := rules.Complete(d, c.text, len(lines), len([]rune(lines[len(lines)-1]))+1)
		has := func(insert string) bool {
			for _, o := range all {
				if o.Insert == insert {
					return true
				}
			}
			return false
		}
		if c.has != "" && !has(c.has) || c.hasNot != "" && has(c.hasNot) {
			t.Errorf("%q offers %v", c.text, all)
		}
	}
	if got := rules.Complete(d, "when", 7, 1); len(got) != 0 {
		t.Errorf("a line that there is not offers %v", got)
	}
	// whatever is offered leads on to what can be read
	for _, text := range []string{"when\n\t", "if\n\t", "then\n\t"} {
		walked := 0
		var walk func(text string, deep int)
		walk = func(text string, deep int) {
			if walked++; walked > 3000 {
				return
			}
			if _, faults := rules.Parse(d, text); deep > 0 && len(faults) == 0 || deep > 12 {
				return
			}
			lines := strings.Split(text, "\n")
			last := []rune(lines[len(lines)-1])
			for _, o := range rules.Complete(d, text, len(lines), len(last)+1) {
				walk(strings.Join(lines[:len(lines)-1], "\n")+"\n"+string(last[:o.From])+strings.TrimRight(o.Insert, " ")+" ", deep+1)
			}
		}
		if walk(text, 0); walked < 30 {
			t.Errorf("%q leads to %d texts", text, walked)
		}
	}
}

// A text is marked for colours without being read.
func TestMarks(t *testing.T) {
	got := ""
	for _, m := range (&rules.Reader{}).Marks("when\n\tthe hero uses Wheel\nthen\n\tadd 2 to \"Salt\" # hm\n\tsay \"Hm\"") {
		got += fmt.Sprintf("%d:%d-%d %s, ", m.Line, m.From, m.To, m.Is)
	}
	if want := "1:1-5 heading, 2:2-5 word, 2:6-10 word, 2:11-15 word, 2:16-21 name, 3:1-5 heading, 4:2-5 word, 4:6-7 number, 4:8-10 word, 4:11-17 name, 4:18-22 note, 5:2-5 word, 5:6-10 text, "; got != want {
		t.Errorf("it is marked %s", got)
	}
}

// A line behind a heading, and behind what others stand in, begins farther in.
func TestIndents(t *testing.T) {
	for text, want := range map[string]int{
		"": 0, "rule \"x\" once": 0, "when": 1, "when\n\tthe hero uses Switch": 1, "when\n\tthe hero uses Switch\nthen": 1, "then\n\tany thing": 1, "if\n\tany of these": 2,
		"then\n\task \"?\"": 2, "then\n\task \"?\"\n\t\tanswer \"a\"": 3, "then\n\trepeat 3 times": 2, "then\n\topen Door": 1, "then\n\tif all of this is so\n\t\tLit is set\n\tthen": 2, "then\n    open Door": 1,
	} {
		if got := rules.Indent(text); got != want {
			t.Errorf("behind %q a line begins %d in, wanted %d", text, got, want)
		}
	}
}

// The page about rules is made from their words. After a change: AZZEL_GOLDEN=1 go test ./core/rules -run Reference.
func TestReferenceIsCurrent(t *testing.T) {
	const page = "../../docs/rules.md"
	if os.Getenv("AZZEL_GOLDEN") != "" {
		if err := os.WriteFile(page, []byte(rules.Reference()), 0o644); err != nil {
			t.Fatal(err)
		}
	}
	if raw, err := os.ReadFile(page); err != nil || string(raw) != rules.Reference() {
		t.Errorf("docs/rules.md is not what the words say: %v", err)
	}
	// and its example can be read
	_, example, _ := strings.Cut(rules.Reference(), "    rule ")
	example, _, _ = strings.Cut("    rule "+example, "\n\nA line")
	d := sample.World()
	for i, name := range []string{"Ferryman", "Landing"} {
		e := document.Entity{ID: document.ID(strings.Repeat(strings.ToLower(name), 2)[:12]), Layer: sample.Entities, Kind: []string{kind.Character, kind.Arrival}[i], Name: name, Facing: document.Down, W: 16, H: 16}
		d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)}}).Doc
	}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeCounter, ID: "debtdebtdebt"}, document.Counter{ID: "debtdebtdebt", Name: "Debt"})}}).Doc
	if _, faults := rules.Parse(d, strings.ReplaceAll(example, "\n    ", "\n")[4:]); len(faults) > 0 {
		t.Errorf("its example: %v", faults)
	}
}

// A reader that has read lines before says the same of a text as one that reads it for the first time: also where a line is
// wrong, stands elsewhere, or means something else in another version of the document.
func TestReadAgain(t *testing.T) {
	d := sample.World()
	renamed := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "name", "Hatch")}}).Doc
	var r rules.Reader
	for i, text := range []string{
		"when\n\tthe hero uses Switch\nif\n\tLit is set\nthen\n\topen Door\n\topen Door\n\toff open Door\n\tsay \"Hm\"",
		"when\n\tthe hero uses Switch\nthen\n\tsay \"Hm\"\n\task \"Hm?\"\n\t\tanswer \"Yes\"\n\t\t\topen Door\nif\n\topen Door",
		"when\n\topen Door\nthen\n\topen Dor\n\n\topen Door\n\tanswer \"Yes\"",
		"when\n\tthe hero uses Switch\nthen\n\t\topen Door\n\tOPEN Door",
	} {
		for _, on := range []*document.Document{d, renamed, d} {
			want, faults := rules.Parse(on, text)
			got, again := r.Parse(on, text)
			if !slices.Equal(faults, again) || !reflect.DeepEqual(want.InOrder(), got.InOrder()) {
				t.Errorf("text %d is read as %v with %v, and by a reader as %v with %v", i, want.InOrder(), faults, got.InOrder(), again)
			}
		}
	}
}
