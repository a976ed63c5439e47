package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"fmt"
	"os"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What is wielded wherever one stands plays a sound of one's own, chosen by its name, and is covered until it is ready again; so is
// a hero's blow that waits.
func TestAnAbilityWaitsUntilItIsReady(t *testing.T) {
	r := world(t)
	data, err := os.ReadFile("../server/testdata/bell.wav")
	must(t, err)
	sha, err := r.store.SaveSound(t.Context(), data, "wav", 200)
	must(t, err)
	r.append(edit.Insert(edit.Ref{Type: edit.TypeSound, ID: "gonggonggong"}, document.Sound{ID: "gonggonggong", Name: "Gong", File: sha, Form: "wav", Lasts: 200, Loud: 100}),
		edit.Insert(edit.Ref{Type: edit.TypeSound, ID: "hornhornhorn"}, document.Sound{ID: "hornhornhorn", Name: "Horn", File: sha, Form: "wav", Lasts: 200, Loud: 100}))
	r.place(document.Entity{Kind: kind.Item, Name: "Horn", X: 48, Y: 32, Facing: document.Down, Values: []kind.Value{{Key: "is", Value: `"horn"`}, {Key: "readyAfter", Value: "600000"}}})
	k := r.open()
	k.focusMap()
	k.pressIn("aside [role=tab]", "Rules")
	k.press("New rule on Quay")
	k.ruleWord("arrives on", "uses an item where it stands")
	k.ruleWord("do nothing yet", "play a sound of yours")
	k.see("[data-testid=rule]", "Gong")
	k.ruleWord("Gong", "Horn")
	k.stored(rulesAre(func(r *document.Rule) error {
		when, then := r.In(document.SlotWhen)[0], r.In(document.SlotThen)
		if len(then) != 1 {
			return fmt.Errorf("the rule does %+v", then)
		}
		o, _ := document.Named(then[0].Blank("own"))
		return want("the rule", string(when.Blank("item"))+" "+then[0].Word+" "+string(o.ID), `"horn" `+rules.WordPlays+" hornhornhorn")
	}))
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.toColumn(3)
	k.keys(input.Digit1)
	k.see("[data-testid=slots] [aria-pressed=true]", "horn")
	k.gone("[data-testid=waits]")
	k.keys(input.KeyE)
	within(t, soon, func() error {
		return contains(k.eval(`() => azzelSounds.join()`), "rule: Horn")
	})
	k.see("[data-testid=slots] [aria-pressed=true]", "not ready yet")
	k.accessible("an ability that waits")
	k.keys(input.KeyP)
	k.same()
}
