package play_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"strings"
	"testing"
)

// again brings a game to its own moment, as a pin does.
func (r *run) again() *run {
	r.t.Helper()
	g, err := play.Resume(r.g.Stage, r.g.Moment())
	if err != nil {
		r.t.Fatal(err)
	}
	return &run{t: r.t, d: r.d, g: g}
}

// chests are three of a kind of one's own, one under the hero and two beside it.
func chests(t *testing.T) *run {
	t.Helper()
	r := drawn(t, "\n@.......\n........\n........")
	k := document.Kind{ID: "chestchestch", Name: "Chest", Of: kind.Switch, Tags: []string{}, Layers: []string{}}
	r.d = apply(t, r.d, append(sample.Drawn(), edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, k))...)
	for x := range 3 {
		r.with(string(k.ID), 2*x, 0, 1, 1, false, document.Down)
	}
	return r
}

// walkTo sets the hero down on a cell of the first row.
func (r *run) walkTo(x int) { r.hero().X, r.hero().Y = int64(x)*16*play.Sub, 0; r.hold(0, 1) }

// A rule of a kind is each one's: it is the one that woke it, and once counts for each, also after a pin, an edit, and
// for those put down later.
func TestRulesOfKinds(t *testing.T) {
	r := chests(t).reads("rule once\nwhen\n\tany Chest is turned on\nthen\n\tadd 1 to Salt\n\thide it")
	on := func(x int) {
		r.walkTo(x)
		r.press(play.InputUse)
		r.press(play.InputUse)
		r.press(play.InputUse)
	}
	on(0)
	on(2)
	if got := r.g.Counter(sample.DrawnCounter); got != 4 {
		t.Fatalf("after two of them it is %d", got)
	}
	hidden := ""
	for i := range r.g.Stage.Things {
		if r.g.Stage.Things[i].Kind == "chestchestch" {
			hidden += map[bool]string{true: "-", false: "h"}[r.g.Shown(world.Ref(i))]
		}
	}
	if hidden != "hh-" {
		t.Errorf("hidden are %s", hidden)
	}
	hash := r.g.Hash
	r = r.again()
	if r.g.Hash != hash {
		t.Error("a pin forgets for which it ran")
	}
	r.with("chestchestch", 6, 0, 1, 1, false, document.Down)
	on(0)
	on(2)
	on(4)
	on(6)
	if got := r.g.Counter(sample.DrawnCounter); got != 6 {
		t.Errorf("after all four of them it is %d", got)
	}
	// taken away and brought back it has run still
	id := r.d.RulesInOrder()[0].ID
	whole := *r.d.Rules.Get(id)
	without := apply(t, r.d, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: id}))
	r.g.Enter(world.New(without, chart.New(without, nil), r.g.Stage))
	r.d = withRule(t, without, whole)
	r.g.Enter(world.New(r.d, chart.New(r.d, nil), r.g.Stage))
	again := r.d.RulesInOrder()[0]
	r.d = apply(t, without, edit.Primitive{Op: edit.OpInsert, Ref: edit.Ref{Type: edit.TypeRule, ID: id}, Value: edit.JSON(whole), Content: &document.Content{Parts: again.Parts.All()}})
	r.g.Enter(world.New(r.d, chart.New(r.d, nil), r.g.Stage))
	if on(0); r.g.Counter(sample.DrawnCounter) != 6 {
		t.Errorf("taken away and brought back it runs anew: %d", r.g.Counter(sample.DrawnCounter))
	}
}

// A rule that waits in the middle of what it repeats goes on after a pin, and after edits before and behind it.
func TestWaitingRulesGoOn(t *testing.T) {
	for _, c := range []struct {
		name, text string
		change     func(text string) string
		want       int64
	}{
		{"as it is", "repeat 3 times\n\twait 1 s\n\tadd 1 to Salt", func(s string) string { return s }, 5},
		{"more before", "repeat 3 times\n\twait 1 s\n\tadd 1 to Salt", func(s string) string { return strings.Replace(s, "repeat", "# first\n\tset Lit\n\trepeat", 1) }, 5},
		{"more inside", "repeat 3 times\n\twait 1 s\n\tadd 1 to Salt", func(s string) string { return strings.Replace(s, "\tadd 1", "\tset Lit\n\t\tadd 1", 1) }, 5},
		{"its step gone", "repeat 3 times\n\twait 1 s\n\tadd 1 to Salt", func(s string) string { return strings.Replace(s, "\t\tadd 1 to Salt", "\t\tadd 10 to Tide", 1) }, 2},
		{"a choice", "ask \"?\"\n\tanswer \"a\"\n\t\tadd 5 to Salt\n\tanswer \"b\"\n\t\twait 1 s\n\t\tadd 7 to Salt", func(s string) string { return strings.Replace(s, "\t\tadd 5", "\t\tset Lit\n\t\t\tadd 5", 1) }, 9},
	} {
		for _, pinned := range []bool{false, true} {
			text := uses + "then\n" + block(c.text, 1)
			r := stepping(t).reads(text)
			r.press(play.InputUse)
			r.hold(0, 5)
			if c.name == "a choice" {
				r.press(play.InputDown)
			}
			if pinned {
				r = r.again()
			}
			id := r.d.RulesInOrder()[r.d.Rules.Len()-1].ID
			if changed := c.change(text); changed != text {
				rewritten(r, id, changed)
			}
			if pinned {
				r = r.again()
			}
			if c.name == "a choice" {
				r.press(play.InputUse)
			}
			r.hold(0, 400)
			if got := r.g.Counter(sample.DrawnCounter); got != c.want || len(r.g.Threads) > 0 {
				t.Errorf("%s, pinned %t: it came to %d with %d still waiting", c.name, pinned, got, len(r.g.Threads))
			}
		}
	}
}

// rewritten changes a rule as its text.
func rewritten(r *run, id document.ID, text string) {
	r.t.Helper()
	r.d = apply(r.t, r.d, rewrite(r.t, r.d, id, text)...)
	r.g.Enter(world.New(r.d, chart.New(r.d, r.g.Stage.Chart), r.g.Stage))
}

// What goes round without end is stopped and told of, play goes on.
func TestEndlessRules(t *testing.T) {
	for name, text := range map[string]string{
		"a loop":               uses + "then\n\tas long as all of this is so\n\tthen\n\t\tset Flag\n\tset Lit",
		"a loop of nothing":    uses + "then\n\tas long as all of this is so\n\tthen\n\tset Lit",
		"a rule waking itself": "when\n\tsignal bell comes\n\tthe hero uses switch\nthen\n\tsend out bell",
		"a huge number":        uses + "then\n\trepeat 1000000 times\n\t\tadd 1 to Tide\n\tset Lit",
	} {
		r := stepping(t).reads(text)
		r.press(play.InputUse)
		if r.g.Flag(sample.Lit) || r.g.Notice != "" && !strings.Contains(r.g.Notice, "stopped") {
			t.Errorf("%s: it says %q", name, r.g.Notice)
		}
		at := r.hero().X
		if r.hold(play.InputRight, 20); r.hero().X == at {
			t.Errorf("%s: play does not go on", name)
		}
	}
}

// Rules that are off are not asked, and parts that are off are passed over.
func TestWhatIsOffDoesNothing(t *testing.T) {
	r := stepping(t).reads("rule off\n"+uses+"then\n\tset Lit", "when\n\toff the hero uses switch\nthen\n\tset Lit", uses+"if\n\toff Flag is set\nthen\n\toff set Lit\n\tadd 1 to Salt")
	r.press(play.InputUse)
	if r.g.Flag(sample.Lit) || r.g.Counter(sample.DrawnCounter) != 3 {
		t.Errorf("a flag is set %t, the counter %d", r.g.Flag(sample.Lit), r.g.Counter(sample.DrawnCounter))
	}
}

// A question is answered by keys up and down, round its ends, and nothing else goes on meanwhile; what is gone of it by an
// edit is asked no more.
func TestQuestions(t *testing.T) {
	const text = uses + "then\n\task \"Which?\"\n\t\tanswer \"a\"\n\t\t\tadd 10 to Salt\n\t\tanswer \"b\"\n\t\t\tadd 20 to Salt\n\t\tanswer \"c\"\n\t\t\tadd 30 to Salt\n\tset Flag"
	for _, c := range []struct {
		keys []play.Input
		want int64
	}{
		{nil, 12}, {[]play.Input{play.InputDown}, 22}, {[]play.Input{play.InputUp}, 32}, {[]play.Input{play.InputDown, play.InputDown, play.InputDown}, 12},
		{[]play.Input{play.InputRight, play.InputLeft, play.InputLeft}, 32},
	} {
		r := stepping(t).reads(text)
		r.press(play.InputUse)
		x, y := r.hero().X, r.hero().Y
		for _, k := range c.keys {
			r.press(k)
		}
		if r.hero().X != x || r.hero().Y != y {
			t.Error("the hero walks while it is asked")
		}
		r.press(play.InputUse)
		if got := r.g.Counter(sample.DrawnCounter); got != c.want || !r.g.Flag(sample.DrawnFlag) {
			t.Errorf("after %v it is %d", c.keys, got)
		}
	}
	r := stepping(t).reads(text)
	r.press(play.InputUse)
	r.press(play.InputUp)
	rewritten(r, r.d.RulesInOrder()[r.d.Rules.Len()-1].ID, uses+"then\n\task \"Which?\"\n\t\tanswer \"a\"\n\t\t\tadd 10 to Salt\n\tset Flag")
	r.press(play.InputUse)
	if !r.g.Flag(sample.DrawnFlag) || len(r.g.Lines) > 0 || r.g.Counter(sample.DrawnCounter) != 12 {
		t.Errorf("where but one answer is left, it gives %d, with %v left to say", r.g.Counter(sample.DrawnCounter), r.g.Lines)
	}
}

// Counters keep what they are over edits, begin as they start, and come back with an undo.
func TestCountersAreKept(t *testing.T) {
	r := stepping(t).reads(uses + "then\n\tadd 5 to Salt")
	r.press(play.InputUse)
	ref := edit.Ref{Type: edit.TypeCounter, ID: sample.DrawnCounter}
	hash := r.g.Hash
	enter := func(d *document.Document) { r.d = d; r.g.Enter(world.New(d, chart.New(d, nil), r.g.Stage)) }
	with := r.d
	enter(apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeCounter, ID: sample.DrawnOther}, "start", 9), edit.Set(ref, "start", 50)))
	if a, b := r.g.Counter(sample.DrawnCounter), r.g.Counter(sample.DrawnOther); a != 7 || b != 9 {
		t.Errorf("they are %d and %d", a, b)
	}
	enter(apply(t, r.d, edit.Remove(ref)))
	if r.g.Counter(sample.DrawnCounter) != 0 {
		t.Error("what was removed counts")
	}
	r = r.again()
	enter = func(d *document.Document) { r.d = d; r.g.Enter(world.New(d, chart.New(d, nil), r.g.Stage)) }
	if enter(with); r.g.Counter(sample.DrawnCounter) != 7 || r.g.Hash != hash {
		t.Errorf("it comes back as %d", r.g.Counter(sample.DrawnCounter))
	}
}

// Of each rule that is asked it is told whether it ran, and if not, the first of its conditions that was not so.
func TestWhyARuleDidNotRun(t *testing.T) {
	r := stepping(t).reads("rule \"Gate\"\n"+uses+"if\n\tLit is not set\n\tSalt is at least 3\nthen\n\topen door", "rule \"Both\"\n"+uses+"if\n\tFlag is set\nthen\n\topen door\notherwise\n\tadd 1 to Salt")
	ruled := func() (out []string) {
		for _, e := range r.g.Told {
			if e.Rule == "" {
				continue
			}
			rule := r.d.Rules.Get(e.Rule)
			why := ""
			if p := rule.Parts.Get(e.Part); p != nil {
				why = rules.Clause(r.d, p)
			}
			out = append(out, fmt.Sprintf("%s %s: %s %d", e.Is, e.Name, why, e.Counted))
		}
		return out
	}
	for _, want := range []string{"[asked Gate: Salt is at least 3 2 asked Both: Flag is set 0]", "[rule Gate:  0 asked Both: Flag is set 0]"} {
		r.hold(play.InputUse, 1)
		if got := fmt.Sprint(ruled()); got != want {
			t.Errorf("it is told %s, wanted %s", got, want)
		}
		r.hold(0, 1)
	}
}
