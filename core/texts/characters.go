package texts

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
)

// Character is somebody who speaks, or can be spoken to.
type Character struct {
	Map  document.ID `json:"map"`
	ID   document.ID `json:"id"`
	Name string      `json:"name"`
	On   string      `json:"on"`
	Kind document.ID `json:"kind"`
	Look cells.Cell  `json:"look"`
	// Lines is how many lines it says, in rules and by itself; Guises how many ways of looking it has besides its first.
	Lines  int `json:"lines"`
	Guises int `json:"guises"`
}

// Characters lists who speaks or can be spoken to, by maps and rank: characters, and whoever a rule lets say something.
func Characters(d *document.Document) []Character {
	says := map[document.ID]int{}
	for _, r := range d.RulesInOrder() {
		for _, p := range r.InOrder() {
			if o, ok := document.Named(p.Blank("what")); ok && o.Type == document.TypeEntity && (p.Word == rules.WordTells || p.Word == rules.WordTellsAs) {
				says[o.ID]++
			}
		}
	}
	out := []Character{}
	for _, m := range d.MapsInOrder() {
		for _, e := range document.InRank(m.Entities.All()) {
			if d.Acts(e) != kind.Character && says[e.ID] == 0 {
				continue
			}
			c := Character{m.ID, e.ID, e.Name, m.Name, document.ID(e.Kind), e.Look, says[e.ID], len(d.GuisesOf(e))}
			if d.Value(e, saysKey).Word() != "" {
				c.Lines++
			}
			for _, in := range d.GuisesOf(e) {
				if in.Says != "" {
					c.Lines++
				}
			}
			out = append(out, c)
		}
	}
	return out
}
