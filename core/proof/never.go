package proof

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
)

// What can never be come to.
const (
	NeverThing = "thing"
	NeverExit  = "exit"
	NeverMap   = "map"
	NeverRule  = "rule"
)

// Never is something that no player can come to, whatever is done.
type Never struct {
	What string
	// Map is that of a thing, or one that is never come to; Thing and Rule are None for nothing.
	Map, Thing, Rule world.Ref
}

// reachedKinds are what a player wants to come to.
var reachedKinds = map[string]bool{kind.Collectible: true, kind.Key: true, kind.Item: true, kind.Container: true, kind.Goal: true, kind.Checkpoint: true,
	kind.Switch: true, kind.Sign: true, kind.Character: true, kind.Sensor: true, kind.Exit: true}

// Never lists what nobody comes to, by what could be, which errs only for more: maps first, then what lies on those that are come to,
// and rules that never run.
func (f *May) Never() (out []Never) {
	for m, g := range f.st.Grounds {
		if !f.arrived[m] && !g.Template {
			out = append(out, Never{What: NeverMap, Map: world.Ref(m), Thing: world.None, Rule: world.None})
		}
	}
	for r := range f.st.Things {
		t := &f.st.Things[r]
		if !reachedKinds[t.Acts] || !f.arrived[t.Map] || f.st.Grounds[t.Map].Template || t.Acts == kind.Switch && t.Doing.Worked != world.ByUse || f.near(t, 1) {
			continue
		}
		what := NeverThing
		if t.Acts == kind.Exit {
			what = NeverExit
		}
		out = append(out, Never{What: what, Map: t.Map, Thing: world.Ref(r), Rule: world.None})
	}
	for r, rule := range f.st.Rules {
		if rule.Off || rule.Draft != "" {
			continue
		}
		tree := rules.TreeOf(rule)
		if len(tree.When) > 0 && !f.ran[r] && len(tree.Then) > 0 && len(tree.Otherwise) == 0 {
			out = append(out, Never{What: NeverRule, Map: world.None, Thing: world.None, Rule: world.Ref(r)})
		}
	}
	return out
}
