package world_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"math/rand/v2"
	"reflect"
	"slices"
	"testing"
)

// travelled is a project in which somebody goes along a path, beside ground that is drawn freely.
func travelled() *document.Document {
	d := sample.Full()
	var do []edit.Primitive
	for i, e := range []document.Entity{
		{Name: "Round", Kind: kind.Path, Points: []grid.Point{{X: 32}, {X: 32, Y: 32}}},
		{Name: "Goes along", Kind: kind.Walker, Values: []kind.Value{{Key: "path", Value: kind.Of("travelledaaa")}}},
		{Name: "Slope", Kind: kind.GroundLine, Points: []grid.Point{{X: 48, Y: 16}}},
		{Name: "Slope up", Kind: kind.GroundLine, Points: []grid.Point{{X: 48, Y: -16}}},
	} {
		e.ID, e.Layer, e.Facing, e.X, e.Y, e.W, e.H = document.ID("travelledaa"+string(rune('a'+i))), sample.Entities, document.Down, 32*i, 64, 16, 16
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	}
	return sample.With(d, do...)
}

// Whatever is changed, the things of the next stage are those of one that is made from nothing.
func TestTheNextStageIsAsOneFromNothing(t *testing.T) {
	for seed := range uint64(6) {
		r := rand.New(rand.NewPCG(seed, 3))
		d := travelled()
		var c *chart.Chart
		var st *world.Stage
		same := func(what string) {
			t.Helper()
			c = chart.New(d, c)
			st = world.New(d, c, st)
			fresh := world.New(d, c, nil)
			if len(st.Things) != len(fresh.Things) {
				t.Fatalf("after %s there are %d things, and %d from nothing", what, len(st.Things), len(fresh.Things))
			}
			for i := range st.Things {
				if !reflect.DeepEqual(st.Things[i], fresh.Things[i]) {
					t.Fatalf("after %s %s is\n%+v\nfrom nothing\n%+v", what, st.Things[i].Name, st.Things[i], fresh.Things[i])
				}
			}
		}
		same("nothing")
		if a, b := st.Thing(st.ThingOf(sample.Quay, "travelledaac")), st.Thing(st.ThingOf(sample.Quay, "travelledaad")); reflect.DeepEqual(a.Doing.Line, b.Doing.Line) || st.Thing(st.ThingOf(sample.Quay, "travelledaab")).Doing.Way == nil {
			t.Fatal("ground that is drawn otherwise is the same, or nobody goes along the path")
		}
		for range 150 {
			if d.Maps.Len() == 0 {
				d = travelled() // all of them were taken out
			}
			before := d
			var do []edit.Primitive
			switch m := d.MapsInOrder()[r.IntN(d.Maps.Len())]; r.IntN(5) {
			case 4: // where it goes along
				all := slices.DeleteFunc(m.Entities.All(), func(e *document.Entity) bool { return len(e.Points) == 0 })
				if len(all) == 0 {
					continue
				}
				e := all[r.IntN(len(all))]
				if ref := (edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}); r.IntN(2) == 0 {
					do = append(do, edit.Remove(ref))
				} else {
					do = append(do, edit.Set(ref, "points", []grid.Point{{X: 16, Y: r.IntN(64)}, {X: 64}}))
				}
			case 0: // something is set of a thing, or is as its kind is again
				all := m.Entities.All()
				if len(all) == 0 {
					continue
				}
				e := all[r.IntN(len(all))]
				k := d.Kind(document.ID(e.Kind))
				if k == nil || len(k.Settings) == 0 {
					continue
				}
				values := []kind.Value{}
				for range r.IntN(3) {
					s := k.Settings[r.IntN(len(k.Settings))]
					values = append(values, kind.Value{Key: s.Key, Value: s.Default})
					if s.Type == kind.Number {
						values[len(values)-1].Value = kind.Of(r.IntN(9))
					}
				}
				do = append(do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "values", values))
			case 1:
				for _, e := range m.Entities.All() {
					do = append(do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "x", e.X+1))
				}
			case 2:
				do = append(do, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "cellWidth", 8+r.IntN(2)*8))
			default:
				do = sample.Primitives(r, d)
			}
			res := edit.Apply(d, &edit.Edit{Do: do})
			if d = res.Doc; r.IntN(3) == 0 {
				same(fmt.Sprint(do))
				d = edit.Apply(d, &edit.Edit{Do: res.Revert}).Doc
			}
			if before != d {
				same(fmt.Sprint(do))
			}
		}
	}
}

// BenchmarkStageMoved makes the next stage after all of 10,000 entities were moved, and after one was, beside going over them once.
func BenchmarkStageMoved(b *testing.B) {
	d := sample.Crowded(sample.Square(512, 2, 1), sample.Large)
	m := d.Maps.Get(sample.Large)
	all := m.Entities.All()
	moved := func(n int) *document.Document {
		var do []edit.Primitive
		for _, e := range all[:n] {
			do = append(do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "x", e.X+1))
		}
		return sample.With(d, do...)
	}
	c := chart.New(d, nil)
	st := world.New(d, c, nil)
	b.Run("baseline-walk", func(b *testing.B) {
		n := 0
		for b.Loop() {
			m.Entities.Each(func(e *document.Entity) { n += e.X })
		}
	})
	for _, n := range []int{1, len(all)} {
		d := moved(n)
		c := chart.New(d, c)
		b.Run(fmt.Sprint(n), func(b *testing.B) {
			for b.Loop() {
				world.New(d, c, st)
			}
		})
	}
}
