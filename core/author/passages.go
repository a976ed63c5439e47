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

// Join makes a passage from an exit to a place. A passage that begins there already
// is led elsewhere: only its end changes, and with it its way back. An end that is
// blocked or outside is refused with the reason.
func Join(d *document.Document, way Way) (Change, error) {
	j, err := newJoiner(d, &way)
	if err != nil {
		return Change{}, err
	}
	if place := CheckPlace(d, j.to, way.At); !place.Free {
		return Change{}, errors.New(place.Reason)
	}
	if err := j.there(way); err != nil {
		return Change{}, err
	}
	if !way.Back {
		j.dropBack()
	} else if back, err := j.wayBack(way); err != nil {
		return Change{}, err
	} else if err := j.back(way, back); err != nil {
		return Change{}, err
	}
	if len(j.change.Do) == 0 {
		return Change{}, errors.New("it leads there already")
	}
	return j.change, nil
}

// Joined is how a passage that begins at an exit leads now.
type Joined struct {
	// Passage is empty where none begins there.
	Passage document.ID     `json:"passage"`
	To      document.ID     `json:"to"`
	At      grid.Point      `json:"at"`
	Facing  document.Facing `json:"facing"`
	// Back is the passage that leads back; empty where none does.
	Back document.ID `json:"back"`
}

// JoinedAt tells how an exit is joined now.
func JoinedAt(d *document.Document, from document.End) (out Joined, err error) {
	if d.Maps.Get(from.Map) == nil {
		return out, errors.New("the exit or the map is no longer there")
	}
	out.Facing = document.Down
	p := passageFrom(d, from)
	if p == nil {
		return out, nil
	}
	out.Passage = p.ID
	if back := chart.Back(d, p); back != nil {
		out.Back = back.ID
	}
	if e := d.Entity(p.To.Map, p.To.Entity); e != nil {
		out.To, out.At, out.Facing = p.To.Map, middleOf(e.Box(d.Maps.Get(p.To.Map))), e.Facing
	}
	return out, nil
}

func passageFrom(d *document.Document, from document.End) *document.Passage {
	for _, p := range d.Passages.All() {
		if p.From == from {
			return p
		}
	}
	return nil
}

func middleOf(box grid.Rect) grid.Point {
	return grid.Point{X: box.X + (box.W-1)/2, Y: box.Y + (box.H-1)/2}
}

// joiner leads a passage to a place and back.
type joiner struct {
	doc    *document.Document
	solids *document.Solids
	from   *document.Map
	to     *document.Map
	// box is the cells at which the passage begins.
	box grid.Rect
	// now is the passage that begins there already, returns its way back.
	now, returns *document.Passage
	change       Change
	placed       map[document.ID]*document.Names // names given in this change, by map
	count        int                             // entities put down in this change
}

func newJoiner(d *document.Document, way *Way) (*joiner, error) {
	from, to := d.Maps.Get(way.From.Map), d.Maps.Get(way.To)
	if from == nil || to == nil {
		return nil, errors.New("the exit or the map is no longer there")
	}
	j := &joiner{doc: d, solids: d.Solids(), from: from, to: to, change: changed(fmt.Sprintf("Passage from %s to %s", from.Name, to.Name)),
		placed: map[document.ID]*document.Names{}, now: passageFrom(d, way.From)}
	if j.now != nil {
		j.returns = chart.Back(d, j.now)
	}
	if a := to.Entities.Get(way.Arrival); a != nil {
		way.At, way.Facing = middleOf(a.Box(to)), a.Facing
	} else if way.Arrival != "" {
		return nil, errors.New("the arrival is no longer there")
	}
	if way.Facing.Index() < 0 {
		return nil, errors.New("a facing is up, right, down or left")
	}
	return j, j.begins(way.From)
}

// begins finds the cells at which a passage begins.
func (j *joiner) begins(end document.End) error {
	box, ok := chart.EndBox(j.doc, j.from, end)
	if !ok {
		return errors.New("the exit or the map is no longer there")
	}
	j.box = box
	if end.Side != "" {
		return nil
	}
	exit := j.from.Entities.Get(end.Entity)
	if acts := j.doc.Acts(exit); acts != kind.Exit && acts != kind.Door {
		return fmt.Errorf("a passage begins at an exit, a door or the edge of a map; %s is none of them", exit.Name)
	}
	if !chart.Standable(j.solids, j.from, box) {
		return fmt.Errorf("the hero cannot reach %s: all of it lies in solid tiles or outside the map", exit.Name)
	}
	return nil
}

func (j *joiner) free(m *document.Map, p grid.Point) bool {
	return m.Bounds.Contains(p) && !j.solids.At(m, p) && !j.solids.Water(m, p)
}

// there leads the passage to its place: to an arrival that is there, to its own one
// that is moved, or to a new one.
func (j *joiner) there(way Way) error {
	arrival := way.Arrival
	if arrival == "" {
		var err error
		if arrival, err = j.arrive(j.now, j.to, way.At, way.Facing); err != nil {
			return err
		}
	}
	return j.lead(j.now, way.From, document.End{Map: j.to.ID, Entity: arrival})
}

// arrive gives the arrival on a cell: that of the passage where it lies on the same map
// and nothing else leads to it, else a new one.
func (j *joiner) arrive(p *document.Passage, m *document.Map, at grid.Point, facing document.Facing) (document.ID, error) {
	if p != nil && p.To.Map == m.ID && j.only(p) {
		if e := m.Entities.Get(p.To.Entity); e != nil && j.doc.Acts(e) == kind.Arrival {
			j.move(m, e, grid.Rect{X: at.X, Y: at.Y, W: 1, H: 1}, facing)
			return e.ID, nil
		}
	}
	return j.put(m, kind.Arrival, grid.Rect{X: at.X, Y: at.Y, W: 1, H: 1}, facing)
}

// only reports whether nothing but a passage leads to its arrival.
func (j *joiner) only(p *document.Passage) bool {
	for _, q := range j.doc.Passages.All() {
		if q.ID != p.ID && q.To == p.To {
			return false
		}
	}
	return true
}

// lead makes a passage, or gives the one that is there other ends; all else of it stays.
func (j *joiner) lead(p *document.Passage, from, to document.End) error {
	if p == nil {
		made := document.Passage{ID: document.NewID(), From: from, To: to}
		j.change.Do = append(j.change.Do, edit.Insert(edit.Ref{Type: edit.TypePassage, ID: made.ID}, made))
		j.change.Made = made.ID
		return made.Check()
	}
	ref := edit.Ref{Type: edit.TypePassage, ID: p.ID}
	if p.From != from {
		j.change.Do = append(j.change.Do, edit.Set(ref, "from", from))
	}
	if p.To != to {
		j.change.Do = append(j.change.Do, edit.Set(ref, "to", to))
	}
	j.change.Made = p.ID
	next := *p
	next.From, next.To = from, to
	return next.Check()
}

// move brings an entity to cells of its map.
func (j *joiner) move(m *document.Map, e *document.Entity, box grid.Rect, facing document.Facing) {
	ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
	for _, f := range []struct {
		field   string
		is, was int
	}{{"x", box.X * m.CellWidth, e.X}, {"y", box.Y * m.CellHeight, e.Y}, {"w", box.W * m.CellWidth, e.W}, {"h", box.H * m.CellHeight, e.H}} {
		if f.is != f.was {
			j.change.Do = append(j.change.Do, edit.Set(ref, f.field, f.is))
		}
	}
	if e.Facing != facing {
		j.change.Do = append(j.change.Do, edit.Set(ref, "facing", facing))
	}
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
