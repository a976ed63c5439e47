package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
)

// Area is selected cells of a map: on one layer, or, where Layer is empty, on
// all layers that are shown and unlocked, with the entities that stand there.
type Area struct {
	Map    *document.Map
	Region *grid.Region
	Layer  document.ID
}

// layers are the layers of cells that an area is about.
func (a Area) layers() []*document.Layer {
	var out []*document.Layer
	for _, l := range a.Map.LayersInOrder() {
		if l.Painted() && (l.ID == a.Layer || a.Layer == "" && a.Map.Open(l)) {
			out = append(out, l)
		}
	}
	return out
}

func (a Area) entities() []*document.Entity {
	if a.Layer != "" {
		return nil
	}
	return hand.EntitiesIn(a.Map, a.Region)
}

func (a Area) check() error {
	switch l := a.Map.Layers.Get(a.Layer); {
	case a.Region == nil || a.Region.Empty():
		return errors.New("no cells are selected")
	case a.Layer != "" && l == nil:
		return errors.New("the layer is no longer there")
	case l != nil && a.Map.Shown(l) && !a.Map.Open(l):
		return fmt.Errorf("%s is locked: unlock it first", l.Name)
	case l != nil && !l.Painted():
		return fmt.Errorf("%s has no cells: choose a layer of tiles, or select through all layers", l.Name)
	}
	return nil
}

// painted is the cells of the area that are not empty on a layer.
func (a Area) painted(l *document.Layer) *grid.Region {
	out := l.Cells.Region(a.Region.Bounds(), func(c cells.Cell) bool { return c != 0 })
	out.Intersect(a.Region)
	return out
}

func write(m *document.Map, l *document.Layer, p cells.Patch) edit.Primitive {
	return edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}, Cells: p}
}

// LiftAll is Lift, with the rules that wait for what stands there.
func LiftAll(d *document.Document, a Area) (*document.Motif, error) {
	out, err := Lift(a)
	if err == nil {
		out.Rules = rulesIn(d, a.Map, a.entities())
	}
	return out, err
}

// Lift takes what lies in an area as an arrangement that can be held.
func Lift(a Area) (*document.Motif, error) {
	if err := a.check(); err != nil {
		return nil, err
	}
	m := a.Map
	box := a.Region.Bounds()
	out := &document.Motif{W: box.W, H: box.H, CellWidth: m.CellWidth, CellHeight: m.CellHeight, Parts: []document.MotifPart{}, Entities: []*document.Entity{}}
	for _, l := range a.layers() {
		from := a.painted(l)
		if from.Empty() {
			continue
		}
		patch := cells.PaintEach(moved(from, -box.X, -box.Y), grid.Rect{W: box.W, H: box.H}, func(x, y int) (cells.Cell, bool) {
			return l.Cells.At(x+box.X, y+box.Y), true
		})
		out.Parts = append(out.Parts, document.MotifPart{Layer: l.Name, Kind: l.Kind, Cells: patch})
	}
	for _, e := range a.entities() {
		next := *e
		next.ID, next.Layer, next.Carrier, next.Group = "", "", "", ""
		// what it names on this map is not there where it is put down
		next.Values = slices.DeleteFunc(slices.Clone(e.Values), func(v kind.Value) bool { return m.Entities.Get(document.ID(v.Value.Word())) != nil })
		next.X -= box.X * m.CellWidth
		next.Y -= box.Y * m.CellHeight
		out.Entities = append(out.Entities, &next)
	}
	if len(out.Parts)+len(out.Entities) == 0 {
		return nil, errors.New("what is selected is empty")
	}
	return out, nil
}

func moved(r *grid.Region, dx, dy int) (out *grid.Region) {
	out = &grid.Region{}
	for _, s := range r.Spans() {
		out.AddRect(grid.Rect{X: s.X0 + dx, Y: s.Y + dy, W: s.X1 - s.X0, H: 1})
	}
	return out
}

// MoveArea moves what lies in an area by cells, as far as the map goes. It
// gives the area as it lies then.
func MoveArea(d *document.Document, a Area, dx, dy int) (Change, *grid.Region, error) {
	if err := a.check(); err != nil {
		return Change{}, nil, err
	}
	box, b := a.Region.Bounds(), a.Map.Bounds
	dx = max(b.X-box.X, min(dx, b.X+b.W-box.X-box.W))
	dy = max(b.Y-box.Y, min(dy, b.Y+b.H-box.Y-box.H))
	if dx == 0 && dy == 0 {
		return Change{}, nil, errors.New("the edge of the map is in the way")
	}
	place := func(r grid.Rect) grid.Rect { r.X += dx; r.Y += dy; return r }
	back := func(p grid.Point) grid.Point { return grid.Point{X: p.X - dx, Y: p.Y - dy} }
	c := changed("Moved " + cellsOf(a.Region.Count()))
	a.rearrange(&c, place, back, func(v cells.Cell) cells.Cell { return v })
	for _, e := range a.entities() {
		ref := edit.Ref{Type: edit.TypeEntity, Map: a.Map.ID, ID: e.ID}
		if dx != 0 {
			c.Do = append(c.Do, edit.Set(ref, "x", e.X+dx*a.Map.CellWidth))
		}
		if dy != 0 {
			c.Do = append(c.Do, edit.Set(ref, "y", e.Y+dy*a.Map.CellHeight))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, nil, errors.New("what is selected is empty")
	}
	c.Do = append(c.Do, movePlacings(d, a.Map, a.Region, a.Layer, dx, dy)...)
	return c, moved(a.Region, dx, dy), nil
}

func cellsOf(n int) string {
	if n == 1 {
		return "1 cell"
	}
	return fmt.Sprintf("%d cells", n)
}

// rearrange brings the painted cells of each layer to another place.
func (a Area) rearrange(c *Change, place func(grid.Rect) grid.Rect, back func(grid.Point) grid.Point, turn func(cells.Cell) cells.Cell) {
	for _, l := range a.layers() {
		from := a.painted(l)
		if from.Empty() {
			continue
		}
		to := &grid.Region{}
		for _, s := range from.Spans() {
			to.AddRect(place(grid.Rect{X: s.X0, Y: s.Y, W: s.X1 - s.X0, H: 1}))
		}
		put := cells.PaintEach(to, a.Map.Bounds, func(x, y int) (cells.Cell, bool) {
			p := back(grid.Point{X: x, Y: y})
			v := l.Cells.At(p.X, p.Y)
			if l.Kind == document.LayerTiles {
				v = turn(v)
			}
			return v, true
		})
		left := from.Clone()
		left.Subtract(to)
		c.Do = append(c.Do, write(a.Map, l, cells.Paint(left, a.Map.Bounds, []cells.Cell{0}, 1, grid.Point{}).Over(put)))
	}
}

// TurnArea turns or flips what lies in an area about its middle, as near as
// whole cells and the map's edge allow.
func TurnArea(d *document.Document, a Area, t grid.Turn) (Change, *grid.Region, error) {
	if err := a.check(); err != nil {
		return Change{}, nil, err
	}
	if !t.Valid() || t == grid.Same {
		return Change{}, nil, errors.New("that is no turn")
	}
	m, box := a.Map, a.Region.Bounds()
	w, h := t.Size(box.W, box.H)
	if w > m.Bounds.W || h > m.Bounds.H {
		return Change{}, nil, fmt.Errorf("turned, the selection is %d × %d cells, larger than the map", w, h)
	}
	x := max(m.Bounds.X, min(box.X+grid.FloorDiv(box.W-w, 2), m.Bounds.X+m.Bounds.W-w))
	y := max(m.Bounds.Y, min(box.Y+grid.FloorDiv(box.H-h, 2), m.Bounds.Y+m.Bounds.H-h))
	place := func(r grid.Rect) grid.Rect {
		r = t.Rect(grid.Rect{X: r.X - box.X, Y: r.Y - box.Y, W: r.W, H: r.H}, box.W, box.H)
		r.X += x
		r.Y += y
		return r
	}
	back := func(p grid.Point) grid.Point {
		r := t.Inverse().Rect(grid.Rect{X: p.X - x, Y: p.Y - y, W: 1, H: 1}, w, h)
		return grid.Point{X: r.X + box.X, Y: r.Y + box.Y}
	}
	sheets := d.Sheets()
	c := changed("Turned " + cellsOf(a.Region.Count()))
	a.rearrange(&c, place, back, func(v cells.Cell) cells.Cell { return sheets.Turned(v, t) })
	for _, e := range a.entities() {
		r := t.Rect(grid.Rect{X: e.X - box.X*m.CellWidth, Y: e.Y - box.Y*m.CellHeight, W: e.W, H: e.H}, box.W*m.CellWidth, box.H*m.CellHeight)
		ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
		c.Do = append(c.Do, edit.Set(ref, "x", r.X+x*m.CellWidth), edit.Set(ref, "y", r.Y+y*m.CellHeight),
			edit.Set(ref, "w", r.W), edit.Set(ref, "h", r.H), edit.Set(ref, "facing", e.Facing.Turned(t)))
	}
	if len(c.Do) == 0 {
		return Change{}, nil, errors.New("what is selected is empty")
	}
	region := &grid.Region{}
	for _, s := range a.Region.Spans() {
		region.AddRect(place(grid.Rect{X: s.X0, Y: s.Y, W: s.X1 - s.X0, H: 1}))
	}
	return c, region, nil
}

// EmptyArea removes what lies in an area.
func EmptyArea(d *document.Document, a Area) (Change, error) {
	if err := a.check(); err != nil {
		return Change{}, err
	}
	c := changed("Emptied " + cellsOf(a.Region.Count()))
	for _, l := range a.layers() {
		if from := a.painted(l); !from.Empty() {
			c.Do = append(c.Do, write(a.Map, l, cells.Paint(from, a.Map.Bounds, []cells.Cell{0}, 1, grid.Point{})))
		}
	}
	if all := a.entities(); len(all) > 0 {
		c.Do = append(c.Do, hand.Removal(d, a.Map, all)...)
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("what is selected is empty already")
	}
	return c, nil
}

// putEverywhere gives cells of a layer other values, those too that former bounds left
// outside the map: what lies there is there again when the map grows. Outside the
// bounds cells are written only where they are still the same.
func putEverywhere(m *document.Map, l *document.Layer, region *grid.Region, f func(x, y int) cells.Cell) (do []edit.Primitive) {
	put := func(x, y int) (cells.Cell, bool) { return f(x, y), true }
	if p := cells.PaintEach(region, m.Bounds, put); len(p) > 0 {
		do = append(do, write(m, l, p))
	}
	beyond, all := beyondOf(m, region), l.Cells.Extent().Union(region.Bounds())
	if !beyond.Empty() {
		do = append(do, edit.Primitive{Op: edit.OpCellsBack, Ref: edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID},
			Was: cells.PaintEach(beyond, all, func(x, y int) (cells.Cell, bool) { return l.Cells.At(x, y), true }), Cells: cells.PaintEach(beyond, all, put)})
	}
	return do
}

// beyondOf is the part of a region that lies outside a map's bounds.
func beyondOf(m *document.Map, region *grid.Region) *grid.Region {
	out, within := region.Clone(), region.Clone()
	within.Clip(m.Bounds)
	out.Subtract(within)
	return out
}
