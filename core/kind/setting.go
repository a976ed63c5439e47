package kind

import (
	"errors"
	"fmt"
	"slices"
	"strings"
)

// Setting is something that can be set of an entity or a map, with a type, a default,
// a unit, a range and help.
type Setting struct {
	// Key is what values are stored by; Name is what people read.
	Key  string `json:"key"`
	Name string `json:"name,omitempty"`
	// Type is one of the types.
	Type    string `json:"type,omitempty"`
	Default Datum  `json:"default,omitempty"`
	// Choices are what a choice can be.
	Choices []Choice `json:"choices,omitempty"`
	Unit    string   `json:"unit,omitempty"`
	Help    string   `json:"help,omitempty"`
	// Least and Most bound a number, or a duration in milliseconds; both 0 leave it free.
	Least int `json:"least,omitempty"`
	Most  int `json:"most,omitempty"`
	// Handle is how it is dragged on the map: one of the handles, or empty.
	Handle string `json:"handle,omitempty"`
	// Varies tells that it changes in play, where rules ask and change it: a yes or no is a flag of each
	// entity's own then, a number a counter.
	Varies bool `json:"varies,omitempty"`
	// Zero says what none of it means, for settings that come with Azzel.
	Zero string `json:"-"`
}

// Choice is one of the words that a choice can be.
type Choice struct {
	Key  string `json:"key"`
	Name string `json:"name"`
}

// The types of settings, and what a value of each is in JSON.
const (
	Text     = "text"     // a string
	Number   = "number"   // a number
	YesNo    = "yes/no"   // true or false
	Colour   = "colour"   // a string, #rrggbb
	Chosen   = "choice"   // a string, the key of a choice
	File     = "file"     // a string, the name of a file that the game knows
	Entity   = "entity"   // a string, the id of an entity of the same map, or empty
	Duration = "duration" // a whole number of milliseconds
	Words    = "words"    // a list of strings
	Counts   = "counts"   // a list of whole numbers
	Shares   = "shares"   // a list of kinds with odds
	Several  = "several"  // a list of strings, keys of choices
	Tile     = "tile"     // a whole number, a cell with a tile, or 0
)

// OwnTypes lists the types that settings of the designer's own can have, in the
// order in which they are offered.
var OwnTypes = []string{Text, Number, YesNo, Duration, Colour, Chosen, Words, File, Entity}

var types = append([]string{Counts, Shares, Several, Tile}, OwnTypes...)

// The handles that a number of cells can be dragged by on the map.
const (
	HandleRound = "round" // a ring around its middle
	HandleAhead = "ahead" // an end in front of it, where it looks
	HandleBoth  = "both"  // an end on each side, along where it looks
	HandleUp    = "up"    // a knob above it that counts by being dragged up and down
)

// Keyed finds a setting by its key, nil when there is none.
func Keyed(all []Setting, key string) *Setting {
	for i := range all {
		if all[i].Key == key {
			return &all[i]
		}
	}
	return nil
}

// Scale is how many of what is stored are one of the setting's unit: a duration is
// stored in milliseconds.
func (s *Setting) Scale() int {
	if s.Type == Duration {
		return 1000
	}
	return 1
}

// Named finds that a setting has no name, by which errors could call it.
func (s *Setting) Named() error {
	if strings.TrimSpace(s.Name) == "" {
		return errors.New("a setting has a name")
	}
	return nil
}

// Check finds what is wrong with the form of a setting: its type, its range, its
// choices, its default.
func (s *Setting) Check() error {
	switch {
	case !slices.Contains(types, s.Type):
		return fmt.Errorf("there is no type of setting called “%.40s”", s.Type)
	case (s.Type == Chosen || s.Type == Several) != (len(s.Choices) > 0) || len(s.Choices) > MaxItems:
		return fmt.Errorf("a choice has 1 to %d words to choose from, and nothing else has", MaxItems)
	case s.Least > s.Most:
		return fmt.Errorf("the range of %s ends before it begins", s.Name)
	case s.Varies && s.Type != YesNo && s.Type != Number:
		return fmt.Errorf("%s cannot change in play: only a yes or no can, and a number", s.Name)
	case s.Handle != "" && !slices.Contains([]string{HandleRound, HandleAhead, HandleBoth, HandleUp}, s.Handle):
		return fmt.Errorf("there is no handle called “%.40s”", s.Handle)
	}
	for i, c := range s.Choices {
		if slices.ContainsFunc(s.Choices[:i], func(o Choice) bool { return o.Key == c.Key || o.Name == c.Name }) {
			return fmt.Errorf("%s can be %s twice: write each word once", s.Name, c.Name)
		}
	}
	return s.Fits(s.Default)
}

// names are the words of a choice, with commas between.
func (s *Setting) names() string {
	var out []string
	for _, c := range s.Choices {
		out = append(out, c.Name)
	}
	return strings.Join(out, ", ")
}

// What follows makes the settings of built-in kinds. A key is also its name unless
// called says otherwise.

func number(key string, def Datum, unit string, least, most int, help string) Setting {
	return Setting{Key: key, Name: key, Type: Number, Default: def, Unit: unit, Least: least, Most: most, Help: help}
}

// lasting is a duration of at most so many seconds; its default is in milliseconds.
func lasting(key string, def Datum, most int, help string) Setting {
	return Setting{Key: key, Name: key, Type: Duration, Default: def, Unit: "seconds", Most: most * 1000, Help: help}
}

// dragged is a number of cells that has a handle on the map.
func dragged(key string, def Datum, most int, handle, help string) Setting {
	s := number(key, def, "cells", 0, most, help)
	s.Handle = handle
	return s
}

// counted is a number from one on with a knob on the map.
func counted(key string, most int, help string) Setting {
	s := number(key, "1", "", 1, most, help)
	s.Handle = HandleUp
	return s
}

// none says what 0 means.
func none(means string, s Setting) Setting {
	s.Zero = means
	return s
}

func yesno(key string, def Datum, help string) Setting {
	return Setting{Key: key, Name: key, Type: YesNo, Default: def, Help: help}
}

func tile(key, help string) Setting {
	return Setting{Key: key, Name: key, Type: Tile, Default: "0", Help: help}
}

func written(key, help string) Setting {
	return Setting{Key: key, Name: key, Type: Text, Default: `""`, Help: help}
}

func listed(key, typ, help string) Setting {
	return Setting{Key: key, Name: key, Type: typ, Default: `[]`, Help: help}
}

// shared is a list of kinds, each with a number, which is what unit says.
func shared(key, unit, help string) Setting {
	s := listed(key, Shares, help)
	s.Unit = unit
	return s
}

// chosen is one of several words, the first of which is the default; those whose key
// is another are given as key=name.
func chosen(key, words, help string) Setting {
	s := Setting{Key: key, Name: key, Type: Chosen, Help: help}
	for _, word := range strings.Split(words, ", ") {
		key, name, both := strings.Cut(word, "=")
		if !both {
			name = key
		}
		s.Choices = append(s.Choices, Choice{key, name})
	}
	s.Default = Of(s.Choices[0].Key)
	return s
}

// several is any of some words, given as chosen has them; def are the keys that it has at first.
func several(key, words, help string, def ...string) Setting {
	s := chosen(key, words, help)
	s.Type, s.Default = Several, Of(def)
	return s
}

func colour(key, def, help string) Setting {
	return Setting{Key: key, Name: key, Type: Colour, Default: Of(def), Help: help}
}

func other(key, help string) Setting {
	return Setting{Key: key, Name: key, Type: Entity, Default: `""`, Help: help}
}

// called gives a setting another name than its key.
func called(name string, s Setting) Setting {
	s.Name = name
	return s
}

func settings(all ...Setting) []Setting { return all }
