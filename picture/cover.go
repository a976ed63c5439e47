package picture

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"image"
	"slices"

	xdraw "golang.org/x/image/draw"
)

// leastAcross and mostAcross are how many cells a cover shows from side to side, whatever their size.
const leastAcross, mostAcross = 10, 64

// Cover is what a project is known by in a list: w×h pixels of where its game begins, with the hero there, or of what is painted on the
// first map that has something. Nil where nothing is to be seen.
func (s Source) Cover(w, h int) *image.NRGBA {
	all := s.Doc.MapsInOrder()
	for _, m := range all {
		if at := s.start(m); at != nil {
			x, y := at.X+at.W/2, at.Y+at.H/2
			if img := s.piece(m, grid.Point{X: grid.FloorDiv(x, m.CellWidth), Y: grid.FloorDiv(y, m.CellHeight)}, s.standing(m, at), w, h); img != nil {
				return img
			}
		}
	}
	for _, m := range all {
		painted := grid.Rect{}
		for _, l := range m.LayersInOrder() {
			painted = painted.Union(l.Cells.Extent().Intersect(m.Bounds))
		}
		if painted.Empty() {
			continue
		}
		if img := s.piece(m, grid.Point{X: painted.X + painted.W/2, Y: painted.Y + painted.H/2}, m, w, h); img != nil {
			return img
		}
	}
	return nil
}

// start is where a game begins on a map; nil where none does.
func (s Source) start(m *document.Map) (first *document.Entity) {
	if m.Template {
		return nil
	}
	for _, e := range m.Entities.All() {
		if acts := s.Doc.Acts(e); (acts == kind.Spawn || acts == kind.Hero) && !e.Absent && !e.Disabled && (first == nil || e.Order < first.Order) {
			first = e
		}
	}
	return first
}

// standing is a map on which a place to begin looks as the hero does.
func (s Source) standing(m *document.Map, at *document.Entity) *document.Map {
	heroes := slices.DeleteFunc(s.heroes(), func(c cells.Cell) bool { return c == 0 })
	if len(heroes) == 0 {
		return m
	}
	shown, as := *m, *at
	as.Look, as.LookOn, as.Hidden = heroes[0], 0, false
	shown.Entities = m.Entities.With(at.ID, &as)
	return &shown
}

// piece is what of a map, drawn as another, lies around a cell: w×h pixels of it, fewer where the map ends; nil where nothing is drawn there.
func (s Source) piece(m *document.Map, at grid.Point, as *document.Map, w, h int) *image.NRGBA {
	across := min(max(leastAcross, up(w, m.CellWidth)), mostAcross)
	down := up(across*m.CellWidth*h, w*m.CellHeight)
	size := image.Pt(across*m.CellWidth, down*m.CellHeight)
	if m.Grid == document.GridDiamond {
		// so many cells to a side make a diamond into which that size fits
		across, down = across+down, across+down
	}
	b, cut := m.Bounds, *as
	cut.Bounds.W, cut.Bounds.H = min(across, b.W), min(down, b.H)
	cut.Bounds.X = min(max(b.X, at.X-cut.Bounds.W/2), b.X+b.W-cut.Bounds.W)
	cut.Bounds.Y = min(max(b.Y, at.Y-cut.Bounds.H/2), b.Y+b.H-cut.Bounds.H)
	img, err := s.Whole(&cut, Look{Scale: 1, Things: true})
	if err != nil {
		return nil
	}
	part := middle(img.Rect, size)
	if !anything(img, part) {
		return nil
	}
	return within(img, part, w, h)
}

func up(a, b int) int { return (a + b - 1) / b }

// middle is what of a picture lies in its middle and is no larger than a size.
func middle(of image.Rectangle, size image.Point) image.Rectangle {
	w, h := min(of.Dx(), size.X), min(of.Dy(), size.Y)
	corner := of.Min.Add(image.Pt((of.Dx()-w)/2, (of.Dy()-h)/2))
	return image.Rectangle{corner, corner.Add(image.Pt(w, h))}
}

// anything reports whether something is drawn on a part of a picture.
func anything(img *image.NRGBA, part image.Rectangle) bool {
	for y := part.Min.Y; y < part.Max.Y; y++ {
		for x := part.Min.X; x < part.Max.X; x++ {
			if img.Pix[img.PixOffset(x, y)+3] != 0 {
				return true
			}
		}
	}
	return false
}

// within is the middle of a part of a picture in the proportions of w×h pixels, made smaller where it is larger.
func within(img *image.NRGBA, part image.Rectangle, w, h int) *image.NRGBA {
	part = middle(part, image.Pt(max(1, part.Dy()*w/h), max(1, part.Dx()*h/w)))
	small := image.NewNRGBA(image.Rect(0, 0, min(w, part.Dx()), min(h, part.Dy())))
	var scaler xdraw.Scaler = xdraw.ApproxBiLinear
	if part.Dx() <= w {
		scaler = xdraw.NearestNeighbor
	}
	scaler.Scale(small, small.Rect, img, part, xdraw.Src, nil)
	return small
}
