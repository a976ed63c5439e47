package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
)

// SetCellSize gives a map cells of another size, in pixels. What is painted
// stays in its cells; entities keep their places and sizes in cells.
func SetCellSize(m *document.Map, w, h int) (Change, error) {
	next := *m
	next.CellWidth, next.CellHeight = w, h
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	if w == m.CellWidth && h == m.CellHeight {
		return Change{}, errors.New("the cells have this size already")
	}
	ref := edit.Ref{Type: edit.TypeMap, ID: m.ID}
	c := changed(fmt.Sprintf("Cells of %s are %d × %d pixels", m.Name, w, h), edit.Set(ref, "cellWidth", w), edit.Set(ref, "cellHeight", h))
	for _, e := range m.Entities.All() {
		r := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
		for _, f := range []struct {
			name         string
			old, to, was int
		}{{"x", m.CellWidth, w, e.X}, {"y", m.CellHeight, h, e.Y}, {"w", m.CellWidth, w, e.W}, {"h", m.CellHeight, h, e.H}} {
			v := f.was * f.to / f.old
			if f.name == "w" || f.name == "h" {
				v = max(1, v)
			}
			if v != f.was {
				c.Do = append(c.Do, edit.Set(r, f.name, v))
			}
		}
	}
	return c, nil
}

// SetGrid draws a map's cells as squares or as diamonds. Cells as high as broad
// become half as high for diamonds, and whole again for squares.
func SetGrid(m *document.Map, kind string) (Change, error) {
	if kind == m.Grid {
		return Change{}, errors.New("the map has this grid already")
	}
	ref := edit.Ref{Type: edit.TypeMap, ID: m.ID}
	c := changed("Square cells on "+m.Name, edit.Set(ref, "grid", kind))
	w, h := m.CellWidth, m.CellHeight
	switch {
	case kind == document.GridDiamond:
		c.Label.Text = "Diamonds on " + m.Name
		if h == w && w > 1 {
			h = w / 2
		}
	case h == w/2:
		h = w
	}
	next := *m
	next.Grid = kind
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	if h != m.CellHeight {
		size, err := SetCellSize(m, w, h)
		if err != nil {
			return Change{}, err
		}
		c.Do = append(c.Do, size.Do...)
	}
	return c, nil
}

// OddLayers lists the layers of a map on which tiles of another size than its
// cells lie; these stand on the lower edge of their cells.
func OddLayers(d *document.Document, m *document.Map) []document.ID {
	odd := map[int]bool{}
	for _, t := range d.TilesetsInOrder() {
		if t.Cut.CellWidth != m.CellWidth || t.Cut.CellHeight != m.CellHeight {
			odd[t.Number] = true
		}
	}
	out := []document.ID{}
	if len(odd) == 0 {
		return out
	}
	for _, l := range m.LayersInOrder() {
		if l.Kind == document.LayerTiles && !l.Cells.Region(m.Bounds, func(c cells.Cell) bool { return c != 0 && !c.IsMaterial() && odd[c.Tileset()] }).Empty() {
			out = append(out, l.ID)
		}
	}
	return out
}
