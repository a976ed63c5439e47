package format_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/sample"
	"bytes"
	"encoding/json"
	"slices"
	"strings"
	"testing"
)

// strew puts an unknown field into every object of a file that a schema describes all of, and tells how many.
func strew(v any, n *int) {
	switch v := v.(type) {
	case map[string]any:
		for k, e := range v {
			if k != "value" && k != "moment" && k != "course" { // of any type
				strew(e, n)
			}
		}
		v["xOwn"] = map[string]any{"tool": "brine", "weight": json.Number("1.50"), "list": []any{nil, true}}
		*n++
	case []any:
		for _, e := range v {
			strew(e, n)
		}
	}
}

// Fields that nothing here knows stay where they are in the files, also when the project is called otherwise, and go with what they belong to.
func TestUnknownFieldsAreKept(t *testing.T) {
	raw := sample.With(sample.Full(), cell(sample.Full(), 2, 2))
	d, files, take := written(t, raw)
	_, picture, _ := pictured(raw)
	n := 0
	for i, f := range files {
		if !strings.HasSuffix(f.Path, ".json") || strings.HasPrefix(f.Path, "schemas/") || strings.HasPrefix(f.Path, "derived/") {
			continue
		}
		dec := json.NewDecoder(bytes.NewReader(f.Data))
		dec.UseNumber()
		var o any
		if err := dec.Decode(&o); err != nil {
			t.Fatal(err)
		}
		strew(o, &n)
		var out bytes.Buffer
		enc := json.NewEncoder(&out)
		enc.SetEscapeHTML(false)
		enc.SetIndent("", "\t")
		if err := enc.Encode(o); err != nil {
			t.Fatal(err)
		}
		files[i].Data = out.Bytes()
	}
	if n < 100 {
		t.Fatalf("only %d objects were found", n)
	}
	got, err := format.Read(files, pictures(take))
	if err != nil {
		t.Fatal(err)
	}
	if len(got.Project.Kept) != n {
		t.Errorf("%d fields are kept of %d", len(got.Project.Kept), n)
	}
	again, err := format.Write(got, picture)
	if err != nil {
		t.Fatal(err)
	}
	for _, f := range files {
		i := slices.IndexFunc(again, func(g format.File) bool { return g.Path == f.Path })
		if i < 0 || !bytes.Equal(again[i].Data, f.Data) {
			t.Errorf("%s is written otherwise: %s", f.Path, difference(f.Data, again[i].Data))
		}
	}
	// nothing else is otherwise
	bare, project := *got, *got.Project
	project.Kept = nil
	bare.Project = &project
	if bare.Hash() != d.Hash() {
		t.Error("what is known is read otherwise")
	}
	// what is called otherwise keeps its own, what is gone takes its own along
	m := got.Maps.Get(sample.Quay)
	renamed := sample.With(got, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "name", "Pier"))
	again, err = format.Write(renamed, picture)
	if err != nil {
		t.Fatal(err)
	}
	if f := find(t, again, "maps/pier.json"); !bytes.Contains(f.Data, []byte(`"tool": "brine"`)) {
		t.Error("a map that is called otherwise lost its unknown fields")
	}
	entity := m.Entities.All()[0]
	gone := sample.With(got, edit.Primitive{Op: edit.OpRemove, Ref: edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: entity.ID}})
	if again, err = format.Write(gone, picture); err != nil {
		t.Fatal(err)
	}
	before, after := bytes.Count(find(t, files, "maps/quay.json").Data, []byte("brine")), bytes.Count(find(t, again, "maps/quay.json").Data, []byte("brine"))
	if after >= before {
		t.Errorf("with an entity the map's file holds %d unknown fields, without it %d", before, after)
	}
	if told := got.Project.ToldKept(); !strings.HasPrefix(told[0], "“xOwn” of ") || len(told) != 21 {
		t.Error(told)
	}
}

// difference is the first line in which two texts differ.
func difference(a, b []byte) string {
	x, y := strings.Split(string(a), "\n"), strings.Split(string(b), "\n")
	for i := range min(len(x), len(y)) {
		if x[i] != y[i] {
			return x[i] + " / " + y[i]
		}
	}
	return "one is longer"
}

// More unknown fields than are kept are refused with a sentence.
func TestTooManyUnknownFields(t *testing.T) {
	_, files, take := written(t, sample.Full())
	var many strings.Builder
	for i := range document.MaxKept + 1 {
		many.WriteString(`"x` + strings.Repeat("i", i) + `": 1, `)
	}
	f := find(t, files, "project.json")
	f.Data = []byte(strings.Replace(string(f.Data), "{", "{"+many.String(), 1))
	if _, err := format.Read(files, pictures(take)); err == nil || !strings.Contains(err.Error(), "at most 1000 are kept") {
		t.Errorf("got %v", err)
	}
}
