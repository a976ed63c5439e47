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

// On which maps a check of the designer's own holds; empty is on all.
const (
	WhereDark   = "dark"
	WhereSide   = "side"
	WhereAbove  = "above"
	WhereBegins = "begins" // a game can begin there
)

// Wheres are the words of where such a check holds.
var Wheres = []string{"", WhereDark, WhereSide, WhereAbove, WhereBegins}

// EveryMap is what a check is about that is about maps.
const EveryMap = "map"

// OwnCheck is a check of the designer's own: that every map, or everything of a kind, has so many of another one, on its map or near it.
type OwnCheck struct {
	ID ID `json:"id"`
	// Every is EveryMap or a kind, Where one of Wheres, Has a kind.
	Every string `json:"every"`
	Where string `json:"where,omitempty"`
	Has   string `json:"has"`
	// Most tells that it has so many at the most, not at least.
	Most   bool `json:"most,omitempty"`
	Number int  `json:"number"`
	// Within is how many cells away they count; 0 is anywhere on the map.
	Within int `json:"within,omitempty"`
	// As is how much it matters.
	As string `json:"as"`
}

// Limits of what Check is told.
const (
	MaxSilences     = 2000
	MaxExpectations = 100
	MaxExpected     = 2000
	MaxOwnChecks    = 100
)

// checkChecks finds what is wrong with what Check is told.
func (p *Project) checkChecks() error {
	switch {
	case len(p.Checks) > 200:
		return errors.New("there are not so many sorts of findings")
	case len(p.Silenced) > MaxSilences:
		return fmt.Errorf("at most %d findings are silenced", MaxSilences)
	case len(p.OwnChecks) > MaxOwnChecks:
		return fmt.Errorf("a project has at most %d checks of its own", MaxOwnChecks)
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
	for i, o := range p.OwnChecks {
		kinds := o.Has != "" && len(o.Has) <= MaxName && o.Every != "" && len(o.Every) <= MaxName
		if !o.ID.Valid() || slices.ContainsFunc(p.OwnChecks[:i], func(b OwnCheck) bool { return b.ID == o.ID }) || !kinds || !slices.Contains(Wheres, o.Where) || !slices.Contains(Severities, o.As) {
			return errors.New("a check of one’s own says what every one of which kind has, and how much that matters")
		}
		if err := first(checkRange("the number of a check", o.Number, 0, MaxEntities), checkRange("how near it counts", o.Within, 0, 1000)); err != nil {
			return err
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
