package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A moment is named, what differs is seen map by map after painting, it is gone back to, and one undo turns that back.
func TestVersionsStation(t *testing.T) {
	r := world(t).pictured()
	k := r.open()
	k.pressIn("nav button", "Versions")
	k.see("[data-testid=no-versions]", "No moment of the project has a name yet")
	k.accessible("Versions without any")
	k.fill("#version-name", "Before the wall")
	k.pressIn("main form button", "Name it")
	k.see("main ol", "Before the wall")
	k.see("main ol", "as it is now")
	k.see("[data-testid=comparison]", "Nothing differs.")

	at := func(x, y int, want cells.Cell) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			for _, l := range d.Maps.Get(sample.Quay).LayersInOrder() {
				if l.ID == sample.Ground && l.Cells.At(x, y) != want {
					return fmt.Errorf("at %d, %d lies %v, wanted %v", x, y, l.Cells.At(x, y), want)
				}
			}
			return nil
		})
	}
	d := r.doc()
	before := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground).Cells.At(6, 4)
	painted := &grid.Region{}
	painted.AddRect(grid.Rect{X: 5, Y: 4, W: 4, H: 1})
	r.append(sample.Paint(sample.Quay, sample.Ground, painted, sample.Wall))
	at(6, 4, sample.Wall)
	k.see("main ol", "1 step ago")
	k.see("[data-testid=comparison] dl", "Quay")
	k.see("[data-testid=comparison] dl", "4 cells")
	k.see("[data-testid=comparison] figcaption", "Quay, Before the wall")

	// a second one; what differs between both is the same, and the first is compared with it
	k.write("#version-name", "Walled")
	k.keys(input.Enter)
	k.see("main ol li:first-child", "Walled")
	k.see("[data-testid=comparison] h2", "Walled")
	k.see("[data-testid=comparison]", "Nothing differs.")
	k.option("[data-testid=comparison] select", "Before the wall")
	k.see("[data-testid=comparison] dl", "4 cells")
	k.accessible("Versions")

	k.pressIn("main ol button", "Before the wall")
	k.pressIn("[data-testid=comparison] button", "Go back to it")
	at(6, 4, before)
	k.see("main ol li:first-child", "1 step ago")
	// there is nothing to go back to any more, though more was done since
	k.see("[data-testid=comparison]", "Nothing differs.")
	within(t, soon, func() error {
		return want("going back is offered", k.eval(`() => !document.querySelector('[data-testid=comparison] button').disabled`), "false")
	})
	k.with(input.ControlLeft, input.KeyZ)
	at(6, 4, sample.Wall)

	// renamed by a key, its name removed and brought back, all of it there after a reload
	k.pressIn("main ol button", "Before the wall")
	k.keys(input.F2)
	k.see("main ol input", "")
	k.write("main ol input", "The open quay")
	k.keys(input.Enter)
	k.see("main ol", "The open quay")
	k.keys(input.Delete) // its row has the keys again
	within(t, soon, func() error {
		if k.shows("main ol", "The open quay")() == nil {
			return fmt.Errorf("its name is still there")
		}
		return nil
	})
	k.press("Bring it back")
	k.see("main ol", "The open quay")
	k.reload()
	k.see("main ol", "The open quay")
	k.see("main ol", "Walled")

	// a step of the history becomes one
	k.press("Every step, beside the map")
	k.menu("[data-testid=history] li button", "Back to Before the wall", "Make a version of it")
	k.notice("is a version now")
	k.press("See versions")
	k.see("main ol", "Back to Before the wall")
}
