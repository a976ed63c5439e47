package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
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
	k.with(input.ControlLeft, input.KeyK)
	must(t, k.page.InsertText("exit on quay"))
	k.keys(input.Enter)
	k.see("[data-testid=details] input", "Exit")
	k.with(input.ControlLeft, input.KeyK)
	must(t, k.page.InsertText("where the selected exit leads"))
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
