package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/hand"
	"slices"
)

// stroke is what is known of a stroke by hand while it is led on, so that each preview tells only what the last part of its way adds,
// however long it has become.
type stroke struct {
	doc    *document.Document
	within *grid.Region
	args   pressArgs
	// first and last are the ends of its way of so many points, number is that of its last ghost.
	first, last grid.Point
	points      int
	number      int
	// region is what it came to, written what it does not leave as it is.
	region, written *grid.Region
	// planes are layers as the stroke would leave them.
	planes []strokePlane
	drawn  []int
	// told tells that cells are drawn one by one.
	told bool
}

type strokePlane struct {
	layer document.ID
	plane cells.Plane
}

// ledOn reports whether what a press does along the last part of a way follows from that part and where the way began. With a mirror it
// does not: an image of what came later can lie over what came before; nor where the tiles of a scatter are kept apart from their neighbours.
func ledOn(a *pressArgs) bool {
	g := &a.Grip
	return g.Shape == hand.Freehand && a.Mirror.Mode == "" && (g.Scatter == nil || !g.Scatter.Apart) && slices.Contains([]string{hand.Tiles, hand.Material, hand.Zone, hand.Eraser}, g.What)
}

// beginStroke keeps what a stroke is so far, after its whole ghost was told.
func (s *Session) beginStroke(a pressArgs, plan *hand.Plan, m *document.Map, g *Ghost) {
	s.stroke = nil
	if !ledOn(&a) || !plan.Removing && plan.Count() == 0 {
		return
	}
	way := a.Gesture.Way
	t := &stroke{doc: s.doc(), within: s.within(m.ID), args: a, first: way[0], last: way[len(way)-1], points: len(way), number: g.Number,
		region: plan.Region.Clone(), written: written(plan).Clone(), drawn: slices.Clone(g.Drawn), told: !plan.Removing && plan.Count() <= maxGhostCells}
	t.args.Gesture.Way = nil
	if t.told {
		for _, w := range plan.Writes {
			after, _ := w.Cells.Apply(m.Layers.Get(w.Layer).Cells)
			t.planes = append(t.planes, strokePlane{w.Layer, after})
		}
	}
	s.stroke = t
}

// plane is a layer as the stroke leaves it so far.
func (t *stroke) plane(l *document.Layer) *cells.Plane {
	for i := range t.planes {
		if t.planes[i].layer == l.ID {
			return &t.planes[i].plane
		}
	}
	t.planes = append(t.planes, strokePlane{l.ID, l.Cells})
	return &t.planes[len(t.planes)-1].plane
}

// leadOn tells what the stroke of a known ghost would do besides, led on along a way.
func (s *Session) leadOn(a pressArgs) (zero Ghost, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	w := s.work(m, a.Active)
	t := s.stroke
	if t == nil || t.number != a.Of || t.points != a.After || t.doc != s.doc() || t.within != w.Within || len(a.Gesture.Way) == 0 || !sameHold(t.args, a) {
		s.stroke = nil
		return Ghost{Lost: true}, nil
	}
	w.Began = &t.first
	ges := a.Gesture
	ges.Way = append([]grid.Point{t.last}, ges.Way...)
	t.points, t.last = t.points+len(a.Gesture.Way), ges.Way[len(ges.Way)-1]
	s.ghosts++
	t.number = s.ghosts
	g := Ghost{Number: t.number, More: true, Covered: !t.told}
	plan, err := hand.Resolve(w, a.Grip, ges)
	if err == nil {
		fresh := plan.Region.Clone()
		fresh.Subtract(t.region)
		if t.told && t.region.Count()+fresh.Count() > maxGhostCells {
			t.told, t.planes, g.Covered = false, nil, true // from here on only what it covers is told
		}
		for _, one := range plan.Writes {
			if len(t.drawn) > 0 {
				s.drawnMore(&a.Grip, t, &one)
			}
			if l := m.Layers.Get(one.Layer); t.told {
				plane := t.plane(l)
				*plane = s.ghostCells(&g, m, l, *plane, one.Cells)
			}
		}
		t.region.Union(fresh)
		if plan.Removing || plan.Count() > 0 {
			more := written(plan)
			t.written.Union(more)
			g.Rects = pieces(t.written, more.Chunks())
		}
		if n := len(t.drawn) - 1; n >= 0 {
			t.drawn[n] = t.region.Count()
			for _, some := range t.drawn[:n] {
				t.drawn[n] -= some
			}
		}
	} // else its last part lies outside of the map, and adds nothing
	g.Bounds, g.Count, g.Drawn = t.region.Bounds(), t.region.Count(), slices.Clone(t.drawn)
	return g, nil
}

// drawnMore counts the choices of a scatter in cells that the stroke has not come to before.
func (s *Session) drawnMore(g *hand.Grip, t *stroke, one *hand.Write) {
	block, _ := g.Block(s.looks())
	choices := hand.Choices(block)
	one.Cells.Each(func(p grid.Point, v cells.Cell) {
		if t.region.Has(p) {
			return
		}
		if i := slices.Index(choices, v); i >= 0 {
			t.drawn[i]++
		}
	})
}
