package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"fmt"
	"math/rand/v2"
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
	for _, k := range document.Kinds {
		if seen[k.ID] || k.ID.Valid() || !slices.Contains(document.Categories, k.Category) {
			t.Errorf("%s is there twice, has an id of one's own, or no category", k.ID)
		}
		seen[k.ID] = true
		own := k
		own.ID, own.Of = document.NewID(), k.ID
		if err := own.Check(); err != nil {
			t.Errorf("%s: %v", k.ID, err)
		}
	}
	if len(document.Kinds) < 40 {
		t.Errorf("%d kinds", len(document.Kinds))
	}
}

func TestOwnKinds(t *testing.T) {
	d := sample.World()
	c, err := author.AddKind(d, document.KindDoor, "")
	d = apply(t, d, c, err)
	id := c.Made
	k := *d.Kinds.Get(id)
	if k.Name != "Door 2" || k.Acts() != document.KindDoor || !k.Area || k.Setting("needs") == nil {
		t.Fatalf("from a door: %+v", k)
	}
	k.Name, k.Settings = "Portcullis", append(slices.Clone(k.Settings), document.Setting{Property: document.Property{Name: "weight", Type: document.PropertyNumber, Default: "3"}, Least: 1, Most: 9, Unit: "stone"})
	c, err = author.ChangeKind(d, k)
	d = apply(t, d, c, err)
	d, gate := stand(t, d, string(id), "Gate", 32, 32)
	m := d.Maps.Get(sample.Quay)
	ids := []document.ID{gate}
	c, err = author.SetSetting(d, m, ids, "weight", say("7"))
	d = apply(t, d, c, err)
	if got := d.Thousandths(d.Entity(sample.Quay, gate), "weight"); got != 7000 {
		t.Errorf("it weighs %d", got)
	}
	// play and rules take it for a door
	if d.Acts(d.Entity(sample.Quay, gate)) != document.KindDoor || len(d.Solids().Doors(d.Maps.Get(sample.Quay))) != 2 {
		t.Error("it is no door")
	}
	// another type of setting lets go of what does not fit
	k = *d.Kinds.Get(id)
	k.Settings = slices.Clone(k.Settings)
	k.Settings[len(k.Settings)-1] = document.Setting{Property: document.Property{Name: "weight", Type: document.PropertyYesNo, Default: "no"}}
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
	if e := res.Doc.Entity(sample.Quay, gate); e.Kind != document.KindDoor || len(e.Values) != 0 || res.Doc.Kinds.Len() != 0 || len(res.Doc.Project.Pins) != 0 {
		t.Errorf("after removing: %+v", e)
	}
	if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}).Doc; back.Hash() != d.Hash() {
		t.Error("undone it is not as it was")
	}
	for name, change := range map[string]func(*document.Kind){
		"no name":      func(k *document.Kind) { k.Name = " " },
		"of nothing":   func(k *document.Kind) { k.Of = "ghost" },
		"glyph":        func(k *document.Kind) { k.Glyph = "skull" },
		"colour":       func(k *document.Kind) { k.Colour = "red" },
		"body outside": func(k *document.Kind) { k.W, k.H, k.Body = 8, 8, grid.Rect{X: 4, Y: 4, W: 8, H: 4} },
		"count":        func(k *document.Kind) { k.MapLeast, k.MapMost = 5, 2 },
		"default":      func(k *document.Kind) { k.Settings[0].Type, k.Settings[0].Default = document.PropertyNumber, "many" },
		"range": func(k *document.Kind) {
			k.Settings[0] = document.Setting{Property: document.Property{Name: "n", Type: document.PropertyNumber, Default: "9"}, Least: 1, Most: 3}
		},
		"handle":      func(k *document.Kind) { k.Settings[0].Handle = "knob" },
		"tags":        func(k *document.Kind) { k.Tags = []string{"a", "a"} },
		"many frames": func(k *document.Kind) { k.Frames[0] = make([]cells.Cell, 17) },
	} {
		bad := *d.Kinds.Get(id)
		bad.Settings = slices.Clone(bad.Settings)
		change(&bad)
		if _, err := author.ChangeKind(d, bad); err == nil {
			t.Errorf("%s: was changed", name)
		}
	}
	if _, err := author.ChangeKind(d, document.Kinds[0]); err == nil {
		t.Error("a built-in kind was changed")
	}
	if _, err := author.RemoveKind(d, document.KindDoor); err == nil {
		t.Error("a built-in kind was removed")
	}
}

func TestKindUses(t *testing.T) {
	d := sample.World()
	c, err := author.AddKind(d, document.KindSpawn, "Camp")
	d = apply(t, d, c, err)
	k := *d.Kinds.Get(c.Made)
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
	c, err = author.SetMapSetting(d, nil, document.MapJump, say("4"))
	d = apply(t, d, c, err)
	c, err = author.SetMapSetting(d, d.Maps.Get(sample.Pans), document.MapJump, say("2.5"))
	d = apply(t, d, c, err)
	if a, b := d.MapValue(d.Maps.Get(sample.Quay), document.MapJump), d.MapValue(d.Maps.Get(sample.Pans), document.MapJump); a != "4" || b != "2.5" {
		t.Errorf("jumps are %s and %s", a, b)
	}
	c, err = author.SetMapSetting(d, d.Maps.Get(sample.Pans), document.MapJump, nil)
	d = apply(t, d, c, err)
	if len(d.Maps.Get(sample.Pans).Values) != 0 {
		t.Error("what is put back still differs")
	}
	if _, err := author.SetMapSetting(d, nil, document.MapGravity, say("down")); err == nil {
		t.Error("gravity is down")
	}
}

func TestArrange(t *testing.T) {
	d := sample.World()
	var ids []document.ID
	for _, at := range [][2]int{{32, 64}, {40, 100}, {150, 90}} {
		var id document.ID
		d, id = stand(t, d, "walker", "Crab", at[0], at[1])
		ids = append(ids, id)
	}
	places := func(how string) (out [][2]int) {
		t.Helper()
		c, err := author.Arrange(d.Maps.Get(sample.Quay), ids, how)
		next := apply(t, d, c, err)
		for _, id := range ids {
			e := next.Entity(sample.Quay, id)
			out = append(out, [2]int{e.X, e.Y})
		}
		return
	}
	for how, want := range map[string][][2]int{
		author.AlignLeft:   {{32, 64}, {32, 100}, {32, 90}},
		author.AlignRight:  {{150, 64}, {150, 100}, {150, 90}},
		author.AlignTop:    {{32, 64}, {40, 64}, {150, 64}},
		author.AlignLevel:  {{32, 82}, {40, 82}, {150, 82}},
		author.SpaceAcross: {{32, 64}, {91, 100}, {150, 90}},
		author.SpaceDown:   {{32, 64}, {40, 100}, {150, 82}},
	} {
		if got := places(how); !slices.Equal(got, want) {
			t.Errorf("%s: %v, wanted %v", how, got, want)
		}
	}
	m := d.Maps.Get(sample.Quay)
	if _, err := author.Arrange(m, ids[:1], author.AlignLeft); err == nil {
		t.Error("one was aligned")
	}
	if _, err := author.Arrange(m, ids, "askew"); err == nil {
		t.Error("aligned askew")
	}
	// groups have free names, and locked ones stay
	c, err := author.GroupEntities(m, ids, "Group")
	d = apply(t, d, c, err)
	c, err = author.GroupEntities(d.Maps.Get(sample.Quay), []document.ID{sample.Pearl, sample.Door}, "Group")
	d = apply(t, d, c, err)
	if a, b := d.Entity(sample.Quay, ids[0]).Group, d.Entity(sample.Quay, sample.Pearl).Group; a != "Group" || b != "Group 2" {
		t.Errorf("groups are %q and %q", a, b)
	}
	if _, err := author.RenameGroup(d.Maps.Get(sample.Quay), "Group", "Group 2"); err == nil {
		t.Error("two groups have one name")
	}
	c, err = author.SetField(d, d.Maps.Get(sample.Quay), ids, "locked", true)
	d = apply(t, d, c, err)
	if _, err := author.MoveEntities(d.Maps.Get(sample.Quay), ids, 16, 0); err == nil || !strings.Contains(err.Error(), "locked") {
		t.Errorf("what is locked was moved: %v", err)
	}
	// turned about their middle four times they stand as before
	again := d
	free := []document.ID{sample.Pearl, sample.Door}
	for range 4 {
		c, err := author.TurnEntities(again, again.Maps.Get(sample.Quay), free, grid.Quarter)
		again = apply(t, again, c, err)
	}
	for _, id := range free {
		if a, b := d.Entity(sample.Quay, id), again.Entity(sample.Quay, id); a.X != b.X || a.Y != b.Y || a.Facing != b.Facing {
			t.Errorf("%s turned four times stands at %d,%d facing %s", a.Name, b.X, b.Y, b.Facing)
		}
	}
	// piles are thinned out to one
	for range 3 {
		d, _ = stand(t, d, "key", "Key", 80, 80)
	}
	c, err = author.ThinPiles(d, d.Maps.Get(sample.Quay))
	d = apply(t, d, c, err)
	n := 0
	for _, e := range d.Maps.Get(sample.Quay).Entities.All() {
		if e.Kind == "key" {
			n++
		}
	}
	if n != 1 {
		t.Errorf("%d keys are left of a pile", n)
	}
}

func TestFieldsPointsAndBoxes(t *testing.T) {
	d := sample.World()
	d, path := stand(t, d, document.KindPath, "Path", 32, 64)
	d, lift := stand(t, d, document.KindPlatform, "Lift", 32, 64)
	d, load := stand(t, d, "key", "Key", 32, 48)
	m := func() *document.Map { return d.Maps.Get(sample.Quay) }
	c, err := author.SetPoints(d, m(), path, []grid.Point{{X: 16}, {Y: 40}})
	d = apply(t, d, c, err)
	for name, points := range map[string][]grid.Point{"no": {}, "too many": make([]grid.Point, 10_000)} {
		if _, err := author.SetPoints(d, m(), path, points); err == nil {
			t.Errorf("a path with %s points", name)
		}
	}
	if _, err := author.SetPoints(d, m(), lift, []grid.Point{{X: 1}}); err == nil {
		t.Error("a platform has points")
	}
	c, err = author.ResizeEntity(d, m(), lift, grid.Rect{X: 32, Y: 64, W: 48, H: 16})
	d = apply(t, d, c, err)
	for _, box := range []grid.Rect{{X: 32, Y: 64, W: 0, H: 16}, {X: 300, Y: 64, W: 64, H: 16}} {
		if _, err := author.ResizeEntity(d, m(), lift, box); err == nil {
			t.Errorf("resized to %v", box)
		}
	}
	if _, err := author.ResizeEntity(d, m(), load, grid.Rect{X: 32, Y: 48, W: 32, H: 32}); err == nil {
		t.Error("a key was resized")
	}
	c, err = author.SetField(d, m(), []document.ID{load}, "carrier", lift)
	d = apply(t, d, c, err)
	ridden, crab := stand(t, d, "walker", "Crab", 64, 64)
	for _, link := range [][2]document.ID{{crab, lift}, {lift, crab}} {
		c, err := author.SetField(ridden, ridden.Maps.Get(sample.Quay), link[:1], "carrier", link[1])
		if link[0] == crab {
			ridden = apply(t, ridden, c, err)
		} else if err == nil || !strings.Contains(err.Error(), "itself") {
			t.Errorf("two carry each other: %v", err)
		}
	}
	for _, onto := range []document.ID{path, sample.Pearl, "gonegonegone"} {
		if _, err := author.SetField(d, m(), []document.ID{load}, "carrier", onto); err == nil || !strings.Contains(err.Error(), "something that moves") {
			t.Errorf("it travels along with %s: %v", onto, err)
		}
	}
	for field, value := range map[string]any{"facing": "north", "faint": 101, "tint": "red", "kind": "door", "x": 3, "carrier": "gone", "name": strings.Repeat("a", 10_000), "variants": []document.Variant{{Odds: -1}}} {
		if _, err := author.SetField(d, m(), []document.ID{load}, field, value); err == nil {
			t.Errorf("%s was set to %.20v", field, value)
		}
	}
	c, err = author.SetField(d, m(), []document.ID{load}, "name", "<b>Key</b>")
	d = apply(t, d, c, err)
	c, err = author.SetSetting(d, m(), []document.ID{lift}, "path", say(string(path)))
	d = apply(t, d, c, err)
	uses := d.Uses(m(), map[document.ID]bool{lift: true, path: true})
	if len(uses) != 1 || uses[0].What != "carrier" {
		t.Errorf("the lift and its path are used by %+v", uses)
	}
	// taken away, what referred to it lets go; undone, it holds on again
	c, err = author.RemoveEntities(d, m(), []document.ID{path, lift})
	if err != nil {
		t.Fatal(err)
	}
	res := edit.Apply(d, &edit.Edit{Do: c.Do})
	if e := res.Doc.Entity(sample.Quay, load); e.Carrier != "" {
		t.Error("it travels along with nothing")
	}
	if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}).Doc; back.Hash() != d.Hash() {
		t.Error("undone it is not as it was")
	}
}

// dangling finds what refers to something that is not there.
func dangling(d *document.Document) []string {
	var out []string
	for _, p := range d.Passages.All() {
		if d.Entity(p.From.Map, p.From.Entity) == nil || d.Entity(p.To.Map, p.To.Entity) == nil {
			out = append(out, "passage "+string(p.ID))
		}
	}
	for _, m := range d.Maps.All() {
		for _, e := range m.Entities.All() {
			if e.Carrier != "" && m.Entities.Get(e.Carrier) == nil {
				out = append(out, "carrier of "+e.Name)
			}
			for _, v := range e.Values {
				if d.TypeOf(e, v.Name) == document.PropertyEntity && m.Entities.Get(document.ID(v.Value)) == nil {
					out = append(out, v.Name+" of "+e.Name)
				}
			}
			if d.Kind(document.ID(e.Kind)) == nil {
				out = append(out, "kind of "+e.Name)
			}
		}
	}
	return out
}

// References survive renaming, moving, resizing, removing and undo, in any order.
func TestReferencesSurvive(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 9))
	for range 25 {
		d := sample.World()
		c, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: grid.Point{X: 4, Y: 4}, Facing: document.Right, Back: true})
		d = apply(t, d, c, err)
		d, path := stand(t, d, document.KindPath, "Path", 48, 64)
		d, lift := stand(t, d, document.KindPlatform, "Lift", 64, 64)
		d, key := stand(t, d, "key", "Key", 64, 48)
		for _, set := range []func() (author.Change, error){
			func() (author.Change, error) {
				return author.SetSetting(d, d.Maps.Get(sample.Quay), []document.ID{lift}, "path", say(string(path)))
			},
			func() (author.Change, error) {
				return author.SetField(d, d.Maps.Get(sample.Quay), []document.ID{key}, "carrier", lift)
			},
		} {
			c, err := set()
			d = apply(t, d, c, err)
		}
		type done struct {
			revert []edit.Primitive
			before string
		}
		var undo []done
		for n := range 40 {
			var c author.Change
			var err error
			maps := d.MapsInOrder()
			m := maps[r.IntN(len(maps))]
			all := m.Entities.All()
			pick := func() []document.ID {
				if len(all) == 0 {
					return nil
				}
				return []document.ID{all[r.IntN(len(all))].ID}
			}
			switch r.IntN(9) {
			case 0:
				c, err = author.SetField(d, m, pick(), "name", fmt.Sprint("Name ", n))
			case 1:
				c, err = author.MoveEntities(m, pick(), r.IntN(64)-32, r.IntN(64)-32)
			case 2:
				c, err = author.Resize(m, grid.Rect{X: -r.IntN(3), Y: 0, W: 18 + r.IntN(8), H: 10 + r.IntN(6)})
			case 3:
				c, err = author.RemoveEntities(d, m, pick())
			case 4:
				c, err = author.CopyMap(d, m, "", true)
			case 5:
				if len(maps) > 1 {
					c = author.RemoveMap(d, m)
				}
			case 6:
				c, err = author.AddKind(d, document.KindPlatform, "")
			case 7:
				if own := d.Kinds.All(); len(own) > 0 {
					c, err = author.RemoveKind(d, own[0].ID)
				}
			default:
				if len(undo) > 0 {
					last := undo[len(undo)-1]
					undo = undo[:len(undo)-1]
					d = edit.Apply(d, &edit.Edit{Do: last.revert}).Doc
					if d.Hash() != last.before {
						t.Fatal("undone it is not as it was before")
					}
				}
			}
			if err != nil || len(c.Do) == 0 {
				continue
			}
			res := edit.Apply(d, &edit.Edit{Do: c.Do})
			if len(res.Dropped) > 0 {
				t.Fatal(res.Dropped)
			}
			undo = append(undo, done{res.Revert, d.Hash()})
			d = res.Doc
			if lost := dangling(d); len(lost) > 0 {
				t.Fatalf("after “%s” nothing is at the end of %v", c.Label.Text, lost)
			}
		}
	}
}

func TestCopyMapAndCharting(t *testing.T) {
	d := sample.World()
	c, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Quay, At: grid.Point{X: 4, Y: 4}, Facing: document.Right})
	d = apply(t, d, c, err)
	c, err = author.CopyMap(d, d.Maps.Get(sample.Quay), "Quay by night", true)
	copied := apply(t, d, c, err)
	m := copied.Maps.Get(c.Made)
	if m == nil || m.Name != "Quay by night" || m.Layers.Len() != 3 || m.Entities.Len() != d.Maps.Get(sample.Quay).Entities.Len() || copied.Passages.Len() != 2 {
		t.Fatalf("the copy is %+v with %d passages", m, copied.Passages.Len())
	}
	for _, p := range copied.Passages.All() {
		if p.From.Map != p.To.Map {
			t.Error("a passage within the map leads out of its copy")
		}
	}
	for _, e := range m.Entities.All() {
		if m.Layers.Get(e.Layer) == nil || d.Entity(sample.Quay, e.ID) != nil {
			t.Error("the copy shares layers or ids")
		}
	}
	c, err = author.OfferStart(d, d.Maps.Get(sample.Pans))
	d = apply(t, d, c, err)
	if e := d.Entity(sample.Pans, c.Made); e == nil || e.Kind != document.KindSpawn || e.X != 160 || e.Y != 96 {
		t.Errorf("offered %+v", e)
	}
	c, err = author.ReorderMaps(d, sample.Pans, 0)
	d = apply(t, d, c, err)
	if d.MapsInOrder()[0].ID != sample.Pans {
		t.Error("the Pans are not first")
	}
	c, err = author.PlaceMaps(d, map[document.ID]grid.Point{sample.Pans: {X: 80, Y: 4}}, 24)
	d = apply(t, d, c, err)
	if a, b := d.Maps.Get(sample.Quay).Chart, d.Maps.Get(sample.Pans).Chart; a == nil || b == nil || b.Y != a.Y || b.X-a.X != 320 && a.X-b.X != 320 {
		t.Errorf("placed at %v and %v", a, b)
	}
	for name, f := range map[string]func() error{
		"side": func() error { _, err := author.SetSide(d.Maps.Get(sample.Quay), document.Up, "door"); return err },
		"far": func() error {
			_, err := author.PlaceMaps(d, map[document.ID]grid.Point{sample.Pans: {X: 1 << 40}}, 0)
			return err
		},
		"seam": func() error { _, err := author.SetSeam(d, sample.Quay, sample.Quay, true, nil); return err },
		"gate": func() error {
			_, err := author.SetSeam(d, sample.Quay, sample.Pans, false, []document.Gate{{Asks: "moon"}})
			return err
		},
		"same": func() error {
			_, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Quay, Arrival: sample.Exit, Facing: document.Up})
			return err
		},
	} {
		if f() == nil {
			t.Errorf("%s: was done", name)
		}
	}
}
