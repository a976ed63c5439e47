package check

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"fmt"
)

// Proven are the findings of what a study has found out so far.
func Proven(s *proof.Study) (out []Finding) {
	st := s.Stage()
	at := func(r world.Ref, f Finding) Finding {
		if r >= 0 {
			end := st.End(r)
			f.Of, f.Map, f.ID = document.TypeEntity, end.Map, end.Entity
		}
		return f
	}
	if a := s.Answer; a != nil && a.Is == proof.Cannot {
		for _, m := range s.Lacks() {
			f := at(m.Thing, Finding{What: CannotFinish, Of: document.TypeProject, Text: fmt.Sprintf("It cannot be finished: %s.", m.Text)})
			switch {
			case m.Rule != nil:
				f.Of, f.ID = document.TypeRule, m.Rule.ID
			case m.Map >= 0:
				id := st.Grounds[m.Map].ID
				f.Of, f.Map, f.ID, f.At = document.TypeMap, id, id, &m.At
			}
			out = append(out, f)
		}
	}
	for i := range s.Traps {
		t := &s.Traps[i]
		id := st.Grounds[t.Map].ID
		out = append(out, Finding{What: Trap, Of: document.TypeMap, Map: id, ID: id, At: &t.At, Text: Stuck(st, t)})
	}
	for i := range s.Jumps {
		if j := &s.Jumps[i]; j.Slack() <= TightTicks {
			id := st.Grounds[j.Map].ID
			out = append(out, Finding{What: TightJump, Of: document.TypeMap, Map: id, ID: id, At: &j.At, Text: Jumped(st, j)})
		}
	}
	for _, n := range s.Never {
		switch n.What {
		case proof.NeverMap:
			m := st.Grounds[n.Map]
			out = append(out, Finding{What: NeverMap, Of: document.TypeMap, Map: m.ID, ID: m.ID, Text: fmt.Sprintf("Nobody ever comes to %s.", m.Name)})
		case proof.NeverGround:
			if f, is := neverGround(st, n); is {
				out = append(out, f)
			}
		case proof.NeverRule:
			r := st.Rules[n.Rule]
			out = append(out, Finding{What: NeverRule, Of: document.TypeRule, ID: r.ID, Text: fmt.Sprintf("%s can never run: what it waits for, or asks, never comes about.", Called(st.Doc, r))})
		case proof.NeverStep:
			r := st.Rules[n.Rule]
			out = append(out, Finding{What: NeverStep, Of: document.TypeRule, ID: r.ID, Text: fmt.Sprintf("A part of %s can never run: “%s”.", Called(st.Doc, r), proof.Says(st, n))})
		default:
			t := st.Thing(n.Thing)
			out = append(out, at(n.Thing, Finding{What: NeverThing, Text: fmt.Sprintf("Nobody ever comes to %s on %s.", t.Name, st.Grounds[t.Map].Name)}))
		}
	}
	return out
}

// neverGround is the finding of ground in view that nobody comes to, if there is some.
func neverGround(st *world.Stage, n proof.Never) (f Finding, is bool) {
	g := st.Grounds[n.Map]
	b := g.Map.Bounds
	// one looks from where one comes to
	blind := flat(n.Come, b)
	for i, come := range blind {
		blind[i] = !come
	}
	view := inView(st.Doc, blind, g.Map)
	pieces, cells, first := 0, 0, grid.Point{}
	for _, piece := range n.Ground {
		seen := 0
		for _, p := range piece.Points() {
			if view != nil && !view[(p.Y-b.Y)*b.W+p.X-b.X] {
				continue
			}
			if seen++; seen+cells == 1 {
				first = p
			}
		}
		if cells += seen; seen > 0 {
			pieces++
		}
	}
	if pieces == 0 {
		return f, false
	}
	text := fmt.Sprintf("Nobody ever comes to a piece of free ground on %s (%s).", g.Name, cellsOf(cells))
	if pieces > 1 {
		text = fmt.Sprintf("Nobody ever comes to %d pieces of free ground on %s (%s in all).", pieces, g.Name, cellsOf(cells))
	}
	return Finding{What: NeverGround, Of: document.TypeMap, Map: g.ID, ID: g.ID, At: &first, Text: text}, true
}

// TightTicks is how many ticks a jump leaves at the most that is told.
const TightTicks = 4

// Jumped says of a jump of the walk how much time there is to begin it.
func Jumped(st *world.Stage, j *proof.Jump) string {
	m := st.Grounds[j.Map]
	where := fmt.Sprintf("the jump at %d, %d on %s", j.At.X-m.Bounds.X, j.At.Y-m.Bounds.Y, m.Name)
	switch n := j.Slack(); {
	case n == 1:
		return fmt.Sprintf("There is a single tick to begin %s in.", where)
	case j.Late == 0 && n <= TightTicks:
		return fmt.Sprintf("It goes on only with %s at the last moment: %d ticks to begin it in.", where, n)
	default:
		return fmt.Sprintf("There are %d ticks (%d.%02d s) to begin %s in.", n, n/play.TicksPerSecond, n%play.TicksPerSecond*100/play.TicksPerSecond, where)
	}
}

// Stuck says of a trap where it is, and what stays shut there.
func Stuck(st *world.Stage, t *proof.Trap) string {
	m := st.Grounds[t.Map]
	says := "no way leads to the goal any more"
	if !t.Sure {
		says = "no way on was found"
	}
	if t.By >= 0 {
		says += ": " + st.Thing(t.By).Name + " stays shut"
	}
	return fmt.Sprintf("After %d steps, at %d, %d on %s, %s.", t.Steps, t.At.X-m.Bounds.X, t.At.Y-m.Bounds.Y, m.Name, says)
}
