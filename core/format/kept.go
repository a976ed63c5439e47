package format

import (
	"azzel/core/document"
	"cmp"
	"encoding/json"
	"fmt"
	"slices"
	"strconv"
	"strings"
	"sync"
)

// shape is what a JSON Schema says of an object: as much of it as those of this package say.
type shape struct {
	Ref        string           `json:"$ref"`
	Defs       map[string]shape `json:"$defs"`
	Properties map[string]shape `json:"properties"`
	Items      *shape           `json:"items"`
	// More is “false” where no other fields may stand.
	More json.RawMessage `json:"additionalProperties"`
}

// UnmarshalJSON reads a schema; one that is “true”, of anything, says nothing.
func (s *shape) UnmarshalJSON(data []byte) error {
	type plain shape
	if data[0] != '{' {
		return nil
	}
	return json.Unmarshal(data, (*plain)(s))
}

// shapes are those of the kinds of files, by the schema's name.
var shapes = sync.OnceValue(func() map[string]shape {
	out := map[string]shape{}
	for _, f := range schemas() {
		var s shape
		if err := json.Unmarshal(f.Data, &s); err != nil {
			panic(fmt.Sprintf("format: the schemas are part of the program: %v", err))
		}
		out[strings.TrimSuffix(strings.TrimPrefix(f.Path, schemaFolder), ".json")] = s
	}
	return out
})

// schemaOf is the name of the schema of the files of a folder.
func schemaOf(dir string) string {
	return cmp.Or(map[string]string{"": "project", "texts": "texts"}[dir], strings.TrimSuffix(dir, "s"))
}

// ownerOf is whose an unknown field is: the project's, or a thing's by its kind and id, which stay when a file is called otherwise.
func ownerOf(schema string, o object) string {
	switch of, _ := o[schema].(object); schema {
	case "project":
		return schema
	case "texts":
		all, _ := o["wordings"].([]any)
		if len(all) == 0 {
			return schema
		}
		return schema + " " + fieldOf(all[0], "language")
	default:
		return schema + " " + fieldOf(of, "id")
	}
}

// keep takes out of a file the fields that its schema does not know, and remembers where they stood.
func (r *reader) keep(dir, file string, o object) error {
	schema := schemaOf(dir)
	whole := shapes()[schema]
	owner := ownerOf(schema, o)
	var wrong error
	unknown(o, whole, whole.Defs, nil, func(at []string, name string, v any) {
		data, err := json.Marshal(v)
		if err != nil {
			wrong = fmt.Errorf("keep “%.40s”: %w", name, err)
			return
		}
		r.kept = append(r.kept, document.Kept{Of: owner, At: at, Name: name, Value: string(data)})
		if r.unknown[file] == "" {
			r.unknown[file] = name
		}
	})
	return wrong
}

// unknown calls found with the fields that a shape does not know, by where their object is, and takes them out.
func unknown(v any, s shape, defs map[string]shape, at []string, found func(at []string, name string, v any)) {
	if name, is := strings.CutPrefix(s.Ref, "#/$defs/"); is {
		s = defs[name]
	}
	switch v := v.(type) {
	case object:
		for _, k := range names(v) {
			of, known := s.Properties[k]
			switch {
			case known:
				unknown(v[k], of, defs, append(slices.Clone(at), k), found)
			case string(s.More) == "false":
				found(at, k, v[k])
				delete(v, k)
			}
		}
	case []any:
		if s.Items == nil {
			return
		}
		for i, e := range v {
			unknown(e, *s.Items, defs, append(slices.Clone(at), step(e, i)), found)
		}
	}
}

// step calls an element of a list: by its id, which stays when others come and go, else by its place.
func step(e any, i int) string {
	if id := fieldOf(e, "id"); id != "" {
		return "#" + id
	}
	return strconv.Itoa(i)
}

// putBack puts kept fields where they stood; those of things that are gone are left out.
func putBack(kept []document.Kept, schema string, o object) {
	owner := ""
	for _, k := range kept {
		if owner == "" {
			owner = ownerOf(schema, o)
		}
		if k.Of != owner {
			continue
		}
		var at any = o
		for _, name := range k.At {
			switch v := at.(type) {
			case object:
				at = v[name]
			case []any:
				i := 0
				for i < len(v) && step(v[i], i) != name {
					i++
				}
				if at = nil; i < len(v) {
					at = v[i]
				}
			default:
				at = nil
			}
		}
		in, is := at.(object)
		if _, there := in[k.Name]; !is || there {
			continue
		}
		dec := json.NewDecoder(strings.NewReader(k.Value))
		dec.UseNumber()
		var v any
		if dec.Decode(&v) == nil {
			in[k.Name] = v
		}
	}
}
