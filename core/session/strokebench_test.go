package session_test

import (
	"azzel/core/cells"
	"azzel/core/hand"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"fmt"
	"testing"
)

// BenchmarkStrokePreview leads a stroke on by a cell, after it came to so many, beside telling it whole; what is allocated for it is printed
// as well. What the page does, writing what it asks and reading the answer, is not counted.
func BenchmarkStrokePreview(b *testing.B) {
	d := sample.Square(512, 6, 6)
	layer := d.Maps.Get(sample.Large).LayersInOrder()[0].ID
	for _, long := range []int{10, 1000, 10_000} {
		s := opened(b, d)
		at := func(i int) (x, y int) { return i % 500, i / 500 }
		ask := func(b *testing.B, way []args, of, after int) (g session.Ghost) {
			b.StopTimer()
			defer b.StartTimer()
			raw, err := json.Marshal(args{"map": sample.Large, "active": layer, "mirror": args{}, "of": of, "after": after, "gesture": args{"way": way},
				"grip": hand.Grip{What: hand.Tiles, Shape: hand.Freehand, Width: 1, Cells: []cells.Cell{sample.Wall}}})
			if err == nil {
				b.StartTimer()
				raw, err = s.Call("preview", raw)
				b.StopTimer()
			}
			if err == nil {
				err = json.Unmarshal(raw, &g)
			}
			if err != nil || g.Lost || g.Refusal != "" {
				b.Fatal(err, g)
			}
			return g
		}
		var whole []args
		for i := range long {
			x, y := at(i)
			whole = append(whole, way(x, y)...)
		}
		b.Run(fmt.Sprint("whole/", long), func(b *testing.B) {
			for b.Loop() {
				ask(b, whole, 0, 0)
			}
		})
		b.Run(fmt.Sprint("on/", long), func(b *testing.B) {
			b.ReportAllocs()
			g, n := ask(b, whole, 0, 0), long
			for b.Loop() {
				x, y := at(n)
				g = ask(b, way(x, y), g.Number, n)
				n++
			}
		})
	}
}
