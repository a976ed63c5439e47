package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// all reports whether all that conditions ask is so, for the thing that woke the rule.
func (g *Game) all(asked []*rules.Node, it world.Ref) bool {
	return g.unmet(asked, it) == nil
}

// IsSo reports whether what a condition asks is so, for the thing that woke the rule.
func (g *Game) IsSo(n *rules.Node, it world.Ref) bool {
	g.asking = true
	defer func() { g.asking = false }()
	return g.holdsTrue(n, it)
}

// unmet is the first of conditions that is not so; nil where all are.
func (g *Game) unmet(asked []*rules.Node, it world.Ref) *rules.Node {
	for _, n := range asked {
		if !g.holdsTrue(n, it) {
			return n
		}
	}
	return nil
}

// holdsTrue reports whether what a condition asks is so. What it asks of all of a kind has to be so of every one.
func (g *Game) holdsTrue(n *rules.Node, it world.Ref) bool {
	n = g.meant(n)
	switch n.Word {
	case rules.WordAllOf:
		return g.all(n.If, it)
	case rules.WordAnyOf:
		return slices.ContainsFunc(n.If, func(n *rules.Node) bool { return g.holdsTrue(n, it) })
	case rules.WordNoneOf:
		return !slices.ContainsFunc(n.If, func(n *rules.Node) bool { return g.holdsTrue(n, it) })
	case rules.WordIsSet:
		return g.Flag(n.At.ID)
	case rules.WordIsNotSet:
		return !g.Flag(n.At.ID)
	case rules.WordAtLeast:
		return g.Counter(n.At.ID) >= g.number(n)
	case rules.WordBelow:
		return g.Counter(n.At.ID) < g.number(n)
	case rules.WordExactly:
		return g.Counter(n.At.ID) == g.number(n)
	case rules.WordHearts:
		return int64(g.Count(Hearts)) >= g.number(n)
	case rules.WordLeft:
		return g.remaining(n.At) <= g.number(n)
	case rules.WordHas, rules.WordLacks:
		return g.Has(n.Blank("item").Word()) == (n.Word == rules.WordHas)
	case rules.WordHasMany:
		return g.Amount(n.Blank("item").Word()) >= g.number(n)
	case rules.WordVisited, rules.WordUnvisited:
		_, been := slices.BinarySearch(g.Entered, g.Stage.MapOf(n.At.ID))
		return been == (n.Word == rules.WordVisited)
	case rules.WordLies, rules.WordLiesNot:
		return g.Lies(n.At) == (n.Word == rules.WordLies)
	case rules.WordIsOnMap:
		return g.Hero().Map == g.Stage.MapOf(n.At.ID)
	case rules.WordBetween:
		return g.between(g.number(n), g.numberOf(n, "most"))
	case rules.WordChance:
		return !g.asking && g.roll(n.ID, 100) < g.number(n)
	case rules.WordIsOne, rules.WordIsSort:
		return g.isThat(n, it)
	case rules.WordLooks, rules.WordNear, rules.WordSpies:
		return g.standsSo(n, it)
	case rules.WordFirst:
		r := g.Stage.RuleOf(n.Rule)
		return r >= 0 && !g.hasRun(r, it)
	case rules.WordCameFrom:
		m := g.Stage.MapOf(n.At.ID)
		return m >= 0 && g.Count(CameFrom) == int32(m)+1
	case rules.WordAble:
		w := g.gait()
		return map[string]bool{"double": w.Double, "wall": w.Wall}[n.Blank("ability").Word()]
	}
	if n.At.Several() {
		return !slices.ContainsFunc(g.several(n), func(r world.Ref) bool { return !g.isSo(n, r) })
	}
	r := g.target(n, it)
	return r >= 0 && g.isSo(n, r)
}

// isSo reports whether what a condition asks is so of a thing.
func (g *Game) isSo(n *rules.Node, r world.Ref) bool {
	switch n.Word {
	case rules.WordIsOn, rules.WordIsOpen:
		return g.On(r)
	case rules.WordIsOff, rules.WordIsShut:
		return !g.On(r)
	case rules.WordIsThere:
		return g.There(r)
	case rules.WordIsAway:
		return !g.There(r)
	case rules.WordIsShown:
		return g.Shown(r)
	case rules.WordIsHidden:
		return !g.Shown(r)
	case rules.WordSees:
		return g.There(r) && g.spots(r)
	case rules.WordIsGuise:
		return g.Guise(r) == world.GuiseNamed(n, "guise")
	case rules.WordIsNotGuise:
		return g.Guise(r) != world.GuiseNamed(n, "guise")
	case rules.WordIsLed:
		return g.Hero().Of == r
	case rules.WordIsMet:
		return g.Is(r, Reached)
	case rules.WordIsLeft:
		return !g.Is(r, Reached)
	}
	return g.ownIs(n, r)
}

// isThat reports whether all whom a part names are the one, or of the kind, that it names behind.
func (g *Game) isThat(n *rules.Node, it world.Ref) bool {
	var named []world.Ref
	if n.Word == rules.WordIsOne {
		named = []world.Ref{g.target(&rules.Node{At: n.To, RulePart: n.RulePart, Fits: n.Fits}, it)}
	}
	is := func(r world.Ref) bool {
		if n.Word == rules.WordIsSort {
			return r >= 0 && g.Stage.Doc.Covers(n.To, document.ID(g.Stage.Thing(r).Kind))
		}
		return r >= 0 && slices.Contains(named, r)
	}
	if n.At.Type == document.TypeHero {
		hero := g.Hero().Of
		return n.Word == rules.WordIsOne && n.To.Type == document.TypeHero || is(hero)
	}
	all := true
	g.eachOf(n, it, func(r world.Ref) { all = all && is(r) })
	return all
}

// number is what the number of a part is at the moment.
func (g *Game) number(n *rules.Node) int64 {
	if n.By != "" {
		return g.Counter(n.By)
	}
	return n.Number
}

// numberOf is what another number of a part is at the moment.
func (g *Game) numberOf(n *rules.Node, key string) int64 {
	value := n.Blank(key)
	if o, ok := document.Named(value); ok {
		return g.Counter(o.ID)
	}
	return value.Thousandths() / 1000
}

// remaining counts what is there of a kind, or with a tag.
func (g *Game) remaining(o document.Object) (n int64) {
	for r := range g.Stage.Things {
		if g.Stage.Doc.Covers(o, document.ID(g.Stage.Things[r].Kind)) && g.There(world.Ref(r)) {
			n++
		}
	}
	return n
}
