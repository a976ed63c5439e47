package cut

import (
	"azzel/core/author"
	"azzel/core/document"
	"hash/fnv"
)

// Match matches the tiles of a picture to those of another cut, or another
// picture: to a tile that shows the same pixels, at the same place before any
// other; else to the one that covers the same place. −1 where there is none;
// a tile that is clear all over has no match but at its place.
func Match(old Picture, oldCut document.Cut, next Picture, nextCut document.Cut) []int {
	out := author.MatchByPlace(oldCut, old.Width, old.Height, nextCut, next.Width, next.Height)
	if oldCut.CellWidth != nextCut.CellWidth || oldCut.CellHeight != nextCut.CellHeight {
		return out // no tile can show the same pixels
	}
	columns, _ := oldCut.Tiles(old.Width, old.Height)
	others, rows := nextCut.Tiles(next.Width, next.Height)
	first := map[uint64]int{}
	sums := make([]uint64, others*rows)
	for i := range sums {
		sum, clear := sumOf(next, nextCut, i, others)
		sums[i] = sum
		if _, ok := first[sum]; !ok && !clear {
			first[sum] = i
		}
	}
	found := map[int]bool{} // new tiles that show what an old one did
	exact := make([]bool, len(out))
	for i := range out {
		sum, clear := sumOf(old, oldCut, i, columns)
		if clear {
			continue
		}
		if same, ok := first[sum]; ok {
			if out[i] < 0 || sums[out[i]] != sum {
				out[i] = same
			}
			exact[i] = true
			found[out[i]] = true
		}
	}
	for i := range out {
		// at its place lies what another tile showed: this one is gone
		if !exact[i] && found[out[i]] {
			out[i] = -1
		}
	}
	return out
}

// sumOf is a hash of a tile's pixels; clear pixels count as the same whatever
// their colour.
func sumOf(p Picture, c document.Cut, tile, columns int) (sum uint64, clear bool) {
	h := fnv.New64a()
	r := c.Tile(tile, columns)
	clear = true
	for y := r.Y; y < r.Y+r.H; y++ {
		for x := r.X; x < r.X+r.W; x++ {
			px := p.Pix[(y*p.Width+x)*4 : (y*p.Width+x)*4+4]
			if px[3] == 0 {
				px = []byte{0, 0, 0, 0}
			} else {
				clear = false
			}
			_, _ = h.Write(px) // a hash takes everything
		}
	}
	return h.Sum64(), clear
}

// Partners finds for tiles the tile that shows them flipped left–right: pairs
// of tile and partner. A tile that is its own mirror image has none.
func Partners(p Picture, c document.Cut) [][2]int {
	columns, rows := c.Tiles(p.Width, p.Height)
	flipped := Picture{p.Width, p.Height, make([]byte, len(p.Pix))}
	for i := range columns * rows {
		r := c.Tile(i, columns)
		for y := r.Y; y < r.Y+r.H; y++ {
			for x := range r.W {
				from, to := (y*p.Width+r.X+x)*4, (y*p.Width+r.X+r.W-1-x)*4
				copy(flipped.Pix[to:to+4], p.Pix[from:from+4])
			}
		}
	}
	first := map[uint64]int{}
	for i := range columns * rows {
		if sum, clear := sumOf(p, c, i, columns); !clear {
			if _, ok := first[sum]; !ok {
				first[sum] = i
			}
		}
	}
	var out [][2]int
	for i := range columns * rows {
		own, clear := sumOf(p, c, i, columns)
		sum, _ := sumOf(flipped, c, i, columns)
		if partner, ok := first[sum]; ok && !clear && sum != own && partner != i {
			out = append(out, [2]int{i, partner})
		}
	}
	return out
}
