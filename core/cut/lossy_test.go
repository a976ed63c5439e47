package cut

import (
	"azzel/core/document"
	"bytes"
	"image"
	"image/draw"
	"image/jpeg"
	"math/rand/v2"
	"testing"
)

// withLosses is a picture as it comes back from a JPEG.
func withLosses(t *testing.T, p Picture, quality int) Picture {
	t.Helper()
	img := &image.NRGBA{Pix: p.Pix, Stride: p.Width * 4, Rect: image.Rect(0, 0, p.Width, p.Height)}
	var file bytes.Buffer
	err := jpeg.Encode(&file, img, &jpeg.Options{Quality: quality})
	back, err2 := jpeg.Decode(&file)
	if err != nil || err2 != nil {
		t.Fatal(err, err2)
	}
	out := image.NewNRGBA(img.Rect)
	draw.Draw(out, out.Rect, back, image.Point{}, draw.Src)
	return Picture{p.Width, p.Height, out.Pix}
}

// Most sheets with gutters are cut as they were drawn when they were kept with losses, which leaves no line in one colour.
func TestSheetsKeptWithLosses(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 8))
	all, right := 0, 0
	for k := range 30 {
		size := 12 + 4*r.IntN(6)
		want := document.Cut{CellWidth: size, CellHeight: size, Margin: 1 + r.IntN(4), Spacing: 2 + r.IntN(3)}
		sheet := drawnSheet(r, want, 4+r.IntN(6), 4+r.IntN(4), 0, true)
		for i := 0; i < len(sheet.Pix); i += 4 { // on paper, or on black
			if sheet.Pix[i+3] == 0 || sheet.Pix[i] == 255 {
				copy(sheet.Pix[i:], [][]byte{{250, 248, 240, 255}, {4, 4, 8, 255}}[k%2])
			}
		}
		if bare := Guesses(sheet)[0]; bare.Cut != want {
			continue
		}
		all++
		got := Guesses(withLosses(t, sheet, 80+r.IntN(15)))
		if got[0].Cut == want {
			right++
		} else {
			t.Logf("%+v is cut %+v", want, got[0])
		}
	}
	t.Logf("%d of %d", right, all)
	if all < 25 || right*100 < 80*all {
		t.Errorf("of %d sheets %d are cut as they were drawn", all, right)
	}
}
