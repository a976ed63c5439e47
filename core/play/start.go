package play

import (
	"azzel/core/cells"
	"azzel/core/chance"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"errors"
	"fmt"
)

// ErrNoSpawn is given when there is nowhere for the hero to begin.
var ErrNoSpawn = errors.New("there is no spawn yet, so the hero has nowhere to begin")

// Start begins a game at a map's first spawn by rank, or at that of the first map
// that has one.
func Start(d *document.Document, at document.ID, seed int64) (*State, error) {
	maps := d.MapsInOrder()
	if m := d.Maps.Get(at); m != nil {
		maps = append([]*document.Map{m}, maps...)
	}
	for _, m := range maps {
		for _, e := range document.InRank(m.Entities.All()) {
			if acts := d.Acts(e); (acts == kind.Spawn || acts == kind.Hero) && !e.Absent {
				s := begin(d, m, e.Box(m), e.Facing, seed)
				if acts == kind.Hero {
					s.Hero = document.End{Map: m.ID, Entity: e.ID}
				}
				return s, nil
			}
		}
	}
	return nil, ErrNoSpawn
}

// StartAt begins a game on a cell of a map.
func StartAt(d *document.Document, at document.ID, p grid.Point, seed int64) (*State, error) {
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
	return begin(d, m, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1}, document.Down, seed), nil
}

func begin(d *document.Document, m *document.Map, box grid.Rect, facing document.Facing, seed int64) *State {
	s := &State{Taken: map[document.ID]bool{}, Switched: map[document.ID]bool{}, Opened: map[document.ID]bool{},
		Flags: map[document.ID]bool{}, Done: map[document.ID]bool{}, Lines: []Line{}, Running: []Running{},
		Gone: map[document.ID]bool{}, Looks: map[document.ID]cells.Cell{}}
	s.draw(d, seed)
	c := chart.New(d, nil)
	g := game{s, d, c, c.Solids(), nil}
	g.setDown(m, box, facing)
	g.happen(happening{on: rules.WordArrive, m: m.ID})
	g.settle()
	return s
}

// draw chooses among the variants of every entity that has some.
func (s *State) draw(d *document.Document, seed int64) {
	for i, m := range d.MapsInOrder() {
		for _, e := range document.InRank(m.Entities.All()) {
			if e.Absent {
				s.Gone[e.ID] = true
			}
			if len(e.Variants) == 0 {
				continue
			}
			odds := make([]int, len(e.Variants))
			for k, v := range e.Variants {
				odds[k] = v.Odds
			}
			k := chance.Pick(chance.At(seed, e.X, e.Y, i), odds)
			switch {
			case k < 0:
			case e.Variants[k].Look == 0:
				s.Gone[e.ID] = true
			default:
				s.Looks[e.ID] = e.Variants[k].Look
			}
		}
	}
}

// Warning says what a designer should know before playing on a map; "" is nothing.
func Warning(d *document.Document, at document.ID) string {
	if m := d.Maps.Get(at); m != nil && !d.Solids().Any(m) {
		return fmt.Sprintf("Nothing on %s is solid: the hero walks through everything. Mark tiles solid under Tilesets.", m.Name)
	}
	return ""
}
