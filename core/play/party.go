package play

import (
	"azzel/core/world"
	"slices"
)

// Member is a hero that another one is led instead of: where it waits, or, of one that follows, where it
// was when it was led last.
type Member struct {
	// Of is the thing that it is of; None was placed nowhere.
	Of world.Ref
	Place
	Facing uint8
	// Side is its team, where it began at a spawn of one.
	Side string
}

// Tread is where the one who is led was, for those who follow.
type Tread struct {
	Place
	Facing uint8
}

// followTicks is how many ticks of going one walks behind the one before, farthest how many of them are kept.
const (
	followTicks = 14
	farthest    = 16 * followTicks
)

// gather finds the heroes that the game has besides the one who is led.
func (g *Game) gather() {
	for _, r := range g.Stage.Heroes {
		if r != g.Hero().Of && g.There(r) {
			g.Party = append(g.Party, g.member(r))
		}
	}
}

// member is a hero where it is placed.
func (g *Game) member(r world.Ref) Member {
	t := g.Stage.Thing(r)
	m := g.Stage.Grounds[t.Map]
	b := Body{Of: r, Map: m.Ref}
	b.turn(t.Facing)
	w := g.Stage.Gait(m, r)
	cw, ch := m.Cell()
	box := t.Box(m.Map)
	b.X, b.Y = (int64(box.X)*cw*2+int64(box.W)*cw-w.W)/2, (int64(box.Y)*ch*2+int64(box.H)*ch-w.H)/2
	if m.Side {
		b.Y = int64(box.Y+box.H)*ch - w.H
	}
	return Member{Of: r, Place: Place{m.Ref, b.X, b.Y}, Facing: b.Facing}
}

// joins has a hero that was brought wait to be led, or one that was taken away not any more; who is led stays.
func (g *Game) joins(r world.Ref, there bool) {
	party := slices.DeleteFunc(slices.Clone(g.Party), func(m Member) bool { return m.Of == r })
	if there && g.Hero().Of != r {
		party = append(party, g.member(r))
	}
	g.Party = party
}

// swap leads the next hero: where it waits, or in the place of the one who is led, whom it follows.
func (g *Game) swap() {
	for range g.Party {
		next := g.Party[0]
		rest := slices.Clone(g.Party[1:])
		if next.Of >= 0 && !g.acts(next.Of) {
			g.Party = append(rest, next)
			continue
		}
		b := g.Hero()
		g.Party = append(rest, Member{b.Of, Place{b.Map, b.X, b.Y}, b.Facing, g.Side})
		g.Side = next.Side
		to := next.Place
		if g.follows(next.Of) {
			to = Place{b.Map, b.X, b.Y}
		} else {
			g.Trail = nil
		}
		changes := to.Map != b.Map
		*b = Body{Of: next.Of, Map: to.Map, X: to.X, Y: to.Y, Facing: next.Facing, Blink: b.Blink}
		g.setCount(Hearts, min(g.Count(Hearts), g.gait().Hearts))
		g.Entry, g.Touching = to, nil
		if changes {
			g.enterMap()
		}
		g.free()
		g.Inside = g.exitUnder(g.Ground())
		name := next.Side
		if t := g.Stage.Thing(next.Of); t != nil {
			name = t.Name
		}
		g.tell("leads", name)
		return
	}
}

// treads keeps the way of the one who is led, where somebody follows.
func (g *Game) treads() {
	b := g.Hero()
	here := Tread{Place{b.Map, b.X, b.Y}, b.Facing}
	if n := len(g.Trail); n > 0 && g.Trail[n-1].Place == here.Place || !slices.ContainsFunc(g.Party, func(m Member) bool { return g.follows(m.Of) }) {
		return
	}
	from := max(0, len(g.Trail)+1-farthest)
	g.Trail = append(append(make([]Tread, 0, len(g.Trail)-from+1), g.Trail[from:]...), here)
}

// Companions are the heroes that are not led, where they are now: who waits, and who follows.
func (g *Game) Companions() (out []Member) {
	behind := 0
	for _, m := range g.Party {
		if m.Of >= 0 && !g.There(m.Of) {
			continue
		}
		if g.follows(m.Of) {
			behind++
			at := Tread{Place{g.Hero().Map, g.Hero().X, g.Hero().Y}, g.Hero().Facing}
			if n := len(g.Trail); n > 0 {
				at = g.Trail[max(0, n-1-behind*followTicks)]
			}
			m.Place, m.Facing = at.Place, at.Facing
		}
		out = append(out, m)
	}
	return out
}

// eachHero calls f with the boxes of the heroes on a map: of the one who is led, and of all others.
func (g *Game) eachHero(m *world.Ground, f func(box world.Box)) {
	f(g.extent(g.Hero()))
	if len(g.Party) == 0 {
		return
	}
	for _, c := range g.Companions() {
		if c.Map == m.Ref {
			f(boxAt(g.Stage.Gait(m, c.Of), 0, c.X, c.Y))
		}
	}
}
