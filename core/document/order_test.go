package document_test

import (
	"azzel/core/document"
	"cmp"
	"fmt"
	"maps"
	"math/rand/v2"
	"slices"
	"testing"
)

// Whatever of a table was looked at in between, what it lists is what was put into it and not taken out, by id and by place.
func TestTheOrderOfATableThatChanges(t *testing.T) {
	type zones = document.Table[document.Zone]
	place := func(f *document.Zone) int { return f.Order }
	for seed := range uint64(80) {
		r := rand.New(rand.NewPCG(seed, 11))
		var table zones
		holds := map[document.ID]*document.Zone{}
		by := new(document.Maker)
		listed := func(what string, table zones) {
			t.Helper()
			want := slices.SortedFunc(maps.Values(holds), func(a, b *document.Zone) int { return cmp.Compare(a.ID, b.ID) })
			if got := table.All(); !slices.Equal(got, want) || table.Len() != len(want) {
				t.Fatalf("seed %d, %s: %d are listed, wanted %d", seed, what, len(got), len(want))
			}
			slices.SortStableFunc(want, func(a, b *document.Zone) int { return cmp.Compare(a.Order, b.Order) })
			got := table.InOrder(place)
			if !slices.Equal(got, want) {
				t.Fatalf("seed %d, %s: by their places they are %v, wanted %v", seed, what, got, want)
			}
			if len(got) > 0 {
				got[0] = nil // the list is the caller's own
			}
		}
		for n := range 400 {
			id := document.ID(fmt.Sprintf("flag%04d", r.IntN(60)))
			f := &document.Zone{ID: id, Order: r.IntN(9)}
			if was := holds[id]; was != nil && r.IntN(3) > 0 {
				f.Order = was.Order
			}
			switch r.IntN(4) {
			case 0:
				table = table.Without(id)
				delete(holds, id)
			case 1:
				table = table.WithoutBy(by, id)
				delete(holds, id)
			case 2:
				table = table.With(id, f)
				holds[id] = f
			default:
				table = table.WithBy(by, id, f)
				holds[id] = f
			}
			if r.IntN(1+n/10) < 2 { // often at first, seldom later
				listed(fmt.Sprint("after ", n), table)
				by = new(document.Maker) // whoever has seen a table keeps it
				table.With("flag0000", f).All()
				listed("another was made of it", table)
			}
		}
		listed("at the end", table)
	}
}

// BenchmarkTableOrder lists 10,000 objects after one of them was put anew, beside listing a table of which nothing is known.
func BenchmarkTableOrder(b *testing.B) {
	all := make([]*document.Zone, 10000)
	for i := range all {
		all[i] = &document.Zone{ID: document.ID(fmt.Sprintf("flag%06d", (i*7919)%1000003))}
	}
	id := func(f *document.Zone) document.ID { return f.ID }
	b.Run("from nothing", func(b *testing.B) {
		for range b.N {
			b.StopTimer()
			table := document.TableOf(all, id)
			b.StartTimer()
			table.Each(func(*document.Zone) {})
		}
	})
	b.Run("after one", func(b *testing.B) {
		table := document.TableOf(all, id)
		for n := range b.N {
			table.Each(func(*document.Zone) {})
			f := all[n%len(all)]
			table = table.With(f.ID, f)
		}
	})
}
