package proof

import (
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

// Trap is a place in which one is stuck for good: what is held to come there was played, and from there on no goal can be reached.
type Trap struct {
	Map   world.Ref
	At    grid.Point
	Steps int
	Walk  []play.Input
	// Sure tells that it is computed; else no way on was found, though much was tried.
	Sure bool
	// By is the thing that stays shut there, None for nothing in particular.
	By world.Ref
}

// spendingLater is how many ways of spending keys are tried at the most from one situation.
const spendingLater = 100

// MaxTraps is how many traps are told.
const MaxTraps = 12

// trapped looks at the situations that a search came to for those from which no goal could be reached any more, a little at a time.
type trapped struct {
	s     *Search
	nodes []*node
	at    int
	out   []Trap
	bad   map[*node]bool
	now   *May
	// keys tells whether those that are left there run out, while that is asked; asked that it was.
	keys  *keyring
	asked bool
}

// Situations that a search has come to, in the order in which it did.
func (s *Search) stuck() *trapped {
	return &trapped{s: s, nodes: s.kept, bad: map[*node]bool{}}
}

// step looks at some more; true when all were looked at.
func (t *trapped) step(budget int) bool {
	for budget > 0 {
		if t.now == nil {
			if t.at == len(t.nodes) || len(t.out) >= MaxTraps {
				return true
			}
			n := t.nodes[t.at]
			if t.bad[n.before] { // one was stuck before
				t.bad[n] = true
				t.at++
				continue
			}
			t.now = Later(n.game)
		}
		if !t.now.goOn(budget) {
			return false
		}
		budget -= 2000
		n := t.nodes[t.at]
		if t.s.reaches(t.now) && !t.asked {
			t.asked, t.keys = true, newKeyring(t.now, func() *May { return Later(n.game) }, t.s.reaches)
			if t.keys != nil {
				t.keys.left = min(t.keys.left, spendingLater)
			}
		}
		dry := false
		if t.keys != nil {
			done := false
			if done, dry = t.keys.step(budget); !done {
				return false
			}
		}
		if dry || !t.s.reaches(t.now) {
			t.bad[n] = true
			var parts [][]play.Input
			for k := n; k != nil; k = k.before {
				parts = append(parts, k.keys)
			}
			slices.Reverse(parts)
			walk := slices.Concat(parts...)
			out := Trap{Map: n.game.Hero().Map, At: n.game.HeroCell(), Steps: entered(t.s.start, walk), Walk: walk, Sure: true, By: world.None}
			if dry {
				out.By = t.keys.why(t.s.st).By
			}
			for r := range t.s.st.Things {
				if !dry && len(t.now.shut[world.Ref(r)]) > 0 {
					out.By = world.Ref(r)
					break
				}
			}
			t.out = append(t.out, out)
		}
		t.now, t.keys, t.asked = nil, nil, false
		t.at++
	}
	return false
}

// entered is how many cells a walk enters.
func entered(start func() (*play.Game, error), keys []play.Input) (steps int) {
	g, err := start()
	if err != nil {
		return 0
	}
	m, at := g.Hero().Map, g.HeroCell()
	for _, in := range keys {
		if g.Step(in); g.Ground() == nil {
			return steps
		}
		if p := g.HeroCell(); g.Hero().Map != m {
			m, at = g.Hero().Map, p
		} else if p != at {
			at = p
			steps++
		}
	}
	return steps
}
