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
	drawn := 0 // of the border, on each line
	if c := x.flat[0]; c != 0 && c != ground {
		drawn = 2 * by
	}
	across, down := x.inside(by, drawn), y.inside(by, drawn)
	out := repeating(&across, &down)
	for i := range out {
		// figures that come nowhere to the sides of their cells leave a border free as well
		out[i].Cut.Margin += by
		out[i].score = out[i].score * 9 / 10
	}
	return out
}

// inside is an axis without so many lines on both sides, of a picture whose border is flat: of each line so many pixels drawn are border.
func (a *axis) inside(by, drawn int) axis {
	last := a.length - by
	out := axis{length: last - by, used: 1, flat: a.flat[by:last], edge: slices.Clone(a.edge[by:last]), sums: make([]int, last-by+1), full: make([]int, last-by)}
	out.edge[0] = 0
	for i := range out.length {
		if out.full[i] = a.full[by+i] - drawn; out.full[i] > 0 {
			out.used = i + 1
		}
		if out.flat[i] >= 0 {
			out.flats++
		}
		out.sums[i+1] = out.sums[i] + out.edge[i]
	}
	return out
}
