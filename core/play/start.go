package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"errors"
	"fmt"
	"slices"
)

// ErrNoSpawn is given when there is nowhere for the hero to begin.
var ErrNoSpawn = errors.New("there is no spawn yet, so the hero has nowhere to begin")

// Given is what is so from the beginning of a game that does not begin as a player's does.
type Given struct {
	Flags []document.ID  `json:"flags"`
	Taken []document.End `json:"taken"`
	// Language is what one reads in; empty is what the texts are written in.
	Language string `json:"language"`
}

// Start begins a game at a map's first spawn by turn and rank, or at that of the first map
// that has one.
func Start(st *world.Stage, at document.ID, seed int64) (*Game, error) {
	return StartWith(st, at, Given{}, seed)
}

// StartWith is Start with something given.
func StartWith(st *world.Stage, at document.ID, given Given, seed int64) (*Game, error) {
	order := st.Grounds
	if m := st.Ground(st.MapOf(at)); m != nil {
		order = append([]*world.Ground{m}, order...)
	}
	for _, m := range order {
		if all := Starts(st, m); len(all) > 0 {
			r := all[0]
			t, hero := st.Thing(r), world.None
			if t.Acts == kind.Hero {
				hero = r
			}
			return begin(st, start{m, hero, t.Box(m.Map), t.Facing, given, t.Doing.Side}, seed), nil
		}
	}
	return nil, ErrNoSpawn
}

// StartOn begins a game that is played while somebody works on a map: at its spawn, or out of a passage onto it where it has
// none, so that it is this map that is played.
func StartOn(st *world.Stage, at document.ID, given Given, seed int64) (*Game, error) {
	if way := WayOnto(st, at); way != nil {
		return StartThrough(st, way.ID, given, seed)
	}
	return StartWith(st, at, given, seed)
}

// WayOnto is the first passage, by id, onto a map that has no spawn; nil where it has one, or where nobody comes out on it.
func WayOnto(st *world.Stage, at document.ID) *document.Passage {
	m := st.Ground(st.MapOf(at))
	if m == nil || len(Starts(st, m)) > 0 {
		return nil
	}
	for _, p := range st.Ways {
		if t := st.Thing(st.ThingOf(p.To.Map, p.To.Entity)); t != nil && t.Map == m.Ref {
			return p
		}
	}
	return nil
}

// StartAt begins a game on a cell of a map.
func StartAt(st *world.Stage, at document.ID, p grid.Point, given Given, seed int64) (*Game, error) {
	m := st.Ground(st.MapOf(at))
	switch {
	case m == nil:
		return nil, errors.New("the map is no longer there")
	case !m.Bounds.Contains(p):
		return nil, fmt.Errorf("that cell lies outside %s", m.Name)
	case m.At(p)&world.Whole != 0:
		return nil, errors.New("the hero cannot begin inside a solid tile")
	}
	return begin(st, start{m, world.None, grid.Rect{X: p.X, Y: p.Y, W: 1, H: 1}, document.Down, given, ""}, seed), nil
}

// StartThrough begins a game where one comes out of a passage.
func StartThrough(st *world.Stage, way document.ID, given Given, seed int64) (*Game, error) {
	r := st.WayOf(way)
	if r < 0 {
		return nil, errors.New("the passage is no longer there")
	}
	end := st.Ways[r].To
	t := st.Thing(st.ThingOf(end.Map, end.Entity))
	if t == nil {
		return nil, errors.New("the place that this passage led to was removed")
	}
	m := st.Ground(t.Map)
	return begin(st, start{m, world.None, t.Box(m.Map), t.Facing, given, ""}, seed), nil
}

// start is how a game begins.
type start struct {
	m      *world.Ground
	hero   world.Ref
	box    grid.Rect
	facing document.Facing
	given  Given
	// side is the team whose hero is led.
	side string
}

func begin(st *world.Stage, how start, seed int64) *Game {
	m := how.m
	g := gameOf(st, &State{Seed: seed, Side: how.side, Language: how.given.Language, Leaving: world.None, Sent: world.None, Inside: world.None, Round: Round{Map: m.Ref}, Bodies: []Body{{Of: how.hero, Map: m.Ref}}})
	g.room(st)
	for _, id := range how.given.Flags {
		g.setFlag(id, true)
	}
	for _, end := range how.given.Taken {
		g.setThing(st.ThingOf(end.Map, end.Entity), Taken, true)
	}
	g.setDown(m, how.box, how.facing)
	w := g.gait()
	g.setCount(Hearts, w.Hearts)
	g.setCount(Lives, w.Lives)
	g.refill()
	g.Back = g.Entry
	g.gather()
	g.sides(m)
	g.happen(happening{on: rules.WordBegins, m: m.Ref, thing: world.None})
	g.enterMap()
	g.settle()
	g.Cam.Map, g.Looked.Map = world.None, world.None
	g.watch()
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
	g.beginsAnew(g.Stage.Grounds[g.Entry.Map].ID)
}

// beginsAnew begins the game again on a map.
func (g *Game) beginsAnew(at document.ID) {
	next, err := StartWith(g.Stage, at, Given{Language: g.Language}, g.Seed)
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
	if m := d.Maps.Get(at); m != nil && !d.Solids().Any(m) && !slices.ContainsFunc(m.Entities.All(), func(e *document.Entity) bool { return d.Acts(e) == kind.GroundLine }) {
		return fmt.Sprintf("Nothing on %s is solid: no tile stops the hero. A tile is made solid by the map’s menu, many of them under Tilesets.", m.Name)
	}
	return ""
}
