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
