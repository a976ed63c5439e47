// Package hand resolves what a designer does by holding something and putting
// it down with a shape. The same plan is shown as the ghost before the press
// and becomes the edit at the release.
package hand

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"slices"
)

// What can be held.
const (
	Nothing  = "nothing"
	Tiles    = "tiles"
	Material = "material"
	Motif    = "motif"
	Zone     = "zone"
	Eraser   = "eraser"
	Entity   = "entity"
)

// Shapes that what is held is put down with.
const (
	Freehand = "freehand"
	Line     = "line"
	Box      = "box"
	Rim      = "rim" // the outline of a box or oval, and its inside held apart
	Oval     = "oval"
	Fill     = "fill"
	Empties  = "empties" // every empty cell of the map or selection
)

// Grip is all of what the hand does: it is what a slot of the tray stores.
type Grip struct {
	What string `json:"what"`
	// Cells is a block of tiles, Width wide, row by row; empty cells of it put down nothing.
	Cells []cells.Cell `json:"cells,omitempty"`
	Width int          `json:"width,omitempty"`
	// Number is that of the material or zone that is held.
	Number int `json:"number,omitempty"`
	// Motif is a motif of the project, or something copied that the session keeps.
	Motif document.ID `json:"motif,omitempty"`
	// Kind, Look and LookOn are those of the entity that is held.
	Kind   string     `json:"kind,omitempty"`
	Look   cells.Cell `json:"look,omitempty"`
	LookOn cells.Cell `json:"lookOn,omitempty"`

	Shape string `json:"shape"`
	// Size is how broad a stroke is, in cells; 0 is 1. Round makes its tip a disc.
	Size  int  `json:"size,omitempty"`
	Round bool `json:"round,omitempty"`
	// Depth is how deep a rim is, in cells; 0 is 1. Oval makes it that of an oval.
	Depth int  `json:"depth,omitempty"`
	Oval  bool `json:"oval,omitempty"`
	// Corners lets a fill go on over corners; Shown lets it go by what all shown
	// layers show rather than by its own layer.
	Corners bool `json:"corners,omitempty"`
	Shown   bool `json:"shown,omitempty"`
	// Aligned repeats blocks aligned to the map rather than to where the stroke began.
	Aligned bool `json:"aligned,omitempty"`
	// Inside is what a rim puts inside; nil leaves it as it is.
	Inside *Grip `json:"inside,omitempty"`

	// Replace takes away the entities that lie under those that are put down.
	Replace bool `json:"replace,omitempty"`

	Turn    grid.Turn `json:"turn,omitempty"`
	Scatter *Scatter  `json:"scatter,omitempty"`
}

// Scatter draws for each cell one of the tiles that are held, or nothing.
type Scatter struct {
	// Odds are the weights of the tiles in the order of Choices; empty takes them from the tilesets.
	Odds []int `json:"odds,omitempty"`
	// Nothing is the weight of leaving a cell as it is.
	Nothing int `json:"nothing,omitempty"`
	// Apart never puts the same tile beside itself where there is another choice.
	Apart bool `json:"apart,omitempty"`
}

// Limits of what is held.
const (
	maxBlock = 256 * 256
	MaxSize  = 64
)

func (g *Grip) valid() bool {
	switch g.What {
	case Tiles:
		if g.Width < 1 || len(g.Cells) == 0 || len(g.Cells) > maxBlock || len(g.Cells)%g.Width != 0 {
			return false
		}
		for _, c := range g.Cells {
			if !c.Valid() {
				return false
			}
		}
	case Entity:
		if g.Kind == "" {
			return false
		}
	case Material, Zone:
		if g.Number < 1 || g.Number > cells.MaxTileset {
			return false
		}
	case Motif:
		if g.Motif == "" {
			return false
		}
	case Eraser, Nothing:
	default:
		return false
	}
	if s := g.Scatter; s != nil {
		if s.Nothing < 0 || s.Nothing > document.MaxOdds || len(s.Odds) > maxBlock {
			return false
		}
		for _, o := range s.Odds {
			if o < 0 || o > document.MaxOdds {
				return false
			}
		}
	}
	return g.Turn.Valid() && g.Size >= 0 && g.Size <= MaxSize && g.Depth >= 0 && g.Depth <= MaxSize && (g.Inside == nil || g.Inside.Inside == nil && g.Inside.valid())
}

func (g *Grip) size() int { return max(1, g.Size) }

func (g *Grip) depth() int { return max(1, g.Depth) }

// Block is the held tiles as they are put down, turned, and how wide they are.
func (g *Grip) Block(s *document.Sheets) ([]cells.Cell, int) {
	w, h := g.Width, len(g.Cells)/g.Width
	if g.Turn == grid.Same {
		return g.Cells, w
	}
	tw, _ := g.Turn.Size(w, h)
	out := make([]cells.Cell, len(g.Cells))
	for i, c := range g.Cells {
		r := g.Turn.Rect(grid.Rect{X: i % w, Y: i / w, W: 1, H: 1}, w, h)
		out[r.Y*tw+r.X] = s.Turned(c, g.Turn)
	}
	return out, tw
}

// Choices are the different tiles of a block, in order, as a scatter draws among them.
func Choices(block []cells.Cell) []cells.Cell {
	var out []cells.Cell
	seen := map[cells.Cell]bool{}
	for _, c := range block {
		if c != 0 && !seen[c] {
			seen[c] = true
			out = append(out, c)
		}
	}
	return out
}

// layerKind is the kind of layer that a grip is put down on.
func (g *Grip) layerKind() string {
	switch g.What {
	case Entity:
		return document.LayerEntities
	case Zone:
		return document.LayerZones
	}
	return document.LayerTiles
}

// Target is the layer that the hand works on: the active one if it fits, else
// the nearest that does, the lower of two as near. An eraser fits every layer; a
// kind of entity may say on which it stands.
// Hidden and locked layers never fit. Nil when none does.
func Target(d *document.Document, m *document.Map, g *Grip, active document.ID) *document.Layer {
	return nearest(m, active, fitting(d, g))
}

// fitting tells which layers take what is held, open or not.
func fitting(d *document.Document, g *Grip) func(*document.Layer) bool {
	if g.What == Eraser {
		return func(*document.Layer) bool { return true }
	}
	var only []string
	if k := d.Kind(document.ID(g.Kind)); g.What == Entity && k != nil {
		only = k.Layers
	}
	return func(l *document.Layer) bool {
		return l.Kind == g.layerKind() && (len(only) == 0 || slices.Contains(only, l.Name))
	}
}

// Shut says that the layer that is worked on takes what is held, but is hidden or
// locked, it or its group. Nothing is put down elsewhere then.
type Shut struct {
	// Layer is what is to be shown or unlocked: the layer, or its group.
	Layer  document.ID
	Hidden bool
	name   string
}

func (s *Shut) Error() string {
	if s.Hidden {
		return s.name + " is hidden: show it, or work on another layer"
	}
	return s.name + " is locked: unlock it, or work on another layer"
}

// shut finds whether the active layer would take what is held if it were open.
func shut(d *document.Document, m *document.Map, g *Grip, active document.ID) *Shut {
	l := m.Layers.Get(active)
	if l == nil || m.Open(l) || l.Kind == document.LayerGroup || l.Kind == document.LayerPicture || !fitting(d, g)(l) {
		return nil
	}
	for _, one := range []*document.Layer{l, m.Layers.Get(l.Group)} {
		if one != nil && (one.Hidden || one.Locked) {
			return &Shut{one.ID, one.Hidden, one.Name}
		}
	}
	return nil
}

func nearest(m *document.Map, active document.ID, fits func(*document.Layer) bool) *document.Layer {
	layers := m.LayersInOrder()
	at := 0
	for i, l := range layers {
		if l.ID == active {
			at = i
		}
	}
	var best *document.Layer
	bestAway := 0
	for i, l := range layers {
		if !m.Open(l) || l.Kind == document.LayerGroup || l.Kind == document.LayerPicture || !fits(l) {
			continue
		}
		away := max(i-at, at-i)
		if best == nil || away < bestAway {
			best, bestAway = l, away
		}
	}
	return best
}

// PickUp is what lies under a cell, as a grip to hold: the topmost entity, else
// the topmost cell of a layer that is shown; the layer it lies on comes with it.
func PickUp(d *document.Document, m *document.Map, p grid.Point) (Grip, document.ID, bool) {
	layers := m.LayersInOrder()
	for i := len(layers) - 1; i >= 0; i-- {
		l := layers[i]
		if !m.Shown(l) || l.Kind == document.LayerGroup || l.Kind == document.LayerPicture {
			continue
		}
		if l.Kind == document.LayerEntities {
			for _, e := range m.Standing(p) {
				if e.Layer == l.ID {
					return Grip{What: Entity, Kind: e.Kind, Look: e.Look, LookOn: e.LookOn, Shape: Freehand}, l.ID, true
				}
			}
			continue
		}
		if c := l.Cells.At(p.X, p.Y); c != 0 && m.Bounds.Contains(p) {
			switch {
			case l.Kind == document.LayerZones:
				return Grip{What: Zone, Number: c.Tileset(), Shape: Freehand}, l.ID, true
			case c.IsMaterial():
				return Grip{What: Material, Number: c.Tileset(), Shape: Freehand}, l.ID, true
			}
			return Grip{What: Tiles, Cells: []cells.Cell{c}, Width: 1, Shape: Freehand}, l.ID, true
		}
	}
	return Grip{}, "", false
}
