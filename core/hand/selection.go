package hand

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"errors"
)

// Ways to select cells.
const (
	ByBox  = "box"
	ByArea = "area" // the connected area of the same
	BySame = "same" // everywhere the same
)

// How a new selection is put together with the one that is there.
const (
	Replace    = "replace"
	Add        = "add"
	Take       = "take"
	InCommonOf = "common"
)

// Picking is one act of selecting cells.
type Picking struct {
	By string `json:"by"`
	// Through goes by what all shown layers show rather than by the active one.
	Through bool         `json:"through"`
	Corners bool         `json:"corners"`
	Way     []grid.Point `json:"way"`
	Even    bool         `json:"even"`
	Mode    string       `json:"mode"`
}

// Pick gives the cells that are selected after an act of selecting.
func (w *Work) Pick(p Picking, before *grid.Region) (*grid.Region, error) {
	if len(p.Way) == 0 || len(p.Way) > maxWay {
		return nil, errors.New("nothing was pointed at")
	}
	p.Way = w.near(p.Way)
	out, err := w.picked(p)
	if err != nil {
		return nil, err
	}
	out.Clip(w.Map.Bounds)
	if before == nil {
		before = &grid.Region{}
	}
	switch p.Mode {
	case Add:
		out.Union(before)
	case Take:
		less := before.Clone()
		less.Subtract(out)
		out = less
	case InCommonOf:
		out.Intersect(before)
	}
	return out, nil
}

func (w *Work) picked(p Picking) (*grid.Region, error) {
	start, end := p.Way[0], p.Way[len(p.Way)-1]
	out := &grid.Region{}
	if p.By == ByBox {
		if p.Even {
			end = grid.EvenEnd(start, end)
		}
		out.AddRect(grid.RectOf(start, end).Intersect(w.Map.Bounds))
		return out, nil
	}
	l := w.Map.Layers.Get(w.Active)
	var plane cells.Plane
	switch {
	case p.Through:
		plane = Shown(w.Map)
	case l != nil && l.Painted():
		plane = sameMaterials(l.Cells, end)
	default:
		return nil, errors.New("this layer has no cells: choose a layer of tiles, or select through all layers")
	}
	if !w.Map.Bounds.Contains(end) {
		return nil, errors.New("that lies outside the map")
	}
	if p.By == BySame {
		value := plane.At(end.X, end.Y)
		return plane.Region(w.Map.Bounds, func(c cells.Cell) bool { return c == value }), nil
	}
	return cells.Fill(plane, w.Map.Bounds, end, cells.Reach{Corners: p.Corners}), nil
}

// EntitiesIn lists the entities whose middle lies in a set of cells, on layers
// that are shown and unlocked.
func EntitiesIn(m *document.Map, r *grid.Region) []*document.Entity {
	var out []*document.Entity
	for _, e := range document.InRank(m.Entities.All()) {
		l := m.Layers.Get(e.Layer)
		middle := grid.Point{X: grid.FloorDiv(e.X+e.W/2, m.CellWidth), Y: grid.FloorDiv(e.Y+e.H/2, m.CellHeight)}
		if l != nil && m.Open(l) && r.Has(middle) {
			out = append(out, e)
		}
	}
	return out
}
