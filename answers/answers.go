// Package answers holds what a test asks against what is written down of it: a line a
// question, with a mark for its answer and for that of each that lies a little beside it.
package answers

import (
	"bytes"
	"encoding/json"
	"fmt"
	"hash/fnv"
	"os"
	"slices"
	"strings"
	"testing"
)

// Around gives JSON as it is, and each time with one value a little off: numbers one
// less, one more, none, far away; yes for no; another word; a list without its last.
func Around(raw json.RawMessage) (out []json.RawMessage) {
	out = append(out, raw)
	var whole any
	dec := json.NewDecoder(bytes.NewReader(raw))
	dec.UseNumber()
	if dec.Decode(&whole) != nil {
		return out
	}
	also := func() {
		if text, err := json.Marshal(whole); err == nil && !bytes.Equal(text, raw) {
			out = append(out, text)
		}
	}
	var walk func(v any, put func(any))
	walk = func(v any, put func(any)) {
		try := func(others ...any) {
			for _, o := range others {
				put(o)
				also()
			}
			put(v)
		}
		switch v := v.(type) {
		case json.Number:
			if n, err := v.Int64(); err == nil {
				try(n-1, n+1, 0, -n-1, n*2, 70_000)
			}
		case bool:
			try(!v)
		case string:
			try("", v+"x")
		case []any:
			if len(v) > 0 {
				try([]any{}, v[:len(v)-1], append(v[:len(v):len(v)], v[0]))
			}
			for i := range v {
				walk(v[i], func(o any) { v[i] = o })
			}
		case map[string]any:
			keys := []string{}
			for k := range v {
				keys = append(keys, k)
			}
			slices.Sort(keys)
			for _, k := range keys {
				walk(v[k], func(o any) { v[k] = o })
			}
		}
	}
	walk(whole, func(o any) { whole = o })
	return out
}

// Sum is a short mark of a text, to tell whether it is still the same.
func Sum(text string) string {
	h := fnv.New32a()
	_, _ = h.Write([]byte(text))
	return fmt.Sprintf("%08x", h.Sum32())
}

// List is the answers of a test.
type List struct {
	t    testing.TB
	path string
	// Writing is set to write the answers down anew, with AZZEL_ANSWERS=1.
	Writing bool
	had     map[string][]string
	out     strings.Builder
}

// Read reads what is written down in a file.
func Read(t testing.TB, path string) *List {
	t.Helper()
	a := &List{t: t, path: path, Writing: os.Getenv("AZZEL_ANSWERS") != "", had: map[string][]string{}}
	old, err := os.ReadFile(path)
	if err != nil && !a.Writing {
		t.Fatal(err)
	}
	for _, line := range strings.Split(string(old), "\n") {
		if f := strings.Fields(line); len(f) > 1 {
			a.had[f[0]] = f[1:]
		}
	}
	return a
}

// Are tells the marks of a question's answers; about says what the k-th was asked of.
// One that is written as ~ may differ.
func (a *List) Are(question string, marks []string, about func(k int) string) {
	a.t.Helper()
	_, _ = fmt.Fprintln(&a.out, question, strings.Join(marks, " "))
	if a.Writing {
		return
	}
	had := a.had[question]
	if len(had) != len(marks) {
		a.t.Errorf("%s has %d answers, and had %d", question, len(marks), len(had))
		return
	}
	for k := range marks {
		if had[k] != marks[k] && had[k] != "~" {
			a.t.Errorf("%s is answered otherwise than it was", about(k))
		}
	}
}

// Write writes the answers down, where that is wanted.
func (a *List) Write() {
	a.t.Helper()
	if a.Writing {
		if err := os.WriteFile(a.path, []byte(a.out.String()), 0o644); err != nil {
			a.t.Fatal(err)
		}
	}
}
