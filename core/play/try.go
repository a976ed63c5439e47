package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"errors"
	"slices"
)

// Try does at once what a rule does, whatever it waits for and asks, or only a part of that with all that stands in it; where
// it waits it goes on as the game does.
func (g *Game) Try(rule, part document.ID) error {
	ref := g.Stage.RuleOf(rule)
	if ref < 0 {
		return errors.New("the rule is no longer there")
	}
	tree := rules.TreeOf(g.Stage.Rules[ref])
	t := Thread{Rule: ref, It: g.wouldWake(tree)}
	if part != "" {
		at := slices.IndexFunc(tree.Steps, func(s rules.Step) bool { return s.ID() == part })
		if at < 0 {
			return errors.New("this line does nothing by itself: try one that does something")
		}
		inside := map[document.ID]bool{}
		rules.Each([]*rules.Node{tree.Steps[at].Node}, func(n *rules.Node) { inside[n.ID] = true })
		t.Next, t.Till = int32(at), int32(at)
		for int(t.Till) < len(tree.Steps) && inside[tree.Steps[t.Till].ID()] {
			t.Till++
		}
	}
	g.Told = g.Told[:0]
	g.tell("tried", g.Stage.Rules[ref].Name)
	g.goOn(t)
	g.settle()
	g.watch()
	return nil
}

// wouldWake is the first thing that could wake a rule; None for none.
func (g *Game) wouldWake(tree *rules.Tree) world.Ref {
	for _, n := range tree.When {
		if n.At.Type == document.TypeEntity || n.At.Several() && n.Word != rules.WordNoneLeft {
			return g.target(n, world.None)
		}
	}
	return world.None
}

// Tried keeps a game after something was tried in it: what was before can be pulled back to, and what is kept as a recording
// begins here.
func (r *Record) Tried(g *Game) {
	r.keep(g)
	r.Events = append(r.Events, g.Told...)
	r.began, r.all, r.course = g.Moment(), nil, course{from: g.Tick}
	r.course.stand(g)
}
