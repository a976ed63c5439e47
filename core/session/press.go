package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/hand"
	"errors"
	"reflect"
)

type pressArgs struct {
	Map     document.ID  `json:"map"`
	Active  document.ID  `json:"active"`
	Grip    hand.Grip    `json:"grip"`
	Gesture hand.Gesture `json:"gesture"`
}

// Ghost is what a press would do, for drawing.
type Ghost struct {
	Layer     document.ID `json:"layer"`
	LayerName string      `json:"layerName"`
	Bounds    grid.Rect   `json:"bounds"`
	Count     int         `json:"count"`
	Removing  bool        `json:"removing"`
	// Cells is x, y, cell by turns when there are few; else Spans covers them.
	Cells    []int64            `json:"cells,omitempty"`
	Spans    []grid.Span        `json:"spans,omitempty"`
	Entities []*document.Entity `json:"entities,omitempty"`
	Take     []document.ID      `json:"take,omitempty"`
	// Refusal says why nothing would happen.
	Refusal string `json:"refusal,omitempty"`
}

// Limits of what a ghost draws cell by cell, and in spans.
const (
	maxGhostCells = 3000
	maxGhostSpans = 6000
)

func (s *Session) plan(a pressArgs) (*document.Map, *hand.Plan, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, nil, err
	}
	c := &s.ghost
	last := grid.Point{}
	if n := len(a.Gesture.Way); n > 0 {
		last = a.Gesture.Way[n-1]
	}
	// a fill from anywhere in the same area is the same fill, unless a block's
	// pattern starts elsewhere
	if c.region && c.doc == s.doc() && c.plan.Region.Has(last) && len(a.Gesture.Way) > 0 && sameHold(c.args, a) {
		return m, c.plan, nil
	}
	plan, err := hand.Resolve(s.doc(), m, a.Active, a.Grip, a.Gesture)
	if err != nil {
		return m, nil, err
	}
	*c = cachedPlan{s.doc(), a, plan, a.Grip.Shape == hand.Fill && len(a.Grip.Cells) < 2 && a.Grip.What != hand.Entity}
	return m, plan, nil
}

func sameHold(a, b pressArgs) bool {
	return a.Map == b.Map && a.Active == b.Active && a.Gesture.Remove == b.Gesture.Remove && reflect.DeepEqual(a.Grip, b.Grip)
}

func (s *Session) preview(a pressArgs) (any, error) {
	m, plan, err := s.plan(a)
	if m == nil {
		return nil, err
	}
	if err != nil {
		return Ghost{Refusal: err.Error()}, nil
	}
	g := Ghost{Layer: plan.Layer, LayerName: m.Layers.Get(plan.Layer).Name, Bounds: plan.Region.Bounds(), Count: plan.Region.Count(), Removing: plan.Removing, Entities: plan.Place}
	for _, e := range plan.Take {
		g.Take = append(g.Take, e.ID)
	}
	if plan.Cells.Count() == 0 || g.Count > maxGhostCells {
		g.Spans = plan.Region.Spans()
		g.Spans = g.Spans[:min(len(g.Spans), maxGhostSpans)]
		return g, nil
	}
	plan.Cells.Each(func(p grid.Point, v cells.Cell) { g.Cells = append(g.Cells, int64(p.X), int64(p.Y), int64(v)) })
	return g, nil
}

func (s *Session) press(a pressArgs) (any, error) {
	m, plan, err := s.plan(a)
	if err != nil {
		return nil, err
	}
	if !plan.Changes() {
		return nil, errors.New("there is nothing to change here")
	}
	do, label := plan.Edit(s.doc(), m, a.Grip)
	return s.make(do, label)
}
