package edit

import (
	"azzel/core/cells"
	"bytes"
	"encoding/json"
	"errors"
	"io"
)

// What one edit may come to in memory, whatever it comes to as text: an undo of a
// scatter over a scatter on the largest map holds 2 × 4.3 million cells.
const (
	MaxCells   = 9 << 20
	maxObjects = 160_000
	maxValues  = 1_500_000
)

var errHeavy = errors.New("this edit holds more than can be done at once: do it in smaller parts")

// weigh reads an edit's text without keeping anything of it, and refuses what
// would take too much memory to decode: patches are deflated, and JSON of a few
// bytes can stand for large objects.
func weigh(data []byte) error {
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.UseNumber()
	budget, objects, values := MaxCells, 0, 0
	// open is the kind of each bracket around the token; key is the name before it
	var open []byte
	key, isKey := "", false
	for {
		token, err := dec.Token()
		if errors.Is(err, io.EOF) {
			return nil
		}
		if err != nil {
			return errors.New("this edit is not JSON")
		}
		values++
		switch t := token.(type) {
		case json.Delim:
			switch t {
			case '{', '[':
				open = append(open, byte(t))
				objects++
				isKey = t == '{'
				if len(open) > 64 {
					return errHeavy
				}
			default:
				open = open[:len(open)-1]
				isKey = len(open) > 0 && open[len(open)-1] == '{'
			}
			key = ""
		case string:
			if isKey {
				key, isKey = t, false
				continue
			}
			if key == "cells" || key == "was" {
				n, err := cells.Weight(t, budget)
				if err != nil {
					return err
				}
				if budget -= n; budget < 0 {
					return errHeavy
				}
			}
			isKey = len(open) > 0 && open[len(open)-1] == '{'
		default:
			isKey = len(open) > 0 && open[len(open)-1] == '{'
		}
		if objects > maxObjects || values > maxValues {
			return errHeavy
		}
	}
}
