package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"cmp"
	"fmt"
	"slices"
	"strings"
)

// Differing is something in which two states of a project differ.
type Differing struct {
	// What is what it is, as map or rule, Name how it is called.
	What string `json:"what"`
	Name string `json:"name"`
	// How is new, gone or changed.
	How string `json:"how"`
	// Cells is how many cells of a map are otherwise, Entities how many of its entities and layers.
	Cells    int `json:"cells,omitempty"`
	Entities int `json:"entities,omitempty"`
}

// The ways in which something differs.
const (
	IsNew     = "new"
	IsGone    = "gone"
	IsChanged = "changed"
)

// Said is what differs as people say it: “Quay: 3 cells, 1 thing”.
func (d Differing) Said() string {
	switch {
	case d.How != IsChanged:
		return d.Name + ": " + d.How
	case d.Cells+d.Entities == 0:
		return d.Name
	}
	out := d.Name + ": "
	if d.Cells > 0 {
		out += cellsOf(d.Cells)
	}
	if d.Entities > 0 {
		if d.Cells > 0 {
			out += ", "
		}
		out += fmt.Sprintf("%d things", d.Entities)
		if d.Entities == 1 {
			out = out[:len(out)-1]
		}
	}
	return out
}

// compared are the types of things, in the order in which they are told.
var compared = []string{edit.TypeProject, edit.TypeMap, edit.TypePassage, edit.TypeTileset, edit.TypeMaterial, edit.TypeZone, edit.TypeKind, edit.TypeMotif, edit.TypePlacing,
	edit.TypeRule, edit.TypeFlag, edit.TypeCounter, edit.TypeSound, edit.TypeWording, edit.TypePin, edit.TypeRecording}

// Compare lists in what a state of a project differs from another one: what Difference would do, by thing. It is empty where
// they are the same.
func Compare(from, to *document.Document) ([]Differing, error) {
	if from.Hash() == to.Hash() {
		return []Differing{}, nil
	}
	do, err := Difference(from, to)
	if err != nil {
		return nil, err
	}
	var out []Differing
	at := map[edit.Ref]int{}
	for i := range do {
		p := &do[i]
		ref, on := p.Ref, false
		switch {
		case ref.Map != "":
			ref, on = edit.Ref{Type: edit.TypeMap, ID: ref.Map}, true
		case ref.Rule != "":
			ref, on = edit.Ref{Type: edit.TypeRule, ID: ref.Rule}, true
		}
		k, known := at[ref]
		if !known {
			k = len(out)
			at[ref] = k
			out = append(out, Differing{What: ref.Type, Name: NameIn(from, to, ref), How: howOf(p, on)})
		} else if out[k].How == IsGone && p.Op == edit.OpInsert {
			out[k].How = IsChanged // it was taken out to be put back otherwise
		}
		if ref.Type == edit.TypeMap && on {
			out[k].Cells += p.Cells.Count()
			if p.Op != edit.OpCells && p.Op != edit.OpSet || p.Op == edit.OpSet && last(do[:i], p.Ref) {
				out[k].Entities++
			}
		}
	}
	slices.SortStableFunc(out, func(a, b Differing) int {
		return cmp.Or(cmp.Compare(slices.Index(compared, a.What), slices.Index(compared, b.What)), cmp.Compare(a.Name, b.Name))
	})
	return out, nil
}

// last reports whether the step before was not about the same thing: of several fields one is counted.
func last(before []edit.Primitive, ref edit.Ref) bool {
	return len(before) == 0 || before[len(before)-1].Ref != ref
}

func howOf(p *edit.Primitive, on bool) string {
	switch {
	case on || p.Op == edit.OpSet || p.Op == edit.OpCells:
		return IsChanged
	case p.Op == edit.OpInsert:
		return IsNew
	}
	return IsGone
}

// NameIn is how something is called in one of two states: the later, where it is there.
func NameIn(from, to *document.Document, ref edit.Ref) string {
	return cmp.Or(nameOf(to, ref), nameOf(from, ref), string(ref.ID))
}

func nameOf(d *document.Document, ref edit.Ref) string {
	switch ref.Type {
	case edit.TypeProject:
		return "Settings of the project"
	case edit.TypeMap:
		return titled(d.Maps.Get(ref.ID), func(o *document.Map) string { return o.Name })
	case edit.TypeTileset:
		return titled(d.Tilesets.Get(ref.ID), func(o *document.Tileset) string { return o.Name })
	case edit.TypeMaterial:
		return titled(d.Materials.Get(ref.ID), func(o *document.Material) string { return o.Name })
	case edit.TypeZone:
		return titled(d.Zones.Get(ref.ID), func(o *document.Zone) string { return o.Name })
	case edit.TypeKind:
		return titled(d.Kinds.Get(ref.ID), func(o *document.Kind) string { return o.Name })
	case edit.TypeMotif:
		return titled(d.Motifs.Get(ref.ID), func(o *document.Motif) string { return o.Name })
	case edit.TypeFlag:
		return titled(d.Flags.Get(ref.ID), func(o *document.Flag) string { return o.Name })
	case edit.TypeCounter:
		return titled(d.Counters.Get(ref.ID), func(o *document.Counter) string { return o.Name })
	case edit.TypeSound:
		return titled(d.Sounds.Get(ref.ID), func(o *document.Sound) string { return o.Name })
	case edit.TypePin:
		return titled(d.Pins.Get(ref.ID), func(o *document.Pin) string { return o.Name })
	case edit.TypeRecording:
		return titled(d.Recordings.Get(ref.ID), func(o *document.Recording) string { return o.Name })
	case edit.TypeWording:
		return titled(d.Wordings.Get(ref.ID), func(o *document.Wording) string { return o.Of + " (" + o.Language + ")" })
	case edit.TypePlacing:
		return titled(d.Placings.Get(ref.ID), func(*document.Placing) string { return "Where a motif lies" })
	case edit.TypeLayer, edit.TypeEntity:
		return inMap(d, ref)
	case edit.TypePart:
		return nameOf(d, edit.Ref{Type: edit.TypeRule, ID: ref.Rule})
	case edit.TypePassage:
		return titled(d.Passages.Get(ref.ID), func(o *document.Passage) string {
			of := func(e document.End) string { return nameOf(d, edit.Ref{Type: edit.TypeMap, ID: e.Map}) }
			return "From " + of(o.From) + " to " + of(o.To)
		})
	}
	return titled(d.Rules.Get(ref.ID), func(r *document.Rule) string {
		for _, p := range r.In(document.SlotWhen) {
			_, says, _ := strings.Cut(rules.PrintPart(d, r, p), "\n") // below what stands over it
			return cmp.Or(r.Name, "When "+strings.Join(strings.Fields(says), " "))
		}
		return cmp.Or(r.Name, "A rule")
	})
}

// inMap is how a layer or an entity is called, with its map.
func inMap(d *document.Document, ref edit.Ref) string {
	m := d.Maps.Get(ref.Map)
	if m == nil {
		return ""
	}
	name := titled(m.Layers.Get(ref.ID), func(o *document.Layer) string { return o.Name })
	if ref.Type == edit.TypeEntity {
		name = titled(m.Entities.Get(ref.ID), func(o *document.Entity) string { return o.Name })
	}
	if name == "" {
		return ""
	}
	return name + " on " + m.Name
}

// titled is the name of something that may not be there.
func titled[T any](o *T, name func(*T) string) string {
	if o == nil {
		return ""
	}
	return name(o)
}
