package check

import (
	"azzel/core/document"
	"azzel/core/rules"
	"fmt"
)

// contrary is what takes back what a step does to the same thing.
var contrary = map[string]string{rules.WordSet: rules.WordClear, rules.WordOpen: rules.WordShut, rules.WordTurnOn: rules.WordTurnOff, rules.WordShow: rules.WordHide,
	rules.WordBring: rules.WordRemove, rules.WordLay: rules.WordLift}

// done is a step on something, with what wakes its rule.
type done struct {
	wakes, word string
	at          document.Object
}

// ofUndoing finds rules that wake at the same, ask for nothing, and take back at once what the other one does.
func ofUndoing(d *document.Document, say func(Finding)) {
	by := map[done]*document.Rule{}
	all := d.RulesInOrder()
	eachStep := func(f func(r *document.Rule, one done)) {
		for _, r := range all {
			tree := rules.TreeOf(r)
			if r.Off || r.Draft != "" || len(tree.If) > 0 || len(tree.When) != 1 {
				continue
			}
			w := tree.When[0]
			for _, n := range tree.Then {
				if n.Word == rules.WordWait || n.Word == rules.WordSay || n.Word == rules.WordScene {
					break // the other one is over by then
				}
				f(r, done{fmt.Sprint(w.Word, w.At, w.Blanks), n.Word, n.At})
			}
		}
	}
	eachStep(func(r *document.Rule, one done) {
		if contrary[one.word] != "" && by[one] == nil {
			by[one] = r
		}
	})
	if len(by) == 0 {
		return
	}
	back := map[string]string{}
	for _, word := range []string{rules.WordSet, rules.WordOpen, rules.WordTurnOn, rules.WordShow, rules.WordBring, rules.WordLay} {
		back[contrary[word]] = word
	}
	told := map[*document.Rule]bool{}
	eachStep(func(r *document.Rule, one done) {
		word := back[one.word]
		if word == "" {
			return
		}
		one.word = word
		if o := by[one]; o != nil && o != r && !told[r] {
			told[r] = true
			say(Finding{What: RuleUndoes, Of: document.TypeRule, ID: r.ID, Text: fmt.Sprintf("%s takes back what %s does at the same moment.", Called(d, r), Called(d, o))})
		}
	})
}
