package document

import (
	"fmt"
	"slices"
	"unicode/utf8"
)

// Pin is a named moment of a game, to be gone on with from there.
type Pin struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Note  string `json:"note,omitempty"`
	Order int    `json:"order"`
	// At is where it is shown: the middle of the hero's box, in map pixels.
	At     PinPlace `json:"at"`
	Moment Moment   `json:"moment"`
}

// PinPlace is a map pixel.
type PinPlace struct {
	Map ID  `json:"map"`
	X   int `json:"x"`
	Y   int `json:"y"`
}

// Recording is a game as it was played: where it began, and what was held down since.
type Recording struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Note  string `json:"note,omitempty"`
	Order int    `json:"order"`
	// Row is the number of the project's last edit when it was made.
	Row   int64     `json:"row"`
	Start Moment    `json:"start"`
	Keys  []HeldFor `json:"keys"`
	// Course is what happened then, to be compared with.
	Course []CourseMark `json:"course"`
}

// HeldFor is what was held down, as bits of Keys, and for how many ticks.
type HeldFor struct {
	Held  int `json:"held"`
	Ticks int `json:"ticks"`
}

// CourseMark says that at a tick, counted from the recording's beginning, the hero was on
// another cell than before, or that something happened to it.
type CourseMark struct {
	Tick int `json:"tick"`
	Map  ID  `json:"map"`
	X    int `json:"x"`
	Y    int `json:"y"`
	// Is is what happened, empty for a step; Name is to what.
	Is   string `json:"is,omitempty"`
	Name string `json:"name,omitempty"`
}

// Limits of what is kept of games.
const (
	MaxPins       = 1_000
	MaxRecordings = 200
	// MaxRecorded is how many ticks a recording holds: half an hour.
	MaxRecorded = 30 * 60 * 60
	maxHeld     = 50_000
	maxCourse   = 50_000
)

// Check finds what is wrong with a pin.
func (p *Pin) Check() error {
	return first(checkID("the pin", p.ID), checkName(p.Name), checkNote(p.Note), checkOrder(p.Order), checkID("a pin's map", p.At.Map),
		checkRange("where a pin is", p.At.X, -1<<30, 1<<30), checkRange("where a pin is", p.At.Y, -1<<30, 1<<30), p.Moment.Check())
}

// Check finds what is wrong with a recording.
func (r *Recording) Check() error {
	if err := first(checkID("the recording", r.ID), checkName(r.Name), checkNote(r.Note), checkOrder(r.Order), r.Start.Check(),
		checkRange("how often keys changed", len(r.Keys), 0, maxHeld), checkRange("what happened", len(r.Course), 0, maxCourse)); err != nil {
		return err
	}
	for _, k := range r.Keys {
		if err := first(checkRange("what was held", k.Held, 0, 1<<len(Keys)-1), checkRange("for how long it was held", k.Ticks, 1, MaxRecorded)); err != nil {
			return err
		}
	}
	if n := r.Ticks(); n > MaxRecorded {
		return fmt.Errorf("a recording is at most %d minutes long", MaxRecorded/3600)
	}
	for _, m := range r.Course {
		if err := first(checkRange("when something happened", m.Tick, 0, MaxRecorded), checkID("where something happened", m.Map),
			checkRange("where something happened", max(m.X, -m.X, m.Y, -m.Y), 0, 1<<30),
			checkRange("what happened", len(m.Is)+len(m.Name), 0, 8*MaxName)); err != nil {
			return err
		}
	}
	return nil
}

// Ticks is how long a recording is, in steps of 1/60 s.
func (r *Recording) Ticks() (n int) {
	for _, k := range r.Keys {
		n += min(k.Ticks, MaxRecorded+1)
	}
	return n
}

func checkNote(note string) error {
	if !utf8.ValidString(note) || utf8.RuneCountInString(note) > MaxText {
		return fmt.Errorf("a note has at most %d characters", MaxText)
	}
	return nil
}

// checkWord refuses a word that is not empty and none of those that there are.
func checkWord(what, word string, words []string) error {
	if word != "" && !slices.Contains(words, word) {
		return fmt.Errorf("there is no “%.40s” for %s", word, what)
	}
	return nil
}

// PinsInOrder lists the pins as people see them.
func (d *Document) PinsInOrder() []*Pin {
	return d.Pins.InOrder(func(p *Pin) int { return p.Order })
}

// RecordingsInOrder lists the recordings as people see them.
func (d *Document) RecordingsInOrder() []*Recording {
	return d.Recordings.InOrder(func(r *Recording) int { return r.Order })
}
