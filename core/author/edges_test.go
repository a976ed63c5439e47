package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"testing"
)

// How many there are to be is exact: as many as the least and the most are well, one less
// and one more are told.
func TestKindCountsAreExact(t *testing.T) {
	d := sample.World()
	c, err := author.AddKind(d, "collectible", "Gem")
	d = done(t, d, c, err)
	id := c.Made
	place := func(n int) *document.Document {
		do := []edit.Primitive{}
		for i := range n {
			e := document.Entity{ID: document.ID(fmt.Sprintf("gemgemgemg%02d", i+22)), Layer: sample.Entities, Kind: string(id), Name: fmt.Sprint("Gem ", i),
				X: 16 * i, Y: 32, W: 16, H: 16, Facing: document.Down}
			do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
		}
		res := edit.Apply(d, &edit.Edit{Do: do})
		if len(res.Dropped) > 0 {
			t.Fatal(res.Dropped)
		}
		return res.Doc
	}
	for _, limit := range []struct {
		field string
		n     int
		bad   func(n int) bool
	}{
		{"mapMost", 2, func(n int) bool { return n > 2 }},
		{"projectLeast", 2, func(n int) bool { return n < 2 }},
		{"projectMost", 2, func(n int) bool { return n > 2 }},
	} {
		for n := range 5 {
			with := edit.Apply(place(n), &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeKind, ID: id}, limit.field, limit.n)}}).Doc
			uses, wrong := author.KindUses(with, id)
			if got := len(wrong) > 0; got != limit.bad(n) {
				t.Errorf("%s %d, there are %d: %v", limit.field, limit.n, n, wrong)
			}
			count := 0
			for _, u := range uses {
				count += u.Count
				if u.First == "" || u.Map != sample.Quay {
					t.Errorf("used as %+v", u)
				}
			}
			if count != n {
				t.Errorf("%d are counted of %d", count, n)
			}
		}
	}
	if uses, wrong := author.KindUses(d, "nothingofit0"); len(uses)+len(wrong) != 0 {
		t.Error("what is no kind is used")
	}
}

// An edge of a map that is a wall again is stored as none at all, and a side is one of four.
func TestEdgesOfMaps(t *testing.T) {
	d := sample.World()
	c, err := author.SetSide(quay(d), document.Left, document.SideExit)
	d = done(t, d, c, err)
	if got := quay(d).Sides; got != [4]string{"", "", "", document.SideExit} {
		t.Errorf("the sides are %q", got)
	}
	c, err = author.SetSide(quay(d), document.Left, document.SideWall)
	d = done(t, d, c, err)
	if got := quay(d).Sides; got != [4]string{} {
		t.Errorf("the sides are %q", got)
	}
	if _, err := author.SetSide(quay(d), "aside", document.SideExit); err == nil {
		t.Error("a side that there is not was set")
	}
}

// A material is exchanged whatever its cells' variants, and keeps no turn of a tile.
func TestMaterialsAreExchanged(t *testing.T) {
	d := sample.Full()
	area := box(3, 6, 2, 1)
	other := cells.TileCell(1, 5)
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{sample.Paint(sample.Quay, sample.Ground, area, cells.MaterialCell(9, 2))}}).Doc
	c, err := author.Exchange(d, quay(d), nil, []author.Swap{{From: cells.MaterialCell(9, 0), To: other}})
	d = done(t, d, c, err)
	ground := quay(d).Layers.Get(sample.Ground).Cells
	for x := 3; x < 7; x++ {
		for y := 6; y < 9; y++ {
			if got := ground.At(x, y); got != other {
				t.Errorf("%d,%d is %#x", x, y, got)
			}
		}
	}
}

// Entities that go take with them only what names them: settings of others, and of other
// kinds, stay.
func TestOnlyWhatNamesThemGoes(t *testing.T) {
	d := sample.World()
	lift := func(id, path document.ID, more ...kind.Value) edit.Primitive {
		values := append([]kind.Value{{Key: "path", Value: kind.Of(string(path))}}, more...)
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, document.Entity{ID: id, Layer: sample.Entities, Kind: "walker", Name: string(id), X: 64, Y: 64, W: 16, H: 16, Facing: document.Down, Values: values})
	}
	path := func(id document.ID) edit.Primitive {
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id}, document.Entity{ID: id, Layer: sample.Entities, Kind: "path", Name: string(id), X: 32, Y: 32, W: 16, H: 16, Facing: document.Down})
	}
	res := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{path("pathpathone2"), path("pathpathtwo2"), lift("liftliftone2", "pathpathone2"), lift("liftlifttwo2", "pathpathtwo2")}})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	d = res.Doc
	c, err := author.RemoveEntities(d, quay(d), []document.ID{"pathpathone2"})
	d = done(t, d, c, err)
	if got := d.Entity(sample.Quay, "liftliftone2").Values; len(got) != 0 {
		t.Errorf("the one keeps %v", got)
	}
	if got := d.Entity(sample.Quay, "liftlifttwo2").Values; len(got) != 1 || got[0].Value.Word() != "pathpathtwo2" {
		t.Errorf("the other keeps %v", got)
	}
}
