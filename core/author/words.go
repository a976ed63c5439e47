package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// The words that rules and things are joined by, without being objects of the project.
const (
	WordsSignals = "signal"
	WordsItems   = "item"
)

// itemKeys are the settings that say items by their words.
var itemKeys = []string{"is", "opens", "holds", "leaves", "carries", "needs", "by", kind.HeroBlowWith}

// UsedWord is a word of which rules speak, and where.
type UsedWord struct {
	Word  string   `json:"word"`
	Rules []string `json:"rules"` // the rules that say it, as sentences
	// Things are how many things on maps are, hold or ask for it.
	Things int `json:"things"`
	// Note says what is missing: that nobody waits for it, or that nothing gives it; empty is nothing.
	Note string `json:"note"`
}

// UsedWords lists the signals or the items of a project, ascending.
func UsedWords(d *document.Document, what string) []UsedWord {
	out := []UsedWord{}
	at := map[string]int{}
	add := func(word string) *UsedWord {
		i, has := at[word]
		if !has {
			i, at[word] = len(out), len(out)
			out = append(out, UsedWord{Word: word, Rules: []string{}})
		}
		return &out[i]
	}
	gives, asks := map[string]bool{}, map[string]bool{}
	all := rules.Signals(d)
	if what == WordsItems {
		all = rules.Items(d, true)
		for _, word := range all {
			gives[word] = true
		}
	}
	for _, word := range all {
		add(word)
	}
	for _, r := range d.RulesInOrder() {
		for _, p := range r.InOrder() {
			word := p.Blank(what).Word()
			if word == "" {
				continue
			}
			u := add(word)
			if said := rules.Clause(d, p); !slices.Contains(u.Rules, said) {
				u.Rules = append(u.Rules, said)
			}
			gives[word] = gives[word] || p.Word == rules.WordSignal
			asks[word] = asks[word] || p.Word != rules.WordSignal && p.Word != rules.WordGive
		}
	}
	if what == WordsItems {
		for _, m := range d.MapsInOrder() {
			for _, e := range document.InRank(m.Entities.All()) {
				for _, word := range itemWords(d, e) {
					u := add(word)
					u.Things++
				}
				if needs := d.Value(e, "needs").Word(); needs != "" {
					asks[needs] = true
				}
			}
		}
	}
	slices.SortFunc(out, func(a, b UsedWord) int { return strings.Compare(a.Word, b.Word) })
	for i := range out {
		u := &out[i]
		switch given, asked := gives[u.Word], asks[u.Word]; {
		case what == WordsSignals && !given:
			u.Note = "nobody sends it out"
		case what == WordsSignals && !asked:
			u.Note = "nobody waits for it"
		case what == WordsItems && !given:
			u.Note = "nothing gives it"
		case what == WordsItems && !asked:
			u.Note = "nobody asks for it"
		}
	}
	return out
}

// itemWords are the words of items that an entity is, holds or asks for, each once.
func itemWords(d *document.Document, e *document.Entity) (out []string) {
	add := func(words ...string) {
		for _, word := range words {
			if word != "" && !slices.Contains(out, word) {
				out = append(out, word)
			}
		}
	}
	k := d.Kind(document.ID(e.Kind))
	if k == nil {
		return nil
	}
	if acts := k.Acts(); acts == kind.Item || acts == kind.Key {
		add(d.Word(e))
	}
	for _, s := range k.Settings {
		if slices.Contains(itemKeys, s.Key) {
			value := d.Value(e, s.Key)
			add(value.Word())
			add(value.List()...)
		}
	}
	return out
}

// RenameWord calls a signal or an item otherwise: in all rules, and of items on all maps. What kinds say for all of theirs stays.
func RenameWord(d *document.Document, what, from, to string) (Change, error) {
	to = strings.TrimSpace(to)
	switch {
	case what != WordsSignals && what != WordsItems:
		return Change{}, fmt.Errorf("there are no words for “%.40s”", what)
	case to == "" || utf8.RuneCountInString(to) > document.MaxName:
		return Change{}, fmt.Errorf("a name has 1 to %d characters", document.MaxName)
	case to == from:
		return Change{}, errors.New("it is called so already")
	}
	c := changed(fmt.Sprintf("Renamed the %s %s to %s", what, from, to))
	for _, r := range d.RulesInOrder() {
		for _, p := range r.InOrder() {
			if p.Blank(what).Word() != from {
				continue
			}
			blanks := slices.Clone(p.Blanks)
			for i := range blanks {
				if blanks[i].Key == what {
					blanks[i].Value = kind.Of(to)
				}
			}
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}, "blanks", blanks))
		}
	}
	if what == WordsItems {
		for _, m := range d.MapsInOrder() {
			for _, e := range document.InRank(m.Entities.All()) {
				if values, is := renamedItems(e.Values, from, to); is {
					c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "values", values))
				} else if acts := d.Acts(e); acts == kind.Item && d.Word(e) == from { // by its kind's name, or its kind's word
					c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "values", append(slices.Clone(e.Values), kind.Value{Key: "is", Value: kind.Of(to)})))
				}
			}
		}
	}
	if len(c.Do) == 0 {
		return Change{}, fmt.Errorf("nothing is called “%.40s” any more", from)
	}
	return c, nil
}

// renamedItems are values in which an item is called otherwise; false where it is in none of them.
func renamedItems(values []kind.Value, from, to string) ([]kind.Value, bool) {
	out, is := slices.Clone(values), false
	for i, v := range out {
		if !slices.Contains(itemKeys, v.Key) {
			continue
		}
		if list := v.Value.List(); slices.Contains(list, from) {
			for k := range list {
				if list[k] == from {
					list[k] = to
				}
			}
			out[i].Value, is = kind.Of(list), true
		} else if v.Value.Word() == from {
			out[i].Value, is = kind.Of(to), true
		}
	}
	return out, is
}
