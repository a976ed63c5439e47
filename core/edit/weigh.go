package edit

import (
	"azzel/core/cells"
	"bytes"
	"encoding/json"
	"errors"
)

// What one edit may come to in memory, whatever it comes to as text: an undo of a
// scatter over a scatter on the largest map holds 2 × 4.3 million cells.
const (
	MaxCells   = 9 << 20
	maxObjects = 160_000
	maxValues  = 1_500_000
	maxDepth   = 64
)

var errHeavy = errors.New("this edit holds more than can be done at once: do it in smaller parts")

// weight is what an edit comes to: cells of its patches; brackets; names, values and both ends of brackets.
type weight struct{ cells, objects, values int }

// ends are the characters that end a number or a word.
var ends = [256]bool{' ': true, '\t': true, '\n': true, '\r': true, ':': true, ',': true, '{': true, '}': true, '[': true, ']': true, '"': true}

// weigh reads an edit's text without keeping anything of it, and refuses what
// would take too much memory to decode: patches are deflated, and JSON of a few
// bytes can stand for large objects. Text that is no JSON is weighed up to where it stops to be, since it is refused when it is read.
func weigh(data []byte) (w weight, err error) {
	depth := 0
	packed := false // whether what comes next is a patch
	for i := 0; i < len(data); {
		switch data[i] {
		case ' ', '\t', '\n', '\r', ':', ',':
			i++
			continue
		case '{', '[':
			w.objects++
			if depth++; depth > maxDepth {
				return w, errHeavy
			}
			i++
			packed = false
		case '}', ']':
			if depth--; depth < 0 {
				return w, nil
			}
			i++
			packed = false
		case '"':
			text := quoted(data[i:])
			i += len(text)
			if text == nil {
				return w, nil
			}
			if behind := bytes.TrimLeft(data[i:], " \t\n\r"); len(behind) > 0 && behind[0] == ':' {
				packed = isPacked(text)
				break
			}
			if packed {
				n, err := cells.Weight(plain(text), MaxCells-w.cells)
				if err != nil {
					return w, err
				}
				if w.cells += n; w.cells > MaxCells {
					return w, errHeavy
				}
			}
			packed = false
		default:
			for i++; i < len(data) && !ends[data[i]]; i++ {
			}
			packed = false
		}
		if w.values++; w.objects > maxObjects || w.values > maxValues {
			return w, errHeavy
		}
	}
	return w, nil
}

// quoted is the text that data begins with, with its quotation marks; nil if it does not end.
func quoted(data []byte) []byte {
	for i := 1; ; {
		n := bytes.IndexByte(data[i:], '"')
		if n < 0 {
			return nil
		}
		i += n + 1
		escapes := 0
		for data[i-2-escapes] == '\\' {
			escapes++
		}
		if escapes%2 == 0 {
			return data[:i]
		}
	}
}

// isPacked says whether a field of this name holds a patch; names are read whatever their case.
func isPacked(name []byte) bool {
	is := plain(name)
	return bytes.EqualFold([]byte(is), []byte("cells")) || bytes.EqualFold([]byte(is), []byte("was"))
}

// plain is what stands between quotation marks.
func plain(text []byte) (out string) {
	if bytes.IndexByte(text, '\\') < 0 {
		return string(text[1 : len(text)-1])
	}
	if json.Unmarshal(text, &out) != nil {
		return ""
	}
	return out
}
