package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

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
	d, path := stand(t, d, kind.Path, "Path", 32, 64)
	d, lift := stand(t, d, kind.Platform, "Lift", 32, 64)
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
