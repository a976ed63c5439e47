package document

import (
	"azzel/core/cells"
	"reflect"
	"slices"
	"strings"
)

// Change says what differs between two documents, by identity, so that only
// that has to be drawn or sent again.
type Change struct {
	// Head is set when anything but cells and entities differs.
	Head bool `json:"head"`
	// Entities lists the maps whose entities differ.
	Entities []ID `json:"entities"`
	// Chunks lists the chunks that differ, by layer.
	Chunks []LayerChunks `json:"chunks"`
}

// LayerChunks are chunks of a layer.
type LayerChunks struct {
	Map   ID `json:"map"`
	Layer ID `json:"layer"`
	// At is where they lie, in chunks: x and y by turns, as there can be thousands.
	At []int `json:"at"`
}

// Diff finds what differs from a to b; a nil document is an empty one.
func Diff(a, b *Document) Change {
	if a == nil {
		a = &Document{}
	}
	var c Change
	c.Head = a.Project != b.Project || !a.Tilesets.Same(b.Tilesets) || !a.Passages.Same(b.Passages) ||
		!a.Rules.Same(b.Rules) || !a.Flags.Same(b.Flags) || !a.Counters.Same(b.Counters) || !a.Wordings.Same(b.Wordings) || !a.Sounds.Same(b.Sounds) || !a.Motifs.Same(b.Motifs) || !a.Zones.Same(b.Zones) || !a.Materials.Same(b.Materials) || !a.Kinds.Same(b.Kinds) || !a.Pins.Same(b.Pins) || !a.Recordings.Same(b.Recordings) || a.Maps.Len() != b.Maps.Len()
	if a.Maps.Same(b.Maps) {
		return c
	}
	var differ []*Map
	a.Maps.Differs(b.Maps, func(m *Map) { differ = append(differ, m) }, func(*Map) {})
	slices.SortFunc(differ, func(m, o *Map) int { return strings.Compare(string(m.ID), string(o.ID)) })
	for _, m := range differ {
		old := a.Maps.Get(m.ID)
		if old == nil {
			old = &Map{}
		}
		c.Head = c.Head || old.Layers.Len() != m.Layers.Len() || !SameFields(old, m)
		if !old.Entities.Same(m.Entities) {
			c.Entities = append(c.Entities, m.ID)
		}
		c.layers(old, m)
	}
	return c
}

// SameFields reports whether of two maps all is the same but what lies on them:
// layers and entities.
func SameFields(a, b *Map) bool {
	x, y := *a, *b
	x.Layers, x.Entities, y.Layers, y.Entities = Table[Layer]{}, Table[Entity]{}, Table[Layer]{}, Table[Entity]{}
	return reflect.DeepEqual(x, y)
}

// SameLayers reports whether of two maps the layers are the same but for their cells.
func SameLayers(a, b *Map) bool {
	if a.Layers.Same(b.Layers) {
		return true
	}
	if a.Layers.Len() != b.Layers.Len() {
		return false
	}
	for _, l := range b.Layers.All() {
		old := a.Layers.Get(l.ID)
		if old == nil || old != l && !sameLayer(old, l) {
			return false
		}
	}
	return true
}

func sameLayer(a, b *Layer) bool {
	x, y := *a, *b
	x.Cells, y.Cells = cells.Plane{}, cells.Plane{}
	return reflect.DeepEqual(x, y)
}

func (c *Change) layers(old, m *Map) {
	if old.Layers.Same(m.Layers) {
		return
	}
	for _, l := range m.Layers.All() {
		before := old.Layers.Get(l.ID)
		if before == l {
			continue
		}
		if before == nil {
			before = &Layer{}
		}
		if changed := before.Cells.Changed(l.Cells); len(changed) > 0 {
			of := LayerChunks{m.ID, l.ID, make([]int, 0, 2*len(changed))}
			for _, at := range changed {
				of.At = append(of.At, at[0], at[1])
			}
			c.Chunks = append(c.Chunks, of)
		}
		c.Head = c.Head || !sameLayer(before, l)
	}
}

// Around adds to chunks that differ from a to b those beside them whose materials may show otherwise, since what they border on
// differs. How a cell of a material shows depends on the eight around it.
func Around(chunks []LayerChunks, a, b *Document) []LayerChunks {
	for i := range chunks {
		c := &chunks[i]
		before, after := a.plane(c), b.plane(c)
		seen := make(map[[2]int]bool, len(c.At)/2)
		for k := 0; k < len(c.At); k += 2 {
			seen[[2]int{c.At[k], c.At[k+1]}] = true
		}
		for k, n := 0, len(c.At); k < n; k += 2 {
			cx, cy := c.At[k], c.At[k+1]
			x, y := before.Chunk(cx, cy), after.Chunk(cx, cy)
			for dy := -1; dy <= 1; dy++ {
				for dx := -1; dx <= 1; dx++ {
					at := [2]int{cx + dx, cy + dy}
					if seen[at] || after.Chunk(at[0], at[1]) == nil || cells.SameEdge(x, y, dx, dy) {
						continue
					}
					seen[at] = true
					c.At = append(c.At, at[0], at[1])
				}
			}
		}
	}
	return chunks
}

// plane is what lies on the layer of chunks; nothing where there is none.
func (d *Document) plane(c *LayerChunks) cells.Plane {
	if d != nil {
		if m := d.Maps.Get(c.Map); m != nil {
			if l := m.Layers.Get(c.Layer); l != nil {
				return l.Cells
			}
		}
	}
	return cells.Plane{}
}
