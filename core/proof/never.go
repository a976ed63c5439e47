package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
	"strings"
)

// What can never be come to.
const (
	NeverThing  = "thing"
	NeverExit   = "exit"
	NeverMap    = "map"
	NeverGround = "ground"
	NeverRule   = "rule"
	NeverStep   = "step"
)

// Never is something that no player can come to, whatever is done.
type Never struct {
	What string
	// Map is that of a thing, or one that is never come to; Thing and Rule are None for nothing.
	Map, Thing, Rule world.Ref
	// Part is the first of a rule that never runs, where others do.
	Part document.ID
	// Ground are pieces of free ground of the map, Come the cells that one comes to there.
	Ground []*grid.Region
	Come   *grid.Region
}

// reachedKinds are what a player wants to come to, and from how many cells away that counts: what is used is used from beside it.
var reachedKinds = map[string]int{kind.Collectible: 0, kind.Key: 0, kind.Item: 0, kind.Container: 1, kind.Goal: 0, kind.Checkpoint: 0,
	kind.Switch: 1, kind.Sign: 1, kind.Character: 1, kind.Sensor: 0, kind.Exit: 0}

// comesToMap reports whether the hero could come to a map.
func (f *May) comesToMap(m world.Ref) bool { return f.arrived[m] }

// comesTo reports whether the hero could come to a thing; ok that it is one that it wants to come to.
func (f *May) comesTo(t *world.Thing) (comes, ok bool) {
	cells, ok := reachedKinds[t.Acts]
	return ok && f.near(t, cells), ok
}

// never lists what nobody comes to from any of several beginnings, by what could be, which errs only for more: maps first, then what
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
		_, wanted := reachedKinds[t.Acts]
		if !wanted || !arrived(t.Map) || st.Grounds[t.Map].Template || t.Acts == kind.Switch && t.Doing.Worked != world.ByUse || any(func(f *May) bool { comes, _ := f.comesTo(t); return comes }) {
			continue
		}
		what := NeverThing
		if t.Acts == kind.Exit {
			what = NeverExit
		}
		out = append(out, Never{What: what, Map: t.Map, Thing: world.Ref(r), Rule: world.None})
	}
	for m, g := range st.Grounds {
		if arrived(world.Ref(m)) && !g.Template {
			if pieces, come := neverGround(g, from); len(pieces) > 0 {
				out = append(out, Never{What: NeverGround, Map: world.Ref(m), Thing: world.None, Rule: world.None, Ground: pieces, Come: come})
			}
		}
	}
	for r, rule := range st.Rules {
		if rule.Off || rule.Draft != "" {
			continue
		}
		tree := rules.TreeOf(rule)
		if len(tree.When) > 0 && !any(func(f *May) bool { return f.ran[r] }) && len(tree.Then) > 0 && len(tree.Otherwise) == 0 {
			out = append(out, Never{What: NeverRule, Map: world.None, Thing: world.None, Rule: world.Ref(r)})
			continue
		}
		if !any(func(f *May) bool { return f.ran[r] }) {
			continue
		}
		came := func(id document.ID) bool { return any(func(f *May) bool { return f.came[id] }) }
		if part := left(append(slices.Clone(tree.Then), tree.Otherwise...), came); part != "" {
			out = append(out, Never{What: NeverStep, Map: world.None, Thing: world.None, Rule: world.Ref(r), Part: part})
		}
	}
	return out
}

// left is the first of some steps, or of those in them, that is never come to; empty for none.
func left(all []*rules.Node, came func(document.ID) bool) document.ID {
	for _, n := range all {
		if !came(n.ID) {
			return n.ID
		}
		for _, within := range [][]*rules.Node{n.Then, n.Otherwise} {
			if part := left(within, came); part != "" {
				return part
			}
		}
	}
	return ""
}

// Says is the line of a rule that is never come to.
func Says(st *world.Stage, n Never) string {
	for _, l := range rules.Lines(st.Doc, st.Rules[n.Rule]) {
		if l.Part == n.Part {
			var words []string
			for _, s := range l.Words {
				words = append(words, s.Text)
			}
			return strings.Join(words, " ")
		}
	}
	return ""
}

// CutOff lists what could be come to before, is there still, and could not be come to any more after, by its number before.
func CutOff(before, after *May) (out []world.Ref) {
	for r := range before.st.Things {
		t := &before.st.Things[r]
		if comes, _ := before.comesTo(t); !comes {
			continue
		}
		end := before.st.End(world.Ref(r))
		if now := after.st.Thing(after.st.ThingOf(end.Map, end.Entity)); now != nil {
			if comes, _ := after.comesTo(now); comes {
				continue
			}
			out = append(out, world.Ref(r))
		}
	}
	return out
}
