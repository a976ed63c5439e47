package main

import "testing"

// The schemas and the page about the files are as the declarations say.
func TestSchemasAreCurrent(t *testing.T) {
	t.Chdir("../..")
	old, err := stale()
	if err != nil {
		t.Fatal(err)
	}
	if len(old) > 0 {
		t.Errorf("run “go generate ./core/format”: %v would be made otherwise", old)
	}
}
