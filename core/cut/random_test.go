package cut

import (
	"azzel/core/document"
	"math/rand/v2"
	"testing"
)

// drawnSheet draws cells cut in some way: filled with noise, or with figures of different sizes on ground, some of them missing.
func drawnSheet(r *rand.Rand, c document.Cut, columns, rows, beyond int, filled bool) Picture {
	w := 2*c.Margin + columns*(c.CellWidth+c.Spacing) - c.Spacing + beyond
	h := 2*c.Margin + rows*(c.CellHeight+c.Spacing) - c.Spacing + beyond
	p := Picture{w, h, make([]byte, w*h*4)}
	if ground := r.IntN(3); ground > 0 {
		for i := 0; i < len(p.Pix); i += 4 {
			copy(p.Pix[i:], [][]byte{{255, 0, 255, 255}, {10, 10, 12, 255}}[ground-1])
		}
	}
	for k := range columns * rows {
		if r.IntN(12) == 0 {
			continue
		}
		left, top := c.Margin+k%columns*(c.CellWidth+c.Spacing), c.Margin+k/columns*(c.CellHeight+c.Spacing)
		shade, size := r.IntN(200), 30+r.IntN(20)
		for y := range c.CellHeight {
			for x := range c.CellWidth {
				dx, dy := x*100/c.CellWidth-50, y*100/c.CellHeight-50
				if !filled && dx*dx+dy*dy >= size*size {
					continue
				}
				copy(p.Pix[((top+y)*w+left+x)*4:], []byte{byte(shade + r.IntN(24)), byte(shade / 2), byte(250 - shade + r.IntN(5)), 255})
			}
		}
	}
	return p
}

// Of sheets whose cells are filled nearly all are cut as they were drawn, square or not, with gutters, with a border or with neither, also where there is
// room left beyond; of figures, which hardly come to the sides of their cells, most are, or it is offered. Of what is wrong one is rarely sure.
func TestSheetsDrawnAtRandom(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	for _, c := range []struct {
		name           string
		filled         bool
		spaced, border bool
		first, offered int // in percent, at the least
	}{
		{"filled, with gutters", true, true, true, 96, 98},
		{"filled, with a border", true, false, true, 70, 88},
		{"filled, tight", true, false, false, 85, 92},
		{"figures, with gutters", false, true, true, 40, 50},
		{"figures, with a border", false, false, true, 65, 75},
	} {
		const all = 60
		first, offered, wrong := 0, 0, 0
		for range all {
			want := document.Cut{CellWidth: 8 + 4*r.IntN(8), CellHeight: 8 + 4*r.IntN(8)}
			if r.IntN(2) == 0 {
				want.CellHeight = want.CellWidth
			}
			if c.spaced {
				want.Spacing = 1 + r.IntN(3)
			}
			if c.border {
				want.Margin = 1 + r.IntN(3)
			}
			got := Guesses(drawnSheet(r, want, 3+r.IntN(8), 3+r.IntN(6), r.IntN(2)*r.IntN(8), c.filled))
			for i, g := range got {
				if g.Cut != want {
					continue
				}
				offered++
				if i == 0 {
					first++
				}
				break
			}
			if got[0].Sure && got[0].Cut != want {
				wrong++
			}
		}
		t.Logf("%s: %d%% first, %d%% offered, of %d sure and wrong", c.name, first*100/all, offered*100/all, wrong)
		if first*100 < c.first*all || offered*100 < c.offered*all || wrong*100 > 12*all || c.filled && wrong*100 > 3*all {
			t.Errorf("%s: of %d sheets %d are right first, %d offered, of %d one is sure though they are wrong", c.name, all, first, offered, wrong)
		}
	}
}
