package chart

import (
	"azzel/core/document"
	"cmp"
	"maps"
	"slices"
)

// movedOne is how many maps may have moved for each of them to be held against all others; of more, all are looked at by their edges.
const movedOne = 32

// settled is the chart before some maps were moved, of which all holds that has nothing to do with where these lie.
type settled struct {
	of *Chart
	// moved are the maps that lie elsewhere now, and were or are placed.
	moved map[document.ID]bool
}

// settle goes on from another chart if the maps are the same, some of them elsewhere.
func (c *Chart) settle(before *Chart) {
	still := &settled{before, map[document.ID]bool{}}
	for _, old := range before.order {
		m := c.doc.Maps.Get(old.ID)
		if m == old {
			continue
		}
		if m == nil || !old.Entities.Same(m.Entities) || !old.Layers.Same(m.Layers) {
			return
		}
		as := *m
		as.Chart = old.Chart
		if !document.SameFields(old, &as) {
			return
		}
		still.moved[m.ID] = true
	}
	c.still = still
}

// seamsMoved finds the seams anew of the maps that moved; not ok where nothing is known of the others, or too many did.
func (c *Chart) seamsMoved() (out []Seam, ok bool) {
	if c.still == nil || c.still.of.seams == nil || len(c.still.moved) > movedOne {
		return nil, false
	}
	moved, at := c.still.moved, make(map[document.ID]int, len(c.order))
	for i, m := range c.order {
		at[m.ID] = i
	}
	out = make([]Seam, 0, len(c.still.of.seams)+4)
	for _, s := range c.still.of.seams {
		if !moved[s.A] && !moved[s.B] {
			out = append(out, s)
		}
	}
	for i, m := range c.order {
		if !moved[m.ID] {
			continue
		}
		for k, o := range c.order {
			if k == i || k < i && moved[o.ID] { // that pair was looked at
				continue
			}
			if s, is := c.seam(c.order[min(i, k)], c.order[max(i, k)]); is {
				out = append(out, s)
			}
		}
	}
	slices.SortFunc(out, func(a, b Seam) int { return cmp.Or(at[a.A]-at[b.A], at[a.B]-at[b.B]) })
	return out, true
}

// waysMoved are the ways where maps only moved: other maps may hang together by their seams, and nothing else of them is otherwise.
func (c *Chart) waysMoved() *ways {
	if c.still == nil || c.still.of.ways == nil || !c.doc.Passages.Same(c.still.of.doc.Passages) {
		return nil
	}
	was := c.still.of.ways
	w := *was
	w.c, w.joined, w.ofMap = c, c.joined(), maps.Clone(was.ofMap)
	for _, m := range c.order {
		if !m.Template && w.joined[m.ID] != was.joined[m.ID] {
			delete(w.ofMap, m.ID)
			w.check(m)
		}
	}
	return &w
}

// joined are the maps out of which an open seam leads.
func (c *Chart) joined() map[document.ID]bool {
	out := map[document.ID]bool{}
	for _, s := range c.Seams() {
		if s.Why == "" && !s.Closed && len(s.Open) > 0 {
			out[s.A], out[s.B] = true, true
		}
	}
	return out
}
