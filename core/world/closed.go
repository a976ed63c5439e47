package world

import (
	"azzel/core/document"
	"slices"
)

// closing is what is known of a map's sides.
type closing uint8

const (
	_ closing = iota
	leadsOn
	ends
)

// Closed reports whether a map ends at all of its sides: they are walls, and no seam leads over them.
func (s *Stage) Closed(g *Ground) bool {
	if s.closed == nil {
		s.closed = make([]closing, len(s.Grounds))
	}
	c := &s.closed[g.Ref]
	if *c == 0 {
		*c = leadsOn
		wall := func(f document.Facing) bool { return g.Map.Side(f) == document.SideWall }
		if len(s.Chart.SeamsOf(g.ID)) == 0 && !slices.ContainsFunc(document.Facings[:], func(f document.Facing) bool { return !wall(f) }) {
			*c = ends
		}
	}
	return *c == ends
}
