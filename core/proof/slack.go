package proof

import (
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
)

// Jump is a jump on a walk, and by how many ticks it could have been begun sooner or later and still led to the same ground.
type Jump struct {
	Map   world.Ref
	At    grid.Point
	Tick  int
	Early int
	Late  int
}

// Slack is how many ticks there are in which it can be begun.
func (j *Jump) Slack() int { return j.Early + 1 + j.Late }

const (
	// maxSlack is how many ticks sooner and later are tried.
	maxSlack = 20
	// maxJumps is of how many jumps of a walk it is looked for.
	maxJumps = 400
	// longFlight is for how many ticks somebody falls at the most who is looked after.
	longFlight = 600
)

// slacks goes along a walk and tries each jump sooner and later.
type slacks struct {
	walk []play.Input
	game *play.Game
	tick int
	// before are the games before the last ticks, the newest last.
	before []*play.Game
	out    []Jump
}

func newSlacks(start func() (*play.Game, error), walk []play.Input) *slacks {
	g, err := start()
	if err != nil || len(walk) == 0 {
		return nil
	}
	return &slacks{walk: walk, game: g}
}

// step goes on for about so many ticks of play; true when the walk is over.
func (s *slacks) step(budget int) bool {
	for ; budget > 0 && s.tick < len(s.walk) && len(s.out) < maxJumps; budget-- {
		g, in := s.game, s.walk[s.tick]
		m := g.Ground()
		if m == nil || g.Over != play.NotOver {
			return true
		}
		if !m.Side {
			s.before = s.before[:0]
			g.Step(in)
			s.tick++
			continue
		}
		if s.before = append(s.before, g.Clone()); len(s.before) > maxSlack+1 {
			s.before = s.before[1:]
		}
		rose := g.Hero().VY
		at, stood := g.HeroCell(), g.Hero().Mode != play.Airborne
		pressed := in&play.InputJump != 0 && g.State.Held&play.InputJump == 0
		g.Step(in)
		if pressed && stood && g.Hero().VY < rose && g.Hero().Mode == play.Airborne && g.Ground() == m {
			budget -= s.tries(m, at)
		}
		s.tick++
	}
	return s.tick >= len(s.walk) || len(s.out) >= maxJumps
}

// tries begins the jump of this tick sooner and later; it gives for how many ticks was played.
func (s *slacks) tries(m *world.Ground, at grid.Point) (played int) {
	// where it leads to as it is
	flight := s.game.Clone()
	end := s.tick + 1
	for ; end < len(s.walk) && flying(flight, m); end++ {
		flight.Step(s.walk[end])
	}
	played = end - s.tick
	lands := func(g *play.Game, keys []play.Input) bool {
		for _, in := range keys {
			if g.Over != play.NotOver || g.Ground() != m || g.Lost != play.NotLost {
				break
			}
			g.Step(in)
			played++
		}
		for range longFlight {
			if !flying(g, m) {
				break
			}
			g.Step(keys[len(keys)-1] &^ play.InputJump)
			played++
		}
		return alike(flight, g)
	}
	j := Jump{Map: m.Ref, At: at, Tick: s.tick}
	keys := s.walk[s.tick:end]
	for n := 1; n <= maxSlack && n < len(s.before); n++ {
		if was := s.before[len(s.before)-1-n]; was.Hero().Mode == play.Airborne || was.Ground() != m || !lands(was.Clone(), keys) {
			break
		}
		j.Early = n
	}
	waits := s.walk[s.tick] &^ play.InputJump
	later := s.before[len(s.before)-1].Clone()
	for n := 1; n <= maxSlack; n++ {
		if later.Step(waits); later.Ground() != m || later.Lost != play.NotLost || !lands(later.Clone(), keys) {
			break
		}
		j.Late = n
	}
	s.out = append(s.out, j)
	return played
}

// flying reports whether the hero of a game is in the air on a map.
func flying(g *play.Game, m *world.Ground) bool {
	return g.Over == play.NotOver && g.Ground() == m && g.Lost == play.NotLost && g.Hero().Mode == play.Airborne
}

// alike reports whether two flights have led to the same: another map, the end of the game, or ground at the same height, at the most so
// many cells apart, with as many hearts.
func alike(a, b *play.Game) bool {
	if a.Over != b.Over || a.Ground() != b.Ground() || a.Ground() == nil || a.Lost != b.Lost || a.Count(play.Hearts) != b.Count(play.Hearts) {
		return false
	}
	if a.Over != play.NotOver {
		return true
	}
	const near = 6 // cells that it may come down beside
	p, q := a.HeroCell(), b.HeroCell()
	return a.Hero().Mode == b.Hero().Mode && p.Y == q.Y && p.X-q.X <= near && q.X-p.X <= near
}
