package proof

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// payment is what a rule takes of an item or a counter each time that it goes on, having asked whether there is so much of it. What is
// paid in a whole game is no more than there was at first, was found and was given; so it goes on no oftener than that can be paid.
type payment struct {
	item    string
	counter world.Ref
	n       int64
}

// atOnce are the steps that are done in the same moment as those before them, and leave items alone.
var atOnce = []string{rules.WordNote, rules.WordSet, rules.WordClear, rules.WordAdd, rules.WordTurnOn, rules.WordTurnOff, rules.WordOpen, rules.WordShut, rules.WordHide,
	rules.WordShow, rules.WordEnable, rules.WordDisable, rules.WordUseUp, rules.WordGive}

// pays tells what a step takes of which it was asked, with nothing in between, whether there is so much.
func (f *May) pays(n *rules.Node, asked []*rules.Node) (p payment, ok bool) {
	if n.By != "" {
		return p, false
	}
	switch {
	case n.Word == rules.WordUseUp && n.Number > 0:
		p = payment{n.Blank("item").Word(), world.None, n.Number}
	case n.Word == rules.WordAdd && n.Number < 0 && f.st.CounterOf(n.At.ID) >= 0 && !f.deeds().put[n.At.ID]:
		p = payment{"", f.st.CounterOf(n.At.ID), -n.Number}
	default:
		return p, false
	}
	return p, slices.ContainsFunc(asked, func(q *rules.Node) bool {
		switch q.Word {
		case rules.WordAllOf:
			_, inside := f.pays(n, q.If)
			return inside
		case rules.WordHas:
			return p.item != "" && q.Blank("item").Word() == p.item && p.n == 1
		case rules.WordHasMany:
			return p.item != "" && q.Blank("item").Word() == p.item && q.By == "" && q.Number >= p.n
		case rules.WordAtLeast:
			return p.counter >= 0 && f.st.CounterOf(q.At.ID) == p.counter && q.By == "" && q.Number >= p.n
		}
		return false
	})
}

// payable is how often all of that could be paid.
func (f *May) payable(all []payment) int64 {
	n := int64(document.MaxNumber)
	for _, p := range all {
		there := int64(0)
		if p.counter >= 0 {
			there = f.most[p.counter]
		} else {
			there = f.Amount(p.item)
		}
		if there < document.MaxNumber {
			n = min(n, max(0, there/p.n))
		}
	}
	return n
}

// repeats is how often what is done for a payment could have been, and how often that became more.
type repeats struct{ runs, raised int64 }

// limited reports whether what a step does is paid for each time, with something of which there is an end. Where each of two could be had
// for the other, on and on, there is none.
func (f *May) limited(n *rules.Node, times run) bool {
	return len(times.paid) > 0 && f.payable(times.paid) < document.MaxNumber && f.paid[n.ID].raised <= maxPuts
}

// oftener is how much oftener a step could be come to than was known.
func (f *May) oftener(n *rules.Node, times run) int64 {
	was := f.paid[n.ID]
	runs := max(0, f.payable(times.paid)-was.runs)
	if runs > 0 {
		f.paid[n.ID] = repeats{was.runs + runs, was.raised + 1}
	}
	return runs
}
