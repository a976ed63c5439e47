package document_test

import (
	"azzel/core/document"
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"
)

// A table that a maker changes in place is what one is that is copied with every change, and no table that somebody else has seen changes.
func TestAMakerChangesItsOwn(t *testing.T) {
	names := func(t document.Table[document.Flag]) (out []string) {
		t.Each(func(f *document.Flag) { out = append(out, string(f.ID)+f.Name) })
		return out
	}
	for seed := range uint64(60) {
		r := rand.New(rand.NewPCG(seed, 28))
		var copied document.Table[document.Flag]
		for range r.IntN(200) {
			f := &document.Flag{ID: document.ID(fmt.Sprintf("flag%04d", r.IntN(150))), Name: "first"}
			copied = copied.With(f.ID, f)
		}
		before, seen := copied, names(copied)
		owned, by := copied, new(document.Maker)
		for n := range 150 {
			id := document.ID(fmt.Sprintf("flag%04d", r.IntN(150)))
			if r.IntN(3) == 0 {
				copied, owned = copied.Without(id), owned.WithoutBy(by, id)
			} else {
				f := &document.Flag{ID: id, Name: fmt.Sprint(n)}
				copied, owned = copied.With(id, f), owned.WithBy(by, id, f)
			}
			if n%40 == 0 { // whoever looks in between sees what is there by then
				if got, want := names(owned), names(copied); !slices.Equal(got, want) || owned.Len() != copied.Len() {
					t.Fatalf("seed %d, after %d: there are %v, wanted %v", seed, n, got, want)
				}
			}
		}
		made, want := owned, names(owned)
		if !slices.Equal(want, names(copied)) || owned.Len() != copied.Len() || !slices.Equal(names(before), seen) {
			t.Fatalf("seed %d: there are %v, wanted %v; before %v, now %v", seed, want, names(copied), seen, names(before))
		}
		// another maker, or none, makes a table of its own
		f := &document.Flag{ID: "flag0000", Name: "other"}
		for _, other := range []document.Table[document.Flag]{made.WithBy(new(document.Maker), f.ID, f), made.With(f.ID, f), made.WithBy(nil, f.ID, f), made.WithoutBy(new(document.Maker), "flag0001")} {
			if !slices.Equal(names(made), want) {
				t.Fatalf("seed %d: a table that was made changed to %v, and another is %v", seed, names(made), names(other))
			}
		}
	}
}
