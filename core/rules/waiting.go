package rules

import (
	"azzel/core/document"
	"slices"
)

// Happening is what rules wait for: a word, and what it happens to: an entity of a map, of a kind; a map where no
// entity is named; a flag or a counter; or nothing, as a new game does.
type Happening struct {
	Word string
	At   document.Object
	// Kind is that of the entity.
	Kind document.ID
}

// waiting is a rule at its place among all.
type waiting struct {
	rule *document.Rule
	n    int
}

type awaited struct {
	word string
	at   document.Object
}

// doneBy are the happenings of which somebody other than the hero can be who did it.
var doneBy = map[string]bool{WordEnter: true, WordUse: true, WordTurnsOn: true, WordTurnsOff: true, WordOpens: true, WordShuts: true, WordFalls: true}

// Waiting lists the rules that wait for a happening, in their order.
func Waiting(d *document.Document, h Happening) []*document.Rule {
	if d.Rules.Len() == 0 {
		return nil
	}
	index := d.Rules.Derived(func() any {
		out := map[awaited][]waiting{}
		for n, r := range d.RulesInOrder() {
			if r.Off {
				continue
			}
			for _, p := range TreeOf(r).When {
				key := awaited{p.Word, p.At}
				if all := out[key]; len(all) == 0 || all[len(all)-1].rule != r {
					out[key] = append(all, waiting{r, n})
				}
			}
		}
		return out
	}).(map[awaited][]waiting)
	all := index[awaited{h.Word, h.At}]
	if h.Kind != "" {
		of := index[awaited{h.Word, document.Object{Type: document.TypeKind, ID: h.Kind}}]
		if k := d.Kind(h.Kind); k != nil && len(k.Tags) > 0 {
			of = slices.Clone(of)
			for _, tag := range k.Tags {
				of = append(of, index[awaited{h.Word, document.Object{Type: document.TypeTag, ID: document.ID(tag)}}]...)
			}
		}
		if len(of) > 0 {
			all = slices.Concat(all, of)
			slices.SortFunc(all, func(a, b waiting) int { return a.n - b.n })
			all = slices.Compact(all)
		}
	}
	if len(all) == 0 {
		return nil
	}
	out := make([]*document.Rule, len(all))
	for i, w := range all {
		out[i] = w.rule
	}
	return out
}
