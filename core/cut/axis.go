package cut

import "slices"

// axis is what one direction of the picture shows.
type axis struct {
	length int
	// used is how far anything is drawn.
	used int
	// flat is the one colour of a line of pixels across, or -1; flats is how many lines are flat.
	flat  []int64
	flats int
	// edge is how much each line differs from the one before it; sums are running totals.
	edge []int
	sums []int
	// full is how many pixels of each line are drawn, and not ground.
	full []int
}

// groundOf is the colour that stands for nothing on a picture without clear pixels: a
// quarter of it and two of its corners have it. -1 where there is none.
func groundOf(p Picture) int64 {
	last := p.Width - 1
	var corners [4]int64
	for i, at := range []int{0, last, (p.Height - 1) * p.Width, p.Height*p.Width - 1} {
		corners[i] = colour(p.Pix, at*4)
	}
	var counts [4]int
	for i := 0; i < len(p.Pix); i += 4 {
		if p.Pix[i+3] == 0 {
			return -1
		}
		here := colour(p.Pix, i)
		for k, c := range corners {
			if c == here {
				counts[k]++
			}
		}
	}
	for i, c := range corners {
		if slices.Contains(corners[i+1:], c) && counts[i]*4 >= p.Width*p.Height {
			return c
		}
	}
	return -1
}

// look reads one direction of a picture, whose pixel i along it and j across is at an index.
func look(length, across int, at func(i, j int) int, pix []byte, ground int64) axis {
	a := axis{length: length, used: 1, flat: make([]int64, length), edge: make([]int, length), sums: make([]int, length+1), full: make([]int, length)}
	for i := range length {
		a.flat[i] = colour(pix, at(i, 0))
		for j := range across {
			here := colour(pix, at(i, j))
			if here != 0 && here != ground {
				a.full[i]++
				a.used = i + 1
			}
			if here != a.flat[i] {
				a.flat[i] = -1
			}
			if i > 0 {
				a.edge[i] += differ(pix, at(i, j), at(i-1, j))
			}
		}
		if a.flat[i] >= 0 {
			a.flats++
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

// scores is what speaks for each cell size along a direction: its edges, or that what
// is drawn repeats. Where cells have edges, a size whose edges are about as strong as those
// of a multiple of it is preferred: all multiples have them as well.
func (a *axis) scores(across int) (out [largest + 1]int) {
	for s := smallest; s <= largest; s++ {
		out[s] = a.score(s)
	}
	for s := largest; s >= smallest; s-- {
		for by := 2; by*s <= largest; by++ {
			if best := out[by*s]; out[s] < best && out[s]*10 >= best*8 {
				out[s] = best + 1
			}
		}
	}
	for s := smallest; s <= largest; s++ {
		out[s] = max(out[s], a.repeats(s, across))
	}
	return out
}

// score is how much stronger the edges are at multiples of a cell size than between
// them, in percent above even. It goes by the middle one of them, so that the one strong
// edge where the art ends does not speak for a size; more edges, and cells that fit
// exactly, count more.
func (a *axis) score(size int) int {
	if a.used < 2*size {
		return 0
	}
	var at []int
	sum := 0
	for i := size; i < a.used; i += size {
		at = append(at, a.edge[i])
		sum += a.edge[i]
	}
	n := len(at)
	others := a.used - 1 - n
	if others < 1 || sum == 0 {
		return 0
	}
	slices.Sort(at)
	between := (a.sums[a.used] - sum) / others
	return a.fits(size, (at[(n-1)/2]*100/(between+1)-100)*n/(n+1))
}

// covered is how much of what is drawn lies within n cells.
func (a *axis) covered(margin, size, spacing, n int) int {
	return max(0, min(a.used, margin+n*(size+spacing)-spacing))
}

// fits makes cells that fit exactly count more.
func (a *axis) fits(size, score int) int {
	if a.length%size == 0 {
		score = score * 3 / 2
	}
	return max(0, score)
}

// repeats is how much better what is drawn repeats after a cell size than after sizes a
// little beside it, in the measure of score: figures on clear ground have no edges where
// their cells meet, but stand in each alike. 0 where nothing is clear.
func (a *axis) repeats(size, across int) int {
	n := (a.used+size/4)/size - 1 // a last cell may be drawn in part
	if n < 1 || !slices.ContainsFunc(a.full[:a.used], func(full int) bool { return full < across }) {
		return 0
	}
	unlike := func(by int) (sum int) { // by a line, in thousandths
		for i := range a.used - by {
			d := a.full[i] - a.full[i+by]
			sum += max(d, -d)
		}
		return sum * 1000 / (a.used - by)
	}
	beside, count := 0, 0
	for by := max(1, size-3); by <= min(size+3, a.used-1); by++ {
		if by != size {
			beside += unlike(by)
			count++
		}
	}
	if beside == 0 {
		return 0
	}
	return a.fits(size, max(0, 1000-unlike(size)*1000*count/beside)*n/(n+1))
}
