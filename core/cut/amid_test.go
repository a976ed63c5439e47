package cut

import (
	"azzel/core/document"
	"azzel/core/grid"
	"math/rand/v2"
	"testing"
)

// surrounded is a picture with free ground at its left, above it, at its right and below, and with writing above it where there is room.
func surrounded(p Picture, ground []byte, free [4]int, titled bool) Picture {
	out := Picture{p.Width + free[0] + free[2], p.Height + free[1] + free[3], nil}
	out.Pix = make([]byte, out.Width*out.Height*4)
	for i := 0; i < len(out.Pix); i += 4 {
		copy(out.Pix[i:], ground)
	}
	for y := range p.Height {
		copy(out.Pix[((y+free[1])*out.Width+free[0])*4:], p.Pix[y*p.Width*4:(y+1)*p.Width*4])
	}
	for y := 4; titled && y < 11 && free[1] >= 14; y++ {
		for x := 9; x < out.Width*3/4; x++ {
			if (x*7/5+y)%3 > 0 {
				copy(out.Pix[(y*out.Width+x)*4:], []byte{20, 20, 30, 255})
			}
		}
	}
	return out
}

// Cells that lie anywhere on free ground, more of it at one side than at another, are cut as they were drawn, also where the last of them show
// figures that end before their cells do.
func TestCellsAmidFreeGround(t *testing.T) {
	for name, c := range map[string]struct{ gutters, right int }{"with gutters": {4, 92}, "tight": {0, 80}} {
		r := rand.New(rand.NewPCG(21, 4))
		const all = 60
		right, sure := 0, 0
		for k := range all {
			size := 8 + 4*r.IntN(8)
			want := document.Cut{CellWidth: size, CellHeight: size, Spacing: min(c.gutters, 1+r.IntN(4))}
			columns, rows := 4+r.IntN(6), 3+r.IntN(4)
			sheet := drawnSheet(r, want, columns, rows, 0, true)
			ground := []byte{255, 0, 255, 255}
			if c.gutters > 0 {
				ground = sheet.Pix[want.CellWidth*4:][:4] // between the first cell and the next one
			}
			if k%3 == 0 {
				for i := (sheet.Height - size/6) * sheet.Width * 4; i < len(sheet.Pix); i += 4 {
					copy(sheet.Pix[i:], ground)
				}
			}
			free := [4]int{r.IntN(20), r.IntN(24), r.IntN(20), size/6 + r.IntN(20)}
			got := Guesses(surrounded(sheet, ground, free, k%2 == 0))
			if at := got[0].Cut; at.CellWidth == size && at.CellHeight == size && at.Spacing == want.Spacing && at.First() == (grid.Point{X: free[0], Y: free[1]}) {
				right++
			} else if t.Logf("%s: %+v amid %v is cut %+v", name, want, free, got[0]); got[0].Sure {
				sure++
			}
		}
		t.Logf("%s: %d of %d, wrongly sure %d", name, right, all, sure)
		if right*100 < c.right*all || sure > all/20 {
			t.Errorf("%s: of %d sheets %d are cut as they were drawn; of %d others one is sure", name, all, right, sure)
		}
	}
}
