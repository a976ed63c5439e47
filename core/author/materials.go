package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"fmt"
	"slices"
)

// AddMaterial puts a material behind the others; what its edges follow comes
// from what it is where that is empty.
func AddMaterial(d *document.Document, m document.Material) (Change, error) {
	m.ID, m.Order = document.NewID(), orderStep
	for _, o := range d.MaterialsInOrder() {
		m.Order = o.Order + orderStep
		if o.Number == m.Number {
			return Change{}, fmt.Errorf("material number %d is taken: make the material again", m.Number)
		}
	}
	if m.Tiles == nil {
		m.Tiles = []material.Tile{}
	}
	for _, w := range document.MaterialWords {
		if w.Is == m.Is && m.By == "" {
			m.By = w.By
		}
	}
	if err := m.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New material "+m.Name, edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: m.ID}, m))
	c.Made = m.ID
	return c, nil
}

// MarkMaterial sets the form of tiles of a material; one of negative odds is
// taken out of it, one of odds 0 counts as the material and is never put down. Tiles are kept in the order of their cells.
func MarkMaterial(m *document.Material, marks []material.Tile) (Change, error) {
	next := slices.Clone(m.Tiles)
	for _, t := range marks {
		i := slices.IndexFunc(next, func(o material.Tile) bool { return o.Cell&^cells.TurnBits == t.Cell&^cells.TurnBits })
		switch {
		case t.Odds < 0 && i >= 0:
			next = slices.Delete(next, i, i+1)
		case t.Odds < 0:
		case i >= 0:
			next[i] = t
		default:
			next = append(next, t)
		}
	}
	slices.SortFunc(next, func(a, b material.Tile) int { return int(a.Cell) - int(b.Cell) })
	check := *m
	check.Tiles = next
	if err := check.Check(); err != nil {
		return Change{}, err
	}
	text := fmt.Sprintf("%d tiles in material %s", len(next), m.Name)
	return changed(text, edit.Set(edit.Ref{Type: edit.TypeMaterial, ID: m.ID}, "tiles", next)), nil
}
