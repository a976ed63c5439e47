package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// ruleIs waits until the only rule is stored as a text.
func (k *tab) ruleIs(text string) {
	k.Helper()
	k.stored(func(d *document.Document) error {
		all := d.RulesInOrder()
		if len(all) != 1 {
			return fmt.Errorf("%d rules", len(all))
		}
		if got := rules.Print(d, all[0]); got != text {
			return fmt.Errorf("the rule says\n%s", got)
		}
		return nil
	})
}

// pressNth presses one of several buttons that look alike.
func (k *tab) pressNth(selector string, n int) {
	k.Helper()
	within(k.T, soon, func() error {
		all, err := k.page.Elements(selector)
		if err != nil || len(all) <= n {
			return fmt.Errorf("there are %d of %s: %w", len(all), selector, err)
		}
		return all[n].Click(left, 1)
	})
}

// middle is the middle of what is found.
func (k *tab) middle(selector string) proto.Point {
	k.Helper()
	box := k.box(selector)
	return proto.NewPoint(box.X+box.Width/2, box.Y+box.Height/2)
}

// types writes at the cursor.
func (k *tab) types(text string) {
	k.Helper()
	must(k.T, k.page.InsertText(text))
}

// inText does something to what is written of the only rule.
func (k *tab) inText(js string) string {
	k.Helper()
	out := ""
	within(k.T, soon, func() error {
		out = k.eval(`() => { const at = document.querySelector("[data-testid=rule-text] > div")?.shadowRoot?.querySelector(".cm-content"); if (!at) return ""; ` + js + ` }`)
		if out == "" {
			return fmt.Errorf("there is no text")
		}
		return nil
	})
	return out
}

// textEnd goes to the end of the text.
func (k *tab) textEnd() {
	k.Helper()
	k.inText(`at.focus(); return "focused"`)
	k.with(input.ControlLeft, input.End)
}

// A question with branches is made by cards alone, and answered in play by keys and by pressing.
func TestQuestionByCards(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Rules")
	k.pressIn("section:nth-of-type(2) button", "New rule")
	k.ruleWord("arrives on", "uses a switch")
	k.see("[data-testid=rule]", "Switch")
	k.ruleWord("do nothing yet", "ask a question")
	k.see("[data-testid=rule]", "What shall it be?")
	k.pressIn("[data-testid=rule] button", "“What shall it be?”")
	k.write("[data-testid=rule] textarea", "Open the gate?")
	k.keys(input.Enter)
	// what is done with the first answer, found by what it means
	k.pressNth("[data-testid=rule] [aria-label='Add a step here']", 1)
	k.write("[role=combobox]", "unlock")
	k.keys(input.Enter)
	k.see("[data-testid=rule]", "Door")
	k.pressNth("[data-testid=rule] [aria-label='Add a step here']", 2)
	k.pressIn("[role=option]", "add to a counter")
	k.see("[data-testid=rule]", "Counter 1")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\task \"Open the gate?\"\n\t\tanswer \"Yes\"\n\t\t\topen Door\n\t\tanswer \"No\"\n\t\t\tadd 1 to \"Counter 1\"\n")
	// lines are moved by keys, copied and switched off by their menu
	k.eval(`() => { document.querySelector("[data-line='4'] [aria-label='Move or change this line']").focus() }`)
	k.with(input.AltLeft, input.ArrowUp)
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\task \"Open the gate?\"\n\t\tanswer \"No\"\n\t\t\tadd 1 to \"Counter 1\"\n\t\tanswer \"Yes\"\n\t\t\topen Door\n")
	k.pressIn("[data-line='5'] button", "Move or change this line")
	k.pressIn("[role=menuitem]", "Switch off")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\task \"Open the gate?\"\n\t\tanswer \"No\"\n\t\t\tadd 1 to \"Counter 1\"\n\t\tanswer \"Yes\"\n\t\t\toff open Door\n")
	k.press("Undo")
	k.press("Undo")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\task \"Open the gate?\"\n\t\tanswer \"Yes\"\n\t\t\topen Door\n\t\tanswer \"No\"\n\t\t\tadd 1 to \"Counter 1\"\n")

	// and dragged: the step of one answer into the other
	k.drag(left, k.middle("[data-line='5'] [aria-label='Move or change this line']"), k.middle("[data-line='2'] [aria-label='Move or change this line']"), k.middle("[data-line='2'] [aria-label='Move or change this line']"))
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\task \"Open the gate?\"\n\t\tanswer \"Yes\"\n\t\t\topen Door\n\t\t\tadd 1 to \"Counter 1\"\n\t\tanswer \"No\"\n")
	k.press("Undo")

	k.pressIn("nav button", "Map")
	k.see("aside[aria-label=Stack]", "Ground")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.toColumn(6)
	k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "Open the gate?")
	k.see("[data-testid=line] [aria-current=true]", "Yes")
	k.keys(input.ArrowDown)
	k.see("[data-testid=line] [aria-current=true]", "No")
	k.keys(input.KeyE)
	k.gone("[data-testid=line]")
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "Open the gate?")
	k.pressIn("[data-testid=line] button", "Yes")
	k.gone("[data-testid=line]")
	// the door stands open
	k.press("Freeze")
	k.see("[data-testid=playing]", "Frozen")
	k.move(k.at(10, 2))
	k.see("#status", "open")
}

// The same rule as text: what can be read is the rule at once, parts that stay keep their ids; what cannot is kept, also over
// a reload, and told where it stands.
func TestRuleAsText(t *testing.T) {
	r := world(t)
	c := rules.Of(rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door))
	r.author(author.AddRule(r.doc(), c))
	k := r.open()
	k.pressIn("nav button", "Rules")
	k.pressIn("[data-testid=rule] button", "Write it as text")
	k.textEnd()
	k.keys(input.Enter)
	k.types("set Lit")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\topen Door\n\tset Lit\n")
	k.see("[data-testid=rule] [data-lines]", "Lit")
	k.stored(rulesAre(func(r *document.Rule) error {
		if p := r.In(document.SlotThen)[0]; p.ID != c.In(document.SlotThen)[0].ID {
			return fmt.Errorf("the step that stays has another id")
		}
		return nil
	}))
	k.keys(input.Enter)
	k.types("opn Door")
	k.see("[data-testid=rule-text]", "did you mean “open”?")
	k.see("[data-testid=rule-text]", "Kept as a draft")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\topen Door\n\tset Lit\n")
	k.reload()
	k.pressIn("nav button", "Rules")
	k.see("[data-testid=rule-text]", "Kept as a draft")
	within(t, soon, func() error { return contains(k.inText(`return at.innerText`), "opn Door") })
	k.textEnd()
	for range len("opn Door") {
		k.keys(input.Backspace)
	}
	// what comes next is offered, and taken by Enter
	k.types("send out bel")
	k.keys(input.Escape)
	k.types("l")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\topen Door\n\tset Lit\n\tsend out bell\n")
	k.gone("[data-testid=rule-text] li")
	k.keys(input.Enter)
	k.types("fl")
	k.inText(`const first = at.getRootNode().querySelector(".cm-tooltip-autocomplete li"); if (!first?.textContent.includes("flip something")) return ""; first.dispatchEvent(new MouseEvent("mousedown", { bubbles: true })); return "taken"`)
	k.types("Door")
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\topen Door\n\tset Lit\n\tsend out bell\n\tflip Door\n")
	// what somebody changes by the card is seen in the text
	k.ruleWord("flip", "shut a door")
	within(t, soon, func() error { return contains(k.inText(`return at.innerText`), "shut Door") })
	// also of somebody else's, under one's hands, and one's hands stay where they are
	k.textEnd()
	id := r.doc().RulesInOrder()[0].ID
	r.author(author.ChangeRule(r.doc(), rules.Wish{Rule: id, Word: rules.WordWait}))
	within(t, soon, func() error { return contains(k.inText(`return at.innerText`), "wait 1 s") })
	if got := k.inText(`return String(at.getRootNode().activeElement === at)`); got != "true" {
		t.Error("the text is left")
	}
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\topen Door\n\tset Lit\n\tsend out bell\n\tshut Door\n\twait 1 s\n")
	// what was just typed outlives the page
	k.textEnd()
	k.types("zz")
	k.reload()
	k.pressIn("nav button", "Rules")
	within(t, soon, func() error { return contains(k.inText(`return at.innerText`), "wait 1 s\nzz") })
	k.see("[data-testid=rule-text]", "Line 9")
	k.press("Throw the draft away")
	k.gone("[data-testid=rule-text] li")
}

// Copies of a kind share one rule, which the cards name “any” and “it”.
func TestRuleOfAKindByCards(t *testing.T) {
	r := world(t)
	k := r.open()
	k.pressIn("nav button", "Rules")
	k.pressIn("section:nth-of-type(1) button", "New rule")
	k.ruleWord("begins", "is turned on")
	k.ruleWord("Switch", "any Switch")
	k.ruleWord("do nothing yet", "hide something")
	k.pressNth("[data-testid=rule] [data-line='1'] button", 1)
	k.pressIn("[role=option]", "what woke the rule")
	k.ruleIs("when\n\tany Switch is turned on\nthen\n\thide it\n")
	// an item is a word that is typed, and no line of what is said
	k.ruleWord("Then", "give the hero an item")
	k.pressIn("[data-testid=rule] button", "coin")
	k.fill("[data-testid=rule] input", "wax")
	k.ruleIs("when\n\tany Switch is turned on\nthen\n\thide it\n\tgive the hero 1 wax\n")
}

// What somebody else changes of a rule while one writes its text stays, and is seen in the text once that is stored.
func TestTwoWriteOneRule(t *testing.T) {
	r := world(t)
	c := rules.Of(rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door))
	id := r.author(author.AddRule(r.doc(), c))
	k := r.open()
	k.pressIn("nav button", "Rules")
	k.pressIn("[data-testid=rule] button", "Write it as text")
	k.textEnd()
	k.keys(input.Enter)
	k.types("set Lit")
	r.author(author.ChangeRule(r.doc(), rules.Wish{Rule: id, Part: c.In(document.SlotThen)[0].ID, Word: rules.WordShut}))
	k.ruleIs("when\n\tthe hero uses Switch\nthen\n\tshut Door\n\tset Lit\n")
	within(t, soon, func() error { return contains(k.inText(`return at.innerText`), "shut Door\n\tset Lit") })
}
