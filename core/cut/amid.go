package cut

import (
	"azzel/core/document"
	"slices"
)

// freeLines are how many lines at either end of both axes are flat in one colour, which is the ground around what is drawn; ok tells that there are
// some, and that they leave something.
func freeLines(x, y *axis) (left, right, top, bottom int, colour int64, ok bool) {
	colour = max(x.flat[0], y.flat[0], x.flat[x.length-1], y.flat[y.length-1])
	free := func(a *axis, from, by int) (n int) {
		for n < a.length && a.flat[from+n*by] == colour {
			n++
		}
		return n
	}
	left, right, top, bottom = free(x, 0, 1), free(x, x.length-1, -1), free(y, 0, 1), free(y, y.length-1, -1)
	ok = colour >= 0 && left+right+top+bottom > 0 && left+right+smallest <= x.length && top+bottom+smallest <= y.length
	return left, right, top, bottom, colour, ok
}

// mostShort is how many lines what is drawn may end before the last cells do, which show figures then.
const mostShort = 8

// framed is an axis without the ground around what is drawn, ending as many lines later as one of its inner axes comes after the first.
type framed struct {
	of           *axis
	before, free int
	inner        []axis
}

func framedBy(a *axis, before, behind, drawn int) (f framed) {
	f = framed{of: a, before: before, free: behind}
	for short := range min(behind, mostShort) + 1 {
		f.inner = append(f.inner, a.inside(before, behind-short, drawn))
	}
	return f
}

// whole is the longest of the inner axes.
func (f framed) whole() *axis { return &f.inner[len(f.inner)-1] }

// behind is how many lines are left behind n cells.
func (f framed) behind(size, spacing, n int) int {
	return f.of.length - f.before - n*(size+spacing) + spacing
}

// exactly are the cuts of one of the inner axes that leave nothing over, of each size the shortest.
func (f framed) exactly(spacing int) (out []between) {
	for short, a := range f.inner {
		for _, b := range a.exactly(0, 0, spacing) {
			if short > 0 && (b.size < 4*short || slices.ContainsFunc(out, func(o between) bool { return o.size == b.size })) {
				continue
			}
			// ground around the cells is as telling as what is between them, where they come up to it
			if b.rare += a.rarity(min(f.before, spacing)); short == 0 {
				b.rare += a.rarity(min(f.free, spacing))
			}
			out = append(out, b)
		}
	}
	return out
}

// into reports whether cells of a size go into one of the inner axes with nothing left over.
func (f framed) into(size int) bool {
	for short, a := range f.inner {
		if 4*short <= size && a.length%size == 0 {
			return true
		}
	}
	return false
}

// around are both axes of a picture without the ground around what is drawn; ok tells that there is some.
func around(x, y *axis, ground int64) (h, v framed, ok bool) {
	left, right, top, bottom, colour, ok := freeLines(x, y)
	if ok {
		h, v = framedBy(x, left, right, drawnOf(colour, ground, top+bottom)), framedBy(y, top, bottom, drawnOf(colour, ground, left+right))
	}
	return h, v, ok
}

// placed is a cut of what is drawn as one of the whole picture; ok tells that the cells are drawn on up to their sides: of figures nobody knows
// where their cells begin.
func placed(g Guess, h, v framed) (Guess, bool) {
	c := &g.Cut
	columns, rows := c.Tiles(h.whole().length, v.whole().length)
	if h.whole().slack(c.CellWidth, 0, c.Spacing, columns) || v.whole().slack(c.CellHeight, 0, c.Spacing, rows) {
		return g, false
	}
	c.Margin = min(h.before, h.behind(c.CellWidth, c.Spacing, columns), v.before, v.behind(c.CellHeight, c.Spacing, rows))
	c.Left, c.Top = h.before-c.Margin, v.before-c.Margin
	return g, true
}

// tightAmid are the cells that repeat and fill all that is drawn, however much ground is around it.
func tightAmid(x, y *axis, ground int64) (out []Guess) {
	h, v, ok := around(x, y, ground)
	if !ok {
		return nil
	}
	for _, g := range repeating(&h.inner[0], &v.inner[0]) {
		if g.Cut.Margin+g.Cut.Spacing > 0 || !h.into(g.Cut.CellWidth) || !v.into(g.Cut.CellHeight) {
			continue
		}
		if g, ok := placed(g, h, v); ok {
			g.score = g.score * 9 / 10
			out = append(out, g)
		}
	}
	return out
}

// amid are the cells with gutters that fill all that is drawn, however much ground is around it.
func amid(x, y *axis, ground int64) (out []Guess) {
	h, v, ok := around(x, y, ground)
	if !ok {
		return nil
	}
	across, down := h.whole(), v.whole()
	for spacing := 1; spacing <= maxGutter; spacing++ {
		for _, g := range combined(across, down, document.Cut{Spacing: spacing}, h.exactly(spacing), v.exactly(spacing)) {
			columns, rows := g.Cut.Tiles(across.length, down.length)
			if g.Cut.CellWidth != g.Cut.CellHeight && min(columns, rows) < 3 {
				continue // a few of any size go into something
			}
			if g, ok := placed(g, h, v); ok {
				out = append(out, g)
			}
		}
	}
	return out
}
