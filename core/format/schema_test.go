package format_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/format"
	"azzel/core/sample"
	"bytes"
	"math/rand/v2"
	"path"
	"strings"
	"testing"

	"github.com/santhosh-tekuri/jsonschema/v6"
)

// validator reads the schemas that come with a project, as another program would.
func validator(t *testing.T, files []format.File) func(f format.File) error {
	t.Helper()
	c := jsonschema.NewCompiler()
	compiled := map[string]*jsonschema.Schema{}
	for _, f := range files {
		if !strings.HasPrefix(f.Path, "schemas/") {
			continue
		}
		doc, err := jsonschema.UnmarshalJSON(bytes.NewReader(f.Data))
		if err != nil {
			t.Fatal(err)
		}
		if err := c.AddResource(f.Path, doc); err != nil {
			t.Fatal(err)
		}
		if compiled[f.Path], err = c.Compile(f.Path); err != nil {
			t.Fatal(err)
		}
	}
	return func(f format.File) error {
		doc, err := jsonschema.UnmarshalJSON(bytes.NewReader(f.Data))
		if err != nil {
			return err
		}
		named, _ := doc.(map[string]any)["$schema"].(string)
		return compiled[path.Join(path.Dir(f.Path), named)].Validate(doc)
	}
}

// Every JSON file of a project is as its schema says, whatever is in the project; and the schemas tell of mistakes.
func TestFilesAreAsTheirSchemasSay(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	d := sample.Full()
	seen := map[string]int{}
	for n := range 40 {
		_, files, _ := written(t, d)
		valid := validator(t, files)
		for _, f := range files {
			if strings.HasSuffix(f.Path, ".json") && !strings.HasPrefix(f.Path, "schemas/") {
				seen[path.Dir(f.Path)]++
				if err := valid(f); err != nil {
					t.Fatalf("%d: %s\n%v", n, f.Path, err)
				}
			}
		}
		d = edit.Apply(d, &edit.Edit{Do: sample.Primitives(r, d)}).Doc
	}
	if len(seen) < 10 {
		t.Errorf("only these were looked at: %v", seen)
	}
	_, files, _ := written(t, document.New("Empty"))
	valid := validator(t, files)
	for what, wrong := range map[string]string{"a field that there is not": `"nam": "x"`, "a wrong type": `"name": 4`} {
		f := *find(t, files, "project.json")
		f.Data = []byte(strings.Replace(string(f.Data), `"name": "Empty"`, wrong, 1))
		if valid(f) == nil {
			t.Errorf("%s is not told", what)
		}
	}
}
