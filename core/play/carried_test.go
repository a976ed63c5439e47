package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"slices"
	"testing"
)

// usedOn is a happening of an item being used on a thing.
func usedOn(at document.End, item string) document.RulePart {
	p := rules.Part(rules.WordUseOn, document.Naming(document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}))
	p.Blanks = append(p.Blanks, kind.Value{Key: "item", Value: kind.Of(item)})
	return p
}

// Items are taken in hand by their slots, put away by the same, and led through one after the other.
func TestItemsAreTakenInHand(t *testing.T) {
	r := drawn(t, "\n@.....\n......").with(kind.Item, 1, 0, 1, 1, false, document.Down, value("is", `"oil"`), value("amount", "2")).
		with(kind.Key, 2, 0, 1, 1, false, document.Down, value("opens", `"brass"`)).with(kind.Hero, 5, 1, 1, 1, false, document.Down, value("carries", `["rope","oil"]`))
	if r.press(play.InputSlot1); r.g.Hand != "rope" { // that the hero who waits has
		t.Errorf("at first %q is in hand", r.g.Hand)
	}
	if r.press(play.InputSlot1); r.g.Hand != "" {
		t.Errorf("%q was not put away", r.g.Hand)
	}
	r.hold(play.InputRight, 60)
	words := []string{}
	for _, c := range r.g.Carried() {
		words = append(words, c.Word)
	}
	if !slices.Equal(words, []string{"oil", "rope"}) || r.g.Carried()[0].Amount != 3 {
		t.Errorf("carried is %+v", r.g.Carried())
	}
	for _, c := range []struct {
		in   play.Input
		hand string
	}{{play.InputSlot2, "rope"}, {play.InputSlot1, "oil"}, {play.InputSlot1, ""}, {play.InputSlot3, ""}, {play.InputNext, "oil"}, {play.InputNext, "rope"}, {play.InputNext, ""}} {
		if r.press(c.in); r.g.Hand != c.hand {
			t.Errorf("%d takes %q in hand, want %q", c.in, r.g.Hand, c.hand)
		}
	}
}

// An item as it comes, without a word, is called as its kind is.
func TestAnItemAsItComesIsCalledAsItsKind(t *testing.T) {
	r := drawn(t, "\n@.....").with(kind.Item, 1, 0, 1, 1, false, document.Down)
	r.hold(play.InputRight, 20)
	if all := r.g.Carried(); len(all) != 1 || all[0].Word != "Item" || !slices.Equal(rules.Items(r.d, false), []string{"Item"}) {
		t.Errorf("carried is %+v, and rules know %v", all, rules.Items(r.d, false))
	}
}

// What is in hand is used on what the hero looks at, where a rule waits for that; what is used up is gone after it.
func TestItemsAreUsedOnWhatIsLookedAt(t *testing.T) {
	for _, c := range []struct {
		name   string
		usedUp bool
		hand   bool // is it taken in hand
		other  bool // the rule waits for another item
		opens  bool
		left   int
	}{
		{"used", false, true, false, true, 2},
		{"used up", true, true, false, true, 1},
		{"not in hand", true, false, false, false, 2},
		{"another one", true, true, true, false, 2},
	} {
		r := drawn(t, "\n@.....\n......").with(kind.Item, 1, 0, 1, 1, false, document.Down, value("is", `"oil"`), value("amount", "2"), value("usedUp", map[bool]string{true: "true", false: "false"}[c.usedUp])).
			with(kind.Sign, 4, 0, 1, 1, false, document.Down).with(kind.Door, 0, 1, 1, 1, false, document.Down)
		item := map[bool]string{true: "tar", false: "oil"}[c.other]
		r.d = withRule(t, r.d, rules.Of(usedOn(r.end(kind.Sign), item), rules.Open(r.mapID(), r.end(kind.Door).Entity)))
		r.g.Enter(stage(r.d))
		r.hold(play.InputRight, 120)
		if c.hand {
			r.press(play.InputSlot1)
		}
		r.press(play.InputUse)
		if got := r.g.On(r.thing(kind.Door)); got != c.opens {
			t.Errorf("%s: the door is open: %t", c.name, got)
		}
		left := 0
		for _, c := range r.g.Carried() {
			left += c.Amount
		}
		if left != c.left {
			t.Errorf("%s: %d are left, want %d", c.name, left, c.left)
		}
		if c.usedUp && c.opens {
			if r.press(play.InputUse); len(r.g.Carried()) != 0 || r.g.Hand != "" || r.g.Has("oil") {
				t.Errorf("used up, there is still %+v, and %q in hand", r.g.Carried(), r.g.Hand)
			}
		}
		again, err := play.Resume(stage(r.d), r.g.Moment())
		if err != nil || again.Hand != r.g.Hand || len(again.Carried()) != len(r.g.Carried()) {
			t.Errorf("%s: resumed %q is in hand: %v", c.name, again.Hand, err)
		}
	}
}

// An item can be wielded wherever one stands, and is ready again after its time; what has been given never rests.
func TestItemsAreReadyAgainAfterAWhile(t *testing.T) {
	r := drawn(t, "\n@.....\n......").with(kind.Item, 1, 0, 1, 1, false, document.Down, value("is", `"horn"`), value("readyAfter", "1000")).
		with(kind.Item, 2, 0, 1, 1, false, document.Down, value("is", `"oil"`))
	r.d = apply(t, r.d, sample.Drawn()...)
	for _, text := range []string{"when\n\tthe hero wields horn\nthen\n\tadd 1 to Salt\n", "when\n\tthe hero wields oil\nthen\n\tadd 10 to Salt\n"} {
		rule, err := rules.Read(r.d, text)
		if err != nil {
			t.Fatal(err)
		}
		r.d = withRule(t, r.d, rule.Copied())
	}
	r.g.Enter(stage(r.d))
	r.hold(play.InputRight, 60)
	counted := func(want int64, why string) {
		t.Helper()
		if got := r.g.Counter(sample.DrawnCounter); got != want {
			t.Errorf("%s: %d were counted, want %d", why, got, want)
		}
	}
	start := r.g.Counter(sample.DrawnCounter)
	r.press(play.InputUse)
	counted(start, "nothing in hand")
	r.press(play.InputSlot1)
	r.press(play.InputUse)
	r.press(play.InputUse)
	counted(start+1, "twice at once")
	if rests := r.g.Rests("horn"); rests < 900 || rests > 1000 {
		t.Errorf("it rests for %d thousandths", rests)
	}
	again, err := play.Resume(stage(r.d), r.g.Moment())
	if err != nil || again.Rests("horn") != r.g.Rests("horn") {
		t.Errorf("resumed it rests for %d: %v", again.Rests("horn"), err)
	}
	r.hold(0, 60)
	if r.g.Rests("horn") != 0 {
		t.Errorf("after a second it rests for %d", r.g.Rests("horn"))
	}
	r.press(play.InputUse)
	counted(start+2, "ready again")
	r.press(play.InputSlot2)
	r.press(play.InputUse)
	r.press(play.InputUse)
	counted(start+22, "what is ready at once")
}

// Between two blows the hero waits as long as is set of it.
func TestBlowsRest(t *testing.T) {
	r := drawn(t, "\n@.....", "hero.blowRests=1000")
	if rests, waits := r.g.Blow(); rests != 0 || !waits {
		t.Errorf("at first it waits %d, %t", rests, waits)
	}
	r.press(play.InputUse)
	if rests, _ := r.g.Blow(); rests < 900 || r.g.Striking() == 0 {
		t.Errorf("after a blow it waits %d, and strikes %d", rests, r.g.Striking())
	}
	r.hold(0, play.BlowTicks)
	if rests, _ := r.g.Blow(); r.g.Striking() != 0 || rests == 0 {
		t.Errorf("it strikes %d still, and waits %d", r.g.Striking(), rests)
	}
	r.press(play.InputUse)
	if r.g.Striking() != 0 {
		t.Error("it strikes before it is ready")
	}
	r.hold(0, 60)
	if r.press(play.InputUse); r.g.Striking() == 0 {
		t.Error("it does not strike when it is ready")
	}
}

// Seen from above, whoever steps from the ground onto what carries it over what hurts is not hurt, nor where it steps off: over cells and over areas.
func TestSteppingOntoWhatCarries(t *testing.T) {
	for _, c := range []struct {
		rows string
		area bool
	}{{"\n...........\n@..^^^^^^..\n...........", false}, {"\n...........\n@..........\n...........", true}} {
		r := drawn(t, c.rows).with(kind.Platform, 3, 1, 2, 1, true, document.Right, value("range", "4"), value("speed", "4"), value("pause", "3000"))
		if c.area {
			r.with(kind.Hazard, 3, 1, 6, 1, true, document.Down)
		}
		r.hold(0, 310) // until it is back where it began
		r.until(play.InputRight, func() bool { return r.hero().X >= 4*cell })
		r.hold(0, 260) // until it stands at its other end
		r.until(play.InputRight, func() bool { return r.hero().X >= 10*cell })
		if n := r.g.Count(play.Hearts); n != 3 {
			t.Errorf("area: %t: whoever was carried over what hurts has %d hearts", c.area, n)
		}
	}
}
