package proof

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// deeds are what rules do to things, by their words, and which counters they make something else than so much more or less than they were.
type deeds struct {
	st  *world.Stage
	all map[string][]deed
	put map[document.ID]bool
}

// deed is something that a rule does to what it names, woken by what it waits for.
type deed struct {
	to   document.Object
	when []*rules.Node
}

func deedsOf(st *world.Stage) *deeds {
	d := &deeds{st, map[string][]deed{}, map[document.ID]bool{}}
	for _, r := range st.Rules {
		if r.Off {
			continue
		}
		tree := rules.TreeOf(r)
		for _, all := range [][]*rules.Node{tree.When, tree.Then, tree.Otherwise} {
			rules.Each(all, func(n *rules.Node) {
				switch n.Word {
				case rules.WordOpen, rules.WordShut, rules.WordTurnOn, rules.WordTurnOff, rules.WordFlip, rules.WordEnable, rules.WordBring:
					d.all[n.Word] = append(d.all[n.Word], deed{n.At, tree.When})
				case rules.WordPut, rules.WordMultiply, rules.WordDraw:
					d.put[n.At.ID] = true
				case rules.WordAdd:
					d.put[n.At.ID] = d.put[n.At.ID] || n.By != ""
				case rules.WordBrings:
					if into, ok := document.Named(n.Blank("into")); ok {
						d.put[into.ID] = true
					}
				}
			})
		}
	}
	return d
}

// deeds are those of all rules, looked up once.
func (f *May) deeds() *deeds {
	if f.ruled == nil {
		f.ruled = deedsOf(f.st)
	}
	return f.ruled
}

// to reports whether a rule does one of some words to a thing.
func (d *deeds) to(r world.Ref, words ...string) bool {
	return slices.ContainsFunc(words, func(word string) bool {
		return slices.ContainsFunc(d.all[word], func(one deed) bool {
			return d.names(one.to, r) || one.to.Type == document.TypeIt && slices.ContainsFunc(one.when, func(n *rules.Node) bool {
				return n.At.Type != document.TypeEntity && !n.At.Several() || d.names(n.At, r)
			})
		})
	})
}

// brings reports whether a rule puts a thing there.
func (d *deeds) brings(r world.Ref) bool { return d.to(r, rules.WordBring) }

// names reports whether what a part of a rule names could be a thing, or one of several.
func (d *deeds) names(o document.Object, r world.Ref) bool {
	end := d.st.End(r)
	return o.Map == end.Map && o.ID == end.Entity || d.st.Doc.Covers(o, document.ID(d.st.Thing(r).Kind)) || o.Type == document.TypeWithin && o.Map == end.Map
}
