package world

import (
	"azzel/core/document"
	"azzel/core/rules"
	"slices"
)

// Sheet is a layer that rules lay over its map, or lift off it; one that is absent is not there at first.
type Sheet struct {
	Map, Layer document.ID
	Absent     bool
}

// maxSheets is how many sheets of a map there are: more stay as they are at first.
const maxSheets = 24

// takeSheets numbers the layers that rules lay and lift, by map and from below.
func (s *Stage) takeSheets() {
	if s.laid == nil {
		s.laid = map[document.Object]bool{}
		for _, r := range s.Rules {
			r.Parts.Each(func(p *document.RulePart) {
				if o, ok := document.Named(p.Blank("what")); ok && (p.Word == rules.WordLay || p.Word == rules.WordLift) {
					s.laid[o] = true
				}
			})
		}
	}
	for _, g := range s.Grounds {
		g.firstSheet = len(s.Sheets)
		for _, l := range g.LayersInOrder() {
			if (l.Absent || s.laid[document.Object{Type: document.TypeLayer, Map: g.ID, ID: l.ID}]) && len(s.Sheets)-g.firstSheet < maxSheets {
				s.Sheets = append(s.Sheets, Sheet{g.ID, l.ID, l.Absent})
			}
		}
		g.sheets = len(s.Sheets) - g.firstSheet
	}
}

// SheetOf is the number of a layer that rules lay and lift.
func (s *Stage) SheetOf(m, layer document.ID) Ref {
	return Ref(slices.IndexFunc(s.Sheets, func(o Sheet) bool { return o.Map == m && o.Layer == layer }))
}

// Sheets bounds the numbers of the map's sheets.
func (g *Ground) Sheets() (first, after int) { return g.firstSheet, g.firstSheet + g.sheets }

// Fixed tells that rules lay and lift no layer of the map.
func (g *Ground) Fixed() bool { return g.sheets == 0 }

// As is the map with sheets otherwise than at first: a bit each, the lowest first.
func (g *Ground) As(turned uint32) *Ground {
	if turned == 0 {
		return g
	}
	if v := g.variants[turned]; v != nil {
		return v
	}
	m := *g.Map
	for i := range g.sheets {
		if turned>>i&1 == 0 {
			continue
		}
		o := g.stage.Sheets[g.firstSheet+i]
		if l := *m.Layers.Get(o.Layer); o.Absent {
			l.Absent = false
			m.Layers = m.Layers.With(l.ID, &l)
		} else {
			m.Layers = m.Layers.Without(o.Layer)
		}
	}
	v := newGround(g.stage, &m, g.Ref)
	v.takeThings(g)
	v.firstSheet, v.sheets = g.firstSheet, g.sheets
	v.set, v.own = g.settings(), g.stage.Doc.Solids()
	if g.variants == nil {
		g.variants = map[uint32]*Ground{}
	}
	g.variants[turned] = v
	return v
}

// solids are what stands in the way on the map.
func (g *Ground) solids() *document.Solids {
	if g.own != nil {
		return g.own
	}
	return g.stage.Chart.Solids()
}
