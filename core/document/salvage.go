package document

import (
	"azzel/core/cells"
	"encoding/json"
	"fmt"
	"slices"
)

// Salvage reads of a stored state what can be read, and says a sentence each about
// what cannot. The error is given where not even the project's own fields can be.
func Salvage(data []byte) (*Document, []string, error) {
	raw, parts, err := opened(data)
	if err != nil {
		return nil, nil, err
	}
	var head struct {
		Project    json.RawMessage
		Tilesets   []json.RawMessage
		Maps       []json.RawMessage
		Passages   []json.RawMessage
		Rules      []json.RawMessage
		Flags      []json.RawMessage
		Counters   []json.RawMessage
		Wordings   []json.RawMessage
		Sounds     []json.RawMessage
		Motifs     []json.RawMessage
		Zones      []json.RawMessage
		Materials  []json.RawMessage
		Kinds      []json.RawMessage
		Placings   []json.RawMessage
		Pins       []json.RawMessage
		Recordings []json.RawMessage
	}
	if err := json.Unmarshal(raw, &head); err != nil {
		return nil, nil, fmt.Errorf("%w: %w", errState, err)
	}
	d := New("Unreadable")
	var lost []string
	if p := salvaged[Project]([]json.RawMessage{head.Project}, "the project's own settings", &lost); len(p) == 1 {
		d.Project = p[0]
	}
	for _, raw := range head.Maps {
		m, why := salvagedMap(raw, parts)
		lost = append(lost, why...)
		if m != nil {
			d.Maps = d.Maps.With(m.ID, m)
		}
	}
	keep(&d.Tilesets, salvaged[Tileset](head.Tilesets, "a tileset", &lost), func(o *Tileset) ID { return o.ID })
	keep(&d.Passages, salvaged[Passage](head.Passages, "a passage", &lost), func(o *Passage) ID { return o.ID })
	for _, raw := range head.Rules {
		if r := salvagedRule(raw, &lost); r != nil {
			d.Rules = d.Rules.With(r.ID, r)
		}
	}
	keep(&d.Flags, salvaged[Flag](head.Flags, "a flag", &lost), func(o *Flag) ID { return o.ID })
	keep(&d.Counters, salvaged[Counter](head.Counters, "a counter", &lost), func(o *Counter) ID { return o.ID })
	keep(&d.Wordings, salvaged[Wording](head.Wordings, "what a text is in another language", &lost), func(o *Wording) ID { return o.ID })
	keep(&d.Sounds, salvaged[Sound](head.Sounds, "a sound", &lost), func(o *Sound) ID { return o.ID })
	keep(&d.Motifs, salvaged[Motif](head.Motifs, "a motif", &lost), func(o *Motif) ID { return o.ID })
	keep(&d.Zones, salvaged[Zone](head.Zones, "a zone", &lost), func(o *Zone) ID { return o.ID })
	keep(&d.Materials, salvaged[Material](head.Materials, "a material", &lost), func(o *Material) ID { return o.ID })
	keep(&d.Kinds, salvaged[Kind](head.Kinds, "a kind", &lost), func(o *Kind) ID { return o.ID })
	keep(&d.Placings, salvaged[Placing](head.Placings, "a motif's placing", &lost), func(o *Placing) ID { return o.ID })
	keep(&d.Pins, salvaged[Pin](head.Pins, "a pin", &lost), func(o *Pin) ID { return o.ID })
	keep(&d.Recordings, salvaged[Recording](head.Recordings, "a recording", &lost), func(o *Recording) ID { return o.ID })
	return d, lost, nil
}

func keep[T any](t *Table[T], all []*T, id func(*T) ID) {
	for _, o := range all {
		*t = t.With(id(o), o)
	}
}

func salvaged[T any](all []json.RawMessage, what string, lost *[]string) (out []*T) {
	for _, raw := range all {
		o := new(T)
		if json.Unmarshal(raw, o) != nil || any(o).(Checked).Check() != nil {
			*lost = append(*lost, what+" cannot be read and is left out")
			continue
		}
		out = append(out, o)
	}
	return out
}

func salvagedRule(raw json.RawMessage, lost *[]string) *Rule {
	var sr struct {
		Rule  json.RawMessage
		Parts []json.RawMessage
	}
	_ = json.Unmarshal(raw, &sr) // without a rule in it nothing is found
	all := salvaged[Rule]([]json.RawMessage{sr.Rule}, "a rule", lost)
	if len(all) == 0 {
		return nil
	}
	keep(&all[0].Parts, salvaged[RulePart](sr.Parts, "a part of a rule", lost), func(o *RulePart) ID { return o.ID })
	return all[0]
}

func salvagedMap(raw json.RawMessage, parts *parts) (*Map, []string) {
	var sm struct {
		Map      *Map
		Layers   []json.RawMessage
		Entities []json.RawMessage
	}
	var lost []string
	if json.Unmarshal(raw, &sm) != nil || sm.Map == nil || sm.Map.Check() != nil {
		for range sm.Layers {
			_, _ = parts.next() // the next map's cells lie behind
		}
		return nil, []string{"a map cannot be read and is left out"}
	}
	content := &Content{Entities: salvaged[Entity](sm.Entities, "an entity of "+sm.Map.Name, &lost)}
	for _, raw := range sm.Layers {
		var patch cells.Patch
		data, err := parts.next()
		if err == nil {
			patch, err = cells.DecodePatch(data)
		}
		l := salvaged[Layer]([]json.RawMessage{raw}, "a layer of "+sm.Map.Name, &lost)
		if len(l) == 0 {
			continue
		}
		if err != nil {
			lost = append(lost, fmt.Sprintf("the cells of %s on %s cannot be read and are left empty", l[0].Name, sm.Map.Name))
		}
		content.Layers = append(content.Layers, LayerContent{l[0], patch})
	}
	content.Entities = slices.DeleteFunc(content.Entities, func(e *Entity) bool {
		return !slices.ContainsFunc(content.Layers, func(l LayerContent) bool { return l.Layer.ID == e.Layer })
	})
	return content.Fill(*sm.Map), lost
}
