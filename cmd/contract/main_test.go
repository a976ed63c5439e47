package main

import (
	"os"
	"testing"
)

// The interface's types are those of the Go declarations.
func TestContractIsCurrent(t *testing.T) {
	have, err := os.ReadFile("../../web/src/core/contract.gen.ts")
	if err != nil {
		t.Fatal(err)
	}
	if string(have) != Contract() {
		t.Error("web/src/core/contract.gen.ts is not what the core declares: run “go generate ./core/session”")
	}
}
