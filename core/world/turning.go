package world

import (
	"azzel/core/document"
	"azzel/core/rules"
	"strconv"
)

// Turning is a thing that goes over into other guises by itself, and in which ways.
type Turning struct {
	Thing Ref
	Ways  []Turn
}

// Turn is a way from one guise into another one, by their numbers, that a rule leads.
type Turn struct {
	Rule     Ref
	Of       *document.Rule
	If       []*rules.Node
	From, To int
}

// Turnings are all things that do, ascending, with their ways in the order of the rules; found when they are first asked for.
func (s *Stage) Turnings() []Turning {
	if s.turned {
		return s.turnings
	}
	s.turned = true
	for _, r := range s.Guised {
		if ways := s.turnsOf(s.Thing(r)); len(ways) > 0 {
			s.turnings = append(s.turnings, Turning{r, ways})
		}
	}
	return s.turnings
}

// turnsOf are the ways of a thing.
func (s *Stage) turnsOf(t *Thing) (out []Turn) {
	at := document.Object{Type: document.TypeEntity, Map: s.Grounds[t.Map].ID, ID: t.ID}
	for _, rule := range rules.Waiting(s.Doc, rules.Happening{Word: rules.WordTurnsInto, At: at, Kind: document.ID(t.Kind)}) {
		tree := rules.TreeOf(rule)
		for _, n := range tree.When {
			about := s.Doc.Covers(n.At, document.ID(t.Kind)) || n.At.Type == document.TypeEntity && n.At.ID == t.ID
			from, to := GuiseNamed(n, "from"), GuiseNamed(n, "guise")
			if n.Word == rules.WordTurnsInto && about && from >= 0 && to >= 0 && from != to && (to == 0 || document.GuiseIn(t.Guises, to) != nil) {
				out = append(out, Turn{s.RuleOf(rule.ID), rule, tree.If, from, to})
			}
		}
	}
	return out
}

// GuiseNamed is the number of a guise that a blank of a part names, −1 for none.
func GuiseNamed(n *rules.Node, key string) int {
	number, err := strconv.Atoi(n.Blank(key).Word())
	if err != nil {
		return -1
	}
	return number
}
