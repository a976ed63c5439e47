package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

// stand puts an entity of a kind on the Quay.
func stand(t *testing.T, d *document.Document, kind, name string, x, y int) (*document.Document, document.ID) {
	t.Helper()
	e := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: kind, Name: name, X: x, Y: y, W: 16, H: 16, Facing: document.Down}
	res := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)}})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	return res.Doc, e.ID
}

func say(s string) *string { return &s }

// All built-in kinds hold to what is asked of the designer's own.
func TestBuiltInKindsAreSound(t *testing.T) {
	seen := map[document.ID]bool{}
	for _, k := range kind.All {
		if seen[k.ID] || k.ID.Valid() || !slices.Contains(kind.Categories, k.Category) {
			t.Errorf("%s is there twice, has an id of one's own, or no category", k.ID)
		}
		seen[k.ID] = true
		own := k
		own.ID, own.Of = document.NewID(), k.ID
		if err := document.Lean(&own).Check(); err != nil {
			t.Errorf("%s: %v", k.ID, err)
		}
	}
	if len(kind.All) < 40 {
		t.Errorf("%d kinds", len(kind.All))
	}
}

func TestOwnKinds(t *testing.T) {
	d := sample.World()
	c, err := author.AddKind(d, kind.Door, "")
	d = apply(t, d, c, err)
	id := c.Made
	k := author.PlainKindOf(d.Kind(id))
	if k.Name != "Door 2" || k.Acts() != kind.Door || !k.Area || k.Kind.Setting("needs") == nil {
		t.Fatalf("from a door: %+v", k)
	}
	k.Name, k.Settings = "Portcullis", append(k.Settings, author.PlainSetting{Name: "weight", Type: kind.Number, Default: "3", Least: 1, Most: 9, Unit: "stone"})
	c, err = author.ChangeKind(d, k)
	d = apply(t, d, c, err)
	d, gate := stand(t, d, string(id), "Gate", 32, 32)
	m := d.Maps.Get(sample.Quay)
	ids := []document.ID{gate}
	c, err = author.SetSetting(d, m, ids, "weight", say("7"))
	d = apply(t, d, c, err)
	if got := d.Value(d.Entity(sample.Quay, gate), "weight").Thousandths(); got != 7000 {
		t.Errorf("it weighs %d", got)
	}
	// play and rules take it for a door
	if d.Acts(d.Entity(sample.Quay, gate)) != kind.Door {
		t.Error("it is no door")
	}
	// another type of setting lets go of what does not fit
	k = author.PlainKindOf(d.Kind(id))
	last := &k.Settings[len(k.Settings)-1]
	last.Type, last.Default, last.Least, last.Most = kind.YesNo, "no", 0, 0
	c, err = author.ChangeKind(d, k)
	before := d
	d = apply(t, d, c, err)
	if v := d.Entity(sample.Quay, gate).Values; len(v) != 0 {
		t.Errorf("values %v are left", v)
	}
	// a kind that is used is removed with what it was made from in its place, and comes back whole
	d = before
	c, err = author.PinKind(d, id, true)
	d = apply(t, d, c, err)
	c, err = author.RemoveKind(d, id)
	if err != nil {
		t.Fatal(err)
	}
	res := edit.Apply(d, &edit.Edit{Do: c.Do})
	if e := res.Doc.Entity(sample.Quay, gate); e.Kind != kind.Door || len(e.Values) != 0 || res.Doc.Kinds.Len() != 0 || len(res.Doc.Project.Pins) != 0 {
		t.Errorf("after removing: %+v", e)
	}
	if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}).Doc; back.Hash() != d.Hash() {
		t.Error("undone it is not as it was")
	}
	for name, change := range map[string]func(*author.PlainKind){
		"no name":      func(k *author.PlainKind) { k.Name = " " },
		"of nothing":   func(k *author.PlainKind) { k.Of = "ghost" },
		"glyph":        func(k *author.PlainKind) { k.Glyph = "skull" },
		"colour":       func(k *author.PlainKind) { k.Colour = "red" },
		"body outside": func(k *author.PlainKind) { k.W, k.H, k.Body = 8, 8, grid.Rect{X: 4, Y: 4, W: 8, H: 4} },
		"count":        func(k *author.PlainKind) { k.MapLeast, k.MapMost = 5, 2 },
		"default": func(k *author.PlainKind) {
			k.Settings = append(k.Settings, author.PlainSetting{Name: "n", Type: kind.Number, Default: "many"})
		},
		"range": func(k *author.PlainKind) {
			k.Settings = append(k.Settings, author.PlainSetting{Name: "n", Type: kind.Number, Default: "9", Least: 1, Most: 3})
		},
		"handle": func(k *author.PlainKind) {
			k.Settings = append(k.Settings, author.PlainSetting{Name: "n", Type: kind.Number, Default: "9", Handle: "knob"})
		},
		"tags":        func(k *author.PlainKind) { k.Tags = []string{"a", "a"} },
		"many frames": func(k *author.PlainKind) { k.Frames[0] = make([]cells.Cell, 17) },
	} {
		bad := author.PlainKindOf(d.Kind(id))
		change(&bad)
		if _, err := author.ChangeKind(d, bad); err == nil {
			t.Errorf("%s: was changed", name)
		}
	}
	if _, err := author.ChangeKind(d, author.PlainKindOf(&kind.All[0])); err == nil {
		t.Error("a built-in kind was changed")
	}
	if _, err := author.RemoveKind(d, kind.Door); err == nil {
		t.Error("a built-in kind was removed")
	}
}

func TestOwnKindsStandAsWhatTheyAreMadeOf(t *testing.T) {
	for _, tt := range []struct {
		from document.ID
		free bool
	}{{kind.Decoration, true}, {kind.Door, false}} {
		d := sample.World()
		if k := author.PlainKindOf(d.Kind(tt.from)); k.Own || k.Free != tt.free {
			t.Errorf("%s: own %t, free %t", tt.from, k.Own, k.Free)
		}
		c, err := author.AddKind(d, tt.from, "")
		d = apply(t, d, c, err)
		if k := author.PlainKindOf(d.Kind(c.Made)); !k.Own || k.Free != tt.free {
			t.Errorf("of %s: own %t, free %t", tt.from, k.Own, k.Free)
		}
	}
}

func TestKindUses(t *testing.T) {
	d := sample.World()
	c, err := author.AddKind(d, kind.Spawn, "Camp")
	d = apply(t, d, c, err)
	k := author.PlainKindOf(d.Kind(c.Made))
	k.MapLeast, k.ProjectMost = 1, 1
	change, err := author.ChangeKind(d, k)
	d = apply(t, d, change, err)
	d, _ = stand(t, d, string(k.ID), "Camp", 32, 32)
	d, _ = stand(t, d, string(k.ID), "Camp", 64, 32)
	uses, wrong := author.KindUses(d, k.ID)
	if len(uses) != 1 || uses[0].Count != 2 || uses[0].Name != "Quay" {
		t.Errorf("used %+v", uses)
	}
	if len(wrong) != 2 || !strings.Contains(wrong[0], "Pans has 0") || !strings.Contains(wrong[1], "project has 2") {
		t.Errorf("wrong is %q", wrong)
	}
}

func TestSettings(t *testing.T) {
	d := sample.World()
	d, crab := stand(t, d, "walker", "Crab", 32, 64)
	d, gull := stand(t, d, "flyer", "Gull", 48, 64)
	m := d.Maps.Get(sample.Quay)
	both := []document.ID{crab, gull, sample.Pearl}
	c, err := author.SetSetting(d, m, both, "speed", say("4.5"))
	d = apply(t, d, c, err)
	for _, id := range both[:2] {
		if v := d.Value(d.Entity(sample.Quay, id), "speed"); v != "4.5" {
			t.Errorf("%s goes at %q", id, v)
		}
	}
	if len(d.Entity(sample.Quay, sample.Pearl).Values) != 0 {
		t.Error("what has no speed got one")
	}
	c, err = author.SetSetting(d, d.Maps.Get(sample.Quay), both, "speed", nil)
	d = apply(t, d, c, err)
	if e := d.Entity(sample.Quay, gull); len(e.Values) != 0 || d.Value(e, "speed") != "3" {
		t.Errorf("put back it is %v", e.Values)
	}
	m = d.Maps.Get(sample.Quay)
	for _, bad := range []struct{ name, value, want string }{
		{"speed", "fast", "number"}, {"speed", "51", "0 to 50"}, {"speed", "-1", "0 to 50"}, {"seeing", "sings", "one of"}, {"hats", "3", "no"}, {"path", string(gull), ""}, {"path", "gone", "another entity"},
		{"health", strings.Repeat("9", 10_000), "number"},
	} {
		ids := []document.ID{gull}
		if _, err := author.SetSetting(d, m, ids, bad.name, &bad.value); err == nil || !strings.Contains(err.Error(), bad.want) {
			t.Errorf("%s of %.20q: %v", bad.name, bad.value, err)
		}
	}
	// maps have what the project says unless they differ
	c, err = author.SetMapSetting(d, nil, kind.MapJump, say("4"))
	d = apply(t, d, c, err)
	c, err = author.SetMapSetting(d, d.Maps.Get(sample.Pans), kind.MapJump, say("2.5"))
	d = apply(t, d, c, err)
	if a, b := d.MapValue(d.Maps.Get(sample.Quay), kind.MapJump), d.MapValue(d.Maps.Get(sample.Pans), kind.MapJump); a != "4" || b != "2.5" {
		t.Errorf("jumps are %s and %s", a, b)
	}
	c, err = author.SetMapSetting(d, d.Maps.Get(sample.Pans), kind.MapJump, nil)
	d = apply(t, d, c, err)
	if len(d.Maps.Get(sample.Pans).Values) != 0 {
		t.Error("what is put back still differs")
	}
	if _, err := author.SetMapSetting(d, nil, kind.MapGravity, say("down")); err == nil {
		t.Error("gravity is down")
	}
}

// A ready-made kind begins with defaults of its own, and what it is made from stays as it is.
func TestAddVariant(t *testing.T) {
	d := sample.World()
	c, err := author.AddVariant(d, kind.Walker, "Guard")
	d = apply(t, d, c, err)
	k := d.Kind(c.Made)
	if k.Name != "Guard" || k.Acts() != kind.Walker || k.Setting("range").Default != "6" || k.Setting("seeing").Default != `"follows"` || k.Setting("harm").Default != "1" {
		t.Errorf("a guard is %+v", k)
	}
	if kind.Find(kind.Walker).Setting("range").Default != "4" {
		t.Error("the built-in kind was changed")
	}
	c, err = author.AddVariant(d, kind.Walker, "Guard")
	if d = apply(t, d, c, err); d.Kind(c.Made).Name != "Guard 2" {
		t.Errorf("the second is called %s", d.Kind(c.Made).Name)
	}
	if _, err := author.AddVariant(d, kind.Walker, "Ghost"); err == nil {
		t.Error("a ghost was made")
	}
}
