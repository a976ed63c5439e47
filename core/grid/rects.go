package grid

import "slices"

// Rects covers the set with rectangles that do not overlap: runs of rows, across chunks, that go on below as far as they are as wide.
func (r *Region) Rects() []Rect {
	var out []Rect
	var open []int // the rectangles that the row above ends in, by their left side
	chunks := r.Chunks()
	for len(chunks) > 0 {
		n := 1
		for n < len(chunks) && chunks[n].CY == chunks[0].CY {
			n++
		}
		for y := range ChunkSize {
			row := chunks[0].CY*ChunkSize + y
			var now []int
			for _, s := range rowOf(chunks[:n], y) {
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
			open = now
		}
		chunks = chunks[n:]
	}
	return out
}

// rowOf are the runs of a row of chunks that lie side by side.
func rowOf(chunks []ChunkMask, y int) (out []Span) {
	for _, c := range chunks {
		left := c.CX * ChunkSize
		for x := 0; x < ChunkSize; x++ {
			if c.Rows[y]>>uint(x)&1 == 0 {
				continue
			}
			from := x
			for x < ChunkSize && c.Rows[y]>>uint(x)&1 != 0 {
				x++
			}
			if n := len(out); n > 0 && out[n-1].X1 == left+from {
				out[n-1].X1 = left + x
			} else {
				out = append(out, Span{X0: left + from, X1: left + x})
			}
		}
	}
	return out
}
