package play_test

import (
	"azzel/answers"
	"azzel/core/chart"
	"azzel/core/edit"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"testing"
)

// Whatever keys are held, a game goes as it went. After a wanted change:
// AZZEL_ANSWERS=1 go test ./core/play.
func TestGamesStay(t *testing.T) {
	list := answers.Read(t, "testdata/answers.txt")
	d := edit.Apply(sample.Full(), &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "sides", []string{"wrap", "", "fall", ""})}}).Doc
	st := world.New(d, chart.New(d, nil), nil)
	for seed := range uint64(24) {
		r := rand.New(rand.NewPCG(seed, 7))
		g, err := play.Start(st, sample.Quay, int64(seed))
		if err != nil {
			t.Fatal(err)
		}
		var marks []string
		for range 8 {
			for range 12 {
				in, ticks := play.Input(r.IntN(64)), 3+r.IntN(40)
				for range ticks {
					g.Step(in)
				}
			}
			raw, err := json.Marshal(g.State)
			if err != nil {
				t.Fatal(err)
			}
			marks = append(marks, answers.Sum(string(raw)))
		}
		list.Are(fmt.Sprint(seed), marks, func(k int) string { return fmt.Sprintf("the game of seed %d, part %d", seed, k) })
	}
	list.Write()
}
