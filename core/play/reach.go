package play

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
)

// Standing is what can be said of the hero on a cell before it is put there.
type Standing struct {
	Free bool   `json:"free"`
	Why  string `json:"why"`
	// Reach is the cells that the hero comes through with one jump, seen from the side.
	Reach []grid.Span `json:"reach"`
}

// Stand says whether the hero could stand on a cell, what stops it, and how far
// it could jump from there on a map that is seen from the side, as a kind of hero.
func Stand(d *document.Document, c *chart.Chart, m *document.Map, hero document.ID, p grid.Point) Standing {
	out := Standing{Free: true, Reach: []grid.Span{}}
	if why := c.Blocked(m, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1}); why != "" {
		out.Free, out.Why = false, "It "+why
		return out
	}
	if !d.FromSide(m) {
		return out
	}
	below := grid.Point{X: p.X, Y: p.Y + 1}
	if m.Bounds.Contains(below) && !c.Solids().At(m, below) {
		out.Why = fmt.Sprintf("It falls from here: cell %d, %d below is free", below.X-m.Bounds.X, below.Y-m.Bounds.Y)
	}
	out.Reach = Jump(d, c, m, hero, p).Spans()
	return out
}

// How a jump is tried: at so many speeds to either side, so many ticks long.
const (
	jumpSpeeds = 8
	jumpTicks  = 60 * 4
)

// Jump is the cells that a kind of hero comes through from a cell by one jump at any
// run speed, falling included. It flies as a point in the middle of its cell:
// what a box of three quarters of a cell passes, with the same steps of 1/60 s.
func Jump(d *document.Document, c *chart.Chart, m *document.Map, hero document.ID, p grid.Point) *grid.Region {
	out := &grid.Region{}
	out.Add(p)
	// in 1/65536 cells and ticks
	const one = 1 << 16
	gravity := d.MapValue(m, kind.MapGravity).Thousandths() * one / 1000 / (TicksPerSecond * TicksPerSecond)
	height := d.HeroValue(m, nil, hero, document.HeroJump).Thousandths() * one / 1000
	run := d.HeroValue(m, nil, hero, document.HeroSpeed).Thousandths() * one / 1000 / TicksPerSecond
	if gravity < 1 {
		gravity = 1
	}
	rise := int64(grid.Root(uint64(max(0, 2*gravity*height))))
	free := func(x, y int64) bool {
		at := grid.Point{X: int(floorDiv(x, one)), Y: int(floorDiv(y, one))}
		return m.Bounds.Contains(at) && !c.Solids().At(m, at)
	}
	for power := int64(0); power <= 4; power++ {
		for k := int64(-jumpSpeeds); k <= jumpSpeeds; k++ {
			x, y := int64(p.X)*one+one/2, int64(p.Y)*one+one/2
			vx, vy := run*k/jumpSpeeds, -rise*power/4
			for range jumpTicks {
				vy += gravity
				if free(x+vx, y) {
					x += vx
				}
				// no more than a cell at a time, so that nothing is jumped over
				fall := max(-one, min(vy, one))
				if !free(x, y+fall) {
					if vy > 0 {
						break
					}
					vy = 0
					continue
				}
				y += fall
				out.Add(grid.Point{X: int(floorDiv(x, one)), Y: int(floorDiv(y, one))})
			}
		}
	}
	return out
}
