package check

import (
	"azzel/core/author"
	"azzel/core/document"
	"fmt"
)

// countKinds is how many entities of each kind stand on a map.
func countKinds(m *document.Map) map[string]int {
	out := map[string]int{}
	for _, e := range m.Entities.All() {
		out[e.Kind]++
	}
	return out
}

// ofNumbers finds kinds of which there are fewer than their least, or more than their most, on a map or in all.
func (c *Checker) ofNumbers(d *document.Document, say func(Finding)) {
	for _, own := range d.Kinds.All() {
		k := d.Kind(own.ID)
		if k == nil || k.MapLeast+k.MapMost+k.ProjectLeast+k.ProjectMost == 0 {
			continue
		}
		sum, told := 0, 0
		for _, m := range d.MapsInOrder() {
			n := c.maps[m.ID].counts[string(k.ID)]
			sum += n
			if !m.Template && outOf(n, k.MapLeast, k.MapMost) && told < maxAlike {
				told++
				say(Finding{What: WrongNumber, Of: document.TypeMap, Map: m.ID, ID: m.ID, Text: fmt.Sprintf("%s has %d of %s, and is to have %s.", m.Name, n, k.Name, author.Between(k.MapLeast, k.MapMost))})
			}
		}
		if outOf(sum, k.ProjectLeast, k.ProjectMost) {
			say(Finding{What: WrongNumber, Of: document.TypeKind, ID: k.ID, Text: fmt.Sprintf("The project has %d of %s, and is to have %s.", sum, k.Name, author.Between(k.ProjectLeast, k.ProjectMost))})
		}
	}
}

func outOf(n, least, most int) bool { return n < least || most > 0 && n > most }
