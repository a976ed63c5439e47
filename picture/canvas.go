package picture

import (
	"image"
	"image/color"
	"image/draw"
)

// plain is a part of a picture in all colours.
type plain struct{ *image.NRGBA }

func (p plain) bounds() image.Rectangle { return p.Rect }

func (p plain) put(t *tile, part image.Rectangle, at image.Point, opacity int) {
	to := image.Rectangle{at, at.Add(part.Size())}
	if !to.Overlaps(p.Rect) {
		return
	}
	mask := image.NewUniform(color.Alpha{uint8(opacity * 255 / 100)})
	draw.DrawMask(p.NRGBA, to, t.img, part.Min, mask, image.Point{}, draw.Over)
}

// indexed is a part of a picture of at most 255 colours, each all there or not at all.
type indexed struct{ *image.Paletted }

func (p indexed) bounds() image.Rectangle { return p.Rect }

func (p indexed) put(t *tile, part image.Rectangle, at image.Point, _ int) {
	to := image.Rectangle{at, at.Add(part.Size())}.Intersect(p.Rect)
	if to.Empty() {
		return
	}
	wide := t.img.Rect.Dx()
	for y := to.Min.Y; y < to.Max.Y; y++ {
		from := t.indexed[(part.Min.Y+y-at.Y)*wide+part.Min.X+to.Min.X-at.X:]
		on := p.Pix[p.PixOffset(to.Min.X, y):]
		for x := range to.Dx() {
			if c := from[x]; c != 0 {
				on[x] = c
			}
		}
	}
}

// indexed gives the colours of a tile by number; nil where one has none.
func (t *painter) indexed(img *image.NRGBA) []uint8 {
	out := make([]uint8, img.Rect.Dx()*img.Rect.Dy())
	for i := range out {
		at := img.PixOffset(img.Rect.Min.X+i%img.Rect.Dx(), img.Rect.Min.Y+i/img.Rect.Dx())
		if img.Pix[at+3] != 0 {
			out[i] = t.index[[4]uint8(img.Pix[at:at+4])]
		}
	}
	return out
}

// fewColours finds the colours of all sheets, where a picture needs no others: there are at most 255, none of them is half seen, and
// nothing is drawn fainter. The first is nothing.
func (t *painter) fewColours(faint bool) color.Palette {
	if faint {
		return nil
	}
	out := color.Palette{color.NRGBA{}}
	index := map[[4]uint8]uint8{}
	for _, of := range t.Doc.TilesetsInOrder() {
		s := t.sheet(of.Number)
		if s == nil {
			continue
		}
		var last [4]uint8
		for at := 0; at < len(s.img.Pix); at += 4 {
			c := [4]uint8(s.img.Pix[at : at+4])
			if c == last || c[3] == 0 {
				continue
			}
			last = c
			if _, has := index[c]; has {
				continue
			}
			if c[3] != 255 || len(out) > 255 {
				return nil
			}
			index[c] = uint8(len(out))
			out = append(out, color.NRGBA{c[0], c[1], c[2], c[3]})
		}
	}
	t.index = index
	return out
}
