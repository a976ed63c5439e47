package document_test

import (
	"azzel/core/document"
	"slices"
	"testing"
)

func TestFieldsByName(t *testing.T) {
	f := &document.Flag{ID: "flagflagflag", Name: "Lit"}
	next, err := document.WithField(f, "name", []byte(`"Dark"`))
	if err != nil || next.Name != "Dark" || f.Name != "Lit" {
		t.Errorf("renamed it is %+v, before %+v, %v", next, f, err)
	}
	for name, value := range map[string]string{"id": `"gonegonegone"`, "colour": `"red"`, "": `1`} {
		if _, err := document.WithField(f, name, []byte(value)); err == nil {
			t.Errorf("%q was set", name)
		}
		if _, err := document.Field(f, name); err == nil {
			t.Errorf("%q was read", name)
		}
	}
	for _, value := range []string{`7`, `"a" "b"`, `{`, ``} {
		if _, err := document.WithField(f, "name", []byte(value)); err == nil {
			t.Errorf("the name became %s", value)
		}
	}
	if got := document.FieldNames(f); !slices.Equal(got, []string{"name"}) {
		t.Errorf("the fields are %v", got)
	}
}
