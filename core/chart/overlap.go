package chart

import (
	"azzel/core/document"
	"cmp"
	"fmt"
	"slices"
)

// Overlap is the finding of maps that lie over each other.
const Overlap = "lies over"

// overlaps finds the maps that lie over one another on the chart, each pair once, by the
// order of the maps. Templates are no places of the game.
func (c *Chart) overlaps() []Finding {
	type placed struct {
		m  *document.Map
		at int // its place in the order
	}
	var all []placed
	for i, m := range c.order {
		if !m.Template {
			all = append(all, placed{m, i})
		}
	}
	// from left to right, each is compared with those that begin before it ends
	slices.SortFunc(all, func(a, b placed) int {
		return cmp.Or(cmp.Compare(c.places[a.m.ID].X, c.places[b.m.ID].X), cmp.Compare(a.at, b.at))
	})
	var pairs [][2]placed
	for i, a := range all {
		r := c.places[a.m.ID]
		for _, b := range all[i+1:] {
			o := c.places[b.m.ID]
			if o.X >= r.X+r.W {
				break
			}
			if !o.Intersect(r).Empty() {
				pairs = append(pairs, [2]placed{a, b})
				if a.at > b.at {
					pairs[len(pairs)-1] = [2]placed{b, a}
				}
			}
		}
	}
	slices.SortFunc(pairs, func(a, b [2]placed) int {
		return cmp.Or(cmp.Compare(a[0].at, b[0].at), cmp.Compare(a[1].at, b[1].at))
	})
	out := []Finding{}
	for _, p := range pairs {
		out = append(out, Finding{What: Overlap, Map: p[1].m.ID, Text: fmt.Sprintf("%s and %s lie over each other: drag one of them aside.", p[0].m.Name, p[1].m.Name)})
	}
	return out
}
