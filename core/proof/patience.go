package proof

import (
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

const (
	// waitTicks is how finely it is told where something is in its round.
	waitTicks = 12
	// longestWait is for how many ticks the hero waits at the most for something.
	longestWait = 1800
	// nearCells is how many cells away what moves matters to the hero.
	nearCells = 10
)

// restless tells whether it can matter when somebody does something.
func (s *Search) restless() bool {
	return slices.ContainsFunc(s.st.Things, func(t world.Thing) bool { return stirs(&t) })
}

// stirs tells whether something moves or acts by itself, so that it matters when somebody comes.
func stirs(t *world.Thing) bool {
	switch t.Acts {
	case kind.Platform, kind.Walker, kind.Flyer, kind.Turner, kind.Shooter, kind.Timer, kind.Source, kind.Faller:
		return true
	case kind.Beam:
		return t.Doing.OnFor > 0 && t.Doing.OffFor > 0
	case kind.Switch, kind.Door:
		return t.Doing.Returns == world.AfterAWhile
	case kind.Character:
		return t.Doing.Way != nil || t.Doing.Habit != world.Stands && t.Doing.Habit != world.LooksAround
	}
	return false
}

// again begins once more from the beginning, patiently: the hero waits as well, goes cell by cell where something moves near it, and
// situations are told apart by where that is. So a hero who goes at once, which is what is looked for first, is not held up by it.
func (s *Search) again() {
	s.patient, s.made = true, 0
	s.seen, s.kept, s.been = map[key]bool{}, nil, novelty{}
	g, err := s.start()
	if err != nil {
		return
	}
	if w := (&walk{s: s, game: g}); w.rest() {
		s.add(w)
	}
}

// stirring tells apart where that is which moves of itself near the hero, and what is about to happen by itself; 0 is nothing of it.
func stirring(g *play.Game) uint64 {
	m, st := g.Ground(), g.Stage
	w, h := m.Cell()
	b := g.Hero()
	near := world.Box{Left: b.X - nearCells*w, Top: b.Y - nearCells*h, Right: b.X + (nearCells+1)*w, Bottom: b.Y + (nearCells+1)*h}
	sum := uint64(0)
	tell := func(what, a, b int64) {
		sum = (sum ^ uint64(what)<<48 ^ uint64(a)<<24 ^ uint64(b)&0xffffff) * 0x9e3779b97f4a7c15
		sum ^= sum >> 29
	}
	for i := range g.Bodies {
		b := &g.Bodies[i]
		if b.Of < 0 || b.Map != m.Ref || !st.Thing(b.Of).Doing.Goes || st.Thing(b.Of).Acts == kind.Block || !g.There(b.Of) || b.X < near.Left || b.Y < near.Top || b.X > near.Right || b.Y > near.Bottom {
			continue
		}
		if st.Thing(b.Of).Acts == kind.Faller && b.VY == 0 && b.Timer == 0 {
			continue
		}
		tell(int64(b.Of)<<3|int64(b.Way+1), b.X*2/w, b.Y*2/h)
	}
	for _, r := range m.Dangers() {
		t := st.Thing(r)
		round := int64(t.Doing.Every)
		if t.Acts == kind.Beam {
			round = int64(t.Doing.OnFor + t.Doing.OffFor)
			if t.Doing.OnFor == 0 || t.Doing.OffFor == 0 {
				continue
			}
		}
		at := g.Where(r)
		if round == 0 || at.Right+t.Doing.RangeX < near.Left || at.Left-t.Doing.RangeX > near.Right || at.Bottom+t.Doing.RangeY < near.Top || at.Top-t.Doing.RangeY > near.Bottom {
			continue
		}
		tell(int64(r)<<3, g.Tick%round/waitTicks, 1)
	}
	for _, shot := range g.Shots {
		tell(int64(shot.Of)<<3|5, shot.X/w, shot.Y/h)
	}
	for _, t := range g.Timers {
		if st.Thing(t.Of).Map == m.Ref {
			tell(int64(t.Of)<<3|6, int64(t.Left)/waitTicks, 2)
		}
	}
	for i := range g.Threads {
		if t := &g.Threads[i]; t.Wait > 0 {
			tell(int64(t.Rule)<<3|7, int64(t.Wait)/waitTicks, int64(t.Next))
		}
	}
	return sum
}

// due is for how many ticks it is worth waiting at the most until something moves on, rings, goes back or comes near; 0 is for none.
func due(g *play.Game) (ticks int) {
	for _, t := range g.Timers {
		ticks = max(ticks, int(t.Left)+1)
	}
	for i := range g.Threads {
		if g.Threads[i].For < play.ForSo {
			ticks = max(ticks, int(g.Threads[i].Wait)+1)
		}
	}
	if ticks == 0 && (stirring(g) != 0 || slices.ContainsFunc(g.Bodies, func(b play.Body) bool {
		return b.Of >= 0 && b.Map == g.Hero().Map && g.Stage.Thing(b.Of).Doing.Goes && g.Stage.Thing(b.Of).Acts != kind.Block
	})) {
		return longestWait
	}
	return min(ticks, longestWait)
}

// waits until something that moves near the hero is elsewhere, or comes about, for so many ticks at the most.
func (w *walk) waits(ticks int) bool {
	hash, m, stirs := w.game.Hash, w.game.Hero().Map, stirring(w.game)
	for n := range ticks {
		if n%4 == 3 && stirring(w.game) != stirs {
			break
		}
		w.hold(0)
		if stopped(w.game, m) || w.game.Hash != hash {
			break
		}
	}
	return w.rest()
}

// patiently adds waiting and, where something moves near the hero, going to the cells beside it.
func (s *Search) patiently(n *node) {
	at := n.game.HeroCell()
	if ticks := due(n.game); ticks > 0 {
		n.targets = append(n.targets, target{at: at, wait: ticks})
	}
	if stirring(n.game) == 0 {
		return
	}
	for _, by := range []grid.Point{{X: 0, Y: -1}, {X: 1, Y: 0}, {X: 0, Y: 1}, {X: -1, Y: 0}} {
		p := grid.Point{X: at.X + by.X, Y: at.Y + by.Y}
		if far, ok := n.ways.Far(p); ok && far == 1 {
			n.targets = append(n.targets, target{at: p, far: 1})
		}
	}
}

// waitSide waits where the hero rests on a map that is seen from the side, after all else was tried from there.
func (s *Search) waitSide(n *node) {
	if w := s.from(n); w.waits(due(n.game)) && w.game.Count(play.Hearts) >= n.game.Count(play.Hearts) {
		s.add(w)
	}
}
