package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// What is read is said in another language in the list, where it is told whether there is room for it; in the game one
// reads in that at a key, also in the next game. Written otherwise in the list it is so on the map, and what it was in the
// other language is to be looked at.
func TestTextsInTwoLanguages(t *testing.T) {
	r := world(t)
	r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "keeperkeeper"}, document.Entity{ID: "keeperkeeper", Layer: sample.Entities, Kind: kind.Character, Name: "Keeper",
		Facing: document.Down, X: 32, Y: 16, W: 16, H: 16, Rank: 40, Values: []kind.Value{{Key: "says", Value: kind.Of("So dark.")}}}))
	k := r.open()
	k.press("Rules")
	k.pressIn("[role=tab]", "Texts and languages")
	k.see("[data-testid=texts] textarea", "So dark.")
	k.write("[aria-label='Short name of a language']", "Klingon")
	k.keys(input.Enter)
	k.notice("is no language")
	k.write("[aria-label='Short name of a language']", "de")
	k.keys(input.Enter)
	k.see("[data-testid=texts] th", "English")
	k.see("[data-testid=texts] thead", "German")
	// in which language they are written can be said as well
	k.write("[aria-label='Short name of a language']", "fr")
	k.press("Texts are written in it")
	k.see("[data-testid=texts] thead", "French")
	k.stored(func(d *document.Document) error {
		if d.Project.Language != "fr" || fmt.Sprint(d.Project.Languages) != "[de]" {
			return fmt.Errorf("written in %q, said in %v", d.Project.Language, d.Project.Languages)
		}
		return nil
	})
	k.press("Undo")
	k.see("[data-testid=texts] thead", "English")
	in := "[aria-label='“So dark.” in German']"
	k.write(in, strings.Repeat("So dunkel ist es hier nie gewesen ", 5))
	k.see("[data-testid=texts]", "goes on with another page by itself")
	k.write(in, "So dunkel.")
	k.keys(input.Tab)
	k.write("[aria-label='“Keeper” in German']", "Wächter")
	k.keys(input.Tab)
	k.stored(func(d *document.Document) error {
		if d.Says("de", "So dark.") != "So dunkel." || d.Says("de", "Keeper") != "Wächter" {
			return fmt.Errorf("in German it is %q, said by %q", d.Says("de", "So dark."), d.Says("de", "Keeper"))
		}
		return nil
	})

	k.press("Map")
	speaks := func() {
		k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
		k.keys(input.KeyE)
	}
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=language]", "en")
	k.keys(input.KeyL)
	k.see("[data-testid=language]", "de")
	speaks()
	k.see("[data-testid=line]", "So dunkel.")
	k.see("[data-testid=speaker]", "Wächter")
	k.keys(input.KeyE, input.KeyP)
	k.gone("[data-testid=playing]")
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=language]", "de")
	k.keys(input.KeyP)
	k.gone("[data-testid=playing]")

	k.press("Rules")
	k.write("[data-testid=texts] textarea", "So very dark.")
	k.keys(input.Tab)
	k.see("[data-testid=texts]", "changed since")
	k.stored(func(d *document.Document) error {
		if is := d.Value(d.Entity(sample.Quay, "keeperkeeper"), "says").Word(); is != "So very dark." {
			return fmt.Errorf("on the map it says %q", is)
		}
		return nil
	})
	k.press("changed since: it is right so")
	k.stored(func(d *document.Document) error {
		if w := d.Wording("de", "So very dark."); w == nil || w.Unsure || w.Says != "So dunkel." {
			return fmt.Errorf("in German it is %+v", w)
		}
		return nil
	})
}

// Who speaks is listed with the rules, called otherwise there, and gone to.
func TestCharactersAreListed(t *testing.T) {
	r := world(t)
	id := r.place(document.Entity{Kind: kind.Character, Name: "Keeper", X: 64, Y: 64, Values: []kind.Value{{Key: "says", Value: `"Mind the tide."`}}})
	k := r.open()
	k.pressIn("nav button", "Rules")
	k.see("section[aria-label=Characters]", "1 line")
	k.fill("[aria-label='Name of the character']", "Lamp keeper")
	k.stored(func(d *document.Document) error {
		if e := d.Entity(sample.Quay, id); e == nil || e.Name != "Lamp keeper" {
			return fmt.Errorf("it is %+v", e)
		}
		return nil
	})
	k.pressIn("[aria-label='Show Lamp keeper on Quay']", "")
	k.see("aside", "Mind the tide.")
}
