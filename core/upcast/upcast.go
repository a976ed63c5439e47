// Package upcast brings what earlier versions of Azzel wrote to the present
// format: edits and their inverses, whether they come in, lie in the log or were
// kept by a page, and stored states. It turns JSON into JSON and knows no types of
// the present, so that it goes on working when those change.
package upcast

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
)

// Format is the version that edits, inverses and states are written in, and that
// pages and servers agree on.
const Format = 15

// object is JSON as it is worked on: numbers stay as they are written.
type object = map[string]any

// change turns what one version wrote into what the next one reads.
type change struct {
	// whole changes an object of a type, as it stands in an insertion or a state.
	whole func(typ string, o object)
	// field changes one field of an object of a type, as it stands where it is set.
	field func(typ, name string, value any) (string, any)
	// step changes a primitive before its values are changed; nil leaves it.
	step func(p object)
	// head changes the head of a state before its objects are changed; nil leaves it.
	head func(h object)
}

// nothing leaves all as it was written.
var nothing = change{
	whole: func(string, object) {},
	field: func(_, name string, value any) (string, any) { return name, value },
}

// changes lead from format i+1 to i+2.
var changes = []change{format2, format3, format4, format5, format6, format7, format8, format9, format10, format11, format12, format13, format14, format15}

// ErrFormat is given for what a newer version wrote, or none did.
var ErrFormat = errors.New("this was written by another version of Azzel")

func known(format int) error {
	if format < 1 || format > Format {
		return fmt.Errorf("%w: it has format %d, and 1 to %d can be read", ErrFormat, format, Format)
	}
	return nil
}

// Edit brings an edit to the present format.
func Edit(data []byte) ([]byte, error) {
	var head struct {
		V int `json:"v"`
	}
	if err := json.Unmarshal(data, &head); err != nil {
		return nil, errors.New("this edit is not JSON")
	}
	if err := known(head.V); err != nil || head.V == Format {
		return data, err
	}
	var e object
	if err := read(data, &e); err != nil {
		return nil, err
	}
	for _, c := range changes[head.V-1:] {
		c.steps(e["do"])
	}
	e["v"] = Format
	return json.Marshal(e)
}

// Steps brings a list of primitives, as an inverse is stored, to the present format.
func Steps(data []byte, format int) ([]byte, error) {
	if err := known(format); err != nil || format == Format {
		return data, err
	}
	var all []any
	if err := read(data, &all); err != nil {
		return nil, err
	}
	for _, c := range changes[format-1:] {
		c.steps(all)
	}
	return json.Marshal(all)
}

// Head brings the head of a stored state to the present format.
func Head(data []byte, format int) ([]byte, error) {
	if err := known(format); err != nil || format == Format {
		return data, err
	}
	var h object
	if err := read(data, &h); err != nil {
		return nil, err
	}
	for _, c := range changes[format-1:] {
		c.state(h)
	}
	return json.Marshal(h)
}

func read(data []byte, into any) error {
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.UseNumber()
	if err := dec.Decode(into); err != nil {
		return fmt.Errorf("what an earlier version wrote cannot be read: %w", err)
	}
	if _, err := dec.Token(); !errors.Is(err, io.EOF) {
		return errors.New("what an earlier version wrote has something behind it")
	}
	return nil
}

func (c change) steps(do any) {
	all, _ := do.([]any)
	for _, one := range all {
		p, ok := one.(object)
		if !ok {
			continue
		}
		if c.step != nil {
			c.step(p)
		}
		ref, _ := p["ref"].(object)
		typ, _ := ref["type"].(string)
		if name, ok := p["field"].(string); ok {
			next := name
			for _, key := range []string{"value", "wasValue"} {
				if v, ok := p[key]; ok {
					next, p[key] = c.field(typ, name, v)
				}
			}
			p["field"] = next
		} else {
			for _, key := range []string{"value", "wasValue"} {
				if o, ok := p[key].(object); ok {
					c.whole(typ, o)
				}
			}
		}
		if content, ok := p["content"].(object); ok {
			c.each(content["entities"], "entity", "")
			c.each(content["layers"], "layer", "layer")
			c.each(content["parts"], "part", "")
		}
	}
}

// each changes the objects of a list; inside names the field that holds each one.
func (c change) each(list any, typ, inside string) {
	all, _ := list.([]any)
	for _, one := range all {
		o, ok := one.(object)
		if ok && inside != "" {
			o, ok = o[inside].(object)
		}
		if ok {
			c.whole(typ, o)
		}
	}
}

func (c change) state(h object) {
	if c.head != nil {
		c.head(h)
	}
	if p, ok := h["project"].(object); ok {
		c.whole("project", p)
	}
	for _, t := range []struct{ list, typ string }{{"tilesets", "tileset"}, {"passages", "passage"}, {"flags", "flag"},
		{"motifs", "motif"}, {"zones", "zone"}, {"materials", "material"}, {"kinds", "kind"}, {"placings", "placing"}, {"pins", "pin"}, {"recordings", "recording"}} {
		c.each(h[t.list], t.typ, "")
	}
	c.each(h["rules"], "rule", "rule")
	for _, one := range list2(h["rules"]) {
		if r, ok := one.(object); ok {
			c.each(r["parts"], "part", "")
		}
	}
	c.each(h["maps"], "map", "map")
	all, _ := h["maps"].([]any)
	for _, one := range all {
		if m, ok := one.(object); ok {
			c.each(m["layers"], "layer", "")
			c.each(m["entities"], "entity", "")
		}
	}
}
