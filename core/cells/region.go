package cells

import "azzel/core/grid"

// Region is the cells of the plane, inside bounds, of which f is true; see Mark.
func (p Plane) Region(bounds grid.Rect, f func(Cell) bool) *grid.Region {
	out := &grid.Region{}
	p.Mark(out, bounds, f)
	return out
}

// Mark adds to a set the cells of the plane, inside bounds, of which f is true; f has to say the same of the same value, and is not always
// asked again.
func (p Plane) Mark(out *grid.Region, bounds grid.Rect, f func(Cell) bool) {
	if bounds.Empty() {
		return
	}
	s := sayings{ask: f}
	s.known[0] = 1 << 33 // 0 would be known to be none elsewhere than in its own place
	for cy := grid.FloorDiv(bounds.Y, side); cy <= grid.FloorDiv(bounds.Y+bounds.H-1, side); cy++ {
		for cx := grid.FloorDiv(bounds.X, side); cx <= grid.FloorDiv(bounds.X+bounds.W-1, side); cx++ {
			var m grid.Mask
			chunk := p.Chunk(cx, cy)
			if v, ok := chunk.Uniform(); !ok {
				s.mask(&m, chunk.cells)
			} else if f(v) {
				m = grid.FullMask
			} else {
				continue
			}
			m.Clip(cx, cy, bounds)
			out.At(cx, cy).Add(&m)
		}
	}
}

// sayings are what was said of some values, as a map has few: twice the value, and one more for yes, by the last bits of it.
type sayings struct {
	ask   func(Cell) bool
	known [64]uint64
}

func place(v Cell) Cell { return (v ^ v>>6) % 64 }

// say is 1 for yes.
func (s *sayings) say(v Cell) uint32 {
	known := &s.known[place(v)]
	if *known>>1 != uint64(v) {
		*known = uint64(v) << 1
		if s.ask(v) {
			*known |= 1
		}
	}
	return uint32(*known & 1)
}

// mask marks the cells of which yes is said. Four are done at a time, since going round costs the module as much as a cell.
func (s *sayings) mask(m *grid.Mask, cells *[chunkArea]Cell) {
	for y := range m {
		row := (*[side]Cell)(cells[y*side:])
		marked := uint32(0)
		for x := 0; x < side; x += 4 {
			four := (*[4]Cell)(row[x:])
			a, b, c, d := four[0], four[1], four[2], four[3]
			i, j, k, l := s.known[place(a)], s.known[place(b)], s.known[place(c)], s.known[place(d)]
			marked >>= 4
			if (i>>1^uint64(a))|(j>>1^uint64(b))|(k>>1^uint64(c))|(l>>1^uint64(d)) == 0 {
				marked |= uint32(i&1|j&1<<1|k&1<<2|l&1<<3) << 28
			} else {
				marked |= (s.say(a) | s.say(b)<<1 | s.say(c)<<2 | s.say(d)<<3) << 28
			}
		}
		m[y] = marked
	}
}
