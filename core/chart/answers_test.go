package chart_test

import (
	"azzel/answers"
	"azzel/core/chart"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"encoding/json"
	"fmt"
	"testing"
)

// Wherever two maps lie to each other, their seam, what lies beyond, and what is found
// is as it was. After a wanted change: AZZEL_ANSWERS=1 go test ./core/chart.
func TestChartAnswersStay(t *testing.T) {
	list := answers.Read(t, "testdata/answers.txt")
	say := func(v any) string {
		raw, err := json.Marshal(v)
		if err != nil {
			t.Fatal(err)
		}
		return string(raw)
	}
	for _, at := range []grid.Point{{X: 320}, {X: 321}, {X: 319}, {X: -288}, {X: -287}, {Y: 192}, {Y: 191}, {Y: -160}, {X: 320, Y: 32}, {X: 320, Y: -144}, {X: 320, Y: 192}, {X: 640}, {X: 330, Y: 8}} {
		var marks []string
		for _, sides := range [][]string{nil, {"", "exit", "", ""}, {"wrap", "", "fall", ""}} {
			d := edit.Apply(sample.Full(), &edit.Edit{Do: []edit.Primitive{
				edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "chart", grid.Point{}), edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "chart", at),
				edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "sides", sides)}}).Doc
			c := chart.New(d, nil)
			said := say(c.Seams()) + say(c.Findings()) + say(c.Returning()) + say(chart.Places(d))
			for _, m := range d.MapsInOrder() {
				for _, p := range []grid.Point{{X: -1, Y: 4}, {X: 20, Y: 4}, {X: 5, Y: -1}, {X: 5, Y: 12}, {X: 20, Y: 13}, {X: 18, Y: 9}, {X: 4, Y: 4}} {
					o, q, s := c.Beyond(m, p)
					if o != nil {
						said += fmt.Sprint(o.ID, q, s.A)
					}
					said += c.Blocked(m, grid.Rect{X: p.X, Y: p.Y, W: 2, H: 1})
				}
			}
			for _, within := range []int{0, 4, 24} {
				said += fmt.Sprint(chart.New(d, nil).Snapped(sample.Pans, at, within))
			}
			marks = append(marks, answers.Sum(said))
		}
		list.Are(fmt.Sprintf("%d,%d", at.X, at.Y), marks, func(k int) string { return fmt.Sprintf("the Pans at %v, %d", at, k) })
	}
	list.Write()
}
