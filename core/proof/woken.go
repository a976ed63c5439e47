package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// wake lets the rules run that wait for something that happens to a thing.
func (f *May) wake(word string, ref world.Ref, set func(*bool)) {
	t := f.st.Thing(ref)
	at := document.Object{Type: document.TypeEntity, Map: f.st.Grounds[t.Map].ID, ID: t.ID}
	f.wakeAll(rules.Happening{Word: word, At: at, Kind: document.ID(t.Kind)}, ref, set)
}

// always lets the rules run that wait for what is bound to no place.
func (f *May) always(set func(*bool)) {
	f.wakeAll(rules.Happening{Word: rules.WordBegins}, world.None, set)
	for _, word := range []string{rules.WordHurt, rules.WordLosesLife, rules.WordComesBack, rules.WordEvery, rules.WordGain, rules.WordWields, rules.WordHour, rules.WordLoads} {
		f.wakeAll(rules.Happening{Word: word}, world.None, set)
	}
	for _, k := range f.st.Doc.KindsInOrder() {
		for _, tag := range k.Tags {
			f.wakeAll(rules.Happening{Word: rules.WordNoneLeft, At: document.Object{Type: document.TypeTag, ID: document.ID(tag)}}, world.None, set)
		}
		f.wakeAll(rules.Happening{Word: rules.WordNoneLeft, At: document.Object{Type: document.TypeKind, ID: k.ID}}, world.None, set)
	}
	f.aims(set)
	for m, done := range f.done {
		if done {
			f.wakeAll(rules.Happening{Word: rules.WordDone, At: document.Object{Type: document.TypeMap, ID: f.st.Grounds[m].ID}}, world.None, set)
			f.onward(world.Ref(m), set)
		}
	}
	for i, id := range f.st.Flags {
		at := document.Object{Type: document.TypeFlag, ID: id}
		if f.yes[i] {
			f.wakeAll(rules.Happening{Word: rules.WordGetsSet, At: at}, world.None, set)
			f.wakeAll(rules.Happening{Word: rules.WordGetsBare, At: at}, world.None, set)
		}
	}
	for i, c := range f.st.Counters {
		if f.least[i] != f.most[i] {
			f.wakeAll(rules.Happening{Word: rules.WordCounts, At: document.Object{Type: document.TypeCounter, ID: c.ID}}, world.None, set)
		}
	}
	if len(f.signals) > 0 {
		f.wakeAll(rules.Happening{Word: rules.WordHears}, world.None, set)
		f.wakeAll(rules.Happening{Word: rules.WordBrings}, world.None, set)
	}
}

// wakeAll lets the rules run that wait for a happening: what they do where their conditions could hold, and
// what they do otherwise where these could fail.
func (f *May) wakeAll(h rules.Happening, it world.Ref, set func(*bool)) {
	for _, r := range rules.Waiting(f.st.Doc, h) {
		tree := rules.TreeOf(r)
		if !f.means(tree, h) || f.spent(r, tree) {
			continue
		}
		could, fails := f.could(tree.If, it)
		if could {
			set(&f.ran[f.st.RuleOf(r.ID)])
			times := f.often(r, tree, h.Word, it)
			times.asked = tree.If
			f.does(tree.Then, it, times, set)
		}
		if fails {
			f.does(tree.Otherwise, it, anyTimes, set)
		}
	}
}

// means reports whether what a rule waits for more closely could be: an item that is used, a signal, a number that is come to.
func (f *May) means(tree *rules.Tree, h rules.Happening) bool {
	if h.Word == rules.WordCounts {
		return f.comes(tree, h.At.ID)
	}
	if h.Word != rules.WordUseOn && h.Word != rules.WordHears && h.Word != rules.WordBrings && h.Word != rules.WordGain && h.Word != rules.WordWields {
		return true
	}
	return slices.ContainsFunc(tree.When, func(n *rules.Node) bool {
		switch n.Word {
		case rules.WordUseOn, rules.WordGain, rules.WordWields:
			return n.Word == h.Word && f.has(n.Blank("item").Word())
		case rules.WordHears, rules.WordBrings:
			_, sent := slices.BinarySearch(f.signals, n.Blank("signal").Word())
			return n.Word == h.Word && sent
		}
		return false
	})
}

// could tells whether all that conditions ask could be so, and whether it could not.
func (f *May) could(asked []*rules.Node, it world.Ref) (could, fails bool) {
	could = true
	for _, n := range asked {
		is, not := f.condition(n, it)
		could, fails = could && is, fails || not
	}
	return could, fails
}

// condition tells whether what a condition asks could be so, and whether it could not.
func (f *May) condition(n *rules.Node, it world.Ref) (could, fails bool) {
	switch n.Word {
	case rules.WordAllOf:
		return f.could(n.If, it)
	case rules.WordAnyOf, rules.WordNoneOf:
		fails = true // none of them need be so
		for _, q := range n.If {
			is, not := f.condition(q, it)
			could, fails = could || is, fails && not
		}
		if n.Word == rules.WordNoneOf {
			return fails, could
		}
		return could, fails
	case rules.WordIsSet, rules.WordIsNotSet:
		i := f.st.FlagOf(n.At.ID)
		switch {
		case i < 0:
			return n.Word == rules.WordIsNotSet, true // a flag that was removed is not set
		case n.Word == rules.WordIsSet:
			return f.yes[i], f.no[i]
		}
		return f.no[i], f.yes[i]
	case rules.WordAtLeast, rules.WordBelow, rules.WordExactly:
		return f.counts(n)
	case rules.WordHas, rules.WordLacks, rules.WordHasMany:
		has := f.has(n.Blank("item").Word()) // what is had may be used up
		if least, _ := f.number(n.Blank("number")); n.Word == rules.WordHasMany {
			has = f.Amount(n.Blank("item").Word()) >= least
		}
		return has || n.Word == rules.WordLacks, true
	case rules.WordVisited, rules.WordUnvisited:
		m := f.st.MapOf(n.At.ID)
		return n.Word == rules.WordUnvisited || m >= 0 && f.arrived[m], true
	case rules.WordIsOnMap:
		m := f.st.MapOf(n.At.ID)
		return m >= 0 && f.arrived[m], true
	case rules.WordLies, rules.WordLiesNot:
		return f.lies(n)
	case rules.WordLooks, rules.WordNear, rules.WordSpies, rules.WordIsOne, rules.WordIsSort, rules.WordChance, rules.WordBetween, rules.WordFirst, rules.WordAble:
		return true, true
	case rules.WordCameFrom:
		m := f.st.MapOf(n.At.ID)
		return m >= 0 && f.arrived[m], true
	}
	all := f.targets(n, it)
	if len(all) == 0 || n.At.Type == document.TypeWithin || n.At.Type == document.TypeWho {
		// of a kind of which there is nothing all is so; in an area anything may be, or nothing
		return n.At.Several() || n.At.Type == "" || n.At.Type == document.TypeWho, true
	}
	could = true
	for _, r := range all {
		on, off := f.on(r) || f.opened[r], !f.on(r) || f.shuts[r]
		switch n.Word {
		case rules.WordIsOn, rules.WordIsOpen:
			could, fails = could && on, fails || off
		case rules.WordIsOff, rules.WordIsShut:
			could, fails = could && off, fails || on
		default:
			fails = true
		}
	}
	return could, fails
}

// counts tells of a condition about a counter whether it could be so, and whether it could not.
func (f *May) counts(n *rules.Node) (could, fails bool) {
	least, most := f.Counter(n.At.ID)
	from, to := n.Number, n.Number
	if n.By != "" {
		from, to = f.Counter(n.By)
	}
	switch n.Word {
	case rules.WordAtLeast:
		return most >= from, least < to
	case rules.WordBelow:
		return least < to, most >= from
	}
	return least <= to && most >= from, least != most || from != to || least != from
}

// Flag tells whether a flag could be set, and whether it could not.
func (f *May) Flag(id document.ID) (yes, no bool) {
	if i := f.st.FlagOf(id); i >= 0 {
		return f.yes[i], f.no[i]
	}
	return false, true
}

// Counter is the least and the most that a counter could be.
func (f *May) Counter(id document.ID) (least, most int64) {
	if c := f.st.CounterOf(id); c >= 0 {
		return f.least[c], f.most[c]
	}
	return 0, 0
}

// targets are the things that a part names.
func (f *May) targets(n *rules.Node, it world.Ref) (out []world.Ref) {
	switch n.At.Type {
	case document.TypeIt:
		if it >= 0 {
			out = append(out, it)
		}
	case document.TypeKind, document.TypeTag, document.TypeWithin:
		for r := range f.st.Things {
			t := &f.st.Things[r]
			on := n.At.Type == document.TypeWithin && f.st.Grounds[t.Map].ID == n.At.Map // it may come there
			if (on || f.st.Doc.Covers(n.At, document.ID(t.Kind))) && f.st.Takes(n, world.Ref(r)) {
				out = append(out, world.Ref(r))
			}
		}
	case document.TypeWho: // whoever moves may come there
		for r := range f.st.Things {
			if f.st.Things[r].Doing.Goes && f.st.Takes(n, world.Ref(r)) {
				out = append(out, world.Ref(r))
			}
		}
	case document.TypeEntity:
		if r := f.st.ThingOf(n.At.Map, n.At.ID); r >= 0 {
			out = append(out, r)
		}
	}
	return out
}

// does takes over what steps could bring about that could be come to so often.
func (f *May) does(all []*rules.Node, it world.Ref, times run, set func(*bool)) {
	asked := times.asked
	times.asked = nil
	for _, n := range all {
		f.came[n.ID] = true
		if p, pays := f.pays(n, asked); pays {
			times.paid = append(slices.Clip(times.paid), p)
		}
		if !slices.Contains(atOnce, n.Word) {
			asked = nil
		}
		switch n.Word {
		case rules.WordWhether, rules.WordAsLong:
			could, fails := f.could(n.If, it)
			inside := times
			if n.Word == rules.WordAsLong {
				inside = anyTimes
			}
			if fails {
				f.does(n.Otherwise, it, inside, set)
			}
			if inside.asked = n.If; could {
				f.does(n.Then, it, inside, set)
			}
		case rules.WordRepeat:
			f.does(n.Then, it, anyTimes, set)
		case rules.WordAsk, rules.WordAnswer, rules.WordScene, rules.WordTogether:
			f.does(n.Then, it, times, set)
		case rules.WordWin:
			set(&f.won)
		case rules.WordFinish:
			for m := range f.st.Grounds {
				if f.arrived[m] {
					set(&f.done[m])
				}
			}
		case rules.WordLay, rules.WordLift:
			f.turn(n, set)
		case rules.WordWalk:
			if n.Blank("blocked").Word() == rules.PassesThere {
				f.walksThrough(n, it)
			}
		case rules.WordDraw:
			f.draws(n, set)
		case rules.WordSet, rules.WordClear:
			if i := f.st.FlagOf(n.At.ID); i >= 0 && n.Word == rules.WordSet {
				if i != f.bareFlag-1 {
					set(&f.yes[i])
				}
			} else if i >= 0 {
				set(&f.no[i])
			}
		case rules.WordAdd, rules.WordPut, rules.WordMultiply:
			f.changesCounter(n, times, set)
		case rules.WordSignal, rules.WordCall:
			f.signals = f.more(f.signals, n.Blank("signal").Word(), set)
			if n.Word == rules.WordCall {
				f.calls(n, set)
			}
		case rules.WordGive:
			f.gives = f.more(f.gives, n.Blank("item").Word(), set)
			f.giving(n, times, set)
		default:
			for _, r := range f.targets(n, it) {
				f.doesTo(n.Word, r, set)
			}
		}
	}
}

// doesTo takes over what a step could bring about for a thing.
func (f *May) doesTo(word string, t world.Ref, set func(*bool)) {
	switch word {
	case rules.WordOpen, rules.WordTurnOn:
		f.opens(t, set)
	case rules.WordShut, rules.WordTurnOff:
		set(&f.shuts[t])
	case rules.WordFlip:
		f.opens(t, set)
		set(&f.shuts[t])
	case rules.WordSend:
		f.setAt(f.st.Thing(t))
	case rules.WordBring:
		if f.st.Thing(t).Acts == kind.Hero {
			f.leads(t)
		}
	case rules.WordEnable:
		set(&f.enabled[t])
	case rules.WordRemove:
		set(&f.away[t])
	case rules.WordDefeat, rules.WordHit:
		set(&f.away[t])
		set(&f.beaten[t])
	}
}

// walksThrough has the hero be anywhere on the maps where it could be, where a rule walks it through what is in its way.
func (f *May) walksThrough(n *rules.Node, it world.Ref) {
	hero := n.At.Type == document.TypeHero || n.At.Type == document.TypeWho || slices.ContainsFunc(f.targets(n, it), func(r world.Ref) bool { return f.st.Thing(r).Acts == kind.Hero })
	for m, g := range f.st.Grounds {
		if !hero || !f.arrived[m] {
			continue
		}
		for y := g.Bounds.Y; y < g.Bounds.Y+g.Bounds.H; y++ {
			for x := g.Bounds.X; x < g.Bounds.X+g.Bounds.W; x++ {
				f.enter(spot{m: world.Ref(m), p: grid.Point{X: x, Y: y}})
			}
		}
	}
}

// more adds a word to those that there could be.
func (f *May) more(all []string, word string, set func(*bool)) []string {
	if i, has := slices.BinarySearch(all, word); !has {
		all = slices.Insert(all, i, word)
		f.moved(set)
	}
	return all
}

// moved tells that something more could be.
func (f *May) moved(set func(*bool)) {
	var more bool
	set(&more)
}
