package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// A scene is what a rule does between its beginning and its end: while it lasts the hero is held and not struck. Nothing
// of that is kept: it follows from where the rules stand, so that a scene that ends otherwise gives back what it held.

// scene is the step that began the scene in which a rule is; nil where it is in none.
func (t Thread) scene(st *world.Stage) *rules.Step {
	if s := t.at(st); s != nil && s.Scene > 0 {
		return &rules.TreeOf(st.Rules[t.Rule]).Steps[s.Scene-1]
	}
	return nil
}

// Held reports whether a scene holds the hero.
func (g *Game) Held() bool {
	return len(g.Threads) > 0 && slices.ContainsFunc(g.Threads, func(t Thread) bool { return t.scene(g.Stage) != nil })
}

// Skippable reports whether the scene that goes on can be skipped.
func (g *Game) Skippable() bool { return slices.ContainsFunc(g.Threads, g.canSkip) }

func (g *Game) canSkip(t Thread) bool {
	s := t.scene(g.Stage)
	return s != nil && s.Node.Blank("skip").Word() == rules.CanSkip && t.asking(g.Stage) == nil
}

// skip does at once what is left of the scenes that can be skipped, up to what is asked: nothing is said, nobody waits, who
// walks is there.
func (g *Game) skip() {
	threads := g.Threads
	g.Threads = nil
	var lines []Line
	rest := g.Lines
	skips := false
	for i, t := range threads {
		g.rest = threads[i+1:]
		var own []Line
		if t.reads() {
			n := 1 + slices.IndexFunc(rest, func(l Line) bool { return l.Resumes })
			own, rest = rest[:n], rest[n:]
		}
		if !g.canSkip(t) {
			lines = append(lines, own...)
			g.Threads = append(g.Threads, t)
			continue
		}
		skips = true
		t.Skips = true
		if s := t.at(g.Stage); t.For == ForWalk {
			for range longestWalk {
				if m := g.Ground(); m == nil || g.walk(m, s.Node, &t) {
					break
				}
			}
		}
		if t.For == ForAll && g.others(&t) {
			g.Threads = append(g.Threads, t) // what is done at the same time is skipped with it, and not done yet
			continue
		}
		t.Wait, t.For = 0, ForTime
		before := g.Lines
		g.Lines = nil
		g.goOn(t)
		lines = append(lines, g.Lines...)
		g.Lines = before
	}
	g.rest = nil
	g.Lines = append(slices.Clone(lines), rest...)
	g.Chosen = 0
	if skips {
		g.tell("skips", "")
	}
}

// cast reports whether somebody is in a scene that goes on, or walks because a rule says so: then he does nothing by himself.
func (g *Game) cast(r world.Ref) bool {
	if len(g.Threads) == 0 {
		return false
	}
	return slices.ContainsFunc(g.Threads, func(t Thread) bool {
		s, scene := t.at(g.Stage), t.scene(g.Stage)
		g.by = t.By
		if t.For == ForWalk && g.names(s.Node, t.It, r) {
			return true
		}
		in := false
		if scene != nil {
			rules.Each(scene.Node.Then, func(n *rules.Node) {
				switch n.Word {
				case rules.WordWalk, rules.WordGoTo, rules.WordTurn, rules.WordMove:
					in = in || g.names(n, t.It, r)
				}
			})
		}
		return in
	})
}

// names reports whether a part names a thing.
func (g *Game) names(n *rules.Node, it, r world.Ref) bool {
	n = g.meant(n)
	switch n.At.Type {
	case document.TypeKind, document.TypeTag, document.TypeWithin:
		return g.among(n, r)
	default:
		return g.target(n, it) == r
	}
}
