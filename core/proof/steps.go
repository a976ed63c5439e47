package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"container/heap"
)

// MaxSituations is how many situations that were played Steps keeps at the most; of those that are known over plain ground it keeps
// maxEnds.
const (
	MaxSituations = 40_000
	maxEnds       = 1_000_000
)

// Steps goes through all situations of a small game that is seen from above, nearest first by the cells that the hero enters
// (Dijkstra, 1959): so the first walk that finishes has the fewest steps, blocks are pushed, and when there is nothing left it is
// known from where no way leads to a goal any more.
type Steps struct {
	st    *world.Stage
	start func() (*play.Game, error)
	goals []world.Ref
	all   []stop
	// classes are what tells situations apart besides where the hero is; seen are the numbers of stops by class, cell and facing.
	classes []class
	classOf map[classKey]int32
	seen    map[uint64]int32
	open    stops
	ticks   int
	// even tells that ways over plain ground are known without being played; plains are those that were looked at.
	even   bool
	plains map[plainsKey]*plains
	pairs  int
	played int
	// failed tells that a walk over plain ground did not play, and all begins anew without.
	failed bool
	in     func(world.Ref) bool
	// Exact tells that nothing that matters was left out: with chance, time, or walking between cells it is not.
	Exact bool
	// Found is the walk of the fewest steps, nil for none yet.
	Found *Answer
	// Gone tells that all there is was gone through.
	Gone bool
	over bool
	// alone is the one map that is to be finished, whatever follows it; None for the game.
	alone world.Ref
}

// stop is a situation in which the hero rests: how it was come to, and where it leads.
type stop struct {
	game  *play.Game // nil once it was gone on from
	from  int32
	keys  []play.Input
	steps int32
	m     world.Ref
	at    grid.Point
	won   bool
	lost  bool
	next  []int32
	class int32
	// over is one more than how the hero looks that came there over plain ground, 0 where it was played; done tells that it was gone on from.
	over uint8
	done bool
}

// class is all situations that differ only in where the hero is on a map: a game that is in one of them on plain ground, which is never
// gone on with, and that ground.
type class struct {
	game   *play.Game
	plains *plains
}

type classKey struct {
	hash   [2]uint64
	m      world.Ref
	things uint64
	hand   string
}

// stops are numbers of situations, those of fewer steps first.
type stops struct {
	of  *Steps
	ids []int32
}

func (s *stops) Len() int { return len(s.ids) }
func (s *stops) Less(i, k int) bool {
	a, b := s.ids[i], s.ids[k]
	if x, y := s.of.all[a].steps, s.of.all[b].steps; x != y {
		return x < y
	}
	return a < b
}
func (s *stops) Swap(i, k int) { s.ids[i], s.ids[k] = s.ids[k], s.ids[i] }
func (s *stops) Push(x any)    { s.ids = append(s.ids, x.(int32)) }
func (s *stops) Pop() any {
	last := s.ids[len(s.ids)-1]
	s.ids = s.ids[:len(s.ids)-1]
	return last
}

// NewPar begins to look for the fewest steps in which one map is finished, whatever follows it.
func NewPar(st *world.Stage, m document.ID) *Steps {
	of := st.MapOf(m)
	return newSteps(st, func() (*play.Game, error) { return play.Start(st, m, Seed) }, of, func(o world.Ref) bool { return o == of })
}

// done reports whether what is looked for is so in a game.
func (s *Steps) done(g *play.Game) bool {
	if s.alone >= 0 {
		return g.Over == play.OverDone || g.Over == play.OverWon
	}
	return finished(g, s.goals)
}

// NewSteps begins to go through a game from where it begins; in tells which maps belong to it, nil being all.
func NewSteps(st *world.Stage, start func() (*play.Game, error), in func(world.Ref) bool) *Steps {
	return newSteps(st, start, world.None, in)
}

func newSteps(st *world.Stage, start func() (*play.Game, error), alone world.Ref, in func(world.Ref) bool) *Steps {
	s := &Steps{st: st, start: start, goals: Goals(st), alone: alone, in: in, even: even(st)}
	s.open.of = s
	if s.over = !Stepwise(st, in); !s.over {
		s.begin()
	}
	return s
}

// begin begins, or begins anew.
func (s *Steps) begin() {
	s.all, s.open.ids, s.classes, s.pairs, s.played = nil, nil, nil, 0, 0
	s.seen, s.classOf, s.plains = map[uint64]int32{}, map[classKey]int32{}, map[plainsKey]*plains{}
	g, err := s.start()
	if err != nil {
		s.over = true
		return
	}
	s.Exact = !perilous(s.st, s.in) // where one comes back to is told apart by nothing
	for _, m := range s.st.Grounds {
		s.Exact = s.Exact && (m.Template || s.in != nil && !s.in(m.Ref) || m.ByCells() && m.TimeLimit() == 0)
	}
	s.rested(-1, g, nil, g.HeroCell())
}

// Step goes on for about so many ticks of play; true when there is nothing more to do.
func (s *Steps) Step(budget int) bool {
	for until := s.ticks + budget; !s.over && s.ticks < until; {
		if s.Found != nil && len(s.open.ids) > 0 && int(s.all[s.open.ids[0]].steps) >= s.Found.Steps {
			s.Found.Fewest = true // whatever is left takes as many
		}
		if len(s.open.ids) == 0 {
			s.over, s.Gone = true, true
			if s.Found != nil {
				s.Found.Fewest = true
			}
			break
		}
		if s.played > MaxSituations || len(s.all) > maxEnds {
			s.over = true
			break
		}
		s.goOn(heap.Pop(&s.open).(int32))
		if s.failed {
			s.failed = false
			s.begin()
		}
	}
	if s.over {
		for i := range s.all {
			s.all[i].game = nil // nothing is gone on from any more
		}
		s.open.ids = nil
	}
	return s.over
}

// strides are the ways to go, those aslant last.
var strides = [8]struct {
	in     play.Input
	dx, dy int
}{{play.InputUp, 0, -1}, {play.InputRight, 1, 0}, {play.InputDown, 0, 1}, {play.InputLeft, -1, 0},
	{play.InputUp | play.InputRight, 1, -1}, {play.InputRight | play.InputDown, 1, 1}, {play.InputDown | play.InputLeft, -1, 1}, {play.InputLeft | play.InputUp, -1, -1}}

// goOn tries everything that can be done next in a situation: to go or push each way, and to use what is there. On plain ground only
// what is done at its border is played.
func (s *Steps) goOn(n int32) {
	at := &s.all[n]
	g, over, first := at.game, at.over, !at.done
	at.game, at.done = nil, true
	if at.won || at.lost || !first {
		return
	}
	if over > 0 {
		g = s.stood(at.class, at.at, over-1)
	}
	goes, uses := uint8(1<<8-1), over != anyway+1
	if p := s.classes[at.class].plains; p != nil && len(g.Lines) == 0 && g.Stands() {
		switch i := p.at(at.at); {
		case i < 0:
		case p.free[i]:
			if over == 0 || over == arrives+1 {
				s.spread(n, p, i)
			}
			goes, uses = 0, uses && over != arrives+1 && p.border[i] != 0 && !p.emptied(g, p.beyond(i, g.Hero().Look()))
			if over == anyway+1 {
				goes = s.into(n, p, i)
			}
		case p.emptied(g, i):
			goes, uses = s.through(n, p, i, uint8(g.Hero().Look().Index()))
		}
	}
	if len(g.Lines) > 0 {
		for k := range g.Lines[0].Answers {
			next, keys := g.Clone(), []play.Input(nil)
			hold := s.holder(next, &keys)
			for range k {
				hold(play.InputDown)
				hold(0)
			}
			hold(play.InputUse)
			hold(0)
			s.rested(n, next, keys, g.HeroCell())
		}
		return
	}
	ways := strides[:4]
	if g.Ground().Eight() {
		ways = strides[:]
	}
	for i, way := range ways {
		if goes>>i&1 == 0 {
			continue
		}
		in := way.in
		next, keys := g.Clone(), []play.Input(nil)
		hold := s.holder(next, &keys)
		from, m, hash := g.HeroCell(), g.Hero().Map, g.Hash
		to := grid.Point{X: from.X + way.dx, Y: from.Y + way.dy}
		x, y, stood := next.Hero().X, next.Hero().Y, 0
		for range 90 {
			do, there := next.Toward(to)
			if there {
				break
			}
			if m := next.Ground(); m != nil && m.ByCells() {
				do = in // who came round to another side stands off the middle of its cell
			} else if do&in == 0 {
				do |= in
			}
			hold(do)
			if stopped(next, m) || next.Hash != hash {
				break
			}
			if c := next.HeroCell(); c != from && c != to && next.Hero().Flags&play.Stepping == 0 && next.Ground().ByCells() {
				break // round to the other side of the map
			}
			if h := next.Hero(); h.X == x && h.Y == y {
				if stood++; stood > 24 {
					break // it stands against something
				}
			} else {
				x, y, stood = h.X, h.Y, 0
			}
		}
		hold(0)
		s.rested(n, next, keys, from)
	}
	use := func(hand string) {
		next, keys := g.Clone(), []play.Input(nil)
		hold := s.holder(next, &keys)
		for range len(next.Carried()) + 1 {
			if next.Hand == hand {
				break
			}
			hold(play.InputNext)
			hold(0)
		}
		hold(play.InputUse)
		hold(0)
		s.rested(n, next, keys, g.HeroCell())
	}
	if !uses {
		return
	}
	use("")
	for _, c := range g.Carried() {
		use(c.Word)
	}
}

// holder plays inputs on a game and notes them.
func (s *Steps) holder(g *play.Game, keys *[]play.Input) func(play.Input) {
	return func(in play.Input) {
		if g.Ground() == nil {
			return
		}
		g.Step(in)
		*keys = append(*keys, in)
		s.ticks++
	}
}

// rested waits until nothing goes on by itself and keeps the situation, if it is a new one.
func (s *Steps) rested(from int32, g *play.Game, keys []play.Input, was grid.Point) {
	w := &walk{s: &Search{}, game: g, keys: keys}
	rests := w.rest()
	s.ticks += w.s.ticks
	if !rests || g.Ground() == nil {
		s.Exact = false // something goes on and on
		return
	}
	if g.Over == play.OverDone && s.alone < 0 { // on to the map that follows
		w.hold(0)
		w.hold(play.InputUse)
		w.hold(0)
		w.rest()
	}
	if len(g.Timers) > 0 || g.Lucky() || len(g.Threads) > 0 {
		s.Exact = false
	}
	steps := int32(0) // what is held for one goes into one cell at the most
	if from >= 0 && (g.Hero().Map != s.all[from].m || g.HeroCell() != was) {
		steps = 1
	}
	c := s.class(g)
	k := s.key(c, g.HeroCell(), uint8(g.Hero().Look().Index()))
	won := s.done(g)
	if from >= 0 {
		steps += s.all[from].steps
	}
	if is, known := s.seen[k]; known && !won {
		if from >= 0 && is != from {
			s.all[from].next = append(s.all[from].next, is)
			if o := &s.all[is]; !o.done && o.steps > steps { // this way is nearer
				o.game, o.from, o.keys, o.steps, o.over = g, from, w.keys, steps, 0
				heap.Push(&s.open, is)
			}
		}
		return
	}
	lost := !won && g.Over != play.NotOver
	if lost && g.Ground().MoveLimit() > 0 {
		s.Exact = s.Exact && s.st.Book.Moves == kind.MovesCells // fewer moves might have come there, if they are no steps
	}
	n := s.keep(k, stop{game: g, from: from, keys: w.keys, steps: steps, m: g.Hero().Map, at: g.HeroCell(), won: won, lost: lost, class: c})
	if !won {
		return
	}
	if s.Found == nil || steps < int32(s.Found.Steps) {
		if a, ok := replayed(s.start, s.walkTo(n), s.done); ok {
			s.Found = a
		} else if s.even { // something happens on plain ground after all
			s.even, s.failed = false, true
		}
	}
}

// keep keeps a new situation, and goes on from it later.
func (s *Steps) keep(k uint64, o stop) int32 {
	n := int32(len(s.all))
	s.seen[k] = n
	if o.from >= 0 {
		s.all[o.from].next = append(s.all[o.from].next, n)
	}
	if s.all = append(s.all, o); !o.won {
		heap.Push(&s.open, n)
	}
	if s.pairs++; o.over == 0 {
		s.played++
	}
	return n
}

// Situations is how many situations were come to.
func (s *Steps) Situations() int { return len(s.all) }

// Pairs is how many pairs of a cell and what is so were come to.
func (s *Steps) Pairs() int { return s.pairs }
