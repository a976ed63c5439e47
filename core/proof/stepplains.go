package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"container/heap"
	"slices"
)

// class is the number of what is so in a game besides where the hero is.
func (s *Steps) class(g *play.Game) int32 {
	k := classKey{g.Hash, g.Hero().Map, lying(s.st, g), g.Hand}
	n, known := s.classOf[k]
	if !known {
		n = int32(len(s.classes))
		s.classOf[k] = n
		s.classes = append(s.classes, class{})
	}
	c := &s.classes[n]
	if c.plains == nil && s.even && g.Over == play.NotOver && len(g.Lines)+len(g.Threads)+len(g.Timers)+len(g.Shots)+len(g.Blasts) == 0 && plainOn(s.st, g.Ground()) && g.Stands() {
		at := plainsKey{g.Ground(), k.things}
		p := s.plains[at]
		if p == nil {
			p = newPlains(g)
			s.plains[at] = p
			s.ticks += len(p.free) / 64
		}
		if i := p.at(g.HeroCell()); i >= 0 && (p.free[i] || p.emptied(g, i)) {
			c.game, c.plains = g.Clone(), p
		}
	}
	return n
}

// key tells stops apart.
func (s *Steps) key(class int32, at grid.Point, looks uint8) uint64 {
	return uint64(class)<<36 | uint64(uint16(at.X))<<20 | uint64(uint16(at.Y))<<4 | uint64(looks)
}

// stood is a game of a class in which the hero stands in a cell of plain ground.
func (s *Steps) stood(of int32, at grid.Point, looks uint8) *play.Game {
	g := s.classes[of].game.Clone()
	g.StandIn(at, document.Facings[looks%anyway])
	return g
}

// spread comes from a cell to the border of the plain ground that it lies in.
func (s *Steps) spread(n int32, p *plains, from int32) {
	of := s.all[n].class
	to := p.spread(from)
	s.ticks += len(to.ends)/8 + 1
	if k := s.key(of, p.cell(to.first), 15); s.seen[k] == 0 {
		s.seen[k] = 1
		s.pairs += to.size
	}
	for _, e := range to.ends {
		if is, isNew := s.come(n, e.cell, e.looks, e.far); isNew {
			s.all[is].next = append(s.all[is].next, n) // and back
		}
	}
}

// come comes from a situation to one that differs in nothing but the cell, so many steps away, and how the hero looks.
func (s *Steps) come(n, cell int32, looks uint8, far int32) (is int32, isNew bool) {
	of, steps := s.all[n].class, s.all[n].steps+far
	at := s.classes[of].plains.cell(cell)
	k := s.key(of, at, looks)
	is, known := s.seen[k]
	switch {
	case !known:
		return s.keep(k, stop{from: n, steps: steps, m: s.all[n].m, at: at, class: of, over: looks + 1}), true
	case is == n:
		return is, false
	}
	s.all[n].next = append(s.all[n].next, is)
	if o := &s.all[is]; !o.done && o.steps > steps {
		o.game, o.from, o.keys, o.steps, o.over = nil, n, nil, steps, looks+1
		heap.Push(&s.open, is)
	}
	return is, false
}

// walkTo is what is held from the beginning to a situation; what leads over plain ground is played to know it.
func (s *Steps) walkTo(n int32) []play.Input {
	var way []int32
	for ; n >= 0; n = s.all[n].from {
		way = append(way, n)
	}
	slices.Reverse(way)
	if !slices.ContainsFunc(way, func(n int32) bool { return s.all[n].over > 0 }) {
		var parts [][]play.Input
		for _, n := range way {
			parts = append(parts, s.all[n].keys)
		}
		return slices.Concat(parts...)
	}
	g, err := s.start()
	if err != nil {
		return nil
	}
	w := &walk{s: &Search{}, game: g}
	for _, n := range way {
		o := &s.all[n]
		if o.over == 0 {
			for _, in := range o.keys {
				w.hold(in)
			}
			continue
		}
		p := s.classes[o.class].plains
		for _, c := range p.way(p.at(s.all[o.from].at), p.at(o.at), o.over-1) {
			if w.walkTo(c); g.Ground() == nil || g.HeroCell() != c {
				return w.keys
			}
		}
	}
	return w.keys
}

// walkTo goes to a cell beside the one that the hero is in.
func (w *walk) walkTo(c grid.Point) {
	for range 90 {
		in, there := w.game.Toward(c)
		if there || w.game.Ground() == nil {
			break
		}
		w.hold(in)
	}
	w.hold(0)
	w.rest()
}
