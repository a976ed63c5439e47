package proof

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// run is how often steps could be come to that a happening wakes: once in a game, for the thing that it happened to and the sort of happening
// where those matter, or any number of times.
type run struct {
	once bool
	it   world.Ref
	word string
	// asked is what was found so in the same moment, paid what was taken since then, each time.
	asked []*rules.Node
	paid  []payment
}

// anyTimes is how often steps could be come to of which nothing is known.
var anyTimes = run{it: world.None}

// added is a part of a rule that has added once what it adds.
type added struct {
	part document.ID
	it   world.Ref
	word string
}

// often is how often what a rule does could follow from a happening to a thing.
func (f *May) often(r *document.Rule, tree *rules.Tree, word string, it world.Ref) run {
	switch {
	case r.Once && !tree.OfKind:
		return run{once: true, it: world.None}
	case r.Once:
		return run{once: true, it: it}
	case it >= 0 && f.happensOnce(tree, word, it):
		return run{once: true, it: it, word: word}
	}
	return anyTimes
}

// happensOnce reports whether something can happen to a thing but once, or has a rule see to it that it cannot again: what is taken, or
// defeated, and never put back, a container that nothing shuts, a switch that the rule disables before anything else can happen.
func (f *May) happensOnce(tree *rules.Tree, word string, it world.Ref) bool {
	t := f.st.Thing(it)
	// what is made in a game may be made again
	if f.forgets(it) || f.st.Grounds[t.Map].Map.Entities.Get(t.ID) == nil {
		return false
	}
	if word == rules.WordFalls {
		return !f.deeds().brings(it)
	}
	if t.Doing.Goes {
		return false
	}
	switch {
	case word == rules.WordTake && t.Acts == kind.Collectible:
		return !f.deeds().brings(it)
	case word == rules.WordOpens && t.Acts == kind.Container:
		return !t.Entity.On && !f.deeds().to(it, rules.WordShut, rules.WordTurnOff, rules.WordFlip)
	case (word == rules.WordUse || word == rules.WordTurnsOn) && t.Acts == kind.Switch:
		return t.Doing.Worked != world.ByWeight && !t.Entity.On && f.disables(tree, it) &&
			!f.deeds().to(it, rules.WordEnable, rules.WordTurnOn, rules.WordOpen, rules.WordFlip)
	}
	return false
}

// disables reports whether what a rule does first, before it waits for anything, has a thing do nothing from then on.
func (f *May) disables(tree *rules.Tree, it world.Ref) bool {
	for _, n := range tree.Then {
		switch n.Word {
		case rules.WordDisable:
			if n.At.Type != document.TypeWho && slices.Contains(f.targets(n, it), it) && (n.At.Type == document.TypeIt || n.At.Type == document.TypeEntity) {
				return true
			}
		case rules.WordNote, rules.WordSet, rules.WordClear, rules.WordAdd, rules.WordPut, rules.WordTurnOff, rules.WordShut, rules.WordHide, rules.WordShow:
		default:
			return false
		}
	}
	return false
}

// able reports whether a thing could do what it does: things are disabled at first, until a rule enables them.
func (f *May) able(r world.Ref) bool {
	t := f.st.Thing(r)
	switch {
	case f.enabled[r] || !t.Entity.Disabled && (f.now == nil || f.forgets(r)):
		return true
	case f.now != nil:
		return !f.now.Disabled(r)
	}
	return false
}

// comes reports whether a counter could come to a number that a rule waits for.
func (f *May) comes(tree *rules.Tree, of document.ID) bool {
	least, most := f.Counter(of)
	return slices.ContainsFunc(tree.When, func(n *rules.Node) bool {
		return n.Word == rules.WordCounts && n.At.ID == of && least <= n.Number && n.Number <= most
	})
}
