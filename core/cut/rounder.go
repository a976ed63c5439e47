package cut

import "azzel/core/document"

// roundness is how likely somebody draws cells of a size, from what it can be divided by.
func roundness(size int) int {
	for i, by := range []int{16, 8, 4, 2} {
		if size%by == 0 {
			return 4 - i
		}
	}
	return 0
}

// rounder is the cut into rounder cells that what is drawn speaks for just as well: figures rarely come to the sides of their cells, so that
// what seems to be between the cells is in part within them. Not ok where there is none, or where cells are filled to their sides.
func rounder(x, y *axis, g Guess) (Guess, bool) {
	c := g.Cut
	columns, rows := c.Tiles(x.length, y.length)
	if c.Spacing == 0 || c.Left+c.Top > 0 || !x.slack(c.CellWidth, c.Margin, c.Spacing, columns) || !y.slack(c.CellHeight, c.Margin, c.Spacing, rows) {
		return g, false
	}
	best, out := min(roundness(c.CellWidth), roundness(c.CellHeight)), g
	for more := 1; more <= c.Spacing; more++ {
		is := min(roundness(c.CellWidth+more), roundness(c.CellHeight+more))
		if is <= best {
			continue
		}
		best = is
		o := &out.Cut
		o.CellWidth, o.CellHeight, o.Spacing = c.CellWidth+more, c.CellHeight+more, c.Spacing-more
		o.Margin = margin(o, max(0, c.Margin-more), c.Margin, x.length, y.length)
	}
	if out.Cut == c {
		return g, false
	}
	out.score++
	if out.Cut.Spacing+out.Cut.Margin == 0 {
		out.Why = "what is drawn repeats"
	}
	return out, true
}

// lessGutters are rounder cells within those that repeat, where the lines at the sides of all of them are flat: these may lie between cells as
// well. Not ok where there are none.
func lessGutters(x, y *axis, g Guess) (Guess, bool) {
	c := g.Cut
	if c.Margin+c.Spacing+c.Left+c.Top > 0 {
		return g, false
	}
	left, right := x.sides(c.CellWidth)
	top, bottom := y.sides(c.CellHeight)
	was := min(roundness(c.CellWidth), roundness(c.CellHeight))
	best, out := was, g
	for less := 1; less <= min(left+right, top+bottom, maxGutter); less++ {
		w, h := c.CellWidth-less, c.CellHeight-less
		least, most := max(0, less-right, less-bottom), min(left, top, maxGutter)
		if is := min(roundness(w), roundness(h)); is <= best || least > most || min(w, h) < smallest {
			continue
		}
		best = min(roundness(w), roundness(h))
		out.Cut = document.Cut{CellWidth: w, CellHeight: h, Spacing: less}
		out.Cut.Margin = margin(&out.Cut, least, most, x.length, y.length)
	}
	if out.Cut == c {
		return g, false
	}
	out.Why = "flat lines between cells"
	// an odd size is hardly meant, and what leaves nothing over rather is
	fits := func(c document.Cut) bool {
		right, bottom := c.Unused(x.length, y.length)
		return right+bottom == 0
	}
	if out.score = g.score * 19 / 20; was == 0 || fits(out.Cut) && !fits(c) {
		out.score = g.score + 1
	}
	return out, true
}

// sides is how many lines are flat, in one colour, at the beginnings and at the ends of all cells of a size.
func (a *axis) sides(size int) (begin, end int) {
	flat := func(o int) bool {
		for i := o; i < a.used; i += size {
			if a.flat[i] < 0 || a.flat[i] != a.flat[o] {
				return false
			}
		}
		return o < a.length
	}
	for begin < size && flat(begin) {
		begin++
	}
	for end < size-begin && flat(size-1-end) {
		end++
	}
	return begin, end
}

// margin is which of the margins between two, with which a cut holds all that was found, is likely meant: one that leaves nothing over, as much as lies
// between cells, or none.
func margin(c *document.Cut, least, most, w, h int) int {
	for c.Margin = least; c.Margin <= most; c.Margin++ {
		if right, bottom := c.Unused(w, h); right == 0 && bottom == 0 {
			return c.Margin
		}
	}
	if c.Spacing >= least && c.Spacing <= most {
		return c.Spacing
	}
	return least
}

// slack reports whether the outermost lines of n cells are hardly drawn on, against how much a line of what is drawn has in the middle.
func (a *axis) slack(size, margin, spacing, n int) bool {
	outer, inner := 0, 0
	for k := range n {
		start := margin + k*(size+spacing)
		outer += a.full[start] + a.full[start+size-1]
		inner += 2 * a.full[start+size/2]
	}
	return outer*2 < inner
}
