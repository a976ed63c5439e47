package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What changes in play is declared under Kinds, changed by a rule made in words, and told when the game is frozen.
func TestThingsCount(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Kinds")
	k.write("[aria-label='Search kinds']", "sign")
	k.pressIn("[aria-label=Things] button", "Sign")
	k.press("Make one of your own from it")
	k.fill("[aria-label='Name of the kind']", "Salt jar")
	k.press("Add a counter")
	k.fill("[aria-label='Name of setting 2']", "grains")
	k.fill("[aria-label='Default of grains']", "2")
	k.stored(func(d *document.Document) error {
		for _, own := range d.Kinds.All() {
			if s := kind.Keyed(d.Kind(own.ID).Settings, "Setting 2"); s != nil && s.Varies && s.Default == "2" && s.Name == "grains" {
				return nil
			}
		}
		return fmt.Errorf("no kind counts")
	})
	k.press("Hold it on the map")
	k.click(k.at(8, 4))
	k.keys(input.Escape)
	k.pressIn("aside [role=tab]", "Rules")
	k.press("New rule on Quay")
	k.ruleWord("do nothing yet", "add to a counter of its own")
	k.see("[data-testid=rule]", "grains\nof\nSalt jar")
	k.pressIn("[data-testid=rule] button", "1")
	k.fill("[data-testid=rule] input", "much")
	k.notice("takes a whole number")
	k.fill("[data-testid=rule] input", "40")
	k.stored(rulesAre(func(r *document.Rule) error {
		for _, p := range r.In(document.SlotThen) {
			if p.Word == rules.WordOwnAdd && p.Blank("number") == "40" && p.Blank("own") == `"Setting 2"` {
				return nil
			}
		}
		return fmt.Errorf("the rule is %+v", r.InOrder())
	}))
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.press("Freeze")
	k.see("[data-testid=playing]", "Frozen")
	k.move(k.at(8, 4))
	k.see("#status", "grains: 42")
	k.keys(input.KeyP)
	k.same()
}

// An item that was taken lies in a slot, is taken in hand by its key or by a press, and is used on what is looked at.
func TestItemsAreUsedOnThings(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Item, Name: "Oil can", X: 48, Y: 32, Facing: document.Down, Values: []kind.Value{{Key: "is", Value: `"oil"`}, {Key: "usedUp", Value: "true"}}})
	wheel := r.place(document.Entity{Kind: kind.Character, Name: "Wheel", X: 64, Y: 32, Facing: document.Down})
	k := r.open()
	k.holdTile(3)
	k.focusMap()
	k.with(input.ShiftLeft, input.Digit2)
	k.keys(input.Escape)
	k.pressIn("aside [role=tab]", "Rules")
	k.press("New rule on Quay")
	k.ruleWord("arrives on", "uses an item on something")
	k.see("[data-testid=rule]", "oil")
	named := k.eval(`() => [...document.querySelectorAll("[data-testid=rule] [data-lines] button")].map((b) => b.textContent.trim()).filter((t) => !["uses", "oil", "do nothing yet", "each time", ""].includes(t))[0]`)
	k.ruleWord(named, "Wheel")
	k.ruleWord("do nothing yet", "say a line")
	k.stored(rulesAre(func(r *document.Rule) error {
		p := r.In(document.SlotWhen)[0]
		if o, _ := document.Named(p.Blank("what")); p.Word != rules.WordUseOn || p.Blank("item") != `"oil"` || o.ID != wheel || len(r.In(document.SlotThen)) != 1 {
			return fmt.Errorf("the rule is %+v", r.InOrder())
		}
		return nil
	}))
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.gone("[data-testid=slots]")
	// with nothing to take in hand the digits are the tray's
	k.keys(input.Digit2)
	k.see("[data-testid=hand]", "tile 3")
	k.toColumn(3)
	k.see("[data-testid=slots]", "oil")
	k.keys(input.KeyE)
	k.gone("[data-testid=line]")
	k.keys(input.Digit1)
	k.see("[data-testid=slots] [aria-pressed=true]", "oil")
	k.pressIn("[data-testid=slots] button", "oil")
	k.see("[data-testid=slots] [aria-pressed=false]", "oil")
	k.keys(input.KeyC)
	k.see("[data-testid=slots] [aria-pressed=true]", "oil")
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "Something is said.")
	k.keys(input.KeyE)
	k.gone("[data-testid=slots]") // it is used up
	k.keys(input.KeyP)
	k.same()
}
