package session

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
	"strings"
)

// footings are what steps sound like, and the words by which ground is known as it; the first that fits counts.
var footings = []struct {
	is    string
	words []string
}{
	{"wood", []string{"wood", "plank", "board", "floor", "bridge", "dock", "deck", "pier"}},
	{"grass", []string{"grass", "leaf", "leaves", "moss", "meadow", "field", "bush"}},
	{"sand", []string{"sand", "salt", "snow", "gravel", "dust", "mud", "soil", "earth", "shore", "beach"}},
	{"water", []string{"water", "sea", "puddle", "swamp", "brine"}},
	{"stone", []string{"stone", "cobble", "rock", "brick", "pave", "road", "path", "marble", "ice"}},
}

// footing is what steps sound like on a cell of a map, as a version of the document has it.
type footing struct {
	doc *document.Document
	m   document.ID
	at  grid.Point
	is  string
}

// underfoot is what steps sound like where the hero is; it is worked out when that is another cell.
func (s *Session) underfoot(p *playing) string {
	m := p.game.Ground()
	if m == nil {
		return ""
	}
	at := p.game.HeroCell()
	if m.Side { // it stands on what is below
		at.Y++
	}
	if f := p.under; f.doc != s.doc() || f.m != m.ID || f.at != at {
		p.under = footing{s.doc(), m.ID, at, s.footingOn(m, at)}
	}
	return p.under.is
}

// footingOn is what steps sound like on a cell, by what its ground is called or tagged; empty for anything else.
func (s *Session) footingOn(m *world.Ground, at grid.Point) string {
	layers := m.LayersInOrder()
	for i := len(layers) - 1; i >= 0; i-- {
		l := layers[i]
		if l.Kind != document.LayerTiles || l.Front {
			continue
		}
		c := l.Cells.At(at.X, at.Y)
		if c == 0 {
			continue
		}
		name := strings.ToLower(s.nameOf(s.doc(), l, c))
		for _, f := range footings {
			for _, word := range f.words {
				if strings.Contains(name, word) {
					return f.is
				}
			}
		}
	}
	return ""
}
