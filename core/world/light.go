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
}

// lightOf is what an entity shines with; nil where it does not.
func (s *Stage) lightOf(m *document.Map, e *document.Entity, acts string) *Light {
	if acts != kind.Light {
		return nil
	}
	d := s.Doc
	return &Light{Radius: int(d.Value(e, "radius").Thousandths() * int64(m.CellWidth) / 1000), Colour: d.Value(e, "colour").Word(), Flicker: d.Value(e, "flicker").Word()}
}

// Darkness is how dark it is on the map where no light shines, in hundredths.
func (g *Ground) Darkness() int {
	if g.dark == nil {
		n := int(g.stage.Doc.MapValue(g.Map, kind.MapDarkness).Thousandths() / 1000)
		g.dark = &n
	}
	return *g.dark
}

// Sight is how many cells the hero sees on the map; 0 is everything.
func (g *Ground) Sight() int {
	if g.sight == nil {
		n := int(g.stage.Doc.MapValue(g.Map, kind.MapSight).Thousandths() / 1000)
		g.sight = &n
	}
	return *g.sight
}

// SightRemembers tells whether what was seen once stays on view.
func (g *Ground) SightRemembers() bool {
	if g.keeps == nil {
		is := g.stage.Doc.MapValue(g.Map, kind.MapRemembers).Yes()
		g.keeps = &is
	}
	return *g.keeps
}
