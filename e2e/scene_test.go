package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/sample"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
)

// A scene holds the hero while it lasts, shows what it says and thinks, is skipped by a key where that is allowed, and a
// rule wins the game, which begins again then. Its words are changed on the card like any others.
func TestASceneIsPlayedAndSkipped(t *testing.T) {
	r := world(t)
	r.author(author.TextRule(r.doc(), "rule \"Dawn\"\nwhen\n\tthe hero arrives on Quay\nthen\n\tscene that cannot be skipped\n\t\tthe hero thinks \"So late\"\n\t\tcaption \"At low tide\" for 600 s\n\t\twalk the hero 1 cells right waiting where blocked\n\t\tdarken the view in 600 s\n\twin the game \"The lamp burns.\""))
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=caption]", "At low tide")
	k.see("[data-testid=playing]", "A scene")
	k.gone("[data-testid=playing] button") // it cannot be skipped
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")

	// by its words, on the card
	k.pressIn("nav button", "Rules")
	k.see("[data-testid=rule]", "Dawn")
	k.ruleWord("cannot", "can")
	k.ruleWord("right", "down")
	k.ruleIs("rule \"Dawn\"\nwhen\n\tthe hero arrives on Quay\nthen\n\tscene that can be skipped\n\t\tthe hero thinks \"So late\"\n\t\tcaption \"At low tide\" for 600 s\n\t\twalk the hero 1 cells down waiting where blocked\n\t\tdarken the view in 600 s\n\twin the game \"The lamp burns.\"\n")
	k.pressIn("nav button", "Map")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing] button", "skip it")
	k.keys(input.Backspace)
	k.see("[data-testid=over]", "The game is won")
	k.see("[data-testid=over]", "The lamp burns.")
	k.press("Begin again")
	k.gone("[data-testid=over]")
	k.see("[data-testid=caption]", "At low tide")
	k.keys(input.KeyP)
	k.same()
}

// A rule, or a line of it, is tried in the frozen game: what it does is there at once, and pulled back it is not.
func TestALineIsTried(t *testing.T) {
	r := world(t)
	r.author(author.TextRule(r.doc(), "rule \"Gate\"\nwhen\n\tthe hero arrives on Pans\nif\n\tLit is set\nthen\n\tDoor says \"Creak.\"\n\topen Door\n\tset Lit"))
	k := r.open()
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.press("Freeze")
	k.press("Edit")
	k.pressIn("aside [role=tab]", "Rules")
	k.see("[data-testid=rule]", "Gate")
	k.pressNth("[data-testid=rule] [aria-label='Move or change this line']", 3)
	k.pressIn("[role=menuitem]", "Try it now in the game")
	k.see("[aria-label*='Door was opened']", "")
	k.gone("[role=menuitem]")
	k.pressIn("[data-testid=rule] button", "More about this rule")
	k.pressIn("[role=menuitem]", "Try it now in the game")
	k.see("[data-testid=line]", "Creak.")
	k.see("[data-testid=speaker]", "Door")
	k.focusMap()
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	k.same()
}

// How long something stays what it became is chosen under Details, and the card of the rule says what will be so.
func TestMemoryIsChosen(t *testing.T) {
	r := world(t)
	r.author(author.TextRule(r.doc(), "rule \"Gate\"\nwhen\n\tthe hero uses Switch\nthen\n\topen Door"))
	k := r.open()
	k.pressIn("aside [role=tab]", "Rules")
	k.see("[data-testid=after]", "Afterwards Door stays so.")
	k.click(k.at(10, 2))
	k.see("[data-testid=details] input", "Door")
	k.pressIn("[data-testid=details] summary", "At the start")
	must(t, k.find("[data-testid=details] select", "until the hero comes back").Select([]string{"until one comes to the map again"}, true, rod.SelectorTypeText))
	k.see("[data-testid=after]", "Door is as at first when one comes there again")
	k.stored(func(d *document.Document) error {
		return want("what is remembered of it", d.Entity(sample.Quay, sample.Door).Memory, document.UntilLeft)
	})
	k.same()
}
