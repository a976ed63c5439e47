package document

// Limits of what all maps of a project hold together. A chunk is 32×32 cells; 64
// million cells that differ from their neighbours fill half of MaxProjectMixed.
const (
	MaxProjectChunks   = 4 << 20
	MaxProjectMixed    = 1 << 17
	MaxProjectEntities = 200_000
)

// Held is how many chunks of cells all maps hold, how many of them are of more
// than one value, and how many entities.
type Held struct{ Chunks, Mixed, Entities int }

// Size counts what all maps hold.
func (d *Document) Size() Held {
	var h Held
	d.Maps.Sum(func(m *Map) int {
		h.Entities += m.Entities.Len()
		return m.Layers.Sum(func(l *Layer) int {
			chunks, mixed := l.Cells.Size()
			h.Chunks += chunks
			h.Mixed += mixed
			return 0
		})
	})
	return h
}
