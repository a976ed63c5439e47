package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"cmp"
	"slices"
)

// standsSo reports whether those whom a part names look a way, are near something, or have it in sight: all of them.
func (g *Game) standsSo(n *rules.Node, it world.Ref) bool {
	so := func(r, m world.Ref, at world.Box, looks document.Facing) bool {
		if n.Word == rules.WordLooks {
			return looks == wayOf(n)
		}
		to, ok := g.placeOfNamed(n.To, it, m)
		if !ok {
			return false
		}
		w, h := g.ground(m).Cell()
		x, y := (to.Left+to.Right-at.Left-at.Right)*500/w, (to.Top+to.Bottom-at.Top-at.Bottom)*500/h
		far := g.number(n) * 1000
		if n.Word == rules.WordSpies {
			return g.views(r, m, at, n.To, it)
		}
		return far >= 0 && x*x+y*y <= far*far
	}
	if n.At.Type == document.TypeHero {
		return so(world.None, g.Hero().Map, g.extent(g.Hero()), g.Hero().Look())
	}
	all := true
	g.eachOf(n, it, func(r world.Ref) {
		if r < 0 || !g.There(r) {
			all = all && n.At.Several()
			return
		}
		t, looks := g.Stage.Thing(r), g.Stage.Thing(r).Facing
		if b := g.bodyOf(r); b != nil {
			looks = b.Look()
		}
		all = all && so(r, t.Map, g.Where(r), looks)
	})
	return all
}

// views reports whether somebody who stands somewhere has something in sight: it is there, no wall lies between, and it is no
// farther than he sees; who sees as far as one can sees to the end of the map.
func (g *Game) views(r, m world.Ref, at world.Box, what document.Object, it world.Ref) bool {
	to, ok := g.placeOfNamed(what, it, m)
	if on := g.target(&rules.Node{At: what}, it); !ok || on >= 0 && !g.There(on) {
		return false
	}
	on := g.ground(m)
	w, h := on.Cell()
	fromX, fromY := (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
	dx, dy := (to.Left+to.Right)/2-fromX, (to.Top+to.Bottom)/2-fromY
	if r >= 0 {
		x, y, far := dx*1000/w, dy*1000/h, g.Stage.Thing(r).Doing.Sight
		if far > 0 && x*x+y*y > far*far {
			return false
		}
	}
	return on.Clear(fromX, fromY, dx, dy)
}

// glimpse is a part of a rule that waits for somebody who sees something, by its place on the stage, and who sees it.
type glimpse struct {
	Part int
	Of   world.Ref
}

func (a glimpse) compare(b glimpse) int { return cmp.Or(a.Part-b.Part, int(a.Of-b.Of)) }

// glimpses tells rules of who has come to see something, or does not any more.
func (g *Game) glimpses(m *world.Ground) {
	if len(g.Stage.Glimpses) == 0 {
		return
	}
	before, now := g.Glimpsed, []glimpse{}
	for i, n := range g.Stage.Glimpses {
		g.eachOf(n, world.None, func(r world.Ref) {
			if t := g.Stage.Thing(r); t == nil || t.Map != m.Ref || !g.acts(r) {
				return
			}
			is := glimpse{i, r}
			sees := g.views(r, m.Ref, g.Where(r), n.To, r)
			_, had := slices.BinarySearchFunc(before, is, glimpse.compare)
			if sees {
				now = append(now, is)
			}
			if before != nil && sees != had && sees == (n.Word == rules.WordGlimpses) {
				g.happen(happening{on: n.Word, m: m.Ref, thing: r, of: n.To, seen: true})
			}
		})
	}
	slices.SortFunc(now, glimpse.compare)
	g.Glimpsed = now
}
