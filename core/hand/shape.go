package hand

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
)

// area is the cells that a shape covers: all of them, and those of a rim's outline.
type area struct {
	all, outline *grid.Region
}

func (w *Work) area(l *document.Layer, g *Grip, b block, ges *Gesture) area {
	start, end := ges.Way[0], ges.Way[len(ges.Way)-1]
	shape := g.Shape
	if k := w.Doc.Kind(document.ID(g.Kind)); g.What == Entity && k != nil && k.Area {
		shape = Box
	}
	r := &grid.Region{}
	switch shape {
	case Line:
		if ges.Even {
			end = grid.EvenLine(start, end)
		}
		for _, p := range grid.Line(start, end) {
			r.Add(p)
		}
		r = w.stamped(r, g, b)
	case Box, Rim, Oval:
		if ges.Even {
			end = grid.EvenEnd(start, end)
		}
		box := grid.RectOf(start, end)
		if shape == Oval || shape == Rim && g.Oval {
			r = grid.Oval(box)
		} else if shape == Box {
			r.AddRect(box.Intersect(w.Map.Bounds))
		} else {
			r.AddRect(box)
		}
		if shape == Rim {
			return area{r, grid.Rim(r, g.depth())}
		}
	case Fill:
		r = w.filled(l, g, end)
	case Empties:
		r = w.taken(l)
		free := &grid.Region{}
		free.AddRect(w.Map.Bounds)
		free.Subtract(r)
		r = free
	default:
		r = w.stamped(grid.Freehand(ges.Way), g, b)
	}
	return area{r, r}
}

// stamped widens a way by the tip, or to the whole blocks that it touches, so
// that a block is put down whole.
func (w *Work) stamped(r *grid.Region, g *Grip, b block) *grid.Region {
	if b.w*b.h <= 1 || g.Scatter != nil {
		return grid.Swept(r, grid.Tip{Size: g.size(), Round: g.Round})
	}
	out := &grid.Region{}
	if !g.Aligned {
		for _, p := range r.Points() {
			out.AddRect(grid.Rect{X: p.X, Y: p.Y, W: b.w, H: b.h})
		}
		return out
	}
	for _, p := range r.Points() {
		x, y := p.X-w.Map.Bounds.X, p.Y-w.Map.Bounds.Y
		out.AddRect(grid.Rect{X: p.X - grid.Mod(x, b.w), Y: p.Y - grid.Mod(y, b.h), W: b.w, H: b.h})
	}
	return out
}

// taken is the cells of a layer that are not empty, or where its entities stand.
func (w *Work) taken(l *document.Layer) *grid.Region {
	if l.Painted() {
		return l.Cells.Region(w.Map.Bounds, func(c cells.Cell) bool { return c != 0 })
	}
	out := &grid.Region{}
	for _, e := range w.Map.Entities.All() {
		if e.Layer == l.ID {
			out.AddRect(e.Box(w.Map).Intersect(w.Map.Bounds))
		}
	}
	return out
}

// filled is the connected area around a cell: of the same on the layer or on
// what shows; on a layer of entities where none stands, or where they do.
func (w *Work) filled(l *document.Layer, g *Grip, start grid.Point) *grid.Region {
	reach := cells.Reach{Corners: g.Corners, Within: w.Within}
	switch {
	case g.Shown:
		return cells.Fill(Shown(w.Map), w.Map.Bounds, start, reach)
	case l.Painted():
		return cells.Fill(sameMaterials(l.Cells, start), w.Map.Bounds, start, reach)
	}
	taken := w.taken(l)
	if taken.Has(start) {
		return taken
	}
	stood, _ := cells.Paint(taken, w.Map.Bounds, []cells.Cell{1 << 16}, 1, grid.Point{}).Apply(cells.Plane{})
	return cells.Fill(stood, w.Map.Bounds, start, reach)
}

// sameMaterials lets the variants of the material at a cell count as one.
func sameMaterials(p cells.Plane, at grid.Point) cells.Plane {
	c := p.At(at.X, at.Y)
	if !c.IsMaterial() {
		return p
	}
	one := cells.MaterialCell(c.Tileset(), 0)
	var bounds grid.Rect
	for _, k := range p.Chunks() {
		bounds = bounds.Union(grid.Rect{X: k.CX * grid.ChunkSize, Y: k.CY * grid.ChunkSize, W: grid.ChunkSize, H: grid.ChunkSize})
	}
	others := p.Region(bounds, func(v cells.Cell) bool { return v.IsMaterial() && v.Tileset() == c.Tileset() })
	out, _ := cells.Paint(others, bounds, []cells.Cell{one}, 1, grid.Point{}).Apply(p)
	return out
}

// Shown is what all layers of tiles that are shown show together.
func Shown(m *document.Map) cells.Plane {
	var planes []cells.Plane
	layers := m.LayersInOrder()
	for i := len(layers) - 1; i >= 0; i-- {
		if l := layers[i]; l.Kind == document.LayerTiles && m.Shown(l) {
			planes = append(planes, l.Cells)
		}
	}
	return cells.Flattened(planes)
}
