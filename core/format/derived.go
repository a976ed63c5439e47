package format

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/material"
	"encoding/json"
	"fmt"
	"strings"
)

// derivedFolder holds what follows from the rest, for programs that read a project. Read passes it over.
const derivedFolder = "derived/"

// Solids is what stops the hero on a map, merged to a few large pieces, as derived/…/solids.json has it. The top left of the
// map is (0, 0).
type Solids struct {
	// Cells are rectangles of cells that are solid all over.
	Cells []grid.Rect `json:"cells"`
	// Parts are rectangles in half pixels, Lines the sides of solid parts that slant, from A to B in half pixels.
	Parts []grid.Rect        `json:"parts"`
	Lines []document.Segment `json:"lines"`
}

// Derived gives files of what follows from a project: for each map what is solid on it, and for each layer with materials the
// tiles that they are drawn as. A cell of those is a tile, as “3:17”; four tiles joined by “+”, of each of which a quarter is
// shown (top left, top right, bottom left, bottom right); or “?” where the material has no tile of the form.
func Derived(d *document.Document) []File {
	w := &writer{d: d, paths: paths{}}
	solids, fitter := d.Solids(), d.Fitter()
	for _, m := range d.Maps.All() {
		path := w.paths.take(derivedFolder, m.Name, m.ID)
		data, err := json.MarshalIndent(solidsOf(solids, m), "", "\t")
		if err != nil {
			panic(fmt.Sprintf("format: plain structs always marshal: %v", err))
		}
		w.file(path+"/solids.json", append(data, '\n'))
		for _, l := range m.Layers.All() {
			layer := w.paths.take(path+"/", l.Name, l.ID)
			if l.Kind == document.LayerTiles && !l.Cells.Region(m.Bounds, cells.Cell.IsMaterial).Empty() {
				w.file(layer+".csv", fitted(fitter, m, l))
			}
		}
	}
	return sorted(w.files)
}

func solidsOf(s *document.Solids, m *document.Map) Solids {
	merged := s.Merged(m)
	out := Solids{Cells: []grid.Rect{}, Parts: []grid.Rect{}, Lines: []document.Segment{}}
	x, y := m.Bounds.X, m.Bounds.Y
	for _, r := range merged.Rects {
		out.Cells = append(out.Cells, grid.Rect{X: r.X - x, Y: r.Y - y, W: r.W, H: r.H})
	}
	x, y = x*m.CellWidth*2, y*m.CellHeight*2
	for _, r := range merged.Parts {
		out.Parts = append(out.Parts, grid.Rect{X: r.X - x, Y: r.Y - y, W: r.W, H: r.H})
	}
	for _, l := range merged.Segments {
		out.Lines = append(out.Lines, document.Segment{A: grid.Point{X: l.A.X - x, Y: l.A.Y - y}, B: grid.Point{X: l.B.X - x, Y: l.B.Y - y}})
	}
	return out
}

// fitted is a layer as it is drawn, as CSV: all of its map.
func fitted(f *material.Fitter, m *document.Map, l *document.Layer) []byte {
	var out strings.Builder
	b := m.Bounds
	for y := b.Y; y < b.Y+b.H; y++ {
		for x := b.X; x < b.X+b.W; x++ {
			if x > b.X {
				out.WriteByte(',')
			}
			c := l.Cells.At(x, y)
			shown := material.Shown{Cell: c}
			if c.IsMaterial() {
				shown = f.At(l.Cells, b, x, y)
			}
			switch {
			case c == 0 && b.W == 1:
				out.WriteString(`""`)
			case c == 0:
			case shown.Gap():
				out.WriteByte('?')
			case shown.Quarters != nil:
				for i, q := range shown.Quarters {
					if i > 0 {
						out.WriteByte('+')
					}
					out.WriteString(cellText(q))
				}
			default:
				out.WriteString(cellText(shown.Cell))
			}
		}
		out.WriteByte('\n')
	}
	return []byte(out.String())
}
