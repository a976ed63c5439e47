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
	"github.com/go-rod/rod/lib/proto"
)

// place stores an entity on the Quay.
func (r *rig) place(e document.Entity) document.ID {
	r.t.Helper()
	e.ID, e.Layer = document.NewID(), sample.Entities
	if e.Facing == "" {
		e.Facing = document.Right
	}
	e.W, e.H = max(16, e.W), max(16, e.H)
	r.append(edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	return e.ID
}

// offset is a point so many screen pixels from another.
func offset(p proto.Point, dx, dy float64) proto.Point { return proto.NewPoint(p.X+dx, p.Y+dy) }

func value(d *document.Document, id document.ID, name string) string {
	e := d.Entity(sample.Quay, id)
	return d.Setting(e, name).Text(d.Value(e, name))
}

func TestDetailsOfMany(t *testing.T) {
	r := world(t)
	crab := r.place(document.Entity{Kind: "walker", Name: "Crab", X: 64, Y: 96, Values: []kind.Value{{Key: "speed", Value: "1"}}})
	gull := r.place(document.Entity{Kind: "flyer", Name: "Gull", X: 96, Y: 112, Facing: document.Up})
	k := r.open()
	k.drag(left, k.at(3, 5), k.at(8, 8))
	k.see("[data-testid=details]", "2 entities")
	// what differs says so
	k.see("[data-testid=details]", "differs")
	if got := k.attribute("[data-testid=details] [aria-label=speed]", "placeholder"); got != "differs" {
		t.Errorf("speed shows %q", got)
	}
	k.fill("[data-testid=details] [aria-label=speed]", "2.5")
	k.stored(func(d *document.Document) error {
		if a, b := value(d, crab, "speed"), value(d, gull, "speed"); a != "2.5" || b != "2.5" {
			return fmt.Errorf("they go at %s and %s", a, b)
		}
		return nil
	})
	k.fill("[data-testid=details] [aria-label=speed]", "quick")
	k.notice("Speed is a number")
	k.press("Put back speed")
	k.stored(func(d *document.Document) error {
		if len(d.Entity(sample.Quay, crab).Values) != 0 || value(d, crab, "speed") != "3" {
			return fmt.Errorf("crab has %v", d.Entity(sample.Quay, crab).Values)
		}
		return nil
	})
	k.pressIn("[role=radio]", "left")
	k.press("Align tops")
	k.stored(func(d *document.Document) error {
		a, b := d.Entity(sample.Quay, crab), d.Entity(sample.Quay, gull)
		if a.Y != 96 || b.Y != 96 || a.Facing != document.Left || b.Facing != document.Left {
			return fmt.Errorf("they stand at %d and %d, facing %s and %s", a.Y, b.Y, a.Facing, b.Facing)
		}
		return nil
	})
	// grouped they are selected together
	k.press("Group")
	k.stored(func(d *document.Document) error {
		if d.Entity(sample.Quay, crab).Group != "Group" || d.Entity(sample.Quay, gull).Group != "Group" {
			return fmt.Errorf("they are in no group")
		}
		return nil
	})
	k.focusMap()
	k.keys(input.Escape)
	k.gone("[data-testid=details]")
	k.click(k.at(4, 6))
	k.see("[data-testid=details]", "2 entities")
	k.fill("[aria-label='Name of the group']", "Beach")
	k.stored(func(d *document.Document) error {
		if g := d.Entity(sample.Quay, gull).Group; g != "Beach" {
			return fmt.Errorf("the group is called %q", g)
		}
		return nil
	})
	// one undo a step
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(func(d *document.Document) error {
		if g := d.Entity(sample.Quay, gull).Group; g != "Group" {
			return fmt.Errorf("the group is called %q", g)
		}
		return nil
	})
	k.same()
}

func TestHandles(t *testing.T) {
	r := world(t)
	crab := r.place(document.Entity{Kind: "walker", Name: "Crab", X: 128, Y: 96})
	path := r.place(document.Entity{Kind: "path", Name: "Way", X: 64, Y: 128, Points: []grid.Point{{X: 32}}})
	lift := r.place(document.Entity{Kind: "platform", Name: "Lift", X: 224, Y: 96, W: 32, Values: []kind.Value{{Key: "range", Value: "2"}}})
	k := r.open()
	is := func(what string, condition func(d *document.Document) bool) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			if !condition(d) {
				return fmt.Errorf("%s is not as it was dragged", what)
			}
			return nil
		})
	}
	scale := k.at(1, 0).X - k.at(0, 0).X
	// how far it goes to either side: the end at its right, four cells away
	k.click(k.at(8, 6))
	k.see("[data-testid=details] [aria-label=range]", "4")
	k.drag(left, k.at(12, 6), k.at(11, 6), k.at(10, 6))
	is("its range", func(d *document.Document) bool { return value(d, crab, "range") == "2" })
	// how far it sees: the ring, up right of its middle; Ctrl lets go of the steps
	k.drag(left, offset(k.at(8, 6), 5*0.7071*scale, -5*0.7071*scale), offset(k.at(8, 6), 3*scale, 0))
	is("its sight", func(d *document.Document) bool { return value(d, crab, "sight") == "3" })
	// where it looks
	k.drag(left, offset(k.at(8, 6), scale/2+16, 0), offset(k.at(8, 6), 0, -3*scale))
	is("its facing", func(d *document.Document) bool { return d.Entity(sample.Quay, crab).Facing == document.Up })
	// a platform's end and its size
	k.click(k.at(15, 6))
	k.drag(left, offset(k.at(16, 6), scale/2, 0), offset(k.at(18, 6), scale/2, 0))
	is("how far it goes", func(d *document.Document) bool { return value(d, lift, "range") == "4" })
	k.drag(left, offset(k.at(15, 6), scale/2, scale/2), offset(k.at(17, 7), scale/2, scale/2))
	is("its size", func(d *document.Document) bool {
		e := d.Entity(sample.Quay, lift)
		return e.W == 64 && e.H == 32 && e.X == 224 && e.Y == 96
	})
	// how much a collectible counts: the knob above it
	k.focusMap()
	k.keys(input.Escape)
	k.click(k.at(4, 2))
	k.see("[data-testid=details] input", "Pearl")
	knob := offset(k.at(4, 2), 0, -scale/2-14)
	k.drag(left, knob, offset(knob, 0, -scale), offset(knob, 0, -scale*1.5))
	is("its amount", func(d *document.Document) bool { return value(d, sample.Pearl, "amount") == "4" })
	// what it travels along with: the link at its lower left, dragged onto the lift
	link := offset(k.at(4, 2), -scale/2-10, scale/2+10)
	k.drag(left, link, k.at(10, 4), k.at(15, 6))
	is("what carries it", func(d *document.Document) bool { return d.Entity(sample.Quay, sample.Pearl).Carrier == lift })
	// a path: its point is moved, one is put between, and one behind the last; a secondary press takes it away
	k.focusMap()
	k.keys(input.Escape)
	k.click(k.at(4, 8))
	k.see("[data-testid=details] input", "Way")
	k.drag(left, k.at(6, 8), k.at(7, 9))
	is("its point", func(d *document.Document) bool {
		p := d.Entity(sample.Quay, path).Points
		return len(p) == 1 && p[0] == grid.Point{X: 48, Y: 16}
	})
	k.drag(left, offset(k.at(4, 8), 1.5*scale, scale/2), k.at(5, 10))
	is("the point between", func(d *document.Document) bool {
		p := d.Entity(sample.Quay, path).Points
		return len(p) == 2 && p[0] == grid.Point{X: 16, Y: 32}
	})
	k.clickWith(k.at(5, 10), right)
	is("the way", func(d *document.Document) bool { return len(d.Entity(sample.Quay, path).Points) == 1 })
	k.same()
}

func TestPilesListAndLocks(t *testing.T) {
	r := world(t)
	low := r.place(document.Entity{Kind: "key", Name: "Low key", X: 96, Y: 96})
	high := r.place(document.Entity{Kind: "key", Name: "High key", X: 96, Y: 96, Order: 3})
	k := r.open()
	k.click(k.at(6, 6))
	k.see("[data-testid=details] input", "High key")
	k.click(k.at(6, 6))
	k.see("[data-testid=details] input", "Low key")
	// the one beneath is the one that moves
	k.drag(left, k.at(6, 6), k.at(7, 6))
	k.stored(func(d *document.Document) error {
		if a, b := d.Entity(sample.Quay, low).X, d.Entity(sample.Quay, high).X; a != 112 || b != 96 {
			return fmt.Errorf("they stand at %d and %d", a, b)
		}
		return nil
	})
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.pressIn("aside[aria-label=Stack] button", "Entities")
	k.see("[data-testid=entity-list]", "7 in all")
	k.write("[aria-label='Search entities']", "key")
	k.see("[data-testid=entity-list]", "2 of 7")
	k.press("2 in piles")
	k.press("thin out")
	k.notice("Thinned out")
	k.stored(func(d *document.Document) error {
		if n := len(entities(d, sample.Quay, "key")); n != 1 {
			return fmt.Errorf("%d keys stand", n)
		}
		return nil
	})
	k.write("[aria-label='Search entities']", "pearl")
	k.pressIn("[data-testid=entity-list] li button", "Pearl")
	k.see("[data-testid=details] input", "Pearl")
	// locked it can be neither moved nor deleted
	k.pressIn("[data-testid=details] summary", "While designing")
	k.pressIn("[data-testid=details] label", "locked")
	k.stored(func(d *document.Document) error {
		if !d.Entity(sample.Quay, sample.Pearl).Locked {
			return fmt.Errorf("the pearl is not locked")
		}
		return nil
	})
	k.drag(left, k.at(4, 2), k.at(6, 4))
	k.notice("Pearl is locked")
	k.pressIn("[data-testid=details] label", "hidden")
	k.stored(func(d *document.Document) error {
		if e := d.Entity(sample.Quay, sample.Pearl); !e.Hidden || e.X != 64 {
			return fmt.Errorf("the pearl is %+v", e)
		}
		return nil
	})
	k.focusMap()
	k.keys(input.Escape)
	k.click(k.at(4, 2))
	k.gone("[data-testid=details]")
	k.same()
}

func TestTextInTheRealMessageBox(t *testing.T) {
	r := world(t)
	sign := r.place(document.Entity{Kind: "sign", Name: "Sign", X: 96, Y: 96})
	k := r.open()
	k.click(k.at(6, 6))
	k.write("[data-testid=details] textarea", "Mind the tide. It is back before you think. The last warden who stayed to count his crystals is still out there, and he is not counting any more.")
	k.see("[data-testid=message-preview]", "Mind the tide.")
	k.see("[data-testid=details]", "does not fit on one page")
	k.see("[data-testid=details]", "1 of 2")
	k.press("Break it here")
	k.stored(func(d *document.Document) error {
		return contains(value(d, sign, "says"), "\n\n")
	})
	k.see("[data-testid=details]", "1 of 2")
	k.press("Page after")
	k.see("[data-testid=message-preview]", "counting any more")
	k.gone("[data-testid=details] .text-brick")
	k.same()
}

func TestHoldTheHero(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}}))
	k := r.open()
	k.holdKind("Hero")
	k.move(k.at(5, 10))
	within(t, soon, func() error {
		// cells above it, as far as it jumps, are tinted
		near, far := k.eval(overlayAt, k.at(5, 8).X, k.at(5, 8).Y), k.eval(overlayAt, k.at(5, 4).X, k.at(5, 4).Y)
		if near == "0" || far != "0" {
			return fmt.Errorf("two cells up %s, six cells up %s", near, far)
		}
		return nil
	})
	k.click(k.at(5, 10))
	k.stored(boxIs("hero", 5, 10, 1, 1))
}

// overlayAt is how opaque the canvas above the map is at a place of the page.
const overlayAt = `(x, y) => {
	const c = document.querySelector('[data-testid=map]'), r = c.getBoundingClientRect()
	return String(c.getContext('2d').getImageData(x - r.left + 3, y - r.top + 3, 1, 1).data[3])
}`

func TestInPlaceOfOthersAndAlike(t *testing.T) {
	r := world(t)
	for i := range 3 {
		r.place(document.Entity{Kind: "key", Name: fmt.Sprint("Key ", i), X: 64 + 32*i, Y: 96})
	}
	k := r.open()
	k.click(k.at(4, 6))
	k.see("[data-testid=details] input", "Key 0")
	k.focusMap()
	must(t, k.page.Keyboard.Press(input.ControlLeft))
	k.with(input.ShiftLeft, input.KeyK)
	must(t, k.page.Keyboard.Release(input.ControlLeft))
	k.see("[data-testid=details]", "3 entities of Key")
	// an item put down in place of others takes them away, in one step
	k.holdKind("Item")
	k.word("Over others", "in place of others")
	k.keys(input.KeyL)
	k.drag(left, k.at(3, 6), k.at(9, 6))
	k.stored(func(d *document.Document) error {
		if keys, items := len(entities(d, sample.Quay, "key")), len(entities(d, sample.Quay, "item")); keys != 0 || items != 7 {
			return fmt.Errorf("%d keys and %d items stand", keys, items)
		}
		return nil
	})
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(func(d *document.Document) error {
		if n := len(entities(d, sample.Quay, "key")); n != 3 {
			return fmt.Errorf("%d keys are back", n)
		}
		return nil
	})
	k.same()
}

func TestVariantsByOdds(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.Escape)
	k.click(k.at(4, 2))
	k.see("[data-testid=details] input", "Pearl")
	k.pressIn("[data-testid=details] summary", "Look")
	k.press("+ tile")
	k.press("+ not there")
	k.fill("[aria-label='Odds of variant 2']", "3")
	k.see("[aria-label=Variants]", "75%")
	k.stored(func(d *document.Document) error {
		v := d.Entity(sample.Quay, sample.Pearl).Variants
		if len(v) != 2 || v[0].Look.Tile() != 5 || v[1].Look != 0 || v[1].Odds != 3 {
			return fmt.Errorf("the variants are %+v", v)
		}
		return nil
	})
	k.fill("[aria-label='Odds of variant 2']", "-3")
	k.notice("odds of 0 to")
	k.same()
}

// Hovering shows in place what something does, stopped by what is in its way.
func TestHoverShowsWhatItDoes(t *testing.T) {
	r := world(t)
	r.place(document.Entity{Kind: "walker", Name: "Crab", X: 128, Y: 96, Values: []kind.Value{{Key: "sight", Value: "0"}}})
	r.append(paintCell(sample.Quay, sample.Things, 6, 6, sample.Wall))
	k := r.open()
	shows := func(want map[int]bool) {
		t.Helper()
		within(t, soon, func() error {
			for x, line := range want {
				p := offset(k.at(x, 6), -3, -3) // the sample lies three pixels on
				if got := k.eval(overlayAt, p.X, p.Y) != "0"; got != line {
					return fmt.Errorf("at column %d a line is drawn: %v", x, got)
				}
			}
			return nil
		})
	}
	k.move(k.at(3, 9))
	shows(map[int]bool{7: false, 10: false, 12: false})
	k.move(k.at(8, 6))
	shows(map[int]bool{5: false, 7: true, 10: true, 12: true, 13: false})
	k.move(k.at(3, 9))
	shows(map[int]bool{7: false, 12: false})
}
