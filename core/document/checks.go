package document

import (
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"
)

// How much a finding matters: it stops a player, it matters, it is a note, or it is not looked for.
const (
	Stops   = "stops"
	Matters = "matters"
	Noted   = "note"
	Ignored = "off"
)

// Severities are the words of how much a finding matters, the most first.
var Severities = []string{Stops, Matters, Noted, Ignored}

// CheckChoice is how much findings of a sort matter in a project, where that differs from what is usual.
type CheckChoice struct {
	What string `json:"what"`
	As   string `json:"as"`
}

// Silence is a finding that is not told any more, and why: of a sort, about an object; of an entity, Map is its map.
type Silence struct {
	What string `json:"what"`
	Map  ID     `json:"map,omitempty"`
	ID   ID     `json:"id,omitempty"`
	Why  string `json:"why"`
}

// How an expectation is meant.
const (
	ExpectNever     = "never"  // it never comes about
	ExpectSometimes = "can"    // it can come about
	ExpectNeeded    = "needed" // the game is not finished before it has come about
)

// Expectations are the words of how an expectation is meant.
var Expectations = []string{ExpectNever, ExpectSometimes, ExpectNeeded}

// Expectation is something that the designer wants to be so of the game: conditions, as rules ask them, a line each, and how they
// are meant.
type Expectation struct {
	ID   ID     `json:"id"`
	Is   string `json:"is"`
	Says string `json:"says"`
}

// Limits of what Check is told.
const (
	MaxSilences     = 2000
	MaxExpectations = 100
	MaxExpected     = 2000
)

// checkChecks finds what is wrong with what Check is told.
func (p *Project) checkChecks() error {
	switch {
	case len(p.Checks) > 200:
		return errors.New("there are not so many sorts of findings")
	case len(p.Silenced) > MaxSilences:
		return fmt.Errorf("at most %d findings are silenced", MaxSilences)
	case len(p.Expectations) > MaxExpectations:
		return fmt.Errorf("a project has at most %d expectations", MaxExpectations)
	}
	for i, c := range p.Checks {
		if c.What == "" || len(c.What) > MaxName || !slices.Contains(Severities, c.As) || slices.ContainsFunc(p.Checks[:i], func(o CheckChoice) bool { return o.What == c.What }) {
			return fmt.Errorf("“%.40s” is no way in which a finding matters", c.As)
		}
	}
	for _, s := range p.Silenced {
		if s.What == "" || len(s.What) > MaxName || s.Map != "" && !s.Map.Valid() || s.ID != "" && !s.ID.Valid() || !utf8.ValidString(s.Why) || utf8.RuneCountInString(s.Why) > MaxText {
			return errors.New("a finding that is silenced has no valid place")
		}
	}
	for i, e := range p.Expectations {
		switch {
		case !e.ID.Valid() || slices.ContainsFunc(p.Expectations[:i], func(o Expectation) bool { return o.ID == e.ID }):
			return errors.New("an expectation has no id of its own")
		case !slices.Contains(Expectations, e.Is):
			return fmt.Errorf("“%.40s” is no way in which something is expected", e.Is)
		case strings.TrimSpace(e.Says) == "" || !utf8.ValidString(e.Says) || utf8.RuneCountInString(e.Says) > MaxExpected:
			return fmt.Errorf("an expectation has 1 to %d characters", MaxExpected)
		}
	}
	return nil
}
