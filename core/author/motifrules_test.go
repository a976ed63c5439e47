package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/rules"
	"azzel/core/sample"
	"strings"
	"testing"
)

// ruled is the sample world with a rule: the switch opens the door and sets a flag.
func ruled(t *testing.T) *document.Document {
	t.Helper()
	d := sample.World()
	r, err := rules.Read(d, "rule \"Gate\"\nwhen\n\tSwitch is turned on\n\tthe hero arrives on Quay\nthen\n\topen Door\n\tset Lit\n\tturn off Switch\n")
	if err != nil {
		t.Fatal(err)
	}
	r.ID = "gaterulegate"
	return sample.With(d, edit.InsertRule(r))
}

// around is the cells that two entities of the Quay stand in.
func around(d *document.Document, names ...string) author.Area {
	m := d.Maps.Get(sample.Quay)
	var at grid.Rect
	for _, e := range m.Entities.All() {
		for _, n := range names {
			if e.Name == n {
				at = at.Union(e.Box(m))
			}
		}
	}
	return author.Area{Map: m, Region: box(at.X, at.Y, at.W, at.H)}
}

// A motif brings along the rules that wait for its entities: what they name of it is what was put down, all else stays. Each
// time it is put down it brings them, on other maps too.
func TestMotifsBringTheirRules(t *testing.T) {
	d := ruled(t)
	c, err := author.KeepMotif(d, "Gate", around(d, "Switch", "Door"))
	d = done(t, d, c, err)
	motif := d.Motifs.Get(c.Made)
	if len(motif.Rules) != 1 || motif.Check() != nil {
		t.Fatalf("it keeps %d rules, %v", len(motif.Rules), motif.Check())
	}
	said := func(d *document.Document, not map[document.ID]bool) (all []string) {
		for _, r := range d.RulesInOrder() {
			if !not[r.ID] {
				all = append(all, rules.Print(d, r))
			}
		}
		return all
	}
	before := map[document.ID]bool{}
	for _, r := range d.Rules.All() {
		before[r.ID] = true
	}
	next := stamped(t, d, sample.Pans, motif, grid.Point{X: 0, Y: 0}, 0, grid.Mirror{})
	got := said(next, before)
	want := "rule \"Gate\"\nwhen\n\tSwitch on Pans is turned on\nthen\n\topen Door on Pans\n\tset Lit\n\tturn off Switch on Pans\n"
	if len(got) != 1 || got[0] != want {
		t.Fatalf("it brought\n%s\nand not\n%s", strings.Join(got, "\n"), want)
	}
	twice := stamped(t, next, sample.Pans, motif, grid.Point{X: 0, Y: 0}, 0, grid.Mirror{})
	if got := said(twice, before); len(got) != 2 || !strings.Contains(got[1], "open \"Door 2\"") {
		t.Errorf("put down twice it brought\n%s", strings.Join(got, "\n"))
	}
	// an undo takes them away with what they wait for
	where := d.Maps.Get(sample.Pans)
	g := hand.Grip{What: hand.Motif, Motif: motif.ID, Shape: hand.Freehand}
	p, err := hand.Resolve(hand.Work{Doc: d, Map: where, Active: sample.Things}, g, hand.Gesture{Way: []grid.Point{{}}})
	if err != nil {
		t.Fatal(err)
	}
	do, _ := p.Edit(d, where, g)
	res := edit.Apply(d, &edit.Edit{Do: do})
	if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}).Doc; back.Hash() != d.Hash() || edit.Verify(&edit.Edit{Do: do}, res) != nil {
		t.Errorf("it is not turned back: %v", edit.Verify(&edit.Edit{Do: do}, res))
	}
	// what does not wait for it stays where it is
	c, err = author.KeepMotif(d, "Door", around(d, "Door"))
	d = done(t, d, c, err)
	if n := len(d.Motifs.Get(c.Made).Rules); n != 0 {
		t.Errorf("a door that is only opened brings %d rules", n)
	}
	// to another project it comes without
	piece := *motif
	taken, err := author.Adopt(sample.World(), &piece, author.UsedBy(d, &piece), nil)
	if err != nil || len(taken.Piece.Rules) != 0 {
		t.Errorf("in another project it has %d rules, %v", len(taken.Piece.Rules), err)
	}
}

// A motif made anew has the rules of what is there now; rules that cannot be are refused.
func TestRulesOfMotifsAreChecked(t *testing.T) {
	d := ruled(t)
	c, err := author.KeepMotif(d, "Gate", around(d, "Switch", "Door"))
	d = done(t, d, c, err)
	id := c.Made
	without := sample.With(d, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: "gaterulegate"}))
	c, err = author.RemakeMotif(without, id, around(without, "Switch", "Door"), false)
	if got := done(t, without, c, err).Motifs.Get(id); len(got.Rules) != 0 {
		t.Errorf("it still has %d rules", len(got.Rules))
	}
	ref := edit.Ref{Type: edit.TypeMotif, ID: id}
	for name, wrong := range map[string]func(r *document.MotifRule){
		"an unknown word": func(r *document.MotifRule) { r.Parts[0].Word = "unlocks" },
		"no slot":         func(r *document.MotifRule) { r.Parts[0].Slot = "while" },
		"a long note":     func(r *document.MotifRule) { r.Note = strings.Repeat("x", document.MaxText+1) },
		"no id":           func(r *document.MotifRule) { r.Parts[0].ID = "1" },
	} {
		one := d.Motifs.Get(id).Rules[0]
		one.Parts = append([]document.RulePart{}, one.Parts...)
		wrong(&one)
		e := &edit.Edit{Do: []edit.Primitive{edit.Set(ref, "rules", []document.MotifRule{one})}}
		if edit.Verify(e, edit.Apply(d, e)) == nil {
			t.Errorf("%s is taken", name)
		}
	}
}
