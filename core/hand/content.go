package hand

import (
	"azzel/core/cells"
	"azzel/core/chance"
	"azzel/core/document"
	"azzel/core/grid"
	"errors"
	"fmt"
)

// block is what a grip repeats over a region: for each layer what a cell
// becomes. Parts are w × h cells large and begin at origin.
type block struct {
	w, h   int
	parts  []part
	things []*document.Entity // of a motif, with boxes measured from its top left
	thing  *document.Layer    // the layer that these stand on
}

// part is what is put down on one layer; a cell that at says no of stays.
type part struct {
	layer *document.Layer
	// cells is a block that is put down whole, w wide; nil asks at.
	cells []cells.Cell
	w     int
	at    func(x, y int) (cells.Cell, bool)
}

func whole(l *document.Layer, c cells.Cell) part { return part{layer: l, cells: []cells.Cell{c}, w: 1} }

// paint makes the patch of a part over a region.
func (p *part) paint(r *grid.Region, bounds grid.Rect, origin grid.Point) cells.Patch {
	if p.at == nil {
		return cells.Paint(r, bounds, p.cells, p.w, origin)
	}
	return cells.PaintEach(r, bounds, p.at)
}

// content is what a grip puts down; l is the layer that it works on.
func (w *Work) content(l *document.Layer, g *Grip, ges *Gesture) (block, error) {
	origin := w.origin(g, ges)
	switch g.What {
	case Eraser:
		return block{1, 1, []part{whole(l, 0)}, nil, nil}, nil
	case Zone:
		if w.Doc.ZoneByNumber(g.Number) == nil {
			return block{}, errors.New("the zone that is held was removed: hold another")
		}
		return block{1, 1, []part{whole(l, cells.TileCell(g.Number, 0))}, nil, nil}, nil
	case Material:
		m := w.Doc.MaterialByNumber(g.Number)
		if m == nil {
			return block{}, errors.New("the material that is held was removed: hold another")
		}
		if len(m.Tiles) == 0 {
			return block{}, fmt.Errorf("%s has no tiles yet: show them on the sheet, in the Tilesets station", m.Name)
		}
		return block{1, 1, []part{{layer: l, at: func(x, y int) (cells.Cell, bool) {
			return cells.MaterialCell(g.Number, chance.Below(chance.At(ges.Seed, x, y, 0), cells.MaxVariant+1)), true
		}}}, nil, nil}, nil
	case Motif:
		return w.motif(l, g, origin)
	}
	cellsOf, width := g.Block(w.sheets())
	height := len(cellsOf) / width
	if g.Scatter != nil {
		p, err := w.scattered(l, g, cellsOf, ges)
		return block{1, 1, []part{p}, nil, nil}, err
	}
	p := part{layer: l, cells: cellsOf, w: width}
	for _, c := range cellsOf {
		if c == 0 { // a loose set: what is not of it stays
			p.at = func(x, y int) (cells.Cell, bool) {
				v := cellsOf[grid.Mod(y-origin.Y, height)*width+grid.Mod(x-origin.X, width)]
				return v, v != 0
			}
			break
		}
	}
	return block{width, height, []part{p}, nil, nil}, nil
}

// origin is the cell on which the first cell of a block lies.
func (w *Work) origin(g *Grip, ges *Gesture) grid.Point {
	if g.Aligned {
		return grid.Point{X: w.Map.Bounds.X, Y: w.Map.Bounds.Y}
	}
	if w.Began != nil {
		return *w.Began
	}
	return ges.Way[0]
}

// motif puts each part of an arrangement on the layer of its name, or on the
// nearest of its kind; one that has a single part on the layer worked on.
func (w *Work) motif(l *document.Layer, g *Grip, origin grid.Point) (block, error) {
	m := w.piece(g.Motif)
	if m == nil {
		return block{}, errors.New("the motif that is held was removed: hold another")
	}
	if m.W > w.Map.Bounds.W || m.H > w.Map.Bounds.H {
		return block{}, fmt.Errorf("what is held is %d × %d cells, and this map is %d × %d: make the map larger first", m.W, m.H, w.Map.Bounds.W, w.Map.Bounds.H)
	}
	m = m.Turned(g.Turn, w.sheets())
	b := block{w: m.W, h: m.H}
	for _, p := range m.Parts {
		to := w.layerOf(p, len(m.Parts) == 1)
		if to == nil {
			return block{}, fmt.Errorf("no layer of %s can be worked on here: add one, show one or unlock one", p.Kind)
		}
		plane, _ := p.Cells.Apply(cells.Plane{})
		marked := p.Cells.Region()
		b.parts = append(b.parts, part{layer: to, at: func(x, y int) (cells.Cell, bool) {
			at := grid.Point{X: grid.Mod(x-origin.X, m.W), Y: grid.Mod(y-origin.Y, m.H)}
			return plane.At(at.X, at.Y), marked.Has(at)
		}})
	}
	for _, e := range m.Entities {
		if w.Doc.Kind(document.ID(e.Kind)) == nil {
			return block{}, fmt.Errorf("what is held has a “%.40s”, and there is no such kind of entity any more", e.Kind)
		}
	}
	if len(m.Entities) > 0 {
		b.things, b.thing = m.Entities, Target(w.Doc, w.Map, &Grip{What: Entity}, w.Active)
		if b.thing == nil {
			return block{}, errors.New("no layer of entities can be worked on here: add one, show one or unlock one")
		}
	}
	return b, nil
}

func (w *Work) layerOf(p document.MotifPart, single bool) *document.Layer {
	free := func(l *document.Layer) bool { return l.Kind == p.Kind && w.Map.Open(l) }
	if l := w.Map.Layers.Get(w.Active); single && l != nil && free(l) {
		return l
	}
	for _, l := range w.Map.LayersInOrder() {
		if l.Name == p.Layer && free(l) {
			return l
		}
	}
	return nearest(w.Map, w.Active, free)
}

// scattered draws for each cell among the tiles that are held and nothing.
func (w *Work) scattered(l *document.Layer, g *Grip, held []cells.Cell, ges *Gesture) (part, error) {
	choices := Choices(held)
	weights := g.Scatter.Odds
	if len(weights) != len(choices) {
		weights = make([]int, len(choices))
		for i, c := range choices {
			weights[i] = w.sheets().Odds(c)
		}
	}
	sum := 0
	for _, o := range weights {
		sum += o
	}
	if sum == 0 {
		return part{}, errors.New("all odds are 0: give one of the tiles that are held more")
	}
	weights = append(append([]int{}, weights...), g.Scatter.Nothing)
	d := drawing{seed: ges.Seed, choices: choices, weights: weights, plane: l.Cells, drawn: map[grid.Point]cells.Cell{}, apart: g.Scatter.Apart}
	return part{layer: l, at: d.at}, nil
}

// drawing is one scatter; cells are asked for from the left and from above.
type drawing struct {
	seed    int64
	choices []cells.Cell
	weights []int
	plane   cells.Plane
	apart   bool
	drawn   map[grid.Point]cells.Cell // only kept where neighbours must differ
}

// manyTries is how often a cell is drawn for before the first choice that fits is taken.
const manyTries = 12

func (d *drawing) at(x, y int) (cells.Cell, bool) {
	if !d.apart {
		i := chance.Pick(chance.At(d.seed, x, y, 0), d.weights)
		if i == len(d.choices) {
			return 0, false
		}
		return d.choices[i], true
	}
	c := d.different(x, y)
	d.drawn[grid.Point{X: x, Y: y}] = c
	if c == 0 {
		d.drawn[grid.Point{X: x, Y: y}] = d.plane.At(x, y)
	}
	return c, c != 0
}

func (d *drawing) different(x, y int) cells.Cell {
	var beside [4]cells.Cell
	for i, p := range [4]grid.Point{{X: x - 1, Y: y}, {X: x, Y: y - 1}, {X: x + 1, Y: y}, {X: x, Y: y + 1}} {
		if c, ok := d.drawn[p]; ok {
			beside[i] = c
		} else if i < 2 { // what lies right and below may be drawn for later
			beside[i] = d.plane.At(p.X, p.Y)
		}
	}
	fits := func(c cells.Cell) bool { return c != beside[0] && c != beside[1] && c != beside[2] && c != beside[3] }
	first := 0
	for try := range manyTries {
		i := chance.Pick(chance.At(d.seed, x, y, try), d.weights)
		if try == 0 {
			first = i
		}
		if i == len(d.choices) {
			return 0
		}
		if fits(d.choices[i]) {
			return d.choices[i]
		}
	}
	for i, c := range d.choices {
		if d.weights[i] > 0 && fits(c) {
			return c
		}
	}
	return d.choices[first]
}
