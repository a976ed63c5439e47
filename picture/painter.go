// Package picture draws maps as pictures without an interface: as PNG, band by band, so that the largest map takes little memory, and
// in layers, as OpenRaster.
package picture

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/material"
	"bytes"
	"image"
	"image/draw"
	"image/png"
	"slices"
)

// Source is a project with its pictures.
type Source struct {
	Doc *document.Document
	// Picture gives the PNG of a picture by its SHA-256.
	Picture func(sha string) ([]byte, error)
}

// canvas is what is painted on: a part of a picture.
type canvas interface {
	// put draws a part of a tile onto a place, as faint as a number of hundredths says.
	put(t *tile, part image.Rectangle, at image.Point, opacity int)
	bounds() image.Rectangle
}

// painter draws one map.
type painter struct {
	Source
	m      *document.Map
	on     canvas
	sheets map[int]*sheet
	tiles  map[cells.Cell]*tile
	fitter *material.Fitter
	// index gives the colours of a picture of few colours, by their bytes; nil where there are many.
	index map[[4]uint8]uint8
	// corner is where the drawn plane begins, in pixels of the ground plane of squares, or of diamonds.
	corner image.Point
	// tall is how high the largest tile is.
	tall int
}

// sheet is a tileset with its picture.
type sheet struct {
	*document.Tileset
	img     *image.NRGBA
	columns int
}

// tile is a tile as a cell shows it.
type tile struct {
	img *image.NRGBA
	// indexed has its colours by number, where there are few; 0 is nothing.
	indexed []uint8
}

func (s Source) painter(m *document.Map) *painter {
	p := &painter{Source: s, m: m, sheets: map[int]*sheet{}, tiles: map[cells.Cell]*tile{}, fitter: s.Doc.Fitter(), tall: m.CellHeight}
	p.corner = image.Pt(m.Bounds.X*m.CellWidth, m.Bounds.Y*m.CellHeight)
	if m.Grid == document.GridDiamond {
		left, _ := p.project(m.Bounds.X*m.CellWidth, (m.Bounds.Y+m.Bounds.H)*m.CellHeight)
		_, top := p.project(p.corner.X, p.corner.Y)
		p.corner = image.Pt(left, top)
	}
	return p
}

// project is where a place of the ground plane lies on the plane that is drawn, in map pixels.
func (t *painter) project(x, y int) (int, int) {
	if t.m.Grid != document.GridDiamond {
		return x, y
	}
	w, h := t.m.CellWidth, t.m.CellHeight
	// in cells, across and down
	return (x*h - y*w) / (2 * h), (x*h + y*w) / (2 * w)
}

// size is how large a map is as it is drawn, in map pixels.
func (t *painter) size() (w, h int) {
	b := t.m.Bounds
	if t.m.Grid == document.GridDiamond {
		return (b.W + b.H) * t.m.CellWidth / 2, (b.W + b.H) * t.m.CellHeight / 2
	}
	return b.W * t.m.CellWidth, b.H * t.m.CellHeight
}

// layers draws those that are wanted, from the bottom up.
func (t *painter) layers(all []*document.Layer, things bool) {
	for _, l := range all {
		switch {
		case l.Kind == document.LayerTiles:
			t.layer(l)
		case l.Kind == document.LayerEntities && things:
			t.things(l)
		}
	}
}

// sheet finds the tileset of a number; nil where it is gone.
func (t *painter) sheet(number int) *sheet {
	if s, known := t.sheets[number]; known {
		return s
	}
	var s *sheet
	if of := t.Doc.TilesetByNumber(number); of != nil {
		if data, err := t.Picture(of.Picture); err == nil {
			if img, err := png.Decode(bytes.NewReader(data)); err == nil {
				columns, _ := of.Cut.Tiles(of.Width, of.Height)
				plain, ok := img.(*image.NRGBA)
				if !ok {
					plain = image.NewNRGBA(img.Bounds())
					draw.Draw(plain, plain.Bounds(), img, img.Bounds().Min, draw.Src)
				}
				s = &sheet{of, plain, columns}
				t.tall = max(t.tall, of.Cut.CellHeight, of.Cut.CellWidth)
			}
		}
	}
	t.sheets[number] = s
	return s
}

// tile is what a cell shows, turned; nil where there is nothing.
func (t *painter) tile(c cells.Cell) *tile {
	if known, ok := t.tiles[c]; ok {
		return known
	}
	made := t.cut(c)
	if made != nil && t.index != nil {
		made.indexed = t.indexed(made.img)
	}
	t.tiles[c] = made
	return made
}

func (t *painter) cut(c cells.Cell) *tile {
	s := t.sheet(c.Tileset())
	if s == nil || s.columns == 0 {
		return nil
	}
	r := s.Cut.Tile(c.Tile(), s.columns)
	from := image.Rect(r.X, r.Y, r.X+r.W, r.Y+r.H)
	if !from.In(s.img.Bounds()) {
		return nil
	}
	return &tile{img: turned(s.img, from, c)}
}

// turned is a part of a picture, its axes exchanged first and then mirrored, as a cell says.
func turned(img *image.NRGBA, from image.Rectangle, c cells.Cell) *image.NRGBA {
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
			out.SetNRGBA(x, y, img.NRGBAAt(from.Min.X+sx, from.Min.Y+sy))
		}
	}
	return out
}

// faint is how much of a layer is seen, in hundredths.
func (t *painter) faint(l *document.Layer) int {
	if g := t.m.Layers.Get(l.Group); g != nil {
		return l.Opacity * g.Opacity / 100
	}
	return l.Opacity
}

// layer draws the tiles of a layer, as far as they are seen on what is painted on.
func (t *painter) layer(l *document.Layer) {
	b, on := t.m.Bounds, t.on.bounds()
	cw, ch := t.m.CellWidth, t.m.CellHeight
	opacity := t.faint(l)
	from, to := b.Y, b.Y+b.H
	diamond := t.m.Grid == document.GridDiamond
	if !diamond {
		// tiles stand on the lower edge of their cells
		from = max(from, b.Y+(on.Min.Y-l.OffsetY)/ch-1)
		to = min(to, b.Y+(on.Max.Y-l.OffsetY+t.tall)/ch+1)
	}
	for y := from; y < to; y++ {
		for x := b.X; x < b.X+b.W; x++ {
			c := l.Cells.At(x, y)
			if c == 0 {
				continue
			}
			px, py := t.project(x*cw, y*ch)
			at := image.Pt(px+l.OffsetX, py+l.OffsetY).Sub(t.corner)
			if diamond {
				at.X -= cw / 2
			}
			shown := material.Shown{Cell: c}
			if c.IsMaterial() {
				shown = t.fitter.At(l.Cells, b, x, y)
			}
			if shown.Quarters != nil {
				t.quarters(shown.Quarters, at, opacity)
			} else if one := t.tile(shown.Cell); one != nil {
				size := one.img.Bounds().Size()
				if diamond {
					at.X += (cw - size.X) / 2
				}
				// what is larger than a cell stands on its lower edge
				t.on.put(one, one.img.Bounds(), at.Add(image.Pt(0, ch-size.Y)), opacity)
			}
		}
	}
}

// quarters draws a cell of four quarters of different tiles.
func (t *painter) quarters(all *[4]cells.Cell, at image.Point, opacity int) {
	for i, c := range all {
		one := t.tile(c)
		if one == nil {
			continue
		}
		half := one.img.Bounds().Size().Div(2)
		corner := image.Pt(i%2*half.X, i/2*half.Y)
		t.on.put(one, image.Rectangle{corner, corner.Add(half)}, at.Add(corner), opacity)
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
		corner := image.Pt(e.X+(e.W-w)/2, e.Y+e.H-h).Sub(t.corner)
		if t.m.Grid == document.GridDiamond {
			x, y := t.project(e.X+e.W, e.Y+e.H)
			corner = image.Pt(x-w/2, y-h).Sub(t.corner)
		}
		for i := range across * down {
			if one := t.tile((cells.TileCell(c.Tileset(), c.Tile()+i%across+i/across*s.columns) | c&cells.TurnBits).Turned(grid.Turn(e.Turn))); one != nil {
				t.on.put(one, one.img.Bounds(), corner.Add(image.Pt(i%across*s.Cut.CellWidth, i/across*s.Cut.CellHeight)), 100-e.Faint)
			}
		}
	}
}

// look is the tile that an entity is drawn as, and how many tiles across and down; 0 where it is drawn as a glyph.
func (t *painter) look(e *document.Entity) (c cells.Cell, across, down int) {
	k := t.Doc.Kind(document.ID(e.Kind))
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
	for _, l := range t.Doc.Project.Looks {
		if l.Kind == e.Kind || k != nil && l.Kind == string(k.Of) {
			return pick(l.LookOn, l.Look), 1, 1
		}
	}
	return 0, 1, 1
}
