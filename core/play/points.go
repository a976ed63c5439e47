package play

import "azzel/core/world"

// ByPoints tells how many points a turn has where the hero is; 0 where it does not go by points: then each step is a turn.
func (g *Game) ByPoints() int {
	if m := g.Ground(); m != nil {
		return int(g.pointsOn(m))
	}
	return 0
}

func (g *Game) pointsOn(m *world.Ground) int32 {
	if w := g.gait(); !m.Side && w.Turns {
		return w.Points
	}
	return 0
}

// refill gives the hero the points of a turn.
func (g *Game) refill() { g.setCount(Points, g.gait().Points) }

// worldsTurn lets the world move for a turn once the points are spent, or the player ends it, and gives them anew; the hero waits
// meanwhile. It tells whether the world moves.
func (g *Game) worldsTurn(in, pressed *Input) bool {
	left := g.Count(Turn)
	if left == 0 {
		b := g.Hero()
		if *pressed&InputSkip != 0 {
			g.setCount(Points, 0) // a turn that is ended in the middle of a step is over after it
		}
		if rests := b.Flags&Stepping == 0 && b.Push == 0; rests && g.Count(Points) <= 0 {
			left = TurnTicks
		}
	}
	if left == 0 {
		return false
	}
	*in, *pressed = 0, 0
	if g.setCount(Turn, left-1); left == 1 {
		g.refill()
	}
	return true
}

// spends takes a point for what the hero has begun: a step, a use.
func (g *Game) spends(n int32) { g.setCount(Points, max(0, g.Count(Points)-n)) }

// givenPoints adds what a thing that was taken gives of points.
func (g *Game) givenPoints(t *world.Thing) {
	if g.ByPoints() == 0 {
		return
	}
	if n := g.Stage.Doc.Value(t.Entity, "points").Thousandths() / 1000; n > 0 {
		g.setCount(Points, int32(min(int64(g.Count(Points))+n, 9999)))
	}
}
