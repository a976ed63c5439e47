package session_test

import (
	"azzel/core/document"
	"azzel/core/sample"
	"encoding/json"
	"testing"
)

// BenchmarkMoveAll moves 10,000 entities of a map at once, which is an edit of 20,000 steps.
func BenchmarkMoveAll(b *testing.B) {
	d := sample.Crowded(sample.Square(512, 2, 1), sample.Large)
	var ids []document.ID
	for _, e := range d.Maps.Get(sample.Large).Entities.All() {
		ids = append(ids, e.ID)
	}
	s := opened(b, d)
	raw, err := json.Marshal(args{"map": sample.Large, "ids": ids, "dx": 1, "dy": 1})
	for b.Loop() {
		if err == nil {
			_, err = s.Call("moveEntities", raw)
		}
		if err != nil {
			b.Fatal(err)
		}
	}
}

// BenchmarkMapPut drags one of 1,000 maps to another place on the chart, until the page knows how all hang together.
func BenchmarkMapPut(b *testing.B) {
	d := sample.Maps(1000, 3000)
	s := opened(b, d)
	id := d.MapsInOrder()[40].ID
	call := func(method string, a any) {
		raw, err := json.Marshal(a)
		if err == nil {
			_, err = s.Call(method, raw)
		}
		if err != nil {
			b.Fatal(err)
		}
	}
	call("headChange", nil)
	call("chart", nil)
	n := 0
	for b.Loop() {
		n++
		call("placeMaps", args{"maps": []any{args{"map": id, "at": args{"x": 3000 + n%2*100, "y": 300}}}, "within": 0})
		call("headChange", nil)
		call("chartChange", nil)
	}
}
