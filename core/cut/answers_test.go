package cut

import (
	"azzel/answers"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/material"
	"fmt"
	"testing"
)

// What is guessed of every sheet, with its score, and what is recognised, matched and
// dragged out on some, is as it was. After a wanted change: AZZEL_ANSWERS=1 go test ./core/cut.
func TestCutAnswersStay(t *testing.T) {
	list := answers.Read(t, "testdata/answers.txt")
	all := corpus()
	for i, s := range all {
		p := Picture{s.w, s.h, s.picture().Pix}
		marks := []string{}
		say := func(said ...any) { marks = append(marks, answers.Sum(fmt.Sprint(said...))) }
		// also of a part of it, and of it with a strip below
		say(Guesses(p))
		for _, part := range [][2]int{{s.w - 3, s.h}, {s.w, s.h - 5}, {s.w * 2 / 3, s.h * 2 / 3}} {
			cropped := Picture{part[0], part[1], nil}
			for y := range part[1] {
				cropped.Pix = append(cropped.Pix, p.Pix[y*s.w*4:(y*s.w+part[0])*4]...)
			}
			say(Guesses(cropped))
		}
		longer := Picture{s.w, s.h + 9, append(append([]byte{}, p.Pix...), make([]byte, 9*s.w*4)...)}
		say(Guesses(longer))
		columns, rows := s.cut.Tiles(s.w, s.h)
		for _, full := range []int{0, columns*rows/2 + 1, columns*rows - 1} {
			by, found := RecogniseBest(p, s.cut, full)
			say(by, found)
			for _, by := range []string{material.BySides, material.ByCorners, material.ByBoth} {
				say(Recognise(p, s.cut, full, by))
			}
		}
		say(Partners(p, s.cut))
		o := all[(i+1)%len(all)]
		say(Match(p, s.cut, Picture{o.w, o.h, o.picture().Pix}, o.cut))
		half := document.Cut{CellWidth: max(1, s.cut.CellWidth/2), CellHeight: max(1, s.cut.CellHeight/2)}
		say(Match(p, s.cut, longer, s.cut), Match(p, s.cut, p, half))
		for _, tile := range []grid.Rect{{X: 3, Y: 4, W: 16, H: 16}, {X: 17, Y: 17, W: 16, H: 16}, {X: 32, Y: 16, W: 16, H: 24}, {X: 40, Y: 0, W: 9, H: 200}, {X: -4, Y: 20, W: 24, H: 24}} {
			got, err := Dragged(tile, s.w, s.h)
			say(got, err)
		}
		list.Are(s.name, marks, func(k int) string { return fmt.Sprintf("%s, %d", s.name, k) })
	}
	list.Write()
}
