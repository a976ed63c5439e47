package edit

import (
	"azzel/core/cells"
	"bytes"
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// slowly weighs by the tokens of the standard library.
func slowly(data []byte) (w weight, ok bool) {
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.UseNumber()
	var open []byte
	key, name := "", false
	for {
		token, err := dec.Token()
		if err != nil {
			return w, len(open) == 0 && err.Error() == "EOF"
		}
		w.values++
		switch t := token.(type) {
		case json.Delim:
			if t == '{' || t == '[' {
				w.objects++
				open = append(open, byte(t))
			} else {
				open = open[:len(open)-1]
			}
		case string:
			if name {
				key, name = t, false
				continue
			}
			if strings.EqualFold(key, "cells") || strings.EqualFold(key, "was") {
				n, err := cells.Weight(t, MaxCells)
				if err != nil {
					return w, false
				}
				w.cells += n
			}
		}
		key = ""
		name = len(open) > 0 && open[len(open)-1] == '{'
	}
}

// An edit comes to what its tokens come to, one by one: edits of every format that there was, and whatever else is JSON.
func TestWeighedAsTheirTokens(t *testing.T) {
	logs, err := filepath.Glob("testdata/format-*/log.jsonl")
	if err != nil || len(logs) == 0 {
		t.Fatal("there are no logs", err)
	}
	some := []string{`0`, `"cells"`, `[]`, `{}`, ` { "a" : [ 1 , -2.5e3 , true , null , "b\\" , "\"" , "\\\"{" ] , "c":{"d":{}} } `, `{"was":[["x"]],"x":"]}"}`, `{"cells":null,"b":"x"}`, "[\"\u2028\",{\"\\u0063\":1}]"}
	for _, path := range logs {
		data, err := os.ReadFile(path)
		if err != nil {
			t.Fatal(err)
		}
		some = append(some, strings.Split(strings.TrimSpace(string(data)), "\n")...)
	}
	for _, one := range some {
		want, ok := slowly([]byte(one))
		if got, err := weigh([]byte(one)); !ok || err != nil || got != want {
			t.Errorf("%.200s: %+v (%v), not %+v (%v)", one, got, err, want, ok)
		}
	}
}

// However the name of a patch is written, it is read as one, and so it is weighed.
func TestPatchesAreWeighedByAnyName(t *testing.T) {
	patch, _ := json.Marshal(cells.Patch{{CX: 0, CY: 0, Value: 65537}})
	for _, name := range []string{`cells`, `CELLS`, `\u0063ells`, `cell\u017f`, `Was`, `wa\u0053`} {
		if w, err := weigh([]byte(`{"` + name + `" : ` + string(patch) + `}`)); err != nil || w.cells == 0 {
			t.Errorf("%s: %+v %v", name, w, err)
		}
	}
	for _, not := range []string{`{"cell":"x"}`, `{"cells":["x"]}`, `{"cells":{"a":"x"}}`, `{"a":"cells","b":"x"}`} {
		if w, err := weigh([]byte(not)); err != nil || w.cells != 0 {
			t.Errorf("%s: %+v %v", not, w, err)
		}
	}
}

// Whatever is JSON comes to what its tokens come to, and whatever is not is no trouble.
func FuzzWeigh(f *testing.F) {
	whole := `{"v":1,"do":[{"op":"\\","was":"AQ==","n":[1,{"x":"\""}]}]}`
	for i := range whole {
		for _, more := range []string{"", "}", `"`, `\`, `\"`, "]", "x"} {
			f.Add([]byte(whole[:i] + more))
		}
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		got, err := weigh(data)
		if err != nil || !json.Valid(data) {
			return
		}
		if want, ok := slowly(data); !ok || got != want {
			t.Errorf("%.200q: %+v, not %+v (%v)", data, got, want, ok)
		}
	})
}
