package check

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"fmt"
	"slices"
	"strings"
)

// ofRules finds what is wrong with rules, and with flags.
func ofRules(d *document.Document, say func(Finding)) {
	rule := func(what string, r *document.Rule, text string, args ...any) {
		say(Finding{What: what, Of: document.TypeRule, ID: r.ID, Text: fmt.Sprintf(text, args...)})
	}
	set, asked := map[document.ID]bool{}, map[document.ID]bool{}
	ends, wins := false, false
	for _, r := range d.RulesInOrder() {
		name := Called(d, r)
		if r.Draft != "" {
			rule(RuleDraft, r, "The text of %s cannot be read yet: it is kept, and does nothing.", name)
			continue
		}
		tree := rules.TreeOf(r)
		for _, all := range [][]*rules.Node{tree.Then, tree.Otherwise} {
			rules.Each(all, func(n *rules.Node) {
				wins = wins || n.Word == rules.WordWin || n.Word == rules.WordFinish
				if n.Word == rules.WordSet {
					set[n.At.ID] = true
				}
			})
		}
		for _, p := range r.InOrder() {
			if (p.Word == rules.WordIsSet || p.Word == rules.WordGetsSet) && !r.Off {
				if o, ok := document.Named(p.Blank("what")); ok {
					asked[o.ID] = true
				}
			}
		}
		if r.Off {
			continue
		}
		switch {
		case len(tree.Then)+len(tree.Otherwise) == 0 && !slices.ContainsFunc(tree.When, func(n *rules.Node) bool { return n.Word == rules.WordTurnsInto }):
			rule(RuleEmpty, r, "%s does nothing yet.", name)
		case slices.ContainsFunc(rules.Sentence(d, r), func(s rules.Said) bool { return s.Missing }):
			rule(RuleGone, r, "%s names something that was removed.", name)
		}
		if plain := plainName(d, r); plain != "" {
			rule(PlainName, r, "%s names %s: a name of its own would be read more easily.", name, plain)
		}
	}
	for _, r := range endless(d) {
		rule(RuleEndless, r, "%s wakes itself again and again, by what it does: ask for something before.", Called(d, r))
	}
	by := d.GameValue(kind.GameGoal).Word()
	if by == kind.GoalFlag {
		asked[document.ID(d.GameValue(kind.GameWonWith).Word())] = true
	}
	uses := d.FlagUses()
	for _, f := range d.FlagsByName() {
		switch {
		case len(uses[f.ID]) == 0:
			say(Finding{What: FlagUnused, Of: document.TypeFlag, ID: f.ID, Text: fmt.Sprintf("Nothing uses the flag %s.", f.Name)})
		case asked[f.ID] && !set[f.ID]:
			say(Finding{What: FlagNever, Of: document.TypeFlag, ID: f.ID, Text: fmt.Sprintf("%s is asked for, and no rule sets it.", f.Name)})
		}
	}
	starts := false
	for _, m := range d.Maps.All() {
		for _, e := range m.Entities.All() {
			acts := d.Acts(e)
			ends, starts = ends || by == kind.GoalWins && acts == kind.Goal || by == kind.GoalCollects && acts == kind.Collectible, starts || acts == kind.Spawn || acts == kind.Hero
		}
	}
	ends = ends || by == kind.GoalFlag && d.Flags.Get(document.ID(d.GameValue(kind.GameWonWith).Word())) != nil
	if starts && !ends && !wins {
		say(Finding{What: NoGoal, Of: document.TypeProject, Text: "Nothing finishes the game yet: " + map[string]string{
			kind.GoalFlag: "choose under Game which flag wins it.", kind.GoalCollects: "put down what is to be collected.", kind.GoalGoesOn: "let a rule win it.", kind.GoalWins: "put a goal down, or let a rule win it.",
		}[by]})
	}
}

// Called is how a rule is spoken of.
func Called(d *document.Document, r *document.Rule) string {
	if r.Name != "" {
		return "“" + r.Name + "”"
	}
	var words []string
	for _, s := range rules.Sentence(d, r) {
		words = append(words, s.Text)
	}
	text := []rune(strings.ReplaceAll(strings.Join(words, " "), " ,", ","))
	if len(text) > 60 {
		text = append(text[:57], '…')
	}
	return "The rule “" + string(text) + "”"
}

// plainName is the first name of something in a rule that is its kind's with a number, as it was put down; empty for none.
func plainName(d *document.Document, r *document.Rule) string {
	for _, p := range r.InOrder() {
		for _, b := range p.Blanks {
			o, ok := document.Named(b.Value)
			if !ok || o.Type != document.TypeEntity {
				continue
			}
			e := d.Entity(o.Map, o.ID)
			if e == nil {
				continue
			}
			k := d.Kind(document.ID(e.Kind))
			if k == nil {
				continue
			}
			rest, is := strings.CutPrefix(e.Name, k.Name+" ")
			if is && rest != "" && strings.IndexFunc(rest, func(c rune) bool { return c < '0' || c > '9' }) < 0 {
				return e.Name
			}
		}
	}
	return ""
}

// endless are rules without conditions and waits that wake themselves by a signal that they send, over others or at once. (What
// sets what is set already wakes nobody, so that only signals go round for ever.)
func endless(d *document.Document) (out []*document.Rule) {
	all := d.RulesInOrder()
	at := map[document.ID]int{}
	for i, r := range all {
		at[r.ID] = i
	}
	next := make([][]int, len(all))
	for i, r := range all {
		tree := rules.TreeOf(r)
		if r.Off || r.Once || len(tree.If) > 0 {
			continue
		}
		for _, n := range tree.Then {
			if n.Word != rules.WordSignal {
				if n.Word == rules.WordWait {
					break // it lets time pass
				}
				continue
			}
			for _, word := range []string{rules.WordHears, rules.WordBrings} {
				for _, o := range rules.Waiting(d, rules.Happening{Word: word}) {
					waits := slices.ContainsFunc(rules.TreeOf(o).When, func(w *rules.Node) bool {
						return w.Word == word && w.Blank("signal").Word() == n.Blank("signal").Word()
					})
					if waits {
						next[i] = append(next[i], at[o.ID])
					}
				}
			}
		}
	}
	for i, r := range all {
		seen, todo := map[int]bool{}, slices.Clone(next[i])
		for len(todo) > 0 {
			k := todo[0]
			todo = todo[1:]
			if k == i {
				out = append(out, r)
				break
			}
			if !seen[k] {
				seen[k] = true
				todo = append(todo, next[k]...)
			}
		}
	}
	return out
}
