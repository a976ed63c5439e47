package world

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"slices"
)

// moving are the words of rules that move somebody otherwise than by sending it somewhere, or have the hero come back where it is just then.
var moving = []string{rules.WordWalk, rules.WordGoTo, rules.WordMove, rules.WordFollow, rules.WordPlayAs, rules.WordKeep}

// onTheSpot are the happenings of a thing that come about only where the hero is.
var onTheSpot = []string{rules.WordUse, rules.WordUseOn, rules.WordTake, rules.WordEnter, rules.WordSpeak}

// moved reports whether rules move the hero on a map, or something there that acts on it.
func (g *Ground) moved() bool {
	s := g.stage
	if !s.movesKnown {
		s.movesKnown = true
		for _, r := range s.Rules {
			if !r.Off {
				s.moves = append(s.moves, s.movesOf(r)...)
			}
		}
	}
	return slices.ContainsFunc(s.moves, func(m document.ID) bool { return m == "" || m == g.ID })
}

// movesOf are the maps on which a rule moves the hero, or something that may act on it; an empty one stands for any.
func (s *Stage) movesOf(r *document.Rule) (out []document.ID) {
	tree := rules.TreeOf(r)
	see := func(all []*rules.Node, held bool) {
		rules.Each(all, func(n *rules.Node) {
			switch {
			case !slices.Contains(moving, n.Word):
			case n.Word != rules.WordKeep && n.Word != rules.WordPlayAs && n.At.Type == document.TypeEntity:
				t := s.Thing(s.ThingOf(n.At.Map, n.At.ID))
				if t != nil && t.Acts == kind.Hero {
					out = append(out, "")
				} else if t != nil && t.Acts != kind.Character {
					out = append(out, n.At.Map)
				}
			case held:
				for _, w := range tree.When {
					out = append(out, w.At.Map)
				}
			default:
				out = append(out, "")
			}
		})
	}
	then := tree.Then
	if s.begunThere(tree) {
		see(then[:1], true) // the hero is held from the beginning on
		then = then[1:]
	}
	see(then, false)
	see(tree.Otherwise, false)
	return out
}

// calm reports whether nothing on a map moves a hero that a scene holds, which is not struck.
func (g *Ground) calm() bool {
	if w := g.stage.Gait(g, None); w.WindX != 0 || w.WindY != 0 {
		return false
	}
	for r := g.First; r < g.After; r++ {
		t := g.stage.Thing(r)
		if slices.Contains(takingAlong, t.Acts) || t.Area != nil && (t.Area.FlowX != 0 || t.Area.FlowY != 0) {
			return false
		}
	}
	return true
}

// waySpan is how many cells of something one can be away while something happens to it.
const waySpan = 2

// leads reports whether a way off the map begins so near to a thing that one could go both ways at once.
func (g *Ground) leads(r Ref) bool {
	t := g.stage.Thing(r)
	if t == nil || t.Doing.Goes {
		return true
	}
	near := grown(reach(t), waySpan*int64(g.CellWidth)*Unit, waySpan*int64(g.CellHeight)*Unit)
	for o := g.First; o < g.After; o++ {
		if g.stage.WayFrom(g.stage.End(o)) >= 0 && (g.stage.Thing(o).Doing.Goes || !apart(near, reach(g.stage.Thing(o)))) {
			return true
		}
	}
	all := g.Area()
	inside := near.Left >= all.Left && near.Top >= all.Top && near.Right <= all.Right && near.Bottom <= all.Bottom
	return !inside && (len(g.stage.Chart.SeamsOf(g.ID)) > 0 || slices.ContainsFunc(document.Facings[:], func(f document.Facing) bool { return g.Map.Side(f) == document.SideExit }))
}

// takingAlong are the kinds that move whoever stands still.
var takingAlong = []string{kind.Platform, kind.Conveyor, kind.Wind, kind.Fan, kind.Spring, kind.Source}

// begunThere reports whether a rule begins with a scene on the map on which it is woken, where nothing else moves the hero, and from which
// the scene does not send it away before it walks.
func (s *Stage) begunThere(tree *rules.Tree) bool {
	if len(tree.Then) == 0 || tree.Then[0].Word != rules.WordScene {
		return false
	}
	for _, w := range tree.When {
		m := s.MapOf(w.At.Map)
		if !slices.Contains(onTheSpot, w.Word) || w.At.Type != document.TypeEntity || m < 0 || !s.Grounds[m].calm() || s.Grounds[m].leads(s.ThingOf(w.At.Map, w.At.ID)) {
			return false
		}
	}
	sent, is := false, true
	rules.Each(tree.Then[:1], func(n *rules.Node) {
		is = is && !(sent && slices.Contains(moving, n.Word))
		sent = sent || n.Word == rules.WordSend
	})
	return is
}
