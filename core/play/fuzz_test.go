package play_test

import (
	"azzel/core/chart"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"encoding/json"
	"math/rand/v2"
	"testing"
)

// FuzzGames plays whatever keys on a project that is edited at random meanwhile, twice: no game
// panics, both go alike, and every one can be pulled back.
func FuzzGames(f *testing.F) {
	for seed := range uint64(8) {
		r := rand.New(rand.NewPCG(seed, 11))
		raw := make([]byte, 300)
		for i := range raw {
			raw[i] = byte(r.IntN(256))
		}
		f.Add(seed, raw)
	}
	f.Add(uint64(99), []byte{})
	f.Fuzz(func(t *testing.T, seed uint64, raw []byte) {
		if len(raw) > 400 {
			return
		}
		var ends [2]string
		for k := range ends {
			r := rand.New(rand.NewPCG(seed, 17))
			d := sample.Full()
			if seed%2 == 1 {
				d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "mapValues", []kind.Value{
					{Key: kind.MapView, Value: kind.Of(kind.FromSide)}, {Key: kind.MapJump, Value: "50"}, {Key: kind.MapRun, Value: "50"}})}}).Doc
			}
			c := chart.New(d, nil)
			st := world.New(d, c, nil)
			g, err := play.Start(st, "", int64(seed))
			if err != nil {
				t.Skip("nowhere to begin")
			}
			rec := play.NewRecord(g)
			for i, b := range raw {
				if i%40 == 39 {
					e := &edit.Edit{Do: sample.Primitives(r, d)}
					if next := edit.Apply(d, e); edit.Verify(e, next) == nil {
						d = next.Doc
						c = chart.New(d, c)
						st = world.New(d, c, st)
						g.Enter(st)
					}
				}
				for range 1 + int(b>>6)*4 {
					rec.Step(g, play.Input(b&127))
				}
			}
			out, err := json.Marshal(g.State)
			if err != nil {
				t.Fatal(err)
			}
			ends[k] = string(out)
			for tick := rec.From(); tick <= rec.To(); tick += 97 {
				rec.At(tick)
			}
		}
		if ends[0] != ends[1] {
			t.Errorf("the same game ends as\n%.400s\nand as\n%.400s", ends[0], ends[1])
		}
	})
}
