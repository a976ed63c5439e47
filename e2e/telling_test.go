package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A rule made in words waits, and sends the hero elsewhere, only while it has what is asked for.
func TestARuleWaitsAndSendsTheHero(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: kind.Key, Name: "Brass key", X: 48, Y: 32, Values: []kind.Value{{Key: "opens", Value: `"brass"`}}})
	landing := r.place(document.Entity{Kind: kind.Arrival, Name: "Landing", X: 128, Y: 128})
	k := r.open()
	k.pressIn("aside [role=tab]", "Rules")
	k.press("New rule on Quay")
	k.ruleWord("arrives on", "takes a collectible")
	k.stored(rulesAre(func(r *document.Rule) error { return want("the parts", fmt.Sprint(r.Parts.Len()), "1") }))
	named := k.eval(`() => [...document.querySelectorAll("[data-testid=rule] [data-lines] button")].map((b) => b.textContent.trim()).filter((t) => !["takes", "do nothing yet", "each time", ""].includes(t))[0]`)
	if named != "Brass key" {
		k.ruleWord(named, "Brass key")
	}
	k.ruleWord("If", "has an item")
	k.ruleWord("do nothing yet", "wait some seconds")
	k.ruleWord("Then", "send the hero somewhere")
	k.see("[data-testid=rule]", "brass")
	sent := k.eval(`() => [...document.querySelectorAll("[data-testid=rule] [data-lines] button")].map((b) => b.textContent.trim()).filter(Boolean).at(-1)`)
	if sent != "Landing" {
		k.ruleWord(sent, "Landing")
	}
	k.stored(rulesAre(func(r *document.Rule) error {
		then := r.In(document.SlotThen)
		if len(then) != 2 || then[0].Word != rules.WordWait || then[0].Blank("number") != "1" || then[1].Word != rules.WordSend || len(r.In(document.SlotIf)) != 1 {
			return fmt.Errorf("the rule is %+v", r.InOrder())
		}
		if o, _ := document.Named(then[1].Blank("what")); o.ID != landing || o.Map != sample.Quay {
			return fmt.Errorf("it sends to %+v", o)
		}
		return nil
	}))
	k.focusMap()
	k.keys(input.KeyP)
	k.walk(input.ArrowRight, func() error { return at(k, func(x, y int) bool { return x >= 46 }) }) // and is at the key
	within(t, soon, func() error {
		x, y := k.hero()
		return want("where the hero comes", fmt.Sprint((x+4)/16, (y+4)/16), "8 8")
	})
	k.keys(input.KeyP)
	k.same()
}
