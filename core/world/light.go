package world

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// Light is how a thing lights up what lies around it.
type Light struct {
	// Radius is how far, in map pixels.
	Radius int
	Colour string
	// Flicker is how it burns: a key of the kind's setting.
	Flicker string
	// ByNight tells that it shines only when it is dark by the time of day.
	ByNight bool
}

// lightOf is what an entity shines with; nil where it does not.
func (s *Stage) lightOf(m *document.Map, e *document.Entity, acts string) *Light {
	if acts != kind.Light {
		return nil
	}
	d := s.Doc
	return &Light{Radius: int(d.Value(e, "radius").Thousandths() * int64(m.CellWidth) / 1000), Colour: d.Value(e, "colour").Word(), Flicker: d.Value(e, "flicker").Word(), ByNight: d.Value(e, "shines").Word() == "night"}
}
