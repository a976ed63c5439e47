package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
)

// late is the answer where all that finishes the game lies farther away than a limit of time or moves lets the hero come on the map on which
// it begins, or on one that follows, whatever else it does; nil where that is not so, or where something could bring it there sooner than its legs.
func (s *Search) late() *Answer {
	g, err := s.start()
	if err != nil || g.Ground() == nil {
		return nil
	}
	out, on := s.lateOn(g)
	if c := newCourse(s.st, g.Hero().Map); c != nil {
		for _, id := range c.maps[1:] {
			if !on || out != nil {
				break
			}
			if g, err = play.Start(s.st, id, Seed); err != nil || g.Ground() == nil {
				return nil
			}
			out, on = s.lateOn(g)
		}
	}
	return out
}

// lateOn is late for the map on which a game is; on tells that it is left by finishing it alone.
func (s *Search) lateOn(g *play.Game) (a *Answer, on bool) {
	m := g.Ground()
	if g.Round.Map != m.Ref && m.Judged() || !s.walksOn(m) {
		return nil, false
	}
	moves := int64(m.MoveLimit())
	if s.st.Book.Moves != kind.MovesCells {
		moves = 0
	}
	if m.TimeLimit() == 0 && moves == 0 || m.Bounds.W*m.Bounds.H > MaxCells {
		return nil, true
	}
	steps, ticks := s.farthest(g)
	switch {
	case steps.to == world.None:
	case m.TimeLimit() > 0 && ticks.takes > m.TimeLimit()-g.Round.Ticks:
		a = &Answer{Is: Cannot, By: ticks.to, Why: fmt.Sprintf("it takes at least %s to come to %s, and %s is lost after %s", seconds(ticks.takes), s.st.Thing(ticks.to).Name, m.Name, seconds(m.TimeLimit()))}
	case moves > 0 && steps.takes > moves-int64(g.Round.Moves):
		a = &Answer{Is: Cannot, By: steps.to, Why: fmt.Sprintf("it takes at least %d moves to come to %s, and %s is lost after %d", steps.takes, s.st.Thing(steps.to).Name, m.Name, moves)}
	}
	return a, true
}

// seconds writes ticks to a tenth of a second.
func seconds(ticks int64) string {
	tenths := (ticks*10 + world.TicksPerSecond/2) / world.TicksPerSecond
	if tenths%10 == 0 {
		return fmt.Sprintf("%d seconds", tenths/10)
	}
	return fmt.Sprintf("%d.%d seconds", tenths/10, tenths%10)
}

// elsewhere are the words of rules that bring the hero somewhere, or finish a game by themselves.
var elsewhere = []string{rules.WordSend, rules.WordWin, rules.WordFinish}

// walksOn reports whether the hero goes over a map on its own legs alone, and leaves it by finishing it alone. Where it comes back to
// after a loss it has been before, but for spawns by turns.
func (s *Search) walksOn(m *world.Ground) bool {
	st := s.st
	if !m.Walked() || st.Book.Flag >= 0 || len(st.Chart.SeamsOf(m.ID)) > 0 {
		return false
	}
	for _, way := range document.Facings {
		if side := m.Map.Side(way); side != document.SideWall && side != document.SideFall {
			return false
		}
	}
	for _, p := range st.Ways {
		if p.From.Map == m.ID {
			return false
		}
	}
	return !slices.ContainsFunc(st.Rules, func(r *document.Rule) (is bool) {
		r.Parts.Each(func(p *document.RulePart) { is = is || slices.Contains(elsewhere, p.Word) })
		return is
	})
}

// begins are the cells on the map of a game from which somebody may set out: where the hero is, and the spawns of others and of other turns.
func (s *Search) begins(g *play.Game) []grid.Point {
	m := g.Ground()
	out := []grid.Point{g.HeroCell()}
	for _, r := range play.Others(s.st, m) {
		box := s.st.Thing(r).Body
		out = append(out, m.CellAt((box.Left+box.Right)/2, (box.Top+box.Bottom)/2))
		if m.Side {
			out = append(out, m.CellAt((box.Left+box.Right)/2, box.Bottom-s.st.Gait(m, world.None).H/2))
		}
	}
	return out
}

// farthest is what has to be come to on the map of a game, over how many cells and in how many ticks at the least: the nearest goal, or the
// farthest of what is to be collected; None where that is not known.
func (s *Search) farthest(g *play.Game) (steps, ticks distance) {
	st, m, begins := s.st, g.Ground(), s.begins(g)
	far := s.may.steps(m, begins)
	columns := func(x int) (n int64) {
		for i, p := range begins {
			if d := int64(max(x-p.X, p.X-x)); i == 0 || d < n {
				n = d
			}
		}
		return n
	}
	near := func(r world.Ref) (steps, ticks int64) {
		t, w := st.Thing(r), st.Gait(m, g.Hero().Of)
		from := m.CellAt(t.Body.Left-w.W/2-world.Unit, t.Body.Top-w.H/2-world.Unit)
		to := m.CellAt(t.Body.Right+w.W/2+world.Unit, t.Body.Bottom+w.H/2+world.Unit)
		steps = -1
		for y := from.Y; y <= to.Y; y++ {
			for x := from.X; x <= to.X; x++ {
				p := grid.Point{X: x, Y: y}
				if !m.Bounds.Contains(p) {
					continue
				}
				if n := far[(y-m.Bounds.Y)*m.Bounds.W+x-m.Bounds.X]; n >= 0 {
					if took := leastTicks(st, m, int64(n), columns(x)); steps < 0 {
						steps, ticks = int64(n), took
					} else {
						steps, ticks = min(steps, int64(n)), min(ticks, took)
					}
				}
			}
		}
		return steps, ticks
	}
	collects := len(st.Book.Collects) > 0
	steps.to, ticks.to = world.None, world.None
	for r := m.First; r < m.After; r++ {
		if collects && (!slices.Contains(st.Book.Collects, r) || g.Is(r, play.Taken)) || !collects && st.Thing(r).Acts != kind.Goal {
			continue
		}
		n, took := near(r)
		if n < 0 && collects {
			return distance{to: world.None}, distance{to: world.None}
		}
		if n >= 0 {
			steps.holds(r, n, collects)
			ticks.holds(r, took, collects)
		}
	}
	return steps, ticks
}

// distance is what has to be come to, and what that takes.
type distance struct {
	to    world.Ref
	takes int64
}

// holds takes over the farther, or the nearer one.
func (d *distance) holds(r world.Ref, takes int64, farther bool) {
	if d.to == world.None || takes != d.takes && farther == (takes > d.takes) {
		d.to, d.takes = r, takes
	}
}

// steps is over how many cells of a map the hero's middle goes at the least, from any of some, until it is in each, row by row, −1 for never: in
// eight ways, unless it walks from cell to cell in four.
func (f *May) steps(m *world.Ground, from []grid.Point) []int32 {
	b := m.Bounds
	out := make([]int32, b.W*b.H)
	for i := range out {
		out[i] = -1
	}
	four := !m.Side && m.ByCells() && !m.Eight()
	at := func(p grid.Point) int { return (p.Y-b.Y)*b.W + p.X - b.X }
	todo := slices.DeleteFunc(slices.Clone(from), func(p grid.Point) bool { return !b.Contains(p) })
	for _, p := range todo {
		out[at(p)] = 0
	}
	for ; len(todo) > 0; todo = todo[1:] {
		p := todo[0]
		for dy := -1; dy <= 1; dy++ {
			for dx := -1; dx <= 1; dx++ {
				q := grid.Point{X: p.X + dx, Y: p.Y + dy}
				if four && dx != 0 && dy != 0 || !b.Contains(q) || out[at(q)] >= 0 || !f.reached[m.Ref].has(q) {
					continue
				}
				out[at(q)] = out[at(p)] + 1
				todo = append(todo, q)
			}
		}
	}
	return out
}

// leastTicks is how long it takes at the least until the middle of the hero is in a cell that many steps and columns away. Looked at whenever
// it has gone a cell's width, it is each time in the same cell or one beside it; so it has gone one cell less than there are steps.
func leastTicks(st *world.Stage, m *world.Ground, steps, columns int64) int64 {
	gait := st.Gait(m, world.None)
	w, h := m.Cell()
	x, y := max(1, gait.RunX), max(1, gait.RunY)
	if gait.Turns {
		x, y = max(x, (w+play.TurnTicks-1)/play.TurnTicks), max(y, (h+play.TurnTicks-1)/play.TurnTicks)
	}
	if m.Side {
		y = max(y, gait.Fall, gait.Jump, gait.Gravity, 2*x*h/w) // steep slopes go up two cells in one
	}
	return max(0, (columns-1)*w/x, min((steps-1)*w/x, (steps-1)*h/y))
}
