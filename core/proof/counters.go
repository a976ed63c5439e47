package proof

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// draws widens what a counter could be by what could be drawn for it.
func (f *May) draws(n *rules.Node, set func(*bool)) {
	c := f.st.CounterOf(n.At.ID)
	if c < 0 {
		return
	}
	least, from := f.number(n.Blank("number"))
	to, most := f.number(n.Blank("most"))
	f.puts(c, min(least, to), max(from, most), set)
}

// calls widens what counters could be by the number that comes with a signal.
func (f *May) calls(n *rules.Node, set func(*bool)) {
	least, most := f.number(n.Blank("number"))
	for _, r := range rules.Waiting(f.st.Doc, rules.Happening{Word: rules.WordBrings}) {
		for _, p := range rules.TreeOf(r).When {
			into, ok := document.Named(p.Blank("into"))
			if c := f.st.CounterOf(into.ID); ok && c >= 0 && p.Blank("signal").Word() == n.Blank("signal").Word() {
				f.puts(c, least, most, set)
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
func (f *May) changesCounter(n *rules.Node, times run, set func(*bool)) {
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
		f.puts(c, from, to, set)
		return
	case n.Word == rules.WordAdd && times.once && n.By == "":
		if by := (added{n.ID, times.it, times.word}); !f.added[by] {
			// what is done once adds once, whatever else it is by then
			f.added[by] = true
			less, more := min(0, from), max(0, to)
			f.tallies[c].less += less
			f.tallies[c].more += more
			least, most = least+less, most+more
		}
	case n.Word == rules.WordAdd && n.By == "" && f.limited(n, times):
		runs := f.oftener(n, times)
		f.tallies[c].less += runs * min(0, from)
		f.tallies[c].more += runs * max(0, to)
		least, most = least+runs*min(0, from), most+runs*max(0, to)
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

// giving counts what a rule gives of an item.
func (f *May) giving(n *rules.Node, times run, set func(*bool)) {
	word := n.Blank("item").Word()
	switch by := (added{n.ID, times.it, times.word}); {
	case f.given[word] == document.MaxNumber:
		return
	case !times.once && n.By == "" && f.limited(n, times):
		runs := f.oftener(n, times)
		if runs == 0 {
			return
		}
		f.given[word] = min(f.given[word]+runs*max(0, n.Number), document.MaxNumber)
	case !times.once || n.By != "":
		f.given[word] = document.MaxNumber
	case !f.added[by]:
		f.added[by] = true
		f.given[word] = min(f.given[word]+max(0, n.Number), document.MaxNumber)
	default:
		return
	}
	f.moved(set)
}

// Amount is how many of what is called by a word could be had at once. What is had is so of things, so that none counts twice, however often it
// is put back and taken again.
func (f *May) Amount(word string) (n int64) {
	if word == f.bareWord && word != "" {
		return 0
	}
	if f.now != nil { // of what was given and paid it is not known from what it came
		return map[bool]int64{true: document.MaxNumber}[f.has(word)]
	}
	for _, r := range f.st.Holding {
		t := f.st.Thing(r)
		switch t.Acts {
		case kind.Key, kind.Item:
			if f.taken[r] && t.Doing.Word == word {
				n += int64(max(1, t.Doing.Health))
			}
		case kind.Breakable:
			if t.Doing.Word == word {
				n++ // it may be broken
			}
		case kind.Walker, kind.Flyer, kind.Shooter, kind.Container:
			if t.Acts == kind.Container && !f.opened[r] && !f.on(r) {
				continue
			}
			n += occurs(t.Doing.Holds, word)
		}
	}
	for _, hero := range append([]world.Ref{world.None}, f.st.Heroes...) {
		n += occurs(f.st.Carries(hero), word)
	}
	return min(n+f.given[word], document.MaxNumber)
}

// occurs is how often a word stands in a list.
func occurs(all []string, word string) (n int64) {
	for _, one := range all {
		if one == word {
			n++
		}
	}
	return n
}

// tally is what was added to a counter by what is done once, and how often something it could be put to was more than before.
type tally struct {
	less, more int64
	puts       int
}

// maxPuts is how often that may be: with more, counters are put to each other and added to without an end.
const maxPuts = 100

// puts has a counter be put to something between two numbers. What is added once may be added before or after it.
func (f *May) puts(c world.Ref, least, most int64, set func(*bool)) {
	t := &f.tallies[c]
	least, most = min(f.least[c], least+t.less), max(f.most[c], most+t.more)
	if least < f.least[c] || most > f.most[c] {
		if t.puts++; t.puts > maxPuts {
			least, most = -document.MaxNumber, document.MaxNumber
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
