package e2e

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// onLayer wants a layer of the Quay by name.
func onLayer(name string, ok func(l *document.Layer) error) func(*document.Document) error {
	return func(d *document.Document) error {
		for _, l := range d.Maps.Get(sample.Quay).LayersInOrder() {
			if l.Name == name {
				return ok(l)
			}
		}
		return fmt.Errorf("there is no layer %s", name)
	}
}

func TestLayersAreDuplicatedTintedMovedAndMerged(t *testing.T) {
	k := world(t).open()
	k.pressIn("aside ul button", "Things")
	k.press("Settings of layer Things")
	k.press("Duplicate")
	k.stored(onLayer("Things 2", func(l *document.Layer) error {
		if l.Cells.At(0, 0) != sample.Wall {
			return fmt.Errorf("the copy lacks the walls")
		}
		return nil
	}))
	k.press("Settings of layer Things 2")
	k.write("[aria-label='Offset right']", "16")
	k.keys(input.Tab)
	k.stored(onLayer("Things 2", func(l *document.Layer) error {
		if l.OffsetX != 16 {
			return fmt.Errorf("the offset is %d", l.OffsetX)
		}
		return nil
	}))
	k.showsTile(1, 5, 1) // the copy's wall is drawn a cell farther right
	k.write("[aria-label='Parallax across']", "900")
	k.keys(input.Tab)
	k.notice("with the camera")
	k.write("[aria-label='Offset right']", "0")
	k.keys(input.Tab)
	k.press("Merge down")
	k.stored(func(d *document.Document) error {
		if n := d.Maps.Get(sample.Quay).Layers.Len(); n != 3 {
			return fmt.Errorf("there are %d layers", n)
		}
		return nil
	})
	// alone, to this designer only
	k.pressIn("aside ul button", "Ground")
	k.press("Show this layer alone")
	k.showsTile(0, 0, 0)
	k.press("Show the others again")
	k.showsTile(0, 0, 1)
	k.same()
}

func TestGroupsHideTogether(t *testing.T) {
	k := world(t).open()
	k.pressIn("aside ul button", "Things")
	k.press("Add a layer")
	k.press("Group of this layer")
	k.pressIn("aside ul button", "Group")
	k.press("Hide this layer")
	k.showsTile(0, 0, 0)
	// what is held goes to a layer that can be worked on
	k.holdTile(5)
	k.pressIn("aside ul button", "Things")
	k.see("[data-testid=hand]", "Ground")
	k.stored(onLayer("Things", func(l *document.Layer) error {
		if l.Group == "" || l.Hidden {
			return fmt.Errorf("the layer is %+v", l)
		}
		return nil
	}))
	k.same()
}

func TestPictureLayerAndDepthView(t *testing.T) {
	k := world(t).open()
	k.press("Add a layer")
	k.press("Gradient")
	k.stored(onLayer("Sky", func(l *document.Layer) error {
		if l.Kind != document.LayerPicture || l.Image == nil || l.Image.From != "#23415c" {
			return fmt.Errorf("the layer is %+v", l)
		}
		return nil
	}))
	k.press("Turn the stack sideways")
	k.see("[data-testid=depth]", "Drag a sheet")
	sheet := k.box("[data-testid=depth] button[aria-label^='Sheet Sky']")
	from := proto.NewPoint(sheet.X+sheet.Width/2, sheet.Y+sheet.Height/2)
	to := from
	to.X -= 900 // as far away as it goes
	k.drag(left, from, proto.NewPoint(from.X-100, from.Y), to)
	k.stored(onLayer("Sky", func(l *document.Layer) error {
		if l.LagX != 100 || l.LagY != 100 {
			return fmt.Errorf("the sheet goes with the camera by %d %%", l.LagX)
		}
		return nil
	}))
	k.stored(func(d *document.Document) error {
		if first := d.Maps.Get(sample.Quay).LayersInOrder()[0]; first.Name != "Sky" {
			return fmt.Errorf("%s lies behind", first.Name)
		}
		return nil
	})
	k.find("[data-testid=depth] button", "Sheet Sky").MustFocus()
	k.keys(input.ArrowRight)
	k.stored(onLayer("Sky", func(l *document.Layer) error {
		if l.LagX != 95 {
			return fmt.Errorf("an arrow moved it to %d", l.LagX)
		}
		return nil
	}))
	// a picture from a file, tiled
	k.press("Turn the stack back")
	e, err := k.page.Element("input[aria-label='Picture for a layer']")
	must(t, err)
	must(t, e.SetFiles([]string{file(t, "clouds.png", sheet16())}))
	k.stored(onLayer("clouds", func(l *document.Layer) error {
		if l.Image == nil || l.Image.Width != 16 {
			return fmt.Errorf("the layer is %+v", l)
		}
		return nil
	}))
	k.press("Settings of layer clouds")
	k.pressIn("[aria-label='Layer settings'] label", "tiled across")
	k.stored(onLayer("clouds", func(l *document.Layer) error {
		if !l.Image.RepeatX {
			return fmt.Errorf("it is not tiled")
		}
		return nil
	}))
	k.press("Delete this layer")
	k.stored(func(d *document.Document) error {
		if n := d.Maps.Get(sample.Quay).Layers.Len(); n != 4 {
			return fmt.Errorf("there are %d layers", n)
		}
		return nil
	})
	k.same()
}

func sheet16() []byte { return sheet(1, 1, 16) }

// The history lists what was done; a press brings everything back as it was
// then, as one more step. Inside a selection work is turned back alone.
func TestHistoryJumpsAndTurnsBackHere(t *testing.T) {
	k := world(t).open()
	k.holdTile(5)
	k.keys(input.KeyH)
	k.click(k.at(3, 5))
	k.saved()
	k.click(k.at(8, 5))
	k.saved()
	k.holdTile(6)
	k.keys(input.KeyB)
	k.drag(left, k.at(3, 5), k.at(8, 6))
	k.saved()
	k.keys(input.Escape)
	k.focusMap()
	k.with(input.ControlLeft, input.KeyH)
	k.see("[data-testid=history]", "Painted 12 cells")
	// back to after the first press
	k.unfold()
	k.pressIn("[data-testid=history] li:nth-child(3) button", "Painted 1 cell")
	k.stored(func(d *document.Document) error {
		if err := count(sample.Ground, 6, 0)(d); err != nil {
			return err
		}
		return cellsAre(sample.Ground, 3, 5, 5, 8, 5, 0)(d)
	})
	k.see("[data-testid=history]", "Back to")
	k.focusMap()
	k.with(input.ControlLeft, input.KeyZ)
	k.stored(count(sample.Ground, 6, 12))
	// only inside the selection
	k.word("Selects", "cells of this layer")
	k.focusMap()
	k.drag(left, k.at(7, 4), k.at(8, 7))
	k.with(input.ControlLeft, input.KeyB)
	k.stored(cellsAre(sample.Ground, 8, 5, 5, 7, 5, 0, 6, 5, 6, 3, 5, 6))
	k.saved()
	k.reload()
	k.focusMap()
	k.drag(left, k.at(7, 4), k.at(8, 7))
	k.with(input.ControlLeft, input.KeyB)
	k.stored(cellsAre(sample.Ground, 8, 5, 0, 3, 5, 6))
	// pictures of what was done before the page was opened come from the log
	k.with(input.ControlLeft, input.KeyH)
	c := paint(6)
	within(t, soon, func() error {
		got := k.eval(`() => {
			const row = [...document.querySelectorAll('[data-testid=history] li')].findLast((e) => e.innerText.includes('Painted 12 cells'))
			const picture = row?.querySelector('canvas')
			return picture ? [...picture.getContext('2d').getImageData(picture.width / 2 + 4, picture.height / 2 + 4, 1, 1).data.slice(0, 3)].join() : 'none'
		}`)
		if want := fmt.Sprintf("%d,%d,%d", c.R, c.G, c.B); got != want {
			return fmt.Errorf("the picture of the box shows %s, wanted %s", got, want)
		}
		return nil
	})
	k.same()
}

func TestGoToCellStatusAndSnapping(t *testing.T) {
	k := world(t).open()
	k.search("6, 1")
	k.see("[role=option]", "Go to cell 6, 1")
	k.keys(input.Enter)
	k.see("[data-testid=status]", "cell 6, 1")
	k.see("[data-testid=here]", "Entities: Switch")
	k.see("[data-testid=here]", "Ground: tile 0 of Coast")
	// zoomed in, the minimap shows where one is and goes elsewhere
	k.focusMap()
	for range 4 {
		k.keys(input.Equal)
	}
	box := k.box("[data-testid=minimap]")
	k.click(proto.NewPoint(box.X+box.Width-8, box.Y+box.Height-8))
	p := k.at(19, 11)
	if p.X < 240 || p.X > 1016 || p.Y < 40 || p.Y > 700 {
		t.Errorf("the corner lies at %v", p)
	}
	k.keys(input.Home)
	// half cells
	must(t, k.page.Keyboard.Press(input.ShiftLeft))
	k.keys(input.KeyG)
	must(t, k.page.Keyboard.Release(input.ShiftLeft))
	k.notice("half cells")
	from := k.at(4, 2)
	to := k.at(5, 2)
	to.X -= (to.X - from.X) / 2
	k.drag(left, from, to)
	k.stored(func(d *document.Document) error {
		if e := d.Entity(sample.Quay, sample.Pearl); e.X != 72 {
			return fmt.Errorf("the pearl stands at %d", e.X)
		}
		return nil
	})
	k.same()
}

// A stroke never goes to another layer because the one that is worked on is locked: it
// says why at once, and one press opens the layer.
func TestStrokeOnALockedLayerIsRefused(t *testing.T) {
	r := world(t)
	r.append(edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}, "locked", true))
	k := r.open()
	k.pressIn("aside ul button", "Ground")
	k.holdTile(5)
	k.keys(input.KeyH)
	before := r.doc().Hash()
	k.click(k.at(4, 6))
	k.notice("Ground is locked")
	if r.doc().Hash() != before {
		t.Error("something was painted")
	}
	k.pressIn("[data-testid=notice] button", "Unlock it")
	k.stored(func(d *document.Document) error {
		if d.Maps.Get(sample.Quay).Layers.Get(sample.Ground).Locked {
			return fmt.Errorf("it is locked")
		}
		return nil
	})
	k.click(k.at(4, 6))
	k.stored(cellsAre(sample.Ground, 4, 6, 5))
}
