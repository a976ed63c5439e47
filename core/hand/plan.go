package hand

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"errors"
	"fmt"
	"strings"
)

// Gesture is the pointer's way over the cells, from the press to now.
type Gesture struct {
	Way []grid.Point `json:"way"`
	// Remove is set for the secondary button: the same shape takes away.
	Remove bool `json:"remove"`
	// Even makes boxes square, ovals round and lines straight.
	Even bool `json:"even,omitempty"`
	// Seed is what scatters are drawn with; another one draws again.
	Seed int64 `json:"seed,omitempty"`
	// At is where a press that stays on its cell is, in pixels of the map: a decoration
	// stands there freely. Nil keeps it to the cell.
	At *grid.Point `json:"at,omitempty"`
	// Trace is the way of the pointer, in pixels of the map, for what is drawn freely.
	Trace []grid.Point `json:"trace,omitempty"`
}

// Work is where the hand works.
type Work struct {
	Doc    *document.Document
	Map    *document.Map
	Active document.ID
	// Within keeps everything inside a set of cells; nil does not.
	Within *grid.Region
	Mirror grid.Mirror
	// Began is where a stroke began of which the gesture is only the last part; nil where it is all of it.
	Began *grid.Point
	// Sheets answers for the document; made when it is nil.
	Sheets *document.Sheets
	// Kept finds arrangements that are held without being motifs; may be nil.
	Kept func(document.ID) *document.Motif
}

func (w *Work) sheets() *document.Sheets {
	if w.Sheets == nil {
		w.Sheets = w.Doc.Sheets()
	}
	return w.Sheets
}

func (w *Work) piece(id document.ID) *document.Motif {
	if m := w.Doc.Motifs.Get(id); m != nil {
		return m
	}
	if w.Kept != nil {
		return w.Kept(id)
	}
	return nil
}

// Limits of a gesture.
const maxWay = 100_000

// Plan is what a press would do. It is drawn as the ghost and made into the edit.
type Plan struct {
	Layer document.ID
	// Region is every cell that is touched, inside the map.
	Region *grid.Region
	// Writes are what cells become, on each layer.
	Writes []Write
	// Place and Take are the entities put down and taken away.
	Place []*document.Entity
	Take  []*document.Entity
	// Stamps are the motifs that are put down whole.
	Stamps []Stamp
	// Ruled are the rules that what is put down brings along.
	Ruled []Ruled
	// Removing tells whether the press takes away.
	Removing bool
}

// Write is what cells of one layer become.
type Write struct {
	Layer document.ID
	Cells cells.Patch
}

// maxAtOnce limits the entities that one press places.
const maxAtOnce = 2_000

// Resolve plans what a gesture would do with this grip. The error is the
// sentence that says why nothing can be done.
func Resolve(w Work, g Grip, ges Gesture) (*Plan, error) {
	if !g.valid() || len(ges.Way) == 0 || len(ges.Way) > maxWay {
		return nil, errors.New("the hand holds nothing that can be put down")
	}
	if g.What == Nothing {
		return nil, errors.New("nothing is held")
	}
	if g.What == Entity && w.Doc.Kind(document.ID(g.Kind)) == nil {
		return nil, errors.New("the kind that is held was removed: hold another")
	}
	if s := shut(w.Doc, w.Map, &g, w.Active); s != nil && g.What != Motif {
		return nil, s
	}
	ges.Way = w.near(ges.Way)
	l := w.target(&g)
	if l == nil {
		return nil, fmt.Errorf("no layer of %s can be worked on here: add one, show one or unlock one", g.layerKind())
	}
	p := &Plan{Layer: l.ID, Removing: ges.Remove || g.What == Eraser}
	var b block
	if g.What != Entity {
		var err error
		if b, err = w.content(l, &g, &ges); err != nil {
			return nil, err
		}
	}
	a := w.area(l, &g, b, &ges)
	w.keepIn(a.all)
	w.keepIn(a.outline)
	if a.all.Empty() {
		if w.Within != nil && !w.Within.Empty() {
			return nil, errors.New("that lies outside the selection: Ctrl+Shift+A drops it")
		}
		if g.Shape == Empties {
			return nil, fmt.Errorf("no cell of %s is empty", l.Name)
		}
		return nil, errors.New("that lies outside the map")
	}
	p.Region = a.all
	if l.Kind == document.LayerEntities && g.What != Motif {
		p.Region = w.mirrored(a.all)
		if p.Removing {
			p.take(w.Map, l, g.Kind)
			return p, nil
		}
		return p, p.place(&w, l, g, ges, a.all)
	}
	if p.Removing {
		p.remove(&w, l, &g, b, a)
		return p, nil
	}
	return p, p.put(&w, l, &g, b, a, &ges)
}

// near brings points that lie far outside the map nearer, so that no shape is
// larger than three maps a side.
func (w *Work) near(way []grid.Point) []grid.Point {
	b := w.Map.Bounds
	out := make([]grid.Point, len(way))
	for i, p := range way {
		out[i] = grid.Point{X: max(b.X-document.MaxSide, min(p.X, b.X+b.W+document.MaxSide)), Y: max(b.Y-document.MaxSide, min(p.Y, b.Y+b.H+document.MaxSide))}
	}
	return out
}

// target is the layer that shapes go by; for a motif that of its first part.
func (w *Work) target(g *Grip) *document.Layer {
	if g.What != Motif {
		return Target(w.Doc, w.Map, g, w.Active)
	}
	m := w.piece(g.Motif)
	if m != nil && len(m.Parts) > 0 {
		return w.layerOf(m.Parts[0], len(m.Parts) == 1)
	}
	return Target(w.Doc, w.Map, &Grip{What: Entity}, w.Active)
}

func (w *Work) keepIn(r *grid.Region) {
	r.Clip(w.Map.Bounds)
	if w.Within != nil {
		r.Intersect(w.Within)
	}
}

// mirrored is a set of cells with its images.
func (w *Work) mirrored(r *grid.Region) *grid.Region {
	images := w.Mirror.Images()
	if len(images) == 0 {
		return r
	}
	out := r.Clone()
	for _, t := range images {
		out.Union(w.Mirror.Region(r, t))
	}
	w.keepIn(out)
	return out
}

// put plans what the parts of a block become, with its images in the mirror.
func (p *Plan) put(w *Work, l *document.Layer, g *Grip, b block, a area, ges *Gesture) error {
	origin := w.origin(g, ges)
	for _, part := range b.parts {
		p.write(w, part.layer, part.paint(a.outline, w.Map.Bounds, origin))
	}
	if g.Shape == Rim && g.Inside != nil {
		inside := a.all.Clone()
		inside.Subtract(a.outline)
		if g.Inside.What == Entity || g.Inside.What == Motif || g.Inside.layerKind() != l.Kind && g.Inside.What != Eraser {
			return fmt.Errorf("what is held for the inside does not go on %s", l.Name)
		}
		in, err := w.content(l, g.Inside, ges)
		if err != nil {
			return err
		}
		p.write(w, l, in.parts[0].paint(inside, w.Map.Bounds, origin))
	} else {
		p.Region = a.outline
	}
	p.Region = w.mirrored(p.Region)
	if g.What == Motif {
		return p.stamp(w, g, b, a, origin)
	}
	return nil
}

// sort tells the cells that are of the sort that is held, which alone are removed with
// it: the zone, the material, tiles. The eraser and motifs remove whatever is there.
func (g *Grip) sort() func(cells.Cell) bool {
	switch g.What {
	case Zone:
		return func(c cells.Cell) bool { return c != 0 && c.Tileset() == g.Number }
	case Material:
		return func(c cells.Cell) bool { return c.IsMaterial() && c.Tileset() == g.Number }
	case Tiles:
		return func(c cells.Cell) bool { return c != 0 && !c.IsMaterial() }
	}
	return nil
}

// remove empties cells: of a motif those of its layers, of a rim the inside
// only when something is held for it.
func (p *Plan) remove(w *Work, l *document.Layer, g *Grip, b block, a area) {
	p.Region = a.outline
	if g.Inside != nil {
		p.Region = a.all
	}
	p.Region = w.mirrored(p.Region)
	layers := []*document.Layer{l}
	for _, part := range b.parts {
		if part.layer != l {
			layers = append(layers, part.layer)
		}
	}
	for _, l := range layers {
		if !l.Painted() {
			continue
		}
		r := p.Region
		if sort := g.sort(); sort != nil {
			r = l.Cells.Region(r.Bounds(), sort)
			r.Intersect(p.Region)
		}
		p.write0(l, cells.Paint(r, w.Map.Bounds, []cells.Cell{0}, 1, grid.Point{}))
	}
	if b.thing != nil {
		p.take(w.Map, b.thing, "")
	}
}

// write adds a patch with its images; where they meet what was drawn itself stays.
func (p *Plan) write(w *Work, l *document.Layer, patch cells.Patch) {
	images := w.Mirror.Images()
	if len(images) == 0 || len(patch) == 0 {
		p.write0(l, patch)
		return
	}
	region := patch.Region()
	plane, _ := patch.Apply(cells.Plane{})
	var all cells.Patch
	for _, t := range images {
		to := w.Mirror.Region(region, t)
		w.keepIn(to)
		back := t.Inverse()
		image := cells.PaintEach(to, w.Map.Bounds, func(x, y int) (cells.Cell, bool) {
			from := w.Mirror.Point(grid.Point{X: x, Y: y}, back)
			c := plane.At(from.X, from.Y)
			if l.Kind == document.LayerTiles {
				c = w.sheets().Turned(c, t)
			}
			return c, true
		})
		all = image.Over(all)
	}
	p.write0(l, all.Over(patch))
}

func (p *Plan) write0(l *document.Layer, patch cells.Patch) {
	if len(patch) == 0 {
		return
	}
	for i := range p.Writes {
		if p.Writes[i].Layer == l.ID {
			p.Writes[i].Cells = p.Writes[i].Cells.Over(patch)
			return
		}
	}
	p.Writes = append(p.Writes, Write{l.ID, patch})
}

// Count is the number of cells that are written.
func (p *Plan) Count() int {
	n := 0
	for _, w := range p.Writes {
		n += w.Cells.Count()
	}
	return n
}

// Changes reports whether the press would change anything.
func (p *Plan) Changes() bool { return len(p.Writes)+len(p.Place)+len(p.Take) > 0 }

// Edit makes the plan into primitives and a label. New entities get their ids here.
func (p *Plan) Edit(d *document.Document, m *document.Map, g Grip) ([]edit.Primitive, edit.Label) {
	label := edit.Label{Tool: g.Shape}
	var do []edit.Primitive
	if len(p.Take) > 0 {
		do = Removal(d, m, p.Take)
		label.Text = "Removed " + counted(len(p.Take), "entity")
	}
	rank := m.NextRank()
	for i, e := range p.Place {
		e.ID, e.Rank = document.NewID(), rank+i
	}
	do = append(do, edit.Inserts(m.ID, p.Place)...)
	if len(p.Place) > 0 {
		label.Text = "Placed " + counted(len(p.Place), "entity")
		if len(p.Place) == 1 {
			label.Text = "Placed " + p.Place[0].Name
		}
	}
	do = append(do, p.rules(d, m)...)
	do = append(do, p.remembered(d, m)...)
	for _, w := range p.Writes {
		do = append(do, edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: w.Layer}, Cells: w.Cells})
	}
	if len(p.Writes) > 0 {
		label.Text = "Painted " + counted(p.Region.Count(), "cell")
		if p.Removing {
			label.Text = "Erased " + counted(p.emptied(m), "cell")
		}
	}
	return do, label
}

// emptied is how many cells lose what they hold.
func (p *Plan) emptied(m *document.Map) (n int) {
	for _, w := range p.Writes {
		l := m.Layers.Get(w.Layer)
		w.Cells.Each(func(at grid.Point, v cells.Cell) {
			if v == 0 && l.Cells.At(at.X, at.Y) != 0 {
				n++
			}
		})
	}
	return n
}

func counted(n int, what string) string {
	if n == 1 {
		return "1 " + what
	}
	if stem, ok := strings.CutSuffix(what, "y"); ok {
		what = stem + "ie"
	}
	return fmt.Sprintf("%d %ss", n, what)
}
