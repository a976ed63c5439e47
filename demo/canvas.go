package demo

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
)

// canvas is a map being laid out: one array of cells a layer.
type canvas struct {
	sheet  *Sheet
	m      *document.Map
	w, h   int
	ground []cells.Cell
	things []cells.Cell
	above  []cells.Cell
	stands []document.Entity
}

// The numbers of the tileset and of its materials in the demo project.
const (
	number   = 1
	seaPaint = iota + 1
	grassPaint
	panPaint
)

func newCanvas(sheet *Sheet, w, h int) *canvas {
	// what was put down is still changed while more is
	return &canvas{sheet: sheet, w: w, h: h, stands: make([]document.Entity, 0, 256), ground: make([]cells.Cell, w*h), things: make([]cells.Cell, w*h), above: make([]cells.Cell, w*h)}
}

func (c *canvas) put(layer []cells.Cell, x, y int, tile string) {
	if x >= 0 && y >= 0 && x < c.w && y < c.h {
		layer[y*c.w+x] = c.sheet.Cell(number, tile)
	}
}

func (c *canvas) box(layer []cells.Cell, x, y, w, h int, tiles ...string) {
	for j := range h {
		for i := range w {
			c.put(layer, x+i, y+j, tiles[noise(x+i, y+j, 77, len(tiles))])
		}
	}
}

// paint lays a material on every cell that some corner of it lies in; in says
// at which corners of cells it lies.
func (c *canvas) paint(material int, in func(x, y int) bool) {
	for y := range c.h {
		for x := range c.w {
			if in(x, y) || in(x+1, y) || in(x, y+1) || in(x+1, y+1) {
				c.ground[y*c.w+x] = cells.MaterialCell(material, noise(x, y, 31, 256))
			}
		}
	}
}

// house builds a house w cells wide whose roof begins at (x, y) and whose wall
// stands four rows lower; the ridge lies before the hero.
func (c *canvas) house(x, y, w, door int) {
	for i := range w {
		part := "mid"
		if i == 0 {
			part = "left"
		} else if i == w-1 {
			part = "right"
		}
		c.put(c.above, x+i, y, "ridge "+part)
		c.put(c.things, x+i, y+1, "roof "+part)
		c.put(c.things, x+i, y+2, "eaves "+part)
		front := "wall " + part
		if part == "mid" && (i-door)%2 == 0 {
			front = "window"
		}
		if i == door {
			front = "house door"
		}
		c.put(c.things, x+i, y+3, front)
	}
}

func (c *canvas) entity(kind, name string, x, y, w, h int, facing document.Facing) *document.Entity {
	c.stands = append(c.stands, document.Entity{ID: document.NewID(), Kind: kind, Name: name, X: x * side, Y: y * side, W: w * side, H: h * side, Facing: facing, Rank: len(c.stands) + 1, On: kind == lanternKind || kind == "hazard" || kind == "platform" || kind == "emitter"})
	return &c.stands[len(c.stands)-1]
}

// add puts the map into a document under a name.
func (c *canvas) add(d *document.Document, name string) *document.Document {
	change, err := author.NewMap(d, name, c.w, c.h)
	if err != nil {
		panic(err)
	}
	all := &grid.Region{}
	bounds := grid.Rect{W: c.w, H: c.h}
	all.AddRect(bounds)
	byName := map[string]document.ID{}
	for i, l := range document.LayerPlan {
		byName[l.Name] = change.Do[i+1].Ref.ID
	}
	for _, l := range []struct {
		name  string
		cells []cells.Cell
	}{{"Ground", c.ground}, {"Things", c.things}, {"Overhead", c.above}} {
		change.Do = append(change.Do, edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: change.Made, ID: byName[l.name]},
			Cells: cells.Paint(all, bounds, l.cells, c.w, grid.Point{})})
	}
	for _, e := range c.stands {
		e.Layer = byName["Entities"]
		change.Do = append(change.Do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: change.Made, ID: e.ID}, e))
	}
	next := do(d, change, nil)
	c.m = next.Maps.Get(change.Made)
	return next
}

// do applies a change that cannot fail: the demo is tested.
func do(d *document.Document, c author.Change, err error) *document.Document {
	if err != nil {
		panic(err)
	}
	res := edit.Apply(d, &edit.Edit{Do: c.Do})
	if len(res.Dropped) > 0 {
		panic(res.Dropped[0])
	}
	return res.Doc
}
