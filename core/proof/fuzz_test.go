package proof_test

import (
	"azzel/core/chart"
	"azzel/core/proof"
	"azzel/core/world"
	"strings"
	"testing"
)

// Whatever is drawn, it is looked for without a panic, comes to an end, and what is said to be possible plays.
func FuzzStudy(f *testing.F) {
	for _, text := range []string{"@G", "#######\n#@.b.G#\n#######", "@.p\n#D#\n#G#", "k@K\nbGb", "@@G\nccc\n^^^", ".....\n@...G\n#####", "bbbbb\nb@b.G\nppppp", "GGGG", "#"} {
		f.Add(text, uint8(0))
		f.Add(text, uint8(1))
		f.Add(text, uint8(2))
	}
	f.Fuzz(func(t *testing.T, text string, how uint8) {
		rows := strings.Split(text, "\n")
		if len(text) > 120 || len(rows) > 10 {
			return
		}
		w := 1
		for _, row := range rows {
			w = max(w, len(row))
		}
		for y, row := range rows {
			rows[y] = strings.Map(func(c rune) rune {
				if strings.ContainsRune("#.@GDscbpkK^-", c) {
					return c
				}
				return '.'
			}, row) + strings.Repeat(".", w-len(row))
			if len(rows[y]) > w { // what was of several bytes
				rows[y] = rows[y][:w]
			}
		}
		d := drawn(strings.Join(rows, "\n"))
		switch how % 3 {
		case 1:
			d = drawn(strings.Join(rows, "\n"), byCells, fourWays)
		case 2:
			d = drawn(strings.Join(rows, "\n"), fromSide)
		}
		st := world.New(d, chart.New(d, nil), nil)
		s := proof.NewStudy(st, nil)
		for n := 0; n < 12 && !s.Step(1500); n++ {
		}
		if a := s.Answer; a != nil && a.Is == proof.Can {
			if _, ok := proof.Replay(st, a.Walk); !ok {
				t.Errorf("its walk does not play:\n%s", strings.Join(rows, "\n"))
			}
		}
	})
}
