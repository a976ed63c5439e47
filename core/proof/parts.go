package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// lined is a map, seen from the side, on which ground that is drawn freely divides cells: into the connected parts of the
// whole pixels where the middle of a hero could be.
type lined struct {
	ground *world.Ground
	gait   *world.Gait
	lines  []world.Ref // that are always there, ascending
	cells  map[grid.Point]*parts
}

// parts are those of a cell. Label tells of each of its pixels, by rows, in which part it is, from 1 on, 0 in none; nil is
// a cell that is whole.
type parts struct {
	label   []uint8
	n       int
	reached uint64
}

// maxParts is how many parts of a cell are told apart; all others are one with the last of them.
const maxParts = 64

// all are all parts of a cell, as bits.
func (p *parts) all() uint64 {
	if p.label == nil {
		return 1
	}
	return ^uint64(0) >> (64 - max(1, p.n)) // nobody who was put into a cell without room is nowhere
}

// left are the parts that nobody has reached.
func (p *parts) left() uint64 { return p.all() &^ p.reached }

// divided finds how ground that is drawn freely divides a map; nil where it does not, or where that cannot be said: where
// something is put down across it, heroes differ in size, or something moves so fast that it could get through.
func divided(st *world.Stage, g *world.Ground) *lined {
	if !g.Side || !g.HasLines() {
		return nil
	}
	l := &lined{ground: g, gait: st.Gait(g, world.None), cells: map[grid.Point]*parts{}}
	for _, r := range st.Heroes {
		if o := st.Gait(g, r); o.W != l.gait.W || o.H != l.gait.H || o.Low != l.gait.Low {
			return nil
		}
	}
	gone := takenAway(st.Rules)
	fast := int64(0)
	for r := g.First; r < g.After; r++ {
		t := st.Thing(r)
		fast = max(fast, t.Doing.SpeedX, t.Doing.SpeedY, t.Doing.ForceX, t.Doing.ForceY)
		if t.Doing.Way != nil {
			fast = max(fast, t.Doing.Way.Speed)
		}
		if t.Area != nil {
			fast = max(fast, t.Area.FlowX, -t.Area.FlowX, t.Area.FlowY, -t.Area.FlowY)
		}
		if t.Doing.Line != nil && !t.Doing.Line.Above && !t.Absent && len(t.Variants) == 0 && t.Doing.By < 0 && !slices.Contains(gone, st.End(r)) {
			l.lines = append(l.lines, r)
		}
	}
	if len(l.lines) == 0 || 2*fast > min(l.gait.W, l.gait.Low)-2*world.Unit {
		return nil
	}
	w, h := g.Cell()
	for r := g.First; r < g.After; r++ {
		t := st.Thing(r)
		if k := st.Doc.Kind(document.ID(t.Kind)); k == nil || !k.Heroic && !k.Met && t.Acts != kind.Checkpoint {
			continue
		}
		// where somebody is set down: on its floor, in its middle
		box := t.Box(g.Map)
		x, bottom := (int64(box.X)*2+int64(box.W))*w/2, int64(box.Y+box.H)*h
		if l.blocked(world.Box{Left: x - l.gait.W/2, Top: bottom - l.gait.H, Right: x + l.gait.W/2, Bottom: bottom}) {
			return nil
		}
	}
	return l
}

// takenAway are the things that rules take away.
func takenAway(all []*document.Rule) (out []document.End) {
	for _, r := range all {
		for _, p := range r.Parts.All() {
			if o, ok := document.Named(p.Blank("what")); ok && p.Word == rules.WordRemove {
				out = append(out, document.End{Map: o.Map, Entity: o.ID})
			}
		}
	}
	return out
}

// blocked reports whether a line that is always there touches a box.
func (l *lined) blocked(box world.Box) (in bool) {
	l.ground.Segments(box, func(s *world.Segment) bool {
		_, stays := slices.BinarySearch(l.lines, s.Of)
		in = stays && world.Crosses(s.A, s.B, box)
		return !in
	})
	return in
}

// at are the parts of a cell.
func (l *lined) at(p grid.Point) *parts {
	if all := l.cells[p]; all != nil {
		return all
	}
	out := &parts{}
	l.cells[p] = out
	w, h := l.ground.Cell()
	left, top := int64(p.X)*w, int64(p.Y)*h
	near := world.Box{Left: left - l.gait.W/2, Top: top - l.gait.H/2, Right: left + w + l.gait.W/2, Bottom: top + h + l.gait.H/2}
	if !l.blocked(near) {
		return out
	}
	// a hero between two pixels, and one that ducks, touches no less than its box without its outermost pixels
	across, down := int(w/world.Unit), int(h/world.Unit)
	out.label = make([]uint8, across*down)
	free := make([]bool, across*down)
	for y := range down {
		for x := range across {
			mx, bottom := left+int64(x)*world.Unit, top+int64(y)*world.Unit+l.gait.H/2
			free[y*across+x] = !l.blocked(world.Box{Left: mx - l.gait.W/2 + world.Unit, Top: bottom - l.gait.Low + world.Unit, Right: mx + l.gait.W/2 - world.Unit, Bottom: bottom - world.Unit})
		}
	}
	var todo []int
	for from := range free {
		if !free[from] || out.label[from] != 0 {
			continue
		}
		out.n = min(out.n+1, maxParts)
		out.label[from] = uint8(out.n)
		for todo = append(todo[:0], from); len(todo) > 0; {
			at := todo[len(todo)-1]
			todo = todo[:len(todo)-1]
			for y := max(0, at/across-1); y <= min(down-1, at/across+1); y++ {
				for x := max(0, at%across-1); x <= min(across-1, at%across+1); x++ {
					if i := y*across + x; free[i] && out.label[i] == 0 {
						out.label[i] = uint8(out.n)
						todo = append(todo, i)
					}
				}
			}
		}
	}
	return out
}

// across are the parts of the cell beside one that can be come to from a part of it; 0 on maps that are not divided.
func (f *May) across(s spot, p grid.Point, way document.Facing) (out uint64) {
	l := f.lined[s.m]
	if l == nil {
		return 0
	}
	a, b := l.at(s.p), l.at(p)
	if a.label == nil && b.label == nil {
		return 1
	}
	w, h := l.ground.Cell()
	across, down := int(w/world.Unit), int(h/world.Unit)
	is := func(of *parts, x, y int) uint8 {
		if of.label == nil {
			return 1
		}
		return of.label[y*across+x]
	}
	dx, dy := way.Step()
	long := down
	if dy != 0 {
		long = across
	}
	// the pixels along their common side, and those beside them at a slant
	for i := range long {
		for j := max(0, i-1); j <= min(long-1, i+1); j++ {
			x, y, u, v := i, 0, j, down-1
			switch {
			case dy > 0:
				y, v = down-1, 0
			case dx > 0:
				x, y, u, v = across-1, i, 0, j
			case dx < 0:
				x, y, u, v = 0, i, across-1, j
			}
			if to := is(b, u, v); to != 0 && is(a, x, y) == s.part+1 {
				out |= 1 << (to - 1)
			}
		}
	}
	return out
}

// enterParts reaches parts of a cell of a map that is divided.
func (f *May) enterParts(s spot, which uint64) {
	all := f.lined[s.m].at(s.p)
	which &^= all.reached
	if which == 0 {
		return
	}
	all.reached |= which
	f.reached[s.m].add(s.p)
	f.arrived[s.m] = true
	for part := range uint8(maxParts) {
		if which>>part&1 != 0 {
			f.queue = append(f.queue, spot{s.m, s.p, part})
		}
	}
}
