package proof

import (
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

// walk plays inputs on from a situation, until it rests.
type walk struct {
	s      *Search
	before *node
	game   *play.Game
	keys   []play.Input
	// asked is how many questions in a row it was asked.
	asked int
}

func (s *Search) from(n *node) *walk { return &walk{s: s, before: n, game: n.game.Clone()} }

// long is how many ticks it took from the beginning.
func (w *walk) long() int {
	if w.before == nil {
		return len(w.keys)
	}
	return w.before.long + len(w.keys)
}

// livelyTicks is how many of what moves by itself on a map take as long as all else of a tick.
const livelyTicks = 6

func (w *walk) hold(in play.Input) {
	w.game.Step(in)
	w.keys = append(w.keys, in)
	w.s.ticks += 1 + w.game.Lively()/livelyTicks
}

// rest reads what is said and waits until nothing goes on by itself.
func (w *walk) rest() bool {
	for range 1200 {
		g := w.game
		switch {
		case g.Ground() == nil:
			return false
		case g.Over != play.NotOver:
			return true
		case g.Skippable():
			w.hold(play.InputSkip)
			w.hold(0)
		case len(g.Lines) > 0 && len(g.Lines[0].Answers) > 0:
			return true
		case len(g.Lines) > 0:
			w.hold(play.InputUse)
			w.hold(0)
		case g.Leaving >= 0 || g.Fade > 0 || !w.s.patient && slices.ContainsFunc(g.Threads, func(t play.Thread) bool { return t.Wait > 0 && t.For < play.ForSo }) || g.Held() || g.Lost != play.NotLost || g.Hero().Push > 0 || g.Hero().Flags&play.Stepping != 0:
			w.hold(0)
		default:
			return true
		}
	}
	return false
}

// stopped reports whether something came about that ends whatever a hero was doing on a map.
func stopped(g *play.Game, m world.Ref) bool {
	return g.Ground() == nil || g.Hero().Map != m || len(g.Lines) > 0 || g.Leaving >= 0 || g.Sent >= 0 || g.Over != play.NotOver || g.Lost != play.NotLost
}

// goTo walks to a target and does what there is to do; false where the engine does not go there.
func (w *walk) goTo(t target, way []grid.Point) bool {
	hash, m := w.game.Hash, w.game.Hero().Map
	if len(way) == 0 && w.game.HeroCell() != t.at {
		return false
	}
	for limit := 240 * (len(way) + 1); len(way) > 0 && limit > 0; limit-- {
		in, there := w.game.Toward(way[0])
		if there {
			way = way[1:]
			continue
		}
		w.hold(in)
		if stopped(w.game, m) || t.grows && w.game.Hash != hash {
			return w.rest()
		}
	}
	if len(way) > 0 {
		return false
	}
	if t.wait > 0 {
		return w.waits(t.wait)
	}
	if t.swap {
		w.hold(play.InputSwap)
		w.hold(0)
		return w.rest()
	}
	if t.push != "" {
		return w.push(t.push)
	}
	if t.turn != "" {
		w.hold([4]play.Input{play.InputUp, play.InputRight, play.InputDown, play.InputLeft}[t.turn.Index()])
	}
	if t.hand != "" && !w.take(t.hand) {
		return false
	}
	if t.use {
		w.hold(0)
		w.hold(play.InputUse)
		w.hold(0)
	}
	// over an edge, or into what holds the middle of the hero
	for n := 0; t.over != "" && n < 90 && w.game.Hero().Map == m && w.game.Leaving < 0; n++ {
		w.hold([4]play.Input{play.InputUp, play.InputRight, play.InputDown, play.InputLeft}[t.over.Index()])
	}
	return w.rest()
}
