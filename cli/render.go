package cli

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/material"
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"path/filepath"
	"slices"

	"github.com/spf13/cobra"
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

// maxDrawn is how many pixels a picture has at most.
const maxDrawn = 100_000_000

func renderCommand() *cobra.Command {
	var name, out string
	look := Look{}
	c := &cobra.Command{
		Use:   "render FROM",
		Short: "Draw maps as pictures",
		Long: "Draws maps as PNG: the tiles and materials of the layers that are shown, from the bottom up, and what stands on them and has a\n" +
			"picture. Pictures and gradients behind a map, glyphs and lights are left out.",
		Example: "  azzel render saltworks/ --out pictures/\n  azzel render tide.zip --map Quay --scale 2 --out quay.png\n  azzel render tide.zip --map Quay --layer Ground --layer Things --out ground.png",
		Args:    cobra.ExactArgs(1),
		RunE: func(c *cobra.Command, args []string) error {
			p, err := Load(args[0])
			if err != nil {
				return err
			}
			if name == "" {
				for _, m := range p.Doc.MapsInOrder() {
					if err := p.render(m, look, filepath.Join(out, m.Name+".png")); err != nil {
						return err
					}
				}
				return nil
			}
			i := slices.IndexFunc(p.Doc.MapsInOrder(), func(m *document.Map) bool { return m.Name == name })
			if i < 0 {
				return fmt.Errorf("there is no map called %s", name)
			}
			return p.render(p.Doc.MapsInOrder()[i], look, out)
		},
	}
	c.Flags().StringVar(&name, "map", "", "the map; all of them without it")
	c.Flags().StringVar(&out, "out", "", "the picture, or a folder for those of all maps")
	c.Flags().IntVar(&look.Scale, "scale", 1, "how many pixels one pixel of the map becomes")
	c.Flags().BoolVar(&look.Things, "things", true, "with what stands there")
	c.Flags().StringArrayVar(&look.Layers, "layer", nil, "a layer that is drawn; more of them can be named")
	_ = c.MarkFlagRequired("out")
	return c
}

func (p *Project) render(m *document.Map, look Look, to string) error {
	data, err := p.draw(m, look)
	if err != nil {
		return fmt.Errorf("%s: %w", m.Name, err)
	}
	return written(to, data)
}

// painter draws one map.
type painter struct {
	p      *Project
	m      *document.Map
	on     *image.NRGBA
	sheets map[int]*sheet
	fitter *material.Fitter
}

// sheet is a tileset with its picture.
type sheet struct {
	*document.Tileset
	img     image.Image
	columns int
}

// draw gives a map as a PNG.
func (p *Project) draw(m *document.Map, look Look) ([]byte, error) {
	w, h := m.Bounds.W*m.CellWidth, m.Bounds.H*m.CellHeight
	switch {
	case look.Scale < 1 || look.Scale > 32:
		return nil, errors.New("a scale is 1 to 32")
	case m.Grid == document.GridDiamond:
		return nil, errors.New("maps of diamonds cannot be drawn here yet: save them as pictures in the page")
	case w*h*look.Scale*look.Scale > maxDrawn:
		return nil, errors.New("that picture would be too large: choose a smaller scale")
	}
	t := &painter{p: p, m: m, on: image.NewNRGBA(image.Rect(0, 0, w, h)), sheets: map[int]*sheet{}, fitter: p.Doc.Fitter()}
	for _, name := range look.Layers {
		if !slices.ContainsFunc(m.LayersInOrder(), func(l *document.Layer) bool { return l.Name == name }) {
			return nil, fmt.Errorf("it has no layer called %s", name)
		}
	}
	for _, l := range m.LayersInOrder() {
		if len(look.Layers) > 0 && !slices.Contains(look.Layers, l.Name) || len(look.Layers) == 0 && !m.Shown(l) {
			continue
		}
		switch {
		case l.Kind == document.LayerTiles:
			t.tiles(l)
		case l.Kind == document.LayerEntities && look.Things:
			t.things(l)
		}
	}
	on := t.on
	if look.Scale > 1 {
		on = image.NewNRGBA(image.Rect(0, 0, w*look.Scale, h*look.Scale))
		xdraw.NearestNeighbor.Scale(on, on.Bounds(), t.on, t.on.Bounds(), draw.Src, nil)
	}
	var out bytes.Buffer
	if err := png.Encode(&out, on); err != nil {
		return nil, fmt.Errorf("write a picture: %w", err)
	}
	return out.Bytes(), nil
}

// sheet finds the tileset of a number; nil where it is gone.
func (t *painter) sheet(number int) *sheet {
	if s, known := t.sheets[number]; known {
		return s
	}
	var s *sheet
	if of := t.p.Doc.TilesetByNumber(number); of != nil {
		if img, err := png.Decode(bytes.NewReader(t.p.Pictures[of.Picture])); err == nil {
			columns, _ := of.Cut.Tiles(of.Width, of.Height)
			s = &sheet{of, img, columns}
		}
	}
	t.sheets[number] = s
	return s
}

// tile is what a cell shows, turned; nil where there is nothing.
func (t *painter) tile(c cells.Cell) image.Image {
	s := t.sheet(c.Tileset())
	if s == nil || s.columns == 0 {
		return nil
	}
	cut := s.Cut
	x, y := cut.Margin+c.Tile()%s.columns*(cut.CellWidth+cut.Spacing), cut.Margin+c.Tile()/s.columns*(cut.CellHeight+cut.Spacing)
	from := image.Rect(x, y, x+cut.CellWidth, y+cut.CellHeight)
	if !from.In(s.img.Bounds()) {
		return nil
	}
	return turned(s.img, from, c)
}

// turned is a part of a picture, its axes exchanged first and then mirrored, as a cell says.
func turned(img image.Image, from image.Rectangle, c cells.Cell) image.Image {
	w, h := from.Dx(), from.Dy()
	if c&cells.Exchange != 0 {
		w, h = h, w
	}
	out := image.NewNRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			sx, sy := x, y
			if c&cells.MirrorX != 0 {
				sx = w - 1 - x
			}
			if c&cells.MirrorY != 0 {
				sy = h - 1 - y
			}
			if c&cells.Exchange != 0 {
				sx, sy = sy, sx
			}
			out.Set(x, y, img.At(from.Min.X+sx, from.Min.Y+sy))
		}
	}
	return out
}

// put draws a picture onto a place, as faint as its layer.
func (t *painter) put(img image.Image, part image.Rectangle, at image.Point, opacity int) {
	to := image.Rectangle{at, at.Add(part.Size())}
	mask := image.NewUniform(color.Alpha{uint8(opacity * 255 / 100)})
	draw.DrawMask(t.on, to, img, part.Min, mask, image.Point{}, draw.Over)
}

func (t *painter) tiles(l *document.Layer) {
	b := t.m.Bounds
	cw, ch := t.m.CellWidth, t.m.CellHeight
	opacity := l.Opacity
	if g := t.m.Layers.Get(l.Group); g != nil {
		opacity = opacity * g.Opacity / 100
	}
	for y := b.Y; y < b.Y+b.H; y++ {
		for x := b.X; x < b.X+b.W; x++ {
			c := l.Cells.At(x, y)
			if c == 0 {
				continue
			}
			at := image.Pt((x-b.X)*cw+l.OffsetX, (y-b.Y)*ch+l.OffsetY)
			shown := material.Shown{Cell: c}
			if c.IsMaterial() {
				shown = t.fitter.At(l.Cells, b, x, y)
			}
			if shown.Quarters != nil {
				t.quarters(shown.Quarters, at, opacity)
			} else if img := t.tile(shown.Cell); img != nil {
				// what is larger than a cell stands on its lower edge
				t.put(img, img.Bounds(), at.Add(image.Pt(0, ch-img.Bounds().Dy())), opacity)
			}
		}
	}
}

// quarters draws a cell of four quarters of different tiles.
func (t *painter) quarters(all *[4]cells.Cell, at image.Point, opacity int) {
	for i, c := range all {
		img := t.tile(c)
		if img == nil {
			continue
		}
		half := img.Bounds().Size().Div(2)
		corner := image.Pt(i%2*half.X, i/2*half.Y)
		t.put(img, image.Rectangle{corner, corner.Add(half)}, at.Add(corner), opacity)
	}
}

// things draws what stands on a layer and has a picture: into its box, from the top left.
func (t *painter) things(l *document.Layer) {
	all := slices.DeleteFunc(t.m.Entities.All(), func(e *document.Entity) bool { return e.Layer != l.ID || e.Hidden })
	slices.SortStableFunc(all, func(a, b *document.Entity) int { return a.Order - b.Order })
	for _, e := range all {
		c, across, down := t.look(e)
		if c == 0 {
			continue
		}
		s := t.sheet(c.Tileset())
		if s == nil {
			continue
		}
		w, h := across*s.Cut.CellWidth, down*s.Cut.CellHeight
		// one of other proportions stands on the lower edge of its box
		corner := image.Pt(e.X+(e.W-w)/2-t.m.Bounds.X*t.m.CellWidth, e.Y+e.H-h-t.m.Bounds.Y*t.m.CellHeight)
		for i := range across * down {
			if img := t.tile(cells.TileCell(c.Tileset(), c.Tile()+i%across+i/across*s.columns) | c&cells.TurnBits); img != nil {
				img := turned(img, img.Bounds(), cells.TileCell(1, 0).Turned(grid.Turn(e.Turn)))
				t.put(img, img.Bounds(), corner.Add(image.Pt(i%across*s.Cut.CellWidth, i/across*s.Cut.CellHeight)), 100-e.Faint)
			}
		}
	}
}

// look is the tile that an entity is drawn as, and how many tiles across and down; 0 where it is drawn as a glyph.
func (t *painter) look(e *document.Entity) (c cells.Cell, across, down int) {
	k := t.p.Doc.Kind(document.ID(e.Kind))
	across, down = 1, 1
	if k != nil && k.Across > 0 && k.Down > 0 {
		across, down = k.Across, k.Down
	}
	pick := func(on, off cells.Cell) cells.Cell {
		if e.On && on != 0 {
			return on
		}
		return off
	}
	if c = pick(e.LookOn, e.Look); c != 0 {
		return c, 1, 1
	}
	if k != nil {
		if frames := k.Frames[max(0, e.Facing.Index())]; len(frames) > 0 && frames[0] != 0 {
			return frames[0], across, down
		}
		if c = pick(k.LookOn, k.Look); c != 0 {
			return c, across, down
		}
	}
	for _, l := range t.p.Doc.Project.Looks {
		if l.Kind == e.Kind || k != nil && l.Kind == string(k.Of) {
			return pick(l.LookOn, l.Look), 1, 1
		}
	}
	return 0, 1, 1
}
