package proof

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// draws widens what a counter could be by what could be drawn for it.
func (f *May) draws(n *rules.Node, set func(*bool)) {
	c := f.st.CounterOf(n.At.ID)
	if c < 0 {
		return
	}
	least, from := f.number(n.Blank("number"))
	to, most := f.number(n.Blank("most"))
	f.between(c, min(f.least[c], least, to), max(f.most[c], from, most), set)
}

// calls widens what counters could be by the number that comes with a signal.
func (f *May) calls(n *rules.Node, set func(*bool)) {
	least, most := f.number(n.Blank("number"))
	for _, r := range rules.Waiting(f.st.Doc, rules.Happening{Word: rules.WordBrings}) {
		for _, p := range rules.TreeOf(r).When {
			into, ok := document.Named(p.Blank("into"))
			if c := f.st.CounterOf(into.ID); ok && c >= 0 && p.Blank("signal").Word() == n.Blank("signal").Word() {
				f.between(c, min(f.least[c], least), max(f.most[c], most), set)
			}
		}
	}
}

// number is the least and the most that a number of a part could be.
func (f *May) number(value kind.Datum) (least, most int64) {
	if o, ok := document.Named(value); ok {
		return f.Counter(o.ID)
	}
	return value.Thousandths() / 1000, value.Thousandths() / 1000
}

// changesCounter widens what a counter could be.
func (f *May) changesCounter(n *rules.Node, alone bool, set func(*bool)) {
	c := f.st.CounterOf(n.At.ID)
	if c < 0 {
		return
	}
	from, to := n.Number, n.Number
	if n.By != "" {
		from, to = f.Counter(n.By)
	}
	least, most := f.least[c], f.most[c]
	switch {
	case n.Word == rules.WordPut:
		least, most = min(least, from), max(most, to)
	case n.Word == rules.WordAdd && alone && n.By == "":
		if i, has := slices.BinarySearch(f.added, n.ID); !has {
			// what is done once adds once, whatever else it is by then
			f.added = slices.Insert(f.added, i, n.ID)
			least, most = least+min(0, from), most+max(0, to)
		}
	default:
		if from < 0 || n.Word == rules.WordMultiply {
			least = -document.MaxNumber
		}
		if to > 0 || n.Word == rules.WordMultiply {
			most = document.MaxNumber
		}
	}
	f.between(c, least, most, set)
}

// between takes over what a counter could be.
func (f *May) between(c world.Ref, least, most int64, set func(*bool)) {
	if least = max(least, -document.MaxNumber); least < f.least[c] {
		f.least[c] = least
		f.moved(set)
	}
	if most = min(most, document.MaxNumber); most > f.most[c] {
		f.most[c] = most
		f.moved(set)
	}
}
