package proof

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
)

// wish is what rules ask for and never bring about: a counter that comes to a number, a flag that is set, something that is enabled.
type wish struct {
	// thing is what it is about, None for nothing in particular.
	thing world.Ref
	text  string
	// rule is the one that asks for it, nil for none.
	rule  *document.Rule
	grant func(*May)
}

// maxWishes is how many of them are looked at.
const maxWishes = 40

// wishes are those that would have rules do more than they could.
func (f *May) wishes() (out []wish) {
	asked := map[world.Ref]bool{} // counters
	var items []string
	flags := map[world.Ref]bool{}
	ask := func(r *document.Rule, n *rules.Node) {
		c, flag := f.st.CounterOf(n.At.ID), f.st.FlagOf(n.At.ID)
		switch {
		case len(out) == maxWishes || r.Off:
		case (n.Word == rules.WordAtLeast || n.Word == rules.WordCounts || n.Word == rules.WordExactly) && c >= 0 && n.By == "" && f.most[c] < n.Number && !asked[c]:
			asked[c] = true
			name := f.st.Doc.Counters.Get(f.st.Counters[c].ID).Name
			out = append(out, wish{world.None, fmt.Sprintf("%s comes to %d at the most, and %s asks for %d", name, f.most[c], called(r), n.Number), r,
				func(f *May) { f.most[c] = document.MaxNumber }})
		case n.Word == rules.WordHasMany && n.By == "" && f.Amount(n.Blank("item").Word()) < n.Number && !slices.Contains(items, n.Blank("item").Word()):
			word, most := n.Blank("item").Word(), f.Amount(n.Blank("item").Word())
			items = append(items, word)
			out = append(out, wish{world.None, fmt.Sprintf("the hero comes to %d %s at the most, and %s asks for %d", most, word, called(r), n.Number), r,
				func(f *May) { f.gives, f.given[word] = f.more(f.gives, word, func(*bool) {}), document.MaxNumber }})
		case n.Word == rules.WordIsSet && flag >= 0 && !f.yes[flag] && !flags[flag]:
			flags[flag] = true
			out = append(out, wish{world.None, fmt.Sprintf("“%s” is never set, and %s asks for it", f.st.Doc.Flags.Get(f.st.Flags[flag]).Name, called(r)), r,
				func(f *May) { f.yes[flag] = true }})
		}
	}
	// what a rule waits for says more than what it asks, and that more than what it asks on the way
	for _, r := range f.st.Rules {
		for _, n := range rules.TreeOf(r).When {
			ask(r, n)
		}
	}
	for _, r := range f.st.Rules {
		rules.Each(rules.TreeOf(r).If, func(n *rules.Node) { ask(r, n) })
	}
	for _, r := range f.st.Rules {
		tree := rules.TreeOf(r)
		rules.Each(slices.Concat(tree.Then, tree.Otherwise), func(n *rules.Node) { ask(r, n) })
	}
	for r := range f.st.Things {
		ref, t := world.Ref(r), &f.st.Things[r]
		if len(out) < maxWishes && !f.able(ref) && f.arrived[t.Map] && !f.deeds().to(ref, rules.WordEnable) {
			out = append(out, wish{ref, t.Name + " is disabled, and nothing enables it", nil, func(f *May) { f.enabled[ref] = true }})
		}
	}
	return out
}

// called is what a rule is called where it has to be told from others.
func called(r *document.Rule) string {
	if r.Name == "" {
		return "a rule"
	}
	return fmt.Sprintf("“%s”", r.Name)
}
