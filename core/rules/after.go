package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
	"strings"
)

// lasting are the actions whose effect on something stays, as long as that is remembered.
var lasting = []string{WordOpen, WordShut, WordTurnOn, WordTurnOff, WordFlip, WordShow, WordHide, WordEnable, WordDisable, WordBring, WordRemove, WordDisguise, WordDefeat,
	WordOwnSet, WordOwnClear, WordOwnAdd, WordOwnPut}

// After says of what a rule does to things on maps what will be so when one has left and comes again: what stays, and what is
// as at first then. It is empty where it does nothing of that sort.
func After(d *document.Document, r *document.Rule) string {
	var stays, left, lost []string
	add := func(all *[]string, name string) {
		if !slices.Contains(*all, name) {
			*all = append(*all, name)
		}
	}
	tree := TreeOf(r)
	Each(slices.Concat(tree.Then, tree.Otherwise), func(n *Node) {
		o := n.At
		if o.Type == document.TypeIt && len(tree.When) > 0 {
			o = tree.When[0].At
		}
		m := d.Maps.Get(o.Map)
		switch e := d.Entity(o.Map, o.ID); {
		case m == nil:
		case n.Word == WordLay || n.Word == WordLift:
			if l := m.Layers.Get(o.ID); l != nil {
				add(map[bool]*[]string{true: &left, false: &stays}[startsAfresh(d, m)], l.Name)
			}
		case e == nil || !slices.Contains(lasting, n.Word):
		case e.Memory == document.UntilLost:
			add(&lost, e.Name)
		case e.Memory == document.UntilLeft, e.Memory == document.AsItsMap && startsAfresh(d, m):
			add(&left, e.Name)
		default:
			add(&stays, e.Name)
		}
	})
	var out []string
	for _, part := range []struct {
		names    []string
		one, all string
	}{{stays, " stays so", " stay so"}, {left, " is as at first when one comes there again", " are as at first when one comes there again"},
		{lost, " is as at first when the hero comes back after a loss", " are as at first when the hero comes back after a loss"}} {
		if n := len(part.names); n > 0 {
			out = append(out, Listed(part.names)+map[bool]string{true: part.one, false: part.all}[n == 1])
		}
	}
	return strings.Join(out, "; ")
}

// startsAfresh reports whether a map is as at first each time that one comes there.
func startsAfresh(d *document.Document, m *document.Map) bool {
	return d.MapValue(m, kind.MapEnteredAgain).Word() == kind.Afresh
}

// Listed are names as they are said one after the other, a few of many; there has to be one.
func Listed(names []string) string {
	if n := len(names); n > 4 {
		return strings.Join(names[:3], ", ") + " and others"
	} else if n > 1 {
		return strings.Join(names[:n-1], ", ") + " and " + names[n-1]
	}
	return names[0]
}
