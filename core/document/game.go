package document

import (
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// GameValue is what a setting of the game as a whole is: its own value or the default; empty where games have no such
// setting.
func (d *Document) GameValue(key string) kind.Datum {
	s := kind.Keyed(kind.OfGame, key)
	if s == nil {
		return ""
	}
	return valued(s, d.Project.GameValues)
}

// WordChange is what the game itself says in place of one of GameWords.
type WordChange struct {
	Key  string `json:"key"`
	Says string `json:"says"`
}

// corners are where a counter can be shown; empty is nowhere.
var corners = []string{"", "topLeft", "top", "topRight", "bottomLeft", "bottomRight"}

// Corners are where a counter can be shown on the player's screen; the first is nowhere.
func Corners() []string { return slices.Clone(corners) }

// GameTitle is what the game is called on its title.
func (d *Document) GameTitle() string {
	if title := strings.TrimSpace(d.GameValue(kind.GameTitle).Word()); title != "" {
		return title
	}
	return d.Project.Name
}

// Follows is the map that finishing one starts: the next of the project's order that is a place of the game; nil for none.
func (d *Document) Follows(m *Map) *Map {
	if m == nil || !m.Next {
		return nil
	}
	all := d.MapsInOrder()
	for _, next := range all[slices.Index(all, m)+1:] {
		if !next.Template {
			return next
		}
	}
	return nil
}

// Courses are the maps that follow each other, in their order: those that start another one and those that are started.
func (d *Document) Courses() (out [][]*Map) {
	var course []*Map
	for _, m := range d.MapsInOrder() {
		if m.Template {
			continue
		}
		course = append(course, m)
		if !m.Next {
			if len(course) > 1 {
				out = append(out, course)
			}
			course = nil
		}
	}
	if len(course) > 1 {
		out = append(out, course)
	}
	return out
}

// checkGame finds what is wrong with what is set of a game.
func (p *Project) checkGame() error {
	if len(p.Words) > len(GameWords) {
		return errors.New("the game does not say so many words")
	}
	for i, w := range p.Words {
		switch {
		case !slices.ContainsFunc(GameWords, func(o GameWord) bool { return o.Key == w.Key }):
			return fmt.Errorf("the game has no word “%.40s”", w.Key)
		case slices.ContainsFunc(p.Words[:i], func(o WordChange) bool { return o.Key == w.Key }):
			return fmt.Errorf("the word “%.40s” is changed twice", w.Key)
		case strings.TrimSpace(w.Says) == "" || !utf8.ValidString(w.Says) || utf8.RuneCountInString(w.Says) > MaxName:
			return fmt.Errorf("a word of the game has 1 to %d characters", MaxName)
		}
	}
	if err := p.checkChecks(); err != nil {
		return err
	}
	return checkPlainValues(p.GameValues)
}
