package play

import (
	"azzel/core/kind"
	"azzel/core/world"
	"cmp"
	"slices"
)

// Starts are the spawns of a map that heroes begin or come back at, and the heroes that are placed there, in the order of
// their turns, of equal ones by rank. Heroes have
// the first.
func Starts(st *world.Stage, m *world.Ground) (out []world.Ref) {
	for r := m.First; r < m.After; r++ {
		if t := st.Thing(r); (t.Acts == kind.Spawn || t.Acts == kind.Hero) && !t.Absent && !t.Entity.Disabled {
			out = append(out, r)
		}
	}
	turn := func(r world.Ref) int32 { return max(1, st.Thing(r).Doing.Turn) }
	slices.SortStableFunc(out, func(a, b world.Ref) int { return cmp.Compare(turn(a), turn(b)) })
	return out
}

// Others are the starts of a map besides the one where a game begins that somebody may come to stand at: the first of each
// other team, and those to which one comes back, of each turn the first.
func Others(st *world.Stage, m *world.Ground) (out []world.Ref) {
	type turn struct {
		side string
		n    int32
	}
	seen := map[turn]bool{}
	for i, r := range Starts(st, m) {
		t := st.Thing(r)
		if t.Acts != kind.Spawn {
			continue
		}
		if key := (turn{t.Doing.Side, t.Doing.Turn}); !seen[key] {
			seen[key] = true
			if i > 0 {
				out = append(out, r)
			}
		}
	}
	return out
}

// sides finds the heroes of the other teams of the map where the game begins: each at the first of its spawns.
func (g *Game) sides(m *world.Ground) {
	for _, r := range Others(g.Stage, m) {
		side := g.Stage.Thing(r).Doing.Side
		if side == "" || side == g.Side || slices.ContainsFunc(g.Party, func(o Member) bool { return o.Side == side }) {
			continue
		}
		p := g.member(r)
		p.Of, p.Side = world.None, side
		g.Party = append(g.Party, p)
	}
}

// turn is where somebody comes back to who was to come back at a spawn: at the one of the next turn, after the last at the
// first again.
func (g *Game) turn(back Place) Place {
	m := g.ground(back.Map)
	if m == nil {
		return back
	}
	var all []Place
	last, at := int32(0), -1
	for _, r := range Starts(g.Stage, m) {
		t := g.Stage.Thing(r)
		if t.Acts != kind.Spawn || t.Doing.Side != g.Side {
			continue
		}
		p := g.member(r)
		if p.Place == back {
			at = len(all)
			if t.Doing.Turn == last {
				at--
			}
		}
		if t.Doing.Turn > last {
			all, last = append(all, p.Place), t.Doing.Turn
		}
	}
	if at < 0 || len(all) == 0 {
		return back
	}
	return all[(at+1)%len(all)]
}
