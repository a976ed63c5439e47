package e2e

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// A drawing error in one chunk never takes the map away: that chunk shows as faulty,
// the rest is drawn, and the notice says what to do.
func TestADrawingErrorShowsItsChunk(t *testing.T) {
	k := world(t).open()
	k.showsTile(5, 5, 0)
	k.eval(`() => {
		const was = OffscreenCanvasRenderingContext2D.prototype.drawImage
		OffscreenCanvasRenderingContext2D.prototype.drawImage = function (...a) {
			if (window.broken && this.canvas.width > 100 && a.length > 5) throw new Error('cannot be drawn')
			return was.apply(this, a)
		}
		window.broken = true
	}`)
	k.rig.append(paintCell(sample.Quay, sample.Ground, 7, 7, cells.TileCell(1, 5)))
	k.notice("A part of this map cannot be drawn")
	k.see("[data-testid=details], [data-testid=hand]", "") // the page goes on
	// the entities are there, and painting goes on
	k.click(k.at(10, 2))
	k.see("[data-testid=details] input", "Door")
	k.keys(input.Escape)
	// when it can be drawn again, it is
	k.eval(`() => { window.broken = false }`)
	k.rig.append(paintCell(sample.Quay, sample.Ground, 7, 8, cells.TileCell(1, 6)))
	k.showsTile(7, 8, 6)
	k.showsTile(7, 7, 5)
	k.showsTile(5, 5, 0)
}

// A large map that is filled is drawn bit by bit, and in the end all of it.
func TestALargeFillIsDrawnToItsEnd(t *testing.T) {
	r := world(t)
	c, err := author.NewMap(r.doc(), "Wide", 1024, 1024)
	must(t, err)
	r.append(c.Do...)
	k := r.open()
	k.pressIn("aside ul button", "Wide")
	k.see("header", "Wide")
	k.focusMap()
	k.keys(input.Home)
	k.see("[data-testid=zoom]", "6 %")
	k.holdTile(5)
	k.pressIn("[data-testid=hand] button", "freehand")
	k.press("fill")
	box := k.box("[data-testid=map]")
	middle := offset(k.at(512, 512), 0, 0)
	before := k.pixel(middle)
	k.click(middle)
	k.stored(func(d *document.Document) error {
		if got := d.Maps.Get(c.Made).LayersInOrder()[0].Cells.At(1000, 1000); got != cells.TileCell(1, 5) {
			return fmt.Errorf("the far end holds %x", got)
		}
		return nil
	})
	for _, by := range [][2]float64{{-0.3, -0.3}, {0.3, 0.3}, {-0.3, 0.3}, {0.3, -0.3}} {
		at := offset(middle, by[0]*box.Height, by[1]*box.Height)
		within(t, soon, func() error {
			if got, want := k.pixel(at), k.pixel(middle); got != want || got == before {
				return fmt.Errorf("%v is drawn in %s, the middle in %s; it was %s", by, got, want, before)
			}
			return nil
		})
	}
	k.same()
}

// Who left the page is not here, though the browser keeps it for going back.
func TestALeftPageIsNotHere(t *testing.T) {
	r := world(t)
	a, b := r.open(), r.open()
	a.see("header", "2 here")
	b.eval(`() => dispatchEvent(new PageTransitionEvent('pagehide', { persisted: true }))`)
	within(t, soon, func() error {
		if got := a.text("header"); contains(got, "2 here") == nil {
			return fmt.Errorf("the strip says %q", got)
		}
		return nil
	})
	b.eval(`() => dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true }))`)
	a.see("header", "2 here")
	r.append(paintCell(sample.Quay, sample.Ground, 7, 7, cells.TileCell(1, 5)))
	b.showsTile(7, 7, 5)
}
