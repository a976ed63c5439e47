package play

import (
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// asking is the step whose answer a rule waits for; nil where it waits for none.
func (t Thread) asking(st *world.Stage) *rules.Step {
	if s := t.at(st); s != nil && t.reads() && s.Op == rules.OpAsk {
		return s
	}
	return nil
}

// at is the step at which a rule waits.
func (t Thread) at(st *world.Stage) *rules.Step {
	if steps := rules.TreeOf(st.Rules[t.Rule]).Steps; t.Next > 0 && int(t.Next) <= len(steps) {
		return &steps[t.Next-1]
	}
	return nil
}

// within is the step that a rule waits at until it is done: a question, somebody who walks, or what is waited for.
func (t Thread) within(st *world.Stage) *rules.Step {
	if t.For != ForTime || t.asking(st) != nil {
		return t.at(st)
	}
	return nil
}

// longestWait is how long a rule can wait, in seconds.
const longestWait = 3600

// reads tells that a rule waits for its line to be read.
func (t Thread) reads() bool { return t.Wait == 0 && t.For == ForTime }

// wait goes on with the rules whose time is over, the oldest first.
func (g *Game) wait() {
	if len(g.Threads) == 0 {
		return
	}
	waiting := g.Threads
	g.Threads = nil
	for i, t := range waiting {
		g.rest, g.by = waiting[i+1:], t.By
		switch s := t.at(g.Stage); {
		case t.For == ForWalk && t.Wait > 1, t.For == ForSo && s != nil && !g.all(s.Node.If, t.It), t.For == ForAll && g.others(&t):
			g.Threads = append(g.Threads, t)
			continue
		case t.For == ForTime && (t.Wait > 1 || t.reads()):
			t.Wait = max(0, t.Wait-1)
			g.Threads = append(g.Threads, t)
			continue
		}
		t.Wait, t.For = 0, ForTime
		g.goOn(t)
	}
	g.rest = nil
}

// others reports whether something is not done yet that a rule began at the same time, and waits for at its next step
// but one.
func (g *Game) others(t *Thread) bool {
	steps := rules.TreeOf(g.Stage.Rules[t.Rule]).Steps
	join := &steps[t.Next-1]
	began := func(o Thread) bool {
		return o.Rule == t.Rule && o.It == t.It && o.Fork > 0 && int(o.Fork) <= len(steps) && steps[o.Fork-1].Op == rules.OpFork && steps[o.Fork-1].Node.ID == join.Node.ID
	}
	return slices.ContainsFunc(g.Threads, began) || slices.ContainsFunc(g.rest, began)
}

// seconds is how many ticks the seconds of a part are, within an hour.
func (g *Game) seconds(n *rules.Node) int64 {
	return max(0, min(g.number(n), longestWait)) * TicksPerSecond
}

// waits has a rule wait some ticks; false where it need not.
func (t *Thread) waits(ticks int64) bool {
	if t.Skips || ticks <= 0 {
		return false
	}
	t.Wait = int32(ticks)
	return true
}
