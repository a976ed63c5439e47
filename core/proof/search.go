package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"cmp"
	"slices"
)

// Search looks in the engine for a walk that finishes the game, a little at a time.
type Search struct {
	st    *world.Stage
	start func() (*play.Game, error)
	may   *May
	// bounded tells that all is known that could be.
	bounded bool
	// keys tells whether they run out, while it is not known; short tells that they do, or time or moves, which is the answer.
	keys  *keyring
	short bool
	goals []world.Ref
	// used are the items that rules wait for being used on things; an empty word waits for being spoken to.
	used map[document.End][]string
	// wielded are those that rules wait for being used wherever one is.
	wielded []string
	// hops is how many maps lie between each and a goal, as passages and seams lead.
	hops []int
	open frontier
	seen map[key]bool
	// often is how many situations were come to about a place.
	often map[key]int
	// plates are what blocks are pushed onto.
	plates []plate
	// been is what has been so in any situation.
	been  novelty
	ticks int
	made  int
	out   *Answer
	// whole goes on after a goal is reached; kept are all situations that were come to, in their order.
	whole bool
	kept  []*node
	// wanted is what is looked for in place of a goal, nil for a goal; skips is what is not gone on from, nil for nothing.
	wanted, skips func(*play.Game) bool
	// patient waits for what moves of itself; finer presses keys in more ways from the side.
	patient, finer bool
	// pressed are the ways of pressing keys, by who can do what.
	pressed [8][]press
	// other is the same search once more, begun after a while, that looks at maps in turn.
	other *Search
}

// Seed is what games draw from that are proven.
const Seed = 1

// MaxTicks is how many ticks a search plays at the most, MaxNodes how many situations it keeps.
const (
	MaxTicks = 3_000_000
	MaxNodes = 20_000
	// MaxCells is how large a map can be that a walk is looked for on.
	MaxCells = 1 << 18
)

// New begins to look for an answer from where a game begins.
func New(st *world.Stage) *Search { return NewFrom(st, atFirst(st)) }

// atFirst begins a game as a player's begins.
func atFirst(st *world.Stage) func() (*play.Game, error) {
	return func() (*play.Game, error) { return play.Start(st, "", Seed) }
}

// NewFrom begins to look for an answer from where a function begins games, each time alike.
func NewFrom(st *world.Stage, start func() (*play.Game, error)) *Search {
	s := &Search{st: st, start: start, seen: map[key]bool{}, often: map[key]int{}, used: usedOn(st.Doc), wielded: wielded(st)}
	g, err := start()
	if err != nil {
		s.out = &Answer{Is: Nothing, Why: "there is no spawn yet", By: world.None}
		return s
	}
	s.goals = Goals(st)
	if len(s.goals) == 0 && !wins(st) {
		s.out = &Answer{Is: Nothing, Why: goalless(st), By: world.None}
		return s
	}
	s.plates = platesOf(st)
	s.hops = hops(st, slices.Concat(s.goals, st.Book.Collects, aimed(st, s.goals)))
	s.may = s.begin()
	if w := (&walk{s: s, game: g}); w.rest() {
		s.add(w)
	}
	return s
}

// Step goes on for about so many ticks of play, or cells; the answer is nil until there is one.
func (s *Search) Step(budget int) *Answer {
	if s.out == nil && !s.bounded {
		if s.bounded = s.may.goOn(budget); s.bounded && !s.reaches(s.may) {
			s.out = s.cannot()
		} else if s.bounded && s.wanted == nil && s.skips == nil && !s.whole {
			if s.out = s.late(); s.out == nil {
				s.keys = newKeyring(s.may, s.begin, s.reaches)
			}
			s.short = s.out != nil
		}
		return s.out
	}
	if s.keys != nil {
		done, dry := s.keys.step(budget)
		if dry {
			s.out, s.short = s.keys.why(s.st), true
		}
		if done {
			s.keys = nil
		}
		return s.out
	}
	for until := s.played() + budget; s.out == nil && s.played() < until; {
		if s.inTurn() {
			if a := s.other.Step(turnTicks); a != nil && a.Is == Can {
				s.out = a
			}
			continue
		}
		if s.open.size == 0 && s.refines() {
			break
		}
		if s.open.size == 0 && !s.patient && !s.whole && s.restless() {
			s.again()
			break
		}
		if s.open.size == 0 || s.played() > MaxTicks || s.made > MaxNodes {
			s.out = &Answer{Is: Open, Why: "no walk was found", By: world.None}
			if s.played() > MaxTicks || s.made > MaxNodes {
				s.out.Why = "there are more situations than could be tried"
			}
			s.out.Why += s.howFar()
			break
		}
		n, before := s.open.pop(), s.ticks
		switch m := n.game.Ground(); {
		case m.Side:
			s.trySide(n)
		case m.Bounds.W*m.Bounds.H > MaxCells:
			s.out = &Answer{Is: Open, Why: m.Name + " is too large to look for a walk on it", By: world.None}
		case n.ways == nil:
			s.look(n)
			s.open.push(n)
		default:
			s.tryAbove(n)
		}
		s.open.took(s.ticks - before)
	}
	return s.out
}

// add keeps a situation that has not been seen.
func (s *Search) add(w *walk) {
	g, m := w.game, w.game.Ground()
	if m == nil || s.out != nil {
		return
	}
	switch {
	case s.wanted == nil && finished(g, s.goals):
		if !s.whole {
			s.finish(w)
		}
		return
	case g.Over == play.OverDone:
		s.next(w)
		return
	case g.Over != play.NotOver:
		return
	}
	if s.wanted != nil && s.wanted(g) {
		s.found(w)
		return
	}
	if s.skips != nil && s.skips(g) {
		return
	}
	if len(g.Lines) > 0 {
		s.answers(w)
		return
	}
	h := g.Hero()
	k := key{hash: g.Hash, m: h.Map, x: h.X >> 11, y: h.Y >> 11, mode: h.Mode, lies: lying(s.st, g)}
	if !m.Side {
		p := g.HeroCell()
		k.x, k.y, k.mode = int64(p.X), int64(p.Y), 0
	}
	if s.patient {
		k.stirs = stirring(g)
	}
	if s.seen[k] {
		return
	}
	s.seen[k] = true
	s.made++
	next := &node{game: g, before: w.before, keys: w.keys, long: w.long(), order: s.made}
	if w.before != nil {
		next.news = w.before.news
	}
	if s.been.isNew(g) {
		next.news++
	}
	s.kept = append(s.kept, next)
	place := key{m: k.m, x: k.x, y: k.y}
	next.far = next.long + hopTicks*s.before(g) - noveltyTicks*next.news + pushTicks*s.unweighed(g) + againTicks*s.often[place]
	s.often[place]++
	s.open.push(next)
}

// look finds what can be walked to on a map that is seen from above, the nearest first. What can
// only rise, as taking something does, is done first and alone: afterwards all else is still there.
func (s *Search) look(n *node) {
	g := n.game
	m := g.Ground()
	n.ways = g.Ways()
	s.ticks += (n.ways.Looked + int(m.After-m.First)) / 4
	near := spots{n.ways}
	for r := m.First; r < m.After; r++ {
		t := s.st.Thing(r)
		if !g.There(r) {
			continue
		}
		for _, word := range s.used[s.st.End(r)] {
			if n0 := len(n.targets); word == "" || g.Has(word) {
				if n.targets = near.beside(n.targets, m, t); len(n.targets) > n0 {
					n.targets[n0].hand = word
				}
			}
		}
		switch t.Acts {
		case kind.Collectible, kind.Key, kind.Item, kind.Goal, kind.Exit, kind.Door:
			if t.Acts == kind.Door && !g.On(r) && t.Doing.Needs != "" && g.Has(t.Doing.Needs) {
				n.targets = near.beside(n.targets, m, t)
				continue
			}
			if t.Acts == kind.Door && (!g.On(r) || s.st.WayFrom(s.st.End(r)) < 0) || t.Acts == kind.Goal && g.Is(r, play.Reached) {
				continue
			}
			n.targets = near.touching(n.targets, m, t, t.Acts == kind.Collectible || t.Acts == kind.Key || t.Acts == kind.Item)
		case kind.Switch:
			if t.Doing.Worked == world.ByUse {
				n.targets = near.beside(n.targets, m, t)
			} else {
				n.targets = near.touching(n.targets, m, t, false)
			}
		case kind.Sensor:
			if !g.Is(r, play.Reached) && g.On(r) {
				n.targets = near.touching(n.targets, m, t, false)
			}
		case kind.Breakable, kind.Plot:
			n.targets = near.beside(n.targets, m, t)
		case kind.Charge:
			if t.Doing.Lit == world.LitByTouch {
				n.targets = near.touching(n.targets, m, t, false)
			} else if t.Doing.Lit != world.LitByRule && !g.On(r) {
				n.targets = near.beside(n.targets, m, t)
			}
		case kind.Container:
			if !g.On(r) {
				n.targets = near.beside(n.targets, m, t)
			}
		}
	}
	for _, word := range s.wielded {
		if g.Has(word) && g.Rests(word) == 0 {
			n.targets = append(n.targets, target{at: g.HeroCell(), use: true, hand: word})
		}
	}
	n.targets = s.pushes(n.targets, near, g, m)
	n.targets = append(n.targets, near.edges(m)...)
	if s.patient {
		s.patiently(n)
	}
	if len(g.Party) > 0 {
		n.targets = append(n.targets, target{at: g.HeroCell(), swap: true})
	}
	slices.SortStableFunc(n.targets, func(a, b target) int {
		if a.grows != b.grows {
			return map[bool]int{true: -1, false: 1}[a.grows]
		}
		return cmp.Compare(a.far, b.far)
	})
}

// tryAbove tries the next of what can be walked to.
func (s *Search) tryAbove(n *node) {
	if n.tried == len(n.targets) {
		n.ways, n.targets = nil, nil // nothing is left to be tried
		return
	}
	t := n.targets[n.tried]
	n.tried++
	w := s.from(n)
	went := w.goTo(t, n.ways.To(t.at))
	switch {
	case went && t.grows && w.game.Hash != n.game.Hash:
		s.add(w)
		n.ways, n.targets = nil, nil
		return // the rest is tried from there
	case went && !t.grows:
		s.add(w)
	}
	s.open.push(n)
}

// target is somewhere to go, and what to do there.
type target struct {
	at   grid.Point
	far  int
	use  bool
	turn document.Facing
	// over is the edge to go over from there.
	over  document.Facing
	grows bool
	// push is which way a block is pushed from there.
	push document.Facing
	// swap leads another hero; hand takes an item in hand first.
	swap bool
	hand string
	// wait is for how many ticks it waits there.
	wait int
}
