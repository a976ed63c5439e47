package e2e

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
)

// Ground is drawn by a stroke, which becomes few points; its end snaps to another one's, its points are
// dragged, and the hero is stopped by it at once.
func TestGroundIsDrawnFreely(t *testing.T) {
	k := world(t).open()
	lines := func(condition func(all []*document.Entity) error) {
		t.Helper()
		k.stored(func(d *document.Document) error {
			var all []*document.Entity
			for _, e := range document.InRank(d.Maps.Get(sample.Quay).Entities.All()) {
				if e.Kind == kind.GroundLine {
					all = append(all, e)
				}
			}
			return condition(all)
		})
	}
	k.holdKind("Ground line")
	at := func(x, y, dx, dy int) proto.Point { return k.at(x, y).Add(proto.NewPoint(float64(dx), float64(dy))) }
	var stroke []proto.Point
	for n := range 40 {
		stroke = append(stroke, at(5, 4, 0, n*4))
	}
	k.drag(left, stroke...)
	lines(func(all []*document.Entity) error {
		if len(all) != 1 || len(all[0].Points) == 0 || len(all[0].Points) > 3 {
			return fmt.Errorf("the lines are %+v", all)
		}
		if p := all[0].Points[len(all[0].Points)-1]; p.Y < 74 || p.Y > 82 || p.X < -2 || p.X > 2 {
			return fmt.Errorf("it ends at %v", p)
		}
		return nil
	})
	// another one begins where that began
	k.drag(left, at(5, 4, 6, 5), at(7, 4, 0, 3), at(9, 4, 0, 3))
	lines(func(all []*document.Entity) error {
		if len(all) != 2 || all[0].X+all[0].W/2 != all[1].X+all[1].W/2 || all[0].Y+all[0].H/2 != all[1].Y+all[1].H/2 {
			return fmt.Errorf("the lines are %+v", all)
		}
		return nil
	})
	k.keys(input.Escape, input.Escape)
	// it is selected wherever it is pressed
	k.click(at(5, 4, 0, 120))
	k.see("[data-testid=details]", "thickness")
	k.keys(input.Escape)
	// the hero is stopped by the first
	k.focusMap()
	k.keys(input.KeyP)
	k.see("[data-testid=playing]", "Playing Quay")
	k.toRow(6)
	k.walk(input.ArrowRight, func() error {
		if x, _ := k.hero(); x < 64 {
			return fmt.Errorf("the hero is at %d", x)
		}
		return nil
	})
	// it goes on being led for a second
	k.walk(input.ArrowRight, func() error {
		k.eval(`() => new Promise((done) => { let n = 60; const next = () => (--n ? requestAnimationFrame(next) : done('')); next() })`)
		return nil
	})
	if x, _ := k.hero(); x > 80 {
		t.Errorf("the hero went through a line to %d", x)
	}
	k.keys(input.KeyP)
	k.same()
}
