package e2e

import (
	"azzel/core/document"
	"azzel/core/sample"
	"errors"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

const (
	start = proto.InputDispatchTouchEventTypeTouchStart
	move  = proto.InputDispatchTouchEventTypeTouchMove
	end   = proto.InputDispatchTouchEventTypeTouchEnd
)

// fingers makes the page one of a device without a mouse.
func (k *tab) fingers() {
	k.Helper()
	must(k.T, proto.EmulationSetTouchEmulationEnabled{Enabled: true}.Call(k.page))
}

// touch tells where all fingers lie after one came, moved or was lifted.
func (k *tab) touch(is proto.InputDispatchTouchEventType, at ...proto.Point) {
	k.Helper()
	points := []*proto.InputTouchPoint{}
	for i, p := range at {
		id := float64(i)
		points = append(points, &proto.InputTouchPoint{X: p.X, Y: p.Y, ID: &id})
	}
	must(k.T, proto.InputDispatchTouchEvent{Type: is, TouchPoints: points}.Call(k.page))
}

// tap presses something with a finger.
func (k *tab) tap(selector, text string) {
	k.Helper()
	shape, err := k.find(selector, text).Shape()
	must(k.T, err)
	k.touch(start, *shape.OnePointInside())
	k.touch(end)
}

// Two fingers move and zoom the view; what the first had begun alone is taken back, and
// one finger does what the hand holds.
func TestTwoFingers(t *testing.T) {
	k := world(t).open()
	k.fingers()
	k.holdTile(5)
	a, b := k.at(4, 4), k.at(8, 8)
	before := k.rig.doc().Hash()
	k.touch(start, a)
	k.touch(move, offset(a, 32, 0)) // a stroke
	k.touch(start, offset(a, 32, 0), b)
	view := k.eval(`() => azzel.view().x + ' ' + azzel.view().y`)
	k.touch(move, offset(a, 72, 40), offset(b, 40, 40)) // both go along
	within(t, soon, func() error {
		if k.eval(`() => azzel.view().x + ' ' + azzel.view().y`) == view {
			return errors.New("two fingers do not move the view")
		}
		return nil
	})
	k.touch(move, offset(a, -100, -60), offset(b, 160, 120)) // and apart
	k.see("[data-testid=zoom]", "400 %")
	k.touch(end, offset(b, 160, 120)) // one is lifted, the other goes on
	k.touch(move, offset(b, 60, 20))
	k.touch(end)
	k.saved()
	if k.rig.doc().Hash() != before {
		t.Error("something was painted with two fingers")
	}
	at := k.at(6, 6)
	k.touch(start, at)
	k.touch(end)
	k.stored(groundAt(6, 6, 5))
	k.same()
}

// On the chart too: one finger drags a map, two move the view, and one that rests gets the menu.
func TestFingersOnTheChart(t *testing.T) {
	k := world(t).open()
	k.fingers()
	k.openChart()
	box := k.box("[data-testid=chart]")
	on := func(x, y float64) proto.Point { return proto.NewPoint(box.X+x, box.Y+y) }
	view := func() string { return k.eval(`() => JSON.stringify(azzel.chart())`) }
	before, hash := view(), k.rig.doc().Hash()
	a, b := on(200, 300), on(500, 330) // on the maps
	k.touch(start, a)
	k.touch(move, offset(a, 30, 0)) // a drag of a map
	k.touch(start, offset(a, 30, 0), b)
	k.touch(move, offset(a, 90, 50), offset(b, 60, 50))
	within(t, soon, func() error {
		if view() == before {
			return errors.New("two fingers do not move the chart")
		}
		return nil
	})
	k.touch(end, offset(b, 60, 50))
	k.touch(end)
	k.saved()
	if k.rig.doc().Hash() != hash {
		t.Error("a map was moved with two fingers")
	}
	k.touch(start, on(20, 20))
	k.see("[role=menu]", "Show all maps")
	k.touch(end)
	k.pressIn("[role=menuitem]", "Show all maps")
	k.gone("[role=menu]")
	k.same()
}

// A finger that rests gets the menu of what lies there, and nothing is painted under it.
func TestLongPressIsTheMenu(t *testing.T) {
	k := world(t).open()
	k.fingers()
	at := k.at(6, 6)
	k.holdTile(5)
	before := k.rig.doc().Hash()
	k.touch(start, at)
	k.touch(move, offset(at, 3, 2)) // no finger is quite still
	k.see("[role=menu]", "Remove what is here")
	k.touch(end)
	k.saved()
	if k.rig.doc().Hash() != before {
		t.Error("the finger that asked for the menu painted")
	}
	k.pressIn("[role=menuitem]", "Let go of what is held")
	k.gone("[role=menu]")
	k.see("[data-testid=hand]", "nothing")

	// on an entity it is the entity's menu
	key := k.rig.doc().Entity(sample.Quay, sample.Switch)
	k.touch(start, k.at(key.X/16, key.Y/16))
	k.see("[role=menu]", "Duplicate")
	k.touch(end)
	k.pressIn("[role=menuitem]", "Delete")
	k.stored(func(d *document.Document) error {
		if d.Entity(sample.Quay, sample.Switch) != nil {
			return errors.New("the switch is there")
		}
		return nil
	})
}

// Fingers play with a pad, a button that uses and one that goes back.
func TestPadPlays(t *testing.T) {
	k := joined(t).open()
	k.fingers()
	k.touch(start, k.at(3, 8)) // fingers are used
	k.touch(end)
	k.tap("header button", "Play")
	k.see("[data-testid=playing]", "Playing Quay")
	pad := k.box("[data-testid=pad]")
	middle := proto.Point{X: pad.X + pad.Width/2, Y: pad.Y + pad.Height/2}
	k.touch(start, middle)
	k.touch(move, offset(middle, 50, 5))
	within(t, soon, k.shows("[data-testid=count]", "1 of 1 collected"))
	k.touch(move, offset(middle, 3, 52)) // slides on, and walks down
	within(t, soon, func() error { return contains(k.eval(`() => azzel.hero()`), "down") })
	k.touch(end)
	still := k.eval(`() => azzel.hero()`)
	within(t, soon, func() error {
		now := k.eval(`() => azzel.hero()`)
		if now != still {
			still = now
			return errors.New("the hero walks on")
		}
		return nil
	})
	k.tap("main button", "Back to the map")
	k.gone("[data-testid=playing]")
}

// A pen does what a mouse does: it paints, its second button removes, and one that rests
// gets the menu.
func TestPenPaints(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	pen := func(is proto.InputDispatchMouseEventType, at proto.Point, button proto.InputMouseButton) {
		t.Helper()
		count := 0
		if is != proto.InputDispatchMouseEventTypeMouseMoved {
			count = 1
		}
		must(t, proto.InputDispatchMouseEvent{Type: is, X: at.X, Y: at.Y, Button: button, ClickCount: count,
			PointerType: proto.InputDispatchMouseEventPointerTypePen}.Call(k.page))
	}
	const down, along, up = proto.InputDispatchMouseEventTypeMousePressed, proto.InputDispatchMouseEventTypeMouseMoved, proto.InputDispatchMouseEventTypeMouseReleased
	stroke := func(button proto.InputMouseButton, a, b proto.Point) {
		pen(along, a, proto.InputMouseButtonNone)
		pen(down, a, button)
		pen(along, b, button)
		pen(up, b, button)
	}
	stroke(left, k.at(4, 9), k.at(8, 9))
	k.stored(groundAt(6, 9, 5))
	stroke(right, k.at(5, 9), k.at(6, 9))
	k.stored(groundAt(4, 9, 5))
	k.stored(func(d *document.Document) error {
		if groundAt(6, 9, 5)(d) == nil {
			return errors.New("6,9 is not removed")
		}
		return nil
	})
	at := k.at(10, 9)
	pen(down, at, left)
	k.see("[role=menu]", "Remove what is here")
	pen(up, at, left)
	k.keys(input.Escape)
	k.gone("[role=menu]")
	k.same()
}
