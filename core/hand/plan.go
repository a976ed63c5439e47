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
}

// Limits of a gesture.
const maxWay = 100_000

// Plan is what a press would do. It is drawn as the ghost and made into the edit.
type Plan struct {
	Layer document.ID
	// Region is every cell that is touched, inside the map.
	Region *grid.Region
	// Cells is what the cells become, for a layer of tiles.
	Cells cells.Patch
	// Place and Take are the entities put down and taken away.
	Place []*document.Entity
	Take  []*document.Entity
	// Removing tells whether the press takes away.
	Removing bool
}

// maxAtOnce limits the entities that one press places.
const maxAtOnce = 2_000

// Resolve plans what a gesture would do with this grip on a map. The error is
// the sentence that says why nothing can be done.
func Resolve(d *document.Document, m *document.Map, active document.ID, g Grip, ges Gesture) (*Plan, error) {
	if !g.valid() || len(ges.Way) == 0 || len(ges.Way) > maxWay {
		return nil, errors.New("the hand holds nothing that can be put down")
	}
	if g.What == Nothing {
		return nil, errors.New("nothing is held")
	}
	l := Target(m, &g, active)
	if l == nil {
		return nil, fmt.Errorf("no layer of %s can be worked on here: add one, show one or unlock one", g.layerKind())
	}
	p := &Plan{Layer: l.ID, Removing: ges.Remove || g.What == Eraser}
	p.Region = region(m, l, g, ges)
	p.Region.Clip(m.Bounds)
	if len(p.Region.Chunks()) == 0 {
		return nil, errors.New("that lies outside the map")
	}
	switch {
	case l.Kind == document.LayerEntities && p.Removing:
		for _, e := range m.Entities.All() {
			if e.Layer == l.ID && touches(p.Region, e.Box(m)) {
				p.Take = append(p.Take, e)
			}
		}
	case l.Kind == document.LayerEntities:
		return p, p.place(d, m, l, g, ges)
	case p.Removing:
		p.Cells = cells.Paint(p.Region, m.Bounds, []cells.Cell{0}, 1, grid.Point{})
	default:
		block, w := g.Block()
		p.Cells = cells.Paint(p.Region, m.Bounds, block, w, ges.Way[0])
	}
	return p, nil
}

func region(m *document.Map, l *document.Layer, g Grip, ges Gesture) *grid.Region {
	start, end := ges.Way[0], ges.Way[len(ges.Way)-1]
	shape := g.Shape
	if k := document.KindOf(g.Kind); g.What == Entity && k.Area {
		shape = Box
	}
	r := &grid.Region{}
	switch shape {
	case Line:
		for _, p := range grid.Line(start, end) {
			r.Add(p)
		}
		return stamped(r, g)
	case Box:
		r.AddRect(grid.RectOf(start, end).Intersect(m.Bounds))
		return r
	case Fill:
		if l.Kind == document.LayerEntities {
			return entityFill(m, l, end)
		}
		return cells.Fill(l.Cells, m.Bounds, end, cells.Reach{})
	}
	return stamped(grid.Freehand(ges.Way), g)
}

// stamped widens a way to the whole blocks it touches, so that a block of
// tiles is put down whole: blocks stay aligned to where the stroke began.
func stamped(r *grid.Region, g Grip) *grid.Region {
	if g.What != Tiles || len(g.Cells) == 1 {
		return r
	}
	block, w := g.Block()
	h := len(block) / w
	points := r.Points()
	out := &grid.Region{}
	for _, p := range points {
		out.AddRect(grid.Rect{X: p.X, Y: p.Y, W: w, H: h})
	}
	return out
}

// entityFill is the area around a cell where no entity of the layer stands;
// nothing when one stands on the cell.
func entityFill(m *document.Map, l *document.Layer, start grid.Point) *grid.Region {
	taken := &grid.Region{}
	for _, e := range m.Entities.All() {
		if e.Layer == l.ID {
			taken.AddRect(e.Box(m).Intersect(m.Bounds))
		}
	}
	stood, _ := cells.Paint(taken, m.Bounds, []cells.Cell{1}, 1, grid.Point{}).Apply(cells.Plane{})
	if stood.At(start.X, start.Y) != 0 {
		return taken
	}
	return cells.Fill(stood, m.Bounds, start, cells.Reach{})
}

func touches(r *grid.Region, box grid.Rect) bool {
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if r.Has(grid.Point{X: x, Y: y}) {
				return true
			}
		}
	}
	return false
}

func (p *Plan) place(d *document.Document, m *document.Map, l *document.Layer, g Grip, ges Gesture) error {
	kind := document.KindOf(g.Kind)
	names := map[string]bool{}
	stands := map[grid.Rect]bool{}
	for _, e := range m.Entities.All() {
		names[strings.ToLower(e.Name)] = true
		if e.Kind == g.Kind {
			stands[e.Box(m)] = true
		}
	}
	boxes := []grid.Rect{p.Region.Bounds()}
	if !kind.Area {
		boxes = boxes[:0]
		for _, at := range p.Region.Points() {
			boxes = append(boxes, grid.Rect{X: at.X, Y: at.Y, W: 1, H: 1})
		}
	}
	if len(boxes) > maxAtOnce {
		return fmt.Errorf("that would place %d entities; %d at once are possible: choose a smaller area", len(boxes), maxAtOnce)
	}
	for _, b := range boxes {
		if stands[b] {
			continue
		}
		name := document.UniqueName(kind.Name, func(s string) bool { return names[strings.ToLower(s)] })
		names[strings.ToLower(name)] = true
		p.Place = append(p.Place, &document.Entity{
			Layer: l.ID, Kind: g.Kind, Name: name, Facing: turnedFacing(g.Turn), Look: g.Look, LookOn: g.LookOn,
			X: b.X * m.CellWidth, Y: b.Y * m.CellHeight, W: b.W * m.CellWidth, H: b.H * m.CellHeight,
		})
	}
	if m.Entities.Len()+len(p.Place) > document.MaxEntities {
		return fmt.Errorf("a map has at most %d entities", document.MaxEntities)
	}
	return nil
}

// turnedFacing lets the turn of what is held turn an entity's facing; unturned looks down.
func turnedFacing(turn int) document.Facing { return document.Facings[(turn+2)%4] }

// Changes reports whether the press would change anything.
func (p *Plan) Changes() bool { return len(p.Cells)+len(p.Place)+len(p.Take) > 0 }

// Edit makes the plan into primitives and a label. New entities get their ids here.
func (p *Plan) Edit(d *document.Document, m *document.Map, g Grip) ([]edit.Primitive, edit.Label) {
	label := edit.Label{Tool: g.Shape}
	var do []edit.Primitive
	switch {
	case len(p.Cells) > 0:
		do = append(do, edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: p.Layer}, Cells: p.Cells})
		verb := "Painted "
		if p.Removing {
			verb = "Erased "
		}
		label.Text = verb + counted(p.Cells.Count(), "cell")
	case len(p.Take) > 0:
		do = Removal(d, m, p.Take)
		label.Text = "Removed " + counted(len(p.Take), "entity")
	default:
		for _, e := range p.Place {
			e.ID = document.NewID()
			do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, e))
		}
		label.Text = "Placed " + counted(len(p.Place), "entity")
		if len(p.Place) == 1 {
			label.Text = "Placed " + p.Place[0].Name
		}
	}
	return do, label
}

// Removal removes entities together with the passages that begin or end at them.
func Removal(d *document.Document, m *document.Map, all []*document.Entity) []edit.Primitive {
	var do []edit.Primitive
	gone := map[document.ID]bool{}
	for _, e := range all {
		gone[e.ID] = true
	}
	for _, p := range d.Passages.All() {
		if p.From.Map == m.ID && gone[p.From.Entity] || p.To.Map == m.ID && gone[p.To.Entity] {
			do = append(do, edit.Remove(edit.Ref{Type: edit.TypePassage, ID: p.ID}))
		}
	}
	for _, e := range all {
		do = append(do, edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}))
	}
	return do
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
