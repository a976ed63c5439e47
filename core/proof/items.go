package proof

import (
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// usedOn lists, by thing, the items that a rule waits for being used on it; where it waits for being spoken to, an
// empty word.
func usedOn(d *document.Document) map[document.End][]string {
	out := map[document.End][]string{}
	for _, r := range d.RulesInOrder() {
		for _, n := range rules.TreeOf(r).When {
			if n.Word != rules.WordUseOn && n.Word != rules.WordSpeak || r.Off {
				continue
			}
			word := n.Blank("item").Word()
			switch n.At.Type {
			case document.TypeEntity:
				at := document.End{Map: n.At.Map, Entity: n.At.ID}
				out[at] = append(out[at], word)
			case document.TypeKind, document.TypeTag:
				for _, m := range d.Maps.All() {
					m.Entities.Each(func(e *document.Entity) {
						if d.Covers(n.At, document.ID(e.Kind)) {
							at := document.End{Map: m.ID, Entity: e.ID}
							out[at] = append(out[at], word)
						}
					})
				}
			}
		}
	}
	return out
}

// wielded are the items that a rule waits for being used where the hero stands.
func wielded(st *world.Stage) (out []string) {
	for _, r := range st.Doc.RulesInOrder() {
		for _, n := range rules.TreeOf(r).When {
			if word := n.Blank("item").Word(); n.Word == rules.WordWields && !r.Off && !slices.Contains(out, word) {
				out = append(out, word)
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
