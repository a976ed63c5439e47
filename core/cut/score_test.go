package cut

import (
	"azzel/core/document"
	"image"
	"image/draw"
	"image/png"
	"os"
	"path/filepath"
	"testing"
)

// stored reads a sheet of the corpus.
func stored(t testing.TB, s strange) *image.NRGBA {
	f, err := os.Open(filepath.Join("testdata", s.name+".png"))
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	img, err := png.Decode(f)
	if err != nil {
		t.Fatal(err)
	}
	out := image.NewNRGBA(img.Bounds())
	draw.Draw(out, out.Rect, img, image.Point{}, draw.Src)
	return out
}

// place is where the right cut of a sheet is among the guesses, -1 where it is not.
func place(s strange, got []Guess) int {
	for i, g := range got {
		if g.Cut == s.cut {
			return i
		}
	}
	return -1
}

// A corpus of strange sheets, each with one right answer: nearly all are right first or
// offered, what is sure is right, and what leaves much of a picture over says so.
func TestSheets(t *testing.T) {
	first, offered, all := 0, 0, corpus()
	for _, s := range all {
		if os.Getenv("AZZEL_GOLDEN") != "" {
			f, err := os.Create(filepath.Join("testdata", s.name+".png"))
			if err != nil {
				t.Fatal(err)
			}
			if err := png.Encode(f, s.picture()); err != nil {
				t.Fatal(err)
			}
			f.Close()
		}
		img := stored(t, s)
		got := Guesses(Picture{s.w, s.h, img.Pix})
		at := place(s, got)
		if at == 0 {
			first++
		} else if got[0].Sure {
			t.Errorf("%s: sure of %+v, wanted %+v", s.name, got[0], s.cut)
		}
		if at >= 0 {
			offered++
		}
		for _, g := range got {
			columns, rows := g.Cut.Tiles(s.w, s.h)
			over := over(img, g.Cut.Margin+columns*(g.Cut.CellWidth+g.Cut.Spacing), g.Cut.Margin+rows*(g.Cut.CellHeight+g.Cut.Spacing))
			if over > 33 && g.Over < 25 {
				t.Errorf("%s: %+v leaves %d %% of what is drawn over", s.name, g, over)
			}
		}
		t.Logf("%s: right at %d, %+v", s.name, at, got[0])
	}
	if first*26 < 20*len(all) || offered*26 < 24*len(all) {
		t.Errorf("of %d sheets %d are right first and %d offered", len(all), first, offered)
	}
}

// What was made larger is cut as it was, larger.
func TestSheetsMadeLarger(t *testing.T) {
	for _, c := range []document.Cut{square(16), square(24), {CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 1}} {
		p := sheet(c, 7, 5, 0)
		for _, by := range []int{2, 3} {
			large := Picture{p.Width * by, p.Height * by, make([]byte, len(p.Pix)*by*by)}
			for i := range large.Width * large.Height {
				from := i/large.Width/by*p.Width + i%large.Width/by
				copy(large.Pix[i*4:], p.Pix[from*4:from*4+4])
			}
			want := document.Cut{CellWidth: c.CellWidth * by, CellHeight: c.CellHeight * by, Margin: c.Margin * by, Spacing: c.Spacing * by}
			if got := Guesses(large); got[0].Cut != want {
				t.Errorf("%d times %+v is cut %+v", by, c, got)
			}
		}
	}
}

// over is how much of what is drawn lies right of or below a place, in percent.
func over(img *image.NRGBA, x, y int) int {
	all, out := 0, 0
	for j := range img.Rect.Dy() {
		for i := range img.Rect.Dx() {
			if img.NRGBAAt(i, j).A > 0 {
				all++
				if i >= x || j >= y {
					out++
				}
			}
		}
	}
	return out * 100 / max(1, all)
}

// BenchmarkSheets guesses the cuts of the corpus and tells its score.
func BenchmarkSheets(b *testing.B) {
	all := corpus()
	var pictures []Picture
	for _, s := range all {
		pictures = append(pictures, Picture{s.w, s.h, stored(b, s).Pix})
	}
	first, offered := 0, 0
	for b.Loop() {
		first, offered = 0, 0
		for i, p := range pictures {
			switch place(all[i], Guesses(p)) {
			case -1:
			case 0:
				first++
				offered++
			default:
				offered++
			}
		}
	}
	b.ReportMetric(float64(len(all)), "sheets")
	b.ReportMetric(float64(first), "right-first")
	b.ReportMetric(float64(offered), "right-or-offered")
}
