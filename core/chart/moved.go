package chart

import "azzel/core/document"

// onlyMoved reports whether the maps of another chart are the same, some of them elsewhere on the chart.
func (c *Chart) onlyMoved(before *Chart) bool {
	for _, old := range before.order {
		m := c.doc.Maps.Get(old.ID)
		if m == old {
			continue
		}
		if m == nil || !old.Entities.Same(m.Entities) || !old.Layers.Same(m.Layers) {
			return false
		}
		as := *m
		as.Chart = old.Chart
		if !document.SameFields(old, &as) {
			return false
		}
	}
	return true
}

// settled is what is known of seams and ways before some maps were moved.
type settled struct {
	seams map[[2]document.ID]Seam
	of    *Chart
}

// settle remembers what holds as long as maps only move.
func (c *Chart) settle(before *Chart) {
	c.still = &settled{of: before}
	if before.seams != nil {
		c.still.seams = make(map[[2]document.ID]Seam, len(before.seams))
		for _, s := range before.seams {
			c.still.seams[[2]document.ID{s.A, s.B}] = s
		}
	}
}

// seamBefore is the seam of two maps of which neither moved.
func (c *Chart) seamBefore(a, b *document.Map) (s Seam, is bool) {
	if c.still == nil || c.still.of.doc.Maps.Get(a.ID) != a || c.still.of.doc.Maps.Get(b.ID) != b {
		return s, false
	}
	s, is = c.still.seams[[2]document.ID{a.ID, b.ID}]
	return s, is
}
