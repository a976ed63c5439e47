package play

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
)

// game is a state with the document it is played in, for one tick.
type game struct {
	*State
	doc    *document.Document
	chart  *chart.Chart
	solids *document.Solids
	queue  []happening
}

// Step plays one tick: input, movement, happenings first in first out, rules.
// A document that changed since the last tick is simply the one that is played.
func Step(s *State, d *document.Document, c *chart.Chart, in Input) {
	g := game{s, d, c, c.Solids(), nil}
	pressed := in &^ s.Held
	s.Held = in
	s.Tick++
	m := d.Maps.Get(s.Map)
	switch {
	case m == nil:
		s.Notice = "The map that was played on was removed."
		return
	case s.Leaving != "" || s.Fade > 0:
		g.fade()
	case len(s.Lines) > 0:
		s.Steps = 0
		if pressed&InputUse != 0 {
			read := s.Lines[0]
			if s.Lines = s.Lines[1:]; read.Resumes {
				g.resume()
			}
		}
	default:
		s.Notice = ""
		g.walk(m, in)
		if g.cross(m); g.Map != m.ID {
			break // it is on another map from the next tick on
		}
		if pressed&InputUse != 0 {
			g.use(m)
		}
		g.touch(m)
	}
	g.settle()
}

func (g *game) setDown(m *document.Map, box grid.Rect, facing document.Facing) {
	w, h := heroBox(m)
	g.Map, g.Facing, g.Steps = m.ID, facing, 0
	g.X = int64(box.X*m.CellWidth*2+box.W*m.CellWidth-int(w)) * Sub / 2
	g.Y = int64(box.Y*m.CellHeight*2+box.H*m.CellHeight-int(h)) * Sub / 2
	g.Inside, g.Entry = "", Entry{m.ID, g.X, g.Y}
	if e := g.exitUnder(m); e != nil {
		g.Inside = e.ID
	}
}

// walk moves the hero along one axis after the other and slides it round
// corners that it only just touches.
func (g *game) walk(m *document.Map, in Input) {
	dx := int64(in>>1&1) - int64(in>>3&1)
	dy := int64(in>>2&1) - int64(in&1)
	if dx == 0 && dy == 0 {
		g.Steps = 0
		return
	}
	g.Steps++
	was := g.Facing
	switch {
	case dx == 0 || dy != 0 && (was == document.Up || was == document.Down):
		g.Facing = document.Down
		if dy < 0 {
			g.Facing = document.Up
		}
	default:
		g.Facing = document.Right
		if dx < 0 {
			g.Facing = document.Left
		}
	}
	speed := g.doc.HeroValue(m, g.doc.Entity(g.Hero.Map, g.Hero.Entity), g.doc.HeroKind(), document.HeroSpeed).Thousandths()
	ax, ay := speed*int64(m.CellWidth)*Sub/TicksPerSecond/1000, speed*int64(m.CellHeight)*Sub/TicksPerSecond/1000
	if dx != 0 && dy != 0 {
		ax, ay = ax*181/256, ay*181/256 // 1/√2
	}
	movedX := g.move(m, dx*ax, 0)
	movedY := g.move(m, 0, dy*ay)
	if !movedX && dx != 0 && dy == 0 {
		g.slide(m, dx, 0, ay)
	}
	if !movedY && dy != 0 && dx == 0 {
		g.slide(m, 0, dy, ax)
	}
}

// move goes as far as is free, whole pixels at the last; it reports whether it moved.
func (g *game) move(m *document.Map, dx, dy int64) bool {
	if dx == 0 && dy == 0 {
		return false
	}
	if !g.blocked(m, g.X+dx, g.Y+dy) {
		g.X, g.Y = g.X+dx, g.Y+dy
		return true
	}
	if g.blocked(m, g.X, g.Y) {
		// one that stands inside something, painted while it played, may walk out
		g.X, g.Y = g.within(m, g.X+dx, g.Y+dy)
		return true
	}
	moved := false
	for range max(abs(dx), abs(dy))/Sub + 1 {
		x, y := nextPixel(g.X, sign(dx)), nextPixel(g.Y, sign(dy))
		if x == g.X && y == g.Y || g.blocked(m, x, y) {
			break
		}
		g.X, g.Y, moved = x, y, true
	}
	return moved
}

// nextPixel is the next whole pixel in a direction; at 0 it stays.
func nextPixel(v, direction int64) int64 {
	switch {
	case direction > 0:
		return (floorDiv(v, Sub) + 1) * Sub
	case direction < 0:
		return floorDiv(v-1, Sub) * Sub
	}
	return v
}

// within keeps the hero on the map.
func (g *game) within(m *document.Map, x, y int64) (int64, int64) {
	w, h := heroBox(m)
	left, top := int64(m.Bounds.X*m.CellWidth)*Sub, int64(m.Bounds.Y*m.CellHeight)*Sub
	right := int64((m.Bounds.X+m.Bounds.W)*m.CellWidth)*Sub - w*Sub
	bottom := int64((m.Bounds.Y+m.Bounds.H)*m.CellHeight)*Sub - h*Sub
	return max(left, min(x, right)), max(top, min(y, bottom))
}

// slide goes round a corner when the way is free up to half the hero's box aside.
func (g *game) slide(m *document.Map, dx, dy, speed int64) {
	w, h := heroBox(m)
	for off := int64(1); off <= max(w, h)/2; off++ {
		for _, aside := range []int64{-off, off} {
			sx, sy := aside*Sub*abs(dy), aside*Sub*abs(dx)
			if g.blocked(m, g.X+sx+dx*Sub, g.Y+sy+dy*Sub) {
				continue
			}
			pull := min(speed, off*Sub) * sign(aside)
			g.move(m, pull*abs(dy), pull*abs(dx))
			return
		}
	}
}

// blocked reports whether the hero's box at (x, y) lies outside the map or
// touches something solid or a shut door.
func (g *game) blocked(m *document.Map, x, y int64) bool {
	if g.outside(m, x, y) {
		return true
	}
	if g.solids.Stops(m, extent(m, g.X, g.Y), extent(m, x, y)) {
		return true
	}
	for _, e := range g.solids.Doors(m) {
		if !g.open(e) && !g.Gone[e.ID] && g.overlaps(m, x, y, e) {
			return true
		}
	}
	for _, e := range g.solids.Standing(m) {
		if !g.Gone[e.ID] && g.overlaps(m, x, y, e) {
			return true
		}
	}
	return false
}

// extent is the hero's box at (x, y).
func extent(m *document.Map, x, y int64) document.Extent {
	w, h := heroBox(m)
	return document.Extent{Left: x, Top: y, Right: x + w*Sub, Bottom: y + h*Sub}
}

func (g *game) open(e *document.Entity) bool { return e.On || g.Opened[e.ID] }

// overlaps reports whether the hero's box at (x, y) touches an entity's body.
func (g *game) overlaps(m *document.Map, x, y int64, e *document.Entity) bool {
	w, h := heroBox(m)
	b := g.doc.Body(e)
	return x < int64(b.X+b.W)*Sub && x+w*Sub > int64(b.X)*Sub && y < int64(b.Y+b.H)*Sub && y+h*Sub > int64(b.Y)*Sub
}

// use works the switch that the hero stands on or looks at, within a cell.
func (g *game) use(m *document.Map) {
	dx, dy := g.Facing.Step()
	for _, reach := range []int64{0, 1} {
		x := g.X + reach*int64(dx*m.CellWidth)*Sub*3/4
		y := g.Y + reach*int64(dy*m.CellHeight)*Sub*3/4
		for _, e := range document.InRank(m.Entities.All()) {
			if g.doc.Acts(e) == kind.Switch && !g.Gone[e.ID] && g.overlaps(m, x, y, e) {
				g.Switched[e.ID] = !g.Switched[e.ID]
				g.happen(happening{rules.WordUse, m.ID, e.ID})
				return
			}
		}
	}
}

// touch takes collectibles and enters exits.
func (g *game) touch(m *document.Map) {
	for _, e := range g.solids.Collectibles(m) {
		if !g.Taken[e.ID] && !g.Gone[e.ID] && g.overlaps(m, g.X, g.Y, e) {
			g.Taken[e.ID] = true
			g.happen(happening{rules.WordTake, m.ID, e.ID})
		}
	}
	exit := g.exitUnder(m)
	switch {
	case exit == nil:
		g.Inside = ""
	case exit.ID != g.Inside:
		g.Inside = exit.ID
		g.leave(document.End{Map: m.ID, Entity: exit.ID}, exit.Name)
	}
}

func floorDiv(a, n int64) int64 {
	q := a / n
	if a%n < 0 {
		q--
	}
	return q
}

func abs(a int64) int64 {
	if a < 0 {
		return -a
	}
	return a
}

func sign(a int64) int64 {
	switch {
	case a > 0:
		return 1
	case a < 0:
		return -1
	}
	return 0
}
