package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/world"
)

// Reach is in how few steps the hero could be in each cell of a map, row by row from its top left cell; −1 is never.
type Reach struct {
	Box   grid.Rect
	Steps []int32
}

// Reach tells by map in how few steps each cell could be come to, by what could be: a floor, as if every door that could ever be open
// were so at once. Passages and seams take no step.
func (f *May) Reach(m world.Ref, from grid.Point) []Reach {
	out := make([]Reach, len(f.st.Grounds))
	for i, g := range f.st.Grounds {
		out[i] = Reach{Box: g.Bounds, Steps: make([]int32, g.Bounds.W*g.Bounds.H)}
		for k := range out[i].Steps {
			out[i].Steps[k] = -1
		}
	}
	exits := f.exits()
	level, steps := []spot{}, int32(0)
	put := func(s spot) {
		if !f.reached[s.m].has(s.p) {
			return
		}
		b := out[s.m].Box
		if i := (s.p.Y-b.Y)*b.W + s.p.X - b.X; out[s.m].Steps[i] < 0 {
			out[s.m].Steps[i] = steps
			level = append(level, s)
		}
	}
	put(spot{m: m, p: from})
	for len(level) > 0 {
		for i := 0; i < len(level); i++ { // what takes no step belongs to this level
			s := level[i]
			for _, to := range exits[s.m][s.p] {
				put(to)
			}
			for _, way := range document.Facings {
				dx, dy := way.Step()
				if p := (grid.Point{X: s.p.X + dx, Y: s.p.Y + dy}); !f.st.Grounds[s.m].Bounds.Contains(p) {
					if o, q, _ := f.st.Chart.Beyond(f.st.Grounds[s.m].Map, p); o != nil {
						put(spot{m: f.st.MapOf(o.ID), p: q})
					}
				}
			}
		}
		before := level
		level, steps = nil, steps+1
		for _, s := range before {
			for _, way := range document.Facings {
				dx, dy := way.Step()
				if p := (grid.Point{X: s.p.X + dx, Y: s.p.Y + dy}); f.st.Grounds[s.m].Bounds.Contains(p) {
					put(spot{m: s.m, p: p})
				}
			}
		}
	}
	return out
}

// exits are, by map and cell, the cells to which passages lead from there.
func (f *May) exits() []map[grid.Point][]spot {
	out := make([]map[grid.Point][]spot, len(f.st.Grounds))
	for i := range out {
		out[i] = map[grid.Point][]spot{}
	}
	for w, p := range f.st.Ways {
		to := f.st.Thing(f.st.ThingOf(p.To.Map, p.To.Entity))
		from := f.st.Thing(f.st.ThingOf(p.From.Map, p.From.Entity))
		if to == nil || from == nil || from.Acts != kind.Exit && from.Acts != kind.Door || !f.holds(f.st.Ways[w].If) {
			continue
		}
		box := to.Box(f.st.Grounds[to.Map].Map)
		at := from.Box(f.st.Grounds[from.Map].Map)
		for y := at.Y; y < at.Y+at.H; y++ {
			for x := at.X; x < at.X+at.W; x++ {
				cell := grid.Point{X: x, Y: y}
				out[from.Map][cell] = append(out[from.Map][cell], spot{m: to.Map, p: grid.Point{X: box.X + (box.W-1)/2, Y: box.Y + (box.H-1)/2}})
			}
		}
	}
	return out
}
