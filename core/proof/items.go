package proof

import (
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/rules"
)

// usedOn lists, by thing, the items that a rule waits for being used on it.
func usedOn(d *document.Document) map[document.End][]string {
	out := map[document.End][]string{}
	for _, r := range d.RulesInOrder() {
		for _, p := range r.In(document.SlotWhen) {
			if o, ok := document.Named(p.Blank("what")); ok && p.Word == rules.WordUseOn {
				at := document.End{Map: o.Map, Entity: o.ID}
				out[at] = append(out[at], p.Blank("item").Word())
			}
		}
	}
	return out
}

// take takes an item in hand; false where it is not had.
func (w *walk) take(word string) bool {
	for range len(w.game.Carried()) + 1 {
		if w.game.Hand == word {
			return true
		}
		w.hold(play.InputNext)
		w.hold(0)
	}
	return w.game.Hand == word
}
