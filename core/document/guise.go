package document

import (
	"azzel/core/kind"
	"fmt"
	"unicode/utf8"
)

// Guise is another way in which an entity, or all of a kind, can be.
type Guise = kind.Guise

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

// MaxGuises limits the guises of an entity, and those of a kind, the first not counted.
const MaxGuises = 8

const maxGuiseNumber = 999

// GuisesOf are the guises of an entity, the first not counted: its own, then those that its kind gives to all of it.
func (d *Document) GuisesOf(e *Entity) []Guise {
	k := d.Kinds.Get(ID(e.Kind))
	if k == nil || len(k.Guises) == 0 {
		return e.Guises
	}
	return append(e.Guises[:len(e.Guises):len(e.Guises)], k.Guises...)
}

// GuiseIn finds a guise by its number, nil where there is none; the first has none.
func GuiseIn(all []Guise, number int) *Guise {
	for i := range all {
		if all[i].Number == number {
			return &all[i]
		}
	}
	return nil
}

func checkGuises(all []Guise) error {
	if len(all) > MaxGuises {
		return fmt.Errorf("there are at most %d guises of one", MaxGuises)
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
