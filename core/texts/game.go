package texts

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"slices"
	"strings"
)

// around are the settings of a game that the player reads, and what they are.
var around = []struct{ key, where string }{
	{kind.GameTitle, "the title of the game"}, {kind.GameLine, "the line below the title"}, {kind.GameCredits, "the credits"},
}

// gamePlaces are what is read around the maps: the title, its line, the credits, the counters on the screen; and, where there
// are languages to say it in, what the game itself says, and the names of maps.
func gamePlaces(d *document.Document) (out []place) {
	project := edit.Ref{Type: edit.TypeProject}
	if len(d.Project.Languages) > 0 && d.GameValue(kind.GameTitle).Word() == "" {
		out = append(out, place{text: d.GameTitle(), is: Seen, where: around[0].where, put: func(text string) edit.Primitive {
			all := append(slices.Clone(d.Project.GameValues), kind.Value{Key: kind.GameTitle, Value: kind.Of(text)})
			slices.SortFunc(all, func(a, b kind.Value) int { return strings.Compare(a.Key, b.Key) })
			return edit.Set(project, "gameValues", all)
		}})
	}
	for _, a := range around {
		i := slices.IndexFunc(d.Project.GameValues, func(v kind.Value) bool { return v.Key == a.key })
		if i < 0 || strings.TrimSpace(d.Project.GameValues[i].Value.Word()) == "" {
			continue
		}
		out = append(out, place{text: d.Project.GameValues[i].Value.Word(), is: Seen, where: a.where, put: func(text string) edit.Primitive {
			all := slices.Clone(d.Project.GameValues)
			all[i].Value = kind.Of(text)
			return edit.Set(project, "gameValues", all)
		}})
	}
	for _, c := range d.CountersByName() {
		if c.Shown != "" {
			out = append(out, place{text: c.Name, is: Name, where: "a counter on the screen"})
		}
	}
	if len(d.Project.Languages) == 0 {
		return out
	}
	if d.GameValue(kind.GameShowPlaces).Yes() {
		for _, m := range d.MapsInOrder() {
			if !m.Template {
				out = append(out, place{text: m.Name, is: Name, where: "the name of a place"})
			}
		}
	}
	for _, w := range document.GameWords {
		out = append(out, place{text: d.GameSays("", w.Key), is: Seen, where: "the game itself", word: w.Key, put: func(text string) edit.Primitive {
			all := slices.DeleteFunc(slices.Clone(d.Project.Words), func(o document.WordChange) bool { return o.Key == w.Key })
			all = append(all, document.WordChange{Key: w.Key, Says: text})
			slices.SortFunc(all, func(a, b document.WordChange) int { return strings.Compare(a.Key, b.Key) })
			return edit.Set(project, "words", all)
		}})
	}
	return out
}
