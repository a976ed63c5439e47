package hand

import (
	"azzel/core/chance"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
)

// take takes away what stands in the cells, of one kind or, where it is empty, of any;
// but not what is locked.
func (p *Plan) take(m *document.Map, l *document.Layer, kind string) {
	for _, e := range m.Entities.All() {
		if e.Layer == l.ID && !e.Locked && (kind == "" || e.Kind == kind) && touches(p.Region, e.Box(m)) {
			p.Take = append(p.Take, e)
		}
	}
}

func touches(r *grid.Region, box grid.Rect) bool {
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if r.Has(grid.Point{X: x, Y: y}) {
				return true
			}
		}
	}
	return false
}

// spot is where an entity comes to stand, in map pixels, and how it is turned by the mirror.
type spot struct {
	box  grid.Rect
	turn grid.Turn
}

func (p *Plan) place(w *Work, l *document.Layer, g Grip, ges Gesture, r *grid.Region) error {
	m, kind := w.Map, w.Doc.Kind(document.ID(g.Kind))
	spots, err := w.spots(kind, &g, &ges, r)
	if err != nil {
		return err
	}
	stands, taken := map[grid.Rect]bool{}, map[document.ID]bool{}
	count := 0
	for _, e := range m.Entities.All() {
		if e.Kind == g.Kind {
			count++
			// in place of others, another of the same kind takes the place too
			stands[grid.Rect{X: e.X, Y: e.Y, W: e.W, H: e.H}] = !g.Replace || e.Locked || e.Layer != l.ID
		}
	}
	for _, s := range spots {
		// lines may begin where others do
		if stands[s.box] && !(kind.Ways && kind.StandsFreely()) || s.box.Empty() {
			continue
		}
		stands[s.box] = true
		e := &document.Entity{Layer: l.ID, Kind: g.Kind, Name: kind.Name, Facing: document.Down.Turned(g.Turn).Turned(s.turn),
			Look: g.Look, LookOn: g.LookOn, On: kind.StartsOn(), X: s.box.X, Y: s.box.Y, W: s.box.W, H: s.box.H}
		if kind.Turns {
			e.Turn = g.Turn.Then(s.turn)
		}
		if kind.Ways {
			points := wayOf(m, &g, &ges)
			if line, ok := w.drawnLine(kind, &g, &ges); ok {
				points = line.points
				if line.closed {
					e.Values = closedLine
				}
			}
			for _, q := range points {
				e.Points = append(e.Points, s.turn.Around(q))
			}
		}
		p.Place = append(p.Place, e)
	}
	if g.Replace {
		for _, e := range m.Entities.All() {
			if e.Layer == l.ID && !e.Locked && !taken[e.ID] && p.covers(e) {
				taken[e.ID] = true
				p.Take = append(p.Take, e)
				if e.Kind == g.Kind {
					count--
				}
			}
		}
	}
	if kind.MapMost > 0 && count+len(p.Place) > kind.MapMost {
		return fmt.Errorf("a map has at most %d of %s, and there are %d already", kind.MapMost, kind.Name, count)
	}
	p.name(m)
	return p.roomFor(m)
}

// name gives what is put down names that are free on the map.
func (p *Plan) name(m *document.Map) {
	names := m.Entities.TakeNames(func(e *document.Entity) string { return e.Name })
	for _, e := range p.Place {
		e.Name = names.Take(e.Name)
	}
	// they are not there yet: the count goes on with the map as it is
	for _, e := range p.Place {
		names.Remove(e.Name)
	}
	m.Entities.KeepNames(names)
}

// covers reports whether something that is put down lies over an entity.
func (p *Plan) covers(e *document.Entity) bool {
	for _, n := range p.Place {
		if e.X < n.X+n.W && e.X+e.W > n.X && e.Y < n.Y+n.H && e.Y+e.H > n.Y {
			return true
		}
	}
	return false
}

// spots are where a press puts a kind down: of an area and of a path once, of others on every
// cell of the shape, or as closely as their boxes stand without overlapping.
func (w *Work) spots(of *kind.Kind, g *Grip, ges *Gesture, r *grid.Region) ([]spot, error) {
	m := w.Map
	bw, bh := of.Box(m.CellWidth, m.CellHeight)
	across, down := (bw+m.CellWidth-1)/m.CellWidth, (bh+m.CellHeight-1)/m.CellHeight
	pixels := func(box grid.Rect) grid.Rect {
		if of.Area {
			return grid.Rect{X: box.X * m.CellWidth, Y: box.Y * m.CellHeight, W: box.W * m.CellWidth, H: box.H * m.CellHeight}
		}
		return grid.Rect{X: box.X*m.CellWidth + (m.CellWidth-bw)*of.AnchorX/100, Y: box.Y*m.CellHeight + (m.CellHeight-bh)*of.AnchorY/100, W: bw, H: bh}
	}
	var out []spot
	add := func(box grid.Rect) {
		out = append(out, spot{pixels(box), grid.Same})
		for _, t := range w.Mirror.Images() {
			if image := w.Mirror.Rect(box, t); !image.Intersect(m.Bounds).Empty() {
				out = append(out, spot{pixels(image), t})
			}
		}
	}
	if of.Area {
		if box := grid.RectOf(ges.Way[0], ges.Way[len(ges.Way)-1]).Intersect(m.Bounds); !box.Empty() {
			add(box)
		}
		return out, nil
	}
	if of.Ways { // one that leads where the press went
		if line, ok := w.drawnLine(of, g, ges); ok {
			return []spot{{grid.Rect{X: line.from.X - bw/2, Y: line.from.Y - bh/2, W: bw, H: bh}, grid.Same}}, nil
		}
		if at := ges.Way[0]; m.Bounds.Contains(at) {
			add(grid.Rect{X: at.X, Y: at.Y, W: 1, H: 1})
		}
		return out, nil
	}
	for _, at := range r.Points() {
		if grid.Mod(at.X-ges.Way[0].X, across) != 0 || grid.Mod(at.Y-ges.Way[0].Y, down) != 0 {
			continue
		}
		if s := g.Scatter; s == nil || chance.Pick(chance.At(ges.Seed, at.X, at.Y, 0), []int{1, s.Nothing}) == 0 {
			add(grid.Rect{X: at.X, Y: at.Y, W: 1, H: 1})
		}
		if len(out) > maxAtOnce {
			return nil, fmt.Errorf("that would place more than %d entities at once: choose a smaller area", maxAtOnce)
		}
	}
	if len(out) == 1 && ges.At != nil && g.Shape == Freehand && len(ges.Way) == 1 && of.StandsFreely() {
		// its middle is where the press is
		out[0].box.X, out[0].box.Y = ges.At.X-bw/2, ges.At.Y-bh/2
	}
	return out, nil
}

func (p *Plan) roomFor(m *document.Map) error {
	if m.Entities.Len()+len(p.Place) > document.MaxEntities {
		return fmt.Errorf("a map has at most %d entities", document.MaxEntities)
	}
	return nil
}
