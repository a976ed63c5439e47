package proof

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Goals are the things by which a game is finished: goals on maps that no other map follows,
// or any, where all are followed; none where something else wins it.
func Goals(st *world.Stage) (out []world.Ref) {
	if otherwise(st) {
		return nil
	}
	var followed []world.Ref
	for r := range st.Things {
		t := &st.Things[r]
		switch {
		case t.Acts != kind.Goal || t.Absent && !deedsOf(st).brings(world.Ref(r)) || st.Grounds[t.Map].Template:
		case !st.Grounds[t.Map].Next && !st.Book.GoalWins:
		case st.Grounds[t.Map].Next:
			followed = append(followed, world.Ref(r))
		default:
			out = append(out, world.Ref(r))
		}
	}
	if len(out) == 0 {
		return followed
	}
	return out
}

// otherwise reports whether a game is won by what was collected, or by a flag.
func otherwise(st *world.Stage) bool {
	return st.Book.Flag >= 0 || len(st.Book.Collects) > 0
}

// goalless says why nothing finishes a game.
func goalless(st *world.Stage) string {
	switch st.Doc.GameValue(kind.GameGoal).Word() {
	case kind.GoalFlag:
		return "no flag is chosen yet that wins it"
	case kind.GoalCollects:
		return "there is nothing to collect yet"
	case kind.GoalGoesOn:
		return "no rule wins it yet"
	}
	return "there is no goal yet"
}

// aimed are the things at which rules wake that win a game which nothing else does, or set the flag that wins it; goals, where there are none.
func aimed(st *world.Stage, goals []world.Ref) (out []world.Ref) {
	if len(goals)+len(st.Book.Collects) > 0 {
		return nil
	}
	for _, rule := range st.Rules {
		tree, is := rules.TreeOf(rule), false
		rules.Each(slices.Concat(tree.Then, tree.Otherwise), func(n *rules.Node) {
			sets := n.Word == rules.WordSet && st.Book.Flag >= 0 && st.FlagOf(n.At.ID) == st.Book.Flag
			is = is || n.Word == rules.WordWin || n.Word == rules.WordFinish || sets
		})
		for _, n := range tree.When {
			if r := st.ThingOf(n.At.Map, n.At.ID); is && !rule.Off && r >= 0 {
				out = append(out, r)
			}
		}
	}
	for r := range st.Things {
		if len(out) == 0 && st.Things[r].Acts == kind.Goal && !st.Grounds[st.Things[r].Map].Template {
			out = append(out, world.Ref(r))
		}
	}
	return out
}

// Wants is the kind of which one is to be put down first where there is nothing to look for yet, or “game” where something has to be chosen
// for the game.
func Wants(st *world.Stage, start func() (*play.Game, error)) string {
	if _, err := start(); err != nil {
		return kind.Spawn
	}
	switch st.Doc.GameValue(kind.GameGoal).Word() {
	case kind.GoalFlag, kind.GoalGoesOn:
		return "game"
	case kind.GoalCollects:
		return kind.Collectible
	}
	return kind.Goal
}

// aims takes over what the game is won by besides goals and rules.
func (f *May) aims(set func(*bool)) {
	b := &f.st.Book
	if !otherwise(f.st) {
		return
	}
	for m, g := range f.st.Grounds {
		some := false
		so := b.Flag >= 0 && f.yes[b.Flag] || b.Flag < 0 && !slices.ContainsFunc(b.Collects, func(r world.Ref) bool {
			here := !g.Next || f.st.Thing(r).Map == world.Ref(m)
			some = some || here
			return here && !f.taken[r]
		}) && some
		switch {
		case !so || !f.arrived[m]:
		case g.Next:
			set(&f.done[m])
		default:
			set(&f.won)
		}
	}
}

// wins reports whether a rule can win the game, or what it is set to be won by.
func wins(st *world.Stage) bool {
	return otherwise(st) || slices.ContainsFunc(st.Rules, func(rule *document.Rule) bool {
		tree, is := rules.TreeOf(rule), false
		rules.Each(slices.Concat(tree.Then, tree.Otherwise), func(n *rules.Node) { is = is || n.Word == rules.WordWin || n.Word == rules.WordFinish })
		return is && !rule.Off
	})
}

// winsByWhatIsGone is a rule that wins the game and waits for nothing but things that were removed; nil for none.
func winsByWhatIsGone(st *world.Stage) *document.Rule {
	for _, rule := range st.Rules {
		tree, is := rules.TreeOf(rule), false
		rules.Each(slices.Concat(tree.Then, tree.Otherwise), func(n *rules.Node) { is = is || n.Word == rules.WordWin || n.Word == rules.WordFinish })
		if is && !rule.Off && len(tree.When) > 0 && !slices.ContainsFunc(tree.When, func(n *rules.Node) bool {
			return n.At.Type != document.TypeEntity || st.ThingOf(n.At.Map, n.At.ID) >= 0
		}) {
			return rule
		}
	}
	return nil
}

// finished reports whether a game is won, or a goal of it reached.
func finished(g *play.Game, goals []world.Ref) bool {
	return g.Over == play.OverWon || slices.ContainsFunc(goals, func(r world.Ref) bool { return g.Is(r, play.Reached) })
}

// begin begins with what could be.
func (s *Search) begin() *May {
	g, err := s.start()
	if err == nil && g.Tick > 0 {
		return Later(g)
	}
	return begin(s.st, heroSpot(g))
}

// reaches reports whether a goal is in what could be.
func (s *Search) reaches(f *May) bool {
	return f.won || slices.ContainsFunc(s.goals, func(r world.Ref) bool { return f.able(r) && f.Reaches(r) })
}
