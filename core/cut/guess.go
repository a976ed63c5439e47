// Package cut guesses how a tileset's picture is cut into cells: gutters that
// repeat, else edges or figures that repeat.
package cut

import (
	"azzel/core/document"
	"slices"
	"sort"
)

// Picture is the pixels to look at: 4 bytes each (red, green, blue, alpha), row by row.
type Picture struct {
	Width, Height int
	Pix           []byte
}

// Guess is a cut with why it was chosen.
type Guess struct {
	Cut document.Cut `json:"cut"`
	Why string       `json:"why"`
	// Sure says that nothing else comes near it.
	Sure bool `json:"sure"`
	// Over is how much of the picture no tile covers, in percent.
	Over  int `json:"over"`
	score int
	// within says that the picture ends within a cell, gutters having been found up to it.
	within bool
}

// smallest and largest are the cell sizes between which all are tried, in pixels.
const smallest, largest = 6, 256

// most is how many guesses are given.
const most = 4

// usual is how large a tile is taken to be where nothing tells, in pixels.
const usual = 16

// mostOver is how much of a picture cells without gutters that are not square may leave over for one to be sure of them, in percent.
const mostOver = 12

// telling is a score above which what repeats is no accident, in percent above even.
const telling = 130

// Guesses gives the likely cuts, the best first; never none, as long as the
// picture has a pixel.
func Guesses(p Picture) []Guess {
	all := asItIs(p)
	if all[0].Sure && all[0].Cut.Spacing > 0 {
		return all
	}
	clear, ok := cleared(p)
	if !ok {
		return all
	}
	if got := asItIs(clear)[0]; got.Sure && got.Cut.Spacing > 0 && got.score > all[0].score {
		return append([]Guess{got}, all[:min(len(all), most-1)]...)
	}
	return all
}

// asItIs are the guesses for a picture as it is, without what is written above its cells and below.
func asItIs(p Picture) []Guess {
	all := ofCells(p)
	if all[0].Sure && all[0].Over == 0 {
		return all
	}
	x, y := p.axes(groundOf(p))
	return untitled(p, &x, &y, all)
}

// axes are what the columns of a picture show, and its rows.
func (p Picture) axes(ground int64) (x, y axis) {
	return look(p.Width, p.Height, func(i, j int) int { return (j*p.Width + i) * 4 }, p.Pix, ground),
		look(p.Height, p.Width, func(i, j int) int { return (i*p.Width + j) * 4 }, p.Pix, ground)
}

// ofCells are the guesses for a picture that is nothing but its cells and what is between them.
func ofCells(p Picture) []Guess {
	ground := groundOf(p)
	x, y := p.axes(ground)
	all := append(repeating(&x, &y), bordered(&x, &y, ground)...)
	for _, g := range tightAmid(&x, &y, ground) {
		// what is drawn repeats wherever it begins
		for _, o := range all {
			if o.Cut == (document.Cut{CellWidth: g.Cut.CellWidth, CellHeight: g.Cut.CellHeight}) {
				g.score = max(g.score, o.score+1)
			}
		}
		all = append(all, g)
	}
	for _, g := range slices.Clone(all) {
		if round, ok := lessGutters(&x, &y, g); ok {
			all = append(all, round)
		}
	}
	repeated := len(all)
	for _, g := range append(guttered(&x, &y), amid(&x, &y, ground)...) {
		g.atLeast(all[:repeated])
		all = append(all, g)
		if round, ok := rounder(&x, &y, g); ok {
			all = append(all, round)
		}
	}
	for i := range all {
		c := all[i].Cut
		columns, rows := c.Tiles(p.Width, p.Height)
		all[i].Over = 100 - x.covered(c.First().X, c.CellWidth, c.Spacing, columns)*y.covered(c.First().Y, c.CellHeight, c.Spacing, rows)*100/(x.used*y.used)
		// what leaves much over is rarely meant
		all[i].score -= all[i].score * max(0, all[i].Over-10) / 60
		if all[i].within {
			all[i].atLeast(all[:repeated])
		}
	}
	sort.SliceStable(all, func(i, j int) bool { return all[i].score > all[j].score })
	all = offered(all)
	if len(all) > 0 && all[0].score >= telling/2 {
		if all[0].Sure = sure(all); all[0].Sure {
			return all
		}
		return withParts(all)
	}
	side := plain(p.Width, p.Height)
	return append([]Guess{{Cut: document.Cut{CellWidth: side, CellHeight: side}, Why: "nothing repeats"}}, all[:min(most-1, len(all))]...)
}

// atLeast makes a cut with gutters as good as what repeats: cells with their gutters do just as well.
func (g *Guess) atLeast(repeated []Guess) {
	for _, o := range repeated {
		if g.Cut.Spacing > 0 && o.Cut.CellWidth == g.Cut.CellWidth+g.Cut.Spacing && o.Cut.CellHeight == g.Cut.CellHeight+g.Cut.Spacing {
			g.score = max(g.score, o.score+1)
		}
	}
}

// sure says whether the first of the guesses leaves no doubt: nothing else comes near it, no
// part of it speaks for itself, and it is no patch of three by three.
func sure(all []Guess) bool {
	best := all[0]
	for _, g := range all[1:] {
		part := best.Cut.CellWidth%g.Cut.CellWidth == 0 && best.Cut.CellHeight%g.Cut.CellHeight == 0
		if best.score*2 < g.score*3 || part && best.score < g.score*4 {
			return false
		}
	}
	c := best.Cut
	if c.Spacing == 0 && c.CellWidth != c.CellHeight && best.Over > mostOver {
		return false
	}
	patch := c.Spacing == 0 && c.CellWidth%3 == 0 && c.CellHeight%3 == 0 && min(c.CellWidth, c.CellHeight) > 2*usual
	return best.score >= 2*telling && !patch
}

// plain is a size for a picture in which nothing repeats: a third of a square patch, else
// what goes into both sides.
func plain(w, h int) int {
	if w == h && w%3 == 0 && w >= 3*smallest {
		return w / 3
	}
	a, b := w, h
	for b > 0 {
		a, b = b, a%b
	}
	for a > usual && a%2 == 0 {
		a /= 2
	}
	if a < smallest || a > largest {
		return min(w, h, usual)
	}
	return a
}

// repeating is the cells whose edges repeat, or in which what is drawn does.
func repeating(x, y *axis) (all []Guess) {
	across, down := x.scores(y.length), y.scores(x.length)
	bestX, bestY := 0, 0
	for s := smallest; s <= largest; s++ {
		a, b := across[s], down[s]
		// a strip is as broad as its cells, and says nothing of them in that direction
		if y.length == s && x.length >= 2*s && slices.Max(down[:]) < telling {
			b = a + telling/2
		} else if x.length == s && y.length >= 2*s && slices.Max(across[:]) < telling {
			a = b + telling/2
		}
		if a+b > 0 {
			all = append(all, extruded(x, y, Guess{Cut: document.Cut{CellWidth: s, CellHeight: s}, Why: "what is drawn repeats", score: a + b}))
		}
		if across[s] > across[bestX] {
			bestX = s
		}
		if down[s] > down[bestY] {
			bestY = s
		}
	}
	oblong := func(w, h, score int) {
		// where one goes into the other, it is more likely a part of square ones
		if w%h == 0 || h%w == 0 {
			score = score * 7 / 9
		}
		all = append(all, extruded(x, y, Guess{Cut: document.Cut{CellWidth: w, CellHeight: h}, Why: "what is drawn repeats, not square", score: score * 9 / 10}))
	}
	switch {
	case bestX > 0 && bestY > 0 && bestX != bestY:
		oblong(bestX, bestY, across[bestX]+down[bestY])
	case bestX > 0 && x.length >= 2*y.length && y.length <= largest && bestX != y.length:
		oblong(bestX, y.length, across[bestX]+telling/2)
	case bestY > 0 && y.length >= 2*x.length && x.length <= largest && bestY != x.length:
		oblong(x.length, bestY, down[bestY]+telling/2)
	}
	return all
}

// offered is the best guesses, each once.
func offered(all []Guess) []Guess {
	out := []Guess{}
	for _, g := range all {
		if g.score <= 0 || len(out) == most {
			break
		}
		if !slices.ContainsFunc(out, func(o Guess) bool { return o.Cut == g.Cut }) {
			out = append(out, g)
		}
	}
	return out
}

// withParts puts parts of the best guess among the others: what is drawn in patches of
// several cells repeats only with the patches.
func withParts(out []Guess) []Guess {
	best, parts := out[0], []Guess{}
	for i, why := range []string{"half of what repeats", "a third of what repeats"} {
		c, n := best.Cut, i+2
		if c.Spacing > 0 || c.CellWidth%n > 0 || c.CellHeight%n > 0 || min(c.CellWidth, c.CellHeight)/n < smallest || max(c.CellWidth, c.CellHeight) <= usual {
			continue
		}
		c.CellWidth, c.CellHeight = c.CellWidth/n, c.CellHeight/n
		if !slices.ContainsFunc(out, func(o Guess) bool { return o.Cut == c }) {
			parts = append(parts, Guess{Cut: c, Why: why, Over: best.Over})
		}
	}
	return append(out[:min(len(out), most-len(parts))], parts...)
}
