package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
)

// Placing remembers that a motif was put down whole: where, how it was turned, and
// what of it lies where. That it still stands as it is, Standing tells.
type Placing struct {
	ID    ID `json:"id"`
	Motif ID `json:"motif"`
	Map   ID `json:"map"`
	// X and Y are the cell of its top left, turned as it is.
	X    int       `json:"x"`
	Y    int       `json:"y"`
	Turn grid.Turn `json:"turn"`
	// Layers are those that the motif's parts lie on, Entities what its entities
	// became, each in the motif's order.
	Layers   []ID `json:"layers"`
	Entities []ID `json:"entities"`
}

// MaxPlacings limits the remembered placings of a project.
const MaxPlacings = 20_000

// Check finds what is wrong with a placing.
func (p *Placing) Check() error {
	if err := first(checkID("the placing", p.ID), checkID("its motif", p.Motif), checkID("its map", p.Map),
		checkRange("where it lies", p.X, -maxPixel, maxPixel), checkRange("where it lies", p.Y, -maxPixel, maxPixel),
		checkRange("a turn", int(p.Turn), 0, 7), checkRange("how many layers it has", len(p.Layers), 0, MaxLayers),
		checkRange("how many entities it has", len(p.Entities), 0, MaxEntities)); err != nil {
		return err
	}
	for _, id := range append(append([]ID{}, p.Layers...), p.Entities...) {
		if err := checkID("what it is of", id); err != nil {
			return err
		}
	}
	return nil
}

// Box is the cells of a placing of a motif.
func (p *Placing) Box(m *Motif) grid.Rect {
	if p.Turn&1 != 0 {
		return grid.Rect{X: p.X, Y: p.Y, W: m.H, H: m.W}
	}
	return grid.Rect{X: p.X, Y: p.Y, W: m.W, H: m.H}
}

// Standing lists, by the order of their ids, the placings of a motif that stand as
// they were put down: each of their cells is still what the motif says. What of their
// entities is gone, or was changed, does not count.
func (d *Document) Standing(m *Motif) (out []*Placing) {
	turned := map[grid.Turn]*Motif{}
	for _, p := range d.Placings.All() {
		where := d.Maps.Get(p.Map)
		if p.Motif != m.ID || where == nil || len(p.Layers) != len(m.Parts) {
			continue
		}
		if turned[p.Turn] == nil {
			turned[p.Turn] = m.Turned(p.Turn, d.Sheets())
		}
		if p.stands(where, turned[p.Turn]) {
			out = append(out, p)
		}
	}
	return out
}

func (p *Placing) stands(where *Map, turned *Motif) bool {
	there := len(turned.Parts) > 0
	for _, id := range p.Entities {
		there = there || where.Entities.Get(id) != nil
	}
	for i, part := range turned.Parts {
		l := where.Layers.Get(p.Layers[i])
		if l == nil {
			return false
		}
		part.Cells.Each(func(at grid.Point, c cells.Cell) {
			there = there && l.Cells.At(at.X+p.X, at.Y+p.Y) == c
		})
	}
	return there
}
