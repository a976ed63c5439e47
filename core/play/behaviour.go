package play

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
)

// Trace is a part of what an entity does, as it is drawn over it: a way along
// points, or a ring, in map pixels.
type Trace struct {
	// Is is one of the sorts of trace.
	Is     string       `json:"is"`
	Points []grid.Point `json:"points"`
	// Closed ways come back to their beginning.
	Closed bool `json:"closed"`
	Radius int  `json:"radius"`
	// Setting is the key of the one that decides it, which a handle changes.
	Setting string `json:"setting"`
}

// The sorts of trace.
const (
	TraceWay  = "way"  // where it goes
	TraceRing = "ring" // how far it reaches around
	TraceShot = "shot" // a line that hurts or throws
	TraceTied = "tied" // what it travels along with
)

// Behaviour is what an entity does in its place, computed against what stands
// in the way there.
func Behaviour(d *document.Document, c *chart.Chart, m *document.Map, e *document.Entity) []Trace {
	t := tracer{d, c.Solids(), m, e, []Trace{}}
	k := d.Kind(document.ID(e.Kind))
	if k == nil {
		return t.out
	}
	if o := m.Entities.Get(e.Carrier); o != nil {
		t.out = append(t.out, Trace{Is: TraceTied, Points: []grid.Point{middle(e), middle(o)}})
	}
	if k.Ways {
		t.out = append(t.out, t.path(e))
	}
	along := m.Entities.Get(document.ID(d.Value(e, "path").Word()))
	if along != nil {
		way := t.path(along)
		way.Setting = "path"
		t.out = append(t.out, way)
	}
	for _, s := range k.Settings {
		n := int(d.Value(e, s.Key).Thousandths())
		switch {
		case s.Handle == "" || s.Handle == kind.HandleUp || n <= 0:
		case s.Handle == kind.HandleRound:
			t.out = append(t.out, Trace{Is: TraceRing, Points: []grid.Point{middle(e)}, Radius: n * m.CellWidth / 1000, Setting: s.Key})
		case along == nil:
			t.line(&s, n, k.Acts())
		}
	}
	return t.out
}

type tracer struct {
	doc    *document.Document
	solids *document.Solids
	m      *document.Map
	e      *document.Entity
	out    []Trace
}

func middle(e *document.Entity) grid.Point { return grid.Point{X: e.X + e.W/2, Y: e.Y + e.H/2} }

// path is the way along a path's points.
func (t *tracer) path(e *document.Entity) Trace {
	from := middle(e)
	way := Trace{Is: TraceWay, Points: []grid.Point{from}, Closed: t.doc.Value(e, "goes").Word() == "round"}
	for _, p := range e.Points {
		way.Points = append(way.Points, grid.Point{X: from.X + p.X, Y: from.Y + p.Y})
	}
	return way
}

// line is the way ahead, or to both sides, as far as nothing solid is in the way
// of what cannot fly.
func (t *tracer) line(s *kind.Setting, thousandths int, acts string) {
	dx, dy := t.e.Facing.Step()
	if acts == kind.Spring && dy != 0 && t.doc.FromSide(t.m) {
		dy = -1 // it throws up, whichever way it was put down
	}
	flies := acts == "flyer" || acts == kind.Platform || acts == "spring"
	is := TraceWay
	if acts == "shooter" || acts == "beam" || acts == "spring" {
		is = TraceShot
	}
	at := middle(t.e)
	way := Trace{Is: is, Points: []grid.Point{at, t.reach(dx, dy, thousandths, flies)}, Setting: s.Key}
	if s.Handle == kind.HandleBoth {
		way.Points[0] = t.reach(-dx, -dy, thousandths, flies)
	}
	t.out = append(t.out, way)
}

// Reach is how a setting with a handle is shown while it is dragged: as far as it says,
// in thousandths of a cell, whatever stands in the way.
func Reach(m *document.Map, e *document.Entity, s *kind.Setting, thousandths int64) Trace {
	at := middle(e)
	if s.Handle == kind.HandleRound {
		return Trace{Is: TraceRing, Points: []grid.Point{at}, Radius: int(thousandths) * m.CellWidth / 1000}
	}
	dx, dy := e.Facing.Step()
	x, y := dx*int(thousandths)*m.CellWidth/1000, dy*int(thousandths)*m.CellHeight/1000
	way := Trace{Is: TraceWay, Points: []grid.Point{at, {X: at.X + x, Y: at.Y + y}}}
	if s.Handle == kind.HandleBoth {
		way.Points[0] = grid.Point{X: at.X - x, Y: at.Y - y}
	}
	return way
}

// reach is how far from the middle one comes in a direction.
func (t *tracer) reach(dx, dy, thousandths int, flies bool) grid.Point {
	at := middle(t.e)
	cell := t.m.CellWidth
	if dy != 0 {
		cell = t.m.CellHeight
	}
	far := thousandths * cell / 1000
	for n := 1; n <= far; n++ {
		p := grid.Point{X: at.X + dx*n, Y: at.Y + dy*n}
		in := grid.Point{X: grid.FloorDiv(p.X, t.m.CellWidth), Y: grid.FloorDiv(p.Y, t.m.CellHeight)}
		if !t.m.Bounds.Contains(in) || !flies && t.solids.At(t.m, in) {
			return grid.Point{X: at.X + dx*(n-1), Y: at.Y + dy*(n-1)}
		}
	}
	return grid.Point{X: at.X + dx*far, Y: at.Y + dy*far}
}
