package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"slices"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

func rulesAre(condition func(r *document.Rule) error) func(*document.Document) error {
	return func(d *document.Document) error {
		all := d.RulesInOrder()
		if len(all) != 1 {
			return fmt.Errorf("%d rules", len(all))
		}
		return condition(all[0])
	}
}

// says reports whether a rule consists of these parts, whatever their ids.
func says(r *document.Rule, parts ...document.RulePart) bool {
	got := r.InOrder()
	return len(got) == len(parts) && !slices.ContainsFunc(got, func(p *document.RulePart) bool {
		return !slices.ContainsFunc(parts, func(o document.RulePart) bool { return o.Word == p.Word && slices.Equal(o.Blanks, p.Blanks) })
	})
}

func TestWireAndSentenceAreOneRule(t *testing.T) {
	k := world(t).open()
	k.click(k.at(6, 1))
	k.see("[data-testid=details]", "Wire it…")
	scale := 2.0
	nub := k.at(6, 1).Add(proto.NewPoint(8*scale+12, 0))
	// a wire that ends on nothing makes nothing
	k.drag(left, nub, k.at(8, 5))
	k.notice("A wire ends on what it changes")
	k.drag(left, nub, k.at(8, 2), k.at(10, 2))
	k.pressIn("[role=menuitem]", "opens Door")
	k.notice("Switch opens Door")
	k.stored(rulesAre(func(r *document.Rule) error {
		if !says(r, rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door)) || r.Once {
			return fmt.Errorf("the rule is %+v", r.InOrder())
		}
		return nil
	}))
	k.press("Show the rule")
	k.see("[data-testid=rule]", "the hero")
	k.see("[data-testid=rule]", "Door")

	// the sentence is changed by pressing its words
	k.ruleWord("each time", "once")
	k.stored(rulesAre(func(r *document.Rule) error {
		if !r.Once {
			return fmt.Errorf("the rule runs each time")
		}
		return nil
	}))
	k.ruleWord("If", "a flag is set")
	k.see("[data-testid=rule]", "Lit")
	k.ruleWord("is set", "is not set")
	k.ruleWord("Then", "say a line")
	k.pressIn("[data-testid=rule] button", "“Something is said.”")
	k.write("[data-testid=rule] textarea", "The gate grinds open.")
	k.keys(input.Enter)
	k.ruleWord("Then", "set a flag")
	k.stored(rulesAre(func(r *document.Rule) error {
		if !says(r, rules.Use(sample.Quay, sample.Switch), rules.IsNotSet(sample.Lit), rules.Open(sample.Quay, sample.Door), rules.Say("The gate grinds open."), rules.Set(sample.Lit)) {
			return fmt.Errorf("the rule is %+v", r.InOrder())
		}
		return nil
	}))
	// the station shows the same card, and renaming the flag changes the sentence
	k.pressIn("nav button", "Rules")
	k.see("main [data-testid=rule]", "The gate grinds open.")
	k.write("[aria-label='Name of the flag']", "Beacon lit")
	k.keys(input.Enter)
	k.see("main [data-testid=rule]", "Beacon lit")
	// what a rule names and is removed is told, and the rule kept
	k.pressIn("aside button", "Delete flag Beacon lit")
	k.see("main [data-testid=rule]", "a flag that was removed")
}

// ruleWord presses a word of the only rule, and chooses another one.
func (k *tab) ruleWord(word, choice string) {
	k.Helper()
	k.pressIn("[data-testid=rule] button", word)
	k.pressIn("[role=option]", choice)
}

func TestRuleNamesEntitiesByPointing(t *testing.T) {
	r := world(t)
	other := document.Entity{ID: "otherdoorsss", Layer: sample.Entities, Kind: "door", Name: "Other door", Facing: document.Down, X: 64, Y: 64, W: 16, H: 16}
	r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Pans, ID: other.ID}, other))
	k := r.open()
	k.pressIn("aside [role=tab]", "Rules")
	k.press("New rule on Quay")
	k.see("[data-testid=rule]", "arrives on")
	k.ruleWord("arrives on", "takes a collectible")
	k.see("[data-testid=rule]", "Pearl")
	k.ruleWord("do nothing yet", "open a door")
	k.see("[data-testid=rule]", "Door")
	// a door on any map, by its name
	k.ruleWord("Door", "Other door")
	k.stored(rulesAre(func(r *document.Rule) error {
		if !says(r, rules.Take(sample.Quay, sample.Pearl), rules.Open(sample.Pans, other.ID)) {
			return fmt.Errorf("the rule is %+v", r.InOrder())
		}
		return nil
	}))
	// or pointed at
	k.ruleWord("Other door", "Point at it")
	k.see("[data-testid=hand]", "Point at")
	k.click(k.at(6, 1))
	k.notice("Point at a door")
	k.click(k.at(10, 2))
	k.stored(rulesAre(func(r *document.Rule) error {
		if !says(r, rules.Take(sample.Quay, sample.Pearl), rules.Open(sample.Quay, sample.Door)) {
			return fmt.Errorf("the rule is %+v", r.InOrder())
		}
		return nil
	}))
	k.pressIn("[data-testid=rule] button", "More about this rule")
	k.pressIn("[role=menuitem]", "Delete")
	k.stored(func(d *document.Document) error {
		if d.Rules.Len() != 0 {
			return fmt.Errorf("%d rules", d.Rules.Len())
		}
		return nil
	})
}
