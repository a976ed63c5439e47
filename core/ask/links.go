package ask

import (
	"azzel/core/document"
	"azzel/core/rules"
	"slices"
)

// Link is a line on the map from what brings something about to what comes of it: to or from what was asked about, or past
// it where that is no thing.
type Link struct {
	From document.End `json:"from"`
	To   document.End `json:"to"`
}

// maxLinks is how many lines are told: more are no picture.
const maxLinks = 80

// links are the lines of an answer: from what wakes a rule that changes what was asked about, and to what a rule does that
// needs it.
func (a *asker) links(groups []Question) []Link {
	out := []Link{}
	add := func(from, to document.End) {
		if l := (Link{from, to}); from != to && from.Entity != "" && to.Entity != "" && !slices.Contains(out, l) && len(out) < maxLinks {
			out = append(out, l)
		}
	}
	self := document.End{}
	if a.of.Type == document.TypeEntity {
		self = document.End{Map: a.of.Map, Entity: a.of.ID}
	}
	var wake, done []document.End
	for _, r := range a.doc.RulesInOrder() {
		tree := rules.TreeOf(r)
		var changes, needs bool
		rules.Each(slices.Concat(tree.When, tree.If, tree.Then, tree.Otherwise), func(n *rules.Node) {
			e := rules.Find(n.Word)
			if e == nil || !a.names(n, tree) {
				return
			}
			is := e.Slot == document.SlotThen && n.At == a.of || e.Slot == document.SlotThen && a.kind != ""
			changes, needs = changes || is, needs || !is
		})
		if changes {
			wake = append(wake, a.ends(tree.When)...)
		}
		if needs {
			done = append(done, a.ends(slices.Concat(tree.Then, tree.Otherwise))...)
			if self.Entity == "" && !changes { // who asks for it needs it
				done = append(done, a.ends(tree.When)...)
			}
		}
	}
	for _, g := range groups {
		for _, l := range g.Lines {
			if l.Rule == "" && l.Entity != "" {
				wake = append(wake, document.End{Map: l.Map, Entity: l.Entity})
			}
		}
	}
	if self.Entity == "" {
		for _, from := range wake {
			for _, to := range done {
				add(from, to)
			}
		}
		return out
	}
	for _, from := range wake {
		add(from, self)
	}
	for _, to := range done {
		add(self, to)
	}
	return out
}

// ends are the things that parts name, with all that stands in them.
func (a *asker) ends(all []*rules.Node) (out []document.End) {
	rules.Each(all, func(n *rules.Node) {
		if n.At.Type == document.TypeEntity && a.doc.Entity(n.At.Map, n.At.ID) != nil {
			out = append(out, document.End{Map: n.At.Map, Entity: n.At.ID})
		}
	})
	return out
}
