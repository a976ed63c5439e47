package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

// A word of a card is made to mean all with a tag, all in an area, or who came there: each is offered, taken, and said.
func TestSeveralByCards(t *testing.T) {
	d := withDrawn(t)
	crab := &document.Kind{ID: "crabcrabcrab", Of: kind.Walker, Name: "Crab", Tags: []string{"shelled"}, Layers: []string{}, Settings: []kind.Setting{}}
	quay := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay}
	place := func(id document.ID, k, name string) edit.Primitive {
		ref := quay
		ref.ID = id
		return edit.Insert(ref, document.Entity{ID: id, Layer: sample.Entities, Kind: k, Name: name, Facing: document.Down, X: 32, Y: 32, W: 16, H: 16})
	}
	d = apply(t, d, author.Change{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypeKind, ID: crab.ID}, crab), place("crabbycrabby", "crabcrabcrab", "Crabby"), place("sandssandssa", kind.Sensor, "Sands")}}, nil)
	rule, err := rules.Read(d, "when\n\tsomebody comes to Sands\nthen\n\tthe hero thinks \"!\"\n\thide Crabby")
	if err != nil {
		t.Fatal(err)
	}
	c, err := author.AddRule(d, rule)
	d = apply(t, d, c, err)
	r := func() *document.Rule { return d.Rules.Get(c.Made) }
	choose := func(word, label string) {
		t.Helper()
		for _, p := range r().InOrder() {
			if p.Word != word {
				continue
			}
			all := rules.Choices(d, r(), p.ID, "what")
			i := slices.IndexFunc(all, func(o rules.Choice) bool { return o.Label == label })
			if i < 0 {
				t.Fatalf("“%s” is not offered for %s", label, word)
			}
			w := all[i].Wish
			w.Rule = c.Made
			change, err := author.ChangeRule(d, w)
			d = apply(t, d, change, err)
			return
		}
		t.Fatalf("there is no %s", word)
	}
	for _, o := range [][3]string{{rules.WordHide, "everything tagged shelled", "hide everything tagged shelled"}, {rules.WordHide, "everything in Sands", "hide everything in Sands"},
		{rules.WordThink, "who did it (who)", "who thinks \"!\""}, {rules.WordThink, "everything tagged shelled", "everything tagged shelled thinks \"!\""}} {
		if choose(o[0], o[1]); !strings.Contains(rules.Print(d, r()), o[2]) {
			t.Errorf("having chosen “%s” it says\n%s", o[1], rules.Print(d, r()))
		}
	}
	// a tag that nothing has is told, and an area that is removed
	d = apply(t, d, author.Change{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeKind, ID: crab.ID}, "tags", []string{})}}, nil)
	missing := 0
	for _, s := range rules.Sentence(d, r()) {
		if s.Missing {
			missing++
		}
	}
	if missing != 1 {
		t.Errorf("of a tag that nothing has %d are told", missing)
	}
}
