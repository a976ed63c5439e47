package play

import (
	"azzel/core/document"
	"azzel/core/world"
)

// Guise is the number of the guise that a thing is in; 0 is the first.
func (g *Game) Guise(r world.Ref) int {
	is, _ := g.Own(r, document.GuiseKey)
	return int(is)
}

// Appears is the guise that a thing is in; nil is the first.
func (g *Game) Appears(r world.Ref) *document.Guise {
	if t := g.Stage.Thing(r); len(t.Guises) > 0 {
		return document.GuiseIn(t.Guises, g.Guise(r))
	}
	return nil
}

// saidBy is what a thing says in the guise that it is in.
func (g *Game) saidBy(r world.Ref, t *world.Thing) string {
	if in := g.Appears(r); in != nil && in.Says != "" {
		return in.Says
	}
	return t.Doing.Says
}

// disguises puts a thing into a guise that it has.
func (g *Game) disguises(r world.Ref, number int) {
	t := g.Stage.Thing(r)
	if t == nil || number != 0 && document.GuiseIn(t.Guises, number) == nil || g.Guise(r) == number {
		return
	}
	g.setOwn(r, document.GuiseKey, int64(number))
	name := document.FirstGuise
	if in := g.Appears(r); in != nil {
		name = in.Name
	}
	g.tell("guise", t.Name+", "+name)
}

// turnsInto has things go over into other guises: the first way that leads on from the one that each is in, where what it
// asks is so, and one of each in a tick. It reports whether one did.
func (g *Game) turnsInto() (turned bool) {
	for _, turning := range g.Stage.Turnings() {
		r := turning.Thing
		if !g.There(r) {
			continue
		}
		is := g.Guise(r)
		for _, way := range turning.Ways {
			if way.From == is && !(way.Of.Once && g.hasRun(way.Rule, r)) && g.all(way.If, r) {
				g.disguises(r, way.To)
				g.begin(way.Rule, r, 0)
				turned = true
				break
			}
		}
	}
	return turned
}
