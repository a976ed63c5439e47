package cut

import (
	"azzel/core/document"
	"image"
	"runtime"
	"testing"
)

// sheet draws noisy cells cut in a known way.
func sheet(c document.Cut, columns, rows int, gutter byte) Picture {
	w := 2*c.Margin + columns*(c.CellWidth+c.Spacing) - c.Spacing
	h := 2*c.Margin + rows*(c.CellHeight+c.Spacing) - c.Spacing
	p := Picture{w, h, make([]byte, w*h*4)}
	for i := range p.Pix {
		p.Pix[i] = gutter
	}
	seed := uint32(7)
	for ty := range rows {
		for tx := range columns {
			seed = seed*1664525 + 1013904223
			r, g, b := byte(seed>>24), byte(seed>>16), byte(seed>>8)
			for y := range c.CellHeight {
				for x := range c.CellWidth {
					seed = seed*1664525 + 1013904223
					i := ((c.Margin+ty*(c.CellHeight+c.Spacing)+y)*w + c.Margin + tx*(c.CellWidth+c.Spacing) + x) * 4
					n := byte(seed>>28) & 15
					p.Pix[i], p.Pix[i+1], p.Pix[i+2], p.Pix[i+3] = r&^15|n, g&^15|n, b&^15|n, 255
				}
			}
		}
	}
	return p
}

func TestGuessesFindTheCut(t *testing.T) {
	for _, c := range []document.Cut{
		{CellWidth: 16, CellHeight: 16},
		{CellWidth: 32, CellHeight: 32},
		{CellWidth: 24, CellHeight: 24},
		{CellWidth: 80, CellHeight: 80},
		{CellWidth: 22, CellHeight: 22},
		{CellWidth: 17, CellHeight: 17},
		{CellWidth: 45, CellHeight: 45},
		{CellWidth: 18, CellHeight: 22},
		{CellWidth: 22, CellHeight: 22, Margin: 1, Spacing: 1},
		{CellWidth: 33, CellHeight: 33, Spacing: 2},
		{CellWidth: 16, CellHeight: 16, Spacing: 1},
		{CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 1},
		{CellWidth: 32, CellHeight: 32, Margin: 2, Spacing: 4},
		{CellWidth: 48, CellHeight: 48, Margin: 3},
		{CellWidth: 20, CellHeight: 28, Margin: 3, Spacing: 2},
		{CellWidth: 24, CellHeight: 16, Margin: 1, Spacing: 1},
		{CellWidth: 16, CellHeight: 24, Spacing: 1},
		{CellWidth: 32, CellHeight: 48, Spacing: 2},
	} {
		for _, gutter := range []byte{0, 255} {
			got := Guesses(sheet(c, 7, 5, gutter))
			if got[0].Cut != c {
				t.Errorf("cut %+v with gutter %d: guessed %+v", c, gutter, got)
			}
		}
	}
	got := Guesses(sheet(document.Cut{CellWidth: 16, CellHeight: 32}, 8, 6, 0))
	// what the cut leaves unused at the bottom does not mislead
	long := sheet(document.Cut{CellWidth: 16, CellHeight: 16, Margin: 2, Spacing: 1}, 6, 4, 0)
	long.Pix = append(long.Pix, make([]byte, 9*long.Width*4)...)
	long.Height += 9
	if g := Guesses(long); g[0].Cut != (document.Cut{CellWidth: 16, CellHeight: 16, Margin: 2, Spacing: 1}) {
		t.Errorf("with a strip below: guessed %+v", g)
	}
	found := false
	for _, g := range got {
		found = found || g.Cut == document.Cut{CellWidth: 16, CellHeight: 32}
	}
	if !found {
		t.Errorf("a sheet of 16 × 32 is not among %+v", got)
	}
}

// A sheet that ends in the middle of cells has no margin there, and is cut as all of it is.
func TestGuessesOfSheetsThatEndWithinCells(t *testing.T) {
	for _, c := range []document.Cut{
		{CellWidth: 13, CellHeight: 11, Margin: 3, Spacing: 1},
		{CellWidth: 12, CellHeight: 10, Margin: 2, Spacing: 1},
		{CellWidth: 16, CellHeight: 16, Margin: 2, Spacing: 2},
		{CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 1},
		{CellWidth: 24, CellHeight: 16, Margin: 2, Spacing: 1},
	} {
		whole := sheet(c, 9, 7, 0)
		for _, less := range []image.Point{{c.Margin + 3, 0}, {c.Margin + 5, c.Margin + 7}, {0, c.Margin + 4}} {
			p := Picture{Width: whole.Width - less.X, Height: whole.Height - less.Y}
			for y := range p.Height {
				p.Pix = append(p.Pix, whole.Pix[y*whole.Width*4:(y*whole.Width+p.Width)*4]...)
			}
			if got := Guesses(p); got[0].Cut != c {
				t.Errorf("cut %+v without the last %v pixels: guessed %+v", c, less, got)
			}
		}
	}
}

// figures draws rows of figures on clear ground, which step to and fro.
func figures(w, h, frames, rows int) Picture {
	p := Picture{w * frames, h * rows, make([]byte, w*frames*h*rows*4)}
	for y := range p.Height {
		for x := range p.Width {
			fx, fy, frame, row := x%w, y%h, x/w, y/h
			head := fx >= w/4 && fx < w-w/4 && fy >= h/8 && fy < h*2/5
			body := fx > w/6 && fx < w-w/6 && fy >= h*2/5 && fy < h*5/6
			legs := fy >= h*5/6 && (fx > w/4 && fx < w*2/5 && frame%3 != 1 || fx > w*3/5 && fx < w*3/4 && frame%3 != 2)
			if head || body || legs {
				copy(p.Pix[(y*p.Width+x)*4:], []byte{byte(60 + 50*row), byte(200 - 40*row), byte(90 + 7*(fx^fy)%40), 255})
			}
		}
	}
	return p
}

func TestGuessesFindFigures(t *testing.T) {
	for _, c := range []struct{ w, h, frames, rows int }{{16, 24, 3, 4}, {24, 32, 4, 4}, {32, 48, 3, 4}, {16, 16, 4, 2}, {18, 22, 6, 3}} {
		got := Guesses(figures(c.w, c.h, c.frames, c.rows))
		if want := (document.Cut{CellWidth: c.w, CellHeight: c.h}); got[0].Cut != want {
			t.Errorf("figures of %d × %d: guessed %+v", c.w, c.h, got)
		}
	}
}

func TestGuessesOfPoorPictures(t *testing.T) {
	for _, size := range [][2]int{{1, 1}, {3, 200}, {16, 16}, {200, 1}, {7, 7}, {13, 40}} {
		p := Picture{size[0], size[1], make([]byte, size[0]*size[1]*4)}
		got := Guesses(p)
		if len(got) == 0 {
			t.Fatalf("no guess for an empty picture of %v", size)
		}
		for _, g := range got {
			if err := g.Cut.Check(size[0], size[1]); err != nil {
				t.Errorf("picture of %v: guessed a cut that cannot be: %v", size, err)
			}
		}
	}
}

// A picture of as many colours as pixels takes no more to look at than a plain one: what is
// kept grows with its sides.
func TestGuessesTakeLittleMemory(t *testing.T) {
	const side = 1024
	p := Picture{side, side, make([]byte, side*side*4)}
	for i := range side * side {
		p.Pix[i*4], p.Pix[i*4+1], p.Pix[i*4+2], p.Pix[i*4+3] = byte(i), byte(i>>8), byte(i>>16), 255
	}
	var before, after runtime.MemStats
	runtime.ReadMemStats(&before)
	Guesses(p)
	runtime.ReadMemStats(&after)
	if took := after.TotalAlloc - before.TotalAlloc; took > 4<<20 {
		t.Errorf("a picture of %d MB took %d MB more", len(p.Pix)>>20, took>>20)
	}
}

// Plain squares, as of a palette, are no cells with repeated edges of which hardly anything would be left.
func TestPlainSquaresAreNotExtruded(t *testing.T) {
	p := Picture{70, 50, make([]byte, 70*50*4)}
	for y := range 50 {
		for x := range 70 {
			i := (y*70 + x) * 4
			p.Pix[i], p.Pix[i+1], p.Pix[i+2], p.Pix[i+3] = byte(x/10*37), byte(y/10*53), byte(x/10*(y/10)*29+40), 255
		}
	}
	for _, g := range Guesses(p) {
		if g.Cut.Spacing > g.Cut.CellWidth {
			t.Errorf("%+v: %s", g.Cut, g.Why)
		}
	}
}

// Cells that begin farther from one side of the picture than from another are found, with gutters between them and without.
func TestGuessesOfWhatBeginsAside(t *testing.T) {
	for _, c := range []document.Cut{
		{CellWidth: 16, CellHeight: 16, Left: 5, Top: 4},
		{CellWidth: 13, CellHeight: 11, Left: 2},
		{CellWidth: 24, CellHeight: 24, Top: 8},
		{CellWidth: 16, CellHeight: 16, Left: 3, Top: 3},
		{CellWidth: 16, CellHeight: 16, Margin: 2, Left: 3},
		{CellWidth: 16, CellHeight: 16, Left: 5, Top: 4, Spacing: 1},
		{CellWidth: 20, CellHeight: 16, Left: 3, Top: 3, Spacing: 1},
		{CellWidth: 16, CellHeight: 16, Top: 8, Spacing: 1},
	} {
		const columns, rows = 9, 6
		a := &art{NRGBA: image.NewNRGBA(image.Rect(0, 0, 2*c.Margin+c.Left+columns*(c.CellWidth+c.Spacing)-c.Spacing, 2*c.Margin+c.Top+rows*(c.CellHeight+c.Spacing)-c.Spacing)), seed: 11}
		for i := range columns * rows {
			r := c.Tile(i, columns)
			a.tile(r.X, r.Y, r.W, r.H, i/columns*7+i%columns*3+a.next(5))
		}
		if got := Guesses(Picture{a.Rect.Dx(), a.Rect.Dy(), a.Pix}); got[0].Cut != c {
			t.Errorf("cut %+v: guessed %+v", c, got)
		}
	}
}
