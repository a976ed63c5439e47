package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
)

// Load goes on with a game that was kept, and tells how many things are not in the game any more that were then: what was so
// of them, or that they moved.
func Load(st *world.Stage, at document.Moment) (g *Game, gone int, err error) {
	if g, err = Resume(st, at); err != nil {
		return nil, 0, err
	}
	gone = len(g.Away)
	for _, b := range at.Bodies {
		if st.ThingOf(b.Of.Map, b.Of.Entity) < 0 {
			gone++
		}
	}
	g.happen(happening{on: rules.WordLoads, thing: world.None})
	g.settle()
	return g, gone, nil
}

// Keepable says why a game cannot be kept as it is now; empty where it can.
func (g *Game) Keepable() string {
	switch {
	case g.Ground() == nil:
		return "The map that is played on was removed."
	case g.Over != NotOver:
		return "The game is over."
	}
	return ""
}
