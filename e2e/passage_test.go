package e2e

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"errors"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// inPicture is the middle of a cell of the map that the passage dialog shows.
func (k *tab) inPicture(x, y, w, h int) proto.Point {
	k.Helper()
	box := k.box("[role=dialog] canvas")
	scale := min(box.Width/float64(w*16), box.Height/float64(h*16), 4)
	return proto.NewPoint(box.X+box.Width/2+(float64(x*16+8)-float64(w*8))*scale, box.Y+box.Height/2+(float64(y*16+8)-float64(h*8))*scale)
}

func TestPassageByPointing(t *testing.T) {
	r := world(t)
	// a wall on Pans, to be refused
	r.append(paintCell(sample.Pans, sample.Things, 6, 5, sample.Wall))
	k := r.open()
	k.click(k.at(18, 5))
	k.see("[data-testid=details]", "leads nowhere yet")
	k.press("Choose where…")
	k.pressIn("[role=dialog] button", "Pans")
	k.see("[role=dialog]", "No place yet")

	k.click(k.inPicture(6, 5, 20, 12))
	k.see("[role=dialog]", "is solid")
	if k.eval(`() => [...document.querySelectorAll('[role=dialog] button')].find((b) => b.innerText === 'Join').disabled`) != "true" {
		t.Error("a blocked end can be joined")
	}
	k.press("Use the nearest free cell")
	k.see("[role=dialog]", "Pans at cell")
	k.click(k.inPicture(3, 7, 20, 12))
	k.see("[role=dialog]", "3, 7")
	k.pressIn("[role=dialog] [role=radio]", "right")
	k.press("Join")
	k.gone("[role=dialog]")
	k.notice("leads to Pans, and back")

	k.stored(func(d *document.Document) error {
		if n := d.Passages.Len(); n != 2 {
			return fmt.Errorf("%d passages", n)
		}
		for _, p := range d.Passages.All() {
			from, to := d.Entity(p.From.Map, p.From.Entity), d.Entity(p.To.Map, p.To.Entity)
			if from == nil || to == nil || from.Kind != "exit" || to.Kind != "arrival" {
				return fmt.Errorf("a passage from %v to %v", from, to)
			}
			switch p.From.Map {
			case sample.Quay:
				if to.X != 48 || to.Y != 112 || to.Facing != document.Right {
					return fmt.Errorf("the arrival on Pans is %+v", to)
				}
			case sample.Pans:
				if b := from.Box(d.Maps.Get(sample.Pans)); b.X != 2 || b.H != 2 {
					return fmt.Errorf("the way back begins at %v", b)
				}
				if d.Solids().At(d.Maps.Get(sample.Quay), grid.Point{X: to.X / 16, Y: to.Y / 16}) {
					return fmt.Errorf("the way back ends in a wall")
				}
			}
		}
		return nil
	})
	// renaming a map breaks nothing, and the details follow to the other end
	k.see("[data-testid=details]", "leads to Pans")
	k.press("leads to Pans")
	k.see("header", "Pans")
	k.see("[data-testid=details]", "comes from Exit on Quay")
	// one undo takes back both ways
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(func(d *document.Document) error {
		if d.Passages.Len() != 0 || len(entities(d, sample.Pans, "exit")) != 0 {
			return fmt.Errorf("%d passages are left", d.Passages.Len())
		}
		return nil
	})
}

func TestPassageByKeyboard(t *testing.T) {
	k := world(t).open()
	k.search("exit on quay")
	k.keys(input.Enter)
	k.see("[data-testid=details] input", "Exit")
	k.search("where the selected exit leads")
	k.keys(input.Enter)
	k.see("[role=dialog]", "Choose the map by its picture")
	k.find("[role=dialog] button", "Pans").MustFocus()
	k.keys(input.Enter)
	k.see("[role=dialog]", "No place yet")
	// outside is refused with the nearest free cell
	for range 9 {
		k.keys(input.ArrowUp)
	}
	k.see("[role=dialog]", "lies outside Pans")
	k.see("[role=dialog]", "nearest free cell")
	for range 5 {
		k.keys(input.ArrowDown)
	}
	k.keys(input.KeyR)
	k.find("[role=dialog] button", "Join").MustFocus()
	k.keys(input.Enter)
	k.gone("[role=dialog]")
	k.stored(func(d *document.Document) error {
		for _, e := range entities(d, sample.Pans, "arrival") {
			if e.Facing == document.Left && e.Y < 4*16 {
				return nil
			}
		}
		return fmt.Errorf("there is no arrival that looks left")
	})
}

func paintCell(m, layer document.ID, x, y int, c cells.Cell) edit.Primitive {
	r := &grid.Region{}
	r.Add(grid.Point{X: x, Y: y})
	return sample.Paint(m, layer, r, c)
}

// led is a tab on a world whose exit leads to the Pans, and back, shut by a flag.
func led(t *testing.T) (*tab, *document.Passage) {
	t.Helper()
	r := world(t)
	c, err := author.Join(r.doc(), author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: grid.Point{X: 3, Y: 7}, Facing: document.Right, Back: true})
	must(t, err)
	r.append(c.Do...)
	p := *r.doc().Passages.Get(c.Made)
	p.Transition, p.Shut, p.If = "iris", "It is shut.", []document.Gate{{Asks: document.GateFlag, Flag: sample.Lit}}
	c, err = author.ChangePassage(r.doc(), p)
	must(t, err)
	r.append(c.Do...)
	return r.open(), &p
}

// Led elsewhere, a passage keeps what was set for it, and its way back comes along.
func TestPassageIsLedElsewhere(t *testing.T) {
	k, p := led(t)
	k.click(k.at(18, 5))
	k.pressIn("[data-testid=details] button", "Change…")
	// it begins with how it is
	k.see("[role=dialog]", "Pans at cell 3, 7")
	k.see("[data-testid=way-back]", "stays")
	if got := k.eval(`() => document.querySelector('[role=dialog] [role=radio][aria-checked=true]').innerText + document.querySelector('[role=dialog] input[type=checkbox]').checked`); got != "right"+"true" && got != "true" {
		t.Errorf("the dialog begins with %s", got)
	}
	k.click(k.inPicture(12, 4, 20, 12))
	k.see("[data-testid=way-back]", "1 × 2 cells")
	k.press("Lead there")
	k.notice("leads to Pans, and back")
	k.stored(func(d *document.Document) error {
		q := d.Passages.Get(p.ID)
		if q == nil || d.Passages.Len() != 2 || q.Transition != "iris" || q.Shut != p.Shut || len(q.If) != 1 {
			return fmt.Errorf("of %d passages this one is %+v", d.Passages.Len(), q)
		}
		pans := d.Maps.Get(sample.Pans)
		if b := d.Entity(sample.Pans, q.To.Entity).Box(pans); b.X != 12 || b.Y != 4 || len(entities(d, sample.Pans, "arrival")) != 1 {
			return fmt.Errorf("it arrives at %v", b)
		}
		if exits := entities(d, sample.Pans, "exit"); len(exits) != 1 || exits[0].Box(pans).X != 11 {
			return fmt.Errorf("the ways back begin at %v", exits)
		}
		return nil
	})
	k.press("Undo")
	k.stored(func(d *document.Document) error {
		if b := d.Entity(sample.Pans, p.To.Entity).Box(d.Maps.Get(sample.Pans)); b.X != 3 {
			return fmt.Errorf("after undo it arrives at %v", b)
		}
		return nil
	})
	k.same()
}

// From a map's edge the way back is as large as what fits, and seen before it is made.
func TestWayBackOfAnEdgeIsShown(t *testing.T) {
	r := world(t)
	c, err := author.SetSide(r.doc().Maps.Get(sample.Quay), document.Down, document.SideExit)
	must(t, err)
	r.append(c.Do...)
	k := r.open()
	k.openChart()
	k.pressIn("aside[aria-label=Maps] button", "Quay")
	k.pressIn("[data-testid=chosen] button", "Where…")
	k.pressIn("[role=dialog] button", "Pans")
	k.click(k.inPicture(8, 5, 20, 12))
	k.see("[data-testid=way-back]", "3 × 1 cells")
	// the view goes nearer, and the same cell lies elsewhere
	k.pressIn("[role=dialog] button", "Zoom in")
	k.see("[role=dialog]", "400 %")
	k.press("Join")
	k.stored(func(d *document.Document) error {
		exits := entities(d, sample.Pans, "exit")
		if len(exits) != 1 || exits[0].Box(d.Maps.Get(sample.Pans)) != (grid.Rect{X: 7, Y: 4, W: 3, H: 1}) {
			return fmt.Errorf("the way back begins at %v", exits)
		}
		return nil
	})
}

// overlay is the colour of what is drawn above the map, as r,g,b,a.
func (k *tab) overlay(p proto.Point) string {
	k.Helper()
	return k.eval(`(x, y) => {
		const c = document.querySelector('[data-testid=map]'), r = c.getBoundingClientRect()
		return [...c.getContext('2d').getImageData(x - r.left, y - r.top, 1, 1).data].join()
	}`, p.X, p.Y)
}

const brick = "177,68,44,255"

// A way that is broken by another's edit is marked without the pointer moving, and the
// mark says why.
func TestBrokenWayIsMarked(t *testing.T) {
	k, p := led(t)
	k.pressIn("aside ul button", "Pans")
	k.see("header", "Pans")
	corner := offset(k.at(3, 7), 16, -16)
	if got := k.overlay(offset(corner, -3, 4)); got == brick {
		t.Fatal("it is marked before it is broken")
	}
	k.rig.append(paintCell(sample.Pans, sample.Things, 3, 7, sample.Wall))
	within(t, soon, func() error { return want("the mark", k.overlay(offset(corner, -3, 4)), brick) })
	k.move(corner)
	k.see("[data-testid=wrong]", "Arrival")
	// on the chart it is in brick, though it leads one way only
	k.rig.append(edit.Remove(edit.Ref{Type: edit.TypePassage, ID: backOf(k.rig.doc(), p)}))
	k.openChart()
	within(t, soon, func() error {
		return want("a way in brick", k.eval(`() => {
			const c = document.querySelector('[data-testid=chart]')
			const data = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
			let n = 0
			for (let i = 0; i < data.length; i += 4) n += data[i] === 177 && data[i + 1] === 68 && data[i + 2] === 44
			return String(n > 400)
		}`), "true")
	})
}

func backOf(d *document.Document, p *document.Passage) document.ID { return chart.Back(d, p).ID }

// The picture of the other map is moved by a drag, which chooses no place; on the chart
// what is set of a passage is marked.
func TestPassagePictureIsMoved(t *testing.T) {
	k, p := led(t)
	k.click(k.at(18, 5))
	k.pressIn("[data-testid=details] button", "Change…")
	k.see("[role=dialog]", "Pans at cell 3, 7")
	k.pressIn("[role=dialog] button", "Zoom in")
	at := k.inPicture(10, 6, 20, 12)
	look := func() string {
		return k.eval(`() => { const c = document.querySelector('[role=dialog] canvas[role=application]'); return String(c.getContext('2d').getImageData(0, 0, c.width, c.height).data.reduce((n, v, i) => (n * 31 + v * (i % 97)) % 1000003, 7)) }`)
	}
	before := look()
	k.drag(left, at, offset(at, 60, 30), offset(at, 120, 40))
	within(t, soon, func() error {
		if look() == before {
			return errors.New("the picture was not moved")
		}
		return nil
	})
	k.see("[role=dialog]", "Pans at cell 3, 7")
	k.keys(input.Escape)
	k.gone("[role=dialog]")

	k.openChart()
	marked := k.still(func() int { return k.drawn("chart", "51,80,158") })
	q := *p
	q.Sound, q.Transition, q.If = "", "fade", nil
	c, err := author.ChangePassage(k.rig.doc(), q)
	must(t, err)
	k.rig.append(c.Do...)
	within(t, soon, func() error {
		if now := k.drawn("chart", "51,80,158"); now >= marked {
			return fmt.Errorf("the mark is still there: %d pixels, before %d", now, marked)
		}
		return nil
	})
	k.menu("[data-testid=chart]", "", "Show all maps")
	k.same()
}
