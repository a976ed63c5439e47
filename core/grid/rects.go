package grid

import (
	"math/bits"
	"slices"
)

// Rects covers the set with rectangles that do not overlap: runs of rows, across chunks, that go on below as far as they are as wide.
func (r *Region) Rects() []Rect {
	var out []Rect
	var open, now []int // the rectangles that the row above ends in, by their left side, and those of this one
	var runs []Span
	chunks := r.Chunks()
	for len(chunks) > 0 {
		n := 1
		for n < len(chunks) && chunks[n].CY == chunks[0].CY {
			n++
		}
		for y := range ChunkSize {
			row := chunks[0].CY*ChunkSize + y
			now, runs = now[:0], rowOf(runs[:0], chunks[:n], y)
			for _, s := range runs {
				k := slices.IndexFunc(open, func(i int) bool {
					return out[i].X == s.X0 && out[i].W == s.X1-s.X0 && out[i].Y+out[i].H == row
				})
				if k >= 0 {
					out[open[k]].H++
					now = append(now, open[k])
					continue
				}
				now = append(now, len(out))
				out = append(out, Rect{s.X0, row, s.X1 - s.X0, 1})
			}
			open, now = now, open
		}
		chunks = chunks[n:]
	}
	return out
}

// rowOf are the runs of a row of chunks that lie side by side, put behind what there is of a list.
func rowOf(out []Span, chunks []ChunkMask, y int) []Span {
	for _, c := range chunks {
		left := c.CX * ChunkSize
		for row := c.Rows[y]; row != 0; {
			from := bits.TrailingZeros32(row)
			to := from + bits.TrailingZeros32(^(row >> from))
			row &= ^(1<<to - 1)
			if n := len(out); n > 0 && out[n-1].X1 == left+from {
				out[n-1].X1 = left + to
			} else {
				out = append(out, Span{X0: left + from, X1: left + to})
			}
		}
	}
	return out
}
