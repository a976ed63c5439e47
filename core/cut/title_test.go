package cut

import (
	"azzel/core/document"
	"math/rand/v2"
	"strings"
	"testing"
)

// under puts a sheet under a title of so many lines of letters, with blank rows between them, and a caption under it if that is wanted.
func under(r *rand.Rand, sheet Picture, lines int, caption bool) (p Picture, top int) {
	blank := sheet.Pix[:4]
	fill := func(rows int, lettered bool) {
		for range rows {
			for x := range sheet.Width {
				if lettered && x > 2 && x < sheet.Width*2/3 && r.IntN(2) == 0 {
					p.Pix = append(p.Pix, 90, 30, byte(40+r.IntN(9)), 255)
				} else {
					p.Pix = append(p.Pix, blank...)
				}
			}
		}
	}
	fill(2, false)
	for k := range lines {
		fill(5+r.IntN(4), true)
		if k+1 < lines {
			fill(1+r.IntN(2), false)
		}
	}
	fill(4+r.IntN(5), false)
	top = len(p.Pix) / 4 / sheet.Width
	p.Pix = append(p.Pix, sheet.Pix...)
	if caption {
		fill(5, false)
		fill(6, true)
		fill(1, false)
	}
	p.Width, p.Height = sheet.Width, len(p.Pix)/4/sheet.Width
	return p, top
}

// Nearly all sheets are cut under a title, and over a caption, as they are without; the title is left out.
func TestTitlesAreLeftOut(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	all, right := 0, 0
	for k := range 36 {
		size := 12 + 4*r.IntN(6)
		want := document.Cut{CellWidth: size, CellHeight: size, Margin: 1 + r.IntN(3), Spacing: 1 + r.IntN(3)}
		sheet := drawnSheet(r, want, 4+r.IntN(6), 4+r.IntN(4), 0, true)
		if bare := Guesses(sheet)[0]; bare.Cut != want || !bare.Sure {
			continue
		}
		all++
		p, top := under(r, sheet, 1+k%2, k%3 == 0)
		want.Top = top
		if got := Guesses(p)[0]; got.Cut == want && got.Sure {
			right++
		} else {
			t.Logf("%+v below %d rows is cut %+v", want, top, got)
		}
	}
	if all < 25 || right*100 < 95*all {
		t.Errorf("of %d sheets with a title %d are cut as they are without", all, right)
	}
}

// Where nothing is written, nothing is left out: rows of cells are no title.
func TestRowsOfCellsAreNoTitle(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 6))
	wrong := 0
	const all = 60
	for k := range all {
		c := document.Cut{CellWidth: 8 + 4*r.IntN(8), CellHeight: 8 + 4*r.IntN(8), Spacing: r.IntN(3), Margin: r.IntN(3)}
		got := Guesses(drawnSheet(r, c, 3+r.IntN(8), 3+r.IntN(6), r.IntN(2)*r.IntN(8), k%2 == 0))[0]
		if strings.Contains(got.Why, "written") {
			wrong++
			t.Logf("%+v is cut %+v", c, got)
		}
	}
	if wrong*100 > 2*all {
		t.Errorf("of %d sheets without a title %d are cut as if they had one", all, wrong)
	}
}
