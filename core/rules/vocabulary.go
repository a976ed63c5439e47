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

// The words: happenings, conditions and actions.
const (
	WordUse      = "use"      // the hero uses a switch
	WordUseOn    = "useOn"    // the hero uses the item in hand on something
	WordReaches  = "reaches"  // a counter of something's own comes to a number, or a flag is set
	WordTake     = "take"     // the hero takes a collectible
	WordEnter    = "enter"    // somebody comes to a sensor, a checkpoint or a goal
	WordLeave    = "leave"    // all have left a sensor
	WordArrive   = "arrive"   // the hero arrives on a map
	WordTurnsOn  = "turnsOn"  // something is turned on
	WordTurnsOff = "turnsOff" // something is turned off
	WordOpens    = "opens"    // a door or a container is opened
	WordShuts    = "shuts"    // a door is shut
	WordRings    = "rings"    // the time of a timer is over
	WordEnds     = "ends"     // a source has made all, and nothing of it is left
	WordFalls    = "falls"    // somebody is defeated, something is broken
	WordIsSet    = "isSet"    // a flag is set
	WordIsNotSet = "isNotSet" // a flag is not set
	WordIsOn     = "isOn"
	WordIsOff    = "isOff"
	WordIsOpen   = "isOpen"
	WordIsShut   = "isShut"
	WordIsMet    = "isMet"   // somebody is in a sensor
	WordIsLeft   = "isLeft"  // nobody is in it
	WordOpen     = "open"    // open a door
	WordShut     = "shut"    // shut it
	WordTurnOn   = "turnOn"  // turn something on
	WordTurnOff  = "turnOff" // turn it off
	WordFlip     = "flip"    // the one or the other
	WordShow     = "show"    // let the player see something
	WordHide     = "hide"    // and not any more
	WordEnable   = "enable"  // let something do what it does
	WordDisable  = "disable" // and not any more
	WordBring    = "bring"   // put something where it is at first
	WordRemove   = "remove"  // take it away
	WordMake     = "make"    // let a source make one
	WordSet      = "set"     // set a flag
	WordClear    = "clear"   // clear a flag
	WordSay      = "say"     // say a line

	WordHas       = "has"       // the hero has an item or a key
	WordLacks     = "lacks"     // it has not
	WordVisited   = "visited"   // the hero has been on a map
	WordUnvisited = "unvisited" // it has not
	WordIsThere   = "isThere"   // something is there
	WordIsAway    = "isAway"    // it is not: absent, taken, broken
	WordIsShown   = "isShown"
	WordIsHidden  = "isHidden"
	WordSend      = "send" // the hero goes where something is
	WordWait      = "wait" // the rest of the rule comes later

	WordOwnIsSet    = "ownIsSet"    // a flag of something's own is set
	WordOwnIsNotSet = "ownIsNotSet" // it is not
	WordOwnAtLeast  = "ownAtLeast"  // a counter of something's own is a number or more
	WordOwnBelow    = "ownBelow"    // it is less
	WordOwnSet      = "ownSet"      // set a flag of something's own
	WordOwnClear    = "ownClear"    // clear it
	WordOwnAdd      = "ownAdd"      // add to a counter of something's own; what is less than 0 takes away
	WordOwnPut      = "ownPut"      // give it a number
)

// Entry declares one word, once: what is shown, checked, offered and done follows it.
type Entry struct {
	Word string
	// Slot is where it can stand; what is done can be done otherwise as well.
	Slot string
	// Label is how it is offered, below the heading Group.
	Label, Group string
	// Pattern is its sentence: words, the verb in brackets, blanks in braces.
	Pattern string
	Blanks  []Blank
}

// Blank is what a word leaves open.
type Blank struct {
	Key string
	// Type is one of the types of blanks.
	Type string
	// Wants is what an entity has to be, as people call it, and Fits tells.
	Wants string
	Fits  func(*kind.Kind) bool
	// Keys tells that an item can be a key.
	Keys bool
	// Lack is what to do where there is none; empty is to place one.
	Lack string
	// First is what a text begins as.
	First string
}

// The types of blanks.
const (
	BlankEntity = "entity" // an entity of any map
	BlankMap    = "map"
	BlankFlag   = "flag"
	BlankText   = "text"   // a line of text
	BlankNumber = "number" // a whole number
	BlankItem   = "item"   // what an item is called by
	// BlankOwnFlag and BlankOwnCounter are keys of settings of the entity that the blank “what” names.
	BlankOwnFlag    = "ownFlag"
	BlankOwnCounter = "ownCounter"
)

// Vocabulary lists all words in the order in which they are offered.
var Vocabulary = slices.Concat(
	group(document.SlotWhen, "The hero", []Entry{
		{Word: WordUse, Label: "uses a switch", Pattern: "the hero [uses] {what}", Blanks: entity("switch", wakes(WordUse))},
		{Word: WordUseOn, Label: "uses an item on something", Pattern: "the hero [uses] {item} on {what}",
			Blanks: append(entity("thing", anything), Blank{Key: "item", Type: BlankItem})},
		{Word: WordTake, Label: "takes a collectible", Pattern: "the hero [takes] {what}", Blanks: entity("collectible", wakes(WordTake))},
		{Word: WordArrive, Label: "arrives on a map", Pattern: "the hero [arrives on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
	}),
	group(document.SlotWhen, "Somebody", []Entry{
		{Word: WordEnter, Label: "comes to a place", Pattern: "somebody [comes to] {what}", Blanks: entity("sensor, checkpoint or goal", wakes(WordEnter))},
		{Word: WordLeave, Label: "has left a place", Pattern: "everybody [has left] {what}", Blanks: entity("sensor", acts(kind.Sensor))},
		{Word: WordFalls, Label: "is defeated or broken", Pattern: "{what} [is defeated]", Blanks: entity("being or something that breaks", falls)},
	}),
	group(document.SlotWhen, "Something", []Entry{
		{Word: WordTurnsOn, Label: "is turned on", Pattern: "{what} [is turned on]", Blanks: entity(turning, turns)},
		{Word: WordTurnsOff, Label: "is turned off", Pattern: "{what} [is turned off]", Blanks: entity(turning, turns)},
		{Word: WordOpens, Label: "is opened", Pattern: "{what} [is opened]", Blanks: entity("door or container", opens)},
		{Word: WordShuts, Label: "is shut", Pattern: "{what} [is shut]", Blanks: entity("door or container", opens)},
		{Word: WordReaches, Label: "has a counter that reaches a number", Pattern: "{own} of {what} [reaches] {number}", Blanks: counter},
		{Word: WordRings, Label: "rings, as a timer does", Pattern: "{what} [rings]", Blanks: entity("timer", acts(kind.Timer))},
		{Word: WordEnds, Label: "has nothing left, as a source", Pattern: "{what} [has nothing left]", Blanks: entity("source", makes)},
	}),
	group(document.SlotIf, "A flag", []Entry{
		{Word: WordIsSet, Label: "a flag is set", Pattern: "{what} [is set]", Blanks: flag},
		{Word: WordIsNotSet, Label: "a flag is not set", Pattern: "{what} [is not set]", Blanks: flag},
	}),
	group(document.SlotIf, "The hero", []Entry{
		{Word: WordHas, Label: "has an item", Pattern: "the hero [has] {item}", Blanks: had},
		{Word: WordLacks, Label: "does not have an item", Pattern: "the hero [does not have] {item}", Blanks: had},
		{Word: WordVisited, Label: "has been on a map", Pattern: "the hero [has been on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
		{Word: WordUnvisited, Label: "has not been on a map", Pattern: "the hero [has not been on] {what}", Blanks: []Blank{{Key: "what", Type: BlankMap}}},
	}),
	group(document.SlotIf, "Something", []Entry{
		{Word: WordIsOn, Label: "something is on", Pattern: "{what} [is on]", Blanks: entity(turning, turns)},
		{Word: WordIsOff, Label: "something is off", Pattern: "{what} [is off]", Blanks: entity(turning, turns)},
		{Word: WordIsOpen, Label: "a door is open", Pattern: "{what} [is open]", Blanks: entity("door or container", opens)},
		{Word: WordIsShut, Label: "a door is shut", Pattern: "{what} [is shut]", Blanks: entity("door or container", opens)},
		{Word: WordIsThere, Label: "something is there", Pattern: "{what} [is there]", Blanks: entity("thing", anything)},
		{Word: WordIsAway, Label: "something is not there", Pattern: "{what} [is not there]", Blanks: entity("thing", anything)},
		{Word: WordIsShown, Label: "something is shown", Pattern: "{what} [is shown]", Blanks: entity("thing", anything)},
		{Word: WordIsHidden, Label: "something is hidden", Pattern: "{what} [is hidden]", Blanks: entity("thing", anything)},
	}),
	group(document.SlotIf, "Something’s own", []Entry{
		{Word: WordOwnIsSet, Label: "a flag of its own is set", Pattern: "{own} of {what} [is set]", Blanks: ownFlag},
		{Word: WordOwnIsNotSet, Label: "a flag of its own is not set", Pattern: "{own} of {what} [is not set]", Blanks: ownFlag},
		{Word: WordOwnAtLeast, Label: "a counter of its own is at least", Pattern: "{own} of {what} [is at least] {number}", Blanks: counter},
		{Word: WordOwnBelow, Label: "a counter of its own is below", Pattern: "{own} of {what} [is below] {number}", Blanks: counter},
	}),
	group(document.SlotIf, "A place", []Entry{
		{Word: WordIsMet, Label: "somebody is at a place", Pattern: "somebody [is at] {what}", Blanks: entity("sensor", acts(kind.Sensor))},
		{Word: WordIsLeft, Label: "nobody is at a place", Pattern: "nobody [is at] {what}", Blanks: entity("sensor", acts(kind.Sensor))},
	}),
	group(document.SlotThen, "Doors and what works", []Entry{
		{Word: WordOpen, Label: "open a door", Pattern: "[open] {what}", Blanks: entity("door", opens)},
		{Word: WordShut, Label: "shut a door", Pattern: "[shut] {what}", Blanks: entity("door", opens)},
		{Word: WordTurnOn, Label: "turn something on", Pattern: "[turn on] {what}", Blanks: entity(turning, turns)},
		{Word: WordTurnOff, Label: "turn something off", Pattern: "[turn off] {what}", Blanks: entity(turning, turns)},
		{Word: WordFlip, Label: "flip something", Pattern: "[flip] {what}", Blanks: entity("door, switch or something else that can be on", func(k *kind.Kind) bool { return turns(k) || opens(k) })},
		{Word: WordMake, Label: "let a source make one", Pattern: "[let] {what} make one", Blanks: entity("source", makes)},
	}),
	group(document.SlotThen, "What is there", []Entry{
		{Word: WordShow, Label: "show something", Pattern: "[show] {what}", Blanks: entity("thing", anything)},
		{Word: WordHide, Label: "hide something", Pattern: "[hide] {what}", Blanks: entity("thing", anything)},
		{Word: WordBring, Label: "put something there", Pattern: "[put] {what} there", Blanks: entity("thing", anything)},
		{Word: WordRemove, Label: "take something away", Pattern: "[take away] {what}", Blanks: entity("thing", anything)},
		{Word: WordEnable, Label: "enable something", Pattern: "[enable] {what}", Blanks: entity("thing", anything)},
		{Word: WordDisable, Label: "disable something", Pattern: "[disable] {what}", Blanks: entity("thing", anything)},
	}),
	group(document.SlotThen, "Something’s own", []Entry{
		{Word: WordOwnSet, Label: "set a flag of its own", Pattern: "[set] {own} of {what}", Blanks: ownFlag},
		{Word: WordOwnClear, Label: "clear a flag of its own", Pattern: "[clear] {own} of {what}", Blanks: ownFlag},
		{Word: WordOwnAdd, Label: "add to a counter of its own", Pattern: "[add] {number} to {own} of {what}", Blanks: counter},
		{Word: WordOwnPut, Label: "give a counter of its own a number", Pattern: "[let] {own} of {what} be {number}", Blanks: counter},
	}),
	group(document.SlotThen, "The story", []Entry{
		{Word: WordSet, Label: "set a flag", Pattern: "[set] {what}", Blanks: flag},
		{Word: WordClear, Label: "clear a flag", Pattern: "[clear] {what}", Blanks: flag},
		{Word: WordSend, Label: "send the hero somewhere", Pattern: "[send] the hero to {what}", Blanks: entity("arrival, spawn or checkpoint", stands)},
		{Word: WordWait, Label: "wait some seconds", Pattern: "[wait] {number} s", Blanks: []Blank{{Key: "number", Type: BlankNumber}}},
		{Word: WordSay, Label: "say a line", Pattern: "[say] {text}", Blanks: []Blank{{Key: "text", Type: BlankText, First: "Something is said."}}},
	}))

// had is the blank for what the hero can have.
var had = []Blank{{Key: "item", Type: BlankItem, Keys: true}}

// flag is the blank for a flag.
var flag = []Blank{{Key: "what", Type: BlankFlag}}

// ownFlag and counter are the blanks for what something has of its own.
var (
	ownFlag = owning("flag", kind.YesNo, Blank{Key: "own", Type: BlankOwnFlag})
	counter = owning("counter", kind.Number, Blank{Key: "own", Type: BlankOwnCounter}, Blank{Key: "number", Type: BlankNumber})
)

// turning is what can be on or off, as people call it.
const turning = "switch or something else that can be on"

// group gives entries their slot and the heading under which they are offered.
func group(slot, heading string, all []Entry) []Entry {
	for i := range all {
		all[i].Slot, all[i].Group = slot, heading
	}
	return all
}

// entity is the blank for an entity of kinds that fit.
func entity(wants string, fits func(*kind.Kind) bool) []Blank {
	return []Blank{{Key: "what", Type: BlankEntity, Wants: wants, Fits: fits}}
}

func acts(word string) func(*kind.Kind) bool {
	return func(k *kind.Kind) bool { return k.Acts() == word }
}

func anything(k *kind.Kind) bool { return k.Wired }
func opens(k *kind.Kind) bool    { return k.Acts() == kind.Door || k.Acts() == kind.Container }
func turns(k *kind.Kind) bool {
	return k.State != "" && !opens(k) && k.Acts() != kind.Checkpoint
}
func stands(k *kind.Kind) bool {
	return slices.Contains([]string{kind.Arrival, kind.Spawn, kind.Checkpoint}, k.Acts())
}
func makes(k *kind.Kind) bool { return k.Acts() == kind.Source || k.Acts() == kind.LaneEntry }
func falls(k *kind.Kind) bool {
	return slices.Contains([]string{kind.Walker, kind.Flyer, kind.Shooter, kind.Breakable, kind.Charge}, k.Acts())
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
	if e.Slot != p.Slot && !(e.Slot == document.SlotThen && p.Slot == document.SlotOtherwise) {
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

// maxNumber is the largest number in a rule.
const maxNumber = 1_000_000

func (b *Blank) check(d kind.Datum) error {
	switch b.Type {
	case BlankNumber:
		if n := d.Thousandths(); n%1000 != 0 || d != kind.Of(n/1000) || max(n, -n) > maxNumber*1000 {
			return fmt.Errorf("takes a whole number, from −%d to %d", maxNumber, maxNumber)
		}
		return nil
	case BlankItem, BlankOwnFlag, BlankOwnCounter:
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
	if !ok || o.Type != b.Type || !o.ID.Valid() || o.Type == document.TypeEntity && !o.Map.Valid() || document.Naming(o) != d {
		return fmt.Errorf("names no %s", b.Type)
	}
	return nil
}
