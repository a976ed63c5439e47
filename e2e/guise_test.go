package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A character of two guises: the other one gets a name, a look and words under Details, an arrow joins the two, whose rule
// is changed by its card; in play it looks and speaks so once that is so, and the diagram shows in which it is.
func TestACharacterOfTwoGuises(t *testing.T) {
	r := world(t)
	r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "keeperkeeper"}, document.Entity{ID: "keeperkeeper", Layer: sample.Entities, Kind: kind.Character, Name: "Keeper",
		Facing: document.Down, X: 32, Y: 16, W: 16, H: 16, Rank: 40, Values: []kind.Value{{Key: "says", Value: kind.Of("So dark.")}}}))
	k := r.open()
	k.holdTile(5)
	k.click(k.at(9, 8)) // what was put down last is offered as a look
	k.focusMap()
	k.keys(input.Escape)
	k.click(k.at(2, 1))
	k.see("[data-testid=details] input", "Keeper")
	k.pressIn("[data-testid=details] summary", "Guises")
	k.press("Add a guise")
	k.write("[aria-label='Name of the guise']", "Glad")
	k.keys(input.Enter)
	k.write("[aria-label='What Glad says']", "Light at last!")
	k.keys(input.Enter)
	k.press("Glad looks like the tile held last")
	k.press("Join")
	k.see("[data-testid=rule]", "Glad")
	k.see("[aria-label='Ways between the guises']", "if Lit is set")
	k.ruleIs("when\n\tKeeper turns from \"as it is now\" to Glad\nif\n\tLit is set\nthen\n")
	k.ruleWord("is set", "has been on a map")
	k.ruleIs("when\n\tKeeper turns from \"as it is now\" to Glad\nif\n\tthe hero has been on Quay\nthen\n")
	k.press("Undo")
	k.ruleWord("do nothing besides", "set a flag")
	k.ruleIs("when\n\tKeeper turns from \"as it is now\" to Glad\nif\n\tLit is set\nthen\n\tset Lit\n")
	k.stored(func(d *document.Document) error {
		e := d.Entity(sample.Quay, "keeperkeeper")
		if len(e.Guises) != 1 || e.Guises[0].Name != "Glad" || e.Guises[0].Says != "Light at last!" || e.Guises[0].Look == 0 {
			return fmt.Errorf("the guises are %+v", e.Guises)
		}
		return nil
	})

	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "So dark.")
	k.keys(input.KeyE)
	k.gone("[data-testid=line]")
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")
	// as it is from the beginning with the flag
	k.pressIn("aside [role=tab]", "Pins")
	k.press("Begin a game…")
	k.pressIn("[data-testid=begin] label", "Lit")
	k.pressIn("[data-testid=begin] button", "Begin")
	k.see("[data-testid=playing]", "Playing Quay")
	k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "Light at last!")
	k.showsTile(2, 1, 5)
	k.keys(input.KeyP)
	k.same()
}

// What a kind of one's own gets as guises is had by each of it: made in the station, seen under Details, gone over to by a
// rule of the kind, and spoken in play.
func TestGuisesOfAKind(t *testing.T) {
	r := world(t)
	own := document.Kind{ID: "keeperskeepe", Of: kind.Character, Name: "Watchman", Order: 10, Tags: []string{}, Layers: []string{}, Settings: []kind.Setting{}}
	r.append(edit.Insert(edit.Ref{Type: edit.TypeKind, ID: own.ID}, own),
		edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "keeperkeeper"}, document.Entity{ID: "keeperkeeper", Layer: sample.Entities, Kind: string(own.ID), Name: "Keeper",
			Facing: document.Down, X: 32, Y: 16, W: 16, H: 16, Rank: 40, Values: []kind.Value{{Key: "says", Value: kind.Of("So dark.")}}}))
	k := r.open()
	k.pressIn("nav button", "Kinds")
	k.pressIn("aside button", "Watchman")
	k.pressIn("[aria-label='Guises of all of it'] button", "Add a guise")
	k.write("[aria-label='Name of the guise']", "Asleep")
	k.keys(input.Enter)
	k.write("[aria-label='What Asleep says']", "Zzz.")
	k.keys(input.Enter)
	k.stored(func(d *document.Document) error {
		if all := d.Kinds.Get(own.ID).Guises; len(all) != 1 || all[0].Name != "Asleep" || all[0].Says != "Zzz." || all[0].Number < kind.KindGuises {
			return fmt.Errorf("the guises are %+v", all)
		}
		return nil
	})
	k.pressIn("[aria-label='Guises of all of it'] button", "Join")
	k.ruleIs("when\n\tany Watchman turns from \"as it is now\" to Asleep\nif\n\tLit is set\nthen\n")
	k.ruleWord("is set", "a flag is not set")
	k.pressIn("nav button", "Map")
	k.focusMap()
	k.click(k.at(2, 1))
	k.see("[data-testid=details] input", "Keeper")
	k.pressIn("[data-testid=details] summary", "Guises (2)")
	k.see("[data-testid=guises]", "of all Watchman")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
	k.keys(input.KeyE)
	k.see("[data-testid=line]", "Zzz.")
	k.keys(input.KeyP)
	k.same()
}
