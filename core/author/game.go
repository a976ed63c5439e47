package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// SetGame gives a setting of the game as a whole, by its key, a value as a person writes it; nil puts back the default.
func SetGame(d *document.Document, key string, text *string) (Change, error) {
	s := kind.Keyed(kind.OfGame, key)
	if s == nil {
		return Change{}, fmt.Errorf("games have no setting called “%.40s”", key)
	}
	var value kind.Datum
	if text != nil {
		var err error
		if value, err = s.Read(*text); err != nil {
			return Change{}, err
		}
	}
	if all := value.Counts(); key == kind.GameDark && value != "" && (len(all) != kind.DayParts || slices.Max(all) > 100) {
		return Change{}, fmt.Errorf("how dark it is are %d numbers from 0 to 100, of midnight, three o’clock, and so on", kind.DayParts)
	}
	if at := document.ID(value.Word()); key == kind.GameBehind && at != "" && d.Maps.Get(at) == nil {
		return Change{}, errors.New("that map is no longer there")
	}
	if with := document.ID(value.Word()); key == kind.GameWonWith && with != "" && d.Flags.Get(with) == nil && d.Kind(with) == nil {
		return Change{}, errors.New("that is no longer there")
	}
	next, same := withValue(d.Project.GameValues, key, value, s.Default)
	if same {
		return Change{}, errors.New("it is like that already")
	}
	return changed(fmt.Sprintf("Set %s of the game", s.Name), edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", next)), nil
}

// SetGameWord has the game itself say something in other words; empty puts back what it says by itself.
func SetGameWord(d *document.Document, key, says string) (Change, error) {
	i := slices.IndexFunc(document.GameWords, func(w document.GameWord) bool { return w.Key == key })
	if i < 0 {
		return Change{}, fmt.Errorf("the game has no word “%.40s”", key)
	}
	says = strings.TrimSpace(says)
	if utf8.RuneCountInString(says) > document.MaxName {
		return Change{}, fmt.Errorf("a word of the game has at most %d characters", document.MaxName)
	}
	for _, blank := range blanksIn(document.GameWords[i].Says) {
		if says != "" && !strings.Contains(says, blank) {
			return Change{}, fmt.Errorf("%s has to stand in it: what it stands for is put in there", blank)
		}
	}
	was := d.GameSays("", key)
	next := slices.DeleteFunc(slices.Clone(d.Project.Words), func(o document.WordChange) bool { return o.Key == key })
	trial := *d.Project
	trial.Words = next
	plain := *d
	plain.Project = &trial
	if says != "" && says != plain.GameSays("", key) {
		next = append(next, document.WordChange{Key: key, Says: says})
	}
	slices.SortFunc(next, func(a, b document.WordChange) int { return strings.Compare(a.Key, b.Key) })
	if slices.Equal(next, d.Project.Words) {
		return Change{}, errors.New("it is like that already")
	}
	return changed(fmt.Sprintf("The game says “%.40s” otherwise", was), edit.Set(edit.Ref{Type: edit.TypeProject}, "words", next)), nil
}

// blanksIn are the braces in a word of the game.
func blanksIn(says string) (out []string) {
	for {
		_, rest, ok := strings.Cut(says, "{")
		if !ok {
			return out
		}
		name, after, ok := strings.Cut(rest, "}")
		if !ok {
			return out
		}
		out, says = append(out, "{"+name+"}"), after
	}
}

// ShowCounter has a counter be shown on the player's screen; empty has it be shown nowhere.
func ShowCounter(d *document.Document, id document.ID, where string) (Change, error) {
	c := d.Counters.Get(id)
	switch {
	case c == nil:
		return Change{}, errors.New("that counter is no longer there")
	case !slices.Contains(document.Corners(), where):
		return Change{}, fmt.Errorf("there is no place “%.40s” on the screen", where)
	case c.Shown == where:
		return Change{}, errors.New("it is like that already")
	}
	label := fmt.Sprintf("%s is shown on the screen", c.Name)
	if where == "" {
		label = fmt.Sprintf("%s is not shown on the screen", c.Name)
	}
	return changed(label, edit.Set(edit.Ref{Type: edit.TypeCounter, ID: id}, "shown", where)), nil
}
