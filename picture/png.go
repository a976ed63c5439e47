package picture

import (
	"azzel/core/document"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"io"
	"slices"

	xdraw "golang.org/x/image/draw"
)

// Look is how a map is drawn as a picture.
type Look struct {
	// Scale is how many pixels one of the map becomes; Things draws what stands there and has a picture.
	Scale  int
	Things bool
	// Layers are those that are drawn, by name; all that are shown where there are none.
	Layers []string
}

const (
	// MaxPixels is how many pixels a picture has at most, MaxWhole one that cannot be drawn band by band: four bytes each.
	MaxPixels = 1 << 31
	MaxWhole  = 1 << 25
	maxScale  = 32
	// bandRows is how many rows are drawn at a time, at least.
	bandRows = 64
)

// PNG writes a map as a PNG. It is drawn band by band, so that only some rows of it are in memory.
func (s Source) PNG(to io.Writer, m *document.Map, look Look) error {
	t := s.painter(m)
	layers, err := wanted(m, look)
	if err != nil {
		return err
	}
	w, h := t.size()
	diamond := m.Grid == document.GridDiamond
	switch {
	case look.Scale < 1 || look.Scale > maxScale:
		return fmt.Errorf("a scale is 1 to %d", maxScale)
	case w*h*look.Scale*look.Scale > MaxPixels || diamond && w*h > MaxWhole:
		return errors.New("that picture would be too large: choose a smaller scale")
	}
	b := &bands{t: t, layers: layers, look: look, w: w, h: h, rows: max(bandRows, m.CellHeight)}
	if diamond {
		b.rows = h
	}
	b.palette = t.fewColours(slices.ContainsFunc(layers, func(l *document.Layer) bool { return t.faint(l) != 100 }) || faintThings(m))
	stop := make(chan struct{})
	defer close(stop)
	b.drawn = b.ahead(stop)
	encoder := png.Encoder{CompressionLevel: png.BestSpeed}
	var img image.Image = b
	if b.palette == nil {
		img = allColours{b}
	}
	if err := encoder.Encode(to, img); err != nil {
		return fmt.Errorf("write a picture: %w", err)
	}
	return nil
}

// wanted are the layers that are drawn, from the bottom up.
func wanted(m *document.Map, look Look) (out []*document.Layer, err error) {
	all := m.LayersInOrder()
	for _, name := range look.Layers {
		if !slices.ContainsFunc(all, func(l *document.Layer) bool { return l.Name == name }) {
			return nil, fmt.Errorf("it has no layer called %s", name)
		}
	}
	for _, l := range all {
		if len(look.Layers) == 0 && m.Shown(l) || slices.Contains(look.Layers, l.Name) {
			out = append(out, l)
		}
	}
	return out, nil
}

func faintThings(m *document.Map) (is bool) {
	m.Entities.Each(func(e *document.Entity) { is = is || e.Faint > 0 })
	return is
}

// bands is a picture of which some rows are drawn at a time: it is to be read from the top down. As it is, it has few colours.
type bands struct {
	t       *painter
	layers  []*document.Layer
	look    Look
	w, h    int
	rows    int
	palette color.Palette
	// drawn gives the bands, band is the present one; row is the row at y of the picture, of few colours.
	drawn <-chan band
	band  band
	row   []uint8
	y     int
}

// band is some rows, in few colours or in all of them, down to the row before end.
type band struct {
	few *image.Paletted
	all *image.NRGBA
	end int
}

// ahead draws the bands, the next one while one is written, until stop is closed.
func (b *bands) ahead(stop <-chan struct{}) <-chan band {
	out := make(chan band)
	go func() {
		for y := 0; y < b.h; y += b.rows {
			of := band{end: min(b.h, y+b.rows)}
			rows := image.Rect(0, y, b.w, of.end)
			if b.palette != nil {
				of.few = image.NewPaletted(rows, b.palette)
				b.t.on = indexed{of.few}
			} else {
				of.all = image.NewNRGBA(rows)
				b.t.on = plain{of.all}
			}
			b.t.layers(b.layers, b.look.Things)
			select {
			case out <- of:
			case <-stop:
				return
			}
		}
	}()
	return out
}

func (b *bands) ColorModel() color.Model { return b.palette }
func (b *bands) Bounds() image.Rectangle {
	return image.Rect(0, 0, b.w*b.look.Scale, b.h*b.look.Scale)
}
func (b *bands) At(x, y int) color.Color { return b.palette[b.ColorIndexAt(x, y)] }

// ColorIndexAt is the number of a colour.
func (b *bands) ColorIndexAt(x, y int) uint8 {
	if y != b.y || b.row == nil {
		b.next(y)
	}
	return b.row[x]
}

// next makes a row ready, which may begin another band.
func (b *bands) next(at int) {
	y := at / b.look.Scale
	if y >= b.band.end {
		b.band = <-b.drawn
	}
	few := b.band.few
	from := few.Pix[(y-few.Rect.Min.Y)*few.Stride:][:b.w]
	if b.y = at; b.look.Scale == 1 {
		b.row = from
		return
	}
	b.row = b.row[:0]
	for _, c := range from {
		for range b.look.Scale {
			b.row = append(b.row, c)
		}
	}
}

// allColours is the same in all colours.
type allColours struct{ *bands }

func (b allColours) ColorModel() color.Model { return color.NRGBAModel }

// Opaque says that it may be seen through, so that it is not read twice.
func (b allColours) Opaque() bool { return false }

func (b allColours) At(x, y int) color.Color {
	x, y = x/b.look.Scale, y/b.look.Scale
	if y >= b.band.end {
		b.band = <-b.drawn
	}
	return b.band.all.NRGBAAt(x, y)
}

// Whole is a map as it is drawn, all of it in memory.
func (s Source) Whole(m *document.Map, look Look) (*image.NRGBA, error) {
	t := s.painter(m)
	layers, err := wanted(m, look)
	if err != nil {
		return nil, err
	}
	w, h := t.size()
	if w*h > MaxWhole {
		return nil, errors.New("that map is too large for one picture: crop a copy of it first")
	}
	on := image.NewNRGBA(image.Rect(0, 0, w, h))
	t.on = plain{on}
	t.layers(layers, look.Things)
	return on, nil
}

// Small is a map no larger than a square of so many pixels.
func (s Source) Small(m *document.Map, most int) (*image.NRGBA, error) {
	img, err := s.Whole(m, Look{Scale: 1, Things: true})
	if err != nil {
		return nil, err
	}
	w, h := img.Rect.Dx(), img.Rect.Dy()
	if by := max(w, h); by > most {
		small := image.NewNRGBA(image.Rect(0, 0, max(1, w*most/by), max(1, h*most/by)))
		xdraw.ApproxBiLinear.Scale(small, small.Bounds(), img, img.Bounds(), draw.Src, nil)
		return small, nil
	}
	return img, nil
}
