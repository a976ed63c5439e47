package proof

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
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

// Never lists what nobody comes to from any of several beginnings, by what could be, which errs only for more: maps first, then what
// lies on those that are come to, and rules that never run.
func never(st *world.Stage, from []*May) (out []Never) {
	any := func(is func(*May) bool) bool { return slices.ContainsFunc(from, is) }
	arrived := func(m world.Ref) bool { return any(func(f *May) bool { return f.arrived[m] }) }
	for m, g := range st.Grounds {
		if !arrived(world.Ref(m)) && !g.Template {
			out = append(out, Never{What: NeverMap, Map: world.Ref(m), Thing: world.None, Rule: world.None})
		}
	}
	for r := range st.Things {
		t := &st.Things[r]
		if !reachedKinds[t.Acts] || !arrived(t.Map) || st.Grounds[t.Map].Template || t.Acts == kind.Switch && t.Doing.Worked != world.ByUse || any(func(f *May) bool { return f.near(t, 1) }) {
			continue
		}
		what := NeverThing
		if t.Acts == kind.Exit {
			what = NeverExit
		}
		out = append(out, Never{What: what, Map: t.Map, Thing: world.Ref(r), Rule: world.None})
	}
	for r, rule := range st.Rules {
		if rule.Off || rule.Draft != "" {
			continue
		}
		tree := rules.TreeOf(rule)
		if len(tree.When) > 0 && !any(func(f *May) bool { return f.ran[r] }) && len(tree.Then) > 0 && len(tree.Otherwise) == 0 {
			out = append(out, Never{What: NeverRule, Map: world.None, Thing: world.None, Rule: world.Ref(r)})
		}
	}
	return out
}
