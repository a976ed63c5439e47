package proof_test

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"math/rand/v2"
	"os"
	"strconv"
	"strings"
	"testing"
)

// How often something can happen says how far counters come: what is taken is taken once, who sees to it that nothing happens again has it
// happen once, and what is disabled does nothing until it is enabled. Where it may be as at first again, all that is otherwise.
func TestWhatHappensOnce(t *testing.T) {
	const (
		rows   = "#########\n#@cc..DG#\n#c....###\n#########"
		takes  = "when\n\tthe hero takes any Collectible\nthen\n\tadd 1 to Tide"
		lit    = "when\n\tany Switch is turned on\nthen\n\t# it burns\n\tdisable it\n\tadd 1 to Tide"
		enough = "when\n\tTide comes to %d\nthen\n\topen every Door"
	)
	const pays = "when\n\tthe hero takes any Collectible\nthen\n\tgive the hero 1 coin"
	spends := func(asked, pays string) string {
		if asked == "" {
			asked = "the hero has at least 1 coin"
		}
		return "when\n\tany Switch is turned on\nif\n\t" + asked + "\nthen\n\t" + pays + "\n\tadd 1 to Tide"
	}
	buys := func(n int) string {
		return fmt.Sprintf("when\n\tany Switch is turned off\nif\n\tthe hero has at least %d coin\nthen\n\topen every Door", n)
	}
	opens := func(n int) string { return fmt.Sprintf(enough, n) }
	levers := func(d *document.Document) *document.Document {
		return off(put(put(d, kind.Switch, 4, 2, 1, 1, document.Down), kind.Switch, 5, 2, 1, 1, document.Down))
	}
	const beaten = "when\n\tany \"Walking enemy\" is defeated\nthen\n\tadd 1 to Tide"
	crabs := func(d *document.Document) *document.Document {
		return put(put(d, kind.Walker, 4, 2, 1, 1, document.Down), kind.Walker, 5, 2, 1, 1, document.Down)
	}
	afresh := kind.Value{Key: kind.MapEnteredAgain, Value: kind.Of(kind.Afresh)}
	for _, c := range []struct {
		name  string
		d     *document.Document
		rules []string
		is    proof.Is
		why   string
	}{
		{"as many as there are", drawn(rows), []string{takes, opens(3)}, proof.Can, ""},
		{"one more than there are", drawn(rows), []string{takes, opens(4)}, proof.Cannot, "Tide comes to 3 at the most, and a rule asks for 4"},
		{"one more, of which one comes back", drawn(rows), []string{takes, opens(4), "when\n\tTide comes to 2\nthen\n\tput every Collectible there"}, proof.Can, ""},
		{"as many as there are to be lit", levers(drawn(rows)), []string{lit, opens(2)}, proof.Can, ""},
		{"one more than there are to be lit", levers(drawn(rows)), []string{lit, opens(3)}, proof.Cannot, "Tide comes to 2 at the most"},
		{"what is lit again and again", levers(drawn(rows)), []string{"when\n\tany Switch is turned on\nthen\n\tadd 1 to Tide", opens(3)}, proof.Can, ""},
		{"what is enabled again", levers(drawn(rows)), []string{lit, opens(3), "when\n\tthe hero takes any Collectible\nthen\n\tenable every Switch\n\tturn off every Switch"}, proof.Can, ""},
		{"what is enabled again, as what was taken", levers(drawn(rows)), []string{lit, opens(3), "when\n\tthe hero takes any Collectible\nthen\n\tenable it"}, proof.Cannot, "Tide comes to 2"},
		{"disabled too late", levers(drawn(rows)), []string{"when\n\tany Switch is turned on\nthen\n\twait 1 s\n\tdisable it\n\tadd 1 to Tide", opens(3)}, proof.Open, ""},
		{"once for each", levers(drawn(rows)), []string{"rule once\nwhen\n\tany Switch is turned on\nthen\n\tadd 1 to Tide", opens(3)}, proof.Cannot, "Tide comes to 2"},
		{"as many as can be defeated", crabs(drawn(rows)), []string{beaten, opens(2)}, proof.Open, ""},
		{"one more than can be defeated", crabs(drawn(rows)), []string{beaten, opens(3)}, proof.Cannot, "Tide comes to 2 at the most"},
		{"one more, and they are brought back", crabs(drawn(rows)), []string{beaten, opens(3), "when\n\tTide comes to 2\nthen\n\tput every \"Walking enemy\" there"}, proof.Open, ""},
		{"one more, and they are there again whenever one comes", crabs(drawn(rows, afresh)), []string{beaten, opens(3)}, proof.Open, ""},
		{"one more, broken or defeated", put(crabs(drawn(rows)), kind.Breakable, 6, 2, 1, 1, document.Down), []string{beaten, "when\n\tany \"Breakable\" is defeated\nthen\n\tadd 1 to Tide", opens(3)}, proof.Open, ""},
		{"the map is as at first again", levers(drawn(rows, afresh)), []string{lit, opens(3)}, proof.Open, ""},
		{"a goal that nothing enables", disabled(drawn(rows), kind.Goal), []string{"when\n\tthe hero takes any Collectible\nthen\n\topen every Door"}, proof.Cannot, "is disabled, and nothing enables it"},
		{"a goal that is enabled", disabled(drawn(rows), kind.Goal), []string{"when\n\tthe hero takes any Collectible\nthen\n\topen every Door\n\tenable every Goal"}, proof.Can, ""},
		{"a switch that nothing enables", disabled(levers(drawn(rows)), kind.Switch), []string{lit, opens(1)}, proof.Cannot, "comes to 0 at the most"},
		{"as much as is given", levers(drawn(rows)), []string{pays, buys(3)}, proof.Can, ""},
		{"more than is given", levers(drawn(rows)), []string{pays, buys(4)}, proof.Cannot, "the hero comes to 3 coin at the most, and a rule asks for 4"},
		{"more than is given, again and again", levers(drawn(rows)), []string{"when\n\tany Switch is turned on\nthen\n\tgive the hero 1 coin", buys(4)}, proof.Can, ""},
		{"as often as it can be paid", levers(drawn(rows)), []string{pays, spends("", "take 1 coin from the hero"), opens(3)}, proof.Can, ""},
		{"oftener than it can be paid", levers(drawn(rows)), []string{pays, spends("", "take 1 coin from the hero"), opens(4)}, proof.Cannot, "Tide comes to 3 at the most"},
		{"paid with a counter, as often as it can be", levers(drawn(rows)), []string{spends("Salt is at least 1", "add -1 to Salt"), opens(2)}, proof.Can, ""},
		{"paid with a counter, oftener", levers(drawn(rows)), []string{spends("Salt is at least 1", "add -1 to Salt"), opens(3)}, proof.Cannot, "Tide comes to 2 at the most"},
		{"paid with a counter that is filled again", levers(drawn(rows)), []string{spends("Salt is at least 1", "add -1 to Salt"), opens(3), "when\n\tany Switch is turned off\nthen\n\tlet Salt be 1"}, proof.Can, ""},
		{"asked for more than is paid, and paid late", levers(drawn(rows)), []string{pays, spends("", "wait 1 s\n\ttake 1 coin from the hero"), opens(4)}, proof.Open, ""},
		{"one for the other, on and on", levers(drawn(rows)), []string{pays, "when\n\tany Switch is turned on\nif\n\tthe hero has at least 1 coin\nthen\n\ttake 1 coin from the hero\n\tgive the hero 1 gem",
			"when\n\tany Switch is turned on\nif\n\tthe hero has at least 1 gem\nthen\n\ttake 1 gem from the hero\n\tgive the hero 1 coin\n\tadd 1 to Tide", opens(9)}, proof.Can, ""},
		{"a flag that is never set", drawn(rows), []string{"when\n\tthe hero takes any Collectible\nif\n\tFlag is set\nthen\n\topen every Door"}, proof.Cannot, "“Flag” is never set"},
	} {
		d := sample.With(c.d, sample.Drawn()...)
		for _, text := range c.rules {
			change, err := author.TextRule(d, text)
			if err != nil {
				t.Fatalf("%s: %v", c.name, err)
			}
			d = sample.With(d, change.Do...)
		}
		if c.is == proof.Open { // it may be, whether or not a walk is found
			g, err := play.Start(world.New(d, chart.New(d, nil), nil), "", proof.Seed)
			if err != nil || !proof.CouldFrom(g).Wins() {
				t.Errorf("%s: it is ruled out", c.name)
			}
			continue
		}
		st := world.New(d, chart.New(d, nil), nil)
		s := proof.NewStudy(st, func() (*play.Game, error) { return play.Start(st, "", proof.Seed) })
		for (s.Answer == nil || s.Answer.Is != proof.Can) && !s.Step(2000) {
		}
		why := s.Answer.Why
		for _, m := range s.Missing {
			why += "; " + m.Text
		}
		if s.Answer.Is != c.is || !strings.Contains(why, c.why) {
			t.Errorf("%s: %s, %s; wanted %s, %s", c.name, s.Answer.Is, why, c.is, c.why)
		}
	}
}

// off has all switches be off at first, disabled all of a kind do nothing.
func off(d *document.Document) *document.Document { return set(d, kind.Switch, "on", false) }

func disabled(d *document.Document, k string) *document.Document { return set(d, k, "disabled", true) }

func set(d *document.Document, k, field string, is bool) *document.Document {
	m := d.MapsInOrder()[0]
	for _, e := range m.Entities.All() {
		if e.Kind == k {
			d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, field, is))
		}
	}
	return d
}

// Whatever rules somebody puts together, and whatever keys are pressed: no counter, flag, cell or end comes about that could not.
func TestNothingComesAboutThatCouldNot(t *testing.T) {
	worlds := 150
	if n, err := strconv.Atoi(os.Getenv("AZZEL_WORLDS")); err == nil {
		worlds = n
	}
	templates := []string{
		"when\n\tany Switch is turned on\nthen\n\tdisable it\n\tadd 1 to Tide", "when\n\tthe hero uses any Switch\nthen\n\tturn off it\n\tadd 1 to Tide",
		"when\n\tthe hero takes any Collectible\nthen\n\tadd 1 to Tide\n\tenable every Switch", "when\n\tthe hero takes any Collectible\nthen\n\tadd 2 to Tide",
		"when\n\tTide comes to 2\nthen\n\topen every Door\n\tput every Collectible there", "rule once\nwhen\n\tany Switch is turned on\n\tany Switch is turned off\nthen\n\tadd 1 to Tide",
		"when\n\tany Container is opened\nthen\n\tadd 1 to Tide", "when\n\tsomebody comes to any \"Sensor area\"\nthen\n\tenable every Switch\n\tenable every Goal",
		"when\n\tthe hero takes any Collectible\nthen\n\tgive the hero 2 coin", "when\n\tany Switch is turned on\nif\n\tthe hero has at least 3 coin\nthen\n\ttake 3 coin from the hero\n\tdisable it\n\tgive the hero 5 coin\n\twin the game \"Done.\"",
		"when\n\tany Switch is turned on\nif\n\tthe hero has at least 2 coin\nthen\n\ttake 2 coin from the hero\n\tadd 1 to Tide", "when\n\tany Switch is turned off\nif\n\tSalt is at least 1\nthen\n\tadd -1 to Salt\n\tgive the hero 1 coin",
		"when\n\tany Switch is turned on\nthen\n\tif all of this is so\n\t\tTide is at least 1\n\tthen\n\t\tadd -1 to Tide\n\t\tadd 2 to Salt", "when\n\tTide comes to 4\nthen\n\twin the game \"Done.\"", "rule once\nwhen\n\tTide comes to 1\nthen\n\tenable every \"Sensor area\"\n\tadd 2 to Salt", "when\n\tany Switch is turned off\nthen\n\tshut every Container",
		"when\n\tany \"Walking enemy\" is defeated\nthen\n\tadd 1 to Tide", "when\n\tany Breakable is defeated\nthen\n\tadd 1 to Salt\n\tgive the hero 1 coin",
	}
	strikes := []string{"when\n\tany Switch is turned on\nthen\n\tdefeat every \"Walking enemy\"\n\tdefeat every Breakable", "when\n\tthe hero takes any Collectible\nthen\n\tdefeat every \"Walking enemy\"",
		"when\n\tany Container is opened\nthen\n\tput every \"Walking enemy\" there\n\tput every Breakable there"}
	counted, exact, barred := 0, 0, 0
	for seed := range worlds {
		r := rand.New(rand.NewPCG(uint64(seed), 41))
		letters := []rune("####....cc..^D")
		rows := "##########\n"
		for range 5 {
			row := []rune("#........#")
			for x := 1; x < 9; x++ {
				row[x] = letters[r.IntN(len(letters))]
			}
			rows += string(row) + "\n"
		}
		rows = rows[:12] + "@" + rows[13:] + "##########"
		d := drawn(rows, kind.Value{Key: kind.MapEnteredAgain, Value: kind.Of([]string{kind.Afresh, "remembers"}[r.IntN(4)/3])})
		for _, k := range []string{kind.Switch, kind.Switch, kind.Sensor, kind.Container, kind.Goal} {
			d = put(d, k, 1+r.IntN(8), 1+r.IntN(5), 1, 1, document.Down)
		}
		d = off(d)
		for _, k := range []string{kind.Switch, kind.Sensor, kind.Goal} {
			if r.IntN(3) == 0 {
				d = disabled(d, k)
			}
		}
		d = set(d, kind.Container, "on", false)
		d = sample.With(d, sample.Drawn()...)
		said := ""
		for range 3 {
			text := templates[r.IntN(len(templates))]
			d, said = ruled(d, text), said+"\n"+text
		}
		for range r.IntN(3) {
			if change, err := author.AddRule(d, sample.Draw{On: d.MapsInOrder()[0].ID}.Rule(d, r)); err == nil {
				d = sample.With(d, change.Do...)
			}
		}
		if r.IntN(2) == 0 { // somebody to be defeated, whom rules strike and bring back
			for _, k := range []string{kind.Walker, kind.Walker, kind.Breakable} {
				d = put(d, k, 1+r.IntN(8), 1+r.IntN(5), 1, 1, document.Down)
			}
			d = ruled(ruled(d, templates[len(templates)-1-r.IntN(2)]), strikes[r.IntN(len(strikes))])
			d = ruled(d, strikes[r.IntN(len(strikes))])
		}
		said = ""
		for _, rule := range d.RulesInOrder() {
			said += rules.Print(d, rule) + "\n"
		}
		st := world.New(d, chart.New(d, nil), nil)
		g, err := play.Start(st, "", proof.Seed)
		if err != nil {
			continue
		}
		may := proof.CouldFrom(g)
		_, most := may.Counter(sample.DrawnOther)
		if most < document.MaxNumber {
			counted++
		}
		if !may.Wins() {
			barred++
		}
		var reached int64
		in := play.Input(0)
		for tick := range 3000 {
			if r.IntN(8) == 0 {
				in = []play.Input{play.InputLeft, play.InputRight, play.InputUp, play.InputDown}[r.IntN(4)]
			}
			press := in
			if r.IntN(3) == 0 {
				press |= play.InputUse
			}
			g.Step(press)
			if p := g.HeroCell(); g.Ground() != nil && !may.Reached(g.Hero().Map, p) {
				t.Fatalf("seed %d, tick %d: the hero is at %d, %d, where it could not be\n%s\n%s", seed, tick, p.X, p.Y, rows, said)
			}
			for _, c := range st.Counters {
				least, most := may.Counter(c.ID)
				if n := g.Counter(c.ID); n < least || n > most {
					t.Fatalf("seed %d, tick %d: %s is %d, and could be %d to %d\n%s\n%s", seed, tick, c.ID, n, least, most, rows, said)
				}
			}
			reached = max(reached, g.Counter(sample.DrawnOther))
			if n := g.Amount("coin"); n > may.Amount("coin") {
				t.Fatalf("seed %d, tick %d: there are %d coins, and there could be %d\n%s\n%s", seed, tick, n, may.Amount("coin"), rows, said)
			}
			yes, no := may.Flag(sample.DrawnFlag)
			if is := g.Flag(sample.DrawnFlag); is && !yes || !is && !no {
				t.Fatalf("seed %d, tick %d: the flag is %t, which it could not be\n%s\n%s", seed, tick, is, rows, said)
			}
			if g.Over == play.OverWon && !may.Wins() {
				t.Fatalf("seed %d, tick %d: won, which it could not be\n%s\n%s", seed, tick, rows, said)
			}
			if g.Over != play.NotOver || g.Ground() == nil {
				break
			}
		}
		if reached == most {
			exact++
		}
	}
	if counted < worlds/8 || barred < worlds/20 || exact < worlds/20 {
		t.Errorf("of %d worlds a counter comes to an end in %d, to exactly that in %d, and %d cannot be won", worlds, counted, exact, barred)
	}
	t.Logf("of %d worlds a counter comes to an end in %d, to exactly that in %d, and %d cannot be won", worlds, counted, exact, barred)
}
