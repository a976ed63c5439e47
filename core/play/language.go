package play

import (
	"azzel/core/rules"
	"slices"
)

// text is what a part of a rule says, in the language that is read in.
func (g *Game) text(n *rules.Node) string {
	return g.Stage.Doc.Says(g.Language, n.Blank("text").Word())
}

// answers are the answers of a part that asks.
func (g *Game) answers(n *rules.Node) []string {
	out := n.Answers()
	for i := range out {
		out[i] = g.Stage.Doc.Says(g.Language, out[i])
	}
	return out
}

// Reads has the game be read in a language of the project from now on, empty for what the texts are written in.
func (g *Game) Reads(language string) {
	if language == "" || slices.Contains(g.Stage.Doc.Project.Languages, language) {
		g.Language = language
	}
}

// nextLanguage reads on in the next of the project's languages, after the last in the first again.
func (g *Game) nextLanguage() {
	all := g.Stage.Doc.Project.Languages
	i := slices.Index(all, g.Language) + 1
	if g.Language = ""; i < len(all) {
		g.Language = all[i]
	}
}
