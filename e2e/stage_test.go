package e2e

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"strconv"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// stage is a number that the stage of the Kinds station tells.
func (k *tab) stage(attribute string) int {
	k.Helper()
	n, err := strconv.Atoi(k.attribute("[data-testid=stage]", attribute))
	must(k.T, err)
	return n
}

// speedIs asks for the speed of the one kind that there is.
func speedIs(want kind.Datum) func(d *document.Document) error {
	return func(d *document.Document) error {
		all := d.Kinds.All()
		if len(all) != 1 || d.Kind(all[0].ID).Setting("speed").Default != want {
			return fmt.Errorf("the kinds are %+v", all)
		}
		return nil
	}
}

// A kind acts in the Kinds station while its numbers are dragged, by mouse and by keys; the hero is there
// to try it, and a drag is one edit.
func TestAKindActsWhileItIsTuned(t *testing.T) {
	r := world(t)
	r.author(author.AddKind(r.doc(), kind.Walker, "Crab"))
	k := r.open()
	k.pressIn("nav button", "Kinds")
	k.pressIn("[aria-label='Your own'] button", "Crab")
	k.see("[aria-label='Seeing']", "sight")
	within(t, soon, func() error {
		if k.stage("data-tick") < 20 {
			return fmt.Errorf("the stage stands still")
		}
		return nil
	})
	_, before := r.state()
	at := k.box("[aria-label='Drag speed']")
	from := proto.NewPoint(at.X+at.Width/2, at.Y+at.Height/2)
	k.drag(left, from, from.Add(proto.NewPoint(4, 0)), from.Add(proto.NewPoint(9, 0)), from.Add(proto.NewPoint(12, 0)))
	k.stored(speedIs("7"))
	if _, after := r.state(); after != before+1 {
		t.Errorf("a drag made %d edits", after-before)
	}
	must(t, k.find("[aria-label='Drag speed']", "").Focus())
	k.keys(input.ArrowLeft)
	k.stored(speedIs("6"))
	// what does nothing as the others are goes away, and comes back
	k.fill("[aria-label='Default of sight']", "0")
	k.gone("[aria-label='Default of seeing']")
	k.press("Show 1 that does nothing")
	k.see("[aria-label='Seeing']", "seeing")
	// the hero is led by keys and by the pointer
	must(t, k.find("[data-testid=stage]", "").Focus())
	was := k.stage("data-hero")
	k.walk(input.ArrowRight, func() error {
		if k.stage("data-hero") < was+4 {
			return fmt.Errorf("the hero did not move")
		}
		return nil
	})
	k.press("Freeze")
	tick := k.stage("data-tick")
	k.press("From the side")
	k.see("[role=radio][aria-checked=true]", "From the side")
	k.press("Go on")
	k.press("Again")
	within(t, soon, func() error {
		if now := k.stage("data-tick"); now == 0 || now > tick+600 {
			return fmt.Errorf("the stage is at tick %d", now)
		}
		return nil
	})
	// a ready-made one begins with numbers of its own
	k.write("[aria-label='Search kinds']", "walking")
	k.pressIn("[aria-label=Beings] button", "Walking enemy")
	k.press("Ready-made…")
	k.pressIn("[role=menuitem]", "Guard")
	k.see("[aria-label='Your own']", "Guard")
	k.stored(func(d *document.Document) error {
		for _, own := range d.Kinds.All() {
			if own.Name == "Guard" && d.Kind(own.ID).Setting("seeing").Default == `"follows"` {
				return nil
			}
		}
		return fmt.Errorf("there is no guard")
	})
	k.pressIn("nav button", "Map")
	k.gone("[data-testid=stage]")
	k.same()
}

// Wires are made by pointing and by keys, do what is chosen, join each other, and are listed, shown and removed in Details.
func TestSeveralSwitchesAreWiredToOneDoor(t *testing.T) {
	r := world(t)
	lever := document.End{Map: sample.Quay, Entity: r.place(document.Entity{Kind: kind.Switch, Name: "Lever", X: 64, Y: 96, Facing: document.Down})}
	first, door := document.End{Map: sample.Quay, Entity: sample.Switch}, document.End{Map: sample.Quay, Entity: sample.Door}
	k := r.open()
	wires := func(want ...author.Drawn) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			all := author.Wires(d)
			for i := range all {
				all[i].Rule, all[i].Says = "", ""
			}
			if fmt.Sprint(all) != fmt.Sprint(want) {
				return fmt.Errorf("the wires are %v", all)
			}
			return nil
		})
	}
	k.click(k.at(6, 1))
	k.press("Wire it…")
	k.see("[data-testid=hand]", "Point at")
	k.click(k.at(10, 2))
	k.press("opens Door while Switch is on")
	wires(author.Drawn{From: first, To: door, Word: rules.WordOpen, How: author.WireWhile})
	// the second joins the first, by keys alone
	k.focusMap()
	k.keys(input.Escape)
	k.click(k.at(4, 6))
	must(t, k.find("[data-testid=details] button", "Wire it…").Focus())
	k.keys(input.Enter)
	k.see("[data-testid=hand]", "Point at")
	k.move(k.at(10, 2)) // the cell cursor begins where the pointer was
	k.click(k.at(10, 2))
	k.see("[data-testid=wire-menu]", "while all of Switch, Lever are on")
	k.keys(input.ArrowDown, input.Enter)
	k.notice("while all of Switch, Lever are on")
	wires(author.Drawn{From: first, To: door, Word: rules.WordOpen, How: author.WireAll}, author.Drawn{From: lever, To: door, Word: rules.WordOpen, How: author.WireAll})
	k.see("[aria-label=Wires]", "opens while all are on Door")
	k.click(k.at(10, 2))
	k.see("[aria-label=Wires]", "Lever opens while all are on this")
	k.pressIn("[aria-label=Wires] button", "Remove the wire: Lever opens while all are on this")
	wires(author.Drawn{From: first, To: door, Word: rules.WordOpen, How: author.WireWhile})
	k.pressIn("[aria-label=Wires] button", "Remove the wire: Switch opens while on this")
	wires()
	k.keys(input.Escape)
	// a wire that was refused leaves nothing open
	k.focusMap()
	k.click(k.at(6, 1))
	k.press("Wire it…")
	k.click(k.at(6, 1))
	k.notice("could do nothing")
	k.gone("[data-testid=wire-menu]")
	k.same()
}
