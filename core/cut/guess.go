// Package cut guesses how a tileset's picture is cut into cells: gutters that
// repeat, else edges that repeat.
package cut

import (
	"azzel/core/document"
	"sort"
)

// Picture is the pixels to look at: 4 bytes each (red, green, blue, alpha), row by row.
type Picture struct {
	Width, Height int
	Pix           []byte
}

// Guess is a cut with why it was chosen.
type Guess struct {
	Cut   document.Cut `json:"cut"`
	Why   string       `json:"why"`
	score int
}

// sizes are the cell sizes that are tried, in pixels.
var sizes = []int{8, 10, 12, 14, 16, 18, 20, 24, 28, 30, 32, 36, 40, 48, 50, 56, 60, 64, 72, 80, 96, 100, 112, 120, 128, 160, 192, 256}

// maxGutter is the widest margin and spacing that are looked for, in pixels.
const maxGutter = 8

// most is how many guesses are given.
const most = 4

// axis is what one direction of the picture shows.
type axis struct {
	length int
	// flat is the one colour of a line of pixels across, or -1.
	flat []int64
	// edge is how much each line differs from the one before it; sums are running totals.
	edge []int
	sums []int
}

// Guesses gives the likely cuts, the best first; never none, as long as the
// picture has a pixel.
func Guesses(p Picture) []Guess {
	x := look(p.Width, p.Height, func(i, j int) int { return (j*p.Width + i) * 4 }, p.Pix)
	y := look(p.Height, p.Width, func(i, j int) int { return (i*p.Width + j) * 4 }, p.Pix)
	var all []Guess
	for _, s := range sizes {
		all = append(all, guttered(x, y, s)...)
	}
	bestX, bestY := 0, 0
	for _, s := range sizes {
		if score := x.score(s) + y.score(s); score > 0 {
			all = append(all, Guess{Cut: document.Cut{CellWidth: s, CellHeight: s}, Why: "edges repeat", score: score})
		}
		if x.score(s) > x.score(bestX) {
			bestX = s
		}
		if y.score(s) > y.score(bestY) {
			bestY = s
		}
	}
	if bestX != bestY && bestX > 0 && bestY > 0 {
		all = append(all, Guess{Cut: document.Cut{CellWidth: bestX, CellHeight: bestY}, Why: "edges repeat, not square",
			score: (x.score(bestX) + y.score(bestY)) * 9 / 10})
	}
	sort.SliceStable(all, func(i, j int) bool { return all[i].score > all[j].score })
	all = all[:min(most, len(all))]
	if len(all) == 0 {
		side := min(p.Width, p.Height, 16)
		all = []Guess{{Cut: document.Cut{CellWidth: side, CellHeight: side}, Why: "nothing repeats"}}
	}
	return all
}

func look(length, across int, at func(i, j int) int, pix []byte) axis {
	a := axis{length: length, flat: make([]int64, length), edge: make([]int, length), sums: make([]int, length+1)}
	for i := range length {
		a.flat[i] = colour(pix, at(i, 0))
		for j := range across {
			here := colour(pix, at(i, j))
			if here != a.flat[i] {
				a.flat[i] = -1
			}
			if i > 0 {
				a.edge[i] += differ(pix, at(i, j), at(i-1, j))
			}
		}
		a.sums[i+1] = a.sums[i] + a.edge[i]
	}
	return a
}

// colour is a pixel as one number; all transparent ones are the same.
func colour(pix []byte, i int) int64 {
	if pix[i+3] == 0 {
		return 0
	}
	return int64(pix[i])<<24 | int64(pix[i+1])<<16 | int64(pix[i+2])<<8 | int64(pix[i+3])
}

func differ(pix []byte, i, j int) int {
	if pix[i+3] == 0 && pix[j+3] == 0 {
		return 0
	}
	sum := 0
	for k := range 4 {
		d := int(pix[i+k]) - int(pix[j+k])
		sum += max(d, -d)
	}
	return sum
}

// score is how much stronger the edges are at multiples of a cell size than
// between them, in percent above even; cells that fit exactly count more.
func (a axis) score(size int) int {
	if size < 1 || a.length < 2*size {
		return 0
	}
	at, n := 0, 0
	for i := size; i < a.length; i += size {
		at += a.edge[i]
		n++
	}
	between := a.sums[a.length] - at
	others := a.length - 1 - n
	if others < 1 || at == 0 {
		return 0
	}
	score := (at*100/n)/(between/others+1) - 100
	if a.length%size == 0 {
		score = score * 3 / 2
	}
	return max(0, score)
}

// guttered finds the margins and spacings for which every line between cells
// is one flat colour, the same for all.
func guttered(x, y axis, size int) []Guess {
	var out []Guess
	for margin := 0; margin <= maxGutter; margin++ {
		for spacing := 0; spacing <= maxGutter; spacing++ {
			if margin == 0 && spacing == 0 {
				continue
			}
			c := document.Cut{CellWidth: size, CellHeight: size, Margin: margin, Spacing: spacing}
			columns, rows := c.Tiles(x.length, y.length)
			right, bottom := c.Unused(x.length, y.length)
			if columns*rows < 2 || right >= size || bottom >= size {
				continue
			}
			strayX, okX := gutters(x, size, margin, spacing, columns)
			strayY, okY := gutters(y, size, margin, spacing, rows)
			if !okX || !okY {
				continue
			}
			// flat lines inside the cells speak for smaller ones
			score := 3000 + 10*(margin+spacing) + size - min(2000, 100*(strayX+strayY))
			if right == 0 && bottom == 0 {
				score += 5000
			}
			out = append(out, Guess{Cut: c, Why: "flat lines between cells", score: score})
		}
	}
	return out
}

// gutters tells whether the lines between n cells are flat in one colour, and
// how many lines inside the cells are flat in that colour as well.
func gutters(a axis, size, margin, spacing, n int) (stray int, ok bool) {
	colour := int64(-2)
	same := func(i int) bool {
		if a.flat[i] < 0 || colour >= 0 && a.flat[i] != colour {
			return false
		}
		colour = a.flat[i]
		return true
	}
	for i := range margin {
		if !same(i) || !same(a.length-1-i) {
			return 0, false
		}
	}
	inside := 0 // lines of cells that are flat in the gutter's colour too
	for k := range n {
		start := margin + k*(size+spacing)
		for i := start + size; k < n-1 && i < start+size+spacing; i++ {
			if !same(i) {
				return 0, false
			}
		}
		for i := start; i < start+size; i++ {
			if colour >= 0 && a.flat[i] == colour {
				stray++
			}
		}
		if colour >= 0 && (a.flat[start] == colour || a.flat[start+size-1] == colour) {
			inside++
		}
	}
	return stray, inside < n
}
