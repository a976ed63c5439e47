package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

// wiring is the sample with two switches more, a sensor, a timer, a light and a door.
func wiring(t *testing.T) (*document.Document, func(name string) document.End) {
	t.Helper()
	d := sample.World()
	for i, k := range []string{kind.Switch, kind.Switch, kind.Sensor, kind.Timer, kind.Light, kind.Source, kind.Decoration} {
		e := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: k, Name: strings.ToUpper(k[:1]) + k[1:], Facing: document.Down, X: 16 * i, W: 16, H: 16, Rank: 90 + i}
		if i == 1 {
			e.Name, e.Values = "Plate", []kind.Value{{Key: "workedBy", Value: `"weight"`}, {Key: "goesBack", Value: `"whenLeft"`}}
		} else if i == 0 {
			e.Name = "Lever"
		}
		d = sample.With(d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	}
	return d, func(name string) document.End {
		for _, e := range d.Maps.Get(sample.Quay).Entities.All() {
			if e.Name == name {
				return document.End{Map: sample.Quay, Entity: e.ID}
			}
		}
		t.Fatalf("no %s", name)
		return document.End{}
	}
}

func spoken(d *document.Document, rule document.ID) string {
	var words []string
	for _, w := range rules.Sentence(d, d.Rules.Get(rule)) {
		words = append(words, w.Text)
	}
	return strings.ReplaceAll(strings.Join(words, " "), " ,", ",")
}

// What a wire offers follows from where it begins and where it ends; what is held offers both of its
// edges first.
func TestWireChoices(t *testing.T) {
	d, at := wiring(t)
	for _, c := range []struct{ from, to, first, has, lacks string }{
		{"Lever", "Door", "opens Door each time it is used", "opens Door while Lever is on", "turns on Door"},
		{"Plate", "Door", "opens Door while Plate is on", "flips Door each time it is used", "turns on Door"},
		{"Sensor", "Light", "turns on Light while somebody is at Sensor", "disables Light each time somebody comes", "opens Light"},
		{"Timer", "Light", "turns on Light each time it rings", "flips Light each time it rings", "turns on Light while Timer is on"},
		{"Source", "Decoration", "shows Decoration when nothing of it is left", "takes away Decoration when nothing of it is left", "flips Decoration"},
		{"Lever", "Source", "turns on Source each time it is used", "lets make one: Source each time it is used", "opens Source"},
	} {
		all, err := author.WireChoices(d, at(c.from), at(c.to))
		if err != nil {
			t.Fatal(err)
		}
		labels := make([]string, len(all))
		for i, o := range all {
			labels[i] = o.Label + " " + o.When
		}
		if labels[0] != c.first || !slices.Contains(labels, c.has) || slices.Contains(labels, c.lacks) {
			t.Errorf("from %s to %s: %q", c.from, c.to, labels)
		}
	}
	for _, c := range [][2]document.End{{at("Door"), at("Lever")}, {at("Lever"), at("Lever")}, {at("Lever"), {Map: sample.Quay, Entity: sample.Spawn}}, {at("Lever"), {Map: sample.Quay, Entity: "gonegonegone"}}} {
		if all, err := author.WireChoices(d, c[0], c[1]); err == nil {
			t.Errorf("a wire from %v to %v offers %v", c[0], c[1], all)
		}
	}
}

// A wire is the rule that it stands for: each time, as long as something is so, all of several, any of them.
func TestWiresDoWhatTheyOffer(t *testing.T) {
	d, at := wiring(t)
	wire := func(from, to, word, how string) author.Change {
		t.Helper()
		c, err := author.Wire(d, at(from), at(to), word, how)
		d = apply(t, d, c, err)
		return c
	}
	says := func(from, to string) string {
		for _, w := range author.Wires(d) {
			if w.From == at(from) && w.To == at(to) {
				return w.Says
			}
		}
		return ""
	}
	c := wire("Timer", "Light", rules.WordFlip, "")
	if got := spoken(d, c.Made); got != "When Timer on Quay rings, then flip Light, each time" || says("Timer", "Light") != "flips" {
		t.Errorf("%s; %s", got, says("Timer", "Light"))
	}
	c = wire("Plate", "Door", rules.WordOpen, author.WireWhile)
	if got := spoken(d, c.Made); got != "When Plate on Quay is turned on or when Plate is turned off, if Plate is on, then open Door, otherwise shut Door, each time" || says("Plate", "Door") != "opens while on" {
		t.Errorf("%s; %s", got, says("Plate", "Door"))
	}
	before := d
	all := wire("Lever", "Door", rules.WordOpen, author.WireAll)
	if got := spoken(d, all.Made); all.Made != c.Made || !strings.Contains(got, "if Plate is on and Lever is on, then open Door, otherwise shut Door") || says("Lever", "Door") != "opens while all are on" || says("Plate", "Door") != "opens while all are on" {
		t.Errorf("%s; %s", got, says("Lever", "Door"))
	}
	if offered, err := author.WireChoices(d, at("Sensor"), at("Door")); err != nil || offered[0].How != author.WireAll || slices.ContainsFunc(offered, func(o author.WireChoice) bool { return o.How == author.WireAny }) {
		t.Errorf("a third one is offered %+v, %v", offered, err)
	}
	d = before
	anyOf := wire("Sensor", "Door", rules.WordOpen, author.WireAny)
	if got := spoken(d, anyOf.Made); !strings.Contains(got, "if Plate is off and nobody is at Sensor, then shut Door, otherwise open Door") || says("Plate", "Door") != "opens while any is on" {
		t.Errorf("%s; %s", got, says("Plate", "Door"))
	}
	third := wire("Lever", "Door", rules.WordOpen, author.WireAny)
	if got := spoken(d, third.Made); !strings.Contains(got, "if Plate is off and nobody is at Sensor and Lever is off") {
		t.Errorf("%s", got)
	}
	for _, c := range [][4]string{{"Plate", "Door", rules.WordOpen, author.WireWhile}, {"Timer", "Door", rules.WordOpen, author.WireWhile}, {"Lever", "Light", rules.WordOpen, ""},
		{"Lever", "Light", rules.WordTurnOn, author.WireAll}, {"Lever", "Light", rules.WordTurnOn, "sometimes"}, {"Lever", "Light", "dance", ""}, {"Lever", "Light", rules.WordFlip, author.WireWhile}} {
		if c, err := author.Wire(d, at(c[0]), at(c[1]), c[2], c[3]); err == nil {
			t.Errorf("a wire of %v is made: %+v", c, c)
		}
	}
}

// Taking a wire away leaves the others of its rule, and what the rule does besides.
func TestUnwire(t *testing.T) {
	d, at := wiring(t)
	do := func(c author.Change, err error) author.Change {
		t.Helper()
		d = apply(t, d, c, err)
		return c
	}
	first := do(author.Wire(d, at("Plate"), at("Door"), rules.WordOpen, author.WireWhile)).Made
	do(author.Wire(d, at("Lever"), at("Door"), rules.WordOpen, author.WireAll))
	do(author.Unwire(d, first, at("Plate"), at("Door")))
	if got := spoken(d, first); got != "When Lever on Quay is turned on or when Lever is turned off, if Lever is on, then open Door, otherwise shut Door, each time" {
		t.Errorf("what is left is %s", got)
	}
	do(author.Unwire(d, first, at("Lever"), at("Door")))
	if d.Rules.Len() != 0 {
		t.Error("the rule is there still")
	}
	line := "It moves."
	second := do(author.Wire(d, at("Timer"), at("Light"), rules.WordFlip, "")).Made
	do(author.ChangeRule(d, rules.Wish{Rule: second, Word: rules.WordSay, Blank: "text", Text: &line}))
	do(author.Unwire(d, second, at("Timer"), at("Light")))
	if got := spoken(d, second); got != "When Timer on Quay rings, then say “It moves.”, each time" {
		t.Errorf("what is left is %s", got)
	}
	if c, err := author.Unwire(d, second, at("Timer"), at("Light")); err == nil {
		t.Errorf("a wire that is gone was taken away: %+v", c)
	}
	if _, err := author.Unwire(d, "gonegonegone", at("Timer"), at("Light")); err == nil {
		t.Error("a wire of no rule was taken away")
	}
}
