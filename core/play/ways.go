package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/rules"
)

// outside reports whether some part of the hero's box at (x, y) would lie where
// the map ends and nothing leads on.
func (g *game) outside(m *document.Map, x, y int64) bool {
	if bx, by := g.within(m, x, y); bx == x && by == y {
		return false
	}
	w, h := heroBox(m)
	for _, cy := range []int64{y, y + h*Sub - 1} {
		for _, cx := range []int64{x, x + w*Sub - 1} {
			p := grid.Point{X: grid.FloorDiv(int(floorDiv(cx, Sub)), m.CellWidth), Y: grid.FloorDiv(int(floorDiv(cy, Sub)), m.CellHeight)}
			if !m.Bounds.Contains(p) && !g.leadsOn(m, p) {
				return true
			}
		}
	}
	// what stands beyond an open seam is in the way as well
	for _, s := range g.chart.Seams() {
		if s.A != m.ID && s.B != m.ID || s.Closed || s.Why != "" {
			continue
		}
		o := g.doc.Maps.Get(s.A)
		if s.A == m.ID {
			o = g.doc.Maps.Get(s.B)
		}
		dx, dy := g.pixels(m, o)
		if g.solids.Stops(o, extent(m, g.X-dx, g.Y-dy), extent(m, x-dx, y-dy)) {
			return true
		}
	}
	return false
}

// pixels is what has to be taken from a place on m to have it on o.
func (g *game) pixels(m, o *document.Map) (dx, dy int64) {
	cx, cy := g.chart.Offset(m, o)
	return int64(cx*m.CellWidth) * Sub, int64(cy*m.CellHeight) * Sub
}

// leadsOn reports whether one can go on over the edge of a map to a cell
// outside: through an open seam, or because that edge is no wall.
func (g *game) leadsOn(m *document.Map, p grid.Point) bool {
	if o, _, s := g.chart.Beyond(m, p); o != nil {
		return g.holds(s.If)
	}
	side := sideOf(m, p)
	return side != "" && m.Side(side) != document.SideWall
}

// sideOf is the side of a map over which a cell lies; empty where it lies over two, or over none.
func sideOf(m *document.Map, p grid.Point) document.Facing {
	b := m.Bounds
	across, along := p.X >= b.X && p.X < b.X+b.W, p.Y >= b.Y && p.Y < b.Y+b.H
	switch {
	case across && p.Y < b.Y:
		return document.Up
	case across && p.Y >= b.Y+b.H:
		return document.Down
	case along && p.X < b.X:
		return document.Left
	case along && p.X >= b.X+b.W:
		return document.Right
	}
	return ""
}

// cross goes over the edge of the map once the middle of the hero's box has.
func (g *game) cross(m *document.Map) {
	p := g.HeroCell(m)
	if m.Bounds.Contains(p) {
		return
	}
	if o, _, s := g.chart.Beyond(m, p); o != nil && g.holds(s.If) {
		dx, dy := g.pixels(m, o)
		g.Map, g.X, g.Y, g.Inside = o.ID, g.X-dx, g.Y-dy, ""
		g.Entry = Entry{o.ID, g.X, g.Y}
		if e := g.exitUnder(o); e != nil {
			g.Inside = e.ID
		}
		g.happen(happening{on: rules.WordArrive, m: o.ID})
		return
	}
	side := sideOf(m, p)
	switch {
	case side == "":
		g.X, g.Y = g.within(m, g.X, g.Y)
	case m.Side(side) == document.SideWrap:
		g.wrap(m, side)
	case m.Side(side) == document.SideFall:
		if g.Entry.Map == m.ID {
			g.X, g.Y = g.Entry.X, g.Entry.Y
		} else {
			g.X, g.Y = g.within(m, g.X, g.Y)
		}
		g.Fade = FadeTicks
	default:
		g.X, g.Y = g.within(m, g.X, g.Y)
		g.leave(document.End{Map: m.ID, Side: side}, "The "+side.Edge()+" of "+m.Name)
	}
}

// wrap comes in again on the other side, if there is room.
func (g *game) wrap(m *document.Map, side document.Facing) {
	wide, high := int64(m.Bounds.W*m.CellWidth)*Sub, int64(m.Bounds.H*m.CellHeight)*Sub
	x, y := g.X, g.Y
	switch side {
	case document.Up:
		y += high
	case document.Down:
		y -= high
	case document.Left:
		x += wide
	default:
		x -= wide
	}
	x, y = g.within(m, x, y)
	if g.solids.Stops(m, extent(m, x, y), extent(m, x, y)) {
		x, y = g.within(m, g.X, g.Y)
	}
	g.X, g.Y = x, y
}

// holds reports whether all that a way asks for is so.
func (g *game) holds(gates []document.Gate) bool {
	for _, a := range gates {
		is := false
		switch a.Asks {
		case document.GateFlag:
			is = g.Flags[a.Flag]
		case document.GateItem:
			is = g.Taken[a.Entity]
		case document.GateCount:
			n := 0
			for _, m := range g.doc.Maps.All() {
				for _, e := range g.solids.Collectibles(m) {
					if document.ID(e.Kind) == a.Kind && g.Taken[e.ID] {
						n++
					}
				}
			}
			is = n >= a.Count
		}
		if is == a.Not {
			return false
		}
	}
	return true
}

// exitUnder is the exit, or the open door that leads somewhere, that holds the
// middle of the hero's box.
func (g *game) exitUnder(m *document.Map) *document.Entity {
	w, h := heroBox(m)
	x, y := g.X+w*Sub/2, g.Y+h*Sub/2
	holds := func(e *document.Entity) bool {
		return !g.Gone[e.ID] && x >= int64(e.X)*Sub && x < int64(e.X+e.W)*Sub && y >= int64(e.Y)*Sub && y < int64(e.Y+e.H)*Sub
	}
	for _, e := range g.solids.Exits(m) {
		if holds(e) {
			return e
		}
	}
	for _, e := range g.solids.Doors(m) {
		if holds(e) && g.open(e) && g.passageFrom(document.End{Map: m.ID, Entity: e.ID}) != nil {
			return e
		}
	}
	return nil
}

func (g *game) passageFrom(end document.End) *document.Passage {
	for _, p := range g.doc.Passages.All() {
		if p.From == end {
			return p
		}
	}
	return nil
}

// leave goes through the passage that begins at an end, if there is one and it is open.
func (g *game) leave(end document.End, name string) {
	p := g.passageFrom(end)
	switch {
	case p == nil:
		g.Notice = name + " leads nowhere yet: join it to another map."
	case !g.holds(p.If):
		g.says(p.Shut, false)
	case g.doc.Entity(p.To.Map, p.To.Entity) == nil:
		g.Notice = name + " leads to a place that was removed."
	default:
		g.Leaving, g.Fade = p.ID, FadeTicks
		if p.Transition == "none" {
			g.Fade = 1
		}
	}
}

// fade darkens, sets the hero down at the passage's other end, and lightens.
func (g *game) fade() {
	g.Fade--
	if g.Fade > 0 || g.Leaving == "" {
		return
	}
	p := g.doc.Passages.Get(g.Leaving)
	g.Leaving = ""
	if p == nil {
		return
	}
	m, e := g.doc.Maps.Get(p.To.Map), g.doc.Entity(p.To.Map, p.To.Entity)
	if m == nil || e == nil {
		g.Notice = "The place that this passage led to was removed."
		return
	}
	if p.Transition != "none" {
		g.Fade = FadeTicks
	}
	g.setDown(m, e.Box(m), e.Facing)
	g.happen(happening{on: rules.WordArrive, m: m.ID})
}
