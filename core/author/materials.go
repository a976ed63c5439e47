package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/material"
	"cmp"
	"errors"
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
// With them may come what its edges are found to follow; empty leaves that.
func MarkMaterial(m *document.Material, marks []material.Tile, by string) (Change, error) {
	next := slices.Clone(m.Tiles)
	for _, t := range marks {
		same := func(o material.Tile) bool { return o.Cell&^cells.TurnBits == t.Cell&^cells.TurnBits }
		// a tile may be of several forms: what is marked is the one of that form
		i := slices.IndexFunc(next, func(o material.Tile) bool { return same(o) && o.Form == t.Form })
		if i < 0 {
			i = slices.IndexFunc(next, same)
		}
		switch {
		case t.Odds < 0:
			next = slices.DeleteFunc(next, same)
		case i >= 0:
			next[i] = t
		default:
			next = append(next, t)
		}
	}
	return retile(m, next, by)
}

// retile gives a material its tiles, in the order of their cells.
func retile(m *document.Material, next []material.Tile, by string) (Change, error) {
	slices.SortFunc(next, func(a, b material.Tile) int {
		return cmp.Or(cmp.Compare(a.Cell, b.Cell), cmp.Compare(a.Form, b.Form))
	})
	check := *m
	check.Tiles = next
	if by != "" {
		check.By = by
	}
	if err := check.Check(); err != nil {
		return Change{}, err
	}
	text := fmt.Sprintf("%d tiles in material %s", len(next), m.Name)
	ref := edit.Ref{Type: edit.TypeMaterial, ID: m.ID}
	c := changed(text, edit.Set(ref, "tiles", next))
	if check.By != m.By {
		c.Do = append(c.Do, edit.Set(ref, "by", check.By))
	}
	return c, nil
}

// SetBeside says of all tiles of a material what their edges are to: the number of
// another material, 0 for anything.
func SetBeside(d *document.Document, id document.ID, beside int) (Change, error) {
	m := d.Materials.Get(id)
	if m == nil || len(m.Tiles) == 0 {
		return Change{}, errors.New("give the material tiles first: mark them on the sheet")
	}
	if beside != 0 && (d.MaterialByNumber(beside) == nil || beside == m.Number) {
		return Change{}, errors.New("choose another material that its edges are to")
	}
	next := slices.Clone(m.Tiles)
	for i := range next {
		next[i].Beside = beside
	}
	c, err := retile(m, next, "")
	if err != nil {
		return Change{}, err
	}
	to := "anything"
	if beside != 0 {
		to = d.MaterialByNumber(beside).Name
	}
	return changed(fmt.Sprintf("Edges of %s are to %s", m.Name, to), c.Do...), nil
}
