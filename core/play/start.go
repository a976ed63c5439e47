package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/world"
	"errors"
	"fmt"
)

// ErrNoSpawn is given when there is nowhere for the hero to begin.
var ErrNoSpawn = errors.New("there is no spawn yet, so the hero has nowhere to begin")

// Start begins a game at a map's first spawn by rank, or at that of the first map
// that has one.
func Start(st *world.Stage, at document.ID, seed int64) (*Game, error) {
	order := st.Grounds
	if m := st.Ground(st.MapOf(at)); m != nil {
		order = append([]*world.Ground{m}, order...)
	}
	for _, m := range order {
		for r := m.First; r < m.After; r++ {
			t := st.Thing(r)
			if (t.Acts == kind.Spawn || t.Acts == kind.Hero) && !t.Absent {
				hero := world.None
				if t.Acts == kind.Hero {
					hero = r
				}
				return begin(st, m, hero, t.Box(m.Map), t.Facing, seed), nil
			}
		}
	}
	return nil, ErrNoSpawn
}

// StartAt begins a game on a cell of a map.
func StartAt(st *world.Stage, at document.ID, p grid.Point, seed int64) (*Game, error) {
	m := st.Ground(st.MapOf(at))
	switch {
	case m == nil:
		return nil, errors.New("the map is no longer there")
	case !m.Bounds.Contains(p):
		return nil, fmt.Errorf("that cell lies outside %s", m.Name)
	case m.At(p)&world.Whole != 0:
		return nil, errors.New("the hero cannot begin inside a solid tile")
	}
	return begin(st, m, world.None, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1}, document.Down, seed), nil
}

func begin(st *world.Stage, m *world.Ground, hero world.Ref, box grid.Rect, facing document.Facing, seed int64) *Game {
	g := &Game{Stage: st, State: &State{Seed: seed, Leaving: world.None, Inside: world.None, Bodies: []Body{{Of: hero, Map: m.Ref}}}}
	g.room(st)
	g.setDown(m, box, facing)
	w := g.gait()
	g.setCount(Hearts, w.Hearts)
	g.setCount(Lives, w.Lives)
	g.Back = g.Entry
	g.enterMap()
	g.settle()
	g.Cam.Map, g.Looked.Map = world.None, world.None
	g.lookAround()
	g.film()
	return g
}

// setRoam has the hero walk through everything unhurt, or not any more.
func (g *Game) setRoam(on bool) {
	g.Roam = on
	g.Hero().Flags = 0
	if !on {
		g.free()
	}
}

// anew begins the game again from where it began; of all that happened nothing is left.
func (g *Game) anew() {
	next, err := Start(g.Stage, g.Stage.Grounds[g.Entry.Map].ID, g.Seed)
	if err != nil {
		g.Lost = NotLost
		return
	}
	tick, roam := g.Tick, g.Roam
	*g.State = *next.State
	g.Tick, g.Roam, g.Fade, g.Lost = tick, roam, FadeTicks, NotLost
}

// Warning says what a designer should know before playing on a map; "" is nothing.
func Warning(d *document.Document, at document.ID) string {
	if m := d.Maps.Get(at); m != nil && !d.Solids().Any(m) {
		return fmt.Sprintf("Nothing on %s is solid: the hero walks through everything. Mark tiles solid under Tilesets.", m.Name)
	}
	return ""
}
