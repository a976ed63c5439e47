package cut

import (
	"azzel/core/document"
	"math/bits"
	"slices"
)

// maxGutter is the widest margin and spacing that are looked for, in pixels.
const maxGutter = 8

// between is how an axis is cut with gutters: how rare it is that all lines between the cells are flat in one colour, and how many of the
// lines inside them are as well; exact where nothing is left over, within where the picture ends within a cell.
type between struct {
	size, rare, stray int
	exact, within     bool
}

// cuts are the sizes for which every line between cells is flat in one colour, as are so many lines before them and behind.
func (a *axis) cuts(before, behind, spacing int) (out []between) {
	room := a.length - before - behind
	for size := smallest; size <= largest && size <= room; size++ {
		n := (room + spacing) / (size + spacing)
		over := room + spacing - n*(size+spacing)
		if over >= size {
			continue
		}
		if b, ok := a.cells(size, before, behind, spacing, n); ok {
			b.exact = over == 0 && !b.within
			out = append(out, b)
		}
	}
	return out
}

// exactly are the cuts that leave nothing over.
func (a *axis) exactly(before, behind, spacing int) (out []between) {
	for _, b := range a.cuts(before, behind, spacing) {
		if b.exact {
			out = append(out, b)
		}
	}
	return out
}

// guttered finds the margins and spacings for which every line between cells
// is one flat colour, the same for all.
func guttered(x, y *axis) (out []Guess) {
	for margin := 0; margin <= maxGutter; margin++ {
		for spacing := 0; spacing <= maxGutter; spacing++ {
			if margin == 0 && spacing == 0 {
				continue
			}
			c := document.Cut{Margin: margin, Spacing: spacing}
			out = append(out, combined(x, y, c, x.cuts(margin, margin, spacing), y.cuts(margin, margin, spacing))...)
		}
	}
	return out
}

// combined are the guesses from how both axes are cut with the same gutters: all that are square, and the best one that is not.
func combined(x, y *axis, c document.Cut, across, down []between) (out []Guess) {
	// several square cells with what is between them are no oblong one
	several := func(w, h int) bool {
		return slices.ContainsFunc(across, func(s between) bool {
			whole := (w+c.Spacing)%(s.size+c.Spacing) == 0 && (h+c.Spacing)%(s.size+c.Spacing) == 0
			return whole && slices.ContainsFunc(down, func(o between) bool { return o.size == s.size })
		})
	}
	var best Guess
	for _, a := range across {
		for _, b := range down {
			g, ok := a.with(b, c, x, y)
			switch {
			case !ok:
			case a.size == b.size:
				out = append(out, g)
			case c.Spacing > 0 && g.score > best.score && !several(a.size, b.size):
				best = g
			}
		}
	}
	if best.score > 0 {
		best.Why, best.score = "flat lines between cells, not square", best.score*9/10
		out = append(out, best)
	}
	return out
}

// with is a guess from how both axes are cut; ok tells that it is no chance.
func (a between) with(b between, c document.Cut, x, y *axis) (g Guess, ok bool) {
	c.CellWidth, c.CellHeight = a.size, b.size
	columns, rows := c.Tiles(x.length, y.length)
	if columns*rows < 2 {
		return g, false
	}
	// that so many lines are flat by chance becomes rarer with each
	sure := a.rare + b.rare - 25*16
	if sure <= 0 {
		return g, false
	}
	// flat lines inside the cells speak for smaller ones
	score := sure*2 + 10*(c.Margin+c.Spacing) + min(a.size, b.size) - min(sure, 20*(a.stray+b.stray))
	if a.exact && b.exact {
		score *= 2
	}
	return Guess{Cut: c, Why: "flat lines between cells", score: score, within: a.within || b.within}, true
}

// rarity is how rare it is, in sixteenths of bits, that n lines are flat where they are wanted.
func (a *axis) rarity(n int) int {
	if a.flats == 0 {
		return 0
	}
	ratio := uint(a.length) * 65536 / uint(a.flats)
	whole := bits.Len(ratio) - 1
	part := int(ratio>>(max(whole, 4)-4)) & 15
	return n * ((whole-16)*16 + part)
}

// cells is a cut with n cells, whether exactly or not; ok tells that the lines between them and around them are flat in one
// colour. Where the picture ends within a cell that is not counted, there is no margin behind it.
func (a *axis) cells(size, before, behind, spacing, n int) (b between, ok bool) {
	colour := int64(-2)
	same := func(from, to int) bool {
		for i := from; i < to; i++ {
			if a.flat[i] < 0 || colour >= 0 && a.flat[i] != colour {
				return false
			}
			colour = a.flat[i]
		}
		return true
	}
	if !same(0, before) {
		return b, false
	}
	b.size = size
	lines := before + behind + spacing*(n-1)
	if !same(a.length-behind, a.length) {
		next := before + n*(size+spacing)
		if spacing == 0 || next >= a.length || next+size < a.length || a.flat[next] == colour || !same(next-spacing, next) {
			return b, false
		}
		b.within, lines = true, before+spacing*n
	}
	b.rare = a.rarity(lines)
	inside := 0 // lines of cells that are flat in the gutter's colour too
	for k := range n {
		start := before + k*(size+spacing)
		end := start + size
		if k < n-1 && !same(end, end+spacing) {
			return b, false
		}
		for i := start; i < end; i++ {
			if colour >= 0 && a.flat[i] == colour {
				b.stray++
			}
		}
		if colour >= 0 && (a.flat[start] == colour || a.flat[end-1] == colour) {
			inside++
		}
	}
	return b, inside < n
}

// extruded is a guess of cells whose outermost pixels are repeated around them, where they
// are; else the guess itself.
func extruded(x, y *axis, g Guess) Guess {
	by := min(x.repeated(g.Cut.CellWidth), y.repeated(g.Cut.CellHeight))
	if by == 0 {
		return g
	}
	c := &g.Cut
	c.CellWidth, c.CellHeight, c.Margin, c.Spacing = c.CellWidth-2*by, c.CellHeight-2*by, by, 2*by
	g.Why, g.score = "edges are repeated around each cell", g.score*3/2
	return g
}

// repeated is how many lines are the same as their neighbours on both sides of where cells
// of a size meet, at most half of the widest gutter. It is 0 where lines are the same
// anyhow: on plain cells, and on pictures that were made larger.
func (a *axis) repeated(size int) int {
	same := 0
	for i := 1; i < a.used; i++ {
		if a.edge[i] == 0 {
			same++
		}
	}
	by := 0
	for next := 1; next <= maxGutter/2 && 4*next <= size; next++ {
		for start := 0; start+size <= a.length; start += size {
			if a.edge[start+next] != 0 || a.edge[start+size-next] != 0 {
				next = size // no more
				break
			}
		}
		if next < size {
			by = next
		}
	}
	if meet := a.used / size; same > 2*by*meet+a.used/8 {
		return 0
	}
	return by
}
