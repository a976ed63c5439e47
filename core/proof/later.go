package proof

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
)

// Later begins with what could come about from a game on, as it stands: with what was used up, opened and moved in it. Where it
// errs, it is for more, as for a game that begins.
func Later(g *play.Game) *May {
	st := g.Stage
	f := facts(st)
	f.now = g
	for i, id := range st.Flags {
		f.yes[i], f.no[i] = g.Flag(id), !g.Flag(id)
	}
	for i, c := range st.Counters {
		n := g.Counter(c.ID)
		f.least[i], f.most[i] = n, n
	}
	for r := range st.Things {
		ref := world.Ref(r)
		f.taken[r] = g.Is(ref, play.Taken) && !g.Is(ref, play.Spent)
		f.opened[r] = f.opened[r] || g.Is(ref, play.Opened)
		f.away[r] = g.Is(ref, play.Gone)
		if t := st.Thing(ref); f.forgets(ref) { // it may be as at first again
			f.opened[r], f.shuts[r] = f.opened[r] || t.Entity.On, f.shuts[r] || !t.Entity.On
		}
	}
	for _, t := range g.Timers { // what goes back after a while
		f.opened[t.Of], f.shuts[t.Of] = true, true
	}
	for n, s := range st.Sheets {
		f.turns[n] = g.Lies(document.Object{Type: document.TypeLayer, Map: s.Map, ID: s.Layer}) == s.Absent
	}
	for _, m := range g.Entered {
		f.arrived[m] = true
	}
	f.fromHere(heroSpot(g))
	if perilous(st, nil) { // who is lost comes back
		if p := g.Back; p.Map >= 0 {
			m := st.Grounds[p.Map]
			f.enter(spot{m: p.Map, p: m.CellAt(p.X, p.Y)})
		}
	}
	for _, t := range g.Threads { // what has begun goes on
		tree := rules.TreeOf(st.Rules[t.Rule])
		f.does(tree.Then, t.It, anyTimes, func(is *bool) { *is = true })
		f.does(tree.Otherwise, t.It, anyTimes, func(is *bool) { *is = true })
	}
	return f
}

// forgets reports whether a thing may be as at first again: by what is set of it, or as its map starts afresh.
func (f *May) forgets(r world.Ref) bool {
	t := f.st.Thing(r)
	return t.Memory != document.Remembered && (t.Memory != "" || !f.st.Grounds[t.Map].Remembers())
}

// on reports whether a thing is on, or open, where what could be is looked at from.
func (f *May) on(r world.Ref) bool {
	if f.unlocked != nil && f.unlocked[r] {
		return true
	}
	if f.now != nil {
		return f.now.On(r)
	}
	return f.st.Thing(r).Entity.On
}

// missing reports whether a thing is not there from there on, unless it is brought.
func (f *May) missing(r world.Ref) bool {
	if f.now != nil {
		return !f.now.There(r) && !(f.forgets(r) && !f.st.Thing(r).Absent)
	}
	return f.st.Thing(r).Absent
}

// usedUp reports whether something was taken and used up, and nothing brings it back.
func (f *May) usedUp(r world.Ref) bool {
	return f.now != nil && f.now.Is(r, play.Taken) && !f.deeds().brings(r) && !f.forgets(r)
}

// spent reports whether a rule has run that does so once.
func (f *May) spent(r *document.Rule, tree *rules.Tree) bool {
	return f.now != nil && r.Once && !tree.OfKind && f.now.HasRun(f.st.RuleOf(r.ID))
}

// perilous reports whether anything could make the hero lose a heart, so that it comes back elsewhere; in tells which maps belong to the game,
// nil being all.
func perilous(st *world.Stage, in func(world.Ref) bool) bool {
	counts := func(m world.Ref) bool { return in == nil || in(m) }
	for i := range st.Things {
		t := &st.Things[i]
		if !counts(t.Map) {
			continue
		}
		switch t.Acts {
		case kind.Hazard, kind.Beam, kind.Turner, kind.Shooter, kind.Charge, kind.Walker, kind.Flyer, kind.Source, kind.LaneEntry, kind.Water:
			return true
		}
	}
	for _, r := range st.Rules {
		tree, harms := rules.TreeOf(r), false
		for _, all := range [][]*rules.Node{tree.Then, tree.Otherwise} {
			rules.Each(all, func(n *rules.Node) { harms = harms || n.Word == rules.WordHarm || n.Word == rules.WordHit })
		}
		if harms && !r.Off {
			return true
		}
	}
	for m, g := range st.Grounds {
		if !counts(world.Ref(m)) {
			continue
		}
		for _, side := range document.Facings {
			if g.Map.Side(side) == document.SideFall {
				return true
			}
		}
		if g.Perilous() {
			return true
		}
	}
	return false
}
