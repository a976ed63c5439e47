package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A chest whose rule was ready made is copied, and its rule with it: in play each gives what is in it, once.
func TestAChestIsCopiedWithItsRules(t *testing.T) {
	r := world(t)
	r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "chestchestch"}, document.Entity{ID: "chestchestch", Layer: sample.Entities, Kind: kind.Container, Name: "Chest",
		Facing: document.Down, X: 32, Y: 16, W: 16, H: 16, Rank: 40}))
	stop := &grid.Region{} // the hero is stopped below the other chest, however long the key is held
	stop.AddRect(grid.Rect{X: 5, Y: 2, W: 1, H: 2})
	r.append(sample.Paint(sample.Quay, sample.Things, stop, sample.Wall))
	k := r.open()
	k.grantClipboard()
	k.clickWith(k.at(2, 1), right)
	k.pressIn("[role=menuitem]", "Ready-made: A chest that gives something")
	k.gone("[role=menu]")
	k.click(k.at(2, 1))
	k.with(input.ControlLeft, input.KeyC)
	k.notice("1 entity copied")
	k.focusMap()
	k.move(k.at(4, 1))
	k.with(input.ControlLeft, input.KeyV)
	var copied document.ID
	k.stored(func(d *document.Document) error {
		named := map[document.ID]bool{}
		for _, rule := range d.RulesInOrder() {
			for _, p := range rule.In(document.SlotWhen) {
				o, _ := document.Named(p.Blank("what"))
				named[o.ID] = true
			}
		}
		for _, e := range entities(d, sample.Quay, kind.Container) {
			if e.ID != "chestchestch" {
				copied = e.ID
			}
			if !named[e.ID] {
				return fmt.Errorf("no rule waits for %s at %d,%d", e.Name, e.X, e.Y)
			}
		}
		if copied == "" {
			return fmt.Errorf("there is no other chest")
		}
		return nil
	})
	k.focusMap()
	k.keys(input.Escape, input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	opens := func(coins string) {
		t.Helper()
		k.walk(input.KeyW, func() error { return contains(k.eval(`() => azzel.hero()`), "up") })
		k.keys(input.KeyE)
		k.see("[data-testid=line]", "Three coins!")
		k.keys(input.KeyE)
		k.gone("[data-testid=line]")
		k.see("[data-testid=slots]", coins)
	}
	opens("3")
	k.walk(input.KeyD, func() error {
		if x, _ := k.hero(); x < 63 {
			return fmt.Errorf("it is at %v", x)
		}
		return nil
	})
	opens("6")
	k.keys(input.KeyE)
	k.gone("[data-testid=line]")
}

// A motif of a chest brings its rule along each time it is put down, and one undo takes both away.
func TestAMotifBringsItsRules(t *testing.T) {
	r := world(t)
	r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "chestchestch"}, document.Entity{ID: "chestchestch", Layer: sample.Entities, Kind: kind.Container, Name: "Chest",
		Facing: document.Down, X: 32, Y: 16, W: 16, H: 16, Rank: 40}))
	k := r.open()
	k.clickWith(k.at(2, 1), right)
	k.pressIn("[role=menuitem]", "Ready-made: A chest that gives something")
	k.gone("[role=menu]")
	k.press("Motifs")
	k.press("Select cells on the map")
	k.drag(left, k.at(2, 1), k.at(3, 2))
	k.press("Keep the selection as a motif")
	k.notice("Motif 1 is in the cabinet")
	k.press("drop the selection")
	k.press("Hold motif Motif 1")
	k.keys(input.KeyH)
	chests := func(n int) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			named := map[document.ID]int{}
			for _, rule := range d.RulesInOrder() {
				for _, p := range rule.In(document.SlotWhen) {
					o, _ := document.Named(p.Blank("what"))
					named[o.ID]++
				}
			}
			all := entities(d, sample.Quay, kind.Container)
			for _, e := range all {
				if named[e.ID] != 1 {
					return fmt.Errorf("%d rules wait for %s", named[e.ID], e.Name)
				}
			}
			return want("the chests", fmt.Sprint(len(all)), fmt.Sprint(n))
		})
	}
	k.click(k.at(6, 4))
	chests(2)
	k.click(k.at(9, 4))
	chests(3)
	k.with(input.ControlLeft, input.KeyZ)
	chests(2)
	k.same()
}
