package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"errors"
	"fmt"
	"strings"
)

// AddMotif keeps an arrangement under a name.
func AddMotif(d *document.Document, name string, piece *document.Motif) (Change, error) {
	m := *piece
	m.ID, m.Name, m.Order = document.NewID(), strings.TrimSpace(name), orderStep
	for _, o := range d.MotifsInOrder() {
		m.Order = o.Order + orderStep
	}
	if err := m.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New motif "+m.Name, edit.Insert(edit.Ref{Type: edit.TypeMotif, ID: m.ID}, m))
	c.Made = m.ID
	return c, nil
}

// Placing is where a motif stands as it is: its top-left cell on a map, and the
// layers that its parts lie on.
type Placing struct {
	Map    document.ID   `json:"map"`
	At     grid.Point    `json:"at"`
	Layers []document.ID `json:"layers"`
}

// maxPlacings limits how many places of a motif are looked for.
const maxPlacings = 5_000

// Placings finds where the cells of a motif stand exactly as they are in it.
func Placings(d *document.Document, m *document.Motif) []Placing {
	var out []Placing
	if len(m.Parts) == 0 {
		return nil
	}
	for _, where := range d.MapsInOrder() {
		var free []grid.Rect // places overlap only where the motif repeats itself
		first := where.LayersInOrder()
		for _, l := range first {
			if l.Kind != m.Parts[0].Kind || len(m.Parts) > 1 && l.Name != m.Parts[0].Layer {
				continue
			}
			for _, at := range starts(l, m.Parts[0], where.Bounds) {
				layers, ok := standsAt(where, l, m, at)
				box := grid.Rect{X: at.X, Y: at.Y, W: m.W, H: m.H}
				for _, r := range free {
					ok = ok && r.Intersect(box).Empty()
				}
				if ok && len(out) < maxPlacings {
					out = append(out, Placing{where.ID, at, layers})
					free = append(free, box)
				}
			}
		}
	}
	return out
}

// starts lists where a part's first cell lies on a layer, as places of its top left.
func starts(l *document.Layer, p document.MotifPart, bounds grid.Rect) []grid.Point {
	var out []grid.Point
	first, value, found := grid.Point{}, cells.Cell(0), false
	p.Cells.Each(func(at grid.Point, c cells.Cell) {
		if !found {
			first, value, found = at, c, true
		}
	})
	for _, at := range l.Cells.Region(bounds, func(c cells.Cell) bool { return c == value }).Points() {
		out = append(out, grid.Point{X: at.X - first.X, Y: at.Y - first.Y})
	}
	return out
}

func standsAt(where *document.Map, first *document.Layer, m *document.Motif, at grid.Point) ([]document.ID, bool) {
	var layers []document.ID
	for i, p := range m.Parts {
		l := first
		if i > 0 {
			l = layerNamed(where, p)
		}
		if l == nil {
			return nil, false
		}
		same := true
		p.Cells.Each(func(q grid.Point, c cells.Cell) {
			same = same && l.Cells.At(q.X+at.X, q.Y+at.Y) == c
		})
		if !same {
			return nil, false
		}
		layers = append(layers, l.ID)
	}
	return layers, true
}

func layerNamed(m *document.Map, p document.MotifPart) *document.Layer {
	for _, l := range m.LayersInOrder() {
		if l.Name == p.Layer && l.Kind == p.Kind {
			return l
		}
	}
	return nil
}

// ReplaceMotif gives a motif another content; where it stands as it was, update
// brings the new one.
func ReplaceMotif(d *document.Document, id document.ID, piece *document.Motif, update bool) (Change, error) {
	old := d.Motifs.Get(id)
	if old == nil {
		return Change{}, errors.New("the motif is no longer there")
	}
	next := *piece
	next.ID, next.Name, next.Order = old.ID, old.Name, old.Order
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	ref := edit.Ref{Type: edit.TypeMotif, ID: id}
	// first as large as both, so that each step holds by itself
	c := changed("Changed motif "+old.Name, edit.Set(ref, "w", max(old.W, next.W)), edit.Set(ref, "h", max(old.H, next.H)),
		edit.Set(ref, "parts", next.Parts), edit.Set(ref, "entities", next.Entities), edit.Set(ref, "w", next.W), edit.Set(ref, "h", next.H),
		edit.Set(ref, "cellWidth", next.CellWidth), edit.Set(ref, "cellHeight", next.CellHeight))
	if !update {
		return c, nil
	}
	all := Placings(d, old)
	for _, at := range all {
		c.Do = append(c.Do, bring(d, old, &next, at)...)
	}
	c.Label.Text = fmt.Sprintf("%s in %d places", c.Label.Text, len(all))
	return c, nil
}

// bring puts the new content where the old one stands.
func bring(d *document.Document, old, next *document.Motif, at Placing) []edit.Primitive {
	m := d.Maps.Get(at.Map)
	patches := map[document.ID]cells.Patch{}
	var order []*document.Layer
	add := func(l *document.Layer, p document.MotifPart, f func(c cells.Cell) cells.Cell) {
		plane, _ := p.Cells.Apply(cells.Plane{})
		patch := cells.PaintEach(moved(p.Cells.Region(), at.At.X, at.At.Y), m.Bounds, func(x, y int) (cells.Cell, bool) {
			return f(plane.At(x-at.At.X, y-at.At.Y)), true
		})
		if _, ok := patches[l.ID]; !ok {
			order = append(order, l)
		}
		patches[l.ID] = patches[l.ID].Over(patch)
	}
	for i, p := range old.Parts {
		add(m.Layers.Get(at.Layers[i]), p, func(cells.Cell) cells.Cell { return 0 })
	}
	for i, p := range next.Parts {
		l := layerNamed(m, p)
		if len(next.Parts) == 1 && len(at.Layers) == 1 || l == nil {
			l = m.Layers.Get(at.Layers[min(i, len(at.Layers)-1)])
		}
		add(l, p, func(c cells.Cell) cells.Cell { return c })
	}
	var do []edit.Primitive
	for _, l := range order {
		if p := patches[l.ID]; len(p) > 0 {
			do = append(do, write(m, l, p))
		}
	}
	return do
}
