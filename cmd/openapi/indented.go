package main

import (
	"bytes"
	"encoding/json"
	"fmt"
)

// indented is JSON as version control compares it.
func indented(raw []byte) (string, error) {
	var out bytes.Buffer
	if err := json.Indent(&out, raw, "", "\t"); err != nil {
		return "", fmt.Errorf("write the API: %w", err)
	}
	return out.String() + "\n", nil
}
