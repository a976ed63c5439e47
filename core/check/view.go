package check

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// inView are the cells of a map that the camera shows while the hero is in any free cell, row by row; nil where that is all of it,
// or cannot be said: where nobody set how much a player sees, or rules move the view.
func inView(d *document.Document, solid []bool, m *document.Map) []bool {
	lens := world.LensOf(d, m)
	w, h := int64(m.CellWidth)*world.Unit, int64(m.CellHeight)*world.Unit
	if solid == nil || lens.W == 0 || lens.Whole || does(d, rules.WordWatch) {
		return nil
	}
	b := m.Bounds
	across, down := int(lens.W/w), int(lens.H/h)
	if across >= b.W && down >= b.H {
		return nil
	}
	// each view adds one at its corner and takes it back beyond: their sums are how many views a cell is in (summed-area table, Crow 1984)
	sums := make([]int32, (b.W+1)*(b.H+1))
	see := func(x0, y0, x1, y1 int) {
		x0, y0, x1, y1 = max(0, x0), max(0, y0), min(b.W, x1), min(b.H, y1)
		if x0 < x1 && y0 < y1 {
			sums[y0*(b.W+1)+x0]++
			sums[y0*(b.W+1)+x1]--
			sums[y1*(b.W+1)+x0]--
			sums[y1*(b.W+1)+x1]++
		}
	}
	// where a view begins that is around a cell, as far as it may be from there
	around := func(at, size, all int, off, free int64) (from, to int) {
		from, to = at+int(off-free)-size/2, at+int(off+free)+size-size/2
		if lens.Ends {
			from, to = min(max(0, from), max(0, all-size)), max(min(all, to+1), min(all, size))
		}
		return from, to + 1
	}
	for y := range b.H {
		for x := range b.W {
			if solid[y*b.W+x] {
				continue
			}
			if lens.Screens {
				see(x/across*across, y/down*down, x/across*across+across, y/down*down+down)
				continue
			}
			x0, x1 := around(x, across, b.W, lens.DX/w, lens.FreeX/w+1)
			y0, y1 := around(y, down, b.H, lens.DY/h, lens.FreeY/h+1)
			see(x0, y0, x1, y1)
		}
	}
	out := make([]bool, b.W*b.H)
	row := make([]int32, b.W+1)
	for y := range b.H {
		sum := int32(0)
		for x := range b.W {
			row[x] += sums[y*(b.W+1)+x]
			sum += row[x]
			out[y*b.W+x] = sum > 0
		}
	}
	return out
}

// does reports whether a rule has one of some words.
func does(d *document.Document, words ...string) (is bool) {
	for _, r := range d.Rules.All() {
		r.Parts.Each(func(p *document.RulePart) { is = is || slices.Contains(words, p.Word) })
	}
	return is
}

// unseen are the kinds that nobody looks for on a map.
var unseen = []string{kind.Path, kind.Lane, kind.GroundLine, kind.Sensor, kind.Timer, kind.Sound, kind.Wind, kind.Source, kind.LaneEntry}

// ofView finds things that the camera never shows, and exits that look like what is around them.
func ofView(d *document.Document, solids *document.Solids, view []bool, m *document.Map, of func(what string, e *document.Entity, text string, args ...any)) {
	b := m.Bounds
	for _, e := range document.InRank(m.Entities.All()) {
		k, acts, box := d.Kind(document.ID(e.Kind)), d.Acts(e), e.Box(m).Intersect(b)
		if k == nil || box.Empty() {
			continue
		}
		if acts == kind.Exit && !pictured(d, e, k) && hides(d, solids, m, e, box) {
			of(UnseenExit, e, "%s on %s looks just like what is around it: nobody sees that it leads on.", e.Name, m.Name)
		}
		if view == nil || k.Veiled || e.Unseen || slices.Contains(unseen, acts) {
			continue
		}
		seen := false
		for y := box.Y - b.Y; y < box.Y-b.Y+box.H; y++ {
			seen = seen || slices.Contains(view[y*b.W+box.X-b.X:y*b.W+box.X-b.X+box.W], true)
		}
		if !seen {
			of(OutOfView, e, "%s on %s lies where the camera never comes.", e.Name, m.Name)
		}
	}
}

// pictured reports whether something has a picture.
func pictured(d *document.Document, e *document.Entity, k *kind.Kind) bool {
	return e.Look != 0 || k.Look != 0 || slices.ContainsFunc(d.Project.Looks, func(l document.KindLook) bool { return l.Kind == e.Kind && l.Look != 0 })
}

// hides reports whether an exit lies in the open, with nothing that has a picture on it or beside it, and each of its cells shows the same
// as one beside: at the edge of a map, and in a gap of a wall, one looks for it.
func hides(d *document.Document, solids *document.Solids, m *document.Map, exit *document.Entity, box grid.Rect) bool {
	ring := grid.Rect{X: box.X - 1, Y: box.Y - 1, W: box.W + 2, H: box.H + 2}
	if ring.Intersect(m.Bounds) != ring || box.W*box.H > 64 {
		return false
	}
	for _, e := range m.Entities.All() {
		if k := d.Kind(document.ID(e.Kind)); e != exit && k != nil && !k.Veiled && !e.Unseen && !e.Box(m).Intersect(ring).Empty() {
			return false
		}
	}
	layers := m.LayersInOrder()
	for _, l := range layers {
		if l.Kind == document.LayerPicture {
			return false
		}
	}
	shown := func(p grid.Point) (out [8]cells.Cell) {
		n := 0
		for _, l := range layers {
			if l.Kind == document.LayerTiles && n < len(out) {
				c := l.Cells.At(p.X, p.Y)
				if c.IsMaterial() {
					c = cells.MaterialCell(c.Tileset(), 0)
				}
				out[n] = c
				n++
			}
		}
		return out
	}
	var beside [][8]cells.Cell
	for y := ring.Y; y < ring.Y+ring.H; y++ {
		for x := ring.X; x < ring.X+ring.W; x++ {
			p := grid.Point{X: x, Y: y}
			if solids.At(m, p) {
				return false
			}
			if !box.Contains(p) {
				beside = append(beside, shown(p))
			}
		}
	}
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			if here := shown(grid.Point{X: x, Y: y}); here == [8]cells.Cell{} || !slices.Contains(beside, here) {
				return false
			}
		}
	}
	return true
}
