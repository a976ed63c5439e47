package author

import (
	"azzel/core/document"
	"azzel/core/grid"
	"fmt"
)

// Place is whether the hero can be set down on a cell.
type Place struct {
	Free bool `json:"free"`
	// Reason says in a sentence what is in the way.
	Reason string `json:"reason"`
	// Nearest is the nearest cell that is free, where there is one.
	Nearest *grid.Point `json:"nearest"`
}

// nearestWithin is how far, in cells, a free cell is looked for.
const nearestWithin = 64

// CheckPlace tells whether the hero can be set down on a cell, and if not why
// and where it could be instead.
func CheckPlace(d *document.Document, m *document.Map, p grid.Point) Place {
	solids := d.Solids()
	reason := blocked(d, solids, m, p)
	if reason == "" {
		return Place{Free: true}
	}
	out := Place{Reason: reason}
	best := 0
	for y := p.Y - nearestWithin; y <= p.Y+nearestWithin; y++ {
		for x := p.X - nearestWithin; x <= p.X+nearestWithin; x++ {
			q := grid.Point{X: x, Y: y}
			away := (x-p.X)*(x-p.X) + (y-p.Y)*(y-p.Y)
			if (out.Nearest == nil || away < best) && m.Bounds.Contains(q) && !solids.At(m, q) && !solids.Water(m, q) {
				out.Nearest, best = &q, away
			}
		}
	}
	return out
}

func blocked(d *document.Document, solids *document.Solids, m *document.Map, p grid.Point) string {
	if !m.Bounds.Contains(p) {
		return fmt.Sprintf("That lies outside %s.", m.Name)
	}
	if !solids.At(m, p) {
		if solids.Water(m, p) {
			return "The hero cannot stand there: it is in the water."
		}
		return ""
	}
	if solids.Zoned(m, p) {
		return "The hero cannot stand there: a zone blocks it."
	}
	for _, l := range m.LayersInOrder() {
		if l.Front || l.Absent || l.Kind != document.LayerTiles {
			continue
		}
		if c := l.Cells.At(p.X, p.Y); solids.Shown(m, l, p) {
			if c.IsMaterial() {
				name := "a material"
				if found := d.MaterialByNumber(c.Tileset()); found != nil {
					name = found.Name
				}
				return fmt.Sprintf("The hero cannot stand there: %s on layer %s is solid.", name, l.Name)
			}
			return fmt.Sprintf("The hero cannot stand there: %s on layer %s is solid.", d.TileName(c), l.Name)
		}
	}
	return "The hero cannot stand there."
}
