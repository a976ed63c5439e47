package document

import (
	"azzel/core/kind"
	"fmt"
	"slices"
	"unicode/utf8"
)

// End is one end of a passage: an entity on a map, or where one leaves over
// the edge of a map, a side of it.
type End struct {
	Map    ID     `json:"map"`
	Entity ID     `json:"entity"`
	Side   Facing `json:"side,omitempty"`
}

// Passage joins an exit, a door or an edge to an arrival or another place.
type Passage struct {
	ID   ID  `json:"id"`
	From End `json:"from"`
	To   End `json:"to"`
	// Transition is what is seen meanwhile: one of Transitions, empty is the first.
	Transition string `json:"transition,omitempty"`
	// Sound is a file that is heard meanwhile.
	Sound string `json:"sound,omitempty"`
	// If has to hold for the passage to be open; Shut is said when it does not.
	If   []Gate `json:"if,omitempty"`
	Shut string `json:"shut,omitempty"`
}

// Transitions lists what can be seen while one goes through a passage.
var Transitions = []string{"fade", "none", "slide", "iris"}

// What a gate can ask for.
const (
	GateFlag  = "flag"  // a flag is, or is not, set
	GateItem  = "item"  // an entity has, or has not, been taken
	GateCount = "count" // so many of a kind have been taken
)

// Gate is something that has to hold for a way to be open.
type Gate struct {
	Asks string `json:"asks"`
	Flag ID     `json:"flag,omitempty"`
	// Not turns it round.
	Not bool `json:"not,omitempty"`
	// Map and Entity name what has to be taken.
	Map    ID `json:"map,omitempty"`
	Entity ID `json:"entity,omitempty"`
	// Kind and Count say how many of what have to be taken.
	Kind  ID  `json:"kind,omitempty"`
	Count int `json:"count,omitempty"`
}

// MaxGates limits what a way asks for.
const MaxGates = 20

func checkGates(all []Gate) error {
	if len(all) > MaxGates {
		return fmt.Errorf("a way asks for at most %d things", MaxGates)
	}
	for _, g := range all {
		var err error
		switch g.Asks {
		case GateFlag:
			err = checkID("the flag asked for", g.Flag)
		case GateItem:
			err = first(checkID("the map of what is asked for", g.Map), checkID("what is asked for", g.Entity))
		case GateCount:
			err = checkRange("how many are asked for", g.Count, 1, MaxProjectEntities)
			if err == nil && kind.Find(g.Kind) == nil && !g.Kind.Valid() {
				err = fmt.Errorf("there is no kind called “%.40s”", g.Kind)
			}
		default:
			err = fmt.Errorf("a way asks for a flag, for something taken, or for a number of them")
		}
		if err != nil {
			return err
		}
	}
	return nil
}

func (e End) check(what string) error {
	if err := checkID("the map of "+what, e.Map); err != nil {
		return err
	}
	if e.Side != "" {
		if e.Side.Index() < 0 || e.Entity != "" {
			return fmt.Errorf("%s is an entity or a side of the map", what)
		}
		return nil
	}
	return checkID(what, e.Entity)
}

// Check finds what is wrong with a passage.
func (p *Passage) Check() error {
	if p.To.Side != "" {
		return fmt.Errorf("a passage leads to an entity")
	}
	if p.From == p.To {
		return fmt.Errorf("a passage cannot lead to where it begins")
	}
	if p.Transition != "" && !slices.Contains(Transitions, p.Transition) {
		return fmt.Errorf("there is no transition called “%.40s”", p.Transition)
	}
	return first(checkID("the passage", p.ID), p.From.check("the exit"), p.To.check("the arrival"),
		checkLine("the sound", p.Sound), checkLine("what is said", p.Shut), checkGates(p.If))
}

// checkLine finds text that is too long or no text.
func checkLine(what, text string) error {
	if !utf8.ValidString(text) || utf8.RuneCountInString(text) > MaxText {
		return fmt.Errorf("%.40s has at most %d characters", what, MaxText)
	}
	return nil
}
