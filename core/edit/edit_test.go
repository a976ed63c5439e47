package edit_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"encoding/base64"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

const client = document.ID("clientclient")

func made(n int64, do ...edit.Primitive) *edit.Edit {
	return &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: client, Number: n}, Label: edit.Label{Kind: edit.Do, Text: "test"}, Do: do}
}

func TestApplyThenRevertIsIdentity(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	d := sample.World()
	for i := range 800 {
		e := made(int64(i+1), sample.Primitives(r, d)...)
		before := d.Hash()
		res := edit.Apply(d, e)
		if d.Hash() != before {
			t.Fatal("applying changed the document it was given")
		}
		back := edit.Apply(res.Doc, made(1, res.Revert...))
		if got := back.Doc.Hash(); got != before {
			t.Fatalf("edit %d: %+v does not revert (dropped %v)", i, e.Do, back.Dropped)
		}
		redone := edit.Apply(back.Doc, made(1, back.Revert...))
		if redone.Doc.Hash() != res.Doc.Hash() {
			t.Fatalf("edit %d: %+v does not redo (dropped %v)", i, e.Do, redone.Dropped)
		}
		if r.IntN(40) == 0 {
			res.Doc = sample.World() // removals would leave nothing to work on
		}
		d = res.Doc
	}
}

func TestEditTravels(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 2))
	d := sample.World()
	for i := range 200 {
		e := made(int64(i+1), sample.Primitives(r, d)...)
		data, err := json.Marshal(e)
		if err != nil {
			t.Fatal(err)
		}
		got, err := edit.Decode(data)
		if err != nil {
			t.Fatalf("%v in %s", err, data)
		}
		a, b := edit.Apply(d, e), edit.Apply(d, got)
		if a.Doc.Hash() != b.Doc.Hash() {
			t.Fatal("an edit that travelled does something else")
		}
		d = a.Doc
		stored, err := document.Decode(d.Encode())
		if err != nil || stored.Hash() != d.Hash() {
			t.Fatalf("the document does not survive being stored: %v", err)
		}
		if d.Maps.Len() == 0 {
			d = sample.World()
		}
	}
}

func TestNamesStayUnique(t *testing.T) {
	d := sample.World()
	lamp := func(id document.ID, name string) edit.Primitive {
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, document.Entity{ID: id, Layer: sample.Entities,
			Kind: kind.Switch, Name: name, Facing: document.Down, W: 16, H: 16})
	}
	res := edit.Apply(d, made(1, lamp("lampalampala", "Lamp"), lamp("lampblampbla", "lamp"), lamp("lampclampcla", "Lamp 2")))
	m := res.Doc.Maps.Get(sample.Quay)
	got := fmt.Sprint(m.Entities.Get("lampalampala").Name, "|", m.Entities.Get("lampblampbla").Name, "|", m.Entities.Get("lampclampcla").Name)
	if got != "Lamp|lamp 2|Lamp 3" {
		t.Errorf("names are %s", got)
	}
	ref := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: "lampclampcla"}
	res = edit.Apply(res.Doc, made(2, edit.Set(ref, "name", "LAMP")))
	if name := res.Doc.Entity(sample.Quay, ref.ID).Name; name != "LAMP 3" {
		t.Errorf("renamed to %q", name)
	}
	back := edit.Apply(res.Doc, made(3, res.Revert...))
	if name := back.Doc.Entity(sample.Quay, ref.ID).Name; name != "Lamp 3" || back.Kept != 0 {
		t.Errorf("undo of a rename gave %q, kept %d", name, back.Kept)
	}
}

func TestUndoKeepsWhatOthersChanged(t *testing.T) {
	d := sample.World()
	ref := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}
	mine := edit.Apply(d, made(1, edit.Set(ref, "x", 48), edit.Set(ref, "y", 48)))
	theirs := edit.Apply(mine.Doc, made(2, edit.Set(ref, "x", 96)))
	back := edit.Apply(theirs.Doc, made(3, mine.Revert...))
	door := back.Doc.Entity(sample.Quay, sample.Door)
	if door.X != 96 || door.Y != 32 || back.Kept != 1 || back.Restored != 1 {
		t.Errorf("door at %d,%d, kept %d, restored %d", door.X, door.Y, back.Kept, back.Restored)
	}
}

// Parts without a target are dropped with a sentence; the rest is done.
func TestDropped(t *testing.T) {
	d := sample.World()
	region := &grid.Region{}
	region.Add(grid.Point{X: 3, Y: 3})
	outside := &grid.Region{}
	outside.Add(grid.Point{X: 500, Y: 3})
	gone := document.ID("gonegonegone")
	entity := document.Entity{ID: gone, Layer: sample.Ground, Kind: "door", Name: "D", Facing: "up", W: 1, H: 1}
	for name, c := range map[string]struct {
		p    edit.Primitive
		want string
	}{
		"map":            {sample.Paint(gone, sample.Ground, region, sample.Wall), "the map is no longer there"},
		"layer":          {sample.Paint(sample.Quay, gone, region, sample.Wall), "the layer is no longer there"},
		"entity layer":   {sample.Paint(sample.Quay, sample.Entities, region, sample.Wall), "only layers of tiles"},
		"outside":        {sample.Paint(sample.Quay, sample.Ground, outside, sample.Wall), "outside the map"},
		"set":            {edit.Set(edit.Ref{Type: edit.TypeRule, ID: gone}, "once", true), "the rule is no longer there"},
		"field":          {edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "id", "x"), "no field"},
		"type":           {edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "order", "two"), "not of its type"},
		"remove":         {edit.Remove(edit.Ref{Type: edit.TypeFlag, ID: gone}), "the flag is no longer there"},
		"on tiles":       {edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: gone}, entity), "the layer that the entity stood on"},
		"twice":          {edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: sample.Lit}, document.Flag{ID: sample.Lit, Name: "L"}), "there already"},
		"other id":       {edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: gone}, document.Flag{ID: sample.Lit, Name: "L"}), "another id"},
		"unknown fields": {edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: gone}, map[string]any{"id": gone, "name": "L", "colour": 1}), "cannot be read"},
	} {
		res := edit.Apply(d, made(1, c.p, edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "Done")))
		if len(res.Dropped) != 1 || !strings.Contains(res.Dropped[0], c.want) {
			t.Errorf("%s: dropped %q, wanted %q", name, res.Dropped, c.want)
		}
		if res.Doc.Project.Name != "Done" {
			t.Errorf("%s: the rest was not done", name)
		}
	}
}

func TestLimitsOfTables(t *testing.T) {
	d := sample.World()
	var do []edit.Primitive
	for i := range document.MaxLayers {
		id := document.ID(fmt.Sprintf("layer%c%caaaaa", 'a'+i/26, 'a'+i%26))
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: id}, document.Layer{ID: id, Name: "L", Kind: document.LayerTiles}))
	}
	res := edit.Apply(d, made(1, do...))
	if n := res.Doc.Maps.Get(sample.Quay).Layers.Len(); n != document.MaxLayers || len(res.Dropped) != 1 {
		t.Errorf("%d layers, dropped %v", n, res.Dropped)
	}
}

func TestDecodeRefuses(t *testing.T) {
	good := func(change func(m map[string]any)) []byte {
		var m map[string]any
		data, _ := json.Marshal(made(1, edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "P")))
		_ = json.Unmarshal(data, &m)
		change(m)
		data, _ = json.Marshal(m)
		return data
	}
	step := func(change func(p map[string]any)) []byte {
		return good(func(m map[string]any) { change(m["do"].([]any)[0].(map[string]any)) })
	}
	if _, err := edit.Decode(good(func(map[string]any) {})); err != nil {
		t.Fatal(err)
	}
	for name, data := range map[string][]byte{
		"empty":         nil,
		"not json":      []byte("paint"),
		"an array":      []byte("[1]"),
		"two values":    append(good(func(map[string]any) {}), "{}"...),
		"no version":    good(func(m map[string]any) { delete(m, "v") }),
		"new version":   good(func(m map[string]any) { m["v"] = 99 }),
		"no client":     good(func(m map[string]any) { m["client"] = "" }),
		"number":        good(func(m map[string]any) { m["number"] = -1 }),
		"unknown field": good(func(m map[string]any) { m["extra"] = 1 }),
		"no steps":      good(func(m map[string]any) { m["do"] = []any{} }),
		"undo of none":  good(func(m map[string]any) { m["label"] = map[string]any{"kind": "undo", "text": ""} }),
		"op":            step(func(p map[string]any) { p["op"] = "explode" }),
		"type":          step(func(p map[string]any) { p["ref"] = map[string]any{"type": "planet"} }),
		"bad id":        step(func(p map[string]any) { p["ref"] = map[string]any{"type": "map", "id": "../../etc"} }),
		"layer no map":  step(func(p map[string]any) { p["ref"] = map[string]any{"type": "layer", "id": "groundground"} }),
		"no value":      step(func(p map[string]any) { delete(p, "value") }),
		"bad cells":     step(func(p map[string]any) { p["cells"] = "AAAA" }),
		"cells type":    step(func(p map[string]any) { p["cells"] = 7 }),
		"too large":     make([]byte, edit.MaxBytes+1),
	} {
		if _, err := edit.Decode(data); err == nil {
			t.Errorf("%s: was taken", name)
		}
	}
}

// Logs written by released versions keep giving the same documents: the last
// line is the state as that version stored it.
func TestGoldenLogs(t *testing.T) {
	logs, err := filepath.Glob("testdata/log-*.jsonl")
	if err != nil || len(logs) == 0 {
		t.Fatalf("no golden logs: %v", err)
	}
	for _, path := range logs {
		data, err := os.ReadFile(path)
		if err != nil {
			t.Fatal(err)
		}
		lines := strings.Split(strings.TrimSpace(string(data)), "\n")
		d := document.New("Golden")
		for _, line := range lines[:len(lines)-1] {
			e, err := edit.Read([]byte(line))
			if err != nil {
				t.Fatalf("%s: %v", path, err)
			}
			d = edit.Apply(d, e).Doc
		}
		packed, err := base64.StdEncoding.DecodeString(strings.Trim(lines[len(lines)-1], `"`))
		if err != nil {
			t.Fatal(err)
		}
		state, err := cells.Unpack(packed, 1<<24)
		if err != nil {
			t.Fatal(err)
		}
		want, err := document.Decode(state)
		if err != nil {
			t.Fatalf("%s: %v", path, err)
		}
		if d.Hash() != want.Hash() {
			t.Errorf("%s gives another document than was stored", path)
		}
	}
}

func FuzzDecode(f *testing.F) {
	r := rand.New(rand.NewPCG(9, 2))
	d := sample.World()
	for i := range 12 {
		data, _ := json.Marshal(made(int64(i+1), sample.Primitives(r, d)...))
		f.Add(data)
	}
	f.Add([]byte(`{"v":1,"client":"clientclient","number":1,"label":{"kind":"do","text":""},"do":[{"op":"insert","ref":{"type":"map","id":"aaaaaaaaaaaa"},"value":{},"content":{"layers":[{"layer":null}]}}]}`))
	f.Fuzz(func(t *testing.T, data []byte) {
		e, err := edit.Decode(data)
		if err != nil {
			return
		}
		before := d.Hash()
		res := edit.Apply(d, e)
		if _, err := document.Decode(res.Doc.Encode()); err != nil {
			t.Fatalf("an accepted edit made a document that cannot be stored: %v", err)
		}
		if back := edit.Apply(res.Doc, made(1, append(res.Revert, edit.Set(edit.Ref{Type: edit.TypeProject}, "cellWidth", 16))...)); res.Doc.Project == d.Project && back.Doc.Hash() != before {
			t.Fatal("an accepted edit does not revert")
		}
	})
}

func BenchmarkApplyStroke(b *testing.B) {
	d := sample.World()
	region := &grid.Region{}
	for _, p := range grid.Line(grid.Point{X: 1, Y: 1}, grid.Point{X: 17, Y: 9}) {
		region.Add(p)
	}
	e := made(1, sample.Paint(sample.Quay, sample.Ground, region, sample.Wall))
	for b.Loop() {
		edit.Apply(d, e)
	}
}
