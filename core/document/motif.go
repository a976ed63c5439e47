package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"errors"
	"fmt"
	"slices"
)

// Motif is a saved arrangement of tiles and entities, W × H cells large, with
// its top left at cell (0,0).
type Motif struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Order int    `json:"order"`
	W     int    `json:"w"`
	H     int    `json:"h"`
	// CellWidth and CellHeight are the cell size, in pixels, of the map that it was taken from.
	CellWidth  int         `json:"cellWidth"`
	CellHeight int         `json:"cellHeight"`
	Parts      []MotifPart `json:"parts"`
	// Entities stand with their boxes measured from the motif's top left; they carry no ids.
	Entities []*Entity `json:"entities"`
	// Rules are those that wait for its entities.
	Rules []MotifRule `json:"rules,omitempty"`
}

// MotifPart is what lies on one layer. Cells that it does not mark are left as they are.
type MotifPart struct {
	Layer string      `json:"layer"` // the layer's name
	Kind  string      `json:"kind"`
	Cells cells.Patch `json:"cells"`
}

// MaxMotifSide limits a motif; what is only copied may be as large as a map.
const MaxMotifSide = 256

// MaxMotifs limits the motifs of a project.
const MaxMotifs = 2_000

// CheckPiece finds what is wrong with an arrangement, whether it is kept as a motif or only held.
func (m *Motif) CheckPiece() error {
	if err := first(checkRange("the width of what is held", m.W, 1, MaxSide), checkRange("the height of what is held", m.H, 1, MaxSide),
		checkCellSize(m.CellWidth, m.CellHeight)); err != nil {
		return err
	}
	if len(m.Parts) > MaxLayers || len(m.Entities) > MaxEntities {
		return fmt.Errorf("an arrangement has at most %d layers and %d entities", MaxLayers, MaxEntities)
	}
	if len(m.Parts)+len(m.Entities) == 0 {
		return errors.New("there is nothing in this arrangement: select cells that are painted")
	}
	for _, p := range m.Parts {
		if p.Kind != LayerTiles && p.Kind != LayerZones {
			return errors.New("an arrangement holds tiles, zones and entities")
		}
		if err := checkName(p.Layer); err != nil {
			return err
		}
		if p.Cells.Region().Bounds().Union(grid.Rect{W: m.W, H: m.H}) != (grid.Rect{W: m.W, H: m.H}) {
			return errors.New("cells of this arrangement lie outside it")
		}
	}
	if len(m.Rules) > MaxMotifRules {
		return fmt.Errorf("an arrangement has at most %d rules", MaxMotifRules)
	}
	for i := range m.Rules {
		if err := m.Rules[i].check(); err != nil {
			return err
		}
	}
	for _, e := range m.Entities {
		if e == nil {
			return errors.New("an entity of this arrangement is missing")
		}
		probe := *e
		probe.ID, probe.Layer = "aaaaaaaaaaaa", "aaaaaaaaaaaa"
		if err := probe.Check(); err != nil {
			return err
		}
	}
	return nil
}

// Check finds what is wrong with a motif.
func (m *Motif) Check() error {
	return first(checkID("the motif", m.ID), checkName(m.Name), checkOrder(m.Order),
		checkRange("a motif's width", m.W, 1, MaxMotifSide), checkRange("a motif's height", m.H, 1, MaxMotifSide), m.CheckPiece())
}

// Turned is the arrangement laid another way.
func (m *Motif) Turned(t grid.Turn, s *Sheets) *Motif {
	if t == grid.Same {
		return m
	}
	out := *m
	out.W, out.H = t.Size(m.W, m.H)
	out.Parts = make([]MotifPart, len(m.Parts))
	for i, p := range m.Parts {
		plane, _ := p.Cells.Apply(cells.Plane{})
		region := &grid.Region{}
		for _, span := range p.Cells.Region().Spans() {
			region.AddRect(t.Rect(grid.Rect{X: span.X0, Y: span.Y, W: span.X1 - span.X0, H: 1}, m.W, m.H))
		}
		back := t.Inverse()
		turned := cells.PaintEach(region, grid.Rect{W: out.W, H: out.H}, func(x, y int) (cells.Cell, bool) {
			from := back.Rect(grid.Rect{X: x, Y: y, W: 1, H: 1}, out.W, out.H)
			c := plane.At(from.X, from.Y)
			if p.Kind == LayerTiles {
				c = s.Turned(c, t)
			}
			return c, true
		})
		out.Parts[i] = MotifPart{p.Layer, p.Kind, turned}
	}
	out.Entities = make([]*Entity, len(m.Entities))
	w, h := m.W*m.CellWidth, m.H*m.CellHeight
	if t&1 != 0 {
		out.CellWidth, out.CellHeight = m.CellHeight, m.CellWidth
	}
	for i, e := range m.Entities {
		next := *e
		box := t.Rect(grid.Rect{X: e.X, Y: e.Y, W: e.W, H: e.H}, w, h)
		next.X, next.Y, next.W, next.H = box.X, box.Y, box.W, box.H
		next.Facing = e.Facing.Turned(t)
		if e.Look != 0 {
			next.Turn = e.Turn.Then(t)
		}
		next.Points = slices.Clone(e.Points)
		for k, p := range next.Points {
			next.Points[k] = t.Around(p)
		}
		out.Entities[i] = &next
	}
	return &out
}

// Turned is the facing after something that looks this way is turned.
func (f Facing) Turned(t grid.Turn) Facing {
	i := f.Index()
	if i < 0 {
		return f
	}
	if t&4 != 0 && i&1 == 1 {
		i ^= 2
	}
	return Facings[(i+int(t&3))%4]
}
