// Package shade tells how light the tiles of a picture are, and of what colour, so that what is hard to see can be found by computation.
package shade

import (
	"azzel/core/document"
	"bytes"
	"fmt"
	"image"
	"image/color"
	"image/png"
)

// MaxPixels is how large a picture is at the most that is looked at: larger ones would take too long in a browser.
const MaxPixels = 4 << 20

// Shade is how a tile looks.
type Shade struct {
	// Covers is how many hundredths of it are not transparent.
	Covers int
	// R, G and B are the mean of those, 0 to 255; Light is their mean relative luminance in ten-thousandths.
	R, G, B, Light int
	// Bins are how many hundredths of them have which brightness (the mean of their colours, by sixteens).
	Bins [16]uint8
}

// light is the linear light of sRGB values 0, 8, 16 … 256, in ten-thousandths (IEC 61966-2-1).
var light = [...]int{0, 24, 52, 91, 144, 212, 296, 395, 513, 648, 802, 976, 1170, 1384, 1620, 1878, 2159, 2462, 2789, 3140, 3515, 3916, 4342, 4793, 5271, 5776, 6308, 6867, 7454, 8069, 8714, 9387, 10090}

// Luminance is how bright a colour is, in ten-thousandths (WCAG 2.2).
func Luminance(r, g, b uint8) int {
	out := 0
	for _, c := range [...]struct {
		v     uint8
		share int
	}{{r, 2126}, {g, 7152}, {b, 722}} {
		at, part := int(c.v)/8, int(c.v)%8
		out += c.share * (light[at]*8 + (light[at+1]-light[at])*part) / 8
	}
	return out / 10_000
}

// Of looks at the tiles of a PNG as it is cut, in their order.
func Of(data []byte, cut document.Cut) ([]Shade, error) {
	size, err := png.DecodeConfig(bytes.NewReader(data))
	if err != nil {
		return nil, fmt.Errorf("read a picture: %w", err)
	}
	if size.Width > document.MaxPictureSide || size.Height > document.MaxPictureSide || size.Width*size.Height > MaxPixels {
		return nil, fmt.Errorf("a picture of %d × %d pixels is too large to look at", size.Width, size.Height)
	}
	if err := cut.Check(size.Width, size.Height); err != nil {
		return nil, err
	}
	img, err := png.Decode(bytes.NewReader(data))
	if err != nil {
		return nil, fmt.Errorf("read a picture: %w", err)
	}
	at := pixels(img)
	columns, rows := cut.Tiles(size.Width, size.Height)
	out := make([]Shade, 0, columns*rows)
	for row := range rows {
		for column := range columns {
			t := cut.Tile(row*columns+column, columns)
			out = append(out, of(at, image.Rect(t.X, t.Y, t.X+t.W, t.Y+t.H)))
		}
	}
	return out, nil
}

// pixels gives the pixels of a picture, from its corner on.
func pixels(img image.Image) func(x, y int) color.NRGBA {
	from := img.Bounds().Min
	if plain, is := img.(*image.NRGBA); is {
		return func(x, y int) color.NRGBA { return plain.NRGBAAt(from.X+x, from.Y+y) }
	}
	return func(x, y int) color.NRGBA {
		c, _ := color.NRGBAModel.Convert(img.At(from.X+x, from.Y+y)).(color.NRGBA)
		return c
	}
}

// half is from which opacity on a pixel counts.
const half = 128

func of(at func(x, y int) color.NRGBA, box image.Rectangle) (out Shade) {
	n, r, g, b, sum, bins := 0, 0, 0, 0, 0, [16]int{}
	for y := box.Min.Y; y < box.Max.Y; y++ {
		for x := box.Min.X; x < box.Max.X; x++ {
			c := at(x, y)
			if c.A < half {
				continue
			}
			n++
			r, g, b = r+int(c.R), g+int(c.G), b+int(c.B)
			sum += Luminance(c.R, c.G, c.B)
			bins[brightness(int(c.R), int(c.G), int(c.B))>>4]++
		}
	}
	if n == 0 {
		return out
	}
	out = Shade{Covers: n * 100 / (box.Dx() * box.Dy()), R: r / n, G: g / n, B: b / n, Light: sum / n}
	for i := range bins {
		out.Bins[i] = uint8(bins[i] * 100 / n)
	}
	return out
}

// brightness is the mean of a colour, green twice, as the eye sees it most.
func brightness(r, g, b int) int { return (r + 2*g + b) / 4 }

// What makes something look like what it stands on: a colour that is as near, and so many hundredths of it of as near a brightness.
const (
	nearColour     = 40
	nearBrightness = 40
	nearlyAll      = 80
)

// Hides reports whether something hardly stands out from a ground: nearly all of it is about as bright, and of about the same colour. An
// outline, or a part that is much lighter or darker, makes it stand out.
func (s *Shade) Hides(on *Shade) bool {
	apart := func(a, b int) int { return max(a-b, b-a) }
	if s.Covers == 0 || apart(s.R, on.R) > nearColour || apart(s.G, on.G) > nearColour || apart(s.B, on.B) > nearColour {
		return false
	}
	ground, like := brightness(on.R, on.G, on.B), 0
	for i, n := range s.Bins {
		if apart(i*16+8, ground) <= nearBrightness {
			like += int(n)
		}
	}
	return like >= nearlyAll
}

// Together is how tiles look that are one picture.
func Together(all []Shade) (out Shade) {
	weight, bins := 0, [16]int{}
	for i := range all {
		s := &all[i]
		weight += s.Covers
		out.R, out.G, out.B, out.Light = out.R+s.R*s.Covers, out.G+s.G*s.Covers, out.B+s.B*s.Covers, out.Light+s.Light*s.Covers
		for k, n := range s.Bins {
			bins[k] += int(n) * s.Covers
		}
	}
	if weight == 0 {
		return Shade{}
	}
	out.R, out.G, out.B, out.Light, out.Covers = out.R/weight, out.G/weight, out.B/weight, out.Light/weight, weight/len(all)
	for k := range bins {
		out.Bins[k] = uint8(bins[k] / weight)
	}
	return out
}
