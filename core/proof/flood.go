package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
)

// flood goes from cell to cell as far as could be; false when that were too many at once.
func (f *May) flood(cells *int) bool {
	for len(f.queue) > 0 {
		if *cells--; *cells < 0 {
			return false
		}
		s := f.queue[len(f.queue)-1]
		f.queue = f.queue[:len(f.queue)-1]
		g := f.st.Grounds[s.m]
		if f.leaps[s.m] != nil {
			*cells -= f.leap(g, s)
			continue
		}
		if first, after := g.Sheets(); f.lined[s.m] == nil && first == after && g.Open().IsFree(s.p.X-g.Bounds.X, s.p.Y-g.Bounds.Y) {
			*cells -= f.spread(g, s)
			continue
		}
		for _, way := range document.Facings {
			f.goes(g, s, way)
		}
	}
	return true
}

// goes goes from a cell to the next one, whatever is there.
func (f *May) goes(g *world.Ground, s spot, way document.Facing) {
	dx, dy := way.Step()
	p := grid.Point{X: s.p.X + dx, Y: s.p.Y + dy}
	if !g.Bounds.Contains(p) {
		f.over(g, s.m, p, way)
		return
	}
	parts := f.across(s, p, way)
	if parts == 0 && f.reached[s.m].has(p) || f.walled(g, p) || f.bars(s.m, p) {
		return
	}
	if by := f.fills(g, p); by != world.None {
		f.shut[by] = append(f.shut[by], spot{m: s.m, p: p})
		return
	}
	if f.lined[s.m] != nil {
		f.enterParts(spot{m: s.m, p: p}, parts)
	} else {
		f.enter(spot{m: s.m, p: p})
	}
}
