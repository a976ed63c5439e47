package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

const (
	// longestWalk is for how many ticks somebody tries to get somewhere.
	longestWalk = 30 * TicksPerSecond
	// actorSpeed is how many cells a second somebody walks who has no speed of his own.
	actorSpeed = 3
	// farthestWay is over how many cells somebody looks for a way.
	farthestWay = 20_000
)

// eachOf calls f with the things that a part names: all of a kind, what woke the rule, or one.
func (g *Game) eachOf(n *rules.Node, it world.Ref, f func(r world.Ref)) {
	if !n.At.Several() {
		f(g.target(n, it))
		return
	}
	for _, r := range g.several(n) {
		f(r)
	}
}

// several are the things that a part names that names all that are so.
func (g *Game) several(n *rules.Node) (out []world.Ref) {
	for r := range g.Stage.Things {
		if g.among(n, world.Ref(r)) {
			out = append(out, world.Ref(r))
		}
	}
	return out
}

// among reports whether a thing is one of those that a part names. Of what is named by a tag or an area only that counts which
// the part can be about.
func (g *Game) among(n *rules.Node, r world.Ref) bool {
	t := &g.Stage.Things[r]
	switch n.At.Type {
	case document.TypeKind:
		return document.ID(t.Kind) == n.At.ID
	case document.TypeWithin:
		in := g.Stage.ThingOf(n.At.Map, n.At.ID)
		if in < 0 || in == r || g.Stage.Things[in].Map != t.Map || !g.There(r) || !meets(g.Where(r), g.Where(in)) {
			return false
		}
	default:
		if !g.Stage.Doc.Covers(n.At, document.ID(t.Kind)) {
			return false
		}
	}
	return g.Stage.Takes(n, r)
}

// actors are the bodies that a part names: of the hero, or of others that are there. They hold until one is made.
func (g *Game) actors(n *rules.Node, it world.Ref) (out []*Body) {
	if n.At.Type == document.TypeHero {
		return []*Body{g.Hero()}
	}
	g.eachOf(n, it, func(r world.Ref) {
		switch b := g.bodyOf(r); {
		case r < 0:
		case r == g.Hero().Of:
			out = append(out, g.Hero())
		case g.being(r) && b != nil && g.There(r):
			out = append(out, b)
		}
	})
	return out
}

// sets has somebody begin to walk; false where that is done already: there is nobody, the map stands, or it is skipped.
func (g *Game) sets(n *rules.Node, t *Thread) bool {
	all := g.actors(n, t.It)
	if len(all) == 0 {
		return false
	}
	m := g.ground(all[0].Map)
	t.Far = 0
	if n.Word == rules.WordWalk {
		w, h := m.Cell()
		if dx, _ := wayOf(n).Step(); dx != 0 {
			h = w
		}
		if t.Far = g.number(n) * h; t.Far <= 0 {
			return false
		}
	}
	if t.Skips || m != g.Ground() {
		for range longestWalk {
			if g.walk(m, n, t) {
				break
			}
		}
		return false
	}
	t.For, t.Wait = ForWalk, longestWalk
	return true
}

func wayOf(n *rules.Node) document.Facing { return document.Facing(n.Blank("way").Word()) }

// walkOn moves those who walk because a rule says so.
func (g *Game) walkOn() {
	m := g.Ground()
	for i := range g.Threads {
		t := &g.Threads[i]
		if s := t.at(g.Stage); t.For == ForWalk && s != nil && t.Wait > 1 {
			if t.Wait--; m == nil || g.walk(m, s.Node, t) {
				t.Wait = 1
			}
		}
	}
}

// walk has those whom a part names walk for a tick; true when they are there, or give up.
func (g *Game) walk(m *world.Ground, n *rules.Node, t *Thread) (done bool) {
	g.by = t.By
	n = g.meant(n)
	all := g.actors(n, t.It)
	if len(all) == 0 {
		return true
	}
	if b := g.Hero(); slices.Contains(all, b) && b.Flags&Stepping != 0 {
		if !t.Skips {
			return false // it comes to the next cell first
		}
		b.X, b.Y, b.Flags = b.GoalX, b.GoalY, b.Flags&^Stepping
	}
	if n.Word == rules.WordGoTo {
		done = true
		for _, b := range all {
			done = g.seeks(m, b, n, t) && done
		}
		return done
	}
	dx, dy := wayOf(n).Step()
	blocked := n.Blank("blocked").Word()
	went := int64(0)
	for i, b := range all {
		far := min(t.Far, g.pace(m, b, t))
		moved := g.walks(m, b, int64(dx)*far, int64(dy)*far, blocked == rules.PassesThere)
		if i == 0 {
			went = moved
		}
	}
	t.Far -= went
	return t.Far <= 0 || went == 0 && blocked == rules.StopsThere
}

// pace is how far somebody walks in a tick because of a rule.
func (g *Game) pace(m *world.Ground, b *Body, t *Thread) int64 {
	if t.Pace > 0 {
		return max(1, g.usualPace(m, b)*int64(t.Pace)/100)
	}
	return g.usualPace(m, b)
}

func (g *Game) usualPace(m *world.Ground, b *Body) int64 {
	w, _ := m.Cell()
	speed := w * actorSpeed / TicksPerSecond
	if b == g.Hero() {
		return max(speed/2, g.gait().RunX)
	}
	if own := g.Stage.Thing(b.Of).Doing.SpeedX; own > 0 {
		return own
	}
	return speed
}

// walks moves somebody and gives how far he came.
func (g *Game) walks(m *world.Ground, b *Body, dx, dy int64, through bool) int64 {
	x, y := b.X, b.Y
	b.turn(facingOf(dx, dy))
	b.Steps = int32(g.Tick&0xffff) + 1
	flies := b != g.Hero() && g.Stage.Thing(b.Of).Acts == kind.Flyer
	switch {
	case through:
		b.X, b.Y = g.within(m, b, b.X+dx, b.Y+dy)
	case flies:
		g.glides(m, b, dx, dy)
	case m.Side:
		w := g.Stage.Gait(m, b.Of)
		g.across(m, b, w, dx, g.stands(m, b, w))
	default:
		g.step(b, dx, 0)
		g.step(b, 0, dy)
	}
	went := abs(b.X-x) + abs(b.Y-y)
	if went == 0 {
		b.Steps = 0
	}
	g.livelyOf = world.None
	if m.Side && dx != 0 {
		return abs(b.X - x)
	}
	return went
}

// seeks has somebody go for a tick by a way to what a part names, as near as he comes; true when he is there.
func (g *Game) seeks(m *world.Ground, b *Body, n *rules.Node, t *Thread) bool {
	to, ok := g.placeOfNamed(n.To, t.It, b.Map)
	if !ok {
		return true
	}
	at := g.extent(b)
	pace := g.pace(m, b, t)
	if m.Side {
		dx := (to.Left + to.Right - at.Left - at.Right) / 2
		return abs(dx) <= Sub || g.walks(m, b, sign(dx)*min(pace, abs(dx)), 0, false) == 0
	}
	if t.Far == 0 || b.X == b.GoalX && b.Y == b.GoalY {
		next, there := g.wayOn(m, b, to)
		if there {
			return true
		}
		b.GoalX, b.GoalY, t.Far = next.X, next.Y, 1
	}
	dx, dy := toward(b.X, b.GoalX, pace)-b.X, toward(b.Y, b.GoalY, pace)-b.Y
	if dx != 0 && dy != 0 {
		dy = 0
	}
	if g.walks(m, b, dx, dy, false) == 0 {
		t.Far = 0 // somebody stands there: another way, or the same again
	}
	return false
}

// wayOn is where a body's box goes next to come as near to a box as it can; there is true where it is.
func (g *Game) wayOn(m *world.Ground, b *Body, to world.Box) (next Place, there bool) {
	at := g.extent(b)
	w, h := at.Right-at.Left, at.Bottom-at.Top
	cw, ch := m.Cell()
	place := func(p grid.Point) Place {
		return Place{m.Ref, int64(p.X)*cw + (cw-w)/2, int64(p.Y)*ch + (ch-h)/2}
	}
	free := func(p grid.Point) bool {
		q := place(p)
		box := world.Box{Left: q.X, Top: q.Y, Right: q.X + w, Bottom: q.Y + h}
		return m.Bounds.Contains(p) && !g.blocked(m, b, box, box) && !(b != g.Hero() && b.Map == g.Hero().Map && meets(box, g.extent(g.Hero())))
	}
	from, goal := m.CellAt((at.Left+at.Right)/2, (at.Top+at.Bottom)/2), m.CellAt((to.Left+to.Right)/2, (to.Top+to.Bottom)/2)
	away := func(p grid.Point) int { return max(p.X-goal.X, goal.X-p.X) + max(p.Y-goal.Y, goal.Y-p.Y) }
	came := map[grid.Point]grid.Point{from: from}
	level, best := []grid.Point{from}, from
	for len(level) > 0 && len(came) < farthestWay && away(best) > 0 {
		var more []grid.Point
		for _, p := range level {
			if away(p) < away(best) {
				best = p
			}
			for _, way := range strides[:4] {
				q := grid.Point{X: p.X + way[0], Y: p.Y + way[1]}
				if _, seen := came[q]; !seen && free(q) {
					came[q] = p
					more = append(more, q)
				}
			}
		}
		level = more
	}
	if best == from {
		q := place(from)
		return q, b.X == q.X && b.Y == q.Y || g.blocked(m, b, at, world.Box{Left: q.X, Top: q.Y, Right: q.X + w, Bottom: q.Y + h})
	}
	for came[best] != from {
		best = came[best]
	}
	return place(best), false
}

// placeOfNamed is the box of what a blank names, on a map; not ok where it is elsewhere.
func (g *Game) placeOfNamed(o document.Object, it, m world.Ref) (at world.Box, ok bool) {
	if o.Type == document.TypeHero {
		return g.extent(g.Hero()), g.Hero().Map == m
	}
	r := g.target(&rules.Node{At: o}, it)
	if r < 0 || g.Stage.Thing(r).Map != m {
		return at, false
	}
	return g.Where(r), true
}

// acted does to those whom a part names what its word says, at once.
func (g *Game) acted(n *rules.Node, it world.Ref) {
	switch n.Word {
	case rules.WordTurn:
		for _, b := range g.actors(n, it) {
			b.turn(wayOf(n))
		}
	case rules.WordFace:
		for _, b := range g.actors(n, it) {
			if to, ok := g.placeOfNamed(n.To, it, b.Map); ok {
				b.face(g.extent(b), to)
			}
		}
	case rules.WordMove:
		for _, b := range g.actors(n, it) {
			g.puts(b, n, it)
		}
	case rules.WordThink:
		if n.At.Type == document.TypeHero {
			g.thinks(world.None, g.text(n))
			return
		}
		g.eachOf(n, it, func(r world.Ref) {
			if r >= 0 {
				g.thinks(r, g.text(n))
			}
		})
	case rules.WordJump, rules.WordAct:
		act := Act{Does: kind.Jumps, Hops: true, Left: hopTicks}
		if n.Word == rules.WordAct {
			act = Act{Does: n.Blank("pose").Word(), Left: int32(g.seconds(n))}
		}
		for _, b := range g.actors(n, it) {
			act.Of = b.Of
			if b == g.Hero() {
				act.Of = world.None
			}
			g.shown(act)
		}
	case rules.WordMend:
		g.eachOf(n, it, func(r world.Ref) {
			if r >= 0 {
				g.mends(r)
			}
		})
	case rules.WordHit, rules.WordDefeat:
		g.eachOf(n, it, func(r world.Ref) {
			switch {
			case r < 0 || !g.There(r):
			case n.Word == rules.WordHit:
				g.hits(r, g.Stage.Thing(r))
			default:
				g.falls(r, g.Stage.Thing(r))
			}
		})
	}
}

// puts sets somebody down where something is, in its middle, on its floor seen from the side.
func (g *Game) puts(b *Body, n *rules.Node, it world.Ref) {
	to, ok := g.placeOfNamed(n.To, it, b.Map)
	if !ok {
		g.Notice = "Somebody can be moved only to what is on the same map."
		return
	}
	at := g.extent(b)
	b.X += (to.Left + to.Right - at.Left - at.Right) / 2
	b.Y += (to.Top + to.Bottom - at.Top - at.Bottom) / 2
	if g.ground(b.Map).Side {
		b.Y += to.Bottom - at.Bottom - (to.Top+to.Bottom-at.Top-at.Bottom)/2
	}
	b.Flags &^= Stepping | Sunk
	b.VX, b.VY, b.GoalX, b.GoalY = 0, 0, b.X, b.Y
	g.livelyOf = world.None
}

// playAs leads another hero from now on, where it can be led.
func (g *Game) playAs(r world.Ref) {
	for range g.Party {
		if g.Party[0].Of == r {
			g.swap()
			return
		}
		g.Party = append(append([]Member{}, g.Party[1:]...), g.Party[0])
	}
}
