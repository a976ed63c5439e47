package session_test

import (
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/sample"
	"encoding/json"
	"testing"
)

// BenchmarkPlaceMany puts down as many entities as one press can and is told what that changed; or takes them back.
func BenchmarkPlaceMany(b *testing.B) {
	d := sample.With(sample.World(), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", grid.Rect{W: 50, H: 40}))
	press := args{"map": sample.Quay, "active": d.Maps.Get(sample.Quay).LayersInOrder()[0].ID, "mirror": args{}, "gesture": args{"way": way(5, 5)}, "grip": hand.Grip{What: hand.Entity, Shape: hand.Fill, Kind: "sign"}}
	s := opened(b, d)
	call := func(name string, a any) {
		raw, err := json.Marshal(a)
		if err == nil {
			_, err = s.Call(name, raw)
		}
		if err == nil {
			_, err = s.Call("entityChange", json.RawMessage(`{"map":"`+string(sample.Quay)+`"}`))
		}
		if err != nil {
			b.Fatal(err)
		}
	}
	b.Run("put", func(b *testing.B) {
		for b.Loop() {
			b.StopTimer()
			call("preview", press) // it is pointed at before
			b.StartTimer()
			call("press", press)
			b.StopTimer()
			call("undo", args{})
			b.StartTimer()
		}
	})
	b.Run("undo", func(b *testing.B) {
		for b.Loop() {
			b.StopTimer()
			call("press", press)
			b.StartTimer()
			call("undo", args{})
		}
	})
}
