package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/material"
	"encoding/binary"
)

// chunkCells is how many cells a chunk has.
const chunkCells = grid.ChunkSize * grid.ChunkSize

// Chunk copies what the 1,024 cells of a layer's chunk show, 4 bytes each,
// lowest first, into out; false when all are empty. Materials are fitted; what
// is put together of quarters is told as fitting says.
func (s *Session) Chunk(m, layer document.ID, cx, cy int, out *[4 * chunkCells]byte) bool {
	var all [4 + 4*chunkCells]byte
	switch n := s.Chunks(m, []document.ID{layer}, []ChunkPlace{{cx, cy}}, 1, all[:]); n {
	case len(all):
		copy(out[:], all[4:])
		return true
	case 8: // all alike
		for i := range chunkCells {
			copy(out[4*i:], all[4:8])
		}
		return true
	}
	return false
}

// ChunkPlace is a chunk's column and row, in chunks.
type ChunkPlace struct{ CX, CY int }

// Chunks tells what chunks of layers show, place by place and of each the layers in their order, as words of 4 bytes, lowest first: how many
// cells follow (0 of an empty chunk, 1 of one whose cells are all alike, else 1,024), and those, as Chunk tells them. With a step (2 to 32, a
// power of two) only the middle cell of every step×step is told. It gives how many bytes it wrote; out has to have room for a word and all
// cells of each.
func (s *Session) Chunks(m document.ID, layers []document.ID, at []ChunkPlace, step int, out []byte) (n int) {
	tell := func(v uint32) {
		binary.LittleEndian.PutUint32(out[n:], v)
		n += 4
	}
	where := s.doc().Maps.Get(m)
	of := make([]*document.Layer, len(layers))
	for i, id := range layers {
		if where != nil {
			of[i] = where.Layers.Get(id)
		}
	}
	var shown [chunkCells]material.Shown
	var plain [chunkCells]cells.Cell
	for _, p := range at {
		for _, l := range of {
			if l == nil {
				tell(0)
				continue
			}
			chunk := l.Cells.Chunk(p.CX, p.CY)
			if step > 1 {
				s.sampled(chunk, l, where.Bounds, p, step, tell)
				continue
			}
			fitted := chunk != nil && l.Kind == document.LayerTiles && s.fitter().Chunk(l.Cells, where.Bounds, p.CX, p.CY, &shown)
			if v, ok := chunk.Uniform(); ok && !fitted {
				if v == 0 {
					tell(0)
					continue
				}
				tell(1)
				tell(uint32(v))
				continue
			}
			tell(chunkCells)
			chunk.Copy(&plain)
			for i, c := range plain {
				if fitted {
					c = s.fits.code(c, shown[i])
				}
				tell(uint32(c))
			}
		}
	}
	return n
}

// sampled tells of a chunk the middle cell of every step×step.
func (s *Session) sampled(chunk *cells.Chunk, l *document.Layer, bounds grid.Rect, p ChunkPlace, step int, tell func(uint32)) {
	shown := func(x, y int) uint32 {
		c := chunk.At(x, y)
		if c.IsMaterial() {
			c = s.fits.code(c, s.fitter().At(l.Cells, bounds, p.CX*grid.ChunkSize+x, p.CY*grid.ChunkSize+y))
		}
		return uint32(c)
	}
	if v, ok := chunk.Uniform(); ok {
		if v == 0 {
			tell(0)
			return
		}
		tell(1) // a material of one value looks the same nearly all over
		tell(shown(grid.ChunkSize/2, grid.ChunkSize/2))
		return
	}
	n := grid.ChunkSize / step
	tell(uint32(n * n))
	for i := range n * n {
		tell(shown(i%n*step+step/2, i/n*step+step/2))
	}
}
