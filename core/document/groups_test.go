package document_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"testing"
)

func TestGroupsAndAlike(t *testing.T) {
	d := sample.World()
	own := &document.Kind{ID: "lampkindlamp", Of: "light", Name: "Lamp", Tags: []string{"bright"}}
	d.Kinds = d.Kinds.With(own.ID, own)
	m := *d.Maps.Get(sample.Pans)
	m.Entities = document.Table[document.Entity]{}
	for _, e := range []document.Entity{{ID: "a", Kind: "key", Group: "one"}, {ID: "b", Kind: "key"}, {ID: "c", Kind: kind.Door, Group: "one"}, {ID: "d", Kind: "lampkindlamp", Group: "two"}, {ID: "e", Kind: "lampkindlamp"}} {
		m.Entities = m.Entities.With(e.ID, &e)
	}
	for _, c := range []struct{ ids, want []document.ID }{
		{[]document.ID{"a"}, []document.ID{"a", "c"}},
		{[]document.ID{"c", "b"}, []document.ID{"c", "b", "a"}},
		{[]document.ID{"b"}, []document.ID{"b"}},
		{[]document.ID{"c", "a", "d"}, []document.ID{"c", "a", "d"}},
		{[]document.ID{"gone"}, []document.ID{"gone"}},
	} {
		if got := m.Grouped(c.ids); !slices.Equal(got, c.want) {
			t.Errorf("with their groups %v are %v, wanted %v", c.ids, got, c.want)
		}
	}
	for _, c := range []struct {
		ids  []document.ID
		by   string
		want []document.ID
	}{
		{[]document.ID{"a"}, document.AlikeKind, []document.ID{"a", "b"}},
		{[]document.ID{"a", "c"}, document.AlikeKind, []document.ID{"a", "b", "c"}},
		{[]document.ID{"d"}, document.AlikeTag, []document.ID{"d", "e"}},
		{[]document.ID{"a"}, document.AlikeTag, []document.ID{}},
		{[]document.ID{"gone"}, document.AlikeKind, []document.ID{}},
	} {
		if got := d.Alike(&m, c.ids, c.by); !slices.Equal(got, c.want) {
			t.Errorf("like %v by %s are %v, wanted %v", c.ids, c.by, got, c.want)
		}
	}
}

func TestFieldsByName(t *testing.T) {
	f := &document.Flag{ID: "flagflagflag", Name: "Lit"}
	next, err := document.WithField(f, "name", []byte(`"Dark"`))
	if err != nil || next.Name != "Dark" || f.Name != "Lit" {
		t.Errorf("renamed it is %+v, before %+v, %v", next, f, err)
	}
	for name, value := range map[string]string{"id": `"gonegonegone"`, "colour": `"red"`, "": `1`} {
		if _, err := document.WithField(f, name, []byte(value)); err == nil {
			t.Errorf("%q was set", name)
		}
		if _, err := document.Field(f, name); err == nil {
			t.Errorf("%q was read", name)
		}
	}
	for _, value := range []string{`7`, `"a" "b"`, `{`, ``} {
		if _, err := document.WithField(f, "name", []byte(value)); err == nil {
			t.Errorf("the name became %s", value)
		}
	}
	if got := document.FieldNames(f); !slices.Equal(got, []string{"name"}) {
		t.Errorf("the fields are %v", got)
	}
}

func TestCutsOfPictures(t *testing.T) {
	for _, c := range []struct {
		cut                          document.Cut
		w, h                         int
		columns, rows, right, bottom int
	}{
		{document.Cut{CellWidth: 16, CellHeight: 16}, 64, 50, 4, 3, 0, 2},
		{document.Cut{CellWidth: 16, CellHeight: 16, Margin: 2}, 68, 67, 4, 3, 0, 15},
		{document.Cut{CellWidth: 16, CellHeight: 8, Margin: 1, Spacing: 2}, 2 + 3*16 + 2*2, 2 + 8, 3, 1, 0, 0},
		{document.Cut{CellWidth: 16, CellHeight: 16, Margin: 3}, 22, 21, 1, 0, 0, 15},
		{document.Cut{CellWidth: 0, CellHeight: 16}, 64, 64, 0, 4, 64, 0},
	} {
		columns, rows := c.cut.Tiles(c.w, c.h)
		right, bottom := c.cut.Unused(c.w, c.h)
		if columns != c.columns || rows != c.rows || right != c.right || bottom != c.bottom {
			t.Errorf("%+v of %d × %d gives %d × %d tiles, %d and %d over", c.cut, c.w, c.h, columns, rows, right, bottom)
		}
	}
}
