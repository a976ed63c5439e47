package document_test

import (
	"azzel/core/document"
	"azzel/core/sample"
	"testing"
)

func TestRanks(t *testing.T) {
	m := *sample.World().Maps.Get(sample.Quay)
	if n := m.NextRank(); n != 1 {
		t.Errorf("where nothing has a rank the next is %d", n)
	}
	names := ""
	for _, e := range document.InRank([]*document.Entity{{ID: "c", Rank: 2}, {ID: "a", Rank: 5}, {ID: "d"}, {ID: "b", Rank: 2}}) {
		names += string(e.ID)
	}
	if names != "dbca" {
		t.Errorf("they act in the order %s", names)
	}
	e := *m.Entities.Get(sample.Door)
	e.Rank = 41
	m.Entities = m.Entities.With(e.ID, &e)
	if n := m.NextRank(); n != 42 {
		t.Errorf("behind 41 comes %d", n)
	}
}
