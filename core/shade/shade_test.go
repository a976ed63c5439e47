package shade_test

import (
	"azzel/core/document"
	"azzel/core/shade"
	"bytes"
	"image"
	"image/color"
	"image/png"
	"testing"
)

// sheet is a PNG of tiles of 16 pixels beside each other, each of one colour with a frame of another one.
func sheet(t *testing.T, tiles ...[2]color.NRGBA) []byte {
	t.Helper()
	img := image.NewNRGBA(image.Rect(0, 0, 16*len(tiles), 16))
	for i, c := range tiles {
		for y := range 16 {
			for x := range 16 {
				in := c[0]
				if x < 2 || y < 2 || x > 13 || y > 13 {
					in = c[1]
				}
				img.SetNRGBA(i*16+x, y, in)
			}
		}
	}
	var out bytes.Buffer
	if err := png.Encode(&out, img); err != nil {
		t.Fatal(err)
	}
	return out.Bytes()
}

var (
	sand  = color.NRGBA{220, 190, 120, 255}
	pale  = color.NRGBA{225, 200, 130, 255}
	night = color.NRGBA{20, 30, 50, 255}
	clear = color.NRGBA{255, 255, 255, 0}
	cut   = document.Cut{CellWidth: 16, CellHeight: 16}
)

func TestShades(t *testing.T) {
	all, err := shade.Of(sheet(t, [2]color.NRGBA{sand, sand}, [2]color.NRGBA{pale, clear}, [2]color.NRGBA{pale, night}, [2]color.NRGBA{clear, clear}), cut)
	if err != nil || len(all) != 4 {
		t.Fatal(all, err)
	}
	if s := all[0]; s.Covers != 100 || s.R != 220 || s.G != 190 || s.B != 120 || s.Bins[11] != 100 || s.Light < 5200 || s.Light > 5600 {
		t.Errorf("sand is %+v", s)
	}
	if s := all[1]; s.Covers != 56 || s.R != 225 {
		t.Errorf("without its frame it is %+v", s)
	}
	if s := all[3]; s != (shade.Shade{}) {
		t.Errorf("nothing is %+v", s)
	}
	both := shade.Together([]shade.Shade{all[1], all[3]})
	for i, c := range []struct {
		who, on shade.Shade
		hides   bool
	}{{all[1], all[0], true}, {all[0], all[1], true}, {all[2], all[0], false}, {all[3], all[0], false}, {both, all[0], true}} {
		if c.who.Hides(&c.on) != c.hides {
			t.Errorf("%d: that it hides is not %t", i, c.hides)
		}
	}
	if both.Covers != 28 || both.R != 225 {
		t.Errorf("together they are %+v", both)
	}
}

// A cut that does not fit, what is no picture, and one that is too large are errors.
func TestWrongShades(t *testing.T) {
	good := sheet(t, [2]color.NRGBA{sand, sand})
	var large bytes.Buffer
	if err := png.Encode(&large, image.NewPaletted(image.Rect(0, 0, 4096, 1025), color.Palette{sand})); err != nil {
		t.Fatal(err)
	}
	for name, c := range map[string]struct {
		data []byte
		cut  document.Cut
	}{"no picture": {[]byte("no picture"), cut}, "cut short": {good[:60], cut}, "a cell larger than it": {good, document.Cut{CellWidth: 32, CellHeight: 32}}, "no cell": {good, document.Cut{}}, "too large": {large.Bytes(), cut}} {
		if all, err := shade.Of(c.data, c.cut); err == nil {
			t.Errorf("%s: %+v", name, all)
		}
	}
}

func FuzzShades(f *testing.F) {
	f.Add([]byte("\x89PNG\r\n\x1a\n"), 16, 16, 0, 0)
	f.Add([]byte{}, 0, 0, 0, 0)
	f.Fuzz(func(t *testing.T, data []byte, w, h, margin, spacing int) {
		all, err := shade.Of(data, document.Cut{CellWidth: w, CellHeight: h, Margin: margin, Spacing: spacing})
		for i := range all {
			if s := &all[i]; err == nil && (s.Covers < 0 || s.Covers > 100 || s.Light < 0 || s.Light > 10_100) {
				t.Fatalf("a tile is %+v", s)
			}
		}
	})
}
