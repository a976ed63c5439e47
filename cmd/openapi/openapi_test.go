package main

import (
	"azzel/server"
	"os"
	"testing"

	"github.com/getkin/kin-openapi/openapi3"
)

// The pages of the API are what the server's list of operations says, and valid OpenAPI.
func TestPagesAreCurrent(t *testing.T) {
	for name, make := range pages {
		want, err := make()
		if err != nil {
			t.Fatal(err)
		}
		if is, err := os.ReadFile("../../" + name); err != nil || string(is) != want {
			t.Errorf("%s is not current: run go generate ./cmd/openapi", name)
		}
	}
	doc, err := openapi3.NewLoader().LoadFromFile("../../docs/openapi.json")
	if err != nil {
		t.Fatal(err)
	}
	if err := doc.Validate(t.Context()); err != nil {
		t.Error(err)
	}
	if n := len(server.Operations()); doc.Paths.Len() < n-2 {
		t.Errorf("%d paths of %d operations are described", doc.Paths.Len(), n)
	}
}
