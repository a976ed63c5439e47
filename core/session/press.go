package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/hand"
	"encoding/json"
	"errors"
	"reflect"
	"slices"
	"strings"
)

type pressArgs struct {
	Map     document.ID  `json:"map"`
	Active  document.ID  `json:"active"`
	Grip    hand.Grip    `json:"grip"`
	Gesture hand.Gesture `json:"gesture"`
	Mirror  grid.Mirror  `json:"mirror"`
	// Known are the numbers of ghosts that need not be told again.
	Known []int `json:"known,omitempty"`
	// Of is the number of the ghost of a stroke that is led on: its way had After points, and the gesture has those that came since.
	Of    int `json:"of,omitempty"`
	After int `json:"after,omitempty"`
}

// Ghost is what a press would do, for drawing.
type Ghost struct {
	Layer     document.ID `json:"layer"`
	LayerName string      `json:"layerName"`
	Bounds    grid.Rect   `json:"bounds"`
	Count     int         `json:"count"`
	Removing  bool        `json:"removing"`
	// Number tells ghosts apart; Same is one that is known, and says nothing more.
	Number int  `json:"number,omitempty"`
	Same   bool `json:"same,omitempty"`
	// More is a ghost that is led on: its cells are to be added to those that are known, of which some may be otherwise now, and its rectangles
	// are those of the chunks in which they lie, each in one; all else is of all of it.
	// Lost tells that it is not known any more: the whole way is to be told.
	More bool `json:"more,omitempty"`
	// Covered tells that it is too much to be drawn cell by cell: cells that are known of it count no more.
	Covered bool `json:"covered,omitempty"`
	Lost    bool `json:"lost,omitempty"`
	// Cells is x, y, cell by turns when there are few; Rects covers them.
	Cells    []int64            `json:"cells,omitempty"`
	Rects    []grid.Rect        `json:"rects,omitempty"`
	Entities []*document.Entity `json:"entities,omitempty"`
	Take     []document.ID      `json:"take,omitempty"`
	// Drawn tells of a scatter how often each of its choices comes, then nothing.
	Drawn []int `json:"drawn,omitempty"`
	// Refusal says why nothing would happen; Shut is the layer that is in the way because
	// it is hidden, or locked.
	Refusal string      `json:"refusal,omitempty"`
	Shut    document.ID `json:"shut,omitempty"`
	Hidden  bool        `json:"hidden,omitempty"`
}

// written is the ghost as JSON, many entities without encoding/json.
func (g Ghost) written() (json.RawMessage, error) {
	all := g.Entities
	g.Entities = nil
	out, err := json.Marshal(g)
	if err != nil || len(all) == 0 {
		return out, err
	}
	out = append(slices.Grow(out[:len(out)-1], len(all)*document.EntityRoom), `,"entities":`...)
	return append(appendEntities(out, all), '}'), nil
}

// Limits of what a ghost draws cell by cell, in rectangles, and in spans.
const (
	maxGhostCells = 3000
	maxGhostRects = 4000
	maxGhostSpans = 6000
)

// areasKept is how many areas that fills of what is held come to are kept, since a pointer goes over several by turns.
const areasKept = 6

type cachedPlan struct {
	doc    *document.Document
	within *grid.Region
	args   pressArgs
	plan   *hand.Plan
	number int
}

func (s *Session) work(m *document.Map, active document.ID) hand.Work {
	return hand.Work{Doc: s.doc(), Map: m, Active: active, Within: s.within(m.ID), Sheets: s.looks(),
		Kept: func(id document.ID) *document.Motif { return s.kept[id] }}
}

func (s *Session) plan(a pressArgs) (*document.Map, *hand.Plan, error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return nil, nil, err
	}
	last := grid.Point{}
	if n := len(a.Gesture.Way); n > 0 {
		last = a.Gesture.Way[n-1]
	}
	w := s.work(m, a.Active)
	if c := &s.ghost; c.doc != s.doc() || c.within != w.Within || !sameHold(c.args, a) {
		s.areas = nil
	}
	for _, c := range s.areas {
		if len(a.Gesture.Way) > 0 && (a.Grip.Shape == hand.Empties || c.plan.Region.Has(last)) {
			s.ghost = c
			return m, c.plan, nil
		}
	}
	// what is pressed was pointed at just before
	if c := &s.ghost; c.plan != nil && c.doc == s.doc() && c.within == w.Within && sameHold(c.args, a) && sameGesture(c.args.Gesture, a.Gesture) {
		return m, c.plan, nil
	}
	w.Mirror = a.Mirror
	plan, err := hand.Resolve(w, a.Grip, a.Gesture)
	if err != nil {
		return m, nil, err
	}
	// a fill from anywhere in the same area is the same fill, unless a block's
	// pattern starts elsewhere or its images lie elsewhere
	plain := a.Grip.What != hand.Entity && a.Grip.What != hand.Motif && (len(a.Grip.Cells) < 2 || a.Grip.Aligned || a.Grip.Scatter != nil)
	s.ghosts++
	s.ghost = cachedPlan{s.doc(), w.Within, a, plan, s.ghosts}
	if plain && (a.Grip.Shape == hand.Fill && a.Mirror.Mode == "" || a.Grip.Shape == hand.Empties) {
		s.areas = append(s.areas[max(0, len(s.areas)+1-areasKept):], s.ghost)
	}
	return m, plan, nil
}

func sameHold(a, b pressArgs) bool {
	return a.Map == b.Map && a.Active == b.Active && a.Gesture.Remove == b.Gesture.Remove && a.Gesture.Seed == b.Gesture.Seed &&
		a.Mirror == b.Mirror && reflect.DeepEqual(a.Grip, b.Grip)
}

func sameGesture(a, b hand.Gesture) bool {
	return slices.Equal(a.Way, b.Way) && len(a.Trace) == len(b.Trace) && reflect.DeepEqual(a, b)
}

func (s *Session) preview(a pressArgs) (zero Ghost, err error) {
	if a.Of != 0 {
		return s.leadOn(a)
	}
	s.stroke = nil
	m, plan, err := s.plan(a)
	if m == nil {
		return zero, err
	}
	if err != nil {
		g := Ghost{Refusal: err.Error()}
		var shut *hand.Shut
		if errors.As(err, &shut) {
			g.Shut, g.Hidden = shut.Layer, shut.Hidden
		}
		return g, nil
	}
	if slices.Contains(a.Known, s.ghost.number) {
		return Ghost{Number: s.ghost.number, Same: true}, nil
	}
	g := Ghost{Number: s.ghost.number, Layer: plan.Layer, LayerName: m.Layers.Get(plan.Layer).Name, Bounds: plan.Region.Bounds(), Count: plan.Region.Count(), Removing: plan.Removing, Entities: plan.Place}
	for _, e := range plan.Take {
		g.Take = append(g.Take, e.ID)
	}
	if a.Grip.What == hand.Tiles && a.Grip.Scatter != nil && !plan.Removing {
		g.Drawn = s.drawn(&a.Grip, plan)
	}
	if on := written(plan); ledOn(&a) {
		g.Rects = pieces(on, on.Chunks())
	} else {
		g.Rects = covering(on)
	}
	if n := plan.Count(); n > 0 && n <= maxGhostCells && !plan.Removing {
		for _, w := range plan.Writes {
			l := m.Layers.Get(w.Layer)
			s.ghostCells(&g, m, l, l.Cells, w.Cells)
		}
	}
	s.beginStroke(a, plan, m, &g)
	return g, nil
}

// written is the cells that a plan touches, without those that a scatter leaves as they are.
func written(plan *hand.Plan) *grid.Region {
	if n := plan.Count(); plan.Removing || n == 0 || n >= plan.Region.Count() {
		return plan.Region
	}
	out := &grid.Region{}
	for _, w := range plan.Writes {
		out.Union(w.Cells.Region())
	}
	return out
}

// covering is a region as rectangles, as many as are drawn.
func covering(r *grid.Region) []grid.Rect {
	all := r.Rects()
	return all[:min(len(all), maxGhostRects)]
}

// pieces is what of a region lies in some chunks, as rectangles that end at their sides.
func pieces(r *grid.Region, in []grid.ChunkMask) (out []grid.Rect) {
	for _, c := range in {
		one := &grid.Region{}
		one.AddRect(grid.Rect{X: c.CX * grid.ChunkSize, Y: c.CY * grid.ChunkSize, W: grid.ChunkSize, H: grid.ChunkSize})
		one.Intersect(r)
		out = append(out, one.Rects()...)
	}
	return out[:min(len(out), maxGhostRects)]
}

// ghostCells adds what a layer of these cells would show: what is written, and the materials beside it that would fit otherwise then. It
// gives the cells as they would be.
func (s *Session) ghostCells(g *Ghost, m *document.Map, l *document.Layer, before cells.Plane, patch cells.Patch) cells.Plane {
	if l.Kind != document.LayerTiles || !s.fitter().Any() {
		patch.Each(func(p grid.Point, v cells.Cell) { g.Cells = append(g.Cells, int64(p.X), int64(p.Y), shown(l.Kind, v)) })
		return before
	}
	after, _ := patch.Apply(before)
	region := patch.Region()
	near := region.Clone()
	for _, span := range region.Spans() {
		near.AddRect(grid.Rect{X: span.X0 - 1, Y: span.Y - 1, W: span.X1 - span.X0 + 2, H: 3})
	}
	near.Clip(m.Bounds)
	for _, p := range near.Points() {
		c := after.At(p.X, p.Y)
		if !c.IsMaterial() && !region.Has(p) {
			continue
		}
		code := s.fits.code(c, s.fitter().At(after, m.Bounds, p.X, p.Y))
		g.Cells = append(g.Cells, int64(p.X), int64(p.Y), int64(code))
	}
	return after
}

// shown is a cell as it is drawn: zones are told apart from tiles by their sign.
func shown(kind string, c cells.Cell) int64 {
	if kind == document.LayerZones {
		return -int64(c.Tileset())
	}
	return int64(c)
}

// drawn counts how often each choice of a scatter comes.
func (s *Session) drawn(g *hand.Grip, plan *hand.Plan) []int {
	block, _ := g.Block(s.looks())
	choices := hand.Choices(block)
	at := map[cells.Cell]int{}
	for i, c := range choices {
		at[c] = i
	}
	out := make([]int, len(choices)+1)
	out[len(choices)] = plan.Region.Count()
	for _, w := range plan.Writes {
		w.Cells.Each(func(_ grid.Point, v cells.Cell) {
			if i, ok := at[v]; ok {
				out[i]++
				out[len(choices)]--
			}
		})
	}
	return out
}

func (s *Session) press(a pressArgs) (zero Outcome, err error) {
	m, plan, err := s.plan(a)
	if err != nil {
		return zero, err
	}
	if !plan.Changes() {
		return zero, errors.New("there is nothing to change here")
	}
	do, label := plan.Edit(s.doc(), m, a.Grip)
	s.ghost = cachedPlan{} // its entities are the document's now
	return s.make(do, label)
}

// Choice is what a scatter draws among, with its odds.
type Choice struct {
	Cell cells.Cell `json:"cell"`
	Odds int        `json:"odds"`
}

// tileName says which tile a cell shows, and what it is.
func (s *Session) tileName(a struct {
	Cell cells.Cell `json:"cell"`
}) (string, error) {
	return s.doc().TileName(a.Cell), nil
}

// findTiles are the first tiles whose names have all the words.
func (s *Session) findTiles(a struct {
	Words []string `json:"words"`
}) ([]document.NamedTile, error) {
	if len(a.Words) > 32 {
		return nil, errors.New("search for fewer words")
	}
	for i, w := range a.Words {
		a.Words[i] = strings.ToLower(w)
	}
	return s.doc().FindTiles(a.Words, 30), nil
}

// choices lists what a scatter of a grip draws among, with the odds that the
// tilesets give.
func (s *Session) choices(a struct {
	Grip hand.Grip `json:"grip"`
}) (zero []Choice, err error) {
	if a.Grip.What != hand.Tiles || a.Grip.Width < 1 || len(a.Grip.Cells)%a.Grip.Width != 0 {
		return zero, errors.New("hold tiles to scatter them")
	}
	out := []Choice{}
	block, _ := a.Grip.Block(s.looks())
	for _, c := range hand.Choices(block) {
		out = append(out, Choice{c, s.looks().Odds(c)})
	}
	return out, nil
}

func init() {
	register(map[string]method{
		"composed": with((*Session).composed),
	})
	if !designs {
		return
	}
	register(map[string]method{
		"under":     with((*Session).under),
		"tileName":  with((*Session).tileName),
		"findTiles": with((*Session).findTiles),
		"preview":   with((*Session).preview),
		"press":     with((*Session).press),
		"choices":   with((*Session).choices),
		"pickUp":    with((*Session).pickUp),
		"target":    with((*Session).target),
	})
}

// PickedUp is what lay under the pointer as it is held, and its layer.
type PickedUp struct {
	Grip  hand.Grip   `json:"grip"`
	Layer document.ID `json:"layer"`
}

func (s *Session) pickUp(a pointArgs) (zero PickedUp, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	g, layer, ok := hand.PickUp(s.doc(), m, a.At)
	if !ok {
		return zero, errors.New("there is nothing to pick up here")
	}
	return PickedUp{g, layer}, nil
}

// target is the layer that a grip would be put down on; empty when none fits.
func (s *Session) target(a struct {
	Map    document.ID `json:"map"`
	Active document.ID `json:"active"`
	Grip   hand.Grip   `json:"grip"`
}) (zero document.ID, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	if l := hand.Target(s.doc(), m, &a.Grip, a.Active); l != nil && a.Grip.What != hand.Nothing {
		return l.ID, nil
	}
	return document.ID(""), nil
}
