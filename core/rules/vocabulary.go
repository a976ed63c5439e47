// Package rules has the words of which rules are made, shows rules as sentences and
// tells which of them answer a happening.
package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"fmt"
	"strings"
	"unicode/utf8"
)

// The words: happenings, conditions and actions.
const (
	WordUse      = "use"      // the hero uses a switch
	WordTake     = "take"     // the hero takes a collectible
	WordEnter    = "enter"    // somebody comes to a sensor, a checkpoint or a goal
	WordArrive   = "arrive"   // the hero arrives on a map
	WordIsSet    = "isSet"    // a flag is set
	WordIsNotSet = "isNotSet" // a flag is not set
	WordOpen     = "open"     // open a door
	WordSet      = "set"      // set a flag
	WordClear    = "clear"    // clear a flag
	WordSay      = "say"      // say a line
)

// Entry declares one word, once: what is shown, checked, offered and done follows it.
type Entry struct {
	Word string
	// Slot is where it can stand.
	Slot string
	// Label is how it is offered.
	Label string
	// Pattern is its sentence: words, the verb in brackets, blanks in braces.
	Pattern string
	Blanks  []Blank
}

// Blank is what a word leaves open.
type Blank struct {
	Key string
	// Type is one of BlankEntity, BlankMap, BlankFlag and BlankText.
	Type string
	// Wants is what an entity has to be, as people call it, and Fits tells.
	Wants string
	Fits  func(*kind.Kind) bool
	// First is what a text begins as.
	First string
}

// The types of blanks.
const (
	BlankEntity = "entity" // an entity of any map
	BlankMap    = "map"
	BlankFlag   = "flag"
	BlankText   = "text" // a line of text
)

// Vocabulary lists all words in the order in which they are offered.
var Vocabulary = []Entry{
	{WordUse, document.SlotWhen, "uses a switch", "the hero [uses] {what}", []Blank{entity("what", "switch", wakes(WordUse))}},
	{WordTake, document.SlotWhen, "takes a collectible", "the hero [takes] {what}", []Blank{entity("what", "collectible", wakes(WordTake))}},
	{WordEnter, document.SlotWhen, "comes to a place", "somebody [comes to] {what}", []Blank{entity("what", "sensor, checkpoint or goal", wakes(WordEnter))}},
	{WordArrive, document.SlotWhen, "arrives on a map", "the hero [arrives on] {what}", []Blank{{Key: "what", Type: BlankMap}}},
	{WordIsSet, document.SlotIf, "is set", "{what} [is set]", []Blank{{Key: "what", Type: BlankFlag}}},
	{WordIsNotSet, document.SlotIf, "is not set", "{what} [is not set]", []Blank{{Key: "what", Type: BlankFlag}}},
	{WordOpen, document.SlotThen, "open a door", "[open] {what}", []Blank{entity("what", "door", func(k *kind.Kind) bool { return k.Wired })}},
	{WordSet, document.SlotThen, "set a flag", "[set] {what}", []Blank{{Key: "what", Type: BlankFlag}}},
	{WordClear, document.SlotThen, "clear a flag", "[clear] {what}", []Blank{{Key: "what", Type: BlankFlag}}},
	{WordSay, document.SlotThen, "say a line", "[say] {text}", []Blank{{Key: "text", Type: BlankText, First: "Something is said."}}},
}

func entity(key, wants string, fits func(*kind.Kind) bool) Blank {
	return Blank{Key: key, Type: BlankEntity, Wants: wants, Fits: fits}
}

func wakes(word string) func(*kind.Kind) bool {
	return func(k *kind.Kind) bool { return k.Wakes == word }
}

// Find gives the entry of a word, nil when there is none.
func Find(word string) *Entry {
	for i := range Vocabulary {
		if Vocabulary[i].Word == word {
			return &Vocabulary[i]
		}
	}
	return nil
}

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
	if e.Slot != p.Slot {
		return fmt.Errorf("“%s” cannot stand after “%s”", strings.Trim(e.Label, " "), p.Slot)
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

func (b *Blank) check(d kind.Datum) error {
	if b.Type == BlankText {
		if text := d.Word(); d != kind.Of(text) || utf8.RuneCountInString(text) > document.MaxText {
			return fmt.Errorf("takes a line of at most %d characters", document.MaxText)
		}
		return nil
	}
	o, ok := document.Named(d)
	if !ok || o.Type != b.Type || !o.ID.Valid() || o.Type == document.TypeEntity && !o.Map.Valid() || document.Naming(o) != d {
		return fmt.Errorf("names no %s", b.Type)
	}
	return nil
}
