package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/sample"
	"encoding/json"
	"os"
	"strings"
	"testing"
)

func referring(d *document.Document) {
	p := &document.Passage{ID: "passpasspass", From: document.End{Map: sample.Pans, Side: document.Up}, To: document.End{Map: sample.Quay, Entity: sample.Spawn},
		If: []document.Gate{{Asks: document.GateItem, Map: sample.Quay, Entity: sample.Pearl}, {Asks: document.GateFlag, Flag: sample.Lit}}}
	d.Passages = d.Passages.With(p.ID, p)
	m := *d.Maps.Get(sample.Pans)
	m.Seams = []document.SeamRule{{With: sample.Quay, If: []document.Gate{{Asks: document.GateFlag, Flag: sample.Lit}, {Asks: document.GateItem, Map: sample.Quay, Entity: sample.Door}}}}
	d.Maps = d.Maps.With(m.ID, &m)
	r := rules.Of(rules.Arrive(sample.Pans), rules.IsNotSet(sample.Lit), rules.Open(sample.Quay, sample.Door))
	r.ID = "rulerulerule"
	d.Rules = d.Rules.With(r.ID, &r)
}

func texts(all []document.Use) string {
	var out []string
	for _, u := range all {
		out = append(out, u.Text)
	}
	return strings.Join(out, "; ")
}

func TestWhereThingsAreUsed(t *testing.T) {
	d := sample.World()
	referring(d)
	quay := d.Maps.Get(sample.Quay)
	for _, c := range []struct {
		what string
		got  []document.Use
		want string
	}{
		{"the spawn", d.Uses(quay, map[document.ID]bool{sample.Spawn: true}), "the passage from Pans to Spawn"},
		{"the pearl", d.Uses(quay, map[document.ID]bool{sample.Pearl: true}), "a passage that opens for Pearl"},
		{"the door", d.Uses(quay, map[document.ID]bool{sample.Door: true}), "a rule; a seam that opens for Door"},
		{"the flag", d.FlagUses()[sample.Lit], "a passage that opens for Lit; a rule; a seam that opens for Lit"},
		{"the Quay", d.MapUses(quay), "the passage from Pans to Spawn; a passage that opens for Pearl; a rule; a seam that opens for Door"},
		{"nothing", d.FlagUses()["gonegonegone"], ""},
	} {
		if got := texts(c.got); got != c.want {
			t.Errorf("%s is used by %q, wanted %q", c.what, got, c.want)
		}
	}
}

// Whatever in an object is the id of another one is told as a reference.
func TestEveryReferenceIsTold(t *testing.T) {
	data, err := os.ReadFile("../edit/testdata/format-1/end")
	if err != nil {
		t.Fatal(err)
	}
	raw, err := cells.Unpack(data, 1<<24)
	if err != nil {
		t.Fatal(err)
	}
	d, err := document.Decode(raw)
	if err != nil {
		t.Fatal(err)
	}
	known := map[string]bool{}
	for _, m := range d.Maps.All() {
		known[string(m.ID)] = true
		m.Entities.Each(func(e *document.Entity) { known[string(e.ID)] = true })
	}
	for _, f := range d.Flags.All() {
		known[string(f.ID)] = true
	}
	for _, k := range d.Kinds.All() {
		known[string(k.ID)] = true
	}
	told := map[document.ID]map[string]bool{}
	d.References(func(r document.Reference) {
		if told[r.By.ID] == nil {
			told[r.By.ID] = map[string]bool{}
		}
		told[r.By.ID][string(r.To.ID)] = true
		told[r.By.ID][string(r.To.Map)] = true
	})
	found := 0
	look := func(id document.ID, o any) {
		data, err := json.Marshal(o)
		if err != nil {
			t.Fatal(err)
		}
		for _, part := range strings.Split(string(data), `"`) {
			if known[part] && part != string(id) {
				if found++; !told[id][part] {
					t.Errorf("%s names %s, and no reference tells it", data, part)
				}
			}
		}
	}
	for _, p := range d.Passages.All() {
		look(p.ID, p)
	}
	for _, r := range d.Rules.All() {
		look(r.ID, r.Parts.All())
	}
	for _, m := range d.Maps.All() {
		look(m.ID, m)
		m.Entities.Each(func(e *document.Entity) { look(e.ID, e) })
	}
	if found < 40 {
		t.Errorf("only %d references were found", found)
	}
}
