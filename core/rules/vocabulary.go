// Package rules has the words of which rules are made, shows rules as sentences and
// tells which of them answer a happening.
package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// Entry declares one word, once: what is shown, checked, offered and done follows it.
type Entry struct {
	Word string
	// Slot is where it can stand; what is done can be done otherwise as well.
	Slot string
	// Label is how it is offered, below the heading Group.
	Label, Group string
	// Also are other words by which it is looked for.
	Also string
	// Pattern is its sentence: words, the verb in brackets, blanks in braces.
	Pattern string
	Blanks  []Blank
	// Holds are the slots in which other parts can stand in it; Within is the word in which alone it stands.
	Holds  []string
	Within string
	// pieces are those of the pattern.
	pieces []piece
}

// Blank is what a word leaves open.
type Blank struct {
	Key string
	// Type is one of the types of blanks.
	Type string
	// Wants is what an entity has to be, as people call it, and Fits tells.
	Wants string
	Fits  func(*kind.Kind) bool
	// Keys tells that an item can be a key, Free that it can be one that there is not yet.
	Keys, Free bool
	// Lack is what to do where there is none; empty is to place one.
	Lack string
	// First is what a text begins as.
	First string
	// Hero tells that it can be the hero as well.
	Hero bool
	// Tags tells that it can be a tag in place of a kind.
	Tags bool
	// Wears tells that it is something that has guises, if there is any.
	Wears bool
	// Of are the words of which it is one.
	Of []string
}

// The types of blanks.
const (
	BlankEntity  = "entity" // an entity of any map, all of a kind, or what woke the rule
	BlankMap     = "map"
	BlankFlag    = "flag"
	BlankCounter = "counter"
	BlankKind    = "kind"   // of things
	BlankSignal  = "signal" // what a signal is called
	BlankText    = "text"   // a line of text
	BlankNumber  = "number" // a whole number, or what a counter is
	BlankItem    = "item"   // what an item is called by
	BlankChoice  = "choice" // one of some words
	BlankSound   = "sound"  // of the designer's own
	BlankLayer   = "layer"  // of any map, that is painted or shows a picture
	// BlankOwnFlag and BlankOwnCounter are keys of settings of the entity that the blank “what” names.
	BlankOwnFlag    = "ownFlag"
	BlankOwnCounter = "ownCounter"
	BlankGuise      = "guise" // one of the guises of the entity that the blank “what” names
)

// Vocabulary lists all words in the order in which they are offered.
var Vocabulary = slices.Concat(happenings, conditions, actions)

// Find gives the entry of a word, nil when there is none.
func Find(word string) *Entry { return found[word] }

var found = func() map[string]*Entry {
	out := map[string]*Entry{}
	for i := range Vocabulary {
		out[Vocabulary[i].Word] = &Vocabulary[i]
	}
	return out
}()

// Blank finds a blank by its key, nil when there is none.
func (e *Entry) Blank(key string) *Blank {
	for i := range e.Blanks {
		if e.Blanks[i].Key == key {
			return &e.Blanks[i]
		}
	}
	return nil
}

// Check finds what is wrong with a part of a rule, whatever there is in the project.
func Check(p *document.RulePart) error {
	e := Find(p.Word)
	if e == nil {
		return fmt.Errorf("there is no word “%.40s” for rules", p.Word)
	}
	if e.Slot != p.Slot && !(e.Slot == document.SlotThen && p.Slot == document.SlotOtherwise) {
		return fmt.Errorf("“%s” cannot stand after “%s”", strings.Trim(e.Label, " "), p.Slot)
	}
	if e.Within != "" && p.Parent == "" {
		return fmt.Errorf("“%s” stands only in a question", e.Label)
	}
	for _, b := range p.Blanks {
		if e.Blank(b.Key) == nil {
			return fmt.Errorf("“%s” has no blank called “%.40s”", e.Label, b.Key)
		}
	}
	for _, b := range e.Blanks {
		if err := b.check(p.Blank(b.Key)); err != nil {
			return fmt.Errorf("“%s” %w", e.Label, err)
		}
	}
	return nil
}

// tagged reports whether a tag can be one.
func tagged(tag document.ID) bool {
	return tag != "" && utf8.RuneCountInString(string(tag)) <= document.MaxName && !strings.ContainsAny(string(tag), "\n\r")
}

func (b *Blank) check(d kind.Datum) error {
	switch b.Type {
	case BlankNumber:
		if o, ok := document.Named(d); ok && o.Type == document.TypeCounter && o.ID.Valid() && document.Naming(o) == d {
			return nil
		}
		if n := d.Thousandths(); n%1000 != 0 || d != kind.Of(n/1000) || max(n, -n) > document.MaxNumber*1000 {
			return fmt.Errorf("takes a whole number, from −%d to %d", document.MaxNumber, document.MaxNumber)
		}
		return nil
	case BlankChoice:
		if word := d.Word(); d != kind.Of(word) || !slices.Contains(b.Of, word) {
			return fmt.Errorf("takes one of: %s", strings.Join(b.Of, ", "))
		}
		return nil
	case BlankItem, BlankSignal, BlankOwnFlag, BlankOwnCounter, BlankGuise:
		if word := d.Word(); d != kind.Of(word) || word == "" || utf8.RuneCountInString(word) > document.MaxName {
			return errors.New("takes a word")
		}
		return nil
	case BlankText:
		if text := d.Word(); d != kind.Of(text) || utf8.RuneCountInString(text) > document.MaxText {
			return fmt.Errorf("takes a line of at most %d characters", document.MaxText)
		}
		return nil
	}
	o, ok := document.Named(d)
	if ok && document.Naming(o) == d && (b.Type == BlankEntity && (o.Type == document.TypeIt || b.Hero && (o.Type == document.TypeHero || o.Type == document.TypeWho) || o.Type == document.TypeTag && tagged(o.ID) || o.Type == document.TypeWithin && o.Map.Valid() && o.ID.Valid()) ||
		b.Tags && o.Type == document.TypeTag && tagged(o.ID) ||
		(b.Type == BlankEntity || b.Type == BlankKind) && o.Type == document.TypeKind && utf8.RuneCountInString(string(o.ID)) <= document.MaxName) {
		return nil
	}
	if !ok || o.Type != b.Type || !o.ID.Valid() || (o.Type == document.TypeEntity || o.Type == document.TypeLayer) && !o.Map.Valid() || document.Naming(o) != d {
		return fmt.Errorf("names no %s", b.Type)
	}
	return nil
}
