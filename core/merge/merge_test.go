package merge_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/merge"
	"azzel/core/sample"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"
)

func did(d *document.Document, do []edit.Primitive) edit.Result {
	return edit.Apply(d, &edit.Edit{Do: do})
}

// Where what two did does not touch, both is in it, as if it had been done in one log; whoever is called ours.
func TestBothIsInIt(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 8))
	base := sample.Full()
	apart := 0
	for n := range 8000 {
		a, b := sample.Primitives(r, base), sample.Primitives(r, base)
		ours, theirs := did(base, a), did(base, b)
		if touch(ours, theirs) || len(ours.Touched) == 0 || len(theirs.Touched) == 0 {
			continue
		}
		first, second := did(ours.Doc, b), did(theirs.Doc, a)
		// which name something gets that is called as another thing depends on what is there by then
		if len(first.Dropped)+len(second.Dropped) > 0 || names(a) && names(b) || sizes(a) || sizes(b) {
			continue
		}
		for _, c := range []struct {
			name               string
			ours, theirs, want *document.Document
		}{{"ours first", ours.Doc, theirs.Doc, first.Doc}, {"theirs first", theirs.Doc, ours.Doc, second.Doc}} {
			got, conflicts, err := merge.Three(base, c.ours, c.theirs)
			if err != nil || len(conflicts) > 0 {
				t.Fatalf("%d, %s: %v, %v\n%+v\n%+v", n, c.name, conflicts, err, a, b)
			}
			if got.Hash() != c.want.Hash() {
				t.Fatalf("%d, %s: not as in one log\n%+v\n%+v", n, c.name, a, b)
			}
		}
		apart++
	}
	if apart < 100 {
		t.Errorf("only %d pairs did not touch", apart)
	}
}

// sizes reports whether an edit gives a map another size: what can be painted depends on that.
func sizes(do []edit.Primitive) bool {
	return slices.ContainsFunc(do, func(p edit.Primitive) bool { return p.Field == "bounds" })
}

// names reports whether an edit gives names, or lets go of them.
func names(do []edit.Primitive) bool {
	return slices.ContainsFunc(do, func(p edit.Primitive) bool {
		return p.Op == edit.OpInsert || p.Op == edit.OpRemove || p.Field == "name"
	})
}

// touch reports whether two edits were about the same things, or one about what another thing lies in or is of.
func touch(a, b edit.Result) bool {
	type key struct{ m, rule, id document.ID }
	in := func(r edit.Ref) []key {
		return []key{{r.Map, r.Rule, r.ID}, {id: r.Map}, {id: r.Rule}}
	}
	seen := map[key]bool{}
	for _, r := range a.Touched {
		for _, k := range in(r) {
			seen[k] = true
		}
	}
	for _, r := range b.Touched {
		for _, k := range in(r) {
			if seen[k] && k != (key{}) || r.Type == edit.TypeProject && seen[key{}] {
				return true
			}
		}
	}
	return false
}

// What both changed otherwise stays as ours, and is told; what is the same in both is no conflict.
func TestConflicts(t *testing.T) {
	base := sample.Full()
	quay := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}
	pearl := edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Pearl}
	paint := func(x, w, tile int) edit.Primitive {
		region := &grid.Region{}
		region.AddRect(grid.Rect{X: x, Y: 3, W: w, H: 1})
		return sample.Paint(sample.Quay, sample.Ground, region, cells.TileCell(1, tile))
	}
	for _, c := range []struct {
		name         string
		ours, theirs []edit.Primitive
		want         string
		is           func(d *document.Document) bool
	}{
		{"one field otherwise", []edit.Primitive{edit.Set(quay, "name", "Old quay")}, []edit.Primitive{edit.Set(quay, "name", "New quay")}, "Old quay, name: we set it otherwise",
			func(d *document.Document) bool { return d.Maps.Get(sample.Quay).Name == "Old quay" }},
		{"one field the same", []edit.Primitive{edit.Set(quay, "name", "Old quay")}, []edit.Primitive{edit.Set(quay, "name", "Old quay")}, "", nil},
		{"two fields", []edit.Primitive{edit.Set(pearl, "x", 16)}, []edit.Primitive{edit.Set(pearl, "y", 16)}, "",
			func(d *document.Document) bool {
				e := d.Entity(sample.Quay, sample.Pearl)
				return e.X == 16 && e.Y == 16
			}},
		{"cells beside each other", []edit.Primitive{paint(1, 2, 70)}, []edit.Primitive{paint(3, 2, 71)}, "", nil},
		{"cells on each other", []edit.Primitive{paint(1, 3, 70)}, []edit.Primitive{paint(3, 2, 71)}, "Ground on Quay, 1 cell: we painted something else",
			func(d *document.Document) bool {
				l := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground)
				return l.Cells.At(3, 3) == cells.TileCell(1, 70) && l.Cells.At(4, 3) == cells.TileCell(1, 71)
			}},
		{"gone here, changed there", []edit.Primitive{edit.Remove(pearl)}, []edit.Primitive{edit.Set(pearl, "x", 16)}, "Pearl on Quay: we took it away, and they changed it",
			func(d *document.Document) bool { return d.Entity(sample.Quay, sample.Pearl) == nil }},
		{"changed here, gone there", []edit.Primitive{edit.Set(pearl, "x", 16)}, []edit.Primitive{edit.Remove(pearl)}, "Pearl on Quay: we changed it, and they took it away",
			func(d *document.Document) bool { return d.Entity(sample.Quay, sample.Pearl) != nil }},
		{"a map gone in which they painted", []edit.Primitive{edit.Remove(quay)}, []edit.Primitive{paint(1, 1, 70)}, "Quay: we took it away, and they changed it",
			func(d *document.Document) bool { return d.Maps.Get(sample.Quay) == nil }},
		{"both took it away", []edit.Primitive{edit.Remove(pearl)}, []edit.Primitive{edit.Remove(pearl)}, "", nil},
	} {
		t.Run(c.name, func(t *testing.T) {
			got, conflicts, err := merge.Three(base, did(base, c.ours).Doc, did(base, c.theirs).Doc)
			if err != nil {
				t.Fatal(err)
			}
			var said []string
			for _, k := range conflicts {
				said = append(said, k.Text)
			}
			if text := strings.Join(said, "|"); text != c.want {
				t.Errorf("told: %s, want %s", text, c.want)
			}
			if c.is != nil && !c.is(got) {
				t.Error("it is otherwise than ours")
			}
		})
	}
}
