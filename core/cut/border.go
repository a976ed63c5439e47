package cut

import "slices"

// bordered are the cells that repeat within a flat border that goes round the whole picture.
func bordered(x, y *axis, ground int64) []Guess {
	by := 0
	for by < maxGutter && 2*by+2*smallest < min(x.length, y.length) {
		colour := x.flat[by]
		if colour < 0 || x.flat[0] != colour || x.flat[x.length-1-by] != colour || y.flat[by] != colour || y.flat[y.length-1-by] != colour {
			break
		}
		by++
	}
	if by == 0 {
		return nil
	}
	across, down := x.inside(by, by, drawnOf(x.flat[0], ground, 2*by)), y.inside(by, by, drawnOf(x.flat[0], ground, 2*by))
	out := repeating(&across, &down)
	for i := range out {
		// figures that come nowhere to the sides of their cells leave a border free as well
		out[i].Cut.Margin += by
		out[i].score = out[i].score * 9 / 10
	}
	return out
}

// drawnOf is how much of each line so many lines of a border across it are drawn.
func drawnOf(colour, ground int64, lines int) int {
	if colour == 0 || colour == ground {
		return 0
	}
	return lines
}

// inside is an axis without some lines before and behind, which are flat: of each line so many pixels drawn are border.
func (a *axis) inside(before, behind, drawn int) axis {
	last := a.length - behind
	out := axis{length: last - before, used: 1, flat: a.flat[before:last], edge: slices.Clone(a.edge[before:last]), sums: make([]int, last-before+1), full: make([]int, last-before)}
	out.edge[0] = 0
	for i := range out.length {
		if out.full[i] = a.full[before+i] - drawn; out.full[i] > 0 {
			out.used = i + 1
		}
		if out.flat[i] >= 0 {
			out.flats++
		}
		out.sums[i+1] = out.sums[i] + out.edge[i]
	}
	return out
}
