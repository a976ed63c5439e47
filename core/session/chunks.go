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
	switch n := s.Chunks(m, []document.ID{layer}, []ChunkPlace{{cx, cy}}, all[:]); n {
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
// cells follow (0 of an empty chunk, 1 of one whose cells are all alike, else 1,024), and those, as Chunk tells them. It gives how many
// bytes it wrote; out has to have room for a word and 1,024 cells of each.
func (s *Session) Chunks(m document.ID, layers []document.ID, at []ChunkPlace, out []byte) (n int) {
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
