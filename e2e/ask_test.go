package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A door is asked what opens it, while one designs and in a frozen game, where it says what is not so; its sentences lead to
// the rule, whose card says when it was asked last and why it did not run.
func TestADoorIsAsked(t *testing.T) {
	r := world(t)
	r.author(author.TextRule(r.doc(), "rule \"Gate\"\nwhen\n\tthe hero uses Switch\nif\n\tLit is set\nthen\n\topen Door"))
	k := r.open()
	k.click(k.at(10, 2))
	k.see("[data-testid=details]", "")
	k.focusMap()
	k.keys(input.KeyA)
	k.see("[data-testid=ask]", "What opens or shuts it")
	k.see("[data-testid=ask]", "open Door, when the hero uses Switch")
	k.see("[data-testid=ask]", "Lit is set")
	k.pressIn("[data-testid=ask] button", "open Door")
	k.see("[data-testid=rule]", "Gate")
	k.keys(input.Escape)
	k.focusMap()
	k.keys(input.Escape)
	k.gone("[data-testid=ask]")

	k.click(k.at(10, 2))
	k.press("Ask what changes it and who needs it")
	k.see("[data-testid=ask]", "What opens or shuts it")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.see("[data-testid=ask] [aria-label='not so:']", "")
	k.toColumn(6)
	k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
	k.keys(input.KeyE)
	k.press("Freeze")
	k.see("[data-testid=playing]", "Frozen")
	k.see("[data-testid=ask]", "shut until the hero uses Switch")
	// what is set now is so at once, and the door opens
	k.pressIn("[data-testid=ask] button", "open Door")
	k.see("[data-testid=last]", "but not: Lit is set")
	k.ruleWord("is set", "a flag is not set")
	k.see("[data-testid=ask] [aria-label='so:']", "")
	k.press("Go on")
	k.focusMap()
	k.keys(input.KeyE)
	k.see("[data-testid=last]", "Ran")
	k.see("[data-testid=ask]", "open")
	k.keys(input.KeyP)
	k.same()
}

// Flags and counters are asked under Rules; a counter's start is stored, and where it is used is told.
func TestCountersAreListed(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Rules")
	k.pressIn("aside button", "New counter")
	k.see("aside", "unused")
	k.write("[aria-label='Name of the counter']", "Salt")
	k.keys(input.Enter)
	k.write("[aria-label='Salt starts with']", "7")
	k.keys(input.Enter)
	k.stored(counterIs("Salt", 7))
	k.pressIn("section:nth-of-type(1) button", "New rule")
	k.ruleWord("begins", "a counter reaches a number")
	k.see("[data-testid=rule]", "Salt")
	k.ruleWord("do nothing yet", "multiply a counter")
	k.pressNth("[data-testid=rule] [data-line='1'] .word", 2)
	k.fill("[data-testid=rule] input", "Salt")
	k.ruleIs("when\n\tSalt comes to 1\nthen\n\tmultiply Salt by Salt\n")
	k.pressIn("aside button", "Ask Salt")
	k.see("[data-testid=ask]", "multiply Salt by Salt")
	k.pressIn("aside button", "Delete counter Salt")
	k.see("[data-testid=rule]", "a counter that was removed")
	k.see("[data-testid=ask]", "something that was removed")
	k.press("Undo")
	k.see("[data-testid=rule]", "multiply")
	k.stored(counterIs("Salt", 7))
}

func counterIs(name string, start int) func(*document.Document) error {
	return func(d *document.Document) error {
		all := d.CountersByName()
		if len(all) != 1 || all[0].Name != name || all[0].Start != start {
			return fmt.Errorf("there are %d counters: %+v", len(all), all)
		}
		return nil
	}
}

// Items and signals are listed under Rules with what is missing, and renamed everywhere.
func TestItemsAndSignalsAreListed(t *testing.T) {
	r := world(t)
	r.author(author.TextRule(r.doc(), "when\n\tthe hero uses Switch\nthen\n\tgive the hero 2 coin\n\tsend out tide\n\ttake 1 coin from the hero"))
	k := r.open()
	k.pressIn("nav button", "Rules")
	k.see("[aria-label=Items]", "2 uses")
	k.see("[aria-label=Signals]", "nobody waits for it")
	k.write("[aria-label='Name of the item']", "silver")
	k.keys(input.Enter)
	k.see("[data-testid=rule]", "silver")
	k.write("[aria-label='Name of the signal']", "ebb")
	k.keys(input.Enter)
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\tgive the hero 2 silver\n\tsend out ebb\n\ttake 1 silver from the hero\n")
	k.press("Undo")
	k.see("[aria-label=Signals]", "nobody waits for it")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\tgive the hero 2 silver\n\tsend out tide\n\ttake 1 silver from the hero\n")
}

// What was asked is joined by lines to what changes it, on the map and, over maps, on the chart; they go with the question.
func TestAskDrawsLines(t *testing.T) {
	r := world(t)
	r.author(author.TextRule(r.doc(), "rule \"Gate\"\nwhen\n\tthe hero uses Switch\nif\n\tLit is set\nthen\n\topen Door on Quay"))
	k := r.open()
	const asked = "15,106,108"
	lines := func(on string, more bool, before int) {
		t.Helper()
		within(t, soon, func() error {
			if now := k.drawn(on, asked); more != (now > before+15) {
				return fmt.Errorf("on the %s %d pixels are in the colour of what was asked, %d before", on, now, before)
			}
			return nil
		})
	}
	k.click(k.at(10, 2))
	k.move(k.at(1, 8))
	before := k.drawn("map", asked)
	k.press("Ask what changes it and who needs it")
	k.see("[data-testid=ask]", "open Door, when the hero uses Switch")
	lines("map", true, before)
	k.pressIn("nav button", "Chart")
	k.find("[data-testid=chart]", "")
	lines("chart", true, 30)
	before = k.drawn("chart", asked) - 30
	k.press("Close")
	k.gone("[data-testid=ask]")
	lines("chart", false, before)
}
