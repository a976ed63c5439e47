package play_test

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	drawing "azzel/core/sample/drawn"
	"azzel/core/world"
	"fmt"
	"strings"
	"testing"
	"time"
)

// crowd is a game with so many movers of mixed kinds on a map of 200×120 cells; a busy one has shooters, belts
// and timers as well, which wake 200 rules.
func crowd(n int, busy bool, settings ...kind.Value) *play.Game {
	rows := make([]string, 120)
	for y := range rows {
		rows[y] = strings.Repeat(".", 200)
	}
	rows[1] = "@" + rows[1][1:]
	for y := 10; y < 120; y += 10 {
		rows[y] = strings.Repeat("#####.", 34)[:200]
	}
	d, m := drawing.Map("\n"+strings.Join(rows, "\n"), settings...)
	kinds := []string{kind.Walker, kind.Flyer, kind.Character, kind.Walker, kind.Platform, kind.Block, kind.Walker, kind.Flyer}
	var layer document.ID
	for _, l := range d.Maps.Get(m).LayersInOrder() {
		if l.Kind == document.LayerEntities {
			layer = l.ID
		}
	}
	var do []edit.Primitive
	for i := range n {
		e := document.Entity{ID: document.NewID(), Layer: layer, Kind: kinds[i%len(kinds)], Name: fmt.Sprint("Mover ", i), Facing: document.Facings[i%4], On: true, Rank: 10 + i,
			X: 16 * (3 + i*7%190), Y: 16 * (2 + i*13%110), W: 16, H: 16, Values: []kind.Value{}}
		if e.Kind == kind.Character {
			e.Values = append(e.Values, kind.Value{Key: "does", Value: kind.Of("wanders")})
		}
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m, ID: e.ID}, e))
	}
	d = sample.With(d, do...)
	if busy {
		d = bustle(d, m, layer)
	}
	g, err := play.Start(world.New(d, chart.New(d, nil), nil), m, 1)
	if err != nil {
		panic(err)
	}
	return g
}

// bustle adds 50 shooters, 50 belts and 50 timers, and 200 rules of which a timer wakes four every second.
func bustle(d *document.Document, m, layer document.ID) *document.Document {
	var do []edit.Primitive
	named := map[string][]document.ID{}
	for i := range 150 {
		k := []string{kind.Shooter, kind.Conveyor, kind.Timer}[i%3]
		e := document.Entity{ID: document.NewID(), Layer: layer, Kind: k, Name: fmt.Sprint(k, i), Facing: document.Facings[i%4], On: true, Rank: 9000 + i,
			X: 16 * (5 + i*11%180), Y: 16 * (3 + i*17%110), W: 16, H: 16, Values: []kind.Value{}}
		if k == kind.Timer {
			e.Values = append(e.Values, kind.Value{Key: "every", Value: kind.Of(1000 + i*7)})
		}
		named[k] = append(named[k], e.ID)
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m, ID: e.ID}, e))
	}
	d = sample.With(d, do...)
	part := func(word string, id document.ID) document.RulePart {
		return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: m, ID: id}))
	}
	for i := range 200 {
		c, err := author.AddRule(d, rules.Of(part(rules.WordRings, named[kind.Timer][i%50]), part(rules.WordFlip, named[kind.Conveyor][i*7%50])))
		if err != nil {
			panic(err)
		}
		d = sample.With(d, c.Do...)
	}
	return d
}

// BenchmarkCrowd plays ticks among many who move: 2,000 cost four times what 500 do.
func BenchmarkCrowd(b *testing.B) {
	for _, c := range []struct {
		name     string
		n        int
		busy     bool
		settings []kind.Value
	}{{"above/500", 500, false, nil}, {"above/2000", 2000, false, nil}, {"side/500", 500, false, []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}}},
		{"above/500-with-shots-belts-timers-and-200-rules", 500, true, nil}} {
		b.Run(c.name, func(b *testing.B) {
			g := crowd(c.n, c.busy, c.settings...)
			base, took := visit(), time.Duration(0)
			for n := range b.N {
				start := time.Now()
				g.Step(play.Input(n>>6) & 15)
				took += time.Since(start)
			}
			b.ReportMetric(float64(took.Microseconds())/float64(b.N), "µs/tick")
			b.ReportMetric(float64(took)/float64(b.N)/float64(max(1, base)), "×visited-cell")
		})
	}
}
