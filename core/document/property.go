package document

import (
	"fmt"
	"regexp"
	"slices"
	"strings"
	"unicode/utf8"
)

// Property is something of the designer's own that tiles or zones have, with
// the value that holds where none is set.
type Property struct {
	Name string `json:"name"`
	// Type is one of PropertyTypes.
	Type string `json:"type"`
	// Default is a value as text, as Fits takes it.
	Default string `json:"default"`
	// Choices are what a choice can be.
	Choices []string `json:"choices"`
}

// Value is what a property is where it differs from its default.
type Value struct {
	Name  string `json:"name"`
	Value string `json:"value"`
}

// The types of property.
const (
	PropertyText   = "text"
	PropertyNumber = "number"
	PropertyYesNo  = "yes/no"
	PropertyColour = "colour"
	PropertyChoice = "choice"
	PropertyFile   = "file"   // a name of a file that the game knows
	PropertyEntity = "entity" // the name of an entity
)

// PropertyTypes lists the types in the order in which they are offered.
var PropertyTypes = []string{PropertyText, PropertyNumber, PropertyYesNo, PropertyColour, PropertyChoice, PropertyFile, PropertyEntity}

// Limits of properties.
const (
	MaxProperties = 64
	MaxChoices    = 64
)

var decimal = regexp.MustCompile(`^-?[0-9]{1,15}(\.[0-9]{1,9})?$`)

// Fits says what is wrong with a value of the property; nil when nothing is.
func (p *Property) Fits(value string) error {
	ok, want := true, ""
	switch p.Type {
	case PropertyNumber:
		ok, want = decimal.MatchString(value), "a number, as 12 or 0.5"
	case PropertyYesNo:
		ok, want = value == "yes" || value == "no", "yes or no"
	case PropertyColour:
		ok, want = checkColour(value) == nil, "a colour, as #a0b1c2"
	case PropertyChoice:
		ok, want = slices.Contains(p.Choices, value), "one of "+strings.Join(p.Choices, ", ")
	default:
		ok, want = utf8.ValidString(value) && utf8.RuneCountInString(value) <= MaxText, fmt.Sprintf("at most %d characters", MaxText)
	}
	if !ok {
		return fmt.Errorf("%s is %s", p.Name, want)
	}
	return nil
}

func checkProperties(all []Property) error {
	if len(all) > MaxProperties {
		return fmt.Errorf("at most %d properties are possible", MaxProperties)
	}
	seen := map[string]bool{}
	for i := range all {
		p := &all[i]
		name := strings.ToLower(p.Name)
		switch {
		case !slices.Contains(PropertyTypes, p.Type):
			return fmt.Errorf("there is no type of property called “%.40s”", p.Type)
		case seen[name]:
			return fmt.Errorf("there are two properties called %s: give one another name", p.Name)
		case (p.Type == PropertyChoice) != (len(p.Choices) > 0) || len(p.Choices) > MaxChoices:
			return fmt.Errorf("a choice has 1 to %d words to choose from, and nothing else has", MaxChoices)
		}
		seen[name] = true
		for _, c := range p.Choices {
			if err := checkName(c); err != nil {
				return err
			}
		}
		if err := first(checkName(p.Name), p.Fits(p.Default)); err != nil {
			return err
		}
	}
	return nil
}

// checkValues finds values that no property fits.
func checkValues(values []Value, of []Property) error {
	seen := map[string]bool{}
	for _, v := range values {
		i := slices.IndexFunc(of, func(p Property) bool { return p.Name == v.Name })
		if i < 0 || seen[v.Name] {
			return fmt.Errorf("there is no property called “%.40s”, or it is set twice", v.Name)
		}
		seen[v.Name] = true
		if err := of[i].Fits(v.Value); err != nil {
			return err
		}
	}
	return nil
}
