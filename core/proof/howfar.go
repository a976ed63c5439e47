package proof

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
	"strings"
)

// maxStirring is how many of what moves by itself are named.
const maxStirring = 3

// howFar says of a search that found no walk where most of it was tried, what makes it so much there, and what was not come to.
func (s *Search) howFar() string {
	kept := s.kept
	if s.other != nil {
		kept = slices.Concat(kept, s.other.kept)
	}
	if len(kept) == 0 {
		return ""
	}
	by := make([]int, len(s.st.Grounds))
	for _, n := range kept {
		by[n.game.Hero().Map]++
	}
	most := slices.Index(by, slices.Max(by))
	where := fmt.Sprintf(": %d %% of what was tried is on %s", 100*by[most]/len(kept), s.st.Grounds[most].Name)
	if by[most] == len(kept) {
		where = ": all that was tried is on " + s.st.Grounds[most].Name
	}
	if names := s.stirring(world.Ref(most)); len(names) > 0 {
		where += ", with " + rules.Listed(names) + " on the move"
	}
	told := []string{where}
	if m := s.ahead(by); m >= 0 {
		told = append(told, "nothing of it is on "+s.st.Grounds[m].Name)
	}
	if text := s.neverSo(kept); text != "" {
		told = append(told, text)
	}
	return strings.Join(told, "; ")
}

// stirring are names of what moves by itself on a map, each once.
func (s *Search) stirring(m world.Ref) (out []string) {
	g := s.st.Grounds[m]
	for r := g.First; r < g.After && len(out) < maxStirring; r++ {
		if t := s.st.Thing(r); stirs(t) && !slices.Contains(out, t.Name) {
			out = append(out, t.Name)
		}
	}
	return out
}

// ahead is the map that lies next on the way to a goal from those that were come to; None where a goal's was, or it is not known.
func (s *Search) ahead(by []int) world.Ref {
	near := len(s.hops)
	for m, n := range by {
		if n > 0 {
			near = min(near, s.hops[m])
		}
	}
	for m, far := range s.hops {
		if far == near-1 && by[m] == 0 {
			return world.Ref(m)
		}
	}
	return world.None
}

// winning are the rules that win the game, and those that do something to what these wait for or to a goal.
func (s *Search) winning() (out []*document.Rule) {
	var about []document.ID
	for _, r := range slices.Concat(s.goals, aimed(s.st, s.goals)) {
		about = append(about, s.st.Thing(r).ID)
	}
	for _, r := range s.st.Rules {
		tree, does := rules.TreeOf(r), false
		rules.Each(slices.Concat(tree.Then, tree.Otherwise), func(n *rules.Node) {
			does = does || n.Word == rules.WordWin || n.Word == rules.WordFinish || n.At.Type == document.TypeEntity && slices.Contains(about, n.At.ID)
		})
		if does && !r.Off {
			out = append(out, r)
		}
	}
	return out
}

// neverSo says of the first counter or flag that has to do with winning, and that nothing forbids to be so, that it never was in what was tried.
func (s *Search) neverSo(kept []*node) (out string) {
	ask := func(r *document.Rule, n *rules.Node) {
		counter, flag := s.st.CounterOf(n.At.ID), s.st.FlagOf(n.At.ID)
		switch {
		case out != "":
		case (n.Word == rules.WordAtLeast || n.Word == rules.WordCounts) && counter >= 0 && n.By == "" && s.may.most[counter] >= n.Number:
			most := int64(0)
			for _, k := range kept {
				most = max(most, k.game.Counter(n.At.ID))
			}
			if most < n.Number {
				out = fmt.Sprintf("%s was %d at the most, and %s asks for %d", s.st.Doc.Counters.Get(n.At.ID).Name, most, called(r), n.Number)
			}
		case n.Word == rules.WordIsSet && flag >= 0 && s.may.yes[flag]:
			if !slices.ContainsFunc(kept, func(k *node) bool { return k.game.Flag(n.At.ID) }) {
				out = fmt.Sprintf("“%s” was never set, and %s asks for it", s.st.Doc.Flags.Get(n.At.ID).Name, called(r))
			}
		}
	}
	all := s.winning()
	for _, r := range all {
		for _, n := range rules.TreeOf(r).When {
			ask(r, n)
		}
	}
	for _, r := range all {
		rules.Each(rules.TreeOf(r).If, func(n *rules.Node) { ask(r, n) })
	}
	return out
}
