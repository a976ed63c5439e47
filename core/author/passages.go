package author

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"errors"
	"fmt"
)

// Place is whether the hero can be set down on a cell.
type Place struct {
	Free bool `json:"free"`
	// Reason says in a sentence what is in the way.
	Reason string `json:"reason"`
	// Nearest is the nearest cell that is free, where there is one.
	Nearest *grid.Point `json:"nearest"`
}

// nearestWithin is how far, in cells, a free cell is looked for.
const nearestWithin = 64

// CheckPlace tells whether the hero can be set down on a cell, and if not why
// and where it could be instead.
func CheckPlace(d *document.Document, m *document.Map, p grid.Point) Place {
	solids := d.Solids()
	reason := blocked(d, solids, m, p)
	if reason == "" {
		return Place{Free: true}
	}
	out := Place{Reason: reason}
	best := 0
	for y := p.Y - nearestWithin; y <= p.Y+nearestWithin; y++ {
		for x := p.X - nearestWithin; x <= p.X+nearestWithin; x++ {
			q := grid.Point{X: x, Y: y}
			away := (x-p.X)*(x-p.X) + (y-p.Y)*(y-p.Y)
			if (out.Nearest == nil || away < best) && m.Bounds.Contains(q) && !solids.At(m, q) && !solids.Water(m, q) {
				out.Nearest, best = &q, away
			}
		}
	}
	return out
}

func blocked(d *document.Document, solids *document.Solids, m *document.Map, p grid.Point) string {
	if !m.Bounds.Contains(p) {
		return fmt.Sprintf("That lies outside %s.", m.Name)
	}
	if !solids.At(m, p) {
		if solids.Water(m, p) {
			return "The hero cannot stand there: it is in the water."
		}
		return ""
	}
	if solids.Zoned(m, p) {
		return "The hero cannot stand there: a zone blocks it."
	}
	for _, l := range m.LayersInOrder() {
		if l.Front || l.Kind != document.LayerTiles {
			continue
		}
		if c := l.Cells.At(p.X, p.Y); solids.Shown(m, l, p) {
			if c.IsMaterial() {
				name := "a material"
				if found := d.MaterialByNumber(c.Tileset()); found != nil {
					name = found.Name
				}
				return fmt.Sprintf("The hero cannot stand there: %s on layer %s is solid.", name, l.Name)
			}
			name := "its tileset"
			if t := d.TilesetByNumber(c.Tileset()); t != nil {
				name = t.Name
			}
			return fmt.Sprintf("The hero cannot stand there: tile %d of %s on layer %s is solid.", c.Tile(), name, l.Name)
		}
	}
	return "The hero cannot stand there."
}

// Way is a passage to be made by pointing.
type Way struct {
	// From is the exit, To the map it leads to, At the cell the hero is set down on, looking at Facing.
	From   document.End    `json:"from"`
	To     document.ID     `json:"to"`
	At     grid.Point      `json:"at"`
	Facing document.Facing `json:"facing"`
	// Arrival is one that is there already, instead of a cell.
	Arrival document.ID `json:"arrival,omitempty"`
	// Back makes the return passage in the same step.
	Back bool `json:"back"`
}

// Join makes a passage from an exit to a place; a passage that the exit had is
// replaced. An end that is blocked or outside is refused with the reason.
func Join(d *document.Document, way Way) (Change, error) {
	from, to := d.Maps.Get(way.From.Map), d.Maps.Get(way.To)
	if from == nil || to == nil {
		return Change{}, errors.New("the exit or the map is no longer there")
	}
	j := joiner{doc: d, solids: d.Solids(), change: changed(fmt.Sprintf("Passage from %s to %s", from.Name, to.Name)), placed: map[document.ID]*document.Names{}}
	box, err := j.begins(from, way.From)
	if err != nil {
		return Change{}, err
	}
	if a := to.Entities.Get(way.Arrival); a != nil {
		way.At, way.Facing = middleOf(a.Box(to)), a.Facing
	} else if way.Arrival != "" {
		return Change{}, errors.New("the arrival is no longer there")
	}
	if way.Facing.Index() < 0 {
		return Change{}, errors.New("a facing is up, right, down or left")
	}
	if place := CheckPlace(d, to, way.At); !place.Free {
		return Change{}, errors.New(place.Reason)
	}
	j.unjoin(way.From, document.End{Map: way.To, Entity: way.Arrival})
	if err := j.join(way.From, to, way); err != nil {
		return Change{}, err
	}
	if way.Back {
		if err := j.back(way, from, to, box); err != nil {
			return Change{}, err
		}
	}
	return j.change, nil
}

func middleOf(box grid.Rect) grid.Point {
	return grid.Point{X: box.X + (box.W-1)/2, Y: box.Y + (box.H-1)/2}
}

// begins is the cells at which a passage begins: those of an exit or a door, or
// along a side of the map.
func (j *joiner) begins(m *document.Map, end document.End) (grid.Rect, error) {
	b := m.Bounds
	switch end.Side {
	case document.Up:
		return grid.Rect{X: b.X, Y: b.Y, W: b.W, H: 1}, nil
	case document.Down:
		return grid.Rect{X: b.X, Y: b.Y + b.H - 1, W: b.W, H: 1}, nil
	case document.Left:
		return grid.Rect{X: b.X, Y: b.Y, W: 1, H: b.H}, nil
	case document.Right:
		return grid.Rect{X: b.X + b.W - 1, Y: b.Y, W: 1, H: b.H}, nil
	}
	exit := m.Entities.Get(end.Entity)
	if exit == nil {
		return grid.Rect{}, errors.New("the exit or the map is no longer there")
	}
	if acts := j.doc.Acts(exit); acts != kind.Exit && acts != kind.Door {
		return grid.Rect{}, fmt.Errorf("a passage begins at an exit, a door or the edge of a map; %s is none of them", exit.Name)
	}
	box := exit.Box(m)
	if !chart.Standable(j.solids, m, box) {
		return grid.Rect{}, fmt.Errorf("the hero cannot reach %s: all of it lies in solid tiles or outside the map", exit.Name)
	}
	return box, nil
}

type joiner struct {
	doc    *document.Document
	solids *document.Solids
	change Change
	placed map[document.ID]*document.Names // names given in this change, by map
	count  int                             // entities put down in this change
}

func (j *joiner) free(m *document.Map, p grid.Point) bool {
	return m.Bounds.Contains(p) && !j.solids.At(m, p) && !j.solids.Water(m, p)
}

// unjoin removes the passages of an exit, and arrivals that nothing else uses
// and the new one does not either.
func (j *joiner) unjoin(from, next document.End) {
	for _, p := range j.doc.Passages.All() {
		if p.From != from {
			continue
		}
		j.change.Do = append(j.change.Do, edit.Remove(edit.Ref{Type: edit.TypePassage, ID: p.ID}))
		used := false
		for _, q := range j.doc.Passages.All() {
			used = used || q.ID != p.ID && q.To == p.To
		}
		if e := j.doc.Entity(p.To.Map, p.To.Entity); e != nil && !used && p.To != next {
			j.change.Do = append(j.change.Do, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: p.To.Map, ID: p.To.Entity}))
		}
	}
}

// join makes a passage to the arrival of a way, or to a new one on its cell.
func (j *joiner) join(from document.End, to *document.Map, way Way) error {
	arrival := way.Arrival
	if arrival == "" {
		var err error
		if arrival, err = j.put(to, kind.Arrival, grid.Rect{X: way.At.X, Y: way.At.Y, W: 1, H: 1}, way.Facing); err != nil {
			return err
		}
	}
	p := document.Passage{ID: document.NewID(), From: from, To: document.End{Map: to.ID, Entity: arrival}}
	j.change.Do = append(j.change.Do, edit.Insert(edit.Ref{Type: edit.TypePassage, ID: p.ID}, p))
	j.change.Made = p.ID
	return p.Check()
}

func (j *joiner) put(m *document.Map, kind string, box grid.Rect, facing document.Facing) (document.ID, error) {
	l := hand.Target(j.doc, m, &hand.Grip{What: hand.Entity, Kind: kind}, "")
	if l == nil {
		return "", fmt.Errorf("%s has no layer of entities that is shown and unlocked: add one first", m.Name)
	}
	if j.placed[m.ID] == nil {
		j.placed[m.ID] = m.Entities.Names(func(e *document.Entity) string { return e.Name })
	}
	name := j.placed[m.ID].Take(j.doc.Kind(document.ID(kind)).Name)
	e := document.Entity{ID: document.NewID(), Layer: l.ID, Kind: kind, Name: name, Facing: facing, Rank: m.NextRank() + j.count,
		X: box.X * m.CellWidth, Y: box.Y * m.CellHeight, W: box.W * m.CellWidth, H: box.H * m.CellHeight}
	j.count++
	j.change.Do = append(j.change.Do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e))
	return e.ID, nil
}

// back makes the return: an exit as broad as the first one, right behind the
// hero that has just arrived, or under it where that is blocked, and an arrival
// in front of the first exit.
func (j *joiner) back(way Way, from, to *document.Map, box grid.Rect) error {
	dx, dy := way.Facing.Step()
	behind := grid.Point{X: way.At.X - dx, Y: way.At.Y - dy}
	if !j.free(to, behind) {
		behind = way.At
	}
	breadth, sideX, sideY := box.W, 1, 0
	if dx != 0 {
		breadth, sideX, sideY = box.H, 0, 1
	}
	area := grid.Rect{X: behind.X, Y: behind.Y, W: 1, H: 1}
	for n, grew := 1, true; n < breadth && grew; {
		grew = false
		for _, dir := range []int{1, -1} {
			p := grid.Point{X: area.X - sideX, Y: area.Y - sideY}
			if dir > 0 {
				p = grid.Point{X: area.X + area.W*sideX, Y: area.Y + area.H*sideY}
			}
			if n < breadth && j.free(to, p) {
				area = area.Union(grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1})
				n, grew = n+1, true
			}
		}
	}
	back, err := j.put(to, kind.Exit, area, way.Facing.Opposite())
	if err != nil {
		return err
	}
	at, ok := j.before(from, box, -dx, -dy)
	if !ok {
		return fmt.Errorf("there is no free cell beside the exit on %s to come back to", from.Name)
	}
	return j.join(document.End{Map: to.ID, Entity: back}, from, Way{At: at, Facing: way.Facing.Opposite()})
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
