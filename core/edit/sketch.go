package edit

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"encoding/json"
)

// Sketch is what is needed to draw a small picture of an edit without its
// document: the cells that it wrote on one map, thinned out where they are many.
type Sketch struct {
	// About is the type of object that the edit is mostly about, a layer where it wrote cells.
	About string `json:"about"`
	// Kind is that of the first entity that was placed.
	Kind string      `json:"kind,omitempty"`
	Map  document.ID `json:"map,omitempty"`
	// W and H are the sketch's size; one cell of it stands for Step × Step of the map.
	W     int          `json:"w,omitempty"`
	H     int          `json:"h,omitempty"`
	Step  int          `json:"step,omitempty"`
	Parts []SketchPart `json:"parts,omitempty"`
}

// SketchPart is what was written on one layer, its cells counted from the sketch's top left.
type SketchPart struct {
	Layer document.ID `json:"layer"`
	Cells cells.Patch `json:"cells"`
}

// Limits of a sketch, in cells.
const (
	SketchWidth  = 32
	SketchHeight = 22
)

// Sketch draws up what the edit wrote.
func (e *Edit) Sketch() Sketch {
	var out Sketch
	var planes []cells.Plane
	var regions []*grid.Region
	var layers []document.ID
	all := &grid.Region{}
	for i := range e.Do {
		p := &e.Do[i]
		if out.About == "" {
			out.About = p.Ref.Type
		}
		if p.Op == OpInsert && p.Ref.Type == TypeEntity && out.Kind == "" {
			var of struct{ Kind string }
			if json.Unmarshal(p.Value, &of) == nil {
				out.Kind = of.Kind
			}
		}
		if p.Op != OpCells && p.Op != OpCellsBack || out.Map != "" && out.Map != p.Ref.Map {
			continue
		}
		out.About, out.Map = TypeLayer, p.Ref.Map
		at := len(layers)
		for k, l := range layers {
			if l == p.Ref.ID {
				at = k
			}
		}
		if at == len(layers) {
			layers, planes, regions = append(layers, p.Ref.ID), append(planes, cells.Plane{}), append(regions, &grid.Region{})
		}
		planes[at], _ = p.Cells.Apply(planes[at])
		wrote := p.Cells.Region()
		regions[at].Union(wrote)
		all.Union(wrote)
	}
	b := all.Bounds()
	if b.Empty() {
		return out
	}
	out.Step = max(1, (b.W+SketchWidth-1)/SketchWidth, (b.H+SketchHeight-1)/SketchHeight)
	out.W, out.H = (b.W+out.Step-1)/out.Step, (b.H+out.Step-1)/out.Step
	whole := &grid.Region{}
	whole.AddRect(grid.Rect{W: out.W, H: out.H})
	for k, layer := range layers {
		patch := cells.PaintEach(whole, grid.Rect{W: out.W, H: out.H}, func(x, y int) (cells.Cell, bool) {
			p := grid.Point{X: b.X + x*out.Step, Y: b.Y + y*out.Step}
			return planes[k].At(p.X, p.Y), regions[k].Has(p)
		})
		if len(patch) > 0 {
			out.Parts = append(out.Parts, SketchPart{layer, patch})
		}
	}
	return out
}
