package proof

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Goals are the things by which a game is finished: goals on maps that no other map follows,
// or any, where all are followed.
func Goals(st *world.Stage) (out []world.Ref) {
	var followed []world.Ref
	for r := range st.Things {
		t := &st.Things[r]
		switch {
		case t.Acts != kind.Goal || t.Absent && !brought(st, world.Ref(r)) || st.Grounds[t.Map].Template:
		case st.Grounds[t.Map].Next:
			followed = append(followed, world.Ref(r))
		default:
			out = append(out, world.Ref(r))
		}
	}
	if len(out) == 0 {
		return followed
	}
	return out
}

// brought reports whether a rule puts a thing there.
func brought(st *world.Stage, r world.Ref) bool {
	end := st.End(r)
	return slices.ContainsFunc(st.Rules, func(rule *document.Rule) bool {
		return slices.ContainsFunc(rule.Parts.All(), func(p *document.RulePart) bool {
			o, _ := document.Named(p.Blank("what"))
			return p.Word == rules.WordBring && o.Map == end.Map && o.ID == end.Entity
		})
	})
}
