package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/material"
)

// fitting is how materials show. Cells that are put together of four quarters
// are told as a material cell whose number and variant are their place in the
// list of composed ones; place 0 is a gap.
type fitting struct {
	of       document.Table[document.Material]
	fitter   *material.Fitter
	composed [][4]cells.Cell
	places   map[[4]cells.Cell]int
	// told are the materials as the interface is told of them.
	told map[*document.Material]MaterialInfo
}

func (s *Session) fitter() *material.Fitter {
	f := &s.fits
	if f.fitter == nil || !f.of.Same(s.doc().Materials) {
		f.of, f.fitter = s.doc().Materials, s.doc().Fitter()
	}
	return f.fitter
}

// code is the cell that stands for how c is shown.
func (f *fitting) code(c cells.Cell, s material.Shown) cells.Cell {
	switch {
	case !c.IsMaterial():
		return c
	case s.Gap():
		return cells.Material
	case s.Quarters == nil:
		return s.Cell
	}
	if f.places == nil {
		f.places, f.composed = map[[4]cells.Cell]int{}, [][4]cells.Cell{{}}
	}
	place, ok := f.places[*s.Quarters]
	if !ok {
		place = len(f.composed)
		f.places[*s.Quarters] = place
		f.composed = append(f.composed, *s.Quarters)
	}
	return cells.Material | cells.Cell(place)
}

// composed lists what is put together of quarters, from a place on.
func (s *Session) composed(a struct {
	From int `json:"from"`
}) (zero [][4]cells.Cell, err error) {
	all := s.fits.composed
	return append([][4]cells.Cell{}, all[min(max(0, a.From), len(all)):]...), nil
}
