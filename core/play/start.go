package play

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"errors"
	"fmt"
)

// ErrNoSpawn is given when there is nowhere for the hero to begin.
var ErrNoSpawn = errors.New("there is no spawn yet, so the hero has nowhere to begin")

// Start begins a game at a map's first spawn by id, or at that of the first map
// that has one.
func Start(d *document.Document, at document.ID) (*State, error) {
	maps := d.MapsInOrder()
	if m := d.Maps.Get(at); m != nil {
		maps = append([]*document.Map{m}, maps...)
	}
	for _, m := range maps {
		for _, e := range m.Entities.All() {
			if d.Acts(e) == document.KindSpawn {
				return begin(d, m, e.Box(m), e.Facing), nil
			}
		}
	}
	return nil, ErrNoSpawn
}

// StartAt begins a game on a cell of a map.
func StartAt(d *document.Document, at document.ID, p grid.Point) (*State, error) {
	m := d.Maps.Get(at)
	if m == nil {
		return nil, errors.New("the map is no longer there")
	}
	if !m.Bounds.Contains(p) {
		return nil, fmt.Errorf("that cell lies outside %s", m.Name)
	}
	if d.Solids().At(m, p) {
		return nil, errors.New("the hero cannot begin inside a solid tile")
	}
	return begin(d, m, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1}, document.Down), nil
}

func begin(d *document.Document, m *document.Map, box grid.Rect, facing document.Facing) *State {
	s := &State{Taken: map[document.ID]bool{}, Switched: map[document.ID]bool{}, Opened: map[document.ID]bool{},
		Flags: map[document.ID]bool{}, Done: map[document.ID]bool{}, Lines: []Line{}, Running: []Running{}}
	c := chart.New(d, nil)
	g := game{s, d, c, c.Solids(), nil}
	g.setDown(m, box, facing)
	g.happen(happening{on: document.WhenArrive, m: m.ID})
	g.settle()
	return s
}

// Warning says what a designer should know before playing on a map; "" is nothing.
func Warning(d *document.Document, at document.ID) string {
	if m := d.Maps.Get(at); m != nil && !d.Solids().Any(m) {
		return fmt.Sprintf("Nothing on %s is solid: the hero walks through everything. Mark tiles solid under Tilesets.", m.Name)
	}
	return ""
}
