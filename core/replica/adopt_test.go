package replica_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/replica"
	"azzel/core/sample"
	"testing"
)

// An edit that is adopted twice, as by two pages that close one after the other, is there once.
func TestAdoptedTwiceIsOnce(t *testing.T) {
	r := replica.New("personperson", "clientclient", sample.World(), 0)
	e := &edit.Edit{V: edit.Version, Mark: edit.Mark{Client: document.NewID(), Number: 4}, Label: edit.Label{Kind: edit.Do, Text: "Kept"},
		Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "name", "Mole")}}
	r.Adopt(e)
	r.Adopt(e)
	if got := r.Pending(); len(got) != 1 || r.Current.Maps.Get(sample.Quay).Name != "Mole" {
		t.Errorf("%d edits wait, the map is called %s", len(got), r.Current.Maps.Get(sample.Quay).Name)
	}
	other := *e
	other.Number = 5
	r.Adopt(&other)
	if got := r.Pending(); len(got) != 2 || got[1].Number != 5 {
		t.Errorf("of another one %d wait", len(got))
	}
}
