package rules_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

func labels(all []rules.Choice) string {
	var out []string
	for _, c := range all {
		if c.Heading {
			out = append(out, "["+c.Label+"]")
		} else {
			out = append(out, c.Label)
		}
	}
	return strings.Join(out, ", ")
}

func TestChoices(t *testing.T) {
	d := sample.World()
	own := &document.Kind{ID: "gategategate", Of: kind.Door, Name: "Gate"}
	d.Kinds = d.Kinds.With(own.ID, own)
	pans := *d.Maps.Get(sample.Pans)
	gate := &document.Entity{ID: "gateongateon", Layer: sample.Entities, Kind: "gategategate", Name: "Gate"}
	pans.Entities = pans.Entities.With(gate.ID, gate)
	d.Maps = d.Maps.With(pans.ID, &pans)
	r := rules.Of(rules.Use(sample.Quay, sample.Switch), rules.IsSet(sample.Lit), rules.Open(sample.Quay, sample.Door), rules.Say("Hi"))
	r.ID = "rulerulerule"
	at := func(word string) document.ID {
		for _, p := range r.InOrder() {
			if p.Word == word {
				return p.ID
			}
		}
		return ""
	}
	const (
		whens = "[The hero], uses a switch, uses an item on something, uses an item where it stands, takes a collectible, speaks to somebody, or reads a sign, loses hearts, loses the last heart, comes back after a loss, comes against something, pushes a block, strikes something, comes to look at something within reach, comes to have an item, arrives on a map, finishes a map, leaves a map, [Somebody], comes to a place, has left a place, is defeated or broken, comes to see the hero, loses sight of the hero, comes to see something, does not see something any more, the last of a kind or a tag is gone, [Something], is turned on, is turned off, is opened, is shut, has a counter that reaches a number, goes over from one guise to another, comes to a point of its path, begins to fall, as a block, comes to rest, as a block, rings, as a timer does, has nothing left, as a source, [The story], a new game begins, a kept game is gone on with, it becomes an hour of the day, some seconds have passed again, a flag is set, a flag is cleared, a counter reaches a number, a signal comes, a signal brings a number"
		ifs   = "[A flag], a flag is set, a flag is not set, [A counter], a counter is at least, a counter is below, a counter is exactly, [The hero], has an item, has so many of an item, does not have an item, has so many hearts, is on a map, is one of several heroes, has a jump of its own, came from a map, has been on a map, has not been on a map, [Somebody], somebody looks a way, somebody is near something, somebody is a certain one, somebody is of a kind, somebody has something in sight, somebody sees the hero, [Something], something is on, something is off, a door is open, a door is shut, something is there, something is not there, few of a kind or a tag are left, something is in a guise, something is not in a guise, something is shown, something is hidden, [Something’s own], a flag of its own is set, a flag of its own is not set, a counter of its own is at least, a counter of its own is below, [A place], somebody is at a place, nobody is at a place, [The map], a layer lies there, a layer does not lie there, [By chance, and the first time], it is the first time, it is between two hours of the day, by chance, as often as you say, [Several together], all of several, any of several, none of several"
		thens = "[The hero], send the hero somewhere, give the hero an item, take an item from the hero, give the hero hearts, take hearts from the hero, give the hero lives, let the hero come back here, lead another hero, [Somebody], let somebody walk, let somebody find a way somewhere, let who walks now be slower or faster, turn somebody, turn somebody toward something, put somebody elsewhere at once, let somebody say a line, let somebody say a line, looking as in a guise, show a thought above somebody, let somebody come along with the hero, let somebody not come along any more, let somebody jump, let somebody act something out, strike somebody, or something that breaks, heal somebody, mend something, defeat somebody, break something, [The view and sound], move the view to something, move the view back to the hero, shake the view, let it become dark, let it become light again, give the view a colour, let it be so dark where no light shines, let it be as dark as the map says, bring the view nearer, let the weather change, show the picture of something, play a sound, play a sound of yours, let something be heard all the time, let the map sound as it does, show a caption for a while, [Doors and what works], open a door, shut a door, turn something on, turn something off, flip something, let a source make one, [The map], lay a layer over the map, lift a layer off the map, [What is there], show something, hide something, put something there, take something away, put something into a guise, enable something, disable something, [Something’s own], set a flag of its own, clear a flag of its own, add to a counter of its own, give a counter of its own a number, [The story], set a flag, clear a flag, add to a counter, give a counter a number, multiply a counter, draw a counter by chance, send out a signal, send out a signal with a number, say a line, let it be an hour of the day, keep the game, finish the map, win the game, lose the game, [What comes when], ask a question, only if something is so, do something several times, do something as long as something is so, wait some seconds, wait until something is so, do several things at the same time, play a scene, the hero held, leave out the rest, a note to yourself"
	)
	for _, c := range []struct {
		part  document.ID
		blank string
		want  string
	}{
		{"", rules.BlankOnce, "once, each time"},
		{"", document.SlotWhen, whens},
		{"", document.SlotIf, ifs},
		{"", document.SlotThen, thens},
		{"", document.SlotOtherwise, thens},
		{at("use"), "", whens},
		{at("use"), "what", "Point at it on the map…, any Switch, [Quay], Switch"},
		{at("isSet"), "", ifs + ", remove this"},
		{at("isSet"), "what", "Lit, A new flag, remove this condition"},
		{at("open"), "", thens + ", remove this"},
		{at("open"), "what", "Point at it on the map…, what woke the rule (it), every Door, every Gate, [Quay], Door, [Pans], Gate"},
		{at("say"), "text", ""},
		{at("say"), "what", ""},
		{"gonegonegone", "", ""},
	} {
		got := rules.Choices(d, &r, c.part, c.blank)
		if labels(got) != c.want {
			t.Errorf("%s %s offers %s, wanted %s", c.part, c.blank, labels(got), c.want)
		}
		for _, choice := range got {
			if !choice.Heading && (choice.Wish.Rule != r.ID || c.part != choice.Wish.Part) {
				t.Errorf("%s is a wish for another rule or part: %+v", choice.Label, choice.Wish)
			}
		}
	}
	doors := rules.Choices(d, &r, at("open"), "what")
	if p := doors[0]; p.What != "a door" || !slices.Equal(p.Points, []document.ID{kind.Container, kind.Door, own.ID}) {
		t.Errorf("pointing takes %+v", p)
	}
	if w := doors[7].Wish; w.Map != sample.Pans || w.Entity != gate.ID || w.Blank != "what" {
		t.Errorf("the gate is %+v", w)
	}
	if w := rules.Choices(d, &r, at("isSet"), "what")[1].Wish; !w.NewFlag || w.Flag != "" {
		t.Errorf("a new flag is %+v", w)
	}
	if w := rules.Choices(d, &r, "", rules.BlankOnce); !*w[0].Wish.Once || *w[1].Wish.Once {
		t.Error("once is not once")
	}
}

// What fits first stands on the map that the rule is about, if anything does.
func TestFirst(t *testing.T) {
	d := sample.World()
	door := rules.Find(rules.WordOpen).Blank("what")
	want := document.Naming(document.Object{Type: document.TypeEntity, Map: sample.Quay, ID: sample.Door})
	if got := rules.First(d, door, "", sample.Pans); got != want {
		t.Errorf("without a door here it is %s", got)
	}
	pans := *d.Maps.Get(sample.Pans)
	e := &document.Entity{ID: "doorondooron", Kind: kind.Door}
	pans.Entities = pans.Entities.With(e.ID, e)
	d.Maps = d.Maps.With(pans.ID, &pans)
	if got, _ := document.Named(rules.First(d, door, "", sample.Pans)); got.ID != e.ID {
		t.Errorf("the door of the map itself is passed over for %+v", got)
	}
	if got := rules.First(d, rules.Find(rules.WordArrive).Blank("what"), "", sample.Pans); got != document.Naming(document.Object{Type: document.TypeMap, ID: sample.Pans}) {
		t.Errorf("the first map is %s", got)
	}
	if got := rules.First(d, rules.Find(rules.WordSay).Blank("text"), "", ""); got.Word() == "" {
		t.Error("a line is empty at first")
	}
	d.Flags = document.Table[document.Flag]{}
	if got := rules.First(d, rules.Find(rules.WordSet).Blank("what"), "", ""); got != "" {
		t.Errorf("without a flag it is %s", got)
	}
	if got := rules.First(document.New("Empty"), door, "", ""); got != "" {
		t.Errorf("without a door it is %s", got)
	}
}
