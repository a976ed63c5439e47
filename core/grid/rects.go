package grid

import "math/bits"

// Rects covers the set with rectangles that do not overlap: from the top, runs of rows, across chunks, that go on below as far as they
// are as wide. They come by their upper rows, then by their left sides.
func (r *Region) Rects() []Rect {
	out := []Rect{}
	var open, now []int // the rectangles that the row above ends in, from the left, and those of this one
	var runs []Span
	below := 0 // the row below those that are done
	for chunks := r.Chunks(); len(chunks) > 0; {
		n := 1
		for n < len(chunks) && chunks[n].CY == chunks[0].CY {
			n++
		}
		top := chunks[0].CY * ChunkSize
		if top != below {
			open = open[:0]
		}
		below = top + ChunkSize
		for y := range ChunkSize {
			now, runs = now[:0], rowOf(runs[:0], chunks[:n], y)
			k := 0
			for _, s := range runs {
				for k < len(open) && out[open[k]].X < s.X0 {
					k++
				}
				if k < len(open) && out[open[k]].X == s.X0 && out[open[k]].W == s.X1-s.X0 {
					out[open[k]].H++
					now = append(now, open[k])
					continue
				}
				now = append(now, len(out))
				out = append(out, Rect{s.X0, top + y, s.X1 - s.X0, 1})
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
