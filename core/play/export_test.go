package play

import (
	"azzel/core/document"
	"azzel/core/world"
	"errors"
)

// What tests do to a game from outside.

// BitsOfThing is how much can be so of a thing.
const BitsOfThing = int(bitsOfThing)

// Strike takes a heart as something ahead of the hero would.
func (g *Game) Strike() {
	box := g.extent(g.Hero())
	dx, dy := g.Hero().Look().Step()
	by := world.Box{Left: box.Left + int64(dx)*Sub, Top: box.Top + int64(dy)*Sub, Right: box.Right + int64(dx)*Sub, Bottom: box.Bottom + int64(dy)*Sub}
	g.struck(by, "", 1)
}

// Defeat hits a thing until it falls.
func (g *Game) Defeat(r world.Ref) {
	for n := 0; n < 9 && g.There(r); n++ {
		g.hits(r, g.Stage.Thing(r))
	}
}

// SetOwn sets what a thing has of its own.
func (g *Game) SetOwn(r world.Ref, key string, to int64) { g.setOwn(r, key, to) }

// EnterMap is what happens when the hero has come onto another map.
func (g *Game) EnterMap() { g.enterMap() }

// Fired counts the things of a kind that are gone.
func (g *Game) Fired(k string) (n int) {
	for r := range g.Stage.Things {
		if g.Stage.Things[r].Acts == k && g.Is(world.Ref(r), Gone) {
			n++
		}
	}
	return n
}

// Comes has the hero have come from a map.
func (g *Game) Comes(from world.Ref) { g.setCount(CameFrom, int32(from)+1) }

// Mark has something be so of a thing.
func (g *Game) Mark(r world.Ref, b Bit) { g.setThing(r, b, true) }

// GoThrough has the hero go through a passage, whatever it asks for.
func (g *Game) GoThrough(id document.ID) error {
	r := g.Stage.WayOf(id)
	if r < 0 {
		return errors.New("that passage is no longer there")
	}
	g.Leaving, g.Fade = r, FadeTicks
	return nil
}

// Ran reports whether a rule that runs once has run.
func (g *Game) Ran(id document.ID) bool {
	r := g.Stage.RuleOf(id)
	return r >= 0 && g.bit(ruleSlot(g.Stage, r))
}
