package document

import (
	"encoding/json"
	"errors"
	"fmt"
)

// Kept is a field of a project's files that nothing here knows: another program's, say. It is written where it stood.
type Kept struct {
	// Of is whose field it is: “project”, or a kind of thing and its id, as “map 0123…”.
	Of string `json:"of"`
	// At leads to the object that it stands in: names of fields, “#” and an id in a list of things that have ids, else a place in a list.
	At []string `json:"at,omitempty"`
	// Name is what the field is called, Value what it holds, as JSON.
	Name  string `json:"name"`
	Value string `json:"value"`
}

// MaxKept is how many unknown fields a project keeps at most, MaxKeptBytes how many bytes all of them come to.
const (
	MaxKept      = 1000
	MaxKeptBytes = 256 << 10
)

// checkKept checks the unknown fields of a project.
func checkKept(all []Kept) error {
	if len(all) > MaxKept {
		return fmt.Errorf("there are %d unknown fields, and at most %d are kept", len(all), MaxKept)
	}
	bytes := 0
	for _, k := range all {
		bytes += len(k.Of) + len(k.Name) + len(k.Value)
		for _, s := range k.At {
			bytes += len(s)
		}
		if k.Of == "" || k.Name == "" || !json.Valid([]byte(k.Value)) {
			return errors.New("an unknown field is cut off")
		}
	}
	if bytes > MaxKeptBytes {
		return fmt.Errorf("the unknown fields come to %d KB, and at most %d are kept", bytes>>10, MaxKeptBytes>>10)
	}
	return nil
}

// maxToldKept is how many unknown fields are told one by one.
const maxToldKept = 20

// ToldKept says of the fields that nothing knows that they are kept, a sentence each.
func (p *Project) ToldKept() []string {
	out := []string{}
	for i, k := range p.Kept {
		if i == maxToldKept {
			return append(out, fmt.Sprintf("So it is with %d more.", len(p.Kept)-i))
		}
		out = append(out, fmt.Sprintf("“%.40s” of %.60s is nothing that is known here: it is kept, and written again.", k.Name, k.Of))
	}
	return out
}
