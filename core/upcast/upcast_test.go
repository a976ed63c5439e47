package upcast

import (
	"encoding/json"
	"errors"
	"fmt"
	"testing"
)

// A change of format reaches every place in which objects and fields are written.
func TestChangesReachEverything(t *testing.T) {
	var seen []string
	c := change{
		whole: func(typ string, o object) { seen = append(seen, typ); o["seen"] = typ },
		field: func(typ, name string, v any) (string, any) { return name + "2", []any{typ, v} },
		step: func(p object) {
			if p["op"] == "set" {
				p["op"] = "put"
			}
		},
		head: func(h object) { h["kinds"] = append(h["kinds"].([]any), object{"id": "new"}) },
	}
	var all []any
	if err := read([]byte(`[
		{"op":"insert","ref":{"type":"map"},"value":{"id":"m"},"content":{"layers":[{"layer":{"id":"l"},"cells":"AA=="}],"entities":[{"id":"e"}]}},
		{"op":"insertBack","ref":{"type":"rule"},"wasValue":{"id":"r"}},
		{"op":"set","ref":{"type":"entity"},"field":"x","value":12345678901234567890},
		{"op":"setBack","ref":{"type":"flag"},"field":"name","value":"a","wasValue":"b"},
		{"op":"cells","ref":{"type":"layer"},"cells":"AA=="},
		7]`), &all); err != nil {
		t.Fatal(err)
	}
	c.steps(all)
	got, _ := json.Marshal(all)
	const want = `[{"content":{"entities":[{"id":"e","seen":"entity"}],"layers":[{"cells":"AA==","layer":{"id":"l","seen":"layer"}}]},"op":"insert","ref":{"type":"map"},"value":{"id":"m","seen":"map"}},` +
		`{"op":"insertBack","ref":{"type":"rule"},"wasValue":{"id":"r","seen":"rule"}},` +
		`{"field":"x2","op":"put","ref":{"type":"entity"},"value":["entity",12345678901234567890]},` +
		`{"field":"name2","op":"setBack","ref":{"type":"flag"},"value":["flag","a"],"wasValue":["flag","b"]},` +
		`{"cells":"AA==","op":"cells","ref":{"type":"layer"}},7]`
	if string(got) != want {
		t.Errorf("the steps became\n%s, wanted\n%s", got, want)
	}

	var h object
	if err := read([]byte(`{"project":{},"tilesets":[{}],"maps":[{"map":{},"layers":[{}],"entities":[{},{}]}],"passages":[{}],"rules":[{"rule":{},"parts":[{},{}]}],"flags":[{}],"motifs":[{}],"zones":[{}],"materials":[{}],"kinds":[{}]}`), &h); err != nil {
		t.Fatal(err)
	}
	seen = nil
	c.state(h)
	count := map[string]int{}
	for _, typ := range seen {
		count[typ]++
	}
	for typ, n := range map[string]int{"project": 1, "tileset": 1, "map": 1, "layer": 1, "entity": 2, "passage": 1, "rule": 1, "part": 2, "flag": 1, "motif": 1, "zone": 1, "material": 1, "kind": 2} {
		if count[typ] != n {
			t.Errorf("%d of %s were changed, wanted %d", count[typ], typ, n)
		}
	}
}

func TestFormats(t *testing.T) {
	if len(changes) != Format-1 {
		t.Errorf("%d changes lead to format %d", len(changes), Format)
	}
	now := fmt.Appendf(nil, `{"v": %d, "do": []}`, Format)
	if got, err := Edit(now); err != nil || string(got) != string(now) {
		t.Errorf("an edit of the present format became %s, %v", got, err)
	}
	for _, data := range []string{``, `[]`, `{"v":"1"}`, `paint`} {
		if _, err := Edit([]byte(data)); err == nil || errors.Is(err, ErrFormat) {
			t.Errorf("%q gave %v", data, err)
		}
	}
	for _, v := range []int{0, -1, Format + 1} {
		if _, err := Steps([]byte(`[]`), v); !errors.Is(err, ErrFormat) {
			t.Errorf("steps of format %d gave %v", v, err)
		}
		if _, err := Head([]byte(`{}`), v); !errors.Is(err, ErrFormat) {
			t.Errorf("a head of format %d gave %v", v, err)
		}
	}
	if err := read([]byte(`{} {}`), &object{}); err == nil {
		t.Error("two values were read as one")
	}
}
