package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
)

// option sets a select to the option with a value.
func (k *tab) option(selector, value string) {
	k.Helper()
	k.find(selector, "")
	k.eval(`(s, v) => {
		const e = [...document.querySelectorAll(s)].find((e) => e.getClientRects().length)
		e.value = ([...e.options ?? []].find((o) => o.text === v) ?? { value: v }).value
		e.dispatchEvent(new Event('change', { bubbles: true }))
	}`, selector, value)
}

// label replaces what is in the field that a label stands at, and leaves it.
func (k *tab) label(begins, text string) {
	k.Helper()
	e, err := k.page.ElementByJS(rod.Eval(`(l) => [...document.querySelectorAll('label')].find((e) => e.innerText.trim().startsWith(l))?.querySelector('input')`, begins))
	must(k.T, err)
	must(k.T, e.SelectAllText())
	must(k.T, e.Input(text))
	k.keys(input.Tab)
}

// fill replaces what is in a field and leaves it.
func (k *tab) fill(selector, text string) {
	k.Helper()
	k.write(selector, text)
	k.keys(input.Tab)
}

func TestOwnKindFromABuiltInOne(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Kinds")
	k.see("[aria-label=Ways]", "Spawn")
	k.write("[aria-label='Search kinds']", "walking")
	k.gone("[aria-label=Ways]")
	k.pressIn("[aria-label=Beings] button", "Walking enemy")
	k.see("section", "How far it goes to either side")
	k.press("Make one of your own from it")
	k.see("[aria-label='Your own']", "Walking enemy 2")
	k.fill("[aria-label='Name of the kind']", "Shore crab")
	k.stored(func(d *document.Document) error {
		all := d.Kinds.All()
		if len(all) != 1 || all[0].Name != "Shore crab" || all[0].Of != "walker" {
			return fmt.Errorf("the kinds are %+v", all)
		}
		return nil
	})
	// a default of its own, out of range and in it
	k.fill("[aria-label='Default of speed']", "999")
	k.notice("Speed is 0 to 50")
	k.fill("[aria-label='Default of speed']", "1.5")
	k.press("Add a setting")
	k.fill("[aria-label='Name of setting 8']", "pinches")
	k.option("[aria-label='Type of pinches']", "yes/no")
	k.fill("[aria-label='Name of the kind']", "")
	k.notice("cannot be empty")
	k.stored(func(d *document.Document) error {
		one := d.Kind(d.Kinds.All()[0].ID)
		if s := kind.Keyed(one.Settings, "Setting 8"); s == nil || s.Name != "pinches" || s.Type != kind.YesNo || one.Setting("speed").Default != "1.5" || one.Name != "Shore crab" {
			return fmt.Errorf("the kind is %+v", one)
		}
		return nil
	})
	// pinned it is first everywhere, and held it goes down on the map
	k.pressIn("button", "Pin Shore crab")
	k.see("[aria-label=Pinned]", "Shore crab")
	k.press("Hold it on the map")
	k.see("[data-testid=hand]", "shore crab")
	k.click(k.at(5, 6))
	k.click(k.at(8, 6))
	k.keys(input.Escape)
	k.pressIn("aside [role=tab]", "Kinds")
	k.see("[aria-label='Kinds: Pinned']", "Shore crab")
	k.click(k.at(5, 6))
	k.see("[data-testid=details]", "Shore crab")
	k.see("[data-testid=details]", "pinches")
	k.saved()
	crab := string(k.rig.doc().Kinds.All()[0].ID)
	k.stored(boxIs(crab, 5, 6, 1, 1))
	// where it is used is told, and deleting it loses nothing
	k.pressIn("nav button", "Kinds")
	k.pressIn("[aria-label=Pinned] button", "Shore crab")
	k.see("[aria-label='Where it is used']", "Quay\n2")
	k.press("Delete")
	k.notice("became Walking enemy")
	k.stored(func(d *document.Document) error {
		if n := len(entities(d, sample.Quay, "walker")); n != 2 || d.Kinds.Len() != 0 {
			return fmt.Errorf("%d walkers, %d kinds", n, d.Kinds.Len())
		}
		return nil
	})
	k.pressIn("[data-testid=notice] button", "Undo")
	k.stored(boxIs(crab, 8, 6, 1, 1))
	k.same()
}

func TestAKindIsLimitedAndLarger(t *testing.T) {
	k := world(t).open()
	k.pressIn("nav button", "Kinds")
	k.press("A kind from nothing")
	k.fill("[aria-label='Name of the kind']", "Crane")
	k.label("width", "32")
	k.label("height", "48")
	k.label("at most on a map", "2")
	k.stored(func(d *document.Document) error {
		if o := d.Kind(d.Kinds.All()[0].ID); o.W != 32 || o.H != 48 || o.MapMost != 2 {
			return fmt.Errorf("the crane is %+v", o)
		}
		return nil
	})
	k.press("Hold it on the map")
	k.click(k.at(5, 6))
	k.click(k.at(9, 6))
	k.stored(func(d *document.Document) error {
		for _, e := range entities(d, sample.Quay, string(d.Kinds.All()[0].ID)) {
			// its lower middle stands on the lower middle of the cell
			if e.X == 72 && e.Y == 64 && e.W == 32 && e.H == 48 {
				return nil
			}
		}
		return fmt.Errorf("no crane stands over cell 5, 6")
	})
	k.click(k.at(13, 6))
	k.see("[data-testid=ghost]", "at most 2 of Crane")
	k.saved()
	if n := len(entities(k.rig.doc(), sample.Quay, string(k.rig.doc().Kinds.All()[0].ID))); n != 2 {
		t.Errorf("%d cranes stand", n)
	}
}

// A kind is set up beside the map, and what stands there changes with it.
func TestKindBesideTheMap(t *testing.T) {
	r := world(t)
	k := r.open()
	k.pressIn("aside [role=tab]", "Kinds")
	k.press("Set up kind Light")
	k.see("[data-testid=kind-beside]", "Built in")
	k.press("Make one of your own from it")
	k.fill("[data-testid=kind-beside] [aria-label='Name of the kind']", "Lantern")
	k.see("aside[aria-label=Cabinet]", "Lantern")
	k.fill("[data-testid=kind-beside] [aria-label='Default of radius']", "2")
	k.stored(func(d *document.Document) error {
		if all := d.Kinds.All(); len(all) != 1 || all[0].Name != "Lantern" || d.Kind(all[0].ID).Setting("radius").Default != "2" {
			return fmt.Errorf("the kinds are %+v", all)
		}
		return nil
	})
	// Escape closes it, and the map was never left
	k.focusMap()
	k.keys(input.Escape)
	k.gone("[data-testid=kind-beside]")
	k.holdKind("Lantern")
	k.click(k.at(6, 6))
	k.keys(input.Escape)
	k.click(k.at(6, 6))
	k.see("[data-testid=details] [aria-label=radius]", "2")
	k.same()
}
