package format

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"slices"
	"strings"
)

// names are those of an object, sorted.
func names(o object) []string {
	return slices.Sorted(maps.Keys(o))
}

// mapFile reads a map with its layers, their cells, and its entities.
func (r *reader) mapFile(o object, file string) error {
	m, ok := o["map"].(object)
	if !ok {
		return errors.New("it has no “map”")
	}
	placings, _ := o["placings"].([]any)
	delete(o, "placings")
	bounds, _ := m["bounds"].(object)
	x, y := whole(bounds["x"]), whole(bounds["y"])
	if max(x, -x, y, -y) > farthest {
		return errors.New("its bounds lie too far away")
	}
	layers, _ := o["layers"].([]any)
	if len(layers) > document.MaxLayers {
		return fmt.Errorf("a map has at most %d layers", document.MaxLayers)
	}
	for _, v := range layers {
		layer, ok := v.(object)
		if !ok {
			return errors.New("a layer of it is nothing")
		}
		if image, _ := layer["image"].(object); image != nil && image["picture"] != "" && image["picture"] != nil {
			if err := r.shown(image, "maps"); err != nil {
				return err
			}
		}
		// what lies beyond the edges of a map that was made smaller is kept as well
		t, cx, cy, err := r.table(layer, "maps", 2*document.MaxSide+1, 2*document.MaxSide+1)
		if err != nil {
			return err
		}
		plane := cells.Plane{}
		if t != nil {
			plane, _ = t.patch(cx+x, cy+y).Apply(plane)
		}
		r.planes = append(r.planes, cells.EncodeWhole(plane))
	}
	entities, _ := o["entities"].([]any)
	if err := errors.Join(distinct(layers, "layers"), distinct(entities, "entities")); err != nil {
		return firstOf(err)
	}
	for _, v := range entities {
		e, ok := v.(object)
		if !ok {
			return errors.New("an entity of it is nothing")
		}
		e["x"], e["y"] = whole(e["x"])+x*whole(m["cellWidth"]), whole(e["y"])+y*whole(m["cellHeight"])
	}
	for _, v := range placings {
		if err := r.add("placings", v, v, file); err != nil {
			return err
		}
	}
	return r.add("maps", object{"map": m, "layers": layers, "entities": entities}, m, file)
}

// distinct refuses two of a list that have the same id.
func distinct(all []any, what string) error {
	seen := map[string]bool{}
	for _, v := range all {
		o, _ := v.(object)
		id, _ := o["id"].(string)
		if seen[id] {
			return fmt.Errorf("two of its %s have the id %.40s: give one of them another", what, id)
		}
		seen[id] = true
	}
	return nil
}

// join makes the document. Where that cannot be done, the file is looked for alone of which none can be made.
func (r *reader) join() (*document.Document, error) {
	d, err := joined(r.head, r.format, r.planes)
	if err == nil {
		return d, nil
	}
	tables := []string{"flags", "counters", "zones", "passages", "placings", "wordings", "sounds", "tilesets", "rules", "motifs", "kinds", "materials", "pins", "recordings"}
	for _, table := range tables {
		all, _ := r.head[table].([]any)
		for _, v := range all {
			probe := object{"project": plainProject()}
			probe[table] = []any{v}
			if _, err := joined(probe, r.format, nil); err != nil {
				o, _ := v.(object)
				if of, is := o["rule"].(object); is {
					o = of
				}
				id, _ := o["id"].(string)
				return nil, &Fault{r.from[table+" "+id], plainly(err)}
			}
		}
	}
	planes := r.planes
	maps, _ := r.head["maps"].([]any)
	for _, v := range maps {
		o := v.(object)
		n := len(o["layers"].([]any))
		if _, err := joined(object{"project": plainProject(), "maps": []any{v}}, r.format, planes[:n]); err != nil {
			id, _ := o["map"].(object)["id"].(string)
			return nil, &Fault{r.from["maps "+id], plainly(err)}
		}
		planes = planes[n:]
	}
	return nil, &Fault{projectFile, plainly(err)}
}

// plainly says in a sentence what a decoder of JSON says.
func plainly(err error) error {
	var wrong *json.UnmarshalTypeError
	if errors.As(err, &wrong) {
		field := wrong.Field[strings.LastIndexByte(wrong.Field, '.')+1:]
		return fmt.Errorf("“%s” cannot be a %s", field, wrong.Value)
	}
	_, name, unknown := strings.Cut(err.Error(), "unknown field ")
	if unknown {
		return fmt.Errorf("“%.40s” is nothing that is known here", strings.Trim(name, `"`))
	}
	return errors.Unwrap(err)
}

// plainProject is a project that has nothing wrong.
func plainProject() any {
	var out object
	if err := json.Unmarshal(edit.JSON(document.New("Probe").Project), &out); err != nil {
		panic(fmt.Sprintf("format: a new project is plain JSON: %v", err))
	}
	return out
}

func joined(head object, format int, planes [][]byte) (*document.Document, error) {
	data, err := json.Marshal(head)
	if err != nil {
		return nil, fmt.Errorf("put a project together: %w", err)
	}
	d, err := document.Join(data, format, planes)
	if err != nil {
		return nil, fmt.Errorf("read a project: %w", err)
	}
	return d, nil
}
