// Package hand resolves what a designer does by holding something and putting
// it down with a shape. The same plan is shown as the ghost before the press
// and becomes the edit at the release.
package hand

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
)

// What can be held.
const (
	Nothing = "nothing"
	Tiles   = "tiles"
	Eraser  = "eraser"
	Entity  = "entity"
)

// Shapes that what is held is put down with.
const (
	Freehand = "freehand"
	Line     = "line"
	Box      = "box"
	Fill     = "fill"
)

// Grip is all of what the hand does: it is what a slot of the tray stores.
type Grip struct {
	What string `json:"what"`
	// Cells is a block of tiles, Width wide, row by row.
	Cells []cells.Cell `json:"cells,omitempty"`
	Width int          `json:"width,omitempty"`
	// Kind, Look and LookOn are those of the entity that is held.
	Kind   string     `json:"kind,omitempty"`
	Look   cells.Cell `json:"look,omitempty"`
	LookOn cells.Cell `json:"lookOn,omitempty"`
	Shape  string     `json:"shape"`
	// Turn is quarter turns clockwise (0 to 3), plus 4 when mirrored left–right first.
	Turn int `json:"turn,omitempty"`
}

// Limits of what is held.
const maxBlock = 256 * 256

func (g *Grip) valid() bool {
	switch g.What {
	case Tiles:
		if g.Width < 1 || len(g.Cells) == 0 || len(g.Cells) > maxBlock || len(g.Cells)%g.Width != 0 {
			return false
		}
	case Entity:
		if document.KindOf(g.Kind) == nil {
			return false
		}
	case Eraser, Nothing:
	default:
		return false
	}
	return g.Turn >= 0 && g.Turn < 8
}

// Block is the held tiles as they are put down, turned.
func (g *Grip) Block() ([]cells.Cell, int) {
	block, w := g.Cells, g.Width
	if g.Turn&4 != 0 {
		block = rebuilt(block, w, w, func(x, y int) (int, int) { return w - 1 - x, y }, func(c cells.Cell) cells.Cell { return c ^ cells.MirrorX })
	}
	for range g.Turn & 3 {
		h := len(block) / w
		block = rebuilt(block, w, h, func(x, y int) (int, int) { return h - 1 - y, x }, quarter)
		w = h
	}
	return block, w
}

func rebuilt(block []cells.Cell, w, newW int, to func(x, y int) (int, int), turn func(cells.Cell) cells.Cell) []cells.Cell {
	out := make([]cells.Cell, len(block))
	for i, c := range block {
		x, y := to(i%w, i/w)
		if c != 0 {
			c = turn(c)
		}
		out[y*newW+x] = c
	}
	return out
}

// quarter turns a cell clockwise: (x, y) goes to (h−1−y, x), which is the
// exchange of axes followed by a left–right mirror.
func quarter(c cells.Cell) cells.Cell {
	out := c &^ cells.TurnBits
	if c&cells.Exchange == 0 {
		out |= cells.Exchange
	}
	if c&cells.MirrorY == 0 {
		out |= cells.MirrorX
	}
	if c&cells.MirrorX != 0 {
		out |= cells.MirrorY
	}
	return out
}

// layerKind is the kind of layer that a grip is put down on.
func (g *Grip) layerKind() string {
	if g.What == Entity {
		return document.LayerEntities
	}
	return document.LayerTiles
}

// Target is the layer that the hand works on: the active one if it fits, else
// the nearest that does, the lower of two as near. An eraser fits every layer.
// Hidden and locked layers never fit. Nil when none does.
func Target(m *document.Map, g *Grip, active document.ID) *document.Layer {
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
		if l.Hidden || l.Locked || g.What != Eraser && l.Kind != g.layerKind() {
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
// the topmost tile of a layer that is shown; the layer it lies on comes with it.
func PickUp(d *document.Document, m *document.Map, p grid.Point) (Grip, document.ID, bool) {
	layers := m.LayersInOrder()
	for i := len(layers) - 1; i >= 0; i-- {
		l := layers[i]
		if l.Hidden {
			continue
		}
		if l.Kind == document.LayerEntities {
			for _, e := range m.Entities.All() {
				if e.Layer == l.ID && e.Box(m).Contains(p) {
					return Grip{What: Entity, Kind: e.Kind, Look: e.Look, LookOn: e.LookOn, Shape: Freehand}, l.ID, true
				}
			}
			continue
		}
		if c := l.Cells.At(p.X, p.Y); c != 0 && m.Bounds.Contains(p) {
			return Grip{What: Tiles, Cells: []cells.Cell{c}, Width: 1, Shape: Freehand}, l.ID, true
		}
	}
	return Grip{}, "", false
}
