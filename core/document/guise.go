package document

import (
	"azzel/core/cells"
	"fmt"
	"strconv"
	"unicode/utf8"
)

// Guise is another way in which an entity can be: how it looks, and what it says then. It is one at a time; the first, without
// a number, is as it is by itself.
type Guise struct {
	// Number tells it from the entity's others; copies of an entity have the same.
	Number int    `json:"number"`
	Name   string `json:"name"`
	// Look is the tile that it is drawn as; 0 is its own.
	Look cells.Cell `json:"look,omitempty"`
	// Says is what is read of it then; empty is what it says by itself.
	Says string `json:"says,omitempty"`
}

// GuiseKey is by what the guise of a thing is kept among what it has of its own.
const GuiseKey = "=guise"

// FollowKey is by what it is kept whether somebody goes along with the hero because a rule says so: 0 is as is set of him.
const FollowKey = "=follows"

// What is kept by FollowKey.
const (
	Follows    = 1
	FollowsNot = 2
)

// FirstGuise is what the first guise of everything is called.
const FirstGuise = "as it is now"

// MaxGuises limits the guises of an entity, the first not counted.
const MaxGuises = 8

const maxGuiseNumber = 999

// Key is how rules name a guise.
func (g *Guise) Key() string { return strconv.Itoa(g.Number) }

// Guise finds a guise by its number; nil is the first.
func (e *Entity) Guise(number int) *Guise {
	for i := range e.Guises {
		if e.Guises[i].Number == number {
			return &e.Guises[i]
		}
	}
	return nil
}

// NextGuise is a number that no guise has had that is there.
func (e *Entity) NextGuise() (n int) {
	for _, g := range e.Guises {
		n = max(n, g.Number)
	}
	return n + 1
}

func checkGuises(all []Guise) error {
	if len(all) > MaxGuises {
		return fmt.Errorf("an entity has at most %d guises", MaxGuises)
	}
	seen := map[int]bool{}
	for _, g := range all {
		if seen[g.Number] {
			return fmt.Errorf("two guises have the number %d", g.Number)
		}
		seen[g.Number] = true
		if !g.Look.Valid() || utf8.RuneCountInString(g.Says) > MaxText {
			return fmt.Errorf("a guise looks like a tile and says at most %d characters", MaxText)
		}
		if err := first(checkRange("the number of a guise", g.Number, 1, maxGuiseNumber), checkName(g.Name)); err != nil {
			return err
		}
	}
	return nil
}
