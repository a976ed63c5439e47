package check

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"fmt"
	"slices"
)

// maxEdges is how many open cells of a map's edge are remembered; with more it is not closed on purpose.
const maxEdges = 64

// shut finds free ground that nobody can come to, seen from above: connected cells that walls close in and on which nothing lies. Where
// layers come and go, or the edge is touched, it could be open.
func shut(solid []bool, m *document.Map, at func(what string, p grid.Point, text string, args ...any)) {
	b := m.Bounds
	if solid == nil {
		return
	}
	for _, l := range m.LayersInOrder() {
		if l.Absent {
			return
		}
	}
	lie := &grid.Region{}
	for _, e := range m.Entities.All() {
		box := e.Box(m)
		lie.AddRect(grid.Rect{X: box.X - 1, Y: box.Y - 1, W: box.W + 2, H: box.H + 2}.Intersect(b))
	}
	seen, lies := slices.Clone(solid), flat(lie, b)
	var todo []int
	pockets, all, first := 0, 0, grid.Point{}
	for i := range seen {
		if seen[i] {
			continue
		}
		seen[i], todo = true, append(todo[:0], i)
		size, open := 0, false
		for len(todo) > 0 {
			k := todo[len(todo)-1]
			todo = todo[:len(todo)-1]
			size++
			x, y := k%b.W, k/b.W
			if open = open || lies[k] || x == 0 || y == 0 || x == b.W-1 || y == b.H-1; x == 0 || y == 0 || x == b.W-1 || y == b.H-1 {
				for _, way := range document.Facings {
					dx, dy := way.Step()
					if to := k + dx + dy*b.W; (grid.Rect{W: b.W, H: b.H}).Contains(grid.Point{X: x + dx, Y: y + dy}) && !seen[to] {
						seen[to], todo = true, append(todo, to)
					}
				}
				continue
			}
			for _, to := range [...]int{k - 1, k + 1, k - b.W, k + b.W} {
				if !seen[to] {
					seen[to], todo = true, append(todo, to)
				}
			}
		}
		if !open {
			if pockets++; pockets == 1 {
				first = grid.Point{X: b.X + i%b.W, Y: b.Y + i/b.W}
			}
			all += size
		}
	}
	if pockets > 0 {
		at(Pocket, first, "%s on %s shut in by walls, with nothing on it: nobody comes there (%s).", pocketsAre(pockets), m.Name, cellsOf(all))
	}
}

// flat are the cells of a rectangle that are in a region, row by row.
func flat(r *grid.Region, b grid.Rect) []bool {
	out := make([]bool, b.W*b.H)
	for _, s := range r.Spans() {
		for x := max(s.X0, b.X); x < min(s.X1, b.X+b.W) && s.Y >= b.Y && s.Y < b.Y+b.H; x++ {
			out[(s.Y-b.Y)*b.W+x-b.X] = true
		}
	}
	return out
}

// walls are the cells of a map that are solid, row by row; nil where nothing is, or the map is too large to look at all of it after an edit.
func walls(solids *document.Solids, m *document.Map) []bool {
	if m.Bounds.W*m.Bounds.H > 1<<18 {
		return nil
	}
	all := solids.Region(m)
	if all.Empty() {
		return nil
	}
	return flat(all, m.Bounds)
}

func pocketsAre(n int) string {
	if n == 1 {
		return "A piece of ground is"
	}
	return fmt.Sprintf("%d pieces of ground are", n)
}

// edges are the free cells at the edge of a map that walls close otherwise; none where more of it is open than closed.
func edges(d *document.Document, solids *document.Solids, m *document.Map) (out []grid.Point) {
	b := m.Bounds
	if d.FromSide(m) || m.Template {
		return nil
	}
	walls := 0
	look := func(p grid.Point, way document.Facing) {
		switch {
		case m.Side(way) != document.SideWall || solids.At(m, p):
			walls++
		case len(out) <= maxEdges:
			dx, dy := way.Step()
			out = append(out, grid.Point{X: p.X + dx, Y: p.Y + dy})
		}
	}
	for x := b.X; x < b.X+b.W; x++ {
		look(grid.Point{X: x, Y: b.Y}, document.Up)
		look(grid.Point{X: x, Y: b.Y + b.H - 1}, document.Down)
	}
	for y := b.Y; y < b.Y+b.H; y++ {
		look(grid.Point{X: b.X, Y: y}, document.Left)
		look(grid.Point{X: b.X + b.W - 1, Y: y}, document.Right)
	}
	if len(out) > maxEdges || len(out) > walls/4 {
		return nil
	}
	ways := &grid.Region{}
	for _, e := range m.Entities.All() {
		if a := d.Acts(e); a == kind.Exit || a == kind.Arrival || a == kind.Door || a == kind.LaneEntry || a == kind.Lane {
			box := e.Box(m)
			ways.AddRect(grid.Rect{X: box.X - 1, Y: box.Y - 1, W: box.W + 2, H: box.H + 2})
		}
	}
	left := out[:0]
	for _, p := range out {
		if !ways.Has(p) {
			left = append(left, p)
		}
	}
	return left
}

// lone counts the cells of materials with no other of the same beside them, and gives the first.
func lone(l *document.Layer, bounds grid.Rect) (n int, first grid.Point) {
	for _, at := range l.Cells.Chunks() {
		c := at.Chunk
		if _, uniform := c.Uniform(); uniform {
			continue
		}
		for y := range grid.ChunkSize {
			for x := range grid.ChunkSize {
				one := c.At(x, y)
				p := grid.Point{X: at.CX*grid.ChunkSize + x, Y: at.CY*grid.ChunkSize + y}
				if !one.IsMaterial() || !bounds.Contains(p) || beside(l.Cells, p, one) {
					continue
				}
				if n++; n == 1 {
					first = p
				}
			}
		}
	}
	return n, first
}

// beside reports whether one of the eight cells around is of the same material.
func beside(p cells.Plane, at grid.Point, of cells.Cell) bool {
	for _, d := range [...]grid.Point{{X: -1}, {X: 1}, {Y: -1}, {Y: 1}, {X: -1, Y: -1}, {X: 1, Y: -1}, {X: -1, Y: 1}, {X: 1, Y: 1}} {
		if o := p.At(at.X+d.X, at.Y+d.Y); o.IsMaterial() && o.Tileset() == of.Tileset() {
			return true
		}
	}
	return false
}

func loneAre(n int) string {
	if n == 1 {
		return "A single cell"
	}
	return fmt.Sprintf("%d single cells", n)
}
