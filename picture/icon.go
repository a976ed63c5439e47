package picture

import (
	"azzel/core/cells"
	"azzel/core/document"
	"image"
	"image/color"
	"image/draw"
	"strconv"

	xdraw "golang.org/x/image/draw"
)

// Icon is a square of a colour, as “#rrggbb”, with the hero on it as it stands, as large as whole pixels allow; without a picture of
// the hero it is empty.
func (s Source) Icon(size int, colour string) *image.NRGBA {
	on := image.NewNRGBA(image.Rect(0, 0, size, size))
	n, _ := strconv.ParseUint(colour[1:], 16, 32)
	draw.Draw(on, on.Rect, image.NewUniform(color.NRGBA{uint8(n >> 16), uint8(n >> 8), uint8(n), 255}), image.Point{}, draw.Src)
	t := s.painter(&document.Map{})
	for _, c := range s.heroes() {
		one := t.tile(c)
		if one == nil {
			continue
		}
		b := one.img.Bounds()
		by := max(1, size*3/4/max(b.Dx(), b.Dy()))
		w, h := b.Dx()*by, b.Dy()*by
		xdraw.NearestNeighbor.Scale(on, image.Rect((size-w)/2, (size-h)/2, (size+w)/2, (size+h)/2), one.img, b, draw.Over, nil)
		break
	}
	return on
}

// heroes are how the hero looks as it stands, by its kind and by the project.
func (s Source) heroes() (out []cells.Cell) {
	down := document.Down.Index()
	if k := s.Doc.Kind(s.Doc.HeroKind()); k != nil {
		if len(k.Frames[down]) > 0 {
			out = append(out, k.Frames[down][0])
		}
		out = append(out, k.Look)
	}
	if frames := s.Doc.Project.Hero.Frames[down]; len(frames) > 0 {
		out = append(out, frames[0])
	}
	return out
}
