package cut

import (
	"azzel/core/document"
	"slices"
)

// maxBands is how many blank bands of rows are looked at, of those above and of those below.
const maxBands = 3

// mostLookedAt is how many pixels are looked at again for titles, so that a large picture takes no more than twice as long as it would.
const mostLookedAt = 8 << 20

// span is rows of a picture, up to but not with the last one.
type span struct{ from, to int }

// untitled gives guesses for the part of a picture that is left without the title that stands above its cells and the caption below them, which
// blank rows keep apart, where that part leaves no doubt and all of the picture does; else all, the guesses for the whole.
func untitled(p Picture, x, y *axis, all []Guess) []Guess {
	best, part := all, span{0, p.Height}
	try := func(rows span) {
		// what is free beside the cells is free above them and below
		free := p.rows(rows).freeAtLeft()
		rows.from -= min(free, y.blank(rows.from-1, -1))
		rows.to += min(free, y.blank(rows.to, 1))
		got := ofCells(p.rows(rows))
		if got[0].Sure && got[0].score*2 > all[0].score*3 && got[0].score > best[0].score && crossed(x, got[0].Cut, rows) {
			best, part = got, rows
		}
	}
	tops, ends := append([]int{0}, y.below()...), append([]int{p.Height}, y.above()...)
	left := mostLookedAt / (p.Width * p.Height)
	for both := range 2 {
		for i, top := range tops {
			for k, end := range ends {
				if i+k > 0 && (both == 1) == (i > 0 && k > 0) && left > 0 {
					try(span{top, end})
					left--
				}
			}
		}
	}
	if part == (span{0, p.Height}) {
		return all
	}
	first := best[0]
	first.Cut.Top += part.from
	first.Why += ", apart from what is written"
	return append([]Guess{first}, all[:min(len(all), most-1)]...)
}

// crossed reports whether what lies outside of some rows is no row of cells: it lies across the gutters, or the cells without gutters are not
// where they would be from the beginning of the picture.
func crossed(x *axis, c document.Cut, s span) bool {
	if c.Spacing == 0 {
		return (s.from+c.First().Y)%c.CellHeight != 0
	}
	for at := c.First().X + c.CellWidth; at < x.length; at += c.CellWidth + c.Spacing {
		if slices.Contains(x.flat[at:min(at+c.Spacing, x.length)], -1) {
			return true
		}
	}
	return false
}

// rows is a part of a picture.
func (p Picture) rows(s span) Picture {
	return Picture{p.Width, s.to - s.from, p.Pix[s.from*p.Width*4 : s.to*p.Width*4]}
}

// freeAtLeft is how many columns are of one colour at the left, as wide as a margin can be.
func (p Picture) freeAtLeft() (n int) {
	first := colour(p.Pix, 0)
	for ; n < min(maxGutter, p.Width); n++ {
		for row := range p.Height {
			if colour(p.Pix, (row*p.Width+n)*4) != first {
				return n
			}
		}
	}
	return n
}

// blank is how many lines of one colour there are from one on, in a direction.
func (a *axis) blank(from, by int) (n int) {
	for i := from; i >= 0 && i < a.length && a.flat[i] >= 0 && a.flat[i] == a.flat[from]; i += by {
		n++
	}
	return n
}

// below are the lines with which something begins after blank ones, in the first third of an axis, those after the most of them first.
func (a *axis) below() (out []int) {
	drawn := false
	for i := 0; i <= a.length/3; i++ {
		if a.flat[i] >= 0 {
			continue
		}
		if drawn && a.flat[i-1] >= 0 {
			out = append(out, i)
		}
		drawn = true
	}
	slices.SortStableFunc(out, func(i, j int) int { return a.blank(j-1, -1) - a.blank(i-1, -1) })
	return out[:min(len(out), maxBands)]
}

// above are the lines with which something has ended before blank ones, in the last third of an axis, those before the most of them first.
func (a *axis) above() []int {
	back := axis{length: a.length, flat: slices.Clone(a.flat)}
	slices.Reverse(back.flat)
	out := back.below()
	for i := range out {
		out[i] = a.length - out[i]
	}
	return out
}
