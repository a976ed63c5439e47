package author

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
)

// Return is where the way back of a passage begins and ends.
type Return struct {
	// Exit is its cells on the map to which the passage leads.
	Exit grid.Rect `json:"exit"`
	// At is the cell on the first map to which it leads, looking at Facing.
	At     grid.Point      `json:"at"`
	Facing document.Facing `json:"facing"`
	// Stays is set where the way back that is there still begins beside the place.
	Stays bool `json:"stays"`
}

// WayBack tells what *and back* would make, before it is made.
func WayBack(d *document.Document, way Way) (Return, error) {
	j, err := newJoiner(d, &way)
	if err != nil {
		return Return{}, err
	}
	return j.wayBack(way)
}

// narrow is the broadest opening, in cells, that a way back fills from side to side;
// in the open it is at most as broad as a gate.
const narrow, gate = 8, 3

// wayBack finds the exit right behind the hero that has just arrived, or under it
// where that is blocked. It is as broad as the first one, or as the opening in which
// one arrives, whichever is less; and never a strip across open ground.
func (j *joiner) wayBack(way Way) (Return, error) {
	if out, ok := j.stays(way); ok {
		return out, nil
	}
	dx, dy := way.Facing.Step()
	behind := grid.Point{X: way.At.X - dx, Y: way.At.Y - dy}
	if !j.free(j.to, behind) {
		behind = way.At
	}
	side, breadth := grid.Point{X: 1}, j.box.W
	if dx != 0 {
		side, breadth = grid.Point{Y: 1}, j.box.H
	}
	if way.From.Side != "" || breadth > narrow {
		if breadth = j.opening(behind, side); breadth > narrow {
			breadth = gate
		}
	}
	out := Return{Exit: j.spread(breadth, behind, side), Facing: way.Facing.Opposite()}
	if way.From.Side != "" {
		out.Facing = way.From.Side.Opposite() // into the map, away from its edge
	}
	sx, sy := out.Facing.Step()
	at, ok := j.before(j.from, j.box, sx, sy)
	if !ok {
		return out, fmt.Errorf("there is no free cell beside the exit on %s to come back to", j.from.Name)
	}
	out.At = at
	return out, nil
}

// stays gives the way back that is there, where it would still begin beside the place.
func (j *joiner) stays(way Way) (out Return, ok bool) {
	if j.returns == nil || j.returns.From.Map != j.to.ID {
		return out, false
	}
	box, there := chart.EndBox(j.doc, j.to, j.returns.From)
	if !there || !chart.Beside(box, grid.Rect{X: way.At.X, Y: way.At.Y, W: 1, H: 1}) {
		return out, false
	}
	out = Return{Exit: box, Stays: true, Facing: document.Down}
	if e := j.from.Entities.Get(j.returns.To.Entity); e != nil {
		out.At, out.Facing = middleOf(e.Box(j.from)), e.Facing
	}
	return out, true
}

// opening is how many free cells lie side by side at a cell.
func (j *joiner) opening(at, side grid.Point) int {
	n := 1
	for _, dir := range []int{1, -1} {
		p := grid.Point{X: at.X + dir*side.X, Y: at.Y + dir*side.Y}
		for n <= narrow && j.free(j.to, p) {
			n++
			p = grid.Point{X: p.X + dir*side.X, Y: p.Y + dir*side.Y}
		}
	}
	return n
}

// spread is up to breadth free cells side by side, grown from a cell to both sides.
func (j *joiner) spread(breadth int, at, side grid.Point) grid.Rect {
	area := grid.Rect{X: at.X, Y: at.Y, W: 1, H: 1}
	for n, grew := 1, true; n < breadth && grew; {
		grew = false
		for _, dir := range []int{1, -1} {
			p := grid.Point{X: area.X - side.X, Y: area.Y - side.Y}
			if dir > 0 {
				p = grid.Point{X: area.X + area.W*side.X, Y: area.Y + area.H*side.Y}
			}
			if n < breadth && j.free(j.to, p) {
				area = area.Union(grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1})
				n, grew = n+1, true
			}
		}
	}
	return area
}

// back makes the way back, or brings the one that is there along: one comes back to
// the same place as before. A door or an edge at which it began keeps its way.
func (j *joiner) back(way Way, r Return) error {
	if r.Stays {
		return nil
	}
	old := j.returns
	var exit *document.Entity
	if old != nil {
		if exit = j.doc.Entity(old.From.Map, old.From.Entity); exit == nil || j.doc.Acts(exit) != kind.Exit {
			old, exit = nil, nil
		}
	}
	made := j.change.Made
	from, to := document.End{Map: j.to.ID}, document.End{Map: j.from.ID}
	var err error
	if exit != nil && old.From.Map == j.to.ID {
		j.move(j.to, exit, r.Exit, way.Facing.Opposite())
		from = old.From
	} else if from.Entity, err = j.put(j.to, kind.Exit, r.Exit, way.Facing.Opposite()); err != nil {
		return err
	}
	if old != nil {
		to = old.To
	} else if to.Entity, err = j.put(j.from, kind.Arrival, grid.Rect{X: r.At.X, Y: r.At.Y, W: 1, H: 1}, r.Facing); err != nil {
		return err
	}
	if err := j.lead(old, from, to); err != nil {
		return err
	}
	if j.change.Made = made; old != nil && old.From != from {
		j.dropExit(old)
	}
	return nil
}

// dropBack takes away the way back, where there was one and none is wanted.
func (j *joiner) dropBack() {
	if j.returns != nil {
		j.change.Do = append(j.change.Do, edit.Remove(edit.Ref{Type: edit.TypePassage, ID: j.returns.ID}))
		j.dropExit(j.returns)
	}
}

// dropExit takes away the exit at which a passage began, unless it is a door, or
// something else names it.
func (j *joiner) dropExit(p *document.Passage) {
	m := j.doc.Maps.Get(p.From.Map)
	e := m.Entities.Get(p.From.Entity)
	if e != nil && e.Kind == kind.Exit && len(j.doc.Uses(m, map[document.ID]bool{e.ID: true})) < 2 {
		j.change.Do = append(j.change.Do, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
	}
}

// before finds the free cell nearest to the middle of a box's side that lies
// in direction (dx, dy), outside the box.
func (j *joiner) before(m *document.Map, box grid.Rect, dx, dy int) (at grid.Point, ok bool) {
	want := grid.Point{X: box.X + (box.W-1)/2, Y: box.Y + (box.H-1)/2}
	switch {
	case dx > 0:
		want.X = box.X + box.W
	case dx < 0:
		want.X = box.X - 1
	case dy > 0:
		want.Y = box.Y + box.H
	default:
		want.Y = box.Y - 1
	}
	var best grid.Point
	found, bestAway := false, 0
	for y := want.Y - nearestWithin; y <= want.Y+nearestWithin; y++ {
		for x := want.X - nearestWithin; x <= want.X+nearestWithin; x++ {
			p := grid.Point{X: x, Y: y}
			away := (x-want.X)*(x-want.X) + (y-want.Y)*(y-want.Y)
			if (!found || away < bestAway) && !box.Contains(p) && j.free(m, p) {
				best, bestAway, found = p, away, true
			}
		}
	}
	return best, found
}
